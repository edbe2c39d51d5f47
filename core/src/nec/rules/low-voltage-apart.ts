import { isMixed } from '../../place/receptacles';
import { setBoxesRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const lowVoltageApart = defineRule({
  id: 'low-voltage-apart',
  meta: {
    summary: 'Power and low voltage share a box only with a divider between them',
    stage: 'boxes',
    severity: 'violation',
    why: 'A power wire that touches data or doorbell wiring puts 120 V on everything that people touch at its other end.',
    editions: everyEdition({ section: '725.136, 800.133', limits: {}, basis: fromMemory('high') }),
    messages: {
      unsaid: ({ tag }: { tag: string }) =>
        `${tag} holds power and low voltage. Has it a divider between them? Without one they need boxes of their own.`,
      none: ({ tag }: { tag: string }) => `${tag} holds power and low voltage with no divider between them.`,
      apart: ({ tag }: { tag: string }) => `${tag} has a divider between power and low voltage.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.some((box) => isMixed(box)),
  check: (view, _limits, report) =>
    view.boxes
      .filter((box) => isMixed(box))
      .map((box) => {
        const where = { room: view.room.id, box: box.id };
        const { tag } = box;
        if (box.divider === undefined)
          return report.cannotTell('unsaid', { tag }, where, {
            remedies: [setBoxesRemedy([box.id], { divider: true }, 'It has a divider')],
          });
        return box.divider ? report.pass('apart', { tag }, where) : report.fail('none', { tag }, where);
      }),
});
