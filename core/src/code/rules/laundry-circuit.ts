import { deviceIds, listOutlets } from '../circuit-facts';
import { serveArea } from '../exclusive-circuit';
import { takeOffRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const laundryCircuit = defineRule({
  id: 'laundry-circuit',
  meta: {
    summary: 'The laundry receptacles have a 20 A circuit that feeds nothing else',
    stage: 'circuits',
    severity: 'violation',
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
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'kitchen' || view.room.kind === 'laundry'),
  check: (facts, limits, report) => {
    const room = facts.views.find((view) => view.room.kind === 'laundry')?.room;
    if (!room) return [report.cannotTell('noLaundry', {}, {})];
    // A receptacle on a circuit of its own (a gas dryer's, a freezer's) takes nothing from the laundry circuit.
    const area = serveArea(facts, new Set(['laundry']), limits.ratingA);
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
            { circuit: circuit.id, box: others[0]!.box.id },
            { remedies: [takeOffRemedy(deviceIds(others), others.length === 1 ? 'it' : 'them')] },
          ),
    );
  },
});
