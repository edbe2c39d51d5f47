import { mustGet } from '../../units/result';
import type { BreakerKind, Circuit, Edition, House } from '../../house/schema';
import { Memory } from '../../cache/memory';
import { outletsOn, type Outlet } from '../../circuits/outlets';
import { storedCables } from '../../feed/feed-tree';
import { gfciSides } from '../../feed/gfci-sides';
import { wiringUnits } from '../../feed/unit';
import { wiringOf } from '../../makeup/make-up';
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
  /** GFCI receptacles whose LOAD terminals feed on, the first in line first. */
  readonly gfcis: readonly Outlet[];
  /** Those of them that an outlet hangs on, the nearest first; opened, any of them takes it along. */
  readonly hangsOn: (outlet: Outlet) => readonly Outlet[];
  /** What the breaker must be, given the receptacles that protect. */
  readonly needed: BreakerKind;
  /** What it is: the choice of a person, or what is needed. */
  readonly fitted: BreakerKind;
}

const kindOf = (gfci: boolean, afci: boolean): BreakerKind =>
  gfci ? (afci ? 'dual' : 'gfci') : afci ? 'afci' : 'plain';

/** Whether a kind of breaker protects people from ground faults. */
export const givesGfci = (kind: BreakerKind): boolean => kind === 'gfci' || kind === 'dual';
/** Whether a kind of breaker protects from arcs. */
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
  const line = gfciLine(house, circuit);
  const breakerGfci = needing.some(({ outlet }) => !guardAmong(line, outlet));
  const needsAfci = outlets.some((one) => one.afci.kind === 'required');
  const needed = kindOf(breakerGfci, needsAfci);
  return {
    outlets,
    ...line,
    needsGfci: needing.length > 0,
    needsAfci,
    needed,
    fitted: circuit.breaker === 'auto' ? needed : circuit.breaker,
  };
}

type GfciLine = Pick<CircuitProtection, 'gfcis' | 'hangsOn'>;
const NONE: readonly Outlet[] = [];
const NO_LINE: GfciLine = { gfcis: NONE, hangsOn: () => NONE };

/**
 * What hangs on which GFCI receptacle: by the feed order as it stands, by the same sides that the make-up wires. Where the tool finds
 * the order and there is one only, all of it, since the order begins there. What nobody feeds yet hangs on none.
 */
function gfciLine(house: House, circuit: Circuit): GfciLine {
  const feeds = ({ device }: Outlet) => device.kind === 'receptacle' && device.gfci && device.feedsThrough;
  if (circuit.poles !== 1 || (circuit.gfciFirst === null && !outletsOn(house, circuit).some(feeds))) return NO_LINE;
  const unit = wiringUnits(house).find((one) => one.circuits.some(({ id }) => id === circuit.id));
  if (!unit || unit.gfcis.length === 0) return NO_LINE;
  const { gfcis } = unit;
  if (unit.gfci && gfcis.length === 1 && storedCables(house, unit).length === 0) return { gfcis, hangsOn: () => gfcis };
  const sides = gfciSides(unit, wiringOf(house, unit).tree);
  const together = new Map<string, readonly Outlet[]>();
  for (const { switches, controls } of unit.groups)
    for (const one of [...switches, ...controls]) together.set(one.device.id, [...switches, ...controls]);
  return {
    gfcis,
    hangsOn: (outlet) => {
      const list: Outlet[] = [];
      let side = sides.of(together.get(outlet.device.id) ?? [outlet]);
      for (; side; side = sides.before(side)) list.push(side);
      return list;
    },
  };
}

/** Whether what feeds a heated floor protects it, whatever the breaker is. Of other equipment nobody says so: chargers trip at more. */
const hasOwnGfci = ({ load }: Outlet): boolean => load?.kind === 'floor-heat' && load.builtInGfci === true;

/** The GFCI receptacle that an outlet is protected by: itself, or the nearest within reach that it hangs on. */
function guardAmong({ hangsOn }: GfciLine, outlet: Outlet): Outlet | undefined {
  if (outlet.device.kind === 'receptacle' && outlet.device.gfci && !whyNotReadilyAccessible(outlet)) return outlet;
  if (hasOwnGfci(outlet)) return outlet;
  return hangsOn(outlet).find((one) => !whyNotReadilyAccessible(one));
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

/** The GFCI receptacle that protects an outlet, itself or one that it hangs on; undefined where only a breaker can. */
export const guardOf = (protection: CircuitProtection, outlet: Outlet): Outlet | undefined =>
  guardAmong(protection, outlet);

/** Whether an outlet that needs GFCI has it: from the breaker, a receptacle that it hangs on, or itself. */
export const isGfciGiven = (protection: CircuitProtection, outlet: Outlet): boolean =>
  givesGfci(protection.fitted) || guardOf(protection, outlet) !== undefined;
