import { cableBetween, spotOfBox } from '../circuits/cable-run';
import type { Box, Cable, House } from '../house/schema';
import { memo } from '../cache/memo';
import { routedLength } from '../circuits/kept-routes';
import type { Outlet } from '../circuits/outlets';
import { groupBy } from '../units/group-by';
import type { WiringUnit } from './unit';
import { boxesOf, PANEL, startOf, UnitLengths, type Parents } from './unit-lengths';

/** A box on the way of the power, with the run of cable that brings it. */
export interface FeedNode {
  /** Its place among the nodes of the tree. */
  readonly at: number;
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

/** Stands for the box that feeds a box, as long as none does. */
const NOBODY = -2;

const removeAt = (list: number[], at: number): void => {
  list.copyWithin(at, at + 1);
  list.pop();
};

/** A tree that grows box by box, each from the nearest box that may feed it, three cables a box where it can be. */
class Growth {
  readonly parents: Parents;
  readonly #cables: Uint8Array;

  constructor(readonly lengths: UnitLengths) {
    this.parents = new Int16Array(lengths.boxes.length).fill(NOBODY);
    this.#cables = new Uint8Array(lengths.boxes.length);
  }

  has(box: number): boolean {
    return this.parents[box] !== NOBODY;
  }

  #costOf(from: number, to: number): number {
    return this.lengths.inches(from, to) + (this.#isFull(from) ? 1e6 : 0);
  }

  attach(box: number, from: number): void {
    this.parents[box] = from;
    this.#cables[box]!++;
    if (from !== PANEL) this.#cables[from]!++;
  }

  #isFull(box: number): boolean {
    return box !== PANEL && this.#cables[box]! >= MOST_CABLES;
  }

  /** All of some boxes, the nearest each time (Prim), from the boxes given and from those that have come since; from the panel where none is given. */
  spread(boxes: readonly number[], from: readonly number[]): void {
    const sources = [...from];
    const left: number[] = [];
    for (const box of boxes) if (!this.has(box) && !left.includes(box)) left.push(box);
    const wants = left.map(() => PANEL);
    const costs = left.map(() => Infinity);
    const offer = (i: number, source: number) => {
      const cost = this.#costOf(source, left[i]!);
      if (cost >= costs[i]!) return;
      wants[i] = source;
      costs[i] = cost;
    };
    const look = (i: number) => {
      wants[i] = PANEL;
      costs[i] = sources.length === 0 ? this.lengths.inches(PANEL, left[i]!) : Infinity;
      for (const source of sources) offer(i, source);
    };
    for (let i = 0; i < left.length; i++) look(i);
    while (left.length > 0) {
      let next = 0;
      for (let i = 1; i < left.length; i++) if (costs[i]! < costs[next]!) next = i;
      const box = left[next]!;
      const source = wants[next]!;
      removeAt(left, next);
      removeAt(wants, next);
      removeAt(costs, next);
      this.attach(box, source);
      sources.push(box);
      const full = this.#isFull(source) ? source : undefined;
      for (let i = 0; i < left.length; i++) {
        // Who wanted the box that is full now, or had only the panel to come from, looks again.
        if (wants[i] === PANEL || wants[i] === full) look(i);
        else offer(i, box);
      }
    }
  }

  /** What no scheme has a place for, as a switch that controls nothing yet, from the nearest box that has power. */
  feedTheRest(): Parents {
    const all = this.lengths.boxes.map((_, i) => i);
    const fed = all.filter((box) => this.has(box));
    if (fed.length < all.length) this.spread(all, fed);
    return this.parents;
  }
}

/** How the power goes: first to the switches, first to the lights, or over whatever is nearest. */
export const SCHEMES = ['switch-first', 'light-first', 'shortest'] as const;
export type Scheme = (typeof SCHEMES)[number];

const nearest = <T>(list: readonly T[], cost: (one: T) => number): T =>
  list.reduce((best, one) => (cost(one) < cost(best) ? one : best));

/** Boxes that need power whatever the switches do. */
function liveBoxes(unit: WiringUnit, lengths: UnitLengths): number[] {
  const governed = new Set(unit.groups.flatMap(({ controls }) => controls.map((one) => one.device.id)));
  const boxes: number[] = [];
  for (const one of unit.outlets) {
    const { device } = one;
    if (device.kind === 'switch' || isJoined(one)) continue;
    if (!governed.has(device.id) || (device.kind === 'receptacle' && device.switched === 'half'))
      boxes.push(lengths.numberOf(one.box));
  }
  return boxes;
}
const isJoined = ({ device }: Outlet) => device.kind === 'alarm' && !device.wireless;

/** Alarms hang together, so that the wire that joins them runs nowhere else. */
function addAlarms(growth: Growth, unit: WiringUnit, backbone: readonly number[]): void {
  const { lengths } = growth;
  const alarms = unit.outlets.filter(isJoined).map((one) => lengths.numberOf(one.box));
  if (alarms.length === 0) return;
  const entry =
    backbone.length > 0
      ? nearest(alarms, (box) => Math.min(...backbone.map((from) => (from === box ? 0 : lengths.inches(from, box)))))
      : nearest(alarms, (box) => lengths.inches(PANEL, box));
  growth.spread([entry], backbone);
  growth.spread(alarms, [entry]);
}

/** A tree with nothing on it but the GFCI receptacle that is to protect all the rest. */
function begin(unit: WiringUnit, lengths: UnitLengths): { growth: Growth; first: readonly number[] } {
  const growth = new Growth(lengths);
  if (!unit.gfci) return { growth, first: [] };
  const first = lengths.numberOf(unit.gfci.box);
  growth.attach(first, PANEL);
  return { growth, first: [first] };
}

/**
 * The way most houses are roped: power over receptacles to one switch of each group, from there to its other switches, and from
 * the last of them to the lights. *Common practice*. What a group needs crosses only its own runs.
 */
function switchFirst(unit: WiringUnit, lengths: UnitLengths): Parents {
  const { growth, first: gfci } = begin(unit, lengths);
  const placesOf = (list: readonly Outlet[]) => list.map((one) => lengths.numberOf(one.box));
  const chains = unit.groups.map((group) => {
    const switches = placesOf(group.switches);
    const controls = placesOf(group.controls);
    const last = nearest(switches, (box) => Math.min(...controls.map((to) => lengths.inches(box, to))));
    const rest = switches.filter((_, i) => i !== switches.indexOf(last));
    const first = rest.length > 0 ? nearest(rest, (box) => lengths.inches(PANEL, box)) : last;
    return { first, last, between: rest.filter((_, i) => i !== rest.indexOf(first)), controls };
  });
  const backbone = [...liveBoxes(unit, lengths), ...chains.map((one) => one.first)];
  growth.spread(backbone, gfci);
  addAlarms(growth, unit, [...gfci, ...backbone]);
  for (const { first, last, between, controls } of chains) {
    let at = first;
    while (between.length > 0 || at !== last) {
      const next = between.length > 0 ? nearest(between, (box) => lengths.inches(at, box)) : last;
      if (between.length > 0) removeAt(between, between.indexOf(next));
      if (!growth.has(next)) growth.attach(next, at);
      at = next;
    }
    growth.spread(controls, [last]);
  }
  return growth.feedTheRest();
}

/** Power over receptacles and lights; switches hang at the end of a cable from the nearest light of their group. */
function lightFirst(unit: WiringUnit, lengths: UnitLengths): Parents {
  const { growth, first } = begin(unit, lengths);
  const placesOf = (list: readonly Outlet[]) => list.map((one) => lengths.numberOf(one.box));
  const backbone = [...liveBoxes(unit, lengths), ...unit.groups.flatMap(({ controls }) => placesOf(controls))];
  growth.spread(backbone, first);
  addAlarms(growth, unit, backbone);
  for (const { switches, controls } of unit.groups) growth.spread(placesOf(switches), placesOf(controls));
  return growth.feedTheRest();
}

/** The parents that a scheme gives every box of a unit. */
export function parentsBy(scheme: Scheme, unit: WiringUnit, lengths: UnitLengths): Parents {
  if (scheme === 'switch-first') return switchFirst(unit, lengths);
  if (scheme === 'light-first') return lightFirst(unit, lengths);
  const { growth, first } = begin(unit, lengths);
  growth.spread(
    lengths.boxes.map((_, i) => i),
    first,
  );
  return growth.parents;
}

/** The tree that a choice of parents makes. */
export function treeOf(
  lengths: UnitLengths,
  parents: Parents,
  unit: Pick<WiringUnit, 'id'>,
  scheme?: Scheme,
): FeedTree {
  const nodes: FeedNode[] = [];
  const visit = (from: number, parent: FeedNode | undefined) => {
    for (let i = 0; i < parents.length; i++) {
      if (parents[i] !== from) continue;
      const box = lengths.boxes[i]!;
      const routed = routedLength(lengths.house, { unit, from: parent?.box, to: box });
      const lengthIn = routed ?? lengths.inches(from, i);
      const node = { at: nodes.length, box, parent, lengthIn, run: `${unit.id}-${box.id}` };
      nodes.push(node);
      visit(i, node);
    }
  };
  visit(PANEL, undefined);
  return { nodes, unfed: [], stored: false, scheme };
}

/** The tree of the cables that somebody has decided on; a cable is walked whichever way it was entered. */
function treeAlong(house: House, unit: WiringUnit, cables: readonly Cable[], boxes: readonly Box[]): FeedTree {
  const all = [
    ...new Set([
      ...boxes,
      ...cables.flatMap((one) => [one.from, one.to]).flatMap((id) => (id === null ? [] : (house.boxes[id] ?? []))),
    ]),
  ];
  const start = all.length > 0 ? startOf(house, unit, all) : undefined;
  const spotOf = (id: string | null) => (id === null ? start! : spotOfBox(house, house.boxes[id]!));
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
      const node = {
        at: nodes.length,
        box: house.boxes[next]!,
        parent,
        lengthIn:
          routedLength(house, { unit, from: parent?.box, to: house.boxes[next]! }) ??
          cableBetween(spotOf(at), spotOf(next)),
        run: cable.id,
      };
      nodes.push(node);
      visit(next, node);
    }
  };
  visit(null, undefined);
  return { nodes, unfed: boxes.filter((box) => !seen.has(box.id)), stored: true };
}

/** Cables of the unit as they stand in the file. */
export function storedCables(house: House, unit: WiringUnit): readonly Cable[] {
  const byCircuit = cablesByCircuit(house.cables);
  if (byCircuit.size === 0) return NO_CABLES;
  const [circuit, twin] = unit.circuits;
  const own = byCircuit.get(circuit!.id) ?? NO_CABLES;
  const others = twin ? byCircuit.get(twin.id) : undefined;
  return others ? [...own, ...others] : own;
}
const NO_CABLES: readonly Cable[] = [];
const cablesByCircuit = memo((cables: House['cables']): ReadonlyMap<string | null, readonly Cable[]> =>
  groupBy(Object.values(cables), (one) => one.circuit),
);

/** The feed order of the unit's cables in the file; undefined where there are none. */
export function storedTree(house: House, unit: WiringUnit): FeedTree | undefined {
  const stored = storedCables(house, unit);
  return stored.length > 0 ? treeAlong(house, unit, stored, boxesOf(unit)) : undefined;
}

/** The feed order that a scheme gives, whatever stands in the file. */
export function schemeTree(house: House, unit: WiringUnit, scheme: Scheme): FeedTree {
  const lengths = new UnitLengths(house, unit);
  return treeOf(lengths, parentsBy(scheme, unit, lengths), unit, scheme);
}

/** The tree that a scheme gives. */
export interface SchemeParents {
  readonly scheme: Scheme;
  readonly parents: Parents;
}

/** What the schemes give a unit, each tree once: on many circuits all of them agree. */
export function schemeParents(unit: WiringUnit, lengths: UnitLengths): readonly SchemeParents[] {
  const different: SchemeParents[] = [];
  // Without switches there is nothing to go first.
  for (const scheme of unit.groups.length > 0 ? SCHEMES : (['switch-first'] as const)) {
    const parents = parentsBy(scheme, unit, lengths);
    const isKnown = different.some((one) => one.parents.every((from, box) => parents[box] === from));
    if (!isKnown) different.push({ scheme, parents });
  }
  return different;
}
