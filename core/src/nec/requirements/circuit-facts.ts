import type { Box, Circuit, RoomKind } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import type { Outlet } from '../../circuits/outlets';
import { receptaclesOf, servesCounter, whyNotCounted } from '../../place/receptacles';
import { viewRoom, type RoomView } from '../../plan/room-view';
import type { Facts } from '../rule';

/** Rooms whose receptacles belong to the small-appliance circuits: 210.52(B)(1). */
export const FOOD_ROOMS: ReadonlySet<RoomKind> = new Set(['kitchen', 'dining', 'breakfast', 'pantry']);
export const BATHROOMS: ReadonlySet<RoomKind> = new Set(['bathroom', 'half-bath']);

/** What may ride on a small-appliance circuit though it is fixed: refrigeration, and the igniters of gas cooking (Exception 2). */
const MAY_BE_FIXED: ReadonlySet<LoadKind> = new Set<LoadKind>(['refrigerator', 'freezer', 'wine-cooler', 'gas-range']);
/** Equipment fastened in place may not be fed from a small-appliance circuit: 210.52(B)(2). */
const isFixed = ({ load }: Outlet): boolean => load !== undefined && load.fastened && !MAY_BE_FIXED.has(load.kind);

/** A receptacle in a cabinet that nobody has given a load: it is none of 210.52(A) or (C), so it neither must nor may be counted in. */
export const isInCupboard = (outlet: Outlet): boolean => outlet.box.inCabinet === true && outlet.load === undefined;

/** The outlets of a circuit, as the facts of a check have them. */
export const outletsOf = (facts: Facts, circuit: Circuit): readonly Outlet[] =>
  facts.outlets.byCircuit.get(circuit.id) ?? [];
/** The circuits of a house, in one order. */
export const circuitsOf = (facts: Facts): readonly Circuit[] => facts.circuits;

/** A receptacle that 210.52(B)(1) puts on a small-appliance circuit: general and refrigeration receptacles of the food rooms. */
export const isFoodReceptacle = (outlet: Outlet): boolean =>
  outlet.device.kind === 'receptacle' &&
  outlet.device.volts === 120 &&
  FOOD_ROOMS.has(outlet.room.kind) &&
  !isFixed(outlet) &&
  !isInCupboard(outlet);

/** Whether the outlet is a receptacle over a kitchen counter. */
export const isCounterReceptacle = (facts: Facts, outlet: Outlet): boolean =>
  outlet.device.kind === 'receptacle' &&
  outlet.device.volts === 120 &&
  outlet.room.kind === 'kitchen' &&
  servesCounter(viewRoom(facts.house, outlet.room.id), outlet.box);

/** A circuit that is meant as a small-appliance circuit, or acts as one because it feeds a kitchen counter. */
export const isSmallAppliance = (facts: Facts, circuit: Circuit): boolean =>
  circuit.poles === 1 &&
  (circuit.purpose === 'small-appliance' ||
    outletsOf(facts, circuit).some((outlet) => isCounterReceptacle(facts, outlet)));

/** Switches ride along with what they control; they are not outlets. */
export const outletsProper = (outlets: readonly Outlet[]): Outlet[] =>
  outlets.filter((outlet) => outlet.device.kind !== 'switch');

/** An outlet in words: its box, its room and what it is for. */
export const describeOutlet = (outlet: Outlet): string =>
  outlet.load
    ? `${outlet.load.name} (${outlet.box.tag})`
    : `${outlet.device.kind} ${outlet.box.tag} in ${outlet.room.name}`;

/** Up to three outlets by name, and how many more. */
export function listOutlets(outlets: readonly Outlet[]): string {
  const names = outlets.slice(0, 3).map(describeOutlet);
  return outlets.length > 3 ? `${names.join(', ')} and ${outlets.length - 3} more` : names.join(', ');
}

/** Whether some receptacle of a box is not taken by a certain piece of equipment. */
export const isFreeBox = (facts: Facts, box: Box): boolean =>
  receptaclesOf(box).some((one) => !facts.outlets.byDevice.get(one.id)?.load);

/** Whether a room has a receptacle that counts and is not taken by a certain piece of equipment. */
export const hasFreeReceptacle = (facts: Facts, view: RoomView): boolean =>
  view.boxes.some((box) => whyNotCounted(box, view.level.ceilingIn) === undefined && isFreeBox(facts, box));

/** The device ids of outlets. */
export const deviceIds = (outlets: readonly Outlet[]): string[] => outlets.map((outlet) => outlet.device.id);
