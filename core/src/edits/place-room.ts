import { boundsOf } from '../geometry/geometry';
import type { Point } from '../geometry/geometry';
import { edit, joinEdits, type Edited } from '../house/edit';
import type { Corner, House, Room, RoomKind } from '../house/schema';
import { itemAt, mustGet, type Result, succeed } from '../units/result';
import { OUTDOOR_KINDS } from '../place/outdoors';
import { facingOf } from '../plan/facing';
import { nameRoom } from '../house/room-names';
import { addEntity, choosePrefix, rectangleCorners, turnClockwise } from './verbs';
import type { NewId } from '../house/new-box';

export type Side = 'north' | 'south' | 'east' | 'west';

/**
 * Corners of a rectangular room set against one side of a neighbor's bounding rectangle with a wall between, inches.
 * `offsetIn` shifts it along that side from the neighbor's left or top edge.
 */
export function setAgainst(
  neighbor: Room,
  side: Side,
  size: { readonly widthIn: number; readonly depthIn: number },
  wallThicknessIn: number,
  offsetIn = 0,
): Corner[] {
  const box = boundsOf(neighbor.corners);
  const { widthIn, depthIn } = size;
  switch (side) {
    case 'north':
      return rectangleCorners(box.minX + offsetIn, box.minY - wallThicknessIn - depthIn, widthIn, depthIn);
    case 'south':
      return rectangleCorners(box.minX + offsetIn, box.maxY + wallThicknessIn, widthIn, depthIn);
    case 'east':
      return rectangleCorners(box.maxX + wallThicknessIn, box.minY + offsetIn, widthIn, depthIn);
    case 'west':
      return rectangleCorners(box.minX - wallThicknessIn - widthIn, box.minY + offsetIn, widthIn, depthIn);
  }
}

/** Walls of an outdoor room at which an indoor room stands; its other sides are free. */
function wallsAtHouse(house: House, room: Room): ReadonlySet<string> {
  const walls = facingOf(house, room).filter(({ other }) => !OUTDOOR_KINDS.has(other.kind));
  return new Set(walls.map(({ wall }) => wall.id));
}

/**
 * A new room with an outline, in whichever direction it was drawn. The free sides of a porch, deck or yard are open: what is solid
 * of it is the wall of the house, also where the house comes later.
 */
export function addRoom(
  house: House,
  level: string,
  kind: RoomKind,
  outline: readonly Point[],
  newId: NewId,
  name = nameRoom(house, kind),
): Result<Edited> {
  const corners = turnClockwise(outline).map(({ x, y }, i) => ({ id: `c${i}`, x, y, wall: 'solid' as const }));
  const added = addEntity(house, 'rooms', {
    id: newId('room'),
    level,
    name,
    kind,
    prefix: choosePrefix(house, name),
    corners,
    ...(kind === 'garage' ? { bays: 1 } : {}),
  });
  if (!added.ok) return added;
  const drawn = added.value.house;
  const isNew = (room: Room) => !Object.hasOwn(house.rooms, room.id);
  const outdoors = Object.values(drawn.rooms).filter(
    (room) => room.level === level && OUTDOOR_KINDS.has(room.kind) && (isNew(room) || !OUTDOOR_KINDS.has(kind)),
  );
  const changes = outdoors.flatMap((room) => {
    const atHouse = wallsAtHouse(drawn, room);
    return room.corners.flatMap(({ id, wall }, i) => {
      // Of one that stood before only what the new room has closed changes: a person may have drawn the rest on purpose.
      const now = atHouse.has(id) ? 'solid' : isNew(room) ? 'open' : wall;
      const isClosed = isNew(room) || (wall === 'open' && !wallsAtHouse(house, room).has(id));
      return now !== wall && isClosed ? [{ room: room.id, i, now } as const] : [];
    });
  });
  if (changes.length === 0) return added;
  const opened = edit(drawn, added.value.edit.label, (draft) => {
    for (const { room, i, now } of changes) itemAt(mustGet(draft.rooms, room).corners, i).wall = now;
  });
  if (!opened.ok) return added;
  return succeed({
    house: opened.value.house,
    edit: joinEdits(added.value.edit.label, [added.value.edit, opened.value.edit]),
  });
}
