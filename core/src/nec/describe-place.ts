import type { Interval } from '../geometry/intervals';
import type { RoomView } from '../plan/room-view';
import { fromLoop, wallLoop } from '../plan/wall-loop';
import { wallsUnder } from '../plan/wall-spaces';
import { formatLength } from '../units/length';

/** The walls under a stretch by their compass names: "north-east". */
export const formatStretch = (view: RoomView, stretch: Interval): string =>
  [...new Set(wallsUnder(view, stretch))].join('-') || 'short';

/** Where a stretch begins, for finding it with a tape. */
export function nearestCorner(view: RoomView, stretch: Interval): string {
  const { wall, alongIn } = fromLoop(wallLoop(view.room), stretch.fromIn);
  return alongIn < 1
    ? `from the start of the ${wall.name} wall`
    : `from ${formatLength(alongIn)} along the ${wall.name} wall`;
}
