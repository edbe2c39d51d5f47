import { HABITABLE_ROOMS } from './habitable';
import type { Box, Room, House } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import { isShorter, lengthOf } from '../geometry/intervals';
import { measureCounterSpaces, type CounterSpace } from '../plan/counter-spaces';
import { perRoom, type RoomView } from '../plan/room-view';
import { nearestWall, toLoop, wallLoop } from '../plan/wall-loop';
import { measureWallSpaces, type WallSpace } from '../plan/wall-spaces';
import { measureReach, placesIn, type Reach } from './reach';
import { given } from '../units/result';

type Receptacle = Extract<Device, { kind: 'receptacle' }>;

/** Highest place of a receptacle that fills a requirement of 210.52: 5 1/2 ft, all editions. *From memory*, high. */
export const HIGHEST_REQUIRED_IN = 66;
/** A floor receptacle this near to the wall serves its wall space: 210.52(A)(3), all editions. *From memory*, high. */
const FLOOR_FROM_WALL_IN = 18;

/** Rooms under the wall spacing of 210.52(A), with those that practice reads as similar. */
export const SPACED_ROOMS = HABITABLE_ROOMS;

/** The receptacles in a box. */
export const receptaclesOf = (box: Box): Receptacle[] =>
  Object.values(box.devices).filter((device): device is Receptacle => device.kind === 'receptacle');

/** Whether a box holds power and low voltage; a blank belongs to neither. */
export function isMixed({ devices }: Pick<Box, 'devices'>): boolean {
  const kinds = Object.values(devices).map((one) => one.kind);
  return kinds.includes('low-voltage') && kinds.some((kind) => kind !== 'low-voltage' && kind !== 'blank');
}

/** Height of a box above the floor; a floor box is at 0, a ceiling box at the ceiling. */
export function boxHeightIn(box: Box, ceilingIn: number): number {
  if (box.at.kind === 'wall' || box.at.kind === 'feature') return box.at.heightIn;
  return box.at.kind === 'floor' ? 0 : ceilingIn;
}

/**
 * Why a box cannot fill any requirement of 210.52 (its opening paragraph), or undefined when it can:
 * 125 V 15 or 20 A receptacles only, not above 5 1/2 ft, not in cabinets, not wholly switched.
 */
export function whyNotCounted(box: Box, ceilingIn: number): string | undefined {
  const receptacles = receptaclesOf(box);
  if (receptacles.length === 0) return 'no receptacle';
  if (box.inCabinet) return 'inside a cabinet';
  if (boxHeightIn(box, ceilingIn) > HIGHEST_REQUIRED_IN) return 'above 5 1/2 ft';
  if (!receptacles.some((one) => one.volts === 120 && one.ratingA <= 20)) return 'not a 125 V, 15 or 20 A receptacle';
  if (receptacles.every((one) => one.switched === 'whole')) return 'wholly switched';
  return undefined;
}

/** A receptacle on the room's floor line: in a box, or built into a heater. */
export interface OnLoop {
  /** Undefined for the receptacle of a heater. */
  readonly box: Box | undefined;
  readonly atIn: number;
}

/** Each 12 in of a multioutlet assembly counts as one receptacle outlet: 210.52(C)(1), *from memory*, medium. */
const ASSEMBLY_PIECE_IN = 12;

/** Where the receptacles of a box lie, from its middle, inches: along the whole of a multioutlet assembly. */
function assemblyPlaces(box: Box): number[] {
  const lengthIn = Math.max(0, ...receptaclesOf(box).map((one) => one.assemblyIn ?? 0));
  const pieces = Math.floor(lengthIn / ASSEMBLY_PIECE_IN);
  if (pieces < 1) return [0];
  return Array.from({ length: pieces }, (_, i) => (i - (pieces - 1) / 2) * ASSEMBLY_PIECE_IN);
}

/** Boxes that fill wall spacing, on the loop: those on walls, and floor boxes within 18 in of one. */
export const countedOnLoop = perRoom((view: RoomView): readonly OnLoop[] => {
  const loop = wallLoop(view.room);
  const inBoxes = view.boxes.flatMap((box): OnLoop[] => {
    if (whyNotCounted(box, view.level.ceilingIn) !== undefined) return [];
    if (box.at.kind === 'wall') {
      const { wall, alongIn } = box.at;
      return assemblyPlaces(box).map((offIn) => ({ box, atIn: toLoop(loop, wall, alongIn) + offIn }));
    }
    if (box.at.kind !== 'floor') return [];
    const near = nearestWall(loop, box.at);
    return near.distanceIn <= FLOOR_FROM_WALL_IN ? [{ box, atIn: toLoop(loop, near.wall.id, near.alongIn) }] : [];
  });
  // The factory-built receptacle of a permanent baseboard heater serves the wall that the heater takes: 210.52, all editions.
  const inHeaters = view.features.flatMap((feature): OnLoop[] =>
    feature.kind === 'baseboard-heater' && feature.receptacle && feature.at.kind === 'wall'
      ? [{ box: undefined, atIn: toLoop(loop, feature.at.wall, feature.at.alongIn + feature.at.widthIn / 2) }]
      : [],
  );
  return [...inBoxes, ...inHeaters];
});

/** How far the receptacles of a wall space reach, inches along it. */
export interface SpaceReach {
  readonly space: WallSpace;
  readonly reach: Reach;
  readonly boxes: readonly OnLoop[];
}

/** The reach along every wall space at least `minWidthIn` wide: 210.52(A)(1) and (2). */
export function reachAlongWalls(view: RoomView, allowedIn: number, minWidthIn: number): SpaceReach[] {
  const loop = wallLoop(view.room);
  const counted = countedOnLoop(view);
  return measureWallSpaces(view)
    .filter((space) => !isShorter(lengthOf(space), minWidthIn))
    .map((space) => {
      const places = placesIn(
        space,
        loop.lengthIn,
        counted.map((one) => one.atIn),
      );
      const boxes = counted.filter(({ atIn }) => placesIn(space, loop.lengthIn, [atIn]).length > 0);
      return { space, reach: measureReach(space, places, allowedIn), boxes };
    });
}

/** How far the receptacles of a counter reach, inches along it. */
export interface CounterReach {
  readonly space: CounterSpace;
  readonly reach: Reach;
}

/** Boxes that stand above the counter they serve: on it or up to `maxAboveIn` over it. */
export function aboveCounter(view: RoomView, space: CounterSpace, maxAboveIn: number): OnLoop[] {
  const loop = wallLoop(view.room);
  return countedOnLoop(view).filter(({ box, atIn }) => {
    if (box?.at.kind !== 'wall' || placesIn(space, loop.lengthIn, [atIn]).length === 0) return false;
    const overIn = box.at.heightIn - space.heightIn;
    return overIn >= 0 && overIn <= maxAboveIn;
  });
}

/** The reach along every wall counter at least `minWidthIn` wide: 210.52(C)(1). */
export function reachAlongCounters(
  view: RoomView,
  limits: { reachIn: number; minWidthIn: number; maxAboveIn: number },
): CounterReach[] {
  const loop = wallLoop(view.room);
  return measureCounterSpaces(view)
    .filter((space) => !isShorter(lengthOf(space), limits.minWidthIn))
    .map((space) => {
      const places = aboveCounter(view, space, limits.maxAboveIn).map((one) => one.atIn);
      return { space, reach: measureReach(space, placesIn(space, loop.lengthIn, places), limits.reachIn) };
    });
}

/** A receptacle no higher than so above a counter serves it: NEC 210.52(C)(3). Inches. */
export const SERVES_ABOVE_IN = 20;

/** Ids of the boxes over the room's wall counters. */
const boxesOverCounters = perRoom(
  (view): ReadonlySet<string> =>
    new Set(
      measureCounterSpaces(view).flatMap((space) =>
        aboveCounter(view, space, SERVES_ABOVE_IN).map((one) => given(one.box).id),
      ),
    ),
);

/** Whether a receptacle serves a counter, an island or a peninsula. */
export function servesCounter(view: RoomView, box: Box): boolean {
  if (box.at.kind === 'feature') {
    const on = box.at.feature;
    return view.features.some(
      (feature) => feature.id === on && (feature.kind === 'island' || feature.kind === 'peninsula'),
    );
  }
  return boxesOverCounters(view).has(box.id);
}

/** From the top of a counter to the middle of a box that clears it, inches: *common practice*. */
const CLEAR_OF_COUNTER_IN = 4;

/** The usual height of a receptacle over a counter of a height, no more than `maxAboveIn` over it. */
export const counterBoxHeightIn = (
  counterIn: number,
  maxAboveIn: number,
  { counterHeightIn }: House['standards'],
): number => Math.min(counterIn + maxAboveIn, Math.max(counterIn + CLEAR_OF_COUNTER_IN, counterHeightIn));

/** The usual height for a receptacle at a place of a room: the firm's standards. */
export function usualHeightIn(
  room: Room,
  heights: {
    receptacleHeightIn: number;
    garageHeightIn: number;
    laundryHeightIn: number;
    bathHeightIn: number;
    outdoorHeightIn: number;
  },
): number {
  switch (room.kind) {
    case 'garage':
      return heights.garageHeightIn;
    case 'laundry':
      return heights.laundryHeightIn;
    case 'bathroom':
    case 'half-bath':
      return heights.bathHeightIn;
    case 'porch':
    case 'deck':
    case 'balcony':
      return heights.outdoorHeightIn;
    default:
      return heights.receptacleHeightIn;
  }
}
