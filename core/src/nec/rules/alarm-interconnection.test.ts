import { testRule } from '../../test/rule-tester';
import { alarmInterconnection } from './alarm-interconnection';
import { room } from '../../test/boxes-in-place-cases';

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
