import type { Circuit, House } from '../house/schema';
import type { Load } from '../house/schema-equipment';
import { outletsOn, type Outlet } from './outlets';

/** Household cooking equipment that may share a circuit by taps: NEC 210.19(A)(3) Exception 1, 210.19(C) in 2023. */
const RANGE = /^range$/;
const TOP = /^(cooktop|induction-cooktop)$/;
const OVEN = /^(oven|double-oven)$/;
/** Largest circuit from which cooking equipment may be tapped, amperes. */
const TAPPED_FROM_A: readonly number[] = [40, 50];

const isCooking = (load: Load): boolean =>
  load.volts === 240 && (RANGE.test(load.kind) || TOP.test(load.kind) || OVEN.test(load.kind));

/**
 * One counter-mounted cooktop and at most two wall ovens in one room on one circuit of 40 or 50 A: allowed by taps of at least
 * 20 A that carry their own load and are no longer than needed for servicing. *From memory*, high.
 */
export function isTappedCooking(house: House, circuit: Circuit): boolean {
  const outlets = outletsOn(house, circuit).filter((one) => one.device.kind !== 'switch');
  return (
    circuit.poles === 2 && TAPPED_FROM_A.includes(circuit.ratingA) && outlets.length > 1 && isCookingGroup(outlets)
  );
}

function isCookingGroup(outlets: readonly Outlet[]): boolean {
  const loads = outlets.flatMap((one) => one.load ?? []);
  const rooms = new Set(outlets.map((one) => one.room));
  const tops = loads.filter((one) => TOP.test(one.kind)).length;
  const ovens = loads.filter((one) => OVEN.test(one.kind)).length;
  return (
    loads.length === outlets.length &&
    loads.every(isCooking) &&
    rooms.size === 1 &&
    tops === 1 &&
    ovens >= 1 &&
    ovens <= 2
  );
}

/**
 * The branch-circuit load of a range, or of a cooktop with its ovens as if they were one: 8 kW up to 12 kW on the plate, 5 % more
 * for each kW or greater part of one above (Table 220.55 column C, Notes 1 and 4). A single oven or cooktop, and a range
 * up to 8 3/4 kW, counts by its plate. Undefined where the outlets are no such thing. *From memory*, high.
 * @example cookingDemand for a 14 kW range is 8800 VA
 */
export function cookingDemand(outlets: readonly Outlet[]): number | undefined {
  const loads = outlets.flatMap((one) => one.load ?? []);
  const [only] = loads;
  const single =
    loads.length === 1 && outlets.length === 1 && only !== undefined && RANGE.test(only.kind) && only.volts === 240;
  if (!single && !(outlets.length > 1 && isCookingGroup(outlets))) return undefined;
  const kw = loads.reduce((sum, one) => sum + one.va, 0) / 1000;
  if (kw <= 8.75) return kw * 1000;
  return 8000 * (1 + 0.05 * Math.max(0, Math.floor(kw - 12 + 0.5)));
}
