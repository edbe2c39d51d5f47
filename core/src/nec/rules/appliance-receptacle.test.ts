import { testRule } from '../../test/rule-tester';
import { applianceReceptacle } from './appliance-receptacle';
import { room } from '../../test/boxes-in-place-cases';

/** A kitchen with a refrigerator at the west end of its north wall, and its receptacle farther along. */
const cold = (alongIn: number) =>
  room('kitchen').feature('r', 'refrigerator', ['c0', 0, 36, 30]).load('refrigerator', 'r', 'c0', alongIn, null);

testRule(applianceReceptacle, {
  passes: [
    ['behind it', cold(18), 'The receptacle of Refrigerator is 0" from where it stands.'],
    ['6 ft along the wall from its side', cold(108)],
  ],
  fails: [['6 ft 1 in', cold(109), 'The receptacle of Refrigerator in r is 6\'-1" from where it stands.']],
  cannotTell: [
    [
      'the range is not drawn',
      room('kitchen').load('range', 'r', 'c0', 20, null),
      'Where Range stands in r is not drawn, so its receptacle cannot be measured.',
    ],
  ],
  notApplicable: [['a hard-wired cooktop', room('kitchen').load('cooktop', 'r', 'c0', 20, null, { cord: false })]],
});
