import { sleeveSchema, type Sleeve } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { sleeveContents } from './sleeve-contents';

/** A house of one room with one sleeve. */
const sleeve = (changes: Partial<Sleeve>) =>
  aHouse()
    .room('garage', 'garage', [0, 0, 240, 240])
    .with((house) => {
      const from = { room: 'garage', note: '', capped: false };
      house.sleeves['s'] = sleeveSchema.parse({ id: 's', name: 'Attic sleeve', from, ...changes });
    });
const nm = { what: 'nm 12/2', count: 1 } as const;
const data = { what: 'data', count: 2 } as const;

testRule(sleeveContents, {
  passes: [
    ['nonmetallic cable through framing', sleeve({ holds: [nm] }), 'What Attic sleeve holds may lie in it.'],
    ['THWN in a slab', sleeve({ place: 'slab', holds: [{ what: 'wire 12', count: 3 }] })],
    ['data in the ground', sleeve({ place: 'ground', holds: [data] })],
    ['fiber beside power', sleeve({ holds: [nm, { what: 'fiber', count: 1 }] })],
  ],
  fails: [
    [
      'nonmetallic cable in a slab',
      sleeve({ place: 'slab', holds: [nm] }),
      'Attic sleeve lies in a slab and holds nonmetallic cable: its inside is a wet location. Pull THWN conductors, or end the sleeve.',
    ],
    ['in the ground', sleeve({ place: 'ground', holds: [nm] })],
    ['outdoors', sleeve({ place: 'outdoors', holds: [nm] })],
    [
      'data beside power',
      sleeve({ holds: [nm, data] }),
      'Attic sleeve holds power and low voltage together. Each wants a sleeve of its own.',
    ],
  ],
  notApplicable: [['an empty one', sleeve({ place: 'slab' })]],
});
