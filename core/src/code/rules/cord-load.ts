import { circuitsOf, outletsOf, outletsProper } from '../circuit-facts';
import { ampsOf } from '../../loads/library';
import { defineRule, fromMemory } from '../rule';

const entry = (section: string) => ({ section, limits: { share: 0.8 }, basis: fromMemory('high') });

export const cordLoad = defineRule({
  id: 'cord-load',
  meta: {
    summary: 'One cord-and-plug load takes at most 80 % of a circuit with several outlets',
    stage: 'circuits',
    severity: 'violation',
    why: 'A portable heater or treadmill that fills the circuit leaves nothing for what is plugged in beside it. It may have the whole of a circuit of its own.',
    editions: {
      '2014': entry('210.23(A)(1)'),
      '2017': entry('210.23(A)(1)'),
      '2020': entry('210.23(A)(1)'),
      '2023': entry('210.23(B)(1)'),
    },
    messages: {
      over: ({ load, amps, allowed, circuit }: { load: string; amps: number; allowed: number; circuit: string }) =>
        `${load} draws ${amps.toFixed(1)} A on ${circuit}; ${allowed} A is the most for one plug-in load there.`,
      within: ({ load, amps, allowed }: { load: string; amps: number; allowed: number }) =>
        `${load} draws ${amps.toFixed(1)} A of ${allowed} A allowed.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.outlets.all.some((outlet) => outlet.load?.cord && !outlet.load.fastened),
  check: (facts, limits, report) =>
    circuitsOf(facts).flatMap((circuit) => {
      const outlets = outletsProper(outletsOf(facts, circuit));
      if (outlets.length < 2 || circuit.ratingA > 20 || circuit.poles === 2) return [];
      return outlets.flatMap(({ load, box }) => {
        if (!load?.cord || load.fastened) return [];
        const amps = ampsOf(load);
        const allowed = circuit.ratingA * limits.share;
        const data = { load: load.name, amps, allowed, circuit: circuit.name };
        const detail = { measured: () => `${amps.toFixed(1)} A`, required: () => `${allowed} A at most` };
        return [
          amps > allowed + 1e-9
            ? report.fail('over', data, { circuit: circuit.id, box: box.id }, detail)
            : report.pass('within', data, { circuit: circuit.id, box: box.id }, detail),
        ];
      });
    }),
});
