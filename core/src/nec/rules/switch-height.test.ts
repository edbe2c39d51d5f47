import { testRule } from '../../test/rule-tester';
import { switchHeight } from './switch-height';
import { room } from '../../test/lights-and-alarms-cases';

testRule(switchHeight, {
  passes: [
    ['at the limit of 6 ft 7 in', room('den').switchAt('r', 'c0', 20, null, 79), 'The switches of r can be reached.'],
  ],
  fails: [['an inch above it', room('den').switchAt('r', 'c0', 20, null, 80), 'Switch R1-1 stands at 6\'-8".']],
});
