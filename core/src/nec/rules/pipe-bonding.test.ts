import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { pipeBonding } from './pipe-bonding';

testRule(pipeBonding, {
  passes: [
    [
      'water bonded, no gas',
      served({ waterBond: 'yes', gasBond: 'none' }),
      'Metal gas piping is bonded, or there is none.',
    ],
  ],
  fails: [['water not bonded', served({ waterBond: 'no', gasBond: 'none' }), 'The metal water piping is not bonded.']],
  cannotTell: [
    ['nothing is said', served(), 'Whether there is metal gas piping, and whether it is bonded, is not said.'],
  ],
});
