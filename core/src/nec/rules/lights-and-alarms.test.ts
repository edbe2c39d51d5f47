import { aHouse, bedroom } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { Edition, RoomKind } from '../../house/schema';
import { alarmClearance } from './alarm-clearance';
import { coAlarms } from './co-alarms';
import { lightingExteriorDoor } from './lighting-exterior-door';
import { lightingOutlet } from './lighting-outlet';
import { lightingStorageSpaces } from './lighting-storage-spaces';
import { smokeAlarms } from './smoke-alarms';
import { groupAcrossFloors } from './group-across-floors';
import { stairSwitches } from './stair-switches';
import { switchHeight } from './switch-height';
import { switchNearEntrance } from './switch-near-entrance';

const room = (kind: RoomKind, edition: Edition = '2023') => aHouse(edition).room('r', kind, [0, 0, 144, 120]);

testRule(lightingOutlet, {
  passes: [
    [
      '2020: an accessory building beside a lit hall is not named',
      room('hallway', '2020')
        .lit('r')
        .room('shed', 'accessory-building', [300, 0, 90, 90])
        .receptacle('shed', 'c0', 20),
    ],
    ['a bedroom with a light and a switch', room('bedroom').lit('r'), 'r is lit by a luminaire on a wall switch.'],
    [
      'a living room with a receptacle half of which is switched',
      room('living').receptacle('r', 'c1', 30, { switched: 'half' }).switchAt('r', 'c0', 8, null).governed('r'),
      'r is lit by a receptacle on a wall switch.',
    ],
    [
      'a hall governed by a group of two switches elsewhere',
      room('hallway')
        .room('next', 'living', [200, 0, 100, 100])
        .lit('next')
        .over('r', 'luminaire', 50, 50)
        .switchAt('next', 'c0', 60, null)
        .with((house) => {
          const [, , light, control] = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
          house.switchGroups['g'] = { id: 'g', name: 'Hall', switches: [control!], controls: [light!] };
        }),
    ],
  ],
  fails: [
    [
      '2023: an accessory building with a receptacle and no light',
      room('accessory-building').receptacle('r', 'c1', 30),
      'r has no lighting outlet.',
    ],
    ['a bedroom with nothing', room('bedroom'), 'r has no lighting outlet, and no switched receptacle in its place.'],
    [
      'a bathroom with a switched receptacle only',
      room('bathroom').receptacle('r', 'c1', 30, { switched: 'whole' }).switchAt('r', 'c0', 8, null),
      'r has no lighting outlet.',
    ],
    [
      'a light and a switch that nobody has said to belong together',
      room('kitchen').ceiling('r', 'luminaire', null).switchAt('r', 'c0', 8, null),
      'No wall switch governs the light of r.',
    ],
    [
      'a light without a switch',
      room('kitchen').ceiling('r', 'luminaire', null),
      'No wall switch governs the light of r.',
    ],
    ['a ceiling fan without a light', room('den').ceiling('r', 'fan', null).switchAt('r', 'c0', 8, null)],
  ],
  notApplicable: [
    ['a closet needs no light', room('closet')],
    ['a detached garage without a box', room('garage')],
    ['an accessory building without power', room('accessory-building')],
    ['nor a pantry', room('pantry')],
  ],
});

testRule(lightingStorageSpaces, {
  passes: [
    ['an attic with a light and a switch', room('attic').lit('r'), 'r has its lighting outlet, with a wall switch.'],
    [
      'a crawl space with a pull chain at its hatch',
      room('crawl-space').ceiling('r', 'luminaire', null, { ownSwitch: true }),
      'r has a lighting outlet with a switch of its own at the way in.',
    ],
    ['2014: a basement with a light', room('basement-unfinished', '2014').lit('r')],
  ],
  fails: [
    [
      'an attic with an air handler',
      room('attic').feature('r', 'air-handler', ['c0', 10, 30, 30]),
      'r holds equipment and has no lighting outlet.',
    ],
    ['a utility room', room('utility'), 'r is a utility or storage space and has no lighting outlet.'],
  ],
  cannotTell: [
    [
      'a light, and nobody has said how it is switched',
      room('crawl-space').ceiling('r', 'luminaire', null),
      'How the light of r is switched is not drawn. It needs a switch at the usual way in, or one in the luminaire within reach of it.',
    ],
    [
      'an attic of unknown use',
      room('attic'),
      'Whether r is used for storage, or holds equipment to be serviced, is not drawn. If so, it needs a lighting outlet controlled at its way in.',
    ],
  ],
});

/** A living room with a door onto a porch to its south. */
const entry = () =>
  aHouse()
    .room('liv', 'living', [0, 0, 144, 120])
    .room('porch', 'porch', [0, 126, 144, 60])
    .opening('liv', 'c2', 'door', 50, 36);
testRule(lightingExteriorDoor, {
  passes: [
    [
      'a porch light, switched inside',
      entry().ceiling('porch', 'luminaire', null).switchAt('liv', 'c2', 40, null).governed('porch', 'liv'),
      'porch is lit outside the door of liv.',
    ],
    [
      'the door of a shed asks for none',
      entry()
        .ceiling('porch', 'luminaire', null)
        .switchAt('liv', 'c2', 40, null)
        .governed('porch', 'liv')
        .room('shed', 'accessory-building', [400, 0, 90, 90])
        .opening('shed', 'c2', 'door', 20, 36),
    ],
  ],
  fails: [
    ['no porch light', entry(), 'porch, outside the door of liv, has no lighting outlet.'],
    [
      'a switch inside that nobody has said to govern it',
      entry().ceiling('porch', 'luminaire', null).switchAt('liv', 'c2', 40, null),
    ],
    [
      'no switch anywhere near',
      entry().ceiling('porch', 'luminaire', null),
      'No wall switch governs the light of porch.',
    ],
  ],
  cannotTell: [
    [
      'a door to nothing that is drawn',
      aHouse().room('liv', 'living', [0, 0, 144, 120]).opening('liv', 'c2', 'door', 50, 36),
      'What lies outside the door of liv is not drawn, so its outdoor light cannot be checked. Draw a porch, a deck or a strip of yard there.',
    ],
  ],
  notApplicable: [['only a yard', room('outdoors')]],
});

const stair = (risers?: number) => room('stair').feature('r', 'stair', ['c1', 0, 100, 40], risers ? { risers } : {});
testRule(stairSwitches, {
  passes: [
    ['fourteen risers and a switch', stair(14).lit('r'), 'The stair can be lit in r.'],
    ['five risers need none', stair(5), 'The stair in r has 5 risers: no switch is required at each end.'],
  ],
  fails: [
    [
      'six risers and no switch',
      stair(6).ceiling('r', 'luminaire', null),
      'No wall switch at the stair in r governs its light.',
    ],
    ['an idle switch', stair(14).ceiling('r', 'luminaire', null).switchAt('r', 'c0', 8, null)],
    [
      'a switch of the porch light beside a stair light that is switched elsewhere',
      stair(14)
        .ceiling('r', 'luminaire', null)
        .room('porch', 'porch', [0, -90, 90, 80])
        .over('porch', 'luminaire', 40, -50)
        .switchAt('r', 'c0', 8, null)
        .with((house) => {
          const [, porch, control] = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
          house.switchGroups['g'] = { id: 'g', name: 'Porch light', switches: [control!], controls: [porch!] };
        }),
    ],
    [
      'a fan\u2019s switch',
      stair(14)
        .ceiling('r', 'luminaire', null)
        .ceiling('r', 'fan', null)
        .switchAt('r', 'c0', 8, null)
        .with((house) => {
          const [, fan, control] = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
          house.switchGroups['g'] = { id: 'g', name: 'Fan', switches: [control!], controls: [fan!] };
        }),
    ],
  ],
  cannotTell: [
    ['risers not said', stair(), 'How many risers the stair in r has is not said. Enter its risers between floors.'],
  ],
});

/** A foyer with a stair out of it, a stair and a hall above, a switch in foyer and hall, and one group of both. */
const twoFloors = (upper: RoomKind, isStairAbove: boolean) =>
  aHouse()
    .room('foyer', 'foyer', [0, 0, 144, 120])
    .room('stair', 'stair', [150, 0, 40, 120])
    .opening('foyer', 'c1', 'cased', 20, 36)
    .with((house) => (house.levels['L2'] = { ...house.levels['L1']!, id: 'L2', name: 'Upper floor' }))
    .room('up', isStairAbove ? 'stair' : 'closet', [150, 0, 40, 120], { level: 'L2' })
    .room('hall', upper, [0, 0, 144, 120], { level: 'L2' })
    .opening('hall', 'c1', 'cased', 20, 36)
    .switchAt('foyer', 'c0', 20, null)
    .switchAt('hall', 'c0', 20, null)
    .with((house) => {
      const switches = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
      house.switchGroups['g'] = { id: 'g', name: 'Stair light', switches, controls: [] };
    });
testRule(groupAcrossFloors, {
  passes: [
    ['over the stair', twoFloors('hallway', true), 'One gets from switch to switch of Stair light over the stair.'],
  ],
  fails: [
    [
      'a closet where the stair should be',
      twoFloors('hallway', false),
      'The switches of Stair light stand in foyer and in hall, on different floors, and no way on the plan leads from one to the other: nobody goes from switch to switch, and how far the travelers run is a guess. Draw the stair on both floors, or take one of the switches out of the group.',
    ],
  ],
  notApplicable: [
    ['an attic is reached over its hatch', twoFloors('attic', false)],
    ['all on one floor', twoFloors('hallway', true).with((house) => house.switchGroups['g']!.switches.pop())],
  ],
});

testRule(switchNearEntrance, {
  passes: [
    [
      'beside the door',
      bedroom().ceiling('bed', 'luminaire', null).switchAt('bed', 'c2', 50, null).governed('bed'),
      'The switch of bed stands near a way in.',
    ],
  ],
  fails: [
    ['across the room', bedroom().ceiling('bed', 'luminaire', null).switchAt('bed', 'c0', 20, null).governed('bed')],
  ],
  notApplicable: [
    ['2017 did not ask', bedroom('2017').ceiling('bed', 'luminaire', null).switchAt('bed', 'c0', 20, null)],
  ],
});

testRule(switchHeight, {
  passes: [
    ['at the limit of 6 ft 7 in', room('den').switchAt('r', 'c0', 20, null, 79), 'The switches of r can be reached.'],
  ],
  fails: [['an inch above it', room('den').switchAt('r', 'c0', 20, null, 80), 'Switch R1-1 stands at 6\'-8".']],
});

/** A bedroom whose door opens to a hall. */
const sleeping = () => bedroom().room('hall', 'hallway', [0, 124.5, 144, 42]);
const smoke = { senses: 'smoke' };
const both = { senses: 'smoke-co' };
testRule(smokeAlarms, {
  passes: [
    [
      'in the bedroom and in the hall outside',
      sleeping().ceiling('bed', 'alarm', null, smoke).ceiling('hall', 'alarm', null, smoke),
      'A smoke alarm stands in bed.',
    ],
    ['one on a storey without bedrooms', room('living').ceiling('r', 'alarm', null, smoke)],
    [
      'a storey that has only a garage needs none',
      room('living')
        .ceiling('r', 'alarm', null, smoke)
        .with((house) => (house.levels['L0'] = { ...house.levels['L1']!, id: 'L0', name: 'Below', elevationIn: -108 }))
        .room('gar', 'garage', [0, 0, 240, 240], { level: 'L0', bays: 2 }),
    ],
  ],
  fails: [
    ['none in the bedroom', sleeping().ceiling('hall', 'alarm', null, smoke), 'bed has no smoke alarm.'],
    ['none outside it', sleeping().ceiling('bed', 'alarm', null, smoke), 'No smoke alarm outside bed, in hall.'],
    ['none on the storey', room('living'), 'No smoke alarm on the storey Ground floor.'],
    ['one that senses carbon monoxide alone', room('living').ceiling('r', 'alarm', null, { senses: 'co' })],
  ],
  cannotTell: [
    [
      'a bedroom without a door',
      room('bedroom').ceiling('r', 'alarm', null, smoke),
      'r has no door drawn, so the place outside it is not known. Draw its door.',
    ],
  ],
});

testRule(coAlarms, {
  passes: [
    [
      'a combined alarm in the hall, for a gas furnace',
      sleeping().feature('hall', 'furnace', ['c0', 60, 20, 20], { fuel: true }).ceiling('hall', 'alarm', null, both),
      'A carbon monoxide alarm stands outside bed.',
    ],
    [
      'a gas fireplace in the bedroom: one inside and one outside',
      sleeping()
        .feature('bed', 'fireplace', ['c0', 30, 40, 20])
        .ceiling('bed', 'alarm', null, both)
        .ceiling('hall', 'alarm', null, both),
      'A carbon monoxide alarm stands in bed.',
    ],
  ],
  fails: [
    [
      'a fireplace and no alarm',
      sleeping().feature('hall', 'fireplace', ['c0', 60, 40, 20]),
      'No carbon monoxide alarm outside bed; it is due because of the fireplace.',
    ],
    [
      'a gas heater in the bathroom that opens to the bedroom',
      sleeping()
        .room('bath', 'bathroom', [148.5, 0, 96, 60])
        .opening('bed', 'c1', 'door', 10, 28)
        .feature('bath', 'water-heater', ['c0', 10, 20, 20], { fuel: true, name: 'gas heater' })
        .ceiling('hall', 'alarm', null, both),
      'No carbon monoxide alarm in bed; it is due there because of the gas heater in it or in its bathroom.',
    ],
    [
      'a garage with a door into the hall',
      sleeping().room('gar', 'garage', [148.5, 124.5, 200, 200]).opening('gar', 'c3', 'door', 160, 32),
      'No carbon monoxide alarm outside bed; it is due because of the door from gar.',
    ],
  ],
  cannotTell: [
    [
      'nobody knows what lies outside',
      room('bedroom').feature('r', 'fireplace', ['c0', 60, 40, 20]).ceiling('r', 'alarm', null, both),
      'r has no door drawn, so the place outside it is not known. Draw its door.',
    ],
  ],
  notApplicable: [['all electric and no garage', sleeping()]],
});

/** A hall with a bathroom door at its west end. */
const hallByBath = () =>
  aHouse()
    .room('hall', 'hallway', [0, 0, 240, 48])
    .room('bath', 'bathroom', [-100, 0, 95.5, 48])
    .opening('hall', 'c3', 'door', 8, 30);
testRule(alarmClearance, {
  passes: [
    [
      '4 ft from a bathroom door',
      hallByBath().over('hall', 'alarm', 48, 24),
      'Alarm R1-1 is clear of bathroom doors and cooking.',
    ],
  ],
  fails: [
    [
      '2 ft from a bathroom door',
      hallByBath().over('hall', 'alarm', 24, 24),
      'Alarm R1-1 is 2\'-0" from a bathroom door.',
    ],
    [
      '5 ft from a range',
      room('kitchen').feature('r', 'range', ['c0', 0, 30, 26]).over('r', 'alarm', 90, 20),
      'Alarm R1-1 is 5\'-0" from a range or cooktop.',
    ],
  ],
});
