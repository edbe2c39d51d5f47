import { memo } from '../../cache/memo';
import type { House } from '../../house/schema';
import { dwellingLoads, type Connected, type DwellingLoads } from '../../service/connected-loads';
import { optionalLoad, standardLoad } from '../../service/load-calculation';
import { isMultifamily, multifamilyLoad } from '../../service/multifamily-load';
import { dwellingAreaFt2 } from './dwelling-area';

/** The house as Article 220 reads it. */
export const loadsOfHouse = memo(
  (house: House): DwellingLoads => dwellingLoads(house, dwellingAreaFt2(house)),
  ({ rooms, levels, openings, boxes, loads, circuits, job, supply }) => [
    rooms,
    levels,
    openings,
    boxes,
    loads,
    circuits,
    job,
    supply,
  ],
);

/** The optional method is for services of 100 A and more: 220.82(A). */
const OPTIONAL_FROM_A = 100;

/** The least that a service of a rating must carry, amperes: the less of the two methods where both may be used. */
export function leastServiceAmps(loads: DwellingLoads, ratingA: number): number {
  const standard = standardLoad(loads).amps;
  if (isMultifamily(loads)) return Math.min(standard, multifamilyLoad(loads).amps);
  // Two dwellings go by Part III: 220.85 asks for units that are alike, which the sum does not show.
  return ratingA >= OPTIONAL_FROM_A && loads.dwellings === 1 ? Math.min(standard, optionalLoad(loads).amps) : standard;
}

/** What a house would need with more of this in it. */
export const withMore = (loads: DwellingLoads, more: readonly Connected[]): DwellingLoads => ({
  ...loads,
  connected: [...loads.connected, ...more],
});
