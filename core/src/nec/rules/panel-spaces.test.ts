import { testRule } from '../../test/rule-tester';
import { panelSpaces } from './panel-spaces';
import { house, at } from '../../test/panel-cases';
import { withShop } from '../../test/supply-cases';

testRule(panelSpaces, {
  passes: [
    [
      'a two-pole at 1 and 3, a one-pole at 2',
      house().circuit('A', 30, at(1, 2)).circuit('B', 20, at(2)),
      'P holds its circuits; 5 spaces are free.',
    ],
    ['a two-pole in the last two spaces', house().circuit('A', 30, at(6, 2))],
    ['a one-pole in the last space', house().circuit('A', 20, at(8))],
  ],
  fails: [
    ['one space past the last', house().circuit('A', 20, at(9)), 'A needs space 9; P has 8.'],
    [
      'the second pole meets another breaker',
      house().circuit('A', 30, at(1, 2)).circuit('B', 20, at(3)),
      'Space 3 of P is taken twice: A and B.',
    ],
    [
      'a feeder on the spaces of a circuit',
      withShop({ space: 1 }).circuit('A', 20, { panel: 'P', space: 3 }),
      'Space 3 of P is taken twice: A and the feeder of Q.',
    ],
    ['a feeder that nobody has placed', withShop({ space: null }), 'P has no space for the feeder of Q yet.'],
    ['a two-pole at the last row', house().circuit('A', 30, at(7, 2)), 'A needs space 9; P has 8.'],
  ],
});
