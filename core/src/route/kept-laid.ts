import { memo } from '../cache/memo';
import { keptRoutes } from '../circuits/kept-routes';
import type { House } from '../house/schema';
import { wireHouse } from '../makeup/make-up';
import { holesOf, type Hole } from './holes';
import { laidCables, type LaidCable } from './laid';

const NO_CABLES: readonly LaidCable[] = [];
const NO_HOLES: readonly Hole[] = [];
const hasRoutes = ({ routes }: House): boolean => {
  for (const id in routes) if (Object.hasOwn(routes, id)) return true;
  return false;
};

const laidOf = memo(
  (house: House) => laidCables(house, keptRoutes(house).sound.values()),
  (house) => [keptRoutes(house), wireHouse(house)],
);
const boredOf = memo(
  (house: House) => holesOf(house, keptCables(house)),
  (house) => [keptCables(house), house.rooms, house.openings, house.features, house.levels],
);

/** The cables of a house that lie somewhere: those whose kept route holds. A house without routes costs nothing to ask. */
export const keptCables = (house: House): readonly LaidCable[] => (hasRoutes(house) ? laidOf(house) : NO_CABLES);

/** The holes that they need. */
export const keptHoles = (house: House): readonly Hole[] => (hasRoutes(house) ? boredOf(house) : NO_HOLES);
