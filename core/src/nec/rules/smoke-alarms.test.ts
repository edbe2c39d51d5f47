import { testRule } from '../../test/rule-tester';
import { smokeAlarms } from './smoke-alarms';
import { room, sleeping } from '../../test/lights-and-alarms-cases';

const smoke = { senses: 'smoke' };

testRule(smokeAlarms, {
  passes: [
    [
      'in the bedroom and in the hall outside',
      sleeping().ceiling('bed', 'alarm', null, smoke).ceiling('hall', 'alarm', null, smoke),
      'A smoke alarm stands in bed.',
    ],
    ['one on a story without bedrooms', room('living').ceiling('r', 'alarm', null, smoke)],
    [
      'a story that has only a garage needs none',
      room('living')
        .ceiling('r', 'alarm', null, smoke)
        .with((house) => (house.levels['L0'] = { ...house.levels['L1']!, id: 'L0', name: 'Below', elevationIn: -108 }))
        .room('gar', 'garage', [0, 0, 240, 240], { level: 'L0', bays: 2 }),
    ],
    [
      'a bedroom reached through a dressing room: the hall before that is the place outside',
      sleeping()
        .ceiling('bed', 'alarm', null, smoke)
        .ceiling('hall', 'alarm', null, smoke)
        .room('dress', 'walk-in-closet', [148.5, 124.5, 60, 42])
        .opening('hall', 'c1', 'door', 6, 30)
        .room('bed2', 'bedroom', [213, 124.5, 120, 120])
        .opening('dress', 'c1', 'door', 6, 30)
        .ceiling('bed2', 'alarm', null, smoke),
    ],
  ],
  fails: [
    ['none in the bedroom', sleeping().ceiling('hall', 'alarm', null, smoke), 'bed has no smoke alarm.'],
    ['none outside it', sleeping().ceiling('bed', 'alarm', null, smoke), 'No smoke alarm outside bed, in hall.'],
    [
      'a bedroom reached through a dressing room, and none in the hall before that',
      sleeping()
        .ceiling('bed', 'alarm', null, smoke)
        .room('dress', 'walk-in-closet', [148.5, 124.5, 60, 42])
        .opening('hall', 'c1', 'door', 6, 30)
        .room('bed2', 'bedroom', [213, 124.5, 120, 120])
        .opening('dress', 'c1', 'door', 6, 30)
        .ceiling('bed2', 'alarm', null, smoke),
      'No smoke alarm outside bed, in hall.',
      'No smoke alarm outside bed2, in hall.',
    ],
    ['none on the story', room('living'), 'No smoke alarm on the story Main level.'],
    ['one that senses carbon monoxide alone', room('living').ceiling('r', 'alarm', null, { senses: 'co' })],
  ],
  cannotTell: [
    [
      'a bedroom without a door',
      room('bedroom').ceiling('r', 'alarm', null, smoke),
      'No door of r is drawn to a hall or another room, so the place outside it is not known. Draw its door.',
    ],
  ],
});
