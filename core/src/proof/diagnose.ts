import { Conduction, type Position } from './conduction';
import { FOUND, singleFaults, type Fault } from './faults';
import type { LoadPart, Netlist, Pin } from './netlist';
import { solve } from './solve';

/** What a person sees in one position of a group's switches. */
export type Sight = 'lit' | 'dark' | 'dim' | 'trips';

/** Positions of a group's switches in the order 00…, 10…, 01… of its chain. */
export const positionsOf = (count: number): readonly (readonly number[])[] =>
  Array.from({ length: 2 ** count }, (_, bits) => Array.from({ length: count }, (_, i) => (bits >> i) & 1));

/** Up to so many switches every position is looked at. */
const EVERY_POSITION_UP_TO = 6;

/**
 * The positions, by their numbers, that faults are told apart by: all of them for a few switches; for many, those in which no more
 * than two switches stand up, and those that somebody has looked at. So the work grows with the square of the switches, not with 2ⁿ.
 */
export function positionsLooked(count: number, seen: Observation = []): readonly number[] {
  const all = 2 ** count;
  if (count <= EVERY_POSITION_UP_TO) return Array.from({ length: all }, (_, i) => i);
  const looked = new Set([0]);
  for (let a = 0; a < count; a++) for (let b = a; b < count; b++) looked.add((1 << a) | (1 << b));
  seen.forEach((lamps, p) => lamps?.some((one) => one !== undefined) && looked.add(p));
  return [...looked].sort((a, b) => a - b);
}

/** A lamp is seen to be lit above this share of its volts, and dim above the next: *common practice*. */
const LIT = 0.8;
const DIM = 0.1;

/** What each lamp of a group shows in every position, or in those with these numbers. A joined hot and neutral or ground trips the breaker. */
export function sightsOf(net: Netlist, group: string, looked?: readonly number[]): readonly (readonly Sight[])[] {
  const { switches } = net.groups.find((one) => one.id === group)!;
  const copper = new Conduction(net);
  const lamps = net.loads.filter((load) => load.group === group);
  const every = positionsOf(switches.length);
  return (looked ? looked.map((p) => every[p]!) : every).map((positions) => {
    const all = new Map(switches.map((id, i) => [id, positions[i]!]));
    const now = copper.with(all);
    const hots = net.sources.filter((one) => one.kind === 'hot');
    if (hots.some((hot) => net.sources.some((other) => other !== hot && now.same(hot.point, other.point))))
      return lamps.map(() => 'trips');
    const plain = lamps.map((lamp): Sight => (now.runs(lamp) ? 'lit' : 'dark'));
    // In series with another load it may glow: only then the volts are needed.
    const floating = lamps.some(
      (lamp, i) => plain[i] === 'dark' && (now.sourcesAt(lamp.a).length === 0) !== (now.sourcesAt(lamp.b).length === 0),
    );
    if (!floating) return lamps.map((lamp, i) => (plain[i] === 'lit' || isReversed(now, lamp) ? 'lit' : 'dark'));
    const { across } = solve(net, all);
    return lamps.map((lamp) => {
      const share = Math.abs(across.get(lamp.id)!) / lamp.volts;
      return share > LIT ? 'lit' : share > DIM ? 'dim' : 'dark';
    });
  });
}

/** Hot on the shell and neutral on the contact: it lights all the same. */
const isReversed = (now: Position, lamp: LoadPart): boolean =>
  now.sourcesAt(lamp.b).some((one) => one.kind === 'hot') && now.sourcesAt(lamp.a).some((one) => one.kind !== 'hot');

/** What a person ticked: by position and lamp; undefined where nobody has looked. */
export type Observation = readonly (readonly (Sight | undefined)[])[];

/** A fault, and what each position of the switches would show of it. */
export interface Suspect {
  readonly fault: Fault;
  /** In the positions of {@link positionsLooked}. */
  readonly sights: readonly (readonly Sight[])[];
}

interface Diagnosis {
  /** Faults that show exactly what was ticked; those that are found most often first. */
  readonly suspects: readonly Suspect[];
  /** Nothing is wrong that could be seen. */
  readonly sound: boolean;
  /** The position to try next and what it would tell. */
  readonly next: { readonly positions: readonly number[]; readonly says: readonly string[] } | undefined;
}

const key = (sights: readonly (readonly Sight[])[]) => sights.map((one) => one.join()).join('|');

/** Every single fault of a group's wiring with what its lamps would show. */
export function trySingleFaults(net: Netlist, group: string, seen: Observation = []): readonly Suspect[] {
  const looked = positionsLooked(net.groups.find((one) => one.id === group)!.switches.length, seen);
  return singleFaults(net, group).map((fault) => ({ fault, sights: sightsOf(fault.net, group, looked) }));
}

/**
 * Which single faults produce exactly what was seen; those that no look at the lamps can tell apart stay together.
 * @param tried What was tried before, where several sights of one group are asked about: trying is what takes the time.
 */
export function findFaults(
  net: Netlist,
  group: string,
  seen: Observation,
  tried: readonly Suspect[] = trySingleFaults(net, group, seen),
): Diagnosis {
  const { switches } = net.groups.find((one) => one.id === group)!;
  const looked = positionsLooked(switches.length, seen);
  const every = positionsOf(switches.length);
  const matches = (sights: readonly (readonly Sight[])[]) =>
    sights.every((lamps, k) =>
      lamps.every((sight, i) => {
        const saw = seen[looked[k]!]?.[i];
        return saw === undefined || saw === sight;
      }),
    );
  const good = sightsOf(net, group, looked);
  const suspects = tried.filter(({ sights }) => matches(sights));
  let next: Diagnosis['next'];
  let largest = suspects.length;
  looked.forEach((p, k) => {
    const lamps = suspects[0]?.sights[k] ?? [];
    if (lamps.every((_, i) => seen[p]?.[i] !== undefined)) return;
    const classes = new Map<string, number>();
    for (const one of suspects) {
      const shows = one.sights[k]!.join(' and ');
      classes.set(shows, (classes.get(shows) ?? 0) + 1);
    }
    const worst = Math.max(0, ...classes.values());
    if (classes.size > 1 && worst < largest) {
      largest = worst;
      next = { positions: every[p]!, says: [...classes].map(([shows, count]) => `${shows}: ${count} left`) };
    }
  });
  const healthy = key(good);
  return {
    suspects: [...suspects].sort(
      (a, b) =>
        Number(key(a.sights) === healthy) - Number(key(b.sights) === healthy) ||
        FOUND.indexOf(a.fault.found) - FOUND.indexOf(b.fault.found),
    ),
    sound: matches(good),
    next,
  };
}

/** A place to put a meter that parts the suspects: volts to ground at a screw, in one position. */
interface MeterTest {
  readonly pin: Pin;
  readonly label: string;
  readonly positions: readonly number[];
  /** Volts, rounded, and the suspects that would show them. */
  readonly readings: readonly { readonly volts: number; readonly suspects: readonly string[] }[];
}

/** The reading at the group's screws that halves the suspects best: the quickest test to tell them apart. */
export function quickestTest(net: Netlist, group: string, suspects: readonly Suspect[]): MeterTest | undefined {
  const { switches } = net.groups.find((one) => one.id === group)!;
  const ids = new Set(switches);
  const screws = net.switches
    .filter((one) => ids.has(one.id))
    .flatMap((one) =>
      Object.entries(one.at).flatMap(([name, pin]) =>
        name === 'ground' ? [] : [{ pin, label: `${one.label}, ${name}` }],
      ),
    );
  const lamps = net.loads
    .filter((load) => load.group === group)
    .map((load) => ({ pin: load.a, label: `${load.label}, lamp hot` }));
  let best: MeterTest | undefined;
  let least = suspects.length;
  for (const positions of positionsOf(switches.length).slice(0, 4)) {
    const all = new Map(switches.map((id, i) => [id, positions[i]!]));
    const solved = suspects.map(({ fault, sights }) =>
      sights.some((one) => one.includes('trips'))
        ? undefined
        : { id: fault.words, net: fault.net, at: solve(fault.net, all) },
    );
    for (const { pin, label } of [...screws, ...lamps]) {
      const readings = new Map<number, string[]>();
      for (const one of solved) {
        if (!one) continue;
        const volts = Math.round(Math.abs(one.at.volts(pin)) / 30) * 30;
        readings.set(volts, [...(readings.get(volts) ?? []), one.id]);
      }
      const worst = Math.max(0, ...[...readings.values()].map((list) => list.length));
      if (readings.size > 1 && worst < least) {
        least = worst;
        best = { pin, label, positions, readings: [...readings].map(([volts, list]) => ({ volts, suspects: list })) };
      }
    }
  }
  return best;
}
