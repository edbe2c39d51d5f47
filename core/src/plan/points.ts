import { distanceToSegment, isInside, type Point } from '../geometry/geometry';
import type { Box, Feature, House, Room } from '../house/schema';
import { wallOf, type RoomView } from './room-view';
import { acrossCorner, findWall, pointOnWall, rectangleOnWall, wallLoop } from './wall-loop';

/** Where a box stands on the plan; one on a wall lies on its inside face. */
export function boxPoint(house: House, box: Box): Point {
  if (box.at.kind !== 'wall') return { x: box.at.x, y: box.at.y };
  const wall = findWall(wallLoop(house.rooms[box.room]!), box.at.wall);
  if (!wall) throw new Error(`Box ${box.tag} names wall "${box.at.wall}", which its room does not have`);
  return pointOnWall(wall, box.at.alongIn);
}

/** The outline of a feature on the plan. */
export function featureOutline(room: Room, feature: Feature): Point[] {
  const { at } = feature;
  if (at.kind === 'wall') {
    const wall = findWall(wallLoop(room), at.wall);
    if (!wall)
      throw new Error(`The ${feature.kind} of ${room.name} names wall "${at.wall}", which the room does not have`);
    return at.acrossCorner ? acrossCorner(wallLoop(room), at).outline : rectangleOnWall(wall, at);
  }
  const { x, y, widthIn, depthIn } = at;
  return [
    { x, y },
    { x: x + widthIn, y },
    { x: x + widthIn, y: y + depthIn },
    { x, y: y + depthIn },
  ];
}

/** The mean of a feature's corners. */
export function featureMiddle(room: Room, feature: Feature): Point {
  const outline = featureOutline(room, feature);
  const mean = (of: (one: Point) => number) => outline.reduce((sum, one) => sum + of(one), 0) / outline.length;
  return { x: mean((one) => one.x), y: mean((one) => one.y) };
}

/** Where a box of a room stands on the plan, from the room's view alone. */
export function placeOf(view: RoomView, box: Box): Point {
  if (box.at.kind !== 'wall') return { x: box.at.x, y: box.at.y };
  return pointOnWall(wallOf(view, box.at.wall), box.at.alongIn);
}

/** Horizontal distance from a point to the edge of a feature, inches; 0 inside it. */
export function distanceToFeature(room: Room, feature: Feature, point: Point): number {
  const outline = featureOutline(room, feature);
  if (isInside(point, outline)) return 0;
  return Math.min(...outline.map((corner, i) => distanceToSegment(point, corner, outline[(i + 1) % outline.length]!)));
}
