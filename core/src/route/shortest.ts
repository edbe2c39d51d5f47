import type { FramingGraph } from './framing-graph';

/** A start or an end of a search: a node, and what the way between it and the box costs. */
export interface Terminal {
  readonly node: number;
  readonly cost: number;
}

/** A way through the graph, and what it costs. */
export interface Found {
  /** Nodes from the first to the last, and the edges between them. */
  readonly nodes: readonly number[];
  readonly edges: readonly number[];
  readonly cost: number;
  /** Which of the starts and which of the ends were taken. */
  readonly from: Terminal;
  readonly to: Terminal;
}

/** Arrays of one search, kept for the next: each is marked with the number of its search instead of being cleared. */
export class Search {
  readonly #cost: Float64Array;
  readonly #by: Int32Array;
  readonly #seen: Int32Array;
  readonly #done: Int32Array;
  #turn = 0;
  #heap: number[] = [];
  #keys: number[] = [];

  constructor(readonly graph: FramingGraph) {
    const n = graph.nodes.length;
    this.#cost = new Float64Array(n);
    this.#by = new Int32Array(n);
    this.#seen = new Int32Array(n);
    this.#done = new Int32Array(n);
  }

  /**
   * The cheapest way from one of the starts to one of the ends: Dijkstra's search with a binary heap, drawn towards the ends by what an
   * inch costs at least (A*), which changes nothing of the answer. `costOf` gives the cost of an edge, never less than that, Infinity where
   * it may not be taken. Undefined where no way leads there.
   */
  find(
    starts: readonly Terminal[],
    ends: readonly Terminal[],
    costOf: (edge: number) => number,
    leastPerInch = 0,
  ): Found | undefined {
    const { graph } = this;
    const turn = ++this.#turn;
    this.#heap = [];
    this.#keys = [];
    const ahead = (node: number): number => (leastPerInch === 0 ? 0 : this.#ahead(node, ends, leastPerInch));
    for (const { node, cost } of starts) this.#offer(node, cost, -1, turn, ahead(node));
    let best: { node: number; cost: number; to: Terminal } | undefined;
    while (this.#heap.length > 0) {
      const [node, key] = this.#pop();
      if (this.#done[node] === turn) continue;
      this.#done[node] = turn;
      if (best && key >= best.cost) break;
      const cost = this.#cost[node]!;
      for (const to of ends)
        if (to.node === node && (!best || cost + to.cost < best.cost)) best = { node, cost: cost + to.cost, to };
      for (let i = graph.starts[node]!; i < graph.starts[node + 1]!; i++) {
        const e = graph.at[i]!;
        const edge = graph.edges[e]!;
        const next = edge.a === node ? edge.b : edge.a;
        if (this.#done[next] === turn) continue;
        const step = costOf(e);
        if (step < Infinity) this.#offer(next, cost + step, e, turn, ahead(next));
      }
    }
    return best && this.#trace(best, starts);
  }

  /** What the way to the nearest end costs at least: straight along the axes, at the least cost of an inch. */
  #ahead(node: number, ends: readonly Terminal[], leastPerInch: number): number {
    const here = this.graph.nodes[node]!;
    let least = Infinity;
    for (const { node: end, cost } of ends) {
      const there = this.graph.nodes[end]!;
      const far = Math.abs(here.x - there.x) + Math.abs(here.y - there.y) + Math.abs(here.z - there.z);
      least = Math.min(least, far * leastPerInch + cost);
    }
    return least;
  }

  /** What the cheapest way from the starts to every node costs; Infinity where none leads. */
  all(starts: readonly Terminal[], costOf: (edge: number) => number): Float64Array {
    this.find(starts, [], costOf);
    return this.#cost.map((cost, n) => (this.#done[n] === this.#turn ? cost : Infinity));
  }

  #trace(best: { node: number; cost: number; to: Terminal }, starts: readonly Terminal[]): Found {
    const nodes = [best.node];
    const edges: number[] = [];
    for (let node = best.node; this.#by[node]! >= 0;) {
      const e = this.#by[node]!;
      const edge = this.graph.edges[e]!;
      node = edge.a === node ? edge.b : edge.a;
      edges.push(e);
      nodes.push(node);
    }
    nodes.reverse();
    edges.reverse();
    const first = nodes[0]!;
    const from = starts.filter((one) => one.node === first).sort((a, b) => a.cost - b.cost)[0]!;
    return { nodes, edges, cost: best.cost, from, to: best.to };
  }

  #offer(node: number, cost: number, by: number, turn: number, ahead: number): void {
    if (this.#seen[node] === turn && this.#cost[node]! <= cost) return;
    this.#seen[node] = turn;
    this.#cost[node] = cost;
    this.#by[node] = by;
    const [heap, keys] = [this.#heap, this.#keys];
    const key = cost + ahead;
    let i = heap.length;
    heap.push(node);
    keys.push(key);
    while (i > 0) {
      const parent = (i - 1) >> 1;
      if (keys[parent]! <= key) break;
      heap[i] = heap[parent]!;
      keys[i] = keys[parent]!;
      i = parent;
    }
    heap[i] = node;
    keys[i] = key;
  }

  #pop(): readonly [node: number, key: number] {
    const [heap, keys] = [this.#heap, this.#keys];
    const top = [heap[0]!, keys[0]!] as const;
    const [node, key] = [heap.pop()!, keys.pop()!];
    const n = heap.length;
    if (n === 0) return top;
    let i = 0;
    for (;;) {
      let child = 2 * i + 1;
      if (child >= n) break;
      if (child + 1 < n && keys[child + 1]! < keys[child]!) child++;
      if (keys[child]! >= key) break;
      heap[i] = heap[child]!;
      keys[i] = keys[child]!;
      i = child;
    }
    heap[i] = node;
    keys[i] = key;
    return top;
  }
}
