import { boundsOf, distance, nearestOnSegment, type Point } from '../geometry/geometry';
import type { Corner, Room } from '../house/schema';
import { memo } from '../cache/memo';

/** One wall of a room's floor line, walked with the wall on the left hand: inside faces read left to right. */
export interface LoopWall {
  /** Id of its starting corner. */
  readonly id: string;
  readonly boundary: Corner['wall'];
  readonly from: Point;
  readonly to: Point;
  readonly lengthIn: number;
  /** The way it runs, of length one. */
  readonly unit: Point;
  /** Distance along the loop at which it starts, inches. */
  readonly startIn: number;
  /** Compass name by the way it faces outward, north being up on the plan. */
  readonly name: string;
}

/** The closed floor line of a room, starting at its first corner. */
export interface WallLoop {
  readonly room: string;
  readonly walls: readonly LoopWall[];
  readonly lengthIn: number;
}

/** Clockwise with y down, the outward normal of a direction (dx, dy) is (dy, -dx). */
function compass(dx: number, dy: number): string {
  const [nx, ny] = [dy, -dx];
  if (Math.abs(ny) >= Math.abs(nx) * 2) return ny < 0 ? 'north' : 'south';
  if (Math.abs(nx) >= Math.abs(ny) * 2) return nx < 0 ? 'west' : 'east';
  return `${ny < 0 ? 'north' : 'south'}${nx < 0 ? 'west' : 'east'}`;
}

/** The floor line of a room; remembered by the identity of the room. */
export const wallLoop = memo((room: Room): WallLoop => {
  let startIn = 0;
  const walls = room.corners.map((corner, i): LoopWall => {
    const next = room.corners[(i + 1) % room.corners.length]!;
    const lengthIn = distance(corner, next);
    const wall = {
      id: corner.id,
      boundary: corner.wall,
      from: corner,
      to: next,
      lengthIn,
      unit: { x: (next.x - corner.x) / lengthIn, y: (next.y - corner.y) / lengthIn },
      startIn,
      name: compass(next.x - corner.x, next.y - corner.y),
    };
    startIn += lengthIn;
    return wall;
  });
  return { room: room.id, walls, lengthIn: startIn };
});

/** Whether one wall goes on in the line of the one before it, both being wall or both not. */
const isInLine = (from: LoopWall, to: LoopWall): boolean =>
  from.boundary === to.boundary && from.unit.x * to.unit.x + from.unit.y * to.unit.y > 0.999;

/** The walls of a loop by straight lines: people draw one wall in two pieces. A line over the start of the loop is one as well. */
export const straightRuns = memo(({ walls }: WallLoop): readonly (readonly LoopWall[])[] => {
  const first = Math.max(
    0,
    walls.findIndex((wall, i) => !isInLine(walls.at(i - 1)!, wall)),
  );
  const found: LoopWall[][] = [];
  for (const wall of [...walls.slice(first), ...walls.slice(0, first)]) {
    const last = found.at(-1);
    if (last && isInLine(last.at(-1)!, wall)) last.push(wall);
    else found.push([wall]);
  }
  return found;
});

/**
 * A stretch counted from the start of a wall, piece by piece as it lies on the walls of that line, inches along the loop; what
 * reaches past the line's end is no wall and is left out.
 */
export function alongLine(
  loop: WallLoop,
  wallId: string,
  fromIn: number,
  toIn: number,
): { wall: string; fromIn: number; toIn: number }[] {
  const line = straightRuns(loop).find((run) => run.some((wall) => wall.id === wallId))!;
  let offsetIn = 0;
  for (const wall of line) {
    if (wall.id === wallId) break;
    offsetIn += wall.lengthIn;
  }
  let startIn = -offsetIn;
  return line.flatMap((wall) => {
    const [from, to] = [Math.max(fromIn - startIn, 0), Math.min(toIn - startIn, wall.lengthIn)];
    startIn += wall.lengthIn;
    return to > from ? [{ wall: wall.id, fromIn: wall.startIn + from, toIn: wall.startIn + to }] : [];
  });
}

/** A distance brought into [0, loop length). */
export const wrapIn = (loop: WallLoop, alongLoopIn: number): number =>
  ((alongLoopIn % loop.lengthIn) + loop.lengthIn) % loop.lengthIn;

/** A wall of a loop by its id. */
export const findWall = (loop: WallLoop, wallId: string): LoopWall | undefined =>
  loop.walls.find((wall) => wall.id === wallId);

/** Where on the loop a place on a wall is, inches. @throws when the room has no such wall (the document guarantees it). */
export function toLoop(loop: WallLoop, wallId: string, alongIn: number): number {
  const wall = findWall(loop, wallId);
  if (!wall) throw new Error(`Room ${loop.room} has no wall "${wallId}"`);
  return wall.startIn + alongIn;
}

/** The wall at a distance along the loop, and how far along that wall. A corner belongs to the wall that starts there. */
export function fromLoop(loop: WallLoop, alongLoopIn: number): { wall: LoopWall; alongIn: number } {
  const s = wrapIn(loop, alongLoopIn);
  const wall = loop.walls.findLast((one) => one.startIn <= s + 1e-9) ?? loop.walls[0]!;
  return { wall, alongIn: Math.max(0, Math.min(wall.lengthIn, s - wall.startIn)) };
}

/** The point of the plan at a distance along a wall, moved into the room by an offset, inches. */
export function pointOnWall(wall: LoopWall, alongIn: number, insetIn = 0): Point {
  const { from, unit } = wall;
  return { x: from.x + unit.x * alongIn - unit.y * insetIn, y: from.y + unit.y * alongIn + unit.x * insetIn };
}

/** The four corners of a rectangle that stands against a wall: along, width, depth, gap behind it. */
export function rectangleOnWall(
  wall: LoopWall,
  at: { alongIn: number; widthIn: number; depthIn: number; behindIn?: number },
): Point[] {
  const near = at.behindIn ?? 0;
  const far = near + at.depthIn;
  return [
    pointOnWall(wall, at.alongIn, near),
    pointOnWall(wall, at.alongIn + at.widthIn, near),
    pointOnWall(wall, at.alongIn + at.widthIn, far),
    pointOnWall(wall, at.alongIn, far),
  ];
}

/**
 * A rectangle set across the corner where a wall starts: its outline, and how much of each leg lies between the lines of its
 * sides. Its back is `behindIn` from the corner, along the line that halves it. Inches.
 */
export function acrossCorner(
  loop: WallLoop,
  at: { wall: string; widthIn: number; depthIn: number; behindIn: number },
): { outline: Point[]; legIn: number } {
  const i = loop.walls.findIndex((wall) => wall.id === at.wall);
  const [wall, before] = [loop.walls[i]!, loop.walls.at(i - 1)!];
  const unit = (from: Point, to: Point) => {
    const far = distance(from, to);
    return { x: (to.x - from.x) / far, y: (to.y - from.y) / far };
  };
  const [right, left] = [unit(wall.from, wall.to), unit(wall.from, before.from)];
  const across = unit(left, right);
  const out = { x: -across.y, y: across.x };
  const point = (side: number, far: number): Point => ({
    x: wall.from.x + across.x * side + out.x * far,
    y: wall.from.y + across.y * side + out.y * far,
  });
  const half = at.widthIn / 2;
  const [near, far] = [at.behindIn, at.behindIn + at.depthIn];
  // Where its back is wider than the corner there, its edges are cut along the walls.
  const slope = (across.x * right.x + across.y * right.y) / (out.x * right.x + out.y * right.y);
  const back = Math.min(half, near * slope);
  const cut = Math.min(far, half / slope);
  const clipped = back < half - 0.01;
  return {
    outline: [
      point(-back, near),
      point(back, near),
      ...(clipped ? [point(half, cut)] : []),
      point(half, far),
      point(-half, far),
      ...(clipped ? [point(-half, cut)] : []),
    ],
    legIn: half / (across.x * right.x + across.y * right.y),
  };
}

/** The stretch of floor line before which something stands, inches along the loop; one across the first corner runs past the loop's end. */
export function stretchBefore(
  loop: WallLoop,
  at: {
    wall: string;
    alongIn: number;
    widthIn: number;
    depthIn: number;
    behindIn: number;
    acrossCorner?: boolean | undefined;
  },
): { fromIn: number; toIn: number } {
  const fromIn = toLoop(loop, at.wall, at.alongIn);
  if (!at.acrossCorner) return { fromIn, toIn: fromIn + at.widthIn };
  const { legIn } = acrossCorner(loop, at);
  const start = wrapIn(loop, toLoop(loop, at.wall, 0) - legIn);
  return { fromIn: start, toIn: start + 2 * legIn };
}

/** The place on the floor line nearest to a point of the plan. */
export function nearestWall(loop: WallLoop, point: Point): { wall: LoopWall; alongIn: number; distanceIn: number } {
  let best: { wall: LoopWall; alongIn: number; distanceIn: number } | undefined;
  for (const wall of loop.walls) {
    const near = nearestOnSegment(point, wall.from, wall.to);
    const distanceIn = distance(point, near);
    if (!best || distanceIn < best.distanceIn) best = { wall, alongIn: distance(wall.from, near), distanceIn };
  }
  return best!;
}

/** How wide and deep the room's bounding rectangle is, inches. */
export function roomSpan(room: Room): { widthIn: number; depthIn: number } {
  const { minX, minY, maxX, maxY } = boundsOf(room.corners);
  return { widthIn: maxX - minX, depthIn: maxY - minY };
}
