import { testRule } from '../../test/rule-tester';
import { coAlarms } from './co-alarms';
import { room, sleeping } from '../../test/lights-and-alarms-cases';

const both = { senses: 'smoke-co' };

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
      'No carbon monoxide alarm outside bed; it is required because of the fireplace.',
    ],
    [
      'a gas heater in the bathroom that opens to the bedroom',
      sleeping()
        .room('bath', 'bathroom', [148.5, 0, 96, 60])
        .opening('bed', 'c1', 'door', 10, 28)
        .feature('bath', 'water-heater', ['c0', 10, 20, 20], { fuel: true, name: 'gas heater' })
        .ceiling('hall', 'alarm', null, both),
      'No carbon monoxide alarm in bed; it is required there because of the gas heater in it or in its bathroom.',
    ],
    [
      'a garage with a door into the hall',
      sleeping().room('gar', 'garage', [148.5, 124.5, 200, 200]).opening('gar', 'c3', 'door', 160, 32),
      'No carbon monoxide alarm outside bed; it is required because of the door from gar.',
    ],
    [
      'a garage with a door into the hall and another onto a deck',
      sleeping()
        .room('gar', 'garage', [148.5, 124.5, 200, 200])
        .opening('gar', 'c3', 'door', 160, 32)
        .room('deck', 'deck', [353, 124.5, 100, 200])
        .opening('gar', 'c1', 'door', 60, 32),
    ],
  ],
  cannotTell: [
    [
      'nobody knows what lies outside',
      room('bedroom').feature('r', 'fireplace', ['c0', 60, 40, 20]).ceiling('r', 'alarm', null, both),
      'No door of r is drawn to a hall or another room, so the place outside it is not known. Draw its door.',
    ],
  ],
  notApplicable: [
    ['a fireplace that is electric', sleeping().feature('hall', 'fireplace', ['c0', 60, 40, 20], { fuel: false })],
    ['all electric and no garage', sleeping()],
    [
      'a garage whose only door leads onto a deck',
      sleeping()
        .room('gar', 'garage', [300, 300, 200, 200])
        .room('deck', 'deck', [504.5, 300, 100, 200])
        .opening('gar', 'c1', 'door', 60, 32),
    ],
  ],
});
