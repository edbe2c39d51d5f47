import { servicePanel } from '../../circuits/panel-tree';
import { leastServiceAmps, loadsOfHouse } from '../requirements/service-load';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given } from '../../units/result';

export const cordSupply = defineRule({
  id: 'cord-supply',
  meta: {
    summary: 'What runs at once fits the power-supply cord of a house on wheels',
    stage: 'service',
    severity: 'caution',
    why: 'A cord of 30 A at 120 V gives 3.6 kW: a water heater and a cooktop are all of it.',
    editions: everyEdition({ section: '400.5, 551.44', limits: {}, basis: fromMemory('low') }),
    messages: {
      ask: ({ panel }: Data) => `What the power-supply cord of ${panel} is rated for is not said: 20, 30 or 50 A.`,
      main: ({ panel, main, cord }: Data) =>
        `The main of ${panel} is ${main} A on a cord of ${cord} A: the main has to be no larger than the cord.`,
      over: ({ cord, load }: Data) =>
        `The calculated load is ${load.toFixed(0)} A on a cord of ${cord} A. Not all of it can run at once: decide what waits, and put it on a switch.`,
      fits: ({ cord, load }: Data) => `The calculated load, ${load.toFixed(0)} A, fits a cord of ${cord} A.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: ({ house }) => house.supply.kind === 'cord' && servicePanel(house) !== undefined,
  check: ({ house, edition }, _limits, report) => {
    const panel = given(servicePanel(house));
    const where = { panel: panel.id };
    const { cordA } = house.supply;
    const base = { panel: panel.name, main: panel.mainA, load: 0, cord: cordA ?? 0 };
    if (cordA === undefined) return [report.cannotTell('ask', base, where)];
    if (panel.mainA > cordA) return [report.fail('main', base, where, { section: '240.4' })];
    const load = leastServiceAmps({ ...loadsOfHouse(house), edition }, panel.mainA);
    const data = { ...base, load };
    return [load > cordA + 0.5 ? report.fail('over', data, where) : report.pass('fits', data, where)];
  },
});

interface Data {
  readonly panel: string;
  readonly main: number;
  readonly load: number;
  readonly cord: number;
}
