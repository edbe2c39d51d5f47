import { addBox, addCable, addPart, EXERCISES, NEW_BOARD, pinsOf, type Board, type Result } from '@winculum/core';
import { describe, expect, test } from 'vitest';
import { jointPath, layOutBench } from './bench-layout';

const after = (board: Board, ...steps: ((board: Board) => Result<Board>)[]): Board =>
  steps.reduce((now, step) => {
    const next = step(now);
    if (!next.ok) throw new Error(next.problems[0]!.message);
    return next.value;
  }, board);

const full = after(
  NEW_BOARD,
  (board) => addPart(board, 0, 'four-way'),
  (board) => addPart(board, 0, 'four-way'),
  (board) => addPart(board, 0, 'three-way'),
  (board) => addBox(board, 'middle'),
  (board) => addBox(board, 'far'),
  (board) => addCable(board, 0, 1, '/4'),
  (board) => addCable(board, 0, 2, '/4'),
  (board) => addCable(board, 0, 2, '/3'),
);

/** More boxes than a row holds, the last fed from the first. */
const long = after(
  NEW_BOARD,
  ...['b', 'c', 'd', 'e', 'f', 'g'].map((name) => (board: Board) => addBox(board, name)),
  ...[0, 1, 2, 3, 4, 5].map((from) => (board: Board) => addCable(board, from, from + 1, '/3')),
  (board) => addCable(board, 0, 6, '/2'),
  (board) => addPart(board, 6, 'lamp'),
);

describe.each([
  ...EXERCISES.map((one) => [one.title, { ...one.board, wires: [] } as Board] as const),
  ['three devices and three cables in one box', full] as const,
  ['two rows of boxes', long] as const,
])('%s', (_, board) => {
  const layout = layOutBench(board);
  test('every screw and wire end has its place in its box, a finger wide from every other', () => {
    expect(layout.spots.size).toBe(pinsOf(board).length);
    const spots = [...layout.spots.values()];
    for (const [i, spot] of spots.entries()) {
      const box = layout.boxes[spot.pin.box]!;
      expect(spot.x).toBeGreaterThan(box.x);
      expect(spot.x).toBeLessThan(box.x + box.width);
      expect(spot.y).toBeGreaterThan(box.y);
      expect(spot.y).toBeLessThan(box.y + box.high);
      for (const other of spots.slice(i + 1))
        expect(Math.hypot(spot.x - other.x, spot.y - other.y)).toBeGreaterThan(30);
    }
  });
  test('boxes and devices stand beside each other, and all of it in the drawing', () => {
    for (const list of [layout.boxes, layout.devices])
      for (const [i, one] of list.entries())
        for (const other of list.slice(i + 1))
          expect(one.x + one.width <= other.x || other.x + other.width <= one.x || one.y !== other.y).toBe(true);
    for (const box of layout.boxes) expect(box.y + box.high).toBeLessThan(layout.height);
    for (const { path } of layout.jackets)
      for (const [, x] of path.matchAll(/H ([\d.-]+)/g)) {
        expect(Number(x)).toBeGreaterThan(11);
        expect(Number(x)).toBeLessThan(layout.width - 11);
      }
    for (const box of layout.boxes) expect(box.x + box.width).toBeLessThan(layout.width);
    for (const { path } of layout.jackets)
      for (const [, y] of path.matchAll(/V ([\d.]+)/g)) expect(Number(y)).toBeLessThan(layout.height);
  });
});

test('a wire from the lowest end of a column leaves it sideways and runs over no other end', () => {
  const { spots } = layOutBench({ ...EXERCISES.find((one) => one.id === 'four-places')!.board, wires: [] });
  const column = [...spots.values()].filter(({ pin }) => pin.of === 'c2' && pin.pin.endsWith('.b'));
  const screw = [...spots.values()].find(({ pin }) => pin.pin === 's2.a1')!;
  for (const [n, from] of column.entries()) {
    const [x0, y0, x1, y1, x2, y2, x3, y3] = jointPath(from, screw, n)
      .match(/-?[\d.]+/g)!
      .map(Number) as number[];
    const at = (t: number) => {
      const [a, b, c, d] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
      return { x: a * x0! + b * x1! + c * x2! + d * x3!, y: a * y0! + b * y1! + c * y2! + d * y3! };
    };
    for (const other of column.filter((one) => one !== from))
      for (let t = 0; t <= 1; t += 0.02)
        expect(
          Math.hypot(at(t).x - other.x, at(t).y - other.y),
          `${from.pin.name} by ${other.pin.name}`,
        ).toBeGreaterThan(9);
  }
});
