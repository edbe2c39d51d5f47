import type { House } from '../house/schema';
import { facingOf } from './facing';
import { viewRoom } from './room-view';
import { fromLoop, wallLoop } from './wall-loop';
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
  return facingOf(house, viewRoom(house, roomId).room).every(
    (behind) =>
      behind.wall.id !== wall.id || alongIn < behind.fromIn || alongIn > behind.toIn || behind.other.closed === true,
  );
}
