import { voltsAt, type Outlet } from '../circuits/outlets';
import type { Box, House } from '../house/schema';
import { hardwareAt, type Chain, type SwitchHardware } from '../feed/chain';
import type { FeedTree } from '../feed/feed-tree';
import { gfciSides, type GfciSides } from '../feed/gfci-sides';
import { neutralAt } from './neutral-at-switch';
import { isCompanion, isTwoPole, type WiringUnit } from '../feed/unit';

/** What a conductor carries. The key names the net; two conductors with one key may be joined. */
export interface Signal {
  readonly key: string;
  readonly kind: 'hot' | 'neutral' | 'ground' | 'leg' | 'traveler' | 'signal' | 'interconnect';
  /** Which circuit, group or unit it belongs to. */
  readonly of: string;
  /**
   * The neutral by which its current comes back, named by the GFCI receptacle that it hangs on. What is on one side goes out and comes
   * back among itself on every run, so that it belongs in one cable: 300.3(B).
   */
  readonly side: string;
  /** What is said of it on a card. */
  readonly words: string;
}

/** A screw or lead of a device, and the net that belongs on it. */
export interface TerminalNeed {
  readonly outlet: Outlet;
  readonly terminal: TerminalName;
  readonly signal: Signal;
}
export type TerminalName =
  | 'hot'
  | 'hot-2'
  | 'switched'
  | 'neutral'
  | 'ground'
  | 'line'
  | 'load'
  | 'line-2'
  | 'load-2'
  | 'common'
  | 't1'
  | 't2'
  | 'a1'
  | 'a2'
  | 'b1'
  | 'b2'
  | 'line-hot'
  | 'line-neutral'
  | 'load-hot'
  | 'load-neutral'
  | 'signal'
  | 'join';

/** What the terminals of a unit need. It follows from the order of the switches, and from what is behind what. */
export interface Needs {
  readonly chains: readonly Chain[];
  readonly needs: readonly TerminalNeed[];
  /** The same by the box they are in. */
  readonly needsAt: ReadonlyMap<string, readonly TerminalNeed[]>;
  /** Neutrals that wait in a box with nothing that uses them yet, by box id. */
  readonly spare: ReadonlyMap<string, Signal>;
  readonly ground: Signal;
}

/** What terminals need, with what crosses each run. */
export interface SignalPlan extends Needs {
  readonly hardware: ReadonlyMap<string, SwitchHardware>;
  /** Signals on the run to each box of the tree from the one before it; the ground goes along everywhere. */
  readonly crossing: readonly (readonly Signal[])[];
}

/** Appliances that take 120 V as well: three conductors and ground, *common practice*. */
const BOTH_VOLTAGES: ReadonlySet<string> = new Set([
  'range',
  'cooktop',
  'induction-cooktop',
  'oven',
  'double-oven',
  'dryer',
  'heat-pump-dryer',
  'hot-tub',
]);

/** Whether a 240 V outlet wants a neutral too. A bare 30 or 50 A receptacle is taken for four wires. */
export function wantsNeutral({ device, load }: Outlet): boolean {
  if (load) return BOTH_VOLTAGES.has(load.kind);
  return device.kind === 'receptacle' && (device.ratingA === 30 || device.ratingA === 50);
}

/** The GFCI receptacle on whose LOAD terminals something hangs; undefined on the LINE side of all. */
type Side = Outlet | undefined;

/** A box and all that it feeds. */
export function boxesBehind({ nodes }: Pick<FeedTree, 'nodes'>, box: Box): ReadonlySet<Box> {
  const behind = new Set([box]);
  for (const node of nodes) if (node.parent && behind.has(node.parent.box)) behind.add(node.box);
  return behind;
}

/** Builds the nets of one unit. */
class Nets {
  readonly needs: TerminalNeed[] = [];
  readonly needsAt = new Map<string, TerminalNeed[]>();
  readonly sides: GfciSides;
  /** Every signal once, by its key: a circuit has few, and its terminals and boxes ask for them again and again. */
  readonly #signals = new Map<string, Signal>();

  constructor(
    readonly unit: WiringUnit,
    tree: FeedTree,
  ) {
    this.sides = gfciSides(unit, tree);
  }

  /** The part of a net's key that says its side. The first in line needs no name: most circuits have no other. */
  #keyOf(side: Side): string {
    if (!side) return 'line';
    return side === this.unit.gfci ? 'load' : `load:${side.device.id}`;
  }

  #after(side: Side): string {
    if (!side) return '';
    return this.unit.gfcis.length > 1 ? `, after the GFCI at ${side.box.tag}` : ', after the GFCI';
  }

  #once(key: string, side: () => string, rest: Pick<Signal, 'kind' | 'of'>, words: () => string): Signal {
    let signal = this.#signals.get(key);
    if (!signal) this.#signals.set(key, (signal = { key, side: side(), ...rest, words: words() }));
    return signal;
  }

  hot(circuit: string, side: Side, second = false): Signal {
    const sideKey = this.#keyOf(side);
    const key = `hot/${circuit}/${sideKey}${second ? '/2' : ''}`;
    return this.#once(
      key,
      () => sideKey,
      { kind: 'hot', of: circuit },
      () => {
        const many = this.unit.circuits.length > 1;
        const name = many ? ` of ${this.unit.circuits.find((one) => one.id === circuit)!.name}` : '';
        return `${second ? 'second hot' : 'hot'}${name}${this.#after(side)}`;
      },
    );
  }

  neutral(side: Side): Signal {
    const of = this.unit.id;
    const sideKey = this.#keyOf(side);
    const words = () => `neutral${this.#after(side)}`;
    return this.#once(`neutral/${of}/${sideKey}`, () => sideKey, { kind: 'neutral', of }, words);
  }

  /** What runs between the members of a group. */
  #ofGroup(chain: Chain, kind: Signal['kind'], key: string, words: string): Signal {
    const of = chain.group.group.id;
    const side = () => this.#keyOf(this.sides.of(membersOf(chain)));
    return this.#once(key, side, { kind, of }, () => `${words} ${chain.group.letter}`);
  }

  leg(chain: Chain, second = false): Signal {
    const key = `leg/${chain.group.group.id}`;
    if (!second) return this.#ofGroup(chain, 'leg', key, 'switched');
    const words = () => `switched ${chain.group.letter}, second pole`;
    const { side, kind, of } = this.leg(chain);
    return this.#once(`${key}/2`, () => side, { kind, of }, words);
  }

  traveler(chain: Chain, span: number, which: 1 | 2): Signal {
    const key = `traveler/${chain.group.group.id}/${span}/${which}`;
    return this.#ofGroup(chain, 'traveler', key, `traveler ${which}`);
  }

  /** What an add-on switch sends to the smart switch. */
  word(chain: Chain): Signal {
    return this.#ofGroup(chain, 'signal', `signal/${chain.group.group.id}`, 'add-on wire');
  }

  interconnect(): Signal {
    const of = this.unit.id;
    return this.#once(
      `join/${of}`,
      () => 'line',
      { kind: 'interconnect', of },
      () => 'alarms joined',
    );
  }

  ground(): Signal {
    const { id } = this.unit;
    return (this.#ground ??= { key: `ground/${id}`, kind: 'ground', of: id, side: 'ground', words: 'grounds' });
  }
  #ground: Signal | undefined;

  add(outlet: Outlet, terminal: TerminalName, signal: Signal): void {
    const need = { outlet, terminal, signal };
    this.needs.push(need);
    const here = this.needsAt.get(outlet.box.id);
    if (here) here.push(need);
    else this.needsAt.set(outlet.box.id, [need]);
  }
}

/** What is wired together in one group: its switches and what they control. */
const membersOf = ({ group, order }: Chain): readonly Outlet[] => [...order, ...group.controls];

function needsOfChain(nets: Nets, chain: Chain): void {
  const { group, order } = chain;
  const side = nets.sides.of(membersOf(chain));
  const hot = nets.hot(group.circuit, side);
  const last = order.length - 1;
  order.forEach((one, i) => {
    const hardware = hardwareAt(chain, i);
    nets.add(one, 'ground', nets.ground());
    if (hardware === 'single-pole' || hardware === 'smart') {
      nets.add(one, 'line', hot);
      nets.add(one, 'load', nets.leg(chain));
    }
    if (hardware === 'two-pole') {
      nets.add(one, 'line', hot);
      nets.add(one, 'line-2', nets.hot(group.circuit, side, true));
      nets.add(one, 'load', nets.leg(chain));
      nets.add(one, 'load-2', nets.leg(chain, true));
    }
    if (hardware === 'add-on') nets.add(one, 'line', hot);
    if ((hardware === 'smart' && order.some(isCompanion)) || hardware === 'add-on')
      nets.add(one, 'signal', nets.word(chain));
    if (hardware === 'three-way') {
      nets.add(one, 'common', i === 0 ? hot : nets.leg(chain));
      const span = i === 0 ? 0 : last - 1;
      nets.add(one, 't1', nets.traveler(chain, span, 1));
      nets.add(one, 't2', nets.traveler(chain, span, 2));
    }
    if (hardware === 'four-way')
      for (const [terminal, span, which] of [
        ['a1', i - 1, 1],
        ['a2', i - 1, 2],
        ['b1', i, 1],
        ['b2', i, 2],
      ] as const)
        nets.add(one, terminal, nets.traveler(chain, span, which));
    if (one.device.kind === 'switch' && /^(occupancy|astronomic|dusk|smart|add-on)$/.test(one.device.style))
      nets.add(one, 'neutral', nets.neutral(side));
  });
  for (const to of group.controls) {
    const half = to.device.kind === 'receptacle' && to.device.switched === 'half';
    nets.add(to, half ? 'switched' : 'hot', nets.leg(chain));
    if (half) nets.add(to, 'hot', nets.hot(group.circuit, side));
    // At 240 V the second hot comes unswitched, or by the second pole; a neutral only where the equipment takes one.
    if (voltsAt(to) === 240)
      nets.add(to, 'hot-2', order.some(isTwoPole) ? nets.leg(chain, true) : nets.hot(group.circuit, side, true));
    if (voltsAt(to) === 120 || wantsNeutral(to)) nets.add(to, 'neutral', nets.neutral(side));
    if (to.device.kind !== 'alarm') nets.add(to, 'ground', nets.ground());
  }
}

function needsOfOutlet(nets: Nets, outlet: Outlet, joinsAlarms: boolean): void {
  const { device } = outlet;
  const { unit } = nets;
  const circuit = device.circuit!;
  if (device.kind !== 'alarm') nets.add(outlet, 'ground', nets.ground());
  const feeding = unit.gfcis.find((one) => one.device.id === device.id);
  if (feeding) {
    const before = nets.sides.before(feeding);
    nets.add(outlet, 'line-hot', nets.hot(circuit, before));
    nets.add(outlet, 'line-neutral', nets.neutral(before));
    nets.add(outlet, 'load-hot', nets.hot(circuit, feeding));
    nets.add(outlet, 'load-neutral', nets.neutral(feeding));
    return;
  }
  const side = nets.sides.of([outlet]);
  const gfci = device.kind === 'receptacle' && device.gfci;
  nets.add(outlet, gfci ? 'line-hot' : 'hot', nets.hot(circuit, side));
  const at240 = voltsAt(outlet) === 240;
  if (at240) nets.add(outlet, 'hot-2', nets.hot(circuit, side, true));
  if (!at240 || wantsNeutral(outlet)) nets.add(outlet, gfci ? 'line-neutral' : 'neutral', nets.neutral(side));
  if (device.kind === 'alarm' && !device.wireless && joinsAlarms) nets.add(outlet, 'join', nets.interconnect());
}

/** Runs between a box and the panel. */
function depthOf(tree: FeedTree, box: string): number {
  let depth = 0;
  for (let node = tree.nodes.find((one) => one.box.id === box); node?.parent; node = node.parent) depth++;
  return depth;
}

/** What every terminal of a unit needs, and which signals cross each run of its tree. */
export function planSignals(tree: FeedTree, needs: Needs): SignalPlan {
  const hardware = new Map<string, SwitchHardware>();
  for (const chain of needs.chains) chain.order.forEach((one, i) => hardware.set(one.device.id, hardwareAt(chain, i)));
  return { ...needs, hardware, crossing: crossings(tree, needs) };
}

/** What every terminal of a unit needs along a tree, the switches of each group being in this order. */
export function findNeeds(house: House, unit: WiringUnit, tree: FeedTree, chains: readonly Chain[]): Needs {
  const nets = new Nets(unit, tree);
  const isFed = (one: Outlet) => !tree.unfed.includes(one.box);
  const live = unit.outlets.filter(isFed);
  const governed = new Set<string>();
  for (const { group } of chains) for (const one of group.controls) governed.add(one.device.id);
  for (const chain of chains) if (membersOf(chain).every(isFed)) needsOfChain(nets, chain);
  const alarms = live.filter((one) => one.device.kind === 'alarm' && !one.device.wireless);
  for (const one of live)
    if (one.device.kind !== 'switch' && !governed.has(one.device.id)) needsOfOutlet(nets, one, alarms.length > 1);
  const spare = new Map<string, Signal>();
  const depth = (box: string) => depthOf(tree, box);
  for (const chain of chains) {
    const { group, order } = chain;
    const neutral = nets.neutral(nets.sides.of(membersOf(chain)));
    const oneOf: [string, Signal][] = [];
    let served = false;
    for (const one of order) {
      if (!isFed(one)) continue;
      const { needed } = neutralAt(group, one, house.job.edition);
      const has = nets.needsAt.get(one.box.id)?.some(({ signal }) => signal === neutral) ?? false;
      if (needed === 'one' && !has) oneOf.push([one.box.id, neutral]);
      else if (needed === 'one') served = true;
      else if (needed !== 'no' && !has) spare.set(one.box.id, neutral);
    }
    // Where one of several will do, the switch that the feed reaches first has it with the least conductor.
    const nearest = oneOf.sort(([a], [b]) => depth(a) - depth(b))[0];
    if (nearest && !served) spare.set(...nearest);
  }
  return { chains, needs: nets.needs, needsAt: nets.needsAt, spare, ground: nets.ground() };
}

const RANK: Readonly<Record<Signal['kind'], number>> = {
  hot: 0,
  leg: 1,
  traveler: 2,
  signal: 3,
  interconnect: 4,
  neutral: 5,
  ground: 6,
};

/** The order in which signals are counted and take the colors of a cable. */
export const inCableOrder = (a: Signal, b: Signal): number => RANK[a.kind] - RANK[b.kind] || (a.key < b.key ? -1 : 1);

/** Whether the panel gives it, so that it crosses the runs from there too. */
export const isFromPanel = ({ kind, key }: Signal): boolean =>
  kind === 'ground' || /^(hot|neutral)\/.*\/line/.test(key);

/** A signal crosses a run when somebody on either side of it needs it; the panel gives what is on the line side. */
function crossings({ nodes }: FeedTree, { needsAt, spare }: Needs): readonly (readonly Signal[])[] {
  /** Which nodes need a signal; one may stand there twice. */
  const needed = new Map<Signal, number[]>();
  const add = (signal: Signal, node: number) => {
    if (signal.kind === 'ground') return;
    const list = needed.get(signal);
    if (list) list.push(node);
    else needed.set(signal, [node]);
  };
  for (const { at, box } of nodes) {
    for (const { signal } of needsAt.get(box.id) ?? []) add(signal, at);
    const waiting = spare.get(box.id);
    if (waiting) add(waiting, at);
  }
  const crossing = nodes.map((): Signal[] => []);
  /** How many boxes at and below each node need the signal. */
  const counts = new Uint16Array(nodes.length);
  for (const signal of [...needed.keys()].sort(inCableOrder)) {
    counts.fill(0);
    let all = isFromPanel(signal) ? 1 : 0;
    for (const i of needed.get(signal)!) {
      if (counts[i] === 0) all++;
      counts[i] = 1;
    }
    // Children stand behind their parents, so from the end each is done before the box that feeds it.
    for (let i = nodes.length - 1; i >= 0; i--) {
      const count = counts[i]!;
      const parent = nodes[i]!.parent;
      if (parent) counts[parent.at]! += count;
      if (count > 0 && count < all) crossing[i]!.push(signal);
    }
  }
  return crossing;
}
