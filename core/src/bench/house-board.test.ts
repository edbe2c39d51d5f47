import { describe, expect, test } from 'vitest';
import type { House } from '../house/schema';
import { demo } from '../test/demo-house';
import { byTheTool } from '../test/by-the-tool';
import { basementHouse } from '../test/basement-house';
import { must } from '../test/must';
import { ranchHouse } from '../test/ranch-house';
import { wiringHouse, type Spec } from '../test/wiring-house';
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
    for (const words of left) expect(words).toMatch(/not wired yet|No cable reaches|the bench holds/);
    expect(all.length - left.length).toBeGreaterThanOrEqual(least);
  });

  const control = (style: string) => ({ kind: 'switch', style });
  const heater = { kind: 'connection', volts: 240 };
  const at240: Spec['change'] = (house) => Object.assign(house.circuits['Q']!, { poles: 2, ratingA: 20, awg: '12' });
  const two = (first: string, second: string): Spec => ({
    boxes: { A: [null, control(first)], B: ['A', control(second)], L: ['B', 'luminaire'] },
    groups: { g: { switches: ['A-0', 'B-0'], controls: ['L-0'] } },
  });
  const one = (style: string, load: string | object = 'luminaire', change?: Spec['change']): Spec => ({
    boxes: { A: [null, control(style)], L: ['A', load as never] },
    groups: { g: { switches: ['A-0'], controls: ['L-0'] } },
    ...(change ? { change } : {}),
  });
  test.each([
    ['an occupancy sensor', one('occupancy'), ['feed', 'electronic', 'lamp']],
    ['a dusk sensor', one('dusk'), ['feed', 'electronic', 'lamp']],
    ['a smart switch', one('smart'), ['feed', 'electronic', 'lamp']],
    ['a smart switch that needs no neutral', one('smart-no-neutral'), ['feed', 'two-wire', 'lamp']],
    ['a smart switch with an add-on', two('smart', 'add-on'), ['feed', 'electronic', 'add-on', 'lamp']],
    ['an add-on first', two('add-on', 'smart'), ['feed', 'add-on', 'electronic', 'lamp']],
    ['a heater on a two-pole switch', one('two-pole', heater, at240), ['feed-240', 'two-pole', 'heater']],
    ['a heater on a thermostat', one('line-thermostat', heater, at240), ['feed-240', 'single-pole', 'heater']],
    ['a heater on both poles', one('line-thermostat-2', heater, at240), ['feed-240', 'two-pole', 'heater']],
  ] as const)('%s works as the cards say, and every joint of it is needed', (_, spec, kinds) => {
    const { bare, madeUp } = must(boardOfGroup(wiringHouse(spec), 'g'));
    expect(bare.parts.map((part) => part.kind)).toEqual(kinds);
    expect(boardSchema.safeParse({ ...bare, wires: madeUp }).success).toBe(true);
    expect(checkBoard({ ...bare, wires: madeUp }).problems).toEqual([]);
    for (const loose of madeUp)
      expect(checkBoard({ ...bare, wires: madeUp.filter((wire) => wire !== loose) }).solved, loose.join(' ')).toBe(
        false,
      );
  });

  test('what runs on both voltages stays away, with the reason', () => {
    const range = { kind: 'receptacle', volts: 240, ratingA: 50, style: 'single', tr: false };
    const made = boardOfGroup(wiringHouse(one('two-pole', range, at240)), 'g');
    expect(made.ok ? '' : made.problems[0]!.message).toMatch(/120 and 240 V|not wired yet/);
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
