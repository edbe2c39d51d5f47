import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { buildingElectrode } from './building-electrode';

const grounded = (electrodes: readonly string[]) => withShop({}, { building: { electrodes } });

testRule(buildingElectrode, {
  passes: [
    ['two rods', grounded(['two-rods']), 'Shop has grounding electrodes of its own.'],
    ['a water pipe beside two rods', grounded(['water-pipe', 'two-rods'])],
    ['a rod beside steel in the footing', grounded(['concrete-encased', 'one-rod'])],
  ],
  fails: [
    [
      'a water pipe alone',
      grounded(['water-pipe']),
      'The water pipe alone grounds Shop: it needs another electrode beside it.',
    ],
    ['one plate', grounded(['plate'])],
    ['a water pipe does not stand in for the second rod', grounded(['water-pipe', 'one-rod'])],
    ['none', grounded([]), 'Shop has a panel and no grounding electrode of its own.'],
    [
      'one rod',
      grounded(['one-rod']),
      'One rod or plate is not enough for Shop: a second one at least 6 ft away, for which no water pipe stands in, unless it is shown to have 25 ohms or less.',
    ],
  ],
  cannotTell: [['nothing is said', withShop(), 'Which grounding electrodes Shop has is not said.']],
  notApplicable: [['no other building', served()]],
});
