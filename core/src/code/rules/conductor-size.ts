import { circuitsOf, outletsOf } from '../circuit-facts';
import { measureCircuitLoad, measureConductor, servesSeveralReceptacles } from '../../circuits/circuit-load';
import { smallestNmFor } from '../../electrical/conductors';
import { conductorRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

/** Motors and cooling equipment size their breaker by 430 and 440 (nameplate), not by 240.4(D): 240.4(G). */
const OWN_SIZING = new Set(['air-conditioner', 'heat-pump']);

export const conductorSize = defineRule({
  id: 'conductor-size',
  meta: {
    summary: 'The breaker guards the conductor: 15 A on 14, 20 A on 12, 30 A on 10',
    stage: 'circuits',
    severity: 'violation',
    why: 'A breaker larger than its cable lets the cable run hot inside the wall before it opens.',
    editions: everyEdition({ section: '240.4(D), 334.80', limits: {}, basis: fromMemory('high') }),
    messages: {
      small: ({ circuit, awg, rating, largest }: { circuit: string; awg: string; rating: number; largest: number }) =>
        `${circuit}: No. ${awg} copper NM-B may have a ${largest} A breaker at most; this one has ${rating} A.`,
      weak: ({ circuit, awg, carries, load }: { circuit: string; awg: string; carries: number; load: number }) =>
        `${circuit}: No. ${awg} copper NM-B carries ${carries} A; the load with continuous parts at 125 % is ${load.toFixed(1)} A.`,
      fits: ({ circuit, awg }: { circuit: string; awg: string }) =>
        `${circuit}: No. ${awg} copper fits its breaker and load.`,
      nameplate: ({ circuit }: { circuit: string }) =>
        `${circuit}: a cooling circuit is sized by the nameplate (MCA and MOCP, Article 440). Check them.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => circuitsOf(facts).length > 0,
  check: (facts, _limits, report) =>
    circuitsOf(facts).map((circuit) => {
      const outlets = outletsOf(facts, circuit);
      const { ampacityA, largestBreakerA } = measureConductor(facts.house, circuit);
      const { sizedAmps } = measureCircuitLoad(facts.house, circuit);
      const fitting = smallestNmFor(circuit.ratingA, sizedAmps, servesSeveralReceptacles(outlets));
      const remedies = fitting ? [conductorRemedy(circuit.id, fitting)] : [];
      const where = { circuit: circuit.id };
      const data = { circuit: circuit.name, awg: circuit.awg };
      if (outlets.some((outlet) => outlet.load && OWN_SIZING.has(outlet.load.kind)))
        return report.cannotTell('nameplate', data, where, { section: '440.4, 240.4(G)' });
      if (circuit.ratingA > largestBreakerA)
        return report.fail('small', { ...data, rating: circuit.ratingA, largest: largestBreakerA }, where, {
          remedies,
          measured: () => `${circuit.ratingA} A`,
          required: () => `${largestBreakerA} A at most on No. ${circuit.awg}`,
        });
      if (sizedAmps > ampacityA + 1e-9)
        return report.fail('weak', { ...data, carries: ampacityA, load: sizedAmps }, where, {
          remedies,
          section: '210.19(A)',
          measured: () => `${sizedAmps.toFixed(1)} A`,
          required: () => `${ampacityA} A at most`,
        });
      return report.pass('fits', data, where);
    }),
});
