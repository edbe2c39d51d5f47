import { isMoist } from './outdoors';
import type { House } from '../house/schema';
import { newDevice } from '../house/schema-equipment';
import type { NewBox, NewId } from '../edits/verbs';
import { cutIntervals, HAIR_IN, lengthOf, type Interval } from '../geometry/intervals';
import { viewRoom, type RoomView } from '../plan/room-view';
import { studFaces } from '../plan/studs';
import { fromLoop, wallLoop } from '../plan/wall-loop';
import { coverWithFewest, type CoverProblem } from './cover';
import { shadowsOf } from './obstructions';
import { placesIn, type Reach, type Stretch } from './reach';
import {
  aboveCounter,
  reachAlongCounters,
  reachAlongWalls,
  SPACED_ROOMS,
  usualHeightIn,
  type CounterReach,
  type OnLoop,
  type SpaceReach,
} from './receptacles';
import { isTakenFromBehind } from './back-to-back';
import { roundToSixteenth } from '../units/length';

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
  /** Whether the place is on a stud's side; where none would do, anywhere on the wall. */
  readonly onStud: boolean;
}

export interface Proposal {
  readonly boxes: readonly ProposedBox[];
  /** Stretches that no box on the wall can reach (glass to the floor): they want a floor receptacle. */
  readonly unreachable: readonly { readonly room: string; readonly stretch: Interval }[];
}

const ON_ANY_INCH = 1;
/** How close to a corner a box fits when it is not on a stud, inches. */
const CLEAR_OF_CORNER_IN = 3;

/** A box of a proposal with the stretches along the loop that it reaches, inches. */
interface Placed extends ProposedBox {
  readonly reaches: readonly Interval[];
}

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
}

function fill(
  house: House,
  view: RoomView,
  wanted: Wanted,
  heightIn: number,
  reachIn: number,
  purpose: ProposedBox['purpose'],
): Part {
  const loop = wallLoop(view.room);
  const room = view.room.id;
  const missing = wanted.reach.gaps;
  if (missing.length === 0) return { missing, boxes: [], unreachable: [] };
  const lengthIn = lengthOf(wanted.stretch);
  const relative = (places: readonly number[]) => placesIn(wanted.stretch, loop.lengthIn, places);
  const problem = {
    lengthIn,
    reachIn,
    fixedIn: relative(wanted.fixed.map((one) => one.atIn)),
    endless: wanted.stretch.endless ?? false,
  };
  const faces = studFaces(view, heightIn)
    .map((face) => face.atIn)
    .filter((atIn) => !isTakenFromBehind(house, room, atIn, heightIn, 1));
  const shadows = shadowsOf(view).filter((one) => one.cause !== 'the open door');
  const free = faces.filter((atIn) =>
    shadows.every(
      (one) => atIn <= one.fromIn || atIn >= one.toIn || heightIn <= one.bottomIn - 1 || heightIn >= one.topIn,
    ),
  );
  const anywhere = (): number[] => {
    const places: number[] = [];
    for (
      let at = Math.min(CLEAR_OF_CORNER_IN, lengthIn / 2);
      at <= lengthIn - Math.min(CLEAR_OF_CORNER_IN, lengthIn / 2);
      at += ON_ANY_INCH
    )
      places.push(at);
    return places.filter((at) => {
      const atIn = (wanted.stretch.fromIn + at) % loop.lengthIn;
      return isClear(view, atIn, heightIn) && !isTakenFromBehind(house, room, atIn, heightIn, 1);
    });
  };
  const boxAt = (at: number, onStud: boolean): Placed => ({
    reaches: reachesOf(wanted.stretch, at, reachIn),
    room,
    heightIn,
    purpose,
    onStud,
    atLoopIn: (wanted.stretch.fromIn + at) % loop.lengthIn,
  });
  // Clear of furniture where that takes no box more than the fewest.
  const fewest = coverWithFewest({ ...problem, candidatesIn: relative(faces) });
  for (const [candidatesIn, onStud] of [
    [relative(free), true],
    [relative(faces), true],
    [anywhere(), false],
  ] as const) {
    const cover = coverWithFewest({ ...problem, candidatesIn });
    const more =
      cover.kind === 'covered' && fewest.kind === 'covered' && cover.chosenIn.length > fewest.chosenIn.length;
    if (cover.kind === 'covered' && !more)
      return { missing, unreachable: [], boxes: cover.chosenIn.map((at) => boxAt(at, onStud)) };
  }
  // Something of it no box on the wall can reach. The rest is completed all the same, and what is left is named.
  const places = anywhere();
  const { pieces, holes } = splitByReach(problem, places);
  const boxes = pieces.flatMap((piece) => {
    const within = (candidatesIn: readonly number[]) =>
      candidatesIn
        .flatMap((at) => [at, at + lengthIn])
        .filter((at) => at >= piece.fromIn - HAIR_IN && at <= piece.toIn + HAIR_IN)
        .map((at) => at - piece.fromIn);
    for (const [candidatesIn, onStud] of [
      [relative(free), true],
      [relative(faces), true],
      [places, false],
    ] as const) {
      const cover = coverWithFewest({
        lengthIn: lengthOf(piece),
        reachIn,
        fixedIn: within(problem.fixedIn),
        candidatesIn: within(candidatesIn),
      });
      if (cover.kind === 'covered')
        return cover.chosenIn.map((at) => boxAt((piece.fromIn + at) % Math.max(lengthIn, HAIR_IN), onStud));
    }
    return [];
  });
  const left = holes.map(({ fromIn, toIn }) => ({
    room,
    stretch: { fromIn: wanted.stretch.fromIn + fromIn, toIn: wanted.stretch.fromIn + toIn },
  }));
  return { missing, boxes, unreachable: left };
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
  return { pieces: [...pieces.slice(1, -1), { fromIn: last!.fromIn, toIn: lengthIn + first!.toIn }], holes };
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

/** Whether wall, not glass or an opening, stands at a place and height. */
function isClear(view: RoomView, atLoopIn: number, heightIn: number): boolean {
  const { wall, alongIn } = fromLoop(wallLoop(view.room), atLoopIn);
  if (wall.boundary === 'railing' || wall.boundary === 'open') return false;
  return view.openings.every((seen) => {
    if (seen.wall !== wall.id || alongIn < seen.alongIn - 1.5 || alongIn > seen.alongIn + seen.widthIn + 1.5)
      return true;
    return seen.opening.kind === 'window' && (heightIn < seen.opening.sillIn - 3 || heightIn > seen.opening.headIn + 3);
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
        fill(house, view, { stretch: space, reach, fixed: boxes }, heightIn, limits.wall.reachIn, 'wall space'),
      );
  }
  for (const { space, reach } of reachAlongCounters(view, limits.counter)) {
    const heightIn = Math.min(
      space.heightIn + limits.counter.maxAboveIn,
      Math.max(space.heightIn + 4, house.standards.counterHeightIn),
    );
    parts.push(
      fill(
        house,
        view,
        { stretch: space, reach, fixed: aboveCounter(view, space, limits.counter.maxAboveIn) },
        heightIn,
        limits.counter.reachIn,
        'counter',
      ),
    );
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
  const loop = wallLoop(house.rooms[roomId]!);
  const wall = loop.walls.find((one) => one.id === wallId)!;
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

export function proposeForHouse(house: House, limits: PlacementLimits): Proposal {
  const parts = Object.keys(house.rooms).map((roomId) => proposeForRoom(house, roomId, limits));
  return { boxes: parts.flatMap((part) => part.boxes), unreachable: parts.flatMap((part) => part.unreachable) };
}

/** The proposal as boxes that can be placed as one edit; origin `code`. */
export function boxesOfProposal(house: House, proposal: Proposal, newId: NewId): NewBox[] {
  return proposal.boxes.map((box) => {
    const { wall, alongIn } = fromLoop(wallLoop(house.rooms[box.room]!), box.atLoopIn);
    return {
      id: newId('box'),
      room: box.room,
      origin: 'code',
      at: { kind: 'wall', wall: wall.id, alongIn: roundToSixteenth(alongIn), heightIn: box.heightIn },
      devices: [newDevice('receptacle', newId('device'), { wr: isMoist(house.rooms[box.room]!) })],
    };
  });
}
