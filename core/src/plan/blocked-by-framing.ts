import type { Box } from '../house/schema';
import { OPENING_NAMES } from '../house/opening-names';
import { CASING_IN, HALF_BOX_HEIGHT_IN, halfBoxWidthIn, HEADER_IN, STUD_WIDTH_IN } from './framing-sizes';
import type { Interval } from '../geometry/intervals';
import { perRoom, perShell, type RoomView, type SeenOpening } from './room-view';
import { alongLine, findWall, fromLoop, toLoop, wallLoop, type LoopWall } from './wall-loop';

/** Where the panel of a pocket door goes, inches along its wall. */
function pocketOf({ opening, own, alongIn, widthIn }: SeenOpening): Interval {
  const toStart = opening.kind === 'pocket' && (opening.opens === 'left') === own;
  const fromIn = toStart ? alongIn - widthIn : alongIn + widthIn;
  return { fromIn, toIn: fromIn + widthIn };
}

/** Stretches of a wall that a pocket door slides into, inches along the wall. */
export const pocketStretches = (view: RoomView, wall: LoopWall): Interval[] =>
  view.openings.filter(({ opening, wall: on }) => opening.kind === 'pocket' && on === wall.id).map(pocketOf);

/** A part of a wall that framing keeps a box or a hole out of, inches along the loop and above the floor. */
interface Barred extends Interval {
  readonly wall: string;
  readonly bottomIn: number;
  readonly topIn: number;
  readonly cause: 'header' | 'pocket door' | 'brace' | 'blocking';
  /** What it belongs to, in words: "sliding door". */
  readonly what: string;
}

/** Headers over openings (not to be drilled; that of a pocket door carries its track), pockets of sliding doors, braces, rows of blocking. */
export const barredByFraming = perShell((view: RoomView): readonly Barred[] => {
  const loop = wallLoop(view.room);
  const barred: Barred[] = [];
  const bar = (wall: string, stretch: Interval, rest: Omit<Barred, 'wall' | 'fromIn' | 'toIn'>) =>
    barred.push(...alongLine(loop, wall, stretch.fromIn, stretch.toIn).map((piece) => ({ ...piece, ...rest })));
  for (const seen of view.openings) {
    const { wall, opening, alongIn, widthIn } = seen;
    const what = OPENING_NAMES[opening.kind];
    const { headIn } = opening;
    let [fromIn, toIn] = [alongIn, alongIn + widthIn];
    if (opening.kind === 'pocket') {
      const pocket = pocketOf(seen);
      bar(wall, pocket, { bottomIn: 0, topIn: headIn, cause: 'pocket door', what });
      fromIn = Math.min(fromIn, pocket.fromIn);
      toIn = Math.max(toIn, pocket.toIn);
    }
    const over = { fromIn: fromIn - STUD_WIDTH_IN, toIn: toIn + STUD_WIDTH_IN };
    const headerIn = opening.headerIn ?? HEADER_IN;
    const topIn = Math.min(view.level.ceilingIn, headIn + headerIn);
    if (headerIn > 0) bar(wall, over, { bottomIn: headIn, topIn, cause: 'header', what });
  }
  for (const { kind, name, at, bottomIn = 0, heightIn: topIn } of view.features) {
    if (kind !== 'brace' || at.kind !== 'wall') continue;
    const what = name || 'brace';
    bar(at.wall, { fromIn: at.alongIn, toIn: at.alongIn + at.widthIn }, { bottomIn, topIn, cause: 'brace', what });
  }
  for (const wall of loop.walls) {
    const rows = view.room.corners.find((one) => one.id === wall.id)?.framing?.blockingAtIn ?? [];
    for (const atIn of rows) {
      const [bottomIn, topIn] = [atIn - STUD_WIDTH_IN / 2, atIn + STUD_WIDTH_IN / 2];
      bar(wall.id, { fromIn: 0, toIn: wall.lengthIn }, { bottomIn, topIn, cause: 'blocking', what: 'row of blocking' });
    }
  }
  return barred;
});

/** An opening on the loop, without its casing. */
interface Gap extends Interval {
  readonly wall: string;
  readonly bottomIn: number;
  readonly topIn: number;
  readonly casingIn: number;
  readonly isWindow: boolean;
  readonly what: string;
}

const gapsOf = perShell((view: RoomView): readonly Gap[] => {
  const loop = wallLoop(view.room);
  return view.openings.map(({ opening, wall, alongIn, widthIn }) => {
    const fromIn = toLoop(loop, wall, alongIn);
    const isWindow = opening.kind === 'window';
    return {
      wall,
      fromIn,
      toIn: fromIn + widthIn,
      bottomIn: opening.kind === 'window' ? opening.sillIn : 0,
      topIn: opening.headIn,
      casingIn: opening.kind === 'cased' || opening.kind === 'vehicle' ? 0 : CASING_IN,
      isWindow,
      what: OPENING_NAMES[opening.kind],
    };
  });
});

/** What just touches does not overlap, whichever way the house is drawn and its lengths are rounded, inches. */
const TOUCHING_IN = 1e-4;

/**
 * Whether something bars the middle of a box that is to be proposed from a place on the loop at a height: openings with their casings,
 * over doors up to the ceiling; headers, pockets, braces.
 */
export function isBarredAt(view: RoomView, atIn: number, heightIn: number, halfIn: number): boolean {
  for (const { fromIn, toIn, bottomIn, topIn, casingIn, isWindow } of gapsOf(view)) {
    const half = halfIn + casingIn - TOUCHING_IN;
    if (
      atIn > fromIn - half &&
      atIn < toIn + half &&
      !(isWindow && (heightIn <= bottomIn - 4 || heightIn >= topIn + 4))
    )
      return true;
  }
  const half = halfIn - TOUCHING_IN;
  for (const { fromIn, toIn, bottomIn, topIn } of barredByFraming(view))
    if (atIn > fromIn - half && atIn < toIn + half && heightIn > bottomIn - 2 && heightIn < topIn + 2) return true;
  return false;
}

/** What a box stands in instead of standing in a wall, or what of the framing or trim it would have to be cut into. */
type InTheWay =
  | { readonly cause: 'opening' | 'casing' | Barred['cause']; readonly what: string }
  | { readonly cause: 'no wall' }
  /** Half a box, and how far its middle is from the corner, inches. */
  | { readonly cause: 'corner'; readonly halfIn: number; readonly isIn: number };

/** What tapes and typed lengths differ by, inches. */
const SLACK_IN = 0.13;

/** Whether half a box around its middle reaches into a part of the wall that is so much wider all around. */
const isOver = (part: Interval & { bottomIn: number; topIn: number }, moreIn: number, at: Middle): boolean =>
  at.atIn > part.fromIn - at.halfIn - moreIn &&
  at.atIn < part.toIn + at.halfIn + moreIn &&
  at.heightIn > part.bottomIn - HALF_BOX_HEIGHT_IN - moreIn + SLACK_IN &&
  at.heightIn < part.topIn + HALF_BOX_HEIGHT_IN + moreIn - SLACK_IN;

/** Where the middle of a box is, and half its width less what is within the slack, inches. */
interface Middle {
  readonly atIn: number;
  readonly heightIn: number;
  readonly halfIn: number;
}

/** A switch that the door works stands in its jamb. */
const isInJamb = (box: Pick<Box, 'devices'>): boolean =>
  Object.values(box.devices).some((one) => one.kind === 'switch' && one.style === 'door-jamb');

/** What is where a box on a wall is drawn, the gravest first; undefined where there is room for it. */
export function inTheWayOf(view: RoomView, box: Pick<Box, 'at' | 'gangs' | 'devices'>): InTheWay | undefined {
  const { at, gangs } = box;
  if (at.kind !== 'wall' || isInJamb(box)) return undefined;
  const { alongIn, heightIn } = at;
  const wall = findWall(wallLoop(view.room), at.wall)!;
  if (wall.boundary === 'open') return { cause: 'no wall' };
  const halfIn = halfBoxWidthIn(gangs);
  const middle = { atIn: wall.startIn + alongIn, heightIn, halfIn: halfIn - SLACK_IN };
  const framing = barredByFraming(view);
  const gap = (withCasing: boolean) =>
    gapsOf(view).find((one) => one.wall === wall.id && isOver(one, withCasing ? one.casingIn : 0, middle));
  const part = (isPocket: boolean) =>
    framing.find((one) => one.wall === wall.id && (one.cause === 'pocket door') === isPocket && isOver(one, 0, middle));
  const opening = gap(false);
  if (opening) return { cause: 'opening', what: opening.what };
  const pocket = part(true);
  if (pocket) return pocket;
  const isIn = Math.min(alongIn, wall.lengthIn - alongIn);
  if (isIn < halfIn - SLACK_IN && endsAtCorner(view, wall, alongIn)) return { cause: 'corner', halfIn, isIn };
  const casing = gap(true);
  return casing ? { cause: 'casing', what: casing.what } : part(false);
}

/** Whether a new box has room in a wall there: no opening, casing, corner, pocket, header or brace in its way. */
export function fitsInWall(view: RoomView, atLoopIn: number, heightIn: number, gangs: number): boolean {
  const { wall, alongIn } = fromLoop(wallLoop(view.room), atLoopIn);
  const at = { kind: 'wall', wall: wall.id, alongIn, heightIn } as const;
  return wall.boundary === 'solid' && inTheWayOf(view, { at, gangs, devices: {} }) === undefined;
}

/** The boxes of a room that stand in something's way, with what it is. */
export const misplacedBoxes = perRoom((view: RoomView): ReadonlyMap<Box, InTheWay> => {
  const misplaced = new Map<Box, InTheWay>();
  for (const box of view.boxes) {
    const way = inTheWayOf(view, box);
    if (way) misplaced.set(box, way);
  }
  return misplaced;
});

/** Whether the wall turns at its nearer end; a wall of two pieces in one line goes on. */
function endsAtCorner(view: RoomView, wall: LoopWall, alongIn: number): boolean {
  const { walls } = wallLoop(view.room);
  const i = walls.indexOf(wall);
  const beyond = walls.at(alongIn < wall.lengthIn / 2 ? i - 1 : (i + 1) % walls.length)!;
  return beyond.boundary === 'open' || wall.unit.x * beyond.unit.x + wall.unit.y * beyond.unit.y < 0.999;
}
