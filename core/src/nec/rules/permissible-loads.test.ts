import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { permissibleLoads } from './permissible-loads';
import { kitchen, den } from '../../test/circuits-cases';

testRule(permissibleLoads, {
  passes: [
    [
      'two baseboards on 25 A',
      den()
        .circuit('A', 25, { poles: 2 })
        .load('baseboard-heat', 'den', 'c0', 30, 'A')
        .load('baseboard-heat', 'den', 'c1', 30, 'A'),
      'What A feeds may be on 25 A.',
    ],
    [
      '2020: a cooktop and an oven on 50 A',
      kitchen('2020')
        .circuit('A', 50, { poles: 2 })
        .load('cooktop', 'kit', 'c1', 20, 'A')
        .load('oven', 'kit', 'c1', 80, 'A'),
    ],
    ['one heat pump on 25 A by itself', den().circuit('A', 25, { poles: 2 }).load('mini-split', 'den', 'c0', 30, 'A')],
    ['2023: lights on 10 A', den().circuit('A', 10).ceiling('den', 'luminaire', 'A').ceiling('den', 'luminaire', 'A')],
    ['2023: a gas fireplace by itself on 10 A', den().circuit('A', 10).load('gas-fireplace', 'den', 'c0', 30, 'A')],
    [
      '2023: the fan of a bath on the 10 A circuit of its light',
      aHouse()
        .room('bath', 'bathroom', [0, 0, 96, 60])
        .circuit('A', 10)
        .ceiling('bath', 'luminaire', 'A')
        .load('exhaust-fan', 'bath', 'c0', 30, 'A'),
    ],
  ],
  fails: [
    [
      '2014: a light on 30 A',
      aHouse('2014').room('den', 'den', [0, 0, 200, 200]).circuit('A', 30).ceiling('den', 'luminaire', 'A'),
      'A is a 30 A circuit and feeds luminaire R1-1 in den: in a dwelling, lights are on 15 or 20 A.',
    ],
    [
      'a kiln and a dryer on 50 A',
      den().circuit('A', 50, { poles: 2 }).load('kiln', 'den', 'c0', 30, 'A').load('dryer', 'den', 'c1', 30, 'A'),
      'A is a 50 A circuit of several outlets and feeds Kiln (R1-1), Clothes dryer (R1-2): those are for cooking equipment fastened in place.',
    ],
    [
      'two wells on 35 A',
      den()
        .circuit('A', 35, { poles: 2 })
        .load('well-pump', 'den', 'c0', 30, 'A')
        .load('well-pump', 'den', 'c1', 30, 'A'),
      'A has 2 outlets; a circuit of several outlets has 15, 20, 30, 40 or 50 A, not 35 A.',
    ],
    [
      '2023: a receptacle on 10 A',
      den().circuit('A', 10).receptacle('den', 'c0', 20, { circuit: 'A' }),
      'A is a 10 A circuit and feeds receptacle R1-1 in den.',
    ],
    [
      '2023: a gas fireplace beside lights on 10 A, where only one by itself may be',
      den().circuit('A', 10).ceiling('den', 'luminaire', 'A').load('gas-fireplace', 'den', 'c0', 30, 'A'),
      'A is a 10 A circuit and feeds Gas fireplace blower (R1-2).',
    ],
    [
      '2023: an exhaust fan of a room that is neither bath nor laundry on 10 A',
      den().circuit('A', 10).ceiling('den', 'luminaire', 'A').load('exhaust-fan', 'den', 'c0', 30, 'A'),
    ],
    [
      '2017: 10 A is no rating for several lights yet',
      aHouse('2017')
        .room('den', 'den', [0, 0, 200, 200])
        .circuit('A', 10)
        .ceiling('den', 'luminaire', 'A')
        .ceiling('den', 'luminaire', 'A'),
    ],
  ],
  notApplicable: [['15 and 20 A only', den().circuit('A', 15).circuit('B', 20)]],
});
