import { twoUnits } from '../../test/supply-cases';
import { testRule } from '../../test/rule-tester';
import { unitWallBoxes } from './unit-wall-boxes';

/** A receptacle so far along the west side of the wall between two units, and one so far along its east side; both are counted from the north end. */
const across = (aIn: number, bIn: number) =>
  twoUnits('hall')
    .receptacle('a', 'c1', aIn)
    .receptacle('b', 'c3', 200 - bIn);

testRule(unitWallBoxes, {
  passes: [
    [
      '24 in apart',
      across(60, 84),
      'One pair of boxes on both sides of walls between dwelling units: all far enough apart.',
    ],
    ['far apart, the other way', across(160, 40)],
  ],
  fails: [
    [
      '23 in apart',
      across(60, 83),
      `R1-1 and R2-1 stand 1'-11" apart on both sides of a wall between dwelling units. 2'-0" is wanted, or solid blocking between them, putty pads, or boxes listed for the wall.`,
    ],
    ['back to back', across(60, 60)],
    ['a unit and the hall that both share', twoUnits('hall').receptacle('a', 'c2', 100).receptacle('hall', 'c0', 100)],
  ],
  notApplicable: [
    ['boxes on one side alone', twoUnits('hall').receptacle('a', 'c1', 60)],
    ['no box', twoUnits('hall')],
  ],
});
