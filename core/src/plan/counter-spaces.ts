import type { Feature } from '../house/schema';
import { cutIntervals, joinIntervals, type Interval } from '../geometry/intervals';
import { perRoom, type RoomView } from './room-view';
import { stretchBefore, wallLoop } from './wall-loop';

/** A stretch of wall line above a counter, between the things that divide it: NEC 210.52(C)(1). Inches along the loop. */
export interface CounterSpace extends Interval {
  /** Top of the counter above the floor. */
  readonly heightIn: number;
}

const DIVIDERS: ReadonlySet<Feature['kind']> = new Set(['sink', 'range', 'cooktop']);
const ENDERS: ReadonlySet<Feature['kind']> = new Set(['refrigerator', 'tall-cabinet', 'range']);

/**
 * Counter behind a sink, range or cooktop at least this deep needs to be served as well: 210.52(C)(1) Exception and figure,
 * 12 in on a straight wall, 18 in from the back of one set across a corner to the corner.
 */
const leastBehind = (at: { acrossCorner?: boolean | undefined }): number => (at.acrossCorner ? 18 : 12);

/** The wall counter spaces of a room, legs around an inside corner joined, in order along the loop. */
export const measureCounterSpaces = perRoom((view: RoomView): readonly CounterSpace[] => {
  const loop = wallLoop(view.room);
  const onWall = (feature: Feature): Interval[] => {
    if (feature.at.kind !== 'wall') return [];
    const stretch = stretchBefore(loop, feature.at);
    if (stretch.toIn <= loop.lengthIn + 0.02) return [stretch];
    return [
      { ...stretch, toIn: loop.lengthIn },
      { fromIn: 0, toIn: stretch.toIn - loop.lengthIn },
    ];
  };
  const counters = view.features.filter((feature) => feature.kind === 'counter');
  const runs = joinIntervals(counters.flatMap(onWall));
  const heightIn = Math.max(0, ...counters.map((counter) => counter.heightIn));
  const dividers = view.features
    .filter(
      (feature) =>
        (ENDERS.has(feature.kind) && !(feature.at.kind === 'wall' && feature.at.acrossCorner)) ||
        (DIVIDERS.has(feature.kind) && feature.at.kind === 'wall' && feature.at.behindIn < leastBehind(feature.at)),
    )
    .flatMap(onWall);
  const spaces = runs.flatMap((run) => cutIntervals(run, dividers)).map((space) => ({ ...space, heightIn }));

  // A counter run over the loop's start is one space: its legs meet at the first corner.
  const [first, last] = [spaces[0], spaces.at(-1)];
  if (spaces.length > 1 && first && last && first.fromIn < 0.02 && last.toIn > loop.lengthIn - 0.02)
    return [...spaces.slice(1, -1), { ...last, toIn: loop.lengthIn + first.toIn }];
  return spaces;
});
