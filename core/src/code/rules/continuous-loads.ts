import { continuousRemedy } from '../remedies';
import { defineRule, fromMemory } from '../rule';
import type { Edition } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';

/** Loads that the code calls continuous however long they run. *From memory*; section numbers of 424 and 625 medium. */
const CONTINUOUS: Partial<Record<LoadKind, Record<Edition, string>>> = {
  'water-heater': { '2014': '422.13', '2017': '422.13', '2020': '422.13', '2023': '422.13' },
  'baseboard-heat': { '2014': '424.3(B)', '2017': '424.3(B)', '2020': '424.4(B)', '2023': '424.4(B)' },
  'bath-heater': { '2014': '424.3(B)', '2017': '424.3(B)', '2020': '424.4(B)', '2023': '424.4(B)' },
  'ev-charger': { '2014': '625.41', '2017': '625.41', '2020': '625.41', '2023': '625.41' },
};

const entry = { section: '210.20(A)', limits: {}, basis: fromMemory('high') };

export const continuousLoads = defineRule({
  id: 'continuous-loads',
  meta: {
    summary: 'Water heaters, fixed heat and car chargers count as continuous',
    stage: 'circuits',
    severity: 'violation',
    why: 'These run for hours at full current; breaker and cable are sized at 125 %.',
    editions: { '2014': entry, '2017': entry, '2020': entry, '2023': entry },
    messages: {
      unmarked: ({ load }: { load: string }) => `${load} is not marked continuous, so its circuit is sized too small.`,
      marked: ({ load }: { load: string }) => `${load} counts at 125 %.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.values(facts.house.loads).some((load) => CONTINUOUS[load.kind]),
  check: (facts, _limits, report) =>
    Object.values(facts.house.loads).flatMap((load) => {
      const section = CONTINUOUS[load.kind]?.[facts.edition];
      if (!section) return [];
      const where = { box: load.box };
      if (load.continuous) return [report.pass('marked', { load: load.name }, where, { section })];
      return [report.fail('unmarked', { load: load.name }, where, { section, remedies: [continuousRemedy(load.id)] })];
    }),
});
