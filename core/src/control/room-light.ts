import type { OutletIndex, Outlet } from '../circuits/outlets';
import type { House, Room } from '../house/schema';
import { memo } from '../cache/memo';

/** How a room is lit, as far as it is drawn. */
export interface RoomLight {
  readonly luminaires: readonly Outlet[];
  readonly switchedReceptacles: readonly Outlet[];
  /** Idle wall switches of the room, which no group claims. */
  readonly switches: readonly Outlet[];
  /** Lighting outlets, or receptacles in their place, that a wall control governs. */
  readonly controlled: readonly Outlet[];
}

interface Groups {
  readonly claimed: ReadonlySet<string>;
  readonly byControl: ReadonlyMap<string, SwitchGroup>;
}
type SwitchGroup = House['switchGroups'][string];

const groupsOf = memo((switchGroups: House['switchGroups']): Groups => {
  const groups = Object.values(switchGroups);
  return {
    claimed: new Set(groups.flatMap((group) => group.switches)),
    byControl: new Map(groups.flatMap((group) => group.controls.map((device) => [device, group] as const))),
  };
});

const NO_LIGHT: RoomLight = { luminaires: [], switchedReceptacles: [], switches: [], controlled: [] };

/**
 * The lighting outlets of a room and whether a wall control governs them: by a switch group, and by nothing else; a switch that no
 * group claims is idle, and may turn out to be a fan's. Remembered by the room's outlets and the groups.
 */
export function lightOf(house: House, index: OutletIndex, room: Room): RoomLight {
  const here = index.byRoom.get(room.id);
  return here ? lightAmong(here, groupsOf(house.switchGroups)) : NO_LIGHT;
}

const lightAmong = memo((here: readonly Outlet[], groups: Groups): RoomLight => {
  const luminaires = here.filter((outlet) => outlet.device.kind === 'luminaire');
  const switchedReceptacles = here.filter(
    (outlet) => outlet.device.kind === 'receptacle' && outlet.device.switched !== 'no',
  );
  const switches = here.filter((outlet) => outlet.device.kind === 'switch' && !groups.claimed.has(outlet.device.id));
  const isControlled = (outlet: Outlet) => {
    const group = groups.byControl.get(outlet.device.id);
    return group !== undefined && group.switches.length > 0;
  };
  const controlled = [...luminaires, ...switchedReceptacles].filter(isControlled);
  return { luminaires, switchedReceptacles, switches, controlled };
});

/** The switches that govern an outlet of the room. */
export function switchesFor(house: House, index: OutletIndex, outlet: Outlet): readonly Outlet[] {
  const group = groupsOf(house.switchGroups).byControl.get(outlet.device.id);
  return group ? group.switches.flatMap((id) => index.byDevice.get(id) ?? []) : [];
}
