import { edit, type Edited } from '../house/edit';
import type { House, RoomKind } from '../house/schema';
import type { Result } from '../units/result';

/** Rooms whose framing is in sight in an old house too. */
const BARE: ReadonlySet<RoomKind> = new Set<RoomKind>(['attic', 'crawl-space', 'basement-unfinished']);

/**
 * Opens up some rooms of a house that stands, and lets the rest stay as it is: boxes in the other rooms and the panels were there
 * before, and its finished rooms stay closed. Boxes that are marked otherwise keep their mark.
 */
export const openOnly = (house: House, rooms: ReadonlySet<string>): Result<Edited> =>
  edit(house, 'Open up rooms', (draft) => {
    for (const room of Object.values(draft.rooms)) {
      if (rooms.has(room.id) || BARE.has(room.kind)) delete room.closed;
      else room.closed = true;
    }
    for (const box of Object.values(draft.boxes)) if (!rooms.has(box.room)) box.state ??= 'existing';
    for (const panel of Object.values(draft.panels)) panel.existing = true;
    return undefined;
  });
