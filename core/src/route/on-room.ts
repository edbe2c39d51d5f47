import type { Point } from '../geometry/geometry';
import type { House, RouteLeg } from '../house/schema';
import { facingOf, projectOnto } from '../plan/facing';
import { fromLoop, pointOnWall, wallLoop, wrapIn, type LoopWall } from '../plan/wall-loop';
import type { Hole } from './holes';
import type { LaidCable } from './laid';

type WallLeg = Extract<RouteLeg, { kind: 'studs' | 'rise' }>;

/** A stretch of a loop cut at its corners, wall by wall, in the order of the stretch. Inches from each wall's start. */
function piecesOf(house: House, room: string, fromIn: number, toIn: number) {
  const loop = wallLoop(house.rooms[room]!);
  const way = Math.sign(toIn - fromIn) || 1;
  const pieces: { wall: LoopWall; fromIn: number; toIn: number }[] = [];
  let left = Math.abs(toIn - fromIn);
  let at = wrapIn(loop, fromIn);
  while (left > 1e-6) {
    // At a corner one stands at the end of the wall that one comes from, or at the start of the next.
    const { wall, alongIn } = fromLoop(loop, way > 0 ? at : at - 1e-6);
    const here = Math.max(0, Math.min(wall.lengthIn, way > 0 ? alongIn : alongIn + 1e-6));
    const ahead = way > 0 ? wall.lengthIn - here : here;
    const step = Math.min(left, Math.max(ahead, 1e-3));
    pieces.push({ wall, fromIn: here, toIn: here + way * step });
    left -= step;
    at = wrapIn(loop, at + way * step);
  }
  return pieces;
}

/** Where a leg lies on the plan: the middle of the wall from stud to stud, one point where it goes up or down, corners elsewhere. */
export function pointsOfLeg(house: House, leg: RouteLeg): readonly Point[] {
  if (leg.kind === 'space' || leg.kind === 'end') return leg.points;
  const room = house.rooms[leg.room]!;
  const insetIn = -house.levels[room.level]!.wallThicknessIn / 2;
  const pointAt = (atIn: number): Point => {
    const loop = wallLoop(room);
    const { wall, alongIn } = fromLoop(loop, wrapIn(loop, atIn));
    return pointOnWall(wall, alongIn, insetIn);
  };
  if (leg.kind === 'rise') return [pointAt(leg.atIn)];
  // Between two boxes back to back nothing lies along the wall.
  if (leg.fromIn === leg.toIn) return [pointAt(leg.fromIn)];
  return piecesOf(house, leg.room, leg.fromIn, leg.toIn).flatMap(({ wall, fromIn, toIn }) => [
    pointOnWall(wall, fromIn, insetIn),
    pointOnWall(wall, toIn, insetIn),
  ]);
}

/** A leg as one room sees it in its walls, inches along its loop and above its floor. */
interface SeenLeg {
  readonly cable: LaidCable;
  readonly fromIn: number;
  readonly toIn: number;
  readonly bottomIn: number;
  readonly topIn: number;
  readonly plate: 'top' | 'bottom' | undefined;
}

/** What lies in a room's walls, its own and those that the next room has drawn. */
export function legsSeenFrom(house: House, room: string, laid: readonly LaidCable[]): readonly SeenLeg[] {
  const facing = facingOf(house, house.rooms[room]!);
  const seen: SeenLeg[] = [];
  for (const cable of laid)
    for (const leg of cable.route.legs) {
      if (leg.kind !== 'studs' && leg.kind !== 'rise') continue;
      const heights = heightsOf(leg);
      for (const piece of leg.kind === 'studs'
        ? piecesOf(house, leg.room, leg.fromIn, leg.toIn)
        : [pieceAt(house, leg.room, leg.atIn)]) {
        if (leg.room === room) {
          const { startIn } = piece.wall;
          seen.push({ cable, fromIn: startIn + piece.fromIn, toIn: startIn + piece.toIn, ...heights });
          continue;
        }
        for (const one of facing) {
          if (one.other.id !== leg.room || one.otherWall.id !== piece.wall.id) continue;
          const on = projectOnto(
            one.wall,
            one.otherWall,
            Math.min(piece.fromIn, piece.toIn),
            Math.max(piece.fromIn, piece.toIn),
          );
          const [from, to] = [Math.max(0, on[0]), Math.min(one.wall.lengthIn, on[1])];
          if (to < from) continue;
          seen.push({ cable, fromIn: one.wall.startIn + from, toIn: one.wall.startIn + to, ...heights });
        }
      }
    }
  return seen;
}

function pieceAt(house: House, room: string, atIn: number) {
  const loop = wallLoop(house.rooms[room]!);
  const { wall, alongIn } = fromLoop(loop, wrapIn(loop, atIn));
  return { wall, fromIn: alongIn, toIn: alongIn };
}

function heightsOf(leg: WallLeg): Pick<SeenLeg, 'bottomIn' | 'topIn' | 'plate'> {
  if (leg.kind === 'studs') return { bottomIn: leg.heightIn, topIn: leg.heightIn, plate: undefined };
  return { bottomIn: Math.min(leg.fromIn, leg.toIn), topIn: Math.max(leg.fromIn, leg.toIn), plate: leg.plate };
}

/** Holes in a room's walls, with their place along its loop, inches. */
export function holesSeenFrom(
  house: House,
  room: string,
  holes: readonly Hole[],
): readonly { readonly hole: Hole; readonly atIn: number }[] {
  const facing = facingOf(house, house.rooms[room]!);
  return holes.flatMap((hole) => {
    if (hole.room === room) return [{ hole, atIn: hole.atIn }];
    return facing.flatMap((one) => {
      if (one.other.id !== hole.room || one.otherWall.id !== hole.wall) return [];
      const [on] = projectOnto(one.wall, one.otherWall, hole.alongIn, hole.alongIn);
      return on >= 0 && on <= one.wall.lengthIn ? [{ hole, atIn: one.wall.startIn + on }] : [];
    });
  });
}
