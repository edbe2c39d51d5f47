import { memo } from '../cache/memo';
import { distance, innerPoint, polygonsOverlap, type Point } from '../geometry/geometry';
import type { House, Room } from '../house/schema';
import { Memory } from '../cache/memory';
import { latchAlongIn } from '../plan/latch';
import { viewRoom, wallOf, type SeenOpening } from '../plan/room-view';
import { pointOnWall } from '../plan/wall-loop';
import { given, mustGet } from '../units/result';

/** A stair costs as much as so many inches of floor. */
const STAIR_IN = 180;

/** Whether a place is reached over a hatch, which is no way of the plan and which nobody crosses at night. */
export const isOverHatch = ({ kind }: Pick<Room, 'kind'>): boolean => kind === 'attic' || kind === 'crawl-space';

/** A way from one room into another: a doorway, an open side, or the flight of a stair. */
export interface Passage {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly at: Point;
  /** The two edges of the opening or open side as the room that one comes from sees it; none on a stair. */
  readonly edges: readonly [Point, Point] | undefined;
  /** The edge by which a hand reaches in, on the side of the room that one enters; none on a stair or an open side. */
  readonly latch: Point | undefined;
}

/** Every passage of the house, each way once. The same list as long as rooms and openings are the same. */
export const passagesOf = memo(findPassages, ({ openings, rooms }) => [openings, rooms]);

function findPassages(house: House): readonly Passage[] {
  const passages: Passage[] = [];
  const rooms = Object.values(house.rooms).filter((room) => !isOverHatch(room));
  for (const room of rooms) {
    const view = viewRoom(house, room.id);
    for (const way of view.ways) {
      if (way.kind === 'vehicle' || way.behind === undefined) continue;
      const wall = wallOf(view, way.wall);
      const at = (share: number) => pointOnWall(wall, way.alongIn + way.widthIn * share);
      passages.push({
        id: `${way.seen?.opening.id ?? `open ${way.wall} ${way.behind}`} ${room.id}`,
        from: room.id,
        to: way.behind,
        at: at(0.5),
        edges: [at(0), at(1)],
        latch: way.seen && latchInside(house, mustGet(house.rooms, way.behind), way.seen),
      });
    }
  }
  for (const [a, others] of stairsBeyond(house))
    for (const b of others)
      passages.push({
        id: `stair ${a.id} ${b.id}`,
        from: a.id,
        to: b.id,
        at: innerPoint(b.corners),
        edges: undefined,
        latch: undefined,
      });
  return passages;
}

/** For each stair, the same one on other floors. */
export const stairsBeyond = memo(
  ({ rooms }: House): ReadonlyMap<Room, readonly Room[]> => {
    const stairs = Object.values(rooms).filter((room) => room.kind === 'stair');
    const isSame = (a: Room, b: Room) => a.level !== b.level && polygonsOverlap(a.corners, b.corners);
    return new Map(stairs.map((a) => [a, stairs.filter((b) => isSame(a, b))]));
  },
  ({ rooms }) => [rooms],
);

function latchInside(house: House, room: Room, from: SeenOpening): Point | undefined {
  const view = viewRoom(house, room.id);
  const seen = view.openings.find((one) => one.opening.id === from.opening.id);
  if (!seen) return undefined;
  const wall = wallOf(view, seen.wall);
  return pointOnWall(wall, latchAlongIn(seen, wall.lengthIn).alongIn);
}

type Ways = ReadonlyMap<string, readonly Passage[]>;
const waysOver = new Memory<readonly Passage[], Map<string, Ways>>();

/** Shortest ways over passages, by the room that they lead to; of equal ones the first. Remembered by passages and start. */
export function shortest(passages: readonly Passage[], start: string): Ways {
  let byStart = waysOver.get(passages);
  if (!byStart) waysOver.set(passages, (byStart = new Map()));
  let ways = byStart.get(start);
  if (!ways) byStart.set(start, (ways = findWays(passages, start)));
  return ways;
}

/** Dijkstra's search. */
function findWays(passages: readonly Passage[], start: string): Ways {
  const leaving = new Map<string, Passage[]>();
  for (const one of passages) leaving.set(one.from, [...(leaving.get(one.from) ?? []), one]);
  const best = new Map<string, { cost: number; path: readonly Passage[] }>([[start, { cost: 0, path: [] }]]);
  const done = new Set<string>();
  for (;;) {
    let at: string | undefined;
    for (const [room, { cost }] of best)
      if (!done.has(room) && (at === undefined || cost < given(best.get(at)).cost)) at = room;
    if (at === undefined) break;
    done.add(at);
    const here = given(best.get(at));
    for (const passage of leaving.get(at) ?? []) {
      const last = here.path.at(-1);
      const step = passage.edges === undefined ? STAIR_IN : last ? distance(last.at, passage.at) : 60;
      const cost = here.cost + step;
      if (cost < (best.get(passage.to)?.cost ?? Infinity) - 1e-9)
        best.set(passage.to, { cost, path: [...here.path, passage] });
    }
  }
  return new Map([...best].map(([room, { path }]) => [room, path]));
}
