import type { Outlet } from '../circuits/outlets';
import type { House } from '../house/schema';
import { hardwareAt, type Chain, type SwitchHardware } from './chain';
import type { FeedTree } from './feed-tree';
import { neutralAt } from './neutral-at-switch';
import { isCompanion, type WiringUnit } from './unit';

/** What a conductor carries. The key names the net; two conductors with one key may be joined. */
export interface Signal {
  readonly key: string;
  readonly kind: 'hot' | 'neutral' | 'ground' | 'leg' | 'traveler' | 'signal' | 'interconnect';
  /** Which circuit, group or unit it belongs to. */
  readonly of: string;
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

export interface SignalPlan {
  readonly needs: readonly TerminalNeed[];
  /** The same by the box they are in. */
  readonly needsAt: ReadonlyMap<string, readonly TerminalNeed[]>;
  readonly chains: readonly Chain[];
  readonly hardware: ReadonlyMap<string, SwitchHardware>;
  /** Signals on the run to each box from the one before it, by box id; the neutral that is there for later last. */
  readonly crossing: ReadonlyMap<string, readonly Signal[]>;
  /** Neutrals that wait in a box with nothing that uses them yet, by box id. */
  readonly spare: ReadonlyMap<string, Signal>;
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

type Side = 'line' | 'load';

/** Builds the nets of one unit. */
class Nets {
  readonly needs: TerminalNeed[] = [];
  readonly needsAt = new Map<string, TerminalNeed[]>();
  readonly #below = new Set<string>();
  /** Every signal once, by its key: a circuit has few, and its terminals and boxes ask for them again and again. */
  readonly #signals = new Map<string, Signal>();

  constructor(
    readonly unit: WiringUnit,
    tree: FeedTree,
  ) {
    // Everything behind the protecting receptacle, its own box included, is on its load side.
    const { gfci } = unit;
    if (gfci)
      for (const node of tree.nodes)
        if (node.box.id === gfci.box.id || (node.parent && this.#below.has(node.parent.box.id)))
          this.#below.add(node.box.id);
  }

  sideOf(boxes: readonly string[]): Side {
    return boxes.every((box) => this.#below.has(box)) ? 'load' : 'line';
  }

  #after(side: Side): string {
    return side === 'load' ? ', after the GFCI' : '';
  }

  #once(key: string, kind: Signal['kind'], of: string, words: () => string): Signal {
    let signal = this.#signals.get(key);
    if (!signal) this.#signals.set(key, (signal = { key, kind, of, words: words() }));
    return signal;
  }

  hot(circuit: string, side: Side, second = false): Signal {
    return this.#once(`hot/${circuit}/${side}${second ? '/2' : ''}`, 'hot', circuit, () => {
      const many = this.unit.circuits.length > 1;
      const name = many ? ` of ${this.unit.circuits.find((one) => one.id === circuit)!.name}` : '';
      return `${second ? 'second hot' : 'hot'}${name}${this.#after(side)}`;
    });
  }

  neutral(side: Side): Signal {
    const { id } = this.unit;
    return this.#once(`neutral/${id}/${side}`, 'neutral', id, () => `neutral${this.#after(side)}`);
  }

  leg({ group }: Chain): Signal {
    const { id } = group.group;
    return this.#once(`leg/${id}`, 'leg', id, () => `switched ${group.letter}`);
  }

  traveler({ group }: Chain, span: number, which: 1 | 2): Signal {
    const { id } = group.group;
    return this.#once(`traveler/${id}/${span}/${which}`, 'traveler', id, () => `traveler ${which} ${group.letter}`);
  }

  /** What a companion sends to the smart switch. */
  word({ group }: Chain): Signal {
    const { id } = group.group;
    return this.#once(`signal/${id}`, 'signal', id, () => `companion wire ${group.letter}`);
  }

  interconnect(): Signal {
    const { id } = this.unit;
    return this.#once(`join/${id}`, 'interconnect', id, () => 'alarms joined');
  }

  ground(): Signal {
    const { id } = this.unit;
    return (this.#ground ??= { key: `ground/${id}`, kind: 'ground', of: id, words: 'grounds' });
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

function needsOfChain(nets: Nets, chain: Chain): void {
  const { group, order } = chain;
  const side = nets.sideOf([...order, ...group.controls].map((one) => one.box.id));
  const hot = nets.hot(group.circuit, side);
  const last = order.length - 1;
  order.forEach((one, i) => {
    const hardware = hardwareAt(chain, i);
    nets.add(one, 'ground', nets.ground());
    if (hardware === 'single-pole' || hardware === 'smart') {
      nets.add(one, 'line', hot);
      nets.add(one, 'load', nets.leg(chain));
    }
    if (hardware === 'companion') nets.add(one, 'line', hot);
    if ((hardware === 'smart' && order.some(isCompanion)) || hardware === 'companion')
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
    if (one.device.kind === 'switch' && /^(occupancy|astronomic|dusk|smart|companion)$/.test(one.device.style))
      nets.add(one, 'neutral', nets.neutral(side));
  });
  for (const to of group.controls) {
    const half = to.device.kind === 'receptacle' && to.device.switched === 'half';
    nets.add(to, half ? 'switched' : 'hot', nets.leg(chain));
    if (half) nets.add(to, 'hot', nets.hot(group.circuit, side));
    nets.add(to, 'neutral', nets.neutral(side));
    if (to.device.kind !== 'alarm') nets.add(to, 'ground', nets.ground());
  }
}

function needsOfOutlet(nets: Nets, outlet: Outlet, joinsAlarms: boolean): void {
  const { device } = outlet;
  const { unit } = nets;
  const circuit = device.circuit!;
  const side = nets.sideOf([outlet.box.id]);
  if (device.kind !== 'alarm') nets.add(outlet, 'ground', nets.ground());
  if (unit.gfci?.device.id === device.id) {
    nets.add(outlet, 'line-hot', nets.hot(circuit, 'line'));
    nets.add(outlet, 'line-neutral', nets.neutral('line'));
    nets.add(outlet, 'load-hot', nets.hot(circuit, 'load'));
    nets.add(outlet, 'load-neutral', nets.neutral('load'));
    return;
  }
  const gfci = device.kind === 'receptacle' && device.gfci;
  nets.add(outlet, gfci ? 'line-hot' : 'hot', nets.hot(circuit, side));
  const at240 = (device.kind === 'receptacle' || device.kind === 'connection') && device.volts === 240;
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

type Chains = readonly Chain[];

/** What every terminal of a unit needs, and which signals cross each run of its tree. */
export function planSignals(house: House, unit: WiringUnit, tree: FeedTree, chains: Chains): SignalPlan {
  const { nets, spare } = findNeeds(house, unit, tree, chains);
  const hardware = new Map(
    chains.flatMap((chain) => chain.order.map((one, i) => [one.device.id, hardwareAt(chain, i)] as const)),
  );
  return {
    needs: nets.needs,
    needsAt: nets.needsAt,
    chains,
    hardware,
    crossing: crossings(nets, tree, spare),
    spare,
  };
}

/** The needs alone, where what crosses the runs is counted and not written down. */
export function planNeeds(
  house: House,
  unit: WiringUnit,
  tree: FeedTree,
  chains: Chains,
): Pick<SignalPlan, 'needs' | 'spare'> {
  const { nets, spare } = findNeeds(house, unit, tree, chains);
  return { needs: nets.needs, spare };
}

function findNeeds(house: House, unit: WiringUnit, tree: FeedTree, chains: Chains) {
  const nets = new Nets(unit, tree);
  const fed = new Set(tree.nodes.map((node) => node.box.id));
  const live = unit.outlets.filter((one) => fed.has(one.box.id));
  const governed = new Set(chains.flatMap(({ group }) => group.controls.map((one) => one.device.id)));
  for (const chain of chains)
    if ([...chain.order, ...chain.group.controls].every((one) => fed.has(one.box.id))) needsOfChain(nets, chain);
  const alarms = live.filter((one) => one.device.kind === 'alarm' && !one.device.wireless);
  for (const one of live)
    if (one.device.kind !== 'switch' && !governed.has(one.device.id)) needsOfOutlet(nets, one, alarms.length > 1);
  const spare = new Map<string, Signal>();
  const uses = new Set(
    nets.needs.filter((one) => one.signal.kind === 'neutral').map((one) => `${one.outlet.box.id} ${one.signal.key}`),
  );
  const depth = (box: string) => depthOf(tree, box);
  for (const { group, order } of chains) {
    const oneOf: [string, Signal][] = [];
    let served = false;
    for (const one of order) {
      const side = nets.sideOf([...order, ...group.controls].map((each) => each.box.id));
      const neutral = nets.neutral(side);
      if (!fed.has(one.box.id)) continue;
      const { needed } = neutralAt(group, one, house.job.edition);
      const has = uses.has(`${one.box.id} ${neutral.key}`);
      if (needed === 'one' && !has) oneOf.push([one.box.id, neutral]);
      else if (needed === 'one') served = true;
      else if (needed !== 'no' && !has) spare.set(one.box.id, neutral);
    }
    // Where one of several will do, the switch that the feed reaches first has it with the least conductor.
    const nearest = oneOf.sort(([a], [b]) => depth(a) - depth(b))[0];
    if (nearest && !served) spare.set(...nearest);
  }
  return { nets, spare };
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

/** The order in which signals are counted and take the colours of a cable. */
export const inCableOrder = (a: Signal, b: Signal): number => RANK[a.kind] - RANK[b.kind] || (a.key < b.key ? -1 : 1);

/** Whether the panel gives it, so that it crosses the runs from there too. */
export const isFromPanel = ({ kind, key }: Signal): boolean =>
  kind === 'ground' || /^(hot|neutral)\/.*\/line/.test(key);

/** A signal crosses a run when somebody on either side of it needs it; the panel gives what is on the line side. */
function crossings(
  nets: Nets,
  tree: FeedTree,
  spare: ReadonlyMap<string, Signal>,
): ReadonlyMap<string, readonly Signal[]> {
  const { nodes } = tree;
  const at = new Map<string, number>();
  for (let i = 0; i < nodes.length; i++) at.set(nodes[i]!.box.id, i);
  const parents = nodes.map((node) => (node.parent ? at.get(node.parent.box.id)! : -1));
  /** Which nodes need a signal; one may stand there twice. */
  const needed = new Map<Signal, number[]>();
  const add = (signal: Signal, box: string) => {
    const i = at.get(box);
    if (i === undefined || signal.kind === 'ground') return;
    const list = needed.get(signal);
    if (list) list.push(i);
    else needed.set(signal, [i]);
  };
  for (const { signal, outlet } of nets.needs) add(signal, outlet.box.id);
  for (const [box, signal] of spare) add(signal, box);
  const crossing = nodes.map((): Signal[] => []);
  const ordered = [...needed.keys()].sort(inCableOrder);
  /** How many boxes at and below each node need the signal. */
  const counts = new Uint16Array(nodes.length);
  for (const signal of ordered) {
    counts.fill(0);
    let all = isFromPanel(signal) ? 1 : 0;
    for (const i of needed.get(signal)!) {
      if (counts[i] === 0) all++;
      counts[i] = 1;
    }
    // Children stand behind their parents, so from the end each is done before the box that feeds it.
    for (let i = nodes.length - 1; i >= 0; i--) {
      const count = counts[i]!;
      const parent = parents[i]!;
      if (parent >= 0) counts[parent]! += count;
      if (count > 0 && count < all) crossing[i]!.push(signal);
    }
  }
  // The ground comes from the panel and goes to every box.
  for (const list of crossing) list.push(nets.ground());
  return new Map(nodes.map((node, i) => [node.box.id, crossing[i]!]));
}
