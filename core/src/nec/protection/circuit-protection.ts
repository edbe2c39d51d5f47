import { mustGet } from '../../units/result';
import type { BreakerKind, Circuit, Edition, House } from '../../house/schema';
import { Memory } from '../../cache/memory';
import { indexOutlets, outletsOn, type Outlet } from '../../circuits/outlets';
import { boxesBeforeGfci } from '../../feed/feed-tree';
import { decideAfci } from './afci';
import type { ProtectionDecision } from './decision';
import { decideGfci } from './gfci';

interface OutletProtection {
  readonly outlet: Outlet;
  readonly gfci: ProtectionDecision;
  readonly afci: ProtectionDecision;
}

interface CircuitProtection {
  readonly outlets: readonly OutletProtection[];
  readonly needsGfci: boolean;
  readonly needsAfci: boolean;
  /** The GFCI receptacle that stands first in line, where one does. */
  readonly first: Outlet | undefined;
  /** Boxes that stand before it in a feed order that somebody drew: it does not protect them. */
  readonly before: ReadonlySet<string>;
  /** What the breaker must be, given the receptacles that protect. */
  readonly needed: BreakerKind;
  /** What it is: the choice of a person, or what is needed. */
  readonly fitted: BreakerKind;
}

const kindOf = (gfci: boolean, afci: boolean): BreakerKind =>
  gfci ? (afci ? 'dual' : 'gfci') : afci ? 'afci' : 'plain';

export const givesGfci = (kind: BreakerKind): boolean => kind === 'gfci' || kind === 'dual';
export const givesAfci = (kind: BreakerKind): boolean => kind === 'afci' || kind === 'dual';

/** Appliances that hide the receptacle behind them, so that a GFCI there is not readily accessible. */
const HIDING = new Set([
  'refrigerator',
  'freezer',
  'dishwasher',
  'washer',
  'dryer',
  'gas-dryer',
  'disposer',
  'microwave',
  'range-hood',
  'garage-door-opener',
  'tub-pump',
]);

/** Why a GFCI receptacle here would not be readily accessible (210.8), or undefined when it is. */
export function whyNotReadilyAccessible(outlet: Outlet): string | undefined {
  const { at } = outlet.box;
  if (at.kind === 'ceiling') return 'it is in the ceiling';
  if (outlet.room.kind === 'crawl-space' || outlet.room.kind === 'attic')
    return `it is in the ${outlet.room.kind.replace('-', ' ')}`;
  if (at.kind === 'wall' && at.heightIn > 79) return 'it is out of reach';
  if (outlet.load && HIDING.has(outlet.load.kind)) return `it is behind the ${outlet.load.name.toLowerCase()}`;
  return outlet.box.inCabinet && outlet.load ? 'it is in a cabinet with an appliance before it' : undefined;
}

/** Decides the protection of every outlet of a circuit and the breaker that follows from it. */
export function protectCircuit(
  house: House,
  circuit: Circuit,
  edition: Edition = house.job.edition,
): CircuitProtection {
  const outlets = outletsOn(house, circuit).map((outlet) => ({
    outlet,
    gfci: decideGfci(house, outlet, edition),
    afci: decideAfci(house, outlet, edition),
  }));
  const needing = outlets.filter((one) => one.gfci.kind === 'required');
  const first = circuit.gfciFirst === null ? undefined : indexOutlets(house).byDevice.get(circuit.gfciFirst);
  const firstProtects =
    first?.device.circuit === circuit.id &&
    circuit.poles === 1 &&
    first.device.kind === 'receptacle' &&
    first.device.gfci &&
    !whyNotReadilyAccessible(first);
  const protectsItself = (one: OutletProtection) =>
    one.outlet.device.kind === 'receptacle' && one.outlet.device.gfci && !whyNotReadilyAccessible(one.outlet);
  const before = boxesBeforeGfci(house, circuit);
  const isBehind = (one: OutletProtection) => firstProtects && !before.has(one.outlet.box.id);
  const breakerGfci = needing.some((one) => !isBehind(one) && !protectsItself(one));
  const needsAfci = outlets.some((one) => one.afci.kind === 'required');
  const needed = kindOf(breakerGfci, needsAfci);
  return {
    outlets,
    needsGfci: needing.length > 0,
    needsAfci,
    first: firstProtects ? first : undefined,
    before,
    needed,
    fitted: circuit.breaker === 'auto' ? needed : circuit.breaker,
  };
}

const memory = new Memory<House, Map<string, CircuitProtection>>();

/** The protection of a circuit by id, remembered by the identity of the house. */
export function protectionOf(house: House, circuitId: string, edition: Edition = house.job.edition): CircuitProtection {
  let known = memory.get(house);
  if (!known) memory.set(house, (known = new Map()));
  const key = `${circuitId} ${edition}`;
  let protection = known.get(key);
  if (!protection) known.set(key, (protection = protectCircuit(house, mustGet(house.circuits, circuitId), edition)));
  return protection;
}

/** Whether an outlet that needs GFCI has it: from the breaker, the first receptacle in line, or itself. */
export function isGfciGiven(protection: CircuitProtection, outlet: Outlet): boolean {
  if (givesGfci(protection.fitted) || (protection.first && !protection.before.has(outlet.box.id))) return true;
  return outlet.device.kind === 'receptacle' && outlet.device.gfci && !whyNotReadilyAccessible(outlet);
}
