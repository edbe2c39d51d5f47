import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { feederDrop } from './feeder-drop';

const charging = (lengthFt: number, branchFt?: number) =>
  withShop({ lengthFt })
    .circuit('C', 40, {
      poles: 2,
      panel: 'Q',
      space: 1,
      purpose: 'individual',
      ...(branchFt === undefined ? {} : { lengthFt: branchFt }),
    })
    .load('ev-charger', 'shop', 'c0', 40, 'C');

testRule(feederDrop, {
  passes: [
    ['1.6 % in the feeder and 2.6 % in the circuit', charging(100, 125)],
    ['40 A over 100 ft of No. 6', charging(100), 'The feeder of Q loses 1.6 %.'],
  ],
  // 2 x 40 A x 250 ft x 0.491 ohm / 1000 ft = 9.8 V of 240.
  fails: [
    [
      '2.5 % in the feeder and 2.9 % in the circuit, each within its 3 %',
      charging(150, 140),
      'C loses 2.9 %, and the feeders ahead of it 2.5 %: 5.4 % in all, where 5 % is advised.',
    ],
    ['40 A over 250 ft of No. 6', charging(250), 'The feeder of Q loses 4.1 % over 250 ft at its calculated load.'],
  ],
  notApplicable: [['no feeder', served()]],
});
