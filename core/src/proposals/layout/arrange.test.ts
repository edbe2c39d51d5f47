import { describe, expect, it } from 'vitest';
import type { Edited } from '../../house/edit';
import type { House } from '../../house/schema';
import { viewRoom } from '../../plan/room-view';
import { faceUnder } from '../../plan/studs';
import { alignBoxes, copyLayout, distributeBoxes, duplicateAlong, nudgeBoxes, nudgeToStud } from './arrange';
import { applyPreset, readPreset, PRESETS } from './presets';
import type { Result } from '../../units/result';
import { aHouse } from '../../test/house-builder';

const den = () => aHouse().room('r', 'den', [0, 0, 192, 120]);
const must = (result: Result<Edited>): House => {
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value.house;
};
const newId = () => {
  let n = 0;
  return (prefix: string) => `${prefix}-t${++n}`;
};
const ids = (house: House) => Object.keys(house.boxes);
const along = (house: House) => Object.values(house.boxes).map((box) => (box.at as { alongIn: number }).alongIn);

describe('nudging', () => {
  const house = den().receptacle('r', 'c0', 17.875).build();
  it('moves by an inch and stops at the corner', () => {
    expect(along(must(nudgeBoxes(house, ids(house), { alongIn: 1 })))).toEqual([18.875]);
    expect(along(must(nudgeBoxes(house, ids(house), { alongIn: -100 })))).toEqual([1.125]);
  });
  it('walks from stud side to stud side', () => {
    const right = must(nudgeToStud(house, ids(house), 1));
    expect(along(right)).toEqual([30.125]);
    expect(faceUnder(viewRoom(right, 'r'), 30.125, 16, 1)).toMatchObject({ side: 'left', studIn: 32 });
    expect(along(must(nudgeToStud(right, ids(right), -1)))).toEqual([17.875]);
  });
  it('of a height above the ceiling is refused by name', () => {
    const result = nudgeBoxes(house, ids(house), { upIn: 500 });
    expect(result.ok ? '' : result.problems[0]!.message).toMatch(/above the ceiling|at most/i);
  });
});

describe('aligning and spreading', () => {
  const three = den()
    .receptacle('r', 'c0', 10)
    .receptacle('r', 'c0', 20, { heightIn: 40 })
    .receptacle('r', 'c0', 90)
    .build();
  it('takes the height of the first', () => {
    const heights = Object.values(must(alignBoxes(three, ids(three), 'height')).boxes).map(
      (box) => (box.at as { heightIn: number }).heightIn,
    );
    expect(heights).toEqual([16, 16, 16]);
  });
  it('spreads evenly between the outermost', () =>
    expect(along(must(distributeBoxes(three, ids(three))))).toEqual([10, 50, 90]));
  it('needs three, and of one wall', () => {
    expect(distributeBoxes(three, ids(three).slice(0, 2)).ok).toBe(false);
    const mixed = den().receptacle('r', 'c0', 10).receptacle('r', 'c1', 20).receptacle('r', 'c0', 90).build();
    expect(distributeBoxes(mixed, ids(mixed)).ok).toBe(false);
  });
  it('duplicates along the wall and round its corner', () => {
    const one = den().receptacle('r', 'c0', 150).build();
    const many = must(duplicateAlong(one, ids(one)[0]!, 2, 30, newId()));
    expect(
      Object.values(many.boxes).map((box) => [
        (box.at as { wall: string }).wall,
        (box.at as { alongIn: number }).alongIn,
      ]),
    ).toEqual([
      ['c0', 150],
      ['c0', 180],
      ['c1', 18],
    ]);
  });
});

describe('presets', () => {
  it('on a deck are made for the weather there', () => {
    const deck = aHouse().room('r', 'deck', [0, 0, 240, 240]).build();
    const made = must(applyPreset(deck, 'r', 96, { name: 'Deck', text: 'R -20 20, L 20 72' }, newId()));
    expect(Object.values(made.boxes).flatMap((box) => Object.values(box.devices))).toMatchObject([
      { kind: 'receptacle', wr: true, cover: 'in-use' },
      { kind: 'luminaire', marked: 'wet' },
    ]);
  });
  it.each(PRESETS)('$name can be read, and fits the middle of a wall of 16 ft', (preset) => {
    expect(readPreset(preset.text).ok).toBe(true);
    const house = must(applyPreset(den().build(), 'r', 96, preset, newId()));
    expect(Object.keys(house.boxes).length).toBeGreaterThan(0);
  });
  it.each([
    ['R', '"R" cannot be read. Write a letter, inches to the right, inches high: R -36 16.'],
    ['Q 0 16', '"Q" is no device. Known: R, S, L, D, X, V.'],
    ['R 0 500', '"R 0 500": 500 in is above any wall.'],
    ['', 'The preset is empty. Write at least one box: R 0 16.'],
  ])('"%s" is refused: %s', (text, message) => {
    const read = readPreset(text);
    expect(read.ok ? '' : read.problems[0]!.message).toBe(message);
  });
  it('that falls off the wall says which part', () => {
    const result = applyPreset(den().build(), 'r', 20, PRESETS[4]!, newId());
    expect(result.ok ? '' : result.problems[0]!.message).toBe(
      'Workshop wall does not fit here: R at -72 in falls off the north wall. Move the cursor to its middle.',
    );
  });
});

describe('copying a layout', () => {
  const two = () =>
    den()
      .room('t', 'den', [300, 0, 96, 120])
      .receptacle('r', 'c0', 48)
      .receptacle('r', 'c1', 30)
      .over('r', 'luminaire', 48, 60)
      .build();
  it('scales it to the other room', () => {
    const house = must(copyLayout(two(), 'r', 't', false, newId()));
    const copies = Object.values(house.boxes)
      .filter((box) => box.room === 't')
      .map((box) => box.at);
    expect(copies).toMatchObject([
      { wall: 'c0', alongIn: 24 },
      { wall: 'c1', alongIn: 30 },
      { x: 324, y: 60 },
    ]);
  });
  it('mirrors it: east becomes west', () => {
    const house = must(copyLayout(two(), 'r', 't', true, newId()));
    const copies = Object.values(house.boxes)
      .filter((box) => box.room === 't')
      .map((box) => box.at);
    expect(copies).toMatchObject([
      { wall: 'c0', alongIn: 72 },
      { wall: 'c3', alongIn: 90 },
      { x: 372, y: 60 },
    ]);
  });
  it('to a room of another shape is refused', () => {
    const house = den()
      .room('t', 'den', [
        [300, 0],
        [400, 0],
        [300, 100],
      ])
      .receptacle('r', 'c0', 48)
      .build();
    const result = copyLayout(house, 'r', 't', false, newId());
    expect(result.ok ? '' : result.problems[0]!.message).toBe('t has 3 walls and r 4: the layout does not fit.');
  });
});
