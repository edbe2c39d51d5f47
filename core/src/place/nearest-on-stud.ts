import type { Box } from '../house/schema';
import { shadowsOver } from './obstructions';
import { HALF_BOX_HEIGHT_IN, halfBoxWidthIn } from '../plan/framing-sizes';
import type { RoomView } from '../plan/room-view';
import { studFaces } from '../plan/studs';
import { fromLoop, toLoop, wallLoop, wrapIn } from '../plan/wall-loop';
import { roundToSixteenth } from '../units/length';

/** Least gap between two boxes, inches: *common practice*, room for their plates. */
const BETWEEN_BOXES_IN = 1;

const areApart = (box: Box, other: Box): boolean =>
  other.id === box.id ||
  box.at.kind !== 'wall' ||
  other.at.kind !== 'wall' ||
  other.at.wall !== box.at.wall ||
  Math.abs(other.at.heightIn - box.at.heightIn) >= 2 * HALF_BOX_HEIGHT_IN + BETWEEN_BOXES_IN ||
  Math.abs(other.at.alongIn - box.at.alongIn) >=
    halfBoxWidthIn(box.gangs) + halfBoxWidthIn(other.gangs) + BETWEEN_BOXES_IN;

/** A box on a wall moved along its room's walls to the nearest stud's side, where nothing else stands or shades it; undefined where none is free. */
export function nearestOnStud(view: RoomView, box: Box): Box | undefined {
  const { at } = box;
  if (at.kind !== 'wall') return undefined;
  const loop = wallLoop(view.room);
  const atIn = toLoop(loop, at.wall, at.alongIn);
  const awayIn = (faceIn: number) => Math.min(wrapIn(loop, faceIn - atIn), wrapIn(loop, atIn - faceIn));
  const faces = [...studFaces(view, at.heightIn, box.gangs)].sort((a, b) => awayIn(a.atIn) - awayIn(b.atIn));
  for (const face of faces) {
    const { wall, alongIn } = fromLoop(loop, face.atIn);
    const moved = { ...box, at: { ...at, wall: wall.id, alongIn: roundToSixteenth(alongIn) } };
    if (view.boxes.every((other) => areApart(moved, other)) && shadowsOver(view, moved).length === 0) return moved;
  }
  return undefined;
}
