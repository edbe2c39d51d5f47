import type { RoomView } from '../../plan/room-view';
import { deviceIds, listOutlets } from '../requirements/circuit-facts';
import { serveArea } from '../requirements/exclusive-circuit';
import { isInLaundryArea, isLaundryRoom } from '../requirements/laundry-area';
import { takeOffRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt } from '../../units/result';

const hasWasher = ({ features }: RoomView): boolean => features.some((one) => one.kind === 'washer');

export const laundryCircuit = defineRule({
  id: 'laundry-circuit',
  meta: {
    summary: 'The laundry receptacles have a 20 A circuit that feeds nothing else',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: true,
    why: 'A washer and an iron together fill a 20 A circuit.',
    editions: everyEdition({ section: '210.11(C)(2)', limits: { ratingA: 20 }, basis: fromMemory('high') }),
    messages: {
      none: (_: object) => 'No 20 A circuit feeds the laundry receptacles.',
      other: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} feeds the laundry and also ${outlets}.`,
      right: ({ circuit }: { circuit: string }) => `${circuit} feeds the laundry receptacles alone.`,
      noLaundry: (_: object) =>
        'No laundry area is drawn. Most one-family houses need one with a 20 A circuit: draw it, or ask the authority.',
      notYet: (_: object) => 'The laundry has no receptacle on a circuit yet.',
    },
  },
  scope: 'house',
  appliesTo: (facts) =>
    facts.views.some((view) => view.room.kind === 'kitchen' || isLaundryRoom(view) || hasWasher(view)),
  check: (facts, limits, report) => {
    // A receptacle on a circuit of its own (a gas dryer's, a freezer's) takes nothing from the laundry circuit.
    const area = serveArea(facts, limits.ratingA, (outlet) => isInLaundryArea(facts.house, outlet));
    const drawn = facts.views.find(isLaundryRoom) ?? facts.views.find(hasWasher);
    const room = drawn?.room ?? area.receptacles[0]?.room;
    if (!room) return [report.cannotTell('noLaundry', {}, {})];
    if (area.unassigned === area.receptacles.length) return [report.cannotTell('notYet', {}, { room: room.id })];
    if (area.circuits.length === 0)
      return [
        report.fail(
          'none',
          {},
          { room: room.id },
          { measured: () => `${area.wrong[0]?.circuit.ratingA} A`, required: () => `${limits.ratingA} A` },
        ),
      ];
    return area.circuits.map(({ circuit, others }) =>
      others.length === 0
        ? report.pass('right', { circuit: circuit.name }, { circuit: circuit.id, room: room.id })
        : report.fail(
            'other',
            { circuit: circuit.name, outlets: listOutlets(others) },
            { circuit: circuit.id, box: itemAt(others, 0).box.id },
            { remedies: [takeOffRemedy(deviceIds(others), others.length === 1 ? 'it' : 'them')] },
          ),
    );
  },
});
