import type { Awg, Box, Building, Circuit, Feeder, Sleeve, Room, Supply } from '../house/schema';
import type { RoomView } from '../plan/room-view';
import { studFaces } from '../plan/studs';

/** One obvious cure, as data; `applyRemedy` turns it into an edit. */
export type Remedy = { readonly label: string } & (
  | { readonly kind: 'fill-room'; readonly room: string }
  | { readonly kind: 'breaker-follows'; readonly circuit: string }
  | { readonly kind: 'conductor'; readonly circuit: string; readonly awg: Awg }
  | { readonly kind: 'take-off'; readonly devices: readonly string[] }
  | { readonly kind: 'mark-continuous'; readonly load: string }
  | { readonly kind: 'new-circuit'; readonly devices: readonly string[] }
  | { readonly kind: 'move-box'; readonly box: string }
  | {
      readonly kind: 'set-devices';
      readonly devices: readonly string[];
      readonly changes: Readonly<Record<string, unknown>>;
    }
  | {
      readonly kind: 'set-boxes';
      readonly boxes: readonly string[];
      readonly changes: Readonly<Record<string, unknown>>;
    }
  | {
      readonly kind: 'set-loads';
      readonly loads: readonly string[];
      readonly changes: Readonly<Record<string, unknown>>;
    }
  | { readonly kind: 'set-rooms'; readonly rooms: readonly string[]; readonly changes: Partial<Room> }
  | { readonly kind: 'set-circuit'; readonly circuit: string; readonly changes: Partial<Circuit> }
  | { readonly kind: 'read-conductors'; readonly circuits: readonly string[] }
  | { readonly kind: 'common-trip'; readonly circuits: readonly string[] }
  | { readonly kind: 'feed-panel'; readonly panel: string }
  | { readonly kind: 'connect-appliances' }
  | { readonly kind: 'slab-conduits' }
  | { readonly kind: 'set-supply'; readonly changes: Partial<Supply> }
  | { readonly kind: 'set-building'; readonly building: string; readonly changes: Partial<Building> }
  | { readonly kind: 'set-sleeve'; readonly sleeve: string; readonly changes: Partial<Sleeve> }
  | { readonly kind: 'set-feeder'; readonly feeder: string; readonly changes: Partial<Feeder> }
);

/** One answer for all devices of a kind: an open question is then closed by one press. */
export const setDevicesRemedy = (
  devices: readonly string[],
  changes: Readonly<Record<string, unknown>>,
  label: string,
): Remedy => ({ kind: 'set-devices', devices, changes, label });

/** The same for boxes. */
export const setBoxesRemedy = (
  boxes: readonly string[],
  changes: Readonly<Record<string, unknown>>,
  label: string,
): Remedy => ({ kind: 'set-boxes', boxes, changes, label });

/** The same for rooms. */
const setRoomsRemedy = (rooms: readonly string[], changes: Partial<Room>, label: string): Remedy => ({
  kind: 'set-rooms',
  rooms,
  changes,
  label,
});

/** Whether unfinished rooms could be finished one day: it decides about the floor area, 220.12. */
export const adaptableRemedies = (rooms: readonly string[]): Remedy[] => [
  setRoomsRemedy(rooms, { finishable: false }, 'It could not be finished'),
  setRoomsRemedy(rooms, { finishable: true }, 'It could be finished'),
];

/** The same for loads. */
export const setLoadsRemedy = (
  loads: readonly string[],
  changes: Readonly<Record<string, unknown>>,
  label: string,
): Remedy => ({ kind: 'set-loads', loads, changes, label });

/** A box and a typical load for everything that is drawn and connects nowhere. */
export const connectRemedy = (n: number): Remedy => ({
  kind: 'connect-appliances',
  label: n === 1 ? 'Connect it' : `Connect all ${n}`,
});

/** Adds the fewest receptacles that complete a room. */
export const fillRoomRemedy = (room: Room): Remedy => ({
  kind: 'fill-room',
  room: room.id,
  label: `Space receptacles in ${room.name}`,
});

/** Fits the breaker that the circuit needs. */
export const breakerRemedy = (circuit: string): Remedy => ({
  kind: 'breaker-follows',
  circuit,
  label: 'Let the breaker follow the outlets',
});

/** Takes another size of wire. */
export const conductorRemedy = (circuit: string, awg: Awg): Remedy => ({
  kind: 'conductor',
  circuit,
  awg,
  label: `Use No. ${awg} copper`,
});

/** Takes outlets off their circuit. */
export const takeOffRemedy = (devices: readonly string[], what: string): Remedy => ({
  kind: 'take-off',
  devices,
  label: `Remove ${what} from this circuit`,
});

/** Gives outlets a circuit of their own. */
export const newCircuitRemedy = (devices: readonly string[], what: string): Remedy => ({
  kind: 'new-circuit',
  devices,
  label: `Give ${what} a circuit of ${devices.length === 1 ? 'its' : 'their'} own`,
});

/** Says that a load is continuous. */
export const continuousRemedy = (load: string): Remedy => ({
  kind: 'mark-continuous',
  load,
  label: 'Count it at 125 %',
});

/** The cure for a box that stands where none can: none where its room has no stud's side at that height. */
export const moveBoxRemedies = (view: RoomView, { id, at, gangs }: Box): readonly Remedy[] =>
  at.kind === 'wall' && studFaces(view, at.heightIn, gangs).length > 0
    ? [{ kind: 'move-box', box: id, label: 'Move it to the nearest stud\u2019s side' }]
    : [];

/** What somebody on site answers about the service. */
export const setSupplyRemedy = (changes: Partial<Supply>, label: string): Remedy => ({
  kind: 'set-supply',
  changes,
  label,
});
/** Says something of a building. */
export const setBuildingRemedy = (building: string, changes: Partial<Building>, label: string): Remedy => ({
  kind: 'set-building',
  building,
  changes,
  label,
});
/** Says that somebody has looked at the conductors of circuits, and found them as supposed. */
export const readConductorsRemedy = (circuits: readonly string[]): Remedy => ({
  kind: 'read-conductors',
  circuits,
  label: circuits.length === 1 ? 'Read: copper that fits its breaker' : 'All read: copper that fits each breaker',
});

/** Adds a sleeve for every conduit that routes need in a slab. */
export const slabConduitsRemedy = (n: number): Remedy => ({
  kind: 'slab-conduits',
  label: n === 1 ? 'Set the conduit' : 'Set the conduits',
});

/** Changes a sleeve. */
export const setSleeveRemedy = (sleeve: string, changes: Partial<Sleeve>, label: string): Remedy => ({
  kind: 'set-sleeve',
  sleeve,
  changes,
  label,
});
/** A sleeve is looked at in a room at one of its ends, where it has one. */
export function placeOfSleeve({ from, to }: Sleeve): { readonly room?: string } {
  const room = from.room ?? to.room;
  return room === null ? {} : { room };
}
/** Changes a feeder. */
export const setFeederRemedy = (feeder: string, changes: Partial<Feeder>, label: string): Remedy => ({
  kind: 'set-feeder',
  feeder,
  changes,
  label,
});
