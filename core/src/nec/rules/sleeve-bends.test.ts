import { sleeveSchema, type Sleeve } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { sleeveBends } from './sleeve-bends';

/** A house of one room with one sleeve. */
const sleeve = (changes: Partial<Sleeve>) =>
  aHouse()
    .room('garage', 'garage', [0, 0, 240, 240])
    .with((house) => {
      const from = { room: 'garage', note: '', capped: false };
      house.sleeves['s'] = sleeveSchema.parse({ id: 's', name: 'Attic sleeve', from, ...changes });
    });

testRule(sleeveBends, {
  passes: [['four quarter bends', sleeve({ bendsDeg: 360 }), 'Attic sleeve can be pulled through.']],
  fails: [
    [
      'an offset more',
      sleeve({ bendsDeg: 390 }),
      'Attic sleeve has 390° of bends; 360° is the most between two places where one can pull. Put a box between.',
    ],
  ],
  notApplicable: [['a house without one', aHouse().room('garage', 'garage', [0, 0, 240, 240])]],
});
