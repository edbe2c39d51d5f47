import type { Edition, House } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { wiringBuilder } from '../../test/wiring-house';
import { neutralAtSwitch } from './neutral-at-switch';
import { set, atLight } from '../../test/wiring-cases';

const loopAt = (kind: House['rooms'][string]['kind'], edition: Edition, pulled?: '/2') =>
  wiringBuilder({
    boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'] },
    groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
    edition,
    change: (house) => {
      house.rooms['room']!.kind = kind;
      if (pulled) house.cables['c-S1']!.kind = pulled;
    },
  });

testRule(neutralAtSwitch, {
  passes: [
    [
      '2017: one of two that see the whole room has it',
      atLight('2017', true),
      'The switch in R-3 needs no neutral: another that sees the whole of the lit area has it.',
    ],
    ['2014: two that see the whole room need none', atLight('2014', true)],
    ['power at the switch brings it', set(() => undefined), 'The neutral is at the switch in R-1.'],
    ['a /3 loop from the light brings it', loopAt('living', '2017'), 'The neutral is at the switch in R-2.'],
    [
      'a closet needs none',
      loopAt('closet', '2020', '/2'),
      'The switch in R-2 needs no neutral: neither bath, hall, stair nor habitable room.',
    ],
    ['a garage needs none', loopAt('garage', '2023', '/2')],
    ['in 2014 a hall is neither habitable room nor bath', loopAt('hallway', '2014', '/2')],
  ],
  fails: [
    [
      'a /2 loop in a living room',
      loopAt('living', '2023', '/2'),
      'No neutral comes to the switch in R-2: it switches light in or stands in a bath, hall, stair or habitable room. Pull a cable with one conductor more.',
    ],
    [
      '2020: none of two that see the whole room has it',
      atLight('2020', true, '/2'),
      'No neutral comes to the switch in R-2: one of several that see the whole of the lit area, and none of them has it. Pull a cable with one conductor more.',
    ],
    ['a /2 loop in a hall from 2017 on', loopAt('hallway', '2017', '/2')],
    ['a /2 loop in a bathroom of 2014', loopAt('bathroom', '2014', '/2')],
  ],
  cannotTell: [
    [
      'a room that nobody has named',
      loopAt('other', '2023', '/2').with((house) => (house.cables['c-S1']!.kind = '/2')),
      'Whether the switch in R-2 needs a neutral cannot be told: the use of the room is not named. Name the room.',
    ],
  ],
  notApplicable: [['no groups', wiringBuilder({ boxes: { R: [null, 'receptacle'] } })]],
});
