import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { panelWorkingSpace } from './panel-working-space';
import { room, panel } from '../../test/boxes-in-place-cases';

testRule(panelWorkingSpace, {
  passes: [
    ['nothing near', panel('garage'), 'The working space of Main is clear.'],
    [
      'tile behind it and a cabinet above 6 1/2 ft',
      panel('garage')
        .feature('r', 'tile', ['c0', 50, 40, 0.5])
        .feature('r', 'cabinet', ['c0', 50, 40, 12], { bottomIn: 80, heightIn: 96 }),
    ],
    [
      'a panel of 14 1/2 in, a quarter of an inch from the end of a wall of 31 in',
      aHouse()
        .room('r', 'hallway', [0, 0, 31, 144])
        .feature('r', 'panel', ['c0', 0.25, 14.5, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
    ],
    [
      'a passage 40 in wide just holds it',
      aHouse()
        .room('r', 'hallway', [0, 0, 144, 40])
        .feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
    ],
    [
      'a wall that is drawn in two pieces goes on',
      aHouse()
        .room('r', 'hallway', [
          [0, 0],
          [20, 0],
          [60, 0],
          [60, 144],
          [0, 144],
        ])
        .feature('r', 'panel', ['c0', 2, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
    ],
    [
      'a disconnect beside it that stands out 4 in beyond its front: 110.26(A)(3)',
      panel('garage').feature('r', 'disconnect', ['c0', 76, 9, 8]).feature('r', 'counter', ['c0', 20, 40, 25]),
    ],
    ['a bench beside it: the space need not be centered', panel('garage').feature('r', 'counter', ['c0', 76, 40, 25])],
  ],
  fails: [
    [
      'a disconnect that stands out 8 in beyond its front, and a bench on the other side',
      panel('garage').feature('r', 'disconnect', ['c0', 76, 9, 12]).feature('r', 'counter', ['c0', 20, 40, 25]),
      'The disconnect stands in the working space of Main.',
    ],
    [
      'a washer in front',
      panel('laundry').standing('w', 'r', 'washer', [60, 34, 28, 28]),
      'The washer stands in the working space of Main.',
    ],
    [
      'a ceiling of 6 ft',
      panel('basement-unfinished').with((house) => void (house.levels['L1']!.ceilingIn = 72)),
      'The ceiling over Main is 6\'-0" high.',
    ],
    [
      'a niche of 28 in',
      aHouse()
        .room('r', 'hallway', [0, 0, 28, 120])
        .feature('r', 'panel', ['c0', 6, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
      'In front of Main in r there is no clear space 2\'-6" wide and 3\'-0" deep.',
    ],
    [
      'a passage 38 in wide: 34 in before the panel\u2019s front',
      aHouse()
        .room('r', 'hallway', [0, 0, 144, 38])
        .feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
      'In front of Main in r there is no clear space 2\'-6" wide and 3\'-0" deep.',
    ],
  ],
  cannotTell: [
    [
      'not drawn',
      room('garage').panel('Main', 'r', 40),
      'Where Main hangs is not drawn, so its working space is not known. Draw it as a feature on a wall.',
    ],
    [
      'over an open side into the next room',
      aHouse()
        .room('r', 'hallway', [0, 0, 144, 30])
        .boundary('r', 'c2', 'open')
        .feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' })
        .panel('Main', 'r', 40, 'p'),
      'The working space of Main reaches over an open side into the next room. Look whether anything stands there.',
    ],
  ],
});
