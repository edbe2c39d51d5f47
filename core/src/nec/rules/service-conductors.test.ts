import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { serviceConductors } from './service-conductors';

const twoDwellings = (size: '2/0' | '3/0') =>
  served({ conductor: { size, metal: 'copper' } })
    .room('k1', 'kitchen', [500, 0, 120, 120])
    .room('k2', 'kitchen', [700, 0, 120, 120], { unit: 'u2' })
    .with((house) => void (house.units['u2'] = { id: 'u2', name: 'Flat' }));

testRule(serviceConductors, {
  passes: [
    ['3/0 copper for 200 A of two dwellings', twoDwellings('3/0')],
    ['2017: 2/0 copper for 200 A', served({ conductor: { size: '2/0', metal: 'copper' } }, '2017')],
    [
      '2/0 copper for 200 A, by 83 %',
      served({ conductor: { size: '2/0', metal: 'copper' } }, '2020'),
      'Service conductors of No. 2/0 copper are enough for the main of 200 A.',
    ],
    ['4/0 aluminum for 200 A', served({ conductor: { size: '4/0', metal: 'aluminum' } }, '2014')],
  ],
  fails: [
    [
      '2/0 copper for 200 A of two dwellings, which have no share of 83 %',
      twoDwellings('2/0'),
      'Service conductors of No. 2/0 copper carry 175 A. They serve 2 dwellings, so 83 % of the main is not enough: a main of 200 A requires 176 A.',
    ],
    [
      '2017: 2/0 copper for 200 A on two legs of 208Y/120 V',
      served({ volts: '120/208', conductor: { size: '2/0', metal: 'copper' } }, '2017'),
      'Service conductors of No. 2/0 copper carry 175 A; a main of 200 A requires 176 A.',
    ],
    [
      'the conductors of 150 A on a new main of 200 A',
      served({ conductor: { size: '1', metal: 'copper' } }),
      'Service conductors of No. 1 copper carry 130 A; a main of 200 A requires 166 A.',
    ],
    [
      'aluminum that is not made so small',
      served({ conductor: { size: '14', metal: 'aluminum' } }),
      'There are no service conductors of No. 14 aluminum. Take another size or metal.',
    ],
  ],
  notApplicable: [['nothing is said', served()]],
});
