import type { Device } from '../house/schema-equipment';
import type { Room, RoomKind } from '../house/schema';

export const OUTDOOR_KINDS: ReadonlySet<RoomKind> = new Set(['porch', 'deck', 'balcony', 'outdoors']);

/** Outdoor places that rain reaches; a porch is taken to have a roof. */
const OPEN_TO_SKY: ReadonlySet<RoomKind> = new Set(['deck', 'balcony', 'outdoors']);
/** Whether rain falls on a place outdoors. */
export const isOpenToSky = ({ kind }: Pick<Room, 'kind'>): boolean => OPEN_TO_SKY.has(kind);

/** What a receptacle of 15 or 20 A must be where it stands: weather-resistant, and under an in-use cover in the rain. NEC 406.9. */
export const asPlaced = (room: Pick<Room, 'kind' | 'damp'>): { wr: boolean; cover?: 'in-use' } => ({
  wr: isMoist(room),
  ...(isOpenToSky(room) ? { cover: 'in-use' } : {}),
});

/** Whether a room is outdoors, or indoors and as moist. */
export const isMoist = ({ kind, damp }: Pick<Room, 'kind' | 'damp'>): boolean =>
  OUTDOOR_KINDS.has(kind) || damp === true;

/** A device as one takes it to where it will hang: for the weather there, whoever places it. NEC 406.9, 410.10(A). */
export function suitedTo(room: Pick<Room, 'kind' | 'damp'>, device: Device): Device {
  if (!isMoist(room)) return device;
  if (device.kind === 'luminaire' && device.marked === 'dry')
    return { ...device, marked: isOpenToSky(room) ? 'wet' : 'damp' };
  if (device.kind === 'fan') return { ...device, marked: isOpenToSky(room) ? 'wet' : 'damp' };
  return device.kind === 'receptacle' && device.ratingA <= 20 ? { ...device, ...asPlaced(room) } : device;
}
