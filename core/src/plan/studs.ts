import type { Corner } from '../house/schema';
import { isBarredAt, pocketStretches } from './blocked-by-framing';
import { halfBoxWidthIn, STUD_WIDTH_IN } from './framing-sizes';
import { perShell, type RoomView, type SeenOpening } from './room-view';
import { straightRuns, toLoop, wallLoop, type LoopWall } from './wall-loop';
import type { Interval } from '../geometry/intervals';

/** Narrowest clear bay that an ordinary drill gets into, inches: *common practice*. */
const NARROWEST_DRILLABLE_IN = 10;

/** Lengths that are equal on paper differ by less than this however they are reckoned, inches. */
const EXACT_IN = 1e-4;

type StudKind = 'common' | 'king' | 'jack' | 'cripple' | 'end' | 'partition';

/** A stud behind a wall, by its center, inches along the loop. */
interface Stud {
  readonly atIn: number;
  readonly kind: StudKind;
  /** Cripples reach only this high: the sill above them. */
  readonly topIn?: number;
}

const cornerOf = (view: RoomView, wall: LoopWall): Corner => view.room.corners.find((one) => one.id === wall.id)!;
const isFramed = (view: RoomView, wall: LoopWall): boolean =>
  wall.boundary === 'solid' && cornerOf(view, wall).covering?.kind !== 'masonry';

/** Walls that a crew frames as one: pieces in one line with the same framing. */
interface FramedRun {
  readonly walls: readonly LoopWall[];
  readonly startIn: number;
  readonly lengthIn: number;
  readonly framing: Corner['framing'];
}

const framedRuns = perShell((view: RoomView): readonly FramedRun[] => {
  const kindOf = (wall: LoopWall) => {
    const { framing, covering } = cornerOf(view, wall);
    // Studs that were measured are counted from their own wall: it is framed by itself.
    return JSON.stringify([framing, covering, framing?.studsAtIn ? wall.id : '']);
  };
  const runs: FramedRun[] = [];
  for (const line of straightRuns(wallLoop(view.room)))
    line.forEach((wall, i) => {
      if (!isFramed(view, wall)) return;
      const last = runs.at(-1);
      if (i > 0 && last?.walls.at(-1) === line[i - 1] && kindOf(line[i - 1]!) === kindOf(wall))
        runs[runs.length - 1] = { ...last!, walls: [...last!.walls, wall], lengthIn: last!.lengthIn + wall.lengthIn };
      else {
        const { framing } = cornerOf(view, wall);
        runs.push({ walls: [wall], startIn: wall.startIn, lengthIn: wall.lengthIn, framing });
      }
    });
  return runs;
});

/**
 * Studs on the wall's spacing from its layout corner, one at each end, posts where partitions meet it, jack and king at each
 * side of an opening, cripples below windows; where somebody has measured the studs of a wall, those instead of the spacing. Where the
 * true layout is not known this is the usual one: *common practice*.
 */
export const layStuds = perShell((view: RoomView): readonly Stud[] => {
  const { lengthIn } = wallLoop(view.room);
  const studs = framedRuns(view).flatMap((run) => new WallFraming(view, run).lay());
  for (const [i, stud] of studs.entries())
    if (stud.atIn >= lengthIn) studs[i] = { ...stud, atIn: stud.atIn - lengthIn };
  return studs.sort((a, b) => a.atIn - b.atIn);
});

/** An opening or a partition, inches along its run. */
type InRun<T> = T & { readonly inRunIn: number };

/** The studs of one run of wall as they are set: whoever comes first keeps the place, a later one is left out where one stands. */
class WallFraming {
  readonly #gaps: readonly InRun<SeenOpening>[];
  readonly #pockets: readonly Interval[];
  readonly #studs: Stud[] = [];

  constructor(
    readonly view: RoomView,
    readonly run: FramedRun,
  ) {
    let offsetIn = 0;
    const gaps: InRun<SeenOpening>[] = [];
    const pockets: Interval[] = [];
    for (const wall of run.walls) {
      for (const seen of view.openings)
        if (seen.wall === wall.id) gaps.push({ ...seen, inRunIn: offsetIn + seen.alongIn });
      for (const one of pocketStretches(view, wall))
        pockets.push({ fromIn: offsetIn + one.fromIn, toIn: offsetIn + one.toIn });
      offsetIn += wall.lengthIn;
    }
    this.#gaps = gaps;
    this.#pockets = pockets;
  }

  lay(): readonly Stud[] {
    const { lengthIn, walls, framing } = this.run;
    for (const { inRunIn, widthIn } of this.#gaps) {
      this.#add(inRunIn - STUD_WIDTH_IN / 2, 'jack');
      this.#add(inRunIn - STUD_WIDTH_IN * 1.5, 'king');
      this.#add(inRunIn + widthIn + STUD_WIDTH_IN / 2, 'jack');
      this.#add(inRunIn + widthIn + STUD_WIDTH_IN * 1.5, 'king');
    }
    this.#add(STUD_WIDTH_IN / 2, 'end');
    this.#add(lengthIn - STUD_WIDTH_IN / 2, 'end');
    let offsetIn = 0;
    for (const wall of walls) {
      for (const meeting of this.view.partitions) {
        if (meeting.wall !== wall.id) continue;
        this.#add(offsetIn + meeting.alongIn - STUD_WIDTH_IN * 1.5, 'partition');
        this.#add(offsetIn + meeting.alongIn + STUD_WIDTH_IN * 1.5, 'partition');
      }
      offsetIn += wall.lengthIn;
    }
    const spacing = framing?.spacingIn ?? this.view.level.studSpacingIn;
    const fromEnd = framing?.layoutFrom === 'end';
    if (framing?.studsAtIn) for (const atIn of framing.studsAtIn) this.#add(atIn, 'common');
    else
      for (let atIn = spacing; atIn < lengthIn - EXACT_IN; atIn += spacing)
        this.#add(fromEnd ? lengthIn - atIn : atIn, 'common');
    return this.#studs;
  }

  /** Sets a stud in its place of the row; none in a doorway or a pocket, a cripple below a window. */
  #add(alongIn: number, kind: StudKind): void {
    if (alongIn < 0 || alongIn > this.run.lengthIn) return;
    for (const one of this.#pockets) if (alongIn > one.fromIn + EXACT_IN && alongIn < one.toIn - EXACT_IN) return;
    const gap = this.#gapAt(alongIn);
    if (gap && gap.opening.kind !== 'window') return;
    const atIn = this.run.startIn + alongIn;
    const studs = this.#studs;
    const i = firstFrom(studs, atIn);
    if (i > 0 && atIn - studs[i - 1]!.atIn < STUD_WIDTH_IN - 0.01) return;
    if (i < studs.length && studs[i]!.atIn - atIn < STUD_WIDTH_IN - 0.01) return;
    const sillIn = gap?.opening.kind === 'window' ? gap.opening.sillIn : undefined;
    const stud: Stud = sillIn === undefined ? { atIn, kind } : { atIn, kind: 'cripple', topIn: sillIn };
    studs.push(stud);
    studs.copyWithin(i + 1, i);
    studs[i] = stud;
  }

  #gapAt(alongIn: number): SeenOpening | undefined {
    for (const gap of this.#gaps)
      if (alongIn >= gap.inRunIn - EXACT_IN && alongIn <= gap.inRunIn + gap.widthIn + EXACT_IN) return gap;
    return undefined;
  }
}

/** The run of wall over a place on the loop, with that place counted from the run's start, which may lie before the start of the loop. */
function runAt(view: RoomView, atIn: number): { run: FramedRun; fromStartIn: number } | undefined {
  const { lengthIn } = wallLoop(view.room);
  for (const run of framedRuns(view)) {
    const fromStartIn = atIn >= run.startIn - 1e-6 ? atIn - run.startIn : atIn + lengthIn - run.startIn;
    if (fromStartIn <= run.lengthIn + 1e-6) return { run, fromStartIn };
  }
  return undefined;
}

/** Clear stretches between neighboring studs that an ordinary drill does not get into. */
export const narrowBays = perShell((view: RoomView): readonly Interval[] => {
  const loop = wallLoop(view.room);
  const studs = layStuds(view);
  return studs.slice(1).flatMap((stud, i) => {
    const before = studs[i]!;
    const sameWall = runAt(view, before.atIn)?.run === runAt(view, stud.atIn)?.run;
    const clear = { fromIn: before.atIn + STUD_WIDTH_IN / 2, toIn: stud.atIn - STUD_WIDTH_IN / 2 };
    const width = clear.toIn - clear.fromIn;
    const inOpening = view.openings.some((seen) => {
      const from = toLoop(loop, seen.wall, seen.alongIn);
      return clear.toIn > from + 0.5 && clear.fromIn < from + seen.widthIn - 0.5;
    });
    return sameWall && !inOpening && width > 0.25 && width < NARROWEST_DRILLABLE_IN ? [clear] : [];
  });
});

/** A place where a box can be nailed to a stud's side: its center, inches along the loop. */
export interface StudFace {
  readonly atIn: number;
  readonly studIn: number;
  readonly side: 'left' | 'right';
}

/**
 * Places for a box on real stud faces, or, in a room that stays closed, cut in a little beside them; clear of openings, pockets, headers, braces and the next stud at that height.
 */
export function studFaces(view: RoomView, heightIn: number, gangs = 1): readonly StudFace[] {
  const known = facesByHeight(view);
  const key = `${heightIn} ${gangs}`;
  let faces = known.get(key);
  if (!faces) known.set(key, (faces = findFaces(view, heightIn, gangs)));
  return faces;
}

const facesByHeight = perShell(() => new Map<string, readonly StudFace[]>());

const reaches = (stud: Stud, heightIn: number): boolean =>
  stud.kind !== 'jack' && (stud.topIn === undefined || stud.topIn > heightIn + 3);

/** The next stud before or after the nth that reaches to a height. */
function neighbor(studs: readonly Stud[], n: number, step: 1 | -1, heightIn: number): Stud | undefined {
  for (let i = n + step; i >= 0 && i < studs.length; i += step) if (reaches(studs[i]!, heightIn)) return studs[i];
  return undefined;
}

/** How far from a place a face may be to be the one meant, inches. */
const NEAR_IN = 0.2;

/** Index of the first stud from a place on; they stand in the order of the loop. */
function firstFrom(studs: readonly Stud[], fromIn: number): number {
  let [low, high] = [0, studs.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (studs[middle]!.atIn < fromIn) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Between a stud and a box that is cut into a finished wall: its ears swing out behind the board. *Common practice*, inches. */
const FOR_EARS_IN = 1;

const SIDES = ['left', 'right'] as const;

function findFaces(view: RoomView, heightIn: number, gangs: number, nearIn?: number): StudFace[] {
  const loop = wallLoop(view.room);
  const half = halfBoxWidthIn(gangs);
  const offset = STUD_WIDTH_IN / 2 + half + (view.room.closed ? FOR_EARS_IN : 0);
  const studs = layStuds(view);
  const faces: StudFace[] = [];
  const [fromIn, toIn] = nearIn === undefined ? [0, Infinity] : [nearIn - offset - NEAR_IN, nearIn + offset + NEAR_IN];
  for (let i = firstFrom(studs, fromIn); i < studs.length && studs[i]!.atIn <= toIn; i++) {
    const stud = studs[i]!;
    if (!reaches(stud, heightIn)) continue;
    const on = runAt(view, stud.atIn);
    if (!on) continue;
    for (const side of SIDES) {
      const aside = side === 'left' ? -offset : offset;
      const inRunIn = on.fromStartIn + aside;
      if (inRunIn < half + 0.5 - EXACT_IN || inRunIn > on.run.lengthIn - half - 0.5 + EXACT_IN) continue;
      const atIn = (stud.atIn + aside + loop.lengthIn) % loop.lengthIn;
      if (isBarredAt(view, atIn, heightIn, half)) continue;
      const clear = half + STUD_WIDTH_IN / 2 - 0.05;
      const before = neighbor(studs, i, -1, heightIn);
      const after = neighbor(studs, i, 1, heightIn);
      if (before && Math.abs(before.atIn - atIn) < clear) continue;
      if (after && Math.abs(after.atIn - atIn) < clear) continue;
      faces.push({ studIn: stud.atIn, side, atIn });
    }
  }
  return faces;
}

/** The stud face that a box stands on, within an eighth of an inch; undefined when it stands on none. */
export const faceUnder = (view: RoomView, atLoopIn: number, heightIn: number, gangs: number): StudFace | undefined =>
  findFaces(view, heightIn, gangs, atLoopIn).find((face) => Math.abs(face.atIn - atLoopIn) <= 0.13);

/** Whether the wall at a place has studs that a box could be nailed to. */
export const isFramedAt = (view: RoomView, wallId: string): boolean => {
  const wall = wallLoop(view.room).walls.find((one) => one.id === wallId);
  return wall !== undefined && isFramed(view, wall);
};

/** Whether a box away from the studs of a wall hangs on a bracket: in a finished wall that stays closed it is cut in and holds by its ears. */
export const takesBracket = (view: RoomView, wallId: string): boolean => !view.room.closed && isFramedAt(view, wallId);
