import { describe, expect, it, test } from 'vitest';
import fc from 'fast-check';
import { aHouse, type HouseBuilder } from '../test/house-builder';
import { cableBetween, spotOfBox } from './cable-run';

/** 12 in of conductor in each of two boxes. */
const ENDS_IN = 24;
/** The usual ceiling: studs of 92 5/8 in with their plates. */
const CEILING_IN = 97;
/** From a receptacle 16 in high up to the plate, and down again. */
const OVER_IN = 2 * (CEILING_IN - 16);

/** A bedroom 12 ft by 10 ft, walls c0 (north) to c3 (west), c0 from west to east. */
const room = (): HouseBuilder => aHouse().room('bed', 'bedroom', [0, 0, 144, 120]);
/** Cable between the first two boxes of a house. */
function cable(builder: HouseBuilder): number {
  const house = builder.build();
  const [a, b] = Object.values(house.boxes);
  return cableBetween(spotOfBox(house, a!), spotOfBox(house, b!));
}
const pair = (house: HouseBuilder, a: Place, b: Place): HouseBuilder => set(set(house, a), b);
type Place = readonly [room: string, wall: string, alongIn: number, heightIn?: number];
const set = (house: HouseBuilder, [id, wall, alongIn, heightIn = 16]: Place) =>
  house.wallBox(id, wall, alongIn, {}, { at: { kind: 'wall', wall, alongIn, heightIn } });

describe('cable between two boxes, as it is usually run', () => {
  it.each<[string, HouseBuilder, Place, Place, number]>([
    ['along one wall, from stud to stud', room(), ['bed', 'c0', 20], ['bed', 'c0', 100], 80],
    ['with a difference in height', room(), ['bed', 'c0', 20], ['bed', 'c0', 100, 48], 80 + 32],
    ['around a corner, through its studs', room(), ['bed', 'c0', 124], ['bed', 'c1', 60], 20 + 60],
    ['around the corner where the loop begins', room(), ['bed', 'c3', 100], ['bed', 'c0', 30], 20 + 30],
    [
      'a door between them: over its header',
      room().opening('bed', 'c0', 'door', 40, 32),
      ['bed', 'c0', 20],
      ['bed', 'c0', 100],
      80 + OVER_IN,
    ],
    [
      'a door in the corner between them, and no other way round that is shorter',
      room().opening('bed', 'c0', 'door', 104, 32).opening('bed', 'c2', 'door', 40, 32),
      ['bed', 'c0', 90],
      ['bed', 'c1', 30],
      54 + 30 + OVER_IN,
    ],
    [
      'a window between them: below it',
      room().opening('bed', 'c0', 'window', 40, 32, { sillIn: 30 }),
      ['bed', 'c0', 20],
      ['bed', 'c0', 100],
      80,
    ],
    [
      'a window down to the floor: over it',
      room().opening('bed', 'c0', 'window', 40, 32, { sillIn: 4 }),
      ['bed', 'c0', 20],
      ['bed', 'c0', 100],
      80 + OVER_IN,
    ],
    [
      'switches far around a room: over the plate and straight across',
      room(),
      ['bed', 'c0', 72, 48],
      ['bed', 'c2', 72, 48],
      120 + 2 * (CEILING_IN - 48),
    ],
    [
      'back to back in the wall of two rooms: straight through',
      room().room('next', 'bedroom', [0, -124.5, 144, 120]),
      ['bed', 'c0', 40],
      ['next', 'c2', 144 - 48],
      8 + 4.5,
    ],
    [
      'in the other room, and not near: over the plate',
      room().room('next', 'bedroom', [0, -124.5, 144, 120]),
      ['bed', 'c0', 40],
      ['next', 'c2', 144 - 80],
      40 + 4.5 + OVER_IN,
    ],
  ])('%s', (_, house, a, b, wanted) => expect(cable(pair(house, a, b))).toBeCloseTo(wanted + ENDS_IN, 6));

  it('a masonry wall is not drilled along', () => {
    const bare = pair(room(), ['bed', 'c0', 20], ['bed', 'c0', 100]);
    const masonry = bare.with((house) => {
      house.rooms['bed']!.corners[0]!.covering = { kind: 'masonry', thicknessIn: 0 };
    });
    expect(cable(masonry)).toBeCloseTo(80 + OVER_IN + ENDS_IN, 6);
  });

  it('a light hangs from the ceiling: over the plate', () => {
    const house = set(room(), ['bed', 'c0', 20]).over('bed', 'luminaire', 72, 60);
    expect(cable(house)).toBeCloseTo(52 + 60 + (CEILING_IN - 16) + ENDS_IN, 6);
  });
});

test('never shorter than the way between the boxes, never longer than over the plate, and the same both ways', () => {
  const place = fc.tuple(
    fc.constantFrom('c0', 'c1', 'c2', 'c3'),
    fc.integer({ min: 4, max: 116 }),
    fc.integer({ min: 4, max: 90 }),
  );
  fc.assert(
    fc.property(place, place, fc.boolean(), ([w, s, h], [v, t, k], hasDoor) => {
      const house = hasDoor ? room().opening('bed', 'c1', 'door', 40, 32) : room();
      const at: [Place, Place] = [
        ['bed', w, s, h],
        ['bed', v, t, k],
      ];
      const built = pair(house, ...at).build();
      const [a, b] = Object.values(built.boxes).map((box) => spotOfBox(built, box));
      const length = cableBetween(a!, b!);
      const straight = Math.hypot(a!.x - b!.x, a!.y - b!.y, a!.z - b!.z);
      const over = Math.abs(a!.x - b!.x) + Math.abs(a!.y - b!.y) + (CEILING_IN - h) + (CEILING_IN - k);
      expect(length).toBeGreaterThanOrEqual(straight + ENDS_IN - 1e-9);
      expect(length).toBeLessThanOrEqual(over + ENDS_IN + 1e-9);
      expect(cableBetween(b!, a!)).toBeCloseTo(length, 9);
    }),
  );
});
