import type { Point } from '../geometry/geometry';
import { memo } from '../cache/memo';
import type { House, Route, RouteLeg } from '../house/schema';
import { fromLoop, pointOnWall, wallLoop, wrapIn } from '../plan/wall-loop';
import type { LaidCable } from './laid';
import { CABLES_PER_HOLE } from './ways';
import { axesOf, squared, type Axes } from '../plan/own-axes';
import { inOwnAxes } from './legs';
import { spaceOf, spacesOf, type Space, type SpaceKind } from './spaces';

/** Cables through the plate of one bay. */
export interface BoredPlate {
  readonly key: string;
  readonly room: string;
  readonly wall: string;
  readonly atIn: number;
  readonly alongIn: number;
  /** A plate, or a block between two studs. */
  readonly end: 'top' | 'bottom' | 'block';
  /** Of a block, inches above the floor. */
  readonly heightIn?: number;
  readonly point: Point;
  readonly cables: readonly LaidCable[];
}

/** Holes through the plate, or the block, of a bay, each for as many cables as a hole takes. */
export const plateHolesOf = ({ cables }: Pick<BoredPlate, 'cables'>): number =>
  Math.ceil(cables.length / CABLES_PER_HOLE);

/** Two cables as near as this come through one plate side by side, inches: they lie within one bay. */
const SAME_BAY_IN = 14;

/** Rows of blocking that a cable passes on its way up or down in a bay: the middle of each, inches above the floor. */
function blocksPassed(house: House, leg: Extract<RouteLeg, { kind: 'rise' }>): readonly number[] {
  const room = house.rooms[leg.room]!;
  const { wall } = fromLoop(wallLoop(room), wrapIn(wallLoop(room), leg.atIn));
  const rows = room.corners.find((one) => one.id === wall.id)?.framing?.blockingAtIn ?? [];
  const [low, high] = [Math.min(leg.fromIn, leg.toIn), Math.max(leg.fromIn, leg.toIn)];
  return rows.filter((atIn) => atIn > low && atIn < high);
}

/** Where cables go up or down through plates and rows of blocking, those of one bay together. */
export function platesOf(house: House, laid: readonly LaidCable[]): readonly BoredPlate[] {
  const plates: (Omit<BoredPlate, 'cables'> & { cables: LaidCable[] })[] = [];
  for (const cable of laid)
    for (const leg of cable.route.legs) {
      if (leg.kind !== 'rise') continue;
      const loop = wallLoop(house.rooms[leg.room]!);
      const atIn = wrapIn(loop, leg.atIn);
      const { wall, alongIn } = fromLoop(loop, atIn);
      const ends: Pick<BoredPlate, 'end' | 'heightIn'>[] = [
        ...blocksPassed(house, leg).map((heightIn) => ({ end: 'block' as const, heightIn })),
        ...(leg.plate ? [{ end: leg.plate }] : []),
      ];
      for (const { end, heightIn } of ends) {
        const same = plates.find(
          (one) =>
            one.room === leg.room &&
            one.end === end &&
            one.heightIn === heightIn &&
            one.wall === wall.id &&
            Math.abs(one.atIn - atIn) <= SAME_BAY_IN,
        );
        if (same) same.cables.push(cable);
        else
          plates.push({
            key: `${leg.room} ${end}${heightIn ?? ''} ${atIn}`,
            room: leg.room,
            wall: wall.id,
            atIn,
            alongIn,
            end,
            ...(heightIn === undefined ? {} : { heightIn }),
            point: pointOnWall(wall, alongIn),
            cables: [cable],
          });
      }
    }
  return plates;
}

/** Cable in a space, by what kind of space it is, inches. */
export function spaceInches(house: House, laid: readonly LaidCable[]): ReadonlyMap<SpaceKind, number> {
  const inches = new Map<SpaceKind, number>();
  for (const { route, kinds } of laid)
    for (const [kind, length] of spaceKindsOf(house, route))
      inches.set(kind, (inches.get(kind) ?? 0) + length * Math.max(1, kinds.length));
  return inches;
}

/** How far one route lies in each kind of space, inches; remembered while what lies over and under the rooms is the same. */
export const spaceKindsOf = (house: House, route: Pick<Route, 'legs'>): ReadonlyMap<SpaceKind, number> =>
  findKinds(route, spacesOf(squared(house)), axesOf(house.rooms));

const findKinds = memo(
  ({ legs }: Pick<Route, 'legs'>, spaces: readonly Space[], axes: Axes): ReadonlyMap<SpaceKind, number> => {
    const inches = new Map<SpaceKind, number>();
    for (const leg of inOwnAxes(axes, legs)) {
      if (leg.kind !== 'space') continue;
      const space = spaceOf(spaces, leg);
      leg.points.slice(1).forEach((to, i) => {
        const from = leg.points[i]!;
        const length = Math.abs(to.x - from.x) + Math.abs(to.y - from.y);
        const near = space?.nearest({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });
        const kind = near === undefined ? 'unknown' : space!.nodes[near]!.kind;
        inches.set(kind, (inches.get(kind) ?? 0) + length);
      });
    }
    return inches;
  },
);
