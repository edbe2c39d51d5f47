import { aHouse } from './house-builder';
import type { Edition } from '../house/schema';

export const island = (edition: Edition, w: number, d: number, extra = {}) =>
  aHouse(edition)
    .room('kit', 'kitchen', [0, 0, 300, 300])
    .standing('isl', 'kit', 'island', [100, 100, w, d], { name: 'island', ...extra });

/** A peninsula of 30 in that stands out from the north wall, past a counter of 25 in on both sides. */
export const peninsula = (edition: Edition, outIn = 100) =>
  aHouse(edition)
    .room('kit', 'kitchen', [0, 0, 300, 300])
    .feature('kit', 'counter', ['c0', 20, 180, 25])
    .feature('kit', 'peninsula', ['c0', 100, 30, outIn], { id: 'pen' });
