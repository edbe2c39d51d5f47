import { testRule } from '../../test/rule-tester';
import type { Edition } from '../../house/schema';
import { dishwasherReceptacle } from './dishwasher-receptacle';
import { room } from '../../test/boxes-in-place-cases';

const dishes = (edition: Edition, alongIn: number) =>
  room('kitchen', edition)
    .feature('r', 'dishwasher', ['c0', 30, 24, 24], { heightIn: 34 })
    .load('dishwasher', 'r', 'c0', alongIn, null);

testRule(dishwasherReceptacle, {
  passes: [
    ['2017: in the sink cabinet beside it', dishes('2017', 64), 'R1-1 is beside the dishwasher.'],
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
