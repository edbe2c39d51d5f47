import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { alarmClearance } from './alarm-clearance';
import { room } from '../../test/lights-and-alarms-cases';

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
