import { aHouse } from './house-builder';
import type { Edition, RoomKind } from '../house/schema';

export const room = (kind: RoomKind, edition: Edition = '2023') => aHouse(edition).room('r', kind, [0, 0, 144, 120]);

/** A bathroom of 10 by 8 ft, a tub with a 20 in rim along its west wall, its basin on the north wall. */
export const bath = (edition: Edition = '2023') =>
  aHouse(edition)
    .room('b', 'bathroom', [0, 0, 120, 96])
    .feature('b', 'tub', ['c3', 36, 60, 30], { heightIn: 20 })
    .feature('b', 'basin', ['c0', 80, 20, 19]);

export const panel = (kind: RoomKind) =>
  room(kind).feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' }).panel('Main', 'r', 40, 'p');

/** A den of 12 by 10 ft; its north wall has a door of 32 in from 60 in on. */
export const den = (kind: 'door' | 'pocket' | 'cased' | 'window' | 'slider' | 'fixed-glass' = 'door', extra = {}) =>
  room('den').opening('r', 'c0', kind, 60, 32, extra);
