import { indexOutlets } from '../circuits/outlets';
import { circuitVolts } from '../circuits/outlets';
import type { Circuit, House } from '../house/schema';
import { inrushOf } from '../loads/library';
import { CURVES, opensAfter, warmthAfter, type BreakerCurve, type CurveName } from './breaker-curve';
import { legsOfItem, supplyLimits, surgeOf, type SupplyLimit } from './supply-limits';
import type { DayItem } from './typical';

const QUARTERS = 96;
const DAY_S = 86_400;

/** A breaker that opens, and when. */
export interface Trip {
  /** Seconds from midnight, and seconds after the overload began. */
  readonly atS: number;
  readonly afterS: number;
  readonly amps: number;
  /** Whether its magnet opened it, by the current of a motor that starts. */
  readonly atOnce: boolean;
  readonly running: readonly DayItem[];
  /** When a quick and a slow breaker would have opened; undefined when such a one would hold. */
  readonly quickAtS: number | undefined;
  readonly slowAtS: number | undefined;
  /** Each of these, left off or fed elsewhere, would have kept it closed. */
  readonly cures: readonly DayItem[];
}

/** A day of a circuit: amperes by quarter of an hour, and what opens. */
export interface CircuitDay {
  readonly circuit: Circuit;
  /** Greatest current of each quarter of an hour, amperes, as if the breaker held. */
  readonly quarters: readonly number[];
  readonly peakA: number;
  readonly peakAtS: number;
  readonly wattHours: number;
  readonly trip: Trip | undefined;
  /** A quick breaker would open where the usual one holds. */
  readonly marginal: boolean;
}

/** What a main, a cord, a feeder or a source is asked for in a day. */
export interface SupplyDay {
  readonly id: string;
  readonly name: string;
  readonly kind: SupplyLimit['kind'];
  /** Share of what it gives that is asked for at most, on the leg that is asked for most. */
  readonly most: number;
  readonly mostAtS: number;
  /** Amperes of that leg at a breaker, watts of both legs at a source. */
  readonly peak: number;
  /** When it opens, or is asked for more than it gives; undefined where it holds. */
  readonly overAtS: number | undefined;
  /** What ran then, the largest first. */
  readonly running: readonly DayItem[];
}

/** A day of the house, circuit by circuit, with what the panels and the supply carry. */
export interface DayResult {
  /** The main, the cord, feeders and sources, as they come in. */
  readonly supplies: readonly SupplyDay[];
  readonly circuits: readonly CircuitDay[];
  /** Amperes at 240 V of the whole house, greatest of each quarter. */
  readonly quarters: readonly number[];
  readonly peakA: number;
  readonly peakAtS: number;
  readonly kiloWattHours: number;
}

/** A stretch of the day in which nothing is switched on a circuit. */
interface Stretch {
  readonly fromS: number;
  readonly toS: number;
  readonly running: readonly DayItem[];
  readonly amps: number;
  /** Greatest current at its beginning, when motors start. */
  readonly startA: number;
}

function stretchesOf(items: readonly DayItem[], volts: number): Stretch[] {
  const turns = new Set<number>([0, DAY_S]);
  for (const item of items)
    for (const [from, to] of item.runs) {
      turns.add(from * 60);
      turns.add(to * 60);
    }
  const times = [...turns].filter((time) => time >= 0 && time <= DAY_S).sort((a, b) => a - b);
  const stretches: Stretch[] = [];
  for (let i = 0; i + 1 < times.length; i++) {
    const [fromS, toS] = [times[i]!, times[i + 1]!];
    const middle = (fromS + toS) / 120;
    const running = items.filter((item) => item.runs.some(([from, to]) => from <= middle && middle < to));
    const amps = running.reduce((sum, item) => sum + item.va / volts, 0);
    const starting = running
      .filter((item) => item.runs.some(([from]) => from * 60 === fromS))
      .reduce((most, item) => Math.max(most, (inrushOf(item).multiple - 1) * (item.va / volts)), 0);
    stretches.push({ fromS, toS, running, amps, startA: amps + starting });
  }
  return stretches;
}

/** When a breaker opens in a day, seconds; undefined when it holds. */
function opensIn(stretches: readonly Stretch[], ratingA: number, curve: BreakerCurve) {
  let warmth = 0;
  let overSince: number | undefined;
  for (const stretch of stretches) {
    const multiple = stretch.amps / ratingA;
    if (multiple > 1) overSince ??= stretch.fromS;
    else overSince = undefined;
    if (stretch.startA / ratingA >= curve.magnet) return { atS: stretch.fromS, afterS: 0, atOnce: true, stretch };
    const after = opensAfter(curve, warmth, multiple);
    if (stretch.fromS + after < stretch.toS) {
      const atS = stretch.fromS + after;
      return { atS, afterS: atS - (overSince ?? stretch.fromS), atOnce: false, stretch };
    }
    warmth = warmthAfter(curve, warmth, multiple, stretch.toS - stretch.fromS);
  }
  return undefined;
}

function tripOf(
  circuit: Circuit,
  items: readonly DayItem[],
  stretches: readonly Stretch[],
  curve: CurveName,
): Trip | undefined {
  const volts = circuitVolts(circuit);
  const opened = opensIn(stretches, circuit.ratingA, CURVES[curve]);
  if (!opened) return undefined;
  const cures = opened.stretch.running
    .filter((one) => {
      const rest = items.filter((item) => item !== one);
      return opensIn(stretchesOf(rest, volts), circuit.ratingA, CURVES[curve]) === undefined;
    })
    .sort((a, b) => a.va - b.va);
  return {
    atS: opened.atS,
    afterS: opened.afterS,
    amps: opened.atOnce ? opened.stretch.startA : opened.stretch.amps,
    atOnce: opened.atOnce,
    running: [...opened.stretch.running].sort((a, b) => b.va - a.va),
    quickAtS: opensIn(stretches, circuit.ratingA, CURVES.quick)?.atS,
    slowAtS: opensIn(stretches, circuit.ratingA, CURVES.slow)?.atS,
    cures,
  };
}

function quartersOf(stretches: readonly Stretch[]): number[] {
  const quarters = new Array<number>(QUARTERS).fill(0);
  for (const { fromS, toS, amps } of stretches)
    for (let q = Math.floor(fromS / 900); q < QUARTERS && q * 900 < toS; q++)
      quarters[q] = Math.max(quarters[q]!, amps);
  return quarters;
}

const peakOf = (stretches: readonly Stretch[]) =>
  stretches.reduce((best, one) => (one.amps > best.amps ? one : best), stretches[0]!);

/** Things as one leg of a supply sees them. */
function onLeg(house: House, items: readonly DayItem[], leg: 'A' | 'B', legs: 1 | 2): DayItem[] {
  if (legs === 1) return [...items];
  return items.flatMap((item) => {
    const its = legsOfItem(house, item);
    return its.includes(leg) ? [{ ...item, va: item.va / its.length }] : [];
  });
}

const LEG_V = 120;
const bySize = (items: readonly DayItem[]) => [...items].sort((a, b) => b.va - a.va);

/** A breaker by its warmer leg. */
function breakerDay(house: House, limit: SupplyLimit, items: readonly DayItem[], curve: CurveName): SupplyDay {
  const ratingA = limit.ratingA!;
  const legs = limit.legs === 1 ? (['A'] as const) : (['A', 'B'] as const);
  const each = legs.map((leg) => {
    const stretches = stretchesOf(onLeg(house, items, leg, limit.legs), LEG_V);
    // What a motor takes to start the main of a house does not see: its magnet is far above.
    const steady = stretches.map((one) => ({ ...one, startA: one.amps }));
    return { peak: peakOf(stretches), opened: opensIn(steady, ratingA, CURVES[curve]) };
  });
  const worst = each.reduce((most, one) => (one.peak.amps > most.peak.amps ? one : most));
  const opened = each.flatMap((one) => one.opened ?? []).sort((a, b) => a.atS - b.atS)[0];
  const { id, name, kind } = limit;
  const { amps, fromS } = worst.peak;
  const running = bySize((opened?.stretch ?? worst.peak).running);
  return { id, name, kind, most: amps / ratingA, mostAtS: fromS, peak: amps, overAtS: opened?.atS, running };
}

/** A source by its watts, running and starting, and by half of them on each leg. */
function sourceDay(house: House, limit: SupplyLimit, items: readonly DayItem[]): SupplyDay {
  const whole = stretchesOf(items, 1);
  const legs = limit.legs === 1 ? [] : (['A', 'B'] as const).map((leg) => stretchesOf(onLeg(house, items, leg, 2), 1));
  let [most, mostAtS, peak] = [0, 0, 0];
  let over: Stretch | undefined;
  const ask = (stretch: Stretch, watts: number, gives: number) => {
    if (watts / gives > most) [most, mostAtS] = [watts / gives, stretch.fromS];
    if (watts > gives + 1e-6 && (!over || stretch.fromS < over.fromS)) over = stretch;
  };
  for (const stretch of whole) {
    peak = Math.max(peak, stretch.amps);
    ask(stretch, stretch.amps, limit.runningW);
    const starting = stretch.running.filter((item) => item.runs.some(([from]) => from * 60 === stretch.fromS));
    ask(stretch, stretch.amps + Math.max(0, ...starting.map(surgeOf)), limit.startingW);
  }
  for (const stretches of legs) for (const stretch of stretches) ask(stretch, stretch.amps, limit.legW);
  const { id, name, kind } = limit;
  return { id, name, kind, most, mostAtS, peak, overAtS: over?.fromS, running: bySize(over?.running ?? []) };
}

const supplyDays = (house: House, items: readonly DayItem[], curve: CurveName): SupplyDay[] =>
  supplyLimits(house).map((limit) => {
    const fed = items.filter((item) => limit.feeds(item));
    return limit.kind === 'breaker' ? breakerDay(house, limit, fed, curve) : sourceDay(house, limit, fed);
  });

/**
 * A day of a house: what every circuit carries, which breaker opens, when, and what would have kept it closed. Currents are as
 * if breakers held; power factor one. Unassigned outlets draw in the house's sum alone. Under 0.2 s for a whole house.
 */
export function simulateDay(house: House, items: readonly DayItem[], curve: CurveName = 'usual'): DayResult {
  const { byDevice } = indexOutlets(house);
  const byCircuit = new Map<string, DayItem[]>();
  for (const item of items) {
    const circuit = byDevice.get(item.device)?.device.circuit;
    if (!circuit) continue;
    const list = byCircuit.get(circuit);
    if (list) list.push(item);
    else byCircuit.set(circuit, [item]);
  }
  const circuits = Object.values(house.circuits).map((circuit): CircuitDay => {
    const here = byCircuit.get(circuit.id) ?? [];
    const stretches = stretchesOf(here, circuitVolts(circuit));
    const peak = peakOf(stretches);
    const trip = tripOf(circuit, here, stretches, curve);
    return {
      circuit,
      quarters: quartersOf(stretches),
      peakA: peak.amps,
      peakAtS: peak.fromS,
      wattHours: stretches.reduce(
        (sum, one) => sum + (one.amps * circuitVolts(circuit) * (one.toS - one.fromS)) / 3600,
        0,
      ),
      trip,
      marginal: !trip && opensIn(stretches, circuit.ratingA, CURVES.quick) !== undefined,
    };
  });
  const all = stretchesOf(items, 240);
  const peak = peakOf(all);
  return {
    supplies: supplyDays(house, items, curve),
    circuits: circuits.sort((a, b) => b.peakA / b.circuit.ratingA - a.peakA / a.circuit.ratingA),
    quarters: quartersOf(all),
    peakA: peak.amps,
    peakAtS: peak.fromS,
    kiloWattHours: all.reduce((sum, one) => sum + (one.amps * 240 * (one.toS - one.fromS)) / 3.6e6, 0),
  };
}

/** A time of day as people say it. @example clock(24_300) // 6:45 */
export const clock = (seconds: number): string =>
  `${Math.floor(seconds / 3600)}:${String(Math.floor((seconds % 3600) / 60)).padStart(2, '0')}`;
