import { MOTOR_BREAKER_SHARE, motorAmps, WELDER_BREAKER_SHARE, welderShare } from '../electrical/tables';
import { nextStandardRating } from '../electrical/conductors';
import type { Circuit, Edition, House } from '../house/schema';
import type { Load } from '../house/schema-equipment';
import { ampsOf } from '../loads/library';
import { measureCircuitLoad } from './circuit-load';
import { cookingDemand } from './cooking';
import { circuitVolts, outletsOn, type Outlet } from './outlets';
import { itemAt } from '../units/result';

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

/** What a circuit asks of its conductor and its breaker, with the working. Amperes. */
export interface Demand {
  readonly conductorA: number;
  /** What the breaker must hold; 0 where an article of its own sets only the largest. */
  readonly breakerA: number;
  readonly largestA: number | undefined;
  readonly ownRules: OwnRules | undefined;
  readonly plateUnread: boolean;
  /** The working, written out when somebody asks. */
  readonly steps: () => readonly SumStep[];
}
const PLAIN = { largestA: undefined, ownRules: undefined, plateUnread: false } as const;

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

/** Amperes as they are written on the board. */
export const amperes = (amps: number): string => `${Math.round(amps * 100) / 100} A`;
const a = amperes;

const isCooling = (load: Load) => /^(air-conditioner|heat-pump|mini-split)$/.test(load.kind);

/** Full-load current of a motor by Table 430.248; its own amperes where no horsepower is given. */
const flcOf = (load: Load): number =>
  (load.hp === undefined ? undefined : motorAmps(load.hp, load.volts)) ?? ampsOf(load);

/** Cooling equipment alone on its circuit: by its plate, Article 440. */
function coolingDemand(load: Load): Demand | undefined {
  if (!isCooling(load)) return undefined;
  const { mcaA, mocpA, name } = load;
  const own = { breakerA: 0, ownRules: 'cooling' } as const;
  if (mcaA === undefined || mocpA === undefined) {
    const steps = () => [{ what: name, sum: 'enter MCA and MOCP off its plate', section: '440.4(B)', wrong: true }];
    return { ...own, conductorA: ampsOf(load), largestA: undefined, plateUnread: true, steps };
  }
  const steps = () => [
    { what: 'conductor, by its plate', sum: `MCA ${a(mcaA)}`, section: '440.4(B)' },
    { what: 'largest breaker, by its plate', sum: `MOCP ${a(mocpA)}`, section: '440.22, 240.4(G)' },
  ];
  return { ...own, conductorA: mcaA, largestA: mocpA, plateUnread: false, steps };
}

/** A motor alone on its circuit: Article 430. */
function motorDemand(load: Load, volts: number): Demand | undefined {
  if (!load.motor || load.hp === undefined) return undefined;
  const flc = flcOf(load);
  const largest = nextStandardRating(flc * MOTOR_BREAKER_SHARE) ?? Infinity;
  const steps = () => [
    { what: `${load.name}, ${load.hp} hp at ${volts} V`, sum: a(flc), section: 'Table 430.248' },
    { what: 'conductor', sum: `${a(flc)} × 1.25 = ${a(flc * 1.25)}`, section: '430.22' },
    {
      what: 'largest breaker',
      sum: `${a(flc)} × 2.5 = ${a(flc * MOTOR_BREAKER_SHARE)}, up to ${a(largest)}`,
      section: '430.52, 240.4(G)',
    },
  ];
  return { conductorA: flc * 1.25, breakerA: 0, largestA: largest, ownRules: 'motor', plateUnread: false, steps };
}

/** A welder alone on its circuit, by its duty cycle: Article 630. */
function welderDemand(load: Load): Demand | undefined {
  if (!/welder$/.test(load.kind) || load.dutyPercent === undefined) return undefined;
  const amps = ampsOf(load);
  const share = welderShare(load.dutyPercent);
  const largest = nextStandardRating(amps * WELDER_BREAKER_SHARE) ?? Infinity;
  const steps = () => [
    {
      what: `${load.name}, duty ${load.dutyPercent} %`,
      sum: `${a(amps)} × ${share} = ${a(amps * share)}`,
      section: '630.11(A)',
    },
    { what: 'largest breaker', sum: `${a(amps)} × 2, up to ${a(largest)}`, section: '630.12(A)' },
  ];
  return { conductorA: amps * share, breakerA: 0, largestA: largest, ownRules: 'welder', plateUnread: false, steps };
}

/** A range, or cooktop and ovens on one circuit: Table 220.55. */
function rangeDemand(outlets: readonly Outlet[], loads: readonly Load[], volts: number, edition: Edition) {
  const cookingVa = cookingDemand(outlets);
  if (cookingVa === undefined) return undefined;
  const plateVa = loads.reduce((sum, load) => sum + load.va, 0);
  const amps = cookingVa / volts;
  const leastA = plateVa >= RANGE_VA ? RANGE_LEAST_A : 0;
  const steps = (): SumStep[] => [
    {
      what: loads.map((load) => load.name).join(' and '),
      sum: `${Math.round(plateVa)} VA on the plate`,
      section: loads.length > 1 ? 'as one range: Table 220.55 Note 4' : itemAt(loads, 0).source,
    },
    plateVa === cookingVa
      ? { what: 'by its plate', sum: a(amps), section: 'Table 220.55 Note 4' }
      : {
          what: 'demand of a range',
          sum: `${Math.round(cookingVa)} VA ÷ ${volts} V = ${a(amps)}`,
          section: 'Table 220.55 column C, Note 1',
        },
    ...(leastA > 0 ? [{ what: '8¾ kW or more', sum: 'not under 40 A', section: RANGE_LEAST[edition] }] : []),
    ...(loads.length > 1
      ? [
          {
            what: 'taps',
            sum: 'not under 20 A, each for its load, no longer than servicing needs',
            section: RANGE_LEAST[edition],
          },
        ]
      : []),
  ];
  return { ...PLAIN, conductorA: amps, breakerA: Math.max(amps, leastA), steps };
}

/** Everything else: the sum of what is known, continuous loads and the largest motor at 125 %. */
function plainDemand(house: House, circuit: Circuit, loads: readonly Load[], volts: number): Demand {
  const known = measureCircuitLoad(house, circuit, 'area');
  const motors = loads.filter((load) => load.motor && load.hp !== undefined);
  const largest = motors.reduce((most, load) => Math.max(most, flcOf(load)), 0);
  const sum = known.sizedAmps + largest * 0.25;
  const steps = (): SumStep[] => {
    const plain = known.va / volts;
    const steps: SumStep[] = [];
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
        section: continuousSection(load.kind, house.job.edition),
      });
    if (motors.length > 0)
      steps.push({ what: 'largest motor at 125 %', sum: `+ ${a(largest * 0.25)}`, section: '430.24' });
    steps.push({
      what: 'known load',
      sum: Math.abs(sum - plain) > 0.005 ? `${a(plain)}, counted as ${a(sum)}` : a(plain),
      section: '210.19(A), 210.20(A)',
    });
    return steps;
  };
  return { ...PLAIN, conductorA: sum, breakerA: sum, steps };
}

/** What a circuit asks for, by the article that governs what is on it. */
export function demandOf(house: House, circuit: Circuit): Demand {
  const volts = circuitVolts(circuit);
  const outlets = outletsOn(house, circuit).filter((one) => one.device.kind !== 'switch');
  const loads = outlets.flatMap((one) => one.load ?? []);
  const alone = outlets.length === 1 ? loads[0] : undefined;
  return (
    (alone && (coolingDemand(alone) ?? motorDemand(alone, volts) ?? welderDemand(alone))) ??
    rangeDemand(outlets, loads, volts, house.job.edition) ??
    plainDemand(house, circuit, loads, volts)
  );
}
