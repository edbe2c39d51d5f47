import type { OutletIndex, Outlet } from '../circuits/outlets';
import type { House, Room } from '../house/schema';

/** How a room is lit, as far as it is drawn. */
export interface RoomLight {
  readonly luminaires: readonly Outlet[];
  readonly switchedReceptacles: readonly Outlet[];
  /** Wall switches of the room that no group claims for something else. */
  readonly switches: readonly Outlet[];
  /** Lighting outlets, or receptacles in their place, that a wall control governs. */
  readonly controlled: readonly Outlet[];
}

/**
 * The lighting outlets of a room and whether a wall control governs them: by a switch group, or, where no group names the
 * outlet, by a switch in the room that no group claims.
 */
export function lightOf(house: House, index: OutletIndex, room: Room): RoomLight {
  const groups = Object.values(house.switchGroups);
  const claimed = new Set(groups.flatMap((group) => group.switches));
  const groupOf = new Map(groups.flatMap((group) => group.controls.map((device) => [device, group] as const)));
  const here = index.all.filter((outlet) => outlet.room.id === room.id);
  const luminaires = here.filter((outlet) => outlet.device.kind === 'luminaire');
  const switchedReceptacles = here.filter(
    (outlet) => outlet.device.kind === 'receptacle' && outlet.device.switched !== 'no',
  );
  const switches = here.filter((outlet) => outlet.device.kind === 'switch' && !claimed.has(outlet.device.id));
  const isControlled = (outlet: Outlet) => {
    const group = groupOf.get(outlet.device.id);
    return group ? group.switches.length > 0 : switches.length > 0;
  };
  return {
    luminaires,
    switchedReceptacles,
    switches,
    controlled: [...luminaires, ...switchedReceptacles].filter(isControlled),
  };
}

/** The switches that govern an outlet of the room. */
export function switchesFor(house: House, index: OutletIndex, outlet: Outlet): readonly Outlet[] {
  const group = Object.values(house.switchGroups).find((one) => one.controls.includes(outlet.device.id));
  if (group) return group.switches.flatMap((id) => index.byDevice.get(id) ?? []);
  return lightOf(house, index, outlet.room).switches;
}
