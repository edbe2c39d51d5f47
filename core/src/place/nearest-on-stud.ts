import type { Box, House } from '../house/schema';
import { isTakenFromBehind, overlap } from './back-to-back';
import { shadowsOver } from './obstructions';
import { viewRoom } from '../plan/room-view';
import { studFaces, type StudFace } from '../plan/studs';
import { fromLoop, toLoop, wallLoop, wrapIn } from '../plan/wall-loop';
import { roundToSixteenth } from '../units/length';

/** Least gap between two boxes, inches: *common practice*, room for their plates. */
const BETWEEN_BOXES_IN = 1;

/** Whether two boxes of a room leave room for each other's plates. */
export const areApart = (box: Box, other: Box): boolean =>
  other.id === box.id ||
  box.at.kind !== 'wall' ||
  other.at.kind !== 'wall' ||
  other.at.wall !== box.at.wall ||
  !overlap(other.at.alongIn - box.at.alongIn, other.at.heightIn - box.at.heightIn, box, other, BETWEEN_BOXES_IN);

/** A box on a wall moved along its room's walls to the nearest stud's side, where nothing else stands or shades it; undefined where none is free. */
export function nearestOnStud(house: House, box: Box): Box | undefined {
  const { at } = box;
  if (at.kind !== 'wall') return undefined;
  const view = viewRoom(house, box.room);
  const loop = wallLoop(view.room);
  const fromIn = toLoop(loop, at.wall, at.alongIn);
  const awayIn = ({ atIn }: StudFace) => Math.min(wrapIn(loop, atIn - fromIn), wrapIn(loop, fromIn - atIn));
  const faces = [...studFaces(view, at.heightIn, box.gangs)].sort((a, b) => awayIn(a) - awayIn(b));
  for (const { atIn } of faces) {
    const { wall, alongIn } = fromLoop(loop, atIn);
    const moved = { ...box, at: { ...at, wall: wall.id, alongIn: roundToSixteenth(alongIn) } };
    if (isTakenFromBehind(house, box.room, atIn, at.heightIn, box.gangs)) continue;
    if (view.boxes.every((other) => areApart(moved, other)) && shadowsOver(view, moved).length === 0) return moved;
  }
  return undefined;
}
