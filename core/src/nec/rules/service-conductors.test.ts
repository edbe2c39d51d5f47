import { testRule } from '../../test/rule-tester';
import { served, twoMains } from '../../test/supply-cases';
import { serviceConductors } from './service-conductors';

const twoDwellings = (size: '2/0' | '3/0') =>
  served({ conductor: { size, metal: 'copper' } })
    .room('k1', 'kitchen', [500, 0, 120, 120])
    .room('k2', 'kitchen', [700, 0, 120, 120], { unit: 'u2' })
    .with((house) => void (house.units['u2'] = { id: 'u2', name: 'Flat' }));

/** Two mains of 100 A: 25 A of lights and small appliances behind them, and five more heaters of 9,600 W where somebody says. */
const behindTwo = (size: '6' | '4', heaters = 0) =>
  Array.from({ length: heaters }, (_, i) => i).reduce(
    (house, i) =>
      house
        .circuit(`H${i}`, 50, { poles: 2, panel: 'Q', space: 1 + 4 * i, purpose: 'individual' })
        .load('baseboard-heat', 'b', 'c0', 20 + 20 * i, `H${i}`, { va: 9600 }),
    twoMains().with((house) => void Object.assign(house.supply, { conductor: { size, metal: 'copper' } })),
  );

testRule(serviceConductors, {
  passes: [
    [
      'two mains of 100 A on No. 6, which together exceed what it carries: 230.90(A) Exception 3',
      behindTwo('6'),
      'Service conductors of No. 6 copper carry 65 A, and the calculated load behind all mains is 25 A.',
    ],
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
      'the same with two heaters of 40 A',
      behindTwo('6', 2),
      'Service conductors of No. 6 copper carry 65 A; the calculated load behind all mains is 105 A.',
    ],
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
