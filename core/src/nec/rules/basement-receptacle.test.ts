import { testRule } from '../../test/rule-tester';
import { basementReceptacle } from './basement-receptacle';
import { room } from '../../test/boxes-in-place-cases';

testRule(basementReceptacle, {
  passes: [['an ordinary one', room('basement-unfinished').receptacle('r', 'c0', 20), 'r has its receptacle.']],
  fails: [
    ['none', room('basement-unfinished'), 'r has no receptacle of its own.'],
    ['only the sump pump\u2019s', room('basement-unfinished').load('sump-pump', 'r', 'c0', 20, null)],
  ],
});
