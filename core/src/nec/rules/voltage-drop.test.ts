import type { HouseBuilder } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { voltageDrop } from './voltage-drop';
import { den } from '../../test/circuits-cases';

/** A den with a panel in its corner and a garage a given distance away, with one receptacle on 14. */
const away = (lengthFt?: number) =>
  den()
    .panel('P', 'den', 20)
    .circuit('A', 15, lengthFt === undefined ? {} : { lengthFt })
    .receptacle('den', 'c0', 60, { circuit: 'A' });

const farEnd = (house: HouseBuilder) => house.with((one) => (one.standards.dropLoad = 'far-end'));

testRule(voltageDrop, {
  passes: [
    ['half of 15 A over 60 ft of 14', away(60), 'A loses 2.3 % at most.'],
    ['12 A over 30 ft of 14, where the firm reckons so', farEnd(away(30)), 'A loses 1.8 % at most.'],
    ['along its feed order across one room', away()],
  ],
  fails: [
    ['half of 15 A over 100 ft of 14', away(100), 'A loses 3.8 % on the 100 ft to R1-1 with 7.5 A spread along it.'],
    ['12 A over 100 ft of 14', farEnd(away(100)), 'A loses 6.1 % on the 100 ft to R1-1 with 12.0 A there.'],
    [
      '12 A over 160 ft: No. 8 would do, and goes under no screw of a 15 A receptacle',
      farEnd(away(160)),
      'A loses 9.8 % on the 160 ft to R1-1 with 12.0 A there. No conductor that its devices take keeps it within; a shorter feed or a nearer panel would.',
    ],
  ],
  cannotTell: [
    [
      'no panel',
      den().circuit('A', 15).receptacle('den', 'c0', 60, { circuit: 'A' }),
      'How far A runs is not known: there is no panel yet. Set one down under House.',
    ],
  ],
  notApplicable: [['an empty circuit', den().circuit('A', 15)]],
});
