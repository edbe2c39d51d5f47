import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { RoomKind } from '../../house/schema';
import { hotTubSwitches } from './hot-tub-switches';

/** A tub of 7 ft in a corner, and a switch on its wall at a distance from the corner. */
const tub = (kind: RoomKind = 'deck') =>
  aHouse().room('r', kind, [0, 0, 400, 200]).standing('tub', 'r', 'hot-tub', [0, 0, 84, 84]);

testRule(hotTubSwitches, {
  passes: [
    ['5 ft away', tub().switchAt('r', 'c0', 144, null), 'No switch is within reach of the hot tub in r.'],
    ['no switch at all', tub('sunroom')],
    [
      'a switch of the next room, the wall between',
      tub().room('next', 'living', [400, 0, 200, 200]).switchAt('next', 'c3', 100, null),
    ],
  ],
  fails: [
    [
      '4 ft 11 in away',
      tub('sunroom').switchAt('r', 'c0', 143, null),
      'Switch R1-1 is 4\'-11" from the inside wall of the hot tub: 5\'-0" at least, unless a solid fence or wall stands between.',
    ],
  ],
  notApplicable: [['no tub', aHouse().room('r', 'deck', [0, 0, 400, 200])]],
});
