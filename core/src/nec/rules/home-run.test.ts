import { testRule } from '../../test/rule-tester';
import { chainOf, wiringBuilder } from '../../test/wiring-house';
import { homeRun } from './home-run';

testRule(homeRun, {
  passes: [['one cable from the panel', wiringBuilder(chainOf(3)), 'Q has one home run.']],
  fails: [
    [
      'two receptacles, each from the panel',
      wiringBuilder({ boxes: { A: [null, 'receptacle'], B: [null, 'receptacle'], C: ['B', 'receptacle'] } }),
      '2 cables of Q start at the panel, and its breaker takes one conductor unless it is marked for more. Feed the others from a box, or splice them to one in the panel where there is room (312.8).',
    ],
  ],
});
