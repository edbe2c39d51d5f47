import { addBox, addCable, addPart, EXERCISES, NEW_BOARD, pinsOf, type Board, type Result } from '@winculum/core';
import { describe, expect, test } from 'vitest';
import { layOutBench } from './bench-layout';

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

describe.each([
  ...EXERCISES.map((one) => [one.title, { ...one.board, wires: [] } as Board] as const),
  ['three devices and three cables in one box', full] as const,
])('%s', (_, board) => {
  const layout = layOutBench(board);
  test('every screw and wire end has its place in its box, a finger wide from every other', () => {
    expect(layout.spots.size).toBe(pinsOf(board).length);
    const spots = [...layout.spots.values()];
    for (const [i, spot] of spots.entries()) {
      const box = layout.boxes[spot.pin.box]!;
      expect(spot.x).toBeGreaterThan(box.x);
      expect(spot.x).toBeLessThan(box.x + box.width);
      expect(spot.y).toBeLessThan(20 + box.high);
      for (const other of spots.slice(i + 1))
        expect(Math.hypot(spot.x - other.x, spot.y - other.y)).toBeGreaterThan(30);
    }
  });
  test('boxes and devices stand beside each other, and all of it in the drawing', () => {
    for (const list of [layout.boxes, layout.devices])
      for (const [i, one] of list.entries())
        for (const other of list.slice(i + 1))
          expect(one.x + one.width <= other.x || other.x + other.width <= one.x).toBe(true);
    for (const box of layout.boxes) expect(box.x + box.width).toBeLessThan(layout.width);
    for (const { path } of layout.jackets)
      for (const [, y] of path.matchAll(/V ([\d.]+)/g)) expect(Number(y)).toBeLessThan(layout.height);
  });
});
