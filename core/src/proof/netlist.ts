import { RESISTANCE } from '../electrical/tables';
import type { Outlet } from '../circuits/outlets';
import { ampsOf } from '../loads/library';
import type { SwitchHardware } from '../feed/chain';
import { joinsOf, type BoxMakeUp, type UnitWiring } from '../makeup/make-up';
import type { Signal, TerminalName } from '../makeup/signals';
import { given } from '../units/result';

/** A named place in the wiring: an end of a conductor, a screw of a device, a lug of the panel. */
export type Pin = string;

/** A conductor between two pins, with its resistance, ohms. */
export interface Wire {
  readonly id: string;
  readonly label: string;
  readonly a: Pin;
  readonly b: Pin;
  readonly ohms: number;
}
/** A switch with its terminals. */
export interface SwitchPart {
  readonly id: string;
  readonly label: string;
  readonly hardware: SwitchHardware;
  readonly at: Readonly<Partial<Record<TerminalName, Pin>>>;
}
/** Something that takes power between two points. */
export interface LoadPart {
  readonly id: string;
  readonly label: string;
  readonly kind: 'lamp' | 'fan' | 'receptacle' | 'fixed';
  readonly a: Pin;
  readonly b: Pin;
  readonly ground: Pin | undefined;
  /** At its rated volts. */
  readonly watts: number;
  readonly volts: 120 | 240;
  /** Sources that it is meant to lie between. */
  readonly from: string;
  readonly to: string;
  /** The group that switches it; undefined where it is always live. */
  readonly group: string | undefined;
}
/** A GFCI receptacle whose contacts can open. */
export interface GfciPart {
  readonly id: string;
  readonly label: string;
  readonly at: Readonly<Partial<Record<TerminalName, Pin>>>;
}
/** A lug of the panel, volts to the neutral. */
export interface Source {
  readonly id: string;
  readonly kind: 'hot' | 'neutral' | 'ground';
  readonly point: Pin;
  readonly volts: number;
}
/** The switches that work one group of lights. */
export interface NetGroup {
  readonly id: string;
  readonly name: string;
  readonly switches: readonly string[];
}

/** A pin, and where a person finds it. */
interface Place {
  readonly label: string;
  readonly point: Pin;
}

/**
 * What is really there: which points are one piece of metal (the same node number), and the parts between them. It is made from
 * the make-up, not from what was intended; faults are changes of `node`.
 */
export interface Netlist {
  readonly node: ReadonlyMap<Pin, number>;
  readonly wires: readonly Wire[];
  readonly switches: readonly SwitchPart[];
  readonly loads: readonly LoadPart[];
  readonly gfcis: readonly GfciPart[];
  readonly sources: readonly Source[];
  readonly groups: readonly NetGroup[];
  /** Metal that must be grounded. */
  readonly grounds: readonly Place[];
  /** Neutrals that wait at switches for electronic ones: NEC 404.2(C). */
  readonly waiting: readonly Place[];
  /** Terminals by which alarms set each other off. */
  readonly joins: readonly Place[];
}

const loadKind = ({ device }: Outlet): LoadPart['kind'] =>
  device.kind === 'luminaire'
    ? 'lamp'
    : device.kind === 'fan'
      ? 'fan'
      : device.kind === 'receptacle'
        ? 'receptacle'
        : 'fixed';

/** Watts for the solution: of the equipment, the luminaire, or 180 W of a bare receptacle. */
function wattsOf({ device, load }: Outlet): number {
  if (load) return Math.max(1, ampsOf(load) * load.volts);
  if (device.kind === 'luminaire' || device.kind === 'fan' || device.kind === 'alarm') return Math.max(1, device.va);
  return 180;
}

/** Boxes of a group and all boxes on the way from the panel to them. */
export function boxesOnTheWay(wiring: UnitWiring, group: string): ReadonlySet<string> {
  const chain = wiring.plan.chains.find((one) => one.group.group.id === group);
  const wanted = new Set([...(chain?.order ?? []), ...(chain?.group.controls ?? [])].map((one) => one.box.id));
  const keep = new Set<string>();
  for (const node of wiring.tree.nodes)
    if (wanted.has(node.box.id)) for (let at: typeof node | undefined = node; at; at = at.parent) keep.add(at.box.id);
  return keep;
}

/** The part of a unit's wiring that a netlist is made of. */
type Wiring = Pick<UnitWiring, 'unit' | 'runs'> & {
  readonly nodes: UnitWiring['tree']['nodes'];
  readonly needs: UnitWiring['plan']['needs'];
  readonly chains: UnitWiring['plan']['chains'];
  readonly hardware: UnitWiring['plan']['hardware'];
  readonly spare: UnitWiring['plan']['spare'];
};

/** The wiring of a unit, or of those of its boxes that are kept, with the groups that lie wholly in them. */
function partOf({ unit, tree, runs, plan }: UnitWiring, keep: ReadonlySet<string> | undefined): Wiring {
  const { hardware, spare } = plan;
  if (!keep) return { unit, runs, nodes: tree.nodes, needs: plan.needs, chains: plan.chains, hardware, spare };
  return {
    unit,
    nodes: tree.nodes.filter((node) => keep.has(node.box.id)),
    runs: runs.filter((run) => keep.has(run.to.id)),
    needs: plan.needs.filter((one) => keep.has(one.outlet.box.id)),
    chains: plan.chains.filter(({ order, group }) =>
      [...order, ...group.controls].every((one) => keep.has(one.box.id)),
    ),
    hardware,
    spare,
  };
}

/** Numbers the pieces of metal: what is joined in a box is one, and so is each lug, each loose end. */
class Metal {
  readonly node = new Map<Pin, number>();
  #count = 0;

  join(pins: Iterable<Pin>): void {
    const here = this.#count++;
    for (const pin of pins) this.node.set(pin, here);
  }

  /** A piece of its own, unless it is joined to something already. */
  alone(pin: Pin): void {
    if (!this.node.has(pin)) this.node.set(pin, this.#count++);
  }

  /** Puts a pin on the piece that another is of, where there is such a piece. */
  putOn(pin: Pin, other: Pin): void {
    const node = this.node.get(other);
    if (node !== undefined) this.node.set(pin, node);
  }
}

function sourcesOf({ unit }: Wiring): Source[] {
  const source = (id: string, kind: Source['kind'], volts: number): Source => ({
    id,
    kind,
    point: `panel/${id}`,
    volts,
  });
  return [
    ...unit.circuits.flatMap((circuit, i) => [
      source(`hot/${circuit.id}`, 'hot', i === 0 ? 120 : -120),
      ...(circuit.poles === 2 ? [source(`hot/${circuit.id}/2`, 'hot', -120)] : []),
    ]),
    source(`neutral/${unit.id}`, 'neutral', 0),
    source('ground', 'ground', 0),
  ];
}

/** Where a signal comes from at the panel. */
const lugOf = ({ key, kind }: Signal): Pin =>
  kind === 'ground' ? 'panel/ground' : `panel/${key.replace('/line', '')}`;

function wiresOf({ runs }: Wiring, metal: Metal): Wire[] {
  return runs.flatMap((run) =>
    run.cables.flatMap((cable) =>
      cable.conductors.map((conductor): Wire => {
        const [a, b] = [`${conductor.id}.a`, `${conductor.id}.b`];
        // What does not come from the panel has no lug there: its end stays open.
        if (!run.from && conductor.signal) metal.putOn(a, lugOf(conductor.signal));
        for (const end of [a, b]) metal.alone(end);
        return {
          id: conductor.id,
          label: `${conductor.color}, ${run.from?.tag ?? 'panel'} to ${run.to.tag}`,
          a,
          b,
          ohms: (RESISTANCE[run.awg][run.metal === 'copper' ? 1 : 2] * run.lengthIn) / 12_000,
        };
      }),
    ),
  );
}

/** A device with the points where it is connected. */
interface Connected {
  readonly outlet: Outlet;
  readonly points: Partial<Record<TerminalName, Pin>>;
}

function connectedDevices({ needs }: Wiring): ReadonlyMap<string, Connected> {
  const at = new Map<string, Connected>();
  for (const { outlet, terminal } of needs) {
    const { id } = outlet.device;
    let here = at.get(id);
    if (!here) at.set(id, (here = { outlet, points: {} }));
    here.points[terminal] = `${id}.${terminal}`;
  }
  return at;
}

/** What takes power in a device: one part between its hots, one on its switched half, the 120 V part of a range or dryer. */
function loadsOf({ outlet, points }: Connected, { unit }: Wiring, group: string | undefined): LoadPart[] {
  const { id } = outlet.device;
  const circuit = outlet.device.circuit ?? unit.circuits[0]!.id;
  const neutral = points.neutral ?? points['line-neutral'];
  const hot = points.hot ?? points['line-hot'];
  const second = points['hot-2'];
  const common = {
    label: outlet.box.tag,
    kind: loadKind(outlet),
    ground: points.ground,
    from: `hot/${circuit}`,
    to: `neutral/${unit.id}`,
    volts: 120,
    group: undefined,
  } as const;
  const loads: LoadPart[] = [];
  if (second && hot)
    loads.push({ ...common, id, a: hot, b: second, watts: wattsOf(outlet), volts: 240, to: `hot/${circuit}/2`, group });
  if (points.switched && neutral)
    loads.push({ ...common, id: `${id}.switched`, a: points.switched, b: neutral, watts: 90, group });
  if (hot && neutral && !second) {
    const own = points.switched ? undefined : group;
    loads.push({ ...common, id, a: hot, b: neutral, watts: wattsOf(outlet), group: own });
  }
  if (hot && neutral && second) loads.push({ ...common, id: `${id}.120`, a: hot, b: neutral, watts: 60, group });
  return loads;
}

/** The bare wires of cables where they arrive: in a box without metal too they are spliced to the way back (NEC 250.148). */
const groundsOfCables = ({ runs }: Wiring): Place[] =>
  runs.flatMap((run) =>
    run.cables.flatMap(({ conductors }) =>
      conductors.flatMap(({ id, color }) =>
        color === 'bare'
          ? [{ label: `The cable from ${run.from?.tag ?? 'the panel'} to ${run.to.tag}`, point: `${id}.b` }]
          : [],
      ),
    ),
  );

/** Where a neutral lies ready in a switch box that nothing there uses yet. */
const waitingIn = ({ nodes, spare }: Wiring, boxes: ReadonlyMap<string, BoxMakeUp>): Place[] =>
  nodes.flatMap(({ box }) => {
    const neutral = spare.get(box.id);
    const join = neutral && joinsOf(given(boxes.get(box.id))).find((one) => one.signal === neutral.key);
    return join?.ends[0] ? [{ label: box.tag, point: join.ends[0].id }] : [];
  });

/** The netlist of one unit, or of some of its boxes: its cables, and the joins of the boxes that they reach. */
export function netlistOf(
  whole: UnitWiring,
  boxes: ReadonlyMap<string, BoxMakeUp>,
  keep?: ReadonlySet<string>,
): Netlist {
  const wiring = partOf(whole, keep);
  const { unit, nodes, chains, hardware } = wiring;
  const metal = new Metal();
  for (const { box } of nodes)
    for (const { ends, terminals } of joinsOf(boxes.get(box.id)!))
      metal.join([...ends, ...terminals].map((one) => one.id));
  const sources = sourcesOf(wiring);
  for (const { point } of sources) metal.alone(point);
  const wires = wiresOf(wiring, metal);
  const groupOf = new Map(
    chains.flatMap(({ group }) => group.controls.map((one) => [one.device.id, group.group.id] as const)),
  );
  const switches: SwitchPart[] = [];
  const loads: LoadPart[] = [];
  const gfcis: GfciPart[] = [];
  const grounds = groundsOfCables(wiring);
  const joins: Place[] = [];
  for (const [id, device] of connectedDevices(wiring)) {
    const { outlet, points: at } = device;
    const label = outlet.box.tag;
    if (at.ground) grounds.push({ label, point: at.ground });
    if (at.join) joins.push({ label, point: at.join });
    const switching = hardware.get(id);
    if (switching) {
      switches.push({ id, label, hardware: switching, at });
      continue;
    }
    if (unit.gfcis.some((one) => one.device.id === id)) gfcis.push({ id, label, at });
    loads.push(...loadsOf(device, wiring, groupOf.get(id)));
  }
  const groups = chains.map(({ group, order }) => ({
    id: group.group.id,
    name: group.group.name,
    switches: order.map((one) => one.device.id),
  }));
  return {
    node: metal.node,
    wires,
    switches,
    loads,
    gfcis,
    sources,
    groups,
    grounds,
    joins,
    waiting: waitingIn(wiring, boxes),
  };
}

/** Which terminals a switch joins inside, by its position: published behaviour of three-way and four-way switches. */
export const CONTACTS: Readonly<
  Record<'single-pole' | 'two-pole' | 'three-way' | 'four-way', readonly (readonly [TerminalName, TerminalName])[][]>
> = {
  'single-pole': [[], [['line', 'load']]],
  'two-pole': [
    [],
    [
      ['line', 'load'],
      ['line-2', 'load-2'],
    ],
  ],
  'three-way': [[['common', 't1']], [['common', 't2']]],
  'four-way': [
    [
      ['a1', 'b1'],
      ['a2', 'b2'],
    ],
    [
      ['a1', 'b2'],
      ['a2', 'b1'],
    ],
  ],
};
