import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { supplyVolts } from './supply-volts';

const small = () => served({ volts: '120' });

testRule(supplyVolts, {
  passes: [['lights and receptacles', small().circuit('A', 20), 'All circuits suit a supply of 120 V.']],
  fails: [
    [
      'a water heater of 240 V',
      small().circuit('W', 30, { poles: 2, name: 'Water heater' }),
      'The supply is 120 V only; these need 240 V: Water heater.',
    ],
    [
      'a shared neutral',
      small().circuit('A', 20, { sharesNeutralWith: 'B' }).circuit('B', 20, { sharesNeutralWith: 'A' }),
      'The supply has one leg; these share a neutral, which would carry the sum of both: A, B.',
    ],
  ],
  notApplicable: [['120/240 V', served().circuit('A', 20)]],
});
