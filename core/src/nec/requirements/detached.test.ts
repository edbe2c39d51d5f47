import { describe, expect, test } from 'vitest';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { viewRoom } from '../../plan/room-view';
import { mayHaveNoPower } from './detached';

const answer = (builder: HouseBuilder): boolean => {
  const house = builder.build();
  const views = Object.keys(house.rooms).map((id) => viewRoom(house, id));
  return mayHaveNoPower(
    views.find(({ room }) => room.id === 'gar')!,
    views,
  );
};
/** A house of 400 by 400 in at 1000, 1000, and a garage of 200 by 200. */
const garageAt = (x: number, y: number) =>
  aHouse().room('liv', 'living', [1000, 1000, 400, 400]).room('gar', 'garage', [x, y, 200, 200]);

describe('a garage that stands apart may have no power', () => {
  test.each<[string, number, number, boolean]>([
    ['24 in to the east of the house', 1424, 1100, true],
    ['23 in to the east', 1423, 1100, false],
    ['24 in to the west', 776, 1100, true],
    ['23 in to the west', 777, 1100, false],
    ['24 in to the south', 1100, 1424, true],
    ['23 in to the south', 1100, 1423, false],
    ['24 in to the north', 1100, 776, true],
    ['23 in to the north', 1100, 777, false],
    ['off the corner, near in one direction alone', 1423, 1500, true],
    ['wall to wall', 1404.5, 1100, false],
  ])('%s: %s', (_, x, y, apart) => expect(answer(garageAt(x, y))).toBe(apart));

  test('what has a box has power', () => {
    expect(answer(garageAt(2000, 2000).receptacle('gar', 'c0', 50))).toBe(false);
  });
  test.each([
    ['a deck', 'deck', true],
    ['another garage', 'garage', true],
    ['a shed', 'accessory-building', true],
    ['a bedroom', 'bedroom', false],
  ] as const)('%s beside it', (_, kind, apart) =>
    expect(answer(garageAt(2000, 2000).room('near', kind, [2204, 2000, 100, 100]))).toBe(apart),
  );
});
