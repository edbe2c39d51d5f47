import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { closetLuminaire } from './closet-luminaire';

/** A closet of 6 by 5 ft with a shelf 12 in deep along its north wall. */
const closet = () =>
  aHouse().room('c', 'walk-in-closet', [0, 0, 72, 60]).feature('c', 'closet-shelf', ['c0', 0, 72, 12]);

testRule(closetLuminaire, {
  passes: [
    [
      'an enclosed surface luminaire 13 in beyond the shelf',
      closet().over('c', 'luminaire', 36, 29),
      'Luminaire R1-1 is clear of the storage space.',
    ],
    [
      'on the wall at 7 ft, clear of the shelf',
      closet().wallBox(
        'c',
        'c1',
        38,
        { kind: 'luminaire', style: 'wall' },
        {
          at: { kind: 'wall', wall: 'c1', alongIn: 38, heightIn: 84 },
        },
      ),
    ],
    ['a recessed one at 6 in', closet().over('c', 'luminaire', 36, 21, { style: 'recessed' })],
  ],
  fails: [
    [
      'a surface luminaire at 11 in',
      closet().over('c', 'luminaire', 36, 27),
      'Luminaire R1-1 is 11" from the storage space over the shelf.',
    ],
    [
      'a pendant',
      closet().over('c', 'luminaire', 36, 40, { style: 'pendant' }),
      'Luminaire R1-1 in c hangs or has open lamps: never in a clothes closet.',
    ],
    [
      'a reach-in 24 in deep with a shelf of 12 in: 12 in are left to the front wall, too little for any surface luminaire',
      aHouse()
        .room('c', 'closet', [0, 0, 72, 24])
        .feature('c', 'closet-shelf', ['c0', 0, 72, 12])
        .over('c', 'luminaire', 36, 20),
    ],
    [
      'on the wall at 5 ft, where the clothes hang 24 in deep',
      closet().wallBox(
        'c',
        'c1',
        38,
        { kind: 'luminaire', style: 'wall' },
        {
          at: { kind: 'wall', wall: 'c1', alongIn: 38, heightIn: 60 },
        },
      ),
    ],
    ['a bare lamp', closet().over('c', 'luminaire', 36, 40, { enclosed: false })],
  ],
  cannotTell: [
    [
      'no shelf drawn',
      aHouse().room('c', 'closet', [0, 0, 72, 60]).over('c', 'luminaire', 36, 30),
      'No shelf is drawn in c, so the distance of its luminaire to the storage space is not known. Draw the shelf.',
    ],
  ],
  notApplicable: [['a linen closet', aHouse().room('c', 'linen', [0, 0, 72, 60]).over('c', 'luminaire', 36, 30)]],
});
