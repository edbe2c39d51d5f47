import { hasFreeReceptacle } from '../requirements/circuit-facts';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const accessoryReceptacle = defineRule({
  id: 'accessory-receptacle',
  meta: {
    summary: 'A receptacle in each accessory building that has power',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A shed with a light only gets a cord through its window. Where nothing brings power, nothing is asked.',
    editions: everyEdition({ section: '210.52(G)(2)', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ room }: { room: string }) => `${room} has power and no receptacle of its own.`,
      there: ({ room }: { room: string }) => `${room} has its receptacle.`,
      unpowered: ({ room }: { room: string }) =>
        `${room} has no box. If power is brought to it, it needs a receptacle and a lighting outlet.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'accessory-building'),
  check: (facts, _limits, report) =>
    facts.views
      .filter((view) => view.room.kind === 'accessory-building')
      .map((view) => {
        const where = { room: view.room.id };
        const room = view.room.name;
        if (view.boxes.length === 0) return report.cannotTell('unpowered', { room }, where);
        const free = hasFreeReceptacle(facts, view);
        return free ? report.pass('there', { room }, where) : report.fail('none', { room }, where);
      }),
});
