import { edit, type Edited } from '../house/edit';
import type { House } from '../house/schema';
import type { OnProgress, Result } from '../units/result';
import { boxFill } from './box-fill';
import { conductorFeet, doubledRuns } from './cables';
import { writeFeed } from './compare-feeds';
import { boxesOf, lengthsOf, parentsBy, SCHEMES, treeOf, type Lengths, type Parents } from './feed-tree';
import { makeUpBox, wireByChoice, wireHouse, wireUnit, type UnitWiring } from './make-up';
import type { WiringUnit } from './unit';

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
const NEIGHBOURS = 8;

/** What a tree is judged by: trouble first, then feet. */
interface Worth {
  readonly trouble: number;
  readonly feet: number;
}
const isBetter = (a: Worth, b: Worth) => (a.trouble !== b.trouble ? a.trouble < b.trouble : a.feet < b.feet - 1e-6);

/** Boxes that no box of the catalogue holds, or that were chosen and are too small. */
const overfull = (house: House, wiring: UnitWiring): number =>
  wiring.tree.nodes.filter((node) => boxFill(house, makeUpBox(house, node.box, [wiring])).fits === false).length;

class Search {
  readonly #boxes;
  readonly #lengths: Lengths;
  /** The boxes nearest to each box, and the panel. */
  readonly #near: ReadonlyMap<string, readonly (string | null)[]>;

  constructor(
    readonly house: House,
    readonly unit: WiringUnit,
  ) {
    this.#boxes = boxesOf(unit);
    this.#lengths = lengthsOf(house, unit, this.#boxes);
    const ids = this.#boxes.map((box) => box.id);
    const near = (id: string) =>
      ids
        .filter((one) => one !== id)
        .sort((a, b) => this.#lengths(a, id) - this.#lengths(b, id))
        .slice(0, NEIGHBOURS);
    this.#near = new Map(ids.map((id) => [id, [...near(id), null]]));
  }

  wire(parents: Parents): UnitWiring {
    return wireUnit(this.house, this.unit, treeOf(this.#boxes, parents, this.#lengths, this.unit));
  }

  worth(wiring: UnitWiring): Worth {
    return { trouble: doubledRuns(wiring.runs) + overfull(this.house, wiring), feet: conductorFeet(wiring.runs) };
  }

  /** Whether a tree with this change would beat the best, asked in the order of what is dear to find out. */
  tries(parents: Parents, best: Worth): { worth: Worth; parents: Parents } | undefined {
    const wiring = this.wire(parents);
    const light = { trouble: doubledRuns(wiring.runs), feet: conductorFeet(wiring.runs) };
    if (!isBetter(light, best)) return undefined;
    const worth = this.worth(wiring);
    return isBetter(worth, best) ? { worth, parents } : undefined;
  }

  /** Where a box may hang instead: nowhere below itself; and what a GFCI receptacle protects stays behind it. */
  *moves(parents: Parents, id: string): Generator<Parents> {
    const first = this.unit.gfci?.box.id;
    if (id === first || !parents.has(id)) return;
    const below = new Set([id]);
    for (let grown = true; grown;) {
      grown = false;
      for (const [box, from] of parents)
        if (from !== null && below.has(from) && !below.has(box)) grown = !!below.add(box);
    }
    // The branch is cut off and hung up again by any of its boxes: what led to that box then leads away from it.
    const turned = new Map(parents);
    const root = parents.get(id)!;
    for (const by of below) {
      for (const [box, from] of parents) turned.set(box, from);
      let last: string | null = null;
      for (let at: string | null = by; at !== root;) {
        const next: string | null = parents.get(at!)!;
        turned.set(at!, last);
        last = at;
        at = next;
      }
      for (const home of this.#near.get(by)!) {
        if (home === null ? first !== undefined : below.has(home)) continue;
        if (by !== id || home !== root) yield new Map([...turned, [by, home] as const]);
      }
    }
    // In between: the box with its branch takes the place on the way from a box to one that it feeds.
    for (const [next, from] of parents)
      if (next !== id && !below.has(next) && next !== first && this.#near.get(next)!.includes(id))
        yield new Map([...parents, [id, from] as const, [next, id] as const]);
  }

  get ids(): readonly string[] {
    return this.#boxes.map((box) => box.id);
  }
}

/**
 * Looks for the feed order of a circuit with the fewest conductor-feet: from the tree as it stands and from each scheme,
 * one branch at a time is hung elsewhere as long as it saves wire, doubles no run and overfills no box. A local search: what it
 * finds is good, not proved the best; on circuits small enough to try every tree it is checked against all of them.
 */
export function leastFeet(house: House, unit: WiringUnit, onProgress: OnProgress = () => undefined): FeedPlan {
  const search = new Search(house, unit);
  const boxes = boxesOf(unit);
  const lengths = lengthsOf(house, unit, boxes);
  const nowWired = wireByChoice(house, unit);
  const now = nowWired.tree;
  const standing: Parents = new Map(now.nodes.map((node) => [node.box.id, node.parent?.box.id ?? null]));
  const known = new Set(boxes.map((box) => box.id));
  const isWhole = now.unfed.length === 0 && now.nodes.every((node) => known.has(node.box.id));
  const starts = [...(isWhole ? [standing] : []), ...SCHEMES.map((scheme) => parentsBy(scheme, unit, lengths))];
  const standingFt = conductorFeet(nowWired.runs);
  let best: { worth: Worth; parents: Parents } | undefined;
  starts.forEach((start, i) => {
    let here = { worth: search.worth(search.wire(start)), parents: start };
    // Round and round over the boxes until none of them can be hung better.
    for (let at = 0, idle = 0; idle < search.ids.length; at = (at + 1) % search.ids.length) {
      onProgress((i + 0.5) / starts.length, `${unit.circuits[0]!.name}, ${Math.round(here.worth.feet)} conductor-feet`);
      let bestMove = here;
      for (const parents of search.moves(here.parents, search.ids[at]!))
        bestMove = search.tries(parents, bestMove.worth) ?? bestMove;
      idle = bestMove === here ? idle + 1 : 0;
      here = bestMove;
    }
    if (!best || isBetter(here.worth, best.worth)) best = here;
  });
  return {
    unit: unit.id,
    name: unit.circuits.map((one) => one.name).join(' and '),
    parents: [...best!.parents],
    beforeFt: standingFt,
    afterFt: best!.worth.feet,
  };
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
