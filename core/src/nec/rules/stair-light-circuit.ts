import { lightOf } from '../../control/room-light';
import { outletsOf } from '../requirements/circuit-facts';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { mustGet } from '../../units/result';

export const stairLightCircuit = defineRule({
  id: 'stair-light-circuit',
  meta: {
    summary: 'The light of a stair is not on the circuit of the outdoor or garage receptacles',
    stage: 'circuits',
    severity: 'caution',
    why: 'Allowed, and bites: a wet cord in the garden opens the breaker, and somebody walks down a dark stair to close it.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      exposed: ({ room, circuit }: { room: string; circuit: string }) =>
        `All the light of ${room} is on ${circuit}, which also feeds receptacles outdoors or in the garage.`,
      apart: ({ room }: { room: string }) => `The light of ${room} does not hang on outdoor or garage receptacles.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'stair'),
  check: (facts, _limits, report) =>
    facts.views.flatMap(({ room }) => {
      if (room.kind !== 'stair') return [];
      const { luminaires } = lightOf(facts.house, facts.outlets, room);
      const circuits = new Set(luminaires.map((one) => one.device.circuit));
      const [only] = [...circuits];
      if (circuits.size !== 1 || !only)
        return luminaires.length > 0 ? [report.pass('apart', { room: room.name }, { room: room.id })] : [];
      const circuit = mustGet(facts.house.circuits, only);
      const exposed = outletsOf(facts, circuit).some(
        (one) => one.device.kind === 'receptacle' && (OUTDOOR_KINDS.has(one.room.kind) || one.room.kind === 'garage'),
      );
      const where = { room: room.id, circuit: circuit.id };
      return [
        exposed
          ? report.fail('exposed', { room: room.name, circuit: circuit.name }, where)
          : report.pass('apart', { room: room.name }, where),
      ];
    }),
});
