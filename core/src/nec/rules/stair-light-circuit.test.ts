import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { stairLightCircuit } from './stair-light-circuit';
import { den } from '../../test/circuits-cases';

const stair = (withWhat: 'outdoors' | 'hallway') =>
  aHouse()
    .room('st', 'stair', [0, 0, 40, 120])
    .room('other', withWhat, [60, 0, 120, 120], withWhat === 'outdoors' ? { side: 'back' } : {})
    .circuit('A', 15)
    .ceiling('st', 'luminaire', 'A')
    .receptacle('other', 'c0', 40, { circuit: 'A' });

testRule(stairLightCircuit, {
  passes: [
    ['with a hall receptacle', stair('hallway'), 'The light of st does not hang on outdoor or garage receptacles.'],
  ],
  fails: [
    [
      'with an outdoor receptacle',
      stair('outdoors'),
      'All the light of st is on A, which also feeds receptacles outdoors or in the garage.',
    ],
  ],
  notApplicable: [['no stair', den()]],
});
