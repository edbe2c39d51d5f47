import { distance, distanceToSegment, type Point } from '../geometry/geometry';
import type { Box, Feature } from '../house/schema';
import { featureOutline, placeOf } from './points';
import type { RoomView } from './room-view';
import { wallLoop } from './wall-loop';

type Side = readonly [Point, Point];

const middleOf = ([a, b]: Side): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** The end of a peninsula that stands out into the room: away from its wall, or the short side farthest from every wall. */
export function outerEnd(view: RoomView, peninsula: Feature): Side {
  const outline = featureOutline(view.room, peninsula);
  const sides = outline.map((from, i): Side => [from, outline[(i + 1) % outline.length]!]);
  if (peninsula.at.kind === 'wall') return sides[2]!;
  const { walls } = wallLoop(view.room);
  const fromWalls = (side: Side) =>
    Math.min(...walls.map((wall) => distanceToSegment(middleOf(side), wall.from, wall.to)));
  const least = Math.min(...sides.map((side) => distance(...side)));
  return sides
    .filter((side) => distance(...side) < least + 0.5)
    .reduce((best, side) => (fromWalls(side) > fromWalls(best) ? side : best));
}

/** How far a box is from the outer end of a peninsula, inches. */
export const fromOuterEnd = (view: RoomView, peninsula: Feature, box: Box): number =>
  distanceToSegment(placeOf(view, box), ...outerEnd(view, peninsula));

/**
 * Length of a peninsula out into the room, inches: from the wall behind it, or from the edge where it joins the counter that runs
 * along that wall. Drawn free, it is taken to begin at that edge.
 */
export function peninsulaLengthIn(view: RoomView, peninsula: Feature, from: 'wall' | 'edge'): number {
  const { at } = peninsula;
  if (at.kind === 'free') {
    const long = Math.max(at.widthIn, at.depthIn);
    if (from === 'edge') return long;
    const { walls } = wallLoop(view.room);
    const end = middleOf(outerEnd(view, peninsula));
    const inner = featureOutline(view.room, peninsula).map((corner) => distance(corner, end));
    const gap = Math.min(
      ...featureOutline(view.room, peninsula)
        .filter((_, i) => inner[i]! > long * 0.5)
        .flatMap((corner) => walls.map((wall) => distanceToSegment(corner, wall.from, wall.to))),
    );
    return long + gap;
  }
  const out = at.behindIn + at.depthIn;
  if (from === 'wall') return out;
  const joined = view.features.flatMap((one) =>
    one.kind === 'counter' &&
    one.at.kind === 'wall' &&
    one.at.wall === at.wall &&
    one.at.alongIn <= at.alongIn + at.widthIn + 1 &&
    one.at.alongIn + one.at.widthIn >= at.alongIn - 1
      ? [one.at.behindIn + one.at.depthIn]
      : [],
  );
  return out - Math.max(0, ...joined);
}
