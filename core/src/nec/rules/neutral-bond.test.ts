import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { neutralBond } from './neutral-bond';

testRule(neutralBond, {
  passes: [
    ['apart in the shop', withShop({}, { panel: { neutral: 'apart' } }), 'The neutral of Q is bonded as it has to be.'],
    ['bonded where the service comes in', served().with((house) => void (house.panels['P']!.neutral = 'bonded'))],
  ],
  fails: [
    [
      'the screw left in the second panel',
      withShop({}, { panel: { neutral: 'bonded' } }),
      'The neutral is bonded in Q, which is fed from another panel. Take the bonding screw out, and put the grounds on a bar of their own.',
    ],
    [
      'bonded nowhere',
      served().with((house) => void (house.panels['P']!.neutral = 'apart')),
      'The neutral is not bonded in P, where the service comes in. The main bonding jumper belongs there, or in a service disconnect ahead of it.',
    ],
  ],
  notApplicable: [['nothing is said', served()]],
});
