import { testRule } from '../../test/rule-tester';
import { circuitOverload } from './circuit-overload';
import { den } from '../../test/circuits-cases';

testRule(circuitOverload, {
  passes: [
    [
      'three 750 W heaters at 240 V on 20 A: 11.7 A',
      den()
        .circuit('A', 20, { poles: 2 })
        .load('baseboard-heat', 'den', 'c0', 30, 'A', { va: 750 })
        .load('baseboard-heat', 'den', 'c1', 30, 'A', { va: 750 })
        .load('baseboard-heat', 'den', 'c2', 30, 'A', { va: 750 }),
      'A carries 11.7 A of 20 A.',
    ],
    [
      'thirty receptacles bind nothing by the code',
      Array.from({ length: 30 }, (_, i) => i).reduce(
        (house, i) => house.receptacle('den', 'c0', 5 + i * 6, { circuit: 'A' }),
        den().circuit('A', 15),
      ),
      'A carries 0.0 A of 15 A.',
    ],
    [
      'a charger set to 48 A, its rating being no typical value',
      den().circuit('A', 60, { poles: 2, awg: '6' }).load('ev-charger-48', 'den', 'c0', 30, 'A'),
    ],
  ],
  cannotTell: [
    [
      'a typical disposer and dishwasher just over the breaker',
      den()
        .circuit('A', 15)
        .load('dishwasher', 'den', 'c0', 30, 'A', { va: 1300 })
        .load('disposer', 'den', 'c1', 30, 'A', { va: 600 }),
      'A carries about 15.8 A on a 15 A breaker, by typical values. Within 10 % only the nameplates tell.',
    ],
  ],
  fails: [
    [
      'the same by their nameplates',
      den()
        .circuit('A', 15)
        .load('dishwasher', 'den', 'c0', 30, 'A', { va: 1300, source: 'nameplate' })
        .load('disposer', 'den', 'c1', 30, 'A', { va: 600, source: 'nameplate' }),
    ],
    [
      'the same heaters at 120 V',
      den()
        .circuit('A', 20)
        .load('baseboard-heat', 'den', 'c0', 30, 'A', { va: 750, volts: 120 })
        .load('baseboard-heat', 'den', 'c1', 30, 'A', { va: 750, volts: 120 })
        .load('baseboard-heat', 'den', 'c2', 30, 'A', { va: 750, volts: 120 }),
      'A carries 23.4 A of known load on a 20 A breaker.',
    ],
    ['a 4,500 W water heater on 20 A', den().circuit('A', 20, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A')],
  ],
});
