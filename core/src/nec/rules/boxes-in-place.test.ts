import { describe, expect, it } from 'vitest';
import { aHouse, bedroom } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { placeBoxes } from '../../edits/verbs';
import type { Edition, House, RoomKind } from '../../house/schema';
import { applyRemedy, placementLimits } from '../apply-remedy';
import { checkHouse } from '../check-house';
import { boxesOfProposal, proposeForRoom } from '../../place/propose';
import { fromLoop, wallLoop } from '../../plan/wall-loop';
import { accessoryReceptacle } from './accessory-receptacle';
import { alarmInterconnection } from './alarm-interconnection';
import { applianceReceptacle } from './appliance-receptacle';
import { basementReceptacle } from './basement-receptacle';
import { boxClearOfFraming } from './box-clear-of-framing';
import { boxCovering } from './box-covering';
import { boxInUse } from './box-in-use';
import { boxInWall } from './box-in-wall';
import { boxesCollide } from './boxes-collide';
import { boxOnStud } from './box-on-stud';
import { boxSupport } from './box-support';
import { closetLuminaire } from './closet-luminaire';
import { dishwasherReceptacle } from './dishwasher-receptacle';
import { driverPlace } from './driver-place';
import { panelPlace } from './panel-place';
import { panelWorkingSpace } from './panel-working-space';
import { provisionalBoxes } from './provisional-boxes';
import { serviceReceptacle } from './service-receptacle';
import { switchInTub } from './switch-in-tub';
import { tamperResistant } from './tamper-resistant';
import { tubZoneLuminaires } from './tub-zone-luminaires';
import { tubZoneReceptacles } from './tub-zone-receptacles';
import { weatherResistant } from './weather-resistant';

let n = 0;
const newId = (prefix: string) => `${prefix}-n${++n}`;

const room = (kind: RoomKind, edition: Edition = '2023') => aHouse(edition).room('r', kind, [0, 0, 144, 120]);

/** A closet of 6 by 5 ft with a shelf 12 in deep along its north wall. */
const closet = () =>
  aHouse().room('c', 'walk-in-closet', [0, 0, 72, 60]).feature('c', 'closet-shelf', ['c0', 0, 72, 12]);
testRule(closetLuminaire, {
  passes: [
    [
      'an enclosed surface luminaire 13 in beyond the shelf',
      closet().over('c', 'luminaire', 36, 29),
      'Luminaire R1-1 is clear of the storage space.',
    ],
    [
      'on the wall at 7 ft, clear of the shelf',
      closet().wallBox(
        'c',
        'c1',
        38,
        { kind: 'luminaire', style: 'wall' },
        {
          at: { kind: 'wall', wall: 'c1', alongIn: 38, heightIn: 84 },
        },
      ),
    ],
    ['a recessed one at 6 in', closet().over('c', 'luminaire', 36, 21, { style: 'recessed' })],
  ],
  fails: [
    [
      'a surface luminaire at 11 in',
      closet().over('c', 'luminaire', 36, 27),
      'Luminaire R1-1 is 11" from the storage space over the shelf.',
    ],
    [
      'a pendant',
      closet().over('c', 'luminaire', 36, 40, { style: 'pendant' }),
      'Luminaire R1-1 in c hangs or has open lamps: never in a clothes closet.',
    ],
    [
      'a reach-in 24 in deep with a shelf of 12 in: 12 in are left to the front wall, too little for any surface luminaire',
      aHouse()
        .room('c', 'closet', [0, 0, 72, 24])
        .feature('c', 'closet-shelf', ['c0', 0, 72, 12])
        .over('c', 'luminaire', 36, 20),
    ],
    [
      'on the wall at 5 ft, where the clothes hang 24 in deep',
      closet().wallBox(
        'c',
        'c1',
        38,
        { kind: 'luminaire', style: 'wall' },
        {
          at: { kind: 'wall', wall: 'c1', alongIn: 38, heightIn: 60 },
        },
      ),
    ],
    ['a bare lamp', closet().over('c', 'luminaire', 36, 40, { enclosed: false })],
  ],
  cannotTell: [
    [
      'no shelf drawn',
      aHouse().room('c', 'closet', [0, 0, 72, 60]).over('c', 'luminaire', 36, 30),
      'No shelf is drawn in c, so the distance of its luminaire to the storage space is not known. Draw the shelf.',
    ],
  ],
  notApplicable: [['a linen closet', aHouse().room('c', 'linen', [0, 0, 72, 60]).over('c', 'luminaire', 36, 30)]],
});

/** A bathroom of 10 by 8 ft, a tub with a 20 in rim along its west wall, its basin on the north wall. */
const bath = (edition: Edition = '2023') =>
  aHouse(edition)
    .room('b', 'bathroom', [0, 0, 120, 96])
    .feature('b', 'tub', ['c3', 36, 60, 30], { heightIn: 20 })
    .feature('b', 'basin', ['c0', 80, 20, 19]);
testRule(tubZoneLuminaires, {
  passes: [
    [
      'a pendant 3 ft off',
      bath().over('b', 'luminaire', 67, 60, { style: 'pendant' }),
      'No luminaire of b hangs in the zone of its tub or shower.',
    ],
    ['a damp-marked surface luminaire over the tub', bath().over('b', 'luminaire', 15, 60, { marked: 'damp' })],
    [
      'a fan above 9 ft 8 in: 8 ft over the rim',
      bath()
        .with((house) => void (house.levels['L1']!.ceilingIn = 118))
        .over('b', 'fan', 15, 60),
    ],
  ],
  fails: [
    [
      'a fan over the tub at 9 ft',
      bath()
        .with((house) => void (house.levels['L1']!.ceilingIn = 108))
        .over('b', 'fan', 15, 60),
      'The fan R1-1 hangs 0" from a tub or shower, inside its zone.',
    ],
    ['a pendant 2 ft off', bath().over('b', 'luminaire', 54, 60, { style: 'pendant' })],
    [
      'an unmarked luminaire over the tub',
      bath().over('b', 'luminaire', 15, 60),
      'Luminaire R1-1 is over a tub or shower and not marked for damp or wet places.',
    ],
  ],
});

const small = (edition: Edition) =>
  aHouse(edition)
    .room('b', 'bathroom', [0, 0, 60, 72])
    .feature('b', 'tub', ['c3', 0, 60, 30], { heightIn: 20 })
    .feature('b', 'basin', ['c0', 36, 20, 18]);
testRule(tubZoneReceptacles, {
  passes: [
    [
      '2017: beside the tub',
      bath('2017').receptacle('b', 'c0', 40, { heightIn: 43 }),
      'The receptacles of b are clear of its tub or shower.',
    ],
    ['2023: 3 ft from it', bath().receptacle('b', 'c0', 66, { heightIn: 43 })],
    [
      '2014: the pump of a hydromassage tub under its rim',
      bath('2014').load('tub-pump', 'b', 'c3', 50, null, { heightIn: 6, cord: true }),
      'Receptacle R1-1 is that of a tub\u2019s pump, under its rim: see that it is in sight, within 12 in of the access opening.',
    ],
    [
      '2023: the single receptacle of a bidet seat',
      bath().load('bidet-seat', 'b', 'c0', 44, null, { style: 'single' }),
      'Receptacle R1-1 is the single one of a bidet seat, by exception: see that it is readily accessible, and not between toilet and tub.',
    ],
    [
      '2020: a bathroom of 5 by 6 ft has no other place',
      small('2020').receptacle('b', 'c1', 8, { heightIn: 43 }),
      'Receptacle R1-1 is in the zone of the tub or shower, by the exception for a small bathroom: no place near the basin lies outside it.',
    ],
  ],
  fails: [
    [
      '2023: 2 ft from it, with room elsewhere',
      bath().receptacle('b', 'c0', 54, { heightIn: 43 }),
      'Receptacle R1-1 is 2\'-0" from a tub or shower, inside its zone.',
    ],
    ['2014: over the tub', bath('2014').receptacle('b', 'c3', 60, { heightIn: 60 })],
    [
      '2020: a bidet seat 1 ft from the tub has no exception yet',
      bath('2020').load('bidet-seat', 'b', 'c0', 44, null, { style: 'single' }),
    ],
  ],
});

testRule(switchInTub, {
  passes: [
    [
      '2 ft from the tub: the 3 ft are for receptacles',
      bath().switchAt('b', 'c0', 54, null),
      'The switches of b are outside its tub and shower.',
    ],
  ],
  fails: [['over the tub', bath().switchAt('b', 'c3', 60, null), 'Switch R1-1 is inside the space of the tub.']],
  notApplicable: [['a half bath', room('half-bath').switchAt('r', 'c0', 20, null)]],
});

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

testRule(boxSupport, {
  passes: [
    [
      'a sconce of 6 lb on a device box',
      room('foyer').wallBox('r', 'c0', 40, { kind: 'luminaire', style: 'wall', weightLb: 6 }, { type: 'gang-1' }),
    ],
    [
      'a fan on a fan-rated box',
      room('bedroom').over('r', 'fan', 72, 60, {}, { type: 'fan-brace' }),
      'The box R1-1 carries what hangs on it.',
    ],
    [
      '2017: an ordinary box in the middle of a bedroom',
      room('bedroom', '2017').over('r', 'luminaire', 72, 60, {}, { type: 'round-ceiling' }),
    ],
    ['2023: the same near the wall', room('bedroom').over('r', 'luminaire', 20, 60, {}, { type: 'round-ceiling' })],
  ],
  fails: [
    [
      'a fan on an ordinary box',
      room('bathroom').over('r', 'fan', 72, 60, {}, { type: 'round-ceiling' }),
      'The fan at R1-1 hangs on a box that is not listed for fans.',
    ],
    [
      'a sconce of 7 lb on a device box',
      room('foyer').wallBox('r', 'c0', 40, { kind: 'luminaire', style: 'wall', weightLb: 7 }, { type: 'gang-1' }),
      'The luminaire at R1-1 weighs 7 lb and hangs on a device box, whose screws may carry 6 lb. Take a luminaire box.',
    ],
    [
      'a fan of 45 lb on a fan box that is marked for no more than 35 lb',
      room('bathroom')
        .with((house) => {
          house.standards.boxTypes = [
            {
              id: 'pancake-fan',
              name: 'Shallow fan box',
              gangs: 1,
              shape: 'round',
              volumeIn3: 6,
              depthIn: 0.5,
              for: 'new',
              fanRated: true,
            },
          ];
        })
        .over('r', 'fan', 72, 60, { weightLb: 45 }, { type: 'pancake-fan' }),
      'The fan at R1-1 weighs 45 lb, more than its box is marked for.',
    ],
    [
      'a fan of 75 lb',
      room('bathroom').over('r', 'fan', 72, 60, { weightLb: 75 }),
      'The fan at R1-1 weighs 75 lb: no box carries it.',
    ],
    [
      '2023: an ordinary box in the middle of a bedroom',
      room('bedroom').over('r', 'luminaire', 72, 60, {}, { type: 'round-ceiling' }),
      'The box R1-1 in the middle of r is where a fan could hang and is not listed for one.',
    ],
    [
      'a chandelier of 51 lb',
      room('foyer').over('r', 'luminaire', 72, 60, { weightLb: 51 }, { type: 'octagon-4' }),
      'The luminaire at R1-1 weighs 51 lb, more than its box carries. Support it from the framing.',
    ],
  ],
});

testRule(tamperResistant, {
  passes: [
    [
      'as they are sold',
      room('den').receptacle('r', 'c0', 20),
      'The receptacles of r are tamper-resistant where they must be.',
    ],
    ['above 5 1/2 ft', room('den').receptacle('r', 'c0', 20, { tr: false, heightIn: 67 })],
    [
      'behind a refrigerator, single',
      room('kitchen')
        .load('refrigerator', 'r', 'c0', 20, null, { style: 'single' })
        .with((house) => void Object.assign(Object.values(Object.values(house.boxes)[0]!.devices)[0]!, { tr: false })),
    ],
    ['2014: 240 V, 20 A', room('den', '2014').receptacle('r', 'c0', 20, { tr: false, volts: 240, ratingA: 20 })],
    [
      '2017: in an attic, none of the places of 210.52',
      room('attic', '2017')
        .receptacle('r', 'c0', 20, { tr: false })
        .room('d', 'den', [0, 300, 99, 99])
        .receptacle('d', 'c0', 20),
    ],
    ['2023: 240 V, 30 A', room('laundry').receptacle('r', 'c0', 20, { tr: false, volts: 240, ratingA: 30 })],
  ],
  fails: [
    ['a plain one', room('den').receptacle('r', 'c0', 20, { tr: false }), 'Receptacle R1-1 is not tamper-resistant.'],
    ['2020: in an attic of the dwelling', room('attic', '2020').receptacle('r', 'c0', 20, { tr: false })],
    ['2017: 240 V, 20 A', room('den', '2017').receptacle('r', 'c0', 20, { tr: false, volts: 240, ratingA: 20 })],
  ],
});

testRule(weatherResistant, {
  passes: [
    [
      'on a porch',
      room('porch').receptacle('r', 'c0', 20, { wr: true }),
      'The receptacles of r are weather-resistant.',
    ],
  ],
  fails: [
    [
      'a plain one in a damp sunroom',
      room('sunroom')
        .receptacle('r', 'c0', 20)
        .with((house) => (house.rooms['r']!.damp = true)),
    ],
    ['a plain one on a deck', room('deck').receptacle('r', 'c0', 20), 'Receptacle R1-1 in r is not weather-resistant.'],
  ],
});

const panel = (kind: RoomKind) =>
  room(kind).feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' }).panel('Main', 'r', 40, 'p');
testRule(panelPlace, {
  passes: [['in a hall', panel('hallway'), 'Main may stand in r.']],
  fails: [
    ['in a bathroom', panel('half-bath'), 'Main stands in r.'],
    ['in a clothes closet', panel('closet')],
    ['over steps', panel('stair')],
    [
      'above a door',
      panel('hallway').with((house) => Object.assign(house.features['p']!, { bottomIn: 84, heightIn: 94 })),
      'Main begins 7\'-0" above the floor: its breakers are out of reach.',
    ],
  ],
  cannotTell: [
    [
      'a tall one whose highest handle is not known',
      panel('hallway').with((house) => Object.assign(house.features['p']!, { heightIn: 80 })),
      'The top of Main is 6\'-8" above the floor. See that its highest breaker handle is not above 6 ft 7 in.',
    ],
    [
      'in a linen closet',
      panel('linen'),
      'Main stands in r: not named by the code, but what is stored there may burn easily. Ask the authority.',
    ],
  ],
});

testRule(panelWorkingSpace, {
  passes: [
    ['nothing near', panel('garage'), 'The working space of Main is clear.'],
    [
      'tile behind it and a cabinet above 6 1/2 ft',
      panel('garage')
        .feature('r', 'tile', ['c0', 50, 40, 0.5])
        .feature('r', 'cabinet', ['c0', 50, 40, 12], { bottomIn: 80, heightIn: 96 }),
    ],
    [
      'a panel of 14 1/2 in, a quarter of an inch from the end of a wall of 31 in',
      aHouse()
        .room('r', 'hallway', [0, 0, 31, 144])
        .feature('r', 'panel', ['c0', 0.25, 14.5, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
    ],
    [
      'a passage 40 in wide just holds it',
      aHouse()
        .room('r', 'hallway', [0, 0, 144, 40])
        .feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
    ],
    ['a bench beside it: the space need not be centred', panel('garage').feature('r', 'counter', ['c0', 76, 40, 25])],
  ],
  fails: [
    [
      'a washer in front',
      panel('laundry').standing('w', 'r', 'washer', [60, 34, 28, 28]),
      'The washer stands in the working space of Main.',
    ],
    [
      'a ceiling of 6 ft',
      panel('basement-unfinished').with((house) => void (house.levels['L1']!.ceilingIn = 72)),
      'The ceiling over Main is 6\'-0" high.',
    ],
    [
      'a niche of 28 in',
      aHouse()
        .room('r', 'hallway', [0, 0, 28, 120])
        .feature('r', 'panel', ['c0', 6, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
      'In front of Main in r there is no clear space 2\'-6" wide and 3\'-0" deep.',
    ],
    [
      'a passage 38 in wide: 34 in before the panel\u2019s front',
      aHouse()
        .room('r', 'hallway', [0, 0, 144, 38])
        .feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
      'In front of Main in r there is no clear space 2\'-6" wide and 3\'-0" deep.',
    ],
  ],
  cannotTell: [
    [
      'not drawn',
      room('garage').panel('Main', 'r', 40),
      'Where Main hangs is not drawn, so its working space is not known. Draw it as a feature on a wall.',
    ],
    [
      'over an open side into the next room',
      aHouse()
        .room('r', 'hallway', [0, 0, 144, 30])
        .boundary('r', 'c2', 'open')
        .feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
      'The working space of Main reaches over an open side into the next room. Look whether anything stands there.',
    ],
  ],
});

const attic = (edition: Edition = '2023') =>
  aHouse(edition).room('r', 'attic', [0, 0, 600, 200]).feature('r', 'air-handler', ['c3', 50, 30, 40]);
testRule(serviceReceptacle, {
  passes: [
    ['20 ft along the attic', attic().receptacle('r', 'c0', 270), 'Receptacle R1-1 serves the air handler.'],
    ['2014: the same', attic('2014').receptacle('r', 'c0', 270)],
  ],
  cannotTell: [
    [
      'one in the next room, on the same level',
      attic().room('side', 'storage', [0, -124.5, 120, 120]).receptacle('side', 'c2', 20),
      'The nearest receptacle to the air handler, R2-1, stands in another room, side. If one gets to it freely from the equipment it serves; a wall or a locked door between, and it does not.',
    ],
  ],
  fails: [
    ['one inside a cabinet', attic().receptacle('r', 'c0', 270, { inCabinet: true })],
    ['one that an appliance takes', attic().load('freezer', 'r', 'c0', 270, null)],
    [
      '40 ft away',
      attic().receptacle('r', 'c0', 590),
      'No receptacle stands within 25 ft of the air handler in r, on its level.',
    ],
    ['240 V only', attic().receptacle('r', 'c0', 100, { volts: 240, ratingA: 30 })],
  ],
});

testRule(basementReceptacle, {
  passes: [['an ordinary one', room('basement-unfinished').receptacle('r', 'c0', 20), 'r has its receptacle.']],
  fails: [
    ['none', room('basement-unfinished'), 'r has no receptacle of its own.'],
    ['only the sump pump\u2019s', room('basement-unfinished').load('sump-pump', 'r', 'c0', 20, null)],
  ],
});

const accessory = () => room('accessory-building');
testRule(accessoryReceptacle, {
  passes: [['an ordinary one', accessory().receptacle('r', 'c0', 20), 'r has its receptacle.']],
  fails: [
    ['only a light', accessory().lit('r'), 'r has power and no receptacle of its own.'],
    ['only the well pump\u2019s', accessory().load('sump-pump', 'r', 'c0', 20, null)],
  ],
  cannotTell: [
    [
      'nothing says whether power comes',
      accessory(),
      'r has no box. If power is brought to it, it needs a receptacle and a lighting outlet.',
    ],
  ],
  notApplicable: [['a garage has a rule of its own', room('garage')]],
});

/** A kitchen with a refrigerator at the west end of its north wall, and its receptacle farther along. */
const cold = (alongIn: number) =>
  room('kitchen').feature('r', 'refrigerator', ['c0', 0, 36, 30]).load('refrigerator', 'r', 'c0', alongIn, null);
testRule(applianceReceptacle, {
  passes: [
    ['behind it', cold(18), 'The receptacle of Refrigerator is 0" from where it stands.'],
    ['6 ft along the wall from its side', cold(108)],
  ],
  fails: [['6 ft 1 in', cold(109), 'The receptacle of Refrigerator in r is 6\'-1" from where it stands.']],
  cannotTell: [
    [
      'the range is not drawn',
      room('kitchen').load('range', 'r', 'c0', 20, null),
      'Where Range stands in r is not drawn, so its receptacle cannot be measured.',
    ],
  ],
  notApplicable: [['a hard-wired cooktop', room('kitchen').load('cooktop', 'r', 'c0', 20, null, { cord: false })]],
});

const alarmed = (first: string | null, second: string | null, radio = false) =>
  room('bedroom')
    .circuit('A', 15)
    .circuit('B', 15)
    .ceiling('r', 'alarm', first, radio ? { wireless: true } : {})
    .ceiling('r', 'alarm', second, radio ? { wireless: true } : {});
testRule(alarmInterconnection, {
  passes: [
    ['both on one circuit', alarmed('A', 'A'), 'All 2 wired alarms are on A.'],
    ['on two circuits, joined by radio', alarmed('A', 'B', true), 'The alarms signal each other by radio.'],
  ],
  fails: [
    [
      'on two circuits, joined by wire',
      alarmed('A', 'B'),
      '2 alarms joined by wire are on A and B. Put them on one circuit, or say that they signal by radio.',
    ],
  ],
  cannotTell: [
    [
      'one on no circuit yet',
      alarmed('A', null),
      '1 alarm on no circuit yet: it is open whether a wire can join them all.',
    ],
  ],
  notApplicable: [['a single alarm', room('bedroom').ceiling('r', 'alarm', null)]],
});

const covered = (kind: string, thicknessIn: number, type?: string) =>
  room('bathroom')
    .with((house) => void Object.assign(house.rooms['r']!.corners[0]!, { covering: { kind, thicknessIn } }))
    .wallBox('r', 'c0', 60, {}, type ? { type } : {});
testRule(boxCovering, {
  passes: [
    ['nobody chose a box', covered('tile', 1.25), 'The boxes of r can come flush with their walls.'],
    ['tile on an adjustable box', covered('tile', 1.25, 'gang-1-adjustable')],
  ],
  fails: [
    [
      'tile of 1 1/4 in on a fixed box',
      covered('tile', 1.25, 'gang-1'),
      '1 1/4" of covering behind R1-1: the chosen box cannot be adjusted to it.',
    ],
    [
      'covering undecided',
      covered('undecided', 0, 'gang-1'),
      'The covering behind R1-1 is undecided, and its box cannot be adjusted in depth.',
    ],
  ],
});

testRule(boxInUse, {
  passes: [
    ['a receptacle behind the door leaf still counts and can be used', bedroom().receptacle('bed', 'c3', 115)],
    [
      'a low box under a high shelf',
      room('den')
        .feature('r', 'tall-cabinet', ['c0', 0, 36, 24], { bottomIn: 60, heightIn: 84 })
        .receptacle('r', 'c0', 20),
      'The boxes of r can be reached as the room is furnished.',
    ],
  ],
  fails: [
    [
      'a switch behind the open door',
      aHouse().room('r', 'den', [0, 0, 144, 120]).opening('r', 'c0', 'door', 60, 32).switchAt('r', 'c0', 50, null),
      'R1-1 is behind the open door.',
    ],
    [
      'behind a parked barn door',
      aHouse().room('r', 'den', [0, 0, 144, 120]).opening('r', 'c0', 'barn', 60, 36).receptacle('r', 'c0', 40),
      'R1-1 is behind the open barn door.',
    ],
    [
      'behind the headboard of a bed that stands free',
      room('bedroom').standing('bed', 'r', 'bed', [30, 4, 60, 80], { heightIn: 44 }).receptacle('r', 'c0', 60),
      'R1-1 is behind the headboard of a bed.',
    ],
    [
      'where the owner wants none',
      room('den').feature('r', 'no-device', ['c0', 30, 60, 1], { heightIn: 96 }).receptacle('r', 'c0', 60),
    ],
  ],
});

// Studs at 16 in from the left corner: a box centre at 16 + 3/4 + 1 1/8 in stands on a stud's right side.
testRule(boxOnStud, {
  passes: [
    [
      'on the right side of the first stud',
      room('den').receptacle('r', 'c0', 17.875),
      'The boxes of r stand on studs, or on brackets on purpose.',
    ],
    ['between studs on a bracket', room('den').wallBox('r', 'c0', 24, {}, { bracket: true })],
    [
      'the layout pulled from the other corner',
      room('den')
        .with(
          (house) =>
            void Object.assign(house.rooms['r']!.corners[0]!, {
              framing: { depth: '2x4', layoutFrom: 'end', plumbing: false, spacingIn: 24 },
            }),
        )
        .receptacle('r', 'c0', 121.875),
    ],
  ],
  fails: [
    [
      'between studs',
      room('den').receptacle('r', 'c0', 24),
      'In r these stand on no stud\u2019s side: R1-1. Shift them, or mark them for a bracket.',
    ],
  ],
  notApplicable: [
    [
      'a block wall has no studs',
      room('garage')
        .with((house) => {
          for (const corner of house.rooms['r']!.corners)
            Object.assign(corner, { covering: { kind: 'masonry', thicknessIn: 0 } });
        })
        .receptacle('r', 'c0', 24),
    ],
  ],
});

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

const run = (device: object) =>
  room('kitchen').wallBox('r', 'c0', 20, { kind: 'luminaire', style: 'strip', ...device });
testRule(driverPlace, {
  passes: [['in a cabinet', run({ driver: 'cabinet' }), 'The driver of the run at R1-1 lives in the cabinet.']],
  fails: [['behind the drywall', run({ driver: 'closed-in' }), 'The driver of the run at R1-1 would be closed in.']],
  cannotTell: [['nobody has said', run({}), 'Where the driver of the run at R1-1 lives is not said.']],
});

/** A den of 12 by 10 ft; its north wall has a door of 32 in from 60 in on. */
const den = (kind: 'door' | 'pocket' | 'cased' | 'window' | 'slider' | 'fixed-glass' = 'door', extra = {}) =>
  room('den').opening('r', 'c0', kind, 60, 32, extra);
testRule(boxInWall, {
  passes: [
    ['a foot beside a door', den().receptacle('r', 'c0', 48), 'Behind the boxes of r there is wall.'],
    ['below a window with its sill at 36 in', den('window').receptacle('r', 'c0', 76)],
    ['a light over a door, above its header', den().receptacle('r', 'c0', 76, { heightIn: 92 })],
    ['a door switch in the jamb', den().wallBox('r', 'c0', 60, { kind: 'switch', style: 'door-jamb' })],
    ['1 1/8 in from the corner, with half a box of as much', room('den').receptacle('r', 'c0', 1.125)],
    ['on a porch\u2019s railing', room('porch').boundary('r', 'c0', 'railing').receptacle('r', 'c0', 60)],
    ['over the panel of an open pocket door', den('pocket').receptacle('r', 'c0', 44, { heightIn: 84 })],
  ],
  fails: [
    ['in a doorway', den().receptacle('r', 'c0', 76), 'R1-1 stands in the doorway: there is no wall to set it in.'],
    ['with one edge in a doorway', den().receptacle('r', 'c0', 59.5)],
    ['in a cased opening', den('cased').receptacle('r', 'c0', 70)],
    [
      'in fixed glass to the floor, which is wall space but no wall for a box',
      den('fixed-glass').receptacle('r', 'c0', 76),
    ],
    ['before the fixed panel of a sliding door', den('slider').receptacle('r', 'c0', 86)],
    [
      'a switch at 48 in, where a window has its sill at 36',
      den('window').wallBox(
        'r',
        'c0',
        76,
        { kind: 'switch' },
        { at: { kind: 'wall', wall: 'c0', alongIn: 76, heightIn: 48 } },
      ),
    ],
    [
      'where the pocket door slides',
      den('pocket').receptacle('r', 'c0', 44),
      'R1-1 stands where the pocket door slides into the wall.',
    ],
    [
      'where the room is open to the next',
      room('den').boundary('r', 'c1', 'open').receptacle('r', 'c1', 60),
      'R1-1 stands where r is open to the next area: there is no wall.',
    ],
    [
      'half an inch from a corner',
      room('den').receptacle('r', 'c0', 0.5),
      'The middle of R1-1 is 1/2" from the corner, and half of its box is 1 1/8" wide.',
    ],
  ],
  notApplicable: [['boxes in the ceiling only', room('den').over('r', 'luminaire', 60, 60)]],
});

testRule(boxClearOfFraming, {
  passes: [
    ['5 in beside a door', den().receptacle('r', 'c0', 55), 'The boxes of r are clear of casings, headers and braces.'],
    ['an inch beside a cased opening, which has no casing', den('cased').receptacle('r', 'c0', 58.5)],
    [
      'beside a brace',
      room('den').feature('r', 'brace', ['c0', 30, 20, 1], { heightIn: 96 }).receptacle('r', 'c0', 52),
    ],
  ],
  fails: [
    ['2 in beside a door', den().receptacle('r', 'c0', 58), 'R1-1 stands where the casing of the door goes.'],
    [
      'over a cased opening, 2 in above its head',
      den('cased').receptacle('r', 'c0', 76, { heightIn: 83 }),
      'R1-1 stands in the header over the cased opening.',
    ],
    [
      'on a brace',
      room('den')
        .feature('r', 'brace', ['c0', 30, 20, 1], { heightIn: 96, name: 'steel strap' })
        .receptacle('r', 'c0', 40),
      'R1-1 stands where the steel strap runs.',
    ],
  ],
});

describe('a box that stands where none can', () => {
  const remedyOf = (house: House) => checkHouse(house, { rules: [boxInWall] }).findings[0]!.remedies;
  it('is moved to the nearest stud\u2019s side that is free, and the finding is gone', () => {
    const house = den().receptacle('r', 'c0', 62).receptacle('r', 'c0', 55.875).build();
    const [remedy] = remedyOf(house);
    const moved = applyRemedy(house, remedy!, () => 'x');
    if (!moved.ok || remedy?.kind !== 'move-box') throw new Error('moved');
    expect(checkHouse(moved.value.house, { rules: [boxInWall, boxOnStud, boxClearOfFraming] }).findings).toEqual([]);
    // The one beside the door is taken; the next face is beside the stud at 48 in.
    const [first] = Object.values(moved.value.house.boxes);
    expect(first!.at).toMatchObject({ wall: 'c0', alongIn: 49.875, heightIn: 16 });
  });
  it('is offered no place where no wall has studs', () => {
    const masonry = den().with((house) => {
      for (const corner of house.rooms['r']!.corners) corner.covering = { kind: 'masonry', thicknessIn: 0.5 };
    });
    expect(remedyOf(masonry.receptacle('r', 'c0', 76).build())).toEqual([]);
  });
});

/** Two dens of 12 by 10 ft with a wall of 2x4 studs and 1/2 in boards between them: 4 1/2 in from face to face. */
const twoDens = (wallIn = 4.5) =>
  aHouse()
    .room('r', 'den', [0, 0, 144, 120])
    .room('s', 'den', [144 + wallIn, 0, 144, 120]);
// The east wall of the first runs down from its corner, the west wall of the second up: 60 in along is 60 in along both.
testRule(boxesCollide, {
  passes: [
    [
      'a box on each side of a stud',
      twoDens().receptacle('r', 'c1', 57).receptacle('s', 'c3', 60),
      'Each of 2 boxes in walls has a place of its own.',
    ],
    [
      'a switch behind a receptacle',
      twoDens()
        .receptacle('r', 'c1', 60)
        .wallBox('s', 'c3', 60, { kind: 'switch' }, { at: { kind: 'wall', wall: 'c3', alongIn: 60, heightIn: 48 } }),
    ],
    ['back to back in a wall of 6 1/2 in', twoDens(6.5).receptacle('r', 'c1', 60).receptacle('s', 'c3', 60)],
    [
      'a receptacle behind a bracket for data, which has no back',
      twoDens().receptacle('r', 'c1', 60).wallBox('s', 'c3', 60, { kind: 'low-voltage' }),
    ],
    ['beside each other on one wall', room('den').receptacle('r', 'c0', 60).receptacle('r', 'c0', 63)],
  ],
  fails: [
    [
      'back to back in a wall of 2x4 studs',
      twoDens().receptacle('r', 'c1', 60).receptacle('s', 'c3', 61),
      'R2-1 and R1-1 stand back to back: 5 1/2" of boxes in a wall of 4 1/2".',
    ],
    [
      'twice in one place',
      room('den').receptacle('r', 'c0', 60).receptacle('r', 'c0', 61),
      'R1-2 and R1-1 are drawn over each other.',
    ],
  ],
  notApplicable: [['no box on a wall', room('den').over('r', 'luminaire', 60, 60)]],
});

it('a room is filled around what its neighbour has in the wall between', () => {
  // In the first room the fewest stand where they stand; behind one of them the second is offered another stud.
  const alone = proposeForRoom(twoDens().build(), 's', placementLimits(twoDens().build()));
  const house = twoDens();
  for (const { atLoopIn } of alone.boxes) {
    const { wall, alongIn } = fromLoop(wallLoop(house.build().rooms['s']!), atLoopIn);
    if (wall.id === 'c3') house.receptacle('r', 'c1', 120 - alongIn);
  }
  const built = house.build();
  expect(Object.keys(built.boxes).length).toBeGreaterThan(0);
  const proposal = proposeForRoom(built, 's', placementLimits(built));
  expect(proposal.boxes.length).toBe(alone.boxes.length);
  const placed = placeBoxes(built, boxesOfProposal(built, proposal, newId), 'Fill');
  if (!placed.ok) throw new Error(placed.problems[0]!.message);
  expect(checkHouse(placed.value.house, { rules: [boxesCollide] }).findings).toEqual([]);
});
