import { testRule } from '../../test/rule-tester';
import { lightingStorageSpaces } from './lighting-storage-spaces';
import { room } from '../../test/lights-and-alarms-cases';

testRule(lightingStorageSpaces, {
  passes: [
    ['an attic with a light and a switch', room('attic').lit('r'), 'r has its lighting outlet, with a wall switch.'],
    [
      'a crawl space with a pull chain at its hatch',
      room('crawl-space').ceiling('r', 'luminaire', null, { ownSwitch: true }),
      'r has a lighting outlet with a switch of its own at the way in.',
    ],
    [
      '2014: a basement with a light',
      room('basement-unfinished', '2014')
        .with((house) => (house.levels['L1']!.grade = 'below'))
        .lit('r'),
    ],
  ],
  fails: [
    [
      'an attic with an air handler',
      room('attic').feature('r', 'air-handler', ['c0', 10, 30, 30]),
      'r holds equipment and has no lighting outlet.',
    ],
    ['storage below grade', room('storage').with((house) => (house.levels['L1']!.grade = 'below'))],
    ['2023: a laundry', room('laundry', '2023'), 'r is a laundry area and has no lighting outlet.'],
    ['a utility room', room('utility'), 'r is a utility or storage space and has no lighting outlet.'],
  ],
  cannotTell: [
    [
      '2020: a laundry, which that edition does not name',
      room('laundry', '2020'),
      'r has no lighting outlet. This edition does not name laundries; hardly one is built without a light: place one, or ask the authority.',
    ],
    [
      'a light, and nobody has said how it is switched',
      room('crawl-space').ceiling('r', 'luminaire', null),
      'How the light of r is switched is not drawn. It needs a switch at the usual way in, or one in the luminaire within reach of it.',
    ],
    [
      'an attic of unknown use',
      room('attic'),
      'Whether r is used for storage, or holds equipment to be serviced, is not drawn. If so, it needs a lighting outlet controlled at its way in.',
    ],
  ],
});
