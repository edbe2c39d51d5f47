import { CONTACTS, type LoadPart, type Netlist, type Pin, type SwitchPart } from './netlist';

/** Sets of points that are joined: a union-find over few nodes, copied for each position. */
class Joined {
  constructor(readonly parent: Int32Array) {}
  find(node: number): number {
    let at = node;
    while (this.parent[at] !== at) at = this.parent[at] = this.parent[this.parent[at]!]!;
    return at;
  }
  join(a: number, b: number): void {
    this.parent[this.find(a)] = this.find(b);
  }
  copy(): Joined {
    return new Joined(this.parent.slice());
  }
}

/** A netlist with its copper drawn together, ready for any positions of its switches. */
export class Conduction {
  readonly #node: ReadonlyMap<Pin, number>;
  readonly #copper: Joined;

  constructor(
    readonly net: Netlist,
    openGfci?: string,
  ) {
    this.#node = net.node;
    const size = Math.max(-1, ...net.node.values()) + 1;
    this.#copper = new Joined(Int32Array.from({ length: size }, (_, i) => i));
    for (const wire of net.wires) this.#copper.join(this.at(wire.a), this.at(wire.b));
    for (const { id, at } of net.gfcis) {
      if (id === openGfci || !at['line-hot']) continue;
      if (at['load-hot']) this.#copper.join(this.at(at['line-hot']), this.at(at['load-hot']));
      if (at['load-neutral'] && at['line-neutral'])
        this.#copper.join(this.at(at['line-neutral']), this.at(at['load-neutral']));
    }
  }

  at(point: Pin): number {
    const node = this.#node.get(point);
    if (node === undefined) throw new Error(`No point "${point}" in the netlist`);
    return node;
  }

  /** What is joined when the switches stand so; those not named stand at 0. */
  with(positions: ReadonlyMap<string, number>): Position {
    const joined = this.#copper.copy();
    for (const one of this.net.switches) {
      if (one.hardware === 'smart' || one.hardware === 'add-on') continue;
      for (const [a, b] of CONTACTS[one.hardware][positions.get(one.id) ?? 0]!) {
        const [from, to] = [one.at[a], one.at[b]];
        if (from && to) joined.join(this.at(from), this.at(to));
      }
    }
    const position = new Position(this, joined);
    this.#smart(position, positions);
    return position;
  }

  #smart(position: Position, positions: ReadonlyMap<string, number>): void {
    for (const one of this.net.switches)
      if (one.at.line && one.at.load && isSmartClosed(this.net, position, one, positions))
        position.join(one.at.line, one.at.load);
  }
}

/** A smart switch closes when it and those of its add-on switches that are wired to it have been pressed an odd number of times. */
export function isSmartClosed(
  net: Netlist,
  position: Position,
  one: SwitchPart,
  positions: ReadonlyMap<string, number>,
): boolean {
  if (one.hardware !== 'smart') return false;
  const { signal, neutral } = one.at;
  let presses = positions.get(one.id) ?? 0;
  for (const other of net.switches)
    if (other.hardware === 'add-on' && signal && other.at.signal && position.same(signal, other.at.signal))
      if (other.at.line && position.hasHot(other.at.line)) presses ^= positions.get(other.id) ?? 0;
  const powered = !neutral || net.sources.some((s) => s.kind === 'neutral' && position.same(s.point, neutral));
  return presses === 1 && powered;
}

/** What is joined with what while the switches stand in one way. */
export class Position {
  readonly #of: Conduction;
  readonly #joined: Joined;
  constructor(of: Conduction, joined: Joined) {
    this.#of = of;
    this.#joined = joined;
  }
  same(a: Pin, b: Pin): boolean {
    return this.#joined.find(this.#of.at(a)) === this.#joined.find(this.#of.at(b));
  }
  join(a: Pin, b: Pin): void {
    this.#joined.join(this.#of.at(a), this.#of.at(b));
  }
  hasHot(point: Pin): boolean {
    return this.#of.net.sources.some((one) => one.kind === 'hot' && this.same(one.point, point));
  }
  /** Sources that a point is joined with. */
  sourcesAt(point: Pin): Netlist['sources'] {
    return this.#of.net.sources.filter((one) => this.same(one.point, point));
  }
  runs({ a, b, from, to }: LoadPart): boolean {
    const [hots, returns] = [this.sourcesAt(a), this.sourcesAt(b)];
    return hots.some((one) => one.id === from) && returns.some((one) => one.id === to);
  }
}

/** The way from a source to a point through wires and closed switches, as a person would trace it. */
export function tracePath(net: Netlist, positions: ReadonlyMap<string, number>, from: Pin, to: Pin): readonly string[] {
  const links = new Map<number, { to: number; label: string }[]>();
  const link = (a: Pin, b: Pin, label: string) => {
    const [x, y] = [net.node.get(a)!, net.node.get(b)!];
    for (const [p, q] of [
      [x, y],
      [y, x],
    ] as const)
      links.set(p, [...(links.get(p) ?? []), { to: q, label }]);
  };
  for (const wire of net.wires) link(wire.a, wire.b, wire.label);
  for (const { at, label } of net.gfcis)
    if (at['line-hot'] && at['load-hot']) link(at['line-hot'], at['load-hot'], `GFCI ${label}`);
  for (const one of net.switches) {
    const contacts: readonly (readonly [keyof typeof one.at, keyof typeof one.at])[] =
      one.hardware === 'smart'
        ? [['line', 'load']]
        : one.hardware === 'add-on'
          ? []
          : CONTACTS[one.hardware][positions.get(one.id) ?? 0]!;
    for (const [a, b] of contacts)
      if (one.at[a] && one.at[b]) link(one.at[a], one.at[b], `${one.hardware} ${one.label}`);
  }
  const [start, end] = [net.node.get(from)!, net.node.get(to)!];
  const came = new Map<number, { from: number; label: string }>([[start, { from: -1, label: '' }]]);
  const queue = [start];
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    if (at === end) break;
    for (const next of links.get(at) ?? [])
      if (!came.has(next.to)) {
        came.set(next.to, { from: at, label: next.label });
        queue.push(next.to);
      }
  }
  const path: string[] = [];
  for (let at = end; came.has(at) && at !== start; at = came.get(at)!.from) path.unshift(came.get(at)!.label);
  return path;
}
