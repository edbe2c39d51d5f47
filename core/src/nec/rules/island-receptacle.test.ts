import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { islandReceptacle } from './island-receptacle';
import { island, peninsula } from '../../test/placing-cases';

testRule(islandReceptacle, {
  passes: [
    [
      '2017: one for an island of 24 x 12',
      island('2017', 24, 12).onFeature('kit', 'isl'),
      'The island has 1 receptacle: enough.',
    ],
    ['2020: 27 ft² asks for two', island('2020', 72, 54).onFeature('kit', 'isl').onFeature('kit', 'isl')],
    [
      '2023: a provision is enough',
      island('2023', 72, 36, { provision: true }),
      'The island has a provision for a later receptacle.',
    ],
    ['2023: one receptacle in the top is enough', island('2023', 96, 60).onFeature('kit', 'isl', null, 36)],
    ['2020: 9 ft² ask for one', island('2020', 36, 36).onFeature('kit', 'isl')],
    [
      '2020: a peninsula with one at its outer end',
      peninsula('2020', 43).onFeature('kit', 'pen', null, 30, [115, 43]),
      'The peninsula has 1 receptacle: enough.',
    ],
    [
      '2017: a receptacle on the wall at the joint serves a peninsula measured from the wall',
      peninsula('2017').receptacle('kit', 'c0', 115, { heightIn: 43 }),
    ],
    [
      '2017: an island of 23 in asks for none, the peninsula beside it has one',
      peninsula('2017', 30).standing('isl', 'kit', 'island', [200, 200, 23, 20]).onFeature('kit', 'pen'),
    ],
  ],
  fails: [
    [
      '2020: a peninsula with its receptacle 25 in from the outer end',
      peninsula('2020', 43).onFeature('kit', 'pen', null, 30, [100, 18]),
      'The receptacle nearest to the outer end of the peninsula is 2\'-1" from it.',
    ],
    ['2017: a peninsula of 47 in from the wall, 22 in from the edge', peninsula('2017', 47)],
    [
      '2014: 24 in from the edge where it joins the counter',
      peninsula('2014', 49),
      'The peninsula (10.2 ft²) has 0 receptacles; 1 required.',
    ],
    [
      'a dining room\u2019s island is a counter as well',
      aHouse('2017').room('din', 'dining', [0, 0, 300, 300]).standing('isl', 'din', 'island', [100, 100, 60, 30]),
    ],
    [
      '2023: in its side only',
      island('2023', 64, 30).onFeature('kit', 'isl', null, 30),
      'The island has a receptacle in its side only: it may be there, but does not serve the counter. Set one listed for countertops into the top, or keep a provision.',
    ],
    [
      '2017: a sink divides it into two pieces of 20 by 36 in, and each counts',
      island('2017', 73, 36).standing('sink', 'kit', 'sink', [120, 102, 33, 32]).onFeature('kit', 'isl'),
      'The island (18.3 ft²) has 1 receptacle; 2 required.',
    ],
    [
      '2020: only under a top that reaches 7 in over',
      island('2020', 36, 36, { overhangIn: 7 }).onFeature('kit', 'isl'),
    ],
    ['2017: none', island('2017', 24, 12), 'The island (2.0 ft²) has 0 receptacles; 1 required.'],
    [
      '2020: a hair over 27 ft² asks for three',
      island('2020', 72, 54.1).onFeature('kit', 'isl').onFeature('kit', 'isl'),
      'The island (27.1 ft²) has 2 receptacles; 3 required.',
    ],
    [
      '2023: neither receptacle nor provision',
      island('2023', 72, 36),
      'The island has neither a receptacle nor a provision (box, cable or raceway) for one later.',
    ],
  ],
  notApplicable: [
    ['a kitchen without an island', aHouse().room('kit', 'kitchen', [0, 0, 100, 100])],
    [
      'a workbench island in a studio',
      aHouse().room('s', 'studio', [0, 0, 300, 300]).standing('isl', 's', 'island', [100, 100, 60, 30]),
    ],
  ],
});
