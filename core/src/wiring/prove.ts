import { CONTACTS, type LoadPart, type NetGroup, type Netlist, type Pin, type SwitchPart } from './netlist';

/** What was found wrong, with the positions that show it. */
export interface Flaw {
  readonly kind:
    | 'short'
    | 'neutral-grounded'
    | 'dark'
    | 'lit'
    | 'not-live'
    | 'neutral-missing'
    | 'foreign'
    | 'neutral-switched'
    | 'gfci-mixed'
    | 'not-grounded'
    | 'not-wired';
  readonly message: string;
  /** Position of each switch of the group, in chain order: 0 or 1. */
  readonly positions: readonly number[];
  /** How the current gets there, where it does. */
  readonly path: readonly string[];
}

export interface GroupProof {
  readonly group: NetGroup;
  readonly positions: number;
  readonly flaws: readonly Flaw[];
}

export interface Proof {
  readonly groups: readonly GroupProof[];
  /** Flaws that no switch has to do with. */
  readonly flaws: readonly Flaw[];
  readonly ok: boolean;
}

/** No group has more control points than this; all positions of twelve are 4096. */
const MOST_FLAWS = 4;

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
      if (one.hardware === 'smart' || one.hardware === 'companion') continue;
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

/** A smart switch closes when it and those of its companions that are wired to it have been pressed an odd number of times. */
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
    if (other.hardware === 'companion' && signal && other.at.signal && position.same(signal, other.at.signal))
      if (other.at.line && position.hasHot(other.at.line)) presses ^= positions.get(other.id) ?? 0;
  const powered = !neutral || net.sources.some((s) => s.kind === 'neutral' && position.same(s.point, neutral));
  return presses === 1 && powered;
}

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
        : one.hardware === 'companion'
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

const say = (
  kind: Flaw['kind'],
  message: string,
  positions: readonly number[] = [],
  path: readonly string[] = [],
): Flaw => ({
  kind,
  message,
  positions,
  path,
});

/** What is wrong whatever the group: shorts, mixed neutrals, switched neutrals. */
function checkAlways(net: Netlist, now: Position, positions: readonly number[]): Flaw[] {
  const flaws: Flaw[] = [];
  const { sources } = net;
  for (const [i, a] of sources.entries())
    for (const b of sources.slice(i + 1)) {
      if (!now.same(a.point, b.point)) continue;
      const hots = [a, b].filter((one) => one.kind === 'hot').length;
      if (hots === 2) flaws.push(say('short', 'Two hots are joined.', positions));
      else if (hots === 1)
        flaws.push(
          say('short', `A hot is joined to ${a.kind === 'hot' ? b.kind : a.kind}: the breaker opens.`, positions),
        );
      else
        flaws.push(
          say(
            'neutral-grounded',
            'Neutral and ground are joined after the panel: current runs on the ground.',
            positions,
          ),
        );
    }
  for (const one of net.switches)
    for (const [name, point] of Object.entries(one.at))
      if (name !== 'neutral' && name !== 'ground' && now.sourcesAt(point).some((source) => source.kind === 'neutral'))
        flaws.push(
          say(
            'neutral-switched',
            `The switch at ${one.label} has the neutral on ${name}: it must break the hot (404.2(B)).`,
            positions,
          ),
        );
  return flaws;
}

function checkLive(load: LoadPart, now: Position, positions: readonly number[]): Flaw[] {
  if (now.runs(load)) return [];
  const [a, b] = [now.sourcesAt(load.a), now.sourcesAt(load.b)];
  if (a.some((one) => one.kind === 'hot' && one.id !== load.from))
    return [say('foreign', `${load.label} takes its hot from another circuit or the wrong leg.`, positions)];
  if (!a.some((one) => one.id === load.from))
    return [say('not-live', `${load.label} must always be live and is not.`, positions)];
  if (b.some((one) => one.kind === 'ground'))
    return [say('neutral-grounded', `${load.label} returns by the ground.`, positions)];
  return [say('neutral-missing', `${load.label} has no neutral of its own circuit.`, positions)];
}

/** Opened, a GFCI takes hot and neutral from all behind it; who loses only one of them has its wires mixed. */
function checkGfcis(net: Netlist): Flaw[] {
  return net.gfcis.flatMap((gfci) => {
    const states = [0, 1].map((all) => new Map(net.switches.map((one) => [one.id, all])));
    return states.flatMap((positions) => {
      const open = new Conduction(net, gfci.id).with(positions);
      const closed = new Conduction(net).with(positions);
      return net.loads
        .filter((load) => load.volts === 120 && closed.runs(load))
        .filter((load) => {
          const hot = open.sourcesAt(load.a).some((one) => one.kind === 'hot');
          const neutral = open.sourcesAt(load.b).some((one) => one.kind === 'neutral');
          return hot !== neutral;
        })
        .map((load) =>
          say(
            'gfci-mixed',
            `${load.label} has its hot on one side of the GFCI at ${gfci.label} and its neutral on the other: it will trip at once.`,
          ),
        );
    });
  });
}

/** All positions of a group, with the other groups' switches first all down, then all up. */
function proveGroup(net: Netlist, copper: Conduction, group: NetGroup): GroupProof {
  const n = group.switches.length;
  const flaws: Flaw[] = [];
  const mine = net.loads.filter((load) => load.group === group.id);
  const others = net.loads.filter((load) => load.group !== group.id);
  const parts = new Map(net.switches.map((one) => [one.id, one]));
  const add = (found: readonly Flaw[]) => {
    for (const one of found)
      if (!flaws.some((known) => known.kind === one.kind && known.message === one.message)) flaws.push(one);
  };
  const everLit = mine.map(() => false);
  const single = n === 1 && parts.get(group.switches[0]!)?.hardware !== 'companion';
  for (const rest of [0, 1]) {
    const start = new Map(net.switches.map((one) => [one.id, rest]));
    let litAtZero: boolean[] = [];
    let othersAtZero: boolean[] = [];
    for (let bits = 0; bits < 1 << n && flaws.length < MOST_FLAWS; bits++) {
      const positions = group.switches.map((_, i) => (bits >> i) & 1);
      const all = new Map(start);
      group.switches.forEach((id, i) => all.set(id, positions[i]!));
      const now = copper.with(all);
      const lit = mine.map((load) => now.runs(load));
      if (bits === 0) litAtZero = lit;
      const odd = positions.reduce((sum, one) => sum + one, 0) % 2 === 1;
      mine.forEach((load, i) => {
        const wanted = single ? odd : litAtZero[i] !== odd;
        if (lit[i] === wanted) return;
        const hot = net.sources.find((one) => one.id === load.from)!;
        const neutral = now.sourcesAt(load.b).some((one) => one.id === load.to);
        if (wanted && now.sourcesAt(load.a).some((one) => one.id === load.from) && !neutral)
          add([say('neutral-missing', `${load.label} has no neutral of its own circuit.`, positions)]);
        else if (wanted) add([say('dark', `${load.label} stays dark where it should light.`, positions)]);
        else
          add([
            say(
              'lit',
              `${load.label} lights where it should be dark.`,
              positions,
              tracePath(net, all, hot.point, load.a),
            ),
          ]);
      });
      lit.forEach((on, i) => (everLit[i] ||= on));
      const theirs = others.map((load) => now.runs(load));
      if (bits === 0) othersAtZero = theirs;
      others.forEach((load, i) => {
        if (theirs[i] !== othersAtZero[i])
          add([say('foreign', `${load.label} changes with the switches of ${group.name}.`, positions)]);
      });
      add(checkAlways(net, now, positions));
    }
  }
  // A lamp that never lights has the right parity only by being dead.
  mine.forEach((load, i) => {
    if (!everLit[i])
      add([
        say(
          'dark',
          `${load.label} never lights.`,
          group.switches.map(() => 0),
        ),
      ]);
  });
  for (const load of mine) {
    // Its neutral must be there whether or not it is lit.
    if (
      !copper
        .with(new Map())
        .sourcesAt(load.b)
        .some((one) => one.id === load.to)
    )
      add([say('neutral-missing', `${load.label} has no neutral of its own circuit.`)]);
  }
  if (mine.length === 0) add([say('not-wired', `Nothing of ${group.name} is wired.`)]);
  return { group, positions: 2 ** n, flaws };
}

/** Proves a netlist: every position of every group, everything that must be live, grounds, and the sides of each GFCI. */
export function prove(net: Netlist): Proof {
  const copper = new Conduction(net);
  const groups = net.groups.map((group) => proveGroup(net, copper, group));
  const flaws: Flaw[] = [];
  for (const all of [0, 1]) {
    const now = copper.with(new Map(net.switches.map((one) => [one.id, all])));
    for (const load of net.loads) if (load.group === undefined) flaws.push(...checkLive(load, now, []));
    flaws.push(...checkAlways(net, now, []));
  }
  const now = copper.with(new Map());
  for (const { label, point } of net.grounds)
    if (!now.sourcesAt(point).some((one) => one.kind === 'ground'))
      flaws.push(say('not-grounded', `${label} is not grounded.`));
  flaws.push(...checkGfcis(net));
  const once = flaws.filter((one, i) => flaws.findIndex((other) => other.message === one.message) === i);
  return { groups, flaws: once, ok: once.length === 0 && groups.every((one) => one.flaws.length === 0) };
}
