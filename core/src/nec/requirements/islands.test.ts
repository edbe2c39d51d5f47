import { describe, expect, test } from 'vitest';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { newDevice } from '../../house/schema-equipment';
import { viewRoom } from '../../plan/room-view';
import { effectiveLimits } from '../check-house';
import { islandNeed, type IslandLimits } from './islands';

type Box4 = [x: number, y: number, width: number, depth: number];

const withIsland = (top: Box4, edition: '2014' | '2017' = '2017') =>
  aHouse(edition).room('kit', 'kitchen', [0, 0, 400, 400]).standing('isle', 'kit', 'island', top);

function needOf(builder: HouseBuilder) {
  const house = builder.build();
  const limits = effectiveLimits<IslandLimits>(house, 'island-receptacle')!;
  return islandNeed(viewRoom(house, 'kit'), house.features['isle']!, limits);
}

describe('a sink or cooktop divides an island where less than 12 in of top lie behind it: 2014 and 2017', () => {
  const wide: Box4 = [100, 100, 120, 36];
  const deep: Box4 = [100, 100, 36, 120];
  test.each<[string, Box4, Box4 | undefined, number]>([
    ['nothing in it', wide, undefined, 1],
    ['11 in before and 5 in behind: two pieces', wide, [140, 111, 30, 20], 2],
    ['12 in before it: one piece', wide, [140, 112, 30, 20], 1],
    ['12 in behind it: one piece', wide, [140, 104, 30, 20], 1],
    ['beside the island, not in it', wide, [140, 140, 30, 20], 1],
    ['partly over its right end', wide, [205, 108, 30, 20], 1],
    ['partly over its left end', wide, [90, 108, 30, 20], 1],
    ['over its front edge', wide, [140, 90, 30, 20], 1],
    ['flush with its back edge, 16 in before it', wide, [140, 100, 30, 20], 1],
    ['flush with both edges', wide, [140, 100, 30, 36], 2],
    ['at its very end: one piece is left', wide, [190, 108, 30, 20], 1],
    ['a short piece of 10 in beside it does not count', wide, [110, 108, 30, 20], 1],
    ['across: an island that lies the other way', deep, [108, 140, 20, 30], 2],
    ['across, 12 in to one side', deep, [112, 140, 20, 30], 1],
    ['across, 12 in to the other side', deep, [104, 140, 20, 30], 1],
    ['a square top is taken along x', [100, 100, 60, 60], [120, 106, 20, 50], 2],
  ])('%s', (_, top, sink, need) => {
    const house = withIsland(top);
    expect(needOf(sink ? house.standing('s', 'kit', 'sink', sink) : house).need).toBe(need);
  });
  test('a cabinet on it divides nothing', () => {
    expect(needOf(withIsland(wide).standing('c', 'kit', 'cabinet', [140, 100, 30, 36])).need).toBe(1);
  });
});

describe('which boxes serve a top', () => {
  const side = (over: {
    readonly heightIn?: number;
    readonly device?: 'receptacle' | 'switch';
    readonly on?: string;
  }) =>
    withIsland([100, 100, 72, 36])
      .standing('other', 'kit', 'island', [300, 300, 60, 36])
      .with((house) => {
        house.boxes['b'] = {
          id: 'b',
          room: 'kit',
          tag: 'K-1',
          at: { kind: 'feature', feature: over.on ?? 'isle', x: 130, y: 100, heightIn: over.heightIn ?? 30 },
          gangs: 1,
          origin: 'code',
          devices: { d: newDevice(over.device ?? 'receptacle', 'd') },
        };
      });
  test.each([
    ['6 in below the top', {}, 1],
    ['12 in below', { heightIn: 24 }, 1],
    ['13 in below', { heightIn: 23 }, 0],
    ['in the side of another island', { on: 'other' }, 0],
    ['a switch', { device: 'switch' as const }, 0],
  ])('%s', (_, over, serving) => expect(needOf(side(over)).serving).toHaveLength(serving));

  /** A peninsula of 60 by 25 in from 100 in along the north wall, and a receptacle on a wall. */
  const peninsula = (edition: '2014' | '2017', box: [wall: string, along: number, height: number]) =>
    aHouse(edition)
      .room('kit', 'kitchen', [0, 0, 400, 400])
      .feature('kit', 'peninsula', ['c0', 100, 60, 25])
      .receptacle('kit', box[0], box[1], { heightIn: box[2] })
      .with((house) => {
        const [id] = Object.keys(house.features);
        house.features['isle'] = { ...house.features[id!]!, id: 'isle' };
        delete house.features[id!];
      });
  test.each<[string, '2014' | '2017', [string, number, number], number]>([
    ['2017: over it on its wall', '2017', ['c0', 130, 44], 1],
    ['2014: measured from where it joins', '2014', ['c0', 130, 44], 0],
    ['over its first inch', '2017', ['c0', 100, 44], 1],
    ['over its last inch', '2017', ['c0', 160, 44], 1],
    ['an inch before it', '2017', ['c0', 99, 44], 0],
    ['an inch past it', '2017', ['c0', 161, 44], 0],
    ['at the height of its top', '2017', ['c0', 130, 36], 1],
    ['below its top', '2017', ['c0', 130, 35], 0],
    ['on another wall', '2017', ['c1', 130, 44], 0],
    ['too high to count', '2017', ['c0', 130, 80], 0],
  ])('%s', (_, edition, box, serving) => expect(needOf(peninsula(edition, box)).serving).toHaveLength(serving));
});
