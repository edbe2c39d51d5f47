import { newDevice } from '../../house/schema-equipment';
import { testRule } from '../../test/rule-tester';
import { switchInTub } from './switch-in-tub';
import { room, bath } from '../../test/boxes-in-place-cases';

testRule(switchInTub, {
  passes: [
    [
      '2 ft from the tub: the 3 ft are for receptacles',
      bath().switchAt('b', 'c0', 54, null),
      'The switches of b are outside its tub and shower.',
    ],
    [
      'a box without a switch over the tub, the switch at the door',
      bath().switchAt('b', 'c0', 54, null).receptacle('b', 'c3', 60),
    ],
  ],
  fails: [
    [
      'over the shower',
      room('bathroom').feature('r', 'shower', ['c0', 0, 40, 40]).switchAt('r', 'c0', 20, null),
      'Switch R1-1 is inside the space of the shower.',
    ],
    [
      'a switch and a receptacle in one box over the tub',
      bath()
        .switchAt('b', 'c3', 60, null)
        .with((house) => {
          const [box] = Object.values(house.boxes);
          box!.gangs = 2;
          box!.devices['x'] = newDevice('receptacle', 'x');
        }),
    ],
    ['over the tub', bath().switchAt('b', 'c3', 60, null), 'Switch R1-1 is inside the space of the tub.'],
  ],
  notApplicable: [
    ['a receptacle over the tub is another rule\u2019s', bath().receptacle('b', 'c3', 60)],
    ['a half bath', room('half-bath').switchAt('r', 'c0', 20, null)],
  ],
});
