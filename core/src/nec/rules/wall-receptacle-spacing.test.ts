import type { RoomKind } from '../../house/schema';
import { aHouse, bedroom } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { wallReceptacleSpacing } from './wall-receptacle-spacing';

// A bedroom of 12' x 10': the floor line from jamb to jamb is 528" less the 32" door. South wall runs right to left.
const wellSpaced = () =>
  bedroom()
    .receptacle('bed', 'c2', 100)
    .receptacle('bed', 'c3', 90)
    .receptacle('bed', 'c0', 100)
    .receptacle('bed', 'c1', 96);

/** A room of which the north wall alone, 100 in long, is wall space. */
const oneWall = (kind: RoomKind) =>
  aHouse()
    .room('r', kind, [0, 0, 100, 100])
    .opening('r', 'c1', 'cased', 0, 100)
    .opening('r', 'c2', 'cased', 0, 100)
    .opening('r', 'c3', 'cased', 0, 100);

testRule(wallReceptacleSpacing, {
  passes: [
    [
      'a baseboard heater with a receptacle built in serves its wall',
      aHouse()
        .room('den', 'den', [0, 0, 100, 120])
        .opening('den', 'c1', 'cased', 0, 120)
        .opening('den', 'c3', 'cased', 0, 120)
        .feature('den', 'baseboard-heater', ['c0', 20, 60, 3], { receptacle: true })
        .receptacle('den', 'c2', 50),
    ],
    [
      'four receptacles around one door',
      wellSpaced(),
      'The south-west-north-east-south wall of bed is served: 5\'-10" at the worst point.',
    ],
    [
      'a stub of 23 15/16" beside the door needs none',
      aHouse()
        .room('den', 'den', [0, 0, 144, 60])
        .opening('den', 'c2', 'door', 0.0625, 32)
        .opening('den', 'c0', 'cased', 0, 144)
        .opening('den', 'c1', 'cased', 0, 60)
        .opening('den', 'c3', 'cased', 0, 60)
        .receptacle('den', 'c2', 72)
        .receptacle('den', 'c2', 120),
    ],
    [
      'exactly 6 ft from each end',
      aHouse()
        .room('den', 'den', [0, 0, 144, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 144)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 72),
      'The north wall of den is served: 6\'-0" at the worst point.',
    ],
    [
      'a floor receptacle 18 in from a glass wall',
      aHouse()
        .room('sun', 'sunroom', [0, 0, 120, 100])
        .opening('sun', 'c0', 'fixed-glass', 0, 120)
        .opening('sun', 'c1', 'cased', 0, 100)
        .opening('sun', 'c2', 'cased', 0, 120)
        .opening('sun', 'c3', 'cased', 0, 100)
        .floorReceptacle('sun', 60, 18),
    ],
    [
      'a half-switched duplex keeps its live half',
      aHouse()
        .room('den', 'den', [0, 0, 100, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 100)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 50, { switched: 'half' }),
    ],
    [
      'a receptacle over a built-in desk serves its wall',
      oneWall('office').feature('r', 'counter', ['c0', 0, 100, 25]).receptacle('r', 'c0', 50, { heightIn: 43 }),
    ],
    [
      'a fireplace and a fixed cabinet break the wall',
      aHouse()
        .room('den', 'den', [0, 0, 200, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 200)
        .opening('den', 'c3', 'cased', 0, 100)
        .feature('den', 'fireplace', ['c0', 20, 60, 20])
        .feature('den', 'cabinet', ['c0', 160, 40, 14])
        .receptacle('den', 'c0', 100),
    ],
  ],
  fails: [
    [
      'the wall over a built-in desk counts: it is no kitchen counter',
      oneWall('office').feature('r', 'counter', ['c0', 0, 100, 25]),
      '8\'-4" of the north wall of r has no receptacle of its own.',
    ],
    [
      'a railing along a stair well counts as wall',
      oneWall('recreation').boundary('r', 'c0', 'railing'),
      '8\'-4" of the north wall of r has no receptacle of its own.',
    ],
    [
      'the wall behind a sofa and over a baseboard heater counts',
      oneWall('family').feature('r', 'sofa', ['c0', 0, 60, 36]).feature('r', 'baseboard-heater', ['c0', 60, 40, 4]),
      '8\'-4" of the north wall of r has no receptacle of its own.',
    ],
    [
      'both leaves of a pair of doors break, and 24 in are left beside them',
      oneWall('dining').opening('r', 'c0', 'door', 30, 46, { leaves: 2 }).receptacle('r', 'c0', 15),
      '2\'-0" of the north wall of r has no receptacle of its own.',
    ],
    [
      'a refrigerator that stands still ends the wall, and what lies beyond it is a wall space of its own',
      oneWall('kitchen').feature('r', 'refrigerator', ['c0', 40, 36, 30]).receptacle('r', 'c0', 20),
      '2\'-0" of the north wall of r has no receptacle of its own.',
    ],
    [
      'a closet with its own door is a break between two walls, each its own',
      oneWall('bedroom').opening('r', 'c0', 'door', 30, 40).receptacle('r', 'c0', 15),
      '2\'-6" of the north wall of r has no receptacle of its own.',
    ],
    [
      '14 in and 12 in around a corner that stands out into the room are 26 in',
      aHouse()
        .room('r', 'den', [
          [14, 0],
          [100, 0],
          [100, 100],
          [0, 100],
          [0, 12],
          [14, 12],
        ])
        .opening('r', 'c0', 'cased', 0, 86)
        .opening('r', 'c1', 'cased', 0, 100)
        .opening('r', 'c2', 'cased', 0, 100)
        .opening('r', 'c3', 'cased', 0, 88),
    ],
    [
      'a wall under a window has no receptacle near',
      bedroom()
        .opening('bed', 'c0', 'window', 30, 84)
        .receptacle('bed', 'c2', 100)
        .receptacle('bed', 'c3', 60)
        .receptacle('bed', 'c1', 100),
      '13\'-4" of the north-east wall of bed cannot be reached by a six-foot cord, from 1\'-0" along the north wall.',
    ],
    [
      'six feet and a sixteenth',
      aHouse()
        .room('den', 'den', [0, 0, 144.0625, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 144)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 72),
    ],
    [
      'a stub of exactly 24 in behind the door',
      aHouse()
        .room('den', 'den', [0, 0, 144, 56])
        .opening('den', 'c3', 'door', 0, 32)
        .opening('den', 'c0', 'cased', 0, 144)
        .opening('den', 'c1', 'cased', 0, 56)
        .opening('den', 'c2', 'cased', 0, 144),
      '2\'-0" of the west wall of den has no receptacle of its own.',
    ],
    [
      '14 in and 12 in around a corner are 26 in',
      aHouse()
        .room('den', 'den', [0, 0, 100, 100])
        .opening('den', 'c0', 'cased', 0, 86)
        .opening('den', 'c1', 'cased', 12, 88)
        .opening('den', 'c2', 'cased', 0, 100)
        .opening('den', 'c3', 'cased', 0, 100),
      '2\'-2" of the north-east wall of den has no receptacle of its own.',
    ],
    [
      'a receptacle across the doorway does not count',
      aHouse()
        .room('den', 'den', [0, 0, 100, 100])
        .opening('den', 'c0', 'door', 40, 32)
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 100)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 90),
    ],
    [
      'above 5 1/2 ft',
      aHouse()
        .room('den', 'den', [0, 0, 100, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 100)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 50, { heightIn: 66.0625 }),
    ],
    [
      'inside a cabinet',
      aHouse()
        .room('den', 'den', [0, 0, 100, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 100)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 50, { inCabinet: true }),
    ],
    [
      'wholly switched in place of a light',
      aHouse()
        .room('den', 'den', [0, 0, 100, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 100)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 50, { switched: 'whole' }),
    ],
    [
      'a 240 V receptacle',
      aHouse()
        .room('den', 'den', [0, 0, 100, 100])
        .opening('den', 'c1', 'cased', 0, 100)
        .opening('den', 'c2', 'cased', 0, 100)
        .opening('den', 'c3', 'cased', 0, 100)
        .receptacle('den', 'c0', 50, { volts: 240 }),
    ],
    [
      'the nib beside a counter is its own wall space',
      aHouse()
        .room('kit', 'kitchen', [0, 0, 100, 100])
        .opening('kit', 'c1', 'cased', 0, 100)
        .opening('kit', 'c2', 'cased', 0, 100)
        .opening('kit', 'c3', 'cased', 0, 100)
        .feature('kit', 'counter', ['c0', 0, 70, 25])
        .receptacle('kit', 'c0', 62, { heightIn: 43 }),
      '2\'-6" of the north wall of kit has no receptacle of its own.',
    ],
    [
      'fixed glass to the floor counts as wall',
      aHouse()
        .room('sun', 'sunroom', [0, 0, 120, 100])
        .opening('sun', 'c0', 'fixed-glass', 0, 120)
        .opening('sun', 'c1', 'cased', 0, 100)
        .opening('sun', 'c2', 'cased', 0, 120)
        .opening('sun', 'c3', 'cased', 0, 100),
    ],
    [
      'the fixed half of a sliding door counts, the moving half breaks',
      aHouse()
        .room('liv', 'living', [0, 0, 100, 100])
        .opening('liv', 'c0', 'slider', 0, 72, { moving: 'right' })
        .opening('liv', 'c1', 'cased', 0, 100)
        .opening('liv', 'c2', 'cased', 0, 100)
        .opening('liv', 'c3', 'cased', 0, 100),
      '3\'-0" of the north wall of liv has no receptacle of its own.',
      '2\'-4" of the north wall of liv has no receptacle of its own.',
    ],
    [
      'a room without any break is a loop without ends',
      aHouse().room('den', 'den', [0, 0, 100, 100]).receptacle('den', 'c0', 50),
    ],
  ],
  notApplicable: [
    ['a bathroom', aHouse().room('bath', 'bathroom', [0, 0, 96, 60])],
    ['a hallway', aHouse().room('hall', 'hallway', [0, 0, 40, 300])],
  ],
});
