import { outletsOn } from '../../circuits/outlets';
import { feederTo } from '../../circuits/panel-tree';
import type { Building, House } from '../../house/schema';
import { setBuildingRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt } from '../../units/result';

/** What brings power into a building: feeders to panels in it, and circuits from panels elsewhere. */
function suppliesOf(
  house: House,
  building: Building,
): { readonly feeders: number; readonly circuits: number; readonly panelA: number; readonly leastA: number } {
  const isIn = (roomId: string | undefined) => roomId !== undefined && house.rooms[roomId]?.building === building.id;
  const panels = Object.values(house.panels).filter((one) => isIn(one.room));
  const feeders = panels.filter((panel) => {
    const feeder = feederTo(house, panel.id);
    return feeder !== undefined && !isIn(house.panels[feeder.from]?.room);
  });
  const inside = new Set(panels.map((one) => one.id));
  const units = new Set<string>();
  for (const circuit of Object.values(house.circuits)) {
    if (circuit.panel !== null && inside.has(circuit.panel)) continue;
    if (!outletsOn(house, circuit).some((one) => isIn(one.room.id))) continue;
    // Two that share a neutral count as one: 225.30.
    units.add(itemAt([circuit.id, circuit.sharesNeutralWith ?? circuit.id].sort(), 0));
  }
  const inIt = Object.values(house.circuits).filter((one) => one.panel !== null && inside.has(one.panel));
  const isDwelling = Object.values(house.rooms).some((room) => isIn(room.id) && room.kind === 'kitchen');
  const isTwoWire = inIt.every((one) => one.poles === 1 && one.sharesNeutralWith === undefined);
  return {
    feeders: feeders.length,
    circuits: units.size,
    panelA: Math.max(0, ...feeders.map((one) => one.mainA)),
    leastA: isDwelling ? 100 : isTwoWire && inIt.length === 1 ? 15 : isTwoWire && inIt.length === 2 ? 30 : 60,
  };
}

export const buildingDisconnect = defineRule({
  id: 'building-disconnect',
  meta: {
    summary: 'One supply to each building, with a disconnect at it that is rated for it',
    stage: 'service',
    severity: 'violation',
    ofItsDay: 'ask',
    why: 'A person who turns a shed off must be sure that it is off, all of it, from where they stand.',
    editions: everyEdition({ section: '225.30', limits: {}, basis: fromMemory('medium') }),
    messages: {
      several: ({ building, n }: Data) =>
        `${building} is supplied by ${n} feeders and circuits; one is allowed. A panel in it, fed by one feeder, takes the circuits.`,
      none: ({ building }: Data) =>
        `${building} has no disconnect at it: it is needed outside or inside nearest the entrance of the conductors.`,
      ask: ({ building }: Data) =>
        `Whether ${building} has a disconnect is not said; for a single circuit a snap switch will do.`,
      small: ({ building, has, least }: Data & { has: number; least: number }) =>
        `The disconnect of ${building} is rated ${has} A; ${least} A is the least for what it serves. The breaker of its feeder may be smaller.`,
      one: ({ building }: Data) => `${building} is supplied once and has a disconnect.`,
      dark: ({ building }: Data) => `${building} has no power.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.keys(facts.house.buildings).length > 0,
  check: ({ house }, _limits, report) =>
    Object.values(house.buildings).map((building) => {
      const room = Object.values(house.rooms).find((one) => one.building === building.id)?.id;
      const where = room ? { room } : {};
      const { feeders, circuits, panelA, leastA } = suppliesOf(house, building);
      const data = { building: building.name, n: feeders + circuits };
      if (data.n === 0) return report.pass('dark', data, where);
      if (data.n > 1) return report.fail('several', data, where);
      if (building.disconnect === 'no') return report.fail('none', data, where, { section: '225.31, 225.32' });
      if (building.disconnect === 'not-known')
        return report.cannotTell('ask', data, where, {
          section: '225.31, 225.36',
          remedies: [
            setBuildingRemedy(building.id, { disconnect: 'yes' }, 'It has one'),
            setBuildingRemedy(building.id, { disconnect: 'no' }, 'It has none'),
          ],
        });
      if (feeders === 1 && panelA < leastA)
        return report.fail('small', { ...data, has: panelA, least: leastA }, where, { section: '225.39' });
      return report.pass('one', data, where);
    }),
});

interface Data {
  readonly building: string;
  readonly n: number;
}
