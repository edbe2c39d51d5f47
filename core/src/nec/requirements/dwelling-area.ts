import { memo } from '../../cache/memo';
import { areaFt2 } from '../../geometry/geometry';
import { cutIntervals } from '../../geometry/intervals';
import type { House, Level, Room, RoomKind } from '../../house/schema';
import { facingOf } from '../../plan/facing';
import { wallLoop, type LoopWall } from '../../plan/wall-loop';
import { itemAt, mustGet } from '../../units/result';

/** Open porches, garages and spaces that are no floor to live on are left out of the floor area. *From memory*, high. */
const NOT_COUNTED: ReadonlySet<RoomKind> = new Set([
  'garage',
  'accessory-building',
  'porch',
  'deck',
  'balcony',
  'outdoors',
  'attic',
  'crawl-space',
]);

/** An unfinished basement of which nobody has said whether it could be finished one day. */
const isOpen = ({ kind, finishable }: Room): boolean => kind === 'basement-unfinished' && finishable === undefined;

/**
 * Unfinished space counts unless it is *not adaptable for future use*: a basement unless somebody says so, an attic only where somebody
 * says that it could be finished.
 */
const isCounted = ({ kind, finishable }: Room): boolean => {
  if (kind === 'basement-unfinished') return finishable !== false;
  return kind === 'attic' ? finishable === true : !NOT_COUNTED.has(kind);
};

/** How near to a limit the estimated thickness of outside walls leaves the answer open: a share of the area. */
export const AREA_UNSURE = 0.03;

/** How much of the walls around it is a room's: half of one that it shares, the whole of an outside one. Stretches along one wall. */
interface Strip {
  readonly fromIn: number;
  readonly toIn: number;
  readonly depthIn: number;
}

function stripsOf(house: House, room: Room, wall: LoopWall, level: Level): Strip[] {
  const whole = { fromIn: 0, toIn: wall.lengthIn };
  const shared = facingOf(house, room)
    .filter((one) => one.wall.id === wall.id && isCounted(one.other))
    .map((one) => ({
      fromIn: Math.max(0, one.fromIn),
      toIn: Math.min(wall.lengthIn, one.toIn),
      depthIn: one.thicknessIn / 2,
    }))
    .filter((one) => one.toIn > one.fromIn);
  // Where nothing stands on the line there is no wall to count.
  const outside = wall.boundary === 'solid' ? level.wallThicknessIn : 0;
  return [...shared, ...cutIntervals(whole, shared).map((one) => ({ ...one, depthIn: outside }))];
}

/** A room's floor with its share of the walls around it, square inches: its outline moved outwards wall by wall. */
function grossIn2(house: House, room: Room): number {
  const level = mustGet(house.levels, room.level);
  const { walls } = wallLoop(room);
  const strips = walls.map((wall) => stripsOf(house, room, wall, level));
  const depthAt = (i: number, end: 'start' | 'end'): number => {
    const at = end === 'start' ? 0 : itemAt(walls, i).lengthIn;
    const near = itemAt(strips, i).find((one) => (end === 'start' ? one.fromIn <= at + 1 : one.toIn >= at - 1));
    return near?.depthIn ?? 0;
  };
  const along = strips.flat().reduce((sum, one) => sum + (one.toIn - one.fromIn) * one.depthIn, 0);
  const corners = walls.reduce((sum, wall, i) => {
    const before = itemAt(walls, i - 1);
    // Positive at a corner that points outwards: the loop runs clockwise with y down.
    const turn = before.unit.x * wall.unit.y - before.unit.y * wall.unit.x;
    const last = (i - 1 + walls.length) % walls.length;
    return sum + turn * depthAt(last, 'end') * depthAt(i, 'start');
  }, 0);
  return areaFt2(room.corners) * 144 + along + corners;
}

/**
 * Floor area of a dwelling by its outside dimensions, square feet: 220.12 (2014, 2017), 220.11 (2020), 220.5(C) (2023). Garages, open
 * porches and unfinished space that cannot be finished are left out; whether 2023 still leaves garages out is recalled with doubt.
 * The thickness of outside walls is the level's usual one.
 */
export const dwellingAreaFt2 = memo(
  (house: House): number =>
    Object.values(house.rooms)
      .filter(isCounted)
      .reduce((sum, room) => sum + grossIn2(house, room), 0) / 144,
  ({ rooms, levels }) => [rooms, levels],
);

/** Unfinished space in that area of which it is open whether it counts: its rooms, and how large they are, square feet. */
export const openArea = memo(
  (house: House): { readonly rooms: readonly Room[]; readonly ft2: number } => {
    const rooms = Object.values(house.rooms).filter(isOpen);
    return { rooms, ft2: rooms.reduce((sum, room) => sum + grossIn2(house, room), 0) / 144 };
  },
  ({ rooms, levels }) => [rooms, levels],
);

/** The same of some of its rooms. */
export const areaOfRoomsFt2 = (house: House, accepts: (room: Room) => boolean): number =>
  Object.values(house.rooms)
    .filter((room) => isCounted(room) && accepts(room))
    .reduce((sum, room) => sum + grossIn2(house, room), 0) / 144;
