import { indexOutlets, outletsOn, type Outlet } from '../circuits/outlets';
import type { Circuit, House, Room } from '../house/schema';
import { lightOf } from '../control/room-light';
import { givesGfci, protectionOf } from './protection/circuit-protection';

/** What goes when one protective device opens. */
export interface Outage {
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

function outageOf(house: House, circuit: Circuit, by: Outage['by'], outlets: readonly Outlet[]): Outage {
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
export function outagesOn(house: House, circuit: Circuit): Outage[] {
  const outlets = outletsOn(house, circuit).filter((one) => one.device.kind !== 'switch');
  if (outlets.length === 0) return [];
  const { gfcis, hangsOn } = protectionOf(house, circuit.id);
  const feeding = new Set(gfcis.map((one) => one.device.id));
  const alone = outlets.filter(({ device }) => device.kind === 'receptacle' && device.gfci && !feeding.has(device.id));
  return [
    outageOf(house, circuit, { kind: 'breaker' }, outlets),
    ...gfcis.map((outlet) => {
      const behind = outlets.filter((one) => one.device.id === outlet.device.id || hangsOn(one).includes(outlet));
      return outageOf(house, circuit, { kind: 'gfci', outlet }, behind);
    }),
    ...alone.map((outlet) => outageOf(house, circuit, { kind: 'gfci', outlet }, [outlet])),
  ];
}

/** Everything that may open in a house, circuit by circuit in the order of the panel. */
export const outagesIn = (house: House): Outage[] =>
  Object.values(house.circuits)
    .sort((a, b) => (a.space ?? 999) - (b.space ?? 999) || a.name.localeCompare(b.name))
    .flatMap((circuit) => outagesOn(house, circuit));

/** Whether a GFCI on which other outlets hang may cut this one off. */
export function sharesGfci(house: House, outlet: Outlet): boolean {
  if (outlet.device.circuit === null) return false;
  const protection = protectionOf(house, outlet.device.circuit);
  const others = protection.outlets.filter((one) => one.outlet !== outlet && one.outlet.device.kind !== 'switch');
  if (givesGfci(protection.fitted)) return others.length > 0;
  const mine = protection.hangsOn(outlet);
  return others.some((one) => protection.hangsOn(one.outlet).some((gfci) => mine.includes(gfci)));
}
