import {
  boundsOf,
  distance,
  isInside,
  nearestOnSegment,
  segmentsCross,
  type Bounds,
  type Point,
} from '../../house/geometry';
import { remembering } from '../../house/remember';
import type { Box, Feature, House, Room } from '../../house/schema';
import { Memory } from '../../house/memory';
import { groupBy } from '../../units/group-by';
import { boxPoint, featureOutline } from '../../plan/points';
import { perRoom, roomBehind, viewRoom, type RoomView } from '../../plan/room-view';
import { openingBreak } from '../../plan/wall-spaces';
import { pointOnWall, wallLoop } from '../../plan/wall-loop';

/** Whether a straight line between two points of a room stays inside it. */
function isStraight(corners: readonly Point[], a: Point, b: Point): boolean {
  const crosses = corners.some((corner, i) => segmentsCross(a, b, corner, corners[(i + 1) % corners.length]!));
  if (crosses) return false;
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  return (
    isInside(middle, corners) ||
    corners.some(
      (corner, i) => distance(middle, nearestOnSegment(middle, corner, corners[(i + 1) % corners.length]!)) < 1,
    )
  );
}

const rectangles = new Memory<Room, Bounds | null>();

/** The bounds of a room that is a rectangle square to the house, in which every way is straight; null for others. */
function rectangleOf(room: Room): Bounds | null {
  const known = rectangles.get(room);
  if (known !== undefined) return known;
  const bounds = boundsOf(room.corners);
  const isCorner = ({ x, y }: Point) =>
    (x === bounds.minX || x === bounds.maxX) && (y === bounds.minY || y === bounds.maxY);
  const found = room.corners.length === 4 && room.corners.every(isCorner) ? bounds : null;
  rectangles.set(room, found);
  return found;
}

const isWithin = ({ minX, minY, maxX, maxY }: Bounds, { x, y }: Point): boolean =>
  x >= minX && x <= maxX && y >= minY && y <= maxY;

/** The shortest way inside a room from one point to another, around its corners, inches; a cord pierces no wall. */
export function pathInRoom(view: RoomView, from: Point, to: Point): number {
  const corners = view.room.corners;
  const box = rectangleOf(view.room);
  if (box && isWithin(box, from) && isWithin(box, to)) return distance(from, to);
  if (isStraight(corners, from, to)) return distance(from, to);
  const nodes: Point[] = [from, ...corners, to];
  const best = nodes.map(() => Infinity);
  const done = nodes.map(() => false);
  best[0] = 0;
  for (;;) {
    let at = -1;
    nodes.forEach((_, i) => {
      if (!done[i] && best[i]! < Infinity && (at < 0 || best[i]! < best[at]!)) at = i;
    });
    if (at < 0 || at === nodes.length - 1) return best.at(-1)!;
    done[at] = true;
    nodes.forEach((node, i) => {
      if (done[i]) return;
      const reached = best[at]! + distance(nodes[at]!, node);
      if (reached < best[i]! && isStraight(corners, nodes[at]!, node)) best[i] = reached;
    });
  }
}

interface Target {
  readonly room: Room;
  readonly bounds: Bounds;
}

/** Features of some kinds on a level, from west to east, and how wide the widest is, so that those near a place stand side by side. */
interface Targets {
  readonly list: readonly Target[];
  readonly widestIn: number;
}

/** What has been asked for in a house so far: for each set of kinds, the features of each level, by its id. */
const targetMemory = remembering(
  () => new Map<ReadonlySet<string>, ReadonlyMap<string, Targets>>(),
  ({ features, rooms }) => [features, rooms],
);

function targetsOf(house: House, kinds: ReadonlySet<string>): ReadonlyMap<string, Targets> {
  const memory = targetMemory(house);
  let known = memory.get(kinds);
  if (!known) {
    const targets = Object.values(house.features)
      .filter(({ kind }) => kinds.has(kind))
      .map((feature) => {
        const room = house.rooms[feature.room]!;
        return { room, bounds: boundsOf(featureOutline(room, feature)) };
      });
    targets.sort((one, other) => one.bounds.minX - other.bounds.minX);
    const widthIn = ({ bounds }: Target) => bounds.maxX - bounds.minX;
    known = new Map(
      [...groupBy(targets, ({ room }) => room.level)].map(([level, list]) => [
        level,
        { list, widestIn: Math.max(...list.map(widthIn)) },
      ]),
    );
    memory.set(kinds, known);
  }
  return known;
}

/** The first of some targets that begins east of a place. */
function firstEastOf(list: readonly Target[], x: number): number {
  let [from, to] = [0, list.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (list[middle]!.bounds.minX > x) to = middle;
    else from = middle + 1;
  }
  return from;
}

/** From a point to the nearest of a rectangle, inches; 0 inside. */
const distanceToBounds = ({ minX, maxX, minY, maxY }: Bounds, { x, y }: Point): number =>
  Math.hypot(Math.max(minX - x, 0, x - maxX), Math.max(minY - y, 0, y - maxY));

/** Whether a feature of some kinds, in a room not passed yet, is near by its bounds, which no cord is shorter than. */
function isAnyNear({ house, kinds }: CordSearch, view: RoomView, from: Point, nearIn: number, passed: readonly Room[]) {
  const targets = targetsOf(house, kinds).get(view.level.id);
  if (!targets) return false;
  const { list, widestIn } = targets;
  for (let i = firstEastOf(list, from.x - nearIn - widestIn); i < list.length; i++) {
    const { room, bounds } = list[i]!;
    // Those that follow lie farther east still.
    if (bounds.minX - from.x >= nearIn) break;
    if (distanceToBounds(bounds, from) < nearIn && !passed.includes(room)) return true;
  }
  return false;
}

/** The doorways of a room with their two edges, looked up once for all of its boxes. */
const doorwaysOf = perRoom(({ room, openings }) =>
  openings.flatMap((seen) => {
    const gap = openingBreak(seen);
    if (!gap) return [];
    const wall = wallLoop(room).walls.find((one) => one.id === seen.wall)!;
    const edges = [pointOnWall(wall, gap.alongIn), pointOnWall(wall, gap.alongIn + gap.widthIn)] as const;
    return [{ seen, gap, wall, edges, middle: pointOnWall(wall, gap.alongIn + gap.widthIn / 2) }];
  }),
);

/** Places across a doorway at which a cord is tried, besides its first jamb. */
const CROSSINGS = 16;

interface CordSearch {
  readonly house: House;
  readonly kinds: ReadonlySet<string>;
  /** The cord is shorter than this, inches. */
  readonly withinIn: number;
  readonly throughDoorways: boolean;
}

/**
 * Whether a cord shorter than so many inches leads from a box to the outer edge of a feature of some kinds. NEC 210.8: without piercing
 * floor, wall or ceiling; from 2020 doorways may lie on the way, in 2017 they may not. Plan distance: heights are left out, which
 * errs towards protection. A bowl's inner edge (the reference since 2017) lies farther than the outer edge used here, which
 * errs the same way.
 */
export function isWithinCord(
  house: House,
  box: Box,
  kinds: ReadonlySet<string>,
  withinIn: number,
  throughDoorways: boolean,
): boolean {
  const search = { house, kinds, withinIn, throughDoorways };
  return leadsOn(search, viewRoom(house, box.room), boxPoint(house, box), 0, []);
}

/** Whether a cord leads from a place in a room to such a feature, through rooms not passed yet, so many inches being gone already. */
function leadsOn(search: CordSearch, view: RoomView, start: Point, goneIn: number, passed: readonly Room[]): boolean {
  const { house, kinds, withinIn, throughDoorways } = search;
  if (!isAnyNear(search, view, start, withinIn - goneIn, passed)) return false;
  for (const feature of view.features)
    if (kinds.has(feature.kind) && leadsTo(view, feature, start, withinIn - goneIn)) return true;
  if (!throughDoorways) return false;
  let beyond: readonly Room[] | undefined;
  for (const { seen, gap, wall, edges, middle } of doorwaysOf(view)) {
    const left = withinIn - goneIn - distance(start, nearestOnSegment(start, edges[0], edges[1]));
    if (left <= 0) continue;
    beyond ??= [...passed, view.room];
    // No point of the doorway is nearer to what lies beyond than its middle by more than half its width.
    if (!isAnyNear(search, view, middle, left + gap.widthIn / 2, beyond)) continue;
    const behind = roomBehind(house, view.room.id, seen);
    if (!behind || passed.includes(behind)) continue;
    const other = viewRoom(house, behind.id);
    // The shortest way need not pass the jamb that is nearest, so the whole doorway is tried.
    for (let step = 0; step <= CROSSINGS; step++) {
      const through = pointOnWall(wall, gap.alongIn + (gap.widthIn * step) / CROSSINGS);
      if (!isAnyNear(search, view, through, withinIn - goneIn - distance(start, through), beyond)) continue;
      const entry = nearestPointInside(other, through);
      const gone = goneIn + pathInRoom(view, start, through) + distance(through, entry);
      if (leadsOn(search, other, entry, gone, beyond)) return true;
    }
  }
  return false;
}

/** Whether a cord of less than so many inches leads to a feature of the room that one is in. */
function leadsTo(view: RoomView, feature: Feature, start: Point, lessIn: number): boolean {
  const outline = featureOutline(view.room, feature);
  for (let i = 0; i < outline.length; i++) {
    const target = nearestOnSegment(start, outline[i]!, outline[(i + 1) % outline.length]!);
    // As the crow flies first: no way is shorter.
    if (distance(start, target) < lessIn && pathInRoom(view, start, target) < lessIn) return true;
  }
  return false;
}

/** The point of a room nearest to one outside it. Without a point for every wall: it is asked for at every place of a doorway. */
function nearestPointInside({ room: { corners } }: RoomView, point: Point): Point {
  let [x, y, nearest] = [corners[0]!.x, corners[0]!.y, Infinity];
  for (let i = 0; i < corners.length; i++) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const along = ((point.x - a.x) * dx + (point.y - a.y) * dy) / (dx * dx + dy * dy || 1);
    const t = Math.max(0, Math.min(1, along));
    const [atX, atY] = [a.x + t * dx, a.y + t * dy];
    const apart = Math.hypot(point.x - atX, point.y - atY);
    if (apart < nearest) [x, y, nearest] = [atX, atY, apart];
  }
  return { x, y };
}
