import { indexOutlets, type Outlet } from '../../circuits/outlets';
import { standingCircuits } from '../../circuits/standing';
import { edit, type Edited } from '../../house/edit';
import type { Box, Circuit, House, Room } from '../../house/schema';
import { otherHalfOf } from '../../house/yokes';
import type { LoadKind } from '../../house/schema-equipment';
import { ampsOf, LOAD_LIBRARY, useOf, type Use } from '../../loads/library';
import { wireHouse } from '../../makeup/make-up';
import { runAlong } from '../../makeup/wired-run';
import { aboveCounter, servesCounter, SERVES_ABOVE_IN } from '../../place/receptacles';
import { placesIn } from '../../place/reach';
import { measureCounterSpaces } from '../../plan/counter-spaces';
import { viewRoom } from '../../plan/room-view';
import { wallLoop } from '../../plan/wall-loop';
import type { Result } from '../../units/result';

/** What runs at once on a counter while breakfast is made: *common practice*; their amperes are typical, from the load library. */
const BREAKFAST: readonly LoadKind[] = ['kettle', 'toaster', 'coffee-maker'];
/** What else may run in that quarter of an hour on the same circuit. */
const RUNS_THEN: ReadonlySet<Use> = new Set(['always', 'cycle', 'morning', 'cook', 'snack', 'burst']);

/**
 * The boxes of each counter of a kitchen in the order in which they stand along it: wall counters around the room, then islands and
 * peninsulas. A counter that runs over the corner where the room's outline begins is one.
 */
export function boxesAlongCounters(house: House, room: Room): readonly (readonly Box[])[] {
  const view = viewRoom(house, room.id);
  const loop = wallLoop(room);
  const onWalls = measureCounterSpaces(view).map((space) =>
    aboveCounter(view, space, SERVES_ABOVE_IN)
      .map((one) => ({ box: one.box!, atIn: placesIn(space, loop.lengthIn, [one.atIn])[0]! }))
      .sort((a, b) => a.atIn - b.atIn)
      .map(({ box }) => box),
  );
  const free = view.features
    .filter((one) => one.kind === 'island' || one.kind === 'peninsula')
    .map((one) =>
      Object.values(house.boxes)
        .filter((box) => box.room === room.id && box.at.kind === 'feature' && box.at.feature === one.id)
        .sort((a, b) => acrossOf(a) - acrossOf(b) || (a.id < b.id ? -1 : 1)),
    );
  return [...onWalls, ...free].filter((one) => one.length > 0);
}

const acrossOf = ({ at }: Box): number => (at.kind === 'feature' ? at.x + at.y : 0);

/** One small-appliance circuit of a split, with its peak, amperes. */
export interface CounterCircuit {
  readonly circuit: Circuit;
  readonly boxes: readonly Box[];
  /** Amperes while everything runs that may run at breakfast, plugged in where it is worst for this circuit. */
  readonly peakA: number;
  /** What makes that peak. */
  readonly running: readonly string[];
}

/** A way to share the counter among its circuits. */
export interface CounterSplit {
  readonly way: 'as-it-is' | 'by-turns' | 'halves' | 'by-counter';
  readonly circuits: readonly CounterCircuit[];
  /** Amperes of the fullest of its circuits. */
  readonly peakA: number;
  /** Cable of these circuits along their feed orders, feet. */
  readonly cableFt: number;
  /** The house so divided. */
  readonly edited: Edited;
}

/** The ways to divide the counter receptacles of one kitchen among its small-appliance circuits. */
interface CounterSplits {
  readonly room: Room;
  readonly splits: readonly CounterSplit[];
}

type Owners = ReadonlyMap<Box, Circuit>;

/**
 * For each kitchen with two or more small-appliance circuits (NEC 210.52(B)(1)) over its counters: as they are, by turns, by halves
 * and counter by counter, the one first that peaks lowest while kettle, toaster and coffee maker run together. Those of them that
 * are not among the loads of the kitchen are thought plugged in at neighboring receptacles, where it is worst. Any division is lawful.
 */
export function compareCounterSplits(house: House): CounterSplits[] {
  return Object.values(house.rooms).flatMap((room) => {
    if (room.kind !== 'kitchen') return [];
    const outlets = splitOutlets(house, room);
    const circuits = [...new Set(outlets.map((one) => one.device.circuit!))].map((id) => house.circuits[id]!);
    const inOrder = boxesAlongCounters(house, room)
      .map((boxes) => boxes.filter((box) => outlets.some((one) => one.box === box)))
      .filter((boxes) => boxes.length > 0);
    if (circuits.length < 2 || inOrder.flat().length <= circuits.length) return [];
    return [{ room, splits: splitsOf(house, { room, outlets, circuits, inOrder }) }];
  });
}

/** Counter receptacles of a kitchen that small-appliance circuits feed and nobody has locked, but for those of one appliance. */
const splitOutlets = (house: House, room: Room): Outlet[] => {
  const view = viewRoom(house, room.id);
  const standing = standingCircuits(house);
  return (indexOutlets(house).byRoom.get(room.id) ?? []).filter(({ device, box, load }) => {
    const circuit = device.circuit === null ? undefined : house.circuits[device.circuit];
    return (
      device.kind === 'receptacle' &&
      circuit?.purpose === 'small-appliance' &&
      !standing.has(circuit.id) &&
      !(load && load.fastened) &&
      servesCounter(view, box) &&
      // The halves of a split duplex are on two circuits on purpose.
      otherHalfOf(box, device.id) === undefined
    );
  });
};

interface Counter {
  readonly room: Room;
  readonly outlets: readonly Outlet[];
  readonly circuits: readonly Circuit[];
  readonly inOrder: readonly (readonly Box[])[];
}

function splitsOf(house: House, counter: Counter): CounterSplit[] {
  const { circuits, inOrder, outlets } = counter;
  const boxes = inOrder.flat();
  const n = circuits.length;
  const byNumber = (numberOf: (box: Box, i: number) => number): number[] => boxes.map(numberOf);
  const today = byNumber((box) =>
    circuits.findIndex((one) => outlets.some((o) => o.box === box && o.device.circuit === one.id)),
  );
  const ways: [CounterSplit['way'], readonly number[]][] = [
    ['as-it-is', today],
    ['by-turns', byNumber((_box, i) => i % n)],
    ['halves', byNumber((_box, i) => Math.min(n - 1, Math.floor((i * n) / boxes.length)))],
  ];
  if (inOrder.length >= n) ways.push(['by-counter', wholeCounters(inOrder, n)]);
  const seen = new Set<string>();
  return ways
    .flatMap(([way, numbers]) => {
      const key = canonical(numbers);
      if (seen.has(key) || new Set(numbers).size < n) return [];
      seen.add(key);
      const named = way === 'as-it-is' ? numbers : fewestMoves(numbers, today, n);
      return split(house, counter, way, new Map(boxes.map((box, i) => [box, circuits[named[i]!]!])));
    })
    .sort((a, b) => a.peakA - b.peakA || a.cableFt - b.cableFt);
}

/** The same division has the same key, whatever its circuits are called. */
function canonical(numbers: readonly number[]): string {
  const names = new Map<number, number>();
  return numbers.map((one) => names.get(one) ?? (names.set(one, names.size), names.size - 1)).join(' ');
}

/** Whole counters, the longest first, each to the circuit with the fewest receptacles so far. */
function wholeCounters(inOrder: readonly (readonly Box[])[], n: number): number[] {
  const counts = Array.from({ length: n }, () => 0);
  const owners = inOrder.map(() => 0);
  const longestFirst = inOrder.map((_boxes, i) => i).sort((a, b) => inOrder[b]!.length - inOrder[a]!.length || a - b);
  for (const i of longestFirst) {
    const least = counts.indexOf(Math.min(...counts));
    owners[i] = least;
    counts[least] = counts[least]! + inOrder[i]!.length;
  }
  return inOrder.flatMap((boxes, i) => boxes.map(() => owners[i]!));
}

/** The same division under the names that move the fewest receptacles: greedy by the largest overlap. */
function fewestMoves(numbers: readonly number[], today: readonly number[], n: number): number[] {
  const pairs = Array.from({ length: n * n }, (_, k) => {
    const [part, circuit] = [Math.floor(k / n), k % n];
    return { part, circuit, stay: numbers.filter((one, i) => one === part && today[i] === circuit).length };
  }).sort((a, b) => b.stay - a.stay || a.part - b.part || a.circuit - b.circuit);
  const named = new Map<number, number>();
  const taken = new Set<number>();
  for (const { part, circuit } of pairs)
    if (!named.has(part) && !taken.has(circuit)) {
      named.set(part, circuit);
      taken.add(circuit);
    }
  return numbers.map((one) => named.get(one)!);
}

function split(house: House, counter: Counter, way: CounterSplit['way'], owners: Owners): CounterSplit[] {
  const edited = divideBy(house, counter, owners);
  if (!edited.ok) return [];
  const made = edited.value.house;
  const circuits = counter.circuits.map((circuit) => measure(made, counter, owners, circuit));
  const ids = new Set(counter.circuits.map((one) => one.id));
  const cableFt = wireHouse(made)
    .units.filter(({ unit }) => unit.circuits.some((one) => ids.has(one.id)))
    .reduce((sum, one) => sum + (runAlong(one)?.cableFt ?? 0), 0);
  return [{ way, circuits, peakA: Math.max(...circuits.map((one) => one.peakA)), cableFt, edited: edited.value }];
}

function divideBy(house: House, { outlets }: Counter, owners: Owners): Result<Edited> {
  return edit(house, 'Divide the counter receptacles', (draft) => {
    const changed = new Set<string>();
    for (const { box, device } of outlets) {
      const to = owners.get(box)!.id;
      if (device.circuit === to) continue;
      const from = draft.circuits[device.circuit!]!;
      if (from.gfciFirst === device.id) from.gfciFirst = null;
      changed.add(from.id).add(to);
      draft.boxes[box.id]!.devices[device.id]!.circuit = to;
    }
    // A feed order that somebody drew holds for the boxes of that day only.
    for (const cable of Object.values(draft.cables)) if (changed.has(cable.circuit)) delete draft.cables[cable.id];
  });
}

/** The circuit with what runs on it at its worst: what is known to be there, and the rest of breakfast at neighbors along one counter. */
function measure(house: House, { room, inOrder }: Counter, owners: Owners, circuit: Circuit): CounterCircuit {
  const boxes = inOrder.flat().filter((box) => owners.get(box) === circuit);
  const known = (indexOutlets(house).byCircuit.get(circuit.id) ?? []).flatMap(({ load }) =>
    load && RUNS_THEN.has(useOf(load.kind)) ? [load] : [],
  );
  const placed = new Set((indexOutlets(house).byRoom.get(room.id) ?? []).map(({ load }) => load?.kind));
  const loose = BREAKFAST.filter((kind) => !placed.has(kind)).map((kind) => LOAD_LIBRARY[kind]);
  let worst: typeof loose = [];
  const ampsIn = (some: typeof loose) => some.reduce((sum, one) => sum + one.va / one.volts, 0);
  const heaviestFirst = [...loose].sort((a, b) => b.va - a.va);
  for (const along of inOrder)
    for (let from = 0; from < along.length; from++) {
      const here = along.slice(from, from + loose.length).filter((box) => owners.get(box) === circuit).length;
      const room = along.length < loose.length ? here * 2 : here;
      const some = heaviestFirst.slice(0, room);
      if (ampsIn(some) > ampsIn(worst)) worst = some;
    }
  return {
    circuit,
    boxes,
    peakA: known.reduce((sum, one) => sum + ampsOf(one), 0) + ampsIn(worst),
    running: [...known.map((one) => one.name), ...worst.map((one) => one.name)],
  };
}
