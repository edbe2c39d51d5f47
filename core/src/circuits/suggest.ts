import { cookingDemand } from './cooking';
import { smallestNmFor, nextStandardRating } from '../electrical/conductors';
import type { Circuit, House } from '../house/schema';
import type { LoadKind } from '../house/schema-equipment';
import { ampsOf } from '../loads/library';
import type { Outlet } from './outlets';
import { itemAt } from '../units/result';

type NewCircuit = Omit<Circuit, 'id' | 'panel' | 'space'>;

/** Ratings that are on every shelf; 25, 35 and 45 A are standard and seldom stocked: *common practice*. */
const USUAL_RATINGS_A = [15, 20, 30, 40, 50, 60] as const;

/**
 * What an appliance is usually given where more than the code's least is sensible, *common practice*: the 50 A receptacle of a range
 * on 50 A (40 A is the least from 8¾ kW on, 210.19), a microwave on 20 A, since most instructions ask for it.
 */
const USUALLY_A: Readonly<Partial<Record<LoadKind, number>>> = { range: 50, microwave: 20 };

const purposeOf = (outlets: readonly Outlet[]): Circuit['purpose'] => {
  const [first] = outlets;
  const kinds = new Set(outlets.map((outlet) => outlet.room.kind));
  const onlyReceptacles = outlets.every((outlet) => outlet.device.kind === 'receptacle');
  if (outlets.length === 1 && first?.load && (first.load.individual || first.load.volts === 240)) return 'individual';
  if (!onlyReceptacles) return 'general';
  const all = (...wanted: string[]) => [...kinds].every((kind) => wanted.includes(kind));
  if (kinds.has('kitchen') && all('kitchen', 'dining', 'breakfast', 'pantry')) return 'small-appliance';
  if (all('laundry')) return 'laundry';
  if (all('bathroom', 'half-bath')) return 'bathroom';
  if (all('garage')) return 'garage';
  return 'general';
};

/**
 * A circuit that fits a set of outlets: poles by voltage, 20 A where 210.11(C) asks for it, otherwise the next standard rating
 * for the load with continuous parts at 125 %, and the smallest NM-B copper for it.
 */
export function suggestCircuit(house: House, outlets: readonly Outlet[]): NewCircuit {
  const purpose = purposeOf(outlets);
  const loads = outlets.flatMap((outlet) => (outlet.load ? [outlet.load] : []));
  const poles = outlets.some((outlet) => ('volts' in outlet.device ? outlet.device.volts : 120) === 240) ? 2 : 1;
  // A compressor's plate decides; until it is read, a quarter more than its running current.
  const share = (load: (typeof loads)[number]) =>
    load.continuous || /^(air-conditioner|heat-pump|mini-split)$/.test(load.kind) || load.hp !== undefined ? 1.25 : 1;
  const cookingVa = cookingDemand(outlets);
  const loadA =
    cookingVa !== undefined ? cookingVa / 240 : loads.reduce((sum, load) => sum + ampsOf(load) * share(load), 0);
  const leastA = ['small-appliance', 'laundry', 'bathroom', 'garage'].includes(purpose)
    ? 20
    : Math.max(15, ...loads.map((load) => USUALLY_A[load.kind] ?? 0));
  const wantedA = Math.max(leastA, loadA);
  const ratingA = USUAL_RATINGS_A.find((rating) => rating >= wantedA - 1e-9) ?? nextStandardRating(wantedA) ?? 200;
  const rooms = [...new Set(outlets.map((outlet) => outlet.room.name))];
  const name =
    (purpose === 'individual' ? `${itemAt(loads, 0).name}` : rooms.slice(0, 2).join(', ')) ||
    `Circuit ${Object.keys(house.circuits).length + 1}`;
  return {
    name: name.slice(0, 80),
    purpose,
    poles,
    ratingA,
    awg: smallestNmFor(ratingA, loadA, purpose !== 'individual') ?? '1',
    breaker: 'auto',
    gfciFirst: null,
  };
}
