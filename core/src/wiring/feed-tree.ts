import { cableBetween, spotOfBox, spotOfPanel, type Spot } from '../circuits/cable-run';
import type { Box, Cable, Circuit, House } from '../house/schema';
import type { Outlet } from '../circuits/outlets';
import { groupBy } from '../units/group-by';
import { wiringUnits, type WiringUnit } from './unit';

/** A box on the way of the power, with the run of cable that brings it. */
export interface FeedNode {
  readonly box: Box;
  /** The box before it; undefined at the panel. */
  readonly parent: FeedNode | undefined;
  readonly lengthIn: number;
  /** Id of the run; a stored one keeps its own. */
  readonly run: string;
}

/** Feed order of a circuit: a tree from the panel; parents before their children. */
export interface FeedTree {
  readonly nodes: readonly FeedNode[];
  /** Boxes that the stored cables do not reach. */
  readonly unfed: readonly Box[];
  /** Somebody decided it; otherwise it follows a scheme. */
  readonly stored: boolean;
  /** The scheme that it follows; undefined where somebody decided, or where it was sought. */
  readonly scheme?: Scheme | undefined;
}

/** Cables at a box beyond which another way is looked for, so that boxes do not fill up: *common practice*. */
const MOST_CABLES = 3;

/** Where each box is to take its power from: a box, or null for the panel. */
export type Parents = ReadonlyMap<string, string | null>;

export const boxesOf = (unit: WiringUnit): Box[] => [...new Set(unit.outlets.map((one) => one.box))];

/** Place of the panel; of its first box where no panel is drawn. */
export const startOf = (house: House, unit: WiringUnit, boxes: readonly Box[]): Spot =>
  unit.panel ? spotOfPanel(house, unit.panel) : spotOfBox(house, boxes[0]!);

/** Lengths between boxes, and from the panel (null), remembered while a tree is sought. Inches. */
export function lengthsOf(house: House, unit: WiringUnit, boxes: readonly Box[]) {
  const spots = new Map<string | null, Spot>(boxes.map((box) => [box.id, spotOfBox(house, box)]));
  if (boxes.length > 0) spots.set(null, startOf(house, unit, boxes));
  return (from: string | null, to: string): number => cableBetween(spots.get(from)!, spots.get(to)!);
}
export type Lengths = ReturnType<typeof lengthsOf>;

/** A tree that grows box by box, each from the nearest box that may feed it, three cables a box where it can be. */
export class Growth {
  readonly parents = new Map<string, string | null>();
  readonly #cables = new Map<string, number>();

  constructor(readonly lengths: Lengths) {}

  has(box: Box): boolean {
    return this.parents.has(box.id);
  }

  #costOf(from: Box, to: Box): number {
    return this.lengths(from.id, to.id) + (this.#isFull(from) ? 1e6 : 0);
  }

  attach(box: Box, from: Box | undefined): void {
    this.parents.set(box.id, from?.id ?? null);
    this.#cables.set(box.id, 1);
    if (from) this.#cables.set(from.id, (this.#cables.get(from.id) ?? 0) + 1);
  }

  #isFull(box: Box): boolean {
    return (this.#cables.get(box.id) ?? 0) >= MOST_CABLES;
  }

  /** All of a set of boxes, the nearest each time (Prim), from the boxes given and from those that have come since. */
  spread(boxes: readonly Box[], from: readonly Box[]): void {
    const sources = [...from];
    const left = boxes.filter((box) => !this.has(box));
    const wants: (Box | undefined)[] = left.map(() => undefined);
    const costs = left.map(() => Infinity);
    const look = (i: number) => {
      const box = left[i]!;
      wants[i] = undefined;
      costs[i] = sources.length === 0 ? this.lengths(null, box.id) : Infinity;
      for (const source of sources) {
        const cost = this.#costOf(source, box);
        if (cost < costs[i]!) [wants[i], costs[i]] = [source, cost];
      }
    };
    for (let i = 0; i < left.length; i++) look(i);
    while (left.length > 0) {
      let next = 0;
      for (let i = 1; i < left.length; i++) if (costs[i]! < costs[next]!) next = i;
      const [box, source] = [left[next]!, wants[next]];
      for (const list of [left, wants, costs]) list.splice(next, 1);
      this.attach(box, source);
      sources.push(box);
      const full = source !== undefined && this.#isFull(source) ? source : undefined;
      for (let i = 0; i < left.length; i++) {
        // Who wanted the box that is full now, or had only the panel to come from, looks again.
        if (wants[i] === undefined || wants[i] === full) look(i);
        else {
          const cost = this.#costOf(box, left[i]!);
          if (cost < costs[i]!) [wants[i], costs[i]] = [box, cost];
        }
      }
    }
  }
}

/** How the power goes: first to the switches, first to the lights, or over whatever is nearest. */
export const SCHEMES = ['switch-first', 'light-first', 'shortest'] as const;
export type Scheme = (typeof SCHEMES)[number];

const nearest = <T>(list: readonly T[], cost: (one: T) => number): T =>
  list.reduce((best, one) => (cost(one) < cost(best) ? one : best));

/** Boxes that need power whatever the switches do. */
function liveBoxes(unit: WiringUnit): Box[] {
  const governed = new Set(unit.groups.flatMap(({ controls }) => controls.map((one) => one.device.id)));
  const live = unit.outlets.filter(
    ({ device }) =>
      device.kind !== 'switch' &&
      (!governed.has(device.id) || (device.kind === 'receptacle' && device.switched === 'half')),
  );
  return [...new Set(live.filter((one) => !isJoined(one)).map((one) => one.box))];
}
const isJoined = ({ device }: Outlet) => device.kind === 'alarm' && !device.wireless;

/** Alarms hang together, so that the wire that joins them runs nowhere else. */
function addAlarms(growth: Growth, unit: WiringUnit, backbone: readonly Box[]): void {
  const alarms = [...new Set(unit.outlets.filter(isJoined).map((one) => one.box))];
  const [first] = alarms;
  if (!first) return;
  const entry =
    backbone.length > 0
      ? nearest(alarms, (box) => Math.min(...backbone.map((from) => growth.lengths(from.id, box.id))))
      : nearest(alarms, (box) => growth.lengths(null, box.id));
  growth.spread([entry], backbone);
  growth.spread(alarms, [entry]);
}

/**
 * The way most houses are roped: power over receptacles to one switch of each group, from there to its other switches, and from
 * the last of them to the lights. *Common practice*. What a group needs crosses only its own runs.
 */
function switchFirst(unit: WiringUnit, lengths: Lengths): Parents {
  const growth = new Growth(lengths);
  if (unit.gfci) growth.attach(unit.gfci.box, undefined);
  const chains = unit.groups.map(({ switches, controls }) => {
    const toLamps = (one: Outlet) => Math.min(...controls.map((to) => lengths(one.box.id, to.box.id)));
    const last = nearest(switches, toLamps);
    const rest = switches.filter((one) => one !== last);
    const first = rest.length > 0 ? nearest(rest, (one) => lengths(null, one.box.id)) : last;
    return { first, last, between: rest.filter((one) => one !== first), controls };
  });
  const backbone = [...new Set([...liveBoxes(unit), ...chains.map((one) => one.first.box)])];
  growth.spread(backbone, unit.gfci ? [unit.gfci.box] : []);
  addAlarms(growth, unit, [...new Set([...(unit.gfci ? [unit.gfci.box] : []), ...backbone])]);
  for (const { first, last, between, controls } of chains) {
    let at = first;
    const left = new Set(between);
    while (left.size > 0 || at !== last) {
      const next = left.size > 0 ? nearest([...left], (one) => lengths(at.box.id, one.box.id)) : last;
      left.delete(next);
      if (!growth.has(next.box)) growth.attach(next.box, at.box);
      at = next;
    }
    growth.spread([...new Set(controls.map((one) => one.box))], [last.box]);
  }
  return growth.parents;
}

/** Power over receptacles and lights; switches hang at the end of a cable from the nearest light of their group. */
function lightFirst(unit: WiringUnit, lengths: Lengths): Parents {
  const growth = new Growth(lengths);
  if (unit.gfci) growth.attach(unit.gfci.box, undefined);
  const lamps = unit.groups.flatMap(({ controls }) => controls.map((one) => one.box));
  const backbone = [...new Set([...liveBoxes(unit), ...lamps])];
  growth.spread(backbone, unit.gfci ? [unit.gfci.box] : []);
  addAlarms(growth, unit, backbone);
  for (const { switches, controls } of unit.groups)
    growth.spread([...new Set(switches.map((one) => one.box))], [...new Set(controls.map((one) => one.box))]);
  return growth.parents;
}

/** The parents that a scheme gives every box of a unit. */
export function parentsBy(scheme: Scheme, unit: WiringUnit, lengths: Lengths): Parents {
  if (scheme === 'switch-first') return switchFirst(unit, lengths);
  if (scheme === 'light-first') return lightFirst(unit, lengths);
  const growth = new Growth(lengths);
  if (unit.gfci) growth.attach(unit.gfci.box, undefined);
  growth.spread(boxesOf(unit), unit.gfci ? [unit.gfci.box] : []);
  return growth.parents;
}

/** The tree that a choice of parents makes. Boxes on no way from the panel are left out. */
export function treeOf(
  boxes: readonly Box[],
  parents: Parents,
  lengths: Lengths,
  unit: Pick<WiringUnit, 'id'>,
  scheme?: Scheme,
): FeedTree {
  const byId = new Map(boxes.map((box) => [box.id, box]));
  const children = new Map<string | null, Box[]>();
  for (const [id, parent] of parents) {
    const list = children.get(parent) ?? [];
    list.push(byId.get(id)!);
    children.set(parent, list);
  }
  const nodes: FeedNode[] = [];
  const visit = (box: Box, parent: FeedNode | undefined) => {
    const node = { box, parent, lengthIn: lengths(parent?.box.id ?? null, box.id), run: `${unit.id}-${box.id}` };
    nodes.push(node);
    for (const child of children.get(box.id) ?? []) visit(child, node);
  };
  for (const box of children.get(null) ?? []) visit(box, undefined);
  return { nodes, unfed: [], stored: false, scheme };
}

/** The tree of the cables that somebody has decided on; a cable is walked whichever way it was entered. */
function storedTree(house: House, unit: WiringUnit, cables: readonly Cable[], boxes: readonly Box[]): FeedTree {
  const all = [
    ...new Set([
      ...boxes,
      ...cables.flatMap((one) => [one.from, one.to]).flatMap((id) => (id === null ? [] : (house.boxes[id] ?? []))),
    ]),
  ];
  const lengths = lengthsOf(house, unit, all);
  const ends = new Map<string | null, Cable[]>();
  for (const cable of cables)
    for (const end of [cable.from, cable.to]) ends.set(end, [...(ends.get(end) ?? []), cable]);
  const nodes: FeedNode[] = [];
  const seen = new Set<string>();
  const visit = (at: string | null, parent: FeedNode | undefined) => {
    for (const cable of ends.get(at) ?? []) {
      const next = cable.from === at ? cable.to : cable.from;
      if (next === null || seen.has(next)) continue;
      seen.add(next);
      const node = { box: house.boxes[next]!, parent, lengthIn: lengths(at, next), run: cable.id };
      nodes.push(node);
      visit(next, node);
    }
  };
  visit(null, undefined);
  return { nodes, unfed: boxes.filter((box) => !seen.has(box.id)), stored: true };
}

/** Cables of the unit as they stand in the file. */
export function storedCables(house: House, unit: WiringUnit): readonly Cable[] {
  let byCircuit = cablesByCircuit.get(house.cables);
  if (!byCircuit) {
    byCircuit = groupBy(Object.values(house.cables), (one) => one.circuit);
    cablesByCircuit.set(house.cables, byCircuit);
  }
  return unit.circuits.flatMap(({ id }) => byCircuit.get(id) ?? []);
}
const cablesByCircuit = new WeakMap<House['cables'], ReadonlyMap<string | null, readonly Cable[]>>();

/** The feed order of a unit: the cables of the file where there are any, otherwise by a scheme. */
export function feedTree(house: House, unit: WiringUnit, scheme: Scheme = 'switch-first'): FeedTree {
  const boxes = boxesOf(unit);
  const stored = storedCables(house, unit);
  if (stored.length > 0) return storedTree(house, unit, stored, boxes);
  return schemeTree(house, unit, scheme);
}

/** The feed order that a scheme gives, whatever stands in the file. */
export function schemeTree(house: House, unit: WiringUnit, scheme: Scheme): FeedTree {
  const boxes = boxesOf(unit);
  const lengths = lengthsOf(house, unit, boxes);
  return treeOf(boxes, parentsBy(scheme, unit, lengths), lengths, unit, scheme);
}

/** The tree that a scheme gives. */
export interface SchemeParents {
  readonly scheme: Scheme;
  readonly parents: Parents;
}

/** What the schemes give a unit, each tree once: on many circuits all of them agree. */
export function schemeParents(unit: WiringUnit, lengths: Lengths): readonly SchemeParents[] {
  const different: SchemeParents[] = [];
  // Without switches there is nothing to go first.
  for (const scheme of unit.groups.length > 0 ? SCHEMES : (['switch-first'] as const)) {
    const parents = parentsBy(scheme, unit, lengths);
    const isKnown = different.some((one) => [...parents].every(([box, from]) => one.parents.get(box) === from));
    if (!isKnown) different.push({ scheme, parents });
  }
  return different;
}

const NONE: ReadonlySet<string> = new Set();

/**
 * Boxes that the power reaches without passing the GFCI receptacle that is to protect the rest. None where the tool finds the
 * feed order, since it begins at that receptacle; what nobody feeds yet is not behind it either.
 */
export function boxesBeforeGfci(house: House, circuit: Circuit): ReadonlySet<string> {
  if (circuit.gfciFirst === null || !Object.values(house.cables).some((one) => one.circuit === circuit.id)) return NONE;
  const unit = wiringUnits(house).find((one) => one.circuits.some(({ id }) => id === circuit.id));
  if (!unit?.gfci) return NONE;
  const behind = new Set<string>();
  for (const node of feedTree(house, unit).nodes)
    if (node.box === unit.gfci.box || (node.parent && behind.has(node.parent.box.id))) behind.add(node.box.id);
  return new Set(boxesOf(unit).flatMap((box) => (behind.has(box.id) ? [] : [box.id])));
}
