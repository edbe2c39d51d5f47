import { testRule } from '../../test/rule-tester';
import type { Edition } from '../../house/schema';
import { dishwasherReceptacle } from './dishwasher-receptacle';
import { room } from '../../test/boxes-in-place-cases';

const dishes = (edition: Edition, alongIn: number, heightIn?: number) =>
  room('kitchen', edition)
    .feature('r', 'dishwasher', ['c0', 30, 24, 24], { heightIn: 34 })
    .load('dishwasher', 'r', 'c0', alongIn, null, heightIn === undefined ? {} : { heightIn });
/** A second dishwasher away from the walls, and the receptacle on a wall that neither covers. */
const across = () =>
  room('kitchen', '2017')
    .feature('r', 'dishwasher', ['c0', 30, 24, 24], { heightIn: 34 })
    .standing('island', 'r', 'dishwasher', [60, 60, 24, 24], { heightIn: 34 })
    .load('dishwasher', 'r', 'c2', 40, null);

testRule(dishwasherReceptacle, {
  passes: [
    ['2017: in the sink cabinet beside it', dishes('2017', 64), 'R1-1 is beside the dishwasher.'],
    ['2017: at the very edge of it', dishes('2017', 30)],
    ['2017: at its other edge', dishes('2017', 54)],
    ['2017: on the wall across', across()],
    [
      '2017: behind a sink in its place',
      room('kitchen', '2017')
        .feature('r', 'sink', ['c0', 30, 24, 24], { heightIn: 34 })
        .load('dishwasher', 'r', 'c0', 40, null),
    ],
    ['2017: over it', dishes('2017', 40, 34)],
    ['2014: behind it', dishes('2014', 40), 'R1-1 may be behind the dishwasher in this edition.'],
  ],
  fails: [
    [
      '2017: behind it',
      dishes('2017', 40),
      'R1-1 is behind the dishwasher: its receptacle belongs in the space beside it, such as the sink cabinet.',
    ],
    ['2023: the same', dishes('2023', 50)],
  ],
  notApplicable: [['hard-wired', room('kitchen').load('dishwasher', 'r', 'c0', 20, null, { cord: false })]],
});
