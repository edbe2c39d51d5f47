import { testRule } from '../../test/rule-tester';
import { den } from '../../test/circuits-cases';
import { splitYoke } from './split-yoke';

type Extra = Record<string, unknown>;

/** A disposer above and a dishwasher below on one yoke, as under many a sink. */
const under = (first: Extra, second: Extra, halves: { upper: string | null; lower: string | null } = BOTH) =>
  den()
    .panel('P', 'den', 20)
    .panel('Q', 'den', 20)
    .circuit('A', 20, { panel: 'P', ...first })
    .circuit('B', 20, { panel: 'P', ...second })
    .wallBox('den', 'c0', 40, { kind: 'receptacle', style: 'half', circuit: halves.upper })
    .with((house) => {
      const box = Object.values(house.boxes).at(-1)!;
      const [upper] = Object.values(box.devices);
      Object.assign(box.devices, {
        low: { ...upper, id: 'low', circuit: halves.lower, yokeWith: upper!.id },
      });
    });
const BOTH = { upper: 'A', lower: 'B' };

testRule(splitYoke, {
  passes: [
    [
      'spaces 1 and 3',
      under({ space: 1 }, { space: 3 }),
      'R1-1: A and B are next to each other, where a handle tie or a two-pole breaker opens both halves.',
    ],
    ['spaces 6 and 4', under({ space: 6 }, { space: 4 })],
  ],
  fails: [
    [
      'spaces 1 and 2: across the panel no tie reaches',
      under({ space: 1 }, { space: 2 }),
      'R1-1 has A and B on one yoke, and their breakers do not open together. Put them next to each other in one panel, under a handle tie or as one two-pole breaker.',
    ],
    ['spaces 1 and 5', under({ space: 1 }, { space: 5 })],
    ['two panels', under({ space: 1 }, { space: 3, panel: 'Q' })],
    ['the other is one', under({ space: 1, poles: 2 }, { space: 3 })],
    ['one of them is a breaker of two poles', under({ space: 1 }, { space: 3, poles: 2 })],
  ],
  cannotTell: [
    [
      'one of them in no space yet',
      under({ space: 1 }, { space: null }),
      'R1-1 has A and B on one yoke; set both down in the panel to see that one handle opens both.',
    ],
    ['the other of them in no space yet', under({ space: null }, { space: 3 })],
    ['the other of them in no panel', under({ space: 1, panel: null }, { space: 3 })],
    ['one of them in no panel', under({ space: 1 }, { space: 3, panel: null })],
  ],
  notApplicable: [['a whole duplex', den().circuit('A', 20).receptacle('den', 'c0', 40, { circuit: 'A' })]],
});
