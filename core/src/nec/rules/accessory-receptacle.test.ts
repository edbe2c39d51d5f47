import { testRule } from '../../test/rule-tester';
import { accessoryReceptacle } from './accessory-receptacle';
import { room } from '../../test/boxes-in-place-cases';

const accessory = () => room('accessory-building');

testRule(accessoryReceptacle, {
  passes: [['an ordinary one', accessory().receptacle('r', 'c0', 20), 'r has its receptacle.']],
  fails: [
    ['only a light', accessory().lit('r'), 'r has power and no receptacle of its own.'],
    ['only the well pump\u2019s', accessory().load('sump-pump', 'r', 'c0', 20, null)],
  ],
  cannotTell: [
    [
      'nothing says whether power comes',
      accessory(),
      'r has no box. If power is brought to it, it needs a receptacle and a lighting outlet.',
    ],
  ],
  notApplicable: [['a garage has a rule of its own', room('garage')]],
});
