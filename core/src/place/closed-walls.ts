import type { House } from '../house/schema';
import { OUTDOOR_KINDS } from './outdoors';
import { facingOf } from '../plan/facing';
import { fromLoop, wallLoop } from '../plan/wall-loop';
import { mustGet } from '../units/result';

/**
 * Whether the wall at a place of a room's floor line stays closed: its room's walls do, and no room behind it is opened up. Nothing is
 * bored there; a cable is fished up or down in the bay, and needs no staples (NEC 334.30(B)(1)).
 */
export function isClosedAt(house: House, roomId: string, alongLoopIn: number): boolean {
  const room = mustGet(house.rooms, roomId);
  if (!room.closed) return false;
  const loop = wallLoop(room);
  const { wall, alongIn } = fromLoop(loop, ((alongLoopIn % loop.lengthIn) + loop.lengthIn) % loop.lengthIn);
  return facingOf(house, room).every(
    (behind) =>
      behind.wall.id !== wall.id ||
      alongIn < behind.fromIn ||
      alongIn > behind.toIn ||
      behind.other.closed === true ||
      // Siding is not taken off for a cable.
      OUTDOOR_KINDS.has(behind.other.kind),
  );
}
