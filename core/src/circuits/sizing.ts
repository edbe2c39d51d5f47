import { cableAmpacity, largestBreakerFor, smallestNmFor, type Lying } from '../electrical/conductors';
import { DROP_BRANCH } from '../electrical/voltage-drop';
import type { Awg, Circuit, Edition, House } from '../house/schema';
import type { CableRun } from './cable-run';
import { measureDrop } from './circuit-drop';
import { servesSeveralReceptacles } from './circuit-load';
import { amperes as a, demandOf, type Demand, type OwnRules, type SumStep } from './demand';
import { circuitVolts, outletsOn, type Outlet } from './outlets';

export interface Sizing {
  readonly ownRules: OwnRules | undefined;
  /** Cooling equipment whose plate nobody has read. */
  readonly plateUnread: boolean;
  /** What the conductor must carry, amperes: continuous loads at 125 %, the largest motor at 125 %, or the plate's MCA. */
  readonly conductorA: number;
  /** What it carries as it lies, amperes. */
  readonly ampacityA: number;
  /** What the breaker must hold, and the largest it may be, amperes. */
  readonly leastBreakerA: number;
  readonly largestBreakerA: number;
  /** The smallest cable that will do for this breaker and load; undefined when none of the table will. */
  readonly fitting: Awg | undefined;
  readonly steps: readonly SumStep[];
}

/** Hottest attic air where nobody has said, °F: *common practice* for a vented attic in summer. */
export const USUAL_ATTIC_F = 130;
const toC = (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9;

/** How a circuit's cable lies. */
export const lyingOf = (house: House, circuit: Circuit): Lying => ({
  metal: circuit.metal ?? 'copper',
  cables: circuit.bundled ?? 1,
  ambientC: circuit.inAttic ? toC(house.standards.atticF ?? USUAL_ATTIC_F) : 30,
});

const AMPACITY_TABLE: Readonly<Record<Edition, string>> = {
  '2014': 'Table 310.15(B)(16)',
  '2017': 'Table 310.15(B)(16)',
  '2020': 'Table 310.16',
  '2023': 'Table 310.16',
};
function cableSteps(
  house: House,
  circuit: Circuit,
  demand: Demand,
): { steps: SumStep[]; largestA: number; ampacityA: number } {
  const { edition } = house.job;
  const lying = lyingOf(house, circuit);
  const several = servesSeveralReceptacles(outletsOn(house, circuit));
  const cable = cableAmpacity(circuit.awg, lying);
  const steps: SumStep[] = [];
  const corrected = cable.ambient !== 1 || cable.bundle !== 1;
  const name = `No. ${circuit.awg} ${lying.metal === 'aluminium' ? 'aluminium' : 'copper NM-B'}`;
  if (cable.ambient !== 1)
    steps.push({
      what: `attic at ${Math.round(house.standards.atticF ?? USUAL_ATTIC_F)} °F`,
      sum: `factor ${cable.ambient}`,
      section: edition === '2014' || edition === '2017' ? 'Table 310.15(B)(2)(a)' : 'Table 310.15(B)(1)',
    });
  if (cable.bundle !== 1)
    steps.push({
      what: `${lying.cables} cables through one sealed opening`,
      sum: `${(lying.cables ?? 1) * 2} conductors: factor ${cable.bundle}`,
      section: edition === '2014' || edition === '2017' ? '334.80, 310.15(B)(3)(a)' : '334.80, 310.15(C)(1)',
    });
  steps.push({
    what: name,
    sum: corrected
      ? `${a(cable.startA)} at 90 °C${cable.ambient === 1 ? '' : ` × ${cable.ambient}`}${cable.bundle === 1 ? '' : ` × ${cable.bundle}`} = ${a(cable.startA * cable.ambient * cable.bundle)}, not over ${a(cable.capA)} at 60 °C: ${a(cable.ampacityA)}`
      : `carries ${a(cable.capA)} at 60 °C`,
    section: `334.80, ${AMPACITY_TABLE[edition]}`,
    wrong: cable.ampacityA < demand.conductorA - 1e-9,
  });
  const largestA = demand.largestA ?? largestBreakerFor(circuit.awg, several, lying);
  if (demand.largestA === undefined)
    steps.push({
      what: 'largest breaker on it',
      sum: largestA === 0 ? 'none is small enough' : a(largestA),
      section: ['14', '12', '10'].includes(circuit.awg)
        ? '240.4(D)'
        : several
          ? '240.4(B)(1), 240.6'
          : '240.4(B), 240.6',
    });
  steps.push({
    what: 'the breaker',
    sum: `${circuit.ratingA} A${demand.breakerA > 0 ? `, must hold ${a(demand.breakerA)}` : ''}`,
    section: demand.ownRules ? '240.6' : '210.20(A), 240.6',
    wrong: circuit.ratingA > largestA || circuit.ratingA < demand.breakerA - 1e-9,
  });
  return { steps, largestA, ampacityA: cable.ampacityA };
}

interface Remembered {
  readonly circuit: Circuit;
  readonly standards: House['standards'];
  readonly edition: Edition;
  readonly sizing: Sizing;
}
const memory = new WeakMap<readonly Outlet[], Remembered>();

/** What a circuit's breaker and conductor have to be, with the working; remembered by its outlets. */
export function sizeCircuit(house: House, circuit: Circuit): Sizing {
  const outlets = outletsOn(house, circuit);
  const { standards } = house;
  const { edition } = house.job;
  const known = memory.get(outlets);
  if (known && known.circuit === circuit && known.standards === standards && known.edition === edition)
    return known.sizing;
  const demand = demandOf(house, circuit);
  const cable = cableSteps(house, circuit, demand);
  const lying = lyingOf(house, circuit);
  // Under articles 430 and 440 the conductor has only to carry; its breaker is theirs.
  const fitting =
    demand.ownRules && !demand.plateUnread
      ? smallestNmFor(0, demand.conductorA, false, lying)
      : smallestNmFor(circuit.ratingA, demand.conductorA, servesSeveralReceptacles(outlets), lying);
  const sizing = {
    ownRules: demand.ownRules,
    plateUnread: demand.plateUnread,
    conductorA: demand.conductorA,
    ampacityA: cable.ampacityA,
    leastBreakerA: demand.breakerA,
    largestBreakerA: cable.largestA,
    fitting,
    steps: [...demand.steps, ...cable.steps],
  };
  memory.set(outlets, { circuit, standards, edition, sizing });
  return sizing;
}

/** The whole working of a circuit, the voltage drop of its run included where there is one. */
export function showSum(house: House, circuit: Circuit, run: CableRun | undefined): readonly SumStep[] {
  const { steps } = sizeCircuit(house, circuit);
  if (!run) return steps;
  const drop = measureDrop(house, circuit, run);
  const volts = circuitVolts(circuit);
  const cure = drop.cure
    ? `; No. ${drop.cure} keeps it under 3 %`
    : drop.share > DROP_BRANCH
      ? '; no size that its devices take keeps it under 3 %'
      : '';
  return [
    ...steps,
    {
      what: `drop to ${drop.at.tag}, ${drop.feet.toFixed(0)} ft ${drop.measured ? 'measured' : 'along its feed order'}`,
      sum: `${drop.volts.toFixed(1)} V of ${volts} V = ${(drop.share * 100).toFixed(1)} %${cure}`,
      section: '210.19, informational note; Chapter 9 Table 8',
    },
  ];
}
