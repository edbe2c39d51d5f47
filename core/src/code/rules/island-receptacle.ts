import { count } from '../describe-place';
import { defineRule, fromMemory } from '../rule';
import { receptaclesOf } from '../../place/receptacles';

/** 2020: one for the first 9 ft² or part of it, one more for each further 18 ft² or part. *From memory*, high. */
const neededByArea = (areaFt2: number): number => 1 + Math.ceil(Math.max(0, areaFt2 - 9) / 18 - 1e-9);

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
        `The ${name} (${area.toFixed(1)} ft²) has ${count(have, 'receptacle')}; ${need} are due.`,
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
      const [long, short] = [
        Math.max(feature.at.widthIn, feature.at.depthIn),
        Math.min(feature.at.widthIn, feature.at.depthIn),
      ];
      if (long < limits.minLongIn || short < limits.minShortIn) return [];
      const area = (long * short) / 144;
      const name = feature.name || feature.kind;
      const where = { room: view.room.id, feature: feature.id };
      const have = view.boxes.filter(
        (box) => box.at.kind === 'feature' && box.at.feature === feature.id && receptaclesOf(box).length > 0,
      ).length;
      if (limits.optional && have === 0)
        return [
          feature.provision
            ? report.pass('provided', { name }, where)
            : report.fail('noProvision', { name }, where, { required: () => 'a receptacle or a provision for one' }),
        ];
      const need = limits.byArea && !limits.optional ? neededByArea(area) : 1;
      const detail = { measured: () => `${have}`, required: () => `${need}` };
      return [
        have < need
          ? report.fail('few', { name, have, need, area }, where, detail)
          : report.pass('enough', { name, have }, where, detail),
      ];
    }),
});
