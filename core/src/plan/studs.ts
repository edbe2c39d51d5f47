import type { Corner } from '../house/schema';
import { openingBreak } from './wall-spaces';
import { perShell, type RoomView } from './room-view';
import { toLoop, wallLoop, type LoopWall } from './wall-loop';
import type { Interval } from './intervals';

/** Actual thickness of a stud's edge, inches. */
export const STUD_WIDTH_IN = 1.5;
/** Half the width of a single-gang box, inches: *common practice* for plastic nail-on boxes; 1.8 in more for each gang. */
const HALF_BOX_IN = 1.125;
const FURTHER_GANG_IN = 1.8125;
/** Narrowest clear bay that an ordinary drill gets into, inches: *common practice*. */
export const NARROWEST_DRILLABLE_IN = 10;
/** Least clear height over an opening that its header is taken to fill, inches: *common practice*, a doubled 2x8 and more. */
const HEADER_IN = 7.25;

export type StudKind = 'common' | 'king' | 'jack' | 'cripple' | 'end' | 'partition';

/** A stud behind a wall, by its centre, inches along the loop. */
export interface Stud {
  readonly atIn: number;
  readonly kind: StudKind;
  /** Cripples reach only this high: the sill above them. */
  readonly topIn?: number;
}

const cornerOf = (view: RoomView, wall: LoopWall): Corner => view.room.corners.find((one) => one.id === wall.id)!;
const isFramed = (view: RoomView, wall: LoopWall): boolean =>
  wall.boundary === 'solid' && cornerOf(view, wall).covering?.kind !== 'masonry';

/** Places of the layout along a wall: on the spacing from the corner that it is pulled from. */
function layoutOf(view: RoomView, wall: LoopWall): number[] {
  const framing = cornerOf(view, wall).framing;
  const spacing = framing?.spacingIn ?? view.level.studSpacingIn;
  const places: number[] = [];
  for (let atIn = spacing; atIn < wall.lengthIn; atIn += spacing)
    places.push(framing?.layoutFrom === 'end' ? wall.lengthIn - atIn : atIn);
  return places;
}

/**
 * Studs on the wall's spacing from its layout corner, one at each end, posts where partitions meet it, jack and king at each
 * side of an opening, cripples below windows. Where the true layout is not known this is the usual one: *common practice*.
 */
export const layStuds = perShell((view: RoomView): readonly Stud[] => {
  const loop = wallLoop(view.room);
  return loop.walls.flatMap((wall) => {
    if (!isFramed(view, wall)) return [];
    const gaps = view.openings.filter((seen) => seen.wall === wall.id);
    const gapAt = (atIn: number) => gaps.find((gap) => atIn >= gap.alongIn && atIn <= gap.alongIn + gap.widthIn);
    const pockets = pocketStretches(view, wall);
    const pocketAt = (atIn: number) => pockets.some((one) => atIn > one.fromIn && atIn < one.toIn);
    const spots: Stud[] = [];
    const add = (atIn: number, kind: StudKind) => {
      if (atIn < 0 || atIn > wall.lengthIn || pocketAt(atIn)) return;
      const gap = gapAt(atIn);
      if (gap && gap.opening.kind !== 'window') return;
      if (spots.some((stud) => Math.abs(stud.atIn - atIn) < STUD_WIDTH_IN - 0.01)) return;
      spots.push(
        gap?.opening.kind === 'window' ? { atIn, kind: 'cripple', topIn: gap.opening.sillIn } : { atIn, kind },
      );
    };
    for (const gap of gaps)
      for (const [edge, out] of [
        [gap.alongIn, -1],
        [gap.alongIn + gap.widthIn, 1],
      ] as const) {
        add(edge + (out * STUD_WIDTH_IN) / 2, 'jack');
        add(edge + out * STUD_WIDTH_IN * 1.5, 'king');
      }
    add(STUD_WIDTH_IN / 2, 'end');
    add(wall.lengthIn - STUD_WIDTH_IN / 2, 'end');
    for (const meeting of view.partitions.filter((one) => one.wall === wall.id)) {
      add(meeting.alongIn - STUD_WIDTH_IN * 1.5, 'partition');
      add(meeting.alongIn + STUD_WIDTH_IN * 1.5, 'partition');
    }
    for (const atIn of layoutOf(view, wall)) add(atIn, 'common');
    const startIn = toLoop(loop, wall.id, 0);
    return spots.map((stud) => ({ ...stud, atIn: startIn + stud.atIn })).sort((a, b) => a.atIn - b.atIn);
  });
});

/** Stretches of a wall that a pocket door slides into, inches along the wall. */
function pocketStretches(view: RoomView, wall: LoopWall): Interval[] {
  return view.openings.flatMap(({ opening, wall: on, alongIn, widthIn, own }) => {
    if (opening.kind !== 'pocket' || on !== wall.id) return [];
    const toStart = (opening.opens === 'left') === own;
    return [
      toStart
        ? { fromIn: alongIn - widthIn, toIn: alongIn }
        : { fromIn: alongIn + widthIn, toIn: alongIn + 2 * widthIn },
    ];
  });
}

/** A stretch of wall, inches along the loop, that framing keeps a box or a hole out of, and between which heights. */
export interface Barred extends Interval {
  readonly bottomIn: number;
  readonly topIn: number;
  readonly cause: 'header' | 'pocket door' | 'brace';
}

/** Headers over openings (not to be drilled), pockets of sliding doors, braces. */
export const barredByFraming = perShell((view: RoomView): readonly Barred[] => {
  const loop = wallLoop(view.room);
  const headers = view.openings
    .filter((seen) => seen.opening.kind !== 'cased' || seen.widthIn < 400)
    .map((seen): Barred => {
      const fromIn = toLoop(loop, seen.wall, seen.alongIn) - STUD_WIDTH_IN;
      const bottomIn = seen.opening.headIn;
      const topIn = Math.min(view.level.ceilingIn, bottomIn + HEADER_IN);
      return { fromIn, toIn: fromIn + seen.widthIn + 2 * STUD_WIDTH_IN, bottomIn, topIn, cause: 'header' };
    });
  const pockets = loop.walls.flatMap((wall) =>
    pocketStretches(view, wall).map((one): Barred => ({
      fromIn: wall.startIn + one.fromIn,
      toIn: wall.startIn + one.toIn,
      bottomIn: 0,
      topIn: view.level.ceilingIn,
      cause: 'pocket door',
    })),
  );
  const braces = view.features.flatMap((feature): Barred[] => {
    if (feature.kind !== 'brace' || feature.at.kind !== 'wall') return [];
    const fromIn = toLoop(loop, feature.at.wall, feature.at.alongIn);
    const [bottomIn, topIn] = [feature.bottomIn ?? 0, feature.heightIn];
    return [{ fromIn, toIn: fromIn + feature.at.widthIn, bottomIn, topIn, cause: 'brace' }];
  });
  return [...headers, ...pockets, ...braces];
});

/** Clear stretches between neighbouring studs that an ordinary drill does not get into. */
export const narrowBays = perShell((view: RoomView): readonly Interval[] => {
  const loop = wallLoop(view.room);
  const studs = layStuds(view);
  return studs.slice(1).flatMap((stud, i) => {
    const before = studs[i]!;
    const sameWall =
      loop.walls.findLast((one) => one.startIn <= before.atIn) ===
      loop.walls.findLast((one) => one.startIn <= stud.atIn);
    const clear = { fromIn: before.atIn + STUD_WIDTH_IN / 2, toIn: stud.atIn - STUD_WIDTH_IN / 2 };
    const width = clear.toIn - clear.fromIn;
    const inOpening = view.openings.some((seen) => {
      const from = toLoop(loop, seen.wall, seen.alongIn);
      return clear.toIn > from + 0.5 && clear.fromIn < from + seen.widthIn - 0.5;
    });
    return sameWall && !inOpening && width > 0.25 && width < NARROWEST_DRILLABLE_IN ? [clear] : [];
  });
});

/** A place where a box can be nailed to a stud's side: its centre, inches along the loop. */
export interface StudFace {
  readonly atIn: number;
  readonly studIn: number;
  readonly side: 'left' | 'right';
}

export const halfBoxWidthIn = (gangs: number): number => HALF_BOX_IN + ((gangs - 1) * FURTHER_GANG_IN) / 2;

/** Places for a box on real stud faces, clear of openings, pockets, headers, braces and the next stud at that height. */
export function studFaces(view: RoomView, heightIn: number, gangs = 1): readonly StudFace[] {
  const known = facesByHeight(view);
  const key = `${heightIn} ${gangs}`;
  let faces = known.get(key);
  if (!faces) known.set(key, (faces = findFaces(view, heightIn, gangs)));
  return faces;
}

const facesByHeight = perShell(() => new Map<string, readonly StudFace[]>());

function findFaces(view: RoomView, heightIn: number, gangs: number, nearIn?: number): StudFace[] {
  const loop = wallLoop(view.room);
  const half = halfBoxWidthIn(gangs);
  const offset = STUD_WIDTH_IN / 2 + half;
  const studs = layStuds(view).filter((stud) => stud.kind !== 'jack' && (stud.topIn ?? Infinity) > heightIn + 3);
  const isNear = (stud: Stud) => nearIn === undefined || Math.abs(Math.abs(stud.atIn - nearIn) - offset) <= 0.2;
  if (!studs.some(isNear)) return [];
  const blocked = [
    ...view.openings
      .filter(
        (seen) =>
          openingBreak(seen) !== undefined ||
          seen.opening.kind === 'fixed-glass' ||
          (seen.opening.kind === 'window' && seen.opening.sillIn < heightIn + 4 && seen.opening.headIn > heightIn - 4),
      )
      .map((seen) => {
        const fromIn = toLoop(loop, seen.wall, seen.alongIn);
        // Casing takes about 2 1/4 in beside an opening: common practice.
        const casing = seen.opening.kind === 'cased' || seen.opening.kind === 'vehicle' ? 0 : 2.25;
        return { fromIn: fromIn - casing - half, toIn: fromIn + seen.widthIn + casing + half };
      }),
    ...barredByFraming(view)
      .filter((one) => heightIn > one.bottomIn - 2 && heightIn < one.topIn + 2)
      .map((one) => ({ fromIn: one.fromIn - half, toIn: one.toIn + half })),
  ];
  const faces: StudFace[] = [];
  studs.forEach((stud, i) => {
    if (!isNear(stud)) return;
    const wall = loop.walls.findLast((one) => one.startIn <= stud.atIn)!;
    const isFree = (other: Stud | undefined, atIn: number) =>
      !other || Math.abs(other.atIn - atIn) >= half + STUD_WIDTH_IN / 2 - 0.05;
    for (const side of ['left', 'right'] as const) {
      const atIn = stud.atIn + (side === 'left' ? -offset : offset);
      if (atIn < wall.startIn + half + 0.5 || atIn > wall.startIn + wall.lengthIn - half - 0.5) continue;
      if (blocked.some((gap) => atIn > gap.fromIn && atIn < gap.toIn)) continue;
      if (isFree(studs[i - 1], atIn) && isFree(studs[i + 1], atIn)) faces.push({ studIn: stud.atIn, side, atIn });
    }
  });
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
