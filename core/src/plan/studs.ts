import { openingBreak } from './wall-spaces';
import { perRoom, type RoomView } from './room-view';
import { toLoop, wallLoop } from './wall-loop';

/** Actual thickness of a stud's edge, inches. */
export const STUD_WIDTH_IN = 1.5;
/** Half the width of a single-gang box, inches: *common practice* for plastic nail-on boxes. */
const HALF_BOX_IN = 1.125;

/** A stud behind a wall, by its centre, inches along the loop. */
export interface Stud {
  readonly atIn: number;
  readonly kind: 'common' | 'king' | 'end';
}

/**
 * Studs on the level's spacing from each wall's starting corner, one at each end, one at each side of every opening.
 * Where the true layout is not known this is the usual one: *common practice*.
 */
export const layStuds = perRoom((view: RoomView): readonly Stud[] => {
  const loop = wallLoop(view.room);
  return loop.walls.flatMap((wall) => {
    if (wall.boundary === 'open' || wall.boundary === 'railing') return [];
    const gaps = view.openings.filter((seen) => seen.wall === wall.id);
    const isFree = (atIn: number) => gaps.every((gap) => atIn < gap.alongIn || atIn > gap.alongIn + gap.widthIn);
    const spots: Stud[] = [];
    const add = (atIn: number, kind: Stud['kind']) => {
      if (atIn < 0 || atIn > wall.lengthIn || !isFree(atIn)) return;
      if (spots.some((stud) => Math.abs(stud.atIn - atIn) < STUD_WIDTH_IN)) return;
      spots.push({ atIn, kind });
    };
    add(STUD_WIDTH_IN / 2, 'end');
    add(wall.lengthIn - STUD_WIDTH_IN / 2, 'end');
    for (const gap of gaps) {
      add(gap.alongIn - 2.25, 'king');
      add(gap.alongIn + gap.widthIn + 2.25, 'king');
    }
    for (let atIn = view.level.studSpacingIn; atIn < wall.lengthIn; atIn += view.level.studSpacingIn)
      add(atIn, 'common');
    const startIn = toLoop(loop, wall.id, 0);
    return spots.map((stud) => ({ ...stud, atIn: startIn + stud.atIn })).sort((a, b) => a.atIn - b.atIn);
  });
});

/** A place where a box can be nailed to a stud's side: its centre, inches along the loop. */
export interface StudFace {
  readonly atIn: number;
  readonly studIn: number;
  readonly side: 'left' | 'right';
}

/** Places for a single-gang box on real stud faces, clear of openings at that height. */
export function studFaces(view: RoomView, heightIn: number): StudFace[] {
  const loop = wallLoop(view.room);
  const blocked = view.openings
    .filter(
      (seen) =>
        openingBreak(seen) !== undefined ||
        seen.opening.kind === 'fixed-glass' ||
        (seen.opening.kind === 'window' && seen.opening.sillIn < heightIn + 4 && seen.opening.headIn > heightIn - 4),
    )
    .map((seen) => {
      const fromIn = toLoop(loop, seen.wall, seen.alongIn);
      const whole =
        seen.opening.kind === 'slider' ||
        seen.opening.kind === 'fixed-glass' ||
        seen.opening.kind === 'window' ||
        seen.opening.kind === 'door';
      // Casing takes about 2 1/4 in beside an opening: common practice.
      return {
        fromIn: fromIn - (whole ? 2.25 : 0) - HALF_BOX_IN,
        toIn: fromIn + seen.widthIn + (whole ? 2.25 : 0) + HALF_BOX_IN,
      };
    });
  const offset = STUD_WIDTH_IN / 2 + HALF_BOX_IN;
  return layStuds(view).flatMap((stud) => {
    const wall = loop.walls.findLast((one) => one.startIn <= stud.atIn)!;
    return (['left', 'right'] as const)
      .map((side): StudFace => ({ studIn: stud.atIn, side, atIn: stud.atIn + (side === 'left' ? -offset : offset) }))
      .filter(
        ({ atIn }) =>
          atIn >= wall.startIn + HALF_BOX_IN + 0.5 && atIn <= wall.startIn + wall.lengthIn - HALF_BOX_IN - 0.5,
      )
      .filter(({ atIn }) => blocked.every((gap) => atIn <= gap.fromIn || atIn >= gap.toIn));
  });
}
