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
    [
      'one of 240 V and one of 120 V in one box',
      aHouse()
        .room('bal', 'balcony', [0, 0, 36, 24])
        .receptacle('bal', 'c0', 9, { volts: 240 })
        .receptacle('bal', 'c0', 18),
    ],
    [
      '6 1/2 ft above its floor',
      aHouse().room('bal', 'balcony', [0, 0, 36, 24]).receptacle('bal', 'c0', 18, { heightIn: 78 }),
    ],
  ],
  fails: [
    [
      'a balcony of 6 ft² without',
      aHouse().room('bal', 'balcony', [0, 0, 36, 24]),
      'bal has no receptacle within reach of its floor.',
    ],
    ['one of 240 V alone', aHouse().room('bal', 'deck', [0, 0, 99, 99]).receptacle('bal', 'c0', 18, { volts: 240 })],
    ['one of 6 ft 7 in', aHouse().room('bal', 'porch', [0, 0, 99, 99]).receptacle('bal', 'c0', 18, { heightIn: 79 })],
  ],
  notApplicable: [['a yard', aHouse().room('yard', 'outdoors', [0, 0, 100, 100])]],
});
