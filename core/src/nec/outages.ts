import { indexOutlets, outletsOn, type Outlet } from '../circuits/outlets';
import type { Circuit, House, Room } from '../house/schema';
import { lightOf } from '../control/room-light';
import { isGfciGiven, protectionOf } from './protection/circuit-protection';

/** What goes when one protective device opens. */
export interface Death {
  readonly circuit: Circuit;
  /** The breaker, or the GFCI receptacle that opens. */
  readonly by: { readonly kind: 'breaker' } | { readonly kind: 'gfci'; readonly outlet: Outlet };
  readonly outlets: readonly Outlet[];
  /** Rooms that have no light left, and those of them that are stairs or halls. */
  readonly dark: readonly Room[];
  readonly waysDark: readonly Room[];
  /** Freezers and refrigerators that thaw. */
  readonly thaws: readonly Outlet[];
  /** Pumps, furnaces and alarms that stop. */
  readonly stops: readonly Outlet[];
}

const COLD = /^(refrigerator|freezer|wine-cooler)$/;
const MUST_RUN = /^(sump-pump|grinder-pump|furnace|boiler|radon-fan|well-pump|heat-pump)$/;
const WAYS = new Set(['stair', 'hallway', 'foyer']);

function deathOf(house: House, circuit: Circuit, by: Death['by'], outlets: readonly Outlet[]): Death {
  const dead = new Set(outlets.map((one) => one.device.id));
  const index = indexOutlets(house);
  const rooms = [...new Set(outlets.map((one) => one.room))];
  const dark = rooms.filter((room) => {
    const light = lightOf(house, index, room);
    const all = [...light.luminaires, ...light.switchedReceptacles];
    return all.length > 0 && all.every((one) => dead.has(one.device.id));
  });
  return {
    circuit,
    by,
    outlets,
    dark,
    waysDark: dark.filter((room) => WAYS.has(room.kind)),
    thaws: outlets.filter((one) => COLD.test(one.load?.kind ?? '')),
    stops: outlets.filter((one) => one.device.kind === 'alarm' || MUST_RUN.test(one.load?.kind ?? '')),
  };
}

/** Everything that may open on a circuit, its breaker first, and what dies with it. */
export function deathsOn(house: House, circuit: Circuit): Death[] {
  const outlets = outletsOn(house, circuit).filter((one) => one.device.kind !== 'switch');
  if (outlets.length === 0) return [];
  const { first } = protectionOf(house, circuit.id);
  const receptacles = outlets.filter((one) => one.device.kind === 'receptacle' && one.device.gfci && one !== first);
  return [
    deathOf(house, circuit, { kind: 'breaker' }, outlets),
    ...(first ? [deathOf(house, circuit, { kind: 'gfci', outlet: first }, outlets)] : []),
    ...receptacles.map((outlet) => deathOf(house, circuit, { kind: 'gfci', outlet }, [outlet])),
  ];
}

export const deathsIn = (house: House): Death[] =>
  Object.values(house.circuits)
    .sort((a, b) => (a.space ?? 999) - (b.space ?? 999) || a.name.localeCompare(b.name))
    .flatMap((circuit) => deathsOn(house, circuit));

/** Whether a GFCI on which other outlets hang may cut this one off. */
export function sharesGfci(house: House, outlet: Outlet): boolean {
  if (outlet.device.circuit === null) return false;
  const protection = protectionOf(house, outlet.device.circuit);
  const isOwn = outlet.device.kind === 'receptacle' && outlet.device.gfci && !protection.first;
  if (isOwn || !isGfciGiven(protection, outlet)) return false;
  return protection.outlets.some(({ outlet: other }) => other !== outlet && other.device.kind !== 'switch');
}
