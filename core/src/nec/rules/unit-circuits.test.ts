import { testRule } from '../../test/rule-tester';
import { served, twoUnits } from '../../test/supply-cases';
import { unitCircuits } from './unit-circuits';

const feeding = (...rooms: readonly string[]) => {
  const house = twoUnits('hall').circuit('C', 20, { panel: 'P' });
  for (const room of rooms) house.receptacle(room, 'c0', 30, { circuit: 'C' });
  return house;
};

testRule(unitCircuits, {
  passes: [
    ['within a unit', feeding('a'), 'C stays within one unit, or within what is shared.'],
    ['within what is shared', feeding('hall')],
  ],
  fails: [
    ['two units', feeding('a', 'b'), 'C feeds several dwelling units: Unit A and Unit B.'],
    [
      'a unit and the shared hall',
      feeding('a', 'hall'),
      'C of Unit A feeds what belongs to no unit alone as well: hall. Shared lights and outlets go on circuits of their own.',
    ],
  ],
  notApplicable: [['one dwelling', served().circuit('C', 20)]],
});
