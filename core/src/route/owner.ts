import type { House, Room } from '../house/schema';
import { memo } from '../cache/memo';
import { OUTDOOR_KINDS } from '../place/outdoors';
import { facingOf, projectOnto } from '../plan/facing';
import { viewRoom } from '../plan/room-view';
import { isFramedAt } from '../plan/studs';
import { fromLoop, wallLoop, wrapIn, type LoopWall } from '../plan/wall-loop';

/** A place on a wall, inches along the loop of a room. */
export interface WallPlace {
  readonly room: string;
  readonly atIn: number;
}

/** A stretch of one room's wall that another room's drawing of the same wall stands for. */
interface Owned {
  readonly wall: LoopWall;
  readonly fromIn: number;
  readonly toIn: number;
  readonly owner: string;
  readonly ownerWall: LoopWall;
}

/**
 * A wall between two rooms is framed once, though both see it: its studs are those that one of them has laid, a room of the house before
 * one outdoors, otherwise the first by id.
 */
function isBefore(house: House, a: string, b: string): boolean {
  const out = (id: string) => OUTDOOR_KINDS.has(house.rooms[id]!.kind);
  return out(a) === out(b) ? a < b : !out(a);
}

const ownedStretches = memo(
  (house: House, room: Room): readonly Owned[] =>
    facingOf(house, room).flatMap(({ other, wall, otherWall, fromIn, toIn }) => {
      if (!isBefore(house, other.id, room.id)) return [];
      if (!isFramedAt(viewRoom(house, other.id), otherWall.id)) return [];
      return [{ wall, fromIn, toIn, owner: other.id, ownerWall: otherWall }];
    }),
  ({ rooms }, room) => [room, rooms],
);

/** Where a place on a room's wall is in the drawing that its framing follows: the same place where no other room owns the wall. */
export function ownerOf(house: House, { room, atIn }: WallPlace): WallPlace {
  const drawn = house.rooms[room]!;
  const loop = wallLoop(drawn);
  const { wall, alongIn } = fromLoop(loop, wrapIn(loop, atIn));
  for (const one of ownedStretches(house, drawn)) {
    if (one.wall.id !== wall.id || alongIn < one.fromIn || alongIn > one.toIn) continue;
    const [on] = projectOnto(one.ownerWall, wall, alongIn, alongIn);
    const along = Math.max(0, Math.min(one.ownerWall.lengthIn, on));
    return { room: one.owner, atIn: one.ownerWall.startIn + along };
  }
  return { room, atIn };
}
