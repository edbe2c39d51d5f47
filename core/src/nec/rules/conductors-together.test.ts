import { testRule } from '../../test/rule-tester';
import { chainOf, wiringBuilder } from '../../test/wiring-house';
import { conductorsTogether } from './conductors-together';

testRule(conductorsTogether, {
  passes: [['each run one cable', wiringBuilder(chainOf(3)), 'Each run of Q is one cable.']],
  fails: [
    [
      'a four-way fed from the lamp on a dead end',
      wiringBuilder({
        boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['L', 'switch'], S3: ['L', 'switch'] },
        groups: { a: { switches: ['S1-0', 'S2-0', 'S3-0'], controls: ['L-0'] } },
      }),
      '5 conductors cross from R-1 to R-2: 2 cables side by side. All conductors of a circuit belong together (300.3(B)); with nonmetallic cable and boxes inspectors differ. Another feed order may need one only.',
    ],
  ],
  notApplicable: [['no circuit', wiringBuilder({ boxes: {}, change: (house) => (house.circuits = {}) })]],
});
