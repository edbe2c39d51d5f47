import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { buildingElectrode } from './building-electrode';

const grounded = (electrodes: readonly string[]) => withShop({}, { building: { electrodes } });

testRule(buildingElectrode, {
  passes: [['two rods', grounded(['two-rods']), 'Shop has grounding electrodes of its own.']],
  fails: [
    ['one plate', grounded(['plate'])],
    ['none', grounded([]), 'Shop has a panel and no grounding electrode of its own.'],
    [
      'one rod',
      grounded(['one-rod']),
      'One rod or plate alone grounds Shop: a second one, unless it is shown to have 25 ohms or less.',
    ],
  ],
  cannotTell: [['nothing is said', withShop(), 'Which grounding electrodes Shop has is not said.']],
  notApplicable: [['no other building', served()]],
});
