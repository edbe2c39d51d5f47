import type { Edition } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { served, withSource } from '../../test/supply-cases';
import { standaloneSource } from './standalone-source';

type Extra = Readonly<Record<string, unknown>>;

/** A cabin with a water heater of 4.5 kW and a source of its own. */
const cabin = (source: Extra, heater: Extra = { source: 'nameplate' }, edition: Edition = '2023') =>
  withSource(source)
    .with(
      (house) =>
        void Object.assign(house, { supply: { ...house.supply, kind: 'off-grid' }, job: { ...house.job, edition } }),
    )
    .circuit('W', 30, { poles: 2, panel: 'P', space: 1, purpose: 'individual' })
    .load('water-heater', 'kitchen', 'c0', 40, 'W', heater);
const second = {
  id: 'T',
  name: 'The array',
  kind: 'solar',
  volts: '120/240',
  runningW: 3_000,
  panel: 'P',
  transfer: 'none',
};

testRule(standaloneSource, {
  passes: [
    [
      'a generator of 5 kW',
      cabin({}),
      'The sources give 5000 W: enough for the largest appliance by itself, Water heater, 4500 VA. They may be smaller than the calculated load; the day shows what can run at once.',
    ],
    [
      'nothing connected',
      withSource({}).with((house) => void (house.supply.kind = 'off-grid')),
      'The sources give 5000 W, and no appliance is connected yet.',
    ],
  ],
  fails: [
    ['a generator of 3 kW', cabin({ runningW: 3000 }), 'The sources give 3000 W; Water heater alone takes 4500 VA.'],
    ['the same, and its plate not read', cabin({ runningW: 3000 }, {})],
    ['a generator of 3 kW in 2014', cabin({ runningW: 3000 }, { source: 'nameplate' }, '2014')],
    [
      '120 V onto both legs',
      cabin({ volts: '120' }),
      'All sources give 120 V; these need both legs or share a neutral, which would carry the sum of both: W.',
    ],
  ],
  cannotTell: [
    [
      'no source',
      served({ kind: 'off-grid' }),
      'The house has sources of its own alone, and none is entered: what may run at once cannot be told.',
    ],
    [
      'two that are enough together',
      cabin({ runningW: 3000 }).with((house) => void (house.sources['T'] = second as never)),
      'No source alone carries Water heater, 4500 VA; together they give 6000 W. Whether they feed side by side their makers say.',
    ],
    [
      'a plate that nobody has read',
      cabin({ runningW: 4600 }, {}),
      'The sources give 4600 W, and Water heater takes about 4500 VA, by a typical value. So near only its nameplate tells.',
    ],
  ],
  notApplicable: [['a house on the utility', withSource({})]],
});
