import {
  cableAmpacity,
  largestBreakerFor,
  nextStandardRating,
  smallestNmFor,
  type Lying,
} from '../electrical/conductors';
import { MOTOR_BREAKER_SHARE, motorAmps, WELDER_BREAKER_SHARE, welderShare } from '../electrical/tables';
import type { Awg, Circuit, Edition, House } from '../house/schema';
import type { Load } from '../house/schema-equipment';
import { ampsOf } from '../loads/library';
import { measureCircuitLoad, servesSeveralReceptacles } from './circuit-load';
import { cookingDemand } from './cooking';
import { measureDrop } from './circuit-drop';
import { circuitVolts, outletsOn, type Outlet } from './outlets';

/** One line of the working, as an instructor would write it on the board. */
export interface SumStep {
  readonly what: string;
  readonly sum: string;
  readonly section: string;
  /** A step whose outcome the circuit as drawn does not meet. */
  readonly wrong?: boolean;
}

/** Motors and cooling equipment follow their own articles, not 240.4(D): 240.4(G). */
export type OwnRules = 'motor' | 'cooling' | 'welder';

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
const RANGE_LEAST: Readonly<Record<Edition, string>> = {
  '2014': '210.19(A)(3)',
  '2017': '210.19(A)(3)',
  '2020': '210.19(A)(3)',
  '2023': '210.19(C)',
};
/** A household range of 8 3/4 kW or more has a branch circuit of at least 40 A. *From memory*, high. */
const RANGE_VA = 8750;
const RANGE_LEAST_A = 40;

/** Why a load counts at 125 %. Section numbers of 424 and 625 *from memory*, medium. */
export function continuousSection(kind: Load['kind'], edition: Edition): string {
  const late = edition === '2020' || edition === '2023';
  if (/water-heater/.test(kind)) return '422.13';
  if (/heat$|heater$/.test(kind)) return late ? '424.4(B)' : '424.3(B)';
  if (/^ev-/.test(kind)) return edition === '2014' ? '625.40' : '625.41';
  return '210.20(A)';
}

const cooling = (load: Load) => /^(air-conditioner|heat-pump|mini-split)$/.test(load.kind);
const a = (amps: number) => `${Math.round(amps * 100) / 100} A`;

/** Full-load current of a motor by Table 430.248; its own amperes where no horsepower is given. */
const flcOf = (load: Load): number =>
  (load.hp === undefined ? undefined : motorAmps(load.hp, load.volts)) ?? ampsOf(load);

interface Demand {
  readonly conductorA: number;
  readonly breakerA: number;
  readonly largestA: number | undefined;
  readonly ownRules: OwnRules | undefined;
  readonly plateUnread: boolean;
  readonly steps: SumStep[];
}

function demandOf(house: House, circuit: Circuit): Demand {
  const { edition } = house.job;
  const volts = circuitVolts(circuit);
  const outlets = outletsOn(house, circuit).filter((one) => one.device.kind !== 'switch');
  const loads = outlets.flatMap((one) => one.load ?? []);
  const known = measureCircuitLoad(house, circuit, 'area');
  const steps: SumStep[] = [];
  const [only] = loads;

  if (only && outlets.length === 1 && cooling(only)) {
    const { mcaA, mocpA } = only;
    if (mcaA === undefined || mocpA === undefined) {
      steps.push({ what: only.name, sum: 'enter MCA and MOCP off its plate', section: '440.4(B)', wrong: true });
      return {
        conductorA: ampsOf(only),
        breakerA: 0,
        largestA: undefined,
        ownRules: 'cooling',
        plateUnread: true,
        steps,
      };
    }
    steps.push({ what: 'conductor, by its plate', sum: `MCA ${a(mcaA)}`, section: '440.4(B)' });
    steps.push({ what: 'largest breaker, by its plate', sum: `MOCP ${a(mocpA)}`, section: '440.22, 240.4(G)' });
    return { conductorA: mcaA, breakerA: 0, largestA: mocpA, ownRules: 'cooling', plateUnread: false, steps };
  }
  if (only && outlets.length === 1 && only.motor && only.hp !== undefined) {
    const flc = flcOf(only);
    const largest = nextStandardRating(flc * MOTOR_BREAKER_SHARE) ?? Infinity;
    steps.push({ what: `${only.name}, ${only.hp} hp at ${volts} V`, sum: a(flc), section: 'Table 430.248' });
    steps.push({ what: 'conductor', sum: `${a(flc)} × 1.25 = ${a(flc * 1.25)}`, section: '430.22' });
    steps.push({
      what: 'largest breaker',
      sum: `${a(flc)} × 2.5 = ${a(flc * MOTOR_BREAKER_SHARE)}, up to ${a(largest)}`,
      section: '430.52, 240.4(G)',
    });
    return { conductorA: flc * 1.25, breakerA: 0, largestA: largest, ownRules: 'motor', plateUnread: false, steps };
  }

  if (only && outlets.length === 1 && /welder$/.test(only.kind) && only.dutyPercent !== undefined) {
    const amps = ampsOf(only);
    const share = welderShare(only.dutyPercent);
    const largest = nextStandardRating(amps * WELDER_BREAKER_SHARE) ?? Infinity;
    steps.push({
      what: `${only.name}, duty ${only.dutyPercent} %`,
      sum: `${a(amps)} × ${share} = ${a(amps * share)}`,
      section: '630.11(A)',
    });
    steps.push({ what: 'largest breaker', sum: `${a(amps)} × 2, up to ${a(largest)}`, section: '630.12(A)' });
    return {
      conductorA: amps * share,
      breakerA: 0,
      largestA: largest,
      ownRules: 'welder',
      plateUnread: false,
      steps,
    };
  }

  const cookingVa = cookingDemand(outlets);
  if (cookingVa !== undefined) {
    const plateVa = loads.reduce((sum, load) => sum + load.va, 0);
    const amps = cookingVa / volts;
    steps.push({
      what: loads.map((load) => load.name).join(' and '),
      sum: `${Math.round(plateVa)} VA on the plate`,
      section: loads.length > 1 ? 'as one range: Table 220.55 Note 4' : loads[0]!.source,
    });
    if (plateVa !== cookingVa)
      steps.push({
        what: 'demand of a range',
        sum: `${Math.round(cookingVa)} VA ÷ ${volts} V = ${a(amps)}`,
        section: 'Table 220.55 column C, Note 1',
      });
    else steps.push({ what: 'by its plate', sum: a(amps), section: 'Table 220.55 Note 4' });
    const leastA = plateVa >= RANGE_VA ? RANGE_LEAST_A : 0;
    if (leastA > 0) steps.push({ what: '8¾ kW or more', sum: 'not under 40 A', section: RANGE_LEAST[edition] });
    if (loads.length > 1)
      steps.push({
        what: 'taps',
        sum: 'not under 20 A, each for its load, no longer than servicing needs',
        section: RANGE_LEAST[edition],
      });
    return {
      conductorA: amps,
      breakerA: Math.max(amps, leastA),
      largestA: undefined,
      ownRules: undefined,
      plateUnread: false,
      steps,
    };
  }

  const motors = loads.filter((load) => load.motor && load.hp !== undefined);
  const largest = motors.reduce((most, load) => Math.max(most, flcOf(load)), 0);
  const plain = known.va / volts;
  for (const line of known.lines.filter((one) => one.va > 0))
    steps.push({
      what: line.count > 1 ? `${line.count} × ${line.what}` : line.what,
      sum: `${Math.round(line.va)} VA ÷ ${volts} V = ${a(line.va / volts)}`,
      section: line.source,
    });
  for (const load of loads.filter((one) => one.continuous))
    steps.push({
      what: `${load.name} at 125 %`,
      sum: `${a(ampsOf(load))} × 1.25 = ${a(ampsOf(load) * 1.25)}`,
      section: continuousSection(load.kind, edition),
    });
  if (motors.length > 0)
    steps.push({ what: 'largest motor at 125 %', sum: `+ ${a(largest * 0.25)}`, section: '430.24' });
  const sum = known.sizedAmps + largest * 0.25;
  steps.push({
    what: 'known load',
    sum: Math.abs(sum - plain) > 0.005 ? `${a(plain)}, counted as ${a(sum)}` : a(plain),
    section: '210.19(A), 210.20(A)',
  });
  return {
    conductorA: sum,
    breakerA: sum,
    largestA: undefined,
    ownRules: undefined,
    plateUnread: false,
    steps,
  };
}

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

/** The whole working of a circuit, the voltage drop of its run included. */
export function showSum(house: House, circuit: Circuit): readonly SumStep[] {
  const { steps } = sizeCircuit(house, circuit);
  const drop = measureDrop(house, circuit);
  if (!drop) return steps;
  const volts = circuitVolts(circuit);
  const cure = drop.cure ? `; No. ${drop.cure} keeps it under 3 %` : '';
  return [
    ...steps,
    {
      what: `drop to ${drop.at.tag}, ${drop.feet.toFixed(0)} ft ${drop.measured ? 'measured' : 'as usually run'}`,
      sum: `${drop.volts.toFixed(1)} V of ${volts} V = ${(drop.share * 100).toFixed(1)} %${cure}`,
      section: '210.19, informational note; Chapter 9 Table 8',
    },
  ];
}
