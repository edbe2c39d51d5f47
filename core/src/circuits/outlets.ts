import type { Box, Circuit, House, Room } from '../house/schema';
import type { Device, Load } from '../house/schema-equipment';

/** A device at its place: what a circuit has as its members. */
export interface Outlet {
  readonly box: Box;
  readonly device: Device;
  readonly room: Room;
  /** The piece of equipment that connects here. */
  readonly load: Load | undefined;
}

export interface OutletIndex {
  /** Every device that is on a circuit or needs one; blanks and low voltage left out. */
  readonly all: readonly Outlet[];
  readonly byCircuit: ReadonlyMap<string, readonly Outlet[]>;
  /** By room; the same list as long as its outlets are the same. */
  readonly byRoom: ReadonlyMap<string, readonly Outlet[]>;
  readonly byDevice: ReadonlyMap<string, Outlet>;
  readonly unassigned: readonly Outlet[];
}

const indices = new WeakMap<House, OutletIndex>();
const outletMemory = new WeakMap<Device, Outlet>();
const listMemory = new WeakMap<Circuit | Room, readonly Outlet[]>();

/** The same object as long as its parts are, so that what is derived from it is remembered. */
function toOutlet(box: Box, device: Device, room: Room, load: Load | undefined): Outlet {
  const known = outletMemory.get(device);
  if (known && known.box === box && known.room === room && known.load === load) return known;
  const outlet = { box, device, room, load };
  outletMemory.set(device, outlet);
  return outlet;
}

function keepList(circuit: Circuit | Room, outlets: readonly Outlet[]): readonly Outlet[] {
  const known = listMemory.get(circuit);
  if (known && known.length === outlets.length && known.every((outlet, i) => outlet === outlets[i])) return known;
  listMemory.set(circuit, outlets);
  return outlets;
}

/** All outlets of a house by circuit; remembered by the identity of the house. */
export function indexOutlets(house: House): OutletIndex {
  const known = indices.get(house);
  if (known) return known;
  const loads = new Map(Object.values(house.loads).map((load) => [load.device, load]));
  const all: Outlet[] = [];
  const rooms = new Map<string, Outlet[]>();
  const lists = new Map<string, Outlet[]>(Object.keys(house.circuits).map((id) => [id, []]));
  for (const box of Object.values(house.boxes)) {
    const room = house.rooms[box.room]!;
    for (const device of Object.values(box.devices)) {
      if (device.kind === 'blank' || device.kind === 'low-voltage') continue;
      const outlet = toOutlet(box, device, room, loads.get(device.id));
      all.push(outlet);
      const here = rooms.get(room.id);
      if (here) here.push(outlet);
      else rooms.set(room.id, [outlet]);
      if (device.circuit !== null) lists.get(device.circuit)?.push(outlet);
    }
  }
  const index = {
    all,
    byCircuit: new Map([...lists].map(([id, outlets]) => [id, keepList(house.circuits[id]!, outlets)])),
    byRoom: new Map([...rooms].map(([id, outlets]) => [id, keepList(house.rooms[id]!, outlets)])),
    byDevice: new Map(all.map((outlet) => [outlet.device.id, outlet])),
    unassigned: all.filter((outlet) => outlet.device.circuit === null && outlet.device.kind !== 'switch'),
  };
  indices.set(house, index);
  return index;
}

export const outletsOn = (house: House, circuit: Circuit): readonly Outlet[] =>
  indexOutlets(house).byCircuit.get(circuit.id) ?? [];

export const isReceptacle = (outlet: Outlet): boolean => outlet.device.kind === 'receptacle';
export const isLighting = (outlet: Outlet): boolean => outlet.device.kind === 'luminaire';

/** Volts between the conductors at an outlet. */
export function voltsAt(outlet: Outlet): 120 | 240 {
  const { device } = outlet;
  return device.kind === 'receptacle' || device.kind === 'connection' ? device.volts : 120;
}

/** Volts between a circuit's conductors: 120 V on one pole, 240 V on two. */
export const circuitVolts = (circuit: Circuit): 120 | 240 => (circuit.poles === 2 ? 240 : 120);
