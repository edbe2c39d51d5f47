import {
  changeEntity,
  featureOutline,
  findWall,
  fromLoop,
  isTakenFromBehind,
  moveBox,
  moveCorners,
  moveRooms,
  nearestWall,
  studFaces,
  toLoop,
  viewRoom,
  wallLoop,
  type Edited,
  type House,
  type Point,
  type Result,
} from '@winculum/core';
import { findSnapLines, snapPoint, snapShift } from './snap';

/** What a hand can take hold of on the sheet. */
export type Grip =
  | { readonly kind: 'box'; readonly id: string }
  | { readonly kind: 'opening'; readonly id: string }
  | { readonly kind: 'feature'; readonly id: string }
  | { readonly kind: 'rooms'; readonly ids: readonly string[] }
  | { readonly kind: 'corner'; readonly room: string; readonly corner: string }
  | { readonly kind: 'wall'; readonly room: string; readonly wall: string };

interface Drag {
  readonly from: Point;
  readonly to: Point;
  readonly thresholdIn: number;
  /** Whether snapping is held off (Alt). */
  readonly free: boolean;
}

const halfInch = (value: number) => Math.round(value * 2) / 2;

function dragBox(house: House, id: string, drag: Drag): Result<Edited> {
  const box = house.boxes[id]!;
  if (box.at.kind !== 'wall')
    return moveBox(house, id, { ...box.at, x: Math.round(drag.to.x), y: Math.round(drag.to.y) });
  const room = house.rooms[box.room]!;
  const loop = wallLoop(room);
  const near = nearestWall(loop, drag.to);
  return moveBox(
    house,
    id,
    snapToStud(
      house,
      box.room,
      toLoop(loop, near.wall.id, near.alongIn),
      box.at.heightIn,
      drag.free ? 0 : drag.thresholdIn,
      box.gangs,
    ),
  );
}

/**
 * A place on a wall, drawn to a stud's side where one is within the threshold, and to its other side where a box of the next room
 * stands behind the first.
 */
export function snapToStud(
  house: House,
  roomId: string,
  atLoopIn: number,
  heightIn: number,
  thresholdIn: number,
  gangs = 1,
) {
  const view = viewRoom(house, roomId);
  const loop = wallLoop(view.room);
  const face = studFaces(view, heightIn, gangs)
    .map((one) => one.atIn)
    .filter((at) => Math.abs(at - atLoopIn) <= thresholdIn)
    .sort((a, b) => Math.abs(a - atLoopIn) - Math.abs(b - atLoopIn))
    .find((at) => !isTakenFromBehind(house, roomId, at, heightIn, gangs));
  const snapped = face ?? atLoopIn;
  const { wall, alongIn } = fromLoop(loop, snapped);
  const along = snapped === face ? Math.round(alongIn * 16) / 16 : halfInch(alongIn);
  return { kind: 'wall' as const, wall: wall.id, alongIn: Math.min(along, wall.lengthIn), heightIn };
}

function dragOpening(house: House, id: string, drag: Drag): Result<Edited> {
  const opening = house.openings[id]!;
  const wall = findWall(wallLoop(house.rooms[opening.room]!), opening.wall)!;
  const shift =
    ((drag.to.x - drag.from.x) * (wall.to.x - wall.from.x) + (drag.to.y - drag.from.y) * (wall.to.y - wall.from.y)) /
    wall.lengthIn;
  const alongIn = Math.max(0, Math.min(wall.lengthIn - opening.widthIn, halfInch(opening.alongIn + shift)));
  return changeEntity(house, 'openings', id, { alongIn });
}

function dragFeature(house: House, id: string, drag: Drag): Result<Edited> {
  const feature = house.features[id]!;
  const [dx, dy] = [drag.to.x - drag.from.x, drag.to.y - drag.from.y];
  if (feature.at.kind === 'free')
    return changeEntity(house, 'features', id, {
      at: { ...feature.at, x: Math.round(feature.at.x + dx), y: Math.round(feature.at.y + dy) },
    });
  const room = house.rooms[feature.room]!;
  const outline = featureOutline(room, feature);
  const middle = { x: (outline[0]!.x + outline[1]!.x) / 2 + dx, y: (outline[0]!.y + outline[1]!.y) / 2 + dy };
  const { wall, alongIn } = nearestWall(wallLoop(room), middle);
  const start = Math.max(0, Math.min(wall.lengthIn - feature.at.widthIn, halfInch(alongIn - feature.at.widthIn / 2)));
  return changeEntity(house, 'features', id, { at: { ...feature.at, wall: wall.id, alongIn: start } });
}

function dragRooms(house: House, ids: readonly string[], drag: Drag): Result<Edited> {
  const rooms = ids.map((id) => house.rooms[id]!);
  const lines = findSnapLines(house, rooms[0]!.level, new Set(ids));
  const { x, y } = snapShift(
    rooms.flatMap((room) => room.corners),
    drag.to.x - drag.from.x,
    drag.to.y - drag.from.y,
    lines,
    drag.free ? 0 : drag.thresholdIn,
  );
  return moveRooms(house, ids, x, y);
}

function dragWall(house: House, roomId: string, wallId: string, drag: Drag): Result<Edited> {
  const room = house.rooms[roomId]!;
  const { from, to, lengthIn } = findWall(wallLoop(room), wallId)!;
  const [nx, ny] = [-(to.y - from.y) / lengthIn, (to.x - from.x) / lengthIn];
  const pull = (drag.to.x - drag.from.x) * nx + (drag.to.y - drag.from.y) * ny;
  const lines = findSnapLines(house, room.level, new Set([roomId]));
  const moved = snapPoint({ x: from.x + nx * pull, y: from.y + ny * pull }, lines, drag.free ? 0 : drag.thresholdIn);
  const shift = (moved.x - from.x) * nx + (moved.y - from.y) * ny;
  const [start, end] = room.corners.flatMap((corner, i) =>
    corner.id === wallId ? [corner, room.corners[(i + 1) % room.corners.length]!] : [],
  );
  const put = (corner: Point) => ({ x: corner.x + nx * shift, y: corner.y + ny * shift });
  return moveCorners(house, roomId, { [start!.id]: put(start!), [end!.id]: put(end!) });
}

/** The edit that a drag makes: always from the snapshot at its start and the whole way since, never from the last frame. */
export function dragEdit(house: House, grip: Grip, drag: Drag): Result<Edited> {
  switch (grip.kind) {
    case 'box':
      return dragBox(house, grip.id, drag);
    case 'opening':
      return dragOpening(house, grip.id, drag);
    case 'feature':
      return dragFeature(house, grip.id, drag);
    case 'rooms':
      return dragRooms(house, grip.ids, drag);
    case 'wall':
      return dragWall(house, grip.room, grip.wall, drag);
    case 'corner': {
      const lines = findSnapLines(house, house.rooms[grip.room]!.level, new Set([grip.room]));
      return moveCorners(house, grip.room, {
        [grip.corner]: snapPoint(drag.to, lines, drag.free ? 0 : drag.thresholdIn),
      });
    }
  }
}
