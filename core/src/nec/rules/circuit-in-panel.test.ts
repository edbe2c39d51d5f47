import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { circuitInPanel } from './circuit-in-panel';
import { house, at } from '../../test/panel-cases';

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
