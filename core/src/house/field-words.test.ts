import { describe, expect, it } from 'vitest';
import { edit } from './edit';
import type { House } from './schema';
import { bedroom } from '../test/house-builder';

const house = bedroom().circuit('A', 15).receptacle('bed', 'c0', 40).load('kettle', 'bed', 'c1', 30, 'A').build();
const boxOf = (draft: House) => Object.values(draft.boxes)[0]!;
const circuitOf = (draft: House) => draft.circuits['A']!;

describe('what the schema refuses names the field, its limit and the remedy', () => {
  it.each<[string, (draft: House) => void, string]>([
    [
      'a height of 400 ft',
      (draft) => void Object.assign(boxOf(draft).at, { heightIn: 4800 }),
      `Height: 40'-0" at most. Type less.`,
    ],
    [
      'a place before the wall',
      (draft) => void Object.assign(boxOf(draft).at, { alongIn: -3 }),
      'From the start of the wall: 0" at least. Type more.',
    ],
    ['a breaker of 1,000 A', (draft) => void (circuitOf(draft).ratingA = 1000), 'Rating: 200 A at most. Type less.'],
    ['half an ampere', (draft) => void (circuitOf(draft).ratingA = 15.5), 'Rating: a whole number is expected here.'],
    [
      'a load of a megawatt',
      (draft) => void (Object.values(draft.loads)[0]!.va = 1e6),
      'Volt-amperes: 60,000 at most. Type less.',
    ],
    [
      'a load of nothing',
      (draft) => void (Object.values(draft.loads)[0]!.va = 0),
      'must be greater than zero; read it off the nameplate',
    ],
    [
      'an endless note',
      (draft) => void (boxOf(draft).note = 'x'.repeat(401)),
      'Note: at most 400 characters. Shorten it.',
    ],
    [
      'a room of two corners',
      (draft) => void (draft.rooms['bed']!.corners.length = 2),
      'Corners: at least 3 of them. Add what is missing.',
    ],
    ['a kind that there is not', (draft) => void Object.assign(circuitOf(draft), { breaker: 'magic' }), 'Breaker: '],
    [
      'a field that there is not',
      (draft) => void Object.assign(circuitOf(draft), { color: 1 }),
      '"color" is no field of this format. Take it out, or read the file with the version that wrote it.',
    ],
  ])('%s', (_, change, says) => {
    const done = edit(house, 'x', (draft) => change(draft as House));
    expect(done.ok ? '' : done.problems[0]!.message).toContain(says);
  });
});
