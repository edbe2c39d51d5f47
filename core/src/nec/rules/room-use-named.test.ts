import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { roomUseNamed } from './room-use-named';

testRule(roomUseNamed, {
  passes: [['a bedroom', aHouse().room('bed', 'bedroom', [0, 0, 100, 100]), 'bed is a bedroom.']],
  fails: [],
  cannotTell: [
    [
      'a room that nobody has named',
      aHouse().room('x', 'other', [0, 0, 100, 100]),
      'x has no use yet, so spacing and protection there cannot be decided. Choose its kind.',
    ],
  ],
});
