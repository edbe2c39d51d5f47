import { isLowerHalf, otherHalfOf } from '../house/yokes';
import type { Circuit, House, Standards } from '../house/schema';
import { Memory } from '../cache/memory';
import type { Load } from '../house/schema-equipment';
import { ampsOf } from '../loads/library';
import { assertNever } from '../units/result';
import { circuitVolts, outletsOn, type Outlet } from './outlets';

/** NEC 220.14(I): 180 VA a yoke outside dwellings; in dwellings a design standard, not a code limit. */
export const YOKE_VA = 180;
/** NEC 210.20(A): continuous loads count at 125 %. */
const CONTINUOUS_FACTOR = 1.25;

type CircuitStandard = Standards['receptacleCount'];

/** One line of the sum behind a circuit's load. */
interface LoadLine {
  readonly what: string;
  readonly count: number;
  /** For one of them, as drawn. */
  readonly eachVa: number;
  /** For all of them, as drawn. */
  readonly va: number;
  /** 1.25 where it is continuous. */
  readonly factor: number;
  readonly source: string;
  /** The value is that of its kind; the nameplate has not been read. */
  readonly isTypical?: true;
}

interface CircuitLoad {
  readonly lines: readonly LoadLine[];
  readonly va: number;
  readonly amps: number;
  /** With continuous loads at 125 %: what breaker and conductor must carry, amperes. */
  readonly sizedAmps: number;
  /** What the standard in force lets the circuit be loaded to, amperes. */
  readonly allowedA: number;
  /** Share of that which is used, 1 being all of it. */
  readonly used: number;
  readonly generalReceptacles: number;
}

/** A receptacle for whatever is plugged in, not for a known piece of equipment. */
export const isGeneralReceptacle = (outlet: Outlet): boolean =>
  outlet.device.kind === 'receptacle' && outlet.load === undefined;

/** Without the lower half of a duplex whose upper half counts already: two halves on one circuit are one yoke, 220.14(I). */
const yokesOf = (outlets: readonly Outlet[]): readonly Outlet[] =>
  outlets.some(({ device }) => isLowerHalf(device))
    ? outlets.filter(
        ({ box, device, load }) =>
          load ||
          !isLowerHalf(device) ||
          !outlets.some((one) => !one.load && one.device === otherHalfOf(box, device.id)),
      )
    : outlets;

/** Share by which a nameplate may differ from the typical value of its kind: *common practice*. */
export const TYPICAL_SPREAD = 0.1;

/** A load whose nameplate has not been read; what is chosen by its amperes, as a vehicle charger is, has none to read. */
export const isTypical = (load: Load): boolean => load.source === 'typical' && !load.kind.startsWith('ev-');

function describe(outlet: Outlet, standard: CircuitStandard): Omit<LoadLine, 'count' | 'va'> | undefined {
  const { device, load } = outlet;
  if (load)
    return {
      what: load.name,
      eachVa: load.va,
      factor: load.continuous ? CONTINUOUS_FACTOR : 1,
      ...(isTypical(load) ? { isTypical: true as const } : {}),
      source: `${load.source}${load.continuous ? '; continuous: 210.20(A)' : ''}`,
    };
  switch (device.kind) {
    case 'receptacle':
      if (device.volts === 240) return undefined;
      return standard === 'area'
        ? {
            what: 'receptacles',
            eachVa: 0,
            factor: 1,
            source: 'in the 3 VA/ft² of the house: 220.14(J), 220.41 in 2023',
          }
        : { what: 'receptacles', eachVa: YOKE_VA, factor: 1, source: 'shop standard: 180 VA a yoke' };
    case 'luminaire':
      return { what: 'luminaires', eachVa: device.va, factor: 1, source: 'as drawn' };
    case 'fan':
      return { what: 'fans', eachVa: device.va, factor: 1, source: 'as drawn' };
    case 'alarm':
      return { what: 'alarms', eachVa: device.va, factor: 1, source: 'typical' };
    case 'switch':
    case 'connection':
    case 'blank':
    case 'low-voltage':
      return undefined;
    default:
      return assertNever(device);
  }
}

function addUp(outlets: readonly Outlet[], standard: CircuitStandard): LoadLine[] {
  const lines = new Map<string, LoadLine & { count: number; va: number }>();
  for (const outlet of yokesOf(outlets)) {
    const line = describe(outlet, standard);
    if (!line) continue;
    const key = outlet.load ? `load ${outlet.load.id}` : `${line.what} ${line.eachVa}`;
    const known = lines.get(key);
    if (!known) lines.set(key, Object.assign(line, { count: 1, va: line.eachVa }));
    else {
      known.count++;
      known.va += line.eachVa;
    }
  }
  return [...lines.values()];
}

const sums = new Memory<readonly Outlet[], Map<CircuitStandard, LoadLine[]>>();

/** The lines of the sum, remembered by the list of outlets: several rules ask for the same one. */
function sumOf(outlets: readonly Outlet[], standard: CircuitStandard): LoadLine[] {
  let byStandard = sums.get(outlets);
  if (!byStandard) sums.set(outlets, (byStandard = new Map()));
  let lines = byStandard.get(standard);
  if (!lines) byStandard.set(standard, (lines = addUp(outlets, standard)));
  return lines;
}

interface Known {
  readonly outlets: readonly Outlet[];
  readonly standards: Standards;
  readonly loads: Map<CircuitStandard, CircuitLoad>;
}
const measured = new Memory<Circuit, Known>();

/**
 * The load of a circuit with its sum, by the shop standard unless another is asked for. Length-free: voltage drop
 * is not in it. Remembered by the circuit and its list of outlets.
 */
export function measureCircuitLoad(
  house: House,
  circuit: Circuit,
  standard: CircuitStandard = house.standards.receptacleCount,
): CircuitLoad {
  const outlets = outletsOn(house, circuit);
  let known = measured.get(circuit);
  if (!known || known.outlets !== outlets || known.standards !== house.standards)
    measured.set(circuit, (known = { outlets, standards: house.standards, loads: new Map() }));
  let load = known.loads.get(standard);
  if (!load) known.loads.set(standard, (load = addUpCircuit(house, circuit, outlets, standard)));
  return load;
}

function addUpCircuit(
  house: House,
  circuit: Circuit,
  outlets: readonly Outlet[],
  standard: CircuitStandard,
): CircuitLoad {
  const lines = sumOf(outlets, standard);
  const volts = circuitVolts(circuit);
  const va = lines.reduce((sum, line) => sum + line.va, 0);
  const sizedVa = lines.reduce((sum, line) => sum + line.va * line.factor, 0);
  const amps = ampsOf({ va, volts });
  const sizedAmps = ampsOf({ va: sizedVa, volts });
  const generalReceptacles = yokesOf(outlets).filter(isGeneralReceptacle).length;
  const standardShare = standard === 'yoke-80' && generalReceptacles > 0 ? 0.8 : 1;
  const allowedA = circuit.ratingA * standardShare;
  const byAmps = standardShare < 1 ? amps / allowedA : sizedAmps / allowedA;
  const byCount = standard === 'area' ? generalReceptacles / house.standards.maxReceptaclesPerCircuit : 0;
  return {
    lines,
    va,
    amps,
    sizedAmps,
    allowedA,
    used: Math.max(byAmps, byCount, sizedAmps / circuit.ratingA),
    generalReceptacles,
  };
}

/** Whether the circuit has more than one receptacle for portable loads, which bars rounding up: 240.4(B)(1). */
export const servesSeveralReceptacles = (outlets: readonly Outlet[]): boolean =>
  outlets.filter(isGeneralReceptacle).length > 1;
