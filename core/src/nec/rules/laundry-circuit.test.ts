import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { laundryCircuit } from './laundry-circuit';

const laundry = () =>
  aHouse()
    .room('laundry', 'laundry', [0, 0, 120, 100])
    .room('hall', 'hallway', [130, 0, 40, 100])
    .circuit('L', 20)
    .circuit('G', 15);

testRule(laundryCircuit, {
  passes: [
    [
      'two laundry receptacles alone on 20 A',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'L' }).receptacle('laundry', 'c0', 80, { circuit: 'L' }),
      'L feeds the laundry receptacles alone.',
    ],
    [
      'a washer in a hall closet on 20 A of its own',
      laundry()
        .room('cl', 'closet', [200, 0, 60, 36])
        .feature('cl', 'washer', ['c0', 0, 28, 28])
        .load('washer', 'cl', 'c0', 30, 'L'),
    ],
  ],
  fails: [
    [
      'a 15 A circuit',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'G' }),
      'No 20 A circuit feeds the laundry receptacles.',
    ],
    [
      'the hall rides along',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'L' }).receptacle('hall', 'c1', 30, { circuit: 'L' }),
      'L feeds the laundry and also receptacle R2-1 in hall.',
    ],
    [
      'a washer in the basement on 15 A',
      aHouse()
        .room('b', 'basement-unfinished', [0, 0, 200, 200])
        .feature('b', 'washer', ['c0', 0, 28, 28])
        .circuit('G', 15)
        .load('washer', 'b', 'c0', 30, 'G'),
    ],
    [
      'so does a light',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'L' }).ceiling('laundry', 'luminaire', 'L'),
    ],
  ],
  cannotTell: [
    [
      'a house without a laundry',
      aHouse().room('kit', 'kitchen', [0, 0, 100, 100]),
      'No laundry area is drawn. Most one-family houses need one with a 20 A circuit: draw it, or ask the authority.',
    ],
    [
      'not on a circuit yet',
      laundry().receptacle('laundry', 'c0', 30),
      'The laundry has no receptacle on a circuit yet.',
    ],
  ],
});
