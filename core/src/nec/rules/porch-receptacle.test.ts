import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { porchReceptacle } from './porch-receptacle';

testRule(porchReceptacle, {
  passes: [
    [
      'a balcony with one',
      aHouse().room('bal', 'balcony', [0, 0, 36, 24]).receptacle('bal', 'c0', 18),
      'bal has its receptacle.',
    ],
  ],
  fails: [
    [
      'a balcony of 6 ft² without',
      aHouse().room('bal', 'balcony', [0, 0, 36, 24]),
      'bal has no receptacle within reach of its floor.',
    ],
  ],
  notApplicable: [['a yard', aHouse().room('yard', 'outdoors', [0, 0, 100, 100])]],
});
