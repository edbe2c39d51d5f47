import type { Point } from '../geometry/geometry';
import { memo } from '../cache/memo';
import type { House } from '../house/schema';
import { viewRoom, type RoomView } from '../plan/room-view';
import { wallLoop } from '../plan/wall-loop';
import { OUTDOOR_KINDS } from '../place/outdoors';
import { isClosedAt } from '../place/closed-walls';
import { bayAt, baysOf, BELOW_SILL_IN, type Bay, type Crossing } from '../plan/bays';
import { ownerOf, type WallPlace } from './owner';
import { joistsBetween, spacesOf, type Space, type SpaceNode } from './spaces';

/**
 * `studs`: through the members between two bays. `top` and `bottom`: through the plates. `space`: along or across the joists.
 */
/** `rim`: out of a wall, sideways into the floor of a half level that meets it. */
export type EdgeKind = 'studs' | 'top' | 'bottom' | 'rim' | 'space';

/** A bay between two studs. */
export interface BayNode {
  readonly kind: 'bay';
  readonly room: string;
  readonly bay: Bay;
  /** Height at which cables run from stud to stud there, inches above the house's zero. */
  readonly z: number;
  readonly x: number;
  readonly y: number;
}
/** A place in an attic, a crawl space or between joists. */
export interface LatticeNode {
  readonly kind: 'space';
  readonly space: Space;
  readonly at: SpaceNode;
  readonly z: number;
  readonly x: number;
  readonly y: number;
}
export type GraphNode = BayNode | LatticeNode;

/** A way of a cable from one node to the next. */
export interface Edge {
  readonly kind: EdgeKind;
  readonly a: number;
  readonly b: number;
  readonly lengthIn: number;
  /** Holes to be bored; joists whose run is not known count as none and are said to be so. */
  readonly holes: number;
  /** Height of the holes through studs, inches above the floor. */
  readonly heightIn?: number;
  readonly crossing?: Crossing;
  readonly room?: string;
  /** Joists whose way is not known lie between. */
  readonly isUnknown?: boolean;
}

/** Where a cable may lie in a house: bays, spaces, and what is bored between them. */
export interface FramingGraph {
  readonly nodes: readonly GraphNode[];
  readonly edges: readonly Edge[];
  /** The spaces that its nodes are numbered by. */
  readonly spaces: readonly Space[];
  /** Edges at each node: those of node n stand from `starts[n]` to `starts[n + 1]` in `at`. */
  readonly starts: Int32Array;
  readonly at: Int32Array;
  /** Node of the bay at a place on a wall, whichever room's drawing its framing follows; undefined where none is within so many inches. */
  readonly nodeAt: (place: WallPlace, withinIn: number) => number | undefined;
  /** Node of a space by the number of its place. */
  readonly spaceNode: (space: Space, at: number) => number;
}

/** Usual height of a run from stud to stud, inches: over the boxes at 16 in, under the sills, *common practice*. */
export const LINE_IN = 24;
/** A hole lower than this meets the bottom plate and its nails, inches: *common practice*. */
const LOWEST_HOLE_IN = 6;
/** A bay of another room's drawing is looked for within the space between two studs, inches. */
const STUD_SPACE_IN = 16;
/** A double plate above, and a plate with the floor below: two members each, *common practice*. */
const PLATE_MEMBERS = 2;

/** A floor that lies lower than this above another meets no wall of it; from a wall to the first joist bay of a half level. Inches. */
const RIM_IN = 18;
const RIM_REACH_IN = 48;

/** Height at which the members between two bays are bored; undefined where nothing may be bored. */
export function holeHeight({ mostIn, barred }: Crossing, lineIn: number): number | undefined {
  let at = Math.min(lineIn, mostIn);
  for (const { bottomIn, topIn } of barred) if (at > bottomIn - 2 && at < topIn + 2) at = bottomIn - 3;
  return at >= LOWEST_HOLE_IN ? at : undefined;
}

/** Collects nodes and edges; each room and each space is numbered in one row. */
class Builder {
  readonly nodes: GraphNode[] = [];
  readonly edges: Edge[] = [];
  readonly #numbers = new Map<string, readonly (number | undefined)[]>();
  readonly #firstOf = new Map<Space, number>();

  constructor(
    readonly house: House,
    readonly lineIn: number,
  ) {}

  build(): FramingGraph {
    const spaces = spacesOf(this.house);
    for (const space of spaces) this.#addSpace(space);
    const views = Object.keys(this.house.rooms).map((id) => viewRoom(this.house, id));
    for (const view of views) this.#addBays(view);
    for (const view of views) this.#joinRoom(view, spaces);
    const { starts, at } = this.#adjacency();
    return {
      nodes: this.nodes,
      edges: this.edges,
      spaces,
      starts,
      at,
      nodeAt: (place, withinIn) => this.nodeAt(place, withinIn),
      spaceNode: (space, n) => this.#firstOf.get(space)! + n,
    };
  }

  #addSpace(space: Space): void {
    const first = this.nodes.length;
    this.#firstOf.set(space, first);
    for (const at of space.nodes) this.nodes.push({ kind: 'space', space, at, x: at.x, y: at.y, z: at.z });
    for (const [from, to] of space.links) {
      const [p, q] = [space.nodes[from]!, space.nodes[to]!];
      const joists = joistsBetween(space.joists, p, q);
      // Over a ceiling that stays closed a cable is fished between two joists, never through one.
      if (p.kind === 'closed' && joists !== 0 && [p, q].some((one) => this.#isUnderClosed(one))) continue;
      // In an attic without a floor and in a crawl space joists are bored or run along; where their way is not known, holes cannot be counted.
      this.edges.push({
        kind: 'space',
        a: first + from,
        b: first + to,
        lengthIn: Math.abs(p.x - q.x) + Math.abs(p.y - q.y) + Math.abs(p.z - q.z),
        holes: joists ?? 0,
        ...(joists === undefined ? { isUnknown: true } : {}),
      });
    }
  }

  #isUnderClosed({ below }: SpaceNode): boolean {
    return below !== undefined && this.house.rooms[below]?.closed === true;
  }

  /** Nodes of a room's bays: those that another room's drawing stands for get none of their own. */
  #addBays(view: RoomView): void {
    const numbers: (number | undefined)[] = [];
    for (const bay of baysOf(view).bays) {
      const owner = ownerOf(this.house, { room: view.room.id, atIn: bay.midIn });
      // Outdoors has no walls of its own: what faces the house is the house's, and a railing has no bays.
      if (owner.room !== view.room.id || OUTDOOR_KINDS.has(view.room.kind)) {
        numbers.push(undefined);
        continue;
      }
      const heightIn =
        bay.topIn < view.level.ceilingIn ? Math.min(this.lineIn, bay.topIn - BELOW_SILL_IN) : this.lineIn;
      numbers.push(this.nodes.length);
      this.nodes.push({ kind: 'bay', room: view.room.id, bay, z: view.level.elevationIn + heightIn, ...bay.point });
    }
    this.#numbers.set(view.room.id, numbers);
  }

  /** The node of the bay at a place on a wall, in the drawing that its framing follows. */
  nodeAt(place: WallPlace, withinIn: number): number | undefined {
    const { room, atIn } = ownerOf(this.house, place);
    const view = viewRoom(this.house, room);
    const bay = bayAt(baysOf(view), wallLoop(view.room).lengthIn, atIn, withinIn);
    return bay === undefined ? undefined : this.#numbers.get(room)![bay];
  }

  #joinRoom(view: RoomView, spaces: readonly Space[]): void {
    const { bays, crossings } = baysOf(view);
    const isOut = OUTDOOR_KINDS.has(view.room.kind);
    for (const crossing of crossings) if (!isOut) this.#addCrossing(view, crossing, bays);
    const above = isOut ? undefined : spaces.find((one) => one.over?.id === view.level.id);
    const below = isOut ? undefined : spaces.find((one) => one.under?.id === view.level.id);
    const { elevationIn, ceilingIn } = view.level;
    const beside = spaces.filter(
      ({ under }) =>
        !isOut && under && under.elevationIn > elevationIn + RIM_IN && under.elevationIn < elevationIn + ceilingIn,
    );
    bays.forEach((bay, n) => {
      const at = this.#numbers.get(view.room.id)![n];
      if (at === undefined) return;
      const node = this.nodes[at]!;
      if (above && bay.opensUp) this.#addPlate('top', at, node, above, view);
      if (below) this.#addPlate('bottom', at, node, below, view);
      for (const space of beside) this.#addRim(at, node, space, view);
    });
  }

  /** Through the members between two bays; left to the owner of the wall where both bays are another room's and no corner lies between. */
  #addCrossing(view: RoomView, crossing: Crossing, bays: readonly Bay[]): void {
    const heightIn = holeHeight(crossing, this.lineIn);
    if (heightIn === undefined) return;
    if (crossing.members.some(({ atIn }) => isClosedAt(this.house, view.room.id, atIn))) return;
    const numbers = this.#numbers.get(view.room.id)!;
    const isForeign = numbers[crossing.from] === undefined && numbers[crossing.to] === undefined;
    if (isForeign && !crossing.isCorner) return;
    const node = (bay: number) =>
      numbers[bay] ?? this.nodeAt({ room: view.room.id, atIn: bays[bay]!.midIn }, STUD_SPACE_IN);
    const [a, b] = [node(crossing.from), node(crossing.to)];
    if (a === undefined || b === undefined || a === b) return;
    const [p, q] = [this.nodes[a]!, this.nodes[b]!];
    const z = view.level.elevationIn + heightIn;
    this.edges.push({
      kind: 'studs',
      a,
      b,
      lengthIn: Math.abs(q.x - p.x) + Math.abs(q.y - p.y) + Math.abs(p.z - z) + Math.abs(q.z - z),
      holes: crossing.holes,
      heightIn,
      crossing,
      room: view.room.id,
    });
  }

  /** From a bay through the rim joist into the floor of a half level beside it. */
  #addRim(a: number, from: GraphNode, space: Space, view: RoomView): void {
    const isBeside = ({ below, above }: SpaceNode) => below === undefined && above !== undefined;
    const nearest = space.nearest(from, RIM_REACH_IN, isBeside);
    if (nearest === undefined) return;
    const lengthIn = manhattan(space.nodes[nearest]!, from);
    this.edges.push({ kind: 'rim', a, b: this.#firstOf.get(space)! + nearest, lengthIn, holes: 1, room: view.room.id });
  }

  #addPlate(kind: 'top' | 'bottom', a: number, from: GraphNode, space: Space, view: RoomView): void {
    const nearest = space.nearest(from);
    if (nearest === undefined) return;
    const to = space.nodes[nearest]!;
    // Below a window the plate over it is out of reach, but the floor is not.
    const lengthIn = Math.abs(to.x - from.x) + Math.abs(to.y - from.y) + Math.abs(to.z - from.z);
    this.edges.push({
      kind,
      a,
      b: this.#firstOf.get(space)! + nearest,
      lengthIn,
      holes: PLATE_MEMBERS,
      room: view.room.id,
    });
  }

  #adjacency(): { starts: Int32Array; at: Int32Array } {
    const starts = new Int32Array(this.nodes.length + 1);
    for (const { a, b } of this.edges) {
      starts[a + 1]!++;
      starts[b + 1]!++;
    }
    for (let i = 0; i < this.nodes.length; i++) starts[i + 1]! += starts[i]!;
    const next = starts.slice();
    const at = new Int32Array(this.edges.length * 2);
    this.edges.forEach(({ a, b }, e) => {
      at[next[a]!++] = e;
      at[next[b]!++] = e;
    });
    return { starts, at };
  }
}

/** Where cables may lie in a house, remembered as long as its rooms, openings, features and levels are the same. */
export const framingGraph = memo(
  (house: House, lineIn: number = LINE_IN): FramingGraph => new Builder(house, lineIn).build(),
  ({ rooms, openings, features, levels }, lineIn = LINE_IN) => [rooms, openings, features, levels, lineIn],
);

/** The way from a place to another along the axes, inches. */
export const manhattan = (a: Point & { readonly z: number }, b: Point & { readonly z: number }): number =>
  Math.abs(a.x - b.x) + Math.abs(a.y - b.y) + Math.abs(a.z - b.z);
