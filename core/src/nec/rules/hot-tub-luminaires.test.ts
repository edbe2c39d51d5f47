import type { RoomKind } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { hotTubLuminaires } from './hot-tub-luminaires';

/** A tub of 7 ft with its rim at 3 ft, under a ceiling so many feet over the rim, and a light beside it. */
const under = (overFt: number, kind: RoomKind, x = 120, breaker: 'plain' | 'gfci' = 'plain') =>
  aHouse()
    .room('r', kind, [0, 0, 400, 200])
    .standing('tub', 'r', 'hot-tub', [0, 0, 84, 84])
    .circuit('L', 15, { breaker })
    .over('r', 'luminaire', x, 40, { circuit: 'L' })
    .with((house) => (house.levels['L1']!.ceilingIn = 36 + 12 * overFt));

testRule(hotTubLuminaires, {
  passes: [
    ['12 ft over the rim outdoors', under(12, 'porch'), 'What hangs near the hot tub in r is high enough.'],
    ['5 ft to the side', under(6, 'porch', 144)],
    ['5 ft to the side and 5 ft over the rim', under(5, 'porch', 144)],
    ['4 ft over it there behind a GFCI', under(4, 'porch', 144, 'gfci')],
    ['4 ft over it, 10 ft to the side', under(4, 'porch', 204)],
    ['4 ft over it, 5 ft to the side in a sunroom', under(4, 'sunroom', 144)],
    ['8 ft over the rim in a sunroom, behind a GFCI', under(8, 'sunroom', 120, 'gfci')],
    ['12 ft over it in a sunroom', under(12, 'sunroom')],
  ],
  fails: [
    [
      'a low light 5 ft beside one on a porch',
      under(4, 'porch', 144),
      'R1-1 is 4\'-0" over the rim of the hot tub and 5 to 10 ft beside it: lower than 5\'-0" it needs a GFCI.',
    ],
    [
      '11 ft over the rim of one on a porch',
      under(11, 'porch'),
      'R1-1 is 11\'-0" over the rim of the hot tub, or beside it within 5 ft: 12\'-0" at least.',
    ],
    [
      '8 ft over it in a sunroom without a GFCI',
      under(8, 'sunroom'),
      'R1-1 is 8\'-0" over the rim of the hot tub or beside it within 5 ft: lower than 12\'-0" it needs a GFCI.',
    ],
  ],
  cannotTell: [
    [
      '5 ft over it in a sunroom',
      under(5, 'sunroom'),
      'R1-1 is 5\'-0" over the rim of the hot tub or beside it within 5 ft. Lower than 7\'-6" only a GFCI-protected one will do that is recessed or on the surface, closed, without metal and made for damp places: look at it.',
    ],
  ],
  notApplicable: [['no tub', aHouse().room('r', 'deck', [0, 0, 400, 200])]],
});
