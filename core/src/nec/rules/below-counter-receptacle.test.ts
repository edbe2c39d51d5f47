import { testRule } from '../../test/rule-tester';
import { islandNeed, type IslandLimits } from '../requirements/islands';
import { effectiveLimits } from '../check-house';
import { belowCounterReceptacle } from './below-counter-receptacle';
import { describe, expect, it } from 'vitest';
import type { House } from '../../house/schema';
import { viewRoom } from '../../plan/room-view';
import { island, peninsula } from '../../test/placing-cases';

testRule(belowCounterReceptacle, {
  passes: [
    [
      '2014: 12 in below the top',
      island('2014', 64, 30, { overhangIn: 6 }).onFeature('kit', 'isl', null, 24),
      'R1-1 may serve the island from its side.',
    ],
    ['2020: 6 in below', island('2020', 64, 30, { overhangIn: 1 }).onFeature('kit', 'isl', null, 30)],
    [
      '2023: for other uses',
      island('2023', 64, 30).onFeature('kit', 'isl', null, 24),
      'R1-1 may be in the side of the island, but does not serve its top.',
    ],
  ],
  fails: [
    [
      '2017: 13 in below',
      island('2017', 64, 30).onFeature('kit', 'isl', null, 23),
      'R1-1 stands 1\'-1" below the top of the island.',
    ],
    [
      '2020: under an overhang of 12 in for stools',
      island('2020', 64, 30, { overhangIn: 12 }).onFeature('kit', 'isl', null, 30),
      'R1-1 stands below a top that overhangs the island by 1\'-0": it does not serve it.',
    ],
  ],
  cannotTell: [
    [
      '2017: nobody has said how far the top overhangs',
      island('2017', 64, 30).onFeature('kit', 'isl', null, 30),
      'How far the top overhangs the island over R1-1 is not said. Beyond 6 in the receptacle does not serve it: enter the overhang.',
    ],
  ],
});

describe('islands of 2014 and 2017', () => {
  const needAt = (house: House, id: string) =>
    islandNeed(viewRoom(house, 'kit'), house.features[id]!, effectiveLimits<IslandLimits>(house, 'island-receptacle')!)
      .need;
  it.each([
    ['2014', 48, 0],
    ['2014', 49, 1],
    ['2017', 23, 0],
    ['2017', 24, 1],
  ] as const)('%s: a peninsula of %i in from the wall, past 25 in of counter: %i due', (edition, outIn, due) => {
    const house = peninsula(edition, outIn).build();
    expect(needAt(house, 'pen')).toBe(due);
  });
  it.each([
    ['a sink with 10 in of counter behind it divides the top: two are due', 10, 2],
    ['with 13 in behind it does not', 13, 1],
  ])('%s', (_, behind, due) => {
    const house = island('2017', 96, 36)
      .standing('sink', 'kit', 'sink', [135, 100 + behind, 24, 36 - 2 * behind > 6 ? 36 - 2 * behind : 10])
      .build();
    expect(needAt(house, 'isl')).toBe(due);
  });
});
