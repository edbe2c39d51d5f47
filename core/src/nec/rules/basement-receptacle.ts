import type { Facts } from '../rule';
import type { RoomView } from '../../plan/room-view';
import { isUnfinishedBasement } from '../requirements/unfinished-parts';
import { hasFreeReceptacle } from '../requirements/circuit-facts';
import { defineRule, everyEdition, fromMemory } from '../rule';

const unfinishedParts = ({ views, house }: Facts): RoomView[] =>
  views.filter(({ room }) => isUnfinishedBasement(house, room) !== false);

export const basementReceptacle = defineRule({
  id: 'basement-receptacle',
  meta: {
    summary: 'A receptacle in each unfinished part of a basement',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Pumps, freezers and tools end up in basements. One made for a certain piece of equipment does not count.',
    editions: everyEdition({ section: '210.52(G)(3)', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ room }: { room: string }) => `${room} has no receptacle of its own.`,
      unknown: ({ room }: { room: string }) =>
        `${room} has no receptacle of its own. If its level lies below grade it needs one: mark the level.`,
      there: ({ room }: { room: string }) => `${room} has its receptacle.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => unfinishedParts(facts).length > 0,
  check: (facts, _limits, report) =>
    unfinishedParts(facts).map((view) => {
      const free = hasFreeReceptacle(facts, view);
      const where = { room: view.room.id };
      const data = { room: view.room.name };
      if (free) return report.pass('there', data, where);
      return isUnfinishedBasement(facts.house, view.room) === true
        ? report.fail('none', data, where)
        : report.cannotTell('unknown', data, where);
    }),
});
