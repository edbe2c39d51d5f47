import { testRule } from '../../test/rule-tester';
import { panelSpaces } from './panel-spaces';
import { house, at } from '../../test/panel-cases';
import { withShop } from '../../test/supply-cases';

/** A and B on a tandem breaker in space 2, and C in space 3, in a panel of 8 spaces. */
const tandem = (mostPoles?: number) =>
  house()
    .circuit('A', 15, { ...at(2), half: 'a' })
    .circuit('B', 15, { ...at(2), half: 'b' })
    .circuit('C', 15, at(3))
    .with((one) => Object.assign(one.panels['P']!, mostPoles === undefined ? {} : { mostPoles }));

testRule(panelSpaces, {
  passes: [
    [
      'a two-pole at 1 and 3, a one-pole at 2',
      house().circuit('A', 30, at(1, 2)).circuit('B', 20, at(2)),
      'P holds its circuits; 5 spaces are free.',
    ],
    ['a two-pole in the last two spaces', house().circuit('A', 30, at(6, 2))],
    ['two circuits on a tandem breaker, as the label allows', tandem(12), 'P holds its circuits; 6 spaces are free.'],
    ['as many poles as it allows', tandem(3)],
    ['a one-pole in the last space', house().circuit('A', 20, at(8))],
  ],
  fails: [
    [
      'one pole more than the label allows',
      tandem(2),
      'P holds 3 poles, tandem breakers counted twice; its label allows 2.',
    ],
    [
      'three on a tandem breaker',
      tandem(12).circuit('D', 15, { ...at(2), half: 'b' }),
      'Space 2 of P is taken twice: A and D.',
    ],
    [
      'two in the same half',
      house()
        .circuit('A', 15, { ...at(2), half: 'a' })
        .circuit('B', 15, { ...at(2), half: 'a' }),
    ],
    [
      'a two-pole breaker on half a space',
      house()
        .circuit('A', 30, { ...at(2, 2), half: 'a' })
        .circuit('B', 15, { ...at(2), half: 'b' }),
    ],
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
  cannotTell: [
    [
      'a tandem breaker, and a label that nobody has read',
      tandem(),
      'Tandem breakers stand in P: space 2. Which spaces take one, and how many poles in all, its label says: read it, and say it at the panel under Service.',
    ],
  ],
});
