import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { racewayFill } from './raceway-fill';

testRule(racewayFill, {
  passes: [
    // 3 x 0.0507 + 0.0211 = 0.1732 of 0.333 sq in.
    [
      'three No. 6 and a No. 10 in 1 in PVC',
      withShop(),
      'The conductors of the feeder of Q fill 21 % of their raceway.',
    ],
    ['the same in 3/4 in EMT, which grounds', withShop({ raceway: { kind: 'emt', trade: '3/4' }, ground: 'raceway' })],
  ],
  fails: [
    [
      'the same in 1/2 in PVC',
      withShop({ raceway: { kind: 'pvc-40', trade: '1/2' } }),
      'The conductors of the feeder of Q fill 61 % of their raceway of 1/2 in; 40 % is the most.',
    ],
    ['3/4 in of schedule 80, whose walls are thicker', withShop({ raceway: { kind: 'pvc-80', trade: '3/4' } })],
    [
      'three No. 2 in 1 in rigid',
      withShop({ raceway: { kind: 'rigid', trade: '1' }, conductor: { size: '2', metal: 'copper' }, ground: '6' }),
    ],
  ],
  notApplicable: [
    ['a cable', withShop({ wiring: 'service-entrance', raceway: undefined })],
    ['no feeder', served()],
  ],
});
