import { testRule } from '../../test/rule-tester';
import { circuitVoltage } from './circuit-voltage';
import { den } from '../../test/circuits-cases';

testRule(circuitVoltage, {
  passes: [
    [
      'a range on two poles',
      den().circuit('A', 40, { poles: 2 }).load('range', 'den', 'c0', 30, 'A'),
      'Everything on A is made for 240 V.',
    ],
    [
      'a plugged saw of 1 hp at 240 V',
      den()
        .circuit('A', 20, { poles: 2 })
        .load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 1400, motor: true, hp: 1, ratingA: 20 }),
    ],
    [
      'a hard-wired heater of 1,000 VA at 240 V',
      den().circuit('A', 20, { poles: 2 }).load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 1000, cord: false }),
    ],
    [
      'a plugged heater of 1,441 VA at 240 V',
      den().circuit('A', 20, { poles: 2 }).load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 1441, ratingA: 20 }),
    ],
  ],
  fails: [
    [
      'a motor under 1/4 hp at 240 V',
      den()
        .circuit('A', 20, { poles: 2 })
        .load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 300, motor: true, hp: 0.2, ratingA: 20 }),
    ],
    [
      'a range on one pole',
      den().circuit('A', 40).load('range', 'den', 'c0', 30, 'A'),
      'A is a 120 V circuit and feeds Range (R1-1), made for 240 V.',
    ],
    ['a luminaire on 240 V', den().circuit('A', 20, { poles: 2 }).ceiling('den', 'luminaire', 'A')],
    [
      '1,440 VA by a cord at 240 V: 210.6(A)',
      den().circuit('A', 20, { poles: 2 }).load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 1440, ratingA: 20 }),
      'A feeds Other load (R1-1) by a cord at 240 V: in a dwelling, plugged equipment up to 1,440 VA is for 120 V.',
    ],
  ],
});
