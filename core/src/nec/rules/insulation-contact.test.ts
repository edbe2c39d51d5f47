import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { insulationContact } from './insulation-contact';

const recessed = (contact?: 'ic' | 'non-ic') =>
  aHouse().room('r', 'living', [0, 0, 240, 180]).over('r', 'luminaire', 60, 60, { style: 'recessed', contact });

testRule(insulationContact, {
  passes: [['type IC under the attic', recessed('ic'), 'Insulation may touch the recessed lights of r.']],
  fails: [
    [
      'not of type IC under the attic',
      recessed('non-ic'),
      'The recessed light R1-1 in r is not of type IC, and insulation lies over its ceiling: keep it 3" away, or take one of type IC.',
    ],
  ],
  cannotTell: [
    [
      'two of which nothing is said: one question',
      recessed().over('r', 'luminaire', 120, 60, { style: 'recessed' }),
      'Are the recessed lights R1-1, R1-2 of type IC? Insulation lies over their ceilings.',
    ],
  ],
  notApplicable: [['a surface light', aHouse().room('r', 'living', [0, 0, 240, 180]).over('r', 'luminaire', 60, 60)]],
});
