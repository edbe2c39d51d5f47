import { aHouse } from './house-builder';
import type { Edition } from '../house/schema';

export const over = (circuit: string | null) => ({ heightIn: 43, circuit });

export const kitchen = (edition: Edition = '2023') =>
  aHouse(edition)
    .room('kit', 'kitchen', [0, 0, 144, 144])
    .room('din', 'dining', [150, 0, 144, 144])
    .feature('kit', 'counter', ['c0', 0, 100, 25])
    .circuit('SA1', 20)
    .circuit('SA2', 20);

export const den = () => aHouse().room('den', 'den', [0, 0, 200, 200]);
