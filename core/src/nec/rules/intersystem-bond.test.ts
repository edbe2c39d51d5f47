import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { intersystemBond } from './intersystem-bond';

testRule(intersystemBond, {
  passes: [
    ['it is there', served({ intersystemBond: 'yes' }), 'An intersystem bonding termination stands at the service.'],
  ],
  fails: [
    [
      'there is none',
      served({ intersystemBond: 'no' }, '2020'),
      'No intersystem bonding termination stands at the service: three terminals at least, accessible from outside of the enclosures.',
    ],
  ],
  cannotTell: [
    ['nothing is said', served(), 'Whether an intersystem bonding termination is planned at the service is not said.'],
  ],
  notApplicable: [['a house on wheels', served({ kind: 'cord' })]],
});
