import {
  cableAmpacity,
  largestBreakerFor,
  smallestNmFor,
  type CableAmpacity,
  type Lying,
} from '../electrical/conductors';
import { DROP_BRANCH } from '../electrical/voltage-drop';
import type { Awg, Circuit, Edition, House } from '../house/schema';
import { memo } from '../cache/memo';
import type { CableRun } from './cable-run';
import { measureDrop } from './circuit-drop';
import { servesSeveralReceptacles } from './circuit-load';
import { amperes as a, demandOf, type Demand, type OwnRules, type SumStep } from './demand';
import { circuitVolts, outletsOn } from './outlets';

interface Sizing {
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
  /** The working, written out when somebody asks. */
  readonly steps: () => readonly SumStep[];
}

/** Hottest attic air where nobody has said, °F: *common practice* for a vented attic in summer. */
export const USUAL_ATTIC_F = 130;
/** The hottest air of an attic, °F: what the firm or the house says, or the usual. */
export const atticFOf = ({ standards }: Pick<House, 'standards'>): number => standards.atticF ?? USUAL_ATTIC_F;
/** The air that a circuit or a feeder lies in, °C: an attic's, or the 30 of the tables. */
export const airAround = (house: Pick<House, 'standards'>, { inAttic }: { readonly inAttic?: boolean | undefined }) =>
  inAttic ? toC(atticFOf(house)) : 30;
const toC = (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9;

/** How a circuit's cable lies. */
const lyingOf = (house: House, circuit: Circuit): Lying => ({
  metal: circuit.metal ?? 'copper',
  cables: circuit.bundled ?? 1,
  ambientC: airAround(house, circuit),
});

const AMPACITY_TABLE: Readonly<Record<Edition, string>> = {
  '2014': 'Table 310.15(B)(16)',
  '2017': 'Table 310.15(B)(16)',
  '2020': 'Table 310.16',
  '2023': 'Table 310.16',
};
/** How a circuit's cable lies and what it carries so, with the largest breaker on it. */
interface CableOf {
  readonly lying: Lying;
  readonly several: boolean;
  readonly ampacity: CableAmpacity;
  readonly largestA: number;
}

function cableOf(house: House, circuit: Circuit, demand: Demand): CableOf {
  const lying = lyingOf(house, circuit);
  const several = servesSeveralReceptacles(outletsOn(house, circuit));
  const ampacity = cableAmpacity(circuit.awg, lying);
  const largestA = demand.largestA ?? largestBreakerFor(circuit.awg, several, lying);
  return { lying, several, ampacity, largestA };
}

function cableSteps(house: House, circuit: Circuit, demand: Demand, cable: CableOf): SumStep[] {
  const { edition } = house.job;
  const { lying, several, largestA } = cable;
  const { ambient, bundle, startA, capA, ampacityA } = cable.ampacity;
  const steps: SumStep[] = [];
  const corrected = ambient !== 1 || bundle !== 1;
  const name = `No. ${circuit.awg} ${lying.metal === 'aluminum' ? 'aluminum' : 'copper NM-B'}`;
  if (ambient !== 1)
    steps.push({
      what: `attic at ${Math.round(atticFOf(house))} °F`,
      sum: `factor ${ambient}`,
      section: edition === '2014' || edition === '2017' ? 'Table 310.15(B)(2)(a)' : 'Table 310.15(B)(1)',
    });
  if (bundle !== 1)
    steps.push({
      what: `${lying.cables} cables through one sealed opening`,
      sum: `${(lying.cables ?? 1) * 2} conductors: factor ${bundle}`,
      section: edition === '2014' || edition === '2017' ? '334.80, 310.15(B)(3)(a)' : '334.80, 310.15(C)(1)',
    });
  steps.push({
    what: name,
    sum: corrected
      ? `${a(startA)} at 90 °C${ambient === 1 ? '' : ` × ${ambient}`}${bundle === 1 ? '' : ` × ${bundle}`} = ${a(startA * ambient * bundle)}, not over ${a(capA)} at 60 °C: ${a(ampacityA)}`
      : `carries ${a(capA)} at 60 °C`,
    section: `334.80, ${AMPACITY_TABLE[edition]}`,
    wrong: ampacityA < demand.conductorA - 1e-9,
  });
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
  return steps;
}

/** What a circuit's breaker and conductor have to be, with the working; remembered by its outlets. */
export const sizeCircuit = memo(findSizing, (house, circuit) => [
  outletsOn(house, circuit),
  circuit,
  house.standards,
  house.job.edition,
]);

function findSizing(house: House, circuit: Circuit): Sizing {
  const demand = demandOf(house, circuit);
  const cable = cableOf(house, circuit, demand);
  const { lying, several } = cable;
  // Under articles 430 and 440 the conductor has only to carry; its breaker is theirs.
  const fitting =
    demand.ownRules && !demand.plateUnread
      ? smallestNmFor(0, demand.conductorA, false, lying)
      : smallestNmFor(circuit.ratingA, demand.conductorA, several, lying);
  return {
    ownRules: demand.ownRules,
    plateUnread: demand.plateUnread,
    conductorA: demand.conductorA,
    ampacityA: cable.ampacity.ampacityA,
    leastBreakerA: demand.breakerA,
    largestBreakerA: cable.largestA,
    fitting,
    steps: () => [...demand.steps(), ...cableSteps(house, circuit, demand, cable)],
  };
}

/** The whole working of a circuit, the voltage drop of its run included where there is one. */
export function showSum(house: House, circuit: Circuit, run: CableRun | undefined): readonly SumStep[] {
  const steps = sizeCircuit(house, circuit).steps();
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
