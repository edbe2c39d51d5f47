import { testRule } from '../../test/rule-tester';
import { chainOf, wiringBuilder } from '../../test/wiring-house';
import { idleSwitch } from './idle-switch';
import { set } from '../../test/wiring-cases';

testRule(idleSwitch, {
  passes: [['all in a group', wiringBuilder(chainOf(2)), 'Every switch is in a group.']],
  fails: [
    [
      'one in none',
      set((house) => (house.switchGroups = {})),
      'A switch in R-1 is in no group. Say at Switching what is governed.',
    ],
    [
      'two in one box',
      wiringBuilder({ boxes: { S: [null, 'switch', 'switch'] } }),
      '2 switches in R-1 are in no group. Say at Switching what is governed.',
    ],
  ],
  notApplicable: [['no switch', wiringBuilder({ boxes: { R: [null, 'receptacle'] } })]],
});
