import { cutLoop, type Interval } from '../geometry/intervals';
import { perShell, type RoomView, type SeenOpening } from './room-view';
import { isFramedAt } from './studs';
import { stretchBefore, toLoop, wallLoop } from './wall-loop';

/** An opening whose sill is lower than this leaves no studs to run a cable through below it, inches: *common practice*. */
const LEAST_SILL_IN = 12;

/** Stretches of a loop where nothing stands to be bored at any height: walls without studs, fireplaces. Inches. */
export function unframedStretches(view: RoomView): Interval[] {
  const loop = wallLoop(view.room);
  const cuts: Interval[] = [];
  for (const wall of loop.walls)
    if (!isFramedAt(view, wall.id)) cuts.push({ fromIn: wall.startIn, toIn: wall.startIn + wall.lengthIn });
  for (const { kind, at } of view.features)
    if (kind === 'fireplace' && at.kind === 'wall') cuts.push(stretchBefore(loop, at));
  return cuts;
}

/** How high the wall below an opening may be bored, inches above the floor; 0 where nothing stands there. */
export const openBelow = ({ opening }: SeenOpening): number =>
  opening.kind === 'window' && opening.sillIn >= LEAST_SILL_IN ? opening.sillIn : 0;

/**
 * Stretches of a room's walls, inches along its loop, that a cable may be run through from stud to stud, around corners too: they end
 * at openings that come down to the floor, at fireplaces, and where a wall is not framed. A stretch over the loop's start runs past
 * its length. *Common practice*.
 */
export const drillableStretches = perShell((view: RoomView): readonly Interval[] => {
  const loop = wallLoop(view.room);
  const cuts = view.openings
    .filter((seen) => openBelow(seen) === 0)
    .map(({ wall, alongIn, widthIn }): Interval => {
      const fromIn = toLoop(loop, wall, alongIn);
      return { fromIn, toIn: fromIn + widthIn };
    });
  return cutLoop(loop.lengthIn, [...cuts, ...unframedStretches(view)]);
});
