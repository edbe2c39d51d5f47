import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { refrigeratorOnGfci } from './refrigerator-on-gfci';
import { den } from '../../test/circuits-cases';

const cold = (extra: Record<string, unknown> = {}) =>
  aHouse()
    .room('gar', 'garage', [0, 0, 240, 240], { bays: 1 })
    .circuit('G', 20)
    .load('freezer', 'gar', 'c0', 30, 'G', extra);

testRule(refrigeratorOnGfci, {
  passes: [
    ['alone on its circuit', cold(), 'Nothing else can open the protection of Freezer.'],
    [
      '2020: in a dining room, where nothing asks for GFCI',
      aHouse('2020')
        .room('din', 'dining', [0, 0, 144, 144])
        .circuit('A', 20)
        .load('refrigerator', 'din', 'c0', 30, 'A')
        .receptacle('din', 'c0', 90, { circuit: 'A' }),
    ],
  ],
  fails: [
    [
      'with the other receptacles of the garage',
      cold().receptacle('gar', 'c0', 90, { circuit: 'G', heightIn: 48 }),
      'Freezer hangs on a GFCI that everything else on G can open.',
    ],
  ],
  notApplicable: [['no such appliance', den()]],
});
