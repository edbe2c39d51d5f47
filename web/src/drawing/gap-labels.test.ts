import { describe, expect, it } from 'vitest';
import { gapLabels } from './gap-labels';

const gap = (fromX: number, toX: number, feet = 3) => ({
  fromX,
  toX,
  long: `${feet}'-0" out of reach`,
  short: `${feet}'-0"`,
});

describe('labels over the gaps of a ribbon', () => {
  it('says it at length where there is room', () => {
    expect(gapLabels([gap(100, 200), gap(400, 500)], 700).map((one) => [one.text, one.row])).toEqual([
      [`3'-0" out of reach`, 0],
      [`3'-0" out of reach`, 0],
    ]);
  });

  it('takes a second row, then fewer words, where gaps are near each other', () => {
    const near = [gap(100, 120), gap(124, 150), gap(156, 190), gap(192, 230)];
    const labels = gapLabels(near, 700);
    expect(labels.slice(0, 2).map((one) => one.row)).toEqual([0, 1]);
    expect(labels[2]!.text).toBe(`3'-0"`);
  });

  it('never lays one over another, nor over the ends', () => {
    for (let n = 1; n < 60; n++) {
      const many = Array.from({ length: n }, (_, i) => gap((700 / n) * i, (700 / n) * i + 5, i));
      for (const row of [0, 1]) {
        const own = gapLabels(many, 700).filter((one) => one.row === row);
        let end = 0;
        for (const { x, text } of own) {
          expect(x - text.length * 3.1).toBeGreaterThanOrEqual(end - 1e-9);
          end = x + text.length * 3.1;
        }
        expect(end).toBeLessThanOrEqual(700 + 1e-9);
      }
    }
  });
});
