import type { House, Room, RoomKind } from '../../house/schema';
import { gradeOfRoom } from '../../plan/grade';

/** Parts of a level that are not finished to be lived in, where it lies below grade. */
const UNFINISHED: ReadonlySet<RoomKind> = new Set<RoomKind>(['basement-unfinished', 'utility', 'storage']);

/**
 * Whether a room is an unfinished part of a basement, 210.52(G)(3) and 210.70(C). The level makes the basement, not the room's name; a
 * room that is called one on a level of which nothing is said may be one.
 */
export function isUnfinishedBasement(house: House, room: Room): boolean | 'not-known' {
  if (!UNFINISHED.has(room.kind)) return false;
  const grade = gradeOfRoom(house, room);
  if (grade === 'below') return true;
  return grade === 'not-known' && room.kind === 'basement-unfinished' ? 'not-known' : false;
}

/** Spaces that 210.70(C) names wherever they are; a laundry is lit by *common practice*. */
const ALWAYS_LIT: ReadonlySet<RoomKind> = new Set<RoomKind>(['attic', 'crawl-space', 'utility', 'laundry']);

/** Whether a room is one of the storage and equipment spaces that 210.70(C) wants lit. */
export const isStorageOrEquipmentSpace = (house: House, room: Room): boolean =>
  ALWAYS_LIT.has(room.kind) || isUnfinishedBasement(house, room) !== false;
