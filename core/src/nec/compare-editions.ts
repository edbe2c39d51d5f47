import { indexOutlets, type Outlet } from '../circuits/outlets';
import type { BreakerKind, Edition, House } from '../house/schema';
import { breakerPrice } from '../panel/prices';
import { checkHouse, type Finding } from './check-house';
import { decideAfci } from './protection/afci';
import { protectCircuit } from './protection/circuit-protection';
import type { ProtectionDecision } from './protection/decision';
import { decideGfci } from './protection/gfci';

interface ChangedOutlet {
  readonly outlet: Outlet;
  readonly what: 'GFCI' | 'AFCI';
  readonly before: ProtectionDecision;
  readonly after: ProtectionDecision;
}

interface EditionSide {
  readonly edition: Edition;
  /** Breakers by kind as the outlets ask for them, and what they cost at typical prices, dollars. */
  readonly breakers: Readonly<Record<BreakerKind, number>>;
  readonly cost: number;
  readonly violations: number;
}

/** One house under two editions: what changes. */
interface EditionComparison {
  readonly sides: readonly [EditionSide, EditionSide];
  readonly outlets: readonly ChangedOutlet[];
  /** What only the one, and only the other, objects to. */
  readonly gone: readonly Finding[];
  readonly fresh: readonly Finding[];
}

function sideOf(house: House, edition: Edition, findings: readonly Finding[]): EditionSide {
  const breakers: Record<BreakerKind, number> = { plain: 0, afci: 0, gfci: 0, dual: 0 };
  let cost = 0;
  for (const circuit of Object.values(house.circuits)) {
    const { needed } = protectCircuit(house, circuit, edition);
    breakers[needed]++;
    cost += breakerPrice(needed, circuit.poles);
  }
  const violations = findings.filter((one) => one.kind === 'fail' && one.severity === 'violation').length;
  return { edition, breakers, cost, violations };
}

/** Compares what two editions ask of a house as it stands. */
export function compareEditions(house: House, before: Edition, after: Edition): EditionComparison {
  const [was, is] = [checkHouse(house, { edition: before }).findings, checkHouse(house, { edition: after }).findings];
  const outlets = indexOutlets(house).all.flatMap((outlet): ChangedOutlet[] =>
    (
      [
        ['GFCI', decideGfci],
        ['AFCI', decideAfci],
      ] as const
    ).flatMap(([what, decide]) => {
      const [a, b] = [decide(house, outlet, before), decide(house, outlet, after)];
      return a.kind === b.kind ? [] : [{ outlet, what, before: a, after: b }];
    }),
  );
  const failures = (findings: readonly Finding[]) =>
    findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
  const keys = (findings: readonly Finding[]) => new Set(failures(findings).map((one) => one.key));
  const [wasKeys, isKeys] = [keys(was), keys(is)];
  return {
    sides: [sideOf(house, before, was), sideOf(house, after, is)],
    outlets,
    gone: failures(was).filter((one) => !isKeys.has(one.key)),
    fresh: failures(is).filter((one) => !wasKeys.has(one.key)),
  };
}
