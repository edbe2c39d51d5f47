import { areaFt2 } from '../../geometry/geometry';
import { wallLoop } from '../../plan/wall-loop';
import type { Room } from '../../house/schema';

/**
 * Length of a hall's centerline: half the floor line less the hall's width, which holds for a straight or a bent hall
 * of even width. The width is the one for which area and floor line agree with such a hall.
 */
function hallLengthIn(areaIn2: number, floorLineIn: number): number {
  const half = floorLineIn / 2;
  // length + width = half, length × width = area.
  return half / 2 + Math.sqrt(Math.max(0, (half / 2) ** 2 - areaIn2));
}

/** Length of a hallway along its middle, inches. */
export const lengthOfHallIn = (room: Room): number =>
  hallLengthIn(areaFt2(room.corners) * 144, wallLoop(room).lengthIn);
