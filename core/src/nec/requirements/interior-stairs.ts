import { polygonsOverlap } from '../../geometry/geometry';
import type { Feature, House, Room } from '../../house/schema';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { featureOutline } from '../../plan/points';
import { viewRoom, type RoomView } from '../../plan/room-view';

/** The stairs drawn in a room that 210.70(A)(2) calls interior: the steps of a deck or porch are none, and lit by the rule for the door. */
export const interiorStairs = ({ room, features }: RoomView): readonly Feature[] =>
  OUTDOOR_KINDS.has(room.kind) ? [] : features.filter((feature) => feature.kind === 'stair');

/** Whether a room holds the same stair as one that is drawn on another floor: a stairwell over or under it, or the stair itself. */
export const isOfStair = ({ room, features }: RoomView, flight: Room['corners'] | ReturnType<typeof featureOutline>) =>
  (room.kind === 'stair' && polygonsOverlap(room.corners, flight)) ||
  features.some((other) => other.kind === 'stair' && polygonsOverlap(featureOutline(room, other), flight));

/** The other end of a stair: on which floor it is, and the rooms that one comes out in. */
interface StairEnd {
  readonly level: string;
  readonly rooms: readonly Room[];
}

/**
 * Where a stair leads, by what is drawn: rooms of other floors that hold the same stair; where none does, those over or under its flight on the
 * one floor next to it. Undefined where two floors could be meant, or nothing is drawn there.
 */
export function otherEndOf(house: House, room: Room, flight: ReturnType<typeof featureOutline>): StairEnd | undefined {
  const rooms = Object.values(house.rooms).filter((one) => one.level !== room.level && !OUTDOOR_KINDS.has(one.kind));
  const same = rooms.filter((one) => isOfStair(viewRoom(house, one.id), flight));
  const [first] = same;
  if (first) return { level: first.level, rooms: same };
  const levels = Object.values(house.levels).sort((a, b) => a.elevationIn - b.elevationIn);
  const at = levels.findIndex((one) => one.id === room.level);
  const beside = [levels[at - 1], levels[at + 1]].flatMap((level) => {
    const over = rooms.filter((one) => one.level === level?.id && polygonsOverlap(one.corners, flight));
    return level && over.length > 0 ? [{ level: level.id, rooms: over }] : [];
  });
  return beside.length === 1 ? beside[0] : undefined;
}
