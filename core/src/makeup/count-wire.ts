import type { Box, House } from '../house/schema';
import { chainOrder, type Chain } from '../feed/chain';
import { conductorsFor, conductorsOf, share } from './cables';
import { treeOf } from '../feed/feed-tree';
import { findNeeds, inCableOrder, isFromPanel, type Needs, type Signal } from './signals';
import type { WiringUnit } from '../feed/unit';
import { PANEL, UnitLengths, type Parents } from '../feed/unit-lengths';

/** What a tree takes. */
interface WireCount {
  /** Conductor-feet, as {@link conductorFeet} of the wired tree. */
  readonly feet: number;
  /** Runs of more than one cable. */
  readonly doubled: number;
  /** Cables at the fullest box. */
  readonly mostCables: number;
}

/** A signal with the boxes that need it, by number. */
interface Need {
  readonly signal: Signal;
  readonly boxes: readonly number[];
  readonly isNeutral: boolean;
  readonly fromPanel: boolean;
}

/** What terminals need, in full and for counting. */
interface Known {
  readonly needs: Needs;
  readonly counted: readonly Need[];
}

/**
 * Counts what a tree of a unit takes without wiring it. Which terminals need which signals is the same for most of the trees that
 * a search looks at: it changes only with the order of the switches in a group, with what stands behind a GFCI receptacle, and with
 * the switch that the feed reaches first where one neutral will do. So it is found by wiring once for each of those, and the rest is counting.
 */
export class WireCounter {
  readonly #known = new Map<string, Known>();
  readonly #chained;
  /** Boxes of switches of which the first one reached has the neutral. */
  readonly #firstOf: readonly Int16Array[];
  /** Boxes of the GFCI receptacles that feed on. */
  readonly #gfcis: readonly number[];
  /** By box, which of them it hangs on, counted from 1; 0 for none. */
  readonly #sides: Uint8Array;
  // Of the tree that is counted: parents first, and how far it is.
  readonly #order: Int16Array;
  readonly #hops: Int16Array;
  readonly #depthIn: Float64Array;
  readonly #heads: Int16Array;
  readonly #next: Int16Array;
  readonly #counts: Uint16Array;
  readonly #crossing: Uint16Array;
  readonly #neutrals: Uint16Array;
  readonly #cables: Uint16Array;
  readonly #insulated: Uint16Array;

  constructor(
    readonly house: House,
    readonly unit: WiringUnit,
    readonly lengths: UnitLengths = new UnitLengths(house, unit),
  ) {
    const n = lengths.boxes.length;
    this.#chained = unit.groups.filter((one) => one.switches.length > 1);
    this.#firstOf = this.#chained
      .filter(({ group }) => group.seesAll === true)
      .map(({ switches }) => Int16Array.from(switches, (one) => lengths.numberOf(one.box)));
    this.#gfcis = unit.gfcis.map((one) => lengths.numberOf(one.box));
    this.#sides = new Uint8Array(n);
    this.#order = new Int16Array(n);
    this.#hops = new Int16Array(n);
    this.#depthIn = new Float64Array(n);
    this.#heads = new Int16Array(n + 1);
    this.#next = new Int16Array(n);
    this.#counts = new Uint16Array(n);
    this.#crossing = new Uint16Array(n);
    this.#neutrals = new Uint16Array(n);
    this.#cables = new Uint16Array(n);
    this.#insulated = new Uint16Array(n);
  }

  /** What a tree takes. Every box must be on a way from the panel. */
  count(parents: Parents): WireCount {
    this.#walk(parents);
    const { counted: needs } = this.#findOut(parents);
    const n = parents.length;
    const [crossing, neutrals, cables, insulated] = [this.#crossing, this.#neutrals, this.#cables, this.#insulated];
    crossing.fill(0);
    neutrals.fill(0);
    const counts = this.#counts;
    for (const need of needs) {
      const all = this.#countBelow(need, parents);
      for (let i = 0; i < n; i++)
        if (counts[i]! > 0 && counts[i]! < all) {
          crossing[i]!++;
          if (need.isNeutral) neutrals[i]!++;
        }
    }
    cables.fill(0);
    insulated.fill(0);
    let [inches, doubled] = [0, 0];
    for (let i = 0; i < n; i++) {
      const isOne = crossing[i]! <= 4 && neutrals[i]! <= 1;
      const groups = isOne ? undefined : share(this.#signalsTo(i, needs, parents));
      const conductors = groups ? groups.reduce((sum, one) => sum + conductorsFor(one), 0) : conductorsOf(crossing[i]!);
      const pieces = groups?.length ?? 1;
      if (pieces > 1) doubled++;
      const from = parents[i]!;
      inches += this.lengths.inches(from, i) * conductors;
      cables[i]! += pieces;
      insulated[i]! += conductors - pieces;
      if (from === PANEL) continue;
      cables[from]! += pieces;
      insulated[from]! += conductors - pieces;
    }
    let mostCables = 0;
    for (let i = 0; i < n; i++) mostCables = Math.max(mostCables, cables[i]!);
    return { feet: inches / 12, doubled, mostCables };
  }

  /** Whether a box hangs on no GFCI receptacle in the tree that was counted last. */
  isUnguarded(box: number): boolean {
    return this.#sides[box] === 0;
  }

  /**
   * What decides whether a box holds what comes in, in one number: the insulated conductors and the cables of the tree that was
   * counted last. Devices and the size of the wire are the same in every tree.
   */
  fillKey(box: number): number {
    return this.#insulated[box]! * 256 + this.#cables[box]!;
  }

  /** Counts who needs a signal at and below each box; returns how many there are. It crosses the runs with some of them below, and not all. */
  #countBelow({ boxes, fromPanel }: Need, parents: Parents): number {
    const counts = this.#counts.fill(0);
    for (const i of boxes) counts[i] = 1;
    for (let at = parents.length - 1; at >= 0; at--) {
      const i = this.#order[at]!;
      if (parents[i] !== PANEL) counts[parents[i]!]! += counts[i]!;
    }
    return boxes.length + (fromPanel ? 1 : 0);
  }

  #signalsTo(box: number, needs: readonly Need[], parents: Parents): Signal[] {
    return needs.flatMap((need) => {
      const all = this.#countBelow(need, parents);
      return this.#counts[box]! > 0 && this.#counts[box]! < all ? [need.signal] : [];
    });
  }

  /** Boxes in an order that has parents first, with their depths. @throws on a tree that leaves a box out. */
  #walk(parents: Parents): void {
    const [order, hops, depth, heads, next] = [this.#order, this.#hops, this.#depthIn, this.#heads, this.#next];
    const n = parents.length;
    heads.fill(PANEL);
    for (let i = n - 1; i >= 0; i--) {
      const head = parents[i] === PANEL ? n : parents[i]!;
      next[i] = heads[head]!;
      heads[head] = i;
    }
    let [done, at] = [0, 0];
    const take = (from: number) => {
      for (let i = heads[from === PANEL ? n : from]!; i !== PANEL; i = next[i]!) {
        order[done++] = i;
        hops[i] = from === PANEL ? 0 : hops[from]! + 1;
        depth[i] = (from === PANEL ? 0 : depth[from]!) + this.lengths.inches(from, i);
      }
    };
    take(PANEL);
    while (at < done) take(order[at++]!);
    if (done < n) throw new Error(`The tree of ${this.unit.id} leaves out ${n - done} boxes`);
  }

  /** Inches along the cables from box to box, or to the panel. */
  #alongTree(a: number, b: number, parents: Parents): number {
    const [hops, depth] = [this.#hops, this.#depthIn];
    let [x, y] = [a, b];
    while (x !== y) {
      if (y === PANEL || (x !== PANEL && hops[x]! >= hops[y]!)) x = parents[x]!;
      else y = parents[y]!;
    }
    return depth[a]! + (b === PANEL ? 0 : depth[b]!) - 2 * (x === PANEL ? 0 : depth[x]!);
  }

  /** What the terminals of a tree need: as {@link findNeeds}, and found already where such a tree was counted. */
  needsOf(parents: Parents): Needs {
    this.#walk(parents);
    return this.#findOut(parents).needs;
  }

  #findOut(parents: Parents): Known {
    const distance = (a: Box, b: Box | null) =>
      this.#alongTree(this.lengths.numberOf(a), b === null ? PANEL : this.lengths.numberOf(b), parents);
    const chains = this.#chained.map((group) => chainOrder(group, distance));
    let key = '';
    for (const { order } of chains) for (const { device } of order) key += `${device.id} `;
    for (const boxes of this.#firstOf) for (const i of boxes) key += `${this.#hops[i]} `;
    if (this.#gfcis.length > 0) {
      // On the way down: a box hangs on the receptacle in it, or else on the one that the box before it hangs on.
      const sides = this.#sides;
      for (const i of this.#order) {
        const own = this.#gfcis.indexOf(i);
        sides[i] = own >= 0 ? own + 1 : parents[i] === PANEL ? 0 : sides[parents[i]!]!;
      }
      key += ` behind ${sides.join(' ')}`;
    }
    let known = this.#known.get(key);
    if (!known) this.#known.set(key, (known = this.#find(parents, chains)));
    return known;
  }

  #find(parents: Parents, chains: readonly Chain[]): Known {
    const { unit, lengths } = this;
    const inOrder = unit.groups.map(
      (group): Chain => chains.find((one) => one.group === group) ?? { group, order: group.switches },
    );
    const needs = findNeeds(this.house, unit, treeOf(lengths, parents, unit), inOrder);
    const boxes = new Map<Signal, number[]>();
    const add = (signal: Signal, i: number) => {
      if (signal.kind === 'ground') return;
      const known = boxes.get(signal);
      if (!known) boxes.set(signal, [i]);
      else if (!known.includes(i)) known.push(i);
    };
    lengths.boxes.forEach(({ id }, i) => {
      for (const { signal } of needs.needsAt.get(id) ?? []) add(signal, i);
      const waiting = needs.spare.get(id);
      if (waiting) add(waiting, i);
    });
    const counted = [...boxes.keys()].sort(inCableOrder).map((signal) => ({
      signal,
      boxes: boxes.get(signal)!,
      isNeutral: signal.kind === 'neutral',
      fromPanel: isFromPanel(signal),
    }));
    return { needs, counted };
  }
}
