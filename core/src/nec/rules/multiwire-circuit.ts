import { legOf } from '../../panel/schedule';
import { circuitsOf } from '../requirements/circuit-facts';
import type { Remedy } from '../remedies';
import { protectionOf } from '../protection/circuit-protection';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const multiwireCircuit = defineRule({
  id: 'multiwire-circuit',
  meta: {
    summary: 'Two circuits that share a neutral stand on opposite legs and open together',
    stage: 'circuits',
    severity: 'violation',
    why: 'On one leg the shared neutral carries both currents and burns. Opened one at a time, its neutral stays live under the hand of the person who works on it. The neutral is pigtailed: taking out a receptacle must not open it (300.13(B)).',
    editions: everyEdition({ section: '210.4(B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      poles: ({ a, b }: Names) => `${a} and ${b} share a neutral, but are not both of one pole.`,
      mutual: ({ a, b }: Names) => `${a} is to share a neutral with ${b}, and ${b} does not say so.`,
      legs: ({ a, b, leg }: Names & { leg: string }) =>
        `${a} and ${b} share a neutral and both stand on leg ${leg}: it would carry both currents.`,
      apart: ({ a, b }: Names) =>
        `${a} and ${b} share a neutral and are not next to each other in the panel, where a handle tie joins them.`,
      single: ({ a, b, kind }: Names & { kind: string }) =>
        `${a} and ${b} share a neutral: a one-pole ${kind} breaker cannot guard half of it. Take a two-pole one, or GFCI receptacles with pigtailed neutrals.`,
      separate: ({ a, b, kind }: Names & { kind: string }) =>
        `${a} and ${b} share a neutral. Is their ${kind} breaker one of two poles? Two one-pole ones trip on the shared neutral, and a handle tie makes no common trip of them.`,
      unplaced: ({ a, b }: Names) =>
        `${a} and ${b} share a neutral; set both down in the panel to see that their legs differ.`,
      right: ({ a, b }: Names) => `${a} and ${b} share a neutral on opposite legs, side by side.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => circuitsOf(facts).some((circuit) => circuit.sharesNeutralWith !== undefined),
  check: (facts, _limits, report) =>
    circuitsOf(facts).flatMap((circuit) => {
      const other =
        circuit.sharesNeutralWith === undefined ? undefined : facts.house.circuits[circuit.sharesNeutralWith];
      if (!other) return [];
      const names = { a: circuit.name, b: other.name };
      const where = { circuit: circuit.id };
      if (other.sharesNeutralWith !== circuit.id) return [report.fail('mutual', names, where)];
      if (circuit.id > other.id) return [];
      if (circuit.poles !== 1 || other.poles !== 1) return [report.fail('poles', names, where)];
      const kinds = [circuit, other].map((one) => protectionOf(facts.house, one.id, facts.edition).fitted);
      const guarded = kinds.find((kind) => kind === 'gfci' || kind === 'dual' || kind === 'afci');
      const isOne = circuit.commonTrip === true && other.commonTrip === true;
      const data = { ...names, kind: (guarded ?? '').toUpperCase() };
      const remedies: Remedy[] = [
        { kind: 'common-trip', circuits: [circuit.id, other.id], label: 'It is one two-pole breaker' },
      ];
      const single = !guarded
        ? []
        : kinds[0] !== kinds[1]
          ? [report.fail('single', data, where)]
          : isOne
            ? []
            : [report.cannotTell('separate', data, where, { remedies })];
      if (circuit.space === null || other.space === null)
        return [...single, report.cannotTell('unplaced', names, where)];
      const leg = legOf(circuit.space);
      if (leg === legOf(other.space)) return [...single, report.fail('legs', { ...names, leg }, where)];
      if (Math.abs(circuit.space - other.space) !== 2) return [...single, report.fail('apart', names, where)];
      return single.length > 0 ? single : [report.pass('right', names, where)];
    }),
});

interface Names {
  readonly a: string;
  readonly b: string;
}
