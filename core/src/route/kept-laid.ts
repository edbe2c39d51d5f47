import { keptRoutes } from '../circuits/kept-routes';
import { remembering } from '../house/remember';
import type { House } from '../house/schema';
import { wireHouse } from '../makeup/make-up';
import { holesOf } from './holes';
import { laidCables } from './laid';

/** The cables of a house that lie somewhere: those whose kept route holds. */
export const keptCables = remembering(
  (house: House) => laidCables(house, keptRoutes(house).sound.values()),
  (house) => [keptRoutes(house), wireHouse(house)],
);

/** The holes that they need. */
export const keptHoles = remembering(
  (house: House) => holesOf(house, keptCables(house)),
  (house) => [keptCables(house), house.rooms, house.openings, house.features, house.levels],
);
