import { expect, test } from 'vitest';
import type { Edition } from '../../house/schema';
import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import { atticCable, mayBePassedOver } from './attic-cable';

/** Two receptacles on the wall across from the panel: a breaker between two sizes may not be rounded up, NEC 240.4(B)(1). */
const hot = (atticF: number | undefined, edition: Edition = '2023', circuit = {}) =>
  led(
    walled(
      [
        ['c1', 60],
        ['c1', 30],
      ],
      { below: 'slab', above: 'attic' },
      circuit,
    ).with((house) => {
      house.job.edition = edition;
      if (atticF) house.standards.atticF = atticF;
    }),
    'fewest-holes',
  );
const TOO_HOT = (awg: string, carries: string) =>
  `a lies 12 ft in the attic: there No. ${awg} carries ${carries} A, less than the smallest breaker. Take larger wire, or lead it below.`;

// Exception to 310.15(A)(2): 10 ft, and 10 % of the length that has the higher ampacity.
test.each([
  [9, 99, true],
  [9.05, 99, false],
  [9.5, 100, false],
  [10, 110, true],
  [10.1, 300, false],
])('%s ft in the attic of %s ft may be passed over: %s', (lowFt, allFt, may) => {
  expect(mayBePassedOver(lowFt, allFt, { shortFt: 10, share: 0.1 })).toBe(may);
});

testRule(atticCable, {
  passes: [
    // 25 A at 90 °C times 0.76 is 19 A, of which 15 are used.
    ['No. 14 at 130 °F', hot(undefined), 'a lies 12 ft in the attic and is large enough there.'],
    ['No. 14 at 130 °F in 2014', hot(undefined, '2014')],
    ['No. 14 at 130 °F in 2020', hot(undefined, '2020')],
  ],
  fails: [
    // 25 A times 0.50 between 71 and 75 °C.
    ['No. 14 at 160 °F', hot(160), TOO_HOT('14', '12.5')],
    ['the same in 2017', hot(160, '2017'), TOO_HOT('14', '12.5')],
  ],
  notApplicable: [
    ['the circuit is sized for the attic already', hot(160, '2023', { inAttic: true })],
    ['nothing is laid out', walled([['c1', 60]])],
  ],
});
