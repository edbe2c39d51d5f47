import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { lightingExteriorDoor } from './lighting-exterior-door';
import { room } from '../../test/lights-and-alarms-cases';

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
