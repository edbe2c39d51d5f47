import { testRule } from '../../test/rule-tester';
import { wiringBuilder } from '../../test/wiring-house';
import { whiteAsTraveler } from './white-as-traveler';

/** Two three-ways, the light between them: what comes to the second over a cable of so many conductors. */
const far = (kind?: '/3') =>
  wiringBuilder({
    boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'], S2: ['L', 'switch'] },
    groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
    change: (house) => {
      house.switchGroups['a']!.seesAll = true;
      if (kind) house.cables['c-S2']!.kind = kind;
    },
  });

testRule(whiteAsTraveler, {
  passes: [
    [
      'one switch',
      wiringBuilder({
        boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'] },
        groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
      }),
      'No white of Q is a traveler.',
    ],
  ],
  fails: [
    [
      'two travelers and the switched wire in a /3',
      far('/3'),
      'The white from R-2 to R-3 is traveler 2 a. Mark it for good at both ends, or pull a cable with one conductor more.',
    ],
  ],
});
