import { boundsOf } from '../geometry/geometry';
import type { Point } from '../geometry/geometry';
import type { Edited } from '../house/edit';
import type { Corner, House, Room, RoomKind } from '../house/schema';
import type { Result } from '../units/result';
import { nameRoom } from '../house/room-names';
import { addEntity, choosePrefix, rectangleCorners, turnClockwise } from './verbs';
import type { NewId } from '../house/new-box';

export type Side = 'north' | 'south' | 'east' | 'west';

/**
 * Corners of a rectangular room set against one side of a neighbor's bounding rectangle with a wall between, inches.
 * `offsetIn` shifts it along that side from the neighbor's left or top edge.
 */
export function setAgainst(
  neighbor: Room,
  side: Side,
  size: { readonly widthIn: number; readonly depthIn: number },
  wallThicknessIn: number,
  offsetIn = 0,
): Corner[] {
  const box = boundsOf(neighbor.corners);
  const { widthIn, depthIn } = size;
  switch (side) {
    case 'north':
      return rectangleCorners(box.minX + offsetIn, box.minY - wallThicknessIn - depthIn, widthIn, depthIn);
    case 'south':
      return rectangleCorners(box.minX + offsetIn, box.maxY + wallThicknessIn, widthIn, depthIn);
    case 'east':
      return rectangleCorners(box.maxX + wallThicknessIn, box.minY + offsetIn, widthIn, depthIn);
    case 'west':
      return rectangleCorners(box.minX - wallThicknessIn - widthIn, box.minY + offsetIn, widthIn, depthIn);
  }
}

/** A new room with an outline, in whichever direction it was drawn. */
export function addRoom(
  house: House,
  level: string,
  kind: RoomKind,
  outline: readonly Point[],
  newId: NewId,
  name = nameRoom(house, kind),
): Result<Edited> {
  const corners = turnClockwise(outline).map(({ x, y }, i) => ({ id: `c${i}`, x, y, wall: 'solid' as const }));
  return addEntity(house, 'rooms', {
    id: newId('room'),
    level,
    name,
    kind,
    prefix: choosePrefix(house, name),
    corners,
    ...(kind === 'garage' ? { bays: 1 } : {}),
  });
}
