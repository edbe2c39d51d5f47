import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { individualCircuit } from './individual-circuit';
import { kitchen, den } from '../../test/circuits-cases';

testRule(individualCircuit, {
  passes: [
    [
      '2020: a cooktop and an oven tapped from 50 A',
      kitchen('2020')
        .circuit('A', 50, { poles: 2 })
        .load('cooktop', 'kit', 'c1', 20, 'A')
        .load('oven', 'kit', 'c1', 80, 'A'),
      'Radiant cooktop is tapped from A with the other cooking equipment of its kitchen.',
    ],
    [
      'a furnace with its condensate pump',
      den().circuit('A', 15).load('furnace', 'den', 'c0', 30, 'A').load('condensate-pump', 'den', 'c1', 30, 'A'),
      'Furnace has A to itself.',
    ],
    [
      '2014: a car charger alone',
      aHouse('2014')
        .room('den', 'den', [0, 0, 200, 200])
        .circuit('A', 40, { poles: 2 })
        .load('ev-charger', 'den', 'c0', 30, 'A'),
    ],
  ],
  fails: [
    [
      'a sump pump is no part of a furnace, whatever it is called',
      den()
        .circuit('A', 15)
        .load('furnace', 'den', 'c0', 30, 'A')
        .load('sump-pump', 'den', 'c1', 30, 'A', { name: 'Condensate pump' }),
    ],
    [
      'a load of no kind and a receptacle',
      den()
        .circuit('A', 15)
        .load('furnace', 'den', 'c0', 30, 'A')
        .load('other', 'den', 'c1', 30, 'A')
        .receptacle('den', 'c1', 60, { circuit: 'A' }),
      'Furnace needs a circuit of its own and shares A with receptacle R1-3 in den.',
    ],
    [
      'two receptacles on the furnace circuit',
      den()
        .circuit('A', 15)
        .load('furnace', 'den', 'c0', 30, 'A')
        .receptacle('den', 'c1', 30, { circuit: 'A' })
        .receptacle('den', 'c1', 60, { circuit: 'A' }),
      'Furnace needs a circuit of its own and shares A with receptacle R1-2 in den and 1 more.',
    ],
    [
      'a convenience receptacle on the furnace circuit',
      den().circuit('A', 15).load('furnace', 'den', 'c0', 30, 'A').receptacle('den', 'c1', 30, { circuit: 'A' }),
      'Furnace needs a circuit of its own and shares A with receptacle R1-2 in den.',
    ],
    [
      'a boiler is central heating as well',
      den()
        .circuit('A', 15)
        .load('boiler', 'den', 'c0', 30, 'A', { individual: false })
        .receptacle('den', 'c1', 30, { circuit: 'A' }),
    ],
    [
      'under-cabinet lights off a cord-connected hood\u2019s circuit',
      den()
        .circuit('A', 20)
        .load('range-hood', 'den', 'c0', 30, 'A', { individual: false })
        .ceiling('den', 'luminaire', 'A', { style: 'strip' }),
    ],
    [
      'a car charger beside the garage receptacles',
      den().circuit('A', 40, { poles: 2 }).load('ev-charger', 'den', 'c0', 30, 'A').load('kiln', 'den', 'c1', 30, 'A'),
    ],
  ],
  cannotTell: [
    [
      'a plugged microwave over the range, beside a light of the same circuit',
      kitchen()
        .feature('kit', 'range', ['c1', 30, 30, 26])
        .circuit('A', 20)
        .load('microwave', 'kit', 'c1', 45, 'A', { individual: false, cord: true, heightIn: 72 })
        .ceiling('kit', 'luminaire', 'A'),
      'Microwave over the range hangs over the range by a cord and shares A with luminaire R1-2 in kit. With a hood built in, its receptacle needs a circuit of its own: read its instructions, or give it one.',
    ],
    [
      'a load of no kind on the circuit of the furnace, whatever its name',
      den()
        .circuit('A', 15)
        .load('furnace', 'den', 'c0', 30, 'A')
        .load('other', 'den', 'c1', 30, 'A', { name: 'Condensate pump' }),
      'Furnace shares A with Condensate pump, of which no kind is said. Only what belongs to it may share: choose its kind of load.',
    ],
  ],
  notApplicable: [
    [
      'a hard-wired hood without such instructions',
      den().circuit('A', 15).load('range-hood', 'den', 'c0', 30, 'A', { cord: false, individual: false }),
    ],
  ],
});
