import { sourceSchema, type House } from '../../house/schema';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { twoMains, twoUnits } from '../../test/supply-cases';
import { serviceSize } from './service-size';

/** A dwelling of one large kitchen, so that its area is what its walls say, with a main of so many amperes. */
const dwelling = (mainA: number): HouseBuilder =>
  aHouse()
    .room('r', 'kitchen', [0, 0, 400, 400])
    .panel('P', 'r', 40)
    .with((house) => (house.panels['P']!.mainA = mainA));
const read = { source: 'nameplate' };
/** A range, a furnace of 15 kW and a charger of 48 A, as somebody adds them one by one. */
const heavy = (mainA: number, extra: Record<string, unknown> = read) =>
  dwelling(mainA)
    .load('range', 'r', 'c0', 20, null, extra)
    .load('electric-furnace', 'r', 'c0', 80, null, { va: 15_000, ...extra })
    .load('water-heater', 'r', 'c0', 140, null, extra)
    .load('ev-charger-48', 'r', 'c0', 200, null, extra);

/** The same with a furnace of 14.5 kW on 125 A, over an unfinished basement as large as the kitchen. */
const withCellar = (extra: { finishable?: boolean } = {}) =>
  heavy(125)
    .room('cellar', 'basement-unfinished', [1000, 0, 400, 400], extra)
    .with((house) => {
      for (const load of Object.values(house.loads)) if (load.kind === 'electric-furnace') load.va = 14_500;
    });

/** What was there before: the panel, and every outlet but the charger's. */
const standing = (mainA: number, peak?: House['supply']['peak']) =>
  heavy(mainA).with((house) => {
    house.panels['P']!.existing = true;
    house.supply.peak = peak;
    const charger = Object.values(house.loads).find((one) => one.kind === 'ev-charger-48')!;
    for (const box of Object.values(house.boxes)) if (!(charger.device in box.devices)) box.state = 'existing';
  });
const battery = { id: 'B', name: 'Battery', kind: 'battery', runningW: 5_000, panel: 'P', transfer: 'interactive' };

/** Two mains of 100 A, and a heater behind the second of them. */
const heated = (va: number, extra: Record<string, unknown> = read) =>
  twoMains()
    .circuit('H', 50, { poles: 2, panel: 'Q', space: 1, purpose: 'individual' })
    .load('electric-furnace', 'b', 'c0', 20, 'H', { va, ...extra });

testRule(serviceSize, {
  passes: [
    [
      'each of two mains carries what is behind it',
      heated(10_000),
      'The main of P, 100 A, carries the calculated load of 0 A.',
    ],
    // 8,000 whole and 40 % of the rest of 50,997 VA with the heat in it, where the optional method asks for 126 A.
    [
      'a panel that stands, and no new heat: 220.83(A)',
      standing(110),
      'The main of P, 110 A, carries the calculated load of 105 A.',
    ],
    [
      'the same by what was measured, 36 A: 45 A and the charger',
      standing(100, { amps: 36, over: 'year' }),
      'The main of P, 100 A, carries the calculated load of 93 A.',
    ],
    ['a main of 60 A that stands', dwelling(60).with((house) => void (house.panels['P']!.existing = true))],
    ['the same basement, which could not be finished', withCellar({ finishable: false })],
    ['nothing but lights on 100 A', dwelling(100), 'The main of P, 100 A, carries the calculated load of 20 A.'],
    ['range, furnace, water heater and charger on 200 A', heavy(200)],
    ['loads of typical value far from the limit', heavy(200, {})],
    [
      // 413.5 by 273.5 in outside, 785 ft²; four small-appliance circuits, two for laundries: 11,356 VA; 3,000 and 35 % of the rest.
      'two dwelling units that are written down, by Part III',
      twoUnits('hall'),
      'The main of P, 200 A, carries the calculated load of 25 A.',
    ],
  ],
  fails: [
    [
      'the second of two mains does not: its unit by the optional method, 65 % of 36 kW',
      heated(36_000),
      'Q has a main of 100 A; the calculated load is 119 A.',
    ],
    [
      'thirty days of a recorder beside a battery, which may not be reckoned with',
      standing(100, { amps: 20, over: 'thirty-days' }).with(
        (house) => void (house.sources['B'] = sourceSchema.parse(battery)),
      ),
      'P has a main of 100 A; the calculated load is 105 A.',
    ],
    [
      'the same on 125 A between two legs of a wye, whose amperes are more',
      heavy(125, read).with((house) => void (house.supply.volts = '120/208')),
      'P has a main of 125 A; the calculated load is 145 A.',
    ],
    ['the same on 100 A', heavy(100), 'P has a main of 100 A; the calculated load is 126 A.'],
    [
      'two units on 50 A',
      twoUnits('hall').with((house) => void (house.panels['P']!.mainA = 50)),
      'P has a main of 50 A: a service of several dwellings has 60 A at least.',
    ],
    [
      'a main of 60 A, whatever the load',
      dwelling(60),
      'P has a main of 60 A: the service of a one-family dwelling has 100 A at least.',
    ],
  ],
  cannotTell: [
    [
      'the same by a typical value near it',
      heated(28_000, {}),
      'The calculated load is about 97 A on the 100 A main of Q, by typical values. So near only the nameplates tell.',
    ],
    [
      'an unfinished basement decides, and nobody has said whether it could be finished',
      withCellar(),
      'The calculated load is 130 A on the 125 A main of P with cellar, and 124 A without. Could it be finished one day? Then it counts.',
    ],
    [
      'two kitchens may be two dwellings',
      dwelling(200).room('second', 'kitchen', [500, 0, 200, 200]),
      '2 kitchens are drawn. Whether P serves one dwelling or 2 decides how its load is reckoned (220.82, 220.84, 220.85): ask, and have it calculated as what it is.',
    ],
    [
      'typical values on 125 A, so near that only the nameplates tell',
      heavy(125, {}),
      'The calculated load is about 126 A on the 125 A main of P, by typical values. So near only the nameplates tell.',
    ],
  ],
  notApplicable: [
    ['a house on wheels', dwelling(30).with((house) => void (house.supply.kind = 'cord'))],
    ['no panel', aHouse().room('r', 'kitchen', [0, 0, 400, 400])],
  ],
});
