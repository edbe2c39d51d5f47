import { testRule } from '../../test/rule-tester';
import { circuitVoltage } from './circuit-voltage';
import { den } from '../../test/circuits-cases';

/** A heater of 240 V and its control, or a light that the control governs, all on one circuit of two poles. */
function governed(style: string, isOfLight = false) {
  const house = den()
    .circuit('A', 20, { poles: 2 })
    .load('baseboard-heat', 'den', 'c0', 30, 'A')
    .wallBox('den', 'c1', 30, { kind: 'switch', style, circuit: 'A' });
  const lit = isOfLight ? house.ceiling('den', 'luminaire', 'A') : house;
  return lit.with((draft) => {
    const devices = Object.values(draft.boxes).flatMap((box) => Object.values(box.devices));
    const idOf = (kind: string) => devices.find((one) => one.kind === kind)!.id;
    const controls = [idOf(isOfLight ? 'luminaire' : 'connection')];
    draft.switchGroups['g'] = { id: 'g', name: 'Group', switches: [idOf('switch')], controls };
  });
}

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
    ['a heater at 240 V by its thermostat', governed('line-thermostat-2')],
    ['a heater at 240 V by a countdown timer', governed('timer')],
    [
      'a plugged heater of 1,441 VA at 240 V',
      den().circuit('A', 20, { poles: 2 }).load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 1441, ratingA: 20 }),
    ],
  ],
  fails: [
    ['a heater at 240 V by an occupancy sensor', governed('occupancy')],
    [
      'a switch for a light at 120 V on the circuit of the heater',
      governed('toggle', true),
      'A is a 240 V circuit and feeds switch R1-2 in den, luminaire R1-3 in den, made for 120 V.',
    ],
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
