import { remembering } from '../house/remember';
import type { House, Level, RoomKind } from '../house/schema';

/** Whether a level lies below grade, and so is a basement: what the code asks for there does not go by the name of a room. */
type Grade = 'below' | 'above' | 'not-known';

const BASEMENT_ROOMS: ReadonlySet<RoomKind> = new Set<RoomKind>(['basement-unfinished', 'basement-finished']);

/** The levels that hold a room which somebody has called a basement. */
const levelsWithBasementRooms = remembering(
  ({ rooms }): ReadonlySet<string> =>
    new Set(Object.values(rooms).flatMap((room) => (BASEMENT_ROOMS.has(room.kind) ? [room.level] : []))),
  ({ rooms }) => [rooms],
);

/**
 * The grade of a level. It is below where somebody has said so, and not known where a floor under grade or a room that is called a
 * basement suggests it and nobody has: a walk-out, a split level, or a mistake. That is asked, not guessed.
 */
export function gradeOf(house: House, level: Level): Grade {
  if (level.belowGrade) return 'below';
  return level.elevationIn < 0 || levelsWithBasementRooms(house).has(level.id) ? 'not-known' : 'above';
}
