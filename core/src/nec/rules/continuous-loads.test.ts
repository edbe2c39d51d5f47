import { testRule } from '../../test/rule-tester';
import { continuousLoads } from './continuous-loads';
import { den } from '../../test/circuits-cases';

testRule(continuousLoads, {
  passes: [
    [
      'a water heater marked continuous',
      den().circuit('A', 30, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A'),
      'Water heater counts at 125 %.',
    ],
  ],
  fails: [
    [
      'one that is not',
      den().circuit('A', 20, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A', { continuous: false }),
      'Water heater is not marked continuous, so its circuit is sized too small.',
    ],
  ],
});
