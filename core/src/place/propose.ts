import { asPlaced } from './outdoors';
import type { House } from '../house/schema';
import { newDevice } from '../house/schema-equipment';
import type { NewBox, NewId } from '../house/new-box';
import { cutIntervals, HAIR_IN, lengthOf, type Interval } from '../geometry/intervals';
import { viewRoom, type RoomView } from '../plan/room-view';
import { fitsInWall } from '../plan/blocked-by-framing';
import { distanceToFeature } from '../plan/points';
import { studFaces, takesBracket } from '../plan/studs';
import { fromLoop, nearestWall, pointOnWall, toLoop, wallLoop, type WallLoop } from '../plan/wall-loop';
import { isInside, type Point } from '../geometry/geometry';
import { coverWithFewest, type CoverProblem } from './cover';
import { shadowsOf } from './obstructions';
import { placesIn, type Reach, type Stretch } from './reach';
import {
  aboveCounter,
  counterBoxHeightIn,
  reachAlongCounters,
  reachAlongWalls,
  SPACED_ROOMS,
  usualHeightIn,
  type CounterReach,
  type OnLoop,
  type SpaceReach,
} from './receptacles';
import { isInCorner } from './inside-corners';
import { isTakenFromBehind } from './back-to-back';
import { roundToSixteenth } from '../units/length';
import { given, itemAt, mustGet } from '../units/result';

/** The limits that a proposal of receptacles keeps, amendments applied. */
export interface PlacementLimits {
  readonly wall: { readonly reachIn: number; readonly minWallIn: number };
  readonly counter: { readonly reachIn: number; readonly minWidthIn: number; readonly maxAboveIn: number };
}

/** A receptacle that would be placed, and why. */
export interface ProposedBox {
  readonly room: string;
  readonly atLoopIn: number;
  readonly heightIn: number;
  readonly purpose: 'wall space' | 'counter';
  /** studs: on a stud's side; bracket: anywhere on the wall; floor: in the floor before glass that comes down to it. */
  readonly on: 'stud' | 'bracket' | 'floor';
}

/** Boxes that are proposed, and what none can reach. */
export interface Proposal {
  readonly boxes: readonly ProposedBox[];
  /** Stretches that neither a box on the wall nor one in the floor can reach. */
  readonly unreachable: readonly { readonly room: string; readonly stretch: Interval }[];
}

const ON_ANY_INCH = 1;
/** Heights tried under a low sill where a box at the usual height would stand in the window, inches: *common practice*. */
const UNDER_SILL_IN = [12, 9, 6] as const;
/** How far from the glass the middle of a floor box stands, inches: within the 18 of 210.52(A)(3), clear of the frame. */
const FLOOR_BOX_OFF_IN = 8;

/** A box of a proposal with the stretches along the loop that it reaches, inches. */
interface Placed extends ProposedBox {
  readonly reaches: readonly Interval[];
}

/** Inches below the usual height over a counter at which a box still clears the counter and fits under a kitchen window: *common practice*. */
const COUNTER_UNDER_SILL_IN = [1, 2, 3, 4];

/** What one wall space or counter is missing, and what would serve it. */
interface Part {
  readonly missing: readonly Interval[];
  readonly boxes: readonly Placed[];
  readonly unreachable: Proposal['unreachable'];
}

interface Wanted {
  readonly stretch: Stretch;
  readonly reach: Reach;
  readonly fixed: readonly OnLoop[];
  readonly heightIn: number;
  readonly reachIn: number;
  readonly purpose: ProposedBox['purpose'];
}

/** A place where a box could stand: inches from the start of its stretch. */
interface Place {
  readonly at: number;
  readonly heightIn: number;
  readonly on: ProposedBox['on'];
}

/** Where boxes may stand along a stretch, the best kind of place first: studs out of corners and clear of furniture, any stud, any inch, under sills. */
function placesAlong(
  house: House,
  view: RoomView,
  { stretch, heightIn, purpose }: Wanted,
): readonly (readonly Place[])[] {
  const loop = wallLoop(view.room);
  const room = view.room.id;
  const isFree = (atIn: number, height: number) => !isTakenFromBehind(house, room, atIn, height, 1);
  const faces = studFaces(view, heightIn)
    .map((face) => face.atIn)
    .filter((atIn) => isFree(atIn, heightIn));
  const shadows = shadowsOf(view).filter((one) => one.cause !== 'the open door');
  const clear = faces.filter((atIn) =>
    shadows.every(
      (one) => atIn <= one.fromIn || atIn >= one.toIn || heightIn <= one.bottomIn - 1 || heightIn >= one.topIn,
    ),
  );
  const onStuds = (list: readonly number[]): Place[] =>
    placesIn(stretch, loop.lengthIn, list).map((at) => ({ at, heightIn, on: 'stud' }));
  const anywhere = (heights: readonly number[]): Place[] => {
    const places: Place[] = [];
    for (let at = 0; at <= lengthOf(stretch); at += ON_ANY_INCH) {
      const atIn = (stretch.fromIn + at) % loop.lengthIn;
      const fits = heights.find((height) => fitsInWall(view, atIn, height, 1) && isFree(atIn, height));
      if (fits !== undefined) places.push({ at, heightIn: fits, on: 'bracket' });
    }
    return places;
  };
  const low =
    purpose === 'wall space'
      ? UNDER_SILL_IN.filter((one) => one < heightIn)
      : COUNTER_UNDER_SILL_IN.map((one) => heightIn - one);
  const outOfCorners = clear.filter((atIn) => !isInCorner(view, atIn));
  return [onStuds(outOfCorners), onStuds(clear), onStuds(faces), anywhere([heightIn]), anywhere([heightIn, ...low])];
}

/** Places in the floor before a stretch: where nothing stands and no door swings. */
function placesInFloor(view: RoomView, { stretch }: Wanted): readonly Place[] {
  const loop = wallLoop(view.room);
  const places: Place[] = [];
  for (let at = ON_ANY_INCH; at < lengthOf(stretch); at += ON_ANY_INCH) {
    const atLoopIn = (stretch.fromIn + at) % loop.lengthIn;
    const point = floorPoint(loop, atLoopIn);
    const near = nearestWall(loop, point);
    const isBefore = Math.abs(toLoop(loop, near.wall.id, near.alongIn) - atLoopIn) < ON_ANY_INCH;
    const isBare = view.features.every((one) => distanceToFeature(view.room, one, point) > 4);
    if (isBefore && isBare && isInside(point, view.room.corners)) places.push({ at, heightIn: 0, on: 'floor' });
  }
  return places;
}

function floorPoint(loop: WallLoop, atLoopIn: number): Point {
  const { wall, alongIn } = fromLoop(loop, atLoopIn);
  const on = pointOnWall(wall, alongIn);
  return { x: on.x - wall.unit.y * FLOOR_BOX_OFF_IN, y: on.y + wall.unit.x * FLOOR_BOX_OFF_IN };
}

/** A stretch that is to be reached everywhere, as the search for the fewest boxes sees it, and back again. */
class Filling {
  readonly #loopIn: number;
  readonly #lengthIn: number;
  readonly #problem: Omit<CoverProblem, 'candidatesIn'>;

  constructor(
    readonly view: RoomView,
    readonly wanted: Wanted,
  ) {
    const { stretch, reachIn, fixed } = wanted;
    this.#loopIn = wallLoop(view.room).lengthIn;
    this.#lengthIn = lengthOf(stretch);
    const fixedAt = fixed.map((one) => one.atIn);
    this.#problem = {
      lengthIn: this.#lengthIn,
      reachIn,
      fixedIn: placesIn(stretch, this.#loopIn, fixedAt),
      endless: stretch.endless ?? false,
    };
  }

  #boxAt({ at, heightIn, on }: Place): Placed {
    const { stretch, reachIn, purpose } = this.wanted;
    return {
      reaches: reachesOf(stretch, at, reachIn),
      room: this.view.room.id,
      heightIn,
      purpose,
      on,
      atLoopIn: (stretch.fromIn + at) % this.#loopIn,
    };
  }

  /** The fewest boxes from one list of places, or undefined where they do not reach everything. */
  fewestFrom(places: readonly Place[]): Placed[] | undefined {
    const cover = coverWithFewest({ ...this.#problem, candidatesIn: along(places) });
    if (cover.kind !== 'covered') return undefined;
    return cover.chosenIn.map((at) => this.#boxAt(given(places.find((one) => Math.abs(one.at - at) < HAIR_IN))));
  }

  /** Where something of it no box on the wall can reach: the rest is completed; what is left is served from the floor, or named. */
  asFarAsPossible(tiers: readonly (readonly Place[])[]): Pick<Part, 'boxes' | 'unreachable'> {
    const { stretch, purpose } = this.wanted;
    const { pieces, holes } = splitByReach(this.#problem, along(itemAt(tiers, -1)));
    const boxes = pieces.flatMap((piece) => this.#coverPiece(piece, tiers, this.#problem.fixedIn) ?? []);
    const floor = purpose === 'wall space' ? placesInFloor(this.view, this.wanted) : [];
    const unreachable: Proposal['unreachable'][number][] = [];
    for (const hole of holes) {
      const served = floor.length > 0 ? this.#coverPiece(hole, [floor], []) : undefined;
      if (served) boxes.push(...served);
      else
        unreachable.push({
          room: this.view.room.id,
          stretch: { fromIn: stretch.fromIn + hole.fromIn, toIn: stretch.fromIn + hole.toIn },
        });
    }
    return { boxes, unreachable };
  }

  /** The places that lie in a piece, counted from its start; a piece may run past the end of the stretch. */
  #within(piece: Interval, places: readonly Place[]): Place[] {
    return places.flatMap((one) =>
      [one.at, one.at + this.#lengthIn]
        .filter((at) => at >= piece.fromIn - HAIR_IN && at <= piece.toIn + HAIR_IN)
        .map((at) => ({ ...one, at: at - piece.fromIn })),
    );
  }

  #coverPiece(piece: Interval, tiers: readonly (readonly Place[])[], fixed: readonly number[]): Placed[] | undefined {
    const taken = fixed.map((at): Place => ({ at, heightIn: 0, on: 'stud' }));
    const fixedIn = along(this.#within(piece, taken));
    const { reachIn } = this.wanted;
    for (const tier of tiers) {
      const places = this.#within(piece, tier);
      const cover = coverWithFewest({ lengthIn: lengthOf(piece), reachIn, fixedIn, candidatesIn: along(places) });
      if (cover.kind !== 'covered') continue;
      return cover.chosenIn.map((at) => {
        const place = given(places.find((one) => Math.abs(one.at - at) < HAIR_IN));
        return this.#boxAt({ ...place, at: (piece.fromIn + place.at) % Math.max(this.#lengthIn, HAIR_IN) });
      });
    }
    return undefined;
  }
}

const along = (places: readonly Place[]): number[] => places.map((one) => one.at);

function fill(house: House, view: RoomView, wanted: Wanted): Part {
  const missing = wanted.reach.gaps;
  if (missing.length === 0) return { missing, boxes: [], unreachable: [] };
  const filling = new Filling(view, wanted);
  const tiers = placesAlong(house, view, wanted);
  // Out of corners and clear of furniture where that takes no box more than the fewest.
  const fewest = filling.fewestFrom(itemAt(tiers, 2));
  for (const places of tiers) {
    const boxes = filling.fewestFrom(places);
    if (boxes && !(fewest && boxes.length > fewest.length)) return { missing, unreachable: [], boxes };
  }
  return { missing, ...filling.asFarAsPossible(tiers) };
}

/**
 * A stretch cut where no place, taken or possible, reaches: the pieces between can be covered each for itself, since nothing on one side
 * of such a hole reaches past it.
 */
function splitByReach(
  { lengthIn, reachIn, fixedIn, endless }: Pick<CoverProblem, 'lengthIn' | 'reachIn' | 'fixedIn' | 'endless'>,
  places: readonly number[],
): { pieces: Interval[]; holes: Interval[] } {
  const turns = endless ? [-lengthIn, 0, lengthIn] : [0];
  const served = [...places, ...fixedIn].flatMap((at) =>
    turns.map((turn) => ({ fromIn: at + turn - reachIn, toIn: at + turn + reachIn })),
  );
  const whole = { fromIn: 0, toIn: lengthIn };
  const holes = cutIntervals(whole, served).filter((one) => lengthOf(one) > HAIR_IN);
  const pieces = cutIntervals(whole, holes).filter((one) => lengthOf(one) > HAIR_IN);
  const [first, last] = [pieces[0], pieces.at(-1)];
  const meetsItself = endless && first !== last && first?.fromIn === 0 && last?.toIn === lengthIn;
  if (!meetsItself) return { pieces, holes };
  // On a loop the first piece goes on from the last.
  return {
    pieces: [...pieces.slice(1, -1), { fromIn: given(last).fromIn, toIn: lengthIn + given(first).toIn }],
    holes,
  };
}

/** What a box at a distance from the start of a stretch reaches of it; around the start of one without an end, too. */
function reachesOf({ fromIn, toIn, endless }: Stretch, at: number, reachIn: number): Interval[] {
  const lengthIn = toIn - fromIn;
  const places = endless ? [at - lengthIn, at, at + lengthIn] : [at];
  return places.flatMap((place) => {
    const reached = {
      fromIn: Math.max(fromIn, fromIn + place - reachIn),
      toIn: Math.min(toIn, fromIn + place + reachIn),
    };
    return reached.toIn > reached.fromIn ? [reached] : [];
  });
}

/** How far cords get along a room's walls and counters by the limits in force: what a ribbon shows, and what filling begins from. */
export const reachInRoom = (
  view: RoomView,
  { wall, counter }: PlacementLimits,
): readonly (SpaceReach | CounterReach)[] => [
  ...(SPACED_ROOMS.has(view.room.kind) ? reachAlongWalls(view, wall.reachIn, wall.minWallIn) : []),
  ...reachAlongCounters(view, counter),
];

function fillRoom(house: House, roomId: string, limits: PlacementLimits): readonly Part[] {
  const view = viewRoom(house, roomId);
  const parts: Part[] = [];
  if (SPACED_ROOMS.has(view.room.kind)) {
    const heightIn = usualHeightIn(view.room, house.standards);
    for (const { space, reach, boxes } of reachAlongWalls(view, limits.wall.reachIn, limits.wall.minWallIn))
      parts.push(
        fill(house, view, {
          stretch: space,
          reach,
          fixed: boxes,
          heightIn,
          reachIn: limits.wall.reachIn,
          purpose: 'wall space',
        }),
      );
  }
  for (const { space, reach } of reachAlongCounters(view, limits.counter)) {
    const heightIn = counterBoxHeightIn(space.heightIn, limits.counter.maxAboveIn, house.standards);
    const fixed = aboveCounter(view, space, limits.counter.maxAboveIn);
    const { reachIn } = limits.counter;
    parts.push(fill(house, view, { stretch: space, reach, fixed, heightIn, reachIn, purpose: 'counter' }));
  }
  return parts;
}

const toProposal = (parts: readonly Part[]): Proposal => ({
  boxes: parts.flatMap((part) => part.boxes.map(({ reaches: _, ...box }) => box)),
  unreachable: parts.flatMap((part) => part.unreachable),
});

/** The fewest receptacles that complete a room's wall spaces and counters, on stud faces where they can be; what stands stays. */
export const proposeForRoom = (house: House, roomId: string, limits: PlacementLimits): Proposal =>
  toProposal(fillRoom(house, roomId, limits));

/**
 * The proposal for one wall alone: those of the room's proposal that stand on it, and those around its corners that reach what
 * the others leave of it. Nothing is proposed only where nothing of the wall is out of reach.
 */
export function proposeForWall(house: House, roomId: string, wallId: string, limits: PlacementLimits): Proposal {
  const loop = wallLoop(mustGet(house.rooms, roomId));
  const wall = given(loop.walls.find((one) => one.id === wallId));
  const isOnWall = (atIn: number) => fromLoop(loop, atIn).wall.id === wallId;
  // A stretch over the start of the loop goes on beyond its length.
  const walls = [0, loop.lengthIn].map((turn) => ({
    fromIn: wall.startIn + turn,
    toIn: wall.startIn + wall.lengthIn + turn,
  }));
  return toProposal(
    fillRoom(house, roomId, limits).map((part) => {
      const missing = part.missing.flatMap((gap) => walls.flatMap((one) => overlapOf(gap, one) ?? []));
      const own = part.boxes.filter((box) => isOnWall(box.atLoopIn));
      const served = own.flatMap((box) => box.reaches);
      const left = missing.flatMap((gap) => cutIntervals(gap, served));
      const isServed = (box: Placed) => left.some((gap) => box.reaches.some((one) => overlapOf(gap, one)));
      return {
        missing,
        boxes: part.boxes.filter((box) => own.includes(box) || isServed(box)),
        unreachable: part.unreachable.filter(({ stretch }) => walls.some((one) => overlapOf(stretch, one))),
      };
    }),
  );
}

/** What two stretches have in common, unless it is a hair. */
function overlapOf(a: Interval, b: Interval): Interval | undefined {
  const both = { fromIn: Math.max(a.fromIn, b.fromIn), toIn: Math.min(a.toIn, b.toIn) };
  return lengthOf(both) > HAIR_IN ? both : undefined;
}

/** Receptacles for every wall space and counter of the house that wants one; rooms that stay as they are want none. */
export function proposeForHouse(house: House, limits: PlacementLimits): Proposal {
  const rooms = Object.keys(house.rooms).filter((id) => !mustGet(house.rooms, id).closed);
  const parts = rooms.map((roomId) => proposeForRoom(house, roomId, limits));
  return { boxes: parts.flatMap((part) => part.boxes), unreachable: parts.flatMap((part) => part.unreachable) };
}

/** The proposal as boxes that can be placed as one edit; origin `code`. */
export function boxesOfProposal(house: House, proposal: Proposal, newId: NewId): NewBox[] {
  return proposal.boxes.map(({ room, atLoopIn, heightIn, on }) => {
    const loop = wallLoop(mustGet(house.rooms, room));
    const { wall, alongIn } = fromLoop(loop, atLoopIn);
    const bracket = on === 'bracket' && takesBracket(viewRoom(house, room), wall.id);
    return {
      id: newId('box'),
      room,
      origin: 'code',
      at:
        on === 'floor'
          ? { kind: 'floor', ...floorPoint(loop, atLoopIn) }
          : { kind: 'wall', wall: wall.id, alongIn: roundToSixteenth(alongIn), heightIn },
      devices: [newDevice('receptacle', newId('device'), asPlaced(mustGet(house.rooms, room)))],
      ...(bracket ? { bracket } : {}),
    };
  });
}
