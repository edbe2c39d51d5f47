import type { Device } from '../house/schema-equipment';
import type { RoomKind } from '../house/schema';

/** Rooms in which a fan that nobody has named draws air out: *common practice*. */
const DRAWN_OUT: ReadonlySet<RoomKind> = new Set<RoomKind>(['bathroom', 'half-bath', 'laundry']);

/** Whether a device is a fan that draws air out of a room of a kind: flush in the ceiling, in a housing of its own. */
export const isExhaustFan = (device: Device, room: RoomKind): boolean =>
  device.kind === 'fan' && (device.style ?? (DRAWN_OUT.has(room) ? 'exhaust' : 'paddle')) === 'exhaust';

/** Whether a device is a fan with blades that hangs from its box: NEC 314.27(C), 410.10(D). */
export const isPaddleFan = (device: Device, room: RoomKind): boolean =>
  device.kind === 'fan' && !isExhaustFan(device, room);
