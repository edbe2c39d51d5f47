import { memo } from '../cache/memo';
import type { Grade, House, Level, Room, RoomKind } from '../house/schema';

const BASEMENT_ROOMS: ReadonlySet<RoomKind> = new Set<RoomKind>(['basement-unfinished', 'basement-finished']);

/** The levels that hold a room which somebody has called a basement. */
const levelsWithBasementRooms = memo(
  ({ rooms }: House): ReadonlySet<string> =>
    new Set(Object.values(rooms).flatMap((room) => (BASEMENT_ROOMS.has(room.kind) ? [room.level] : []))),
  ({ rooms }) => [rooms],
);

/**
 * The grade of a level. It is what somebody has said, and not known where a floor under grade or a room that is called a
 * basement suggests it and nobody has: a walk-out, a split level, or a mistake. That is asked, not guessed.
 */
export function gradeOf(house: House, level: Level): Grade {
  if (level.grade !== 'not-known') return level.grade;
  return level.elevationIn < 0 || levelsWithBasementRooms(house).has(level.id) ? 'not-known' : 'above';
}

/**
 * The grade of a room: that of its level, but for what is said of the room itself, as in a walk-out or on a split level. A room that is
 * called a basement on a level that is marked above grade contradicts itself: that is asked as well, until the room says which it is.
 */
export function gradeOfRoom(house: House, room: Room): Grade {
  if (room.grade) return room.grade;
  const grade = gradeOf(house, house.levels[room.level]!);
  return grade === 'above' && BASEMENT_ROOMS.has(room.kind) ? 'not-known' : grade;
}
