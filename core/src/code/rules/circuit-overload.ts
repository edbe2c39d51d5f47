import { circuitsOf } from '../circuit-facts';
import { measureCircuitLoad } from '../../circuits/circuit-load';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const circuitOverload = defineRule({
  id: 'circuit-overload',
  meta: {
    summary: 'The breaker is not smaller than the known load, continuous parts at 125 %',
    stage: 'circuits',
    severity: 'violation',
    why: 'A breaker heats up over hours. Loads that run three hours and more are counted a quarter higher so that it holds.',
    editions: everyEdition({ section: '210.20(A)', limits: {}, basis: fromMemory('high') }),
    messages: {
      over: ({ circuit, load, rating }: { circuit: string; load: number; rating: number }) =>
        `${circuit} carries ${load.toFixed(1)} A of known load on a ${rating} A breaker.`,
      within: ({ circuit, load, rating }: { circuit: string; load: number; rating: number }) =>
        `${circuit} carries ${load.toFixed(1)} A of ${rating} A.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => circuitsOf(facts).length > 0,
  check: (facts, _limits, report) =>
    circuitsOf(facts).map((circuit) => {
      // General receptacles are in the area load of the house (220.14(J)); only known loads and lights bind here.
      const known = measureCircuitLoad(facts.house, circuit, 'area');
      const data = { circuit: circuit.name, load: known.sizedAmps, rating: circuit.ratingA };
      const detail = {
        measured: () => `${known.sizedAmps.toFixed(1)} A with continuous loads at 125 %`,
        required: () => `${circuit.ratingA} A at most`,
      };
      const where = { circuit: circuit.id };
      return known.sizedAmps > circuit.ratingA + 1e-9
        ? report.fail('over', data, where, detail)
        : report.pass('within', data, where, detail);
    }),
});
