import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { garageReceptacle } from './garage-receptacle';
import type { Edition } from '../../house/schema';

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
