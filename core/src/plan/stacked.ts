import { polygonsOverlap } from '../geometry/geometry';
import type { House } from '../house/schema';

/** The rooms straight above and below a room on the neighboring levels, by name. */
export function roomsOver(house: House, roomId: string): { readonly above: string[]; readonly below: string[] } {
  const room = house.rooms[roomId]!;
  const levels = Object.values(house.levels).sort((a, b) => a.elevationIn - b.elevationIn);
  const at = levels.findIndex((level) => level.id === room.level);
  const on = (i: number) =>
    levels[i]
      ? Object.values(house.rooms)
          .filter((other) => other.level === levels[i]!.id && polygonsOverlap(other.corners, room.corners))
          .map((other) => other.name)
      : [];
  return { above: on(at + 1), below: on(at - 1) };
}
