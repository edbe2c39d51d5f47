import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { RoomKind } from '../../house/schema';
import { hotTubReceptacles } from './hot-tub-receptacles';

/** A tub of 7 ft in a corner, and a receptacle on its wall at a distance from the corner. */
const tub = (kind: RoomKind = 'deck') =>
  aHouse().room('r', kind, [0, 0, 400, 200]).standing('tub', 'r', 'hot-tub', [0, 0, 84, 84]);
const at = (alongIn: number, kind: RoomKind = 'deck') => tub(kind).receptacle('r', 'c0', alongIn);

/** A tub on a deck, and a receptacle of the living room behind its wall, 5 ft away. */
const beside = (way?: 'cased' | 'slider') => {
  const house = tub().room('liv', 'living', [0, 204.5, 300, 150]);
  const with1 = way ? house.opening('r', 'c2', way, 330, 60) : house;
  return with1
    .with(({ features }) => Object.assign(features['tub']!.at, { y: 60.5 }))
    .receptacle('liv', 'c0', 40, { heightIn: 16 });
};

testRule(hotTubReceptacles, {
  passes: [
    ['one 5 ft away behind a wall: a cord pierces none', beside().receptacle('r', 'c0', 200)],
    ['one 5 ft away behind a sliding door', beside('slider').receptacle('r', 'c0', 200)],
    ['6 ft away', at(156), 'Receptacle R1-1 is 6\'-0" from the hot tub.'],
    ['20 ft away outdoors', at(324)],
    ['10 ft away in a sunroom', at(204, 'sunroom')],
  ],
  fails: [
    [
      '5 ft away in the next room, through an opening without a door',
      beside('cased').receptacle('r', 'c0', 200),
      'Receptacle R2-1 is 5\'-0" from the inside wall of the hot tub: 6\'-0" at least.',
    ],
    [
      '5 ft 11 in away',
      at(155),
      'Receptacle R1-1 is 5\'-11" from the inside wall of the hot tub: 6\'-0" at least.',
      'The hot tub in r needs a receptacle for general use between 6\'-0" and 20\'-0" from it.',
    ],
    ['20 ft 1 in away outdoors', at(325)],
    ['10 ft 1 in away in a sunroom', at(205, 'sunroom')],
    ['none at all', tub()],
    ['6 ft 8 in up, out of ready reach', tub().receptacle('r', 'c0', 200, { heightIn: 80 })],
    ['the only one is the freezer\u2019s', tub().load('freezer', 'r', 'c0', 200, null)],
  ],
  notApplicable: [['no tub', aHouse().room('r', 'deck', [0, 0, 400, 200])]],
});
