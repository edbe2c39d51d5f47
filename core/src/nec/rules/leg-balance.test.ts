import { testRule } from '../../test/rule-tester';
import { legBalance } from './leg-balance';
import { house, at } from '../../test/panel-cases';

testRule(legBalance, {
  passes: [
    [
      'a two-pole load is even by itself',
      house().circuit('A', 50, at(1, 2)).load('kiln', 'garage', 'c0', 30, 'A'),
      'P: the legs are 0 % apart.',
    ],
  ],
  fails: [
    [
      'everything on one leg',
      house().circuit('A', 20, at(1)).load('portable-heater', 'garage', 'c0', 30, 'A'),
      'P: leg A 1500 VA, leg B 0 VA, 100 % apart.',
    ],
  ],
});
