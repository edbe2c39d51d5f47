import type { Box, Feature, House, Level, Opening, Room } from '../house/schema';
import { memo } from '../cache/memo';
import { Memory } from '../cache/memory';
import { groupBy } from '../units/group-by';
import { facingOf, projectOnto, THICKEST_WALL_IN } from './facing';
import { openingBreak, type SeenOpening } from './opening-break';
import { findWall, straightRuns, wallLoop, type LoopWall } from './wall-loop';

export type { SeenOpening } from './opening-break';

/** How one gets from a room into the next: by what kind of door, through an opening without one, or because there is no wall. */
export type WayKind = Exclude<Opening['kind'], 'window' | 'fixed-glass'> | 'open';

/** A way out of a room, for people and for cords: each rule decides by its kind which it means. */
export interface Way {
  readonly kind: WayKind;
  /** Wall of the room, and the clear part of it, inches from its start. */
  readonly wall: string;
  readonly alongIn: number;
  readonly widthIn: number;
  /** The room beyond by its id; undefined where nothing is drawn. */
  readonly behind: string | undefined;
  /** The opening; none where the side of the room is open. */
  readonly seen: SeenOpening | undefined;
}

/** Everything that the derivations of one room read; identical as long as none of it changed. */
export interface RoomView {
  readonly room: Room;
  readonly level: Level;
  readonly openings: readonly SeenOpening[];
  /** Every way out, open sides too. */
  readonly ways: readonly Way[];
  readonly features: readonly Feature[];
  readonly boxes: readonly Box[];
  /** Walls of other rooms that meet one of this room's walls from behind, by their middle. */
  readonly partitions: readonly Partition[];
}

/** Where a wall behind meets a wall of the room: its framing post stands there. */
export interface Partition {
  readonly wall: string;
  readonly alongIn: number;
}

const byRoom = memo(
  (records: Readonly<Record<string, { readonly room: string }>>): ReadonlyMap<string, readonly { room: string }[]> =>
    groupBy(Object.values(records), (one) => one.room),
);

/** The entities of a collection by their room, remembered by the identity of the collection. */
export function inRoom<T extends { readonly room: string }>(
  records: Readonly<Record<string, T>>,
  roomId: string,
): readonly T[] {
  const groups = byRoom(records) as ReadonlyMap<string, readonly T[]>;
  return groups.get(roomId) ?? [];
}

interface SeenFromRoom {
  readonly openings: readonly SeenOpening[];
  readonly ways: readonly Way[];
}

/** The openings that a room sees, its own and those of its neighbors that pierce a shared wall, and its ways out. */
const seeOpenings = memo(
  (house: House, room: Room): SeenFromRoom => {
    const openings = findOpenings(house, room);
    return { openings, ways: waysOf(house, room, openings) };
  },
  ({ rooms, openings }, room) => [room, rooms, openings],
);

function findOpenings(house: House, room: Room): SeenOpening[] {
  const own = inRoom(house.openings, room.id).map((opening): SeenOpening => ({
    opening,
    wall: opening.wall,
    alongIn: opening.alongIn,
    widthIn: opening.widthIn,
    own: true,
  }));
  const across = facingOf(house, room).flatMap(({ other, wall, otherWall }) =>
    inRoom(house.openings, other.id)
      .filter((opening) => opening.wall === otherWall.id)
      .map((opening): SeenOpening => {
        const [from, to] = projectOnto(wall, otherWall, opening.alongIn, opening.alongIn + opening.widthIn);
        const [start, end] = [Math.max(0, from), Math.min(wall.lengthIn, to)];
        return { opening, wall: wall.id, alongIn: start, widthIn: end - start, own: false };
      })
      .filter((seen) => seen.widthIn > 0.5),
  );
  return [...own, ...across].sort((a, b) => (a.wall < b.wall ? -1 : a.wall > b.wall ? 1 : 0) || a.alongIn - b.alongIn);
}

/** The room on the other side of an opening as one room sees it, or undefined outdoors. */
export function roomBehind(house: House, roomId: string, seen: SeenOpening): Room | undefined {
  if (!seen.own) return house.rooms[seen.opening.room];
  const room = house.rooms[roomId]!;
  const middle = seen.alongIn + seen.widthIn / 2;
  return facingOf(house, room).find(
    ({ wall, fromIn, toIn }) => wall.id === seen.wall && fromIn <= middle && middle <= toIn,
  )?.other;
}

/** Where a room is open to another: a side that either of them calls open. Shorter than this it is no way, inches. */
const NARROWEST_WAY_IN = 12;

function openSides(house: House, room: Room): Way[] {
  return facingOf(house, room).flatMap(({ other, wall, otherWall, fromIn, toIn }): Way[] => {
    if (wall.boundary !== 'open' && otherWall.boundary !== 'open') return [];
    const alongIn = Math.max(0, fromIn);
    const widthIn = Math.min(wall.lengthIn, toIn) - alongIn;
    if (widthIn < NARROWEST_WAY_IN) return [];
    return [{ kind: 'open', wall: wall.id, alongIn, widthIn, behind: other.id, seen: undefined }];
  });
}

function waysOf(house: House, room: Room, openings: readonly SeenOpening[]): Way[] {
  const through = openings.flatMap((seen): Way[] => {
    const gap = openingBreak(seen);
    const { kind } = seen.opening;
    if (!gap || kind === 'window' || kind === 'fixed-glass') return [];
    const { alongIn, widthIn } = gap;
    return [{ kind, wall: seen.wall, alongIn, widthIn, behind: roomBehind(house, room.id, seen)?.id, seen }];
  });
  return [...through, ...openSides(house, room)];
}

/** A place counted along a line of walls, on its wall. */
function inLine(line: readonly LoopWall[], atIn: number): Partition {
  let alongIn = atIn;
  for (const wall of line) {
    if (alongIn <= wall.lengthIn) return { wall: wall.id, alongIn };
    alongIn -= wall.lengthIn;
  }
  const last = line.at(-1)!;
  return { wall: last.id, alongIn: last.lengthIn };
}

/** Partitions show as the gap between the ends of two neighbors along one wall. */
const partitionsOf = memo(
  (house: House, room: Room): readonly Partition[] => {
    const facing = facingOf(house, room);
    return straightRuns(wallLoop(room)).flatMap((line) => {
      let offsetIn = 0;
      const behind = line.flatMap((wall) => {
        const here = facing.filter((one) => one.wall.id === wall.id);
        const from = offsetIn;
        offsetIn += wall.lengthIn;
        return here.map((one) => ({ fromIn: from + one.fromIn, toIn: from + one.toIn }));
      });
      behind.sort((a, b) => a.fromIn - b.fromIn);
      return behind.slice(1).flatMap(({ fromIn }, i) => {
        const { toIn } = behind[i]!;
        const gap = fromIn - toIn;
        return gap > 0.5 && gap <= THICKEST_WALL_IN ? [inLine(line, (toIn + fromIn) / 2)] : [];
      });
    });
  },
  ({ rooms }, room) => [room, rooms],
);

const samePartitions = (a: readonly Partition[], b: readonly Partition[]): boolean =>
  a === b || (a.length === b.length && a.every((one, i) => one.wall === b[i]!.wall && one.alongIn === b[i]!.alongIn));

const sameItems = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((item, i) => item === b[i]);
const sameSeen = (a: readonly SeenOpening[], b: readonly SeenOpening[]): boolean =>
  a.length === b.length &&
  a.every(
    (one, i) =>
      one.opening === b[i]!.opening &&
      one.wall === b[i]!.wall &&
      one.alongIn === b[i]!.alongIn &&
      one.widthIn === b[i]!.widthIn,
  );

const sameWays = (a: readonly Way[], b: readonly Way[]): boolean =>
  a.length === b.length &&
  a.every((one, i) => {
    const other = b[i]!;
    return (
      one.kind === other.kind &&
      one.wall === other.wall &&
      one.behind === other.behind &&
      one.alongIn === other.alongIn &&
      one.widthIn === other.widthIn
    );
  });

/** Whether two views of a room differ in boxes at most. */
const sameShell = (a: RoomView, b: RoomView): boolean =>
  a.level === b.level &&
  sameItems(a.features, b.features) &&
  sameSeen(a.openings, b.openings) &&
  sameWays(a.ways, b.ways) &&
  samePartitions(a.partitions, b.partitions);

const viewsByHouse = new Memory<House, Map<string, RoomView>>();
const lastViews = new Memory<Room, RoomView>();

/**
 * What one room's derivations read. The same object is returned until a part of it changes,
 * so that everything remembered by it survives edits elsewhere in the house.
 */
export function viewRoom(house: House, roomId: string): RoomView {
  let views = viewsByHouse.get(house);
  if (!views) viewsByHouse.set(house, (views = new Map()));
  let view = views.get(roomId);
  if (!view) views.set(roomId, (view = lookAtRoom(house, roomId)));
  return view;
}

function lookAtRoom(house: House, roomId: string): RoomView {
  const room = house.rooms[roomId];
  if (!room) throw new Error(`No room "${roomId}"`);
  const level = house.levels[room.level]!;
  const features = inRoom(house.features, roomId);
  const boxes = inRoom(house.boxes, roomId);
  const { openings, ways } = seeOpenings(house, room);
  const partitions = partitionsOf(house, room);
  const view = { room, level, openings, ways, features, boxes, partitions };
  const last = lastViews.get(room);
  if (last && sameShell(last, view) && sameItems(last.boxes, boxes)) return last;
  lastViews.set(room, view);
  return view;
}

/** Remembers a derivation of one room by the identity of its view. */
export const perRoom = <T>(derive: (view: RoomView) => T): ((view: RoomView) => T) => memo(derive);

/** Remembers a derivation that reads a room without its boxes: moving one changes nothing of it. */
export function perShell<T>(derive: (view: RoomView) => T): (view: RoomView) => T {
  const memory = new Memory<Room, { view: RoomView; value: T }>();
  return (view) => {
    const known = memory.get(view.room);
    if (known && (known.view === view || sameShell(known.view, view))) return known.value;
    const value = derive(view);
    memory.set(view.room, { view, value });
    return value;
  };
}

/** A wall of a room by its id. @throws where it has none (a bug) */
export const wallOf = (view: RoomView, wallId: string): LoopWall => {
  const wall = findWall(wallLoop(view.room), wallId);
  if (!wall) throw new Error(`${view.room.name} has no wall "${wallId}"`);
  return wall;
};
