import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { bathroomBasinReceptacle } from './bathroom-basin-receptacle';

const bath = () =>
  aHouse().room('bath', 'bathroom', [0, 0, 120, 100]).feature('bath', 'basin', ['c0', 20, 20, 18], { heightIn: 34 });

testRule(bathroomBasinReceptacle, {
  passes: [
    [
      'exactly 3 ft from the basin\u2019s edge',
      bath().receptacle('bath', 'c0', 76, { heightIn: 43 }),
      'A receptacle stands 3\'-0" from the basin of bath.',
    ],
    [
      'in the side of the vanity, 12 in below the basin\u2019s top',
      bath()
        .feature('bath', 'cabinet', ['c0', 10, 60, 21], { id: 'vanity' })
        .onFeature('bath', 'vanity', null, 22, [70, 10]),
    ],
  ],
  fails: [
    [
      '3 ft and a sixteenth',
      bath().receptacle('bath', 'c0', 76.0625, { heightIn: 43 }),
      'The nearest receptacle to the basin of bath is 3\'-0 1/16" away.',
    ],
    ['none at all', bath(), 'bath has no receptacle at its basin.'],
    [
      'in the side of the vanity, 13 in below the basin\u2019s top',
      bath()
        .feature('bath', 'cabinet', ['c0', 10, 60, 21], { id: 'vanity' })
        .onFeature('bath', 'vanity', null, 21, [70, 10]),
    ],
    ['more than 12 in below the basin\u2019s top', bath().receptacle('bath', 'c0', 30, { heightIn: 21 })],
    [
      'one between two basins more than 72 in apart',
      aHouse()
        .room('bath', 'bathroom', [0, 0, 160, 100])
        .feature('bath', 'basin', ['c0', 10, 20, 18])
        .feature('bath', 'basin', ['c0', 104, 20, 18])
        .receptacle('bath', 'c0', 60, { heightIn: 43 }),
    ],
  ],
  cannotTell: [
    [
      'near enough, on the wall across from the basin',
      aHouse()
        .room('bath', 'half-bath', [0, 0, 120, 50])
        .feature('bath', 'basin', ['c0', 20, 20, 18])
        .receptacle('bath', 'c2', 90, { heightIn: 43 }),
      'R1-1 is 2\'-8" from the basin of bath, on a wall across from it. The wall is to be one beside the basin: ask the authority, or move it.',
    ],
    [
      'no basin drawn',
      aHouse().room('bath', 'bathroom', [0, 0, 96, 60]),
      'No basin is drawn in bath, so the distance to its receptacle is not known. Draw the basin.',
    ],
  ],
});
