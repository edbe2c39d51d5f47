import type { Circuit, RoomKind } from '../house/schema';
import type { Outlet } from '../circuits/outlets';
import { circuitsOf, outletsOf, outletsProper } from './circuit-facts';
import type { Facts } from './rule';

export interface ServedArea {
  readonly receptacles: readonly Outlet[];
  /** Circuits of the right rating that feed some of them, with what else they feed. */
  readonly circuits: readonly { readonly circuit: Circuit; readonly others: readonly Outlet[] }[];
  /** Receptacles on circuits of the wrong rating. */
  readonly wrong: readonly { readonly circuit: Circuit; readonly outlets: readonly Outlet[] }[];
  readonly unassigned: number;
}

/** How the 120 V receptacles of some kinds of room are fed, for the circuits that 210.11(C) reserves to them. */
export function serveArea(
  facts: Facts,
  kinds: ReadonlySet<RoomKind>,
  ratingA: number | 'any',
  counts: (outlet: Outlet) => boolean = () => true,
): ServedArea {
  const isOurs = (outlet: Outlet) =>
    outlet.device.kind === 'receptacle' && outlet.device.volts === 120 && kinds.has(outlet.room.kind) && counts(outlet);
  const receptacles = facts.outlets.all.filter(isOurs);
  const feeding = circuitsOf(facts)
    .map((circuit) => ({ circuit, outlets: outletsProper(outletsOf(facts, circuit)) }))
    .filter(({ outlets }) => outlets.some(isOurs));
  return {
    receptacles,
    unassigned: receptacles.filter((outlet) => outlet.device.circuit === null).length,
    circuits: feeding
      .filter(({ circuit }) => ratingA === 'any' || circuit.ratingA === ratingA)
      .map(({ circuit, outlets }) => ({ circuit, others: outlets.filter((outlet) => !isOurs(outlet)) })),
    wrong: feeding
      .filter(({ circuit }) => ratingA !== 'any' && circuit.ratingA !== ratingA)
      .map(({ circuit, outlets }) => ({ circuit, outlets: outlets.filter(isOurs) })),
  };
}
