import { RESISTANCE } from '../electrical/tables';
import type { Outlet } from '../circuits/outlets';
import { ampsOf } from '../loads/library';
import type { SwitchHardware } from '../feed/chain';
import { joinsOf, type BoxMakeUp, type UnitWiring } from '../makeup/make-up';
import type { TerminalName } from '../makeup/signals';

/** A named place in the wiring: an end of a conductor, a screw of a device, a lug of the panel. */
export type Pin = string;

export interface Wire {
  readonly id: string;
  readonly label: string;
  readonly a: Pin;
  readonly b: Pin;
  readonly ohms: number;
}
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
export interface GfciPart {
  readonly id: string;
  readonly label: string;
  readonly at: Readonly<Partial<Record<TerminalName, Pin>>>;
}
export interface Source {
  readonly id: string;
  readonly kind: 'hot' | 'neutral' | 'ground';
  readonly point: Pin;
  readonly volts: number;
}
export interface NetGroup {
  readonly id: string;
  readonly name: string;
  readonly switches: readonly string[];
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
  readonly grounds: readonly { readonly label: string; readonly point: Pin }[];
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

/** The netlist of one unit, or of some of its boxes: its cables, and the joins of the boxes that they reach. */
export function netlistOf(
  whole: UnitWiring,
  boxes: ReadonlyMap<string, BoxMakeUp>,
  keep?: ReadonlySet<string>,
): Netlist {
  const { unit } = whole;
  const wiring = keep
    ? {
        tree: { nodes: whole.tree.nodes.filter((node) => keep.has(node.box.id)) },
        runs: whole.runs.filter((run) => keep.has(run.to.id)),
      }
    : whole;
  const plan = keep
    ? {
        ...whole.plan,
        needs: whole.plan.needs.filter((one) => keep.has(one.outlet.box.id)),
        chains: whole.plan.chains.filter(({ order, group }) =>
          [...order, ...group.controls].every((one) => keep.has(one.box.id)),
        ),
      }
    : whole.plan;
  const node = new Map<Pin, number>();
  let count = 0;
  for (const { box } of wiring.tree.nodes)
    for (const join of joinsOf(boxes.get(box.id)!)) {
      const here = count++;
      for (const end of join.ends) node.set(end.id, here);
      for (const terminal of join.terminals) node.set(terminal.id, here);
    }
  const sources: Source[] = [];
  const source = (id: string, kind: Source['kind'], volts: number) => {
    const point = `panel/${id}`;
    node.set(point, count++);
    sources.push({ id, kind, point, volts });
  };
  unit.circuits.forEach((circuit, i) => {
    source(`hot/${circuit.id}`, 'hot', i === 0 ? 120 : -120);
    if (circuit.poles === 2) source(`hot/${circuit.id}/2`, 'hot', -120);
  });
  source(`neutral/${unit.id}`, 'neutral', 0);
  source('ground', 'ground', 0);
  const lug = (key: string, kind: string) => (kind === 'ground' ? 'panel/ground' : `panel/${key.replace('/line', '')}`);
  const wires: Wire[] = [];
  for (const run of wiring.runs)
    for (const cable of run.cables)
      for (const conductor of cable.conductors) {
        const ohms = (RESISTANCE[run.awg][run.metal === 'copper' ? 1 : 2] * run.lengthIn) / 12_000;
        const a = `${conductor.id}.a`;
        const b = `${conductor.id}.b`;
        // What does not come from the panel has no lug there: its end stays open.
        const from = !run.from && conductor.signal && node.get(lug(conductor.signal.key, conductor.signal.kind));
        if (from !== undefined && from !== false) node.set(a, from);
        for (const end of [a, b]) if (!node.has(end)) node.set(end, count++);
        wires.push({
          id: conductor.id,
          label: `${conductor.color}, ${run.from?.tag ?? 'panel'} to ${run.to.tag}`,
          a,
          b,
          ohms,
        });
      }
  const at = new Map<string, Partial<Record<TerminalName, Pin>>>();
  const outlets = new Map<string, Outlet>();
  for (const { outlet, terminal } of plan.needs) {
    const points = at.get(outlet.device.id) ?? {};
    points[terminal] = `${outlet.device.id}.${terminal}`;
    at.set(outlet.device.id, points);
    outlets.set(outlet.device.id, outlet);
  }
  const switches: SwitchPart[] = [];
  const loads: LoadPart[] = [];
  const gfcis: GfciPart[] = [];
  const grounds: { label: string; point: Pin }[] = [];
  const groupOf = new Map(
    plan.chains.flatMap(({ group }) => group.controls.map((one) => [one.device.id, group.group.id] as const)),
  );
  for (const [id, points] of at) {
    const outlet = outlets.get(id)!;
    const label = outlet.box.tag;
    const hardware = plan.hardware.get(id);
    if (points.ground) grounds.push({ label, point: points.ground });
    if (hardware) {
      switches.push({ id, label, hardware, at: points });
      continue;
    }
    const circuit = outlet.device.circuit ?? unit.circuits[0]!.id;
    const [from, to] = [`hot/${circuit}`, `neutral/${unit.id}`];
    const common = { label, kind: loadKind(outlet), ground: points.ground, from };
    const neutral = points.neutral ?? points['line-neutral'];
    const two = points['hot-2'];
    if (unit.gfcis.some((one) => one.device.id === outlet.device.id)) gfcis.push({ id, label, at: points });
    const hot = points.hot ?? points['line-hot'];
    if (two && hot)
      loads.push({
        ...common,
        id,
        a: hot,
        b: two,
        watts: wattsOf(outlet),
        volts: 240,
        to: `hot/${circuit}/2`,
        group: undefined,
      });
    if (points.switched && neutral)
      loads.push({
        ...common,
        id: `${id}.switched`,
        a: points.switched,
        b: neutral,
        watts: 90,
        volts: 120,
        to,
        group: groupOf.get(id),
      });
    if (hot && neutral && !two)
      loads.push({
        ...common,
        id,
        a: hot,
        b: neutral,
        watts: wattsOf(outlet),
        volts: 120,
        to,
        group: points.switched ? undefined : groupOf.get(id),
      });
    // The 120 V part of a range or dryer.
    if (hot && neutral && two)
      loads.push({ ...common, id: `${id}.120`, a: hot, b: neutral, watts: 60, volts: 120, to, group: undefined });
  }
  const groups = plan.chains.map(({ group, order }) => ({
    id: group.group.id,
    name: group.group.name,
    switches: order.map((one) => one.device.id),
  }));
  return { node, wires, switches, loads, gfcis, sources, groups, grounds };
}

/** Which terminals a switch joins inside, by its position: published behaviour of three-way and four-way switches. */
export const CONTACTS: Readonly<
  Record<'single-pole' | 'three-way' | 'four-way', readonly (readonly [TerminalName, TerminalName])[][]>
> = {
  'single-pole': [[], [['line', 'load']]],
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
