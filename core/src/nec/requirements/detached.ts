import { boundsOf } from '../../geometry/geometry';
import type { RoomKind } from '../../house/schema';
import type { RoomView } from '../../plan/room-view';
import { OUTDOOR_KINDS } from '../../place/outdoors';

/** Two rooms farther apart than any wall is thick share none, inches. *Common practice*. */
const NO_SHARED_WALL_IN = 24;
const NOT_THE_HOUSE: ReadonlySet<RoomKind> = new Set<RoomKind>([...OUTDOOR_KINDS, 'garage', 'accessory-building']);

/** Whether a garage stands apart: no room of the house on its level is as near as a wall is thick. */
function isDetached(garage: RoomView, views: readonly RoomView[]): boolean {
  const own = boundsOf(garage.room.corners);
  return !views.some(({ room, level }) => {
    if (level !== garage.level || NOT_THE_HOUSE.has(room.kind)) return false;
    const other = boundsOf(room.corners);
    return (
      other.minX < own.maxX + NO_SHARED_WALL_IN &&
      other.maxX > own.minX - NO_SHARED_WALL_IN &&
      other.minY < own.maxY + NO_SHARED_WALL_IN &&
      other.maxY > own.minY - NO_SHARED_WALL_IN
    );
  });
}

/** A garage that stands apart and has no box: it may have no power, and then nothing is asked of it (210.52(G), 210.70(A)(2)). */
export const mayHaveNoPower = (garage: RoomView, views: readonly RoomView[]): boolean =>
  garage.boxes.length === 0 && isDetached(garage, views);
