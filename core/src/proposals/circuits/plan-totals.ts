import { servicePanel } from '../../circuits/panel-tree';
import { measureCircuitLoad } from '../../circuits/circuit-load';
import { indexOutlets, outletsOn } from '../../circuits/outlets';
import { checkHouse, ruleNamed, rulesOfStage, type Finding } from '../../nec/check-house';
import { protectionOf } from '../../nec/protection/circuit-protection';
import type { House } from '../../house/schema';
import { circuitPrice } from '../../panel/prices';
import { buildSchedule } from '../../panel/schedule';
import { wireHouse } from '../../makeup/make-up';
import { runAlong } from '../../makeup/wired-run';

/** What a plan takes: circuits, feet of cable, breakers and their price. */
export interface PlanTotals {
  readonly circuits: number;
  readonly unassigned: number;
  readonly cableFt: number;
  /** Breakers by kind. */
  readonly breakers: Readonly<Record<string, number>>;
  readonly cost: number;
  /** Mean and greatest share used of what the standard allows. */
  readonly meanUsed: number;
  readonly mostUsed: number;
  readonly legsApart: number;
  readonly violations: number;
  /** Boxes that hold more than they may (314.16) along the feed orders. */
  readonly tooFull: number;
}

/** The rules of the stop, which a plan is judged by. */
export const circuitRules = rulesOfStage('circuits');

const boxFillRule = [ruleNamed('box-fill')];
const isViolation = (one: Finding): boolean => one.kind === 'fail' && one.severity === 'violation';

/** A plan in numbers, as it stands. */
export function totalsOf(house: House): PlanTotals {
  const circuits = Object.values(house.circuits).filter((circuit) => outletsOn(house, circuit).length > 0);
  const breakers: Record<string, number> = {};
  // By the first circuit of each unit: two that share a neutral share their cable.
  const feetOf = new Map(wireHouse(house).units.map((one) => [one.unit.id, runAlong(one)?.cableFt ?? 0]));
  let [cableFt, cost] = [0, 0];
  const used: number[] = [];
  for (const circuit of circuits) {
    const kind = protectionOf(house, circuit.id).fitted;
    const feet = feetOf.get(circuit.id) ?? 0;
    breakers[kind] = (breakers[kind] ?? 0) + 1;
    cableFt += feet;
    cost += circuitPrice(circuit, kind, feet);
    used.push(measureCircuitLoad(house, circuit).used);
  }
  const panel = servicePanel(house);
  const { findings } = checkHouse(house, { rules: circuitRules });
  return {
    circuits: circuits.length,
    unassigned: indexOutlets(house).unassigned.length,
    cableFt,
    breakers,
    cost,
    meanUsed: used.reduce((sum, one) => sum + one, 0) / Math.max(1, used.length),
    mostUsed: Math.max(0, ...used),
    legsApart: panel ? buildSchedule(house, panel, () => 'plain').imbalance : 0,
    violations: findings.filter(isViolation).length,
    tooFull: checkHouse(house, { rules: boxFillRule }).findings.filter(isViolation).length,
  };
}
