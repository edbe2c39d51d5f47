import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { heaterBelowReceptacle } from './heater-below-receptacle';

const heated = () =>
  aHouse().room('bed', 'bedroom', [0, 0, 144, 120]).feature('bed', 'baseboard-heater', ['c0', 20, 72, 3]);

testRule(heaterBelowReceptacle, {
  passes: [
    ['a box beside the heater', heated().receptacle('bed', 'c0', 100), 'No receptacle stands above the heater of bed.'],
  ],
  fails: [
    ['a box above the heater', heated().receptacle('bed', 'c0', 60), 'R1-1 stands above the baseboard heater of bed.'],
  ],
});
