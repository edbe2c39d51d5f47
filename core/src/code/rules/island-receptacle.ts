import { boundsOf } from '../../house/geometry';
import type { Box, Feature } from '../../house/schema';
import { cutIntervals } from '../../plan/intervals';
import { featureOutline } from '../../plan/points';
import type { RoomView } from '../../plan/room-view';
import { fromOuterEnd, peninsulaLengthIn } from '../../plan/islands';
import { FOOD_ROOMS } from '../circuit-facts';
import { count } from '../../units/count';
import { defineRule, fromMemory, type Limits } from '../rule';
import { receptaclesOf, whyNotCounted } from '../../place/receptacles';

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
  if (long < limits.minLongIn || short < limits.minShortIn) return 0;
  if (limits.optional) return 'provision';
  if (limits.byArea) return neededByArea((widthIn * depthIn) / 144);
  const spaces = spacesAlong(view, island);
  if (spaces.length === 1) return 1;
  // Each piece by itself: its longer side and its shorter one, whichever way it lies.
  return spaces.filter(
    (along) => Math.max(along, short) >= limits.minLongIn && Math.min(along, short) >= limits.minShortIn,
  ).length;
}

/** The receptacles that serve the top: in or above it, or not too far below where the edition lets them. */
function servingBoxes(view: RoomView, island: Feature, limits: IslandLimits): readonly Box[] {
  const own = view.boxes.filter(
    (box) =>
      box.at.kind === 'feature' &&
      box.at.feature === island.id &&
      receptaclesOf(box).length > 0 &&
      island.heightIn - box.at.heightIn <= limits.belowIn + 1 / 64 &&
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

const HIGH = fromMemory('high');
const BY_SPACE = { minLongIn: 24, minShortIn: 12, byArea: 0, optional: 0, endIn: 0, belowIn: 12 };

export const islandReceptacle = defineRule({
  id: 'island-receptacle',
  meta: {
    summary: 'Receptacles for island and peninsula counters',
    stage: 'boxes',
    severity: 'violation',
    why: 'People work on islands with corded appliances. How many receptacles are due changed with each edition; since 2023 a provision for one is the least.',
    editions: {
      '2014': { section: '210.52(C)(2), (3)', limits: { ...BY_SPACE, fromWall: 0 }, basis: HIGH },
      '2017': { section: '210.52(C)(2), (3)', limits: { ...BY_SPACE, fromWall: 1 }, basis: HIGH },
      '2020': {
        section: '210.52(C)(2)',
        limits: { minLongIn: 12, minShortIn: 12, byArea: 1, optional: 0, fromWall: 1, endIn: 24, belowIn: 12 },
        basis: HIGH,
      },
      '2023': {
        section: '210.52(C)(2)',
        limits: { minLongIn: 12, minShortIn: 12, byArea: 1, optional: 1, fromWall: 1, endIn: 0, belowIn: 0 },
        basis: fromMemory('medium'),
      },
    },
    messages: {
      few: ({ name, have, need, area }: { name: string; have: number; need: number; area: number }) =>
        `The ${name} (${area.toFixed(1)} ft²) has ${count(have, 'receptacle')}; ${need} ${need === 1 ? 'is' : 'are'} due.`,
      enough: ({ name, have }: { name: string; have: number }) =>
        `The ${name} has ${count(have, 'receptacle')}: enough.`,
      end: ({ name, nearest }: { name: string; nearest: number }, show) =>
        `The receptacle nearest to the outer end of the ${name} is ${show(nearest)} from it.`,
      noProvision: ({ name, side }: { name: string; side: boolean }) =>
        side
          ? `The ${name} has a receptacle in its side only: it may be there, but does not serve the counter. Set one listed for countertops into the top, or keep a provision.`
          : `The ${name} has neither a receptacle nor a provision (box, cable or raceway) for one later.`,
      provided: ({ name }: { name: string }) => `The ${name} has a provision for a later receptacle.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.features.some((one) => isWorkTop(view, one)),
  check: (view, limits, report) =>
    view.features.flatMap((feature) => {
      if (!isWorkTop(view, feature)) return [];
      const need = neededBy(view, feature, limits);
      if (need === 0) return [];
      const area = (feature.at.widthIn * feature.at.depthIn) / 144;
      const name = feature.name || feature.kind;
      const where = { room: view.room.id, feature: feature.id };
      const serving = servingBoxes(view, feature, limits);
      const have = serving.length;
      if (need === 'provision' && have === 0) {
        const side = view.boxes.some((box) => box.at.kind === 'feature' && box.at.feature === feature.id);
        return [
          feature.provision
            ? report.pass('provided', { name }, where)
            : report.fail('noProvision', { name, side }, where, {
                measured: () => (side ? 'below the top' : 'none'),
                required: () => 'a receptacle in or above the top, or a provision for one',
              }),
        ];
      }
      const due = need === 'provision' ? 1 : need;
      const detail = { measured: () => `${have}`, required: () => `${due}` };
      if (have < due) return [report.fail('few', { name, have, need: due, area }, where, detail)];
      const nearest = Math.min(...serving.map((box) => fromOuterEnd(view, feature, box)));
      if (feature.kind === 'peninsula' && limits.endIn > 0 && nearest > limits.endIn + 1 / 64)
        return [
          report.fail('end', { name, nearest }, where, {
            measured: (show) => show(nearest),
            required: (show) => `one within ${show(limits.endIn)} of the outer end`,
          }),
        ];
      return [report.pass('enough', { name, have }, where, detail)];
    }),
});

/** Islands and peninsulas of the rooms that 210.52(C) names; elsewhere they are furniture. */
function isWorkTop({ room }: RoomView, feature: Feature): boolean {
  return (feature.kind === 'island' || feature.kind === 'peninsula') && FOOD_ROOMS.has(room.kind);
}
