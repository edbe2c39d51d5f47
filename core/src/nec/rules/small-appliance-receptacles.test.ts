import { testRule } from '../../test/rule-tester';
import { smallApplianceReceptacles } from './small-appliance-receptacles';
import { over, kitchen } from '../../test/circuits-cases';

testRule(smallApplianceReceptacles, {
  passes: [
    [
      'the dining room rides on the counter circuit',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).receptacle('din', 'c0', 60, { circuit: 'SA1' }),
      'The receptacles of din are on small-appliance circuits, or on circuits of their own.',
    ],
    [
      'a switched receptacle of the dining room, in place of a light, on a lighting circuit: Exception 1',
      kitchen().circuit('L1', 15).receptacle('din', 'c0', 60, { circuit: 'L1', switched: 'half' }),
    ],
    [
      'a receptacle in a cabinet is none of 210.52(A) or (C)',
      kitchen()
        .circuit('L1', 15)
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c1', 20, { circuit: 'L1', inCabinet: true }),
    ],
    [
      'a refrigerator on a 15 A circuit of its own',
      kitchen().circuit('F', 15, { purpose: 'individual' }).load('refrigerator', 'kit', 'c1', 40, 'F'),
    ],
  ],
  fails: [
    [
      'a dining room on a lighting circuit',
      kitchen().circuit('L1', 15).receptacle('din', 'c0', 60, { circuit: 'L1' }),
      'receptacle R2-1 in din: fed by L1, which is not a 20 A small-appliance circuit for din.',
    ],
    [
      '2014: a bread oven on a circuit of its own is not yet excepted',
      kitchen('2014').circuit('M', 20, { purpose: 'individual' }).load('other', 'kit', 'c1', 40, 'M'),
    ],
    [
      'a refrigerator on a general circuit with others',
      kitchen()
        .circuit('G', 20)
        .load('refrigerator', 'kit', 'c1', 40, 'G')
        .receptacle('din', 'c0', 60, { circuit: 'G' }),
    ],
  ],
});
