import { memo } from '../../cache/memo';
import {
  boundsOf,
  distance,
  isInside,
  nearestOnSegment,
  segmentsCross,
  type Bounds,
  type Point,
} from '../../geometry/geometry';
import type { Box, Feature, House, Room } from '../../house/schema';
import { groupBy } from '../../units/group-by';
import { boxPoint, featureOutline } from '../../plan/points';
import { perRoom, viewRoom, type RoomView, type Way, type WayKind } from '../../plan/room-view';
import { pointOnWall, wallLoop } from '../../plan/wall-loop';
import { given, itemAt, mustGet } from '../../units/result';

/** Whether a straight line between two points of a room stays inside it. */
function isStraight(corners: readonly Point[], a: Point, b: Point): boolean {
  const crosses = corners.some((corner, i) => segmentsCross(a, b, corner, itemAt(corners, (i + 1) % corners.length)));
  if (crosses) return false;
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  return (
    isInside(middle, corners) ||
    corners.some(
      (corner, i) => distance(middle, nearestOnSegment(middle, corner, itemAt(corners, (i + 1) % corners.length))) < 1,
    )
  );
}

/** The bounds of a room that is a rectangle square to the house, in which every way is straight; null for others. */
const rectangleOf = memo((room: Room): Bounds | null => {
  const bounds = boundsOf(room.corners);
  const isCorner = ({ x, y }: Point) =>
    (x === bounds.minX || x === bounds.maxX) && (y === bounds.minY || y === bounds.maxY);
  return room.corners.length === 4 && room.corners.every(isCorner) ? bounds : null;
});

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
      if (!done[i] && itemAt(best, i) < Infinity && (at < 0 || itemAt(best, i) < itemAt(best, at))) at = i;
    });
    if (at < 0 || at === nodes.length - 1) return itemAt(best, -1);
    done[at] = true;
    nodes.forEach((node, i) => {
      if (done[i]) return;
      const reached = itemAt(best, at) + distance(itemAt(nodes, at), node);
      if (reached < itemAt(best, i) && isStraight(corners, itemAt(nodes, at), node)) best[i] = reached;
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
const targetMemory = memo(
  (_: House) => new Map<ReadonlySet<string>, ReadonlyMap<string, Targets>>(),
  ({ features, rooms }) => [features, rooms],
);

function targetsOf(house: House, kinds: ReadonlySet<string>): ReadonlyMap<string, Targets> {
  const memory = targetMemory(house);
  let known = memory.get(kinds);
  if (!known) {
    const targets = Object.values(house.features)
      .filter(({ kind }) => kinds.has(kind))
      .map((feature) => {
        const room = mustGet(house.rooms, feature.room);
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
    if (itemAt(list, middle).bounds.minX > x) to = middle;
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
    const { room, bounds } = itemAt(list, i);
    // Those that follow lie farther east still.
    if (bounds.minX - from.x >= nearIn) break;
    if (distanceToBounds(bounds, from) < nearIn && !passed.includes(room)) return true;
  }
  return false;
}

/** The ways out of a room with their two edges, looked up once for all of its boxes. */
const waysWithEdges = perRoom(({ room, ways }) =>
  ways.flatMap((way) => {
    if (way.behind === undefined) return [];
    const wall = given(wallLoop(room).walls.find((one) => one.id === way.wall));
    const at = (share: number) => pointOnWall(wall, way.alongIn + way.widthIn * share);
    return [{ way, behind: way.behind, at, edges: [at(0), at(1)] as const }];
  }),
);

/**
 * What a cord may pass on its way out of a room: nothing; sides without a wall; these and openings in which no door hangs; or doorways
 * as well.
 */
export type Passing = 'nothing' | 'open-sides' | 'no-door' | 'doorways';

const mayPass = (passing: Passing, kind: WayKind): boolean =>
  passing === 'doorways' ||
  (passing === 'open-sides' && kind === 'open') ||
  (passing === 'no-door' && (kind === 'open' || kind === 'cased'));

/** Places across a way out at which a cord is tried, besides its first edge. */
const CROSSINGS = 16;
/** On a side that is open all along, this far apart at most, inches. */
const CROSSING_IN = 3;

interface CordSearch {
  readonly house: House;
  readonly kinds: ReadonlySet<string>;
  /** The longest cord, inches. */
  readonly withinIn: number;
  readonly passing: Passing;
}

/**
 * Whether a cord of so many inches, or of fewer, leads from a box to the outer edge of a feature of some kinds. NEC 210.8:
 * *within 6 ft* takes in 6 ft itself; without piercing floor, wall or ceiling; what may lie on the way is a matter of the
 * edition. Plan distance: heights are left out, which errs towards protection. A bowl's inner edge (the reference since 2017)
 * lies farther than the outer edge used here, which errs the same way.
 */
export function isWithinCord(
  house: House,
  box: Box,
  kinds: ReadonlySet<string>,
  withinIn: number,
  passing: Passing,
): boolean {
  const search = { house, kinds, withinIn: withinIn + HAIR_IN, passing };
  return leadsOn(search, viewRoom(house, box.room), boxPoint(house, box), 0, []);
}

/** Lengths are sums of roots: what is drawn at exactly the limit may come out a little longer. */
const HAIR_IN = 1e-6;

/** Whether a cord leads from a place in a room to such a feature, through rooms not passed yet, so many inches being gone already. */
function leadsOn(search: CordSearch, view: RoomView, start: Point, goneIn: number, passed: readonly Room[]): boolean {
  const { house, kinds, withinIn, passing } = search;
  if (!isAnyNear(search, view, start, withinIn - goneIn, passed)) return false;
  for (const feature of view.features)
    if (kinds.has(feature.kind) && leadsTo(view, feature, start, withinIn - goneIn)) return true;
  if (passing === 'nothing') return false;
  let beyond: readonly Room[] | undefined;
  for (const { way, behind: behindId, edges, at } of waysWithEdges(view)) {
    if (!mayPass(passing, way.kind)) continue;
    const left = withinIn - goneIn - distance(start, nearestOnSegment(start, edges[0], edges[1]));
    if (left <= 0) continue;
    beyond ??= [...passed, view.room];
    // No point of the way out is nearer to what lies beyond than its middle by more than half its width.
    if (!isAnyNear(search, view, at(0.5), left + way.widthIn / 2, beyond)) continue;
    const behind = mustGet(house.rooms, behindId);
    if (passed.includes(behind)) continue;
    const other = viewRoom(house, behind.id);
    // The shortest way need not pass the edge that is nearest, so the whole width is tried.
    for (const through of crossingsOf(start, way, edges, at)) {
      if (!isAnyNear(search, view, through, withinIn - goneIn - distance(start, through), beyond)) continue;
      const entry = nearestPointInside(other, through);
      const gone = goneIn + pathInRoom(view, start, through) + distance(through, entry);
      if (leadsOn(search, other, entry, gone, beyond)) return true;
    }
  }
  return false;
}

/** Places at which a cord is tried on its way out: some across the whole width, no farther apart than a doorway's, and the nearest. */
function crossingsOf(
  start: Point,
  way: Way,
  [from, to]: readonly [Point, Point],
  at: (share: number) => Point,
): readonly Point[] {
  const steps = Math.max(CROSSINGS, Math.ceil(way.widthIn / CROSSING_IN));
  return [nearestOnSegment(start, from, to), ...Array.from({ length: steps + 1 }, (_, i) => at(i / steps))];
}

/** Whether a cord of less than so many inches leads to a feature of the room that one is in. */
function leadsTo(view: RoomView, feature: Feature, start: Point, lessIn: number): boolean {
  const outline = featureOutline(view.room, feature);
  for (let i = 0; i < outline.length; i++) {
    const target = nearestOnSegment(start, itemAt(outline, i), itemAt(outline, (i + 1) % outline.length));
    // As the crow flies first: no way is shorter.
    if (distance(start, target) < lessIn && pathInRoom(view, start, target) < lessIn) return true;
  }
  return false;
}

/** The point of a room nearest to one outside it. Without a point for every wall: it is asked for at every place of a doorway. */
function nearestPointInside({ room: { corners } }: RoomView, point: Point): Point {
  let [x, y, nearest] = [itemAt(corners, 0).x, itemAt(corners, 0).y, Infinity];
  for (let i = 0; i < corners.length; i++) {
    const a = itemAt(corners, i);
    const b = itemAt(corners, (i + 1) % corners.length);
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const along = ((point.x - a.x) * dx + (point.y - a.y) * dy) / (dx * dx + dy * dy || 1);
    const t = Math.max(0, Math.min(1, along));
    const [atX, atY] = [a.x + t * dx, a.y + t * dy];
    const apart = Math.hypot(point.x - atX, point.y - atY);
    if (apart < nearest) [x, y, nearest] = [atX, atY, apart];
  }
  return { x, y };
}
