import { boundsOf } from '../geometry/geometry';
import type { Corner, Room } from '../house/schema';
import { rectangleCorners } from './verbs';

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
