import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { generalCircuits } from './general-circuits';

const big = (edition: '2017' | '2020' | '2023') => aHouse(edition).room('hall', 'living', [0, 0, 240, 361]);

testRule(generalCircuits, {
  passes: [
    [
      '2017: one 15 A circuit serves 600 ft²',
      aHouse('2017').room('hall', 'living', [0, 0, 240, 360]).circuit('A', 15).ceiling('hall', 'luminaire', 'A'),
      '600 ft² of floor ask for 1800 VA of general circuits; there are 1800 VA.',
    ],
    [
      'one that feeds only outdoors is a general one',
      aHouse()
        .room('hall', 'living', [0, 0, 240, 360])
        .room('yard', 'outdoors', [0, 370, 240, 99])
        .circuit('A', 15)
        .receptacle('yard', 'c0', 20, { circuit: 'A' }),
    ],
    ['2023: a garage is not counted', aHouse('2023').room('garage', 'garage', [0, 0, 400, 400]).circuit('A', 15)],
  ],
  fails: [
    [
      '2020: a hair over 600 ft² asks for a second',
      big('2020').circuit('A', 15).ceiling('hall', 'luminaire', 'A'),
      '602 ft² of floor ask for 1805 VA of general circuits; there are 1800 VA.',
    ],
    [
      'a circuit that feeds one appliance, and one that feeds nothing, serve none of the floor',
      aHouse()
        .room('hall', 'living', [0, 0, 240, 360])
        .circuit('A', 15)
        .load('freezer', 'hall', 'c0', 30, 'A')
        .circuit('B', 20),
      '600 ft² of floor ask for 1800 VA of general circuits; there are 0 VA.',
    ],
  ],
});
