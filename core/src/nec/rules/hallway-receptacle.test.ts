import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { hallwayReceptacle } from './hallway-receptacle';

testRule(hallwayReceptacle, {
  passes: [
    [
      '9 ft 11 in long needs none',
      aHouse().room('hall', 'hallway', [0, 0, 40, 119]),
      'hall is 9\'-11" long: none is required.',
    ],
    [
      '10 ft with one',
      aHouse().room('hall', 'hallway', [0, 0, 40, 120]).receptacle('hall', 'c1', 60),
      'hall is 10\'-0" long and has a receptacle.',
    ],
  ],
  fails: [
    [
      'exactly 10 ft without',
      aHouse().room('hall', 'hallway', [0, 0, 40, 120]),
      'hall is 10\'-0" long and has no receptacle.',
    ],
    [
      'an L of 72 in and 72 in along its bent middle',
      aHouse().room('hall', 'hallway', [
        [0, 0],
        [92, 0],
        [92, 40],
        [40, 40],
        [40, 92],
        [0, 92],
      ]),
    ],
  ],
});
