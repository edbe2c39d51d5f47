import { testRule } from '../../test/rule-tester';
import { outletOnCircuit } from './outlet-on-circuit';
import { den } from '../../test/circuits-cases';

testRule(outletOnCircuit, {
  passes: [
    ['all are', den().circuit('A', 15).receptacle('den', 'c0', 20, { circuit: 'A' }), 'All 1 outlets are on circuits.'],
  ],
  fails: [
    [
      'two are not',
      den().receptacle('den', 'c0', 20).ceiling('den', 'luminaire', null),
      '2 outlets of den are on no circuit.',
    ],
  ],
  cannotTell: [
    [
      'one that stood there before',
      den()
        .receptacle('den', 'c0', 20)
        .with(({ boxes }) => void (Object.values(boxes)[0]!.state = 'existing')),
      '1 outlet of den that stood there before is on no circuit here. Find the breaker that feeds it, and put it on that circuit.',
    ],
  ],
});
