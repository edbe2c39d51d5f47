import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { circuitInPanel } from './circuit-in-panel';
import { legBalance } from './leg-balance';
import { panelSpaces } from './panel-spaces';

const house = () => aHouse().room('garage', 'garage', [0, 0, 240, 240], { bays: 1 }).panel('P', 'garage', 8);
const at = (space: number, poles: 1 | 2 = 1) => ({ panel: 'P', space, poles });

testRule(panelSpaces, {
  passes: [
    [
      'a two-pole at 1 and 3, a one-pole at 2',
      house().circuit('A', 30, at(1, 2)).circuit('B', 20, at(2)),
      'P holds its circuits; 5 spaces are free.',
    ],
  ],
  fails: [
    [
      'the second pole meets another breaker',
      house().circuit('A', 30, at(1, 2)).circuit('B', 20, at(3)),
      'Space 3 of P is taken twice: A and B.',
    ],
    ['a two-pole at the last row', house().circuit('A', 30, at(7, 2)), 'A wants space 9; P has 8.'],
  ],
});

testRule(circuitInPanel, {
  passes: [['all are placed', house().circuit('A', 20, at(1)), 'All 1 circuits have their spaces.']],
  fails: [['one waits', house().circuit('A', 20), '1 circuit without a panel space: A.']],
  cannotTell: [
    [
      'no panel drawn',
      aHouse().room('den', 'den', [0, 0, 99, 99]).circuit('A', 20),
      'No panel is drawn. Add one under House and place the breakers.',
    ],
  ],
});

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
