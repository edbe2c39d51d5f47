import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { serviceConductors } from './service-conductors';

testRule(serviceConductors, {
  passes: [
    [
      '2/0 copper for 200 A, by 83 %',
      served({ conductor: { size: '2/0', metal: 'copper' } }, '2020'),
      'Service conductors of No. 2/0 copper are enough for the main of 200 A.',
    ],
    ['4/0 aluminum for 200 A', served({ conductor: { size: '4/0', metal: 'aluminum' } }, '2014')],
  ],
  fails: [
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
