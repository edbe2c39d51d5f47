import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { laundryReceptacle } from './laundry-receptacle';

const laundry = () =>
  aHouse().room('laundry', 'laundry', [0, 0, 150, 100]).feature('laundry', 'washer', ['c0', 0, 28, 28]);

testRule(laundryReceptacle, {
  passes: [
    [
      'within 6 ft of the washer',
      laundry().receptacle('laundry', 'c0', 100, { heightIn: 44 }),
      'laundry has its receptacle.',
    ],
  ],
  fails: [
    [
      'only the dryer\u2019s 240 V receptacle',
      laundry().receptacle('laundry', 'c0', 60, { volts: 240, ratingA: 30 }),
      'laundry has no 120 V receptacle.',
    ],
    [
      '6 ft 1 in from the washer',
      laundry().receptacle('laundry', 'c0', 101),
      'The nearest receptacle to the washer in laundry is 6\'-1" away.',
    ],
  ],
});
