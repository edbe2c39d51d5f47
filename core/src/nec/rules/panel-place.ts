import { isLonger } from '../../geometry/intervals';
import { distance, isInside } from '../../geometry/geometry';
import type { House, Panel, RoomKind } from '../../house/schema';
import { featureMiddle, featureOutline } from '../../plan/points';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt, mustGet } from '../../units/result';

const BARRED: Readonly<Partial<Record<RoomKind, string>>> = {
  bathroom: '240.24(E)',
  'half-bath': '240.24(E)',
  closet: '240.24(D)',
  'walk-in-closet': '240.24(D)',
};

/** How far before a panel a person stands, inches: steps under that place are steps under the panel. */
const STANDS_IN = 12;

/** Whether the steps of a stair run under the place before a panel: yes or no where both are drawn, undefined in a stair where they are not. */
function isOverSteps(house: House, { room: id, feature: at }: Panel): boolean | undefined {
  const room = mustGet(house.rooms, id);
  const stairs = Object.values(house.features).filter((one) => one.kind === 'stair' && one.room === id);
  const panel = at === null ? undefined : house.features[at];
  const isOnWall = panel?.at.kind === 'wall' && !panel.at.acrossCorner;
  if (room.kind === 'stair' && (stairs.length === 0 || !isOnWall)) return undefined;
  if (!isOnWall || stairs.length === 0) return false;
  const outline = featureOutline(room, panel);
  const [corner, inward] = [itemAt(outline, 0), itemAt(outline, 3)];
  const depthIn = distance(corner, inward);
  const middle = featureMiddle(room, panel);
  const before = {
    x: middle.x + ((inward.x - corner.x) / depthIn) * STANDS_IN,
    y: middle.y + ((inward.y - corner.y) / depthIn) * STANDS_IN,
  };
  return stairs.some((stair) => isInside(before, featureOutline(room, stair)));
}

export const panelPlace = defineRule({
  id: 'panel-place',
  meta: {
    summary: 'No panel in a bathroom, a clothes closet or over steps, and its breakers within reach',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: 'ask',
    why: 'Damp, clothes that burn, and a footing on stairs: each has hurt somebody at a panel.',
    editions: everyEdition({
      section: '240.24(A), (D), (E), (F)',
      limits: { highestHandleIn: 79 },
      basis: fromMemory('high'),
    }),
    messages: {
      barred: ({ panel, room }: { panel: string; room: string }) => `${panel} stands in ${room}.`,
      steps: ({ panel, room }: { panel: string; room: string }) => `${panel} stands over the steps in ${room}.`,
      landing: ({ panel, room }: { panel: string; room: string }) =>
        `${panel} stands in ${room}. Over its steps it may not, at a landing it may: draw the stair, and the panel at its wall.`,
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
      const overSteps = isOverSteps(facts.house, panel);
      if (overSteps) return report.fail('steps', data, where, { section: '240.24(F)' });
      if (overSteps === undefined) return report.cannotTell('landing', data, where, { section: '240.24(F)' });
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
