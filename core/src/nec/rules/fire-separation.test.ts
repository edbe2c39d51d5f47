import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { twoUnits } from '../../test/supply-cases';
import { fireSeparation } from './fire-separation';

const garage = () => aHouse().room('garage', 'garage', [0, 0, 240, 240]);

testRule(fireSeparation, {
  passes: [],
  fails: [
    [
      'a garage beside the kitchen',
      garage().room('kitchen', 'kitchen', [244.5, 0, 150, 150]),
      'garage: the gypsum board towards the dwelling stays whole around boxes, and holes of cables through that wall or ceiling are filled with material that resists the passage of flame (R302.11). Ask the authority what it takes.',
    ],
    [
      'two units',
      twoUnits('hall'),
      'Between dwelling units: boxes that reach through the membrane are steel, 16 in² at most each and 100 in² in 100 ft² of wall together, with 1/8 in around them, or listed for the wall; holes of cables are firestopped.',
    ],
  ],
  notApplicable: [
    ['a garage by itself', garage()],
    ['a garage beside the porch alone', garage().room('porch', 'porch', [244.5, 0, 150, 150])],
  ],
});
