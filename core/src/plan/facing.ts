import { boundsOf, type Bounds } from '../geometry/geometry';
import { memo } from '../cache/memo';
import type { House, Room } from '../house/schema';
import { groupBy } from '../units/group-by';
import { wallLoop, type LoopWall } from './wall-loop';

/** The thickest wall between two rooms across which an opening is seen from both sides, inches. */
export const THICKEST_WALL_IN = 16;

/** A wall of a neighbor behind one of the room's, and from where to where along it, inches; not clipped to its ends. */
interface Overlap {
  readonly other: Room;
  readonly wall: LoopWall;
  readonly otherWall: LoopWall;
  readonly fromIn: number;
  readonly toIn: number;
  /** From face to face. */
  readonly thicknessIn: number;
}

/** How thick the wall between two walls that run opposite ways is, face to face; undefined where they are not back to back. */
function thicknessBetween(wall: LoopWall, other: LoopWall): number | undefined {
  const { unit, from } = wall;
  if (unit.x * other.unit.x + unit.y * other.unit.y > -0.999) return undefined;
  const outward = (other.from.x - from.x) * unit.y - (other.from.y - from.y) * unit.x;
  return outward > -0.5 && outward <= THICKEST_WALL_IN ? outward : undefined;
}

/** Where a stretch of another wall lies on this one: from and to, inches from this wall's start; not clipped. */
export function projectOnto(wall: LoopWall, other: LoopWall, fromIn: number, toIn: number): readonly [number, number] {
  const { unit, from } = wall;
  const along = (s: number) =>
    (other.from.x + other.unit.x * s - from.x) * unit.x + (other.from.y + other.unit.y * s - from.y) * unit.y;
  return [along(toIn), along(fromIn)];
}

interface Placed {
  readonly room: Room;
  readonly bounds: Bounds;
}

/** The rooms of each level with their bounds, from west to east. */
const placedByLevel = memo((rooms: House['rooms']): ReadonlyMap<string, readonly Placed[]> => {
  const placed = Object.values(rooms).map((room): Placed => ({ room, bounds: boundsOf(room.corners) }));
  placed.sort((a, b) => a.bounds.minX - b.bounds.minX);
  return groupBy(placed, (one) => one.room.level);
});

const nearEnough = (a: Bounds, b: Bounds): boolean =>
  a.minX - THICKEST_WALL_IN <= b.maxX &&
  b.minX - THICKEST_WALL_IN <= a.maxX &&
  a.minY - THICKEST_WALL_IN <= b.maxY &&
  b.minY - THICKEST_WALL_IN <= a.maxY;

function facingWalls(room: Room, other: Room): Overlap[] {
  const found: Overlap[] = [];
  for (const wall of wallLoop(room).walls)
    for (const otherWall of wallLoop(other).walls) {
      const thicknessIn = thicknessBetween(wall, otherWall);
      if (thicknessIn === undefined) continue;
      const [fromIn, toIn] = projectOnto(wall, otherWall, 0, otherWall.lengthIn);
      if (Math.min(toIn, wall.lengthIn) - Math.max(fromIn, 0) > 0.5)
        found.push({ other, wall, otherWall, fromIn, toIn, thicknessIn });
    }
  return found;
}

/** Rooms of the same level whose bounds come as near as a wall is thick, in the order of the file. */
function neighborsOf(house: House, room: Room): readonly Room[] {
  const bounds = boundsOf(room.corners);
  const near: Room[] = [];
  for (const other of placedByLevel(house.rooms).get(room.level) ?? []) {
    if (other.bounds.minX > bounds.maxX + THICKEST_WALL_IN) break;
    if (other.room.id !== room.id && nearEnough(bounds, other.bounds)) near.push(other.room);
  }
  if (near.length < 2) return near;
  const order = orderOf(house.rooms);
  return near.sort((a, b) => order.get(a.id)! - order.get(b.id)!);
}

const orderOf = memo(
  (rooms: House['rooms']): ReadonlyMap<string, number> => new Map(Object.keys(rooms).map((id, i) => [id, i])),
);

/** The rooms whose walls stand back to back with this room's, each wall pair once. Remembered by the set of rooms. */
export const facingOf = memo(
  (house: House, room: Room): readonly Overlap[] =>
    neighborsOf(house, room).flatMap((other) => facingWalls(room, other)),
  ({ rooms }, room) => [room, rooms],
);
