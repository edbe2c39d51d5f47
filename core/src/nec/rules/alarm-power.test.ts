import { room } from '../../test/boxes-in-place-cases';
import { testRule } from '../../test/rule-tester';
import { alarmPower } from './alarm-power';

/** An alarm on its battery, in a house where the receptacle beside it was there before, or is new. */
const alarm = (state?: 'existing') =>
  room('bedroom')
    .ceiling('r', 'alarm', null, { battery: true, wireless: true })
    .wallBox('r', 'c0', 30, { kind: 'receptacle' }, state ? { state } : {});

testRule(alarmPower, {
  passes: [
    [
      'a room that stays closed',
      alarm('existing').with((house) => void (house.rooms['r']!.closed = true)),
      'The alarm in r is on a battery alone: a dwelling that is altered may have such ones where nothing is opened.',
    ],
    [
      'a cabin without a utility',
      alarm().with((house) => void (house.supply.kind = 'off-grid')),
      'The alarm in r is on a battery alone: the building has no utility.',
    ],
  ],
  fails: [
    [
      'a new house',
      alarm(),
      'The alarm in r is on a battery alone. In a new dwelling the house feeds it, from a circuit without a switch, with a battery behind it.',
    ],
  ],
  cannotTell: [
    [
      'a room that is opened',
      alarm('existing'),
      'The alarm in r is on a battery alone, in a room that is opened. The IRC lets a dwelling that is altered have such ones; many authorities want the house to feed those where finishes come off. Ask.',
    ],
  ],
  notApplicable: [['an alarm that the house feeds', room('bedroom').circuit('A', 15).ceiling('r', 'alarm', 'A')]],
});
