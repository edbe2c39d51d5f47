import type { House } from '../house/schema';
import { indexOutlets, type Outlet } from './outlets';

/**
 * The outlets of a box that are one piece of equipment: an exhaust fan that heats, lights, or does both. Its functions are switched apart, but its
 * circuit feeds one thing. Empty where an outlet is no part of such a unit.
 */
export function fanUnitOf(house: House, { box, room, device }: Outlet): readonly Outlet[] {
  if (box.at.kind === 'floor' || device.kind === 'switch' || device.kind === 'receptacle') return [];
  const here = (indexOutlets(house).byRoom.get(room.id) ?? []).filter(
    (one) =>
      one.box === box &&
      (one.device.kind === 'luminaire' || one.load?.kind === 'exhaust-fan' || one.load?.kind === 'bath-heater'),
  );
  const isUnit = here.length > 1 && here.some((one) => one.load?.kind === 'exhaust-fan');
  return isUnit && here.some((one) => one.device.id === device.id) ? here : [];
}
