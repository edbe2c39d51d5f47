import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { boardNetlist, boardSchema, checkBoard, PART_KINDS, pinsOf, type Board } from './board';
import { addBox, addCable, addPart, NEW_BOARD, setLetter, takeAway, takeBoxAway } from './build-board';
import { prove } from '../proof/prove';
import type { Result } from '../units/result';

const built = (...steps: ((board: Board) => Result<Board>)[]): Board =>
  steps.reduce((board, step) => {
    const next = step(board);
    if (!next.ok) throw new Error(next.problems[0]!.message);
    return next.value;
  }, NEW_BOARD);

const fanAndLight = setLetter(
  built(
    (board) => addPart(board, 0, 'single-pole'),
    (board) => addPart(board, 0, 'single-pole'),
    (board) => addBox(board, 'ceiling'),
    (board) => addPart(board, 1, 'lamp'),
    (board) => addPart(board, 1, 'fan'),
    (board) => addCable(board, 1, 0, '/3'),
  ),
  's2',
  'b',
);

describe('a board of one\u2019s own', () => {
  test('fan and light apart over a three-wire cable: wired as everybody does, it proves; with one letter for both it cannot', () => {
    const board: Board = {
      ...setLetter(fanAndLight, 'fan1', 'b'),
      wires: [
        ['feed.hot', 's1.line'],
        ['feed.hot', 's2.line'],
        ['s1.load', 'c1.black.a'],
        ['s2.load', 'c1.red.a'],
        ['feed.neutral', 'c1.white.a'],
        ['c1.black.b', 'lamp1.hot'],
        ['c1.red.b', 'fan1.hot'],
        ['c1.white.b', 'lamp1.neutral'],
        ['c1.white.b', 'fan1.neutral'],
      ],
    };
    expect(boardSchema.safeParse(board).success).toBe(true);
    expect(checkBoard(board)).toEqual({ solved: true, problems: [] });
    const joined = checkBoard(setLetter(setLetter(board, 's2', 'a'), 'fan1', 'a'));
    expect(joined.solved).toBe(false);
  });

  test.each([
    ['nothing in it but the feed', NEW_BOARD, 'Nothing on the board can light'],
    ['no feed', takeAway(fanAndLight, 'feed'), 'no feed'],
    ['a switch for nothing', fanAndLight, 'The switches of b switch nothing'],
    ['a lamp without a switch', setLetter(takeAway(fanAndLight, 's2'), 'fan1', 'c'), 'has the letter c has no switch'],
  ])('what is missing is said before anything is proved: %s', (_, board, what) => {
    const verdict = checkBoard(board);
    expect(verdict.solved).toBe(false);
    expect(verdict.problems[0]!.what).toContain(what);
  });

  test.each([
    ['a second feed', (board: Board) => addPart(board, 0, 'feed'), 'one feed'],
    ['a cable into its own box', (board: Board) => addCable(board, 1, 1, '/2'), 'Choose two'],
    ['a cable to nowhere', (board: Board) => addCable(board, 1, 5, '/2'), 'no such box'],
    ['a box without a name', (board: Board) => addBox(board, '  '), 'Name the box'],
    ['a name twice', (board: Board) => addBox(board, 'ceiling'), 'already'],
    [
      'a fourth device',
      (board: Board) =>
        addPart(
          built(() => addPart(board, 0, 'lamp')),
          0,
          'lamp',
        ),
      'another box',
    ],
  ])('refuses %s with the reason', (_, step, why) => {
    const refused = step(fanAndLight);
    expect(refused.ok ? '' : refused.problems[0]!.message).toContain(why);
  });

  test('whatever is added and taken away, the board stays one that can be read, drawn and proved', () => {
    const step = fc.oneof(
      fc.record({ do: fc.constant('box' as const), name: fc.string({ minLength: 0, maxLength: 26 }) }),
      fc.record({ do: fc.constant('part' as const), box: fc.nat(8), kind: fc.constantFrom(...PART_KINDS) }),
      fc.record({ do: fc.constant('cable' as const), a: fc.nat(8), b: fc.nat(8) }),
      fc.record({ do: fc.constant('wire' as const), p: fc.nat(60), q: fc.nat(60) }),
      fc.record({ do: fc.constant('take' as const), n: fc.nat(20) }),
      fc.record({ do: fc.constant('take box' as const), n: fc.nat(8) }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        let board = NEW_BOARD;
        const to = (result: Result<Board>) => (board = result.ok ? result.value : board);
        for (const one of steps) {
          const pins = pinsOf(board);
          const things = [...board.parts, ...board.cables];
          if (one.do === 'box') to(addBox(board, one.name));
          else if (one.do === 'part') to(addPart(board, one.box, one.kind));
          else if (one.do === 'cable') to(addCable(board, one.a, one.b, '/3'));
          else if (one.do === 'take' && things[one.n]) board = takeAway(board, things[one.n]!.id);
          else if (one.do === 'take box' && board.boxes[one.n] !== undefined) board = takeBoxAway(board, one.n);
          else if (one.do === 'wire' && pins[one.p] && pins[one.q] && pins[one.p]!.box === pins[one.q]!.box)
            board = { ...board, wires: [...board.wires, [pins[one.p]!.pin, pins[one.q]!.pin]] };
          expect(boardSchema.safeParse(board).error).toBeUndefined();
          for (const pin of board.wires.flat()) expect(pinsOf(board).map((each) => each.pin)).toContain(pin);
        }
        expect(() => prove(boardNetlist(board))).not.toThrow();
      }),
      { numRuns: 60 },
    );
  });
});
