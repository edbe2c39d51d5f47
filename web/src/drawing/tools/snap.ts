import { boundsOf, type House, type Point } from '@winculum/core';

/** Lines to which corners of a room are drawn: faces of other rooms, and the same a wall's thickness away. */
interface SnapLines {
  readonly xs: readonly number[];
  readonly ys: readonly number[];
}

/** The snap lines of a level, leaving out rooms that are being moved. */
export function findSnapLines(house: House, level: string, without: ReadonlySet<string> = new Set()): SnapLines {
  const [xs, ys] = [new Set<number>(), new Set<number>()];
  const thickness = house.levels[level]?.wallThicknessIn ?? 4.5;
  for (const room of Object.values(house.rooms)) {
    if (room.level !== level || without.has(room.id)) continue;
    const { minX, maxX, minY, maxY } = boundsOf(room.corners);
    for (const x of [minX - thickness, maxX + thickness, ...room.corners.map((corner) => corner.x)]) xs.add(x);
    for (const y of [minY - thickness, maxY + thickness, ...room.corners.map((corner) => corner.y)]) ys.add(y);
  }
  return { xs: [...xs], ys: [...ys] };
}

function snapNumber(value: number, lines: readonly number[], thresholdIn: number): number {
  let best = Math.round(value);
  let nearest = thresholdIn;
  for (const line of lines) if (Math.abs(line - value) <= nearest) [best, nearest] = [line, Math.abs(line - value)];
  return best;
}

/** A point drawn to the nearest lines within the threshold, else to whole inches. Knows nothing of tools. */
export const snapPoint = (point: Point, lines: SnapLines, thresholdIn: number): Point => ({
  x: snapNumber(point.x, lines.xs, thresholdIn),
  y: snapNumber(point.y, lines.ys, thresholdIn),
});

/** A shift of whole shapes that brings one of their edges onto a line. */
export function snapShift(
  points: readonly Point[],
  dx: number,
  dy: number,
  lines: SnapLines,
  thresholdIn: number,
): Point {
  const along = (values: readonly number[], shift: number, targets: readonly number[]) => {
    let [best, nearest] = [Math.round(shift), thresholdIn];
    for (const value of values)
      for (const target of targets) {
        const off = Math.abs(value + shift - target);
        if (off <= nearest) [best, nearest] = [target - value, off];
      }
    return best;
  };
  return {
    x: along(
      points.map((p) => p.x),
      dx,
      lines.xs,
    ),
    y: along(
      points.map((p) => p.y),
      dy,
      lines.ys,
    ),
  };
}
