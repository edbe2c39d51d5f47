import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { feederSize } from './feeder-size';

/** The shop with a charger or a furnace on its panel. */
const loaded = (feeder: Record<string, unknown>, kind: 'ev-charger' | 'electric-furnace' = 'ev-charger') =>
  withShop(feeder)
    .circuit('C', 40, { poles: 2, panel: 'Q', space: 1, purpose: 'individual' })
    .load(kind, 'shop', 'c0', 40, 'C');

/** A charger of so many volt-amperes behind nonmetallic cable of 55 A. */
const charging = (va: number) =>
  loaded({ wiring: 'nonmetallic' }).with((house) => void (Object.values(house.loads)[0]!.va = va));

testRule(feederSize, {
  passes: [
    [
      'a charger of 32 A at 125 % on No. 6 copper',
      loaded({}),
      'The feeder of Q, No. 6 copper behind 60 A, carries 40 A.',
    ],
    ['55 A of nonmetallic cable behind 60 A, the next standard rating', loaded({ wiring: 'nonmetallic' })],
    // 10,637 VA at 125 % and 240 V are 55.4 A: a fraction below one half is dropped (220.5(B)).
    ['55.4 A on 55 A', charging(10_637)],
    [
      'aluminum No. 4 as service-entrance cable',
      loaded({ wiring: 'service-entrance', conductor: { size: '4', metal: 'aluminum' } }),
    ],
  ],
  fails: [
    [
      'No. 8 copper behind 60 A',
      withShop({ conductor: { size: '8', metal: 'copper' } }),
      'The feeder of Q, No. 8 copper, carries 50 A: a breaker of 60 A does not guard it.',
    ],
    [
      'No. 10 never behind more than 30 A, 240.4(D)',
      withShop({ ratingA: 35, conductor: { size: '10', metal: 'copper' } }),
    ],
    [
      'a furnace of 15 kW on 30 A, at 125 %',
      loaded({ ratingA: 30 }, 'electric-furnace'),
      'The load of Q is 78 A; the breaker of its feeder is 30 A.',
    ],
    [
      'a charger at 125 % on 35 A of aluminum',
      loaded({ conductor: { size: '8', metal: 'aluminum' }, wiring: 'underground', ratingA: 40 }),
      'The feeder of Q, No. 8 aluminum, carries 35 A; the load is 40 A.',
    ],
    ['55.6 A on 55 A', charging(10_675)],
    [
      'aluminum of No. 14, which is not made',
      withShop({ conductor: { size: '14', metal: 'aluminum' } }),
      'The feeder of Q: there is no No. 14 aluminum. Take another size or metal.',
    ],
  ],
  notApplicable: [['no feeder', served()]],
});
