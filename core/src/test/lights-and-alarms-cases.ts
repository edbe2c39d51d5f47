import { aHouse, bedroom } from './house-builder';
import type { Edition, RoomKind } from '../house/schema';

export const room = (kind: RoomKind, edition: Edition = '2023') => aHouse(edition).room('r', kind, [0, 0, 144, 120]);

/** A bedroom whose door opens to a hall. */
export const sleeping = () => bedroom().room('hall', 'hallway', [0, 124.5, 144, 42]);
