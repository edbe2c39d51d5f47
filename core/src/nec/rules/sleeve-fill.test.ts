import { sleeveSchema, type Sleeve } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { sleeveFill } from './sleeve-fill';

/** A house of one room with one sleeve. */
const sleeve = (changes: Partial<Sleeve>) =>
  aHouse()
    .room('garage', 'garage', [0, 0, 240, 240])
    .with((house) => {
      const from = { room: 'garage', note: '', capped: false };
      house.sleeves['s'] = sleeveSchema.parse({ id: 's', name: 'Attic sleeve', from, ...changes });
    });
const data = (count: number) => [{ what: 'data', count }] as const;

testRule(sleeveFill, {
  passes: [
    // 0.24 in across are 0.0452 in² each: seven are 0.317 in², and 40 % of EMT of 1 in are 0.346 in².
    ['seven data cables in EMT of 1 in', sleeve({ kind: 'emt', trade: '1', holds: [...data(7)] })],
    // One may fill 53 %: of ENT of 1/2 in 0.131 in²; a 12/2 of 0.42 in is 0.139 in² and too much, a 14/2 of 0.37 in 0.108 in².
    ['one 14/2 in ENT of 1/2 in', sleeve({ trade: '1/2', holds: [{ what: 'nm 14/2', count: 1 }] })],
    // Handbook case: nine No. 12 THHN in EMT of 1/2 in, Table C.1.
    ['nine No. 12 in EMT of 1/2 in', sleeve({ kind: 'emt', trade: '1/2', holds: [{ what: 'wire 12', count: 9 }] })],
  ],
  fails: [
    [
      'eight data cables in EMT of 1 in',
      sleeve({ kind: 'emt', trade: '1', holds: [...data(8)] }),
      'Attic sleeve is filled to 42 %; 40 % is the most for 8 pieces.',
    ],
    ['ten No. 12 in EMT of 1/2 in', sleeve({ kind: 'emt', trade: '1/2', holds: [{ what: 'wire 12', count: 10 }] })],
    [
      'one 12/2 in ENT of 1/2 in',
      sleeve({ trade: '1/2', holds: [{ what: 'nm 12/2', count: 1 }] }),
      'Attic sleeve is filled to 56 %; 53 % is the most for one piece.',
    ],
    ['two 14/2 in ENT of 3/4 in: 31 % for two', sleeve({ holds: [{ what: 'nm 14/2', count: 2 }] })],
  ],
  cannotTell: [
    [
      'ENT larger than its table',
      sleeve({ trade: '3', holds: [...data(4)] }),
      'How full Attic sleeve is cannot be told: its trade size is in no table of its kind that is known here.',
    ],
  ],
  notApplicable: [
    ['an empty one', sleeve({})],
    ['a piece of pipe through one wall', sleeve({ kind: 'piece', trade: '1/2', holds: [...data(20)] })],
  ],
});
