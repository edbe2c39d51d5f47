import { distance, type Point } from '../../geometry/geometry';
import type { BoxPlace, House } from '../../house/schema';
import { isTakenFromBehind } from '../../place/back-to-back';
import { fitsInWall } from '../../plan/blocked-by-framing';
import { placeOf } from '../../plan/points';
import { viewRoom, type RoomView } from '../../plan/room-view';
import { halfBoxWidthIn } from '../../plan/framing-sizes';
import { studFaces, takesBracket } from '../../plan/studs';
import { fromLoop, pointOnWall, toLoop, wallLoop } from '../../plan/wall-loop';
import { shadowsOf } from '../../place/obstructions';
import { roundToSixteenth } from '../../units/length';

/** A place on a wall where a box fits. */
export interface Spot {
  readonly at: Extract<BoxPlace, { kind: 'wall' }>;
  readonly atLoopIn: number;
  readonly point: Point;
  /** No stud stands there: a bracket or a block carries the box. */
  readonly bracket: boolean;
}

/** Boxes closer than this in height share a place on the wall, inches. */
const SAME_HEIGHT_IN = 5;
const BETWEEN_BOXES_IN = 0.5;
const TALL: ReadonlySet<string> = new Set(['cabinet', 'tall-cabinet', 'fireplace', 'tub', 'shower', 'water-heater']);

function isFree(view: RoomView, atLoopIn: number, heightIn: number, gangs: number, openToDoors: boolean): boolean {
  const loop = wallLoop(view.room);
  const half = halfBoxWidthIn(gangs);
  const taken = view.boxes.some(
    (box) =>
      box.at.kind === 'wall' &&
      Math.abs(box.at.heightIn - heightIn) < SAME_HEIGHT_IN &&
      Math.abs(toLoop(loop, box.at.wall, box.at.alongIn) - atLoopIn) <
        half + halfBoxWidthIn(box.gangs) + BETWEEN_BOXES_IN,
  );
  if (taken) return false;
  const shaded = shadowsOf(view).some(
    (one) =>
      (one.barred || (!openToDoors && one.cause === 'the open door')) &&
      atLoopIn > one.fromIn - half &&
      atLoopIn < one.toIn + half &&
      heightIn > one.bottomIn - 2 &&
      heightIn < one.topIn + 2,
  );
  if (shaded) return false;
  return view.features.every((feature) => {
    if (feature.at.kind !== 'wall' || !TALL.has(feature.kind)) return true;
    const from = toLoop(loop, feature.at.wall, feature.at.alongIn);
    const beside = atLoopIn < from - half || atLoopIn > from + feature.at.widthIn + half;
    return beside || heightIn > feature.heightIn + 3 || heightIn < (feature.bottomIn ?? 0) - 3;
  });
}

const toSpot = (view: RoomView, atLoopIn: number, heightIn: number, bracket: boolean): Spot => {
  const { wall, alongIn } = fromLoop(wallLoop(view.room), atLoopIn);
  return {
    at: { kind: 'wall', wall: wall.id, alongIn: roundToSixteenth(alongIn), heightIn },
    atLoopIn,
    point: pointOnWall(wall, alongIn),
    bracket: bracket && takesBracket(view, wall.id),
  };
};

/** What a place for a box has to be. */
export interface SpotRequest {
  readonly heightIn: number;
  readonly gangs?: number;
  /** Smaller is better; undefined where the place will not do. */
  readonly cost: (at: Spot) => number | undefined;
  /** Whether a place behind an open door will do: for a receptacle it does, for a switch not. */
  readonly behindDoors?: boolean;
}

/** A place that costs as much breaks something that another would keep: a bracket elsewhere is better than a stud there. */
export const LAST_RESORT = 1000;

/** The best free place on a room's walls: on a stud's side where one will do, else on a bracket. */
export function bestSpot(house: House, room: string, request: SpotRequest): Spot | undefined {
  const view = viewRoom(house, room);
  const loop = wallLoop(view.room);
  const gangs = request.gangs ?? 1;
  const pick = (places: readonly number[], bracket: boolean): { spot: Spot; cost: number } | undefined => {
    let best: { spot: Spot; cost: number } | undefined;
    for (const atLoopIn of places) {
      if (!isFree(view, atLoopIn, request.heightIn, gangs, request.behindDoors ?? false)) continue;
      if (isTakenFromBehind(house, room, atLoopIn, request.heightIn, gangs)) continue;
      const spot = toSpot(view, atLoopIn, request.heightIn, bracket);
      const cost = request.cost(spot);
      if (cost !== undefined && (!best || cost < best.cost - 1e-9)) best = { spot, cost };
    }
    return best;
  };
  const onStuds = pick(
    studFaces(view, request.heightIn, gangs).map((face) => face.atIn),
    false,
  );
  if (onStuds && onStuds.cost < LAST_RESORT) return onStuds.spot;
  const inches = Array.from({ length: Math.floor(loop.lengthIn) }, (_, i) => i + 0.5);
  const anywhere = pick(
    inches.filter((at) => fitsInWall(view, at, request.heightIn, gangs)),
    true,
  );
  return !onStuds || (anywhere && anywhere.cost < LAST_RESORT) ? anywhere?.spot : onStuds.spot;
}

/** Points of a room's ceiling on a grid of inches, clear of its walls. */
export function ceilingPoints(
  view: RoomView,
  stepIn: number,
  clearIn: number,
  inside: (point: Point) => boolean,
): Point[] {
  const xs = view.room.corners.map((one) => one.x);
  const ys = view.room.corners.map((one) => one.y);
  const points: Point[] = [];
  for (let y = Math.min(...ys) + clearIn; y <= Math.max(...ys) - clearIn + 1e-6; y += stepIn)
    for (let x = Math.min(...xs) + clearIn; x <= Math.max(...xs) - clearIn + 1e-6; x += stepIn)
      if (inside({ x, y })) points.push({ x: roundToSixteenth(x), y: roundToSixteenth(y) });
  return points;
}

/** The place of the ceiling boxes that a room has. */
export const ceilingBoxes = (view: RoomView): Point[] =>
  view.boxes.filter((box) => box.at.kind === 'ceiling').map((box) => placeOf(view, box));

/** From a point to the nearest of others, inches; infinite for none. */
export const nearestOf = (point: Point, points: readonly Point[]): number =>
  Math.min(Infinity, ...points.map((one) => distance(point, one)));
