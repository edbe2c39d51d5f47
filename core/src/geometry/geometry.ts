/** A point on the plan: inches, x to the right, y down. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** How far apart two points are. Written out: the library's way guards against lengths that no house has, and takes ten times as long. */
export function distance(a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  return Math.sqrt(dx * dx + dy * dy);
}

/** Twice the signed area; positive for a clockwise polygon as seen on the plan (y down). */
function doubleArea(points: readonly Point[]): number {
  let sum = 0;
  for (let i = 0; i < points.length; i++) {
    const a = points[i]!;
    const b = points[(i + 1) % points.length]!;
    sum += a.x * b.y - b.x * a.y;
  }
  return sum;
}

/** Whether corners go around clockwise, as the screen shows them (y down). */
export const isClockwise = (points: readonly Point[]): boolean => doubleArea(points) > 0;

/** Enclosed area in square feet. */
export const areaFt2 = (points: readonly Point[]): number => Math.abs(doubleArea(points)) / 2 / 144;

/** The rectangle around points, inches. */
export interface Bounds {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The rectangle around points. @throws on none */
export function boundsOf(points: readonly Point[]): Bounds {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of points) {
    minX = Math.min(minX, x);
    minY = Math.min(minY, y);
    maxX = Math.max(maxX, x);
    maxY = Math.max(maxY, y);
  }
  return { minX, minY, maxX, maxY };
}

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** Whether two segments cross at a point inside both; touching ends and lying along each other do not count. */
export function segmentsCross(a: Point, b: Point, c: Point, d: Point): boolean {
  const slack = 1e-6;
  const [p, q, r, s] = [cross(a, b, c), cross(a, b, d), cross(c, d, a), cross(c, d, b)];
  return (
    ((p > slack && q < -slack) || (p < -slack && q > slack)) && ((r > slack && s < -slack) || (r < -slack && s > slack))
  );
}

/** Whether the point lies strictly inside the polygon, by more than a hair. */
export function isInside(point: Point, polygon: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const a = polygon[i]!;
    const b = polygon[j]!;
    if (a.y > point.y !== b.y > point.y && point.x < ((b.x - a.x) * (point.y - a.y)) / (b.y - a.y) + a.x)
      inside = !inside;
  }
  return inside && edgesOf(polygon).every(([a, b]) => distanceToSegment(point, a, b) >= 1e-6);
}

/** From a point to the nearest place of a segment, inches. */
export function distanceToSegment(point: Point, a: Point, b: Point): number {
  return distance(point, nearestOnSegment(point, a, b));
}

/** The place of a segment that is nearest to a point. */
export function nearestOnSegment(point: Point, a: Point, b: Point): Point {
  const lengthSquared = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  if (lengthSquared === 0) return a;
  const t = Math.max(0, Math.min(1, ((point.x - a.x) * (b.x - a.x) + (point.y - a.y) * (b.y - a.y)) / lengthSquared));
  return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
}

const edgesOf = (polygon: readonly Point[]): [Point, Point][] =>
  polygon.map((p, i) => [p, polygon[(i + 1) % polygon.length]!]);

/** Whether the outline crosses itself. */
export function crossesItself(polygon: readonly Point[]): boolean {
  const edges = edgesOf(polygon);
  return edges.some(([a, b], i) => edges.slice(i + 1).some(([c, d]) => segmentsCross(a, b, c, d)));
}

/** A point certainly inside the polygon, near the middle of its widest horizontal slice at half height, for labels. */
export function innerPoint(polygon: readonly Point[]): Point {
  const { minY, maxY } = boundsOf(polygon);
  let best: { point: Point; width: number } | undefined;
  for (const share of [0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.11, 0.89]) {
    const y = minY + (maxY - minY) * share + 1e-3;
    const xs = edgesOf(polygon)
      .filter(([a, b]) => a.y > y !== b.y > y)
      .map(([a, b]) => a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x))
      .sort((a, b) => a - b);
    for (let i = 0; i + 1 < xs.length; i += 2) {
      const width = xs[i + 1]! - xs[i]!;
      if (!best || width > best.width * 1.25) best = { point: { x: (xs[i]! + xs[i + 1]!) / 2, y }, width };
    }
  }
  return best?.point ?? polygon[0]!;
}

const hair = 1 / 32;

/** The edges of an outline that come near a rectangle. */
const edgesNear = (polygon: readonly Point[], { minX, minY, maxX, maxY }: Bounds): [Point, Point][] =>
  edgesOf(polygon).filter(
    ([a, b]) =>
      Math.max(a.x, b.x) >= minX &&
      Math.min(a.x, b.x) <= maxX &&
      Math.max(a.y, b.y) >= minY &&
      Math.min(a.y, b.y) <= maxY,
  );

/** Whether two rectangles share more than a hair. */
export const boundsMeet = (a: Bounds, b: Bounds): boolean =>
  a.maxX - hair > b.minX && b.maxX - hair > a.minX && a.maxY - hair > b.minY && b.maxY - hair > a.minY;

/** Whether two polygons share area; walls that only touch do not. Only what lies where their bounds meet is looked at. */
export function polygonsOverlap(a: readonly Point[], b: readonly Point[]): boolean {
  const [boxA, boxB] = [boundsOf(a), boundsOf(b)];
  if (!boundsMeet(boxA, boxB)) return false;
  const common = {
    minX: Math.max(boxA.minX, boxB.minX),
    minY: Math.max(boxA.minY, boxB.minY),
    maxX: Math.min(boxA.maxX, boxB.maxX),
    maxY: Math.min(boxA.maxY, boxB.maxY),
  };
  const [nearA, nearB] = [edgesNear(a, common), edgesNear(b, common)];
  for (const [p, q] of nearA) {
    const [minX, maxX] = p.x < q.x ? [p.x, q.x] : [q.x, p.x];
    const [minY, maxY] = p.y < q.y ? [p.y, q.y] : [q.y, p.y];
    for (const [r, s] of nearB) {
      if ((r.x < minX && s.x < minX) || (r.x > maxX && s.x > maxX)) continue;
      if ((r.y < minY && s.y < minY) || (r.y > maxY && s.y > maxY)) continue;
      if (segmentsCross(p, q, r, s)) return true;
    }
  }
  const isCommon = ({ x, y }: Point) => x >= common.minX && x <= common.maxX && y >= common.minY && y <= common.maxY;
  const probes = (polygon: readonly Point[], near: [Point, Point][]) =>
    [...near.flatMap(([p, q]) => [p, q, { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 }]), innerPoint(polygon)].filter(
      isCommon,
    );
  return probes(a, nearA).some((p) => isInside(p, b)) || probes(b, nearB).some((p) => isInside(p, a));
}
