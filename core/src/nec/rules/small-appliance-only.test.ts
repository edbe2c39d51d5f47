import { testRule } from '../../test/rule-tester';
import { smallApplianceOnly } from './small-appliance-only';
import { over, kitchen } from '../../test/circuits-cases';

testRule(smallApplianceOnly, {
  passes: [
    [
      'counter and dining room',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).receptacle('din', 'c0', 60, { circuit: 'SA1' }),
      'SA1 feeds small-appliance receptacles only.',
    ],
    [
      'the igniter of a gas range may ride along',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .load('gas-range', 'kit', 'c1', 60, 'SA1', { name: 'Igniter', fastened: true, cord: false }),
    ],
    ['a switch is no outlet', kitchen().receptacle('kit', 'c0', 20, over('SA1')).switchAt('kit', 'c2', 30, 'SA1')],
  ],
  fails: [
    [
      'under-cabinet lights off the counter circuit',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).ceiling('kit', 'luminaire', 'SA1', { style: 'strip' }),
      'SA1 is a small-appliance circuit and also feeds luminaire R1-2 in kit.',
    ],
    ['a dishwasher', kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('dishwasher', 'kit', 'c0', 110, 'SA1')],
    ['a disposer', kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('disposer', 'kit', 'c0', 110, 'SA1')],
    [
      'a hood that is called that of a gas range: its name lets it off nothing',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .load('range-hood', 'kit', 'c1', 60, 'SA1', { name: 'Gas range hood' }),
    ],
    ['a compactor', kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('compactor', 'kit', 'c0', 110, 'SA1')],
    [
      'a built-in microwave in its cabinet',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .load('microwave', 'kit', 'c0', 110, 'SA1', { heightIn: 70, inCabinet: true }),
    ],
  ],
  cannotTell: [
    [
      'something hard-wired of which no kind is said: a clock may be there',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .load('other', 'kit', 'c1', 60, 'SA1', { name: 'Wall clock', cord: false }),
      'SA1 is a small-appliance circuit and also feeds Wall clock (R1-2), of which no kind is said. An electric clock may be there, and nothing else: choose its kind of load.',
    ],
    [
      'a receptacle in a cabinet, its use not said',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c1', 20, { circuit: 'SA1', inCabinet: true }),
      'SA1 is a small-appliance circuit and also feeds receptacle R1-2 in kit, in a cabinet: what it is for is not said. For a hood, disposer or built-in microwave it may not be there.',
    ],
  ],
});
