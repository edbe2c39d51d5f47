import { describe, expect, it } from 'vitest';
import { byTheTool } from '../../../core/src/test/by-the-tool';
import { demo } from '../../../core/src/test/demo-house';
import { ranchHouse } from '../../../core/src/test/ranch-house';
import { randomHouse } from '../../../core/src/test/random-house';
import { aHouse } from '../../../core/src/test/house-builder';
import { viewRoom } from '../../../core/src/plan/room-view';
import type { House } from '../../../core/src/house/schema';
import { MARK_SIZE, placeMarks, REACH, RING_REACH, roomLabels, symbolSize } from './room-labels';

type Rect = { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number };
const meet = (a: Rect, b: Rect) =>
  Math.min(a.maxX, b.maxX) - Math.max(a.minX, b.minX) > 0.01 &&
  Math.min(a.maxY, b.maxY) - Math.max(a.minY, b.minY) > 0.01;

/** Words of a house that cover a symbol or other words of their room, and how much is written at all. */
function look(house: House, scale: number, reach: number) {
  const textSize = Math.max(5, Math.min(20, 12 / scale));
  const size = symbolSize(scale);
  const covered: string[] = [];
  let marked = 0;
  let named = 0;
  for (const room of Object.values(house.rooms)) {
    const view = viewRoom(house, room.id);
    const layout = roomLabels(view, scale, textSize, true, '1/8', reach);
    const marks = placeMarks(view, layout, (box) => box.tag);
    const symbols = layout.symbols.map(({ box, x, y }) => ({
      of: box.tag,
      rect: { minX: x - reach * size, maxX: x + reach * size, minY: y - reach * size, maxY: y + reach * size },
    }));
    const words = [
      ...(layout.name ? [{ of: room.name, rect: layout.name.rect }] : []),
      ...layout.features.map((one) => ({ of: one.text, rect: one.rect })),
      ...layout.symbols.flatMap(({ box, x, y }) => {
        const at = marks.get(box.id);
        if (!at) return [];
        const [w, h] = [box.tag.length * 0.25 * MARK_SIZE * size, 0.5 * MARK_SIZE * size];
        return [
          {
            of: `tag ${box.tag}`,
            rect: { minX: x + at.x - w, maxX: x + at.x + w, minY: y + at.y - h, maxY: y + at.y + h },
          },
        ];
      }),
    ];
    words.forEach((one, i) => {
      for (const other of [...words.slice(i + 1), ...symbols])
        if (meet(one.rect, other.rect)) covered.push(`${one.of} on ${other.of}`);
    });
    marked += marks.size;
    named += layout.name ? 1 : 0;
  }
  return { covered, marked: marked / Object.keys(house.boxes).length, named: named / Object.keys(house.rooms).length };
}

describe('words and symbols never cover each other', () => {
  it.each<[string, () => House]>([
    ['the demo house', () => demo],
    ['the ranch', () => byTheTool(ranchHouse('2023'))],
    ['a house at random', () => byTheTool(randomHouse(8, '2023'))],
  ])('%s, at four scales, with and without rings', (_, made) => {
    const house = made();
    for (const scale of [0.6, 1, 1.5, 3])
      for (const reach of [REACH, RING_REACH]) expect(look(house, scale, reach).covered).toEqual([]);
  });

  it('nothing is won by writing less: close up every box is marked and every room named', () => {
    const { marked, named } = look(demo, 3, REACH);
    expect(marked).toBeGreaterThan(0.97);
    expect(named).toBeGreaterThan(0.9);
    expect(look(demo, 1, RING_REACH).marked).toBeGreaterThan(0.7);
  });
});

describe('places', () => {
  const bedroom = () => aHouse().room('bed', 'bedroom', [0, 0, 144, 120]);
  const labelsOf = (house: House, scale = 2) => roomLabels(viewRoom(house, 'bed'), scale, 6, true, '1/8');

  it('a name stands in the middle of an empty room, and above a light that hangs there', () => {
    const bare = labelsOf(bedroom().build()).name!;
    expect([bare.x, bare.span]).toEqual([72, '12\'-0" × 10\'-0"']);
    const lit = labelsOf(bedroom().over('bed', 'luminaire', 72, 60).build()).name!;
    expect(lit.rect.maxY).toBeLessThanOrEqual(60 - REACH * symbolSize(2));
  });

  it('a switch over a receptacle stands behind it, not on it', () => {
    const { symbols, size } = labelsOf(
      bedroom().receptacle('bed', 'c0', 60).switchAt('bed', 'c0', 61, null).receptacle('bed', 'c0', 100).build(),
    );
    const [receptacle, over, aside] = symbols;
    expect(Math.abs(over!.y - receptacle!.y)).toBeGreaterThanOrEqual(2 * REACH * size);
    expect(aside!.y).toBe(receptacle!.y);
  });

  it('no name is written where none fits', () => {
    const closet = aHouse().room('bed', 'closet', [0, 0, 24, 20]).build();
    expect(roomLabels(viewRoom(closet, 'bed'), 0.5, 20, true, '1/8').name).toBeUndefined();
  });
});
