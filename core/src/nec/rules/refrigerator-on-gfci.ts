import { outletsOf } from '../requirements/circuit-facts';
import { sharesGfci } from '../outages';
import { commonPractice, defineRule, everyEdition } from '../rule';

const KEEPS = /^(refrigerator|freezer|sump-pump|grinder-pump)$/;

export const refrigeratorOnGfci = defineRule({
  id: 'refrigerator-on-gfci',
  meta: {
    summary: 'Freezers, refrigerators and sump pumps do not hang on a GFCI that others can open',
    stage: 'circuits',
    severity: 'caution',
    why: 'Allowed, and bites: a wet cord somewhere else opens the GFCI, and nobody notices until the freezer has thawed or the basement is wet. A circuit of its own, or a GFCI of its own, keeps it apart.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      shared: ({ load, circuit }: { load: string; circuit: string }) =>
        `${load} hangs on a GFCI that everything else on ${circuit} can open.`,
      apart: ({ load }: { load: string }) => `Nothing else can open the protection of ${load}.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) => outletsOf(facts, circuit).some((one) => one.load && KEEPS.test(one.load.kind)),
  check: (facts, circuit, _limits, report) =>
    outletsOf(facts, circuit).flatMap((outlet) => {
      if (!outlet.load || !KEEPS.test(outlet.load.kind)) return [];
      const where = { circuit: circuit.id, box: outlet.box.id };
      return [
        sharesGfci(facts.house, outlet)
          ? report.fail('shared', { load: outlet.load.name, circuit: circuit.name }, where)
          : report.pass('apart', { load: outlet.load.name }, where),
      ];
    }),
});
