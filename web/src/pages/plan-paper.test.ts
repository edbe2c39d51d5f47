import { describe, expect, it } from 'vitest';
import { layPaper, PAPERS, SCALES, tilesFor } from './plan-paper';

const bounds = (widthFt: number, depthFt: number) => ({ minX: 0, minY: 0, maxX: widthFt * 12, maxY: depthFt * 12 });

describe('sheets of a plan', () => {
  // 17 x 11 less 0.4 in on every side and 1.1 in of title: 16.2 by 9.1 in, which is 64.8 by 36.4 ft at a quarter inch.
  it.each([
    ['64 by 36 ft on tabloid at ¼', 64, 36, 'tabloid', 'quarter', 1],
    ['65 by 36 ft on tabloid at ¼', 65, 36, 'tabloid', 'quarter', 2],
    ['65 by 37 ft on tabloid at ¼', 65, 37, 'tabloid', 'quarter', 4],
    ['the same at ⅛', 65, 37, 'tabloid', 'eighth', 1],
    ['a small house on Letter', 30, 24, 'letter', 'quarter', 1],
    ['120 by 80 ft on ARCH D at ¼', 120, 80, 'arch-d', 'quarter', 1],
  ] as const)('%s', (_, widthFt, depthFt, paper, scale, count) => {
    const all = bounds(widthFt, depthFt);
    const tiles = tilesFor(all, { ...PAPERS[paper], page: '' }, SCALES[scale]);
    expect(tiles).toHaveLength(count);
    // Together they cover the plan without a gap, and each side that goes on says so.
    expect(Math.min(...tiles.map((one) => one.x))).toBeLessThanOrEqual(all.minX);
    expect(Math.max(...tiles.map((one) => one.x + one.widthIn))).toBeGreaterThanOrEqual(all.maxX);
    expect(Math.max(...tiles.map((one) => one.y + one.heightIn))).toBeGreaterThanOrEqual(all.maxY);
    expect(tiles.reduce((sum, one) => sum + one.match.length, 0)).toBe(count === 4 ? 8 : count === 2 ? 2 : 0);
  });

  it('a narrow lot is drawn on tall paper where that saves a sheet', () => {
    expect(layPaper('tabloid', bounds(30, 60), SCALES.quarter)).toMatchObject({
      widthIn: 11,
      page: 'plan-tabloid-tall',
    });
    expect(layPaper('tabloid', bounds(60, 30), SCALES.quarter)).toMatchObject({ widthIn: 17 });
    expect(layPaper('arch-d', bounds(30, 60), SCALES.quarter)).toMatchObject({ widthIn: 36 });
  });
});
