import { testRule } from '../../test/rule-tester';
import { alarmInterconnection } from './alarm-interconnection';
import { room } from '../../test/boxes-in-place-cases';

const alarmed = (first: string | null, second: string | null, radio = false) =>
  room('bedroom')
    .circuit('A', 15)
    .circuit('B', 15)
    .ceiling('r', 'alarm', first, radio ? { wireless: true } : {})
    .ceiling('r', 'alarm', second, radio ? { wireless: true } : {});

const onBattery = (device: object, other: object = {}) =>
  room('bedroom')
    .circuit('A', 15)
    .ceiling('r', 'alarm', null, { ...device })
    .ceiling('r', 'alarm', 'A', { ...other });

testRule(alarmInterconnection, {
  passes: [
    ['both on one circuit', alarmed('A', 'A'), 'All 2 wired alarms are on A.'],
    ['all by radio, one on its battery', onBattery({ battery: true, wireless: true }, { wireless: true })],
    [
      'one on its battery, in a room that stays closed',
      onBattery({ battery: true }).with((house) => void (house.rooms['r']!.closed = true)),
      'The alarm in r, which stays closed, may sound alone on its battery, unless an attic, crawl space or basement lets a cable through.',
    ],
    ['on two circuits, joined by radio', alarmed('A', 'B', true), 'The alarms signal each other by radio.'],
  ],
  fails: [
    [
      'one by radio, one by wire',
      room('bedroom').circuit('A', 15).ceiling('r', 'alarm', 'A', { wireless: true }).ceiling('r', 'alarm', 'A'),
      '1 alarm does not signal by radio and 1 does: neither sets off the others, unless one of them is listed to do both.',
    ],
    [
      'one on its battery, in a room that is opened',
      onBattery({ battery: true }),
      'The alarm in r is on its battery and on no radio: it sounds alone. All have to sound together where walls or ceilings are opened, or an attic, crawl space or basement lets a cable through (R314.4).',
    ],
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
