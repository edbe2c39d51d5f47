import { circuitsOf, isCounterReceptacle, isFoodReceptacle, outletsOf } from '../requirements/circuit-facts';
import { count } from '../../units/count';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const smallApplianceCircuits = defineRule({
  id: 'small-appliance-circuits',
  meta: {
    summary: 'Kitchen counters are fed by at least two 20 A small-appliance circuits',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: true,
    why: 'A kettle and a toaster together load one 20 A circuit to the full. Two circuits on the counter keep breakfast from tripping.',
    editions: everyEdition({
      section: '210.11(C)(1), 210.52(B)(3)',
      limits: { circuits: 2, ratingA: 20 },
      basis: fromMemory('high'),
    }),
    messages: {
      few: ({ room, n, need }: { room: string; n: number; need: number }) =>
        `The counter of ${room} is fed by ${count(n, 'circuit')} of 20 A; ${need} are required.`,
      enough: ({ room, n }: { room: string; n: number }) =>
        `The counter of ${room} is fed by ${count(n, 'circuit')} of 20 A.`,
      twoKitchens: ({ circuit, rooms }: { circuit: string; rooms: string }) =>
        `${circuit} feeds receptacles of ${rooms}: a small-appliance circuit serves one kitchen.`,
      noCounter: ({ room }: { room: string }) =>
        `${room} has no counter receptacle yet, so its small-appliance circuits cannot be counted.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'kitchen'),
  check: (facts, limits, report) => {
    const kitchens = facts.views.filter((view) => view.room.kind === 'kitchen');
    const shared = circuitsOf(facts).flatMap((circuit) => {
      const outlets = outletsOf(facts, circuit);
      if (!outlets.some((one) => isCounterReceptacle(facts, one))) return [];
      // A receptacle on a wall of the other kitchen is as much of that kitchen as one over its counter.
      const rooms = new Set(
        outlets.flatMap((one) => (one.room.kind === 'kitchen' && isFoodReceptacle(one) ? [one.room] : [])),
      );
      const data = { circuit: circuit.name, rooms: [...rooms].map(({ name }) => name).join(' and ') };
      return rooms.size > 1 ? [report.fail('twoKitchens', data, { circuit: circuit.id })] : [];
    });
    const counters = kitchens.map(({ room }) => {
      const over = (facts.outlets.byRoom.get(room.id) ?? []).filter((outlet) => isCounterReceptacle(facts, outlet));
      if (over.length === 0) return report.cannotTell('noCounter', { room: room.name }, { room: room.id });
      const feeding = circuitsOf(facts).filter(
        (circuit) =>
          circuit.ratingA === limits.ratingA && outletsOf(facts, circuit).some((outlet) => over.includes(outlet)),
      );
      const data = { room: room.name, n: feeding.length, need: limits.circuits };
      const detail = {
        measured: () => `${feeding.length}`,
        required: () => `${limits.circuits} of ${limits.ratingA} A`,
      };
      return feeding.length < limits.circuits
        ? report.fail('few', data, { room: room.id }, detail)
        : report.pass('enough', data, { room: room.id }, detail);
    });
    return [...counters, ...shared];
  },
});
