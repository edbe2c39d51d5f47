import { aHouse, bedroom } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { boxInUse } from './box-in-use';
import { room } from '../../test/boxes-in-place-cases';

testRule(boxInUse, {
  passes: [
    ['a receptacle behind the door leaf still counts and can be used', bedroom().receptacle('bed', 'c3', 115)],
    [
      'a low box under a high shelf',
      room('den')
        .feature('r', 'tall-cabinet', ['c0', 0, 36, 24], { bottomIn: 60, heightIn: 84 })
        .receptacle('r', 'c0', 20),
      'The boxes of r can be reached as the room is furnished.',
    ],
  ],
  fails: [
    [
      'a switch behind the open door',
      aHouse().room('r', 'den', [0, 0, 144, 120]).opening('r', 'c0', 'door', 60, 32).switchAt('r', 'c0', 50, null),
      'R1-1 is behind the open door.',
    ],
    [
      'behind a parked barn door',
      aHouse().room('r', 'den', [0, 0, 144, 120]).opening('r', 'c0', 'barn', 60, 36).receptacle('r', 'c0', 40),
      'R1-1 is behind the open barn door.',
    ],
    [
      'behind the headboard of a bed that stands free',
      room('bedroom').standing('bed', 'r', 'bed', [30, 4, 60, 80], { heightIn: 44 }).receptacle('r', 'c0', 60),
      'R1-1 is behind the headboard of a bed.',
    ],
    [
      'where the owner wants none',
      room('den').feature('r', 'no-device', ['c0', 30, 60, 1], { heightIn: 96 }).receptacle('r', 'c0', 60),
    ],
  ],
});
