import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { generalCircuits } from './general-circuits';

/** A house of one room whose outside is so many feet long and 20 ft wide, with walls of 4½ in. */
const long = (edition: '2017' | '2020' | '2023', ft: number) =>
  aHouse(edition).room('hall', 'living', [0, 0, 231, ft * 12 - 9]);
const lit = (house: ReturnType<typeof long>) => house.circuit('A', 15).ceiling('hall', 'luminaire', 'A');

/** One room of 580 ft² on a 15 A circuit, and another as large that is unfinished. */
const over = ({
  kind = 'basement-unfinished' as const,
  ...more
}: {
  kind?: 'basement-unfinished' | 'attic';
  finishable?: boolean;
}) => lit(long('2023', 29)).room('cellar', kind, [1000, 0, 231, 339], more);

testRule(generalCircuits, {
  passes: [
    ['a basement that could not be finished does not count', over({ finishable: false })],
    ['nor does an attic of which nobody says that it could be', over({ kind: 'attic' })],
    [
      '2017: one 15 A circuit serves 600 ft², outside walls counted',
      lit(long('2017', 29)),
      '580 ft² of floor require 1740 VA of general circuits; there are 1800 VA.',
    ],
    [
      'two rooms with a partition between are as large as the one they were',
      aHouse()
        .room('hall', 'living', [0, 0, 231, 165])
        .room('den', 'den', [0, 169.5, 231, 169.5])
        .circuit('A', 15)
        .ceiling('hall', 'luminaire', 'A'),
      '580 ft² of floor require 1740 VA of general circuits; there are 1800 VA.',
    ],
    [
      'one that feeds only outdoors is a general one',
      aHouse()
        .room('hall', 'living', [0, 0, 231, 339])
        .room('yard', 'outdoors', [0, 370, 240, 99])
        .circuit('A', 15)
        .receptacle('yard', 'c0', 20, { circuit: 'A' }),
    ],
    ['2023: a garage is not counted', aHouse('2023').room('garage', 'garage', [0, 0, 400, 400]).circuit('A', 15)],
  ],
  fails: [
    [
      'a basement that could be finished counts',
      over({ finishable: true }),
      '1160 ft² of floor require 3480 VA of general circuits; there are 1800 VA.',
    ],
    ['so does an attic that could be', over({ kind: 'attic', finishable: true })],
    [
      '2020: 660 ft² ask for a second',
      lit(long('2020', 33)),
      '660 ft² of floor require 1980 VA of general circuits; there are 1800 VA.',
    ],
    [
      'a circuit that feeds one appliance, and one that feeds nothing, serve none of the floor',
      aHouse()
        .room('hall', 'living', [0, 0, 231, 351])
        .circuit('A', 15)
        .load('freezer', 'hall', 'c0', 30, 'A')
        .circuit('B', 20),
      '600 ft² of floor require 1800 VA of general circuits; there are 0 VA.',
    ],
  ],
  cannotTell: [
    [
      'an unfinished basement of 580 ft² under it, of which nobody has said whether it could be finished',
      over({}),
      'With cellar, which could be finished one day, 1160 ft² of floor require 3480 VA of general circuits; there are 1800 VA, enough without. Say whether it could be, or add a circuit.',
    ],
    [
      '610 ft²: the walls are estimated',
      lit(long('2023', 30.5)),
      '610 ft² of floor by estimated outside walls require about 1830 VA of general circuits; there are 1800 VA. Measure the outside of the house, or add a circuit.',
    ],
  ],
});
