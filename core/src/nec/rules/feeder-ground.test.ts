import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { feederGround } from './feeder-ground';

testRule(feederGround, {
  passes: [
    ['No. 10 copper behind 60 A', withShop(), 'The equipment grounding conductor of the feeder of Q is large enough.'],
    ['metal tubing by itself, 250.118', withShop({ raceway: { kind: 'emt', trade: '1' }, ground: 'raceway' })],
    [
      'No. 6 where No. 6 became No. 3 over a long way',
      withShop({ conductor: { size: '3', metal: 'copper' }, ground: '6' }),
    ],
  ],
  fails: [
    [
      'three wires, the neutral bonded in the shop',
      withShop({ ground: 'none' }),
      'No equipment grounding conductor goes with the feeder of Q: four wires, or three and a metal raceway. Three wires with the neutral bonded in it hold for what stood before only.',
    ],
    [
      'a plastic raceway',
      withShop({ ground: 'raceway' }),
      'The feeder of Q has no metal raceway that could be its equipment grounding conductor.',
    ],
    [
      'a metal raceway that is said of a cable, which lies in none',
      withShop({ wiring: 'underground', raceway: { kind: 'emt', trade: '1' }, ground: 'raceway' }),
    ],
    ['a raceway whose kind nobody has said', withShop({ raceway: undefined, ground: 'raceway' })],
    [
      'No. 12 behind 60 A',
      withShop({ ground: '12' }),
      'The equipment grounding conductor of the feeder of Q is No. 12; No. 10 is the least.',
    ],
    // The least conductors are No. 6, 26,240 circular mils; No. 2 has 66,360: No. 10, 10,380, becomes 26,250, hence No. 6.
    [
      'No. 10 where the conductors were made larger, 250.122(B)',
      withShop({ conductor: { size: '2', metal: 'copper' } }),
      'The equipment grounding conductor of the feeder of Q is No. 10; No. 4 is the least.',
    ],
  ],
  notApplicable: [['no feeder', served()]],
});
