import { testRule } from '../../test/rule-tester';
import { withShop } from '../../test/supply-cases';
import { feederNeutral } from './feeder-neutral';

/** Six saws of 1,800 VA on circuits of the shop: 45 A between its two legs. */
const busy = (neutral: string) =>
  [1, 3, 5, 7, 9, 11].reduce(
    (house, space, i) =>
      house.circuit(`S${i}`, 20, { panel: 'Q', space }).load('table-saw', 'shop', 'c0', 20 + 30 * i, `S${i}`),
    withShop({ neutral }),
  );

testRule(feederNeutral, {
  passes: [
    ['No. 10 behind 60 A for little', withShop({ neutral: '10' })],
    [
      'No. 8 for the saws',
      busy('8'),
      'The neutral of the feeder of Q, No. 8, carries the 45 A that can come back over it.',
    ],
  ],
  fails: [
    [
      'No. 10 for the saws',
      busy('10'),
      'The neutral of the feeder of Q, No. 10, carries 35 A; 45 A can come back over it.',
    ],
    [
      'No. 12 behind 60 A',
      withShop({ neutral: '12' }),
      'The neutral of the feeder of Q is No. 12; as a way for a fault No. 10 is the least.',
    ],
  ],
  notApplicable: [['a neutral as large as the others', withShop()]],
});
