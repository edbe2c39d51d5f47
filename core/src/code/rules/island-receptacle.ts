import { boundsOf } from '../../house/geometry';
import type { Feature, House } from '../../house/schema';
import { cutIntervals } from '../../plan/intervals';
import { featureOutline } from '../../plan/points';
import type { RoomView } from '../../plan/room-view';
import { count } from '../describe-place';
import { defineRule, fromMemory } from '../rule';
import { receptaclesOf } from '../../place/receptacles';

/** 2020: one for the first 9 ft² or part of it, one more for each further 18 ft² or part. *From memory*, high. */
const neededByArea = (areaFt2: number): number => 1 + Math.ceil(Math.max(0, areaFt2 - 9) / 18 - 1e-9);

const DIVIDERS: ReadonlySet<string> = new Set(['sink', 'cooktop', 'range']);
/** Counter behind a sink or cooktop that keeps an island's top one space, inches: 2014 and 2017. *From memory*, high. */
const BEHIND_IN = 12;

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

interface IslandLimits {
  readonly minLongIn: number;
  readonly minShortIn: number;
  readonly byArea: number;
  readonly optional: number;
}

/** How many receptacles an island or peninsula needs: one a space until 2017, by area in 2020; in 2023 a provision will do. */
function neededBy(view: RoomView, island: Feature, limits: IslandLimits): number | 'provision' {
  const [long, short] = [
    Math.max(island.at.widthIn, island.at.depthIn),
    Math.min(island.at.widthIn, island.at.depthIn),
  ];
  if (long < limits.minLongIn || short < limits.minShortIn) return 0;
  if (limits.optional) return 'provision';
  if (limits.byArea) return neededByArea((long * short) / 144);
  return spacesAlong(view, island).filter((one) => one >= limits.minLongIn).length;
}

export const receptaclesForIsland = (house: House, view: RoomView, island: Feature): number | 'provision' => {
  const { limits } = islandReceptacle.meta.editions[house.job.edition]!;
  return neededBy(view, island, limits);
};

export const islandReceptacle = defineRule({
  id: 'island-receptacle',
  meta: {
    summary: 'Receptacles for island and peninsula counters',
    stage: 'boxes',
    severity: 'violation',
    why: 'People work on islands with corded appliances. How many receptacles are due changed with each edition; since 2023 a provision for one is the least.',
    editions: {
      '2014': {
        section: '210.52(C)(2), (3)',
        limits: { minLongIn: 24, minShortIn: 12, byArea: 0, optional: 0 },
        basis: fromMemory('high'),
      },
      '2017': {
        section: '210.52(C)(2), (3)',
        limits: { minLongIn: 24, minShortIn: 12, byArea: 0, optional: 0 },
        basis: fromMemory('high'),
      },
      '2020': {
        section: '210.52(C)(2)',
        limits: { minLongIn: 12, minShortIn: 12, byArea: 1, optional: 0 },
        basis: fromMemory('high'),
      },
      '2023': {
        section: '210.52(C)(2)',
        limits: { minLongIn: 12, minShortIn: 12, byArea: 1, optional: 1 },
        basis: fromMemory('medium'),
      },
    },
    messages: {
      few: ({ name, have, need, area }: { name: string; have: number; need: number; area: number }) =>
        `The ${name} (${area.toFixed(1)} ft²) has ${count(have, 'receptacle')}; ${need} ${need === 1 ? 'is' : 'are'} due.`,
      enough: ({ name, have }: { name: string; have: number }) =>
        `The ${name} has ${count(have, 'receptacle')}: enough.`,
      noProvision: ({ name }: { name: string }) =>
        `The ${name} has neither a receptacle nor a provision (box, cable or raceway) for one later.`,
      provided: ({ name }: { name: string }) => `The ${name} has a provision for a later receptacle.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    view.room.kind === 'kitchen' &&
    view.features.some((feature) => feature.kind === 'island' || feature.kind === 'peninsula'),
  check: (view, limits, report) =>
    view.features.flatMap((feature) => {
      if (feature.kind !== 'island' && feature.kind !== 'peninsula') return [];
      const need = neededBy(view, feature, limits);
      if (need === 0) return [];
      const area = (feature.at.widthIn * feature.at.depthIn) / 144;
      const name = feature.name || feature.kind;
      const where = { room: view.room.id, feature: feature.id };
      const have = view.boxes.filter(
        (box) => box.at.kind === 'feature' && box.at.feature === feature.id && receptaclesOf(box).length > 0,
      ).length;
      if (need === 'provision' && have === 0)
        return [
          feature.provision
            ? report.pass('provided', { name }, where)
            : report.fail('noProvision', { name }, where, { required: () => 'a receptacle or a provision for one' }),
        ];
      const due = need === 'provision' ? 1 : need;
      const detail = { measured: () => `${have}`, required: () => `${due}` };
      return [
        have < due
          ? report.fail('few', { name, have, need: due, area }, where, detail)
          : report.pass('enough', { name, have }, where, detail),
      ];
    }),
});
