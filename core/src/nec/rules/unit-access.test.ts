import { testRule } from '../../test/rule-tester';
import { served, twoUnits } from '../../test/supply-cases';
import { unitAccess } from './unit-access';

const panelIn = (place: 'a' | 'b' | 'hall') =>
  twoUnits(place).circuit('C', 20, { panel: 'P' }).receptacle('a', 'c0', 30, { circuit: 'C' });

testRule(unitAccess, {
  passes: [
    ['in the unit itself', panelIn('a'), 'The breakers of Unit A are in it, or where all can get at them.'],
    ['in the shared hall', panelIn('hall')],
  ],
  fails: [
    [
      'behind the door of the other unit',
      panelIn('b'),
      'The breakers of Unit A are in P, which stands in Unit B. They belong where the people of Unit A can get at them.',
    ],
  ],
  notApplicable: [['one dwelling', served()]],
});
