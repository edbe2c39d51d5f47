import { memo, sameParts } from '../cache/memo';
import { Memory } from '../cache/memory';
import type { Box, House, Room } from '../house/schema';
import { HALF_BOX_HEIGHT_IN, halfBoxWidthIn } from '../plan/framing-sizes';
import { facingOf, projectOnto } from '../plan/facing';
import { inRoom, type RoomView } from '../plan/room-view';
import { toLoop, wallLoop } from '../plan/wall-loop';
import { BOX_TYPES, typeOf } from './box-catalogue';
import { given, itemAt, mustGet } from '../units/result';

/** A box in the next room that stands in the same wall, where this room sees it. */
interface BackToBackBody {
  readonly box: Box;
  readonly wall: string;
  /** Its middle, inches along this room's loop. */
  readonly atIn: number;
  readonly wallIn: number;
}

/** What tapes and typed lengths differ by, inches. */
const SLACK_IN = 0.13;

type Width = Pick<Box, 'gangs'>;

/** Whether two boxes whose middles are so far apart on a wall are in one place, or nearer to each other than a gap, inches. */
export const overlap = (alongIn: number, upIn: number, a: Width, b: Width, gapIn = -SLACK_IN): boolean =>
  Math.abs(alongIn) < halfBoxWidthIn(a.gangs) + halfBoxWidthIn(b.gangs) + gapIn &&
  Math.abs(upIn) < 2 * HALF_BOX_HEIGHT_IN + gapIn;

/** What the next rooms have in the walls of a room. */
export const bodiesBackToBack = (house: House, roomId: string): readonly BackToBackBody[] =>
  bodiesBehind(house, mustGet(house.rooms, roomId));

const bodiesBehind = memo(findBodies, ({ boxes, rooms }, room) => [room, boxes, rooms]);

function findBodies(house: House, room: Room): readonly BackToBackBody[] {
  const loop = wallLoop(room);
  const found: BackToBackBody[] = [];
  for (const { other, wall, otherWall, thicknessIn } of facingOf(house, room))
    for (const box of inRoom(house.boxes, other.id)) {
      if (box.at.kind !== 'wall' || box.at.wall !== otherWall.id) continue;
      const [alongIn] = projectOnto(wall, otherWall, box.at.alongIn, box.at.alongIn);
      if (alongIn >= 0 && alongIn <= wall.lengthIn)
        found.push({ box, wall: wall.id, atIn: toLoop(loop, wall.id, alongIn), wallIn: thicknessIn });
    }
  return found;
}

const usualDepthIn = (gangs: number): number => given(BOX_TYPES.find((one) => one.id === `gang-${gangs}`)).depthIn;

/** How deep a box is with the one behind a place, inches; undefined where they do not stand back to back. */
const depthsTogether = (
  house: House,
  { box: other, atIn }: BackToBackBody,
  place: { readonly atIn: number; readonly heightIn: number; readonly gangs: number; readonly depthIn: number },
): number | undefined =>
  other.at.kind === 'wall' && overlap(atIn - place.atIn, other.at.heightIn - place.heightIn, other, place)
    ? typeOf(house, other).depthIn + place.depthIn
    : undefined;

/**
 * Whether the box of the next room behind a place leaves too little of the wall for a box of so many gangs there, by the depths of
 * the usual boxes: *common practice*.
 */
export const isTakenFromBehind = (
  house: House,
  room: string,
  atLoopIn: number,
  heightIn: number,
  gangs: number,
): boolean =>
  bodiesBackToBack(house, room).some(
    (body) =>
      (depthsTogether(house, body, { atIn: atLoopIn, heightIn, gangs, depthIn: usualDepthIn(gangs) }) ?? 0) >
      body.wallIn,
  );

/** The boxes of the next rooms that a box meets in the wall, and how deep each is together with it. */
export function metBackToBack(
  house: House,
  box: Box,
): readonly { readonly body: BackToBackBody; readonly depthsIn: number }[] {
  const { at, gangs } = box;
  if (at.kind !== 'wall') return [];
  const place = {
    atIn: toLoop(wallLoop(mustGet(house.rooms, box.room)), at.wall, at.alongIn),
    heightIn: at.heightIn,
    gangs,
    depthIn: typeOf(house, box).depthIn,
  };
  return bodiesBackToBack(house, box.room).flatMap((body) => {
    if (body.wall !== at.wall) return [];
    const depthsIn = depthsTogether(house, body, place);
    return depthsIn !== undefined && depthsIn > body.wallIn ? [{ body, depthsIn }] : [];
  });
}

/** Two boxes that are drawn in one place: on one wall, or from both sides of it, deeper together than the wall is thick. */
interface Collision {
  readonly box: Box;
  readonly other: Box;
  readonly through?: { readonly wallIn: number; readonly depthsIn: number };
}

/** The rooms behind the walls of each room. */
const roomsBehind = memo(
  (house: House) =>
    new Map(
      Object.values(house.rooms).map((room) => [
        room.id,
        [...new Set(facingOf(house, room).map((one) => one.other.id))],
      ]),
    ),
  ({ rooms }) => [rooms],
);

/** What was found last in houses with these rooms, view by view. */
interface Found {
  readonly parts: readonly unknown[];
  readonly views: readonly RoomView[];
  readonly each: readonly (readonly Collision[])[];
}
const foundByRooms = new Memory<House['rooms'], Found>();

/**
 * The boxes that stand in the place of another; of two, the one that was drawn later. Only rooms that have changed, and those
 * behind their walls, are looked at again.
 */
export function collisionsOf(house: House, views: readonly RoomView[]): readonly Collision[] {
  const { rooms, levels, standards } = house;
  const parts = [levels, standards];
  const before = foundByRooms.get(rooms);
  const last = before && sameParts(before.parts, parts) ? before : undefined;
  const stale = new Set<string>();
  views.forEach((view, i) => {
    if (view === last?.views[i]) return;
    stale.add(view.room.id);
    for (const id of given(roomsBehind(house).get(view.room.id))) stale.add(id);
  });
  const each = views.map((view, i) =>
    stale.has(view.room.id) ? findCollisions(house, view) : itemAt(given(last).each, i),
  );
  foundByRooms.set(rooms, { parts, views, each });
  return each.flat();
}

function findCollisions(house: House, view: RoomView): readonly Collision[] {
  const found: Collision[] = [];
  view.boxes.forEach((box, i) => {
    const { at } = box;
    if (at.kind !== 'wall') return;
    for (let n = 0; n < i; n++) {
      const other = itemAt(view.boxes, n);
      if (other.at.kind !== 'wall' || other.at.wall !== at.wall) continue;
      if (overlap(other.at.alongIn - at.alongIn, other.at.heightIn - at.heightIn, box, other))
        found.push({ box, other });
    }
    for (const { body, depthsIn } of metBackToBack(house, box))
      if (isLater(house, box, body.box))
        found.push({ box, other: body.box, through: { wallIn: body.wallIn, depthsIn } });
  });
  return found;
}

const isLater = (house: House, box: Box, other: Box): boolean => {
  const ids = Object.keys(house.boxes);
  return ids.indexOf(box.id) > ids.indexOf(other.id);
};
