import type { Box, Circuit, House, Room } from '../house/schema';
import type { Device, Load } from '../house/schema-equipment';
import { Memory } from '../cache/memory';
import { given, mustGet } from '../units/result';

/** A device at its place: what a circuit has as its members. */
export interface Outlet {
  readonly box: Box;
  readonly device: Device;
  readonly room: Room;
  /** The piece of equipment that connects here. */
  readonly load: Load | undefined;
}

/** The outlets of a house by device, room and circuit. */
export interface OutletIndex {
  /** Every device that is on a circuit or needs one; blanks and low voltage left out. */
  readonly all: readonly Outlet[];
  readonly byCircuit: ReadonlyMap<string, readonly Outlet[]>;
  /** By room; the same list as long as its outlets are the same. */
  readonly byRoom: ReadonlyMap<string, readonly Outlet[]>;
  readonly byDevice: ReadonlyMap<string, Outlet>;
  readonly unassigned: readonly Outlet[];
  /** Alarms; lights with fans, switches and switched receptacles; outlets with a load. The same lists while their outlets are. */
  readonly alarms: readonly Outlet[];
  readonly lights: readonly Outlet[];
  readonly loads: readonly Outlet[];
}

const indices = new Memory<House, OutletIndex>();
const outletMemory = new Memory<Device, Outlet>();
type ListKey = 'alarms' | 'lights' | 'loads';
const listMemory = new Memory<Circuit | Room, readonly Outlet[]>();
const kindMemory = new Memory<House['rooms'], Partial<Record<ListKey, readonly Outlet[]>>>();

const isSame = (a: readonly Outlet[], b: readonly Outlet[]): boolean =>
  a.length === b.length && a.every((outlet, i) => outlet === b[i]);

/** The lists of some kinds of outlet, each the same object as the last of a house with these rooms when it holds the same. */
function keepKinds(house: House, found: Record<ListKey, readonly Outlet[]>): Record<ListKey, readonly Outlet[]> {
  const known = kindMemory.get(house.rooms) ?? {};
  for (const key of ['alarms', 'lights', 'loads'] as const) {
    const last = known[key];
    if (last && isSame(last, found[key])) found[key] = last;
  }
  kindMemory.set(house.rooms, found);
  return found;
}

const isOfLight = (device: Device): boolean =>
  device.kind === 'luminaire' ||
  device.kind === 'fan' ||
  device.kind === 'switch' ||
  (device.kind === 'receptacle' && device.switched !== 'no');

/** The same object as long as its parts are, so that what is derived from it is remembered. */
function toOutlet(box: Box, device: Device, room: Room, load: Load | undefined): Outlet {
  const known = outletMemory.get(device);
  if (known && known.box === box && known.room === room && known.load === load) return known;
  const outlet = { box, device, room, load };
  outletMemory.set(device, outlet);
  return outlet;
}

/** Puts the list of before in the place of each that holds the same. */
function keepLists(owners: Readonly<Record<string, Circuit | Room>>, lists: Map<string, readonly Outlet[]>): void {
  for (const [id, outlets] of lists) {
    const owner = mustGet(owners, id);
    const known = listMemory.get(owner);
    if (known && isSame(known, outlets)) lists.set(id, known);
    else listMemory.set(owner, outlets);
  }
}

/**
 * Puts switches that are on no circuit of their own on that of what their group governs, where all of it is on one: such a switch
 * interrupts that circuit, so for protection, sums and outages it belongs to it.
 */
function followGroups(
  { switchGroups }: House,
  switches: readonly Outlet[],
  byDevice: ReadonlyMap<string, Outlet>,
  byCircuit: ReadonlyMap<string, Outlet[]>,
): void {
  const loose = new Set(switches.map((one) => one.device.id));
  for (const { switches: members, controls } of Object.values(switchGroups)) {
    if (!members.some((id) => loose.has(id))) continue;
    const fed = new Set(controls.map((id) => byDevice.get(id)?.device.circuit ?? null));
    const [only] = fed;
    if (fed.size !== 1 || typeof only !== 'string') continue;
    for (const id of members) if (loose.delete(id)) byCircuit.get(only)?.push(given(byDevice.get(id)));
  }
}

/** All outlets of a house by circuit; remembered by the identity of the house. */
export function indexOutlets(house: House): OutletIndex {
  const known = indices.get(house);
  if (known) return known;
  const loads = new Map<string, Load>();
  for (const load of Object.values(house.loads)) if (load.device !== null) loads.set(load.device, load);
  const all: Outlet[] = [];
  const byDevice = new Map<string, Outlet>();
  const unassigned: Outlet[] = [];
  const kinds = { alarms: [] as Outlet[], lights: [] as Outlet[], loads: [] as Outlet[] };
  const byRoom = new Map<string, Outlet[]>();
  const byCircuit = new Map<string, Outlet[]>();
  for (const id of Object.keys(house.circuits)) byCircuit.set(id, []);
  const loose: Outlet[] = [];
  for (const box of Object.values(house.boxes)) {
    const room = mustGet(house.rooms, box.room);
    for (const device of Object.values(box.devices)) {
      if (device.kind === 'blank' || device.kind === 'low-voltage') continue;
      const outlet = toOutlet(box, device, room, loads.get(device.id));
      // An alarm on its battery is on no wiring: it is no outlet, and an alarm all the same.
      if (device.kind === 'alarm' && device.battery) {
        kinds.alarms.push(outlet);
        continue;
      }
      all.push(outlet);
      byDevice.set(device.id, outlet);
      if (outlet.load) kinds.loads.push(outlet);
      if (device.kind === 'alarm') kinds.alarms.push(outlet);
      else if (isOfLight(device)) kinds.lights.push(outlet);
      const here = byRoom.get(room.id);
      if (here) here.push(outlet);
      else byRoom.set(room.id, [outlet]);
      if (device.circuit !== null) byCircuit.get(device.circuit)?.push(outlet);
      else if (device.kind === 'switch') loose.push(outlet);
      else unassigned.push(outlet);
    }
  }
  if (loose.length > 0) followGroups(house, loose, byDevice, byCircuit);
  keepLists(house.circuits, byCircuit);
  keepLists(house.rooms, byRoom);
  const index: OutletIndex = { all, ...keepKinds(house, kinds), byCircuit, byRoom, byDevice, unassigned };
  indices.set(house, index);
  return index;
}

/** The outlets of a circuit; a switch is on that of what it controls. */
export const outletsOn = (house: House, circuit: Circuit): readonly Outlet[] =>
  indexOutlets(house).byCircuit.get(circuit.id) ?? [];

/** Whether it is a light by itself: a luminaire, not a switched receptacle. */
export const isLighting = (outlet: Outlet): boolean => outlet.device.kind === 'luminaire';

/** Volts between the conductors at an outlet. */
export function voltsAt(outlet: Outlet): 120 | 240 {
  const { device } = outlet;
  return device.kind === 'receptacle' || device.kind === 'connection' ? device.volts : 120;
}

/** The cable of a circuit as papers name it: nonmetallic copper, or aluminum service-entrance cable. */
export const cableNameOf = ({ awg, metal, unread }: Pick<Circuit, 'awg' | 'metal' | 'unread'>): string =>
  unread ? 'not read' : metal === 'aluminum' ? `SE Al ${awg}` : `NM-B Cu ${awg}`;

/** Volts between a circuit's conductors: 120 V on one pole, 240 V on two. */
export const circuitVolts = (circuit: Circuit): 120 | 240 => (circuit.poles === 2 ? 240 : 120);
