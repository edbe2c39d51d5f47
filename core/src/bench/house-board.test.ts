import { describe, expect, test } from 'vitest';
import type { House } from '../house/schema';
import { demo } from '../test/demo-house';
import { byTheTool } from '../test/by-the-tool';
import { basementHouse } from '../test/basement-house';
import { ranchHouse } from '../test/ranch-house';
import { boardSchema, checkBoard } from './board';
import { boardOfGroup } from './house-board';
import { plantOnBoard } from './mistakes';

const boards = (house: House) => Object.keys(house.switchGroups).map((id) => ({ id, made: boardOfGroup(house, id) }));

/** Numbers that look like chance, and are the same every time. */
function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 1_103_515_245 + 12_345) % 2 ** 31) / 2 ** 31;
}

describe('a group of a house on the bench', () => {
  test.each([
    ['demo', () => demo, 25],
    ['ranch', () => byTheTool(ranchHouse('2023')), 10],
    ['basement', () => byTheTool(basementHouse('2020')), 10],
  ] as const)('%s: what the cards say is proved on the bench, and nothing less than that', (name, house, least) => {
    const all = boards(house());
    for (const { id, made } of all) {
      if (!made.ok) continue;
      const board = { ...made.value.bare, wires: made.value.madeUp };
      expect(boardSchema.safeParse(board).error, id).toBeUndefined();
      expect(checkBoard(board).problems, `${name} ${id}`).toEqual([]);
      expect(checkBoard(made.value.bare).solved, id).toBe(false);
    }
    const left = all.flatMap(({ made }) => (made.ok ? [] : made.problems.map((one) => one.message)));
    for (const words of left)
      expect(words).toMatch(/not wired yet|electronic control|No cable reaches|the bench holds|240 V equipment/);
    expect(all.length - left.length).toBeGreaterThanOrEqual(least);
  });

  test('a planted mistake shows, is of the kind that is asked for most, and putting it right proves the board again', () => {
    const random = chance(7);
    const kinds = new Map<string, number>();
    for (const { id, made } of boards(demo)) {
      if (!made.ok) continue;
      const board = { ...made.value.bare, wires: made.value.madeUp };
      const mistake = plantOnBoard(board, (kind) => (kind === 'a joint come off' ? 20 : 1), random)!;
      expect(checkBoard({ ...board, wires: mistake.wires }).solved, id).toBe(false);
      expect(mistake.words).toMatch(/^(In|The wires on) /);
      kinds.set(mistake.kind, (kinds.get(mistake.kind) ?? 0) + 1);
      expect(plantOnBoard(made.value.bare, () => 1, random)).toBeUndefined();
    }
    const [most] = [...kinds].toSorted(([, a], [, b]) => b - a);
    expect(most![0]).toBe('a joint come off');
  });
});
