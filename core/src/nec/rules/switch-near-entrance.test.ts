import { bedroom } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { switchNearEntrance } from './switch-near-entrance';

testRule(switchNearEntrance, {
  passes: [
    [
      'beside the door',
      bedroom().ceiling('bed', 'luminaire', null).switchAt('bed', 'c2', 50, null).governed('bed'),
      'The switch of bed stands near a way in.',
    ],
    [
      'one at the door and one across the room',
      bedroom()
        .ceiling('bed', 'luminaire', null)
        .switchAt('bed', 'c2', 50, null)
        .switchAt('bed', 'c0', 20, null)
        .governed('bed'),
    ],
  ],
  fails: [
    [
      'beside the vehicle door of a room, across from the door for people',
      bedroom()
        .opening('bed', 'c0', 'vehicle', 30, 96)
        .ceiling('bed', 'luminaire', null)
        .switchAt('bed', 'c0', 20, null)
        .governed('bed'),
    ],
    ['across the room', bedroom().ceiling('bed', 'luminaire', null).switchAt('bed', 'c0', 20, null).governed('bed')],
  ],
  notApplicable: [
    ['2017 did not ask', bedroom('2017').ceiling('bed', 'luminaire', null).switchAt('bed', 'c0', 20, null)],
  ],
});
