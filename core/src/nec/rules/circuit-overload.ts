import { measureCircuitLoad } from '../../circuits/circuit-load';
import { sizeCircuit } from '../../circuits/sizing';
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
  scope: 'circuit',
  appliesTo: () => true,
  check: (facts, circuit, _limits, report) => {
    // General receptacles are in the area load of the house (220.14(J)); only known loads and lights bind here.
    const known = measureCircuitLoad(facts.house, circuit, 'area');
    const { leastBreakerA, ownRules } = sizeCircuit(facts.house, circuit);
    // A motor's or compressor's breaker guards against faults; its own protection against overload: 430.52, 440.22.
    const loadA = ownRules ? known.amps : leastBreakerA;
    const data = { circuit: circuit.name, load: loadA, rating: circuit.ratingA };
    const detail = {
      measured: () => `${loadA.toFixed(1)} A with continuous loads at 125 %`,
      required: () => `${circuit.ratingA} A at most`,
    };
    const where = { circuit: circuit.id };
    return loadA > circuit.ratingA + 1e-9
      ? report.fail('over', data, where, detail)
      : report.pass('within', data, where, detail);
  },
});
