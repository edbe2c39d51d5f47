import { sizeCircuit } from '../../circuits/sizing';
import { conductorRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

const OWN_BREAKER = { motor: '430.52', cooling: '440.22', welder: '630.12' } as const;
const OWN_CONDUCTOR = { motor: '430.22', cooling: '440.4(B)', welder: '630.11' } as const;

export const conductorSize = defineRule({
  id: 'conductor-size',
  meta: {
    summary: 'The breaker guards the conductor: 15 A on 14, 20 A on 12, 30 A on 10',
    stage: 'circuits',
    severity: 'violation',
    why: 'A breaker larger than its cable lets the cable run hot inside the wall before it opens.',
    editions: everyEdition({ section: '240.4(D), 334.80', limits: {}, basis: fromMemory('high') }),
    messages: {
      small: ({
        circuit,
        awg,
        what,
        rating,
        largest,
      }: {
        circuit: string;
        awg: string;
        what: string;
        rating: number;
        largest: number;
      }) =>
        largest === 0
          ? `${circuit}: No. ${awg} ${what} carries less there than the smallest breaker.`
          : `${circuit}: No. ${awg} ${what} may have a ${largest} A breaker at most; this one has ${rating} A.`,
      weak: ({
        circuit,
        awg,
        what,
        carries,
        load,
      }: {
        circuit: string;
        awg: string;
        what: string;
        carries: number;
        load: number;
      }) =>
        `${circuit}: No. ${awg} ${what} carries ${Math.floor(carries * 10) / 10} A; the load with continuous parts at 125 % is ${load.toFixed(1)} A.`,
      fits: ({ circuit, awg }: { circuit: string; awg: string }) => `${circuit}: No. ${awg} fits its breaker and load.`,
      nameplate: ({ circuit }: { circuit: string }) =>
        `${circuit}: a cooling circuit is sized by the nameplate (MCA and MOCP, Article 440). Check them.`,
    },
  },
  scope: 'circuit',
  // Of conductors that nobody has read there is nothing to say here: `conductors-read` asks for them.
  appliesTo: (_facts, circuit) => circuit.unread === undefined,
  check: (facts, circuit, _limits, report) => {
    const { ampacityA, largestBreakerA, conductorA, fitting, plateUnread, ownRules } = sizeCircuit(
      facts.house,
      circuit,
    );
    const remedies = fitting && fitting !== circuit.awg ? [conductorRemedy(circuit.id, fitting)] : [];
    const where = { circuit: circuit.id };
    const what = circuit.metal === 'aluminum' ? 'aluminum' : 'copper NM-B';
    const data = { circuit: circuit.name, awg: circuit.awg, what };
    if (plateUnread) return report.cannotTell('nameplate', data, where, { section: '440.4, 240.4(G)' });
    if (circuit.ratingA > largestBreakerA)
      return report.fail('small', { ...data, rating: circuit.ratingA, largest: largestBreakerA }, where, {
        remedies: ownRules ? [] : remedies,
        ...(ownRules ? { section: OWN_BREAKER[ownRules] } : {}),
        measured: () => `${circuit.ratingA} A`,
        required: () => `${largestBreakerA} A at most on No. ${circuit.awg}`,
      });
    if (conductorA > ampacityA + 1e-9)
      return report.fail('weak', { ...data, carries: ampacityA, load: conductorA }, where, {
        remedies,
        section: ownRules ? OWN_CONDUCTOR[ownRules] : '210.19(A)',
        measured: () => `${conductorA.toFixed(1)} A`,
        required: () => `${Math.floor(ampacityA * 10) / 10} A at most`,
      });
    return report.pass('fits', data, where);
  },
});
