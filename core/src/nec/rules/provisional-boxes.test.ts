import { testRule } from '../../test/rule-tester';
import { provisionalBoxes } from './provisional-boxes';
import { room } from '../../test/boxes-in-place-cases';

testRule(provisionalBoxes, {
  passes: [
    ['an existing box', room('den').wallBox('r', 'c0', 20, {}, { state: 'existing' }), 'Nothing in r is provisional.'],
  ],
  fails: [
    [
      'held until tile',
      room('den').wallBox('r', 'c0', 20, {}, { state: 'held', note: 'niche height' }),
      'R1-1 is held until tile: niche height.',
    ],
  ],
});
