import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { emergencyDisconnect } from './emergency-disconnect';

testRule(emergencyDisconnect, {
  passes: [['it is there', served({ emergencyDisconnect: 'yes' }), 'An emergency disconnect stands outdoors.']],
  fails: [
    [
      'there is none',
      served({ emergencyDisconnect: 'no' }, '2020'),
      'No emergency disconnect stands outdoors: the service disconnect, a meter disconnect or a listed switch, readily accessible and labeled.',
    ],
  ],
  cannotTell: [
    [
      'nothing is said',
      served(),
      'Whether an emergency disconnect stands outdoors is not said: the service disconnect, a meter disconnect or a listed switch.',
    ],
  ],
  notApplicable: [
    ['an edition that does not ask', served({}, '2017')],
    ['a house on wheels', served({ kind: 'cord' })],
  ],
});
