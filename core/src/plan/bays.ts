import type { Interval } from '../geometry/intervals';
import type { Point } from '../geometry/geometry';
import { barredByFraming, pocketStretches } from './blocked-by-framing';
import { STUD_WIDTH_IN } from './framing-sizes';
import { perShell, type RoomView } from './room-view';
import { openBelow, unframedStretches } from './drillable';
import { layStuds } from './studs';
import { fromLoop, pointOnWall, toLoop, wallLoop } from './wall-loop';

type Stud = ReturnType<typeof layStuds>[number];
type Barred = ReturnType<typeof barredByFraming>[number];

/** Space between two members of a framed wall in which a cable goes up and down. Inches along the loop and above the floor. */
export interface Bay extends Interval {
  readonly wall: string;
  /** Middle, inches along the loop; a bay over the loop's start runs past its length. */
  readonly midIn: number;
  /** Where the bay ends above: the top plate, or the sill of a window. */
  readonly topIn: number;
  /** Whether the top plate over it can be bored: nothing of an opening or its header is in the way. */
  readonly opensUp: boolean;
  /** Its middle on the plan, in the middle of the wall. */
  readonly point: Point;
}

/** Members that stand together between two bays: a stud, king and jack, the studs of a corner, a post. */
export interface Crossing {
  /** The bays on both sides, by their number in the list. */
  readonly from: number;
  readonly to: number;
  /** Center of each member, inches along the loop. */
  readonly members: readonly Stud[];
  /** Members to bore through; a corner has blocking between its studs as well, *common practice*. */
  readonly holes: number;
  readonly isCorner: boolean;
  /** Highest place for a hole, inches above the floor: a sill lies above. */
  readonly mostIn: number;
  /** Heights at which something bars the hole: braces. */
  readonly barred: readonly { readonly bottomIn: number; readonly topIn: number }[];
}

/** The bays between the studs of a room, wall by wall. */
export interface RoomBays {
  readonly bays: readonly Bay[];
  readonly crossings: readonly Crossing[];
}

/** Clear space narrower than this between members is no bay: they are bored as one, inches. */
const NARROWEST_BAY_IN = 3;
/** How far below a sill a hole stays, inches: the sill plate and the edge of the cripple, *common practice*. */
export const BELOW_SILL_IN = 4;
/** Blocking between the studs of a corner counts as one member more: *common practice*. */
const CORNER_BLOCKING = 1;

interface Hindrance extends Interval {
  /** Bays are open below this, inches above the floor; 0 where nothing passes. */
  readonly openToIn: number;
}

/** What takes a stretch of the loop, over its whole height or from a sill up. */
function hindrancesOf(view: RoomView): readonly Hindrance[] {
  const loop = wallLoop(view.room);
  const list: Hindrance[] = view.openings.map((seen) => {
    const fromIn = toLoop(loop, seen.wall, seen.alongIn);
    return { fromIn, toIn: fromIn + seen.widthIn, openToIn: openBelow(seen) };
  });
  for (const one of unframedStretches(view)) list.push({ ...one, openToIn: 0 });
  for (const wall of loop.walls)
    for (const one of pocketStretches(view, wall))
      list.push({ fromIn: wall.startIn + one.fromIn, toIn: wall.startIn + one.toIn, openToIn: 0 });
  return list;
}

/** The bays of a room's framed walls in walking order, and what stands between each two. */
export const baysOf = perShell((view: RoomView): RoomBays => {
  const loop = wallLoop(view.room);
  const studs = layStuds(view);
  if (studs.length < 2) return { bays: [], crossings: [] };
  const hindrances = hindrancesOf(view);
  const barred = barredByFraming(view);
  const groups = groupStuds(studs, loop.lengthIn);
  const bays: Bay[] = [];
  /** Number of the bay after each group of members, where there is one. */
  const after = groups.map((group, g): number | undefined => {
    const next = groups[(g + 1) % groups.length]!;
    const fromIn = group.at(-1)!.atIn + STUD_WIDTH_IN / 2;
    let toIn = next[0]!.atIn - STUD_WIDTH_IN / 2;
    if (toIn <= fromIn) toIn += loop.lengthIn;
    const midIn = (fromIn + toIn) / 2;
    const { wall, alongIn } = fromLoop(loop, midIn);
    let topIn = view.level.ceilingIn;
    for (const one of hindrances) if (overlaps(fromIn, toIn, one, loop.lengthIn)) topIn = Math.min(topIn, one.openToIn);
    if (topIn <= 0) return undefined;
    const hasHeader = barred.some(
      (one) =>
        one.cause === 'header' &&
        overlaps(fromIn + 1, toIn - 1, one, loop.lengthIn) &&
        wrapInside(midIn, one, loop.lengthIn),
    );
    bays.push({
      wall: wall.id,
      fromIn,
      toIn,
      midIn,
      topIn,
      opensUp: topIn >= view.level.ceilingIn && !hasHeader,
      point: pointOnWall(wall, alongIn, -view.level.wallThicknessIn / 2),
    });
    return bays.length - 1;
  });
  const crossings: Crossing[] = [];
  groups.forEach((members, g) => {
    const from = after.at(g - 1);
    const to = after[g];
    if (from === undefined || to === undefined) return;
    const walls = new Set(members.map((one) => turnOf(loop, one.atIn)));
    const isCorner = walls.size > 1;
    const tops = [bays[from]!.topIn, bays[to]!.topIn].map((one) =>
      one < view.level.ceilingIn ? one - BELOW_SILL_IN : one,
    );
    crossings.push({
      from,
      to,
      members,
      holes: members.length + (isCorner ? CORNER_BLOCKING : 0),
      isCorner,
      mostIn: Math.min(...tops),
      barred: barred.filter((one) => keepsHolesOut(one, members)),
    });
  });
  return { bays, crossings };
});

/** Whether a brace or a row of blocking bars a hole through members at its height. */
const keepsHolesOut = ({ cause, fromIn, toIn }: Barred, members: readonly Stud[]): boolean =>
  (cause === 'brace' || cause === 'blocking') && members.some(({ atIn }) => atIn > fromIn - 1 && atIn < toIn + 1);

/** Which way the wall at a place runs: members on two ways make a corner, pieces in one line do not. */
function turnOf(loop: ReturnType<typeof wallLoop>, atIn: number): string {
  const { unit } = fromLoop(loop, atIn).wall;
  return `${unit.x.toFixed(2)} ${unit.y.toFixed(2)}`;
}

/** Whether a stretch of the loop, which may run past its end, overlaps another by more than half an inch. */
function overlaps(fromIn: number, toIn: number, other: Interval, lengthIn: number): boolean {
  for (const turn of [-lengthIn, 0, lengthIn])
    if (Math.min(toIn, other.toIn + turn) - Math.max(fromIn, other.fromIn + turn) > 0.5) return true;
  return false;
}
const wrapInside = (atIn: number, { fromIn, toIn }: Interval, lengthIn: number): boolean =>
  [-lengthIn, 0, lengthIn].some((turn) => atIn > fromIn + turn && atIn < toIn + turn);

/** Studs so close that nothing fits between, in the order of the loop; those of a corner over the loop's start are one group. */
function groupStuds(studs: readonly Stud[], lengthIn: number): readonly (readonly Stud[])[] {
  const isNear = (a: number, b: number) => b - a - STUD_WIDTH_IN < NARROWEST_BAY_IN + 0.01;
  const groups: Stud[][] = [];
  for (const stud of studs) {
    const last = groups.at(-1);
    if (last && isNear(last.at(-1)!.atIn, stud.atIn)) last.push(stud);
    else groups.push([stud]);
  }
  const [first, last] = [groups[0]!, groups.at(-1)!];
  if (groups.length > 1 && isNear(last.at(-1)!.atIn, first[0]!.atIn + lengthIn)) {
    groups.pop();
    groups[0] = [...last, ...first];
  }
  return groups;
}

/** The bay that a place on the loop lies in, or the next one within so many inches; undefined where there is none. */
export function bayAt({ bays }: RoomBays, loopLengthIn: number, atIn: number, withinIn = 4): number | undefined {
  let best: number | undefined;
  let least = withinIn;
  bays.forEach((bay, i) => {
    for (const at of [atIn, atIn + loopLengthIn]) {
      const off = at < bay.fromIn ? bay.fromIn - at : at > bay.toIn ? at - bay.toIn : 0;
      if (off < least || (off === 0 && best === undefined)) [best, least] = [i, off];
    }
  });
  return best;
}
