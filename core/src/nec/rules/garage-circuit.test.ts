import { aHouse } from '../../test/house-builder';
import type { Edition } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { garageCircuit } from './garage-circuit';

const garage = (edition: Edition, bays: number) =>
  aHouse(edition)
    .room('garage', 'garage', [0, 0, 240, 240], { bays })
    .room('porch', 'porch', [0, 250, 100, 60])
    .room('liv', 'living', [250, 0, 100, 100])
    .circuit('G', 20)
    .circuit('X', 15);

testRule(garageCircuit, {
  passes: [
    [
      '2014: a 15 A circuit that stays in the garage, its light included',
      garage('2014', 2).receptacle('garage', 'c0', 30, { circuit: 'X' }).ceiling('garage', 'luminaire', 'X'),
      'X feeds the garage receptacles.',
    ],
    [
      '2017: with a readily accessible outdoor receptacle',
      garage('2017', 2)
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .receptacle('porch', 'c0', 30, { circuit: 'G' }),
      'G feeds the garage receptacles.',
    ],
    [
      '2017: a freezer\u2019s receptacle is one of the garage\u2019s',
      garage('2017', 2).receptacle('garage', 'c0', 30, { circuit: 'G' }).load('freezer', 'garage', 'c1', 30, 'G'),
    ],
    [
      '2020: a single bay may share with its light',
      garage('2020', 1).receptacle('garage', 'c0', 30, { circuit: 'G' }).ceiling('garage', 'luminaire', 'G'),
    ],
    [
      '2023: the door opener never fails',
      garage('2023', 2)
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .load('garage-door-opener', 'garage', 'c1', 30, 'G'),
    ],
  ],
  fails: [
    [
      '2017: with an outdoor receptacle under the eaves, which is not readily accessible',
      garage('2017', 2)
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .receptacle('porch', 'c0', 30, { circuit: 'G', heightIn: 79 }),
      'G feeds the garage receptacles and also receptacle R2-1 in porch, out of reach: only outdoor receptacles that are readily accessible may share it.',
    ],
    [
      '2014: with an outdoor receptacle',
      garage('2014', 2)
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .receptacle('porch', 'c0', 30, { circuit: 'G' }),
    ],
    [
      '2017: a single bay may not share with its light',
      garage('2017', 1).receptacle('garage', 'c0', 30, { circuit: 'G' }).ceiling('garage', 'luminaire', 'G'),
    ],
    [
      '2020: garage and living room on one circuit',
      garage('2020', 2).receptacle('garage', 'c0', 30, { circuit: 'G' }).receptacle('liv', 'c0', 30, { circuit: 'G' }),
      'G feeds the garage receptacles and also receptacle R3-1 in liv.',
    ],
    [
      'a 15 A circuit',
      garage('2023', 2).receptacle('garage', 'c0', 30, { circuit: 'X' }),
      'No 20 A circuit feeds the garage receptacles.',
    ],
  ],
  cannotTell: [
    [
      'not on a circuit yet',
      garage('2023', 2).receptacle('garage', 'c0', 30),
      'The garage receptacles are on no circuit yet.',
    ],
  ],
});
