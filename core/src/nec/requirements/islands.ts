import { boundsOf } from '../../geometry/geometry';
import type { Box, Feature } from '../../house/schema';
import { cutIntervals, isLonger, isShorter } from '../../geometry/intervals';
import { featureOutline } from '../../plan/points';
import type { RoomView } from '../../plan/room-view';
import { peninsulaLengthIn } from '../../plan/islands';
import { receptaclesOf, whyNotCounted } from '../../place/receptacles';
import type { Limits } from '../rule';
import { FOOD_ROOMS } from './circuit-facts';

/** 2020: one for the first 9 ft² or part of it, one more for each further 18 ft² or part. *From memory*, high. */
const neededByArea = (areaFt2: number): number => 1 + Math.ceil(Math.max(0, areaFt2 - 9) / 18 - 1e-9);

const DIVIDERS: ReadonlySet<string> = new Set(['sink', 'cooktop', 'range']);
/** Counter behind a sink or cooktop that keeps an island's top one space, inches: 2014 and 2017. *From memory*, high. */
const BEHIND_IN = 12;
/** How far a top may reach over a receptacle in its side that serves it: 210.52(C)(5) to 2020. *From memory*, high. */
const MOST_OVERHANG_IN = 6;

/** The stretches of an island's long side that count each for themselves: a sink with little counter behind divides it. */
function spacesAlong(view: RoomView, island: Feature): number[] {
  const top = boundsOf(featureOutline(view.room, island));
  const alongX = top.maxX - top.minX >= top.maxY - top.minY;
  const cuts = view.features
    .filter((one) => DIVIDERS.has(one.kind))
    .map((one) => boundsOf(featureOutline(view.room, one)))
    .filter((one) => one.minX >= top.minX && one.maxX <= top.maxX && one.minY >= top.minY && one.maxY <= top.maxY)
    .filter(
      (one) =>
        Math.max(
          ...(alongX ? [one.minY - top.minY, top.maxY - one.maxY] : [one.minX - top.minX, top.maxX - one.maxX]),
        ) < BEHIND_IN,
    )
    .map((one) => (alongX ? { fromIn: one.minX, toIn: one.maxX } : { fromIn: one.minY, toIn: one.maxY }));
  return cutIntervals(alongX ? { fromIn: top.minX, toIn: top.maxX } : { fromIn: top.minY, toIn: top.maxY }, cuts).map(
    (one) => one.toIn - one.fromIn,
  );
}

/** Limits of island and peninsula receptacles, by edition: 210.52(C)(2), (3). */
export interface IslandLimits extends Limits {
  readonly minLongIn: number;
  readonly minShortIn: number;
  readonly byArea: number;
  readonly optional: number;
  /** A peninsula is measured from the wall behind it (1), or from the edge where it joins (0). */
  readonly fromWall: number;
  /** One receptacle of a peninsula stands this near to its outer end; 0 where the edition does not say so. */
  readonly endIn: number;
  /** How far below the top a receptacle in the side may stand and still serve it. */
  readonly belowIn: number;
}

/** How many receptacles an island or peninsula needs: one a space until 2017, by area in 2020; in 2023 a provision will do. */
function neededBy(view: RoomView, island: Feature, limits: IslandLimits): number | 'provision' {
  const { widthIn, depthIn } = island.at;
  const short = Math.min(widthIn, depthIn);
  const long =
    island.kind === 'peninsula' && !limits.byArea
      ? peninsulaLengthIn(view, island, limits.fromWall ? 'wall' : 'edge')
      : Math.max(widthIn, depthIn);
  if (isShorter(long, limits.minLongIn) || isShorter(short, limits.minShortIn)) return 0;
  if (limits.optional) return 'provision';
  if (limits.byArea) return neededByArea((widthIn * depthIn) / 144);
  const spaces = spacesAlong(view, island);
  if (spaces.length === 1) return 1;
  // Each piece by itself: its longer side and its shorter one, whichever way it lies.
  return spaces.filter(
    (along) =>
      !isShorter(Math.max(along, short), limits.minLongIn) && !isShorter(Math.min(along, short), limits.minShortIn),
  ).length;
}

/** The receptacles that serve the top: in or above it, or not too far below where the edition lets them. */
function servingBoxes(view: RoomView, island: Feature, limits: IslandLimits): readonly Box[] {
  const own = view.boxes.filter(
    (box) =>
      box.at.kind === 'feature' &&
      box.at.feature === island.id &&
      receptaclesOf(box).length > 0 &&
      !isLonger(island.heightIn - box.at.heightIn, limits.belowIn) &&
      // Under a top that reaches over by more than 6 in nobody finds it, and a cord hangs over the edge.
      !(box.at.heightIn < island.heightIn && (island.overhangIn ?? 0) > MOST_OVERHANG_IN),
  );
  if (island.kind !== 'peninsula' || !limits.fromWall || limits.byArea || island.at.kind !== 'wall') return own;
  // Measured from the wall, the space begins there: a receptacle over it on that wall serves it (2017, medium).
  const { wall, alongIn, widthIn } = island.at;
  const onWall = view.boxes.filter(
    (box) =>
      box.at.kind === 'wall' &&
      box.at.wall === wall &&
      box.at.alongIn >= alongIn &&
      box.at.alongIn <= alongIn + widthIn &&
      box.at.heightIn >= island.heightIn &&
      whyNotCounted(box, view.level.ceilingIn) === undefined,
  );
  return [...own, ...onWall];
}

/** How many receptacles are due at an island or peninsula, and the boxes that serve it already. */
export function islandNeed(
  view: RoomView,
  island: Feature,
  limits: IslandLimits,
): {
  readonly need: number | 'provision';
  readonly serving: readonly Box[];
  /** One of them within so many inches of a peninsula's outer end. */
  readonly endIn: number;
} {
  const endIn = island.kind === 'peninsula' ? limits.endIn : 0;
  return { need: neededBy(view, island, limits), serving: servingBoxes(view, island, limits), endIn };
}

/** Islands and peninsulas of the rooms that 210.52(C) names; elsewhere they are furniture. */
export function isWorkTop({ room }: RoomView, feature: Feature): boolean {
  return (feature.kind === 'island' || feature.kind === 'peninsula') && FOOD_ROOMS.has(room.kind);
}
