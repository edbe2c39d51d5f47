import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { Edition } from '../../house/schema';
import { tubZoneReceptacles } from './tub-zone-receptacles';
import { bath } from '../../test/boxes-in-place-cases';

const small = (edition: Edition) =>
  aHouse(edition)
    .room('b', 'bathroom', [0, 0, 60, 72])
    .feature('b', 'tub', ['c3', 0, 60, 30], { heightIn: 20 })
    .feature('b', 'basin', ['c0', 36, 20, 18]);

testRule(tubZoneReceptacles, {
  passes: [
    [
      '2017: beside the tub',
      bath('2017').receptacle('b', 'c0', 40, { heightIn: 43 }),
      'The receptacles of b are clear of its tub or shower.',
    ],
    ['2023: 3 ft from it', bath().receptacle('b', 'c0', 66, { heightIn: 43 })],
    [
      '2014: the pump of a hydromassage tub under its rim',
      bath('2014').load('tub-pump', 'b', 'c3', 50, null, { heightIn: 6, cord: true }),
      'Receptacle R1-1 is that of a tub\u2019s pump, under its rim: see that it is in sight, within 12 in of the access opening.',
    ],
    [
      '2023: the single receptacle of a bidet seat',
      bath().load('bidet-seat', 'b', 'c0', 44, null, { style: 'single' }),
      'Receptacle R1-1 is the single one of a bidet seat, by exception: see that it is readily accessible, and not between toilet and tub.',
    ],
    [
      '2020: a bathroom of 5 by 6 ft has no other place',
      small('2020').receptacle('b', 'c1', 8, { heightIn: 43 }),
      'Receptacle R1-1 is in the zone of the tub or shower, on the farthest wall, by the exception for a small bathroom: no place near the basin lies outside it.',
    ],
  ],
  cannotTell: [
    [
      '2020: the same on a wall that is not the farthest',
      small('2020').receptacle('b', 'c0', 50, { heightIn: 43 }),
      'Receptacle R1-1 is in the zone of the tub or shower, and no wall near the basin outside it holds a box. The exception speaks of the farthest wall of a small bathroom: ask the authority, or move the basin.',
    ],
    [
      '2023: a pocket door takes the wall outside the zone',
      aHouse()
        .room('b', 'bathroom', [0, 0, 60, 130])
        .feature('b', 'tub', ['c1', 0, 60, 30], { heightIn: 20 })
        .feature('b', 'basin', ['c1', 60, 24, 18])
        .opening('b', 'c1', 'pocket', 98, 28, { opens: 'right' })
        .opening('b', 'c3', 'fixed-glass', 4, 60)
        .receptacle('b', 'c1', 70, { heightIn: 43 }),
    ],
  ],
  fails: [
    [
      '2023: 2 ft from it, with room elsewhere',
      bath().receptacle('b', 'c0', 54, { heightIn: 43 }),
      'Receptacle R1-1 is 2\'-0" from a tub or shower, inside its zone.',
    ],
    ['2014: over the tub', bath('2014').receptacle('b', 'c3', 60, { heightIn: 60 })],
    [
      '2020: a bidet seat 1 ft from the tub has no exception yet',
      bath('2020').load('bidet-seat', 'b', 'c0', 44, null, { style: 'single' }),
    ],
  ],
});
