import type { Feature } from '../../house/schema';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import type { RoomView } from '../../plan/room-view';

/** The stairs drawn in a room that 210.70(A)(2) calls interior: the steps of a deck or porch are none, and lit by the rule for the door. */
export const interiorStairs = ({ room, features }: RoomView): readonly Feature[] =>
  OUTDOOR_KINDS.has(room.kind) ? [] : features.filter((feature) => feature.kind === 'stair');
