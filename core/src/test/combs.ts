import type { Point } from '../geometry/geometry';

/** Corners of the `i`th of many rooms like combs, that reach through each other's bounds: the worst that the limits allow for comparing rooms. */
export function combCorners(i: number): (Point & { readonly id: string })[] {
  const teeth = Array.from({ length: 14 }, (_, t) => [
    { x: t * 200, y: 3000 - i },
    { x: t * 200, y: i * 2 },
    { x: t * 200 + 100, y: i * 2 },
    { x: t * 200 + 100, y: 3000 - i },
  ]).flat();
  return [...teeth, { x: 2800, y: 3200 }, { x: 0, y: 3200 }].map((point, n) => ({ id: `c${n}`, ...point }));
}
