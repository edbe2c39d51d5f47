import type { Problem } from '../units/result';
import { boundsMeet, boundsOf, polygonsOverlap, type Bounds } from '../geometry/geometry';
import { memo } from '../cache/memo';
import { Memory } from '../cache/memory';
import type { House, Room } from './schema';

/** Rooms of a level lie beside each other: a house whose rooms surround each other more than this, per room, is no house. */
const MOST_PAIRS_A_ROOM = 12;
const MOST_REPORTED = 20;

/** Rooms found not to overlap a room, kept with that room: of the others only those that changed are looked at again. */
const apartFrom = new Memory<Room, WeakSet<Room>>();

interface Placed {
  readonly room: Room;
  readonly bounds: Bounds;
}

/** The pairs of one level whose bounds meet, from west to east. */
function* pairsThatMeet(rooms: readonly Placed[]): Generator<readonly [Room, Room]> {
  const sorted = rooms.toSorted((a, b) => a.bounds.minX - b.bounds.minX);
  let open: Placed[] = [];
  for (const one of sorted) {
    open = open.filter((other) => other.bounds.maxX > one.bounds.minX);
    for (const other of open) if (boundsMeet(one.bounds, other.bounds)) yield [other.room, one.room];
    open.push(one);
  }
}

function rememberApart(a: Room, b: Room): void {
  const known = apartFrom.get(a);
  if (known) known.add(b);
  else apartFrom.set(a, new WeakSet([b]));
}

const overlap = (a: Room, b: Room): Problem => ({
  code: 'rooms-overlap',
  path: `rooms.${b.id}.corners`,
  message: `${b.name} overlaps ${a.name}. Move it, or make it smaller.`,
});

const tangled = (room: Room): Problem => ({
  code: 'rooms-tangled',
  path: `rooms.${room.id}.corners`,
  message: `The rooms of the level of ${room.name} lie in and around each other in too many places. Draw rooms beside each other.`,
});

/**
 * Overlaps of rooms. Only pairs whose bounds meet are compared, from west to east, and of those only the ones in which a
 * room has changed. How many there may be is bounded, so that no house, however it was made, takes long.
 */
export const findOverlaps = memo((records: House['rooms']): readonly Problem[] => {
  const byLevel = new Map<string, Placed[]>();
  for (const room of Object.values(records)) {
    const beside = byLevel.get(room.level);
    const placed = { room, bounds: boundsOf(room.corners) };
    if (beside) beside.push(placed);
    else byLevel.set(room.level, [placed]);
  }
  const problems: Problem[] = [];
  for (const rooms of byLevel.values()) {
    let left = MOST_PAIRS_A_ROOM * rooms.length;
    for (const [a, b] of pairsThatMeet(rooms)) {
      if (problems.length >= MOST_REPORTED) break;
      if (left-- === 0) {
        problems.push(tangled(b));
        break;
      }
      if (apartFrom.get(a)?.has(b)) continue;
      if (polygonsOverlap(a.corners, b.corners)) problems.push(overlap(a, b));
      else rememberApart(a, b);
    }
  }
  return problems;
});
