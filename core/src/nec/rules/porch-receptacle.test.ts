import type { RoomKind } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { porchReceptacle } from './porch-receptacle';

/** A porch, deck or balcony with a door from the living room. */
const fromInside = (kind: RoomKind, at: [number, number, number, number] = [0, 0, 99, 99]) =>
  aHouse()
    .room('bal', kind, at)
    .room('living', 'living', [0, at[3] + 4.5, 200, 200])
    .opening('living', 'c0', 'door', 2, 32);

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
      fromInside('balcony', [0, 0, 36, 24]),
      'bal has no receptacle within reach of its floor.',
    ],
    ['one of 240 V alone', fromInside('deck').receptacle('bal', 'c0', 18, { volts: 240 })],
    ['one of 6 ft 7 in', fromInside('porch').receptacle('bal', 'c0', 18, { heightIn: 79 })],
    [
      'a deck that one gets to over a porch',
      fromInside('porch')
        .receptacle('bal', 'c0', 18)
        .room('deck', 'deck', [99, 0, 99, 99])
        .boundary('bal', 'c1', 'open'),
      'deck has no receptacle within reach of its floor.',
    ],
  ],
  cannotTell: [
    [
      'a deck to which no door leads from inside',
      aHouse().room('bal', 'deck', [0, 0, 99, 99]),
      'bal has no receptacle, and no door leads to it from inside. Where one gets to it only from outdoors none is required: draw its door, or leave it.',
    ],
    [
      'a deck at a shed, and over the yard to the house',
      aHouse()
        .room('bal', 'deck', [0, 0, 99, 99])
        .room('shed', 'accessory-building', [0, 103.5, 99, 99])
        .opening('bal', 'c2', 'door', 30, 32),
    ],
    [
      'the only one is the hot tub\u2019s',
      fromInside('deck').load('plug-in-tub', 'bal', 'c0', 30, null),
      'The only receptacle of bal, R1-1, is that of an appliance. Ask whether it stays free to use, or add one.',
    ],
  ],
  notApplicable: [['a yard', aHouse().room('yard', 'outdoors', [0, 0, 100, 100])]],
});
