import { roomBehind } from '../../plan/room-view';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { defineRule, everyEdition, fromMemory } from '../rule';

const OPENS: ReadonlySet<string> = new Set(['window', 'slider', 'door']);

export const escapeOpening = defineRule({
  id: 'escape-opening',
  meta: {
    summary: 'A bedroom has a window or door to the outside by which one gets out in a fire',
    stage: 'house',
    severity: 'reminder',
    why: 'No matter for the electrician, but the inspector who sees a bedroom without one stops the job, and every box in it waits.',
    editions: everyEdition({ section: 'IRC R310.1', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ room }: { room: string }) =>
        `${room} is drawn without a window or door to the outside. A bedroom needs an escape opening: ask the designer before boxes are nailed.`,
      there: ({ room }: { room: string }) =>
        `${room} has an opening to the outside; its clear size is for the designer.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'bedroom'),
  check: (facts, _limits, report) =>
    facts.views
      .filter((view) => view.room.kind === 'bedroom')
      .map((view) => {
        const isOut = view.openings.some((seen) => {
          if (!OPENS.has(seen.opening.kind)) return false;
          const behind = roomBehind(facts.house, view.room.id, seen);
          return behind ? OUTDOOR_KINDS.has(behind.kind) : seen.opening.kind !== 'door';
        });
        const data = { room: view.room.name };
        const where = { room: view.room.id };
        return isOut ? report.pass('there', data, where) : report.fail('none', data, where);
      }),
});
