import { memo } from '../cache/memo';
import { boundsOf, distanceToSegment, isInside, type Point } from '../geometry/geometry';
import type { House, Joists, Level, Room } from '../house/schema';
import { OUTDOOR_KINDS } from '../place/outdoors';

/**
 * What lies between two stories, over the top one or under the lowest one: `closed` between a ceiling and a floor, `open` over an unfinished basement or garage whose
 * joists stay in sight, `unknown` where nothing is drawn and the level does not say.
 */
export type SpaceKind = 'attic' | 'closed' | 'open' | 'crawl' | 'unknown';

/** A place in a space at which cables may turn. Inches on the plan; z above the house's zero. */
export interface SpaceNode extends Point {
  readonly z: number;
  readonly kind: SpaceKind;
  /** Whether the room below is conditioned: attic heat and insulation count there. */
  readonly below: string | undefined;
  readonly above: string | undefined;
}

/** Nodes on a square lattice, and which of them are side by side. */
export interface Space {
  readonly id: string;
  /** The level whose ceiling it lies over, and that whose floor it lies under. */
  readonly over: Level | undefined;
  readonly under: Level | undefined;
  readonly joists: Joists | undefined;
  readonly nodes: readonly SpaceNode[];
  /** Pairs of neighbors by number, the first before the second. */
  readonly links: readonly (readonly [number, number])[];
  /** The nearest node to a point, by the way square to the house; undefined where none is within reach. */
  readonly nearest: (point: Point, withinIn?: number, accept?: (node: SpaceNode) => boolean) => number | undefined;
}

/** How far apart lines of the lattice are: a cable is laid along a joist or square to it, and a foot or two aside is the same to a crew. */
export const LATTICE_IN = 24;
/** A cable reaches from the middle of a wall to the lattice within this. */
const REACH_IN = 40;
/** Where the framing steps up by more than this to a half level, no cable goes on in the space: it goes up or down in the wall between. */
const STEP_IN = 24;
/** Walls between rooms, which the space goes over without a break: half of the thickest and a little. */
const OVER_WALL_IN = 9;
/** A node above a ceiling lies on top of the plates; under a floor, in the depth of the joists: *common practice*. */
const ON_PLATES_IN = 3;
const IN_JOISTS_IN = 6;

/** A square lattice over some rooms: its corner, and how many lines it has. */
interface Grid {
  readonly left: number;
  readonly top: number;
  readonly columns: number;
  readonly rows: number;
}

function gridOver(rooms: readonly Room[]): Grid | undefined {
  if (rooms.length === 0) return undefined;
  const { minX, maxX, minY, maxY } = boundsOf(rooms.flatMap((one) => one.corners));
  const lines = (lengthIn: number) => Math.floor(lengthIn / LATTICE_IN) + 2;
  return { left: minX, top: minY, columns: lines(maxX - minX), rows: lines(maxY - minY) };
}

/** The room at each point of a grid, row by row: the one that it lies in, else the first whose wall is near. */
function roomsOn({ left, top, columns, rows }: Grid, rooms: readonly Room[]): readonly (Room | undefined)[] {
  const at = new Array<Room | undefined>(columns * rows).fill(undefined);
  const isIn = new Uint8Array(columns * rows);
  for (const room of rooms) {
    const { minX, maxX, minY, maxY } = boundsOf(room.corners);
    const first = (low: number, start: number) => Math.max(0, Math.ceil((low - OVER_WALL_IN - start) / LATTICE_IN));
    const last = (high: number, start: number, most: number) =>
      Math.min(most - 1, Math.floor((high + OVER_WALL_IN - start) / LATTICE_IN));
    for (let row = first(minY, top); row <= last(maxY, top, rows); row++)
      for (let column = first(minX, left); column <= last(maxX, left, columns); column++) {
        const n = row * columns + column;
        if (isIn[n]) continue;
        const point = { x: left + column * LATTICE_IN, y: top + row * LATTICE_IN };
        if (isInside(point, room.corners)) {
          at[n] = room;
          isIn[n] = 1;
        } else if (!at[n] && isByWall(point, room)) at[n] = room;
      }
  }
  return at;
}

const isByWall = (point: Point, { corners }: Room): boolean =>
  corners.some((from, i) => distanceToSegment(point, from, corners[(i + 1) % corners.length]!) <= OVER_WALL_IN);

/** Rooms of a level that something lies over or under: not what is open to the sky. */
const isRoofed = ({ kind }: Room): boolean => kind === 'porch' || !OUTDOOR_KINDS.has(kind);

function kindOf(over: Level | undefined, under: Level | undefined, below?: Room, above?: Room): SpaceKind | undefined {
  if (below?.kind === 'crawl-space') return 'crawl';
  if (above?.kind === 'attic') return 'attic';
  if (below && above) return below.kind === 'basement-unfinished' ? 'open' : 'closed';
  if (below) {
    if (below.kind === 'attic' || over!.above === 'roof') return undefined;
    return over!.above === 'attic' ? 'attic' : 'unknown';
  }
  if (under!.below === 'slab') return undefined;
  return under!.below === 'crawl' ? 'crawl' : 'unknown';
}

function zOf(over: Level | undefined, under: Level | undefined, kind: SpaceKind, below?: Room): number {
  if (below && over) return over.elevationIn + over.ceilingIn + (kind === 'attic' ? ON_PLATES_IN : IN_JOISTS_IN);
  return under!.elevationIn - IN_JOISTS_IN;
}

/** The lattice of one space. */
function buildSpace(id: string, over: Level | undefined, under: Level | undefined, rooms: readonly Room[]): Space {
  const belowRooms = rooms.filter((one) => one.level === over?.id && isRoofed(one));
  const aboveRooms = rooms.filter((one) => one.level === under?.id && isRoofed(one));
  const nodes: SpaceNode[] = [];
  const links: [number, number][] = [];
  const grid = gridOver([...belowRooms, ...aboveRooms]) ?? { left: 0, top: 0, columns: 0, rows: 0 };
  const { left, top, columns, rows } = grid;
  const numbers = new Int32Array(columns * rows).fill(-1);
  const [below, above] = [roomsOn(grid, belowRooms), roomsOn(grid, aboveRooms)];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const n = row * columns + column;
      const [lower, upper] = [below[n], above[n]];
      if (!lower && !upper) continue;
      const kind = kindOf(over, under, lower, upper);
      if (!kind) continue;
      const at = nodes.length;
      numbers[n] = at;
      const point = { x: left + column * LATTICE_IN, y: top + row * LATTICE_IN };
      nodes.push({ ...point, z: zOf(over, under, kind, lower), kind, below: lower?.id, above: upper?.id });
      for (const before of [column > 0 ? numbers[n - 1]! : -1, row > 0 ? numbers[n - columns]! : -1])
        if (before >= 0 && Math.abs(nodes[before]!.z - nodes[at]!.z) <= STEP_IN) links.push([before, at]);
    }
  const nearest: Space['nearest'] = (point, withinIn = REACH_IN, accept) => {
    const rings = accept ? 2 : 1;
    const [column, row] = [Math.round((point.x - left) / LATTICE_IN), Math.round((point.y - top) / LATTICE_IN)];
    let best: number | undefined;
    let least = withinIn;
    for (let dc = -rings; dc <= rings; dc++)
      for (let dr = -rings; dr <= rings; dr++) {
        const [c, r] = [column + dc, row + dr];
        const at = c < 0 || r < 0 || c >= columns || r >= rows ? -1 : numbers[r * columns + c]!;
        if (at < 0 || (accept && !accept(nodes[at]!))) continue;
        const far = Math.abs(nodes[at]!.x - point.x) + Math.abs(nodes[at]!.y - point.y);
        if (far < least) [best, least] = [at, far];
      }
    return best;
  };
  return { id, over, under, joists: over?.joists, nodes, links, nearest };
}

/** The spaces of a house from below upwards: under the lowest level, between each two, over the top one. */
export const spacesOf = memo(
  (house: House): readonly Space[] => {
    const levels = Object.values(house.levels).sort((a, b) => a.elevationIn - b.elevationIn);
    const rooms = Object.values(house.rooms);
    return [undefined, ...levels].map((over, i) => buildSpace(`space-${i}`, over, levels[i], rooms));
  },
  ({ rooms, levels }) => [rooms, levels],
);

/** Joists between two places of a space that a cable has to be taken across; undefined where how they run is not known. */
export function joistsBetween(joists: Joists | undefined, a: Point, b: Point): number | undefined {
  if (!joists) return undefined;
  const axis = joists.run === 'east-west' ? 'y' : 'x';
  const nth = (at: number) => Math.floor((at - joists.offsetIn) / joists.spacingIn);
  return Math.abs(nth(b[axis]) - nth(a[axis]));
}

/** The space that a leg lies in, among those of its house. */
export const spaceOf = (
  spaces: readonly Space[],
  leg: { readonly over: string | null; readonly under: string | null },
): Space | undefined =>
  spaces.find(({ over, under }) => (over?.id ?? null) === leg.over && (under?.id ?? null) === leg.under);
