import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { feederDrop } from './feeder-drop';

const charging = (lengthFt: number) =>
  withShop({ lengthFt })
    .circuit('C', 40, { poles: 2, panel: 'Q', space: 1, purpose: 'individual' })
    .load('ev-charger', 'shop', 'c0', 40, 'C');

testRule(feederDrop, {
  passes: [['40 A over 100 ft of No. 6', charging(100), 'The feeder of Q loses 1.6 %.']],
  // 2 x 40 A x 250 ft x 0.491 ohm / 1000 ft = 9.8 V of 240.
  fails: [
    ['40 A over 250 ft of No. 6', charging(250), 'The feeder of Q loses 4.1 % over 250 ft at its calculated load.'],
  ],
  notApplicable: [['no feeder', served()]],
});
