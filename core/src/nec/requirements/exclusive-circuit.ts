import type { Circuit } from '../../house/schema';
import type { Outlet } from '../../circuits/outlets';
import { circuitsOf, outletsOf, outletsProper } from './circuit-facts';
import type { Facts } from '../rule';

interface ServedArea {
  /** The 120 V receptacles for which the circuit is reserved. */
  readonly receptacles: readonly Outlet[];
  /** Circuits of the right rating that feed some of them, with what else they feed. */
  readonly circuits: readonly { readonly circuit: Circuit; readonly others: readonly Outlet[] }[];
  /** Receptacles on circuits of the wrong rating. */
  readonly wrong: readonly { readonly circuit: Circuit; readonly outlets: readonly Outlet[] }[];
  readonly unassigned: number;
}

const is120 = ({ device }: Outlet) => device.kind === 'receptacle' && device.volts === 120;

/**
 * How the 120 V receptacles of an area are fed, for the circuits that 210.11(C) reserves to them: those that `must` be on such a
 * circuit, beside those that `may` be on it without counting as something else.
 */
export function serveArea(
  facts: Facts,
  ratingA: number | 'any',
  must: (outlet: Outlet) => boolean,
  may: (outlet: Outlet) => boolean = must,
): ServedArea {
  const receptacles = facts.outlets.all.filter((outlet) => is120(outlet) && must(outlet));
  const ours = new Set(receptacles);
  const isOurs = (outlet: Outlet) => ours.has(outlet);
  const belongs = (outlet: Outlet) => isOurs(outlet) || (is120(outlet) && may(outlet));
  const ids = new Set(receptacles.map((outlet) => outlet.device.circuit));
  const feeding = circuitsOf(facts)
    .filter(({ id }) => ids.has(id))
    .map((circuit) => ({ circuit, outlets: outletsProper(outletsOf(facts, circuit)) }));
  return {
    receptacles,
    unassigned: receptacles.filter((outlet) => outlet.device.circuit === null).length,
    circuits: feeding
      .filter(({ circuit }) => ratingA === 'any' || circuit.ratingA === ratingA)
      .map(({ circuit, outlets }) => ({ circuit, others: outlets.filter((outlet) => !belongs(outlet)) })),
    wrong: feeding
      .filter(({ circuit }) => ratingA !== 'any' && circuit.ratingA !== ratingA)
      .map(({ circuit, outlets }) => ({ circuit, outlets: outlets.filter(isOurs) })),
  };
}
