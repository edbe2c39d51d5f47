import type { RoomKind } from '../../house/schema';
import { areaFt2, boundsOf } from '../../geometry/geometry';
import type { RoomView } from '../../plan/room-view';
import { USUAL_LUMEN_ASSUMPTIONS } from '../../place/luminaires';

/** How a kind of room is lit: footcandles wanted of its ceiling, what hangs there, and the fewest and most of it. *Common practice*. */
interface Lighting {
  readonly fc: number;
  readonly lumens: number;
  readonly va: number;
  readonly least: number;
  readonly most: number;
}

const disk = { lumens: 1200, va: 14 };
/** Rooms in which people work, lit from the ceiling alone. Others get one light, and two where they are long. */
const LIGHTING: Readonly<Partial<Record<RoomKind, Lighting>>> = {
  kitchen: { ...disk, fc: 20, least: 2, most: 6 },
  laundry: { fc: 20, lumens: 2000, va: 22, least: 1, most: 3 },
  office: { ...disk, fc: 20, least: 1, most: 6 },
  studio: { ...disk, fc: 30, least: 2, most: 8 },
  recreation: { ...disk, fc: 10, least: 2, most: 8 },
  'basement-finished': { ...disk, fc: 10, least: 1, most: 8 },
  garage: { fc: 10, lumens: 4000, va: 40, least: 1, most: 6 },
  'basement-unfinished': { fc: 5, lumens: 2000, va: 22, least: 1, most: 6 },
  utility: { fc: 10, lumens: 2000, va: 22, least: 1, most: 3 },
};

/** A room so long for its width that one light leaves its ends dark, inches: *common practice*. */
const LONG_IN = 192;
const LONG_SHARE = 1.6;
/** Feet of hall that one light serves, inches. */
const HALL_IN = 168;

interface LightNeed {
  readonly columns: number;
  readonly rows: number;
  readonly lumens: number | undefined;
  readonly va: number | undefined;
  /** What was reckoned: lumens wanted and given, and the fixture assumed. */
  readonly because: string | undefined;
}

/** Rows and columns that come nearest to a count in a room of these sides, never fewer than asked for unless by one. */
function gridFor(count: number, widthIn: number, depthIn: number): readonly [columns: number, rows: number] {
  let best: readonly [number, number] = [1, count];
  let bestCost = Infinity;
  for (let columns = 1; columns <= count; columns++) {
    const rows = Math.ceil(count / columns);
    const [x, y] = [widthIn / columns, depthIn / rows];
    const cost = Math.max(x, y) / Math.min(x, y) + 0.7 * (columns * rows - count);
    if (cost < bestCost) [best, bestCost] = [[columns, rows], cost];
  }
  return best;
}

/** How many lights a room's ceiling wants, by the lumen method where people work in it, by its length elsewhere. */
export function lightNeed({ room }: RoomView, bays: number): LightNeed {
  const { minX, maxX, minY, maxY } = boundsOf(room.corners);
  const [widthIn, depthIn] = [maxX - minX, maxY - minY];
  const lighting = LIGHTING[room.kind];
  if (!lighting) {
    const long = Math.max(widthIn, depthIn);
    const isHall = room.kind === 'hallway';
    const isLong = long > LONG_IN && long > LONG_SHARE * Math.min(widthIn, depthIn);
    const count = isHall ? Math.ceil(long / HALL_IN) : isLong ? 2 : 1;
    const [columns, rows] = widthIn >= depthIn ? [count, 1] : [1, count];
    return { columns, rows, lumens: undefined, va: undefined, because: undefined };
  }
  const { utilization, maintenance } = USUAL_LUMEN_ASSUMPTIONS;
  const wanted = (lighting.fc * areaFt2(room.corners)) / (utilization * maintenance);
  const least = room.kind === 'garage' ? Math.max(lighting.least, bays) : lighting.least;
  const count = Math.min(lighting.most, Math.max(least, Math.round(wanted / lighting.lumens)));
  const [columns, rows] = gridFor(count, widthIn, depthIn);
  const given = columns * rows * lighting.lumens;
  return {
    columns,
    rows,
    lumens: lighting.lumens,
    va: lighting.va,
    because: `${columns * rows} of ${lighting.lumens} lm give ${given} of ${wanted.toFixed(0)} lm for ${lighting.fc} fc, common practice`,
  };
}
