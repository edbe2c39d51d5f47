import { hasFreeReceptacle } from '../requirements/circuit-facts';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const basementReceptacle = defineRule({
  id: 'basement-receptacle',
  meta: {
    summary: 'A receptacle in each unfinished part of a basement',
    stage: 'boxes',
    severity: 'violation',
    why: 'Pumps, freezers and tools end up in basements. One made for a certain piece of equipment does not count.',
    editions: everyEdition({ section: '210.52(G)(3)', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ room }: { room: string }) => `${room} has no receptacle of its own.`,
      there: ({ room }: { room: string }) => `${room} has its receptacle.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'basement-unfinished'),
  check: (facts, _limits, report) =>
    facts.views
      .filter((view) => view.room.kind === 'basement-unfinished')
      .map((view) => {
        const free = hasFreeReceptacle(facts, view);
        const where = { room: view.room.id };
        return free
          ? report.pass('there', { room: view.room.name }, where)
          : report.fail('none', { room: view.room.name }, where);
      }),
});
