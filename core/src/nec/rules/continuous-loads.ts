import { continuousRemedy } from '../remedies';
import { defineRule, fromMemory } from '../rule';
import { continuousSection } from '../../circuits/demand';
import type { LoadKind } from '../../house/schema-equipment';

/** Loads that the code calls continuous however long they run. */
const CONTINUOUS: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'water-heater',
  'heat-pump-water-heater',
  'baseboard-heat',
  'cove-heat',
  'floor-heat',
  'electric-furnace',
  'bath-heater',
  'ev-charger',
  'ev-charger-48',
  'ev-cord',
]);

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
  reads: 'none',
  appliesTo: (facts) => Object.values(facts.house.loads).some((load) => CONTINUOUS.has(load.kind)),
  check: (facts, _limits, report) =>
    Object.values(facts.house.loads).flatMap((load) => {
      if (!CONTINUOUS.has(load.kind)) return [];
      const section = continuousSection(load.kind, facts.edition);
      const where = { box: load.box };
      if (load.continuous) return [report.pass('marked', { load: load.name }, where, { section })];
      return [report.fail('unmarked', { load: load.name }, where, { section, remedies: [continuousRemedy(load.id)] })];
    }),
});
