import { formatLength } from '../units/length';
import { distance } from '../geometry/geometry';
import type { Report } from './remember';
import type { House, Room } from './schema';
import { itemAt } from '../units/result';

/** Length of the wall that starts at a corner, inches; undefined when the room has no such corner. */
export function wallLengthIn(room: Room, wall: string): number | undefined {
  const index = room.corners.findIndex((corner) => corner.id === wall);
  if (index < 0) return undefined;
  return distance(itemAt(room.corners, index), itemAt(room.corners, (index + 1) % room.corners.length));
}

interface OnWall {
  readonly room: string;
  readonly wall: string;
  readonly fromIn: number;
  readonly toIn: number;
}

/** Reports a stretch that its wall does not have room for. */
export function checkOnWall(house: House, spot: OnWall, path: string, what: string, report: Report): void {
  const room = house.rooms[spot.room];
  if (!room) return;
  const lengthIn = wallLengthIn(room, spot.wall);
  if (lengthIn === undefined)
    report('dangling', `${path}.wall`, `${what} names wall "${spot.wall}", which ${room.name} does not have.`);
  else if (spot.toIn - spot.fromIn > lengthIn + 0.01)
    report(
      'too-wide',
      `${path}.widthIn`,
      `${what} is ${formatLength(spot.toIn - spot.fromIn)} wide and its wall in ${room.name} only ${formatLength(lengthIn)}. Make it narrower or choose a longer wall.`,
    );
  else if (spot.toIn > lengthIn + 0.01 || spot.fromIn < -0.01)
    report(
      'off-wall',
      `${path}.alongIn`,
      `${what} reaches past the end of its wall in ${room.name} (${formatLength(lengthIn)} long). Slide it back.`,
    );
}
