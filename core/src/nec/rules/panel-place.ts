import { isLonger } from '../../geometry/intervals';
import type { RoomKind } from '../../house/schema';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

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
    summary: 'No panel in a bathroom, a clothes closet or over steps, and its breakers within reach',
    stage: 'boxes',
    severity: 'violation',
    why: 'Damp, clothes that burn, and a footing on stairs: each has hurt somebody at a panel.',
    editions: everyEdition({
      section: '240.24(A), (D), (E), (F)',
      limits: { highestHandleIn: 79 },
      basis: fromMemory('high'),
    }),
    messages: {
      barred: ({ panel, room }: { panel: string; room: string }) => `${panel} stands in ${room}.`,
      linen: ({ panel, room }: { panel: string; room: string }) =>
        `${panel} stands in ${room}: not named by the code, but what is stored there may burn easily. Ask the authority.`,
      high: ({ panel, bottom }: { panel: string; bottom: number }, show) =>
        `${panel} begins ${show(bottom)} above the floor: its breakers are out of reach.`,
      reach: ({ panel, top }: { panel: string; top: number }, show) =>
        `The top of ${panel} is ${show(top)} above the floor. See that its highest breaker handle is not above 6 ft 7 in.`,
      fine: ({ panel, room }: { panel: string; room: string }) => `${panel} may stand in ${room}.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) => Object.keys(facts.house.panels).length > 0,
  check: (facts, limits, report) =>
    Object.values(facts.house.panels).map((panel) => {
      const room = mustGet(facts.house.rooms, panel.room);
      const data = { panel: panel.name, room: room.name };
      const where = { panel: panel.id, room: room.id };
      const section = BARRED[room.kind];
      if (section) return report.fail('barred', data, where, { section });
      if (room.kind === 'linen' || room.kind === 'pantry' || room.kind === 'storage')
        return report.cannotTell('linen', data, where, { basis: fromMemory('medium') });
      const drawn = panel.feature === null ? undefined : facts.house.features[panel.feature];
      const detail = {
        section: '240.24(A)',
        required: (show: (lengthIn: number) => string) => `highest handle at ${show(limits.highestHandleIn)} at most`,
      };
      if (drawn?.bottomIn !== undefined && isLonger(drawn.bottomIn, limits.highestHandleIn))
        return report.fail('high', { panel: panel.name, bottom: drawn.bottomIn }, where, detail);
      if (drawn && isLonger(drawn.heightIn, limits.highestHandleIn))
        return report.cannotTell('reach', { panel: panel.name, top: drawn.heightIn }, where, detail);
      return report.pass('fine', data, where);
    }),
});
