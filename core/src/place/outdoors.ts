import type { Room, RoomKind } from '../house/schema';

export const OUTDOOR_KINDS: ReadonlySet<RoomKind> = new Set(['porch', 'deck', 'balcony', 'outdoors']);

/** Whether a room is outdoors, or indoors and as moist. */
export const isMoist = ({ kind, damp }: Pick<Room, 'kind' | 'damp'>): boolean =>
  OUTDOOR_KINDS.has(kind) || damp === true;
