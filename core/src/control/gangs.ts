import { indexOutlets } from '../circuits/outlets';
import { distance } from '../geometry/geometry';
import type { Box, House } from '../house/schema';
import { boxPoint } from '../plan/points';

/**
 * The gangs of a box in the order in which one meets the lights: the nearest first, those of other rooms and outdoors after
 * the room's own. *Common practice*.
 */
export function gangOrder(house: House, box: Box): readonly string[] {
  const { byDevice } = indexOutlets(house);
  const here = boxPoint(house, box);
  const rank = (id: string): number => {
    const group = Object.values(house.switchGroups).find((one) => one.switches.includes(id));
    const lights = group?.controls.flatMap((control) => byDevice.get(control) ?? []) ?? [];
    if (lights.length === 0) return Infinity;
    const own = lights.some((one) => one.room.id === box.room) ? 0 : 10_000;
    return own + Math.min(...lights.map((one) => distance(here, boxPoint(house, one.box))));
  };
  return Object.keys(box.devices)
    .map((id) => ({ id, at: rank(id) }))
    .sort((a, b) => a.at - b.at)
    .map((one) => one.id);
}
