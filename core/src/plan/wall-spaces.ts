import type { Feature, RoomKind } from '../house/schema';
import { cutLoop, type Interval } from '../geometry/intervals';
import { openingBreak } from './opening-break';
import { perRoom, type RoomView } from './room-view';
import { fromLoop, stretchBefore, toLoop, wallLoop } from './wall-loop';

/**
 * A stretch of floor line unbroken by doorways and similar openings, fireplaces and fixed cabinets: NEC 210.52(A)(2).
 * Positions are inches along the room's loop; a space over the loop's start runs past the loop's length.
 */
export interface WallSpace extends Interval {
  /** A room without any break: the space closes on itself and has no ends. */
  readonly endless: boolean;
  /** Compass names of the walls it runs along, in order. */
  readonly walls: readonly string[];
}

/** A stretch that breaks the wall space, and what breaks it. */
interface WallBreak extends Interval {
  readonly cause: string;
}

/**
 * Features that end a wall space: fixed cabinets without a work surface, fireplaces, stationary appliances, tubs, showers
 * and stairs. A counter run of a kitchen is measured by 210.52(C) instead. Furniture, heaters and panels do not break the wall.
 */
const BREAKING: ReadonlySet<Feature['kind']> = new Set([
  'fireplace',
  'cabinet',
  'tall-cabinet',
  'range',
  'refrigerator',
  'counter',
  'peninsula',
  'tub',
  'shower',
  'stair',
  'dishwasher',
  'water-heater',
]);

/** Rooms whose counters are measured by 210.52(C), and so are no wall space: kitchens, pantries, breakfast and dining rooms. */
const COUNTER_ROOMS: ReadonlySet<RoomKind> = new Set(['kitchen', 'pantry', 'breakfast', 'dining']);

/**
 * Whether a feature ends the wall space that it stands before. Elsewhere than in those rooms a counter is a work surface, a desk
 * or a bar, and the wall behind it counts: said since 2017, and taken so for 2014. *From memory*, medium.
 */
const isBreaking = (view: RoomView, feature: Feature): boolean =>
  BREAKING.has(feature.kind) && (feature.kind !== 'counter' || COUNTER_ROOMS.has(view.room.kind));

/** Every break of the floor line, sorted, inches along the loop. */
export const measureBreaks = perRoom((view): readonly WallBreak[] => {
  const loop = wallLoop(view.room);
  const spread = (wall: string, alongIn: number, widthIn: number, cause: string): WallBreak => {
    const fromIn = toLoop(loop, wall, alongIn);
    return { fromIn, toIn: fromIn + widthIn, cause };
  };
  const breaks = [
    ...loop.walls
      .filter((wall) => wall.boundary === 'open')
      .map((wall) => spread(wall.id, 0, wall.lengthIn, 'open to the next area')),
    ...view.openings.flatMap((seen) => {
      const gap = openingBreak(seen);
      return gap ? [spread(seen.wall, gap.alongIn, gap.widthIn, gap.cause)] : [];
    }),
    ...view.features.flatMap((feature) =>
      feature.at.kind === 'wall' && isBreaking(view, feature) && feature.at.behindIn < 12
        ? [{ ...stretchBefore(loop, feature.at), cause: feature.name || feature.kind }]
        : [],
    ),
  ];
  return breaks.sort((a, b) => a.fromIn - b.fromIn);
});

/** Every stretch of unbroken floor line of a room, short ones included; NEC 210.52(A)(2) counts those of 24 in and more. */
export const measureWallSpaces = perRoom((view: RoomView): readonly WallSpace[] => {
  const loop = wallLoop(view.room);
  const breaks = measureBreaks(view);
  return cutLoop(loop.lengthIn, breaks).map((stretch) => ({
    ...stretch,
    endless: breaks.length === 0,
    walls: wallsUnder(view, stretch),
  }));
});

/** Compass names of the walls under a stretch of loop. */
export function wallsUnder(view: RoomView, stretch: Interval): string[] {
  const loop = wallLoop(view.room);
  const names: string[] = [];
  let at = stretch.fromIn;
  while (at < stretch.toIn - 0.01 && names.length <= loop.walls.length) {
    const { wall, alongIn } = fromLoop(loop, at + 0.005);
    names.push(wall.name);
    at += Math.max(0.01, wall.lengthIn - alongIn);
  }
  return names;
}
