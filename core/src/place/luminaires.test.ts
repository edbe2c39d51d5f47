import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rectangleCorners } from '../edits/verbs';
import { areaFt2 } from '../geometry/geometry';
import {
  ceilingGrid,
  cofferMiddles,
  countForSpacing,
  directFc,
  joistConflict,
  lightMap,
  lumenMethodFc,
  spreadAlong,
  usualSpacingIn,
} from './luminaires';
import { aHouse } from '../test/house-builder';

describe('rules of thumb for recessed luminaires, common practice', () => {
  it.each([
    [96, 48],
    [108, 54],
  ])('a ceiling of %i in asks for a spacing of %i in', (ceiling, spacing) =>
    expect(usualSpacingIn(ceiling)).toBe(spacing),
  );

  it.each([
    [260, 4, 'equal-divisions', [52, 104, 156, 208]],
    [240, 4, 'half-at-walls', [30, 90, 150, 210]],
    [144, 1, 'half-at-walls', [72]],
    [144, 1, 'equal-divisions', [72]],
  ] as const)('%i in and %i luminaires, %s: %j', (length, count, standard, places) =>
    expect(spreadAlong(length, count, standard)).toEqual(places),
  );

  it.each([
    [192, 48, 'half-at-walls', 4],
    [193, 48, 'half-at-walls', 5],
    [240, 48, 'equal-divisions', 4],
    [30, 48, 'half-at-walls', 1],
  ] as const)('%i in at %i in spacing, %s: %i', (length, spacing, standard, count) =>
    expect(countForSpacing(length, spacing, standard)).toBe(count),
  );

  it('one row comes over a feature, and the others go with it', () => {
    const room = { ...aHouse().room('r', 'kitchen', [0, 0, 240, 120]).build().rooms['r']! };
    const grid = ceilingGrid(room, { columns: 4, rows: 2, standard: 'half-at-walls', over: { x: 100, y: 58 } });
    expect([...new Set(grid.places.map((at) => at.x))]).toEqual([40, 100, 160, 220]);
    expect([...new Set(grid.places.map((at) => at.y))]).toEqual([58, 118]);
  });

  it('beams make coffers, each with its middle', () => {
    const house = aHouse().room('r', 'living', [0, 0, 206, 106]).build();
    const beam = (x: number, y: number, w: number, h: number) => [
      { x, y },
      { x: x + w, y },
      { x: x + w, y: y + h },
      { x, y: y + h },
    ];
    const middles = cofferMiddles(house.rooms['r']!, [beam(100, 0, 6, 106), beam(0, 50, 206, 6)]);
    expect(middles).toEqual([
      { x: 50, y: 25 },
      { x: 156, y: 25 },
      { x: 50, y: 81 },
      { x: 156, y: 81 },
    ]);
    expect(cofferMiddles(house.rooms['r']!, [])).toEqual([{ x: 103, y: 53 }]);
  });

  it('rows stand in line, mirrored about the middle, at any count', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 500, noNaN: true }),
        fc.integer({ min: 1, max: 9 }),
        fc.constantFrom('half-at-walls', 'equal-divisions'),
        (length, count, standard) => {
          const places = spreadAlong(length, count, standard);
          places.forEach((place, i) => expect(place + places[count - 1 - i]!).toBeCloseTo(length, 6));
        },
      ),
    );
  });
});

describe('a ceiling grid', () => {
  const room = aHouse()
    .room('r', 'living', [
      [0, 0],
      [200, 0],
      [200, 100],
      [100, 100],
      [100, 200],
      [0, 200],
    ])
    .build().rooms['r']!;
  it('leaves out what falls outside an L-shaped room, and says how many', () => {
    const { places, left } = ceilingGrid(room, { columns: 2, rows: 2, standard: 'half-at-walls' });
    expect(places).toEqual([
      { x: 50, y: 50 },
      { x: 150, y: 50 },
      { x: 50, y: 150 },
    ]);
    expect(left).toBe(1);
  });
  it('starts its rows at an offset from the walls', () => {
    const { places } = ceilingGrid(room, { columns: 2, rows: 1, standard: 'half-at-walls', offsetX: 24, offsetY: 30 });
    expect(places).toEqual([
      { x: 24, y: 30 },
      { x: 176, y: 30 },
    ]);
  });
  it('keeps off beams', () => {
    const beam = rectangleCorners(140, 0, 20, 100);
    expect(ceilingGrid(room, { columns: 2, rows: 2, standard: 'half-at-walls' }, [beam]).places).toHaveLength(2);
  });
  it.each([
    [0, 6, true],
    [8, 6, false],
    [4, 6, false],
    [3, 6, true],
    [12.5, 6, true],
    [13, 4, false],
  ])('joists at 16 in: a can of %# at %d in, %d in wide', (x, diameter, conflict) =>
    expect(joistConflict({ run: 'north-south', spacingIn: 16, offsetIn: 0 }, { x, y: 0 }, diameter)).toBe(conflict),
  );
});

describe('illuminance', () => {
  // 12 ft by 15 ft, nine lamps of 800 lm, 0.6 and 0.8: 9 × 800 × 0.48 ÷ 180 = 19.2 fc, worked by hand.
  it('agrees with a lumen-method example worked by hand', () =>
    expect(lumenMethodFc(9, 800, areaFt2(rectangleCorners(0, 0, 144, 180)))).toBeCloseTo(19.2, 9));

  it('straight below a source it is I ÷ h² (inverse square law)', () =>
    expect(directFc([{ x: 0, y: 0, dropIn: 60, lumens: 1000 }], { x: 0, y: 0 })).toBeCloseTo(1000 / Math.PI / 25, 9));

  it('at 45° it is a quarter of that (cosine to the fourth power)', () =>
    expect(directFc([{ x: 60, y: 0, dropIn: 60, lumens: 1000 }], { x: 0, y: 0 })).toBeCloseTo(
      1000 / Math.PI / 25 / 4,
      9,
    ));

  it('summed over a plane without end it is the lumens of the source', () => {
    // Energy is kept: a Lambert source of 1000 lm gives the plane below it 1000 lm.
    const map = lightMap(rectangleCorners(-3000, -3000, 6000, 6000), [{ x: 0, y: 0, dropIn: 60, lumens: 1000 }], 25);
    const lumens = map.cells.reduce((sum, one) => sum + one.fc * (25 / 12) ** 2, 0);
    expect(lumens).toBeGreaterThan(985);
    expect(lumens).toBeLessThan(1001);
  });

  it('one more lamp never makes a place darker', () => {
    const source = fc.record({
      x: fc.integer({ min: 0, max: 100 }),
      y: fc.integer({ min: 0, max: 100 }),
      dropIn: fc.integer({ min: 20, max: 90 }),
      lumens: fc.integer({ min: 1, max: 2000 }),
    });
    fc.assert(
      fc.property(fc.array(source, { maxLength: 6 }), source, (sources, more) => {
        const at = { x: 40, y: 60 };
        expect(directFc([...sources, more], at)).toBeGreaterThan(directFc(sources, at));
      }),
    );
  });
});
