import { testRule } from '../../test/rule-tester';
import { chainOf, wiringBuilder } from '../../test/wiring-house';
import { switchGroups } from './switch-groups';
import { set } from '../../test/wiring-cases';

testRule(switchGroups, {
  passes: [['four places', wiringBuilder(chainOf(4)), 'Group a can be wired: 4 places.']],
  fails: [
    [
      'no switch',
      set((house) => (house.switchGroups['a']!.switches = [])),
      'Group a: it has no switch. Place one at the way in and join it to the group.',
    ],
    [
      'one of two groups: the other can be wired',
      set((house) => {
        house.switchGroups['b'] = { id: 'b', name: 'Group b', switches: [], controls: [] };
      }),
      'Group b: nothing is switched. Pick what it controls, or delete the group.',
    ],
    ['nothing controlled', set((house) => (house.switchGroups['a']!.controls = []))],
    ['on no circuit', set((house) => (house.boxes['L']!.devices['L-0']!.circuit = null))],
  ],
  notApplicable: [['no groups', wiringBuilder({ boxes: { R: [null, 'receptacle'] } })]],
});
