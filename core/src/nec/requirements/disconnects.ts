import type { Feature, House } from '../../house/schema';
import type { Load } from '../../house/schema-equipment';
import { isLonger } from '../../geometry/intervals';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { boxPoint, distanceToFeature } from '../../plan/points';
import { mustGet } from '../../units/result';

/** *In sight*: visible and not more than 50 ft away, NEC Article 100. Inches. */
const IN_SIGHT_IN = 50 * 12;

interface DrawnDisconnect {
  readonly feature: Feature;
  /** From the disconnect to where the equipment is connected, inches. */
  readonly awayIn: number;
}

/**
 * The disconnects that are drawn in sight of equipment: in its room, or outdoors on its level, within 50 ft. Each serves the
 * equipment nearest to it and no other.
 */
export function disconnectsInSight(house: House, loads: readonly Load[]): ReadonlyMap<string, DrawnDisconnect> {
  const drawn = Object.values(house.features).filter(({ kind }) => kind === 'disconnect');
  const pairs = loads.flatMap((load) => {
    const box = house.boxes[load.box];
    const at = box && house.rooms[box.room];
    if (!box || !at) return [];
    return drawn.flatMap((feature) => {
      const room = mustGet(house.rooms, feature.room);
      const isSeen =
        room === at || (OUTDOOR_KINDS.has(room.kind) && OUTDOOR_KINDS.has(at.kind) && room.level === at.level);
      const awayIn = distanceToFeature(room, feature, boxPoint(house, box));
      return isSeen && !isLonger(awayIn, IN_SIGHT_IN) ? [{ load: load.id, feature, awayIn }] : [];
    });
  });
  const found = new Map<string, DrawnDisconnect>();
  const taken = new Set<Feature>();
  for (const { load, feature, awayIn } of pairs.sort((a, b) => a.awayIn - b.awayIn)) {
    if (found.has(load) || taken.has(feature)) continue;
    found.set(load, { feature, awayIn });
    taken.add(feature);
  }
  return found;
}
