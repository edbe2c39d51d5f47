import { circuitVolts, indexOutlets } from '../circuits/outlets';
import type { House } from '../house/schema';
import { useOf, type Use } from '../loads/library';
import { legsOfItem, surgeOf, type SupplyLimit } from './supply-limits';
import { clock } from './simulate';
import type { DayItem } from './typical';

/** A day in slots of five minutes. */
const SLOT_MIN = 5;
const SLOTS = 1440 / SLOT_MIN;

/** How badly people want a thing at its hour: what cannot wait first, what runs by itself last. *Common practice*. */
const ORDER: Readonly<Record<Use, number>> = {
  always: 0,
  cycle: 1,
  heat: 2,
  cook: 3,
  bake: 3,
  morning: 3,
  snack: 4,
  burst: 4,
  evening: 4,
  office: 4,
  chores: 5,
  shop: 5,
  cool: 5,
  dishes: 6,
  wash: 6,
  tank: 7,
  dry: 7,
  firing: 8,
  night: 8,
};

/** What is moved in a day, and where to. */
interface Moved {
  readonly item: DayItem;
  readonly runs: DayItem['runs'];
}

/** A day that a supply carries. */
export interface FittedDay {
  readonly items: readonly DayItem[];
  /** Things at another time than usual. */
  readonly moved: readonly Moved[];
  /** Things that fit at no time of the day. */
  readonly left: readonly DayItem[];
  /** What a person has to remember, in sentences. */
  readonly rules: readonly string[];
}

/** What a supply carries in each slot, leg by leg. */
class Taken {
  readonly #legs = { A: new Float64Array(SLOTS), B: new Float64Array(SLOTS) };
  readonly #circuits = new Map<string, Float64Array>();

  constructor(
    readonly house: House,
    readonly limit: SupplyLimit,
  ) {}

  #shareOf(item: DayItem): readonly [A: number, B: number] {
    if (this.limit.legs === 1) return [item.va, 0];
    const legs = legsOfItem(this.house, item);
    return legs.length === 2 ? [item.va / 2, item.va / 2] : legs[0] === 'A' ? [item.va, 0] : [0, item.va];
  }

  /** What a thing's circuit carries already, and the most that its breaker holds, watts. */
  #circuitOf(item: DayItem): { readonly slots: Float64Array; readonly mostW: number } | undefined {
    const id = indexOutlets(this.house).byDevice.get(item.device)?.device.circuit;
    const circuit = this.house.circuits[id ?? ''];
    if (!circuit) return undefined;
    let slots = this.#circuits.get(circuit.id);
    if (!slots) this.#circuits.set(circuit.id, (slots = new Float64Array(SLOTS)));
    return { slots, mostW: circuit.ratingA * circuitVolts(circuit) };
  }

  /** Whether a thing may run through these slots beside what is there. */
  fits(item: DayItem, from: number, count: number): boolean {
    if (from < 0 || from + count > SLOTS) return false;
    const [a, b] = this.#shareOf(item);
    const { legW, runningW, startingW } = this.limit;
    const circuit = this.#circuitOf(item);
    for (let slot = from; slot < from + count; slot++) {
      const [A, B] = [this.#legs.A[slot]! + a, this.#legs.B[slot]! + b];
      if (A > legW + 1e-6 || B > legW + 1e-6 || A + B > runningW + 1e-6) return false;
      if (circuit && circuit.slots[slot]! + item.va > circuit.mostW + 1e-6) return false;
      if (slot === from && A + B + surgeOf(item) > startingW + 1e-6) return false;
    }
    return true;
  }

  take(item: DayItem, from: number, count: number): void {
    const [a, b] = this.#shareOf(item);
    const circuit = this.#circuitOf(item);
    for (let slot = Math.max(0, from); slot < Math.min(SLOTS, from + count); slot++) {
      this.#legs.A[slot]! += a;
      this.#legs.B[slot]! += b;
      if (circuit) circuit.slots[slot]! += item.va;
    }
  }
}

/** The nearest slot, later before earlier, at which a run fits; undefined where there is none. */
function nearestSlot(taken: Taken, item: DayItem, from: number, count: number): number | undefined {
  for (let away = 0; away < SLOTS; away++)
    for (const slot of away === 0 ? [from] : [from + away, from - away]) if (taken.fits(item, slot, count)) return slot;
  return undefined;
}

const hours = (runs: DayItem['runs']): string =>
  runs.map(([from, to]) => `${clock(from * 60)} to ${clock(to * 60)}`).join(', ');

/** The largest others that could not run beside a thing at its usual hour. */
function hindrances(item: DayItem, usual: DayItem['runs'], placed: readonly DayItem[]): DayItem[] {
  return placed
    .filter((one) => one.runs.some(([from, to]) => usual.some((run) => from < run[1] && run[0] < to)))
    .filter((one) => one.va >= 300 && one !== item)
    .sort((a, b) => b.va - a.va)
    .slice(0, 2);
}

/**
 * A day that a supply carries: each thing at its usual hour where it fits beside what is wanted more, otherwise at the nearest hour where
 * it does, or not at all. What is switched often, a refrigerator or heat, keeps its hours or is left. In slots of five minutes; under 50 ms.
 */
export function fitDay(house: House, items: readonly DayItem[], limit: SupplyLimit): FittedDay {
  const taken = new Taken(house, limit);
  const fed = items.filter((item) => limit.feeds(item));
  const rankOf = (item: DayItem) => (item.fixed ? 0 : ORDER[useOf(item.kind)]);
  const order = [...fed].sort((a, b) => rankOf(a) - rankOf(b) || b.va - a.va || (a.id < b.id ? -1 : 1));
  const placed: DayItem[] = [];
  const moved: Moved[] = [];
  const left: DayItem[] = [];
  const rules: string[] = [];
  for (const item of order) {
    if (item.va === 0 || item.runs.length === 0) {
      placed.push(item);
      continue;
    }
    const found: [number, number][] = [];
    for (const [fromMin, toMin] of item.runs) {
      const from = Math.floor(fromMin / SLOT_MIN);
      const count = Math.max(1, Math.ceil(toMin / SLOT_MIN) - from);
      const slot =
        item.fixed || item.runs.length > 4
          ? taken.fits(item, from, count)
            ? from
            : undefined
          : nearestSlot(taken, item, from, count);
      if (slot === undefined) continue;
      taken.take(item, slot, count);
      const later = (slot - from) * SLOT_MIN;
      found.push([fromMin + later, toMin + later]);
    }
    const runs = found.sort((a, b) => a[0] - b[0]);
    if (runs.length === 0) {
      left.push(item);
      rules.push(`${item.what} (${Math.round(item.va)} W): not on this supply, beside what has to run.`);
      continue;
    }
    const now = { ...item, runs };
    const isMoved = runs.length < item.runs.length || runs.some((run, i) => run[0] !== item.runs[i]![0]);
    if (isMoved) {
      moved.push({ item: now, runs });
      const others = hindrances(item, item.runs, placed).map((one) => one.what);
      rules.push(
        `${item.what}: ${runs.length > 4 ? `${runs.length} times of ${item.runs.length}` : hours(runs)}${others.length > 0 ? `, not together with ${others.join(' and ')}` : ''}.`,
      );
    }
    placed.push(now);
  }
  return { items: placed, moved, left, rules };
}
