import { describe, expect, test } from 'vitest';
import { boardNetlist, checkBoard, pinsOf, whyNot, type Board } from './board';
import { EXERCISES } from './exercises';
import { solve } from '../proof/solve';

const boardOf = (id: string, wires: Board['wires'] = []): Board => ({
  ...EXERCISES.find((one) => one.id === id)!.board,
  wires,
});

/** How an instructor would wire each. */
const SOLVED: Readonly<Record<string, Board['wires']>> = {
  'one-switch': [
    ['feed.hot', 's1.line'],
    ['s1.load', 'c1.black.a'],
    ['feed.neutral', 'c1.white.a'],
    ['c1.black.b', 'lamp.hot'],
    ['c1.white.b', 'lamp.neutral'],
  ],
  loop: [
    ['feed.hot', 'c1.black.a'],
    ['c1.black.b', 's1.line'],
    ['s1.load', 'c1.red.b'],
    ['c1.red.a', 'lamp.hot'],
    ['feed.neutral', 'lamp.neutral'],
    ['feed.neutral', 'c1.white.a'],
  ],
  'live-receptacle': [
    ['feed.hot', 's1.line'],
    ['feed.hot', 'c1.black.a'],
    ['s1.load', 'c1.red.a'],
    ['feed.neutral', 'c1.white.a'],
    ['c1.red.b', 'lamp.hot'],
    ['c1.white.b', 'lamp.neutral'],
    ['c1.black.b', 'c2.black.a'],
    ['c1.white.b', 'c2.white.a'],
    ['c2.black.b', 'r1.hot'],
    ['c2.white.b', 'r1.neutral'],
  ],
  'two-places': [
    ['feed.hot', 's1.common'],
    ['s1.t1', 'c1.black.a'],
    ['s1.t2', 'c1.red.a'],
    ['feed.neutral', 'c1.white.a'],
    ['c1.black.b', 's2.t1'],
    ['c1.red.b', 's2.t2'],
    ['s2.common', 'c2.black.a'],
    ['c1.white.b', 'c2.white.a'],
    ['c2.black.b', 'lamp.hot'],
    ['c2.white.b', 'lamp.neutral'],
  ],
  'two-places-light': [
    ['feed.hot', 's1.common'],
    ['s1.t1', 'c1.black.a'],
    ['s1.t2', 'c1.red.a'],
    ['feed.neutral', 'c1.white.a'],
    ['c1.black.b', 'c2.red.a'],
    ['c1.red.b', 'c2.blue.a'],
    ['c1.white.b', 'lamp.neutral'],
    ['c2.black.a', 'lamp.hot'],
    ['c2.red.b', 's2.t1'],
    ['c2.blue.b', 's2.t2'],
    ['c2.black.b', 's2.common'],
  ],
  'three-places': [
    ['feed.hot', 's1.common'],
    ['s1.t1', 'c1.black.a'],
    ['s1.t2', 'c1.red.a'],
    ['feed.neutral', 'c1.white.a'],
    ['c1.black.b', 's2.a1'],
    ['c1.red.b', 's2.a2'],
    ['s2.b1', 'c2.black.a'],
    ['s2.b2', 'c2.red.a'],
    ['c1.white.b', 'c2.white.a'],
    ['c2.black.b', 's3.t1'],
    ['c2.red.b', 's3.t2'],
    ['s3.common', 'c3.black.a'],
    ['c2.white.b', 'c3.white.a'],
    ['c3.black.b', 'lamp.hot'],
    ['c3.white.b', 'lamp.neutral'],
  ],
  'four-places': [
    ['feed.hot', 'c1.black.a'],
    ['lamp.hot', 'c1.red.a'],
    ['feed.neutral', 'lamp.neutral'],
    ['feed.neutral', 'c1.white.a'],
    ['c1.black.b', 's1.common'],
    ['c1.red.b', 'c2.black.a'],
    ['c1.white.b', 'c2.white.a'],
    ['s1.t1', 'c2.red.a'],
    ['s1.t2', 'c2.blue.a'],
    ['c2.red.b', 's2.a1'],
    ['c2.blue.b', 's2.a2'],
    ['c2.black.b', 'c3.black.a'],
    ['s2.b1', 'c3.red.a'],
    ['s2.b2', 'c3.blue.a'],
    ['c3.red.b', 's3.a1'],
    ['c3.blue.b', 's3.a2'],
    ['c3.black.b', 'c4.black.a'],
    ['s3.b1', 'c4.red.a'],
    ['s3.b2', 'c4.blue.a'],
    ['c4.red.b', 's4.t1'],
    ['c4.blue.b', 's4.t2'],
    ['c4.black.b', 's4.common'],
  ],
};

describe('the exercises of the bench', () => {
  test.each(EXERCISES.map((one) => one.id))(
    '%s: an empty board is not solved, the instructor’s is, every joint of it needed but the waiting neutral',
    (id) => {
      expect(checkBoard(boardOf(id)).solved).toBe(false);
      const wires = SOLVED[id]!;
      expect(checkBoard(boardOf(id, wires))).toEqual({ solved: true, problems: [] });
      for (const wire of wires) {
        const waiting = id === 'loop' || id === 'four-places' ? /white/.test(wire.join()) : false;
        const without = checkBoard(
          boardOf(
            id,
            wires.filter((one) => one !== wire),
          ),
        );
        if (!waiting) expect(without.solved).toBe(false);
      }
    },
  );

  test('travelers exchanged do no harm, a common exchanged does, and the reason is given', () => {
    const swapped = SOLVED['two-places']!.map(
      ([a, b]) => [a, b === 's2.t1' ? 's2.t2' : b === 's2.t2' ? 's2.t1' : b] as const,
    );
    expect(checkBoard(boardOf('two-places', swapped)).solved).toBe(true);
    const common = SOLVED['two-places']!.map(
      ([a, b]) => [a === 's2.common' ? 's2.t1' : a, b === 's2.t1' ? 's2.common' : b] as const,
    );
    const wrong = checkBoard(boardOf('two-places', common));
    expect(wrong.solved).toBe(false);
    expect(wrong.problems[0]!.why.length).toBeGreaterThan(20);
  });

  test('a switched neutral is refused though the lamp follows', () => {
    const neutral: Board['wires'] = [
      ['feed.hot', 'c1.black.a'],
      ['feed.neutral', 's1.line'],
      ['s1.load', 'c1.white.a'],
      ['c1.black.b', 'lamp.hot'],
      ['c1.white.b', 'lamp.neutral'],
    ];
    expect(
      checkBoard(boardOf('one-switch', neutral))
        .problems.map((one) => one.what)
        .join(),
    ).toContain('404.2(B)');
  });

  test('wires stay in their box; the meter reads 120 V across a live lamp', () => {
    const board = boardOf('one-switch', SOLVED['one-switch']);
    expect(whyNot(board, 'feed.hot', 'lamp.hot')).toContain('300.3(B)');
    expect(whyNot(board, 'feed.hot', 's1.line')).toContain('already');
    expect(whyNot(board, 'feed.hot', 'feed.neutral')).toBeUndefined();
    const { volts } = solve(boardNetlist(board), new Map([['s1', 1]]));
    expect(volts('lamp.hot') - volts('lamp.neutral')).toBeCloseTo(120, 0);
    expect(pinsOf(board)).toHaveLength(4 + 2 + 2 + 2);
  });
});
