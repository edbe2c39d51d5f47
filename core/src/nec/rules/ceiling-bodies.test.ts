import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { DeviceKind } from '../../house/schema-equipment';
import { ceilingBodies } from './ceiling-bodies';

const two = (a: DeviceKind, b: DeviceKind, apartIn: number) =>
  aHouse()
    .room('r', 'living', [0, 0, 240, 180])
    .over('r', a, 100, 90)
    .over('r', b, 100 + apartIn, 90);

testRule(ceilingBodies, {
  passes: [
    [
      'a light beyond the sweep of a fan',
      two('fan', 'luminaire', 33),
      'What hangs in the ceiling of r is clear of each other.',
    ],
    [
      'a light beside the exhaust fan of a bath',
      aHouse().room('r', 'bathroom', [0, 0, 120, 96]).over('r', 'fan', 40, 40).over('r', 'luminaire', 56, 40),
    ],
    ['an alarm beside a light', two('luminaire', 'alarm', 10)],
    ['a fan and a blank cover in its sweep', two('fan', 'blank', 20)],
    [
      'two strips of light side by side',
      aHouse()
        .room('r', 'living', [0, 0, 240, 180])
        .over('r', 'luminaire', 100, 90, { style: 'strip' })
        .over('r', 'luminaire', 102, 90, { style: 'strip' }),
    ],
  ],
  fails: [
    [
      'a light within the sweep of a fan',
      two('fan', 'luminaire', 32),
      'R1-1 and R1-2 hang 2\'-8" apart in the ceiling and meet.',
    ],
    ['two lights on one spot', two('luminaire', 'luminaire', 5)],
  ],
  notApplicable: [['one thing alone', aHouse().room('r', 'living', [0, 0, 240, 180]).over('r', 'fan', 100, 90)]],
});
