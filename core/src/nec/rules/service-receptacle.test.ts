import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { Edition } from '../../house/schema';
import { serviceReceptacle } from './service-receptacle';

const attic = (edition: Edition = '2023') =>
  aHouse(edition).room('r', 'attic', [0, 0, 600, 200]).feature('r', 'air-handler', ['c3', 50, 30, 40]);

testRule(serviceReceptacle, {
  passes: [
    ['20 ft along the attic', attic().receptacle('r', 'c0', 270), 'Receptacle R1-1 serves the air handler.'],
    ['2014: the same', attic('2014').receptacle('r', 'c0', 270)],
  ],
  cannotTell: [
    [
      'one in the next room, on the same level',
      attic().room('side', 'storage', [0, -124.5, 120, 120]).receptacle('side', 'c2', 20),
      'The nearest receptacle to the air handler, R2-1, stands in another room, side. If one gets to it freely from the equipment it serves; a wall or a locked door between, and it does not.',
    ],
  ],
  fails: [
    ['one inside a cabinet', attic().receptacle('r', 'c0', 270, { inCabinet: true })],
    ['one that an appliance takes', attic().load('freezer', 'r', 'c0', 270, null)],
    [
      '40 ft away',
      attic().receptacle('r', 'c0', 590),
      'No receptacle stands within 25 ft of the air handler in r, on its level.',
    ],
    ['240 V only', attic().receptacle('r', 'c0', 100, { volts: 240, ratingA: 30 })],
  ],
});
