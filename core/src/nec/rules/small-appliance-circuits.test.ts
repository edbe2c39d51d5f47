import { testRule } from '../../test/rule-tester';
import { smallApplianceCircuits } from './small-appliance-circuits';
import { over, kitchen } from '../../test/circuits-cases';

testRule(smallApplianceCircuits, {
  passes: [
    [
      'two circuits reach the counter',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).receptacle('kit', 'c0', 70, over('SA2')),
      'The counter of kit is fed by 2 circuits of 20 A.',
    ],
    [
      'one of them feeds the dining room as well',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA2'))
        .receptacle('din', 'c0', 20, { circuit: 'SA2' }),
    ],
  ],
  fails: [
    [
      'one for the counter, one for the dining room',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA1'))
        .receptacle('din', 'c0', 20, { circuit: 'SA2' }),
      'The counter of kit is fed by 1 circuit of 20 A; 2 are required.',
    ],
    [
      'a 15 A circuit does not count',
      kitchen().circuit('L1', 15).receptacle('kit', 'c0', 20, over('SA1')).receptacle('kit', 'c0', 70, over('L1')),
    ],
    [
      'one circuit for the counters of two kitchens',
      kitchen()
        .room('kit2', 'kitchen', [300, 0, 144, 144])
        .feature('kit2', 'counter', ['c0', 0, 100, 25])
        .circuit('SA3', 20)
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA2'))
        .receptacle('kit2', 'c0', 20, over('SA3'))
        .receptacle('kit2', 'c0', 70, over('SA2')),
      'SA2 feeds receptacles of kit and kit2: a small-appliance circuit serves one kitchen.',
    ],
    [
      'a wall receptacle of the other kitchen on the counter circuit of this one',
      kitchen()
        .room('kit2', 'kitchen', [300, 0, 144, 144])
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA2'))
        .receptacle('kit2', 'c2', 20, { circuit: 'SA2' }),
      'SA2 feeds receptacles of kit and kit2: a small-appliance circuit serves one kitchen.',
    ],
  ],
  cannotTell: [
    [
      'a general circuit for walls of two kitchens, one of which has no counter yet: it is no small-appliance circuit',
      kitchen()
        .circuit('G', 20)
        .room('kit2', 'kitchen', [300, 0, 144, 144])
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA2'))
        .receptacle('kit', 'c2', 20, { circuit: 'G' })
        .receptacle('kit2', 'c2', 20, { circuit: 'G' }),
    ],
    [
      'a light of the other kitchen on a counter circuit is told elsewhere',
      kitchen()
        .room('kit2', 'kitchen', [300, 0, 144, 144])
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA2'))
        .over('kit2', 'luminaire', 370, 70, { circuit: 'SA2' }),
    ],
    [
      'no counter receptacle yet',
      kitchen(),
      'kit has no counter receptacle yet, so its small-appliance circuits cannot be counted.',
    ],
  ],
});
