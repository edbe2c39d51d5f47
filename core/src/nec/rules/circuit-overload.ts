import { isTypical, measureCircuitLoad, TYPICAL_SPREAD } from '../../circuits/circuit-load';
import type { Circuit } from '../../house/schema';
import { sizeCircuit } from '../../circuits/sizing';
import { outletsOf } from '../requirements/circuit-facts';
import { setLoadsRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';

type Lines = ReturnType<typeof measureCircuitLoad>['lines'];
const sizedVa = (lines: Lines): number => lines.reduce((sum, line) => sum + line.va * line.factor, 0);
const typicalVa = (lines: Lines): number => sizedVa(lines.filter((line) => line.isTypical));

/** The loads of a circuit whose nameplates nobody has read. */
const typicalLoads = (facts: Facts, circuit: Circuit): string[] =>
  outletsOf(facts, circuit).flatMap(({ load }) => (load && isTypical(load) ? [load.id] : []));

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
      near: ({ circuit, load, rating }: { circuit: string; load: number; rating: number }) =>
        `${circuit} carries about ${load.toFixed(1)} A on a ${rating} A breaker, by typical values. Within 10 % only the nameplates tell.`,
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
    const slackA = (TYPICAL_SPREAD * typicalVa(known.lines) * loadA) / Math.max(1, sizedVa(known.lines));
    if (loadA - slackA <= circuit.ratingA + 1e-9 && loadA + slackA > circuit.ratingA + 1e-9) {
      const loads = typicalLoads(facts, circuit);
      const remedies = [setLoadsRemedy(loads, { source: 'nameplate' }, 'These are the nameplates\u2019 values')];
      return report.cannotTell('near', data, where, { ...detail, remedies });
    }
    return loadA > circuit.ratingA + 1e-9
      ? report.fail('over', data, where, detail)
      : report.pass('within', data, where, detail);
  },
});
