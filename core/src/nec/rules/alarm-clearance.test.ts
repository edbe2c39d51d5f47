import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { alarmClearance } from './alarm-clearance';

/** A hall with a bathroom door at its west end. */
const hallByBath = () =>
  aHouse()
    .room('hall', 'hallway', [0, 0, 240, 48])
    .room('bath', 'bathroom', [-100, 0, 95.5, 48])
    .opening('hall', 'c3', 'door', 8, 30);

/** A long kitchen with a range 30 in wide in its corner and an alarm so far along. */
const byRange = (x: number, sensor?: string) =>
  aHouse()
    .room('r', 'kitchen', [0, 0, 400, 120])
    .feature('r', 'range', ['c0', 0, 30, 26])
    .over('r', 'alarm', x, 20, sensor ? { sensor } : {});

testRule(alarmClearance, {
  passes: [
    [
      '4 ft from a bathroom door',
      hallByBath().over('hall', 'alarm', 48, 24),
      'Alarm R1-1 is clear of bathroom doors and cooking.',
    ],
    ['6 ft from a range, photoelectric', byRange(102, 'photoelectric')],
    ['6 ft, of the kind that resists cooking nuisance', byRange(102, 'nuisance-resistant')],
    ['10 ft, ionization with silencing', byRange(150, 'ionization-silenced')],
    ['20 ft, of whatever kind', byRange(270)],
  ],
  fails: [
    [
      '2 ft from a bathroom door',
      hallByBath().over('hall', 'alarm', 24, 24),
      'Alarm R1-1 is 2\'-0" from a bathroom door.',
    ],
    [
      '5 ft from a range: too near for any kind',
      byRange(90),
      'Alarm R1-1 (of any kind) is 5\'-0" from a range or cooktop.',
    ],
    ['8 ft, ionization', byRange(126, 'ionization'), 'Alarm R1-1 (ionization) is 8\'-0" from a range or cooktop.'],
    ['9 ft 11 in, ionization with silencing', byRange(149, 'ionization-silenced')],
  ],
  cannotTell: [
    [
      '8 ft, of a kind that nobody has said',
      byRange(126),
      'What do the smoke alarms R1-1 sense by? Nearer than 20 ft to cooking a photoelectric one is right and a plain ionization one is not.',
    ],
  ],
});
