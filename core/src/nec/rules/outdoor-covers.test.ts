import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { outdoorCovers } from './outdoor-covers';

const outside = (kind: 'deck' | 'porch' | 'outdoors' = 'deck') => aHouse().room('r', kind, [0, 0, 144, 96]);

testRule(outdoorCovers, {
  passes: [
    [
      'an in-use cover on a deck',
      outside().receptacle('r', 'c0', 40, { cover: 'in-use' }),
      'The receptacles of r have in-use covers.',
    ],
    [
      'the 240 V receptacle of a spa is no business of this rule',
      outside().receptacle('r', 'c0', 20, { volts: 240, ratingA: 50 }).receptacle('r', 'c0', 60, { cover: 'in-use' }),
    ],
  ],
  fails: [
    [
      'a flap on a deck',
      outside().receptacle('r', 'c0', 40, { cover: 'flap' }),
      'Receptacle R1-1 in r has a cover that is tight only when nothing is plugged in.',
    ],
    [
      'a flap beside one of which nothing is said',
      outside('outdoors').receptacle('r', 'c0', 40, { cover: 'flap' }).receptacle('r', 'c0', 80),
    ],
  ],
  cannotTell: [
    [
      'nothing is said of two: one question',
      outside().receptacle('r', 'c0', 40).receptacle('r', 'c0', 80),
      'Which covers do R1-1, R1-2 in r get? Where rain reaches them they must be tight with the plug in.',
    ],
  ],
  notApplicable: [['under the roof of a porch', outside('porch').receptacle('r', 'c0', 40, { cover: 'flap' })]],
});
