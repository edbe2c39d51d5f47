import type { LoadKind } from '../../house/schema-equipment';
import {
  deviceIds,
  isFoodReceptacle,
  isSmallAppliance,
  listOutlets,
  outletsOf,
  outletsProper,
} from '../requirements/circuit-facts';
import { takeOffRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

/** Appliances that 2014 does not let off the small-appliance circuits: only refrigeration is excepted there. */
const HOLDS_BY_HAND: ReadonlySet<LoadKind> = new Set(['microwave', 'portable-heater', 'other']);

export const smallApplianceReceptacles = defineRule({
  id: 'small-appliance-receptacles',
  meta: {
    summary: 'Receptacles of kitchen, dining room, breakfast room and pantry are on the small-appliance circuits',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: true,
    why: 'Toasters and coffee makers move to the dining table. Its receptacles must be able to carry them.',
    editions: {
      ...everyEdition({
        section: '210.52(B)(1)',
        limits: { ratingA: 20, ownCircuitA: 15, anyAppliance: 1 },
        basis: fromMemory('high'),
      }),
      '2014': {
        section: '210.52(B)(1)',
        limits: { ratingA: 20, ownCircuitA: 15, anyAppliance: 0 },
        basis: fromMemory('medium'),
      },
    },
    messages: {
      wrong: ({ room, outlets, circuit }: { room: string; outlets: string; circuit: string }) =>
        `${outlets}: fed by ${circuit}, which is not a 20 A small-appliance circuit for ${room}.`,
      right: ({ room }: { room: string }) =>
        `The receptacles of ${room} are on small-appliance circuits, or on circuits of their own.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.outlets.all.some(isFoodReceptacle),
  check: (facts, limits, report) => {
    const rooms = [...new Set(facts.outlets.all.filter(isFoodReceptacle).map((outlet) => outlet.room))];
    return rooms.flatMap((room) => {
      const wrong = new Map<string, (typeof facts.outlets.all)[number][]>();
      for (const outlet of facts.outlets.byRoom.get(room.id) ?? []) {
        if (!isFoodReceptacle(outlet)) continue;
        const circuit = outlet.device.circuit === null ? undefined : facts.house.circuits[outlet.device.circuit];
        if (!circuit) continue;
        // Exception 1: a switched receptacle in place of a lighting outlet may be on a general circuit; no kitchen has one (210.70(A)(1)).
        const { device } = outlet;
        if (device.kind === 'receptacle' && device.switched !== 'no' && room.kind !== 'kitchen') continue;
        // Exception 2: a refrigerator, and from 2017 any specific appliance, on a circuit of its own of 15 A or more.
        const alone =
          outlet.load !== undefined &&
          (limits.anyAppliance === 1 || outlet.load.kind === 'refrigerator' || !HOLDS_BY_HAND.has(outlet.load.kind)) &&
          outletsProper(outletsOf(facts, circuit)).length === 1 &&
          circuit.ratingA >= limits.ownCircuitA;
        if (alone || (isSmallAppliance(facts, circuit) && circuit.ratingA === limits.ratingA)) continue;
        wrong.set(circuit.id, [...(wrong.get(circuit.id) ?? []), outlet]);
      }
      if (wrong.size === 0) return [report.pass('right', { room: room.name }, { room: room.id })];
      return [...wrong].map(([id, outlets]) =>
        report.fail(
          'wrong',
          { room: room.name, outlets: listOutlets(outlets), circuit: mustGet(facts.house.circuits, id).name },
          { room: room.id, circuit: id },
          {
            measured: () =>
              `${mustGet(facts.house.circuits, id).ratingA} A, ${mustGet(facts.house.circuits, id).purpose}`,
            required: () => `${limits.ratingA} A, small-appliance`,
            remedies: [takeOffRemedy(deviceIds(outlets), 'them')],
          },
        ),
      );
    });
  },
});
