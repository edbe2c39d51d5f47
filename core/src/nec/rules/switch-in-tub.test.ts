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
  ],
  fails: [['over the tub', bath().switchAt('b', 'c3', 60, null), 'Switch R1-1 is inside the space of the tub.']],
  notApplicable: [['a half bath', room('half-bath').switchAt('r', 'c0', 20, null)]],
});
