import type { House, Room } from '../house/schema';
import { facingOf } from '../plan/facing';
import { viewRoom } from '../plan/room-view';
import { wallLoop, type LoopWall } from '../plan/wall-loop';
import { OUTDOOR_KINDS } from './outdoors';

/** A stretch of a side of a place outdoors behind which the house stands, inches along it. */
interface HouseWall {
  readonly wall: LoopWall;
  readonly fromIn: number;
  readonly toIn: number;
}

/**
 * Where a place outdoors borders the house: what faces its rooms, and every side with a door or a window in it. The other sides are where a yard or a
 * deck ends, and nothing hangs there by itself.
 */
export function houseWalls(house: House, room: Room): readonly HouseWall[] {
  const pierced = new Set(viewRoom(house, room.id).openings.map((seen) => seen.wall));
  return [
    ...facingOf(house, room).filter((one) => !OUTDOOR_KINDS.has(one.other.kind)),
    ...wallLoop(room)
      .walls.filter((wall) => pierced.has(wall.id))
      .map((wall) => ({ wall, fromIn: 0, toIn: wall.lengthIn })),
  ];
}

/** Whether a place on a side is on the house. */
export const isOnHouse = (
  walls: readonly HouseWall[],
  at: { readonly wall: string; readonly alongIn: number },
): boolean => walls.some((one) => one.wall.id === at.wall && at.alongIn >= one.fromIn && at.alongIn <= one.toIn);
