import { boundsOf, isInside, type Point } from '../geometry/geometry';
import { cutIntervals, lengthOf } from '../geometry/intervals';
import type { Joists, Room, Standards } from '../house/schema';
import { itemAt } from '../units/result';

type CeilingRows = Standards['ceilingRows'];

/**
 * Places of `count` luminaires along a length, inches from its start.
 * *Half spacing at the walls* (even light): the ends stand half a spacing from the walls. *Equal divisions*: length ÷ (count + 1).
 * Both *common practice*; 260 in and four in equal divisions give 52 in.
 */
export function spreadAlong(lengthIn: number, count: number, standard: CeilingRows): number[] {
  if (count <= 0) return [];
  const step = standard === 'equal-divisions' ? lengthIn / (count + 1) : lengthIn / count;
  const first = standard === 'equal-divisions' ? step : step / 2;
  return Array.from({ length: count }, (_, i) => first + i * step);
}

/** How many luminaires keep the spacing under a limit along a length. */
export const countForSpacing = (lengthIn: number, spacingIn: number, standard: CeilingRows): number =>
  Math.max(1, Math.ceil((standard === 'equal-divisions' ? lengthIn / spacingIn - 1 : lengthIn / spacingIn) - 1e-9));

/** Spacing of recessed luminaires: half the ceiling height, 8 ft → 4 ft, 9 ft → 4 1/2 ft; *common practice*. */
export const usualSpacingIn = (ceilingIn: number): number => ceilingIn / 2;

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly standard: CeilingRows;
  /** Rows start this far from the walls to the left and at the top instead of where the standard puts them, inches. */
  readonly offsetX?: number | undefined;
  readonly offsetY?: number | undefined;
  /** The nearest row is brought over this point of the plan, and the others go with it. */
  readonly over?: Point | undefined;
}

/** Places of luminaires in rows, with their distances, inches. */
export interface GridPlaces {
  readonly places: readonly Point[];
  readonly stepX: number;
  readonly stepY: number;
  /** Places of the grid that fall outside the room or into a beam: left out. */
  readonly left: number;
}

/** The least shift that brings one of the rows to a place. */
const shiftTo = (rows: readonly number[], to: number): number =>
  rows.map((row) => to - row).reduce((best, one) => (Math.abs(one) < Math.abs(best) ? one : best), Infinity) || 0;

/**
 * The middles of the coffers that beams make of a ceiling: one place between each two neighboring beams, or beam and wall,
 * both ways. Beams narrower than they are long divide across their run; coffers under 12 in take no luminaire.
 */
export function cofferMiddles(room: Room, beams: readonly (readonly Point[])[]): Point[] {
  const all = boundsOf(room.corners);
  const outlines = beams.map((outline) => boundsOf(outline));
  const between = (from: number, to: number, cuts: readonly { fromIn: number; toIn: number }[]) =>
    cutIntervals({ fromIn: from, toIn: to }, cuts)
      .filter((one) => lengthOf(one) >= 12)
      .map((one) => (one.fromIn + one.toIn) / 2);
  const upright = (one: { minX: number; maxX: number; minY: number; maxY: number }) =>
    one.maxY - one.minY >= one.maxX - one.minX;
  const xs = between(
    all.minX,
    all.maxX,
    outlines.filter(upright).map((one) => ({ fromIn: one.minX, toIn: one.maxX })),
  );
  const ys = between(
    all.minY,
    all.maxY,
    outlines.filter((one) => !upright(one)).map((one) => ({ fromIn: one.minY, toIn: one.maxY })),
  );
  return ys.flatMap((y) => xs.map((x) => ({ x, y }))).filter((at) => isInside(at, room.corners));
}

/** A grid of ceiling luminaires over a room, measured in its bounding rectangle; places outside the room are left out. */
export function ceilingGrid(room: Room, grid: Grid, avoid: readonly (readonly Point[])[] = []): GridPlaces {
  const { minX, minY, maxX, maxY } = boundsOf(room.corners);
  const along = (lengthIn: number, count: number, offsetIn: number | undefined) => {
    if (offsetIn === undefined || count < 1) return spreadAlong(lengthIn, count, grid.standard);
    const step = count > 1 ? (lengthIn - 2 * offsetIn) / (count - 1) : 0;
    return Array.from({ length: count }, (_, i) => offsetIn + i * step);
  };
  const [xs, ys] = [along(maxX - minX, grid.columns, grid.offsetX), along(maxY - minY, grid.rows, grid.offsetY)];
  const dx = grid.over ? shiftTo(xs, grid.over.x - minX) : 0;
  const dy = grid.over ? shiftTo(ys, grid.over.y - minY) : 0;
  const all = ys.flatMap((y) => xs.map((x) => ({ x: minX + x + dx, y: minY + y + dy })));
  const places = all.filter((at) => isInside(at, room.corners) && !avoid.some((outline) => isInside(at, outline)));
  const step = (values: readonly number[]) => (values.length > 1 ? itemAt(values, 1) - itemAt(values, 0) : 0);
  return { places, stepX: step(xs), stepY: step(ys), left: all.length - places.length };
}

/** How far a can's middle is from the nearest joist's side, inches; one that is wider than that hits the joist. */
export function joistConflict(joists: Joists, at: Point, diameterIn: number): boolean {
  const across = joists.run === 'east-west' ? at.y : at.x;
  const phase = (((across - joists.offsetIn) % joists.spacingIn) + joists.spacingIn) % joists.spacingIn;
  const toJoist = Math.min(phase, joists.spacingIn - phase);
  return toJoist < diameterIn / 2 + 0.75;
}

/** Assumptions of the lumen method, shown beside its answer. */
interface LumenAssumptions {
  /** Share of the lamp's light that reaches the work plane: coefficient of utilization. */
  readonly utilization: number;
  /** Loss by age and dirt. */
  readonly maintenance: number;
}
/** Light ceiling and walls, recessed downlights, LED after some years; *common practice*, *from memory*. */
export const USUAL_LUMEN_ASSUMPTIONS: LumenAssumptions = { utilization: 0.6, maintenance: 0.8 };

/** Mean illuminance in footcandles by the lumen method: lamps × lumens × utilization × maintenance ÷ area in ft². */
export const lumenMethodFc = (
  count: number,
  lumensEach: number,
  areaFt2: number,
  { utilization, maintenance }: LumenAssumptions = USUAL_LUMEN_ASSUMPTIONS,
): number => (areaFt2 > 0 ? (count * lumensEach * utilization * maintenance) / areaFt2 : 0);

/** Footcandles that rooms are usually lit to; *common practice*, *from memory*: too few and too many are told from these. */
const USUAL_FC: Readonly<Record<string, readonly [number, number]>> = {
  kitchen: [30, 50],
  bathroom: [20, 50],
  'half-bath': [20, 50],
  laundry: [20, 50],
  garage: [10, 50],
  office: [30, 50],
  studio: [50, 100],
  hallway: [5, 15],
  stair: [5, 20],
  bedroom: [10, 20],
};
/** Foot-candles that a kind of room usually has, from and to: *common practice*. */
export const usualFc = (kind: string): readonly [number, number] => USUAL_FC[kind] ?? [10, 30];

/** A source of light for the point method: its place, its height over the work plane, its lumens. */
export interface LightSource extends Point {
  readonly dropIn: number;
  readonly lumens: number;
}

/**
 * Direct illuminance at a point of the work plane, footcandles: E = I · cos³θ ÷ h², with I = lumens ÷ π in the axis of a
 * source that follows Lambert's law (so I falls with cos θ). Light reflected by walls and ceiling is left out: a lower bound.
 */
export function directFc(sources: readonly LightSource[], at: Point): number {
  let sum = 0;
  for (const one of sources) {
    const h = one.dropIn / 12;
    const d2 = ((one.x - at.x) ** 2 + (one.y - at.y) ** 2) / 144;
    const r2 = d2 + h * h;
    const cosine = h / Math.sqrt(r2);
    sum += ((one.lumens / Math.PI) * cosine * cosine) / r2;
  }
  return sum;
}

/** Foot-candles over the floor of a room. */
export interface LightMap {
  readonly stepIn: number;
  readonly cells: readonly { readonly x: number; readonly y: number; readonly fc: number }[];
  readonly meanFc: number;
  readonly leastFc: number;
  readonly mostFc: number;
}

/** Direct illuminance over a room on a grid of cells. */
export function lightMap(corners: readonly Point[], sources: readonly LightSource[], stepIn = 6): LightMap {
  const { minX, minY, maxX, maxY } = boundsOf(corners);
  const cells = [];
  for (let y = minY + stepIn / 2; y < maxY; y += stepIn)
    for (let x = minX + stepIn / 2; x < maxX; x += stepIn)
      if (isInside({ x, y }, corners)) cells.push({ x, y, fc: directFc(sources, { x, y }) });
  const values = cells.map((one) => one.fc);
  return {
    stepIn,
    cells,
    meanFc: values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length),
    leastFc: values.reduce((a, b) => Math.min(a, b), values[0] ?? 0),
    mostFc: values.reduce((a, b) => Math.max(a, b), 0),
  };
}
