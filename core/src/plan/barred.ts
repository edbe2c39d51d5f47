import type { Box, Opening } from '../house/schema';
import { OPENING_NAMES } from '../house/opening-names';
import { CASING_IN, HALF_BOX_HEIGHT_IN, halfBoxWidthIn, HEADER_IN, STUD_WIDTH_IN } from './framing-sizes';
import type { Interval } from './intervals';
import { perShell, type RoomView, type SeenOpening } from './room-view';
import { findWall, toLoop, wallLoop, type LoopWall } from './wall-loop';
import { openingBreak } from './wall-spaces';

/** Where the panel of a pocket door goes, inches along its wall. */
function pocketOf({ opening, own, alongIn, widthIn }: SeenOpening): Interval {
  const toStart = opening.kind === 'pocket' && (opening.opens === 'left') === own;
  const fromIn = toStart ? alongIn - widthIn : alongIn + widthIn;
  return { fromIn, toIn: fromIn + widthIn };
}

/** Stretches of a wall that a pocket door slides into, inches along the wall. */
export const pocketStretches = (view: RoomView, wall: LoopWall): Interval[] =>
  view.openings.filter(({ opening, wall: on }) => opening.kind === 'pocket' && on === wall.id).map(pocketOf);

/** A part of a wall that keeps something out, inches along the loop and above the floor. */
interface Part<Cause> extends Interval {
  readonly wall: string;
  readonly bottomIn: number;
  readonly topIn: number;
  readonly cause: Cause;
  /** What it belongs to, in words: "sliding door". */
  readonly what: string;
}

/** A stretch of wall that framing keeps a box or a hole out of, and between which heights. */
export type Barred = Part<'header' | 'pocket door' | 'brace'>;

/** Headers over openings (not to be drilled; that of a pocket door carries its track), pockets of sliding doors, braces. */
export const barredByFraming = perShell((view: RoomView): readonly Barred[] => {
  const loop = wallLoop(view.room);
  const barred: Barred[] = [];
  for (const seen of view.openings) {
    const { wall, opening, alongIn, widthIn } = seen;
    const what = OPENING_NAMES[opening.kind];
    const { headIn } = opening;
    let [fromIn, toIn] = [alongIn, alongIn + widthIn];
    if (opening.kind === 'pocket') {
      const pocket = pocketOf(seen);
      [fromIn, toIn] = [Math.min(fromIn, pocket.fromIn), Math.max(toIn, pocket.toIn)];
      barred.push({ ...onLoop(view, wall, pocket), wall, bottomIn: 0, topIn: headIn, cause: 'pocket door', what });
    }
    const bearing = { fromIn: fromIn - STUD_WIDTH_IN, toIn: toIn + STUD_WIDTH_IN };
    const topIn = Math.min(view.level.ceilingIn, headIn + HEADER_IN);
    barred.push({ ...onLoop(view, wall, bearing), wall, bottomIn: headIn, topIn, cause: 'header', what });
  }
  for (const { kind, name, at, bottomIn = 0, heightIn: topIn } of view.features) {
    if (kind !== 'brace' || at.kind !== 'wall') continue;
    const fromIn = toLoop(loop, at.wall, at.alongIn);
    const what = name || 'brace';
    barred.push({ fromIn, toIn: fromIn + at.widthIn, wall: at.wall, bottomIn, topIn, cause: 'brace', what });
  }
  return barred;
});

function onLoop({ room }: RoomView, wall: string, { fromIn, toIn }: Interval): Interval {
  const startIn = toLoop(wallLoop(room), wall, 0);
  return { fromIn: startIn + fromIn, toIn: startIn + toIn };
}

const casingOf = ({ kind }: Opening): number => (kind === 'cased' || kind === 'vehicle' ? 0 : CASING_IN);

/** Beside what bars it, half a box keeps clear; above and below, the heights here are those of its middle. */
interface Barrier extends Interval {
  readonly bottomIn: number;
  readonly topIn: number;
}

/** What keeps a box out: openings with their casings, headers, pockets, braces. */
const barriers = perShell((view: RoomView): readonly Barrier[] => {
  const openings = view.openings.flatMap((seen): Barrier[] => {
    const { opening, wall, alongIn, widthIn } = seen;
    if (opening.kind !== 'window' && opening.kind !== 'fixed-glass' && openingBreak(seen) === undefined) return [];
    const casingIn = casingOf(opening);
    const stretch = onLoop(view, wall, { fromIn: alongIn - casingIn, toIn: alongIn + widthIn + casingIn });
    if (opening.kind === 'window') return [{ ...stretch, bottomIn: opening.sillIn - 4, topIn: opening.headIn + 4 }];
    return [{ ...stretch, bottomIn: -Infinity, topIn: Infinity }];
  });
  const framing = barredByFraming(view).map((one) => ({ ...one, bottomIn: one.bottomIn - 2, topIn: one.topIn + 2 }));
  return [...openings, ...framing];
});

/** Whether something bars a proposed box's middle from a place on the loop at a height; over doors too, up to the ceiling. */
export function isBarredAt(view: RoomView, atIn: number, heightIn: number, half: number): boolean {
  for (const { bottomIn, topIn, fromIn, toIn } of barriers(view))
    if (heightIn > bottomIn && heightIn < topIn && atIn > fromIn - half && atIn < toIn + half) return true;
  return false;
}

type Taken = Part<'opening' | 'casing' | Barred['cause']>;

/** What is no place for a box, the gravest first: openings and pockets, where there is no wall; casings, headers and braces. */
const takenParts = perShell((view: RoomView): readonly Taken[] => {
  const openings = view.openings.map((seen): Taken => {
    const { opening, wall, alongIn, widthIn } = seen;
    const bottomIn = opening.kind === 'window' ? opening.sillIn : 0;
    const stretch = onLoop(view, wall, { fromIn: alongIn, toIn: alongIn + widthIn });
    return { ...stretch, wall, bottomIn, topIn: opening.headIn, cause: 'opening', what: OPENING_NAMES[opening.kind] };
  });
  const casings = openings.flatMap((one, i): Taken[] => {
    const { fromIn, toIn, bottomIn, topIn } = one;
    const by = casingOf(view.openings[i]!.opening);
    const around = { fromIn: fromIn - by, toIn: toIn + by, bottomIn: bottomIn - by, topIn: topIn + by };
    return by > 0 ? [{ ...one, ...around, cause: 'casing' }] : [];
  });
  const framing = barredByFraming(view);
  const isPocket = (one: Barred) => one.cause === 'pocket door';
  return [...openings, ...framing.filter(isPocket), ...casings, ...framing.filter((one) => !isPocket(one))];
});

/** What a box stands in instead of standing in a wall, or what of the framing or trim it would have to be cut into. */
export type InTheWay =
  | { readonly cause: Taken['cause']; readonly what: string }
  | { readonly cause: 'no wall' }
  /** Half a box, and how far its middle is from the corner, inches. */
  | { readonly cause: 'corner'; readonly halfIn: number; readonly isIn: number };

/** What tapes and typed lengths differ by, inches. */
const SLACK_IN = 0.13;

const isOver = (fromIn: number, toIn: number, middleIn: number, halfIn: number): boolean =>
  middleIn > fromIn - halfIn + SLACK_IN && middleIn < toIn + halfIn - SLACK_IN;

/** A switch that the door works stands in its jamb. */
const isInJamb = (box: Box): boolean =>
  Object.values(box.devices).some((one) => one.kind === 'switch' && one.style === 'door-jamb');

/** What is where a box on a wall is drawn, the gravest first; undefined where there is room for it. */
export function inTheWayOf(view: RoomView, box: Box): InTheWay | undefined {
  const { at, gangs } = box;
  if (at.kind !== 'wall' || isInJamb(box)) return undefined;
  const { alongIn, heightIn } = at;
  const wall = findWall(wallLoop(view.room), at.wall)!;
  if (wall.boundary === 'open') return { cause: 'no wall' };
  const halfIn = halfBoxWidthIn(gangs);
  const atIn = wall.startIn + alongIn;
  for (const { wall: on, fromIn, toIn, bottomIn, topIn, cause, what } of takenParts(view))
    if (on === wall.id && isOver(fromIn, toIn, atIn, halfIn) && isOver(bottomIn, topIn, heightIn, HALF_BOX_HEIGHT_IN))
      return { cause, what };
  const isIn = Math.min(alongIn, wall.lengthIn - alongIn);
  return isIn < halfIn - SLACK_IN && endsAtCorner(view, wall, alongIn) ? { cause: 'corner', halfIn, isIn } : undefined;
}

/** Whether the wall turns at its nearer end; a wall of two pieces in one line goes on. */
function endsAtCorner(view: RoomView, wall: LoopWall, alongIn: number): boolean {
  const { walls } = wallLoop(view.room);
  const i = walls.indexOf(wall);
  const beyond = walls.at(alongIn < wall.lengthIn / 2 ? i - 1 : (i + 1) % walls.length)!;
  return beyond.boundary === 'open' || wall.unit.x * beyond.unit.x + wall.unit.y * beyond.unit.y < 0.999;
}
