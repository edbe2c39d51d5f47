import { describe, expect, it } from 'vitest';
import type { RoomKind } from '../../house/schema';
import { boundsOf, distance, isInside, type Point } from '../../geometry/geometry';
import { viewRoom } from '../../plan/room-view';
import { featureOutline } from '../../plan/points';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { lightNeed } from './light-need';
import { planBoxes } from './lay-out-boxes';

const room = (kind: RoomKind, widthFt: number, depthFt: number) =>
  aHouse().room('r', kind, [0, 0, widthFt * 12, depthFt * 12]);

/** Where the lights of the only room hang, as the layout proposes them. */
const lightsOf = (house: HouseBuilder): Point[] => {
  let n = 0;
  const plan = planBoxes(house.build(), ['r'], (prefix) => `${prefix}-${++n}`);
  return plan.boxes
    .filter(({ box }) => box.at.kind === 'ceiling' && box.devices[0]!.kind === 'luminaire')
    .map(({ box }) => box.at as unknown as Point);
};

describe('how many lights a room wants', () => {
  // Worked by hand: fc × ft² ÷ (0.6 × 0.8) lumens, in fixtures of the kind's usual size.
  it.each([
    ['a kitchen of 10 by 12 ft: 5,000 lm in disks of 1,200', 'kitchen', 10, 12, 4],
    ['a kitchen of 18 by 16 ft: no more than six', 'kitchen', 18, 16, 6],
    ['a one-car garage of 12 by 22 ft: 5,500 lm in one of 4,000', 'garage', 12, 22, 1],
    ['a two-car garage of 24 by 24 ft: 12,000 lm', 'garage', 24, 24, 3],
    ['a bedroom: one', 'bedroom', 12, 11, 1],
    ['a living room of 20 by 12 ft: two, for its length', 'living', 20, 12, 2],
    ['a hall of 30 ft: one in 14 ft', 'hallway', 30, 4, 3],
  ] as const)('%s', (_, kind, widthFt, depthFt, count) => {
    const need = lightNeed(viewRoom(room(kind, widthFt, depthFt).build(), 'r'), 1);
    // Rows and columns may make one more of it.
    expect([count, count + 1]).toContain(need.columns * need.rows);
  });

  it('says what it reckoned and with which fixture', () => {
    const { because } = lightNeed(viewRoom(room('kitchen', 10, 12).build(), 'r'), 1);
    expect(because).toBe('4 of 1200 lm give 4800 of 5000 lm for 20 fc, common practice');
  });
});

describe('where they hang', () => {
  it('in a garage none under the raised doors, and one for each bay', () => {
    const garage = room('garage', 24, 24)
      .with((house) => (house.rooms['r']!.bays = 2))
      .opening('r', 'c0', 'vehicle', 20, 96)
      .opening('r', 'c0', 'vehicle', 150, 96);
    const lights = lightsOf(garage);
    expect(lights.length).toBeGreaterThanOrEqual(2);
    for (const { y } of lights) expect(y).toBeGreaterThan(84 + 12);
  });

  it('in an L-shaped family kitchen all inside it, apart from each other, and one over the sink', () => {
    const kitchen = aHouse()
      .room('r', 'kitchen', [
        [0, 0],
        [200, 0],
        [200, 100],
        [120, 100],
        [120, 180],
        [0, 180],
      ])
      .feature('r', 'counter', ['c0', 20, 120, 25], { heightIn: 36 })
      .feature('r', 'sink', ['c0', 60, 33, 22]);
    const house = kitchen.build();
    const lights = lightsOf(kitchen);
    const sink = boundsOf(
      featureOutline(
        house.rooms['r']!,
        Object.values(house.features).find((one) => one.kind === 'sink')!,
      ),
    );
    expect(lights.every((at) => isInside(at, house.rooms['r']!.corners))).toBe(true);
    expect(lights.some(({ x, y }) => x > sink.minX && x < sink.maxX && y < sink.maxY)).toBe(true);
    for (const a of lights) for (const b of lights) if (a !== b) expect(distance(a, b)).toBeGreaterThan(20);
  });
});
