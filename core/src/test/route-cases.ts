import type { Level } from '../house/schema';
import { aHouse, type HouseBuilder } from './house-builder';

type Extra = Readonly<Record<string, unknown>>;

/**
 * A bedroom of 12 by 10 ft with its panel in the west wall and a circuit of receptacles in its walls: [wall, inches from its start]. Nothing lies over or under it
 * unless the level says so, so that cables stay in the walls.
 */
export function walled(
  places: readonly (readonly [wall: string, alongIn: number])[],
  level: Partial<Level> = { below: 'slab', above: 'roof' },
  circuit: Extra = {},
): HouseBuilder {
  const builder = aHouse()
    .with((house) => Object.assign(house.levels['L1']!, level))
    .room('bed', 'bedroom', [0, 0, 144, 120])
    .feature('bed', 'panel', ['c3', 60, 14.5, 4], { id: 'p', heightIn: 66, bottomIn: 36 })
    .panel('Q', 'bed', 24, 'p')
    .circuit('a', 15, { panel: 'Q', space: 1, ...circuit });
  for (const [wall, alongIn] of places) builder.receptacle('bed', wall, alongIn, { circuit: 'a' });
  return builder;
}
