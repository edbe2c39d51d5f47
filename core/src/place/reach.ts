import { HAIR_IN, type Interval } from '../geometry/intervals';
import { itemAt } from '../units/result';

/** How well a stretch is served by receptacles along it. */
export interface Reach {
  /** Parts farther from every receptacle than allowed. */
  readonly gaps: readonly Interval[];
  /** The farthest any point is from its nearest receptacle; Infinity where there is none. */
  readonly worstIn: number;
  /** Where that point is. */
  readonly worstAtIn: number;
}

/** A stretch to be served; an endless one is a closed loop. */
export interface Stretch extends Interval {
  readonly endless?: boolean;
}

/**
 * Places of receptacles that lie in a stretch, sorted, as distances from its start. A stretch over the loop's start sees
 * places near zero a whole loop further on.
 */
export function placesIn(stretch: Stretch, loopLengthIn: number, placesOnLoopIn: readonly number[]): number[] {
  const length = stretch.toIn - stretch.fromIn;
  const isWholeLoop = stretch.endless === true && Math.abs(length - loopLengthIn) < HAIR_IN;
  const last = isWholeLoop ? length - HAIR_IN : length + HAIR_IN;
  const places: number[] = [];
  for (const place of placesOnLoopIn)
    for (const at of [place - stretch.fromIn, place + loopLengthIn - stretch.fromIn])
      if (at >= -HAIR_IN && at <= last) places.push(Math.max(0, Math.min(length, at)));
  return places.sort((a, b) => a - b);
}

/**
 * Measures a stretch against receptacles at distances from its start. Exactly the allowed distance is covered.
 *
 * ```
 *   0 ......... p1 ................... p2 ..... length
 *   end: p1     between: (p2-p1)/2             end: length-p2
 * ```
 */
export function measureReach(stretch: Stretch, placesFromStartIn: readonly number[], allowedIn: number): Reach {
  const length = stretch.toIn - stretch.fromIn;
  if (placesFromStartIn.length === 0)
    return {
      gaps: [{ fromIn: stretch.fromIn, toIn: stretch.toIn }],
      worstIn: Infinity,
      worstAtIn: stretch.fromIn + length / 2,
    };
  const places = stretch.endless
    ? [itemAt(placesFromStartIn, -1) - length, ...placesFromStartIn, itemAt(placesFromStartIn, 0) + length]
    : placesFromStartIn;
  const gaps: Interval[] = [];
  let [worst, worstAt] = [0, itemAt(places, 0)];
  const consider = (from: number, to: number, distanceIn: number, at: number) => {
    const [clippedFrom, clippedTo] = [Math.max(0, from), Math.min(length, to)];
    if (distanceIn > worst + 1e-9) [worst, worstAt] = [distanceIn, Math.max(0, Math.min(length, at))];
    if (clippedTo - clippedFrom > HAIR_IN)
      gaps.push({ fromIn: stretch.fromIn + clippedFrom, toIn: stretch.fromIn + clippedTo });
  };
  if (!stretch.endless) consider(0, itemAt(places, 0) - allowedIn, itemAt(places, 0), 0);
  places.slice(1).forEach((at, i) => {
    const before = itemAt(places, i);
    consider(before + allowedIn, at - allowedIn, (at - before) / 2, (at + before) / 2);
  });
  if (!stretch.endless) consider(itemAt(places, -1) + allowedIn, length, length - itemAt(places, -1), length);
  return { gaps, worstIn: worst, worstAtIn: stretch.fromIn + worstAt };
}
