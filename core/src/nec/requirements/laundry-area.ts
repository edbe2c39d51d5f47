import type { Outlet } from '../../circuits/outlets';
import type { FeatureKind, House, RoomKind } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import { perRoom, viewRoom, type RoomView } from '../../plan/room-view';

const EQUIPMENT: ReadonlySet<FeatureKind> = new Set<FeatureKind>(['washer', 'dryer']);
const LOADS: ReadonlySet<LoadKind> = new Set<LoadKind>(['washer', 'dryer', 'gas-dryer', 'heat-pump-dryer']);
/** Small rooms that laundry equipment makes a laundry area as a whole; in a larger one only its own receptacles are. */
const TAKEN_WHOLE: ReadonlySet<RoomKind> = new Set<RoomKind>([
  'closet',
  'walk-in-closet',
  'linen',
  'utility',
  'storage',
]);

/** Whether a room is a laundry area as a whole: by its use, or a closet or utility room in which a washer or dryer stands. */
export const isLaundryRoom = perRoom(
  ({ room, features }: RoomView): boolean =>
    room.kind === 'laundry' || (TAKEN_WHOLE.has(room.kind) && features.some((one) => EQUIPMENT.has(one.kind))),
);

/** Whether an outlet is in a laundry area (Article 100): the place where a tray, washer or dryer is. *From memory*, medium. */
export const isInLaundryArea = (house: House, outlet: Outlet): boolean =>
  (outlet.load !== undefined && LOADS.has(outlet.load.kind)) ||
  outlet.room.kind === 'laundry' ||
  (TAKEN_WHOLE.has(outlet.room.kind) && isLaundryRoom(viewRoom(house, outlet.room.id)));
