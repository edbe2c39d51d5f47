/**
 * Which places share a circuit, so that cable is short: the capacitated minimum spanning tree, with a fee for every circuit
 * and for every room that a circuit enters. Knows nothing of houses.
 */
export interface ClusterProblem {
  /** Cable from the panel to each place. */
  readonly root: readonly number[];
  readonly between: (i: number, j: number) => number;
  /** Share of a circuit that each takes; a cluster holds 1 in all. */
  readonly demand: readonly number[];
  /** The room of each place, by number. */
  readonly group: readonly number[];
  readonly groupFee: number;
  readonly clusterFee: number;
  /** At least so many clusters have a marked place among theirs. */
  readonly least?: number;
  readonly marked?: readonly boolean[];
}

interface Clusters {
  readonly clusters: readonly (readonly number[])[];
  readonly cost: number;
}

/** Up to so many places the best answer is found outright, by trying every way to divide them. */
export const EXACT_UP_TO = 11;
/** Up to so many places of two circuits are divided again outright. */
const PAIR_UP_TO = 14;
const HAIR = 1e-9;

class Costs {
  readonly #memory = new Map<string, number>();
  /** How many trees have been measured: what a search may spend is counted in these, so that it ends alike on any machine. */
  measured = 0;
  constructor(readonly problem: ClusterProblem) {}

  /** Cable of one home run and the shortest tree over the places (Prim), with the fees. */
  of(places: readonly number[]): number {
    if (places.length === 0) return 0;
    if (places.length <= 2) return this.#measure(places);
    const key = [...places].sort((a, b) => a - b).join(',');
    let cost = this.#memory.get(key);
    if (cost === undefined) this.#memory.set(key, (cost = this.#measure(places)));
    return cost;
  }

  #measure(places: readonly number[]): number {
    this.measured++;
    return this.#tree(places) + this.#fees(places);
  }

  #fees(places: readonly number[]): number {
    const { group, groupFee, clusterFee } = this.problem;
    return clusterFee + groupFee * new Set(places.map((i) => group[i])).size;
  }

  #tree(places: readonly number[]): number {
    const { root, between } = this.problem;
    const left = places.slice(1);
    const near = left.map((i) => between(places[0]!, i));
    let sum = Math.min(...places.map((i) => root[i]!));
    while (left.length > 0) {
      let best = 0;
      for (let k = 1; k < left.length; k++) if (near[k]! < near[best]!) best = k;
      sum += near[best]!;
      const at = left[best]!;
      left[best] = left.at(-1)!;
      near[best] = near.at(-1)!;
      left.pop();
      near.pop();
      for (let k = 0; k < left.length; k++) {
        const next = between(at, left[k]!);
        if (next < near[k]!) near[k] = next;
      }
    }
    return sum;
  }
}

const demandOf = (problem: ClusterProblem, places: readonly number[]): number =>
  places.reduce((sum, i) => sum + problem.demand[i]!, 0);
const fits = (problem: ClusterProblem, places: readonly number[]): boolean =>
  places.length <= 1 || demandOf(problem, places) <= 1 + HAIR;
const isMarked = (problem: ClusterProblem, places: readonly number[]): boolean =>
  places.some((i) => problem.marked?.[i] ?? true);

/** Cable between the two nearest places of two clusters. */
function gapBetween(problem: ClusterProblem, a: readonly number[], b: readonly number[]): number {
  let least = Infinity;
  for (const i of a) for (const j of b) least = Math.min(least, problem.between(i, j));
  return least;
}

/** How many clusters must have a marked place: no more than there are marked places. */
export function leastOf(problem: ClusterProblem): number {
  const marked = problem.root.filter((_, i) => problem.marked?.[i] ?? true).length;
  return Math.min(problem.least ?? 0, marked);
}

const total = (costs: Costs, clusters: readonly (readonly number[])[]): number =>
  clusters.reduce((sum, one) => sum + costs.of(one), 0);

/** The best of all divisions of up to eleven places, by dynamic programming over subsets. */
function divideExactly(costs: Costs, all: readonly number[], least: number): number[][] {
  const { problem } = costs;
  const n = all.length;
  const full = (1 << n) - 1;
  const placesOf = (mask: number) => all.filter((_, i) => mask & (1 << i));
  const cost = new Float64Array(full + 1);
  const marked = new Uint8Array(full + 1);
  for (let mask = 1; mask <= full; mask++) {
    const places = placesOf(mask);
    cost[mask] = fits(problem, places) ? costs.of(places) : Infinity;
    marked[mask] = isMarked(problem, places) ? 1 : 0;
  }
  // best[c][mask]: the places of mask divided so that c clusters (or least and more) have a marked place.
  const best = Array.from({ length: least + 1 }, () => new Float64Array(full + 1).fill(Infinity));
  const pick = Array.from({ length: least + 1 }, () => new Int32Array(full + 1));
  best[0]![0] = 0;
  for (let mask = 1; mask <= full; mask++) {
    const low = mask & -mask;
    for (let sub = mask; sub > 0; sub = (sub - 1) & mask) {
      if (!(sub & low) || cost[sub] === Infinity) continue;
      for (let c = 0; c <= least; c++) {
        const to = Math.min(least, c + marked[sub]!);
        const sum = best[c]![mask ^ sub]! + cost[sub]!;
        if (sum < best[to]![mask]! - HAIR) {
          best[to]![mask] = sum;
          pick[to]![mask] = sub * (least + 1) + c;
        }
      }
    }
  }
  const clusters: number[][] = [];
  let [mask, c] = [full, least];
  while (mask > 0) {
    const code = pick[c]![mask]!;
    const sub = Math.floor(code / (least + 1));
    clusters.push(placesOf(sub));
    c = code % (least + 1);
    mask ^= sub;
  }
  return clusters;
}

/** What joining each two clusters saves; after a joining only what it touches is found again. */
class Savings {
  readonly clusters: (number[] | undefined)[];
  readonly #gain: Float64Array;
  /** Of each row, the column with the greatest saving; -1 where none saves. */
  readonly #best: Int32Array;
  readonly #n: number;

  constructor(
    readonly costs: Costs,
    /** Whether two clusters may be joined, as things stand. */
    readonly isAllowed: (a: readonly number[], b: readonly number[]) => boolean,
  ) {
    const n = costs.problem.root.length;
    this.#n = n;
    this.clusters = costs.problem.root.map((_, i) => [i]);
    this.#gain = new Float64Array(n * n).fill(-Infinity);
    this.#best = new Int32Array(n).fill(-1);
    for (let a = 0; a < n; a++) for (let b = a + 1; b < n; b++) this.#gain[a * n + b] = this.#savingOf(a, b);
    for (let a = 0; a < n; a++) this.#seek(a);
  }

  #savingOf(a: number, b: number): number {
    const { costs } = this;
    const both = [...this.clusters[a]!, ...this.clusters[b]!];
    if (!fits(costs.problem, both)) return -Infinity;
    return costs.of(this.clusters[a]!) + costs.of(this.clusters[b]!) - costs.of(both);
  }

  #seek(a: number): void {
    let best = -1;
    let most = HAIR;
    for (let b = a + 1; this.clusters[a] && b < this.#n; b++) {
      const gain = this.#gain[a * this.#n + b]!;
      const other = this.clusters[b];
      if (gain > most + HAIR && other && this.isAllowed(this.clusters[a]!, other)) [best, most] = [b, gain];
    }
    this.#best[a] = best;
  }

  /** Joins the two that save the most; answers whether any did. */
  joinBest(): boolean {
    const n = this.#n;
    let [from, most] = [-1, HAIR];
    for (let a = 0; a < n; a++) {
      const b = this.#best[a]!;
      if (b < 0) continue;
      const gain = this.#gain[a * n + b]!;
      if (gain > most + HAIR) [from, most] = [a, gain];
    }
    if (from < 0) return false;
    const to = this.#best[from]!;
    this.clusters[from] = [...this.clusters[from]!, ...this.clusters[to]!];
    this.clusters[to] = undefined;
    for (let other = 0; other < n; other++) {
      if (!this.clusters[other] || other === from) continue;
      const [a, b] = other < from ? [other, from] : [from, other];
      this.#gain[a * n + b] = this.#savingOf(a, b);
    }
    for (let a = 0; a < n; a++) {
      const best = this.#best[a]!;
      const mayBeBetter = a < from && this.#gain[a * n + from]! > HAIR;
      if (a === from || a === to || best === from || best === to || mayBeBetter) this.#seek(a);
    }
    return true;
  }

  /** Looks at every row again, since what may be joined has changed. */
  seekAll(): void {
    for (let a = 0; a < this.#n; a++) this.#seek(a);
  }
}

/** Joins clusters as long as that saves (Esau and Williams), the greatest saving first. */
function joinUp(costs: Costs): number[][] {
  const { problem } = costs;
  const least = leastOf(problem);
  const countMarked = (list: readonly (readonly number[] | undefined)[]) =>
    list.filter((one) => one && isMarked(problem, one)).length;
  let isTight = false;
  const savings = new Savings(costs, (a, b) => !isTight || !isMarked(problem, a) || !isMarked(problem, b));
  for (;;) {
    const nowTight = countMarked(savings.clusters) <= least;
    if (nowTight !== isTight) {
      isTight = nowTight;
      savings.seekAll();
    }
    if (!savings.joinBest()) return savings.clusters.filter((one) => one !== undefined);
  }
}

type Pair = readonly [number[], number[]];

/** Takes offers of how to divide the places of two clusters, and keeps the best that is allowed. */
class PairOffers {
  best: Pair;
  sum: number;

  constructor(
    readonly costs: Costs,
    readonly pair: Pair,
    readonly keepMarked: boolean,
  ) {
    this.best = pair;
    this.sum = costs.of(pair[0]) + costs.of(pair[1]);
  }

  offer(a: number[], b: number[]): void {
    const { problem } = this.costs;
    const [one, two] = this.pair;
    if (!fits(problem, a) || !fits(problem, b)) return;
    if (this.keepMarked && isMarked(problem, one) && isMarked(problem, two))
      if (!isMarked(problem, a) || !isMarked(problem, b)) return;
    const sum = this.costs.of(a) + this.costs.of(b);
    if (sum < this.sum - HAIR) [this.best, this.sum] = [[a, b], sum];
  }
}

/** The best way to divide the places of two clusters between two, or into one. */
function redividePair(costs: Costs, pair: Pair, mayJoin: boolean, keepMarked: boolean): Pair {
  const places = pair.flat();
  if (places.length > PAIR_UP_TO) return shiftPair(costs, pair, mayJoin, keepMarked);
  const offers = new PairOffers(costs, pair, keepMarked);
  for (let mask = mayJoin ? 0 : 1; mask < 1 << (places.length - 1); mask++) {
    const a: number[] = [];
    const b: number[] = [];
    places.forEach((place, i) => (i > 0 && mask & (1 << (i - 1)) ? b : a).push(place));
    offers.offer(a, b);
  }
  return offers.best;
}

/** The same by joining, and by moving and exchanging single places, until nothing improves. */
function shiftPair(costs: Costs, pair: Pair, mayJoin: boolean, keepMarked: boolean): Pair {
  const offers = new PairOffers(costs, pair, keepMarked);
  for (let before = Infinity; offers.sum < before - HAIR;) {
    before = offers.sum;
    const [a, b] = offers.best;
    if (mayJoin) offers.offer([...a, ...b], []);
    for (const i of a) offers.offer(without(a, i), [...b, i]);
    for (const j of b) offers.offer([...a, j], without(b, j));
    for (const i of a) for (const j of b) offers.offer([...without(a, i), j], [...without(b, j), i]);
  }
  return offers.best;
}
const without = (list: readonly number[], one: number): number[] => list.filter((other) => other !== one);

/** Neighboring circuits of few places are divided again outright, into as many as is best. */
function redivideSome(costs: Costs, start: number[][]): number[][] {
  const { problem } = costs;
  const least = leastOf(problem);
  const tried = new Set<string>();
  let clusters = start;
  for (let at = 0; at < clusters.length && costs.measured < BUDGET; at++) {
    const here = clusters[at]!;
    const small = clusters.map((one, k) => ({ one, k })).filter(({ one }) => one.length <= EXACT_UP_TO);
    const others = small
      .map(({ one, k }) => ({ k, far: k === at ? -1 : gapBetween(problem, here, one) }))
      .sort((a, b) => a.far - b.far || a.k - b.k);
    const chosen: number[] = [];
    let places = 0;
    for (const { k } of others)
      if (places + clusters[k]!.length <= EXACT_UP_TO) {
        chosen.push(k);
        places += clusters[k]!.length;
      }
    if (chosen.length === 0) continue;
    const some = chosen.map((k) => clusters[k]!);
    const rest = clusters.filter((_, k) => !chosen.includes(k));
    const markedElsewhere = rest.filter((one) => isMarked(problem, one)).length;
    const need = Math.max(0, least - markedElsewhere);
    const key = `${need}:${some
      .flat()
      .sort((a, b) => a - b)
      .join(',')}`;
    if (tried.has(key)) continue;
    tried.add(key);
    const again = divideExactly(costs, some.flat(), need);
    if (total(costs, again) < total(costs, some) - HAIR) {
      clusters = [...rest, ...again];
      at = -1;
    }
  }
  return clusters;
}

/** Each cluster is set against so many others that lie nearest: those farther off have nothing to exchange. All, where there are few. */
const NEIGHBORS = 7;
/** Trees that a search may measure before it takes what it has: some seconds at the most. */
const BUDGET = 600_000;

/** The pairs of clusters that lie near each other, by their numbers. */
function nearPairs({ problem }: Costs, clusters: readonly (readonly number[])[]): (readonly [number, number])[] {
  const isFew = clusters.length <= NEIGHBORS + 1;
  const gaps = isFew
    ? []
    : clusters.map((one, a) => clusters.map((other, b) => (a < b ? gapBetween(problem, one, other) : 0)));
  const near = clusters.map((_, a) => {
    if (isFew) return undefined;
    const far = (b: number) => (a < b ? gaps[a]![b]! : gaps[b]![a]!);
    const others = clusters.map((_one, b) => b).filter((b) => b !== a);
    return new Set(others.sort((b, c) => far(b) - far(c) || b - c).slice(0, NEIGHBORS));
  });
  return clusters.flatMap((_, a) =>
    clusters.flatMap((_one, b) => (b > a && (isFew || near[a]!.has(b) || near[b]!.has(a)) ? [[a, b] as const] : [])),
  );
}

/** Divides pairs of clusters again, again and again, until no pair can be improved or the budget is spent. */
function better(costs: Costs, start: number[][], onProgress: (share: number) => void): number[][] {
  const least = leastOf(costs.problem);
  let clusters = start;
  /** Pairs that were divided again and stayed as they are. */
  const settled = new Map<number[], Set<number[]>>();
  for (let round = 0; round < 12 && costs.measured < BUDGET; round++) {
    const before = total(costs, clusters);
    let markedCount = clusters.filter((one) => isMarked(costs.problem, one)).length;
    for (const [a, b] of nearPairs(costs, clusters)) {
      const [one, two] = [clusters[a]!, clusters[b]!];
      if (one.length === 0 || two.length === 0) continue;
      const tight = markedCount <= least;
      const mayJoin = !(tight && isMarked(costs.problem, one) && isMarked(costs.problem, two));
      const key = mayJoin && !tight;
      if (key && settled.get(one)?.has(two)) continue;
      const [newOne, newTwo] = redividePair(costs, [one, two], mayJoin, tight);
      [clusters[a], clusters[b]] = [newOne, newTwo];
      if (newOne === one && newTwo === two) {
        if (key) settled.set(one, (settled.get(one) ?? new Set()).add(two));
      } else markedCount = clusters.filter((other) => other.length > 0 && isMarked(costs.problem, other)).length;
      if (costs.measured > BUDGET) break;
    }
    clusters = redivideSome(
      costs,
      clusters.filter((one) => one.length > 0),
    );
    onProgress((round + 1) / 12);
    if (total(costs, clusters) > before - HAIR) break;
  }
  return clusters;
}

/** So many of the emptiest circuits are tried to be given to the others. */
const MOST_DISSOLVED = 8;

/**
 * Gives the places of one cluster to the others, where they have room, and shifts single places between them: where demands just
 * fill a number of circuits, joining alone ends with one circuit too many that no pair can take in.
 */
function dissolveOne(costs: Costs, clusters: readonly number[][]): number[][] | undefined {
  const { problem } = costs;
  const now = total(costs, clusters);
  // No division into fewer holds all that there is: then none is sought.
  const held = clusters.reduce((sum, one) => sum + Math.min(1, demandOf(problem, one)), 0);
  if (held > clusters.length - 1 + HAIR) return undefined;
  const emptiest = clusters
    .map((one, k) => ({ k, demand: demandOf(problem, one) }))
    .sort((a, b) => a.demand - b.demand || a.k - b.k)
    .slice(0, MOST_DISSOLVED);
  for (const { k } of emptiest) {
    if (costs.measured > BUDGET) return undefined;
    let others = clusters.filter((_, i) => i !== k).map((one) => [...one]);
    const homeless = [...clusters[k]!].sort((a, b) => problem.demand[b]! - problem.demand[a]! || a - b);
    const isHoused = homeless.every((place) => {
      const homes = others.filter((one) => fits(problem, [...one, place]));
      if (homes.length === 0) return false;
      const added = (one: number[]) => costs.of([...one, place]) - costs.of(one);
      homes.reduce((best, one) => (added(one) < added(best) - HAIR ? one : best)).push(place);
      return true;
    });
    if (!isHoused || others.filter((one) => isMarked(problem, one)).length < leastOf(problem)) continue;
    others = shiftSingles(costs, others);
    if (total(costs, others) < now - HAIR) return others;
  }
  return undefined;
}

/** Moves and exchanges single places between all pairs until nothing improves. */
function shiftSingles(costs: Costs, start: number[][]): number[][] {
  const clusters = [...start];
  const least = leastOf(costs.problem);
  for (let before = Infinity; total(costs, clusters) < before - HAIR && costs.measured < BUDGET;) {
    before = total(costs, clusters);
    for (const [a, b] of nearPairs(costs, clusters)) {
      const markedCount = clusters.filter((one) => isMarked(costs.problem, one)).length;
      [clusters[a], clusters[b]] = shiftPair(costs, [clusters[a]!, clusters[b]!], false, markedCount <= least);
    }
  }
  return clusters;
}

/** Joined up, divided again and dissolved, until nothing improves. */
function search(costs: Costs, start: number[][], onProgress: (share: number) => void): number[][] {
  let clusters = better(costs, start, onProgress);
  for (let fewer = dissolveOne(costs, clusters); fewer; fewer = dissolveOne(costs, clusters))
    clusters = better(costs, fewer, onProgress);
  return clusters;
}

/**
 * Divides places into circuits at the least cost of cable and fees: outright up to eleven of them, beyond by joining up,
 * dividing pairs again and dissolving what can be spared. The same answer every time.
 */
export function divide(problem: ClusterProblem, onProgress: (share: number) => void = () => undefined): Clusters {
  const costs = new Costs(problem);
  const n = problem.root.length;
  const clusters =
    n === 0
      ? []
      : n <= EXACT_UP_TO
        ? divideExactly(
            costs,
            problem.root.map((_, i) => i),
            leastOf(problem),
          )
        : search(costs, joinUp(costs), onProgress);
  const ordered = clusters.map((one) => [...one].sort((a, b) => a - b)).sort((a, b) => a[0]! - b[0]!);
  return { clusters: ordered, cost: total(costs, ordered) };
}
