import { CONTACTS, type Netlist, type Pin } from './netlist';
import { Conduction, isSmartClosed } from './conduction';

/** A closed contact, ohms: what keeps the equations regular; far below any wire. */
const CONTACT_OHMS = 1e-3;
/** Everything leaks a little to ground, so that a loose end has a voltage: ohms. */
const LEAK_OHMS = 1e9;

interface Solution {
  /** Volts of a point against the neutral bar. */
  readonly volts: (pin: Pin) => number;
  /** Volts across each load. */
  readonly across: ReadonlyMap<string, number>;
}

/** A resistance between two nodes, as it is solved and as it is written out. */
interface Resistor {
  readonly name: string;
  readonly a: number;
  readonly b: number;
  readonly ohms: number;
}

/** Every resistance of the circuit in one position of its switches: wires, closed contacts, loads at their rated volts. */
export function resistorsOf(net: Netlist, positions: ReadonlyMap<string, number>): readonly Resistor[] {
  const at = (pin: Pin) => net.node.get(pin)!;
  const list: Resistor[] = net.wires.map(({ id, a, b, ohms }) => ({
    name: `wire ${id}`,
    a: at(a),
    b: at(b),
    ohms: Math.max(ohms, 1e-6),
  }));
  const contact = (name: string, a: Pin | undefined, b: Pin | undefined) => {
    if (a && b) list.push({ name, a: at(a), b: at(b), ohms: CONTACT_OHMS });
  };
  const conducting = new Conduction(net).with(positions);
  for (const one of net.switches) {
    const position = positions.get(one.id) ?? 0;
    if (one.hardware === 'add-on') continue;
    if (one.hardware === 'smart') {
      if (isSmartClosed(net, conducting, one, positions)) contact(`switch ${one.id}`, one.at.line, one.at.load);
      continue;
    }
    CONTACTS[one.hardware][position]!.forEach(([a, b], i) => contact(`switch ${one.id} ${i}`, one.at[a], one.at[b]));
  }
  for (const { id, at: pins } of net.gfcis) {
    contact(`gfci ${id} hot`, pins['line-hot'], pins['load-hot']);
    contact(`gfci ${id} neutral`, pins['line-neutral'], pins['load-neutral']);
  }
  for (const load of net.loads)
    list.push({ name: `load ${load.id}`, a: at(load.a), b: at(load.b), ohms: load.volts ** 2 / load.watts });
  return list.filter((one) => one.a !== one.b);
}

/** Volts everywhere, by Kirchhoff's current law at each node (nodal analysis, Cholesky). Sources are stiff. */
export function solve(net: Netlist, positions: ReadonlyMap<string, number>): Solution {
  const fixed = new Map<number, number>();
  for (const source of net.sources) fixed.set(net.node.get(source.point)!, source.volts);
  const resistors = resistorsOf(net, positions);
  const used = new Set(resistors.flatMap((one) => [one.a, one.b]));
  const free = [...used].filter((node) => !fixed.has(node));
  const index = new Map(free.map((node, i) => [node, i]));
  const n = free.length;
  const matrix = Array.from({ length: n }, () => new Float64Array(n));
  const right = new Float64Array(n);
  for (let i = 0; i < n; i++) matrix[i]![i]! += 1 / LEAK_OHMS;
  for (const { a, b, ohms } of resistors) {
    const g = 1 / ohms;
    for (const [from, to] of [
      [a, b],
      [b, a],
    ] as const) {
      const i = index.get(from);
      if (i === undefined) continue;
      matrix[i]![i]! += g;
      const j = index.get(to);
      if (j === undefined) right[i]! += g * fixed.get(to)!;
      else matrix[i]![j]! -= g;
    }
  }
  const x = cholesky(matrix, right);
  const voltsAt = (node: number) => fixed.get(node) ?? (index.has(node) ? x[index.get(node)!]! : 0);
  const volts = (pin: Pin) => voltsAt(net.node.get(pin)!);
  return { volts, across: new Map(net.loads.map((load) => [load.id, volts(load.a) - volts(load.b)])) };
}

/** Solves a symmetric positive definite system; the matrix is overwritten by its factor. */
function cholesky(a: readonly Float64Array[], b: Float64Array): Float64Array {
  const n = b.length;
  for (let j = 0; j < n; j++) {
    const row = a[j]!;
    let diagonal = row[j]!;
    for (let k = 0; k < j; k++) diagonal -= row[k]! ** 2;
    row[j] = Math.sqrt(diagonal);
    for (let i = j + 1; i < n; i++) {
      const other = a[i]!;
      let sum = other[j]!;
      for (let k = 0; k < j; k++) sum -= other[k]! * row[k]!;
      other[j] = sum / row[j]!;
    }
  }
  const x = Float64Array.from(b);
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i]! -= a[i]![k]! * x[k]!;
    x[i]! /= a[i]![i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i]! -= a[k]![i]! * x[k]!;
    x[i]! /= a[i]![i]!;
  }
  return x;
}
