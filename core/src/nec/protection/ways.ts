import type { BreakerKind, House } from '../../house/schema';
import { breakerPrice } from '../../panel/prices';
import type { Outlet } from '../../circuits/outlets';
import { protectionOf, whyNotReadilyAccessible } from './circuit-protection';

/** One way to give a circuit the protection that its outlets ask for. */
export interface ProtectionWay {
  readonly breaker: BreakerKind;
  /** The receptacle that stands first in line with GFCI; undefined where the breaker gives it. */
  readonly first: Outlet | undefined;
  /** Material at typical prices, dollars. */
  readonly cost: number;
  readonly pros: string;
  readonly isCheapest: boolean;
  readonly isConvenient: boolean;
}

/** A GFCI receptacle over a plain one, dollars: *common practice*, *from memory*, low. */
const GFCI_RECEPTACLE = 18;

/** Loads that trouble a GFCI, or are troubled by it: *common practice*. */
const NUISANCE: Readonly<Record<string, string>> = {
  refrigerator: 'thaws unseen when it opens',
  freezer: 'thaws unseen when it opens',
  'sump-pump': 'floods unseen when it opens',
  'garage-door-opener': 'out of reach of its receptacle, so people carry a ladder to it',
  treadmill: 'its drive leaks to ground and may open it',
};

/** The ways to protect a circuit, the cheapest and the most convenient marked. Empty where a plain breaker will do. */
export function protectionWays(house: House, circuitId: string): ProtectionWay[] {
  const circuit = house.circuits[circuitId]!;
  const { needsGfci, needsAfci, outlets } = protectionOf(house, circuitId);
  if (!needsGfci && !needsAfci) return [];
  const atBreaker = needsGfci ? (needsAfci ? 'dual' : 'gfci') : 'afci';
  const ways: Omit<ProtectionWay, 'isCheapest' | 'isConvenient'>[] = [
    {
      breaker: atBreaker,
      first: undefined,
      cost: breakerPrice(atBreaker, circuit.poles),
      pros: 'protects the home run as well; reset at the panel, for whatever comes first in line',
    },
  ];
  if (needsGfci && circuit.poles === 1) {
    const candidates = outlets
      .map((one) => one.outlet)
      .filter((one) => one.device.kind === 'receptacle' && one.device.volts === 120 && !whyNotReadilyAccessible(one));
    const [first] = candidates;
    if (first) {
      const breaker: BreakerKind = needsAfci ? 'afci' : 'plain';
      ways.push({
        breaker,
        first,
        cost: breakerPrice(breaker, 1) + GFCI_RECEPTACLE,
        pros: `reset in the room, at ${first.box.tag}; it must stand first in line, and stay in reach`,
      });
    }
  }
  const least = Math.min(...ways.map((one) => one.cost));
  return ways.map((one) => ({
    ...one,
    isCheapest: one.cost === least,
    isConvenient: ways.length === 1 || (one.first !== undefined) === outlets.length > 1,
  }));
}

/** What on a circuit does not go well with a GFCI, and why. */
export function nuisancesOn(house: House, circuitId: string): { readonly outlet: Outlet; readonly why: string }[] {
  const protection = protectionOf(house, circuitId);
  if (!protection.needsGfci) return [];
  return protection.outlets.flatMap(({ outlet }) => {
    const why = outlet.load && NUISANCE[outlet.load.kind];
    return why ? [{ outlet, why }] : [];
  });
}
