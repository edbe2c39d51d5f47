import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { Edition } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import { cordLength } from './cord-length';

const cord = (kind: LoadKind, cordIn: number, edition: Edition = '2023') =>
  aHouse(edition).room('r', 'kitchen', [0, 0, 144, 96]).load(kind, 'r', 'c0', 40, null, { cord: true, cordIn });

testRule(cordLength, {
  passes: [
    ['a dishwasher, 6 ft', cord('dishwasher', 72), 'The cord of Dishwasher, 6\'-0", is of a permitted length.'],
    ['2020: 6 1/2 ft', cord('dishwasher', 78, '2020')],
    ['2017: a hood, 4 ft', cord('range-hood', 48, '2017')],
    ['a disposer, 3 ft', cord('disposer', 36)],
    ['a compactor, 4 ft', cord('compactor', 48)],
  ],
  fails: [
    [
      '2014: a dishwasher, 6 ft',
      cord('dishwasher', 72, '2014'),
      'The cord of Dishwasher is 6\'-0" long: 4\'-0" at most.',
    ],
    ['a disposer, 1 ft', cord('disposer', 12), 'The cord of Disposer is 1\'-0" long: 1\'-6" at least.'],
    ['2014: a hood, 4 ft', cord('range-hood', 48, '2014')],
  ],
  notApplicable: [
    ['nothing said', aHouse().room('r', 'kitchen', [0, 0, 144, 96]).load('disposer', 'r', 'c0', 40, null)],
  ],
});
