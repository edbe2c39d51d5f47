import { edit, type Edited } from '../house/edit';
import type { Box, House } from '../house/schema';
import type { OnProgress, Result } from '../units/result';
import { boxFill } from '../makeup/box-fill';
import { conductorFeet } from '../makeup/cables';
import { guardedBoxes, writeFeed } from './compare-feeds';
import { WireCounter } from '../makeup/count-wire';
import { parentsBy, SCHEMES, treeOf, type FeedTree } from '../feed/feed-tree';
import { makeUpBox, wireByChoice, wireHouse, wireUnit, type UnitWiring } from '../makeup/make-up';
import type { WiringUnit } from '../feed/unit';
import { PANEL, type Parents, type UnitLengths } from '../feed/unit-lengths';

/** A feed order that was sought for one circuit, and what it saves. */
export interface FeedPlan {
  readonly unit: string;
  readonly name: string;
  /** The box, or null for the panel, that each box takes its power from. */
  readonly parents: readonly (readonly [box: string, from: string | null])[];
  /** Conductor-feet as it stands, and as planned. */
  readonly beforeFt: number;
  readonly afterFt: number;
}

/** A cable comes from one of so many nearest boxes, or from the panel: farther ones hardly ever save wire. */
const NEIGHBORS = 8;

/** Circuits of so many boxes: every tree is tried, 18,750 of them for six. */
const OUTRIGHT_UP_TO = 6;

/** Boxes that one search may look at, tree by tree: some seconds. Circuits of twenty boxes end far below it. */
const BUDGET = 3_000_000;

/** What a tree is judged by: trouble first, then feet. */
interface Worth {
  readonly trouble: number;
  readonly feet: number;
}
const isBetter = (a: Worth, b: Worth) => (a.trouble !== b.trouble ? a.trouble < b.trouble : a.feet < b.feet - 1e-6);

/** A tree with its worth. */
interface Judged {
  readonly worth: Worth;
  readonly parents: Parents;
}

class Search {
  readonly counter: WireCounter;
  /** The boxes nearest to each box, and the panel. */
  readonly #near: readonly (readonly number[])[];
  /** Whether each box holds what comes in, by {@link WireCounter.fillKey}. */
  readonly #fits: readonly Map<number, boolean>[];
  /** Boxes that hang on one of several GFCI receptacles as the feed stands: on one of them they stay. */
  readonly #guarded: readonly number[];

  /** Without the cables as they stand: what is found is new cable, whatever kind hangs there now. */
  readonly house: House;

  constructor(
    house: House,
    readonly unit: WiringUnit,
    lengths?: UnitLengths,
  ) {
    this.house = { ...house, cables: {} };
    this.counter = new WireCounter(this.house, unit, lengths);
    this.#fits = this.counter.lengths.boxes.map(() => new Map());
    this.#guarded = guardedBoxes(house, unit).map((box) => this.counter.lengths.numberOf(box));
    const all = this.counter.lengths.boxes.map((_, i) => i);
    this.#near = all.map((to) => {
      const others = all.filter((one) => one !== to);
      others.sort((a, b) => this.counter.lengths.inches(a, to) - this.counter.lengths.inches(b, to));
      return [...others.slice(0, NEIGHBORS), PANEL];
    });
  }

  /** Boxes that no box of the catalogue holds, or that were chosen and are too small, in the tree that was counted last. */
  #overfull(parents: Parents): number {
    const { boxes } = this.counter.lengths;
    let wiring: UnitWiring | undefined;
    let overfull = 0;
    for (let i = 0; i < boxes.length; i++) {
      const key = this.counter.fillKey(i);
      let fits = this.#fits[i]!.get(key);
      if (fits === undefined) {
        wiring ??= this.#wire(parents);
        fits = boxFill(this.house, makeUpBox(this.house, boxes[i]!, [wiring])).fits !== false;
        this.#fits[i]!.set(key, fits);
      }
      if (!fits) overfull++;
    }
    return overfull;
  }

  #wire(parents: Parents): UnitWiring {
    const tree = treeOf(this.counter.lengths, parents, this.unit);
    return wireUnit(this.house, this.unit, tree, this.counter.needsOf(parents));
  }

  judge(parents: Parents): Judged {
    const { doubled, feet } = this.counter.count(parents);
    return { worth: { trouble: doubled + this.#bared() + this.#overfull(parents), feet }, parents };
  }

  /** Boxes that a GFCI receptacle would no longer protect in the tree that was counted last. */
  #bared(): number {
    let bared = 0;
    for (const i of this.#guarded) if (this.counter.isUnguarded(i)) bared++;
    return bared;
  }

  /** Whether the search has looked at as many boxes as it may: it then keeps the best that it has found. */
  get isSpent(): boolean {
    return this.#looked > BUDGET;
  }
  #looked = 0;

  /** A tree that is better than the best, or undefined. What is costly to find out is asked last. */
  #beats(best: Worth, parents: Parents): Judged | undefined {
    this.#looked += parents.length;
    const { doubled, feet } = this.counter.count(parents);
    const trouble = doubled + this.#bared();
    if (!isBetter({ trouble, feet }, best)) return undefined;
    const worth = { trouble: trouble + this.#overfull(parents), feet };
    return isBetter(worth, best) ? { worth, parents: parents.slice() } : undefined;
  }

  /** Hangs one box after the other where it saves most, round and round until none of them can be hung better. */
  descend(start: Parents, onRound: (worth: Worth) => void): Judged {
    let here = this.judge(start);
    const n = start.length;
    for (let at = 0, idle = 0; idle < n && !this.isSpent; at = (at + 1) % n) {
      onRound(here.worth);
      let best = here;
      this.#tryMoves(here.parents, at, (parents) => {
        best = this.#beats(best.worth, parents) ?? best;
      });
      idle = best === here ? idle + 1 : 0;
      here = best;
    }
    return here;
  }

  /**
   * Where a box may hang instead: nowhere below itself; what a GFCI receptacle protects stays behind it; and from the panel only what
   * hangs there already, since a breaker takes one conductor (NEC 110.14(A)). The tree that is tried is written over by the next.
   */
  #tryMoves(parents: Parents, id: number, tryOne: (parents: Parents) => void): void {
    const first = this.unit.gfci ? this.counter.lengths.boxes.indexOf(this.unit.gfci.box) : undefined;
    if (id === first) return;
    const below = this.#below(parents, id);
    const turned = parents.slice();
    const root = parents[id]!;
    // The branch is cut off and hung up again by any of its boxes: what led to that box then leads away from it.
    const rootAt = (by: number) => {
      turned.set(parents);
      for (let box = by, last = PANEL; box !== root;) {
        turned[box] = last;
        last = box;
        box = parents[box]!;
      }
    };
    for (const by of below) {
      if (this.isSpent) return;
      rootAt(by);
      for (const home of this.#near[by]!) {
        if (home === PANEL ? root !== PANEL || first !== undefined : below.has(home)) continue;
        if (by === id && home === root) continue;
        turned[by] = home;
        tryOne(turned);
      }
    }
    // It comes first: the panel feeds one of its boxes, and another feeds what stood before.
    const top = parents.indexOf(PANEL);
    if (first === undefined && !below.has(top))
      for (const by of below) {
        rootAt(by);
        turned[by] = PANEL;
        for (const home of this.#near[top]!) {
          if (home === PANEL || !below.has(home)) continue;
          turned[top] = home;
          tryOne(turned);
        }
      }
    // In between: the box with its branch takes the place on the way from a box to one that it feeds.
    for (let next = 0; next < parents.length; next++) {
      if (next === id || next === first || below.has(next) || !this.#near[next]!.includes(id)) continue;
      turned.set(parents);
      turned[id] = parents[next]!;
      turned[next] = id;
      tryOne(turned);
    }
  }

  /** The best of all trees with one home run, each tried. */
  outright(): Judged {
    const n = this.counter.lengths.boxes.length;
    const parents = new Int16Array(n);
    const gfci = this.unit.gfci ? this.counter.lengths.boxes.indexOf(this.unit.gfci.box) : undefined;
    let best: Judged | undefined;
    const isTree = (root: number) => {
      for (let i = 0; i < n; i++) {
        let at = i;
        for (let steps = 0; at !== root; at = parents[at]!) if (++steps > n) return false;
      }
      return true;
    };
    const choose = (i: number, root: number): void => {
      if (i === root) return choose(i + 1, root);
      if (i >= n) {
        if (isTree(root)) best = best ? (this.#beats(best.worth, parents) ?? best) : this.judge(parents.slice());
        return;
      }
      for (let from = 0; from < n; from++) {
        if (from === i) continue;
        parents[i] = from;
        choose(i + 1, root);
      }
    };
    for (let root = 0; root < n; root++) {
      if (gfci !== undefined && root !== gfci) continue;
      parents[root] = PANEL;
      choose(0, root);
    }
    return best!;
  }

  /** A box and all that it feeds. */
  #below(parents: Parents, id: number): ReadonlySet<number> {
    const below = new Set([id]);
    for (let size = 0; size < below.size;) {
      size = below.size;
      for (let i = 0; i < parents.length; i++) if (below.has(parents[i]!)) below.add(i);
    }
    return below;
  }
}

/**
 * Looks for the feed order of a circuit with the fewest conductor-feet that doubles no run, overfills no box and has one home run.
 * Up to six boxes every tree is tried, so it is the best. Beyond, from the tree as it stands and from each scheme, one branch at a
 * time is hung elsewhere as long as that saves wire: what that finds is good, not proved the best. From the tree as it stands alone
 * it takes a quarter of the time.
 */
export function leastFeet(
  house: House,
  unit: WiringUnit,
  onProgress: OnProgress = () => undefined,
  from: 'every scheme' | 'as it stands' = 'every scheme',
  known?: UnitLengths,
): FeedPlan {
  const search = new Search(house, unit, known);
  const { lengths } = search.counter;
  const { boxes } = lengths;
  const nowWired = wireByChoice(house, unit);
  const standing = parentsIn(nowWired.tree, boxes);
  // By lengths of its own the tree as it stands is counted by these as well.
  const beforeFt = known && standing ? search.judge(standing).worth.feet : conductorFeet(nowWired.runs);
  if (boxes.length === 0) return planOf(search.judge(new Int16Array(0)));
  if (boxes.length <= OUTRIGHT_UP_TO) return planOf(search.outright());
  const bySchemes = () => SCHEMES.map((one) => parentsBy(one, unit, lengths));
  const starts = standing ? [standing, ...(from === 'every scheme' ? bySchemes() : [])] : bySchemes();
  let best: Judged | undefined;
  starts.forEach((start, i) => {
    const found = search.descend(start, ({ feet }) =>
      onProgress((i + 0.5) / starts.length, `${unit.circuits[0]!.name}, ${Math.round(feet)} conductor-feet`),
    );
    if (!best || isBetter(found.worth, best.worth)) best = found;
  });
  return planOf(best!);

  function planOf({ parents, worth }: Judged): FeedPlan {
    return {
      unit: unit.id,
      name: unit.circuits.map((one) => one.name).join(' and '),
      parents: boxes.map(({ id }, i) => [id, boxes[parents[i]!]?.id ?? null]),
      beforeFt,
      afterFt: worth.feet,
    };
  }
}

/** A tree by numbers, where it has one home run and these boxes, no more and no less. */
function parentsIn({ nodes, unfed }: FeedTree, boxes: readonly Box[]): Parents | undefined {
  const homeRuns = nodes.filter((node) => node.parent === undefined).length;
  if (homeRuns !== 1 || unfed.length > 0 || nodes.length !== boxes.length) return undefined;
  const parents = new Int16Array(boxes.length);
  for (const { box, parent } of nodes) {
    const at = boxes.indexOf(box);
    if (at < 0) return undefined;
    parents[at] = parent ? boxes.indexOf(parent.box) : PANEL;
  }
  return parents;
}

/** The same for every circuit that the tool feeds; what somebody has drawn by hand stays. Only what saves wire is kept. */
export function leastFeetOfHouse(house: House, onProgress: OnProgress = () => undefined): readonly FeedPlan[] {
  const units = wireHouse(house).units.filter((one) => !one.tree.stored && one.tree.nodes.length > 1);
  return units.flatMap(({ unit }, i) => {
    const plan = leastFeet(house, unit, (share, note) => onProgress((i + share) / units.length, note));
    return plan.afterFt < plan.beforeFt - 0.5 ? [plan] : [];
  });
}

/** Writes feed orders into the house as one edit, so that they stay as they are whatever is moved. */
export const keepFeeds = (house: House, plans: readonly FeedPlan[]): Result<Edited> =>
  edit(
    house,
    plans.length === 1 ? `Feed order of ${plans[0]!.name}` : `Feed orders of ${plans.length} circuits`,
    (draft) => {
      for (const plan of plans) writeFeed(draft, plan.unit, plan.parents);
    },
  );
