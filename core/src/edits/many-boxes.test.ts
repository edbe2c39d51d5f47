import { expect, test } from 'vitest';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { commonOf, devicesIn, ownHeightIn, setHeights } from './many-boxes';

const house = aHouse()
  .room('r', 'den', [0, 0, 200, 200])
  .receptacle('r', 'c0', 40, { heightIn: 16 })
  .receptacle('r', 'c0', 90, { heightIn: 18 })
  .switchAt('r', 'c1', 40, null)
  .ceiling('r', 'luminaire', null)
  .build();
const boxes = Object.values(house.boxes);

test.each([
  [[16, 16], 16],
  [[16, 18], undefined],
  [[], undefined],
])('what %j have in common: %s', (values, common) => expect(commonOf(values)).toBe(common));

test('devices are found by their kind', () => {
  expect(devicesIn(boxes, 'receptacle')).toHaveLength(2);
  expect(devicesIn(boxes, 'switch').map((one) => one.style)).toEqual(['toggle']);
});

test('one height for all that have one; what hangs in the ceiling stays', () => {
  const after = must(
    setHeights(
      house,
      boxes.map((one) => one.id),
      44,
    ),
  ).house;
  expect(Object.values(after.boxes).map(ownHeightIn)).toEqual([44, 44, 44, undefined]);
  expect(after.boxes[boxes[3]!.id]).toBe(house.boxes[boxes[3]!.id]);
});
