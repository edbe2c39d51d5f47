import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { bathroomCircuit } from './bathroom-circuit';

const baths = () =>
  aHouse()
    .room('one', 'bathroom', [0, 0, 96, 60])
    .room('two', 'bathroom', [100, 0, 96, 60])
    .room('hall', 'hallway', [0, 70, 96, 40])
    .circuit('B', 20);

testRule(bathroomCircuit, {
  passes: [
    [
      'pattern A: receptacles of two bathrooms and nothing else',
      baths().receptacle('one', 'c0', 20, { circuit: 'B' }).receptacle('two', 'c0', 20, { circuit: 'B' }),
      'B feeds bathroom receptacles alone.',
    ],
    [
      'pattern B: everything of one bathroom',
      baths()
        .receptacle('one', 'c0', 20, { circuit: 'B' })
        .ceiling('one', 'luminaire', 'B')
        .load('exhaust-fan', 'one', 'c1', 20, 'B'),
      'B feeds one and nothing outside it.',
    ],
    [
      'a washer in the bathroom is on the laundry circuit',
      baths().circuit('L', 20).receptacle('one', 'c0', 20, { circuit: 'B' }).load('washer', 'one', 'c2', 20, 'L'),
    ],
    [
      '2023: a bidet seat away from the basin may be on another circuit',
      baths()
        .feature('one', 'basin', ['c0', 10, 20, 18])
        .circuit('X', 15)
        .receptacle('one', 'c0', 36, { circuit: 'B' })
        .load('bidet-seat', 'one', 'c2', 10, 'X'),
    ],
  ],
  fails: [
    [
      '2017: a bidet seat is a bathroom receptacle like any',
      aHouse('2017')
        .room('one', 'bathroom', [0, 0, 96, 60])
        .circuit('X', 15)
        .feature('one', 'basin', ['c0', 10, 20, 18])
        .load('bidet-seat', 'one', 'c2', 10, 'X'),
    ],
    [
      '2017: a receptacle away from the basin is one of the bathroom like any',
      aHouse('2017')
        .room('one', 'bathroom', [0, 0, 96, 60])
        .circuit('X', 15)
        .feature('one', 'basin', ['c0', 10, 20, 18])
        .receptacle('one', 'c2', 10, { circuit: 'X' }),
    ],
    [
      'two bathrooms and one fan',
      baths()
        .receptacle('one', 'c0', 20, { circuit: 'B' })
        .receptacle('two', 'c0', 20, { circuit: 'B' })
        .load('exhaust-fan', 'one', 'c1', 20, 'B'),
      'B feeds bathroom receptacles and also Exhaust fan (R1-2).',
    ],
    [
      'a hall receptacle on the bathroom circuit',
      baths().receptacle('one', 'c0', 20, { circuit: 'B' }).receptacle('hall', 'c0', 20, { circuit: 'B' }),
    ],
    [
      'a 15 A circuit',
      baths().circuit('C', 15).receptacle('one', 'c0', 20, { circuit: 'C' }),
      'receptacle R1-1 in one: on C, a 15 A circuit. A 20 A circuit is required.',
    ],
  ],
  cannotTell: [
    [
      '2023: a receptacle away from the basin, on another circuit',
      baths()
        .feature('one', 'basin', ['c0', 10, 20, 18])
        .circuit('X', 15)
        .receptacle('one', 'c0', 36, { circuit: 'B' })
        .receptacle('one', 'c2', 10, { circuit: 'X' }),
      'receptacle R1-2 in one: on X, away from the basin. This edition names the receptacles at basins and over counters; many inspectors want all of a bathroom on its 20 A circuit: ask, or move it there.',
    ],
    [
      '2023: the same on a 20 A circuit of the hall',
      baths()
        .feature('one', 'basin', ['c0', 10, 20, 18])
        .circuit('X', 20)
        .receptacle('one', 'c0', 36, { circuit: 'B' })
        .receptacle('one', 'c2', 10, { circuit: 'X' })
        .receptacle('hall', 'c0', 20, { circuit: 'X' }),
    ],
    ['not on a circuit yet', baths().receptacle('one', 'c0', 20), '1 bathroom receptacles are on no circuit yet.'],
  ],
});
