import type { RoomKind } from '../../house/schema';
import { defineRule, everyEdition, fromMemory } from '../rule';

const BARRED: Readonly<Partial<Record<RoomKind, string>>> = {
  bathroom: '240.24(E)',
  'half-bath': '240.24(E)',
  closet: '240.24(D)',
  'walk-in-closet': '240.24(D)',
  stair: '240.24(F)',
};

export const panelPlace = defineRule({
  id: 'panel-place',
  meta: {
    summary: 'No panel in a bathroom, a clothes closet or over steps',
    stage: 'boxes',
    severity: 'violation',
    why: 'Damp, clothes that burn, and a footing on stairs: each has hurt somebody at a panel.',
    editions: everyEdition({ section: '240.24(D), (E), (F)', limits: {}, basis: fromMemory('high') }),
    messages: {
      barred: ({ panel, room }: { panel: string; room: string }) => `${panel} stands in ${room}.`,
      linen: ({ panel, room }: { panel: string; room: string }) =>
        `${panel} stands in ${room}: not named by the code, but what is stored there may burn easily. Ask the authority.`,
      fine: ({ panel, room }: { panel: string; room: string }) => `${panel} may stand in ${room}.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) => Object.keys(facts.house.panels).length > 0,
  check: (facts, _limits, report) =>
    Object.values(facts.house.panels).map((panel) => {
      const room = facts.house.rooms[panel.room]!;
      const data = { panel: panel.name, room: room.name };
      const where = { panel: panel.id, room: room.id };
      const section = BARRED[room.kind];
      if (section) return report.fail('barred', data, where, { section });
      if (room.kind === 'linen' || room.kind === 'pantry' || room.kind === 'storage')
        return report.cannotTell('linen', data, where, { basis: fromMemory('medium') });
      return report.pass('fine', data, where);
    }),
});
