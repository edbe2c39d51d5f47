import { memo } from '../../cache/memo';
import type { House, Room } from '../../house/schema';
import { dwellingLoads, type Connected, type DwellingLoads } from '../../service/connected-loads';
import { existingLoad, measuredLoad, optionalLoad, standardLoad } from '../../service/load-calculation';
import { isMultifamily, multifamilyLoad } from '../../service/multifamily-load';
import { areaOfRoomsFt2, dwellingAreaFt2 } from './dwelling-area';

const holdsExisting = ({ boxes }: House, room: Room): boolean =>
  room.closed !== undefined || Object.values(boxes).some((box) => box.room === room.id && box.state === 'existing');

/** The house as Article 220 reads it. */
export const loadsOfHouse = memo(
  (house: House): DwellingLoads => {
    const loads = dwellingLoads(house, dwellingAreaFt2(house));
    return loads.stands
      ? { ...loads, newAreaFt2: areaOfRoomsFt2(house, (room) => !holdsExisting(house, room)) }
      : loads;
  },
  ({ rooms, levels, openings, boxes, loads, circuits, job, supply, panels, feeders, sources }) => [
    rooms,
    levels,
    openings,
    boxes,
    loads,
    circuits,
    job,
    supply,
    panels,
    feeders,
    sources,
  ],
);

/** The optional method is for services of 100 A and more: 220.82(A). */
const OPTIONAL_FROM_A = 100;

/** The methods of Article 220 by which a service may be reckoned. */
type LoadMethod = 'standard' | 'optional' | 'existing' | 'measured' | 'multifamily';

/**
 * The least that a service of a rating must carry, amperes, and by which method: the less of those that may be used. Whether a panel that
 * was there can carry more may be reckoned by 220.83 and 220.87 too.
 */
export function leastService(loads: DwellingLoads, ratingA: number): { amps: number; method: LoadMethod } {
  const may: { amps: number; method: LoadMethod }[] = [{ amps: standardLoad(loads).amps, method: 'standard' }];
  if (isMultifamily(loads)) may.push({ amps: multifamilyLoad(loads).amps, method: 'multifamily' });
  // Two dwellings go by Part III: 220.85 asks for units that are alike, which the sum does not show.
  else if (loads.dwellings === 1) {
    if (ratingA >= OPTIONAL_FROM_A) may.push({ amps: optionalLoad(loads).amps, method: 'optional' });
    // 220.83 speaks of 120/240 V and of two legs of 208Y/120 V.
    if (loads.stands && loads.volts !== 120) may.push({ amps: existingLoad(loads).amps, method: 'existing' });
  }
  const measured = measuredLoad(loads);
  if (measured) may.push({ amps: measured.amps, method: 'measured' });
  return may.reduce((best, one) => (one.amps < best.amps ? one : best));
}

/** The amperes of {@link leastService}. */
export const leastServiceAmps = (loads: DwellingLoads, ratingA: number): number => leastService(loads, ratingA).amps;

/** What a house would need with more of this in it. */
export const withMore = (loads: DwellingLoads, more: readonly Connected[]): DwellingLoads => ({
  ...loads,
  connected: [...loads.connected, ...more],
});
