import { distance, type Point } from '../geometry/geometry';
import type { House } from '../house/schema';
import type { RouteLeg } from '../house/schema-route';
import { baysOf, type Bay } from '../plan/bays';
import { viewRoom } from '../plan/room-view';
import { fromOwn, toOwn, type Axes } from '../plan/own-axes';
import { nearestWall, wallLoop } from '../plan/wall-loop';
import { ASIDE_IN, type RouteEnd } from './ends';
import type { BayNode, Edge, FramingGraph, GraphNode, LatticeNode } from './framing-graph';
import type { Found } from './shortest';
import { LATTICE_IN } from './spaces';

type Mutable<T> = { -readonly [K in keyof T]: T[K] };
type SpaceLeg = Extract<RouteLeg, { kind: 'space' }>;
type StudsLeg = Extract<RouteLeg, { kind: 'studs' }>;

/** Rises shorter than this are within the slack of the cable, inches. */
const NO_RISE_IN = 0.5;
const round = (value: number) => Math.round(value * 8) / 8;

/** The place on a room's loop nearest to a point of the plan, inches. */
function loopPlace(house: House, room: string, point: Point): number {
  const { wall, alongIn } = nearestWall(wallLoop(house.rooms[room]!), point);
  return wall.startIn + alongIn;
}

/** Corners of a way over the lattice: where it turns, its first and its last node. */
function cornersOf(points: readonly Point[]): Point[] {
  return points.filter((point, i) => {
    const [before, after] = [points[i - 1], points[i + 1]];
    if (!before || !after) return true;
    return (before.x !== point.x || after.x !== point.x) && (before.y !== point.y || after.y !== point.y);
  });
}

/** The way between two places over corners of a lattice, its first and its last stretch moved aside onto the lines of those places. */
function straighten(from: Point, corners: readonly Point[], to: Point): Point[] {
  const turns = cornersOf(corners).map((one) => ({ x: one.x, y: one.y }));
  let points: Point[];
  if (turns.length < 3) {
    const isAcross = turns.length === 2 && turns[0]!.x === turns[1]!.x;
    points = [from, isAcross ? { x: from.x, y: to.y } : { x: to.x, y: from.y }, to];
  } else {
    const [first, second] = [turns[0]!, turns[1]!];
    const startAxis = first.y === second.y ? 'y' : 'x';
    first[startAxis] = second[startAxis] = from[startAxis];
    const [before, last] = [turns.at(-2)!, turns.at(-1)!];
    const endAxis = before.y === last.y ? 'y' : 'x';
    before[endAxis] = last[endAxis] = to[endAxis];
    points = [from, ...turns.slice(1, -1), to];
  }
  const kept = points.filter((one, i) => i === 0 || distance(one, points[i - 1]!) > 0.25);
  return kept.length > 1 ? kept : [from, to];
}

/** How closely a stretch is looked at, inches: as closely as the lattice knows what is there. */
const LOOK_IN = LATTICE_IN / 2;

function isClear(a: Point, b: Point, isInside: (point: Point) => boolean): boolean {
  const steps = Math.ceil(distance(a, b) / LOOK_IN);
  for (let i = 1; i < steps; i++)
    if (!isInside({ x: a.x + ((b.x - a.x) * i) / steps, y: a.y + ((b.y - a.y) * i) / steps })) return false;
  return true;
}

/** The same way with steps taken out of it: a stair of turns that never goes back is one turn, where the space is there for it. As long as before. */
function withFewTurns(points: readonly Point[], isInside: (point: Point) => boolean): Point[] {
  const way = [...points];
  const goesBack = (list: readonly Point[]) =>
    (['x', 'y'] as const).some((axis) => {
      const steps = list.slice(1).map((one, i) => one[axis] - list[i]![axis]);
      return steps.some((one) => one > 0.01) && steps.some((one) => one < -0.01);
    });
  for (let i = 0; i + 3 < way.length; i++)
    for (let j = way.length - 1; j > i + 2; j--) {
      if (goesBack(way.slice(i, j + 1))) continue;
      const [a, b] = [way[i]!, way[j]!];
      const turn = [
        { x: b.x, y: a.y },
        { x: a.x, y: b.y },
      ].find((one) => isInside(one) && isClear(a, one, isInside) && isClear(one, b, isInside));
      if (!turn) continue;
      way.splice(i + 1, j - i - 1, turn);
      break;
    }
  return way;
}

/** Turns a way through the graph into legs, in the order in which the cable is pulled. */
export class LegWriter {
  readonly #legs: Mutable<RouteLeg>[] = [];
  #z: number;
  #plate: 'top' | 'bottom' | undefined;
  /** Where the cable is on the plan: at the box first, at the middle of a bay later. */
  #at: Point;
  #space: { from: Point; corners: Point[]; node: LatticeNode } | undefined;

  constructor(
    readonly house: House,
    readonly graph: FramingGraph,
    readonly from: RouteEnd,
    readonly to: RouteEnd,
  ) {
    this.#z = from.spot.z;
    this.#at = from.spot;
  }

  write(found: Found): readonly RouteLeg[] {
    const [start, end] = [this.graph.nodes[found.nodes[0]!]!, this.graph.nodes[found.nodes.at(-1)!]!];
    const [startNote, endNote] = [this.#noteOf(this.from, found.from.node), this.#noteOf(this.to, found.to.node)];
    if (startNote) this.#outside(startNote, this.from.spot, start);
    if (start.kind === 'space') this.#enter(start);
    const { edges, nodes } = found;
    edges.forEach((e, i) => this.#step(e, nodes[i]!, nodes[i + 1]!, i === edges.length - 1 && !endNote));
    if (end.kind === 'space') this.#leave(endNote ? end : this.to.spot);
    else if (!endNote) this.#rise(end, this.to.spot.z, this.to.spot);
    if (endNote) {
      if (end.kind === 'bay') this.#rise(end, end.z, end);
      this.#outside(endNote, end, this.to.spot);
    }
    if (this.#legs.length === 0 && start.kind === 'bay') this.#straight(start);
    return this.#legs;
  }

  /** Two boxes in one bay at one height: straight from one to the other, through nothing. */
  #straight({ room, bay }: BayNode): void {
    const place = (point: Point) => round(this.#placeIn(room, bay, point));
    const heightIn = round(this.#z - viewRoom(this.house, room).level.elevationIn);
    const [fromIn, toIn] = [place(this.from.spot), place(this.to.spot)];
    this.#legs.push({ kind: 'studs', room, fromIn, toIn, heightIn });
  }

  #noteOf({ entries }: RouteEnd, node: number) {
    return entries.find((one) => one.node === node)?.note;
  }

  #outside(note: Extract<RouteLeg, { kind: 'end' }>['note'], a: Point & { z: number }, b: Point & { z: number }): void {
    const points = straighten(a, [], b).map(({ x, y }) => ({ x: round(x), y: round(y) }));
    this.#legs.push({ kind: 'end', note, points, fromZ: round(a.z), toZ: round(b.z) });
    this.#z = b.z;
    this.#at = b;
  }

  #enter(node: LatticeNode): void {
    this.#space = { from: this.#at, corners: [node], node };
  }

  #leave(to: Point): void {
    if (!this.#space) return;
    const { from, corners, node } = this.#space;
    const { over, under } = node.space;
    const isInside = (point: Point) => node.space.nearest(point, LATTICE_IN * 1.25) !== undefined;
    const way = withFewTurns(straighten(from, corners, to), isInside);
    const points = way.map(({ x, y }) => ({ x: round(x), y: round(y) }));
    const leg: SpaceLeg = { kind: 'space', over: over?.id ?? null, under: under?.id ?? null, points, z: round(node.z) };
    this.#legs.push(leg);
    this.#space = undefined;
    this.#at = to;
  }

  /** Up or down in a bay, with the plate that it came through. */
  #rise({ room }: BayNode, toZ: number, at: Point = this.#at, plate = this.#plate): void {
    const { elevationIn } = viewRoom(this.house, room).level;
    this.#plate = undefined;
    if (!plate && Math.abs(toZ - this.#z) < NO_RISE_IN) return;
    const atIn = round(loopPlace(this.house, room, at));
    const leg = {
      kind: 'rise' as const,
      room,
      atIn,
      fromIn: round(this.#z - elevationIn),
      toIn: round(toZ - elevationIn),
    };
    this.#legs.push(plate ? { ...leg, plate } : leg);
    this.#z = toZ;
  }

  #step(e: number, a: number, b: number, isLast: boolean): void {
    const edge = this.graph.edges[e]!;
    const [from, to] = [this.graph.nodes[a]!, this.graph.nodes[b]!];
    if (edge.kind === 'studs') this.#studs(edge, from as BayNode, to as BayNode, isLast);
    else if (edge.kind === 'space') this.#space!.corners.push(to);
    else this.#passPlate(edge.kind, from, to, isLast);
  }

  #passPlate(kind: 'top' | 'bottom' | 'rim', from: GraphNode, to: GraphNode, isLast: boolean): void {
    const bay = (from.kind === 'bay' ? from : to) as BayNode;
    const plateZ = (from.kind === 'bay' ? to : from).z;
    if (from.kind === 'bay') {
      this.#rise(from, plateZ, this.#at, kind === 'rim' ? undefined : kind);
      this.#enter(to as LatticeNode);
      return;
    }
    // In the bay of the box itself the cable comes down beside it.
    this.#leave(isLast ? this.to.spot : bay);
    this.#z = plateZ;
    this.#plate = kind === 'rim' ? undefined : kind;
  }

  /** Where a point lies on the loop of the room in whose drawing the cable runs, as far as it is in a bay of that drawing; else the nearest place in the bay. Inches. */
  #placeIn(room: string, bay: Bay, point: Point): number {
    const { lengthIn } = wallLoop(this.house.rooms[room]!);
    const at = loopPlace(this.house, room, point);
    const off = [at - lengthIn, at, at + lengthIn].sort(
      (a, b) => Math.abs(a - bay.midIn) - Math.abs(b - bay.midIn),
    )[0]!;
    const place = Math.max(bay.fromIn + 0.125, Math.min(bay.toIn - 0.125, off));
    // What comes from another wall starts in the middle.
    return Math.abs(place - off) > ASIDE_IN ? bay.midIn : place;
  }

  #studs({ room: drawing, heightIn, crossing, a }: Edge, from: BayNode, to: BayNode, isLast: boolean): void {
    const room = drawing!;
    const view = viewRoom(this.house, room);
    const z = view.level.elevationIn + heightIn!;
    if (this.#plate || Math.abs(this.#z - z) >= NO_RISE_IN) this.#rise(from, z);
    const { bays } = baysOf(view);
    const isForward = this.graph.nodes[a] === from;
    const [here, next] = [crossing!.from, crossing!.to].map((one) => bays[one]!);
    const [first, second] = isForward ? [here!, next!] : [next!, here!];
    const { lengthIn } = wallLoop(view.room);
    const last = this.#legs.at(-1);
    const end = this.#placeIn(room, second, isLast ? this.to.spot : second.point);
    const goesOn = last?.kind === 'studs' && last.room === room && last.heightIn === round(heightIn!);
    const start = goesOn ? last.toIn : this.#placeIn(room, first, this.#at);
    let along = (end - start) % lengthIn;
    if (Math.abs(along) > lengthIn / 2) along -= Math.sign(along) * lengthIn;
    if (goesOn && Math.sign(last.toIn - last.fromIn) === Math.sign(along))
      (last as Mutable<StudsLeg>).toIn = round(start + along);
    else
      this.#legs.push({
        kind: 'studs',
        room,
        fromIn: round(start),
        toIn: round(start + along),
        heightIn: round(heightIn!),
      });
    this.#at = isLast ? this.to.spot : to;
  }
}

/** Legs that were laid in the house squared to the sheet, where they lie on it. */
export const onSheet = (axes: Axes, legs: readonly RouteLeg[]): RouteLeg[] => turnLegs(legs, (at) => fromOwn(axes, at));
/** Legs on the sheet, as they lie in the house squared to it. */
export const inOwnAxes = (axes: Axes, legs: readonly RouteLeg[]): RouteLeg[] => turnLegs(legs, (at) => toOwn(axes, at));

function turnLegs(legs: readonly RouteLeg[], turn: (at: Point) => Point): RouteLeg[] {
  return legs.map((leg) =>
    'points' in leg
      ? {
          ...leg,
          points: leg.points.map((at) => {
            const { x, y } = turn(at);
            return { x: round(x), y: round(y) };
          }),
        }
      : leg,
  );
}

/** Cable along the legs between the faces of its boxes, inches; what is left in the boxes comes on top. */
export function lengthOfLegs(legs: readonly RouteLeg[]): number {
  const flat = (points: readonly Point[]) =>
    points.slice(1).reduce((sum, one, i) => sum + Math.abs(one.x - points[i]!.x) + Math.abs(one.y - points[i]!.y), 0);
  return legs.reduce((sum, leg) => {
    if (leg.kind === 'studs' || leg.kind === 'rise') return sum + Math.abs(leg.toIn - leg.fromIn);
    if (leg.kind === 'space') return sum + flat(leg.points);
    return sum + flat(leg.points) + Math.abs(leg.toZ - leg.fromZ);
  }, 0);
}
