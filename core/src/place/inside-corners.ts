import { halfBoxWidthIn } from '../plan/framing-sizes';
import { perRoom, type RoomView } from '../plan/room-view';
import { straightRuns, wallLoop } from '../plan/wall-loop';
import { itemAt } from '../units/result';

/** A box so near before an inside corner is behind furniture and hard to plug into: *common practice*, where a stud elsewhere serves. */
const BEFORE_CORNER_IN = 4;

/** Places along a room's walls where two of them meet in an inside corner, inches along the loop. */
const insideCorners = perRoom((view: RoomView): readonly number[] => {
  const lines = straightRuns(wallLoop(view.room));
  return lines.flatMap((line, i) => {
    const [before, here] = [itemAt(itemAt(lines, i - 1), -1), itemAt(line, 0)];
    if (before.boundary === 'open' || here.boundary === 'open') return [];
    // Outlines run clockwise: a turn to the right is a corner that one stands in.
    const turn = before.unit.x * here.unit.y - before.unit.y * here.unit.x;
    return turn > 0.1 ? [here.startIn] : [];
  });
});

/** How far the edge of a box of one gang is from the nearest inside corner of its room, inches; Infinity where there is none. */
export function awayFromCorners(view: RoomView, atLoopIn: number): number {
  const { lengthIn } = wallLoop(view.room);
  const half = halfBoxWidthIn(1);
  return insideCorners(view).reduce((least, corner) => {
    const apart = Math.abs(atLoopIn - corner) % lengthIn;
    return Math.min(least, Math.min(apart, lengthIn - apart) - half);
  }, Infinity);
}

/** Whether a place on the wall loop lies too near an inside corner for a box, inches along the loop. */
export const isInCorner = (view: RoomView, atLoopIn: number): boolean =>
  awayFromCorners(view, atLoopIn) < BEFORE_CORNER_IN;
