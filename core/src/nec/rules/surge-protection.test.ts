import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { surgeProtection } from './surge-protection';

testRule(surgeProtection, {
  passes: [['it is there', served({ surge: 'yes' }), 'A surge-protective device stands at the service.']],
  fails: [
    [
      'there is none',
      served({ surge: 'no' }, '2020'),
      'The service has no surge-protective device: Type 1 or Type 2, at the service or beside it.',
    ],
  ],
  cannotTell: [
    [
      'nothing is said',
      served(),
      'Whether a surge-protective device is planned at the service is not said: Type 1 or Type 2.',
    ],
  ],
  notApplicable: [
    ['an edition that does not ask', served({}, '2017')],
    ['a house on wheels', served({ kind: 'cord' })],
  ],
});
