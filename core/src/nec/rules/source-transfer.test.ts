import { testRule } from '../../test/rule-tester';
import { served, withSource } from '../../test/supply-cases';
import { sourceTransfer } from './source-transfer';

const solar = { kind: 'solar', name: 'The array' };

testRule(sourceTransfer, {
  passes: [
    ['an interlock', withSource({ transfer: 'interlock' }), 'The generator is kept apart from the utility.'],
    ['an interactive inverter', withSource({ ...solar, transfer: 'interactive' })],
    [
      'a cabin without a utility',
      withSource({ transfer: 'none' }).with((house) => void (house.supply.kind = 'off-grid')),
    ],
    ['by itself, and it carries all', withSource({ transfer: 'automatic', runningW: 20000 })],
  ],
  fails: [
    [
      'nothing between',
      withSource({ transfer: 'none' }),
      'Nothing keeps The generator apart from the utility. It needs a transfer switch, or a listed interlock with its breaker held down.',
    ],
    [
      'an array without an interactive inverter',
      withSource({ ...solar, transfer: 'none' }),
      'The array feeds beside the utility: it needs an interactive inverter that is listed for it, or a transfer switch.',
    ],
    // The furnace of 15 kW, and a quarter more since it runs for hours.
    [
      'by itself, and it is too small',
      withSource({ transfer: 'automatic', runningW: 2000 })
        .circuit('C', 40, { poles: 2, panel: 'P', space: 5, purpose: 'individual' })
        .load('electric-furnace', 'kitchen', 'c0', 40, 'C'),
      'The generator gives 2000 W and is switched over by itself onto a calculated load of 18750 VA. It has to carry all of that, or what it feeds has to be managed.',
    ],
    [
      '120 V onto a well pump',
      withSource({ transfer: 'manual-switch', volts: '120', circuits: ['Well'] }).circuit('Well', 20, {
        poles: 2,
        panel: 'P',
        space: 5,
      }),
      'The generator gives 120 V and cannot feed Well, which need 240 V.',
    ],
  ],
  notApplicable: [['no source', served()]],
});
