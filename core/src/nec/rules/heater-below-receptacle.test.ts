import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { heaterBelowReceptacle } from './heater-below-receptacle';

const heated = () =>
  aHouse().room('bed', 'bedroom', [0, 0, 144, 120]).feature('bed', 'baseboard-heater', ['c0', 20, 72, 3]);

testRule(heaterBelowReceptacle, {
  passes: [
    ['a box beside the heater', heated().receptacle('bed', 'c0', 100), 'No receptacle stands above the heater of bed.'],
    ['one inch past its end', heated().receptacle('bed', 'c0', 93)],
    ['one inch before it', heated().receptacle('bed', 'c0', 19)],
    ['on the wall across, at the same distance', heated().receptacle('bed', 'c2', 60)],
    ['a switch above it', heated().switchAt('bed', 'c0', 60, null)],
    ['a receptacle in the ceiling over it', heated().ceiling('bed', 'receptacle', null)],
    [
      'above a dresser: it is no heater',
      heated().feature('bed', 'furniture', ['c2', 20, 72, 3]).receptacle('bed', 'c2', 60),
    ],
  ],
  fails: [
    ['a box above the heater', heated().receptacle('bed', 'c0', 60), 'R1-1 stands above the baseboard heater of bed.'],
    ['at its very end', heated().receptacle('bed', 'c0', 92)],
    ['at its very beginning', heated().receptacle('bed', 'c0', 20)],
    [
      'above the second of two',
      heated().feature('bed', 'baseboard-heater', ['c1', 20, 48, 3]).receptacle('bed', 'c1', 40),
      'R1-1 stands above the baseboard heater of bed.',
    ],
  ],
  notApplicable: [['no heater', aHouse().room('bed', 'bedroom', [0, 0, 144, 120]).receptacle('bed', 'c0', 60)]],
});
