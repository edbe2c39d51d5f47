import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { bathroomBasinReceptacle } from './bathroom-basin-receptacle';
import { foyerReceptacle } from './foyer-receptacle';
import { garageReceptacle } from './garage-receptacle';
import { hallwayReceptacle } from './hallway-receptacle';
import { heaterBelowReceptacle } from './heater-below-receptacle';
import { islandNeed, type IslandLimits } from '../requirements/islands';
import { islandReceptacle } from './island-receptacle';
import { limitsInForce } from '../check-house';
import { belowCounterReceptacle } from './below-counter-receptacle';
import { describe, expect, it } from 'vitest';
import type { Edition, House } from '../../house/schema';
import { viewRoom } from '../../plan/room-view';
import { laundryReceptacle } from './laundry-receptacle';
import { outdoorReceptacles } from './outdoor-receptacles';
import { porchReceptacle } from './porch-receptacle';
import { roomUseNamed } from './room-use-named';

const bath = () =>
  aHouse().room('bath', 'bathroom', [0, 0, 120, 100]).feature('bath', 'basin', ['c0', 20, 20, 18], { heightIn: 34 });
testRule(bathroomBasinReceptacle, {
  passes: [
    [
      'exactly 3 ft from the basin\u2019s edge',
      bath().receptacle('bath', 'c0', 76, { heightIn: 43 }),
      'A receptacle stands 3\'-0" from the basin of bath.',
    ],
    [
      'in the side of the vanity, 12 in below the basin\u2019s top',
      bath()
        .feature('bath', 'cabinet', ['c0', 10, 60, 21], { id: 'vanity' })
        .onFeature('bath', 'vanity', null, 22, [70, 10]),
    ],
  ],
  fails: [
    [
      '3 ft and a sixteenth',
      bath().receptacle('bath', 'c0', 76.0625, { heightIn: 43 }),
      'The nearest receptacle to the basin of bath is 3\'-0 1/16" away.',
    ],
    ['none at all', bath(), 'bath has no receptacle at its basin.'],
    [
      'in the side of the vanity, 13 in below the basin\u2019s top',
      bath()
        .feature('bath', 'cabinet', ['c0', 10, 60, 21], { id: 'vanity' })
        .onFeature('bath', 'vanity', null, 21, [70, 10]),
    ],
    ['more than 12 in below the basin\u2019s top', bath().receptacle('bath', 'c0', 30, { heightIn: 21 })],
    [
      'one between two basins more than 72 in apart',
      aHouse()
        .room('bath', 'bathroom', [0, 0, 160, 100])
        .feature('bath', 'basin', ['c0', 10, 20, 18])
        .feature('bath', 'basin', ['c0', 104, 20, 18])
        .receptacle('bath', 'c0', 60, { heightIn: 43 }),
    ],
  ],
  cannotTell: [
    [
      'no basin drawn',
      aHouse().room('bath', 'bathroom', [0, 0, 96, 60]),
      'No basin is drawn in bath, so the distance to its receptacle is not known. Draw the basin.',
    ],
  ],
});

const island = (edition: Edition, w: number, d: number, extra = {}) =>
  aHouse(edition)
    .room('kit', 'kitchen', [0, 0, 300, 300])
    .standing('isl', 'kit', 'island', [100, 100, w, d], { name: 'island', ...extra });
/** A peninsula of 30 in that stands out from the north wall, past a counter of 25 in on both sides. */
const peninsula = (edition: Edition, outIn = 100) =>
  aHouse(edition)
    .room('kit', 'kitchen', [0, 0, 300, 300])
    .feature('kit', 'counter', ['c0', 20, 180, 25])
    .feature('kit', 'peninsula', ['c0', 100, 30, outIn], { id: 'pen' });
testRule(islandReceptacle, {
  passes: [
    [
      '2017: one for an island of 24 x 12',
      island('2017', 24, 12).onFeature('kit', 'isl'),
      'The island has 1 receptacle: enough.',
    ],
    ['2020: 27 ft² asks for two', island('2020', 72, 54).onFeature('kit', 'isl').onFeature('kit', 'isl')],
    [
      '2023: a provision is enough',
      island('2023', 72, 36, { provision: true }),
      'The island has a provision for a later receptacle.',
    ],
    ['2023: one receptacle in the top is enough', island('2023', 96, 60).onFeature('kit', 'isl', null, 36)],
    ['2020: 9 ft² ask for one', island('2020', 36, 36).onFeature('kit', 'isl')],
    [
      '2020: a peninsula with one at its outer end',
      peninsula('2020', 43).onFeature('kit', 'pen', null, 30, [115, 43]),
      'The peninsula has 1 receptacle: enough.',
    ],
    [
      '2017: a receptacle on the wall at the joint serves a peninsula measured from the wall',
      peninsula('2017').receptacle('kit', 'c0', 115, { heightIn: 43 }),
    ],
    [
      '2017: an island of 23 in asks for none, the peninsula beside it has one',
      peninsula('2017', 30).standing('isl', 'kit', 'island', [200, 200, 23, 20]).onFeature('kit', 'pen'),
    ],
  ],
  fails: [
    [
      '2020: a peninsula with its receptacle 25 in from the outer end',
      peninsula('2020', 43).onFeature('kit', 'pen', null, 30, [100, 18]),
      'The receptacle nearest to the outer end of the peninsula is 2\'-1" from it.',
    ],
    ['2017: a peninsula of 47 in from the wall, 22 in from the edge', peninsula('2017', 47)],
    [
      '2014: 24 in from the edge where it joins the counter',
      peninsula('2014', 49),
      'The peninsula (10.2 ft²) has 0 receptacles; 1 is due.',
    ],
    [
      'a dining room\u2019s island is a counter as well',
      aHouse('2017').room('din', 'dining', [0, 0, 300, 300]).standing('isl', 'din', 'island', [100, 100, 60, 30]),
    ],
    [
      '2023: in its side only',
      island('2023', 64, 30).onFeature('kit', 'isl', null, 30),
      'The island has a receptacle in its side only: it may be there, but does not serve the counter. Set one listed for countertops into the top, or keep a provision.',
    ],
    [
      '2017: a sink divides it into two pieces of 20 by 36 in, and each counts',
      island('2017', 73, 36).standing('sink', 'kit', 'sink', [120, 102, 33, 32]).onFeature('kit', 'isl'),
      'The island (18.3 ft²) has 1 receptacle; 2 are due.',
    ],
    [
      '2020: only under a top that reaches 7 in over',
      island('2020', 36, 36, { overhangIn: 7 }).onFeature('kit', 'isl'),
    ],
    ['2017: none', island('2017', 24, 12), 'The island (2.0 ft²) has 0 receptacles; 1 is due.'],
    [
      '2020: a hair over 27 ft² asks for three',
      island('2020', 72, 54.1).onFeature('kit', 'isl').onFeature('kit', 'isl'),
      'The island (27.1 ft²) has 2 receptacles; 3 are due.',
    ],
    [
      '2023: neither receptacle nor provision',
      island('2023', 72, 36),
      'The island has neither a receptacle nor a provision (box, cable or raceway) for one later.',
    ],
  ],
  notApplicable: [
    ['a kitchen without an island', aHouse().room('kit', 'kitchen', [0, 0, 100, 100])],
    [
      'a workbench island in a studio',
      aHouse().room('s', 'studio', [0, 0, 300, 300]).standing('isl', 's', 'island', [100, 100, 60, 30]),
    ],
  ],
});

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

const foyer = (depth: number) =>
  aHouse()
    .room('foyer', 'foyer', [0, 0, 96, depth])
    .opening('foyer', 'c2', 'door', 20, 56)
    .opening('foyer', 'c1', 'cased', 0, depth)
    .opening('foyer', 'c3', 'cased', 0, depth);
testRule(foyerReceptacle, {
  passes: [
    ['exactly 60 ft² is not yet a case', foyer(90), 'foyer has 60 ft²: none is required.'],
    ['a wall of 8 ft with one', foyer(96).receptacle('foyer', 'c0', 48), 'The north wall of foyer has a receptacle.'],
  ],
  cannotTell: [
    [
      'four feet of wall, but only around a corner',
      aHouse()
        .room('foyer', 'foyer', [0, 0, 100, 100])
        .opening('foyer', 'c0', 'cased', 24, 76)
        .opening('foyer', 'c1', 'cased', 0, 100)
        .opening('foyer', 'c2', 'cased', 0, 100)
        .opening('foyer', 'c3', 'cased', 0, 76),
      '4\'-0" of wall around a corner of foyer has no receptacle, and no straight stretch of it is 3 ft. Whether such a space counts is disputed: ask the authority.',
    ],
  ],
  fails: [['over 60 ft², a wall of 8 ft without', foyer(96), '8\'-0" of the north wall of foyer has no receptacle.']],
});

const laundry = () =>
  aHouse().room('laundry', 'laundry', [0, 0, 150, 100]).feature('laundry', 'washer', ['c0', 0, 28, 28]);
testRule(laundryReceptacle, {
  passes: [
    [
      'within 6 ft of the washer',
      laundry().receptacle('laundry', 'c0', 100, { heightIn: 44 }),
      'laundry has its receptacle.',
    ],
  ],
  fails: [
    [
      'only the dryer\u2019s 240 V receptacle',
      laundry().receptacle('laundry', 'c0', 60, { volts: 240, ratingA: 30 }),
      'laundry has no 120 V receptacle.',
    ],
    [
      '6 ft 1 in from the washer',
      laundry().receptacle('laundry', 'c0', 101),
      'The nearest receptacle to the washer in laundry is 6\'-1" away.',
    ],
  ],
});

const garage = (bays?: number, edition: Edition = '2023') =>
  aHouse(edition)
    .room('garage', 'garage', [0, 0, 240, 240], { bays })
    .room('liv', 'living', [244.5, 0, 100, 100])
    .opening('garage', 'c2', 'vehicle', 24, 192);
/** The same with a door for each bay, the west one wider. */
const twoDoors = () =>
  aHouse()
    .room('garage', 'garage', [0, 0, 300, 240], { bays: 2 })
    .room('liv', 'living', [304.5, 0, 100, 100])
    .opening('garage', 'c2', 'vehicle', 12, 96)
    .opening('garage', 'c2', 'vehicle', 150, 120);
testRule(garageReceptacle, {
  passes: [
    [
      'two bays, two receptacles, one at exactly 5 1/2 ft',
      garage(2).receptacle('garage', 'c0', 60, { heightIn: 66 }).receptacle('garage', 'c1', 60),
      'garage has 2 receptacles for 2 vehicle bays.',
    ],
    [
      '2014 asks for one for each car, wherever it stands',
      garage(2, '2014').receptacle('garage', 'c0', 30).receptacle('garage', 'c0', 60),
    ],
    [
      'three bays, one in the middle of the back wall',
      garage(3)
        .with((house) => (Object.values(house.openings)[0]!.widthIn = 252))
        .with((house) => Object.assign(house.rooms['garage']!.corners[1]!, { x: 360 }))
        .with((house) => Object.assign(house.rooms['garage']!.corners[2]!, { x: 360 }))
        .with((house) => delete house.rooms['liv'])
        .receptacle('garage', 'c3', 60)
        .receptacle('garage', 'c0', 180)
        .receptacle('garage', 'c1', 60),
    ],
    [
      'the border lies between the doors: 167 in from the west wall, not in the middle',
      twoDoors().receptacle('garage', 'c0', 160).receptacle('garage', 'c0', 180),
    ],
  ],
  fails: [
    [
      'two bays, one receptacle',
      garage(2).receptacle('garage', 'c0', 60),
      'garage has 1 receptacle for 2 vehicle bays.',
    ],
    [
      'both on one side',
      garage(2).receptacle('garage', 'c0', 30).receptacle('garage', 'c3', 60),
      'No receptacle stands in the east bay of garage: each bay has its own.',
    ],
    [
      'a car charger\u2019s receptacle is beside the one of the bay',
      garage(1).load('ev-cord', 'garage', 'c0', 60, null),
    ],
    ['an attached garage with no box at all', garage(1)],
    ['the door opener\u2019s ceiling receptacle serves no bay', garage(1).ceiling('garage', 'receptacle', null)],
  ],
  cannotTell: [
    [
      'a detached garage without a box: without power nothing is asked',
      aHouse().room('garage', 'garage', [0, 0, 240, 240], { bays: 2 }).room('liv', 'living', [300, 0, 100, 100]),
      'garage stands apart and has no box. If power is brought to it, it needs a receptacle for each bay and a light.',
    ],
    [
      'no vehicle door is drawn',
      garage(2)
        .with((house) => (house.openings = {}))
        .receptacle('garage', 'c0', 30)
        .receptacle('garage', 'c0', 160),
    ],
    [
      'a door for one, and a second car behind the first',
      garage(2)
        .with((house) => (Object.values(house.openings)[0]!.widthIn = 108))
        .receptacle('garage', 'c0', 30)
        .receptacle('garage', 'c0', 160),
    ],
    ['nobody has said how many bays', garage(), 'How many vehicles garage holds is not said. Enter its bays.'],
  ],
});

const outside = () =>
  aHouse()
    .room('liv', 'living', [0, 0, 200, 200])
    .room('front', 'porch', [0, 210, 100, 60], { side: 'front' })
    .room('back', 'deck', [0, -70, 100, 60], { side: 'back' });
testRule(outdoorReceptacles, {
  passes: [
    [
      'front and back',
      outside().receptacle('front', 'c0', 50).receptacle('back', 'c2', 50),
      'The front has its receptacle: front.',
    ],
  ],
  fails: [
    [
      'none at the back',
      outside().receptacle('front', 'c0', 50),
      'No outdoor receptacle at the back of the house, readily accessible from grade.',
    ],
    [
      'more than 6 1/2 ft above grade',
      outside().receptacle('front', 'c0', 50, { heightIn: 61 }).receptacle('back', 'c2', 50),
    ],
  ],
  cannotTell: [
    [
      'the only one at the back is that of a plug-in tub',
      outside().receptacle('front', 'c0', 50).load('plug-in-tub', 'back', 'c2', 50, null),
      'The only receptacle at the back of the house, R3-1, is that of an appliance. Ask whether it stays free to use, or add one.',
    ],
    [
      'the back is not drawn',
      aHouse()
        .room('liv', 'living', [0, 0, 200, 200])
        .room('front', 'porch', [0, 210, 100, 60], { side: 'front' })
        .receptacle('front', 'c0', 9),
      'No porch, deck or yard is drawn at the back of the house, so its outdoor receptacle cannot be checked. Draw one and say which side it is on.',
    ],
  ],
});

testRule(porchReceptacle, {
  passes: [
    [
      'a balcony with one',
      aHouse().room('bal', 'balcony', [0, 0, 36, 24]).receptacle('bal', 'c0', 18),
      'bal has its receptacle.',
    ],
  ],
  fails: [
    [
      'a balcony of 6 ft² without',
      aHouse().room('bal', 'balcony', [0, 0, 36, 24]),
      'bal has no receptacle within reach of its floor.',
    ],
  ],
  notApplicable: [['a yard', aHouse().room('yard', 'outdoors', [0, 0, 100, 100])]],
});

const heated = () =>
  aHouse().room('bed', 'bedroom', [0, 0, 144, 120]).feature('bed', 'baseboard-heater', ['c0', 20, 72, 3]);
testRule(heaterBelowReceptacle, {
  passes: [
    ['a box beside the heater', heated().receptacle('bed', 'c0', 100), 'No receptacle stands above the heater of bed.'],
  ],
  fails: [
    ['a box above the heater', heated().receptacle('bed', 'c0', 60), 'R1-1 stands above the baseboard heater of bed.'],
  ],
});

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

testRule(belowCounterReceptacle, {
  passes: [
    [
      '2014: 12 in below the top',
      island('2014', 64, 30, { overhangIn: 6 }).onFeature('kit', 'isl', null, 24),
      'R1-1 may serve the island from its side.',
    ],
    ['2020: 6 in below', island('2020', 64, 30, { overhangIn: 1 }).onFeature('kit', 'isl', null, 30)],
    [
      '2023: for other uses',
      island('2023', 64, 30).onFeature('kit', 'isl', null, 24),
      'R1-1 may be in the side of the island, but does not serve its top.',
    ],
  ],
  fails: [
    [
      '2017: 13 in below',
      island('2017', 64, 30).onFeature('kit', 'isl', null, 23),
      'R1-1 stands 1\'-1" below the top of the island.',
    ],
    [
      '2020: under an overhang of 12 in for stools',
      island('2020', 64, 30, { overhangIn: 12 }).onFeature('kit', 'isl', null, 30),
      'R1-1 stands below a top that overhangs the island by 1\'-0": it does not serve it.',
    ],
  ],
  cannotTell: [
    [
      '2017: nobody has said how far the top overhangs',
      island('2017', 64, 30).onFeature('kit', 'isl', null, 30),
      'How far the top overhangs the island over R1-1 is not said. Beyond 6 in the receptacle does not serve it: enter the overhang.',
    ],
  ],
});

describe('islands of 2014 and 2017', () => {
  const needAt = (house: House, id: string) =>
    islandNeed(viewRoom(house, 'kit'), house.features[id]!, limitsInForce<IslandLimits>(house, 'island-receptacle')!)
      .need;
  it.each([
    ['2014', 48, 0],
    ['2014', 49, 1],
    ['2017', 23, 0],
    ['2017', 24, 1],
  ] as const)('%s: a peninsula of %i in from the wall, past 25 in of counter: %i due', (edition, outIn, due) => {
    const house = peninsula(edition, outIn).build();
    expect(needAt(house, 'pen')).toBe(due);
  });
  it.each([
    ['a sink with 10 in of counter behind it divides the top: two are due', 10, 2],
    ['with 13 in behind it does not', 13, 1],
  ])('%s', (_, behind, due) => {
    const house = island('2017', 96, 36)
      .standing('sink', 'kit', 'sink', [135, 100 + behind, 24, 36 - 2 * behind > 6 ? 36 - 2 * behind : 10])
      .build();
    expect(needAt(house, 'isl')).toBe(due);
  });
});
