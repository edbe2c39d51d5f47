import { expect, test } from 'vitest';
import { newDevice } from '../../house/schema-equipment';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { RoomKind } from '../../house/schema';
import { checkHouse } from '../check-house';
import { hotTubSwitches } from './hot-tub-switches';

/** A tub of 7 ft in a corner, and a switch on its wall at a distance from the corner. */
const tub = (kind: RoomKind = 'deck') =>
  aHouse().room('r', kind, [0, 0, 400, 200]).standing('tub', 'r', 'hot-tub', [0, 0, 84, 84]);

testRule(hotTubSwitches, {
  passes: [
    ['5 ft away', tub().switchAt('r', 'c0', 144, null), 'No switch is within reach of the hot tub in r.'],
    ['no switch at all', tub('sunroom')],
    ['a receptacle beside it is another rule\u2019s', tub().receptacle('r', 'c0', 100)],
    [
      'a switch at a tub for bathing',
      tub().standing('bath', 'r', 'tub', [300, 100, 60, 30]).switchAt('r', 'c0', 330, null),
    ],
    [
      'a switch of the next room, the wall between',
      tub().room('next', 'living', [400, 0, 200, 200]).switchAt('next', 'c3', 100, null),
    ],
  ],
  fails: [
    [
      'a switch and a receptacle in one box',
      tub()
        .switchAt('r', 'c0', 100, null)
        .with((house) => {
          const [box] = Object.values(house.boxes);
          box!.gangs = 2;
          box!.devices['x'] = newDevice('receptacle', 'x');
        }),
    ],
    [
      '4 ft 11 in away',
      tub('sunroom').switchAt('r', 'c0', 143, null),
      'Switch R1-1 is 4\'-11" from the inside wall of the hot tub: 5\'-0" at least, unless a solid fence or wall stands between.',
    ],
  ],
  notApplicable: [['no tub', aHouse().room('r', 'deck', [0, 0, 400, 200])]],
});

test.each([
  ['deck', '680.22(C)'],
  ['sunroom', '680.43(C)'],
] as const)('on a %s it is %s, near and clear of it', (kind, section) => {
  const near = tub(kind).switchAt('r', 'c0', 100, null).build();
  const clear = tub(kind).switchAt('r', 'c0', 200, null).build();
  expect(checkHouse(near, { rules: [hotTubSwitches] }).findings).toMatchObject([{ section }]);
  expect(checkHouse(clear, { rules: [hotTubSwitches] }).passes).toMatchObject([{ section }]);
});
