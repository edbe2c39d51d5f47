import type { House, Panel } from '../house/schema';
import type { Route } from '../house/schema-route';
import { isInTheWalls, type CableRunOf } from '../makeup/cables';
import { wireHouse } from '../makeup/make-up';
import { endOfBox, endOfPanel, type RouteEnd } from './ends';
import { framingGraph, LINE_IN, type FramingGraph } from './framing-graph';
import { endsOf, keyOf } from '../circuits/kept-routes';
import { LegWriter, lengthOfLegs, onSheet } from './legs';
import type { Spot } from '../circuits/cable-run';
import { axesOf, fromOwn, squared } from '../plan/own-axes';
import { Search, type Found, type Terminal } from './shortest';
import { CABLES_PER_HOLE, costsOf, inchOf, type EdgeCosts, type RoutePlace, type RouteWay } from './ways';

/** Why a cable could not be laid. */
export interface Unrouted {
  readonly run: CableRunOf;
  readonly message: string;
}

/** Routes for the cables of a house by one way, none of them kept yet. */
export interface RoutePlan {
  readonly way: RouteWay;
  readonly routes: readonly Route[];
  readonly unrouted: readonly Unrouted[];
  /** What the plan costs by its way, and what no plan can cost less than: each cable alone on its cheapest way, sharing every hole. */
  readonly cost: number;
  readonly bound: number;
}

interface Task {
  readonly run: CableRunOf;
  readonly from: RouteEnd;
  readonly to: RouteEnd;
  readonly cables: number;
}

/** A cable that goes where one lies already is pulled with it: a little less than its own length, so that home runs gather. *Common practice*. */
const TOGETHER = 0.92;
/** A member with so many holes is not bored again while another way is no longer than a few feet. */
const CROWDED = 3;

/** Finds routes cable by cable, each knowing what the others have bored. */
class Router {
  readonly #search: Search;
  readonly #used: Int16Array;
  readonly #found: (Found | undefined)[];

  constructor(
    readonly graph: FramingGraph,
    readonly costs: EdgeCosts,
    readonly tasks: readonly Task[],
    readonly via: number | undefined,
    /** No inch of cable costs less. */
    readonly leastPerInch: number,
  ) {
    this.#search = new Search(graph);
    this.#used = new Int16Array(graph.edges.length);
    this.#found = tasks.map(() => undefined);
  }

  /** Cost of one more cable along an edge: its length, and a hole where those that are there are full. */
  #costOf = (e: number): number => {
    const used = this.#used[e]!;
    const hole = this.costs.holes[e]!;
    if (used === 0) return this.costs.cable[e]! + hole;
    const isFull = used % CABLES_PER_HOLE === 0;
    const crowd = used >= CROWDED * CABLES_PER_HOLE ? 2 : 1;
    return this.costs.cable[e]! * TOGETHER + (isFull ? hole * crowd : 0);
  };

  #terminals({ entries }: RouteEnd, inch: number): Terminal[] {
    return entries.map(({ node, lengthIn }) => ({ node, cost: lengthIn * inch }));
  }

  /** Lays one cable, or lays it again. */
  lay(i: number, inch: number): Found | undefined {
    const { from, to, cables } = this.tasks[i]!;
    const before = this.#found[i];
    if (before) for (const e of before.edges) this.#used[e]! -= cables;
    const found = this.#find(this.#terminals(from, inch), this.#terminals(to, inch));
    if (found) for (const e of found.edges) this.#used[e]! += cables;
    this.#found[i] = found;
    return found;
  }

  /** The cheapest way, by way of a node where one is given. */
  #find(starts: readonly Terminal[], ends: readonly Terminal[]): Found | undefined {
    if (this.via === undefined) return this.#search.find(starts, ends, this.#costOf, this.leastPerInch);
    const there = { node: this.via, cost: 0 };
    const before = this.#search.find(starts, [there], this.#costOf, this.leastPerInch);
    const after = before && this.#search.find([there], ends, this.#costOf, this.leastPerInch);
    return (
      after && {
        nodes: [...before.nodes, ...after.nodes.slice(1)],
        edges: [...before.edges, ...after.edges],
        cost: before.cost + after.cost,
        from: before.from,
        to: after.to,
      }
    );
  }

  get found(): readonly (Found | undefined)[] {
    return this.#found;
  }

  get used(): Int16Array {
    return this.#used;
  }

  /** Each cable alone, sharing every hole with as many others as fit in it. */
  bound(i: number, inch: number): number {
    const { from, to, cables } = this.tasks[i]!;
    const least = (e: number) => this.costs.cable[e]! + this.costs.holes[e]! / CABLES_PER_HOLE;
    const found = this.#search.find(this.#terminals(from, inch), this.#terminals(to, inch), least, this.leastPerInch);
    return (found?.cost ?? 0) * cables;
  }
}

/** What all cables of a plan cost together: each edge once for its holes. */
function costOfAll(router: Router, inch: number): number {
  let cost = 0;
  router.used.forEach((used, e) => {
    if (used > 0) cost += used * router.costs.cable[e]! + Math.ceil(used / CABLES_PER_HOLE) * router.costs.holes[e]!;
  });
  router.found.forEach((found, i) => {
    if (!found) return;
    const { from, to, cables } = router.tasks[i]!;
    const entry = (end: RouteEnd, node: number) => end.entries.find((one) => one.node === node)!.lengthIn * inch;
    cost += cables * (entry(from, found.from.node) + entry(to, found.to.node));
  });
  return cost;
}

/** The runs to be led, with their ends in the house squared to the sheet. */
function tasksOf(house: House, own: House, graph: FramingGraph, only?: ReadonlySet<string>): Task[] {
  const boxEnds = new Map<string, RouteEnd>();
  const ofBox = (id: string) => {
    let end = boxEnds.get(id);
    if (!end) boxEnds.set(id, (end = endOfBox(own, graph, own.boxes[id]!)));
    return end;
  };
  const panelEnds = new Map<Panel, RouteEnd>();
  const tasks: Task[] = [];
  for (const { unit, runs } of wireHouse(house).units)
    for (const run of runs) {
      if (isInTheWalls(run) || (only && !only.has(keyOf(run)))) continue;
      const { panel } = unit;
      if (!run.from && !panel) continue;
      let from: RouteEnd;
      if (run.from) from = ofBox(run.from.id);
      else {
        from = panelEnds.get(panel!) ?? endOfPanel(own, graph, panel!);
        panelEnds.set(panel!, from);
      }
      tasks.push({ run, from, to: ofBox(run.to.id), cables: Math.max(1, run.cables.length) });
    }
  // Home runs first, the longest of them before the others: they make the trunks that the rest joins.
  const far = ({ from, to }: Task) => Math.abs(from.spot.x - to.spot.x) + Math.abs(from.spot.y - to.spot.y);
  return tasks.sort(
    (a, b) =>
      Number(a.run.from !== undefined) - Number(b.run.from !== undefined) ||
      far(b) - far(a) ||
      (a.run.id < b.run.id ? -1 : 1),
  );
}

/** How often every cable is laid again in sight of all others. */
const ROUNDS = 2;

interface RouteOptions {
  /** Only these runs, by `keyOf`; all where nothing is said. */
  readonly only?: ReadonlySet<string>;
  /** A place that each of them has to pass: a bay or a space near it on its level. */
  readonly via?: { readonly node: number };
  /** Where they are to lie as far as they can. */
  readonly place?: RoutePlace;
  /** Called with the share that is done; false stops the search. */
  readonly progress?: (done: number) => boolean;
}

/**
 * Lays the cables of a house through its framing by one way: shortest ways one after the other, holes shared as they come to be, each
 * laid again once all are known. The bound says how far from the best it can be at most. @returns undefined when `progress` stops it.
 */
export function findRoutes(house: House, way: RouteWay, options: RouteOptions = {}): RoutePlan | undefined {
  const own = squared(house);
  const graph = framingGraph(own, house.standards.routing?.lineIn ?? LINE_IN);
  const tasks = tasksOf(house, own, graph, options.only);
  const router = new Router(
    graph,
    costsOf(graph, way, options.place),
    tasks,
    options.via?.node,
    inchOf(way) * TOGETHER,
  );
  const inch = inchOf(way);
  const steps = tasks.length * (ROUNDS + 2);
  let step = 0;
  const goesOn = () => options.progress?.(++step / steps) ?? true;
  for (let round = 0; round <= ROUNDS; round++)
    for (let i = 0; i < tasks.length; i++) {
      router.lay(i, inch);
      if (!goesOn()) return undefined;
    }
  let bound = 0;
  for (let i = 0; i < tasks.length; i++) {
    bound += router.bound(i, inch);
    if (!goesOn()) return undefined;
  }
  const routes: Route[] = [];
  const unrouted: Unrouted[] = [];
  tasks.forEach((task, i) => {
    const found = router.found[i];
    if (!found) unrouted.push({ run: task.run, message: whyNot(house, task) });
    else routes.push(routeOf(house, own, graph, task, found));
  });
  return { way, routes, unrouted, cost: costOfAll(router, inch), bound };
}

function whyNot(house: House, { run, from, to }: Task): string {
  const name = run.from?.tag ?? 'the panel';
  for (const [end, tag] of [
    [from, name],
    [to, run.to.tag],
  ] as const)
    if (end.entries.length === 0)
      return `No framing is known around ${tag} in ${house.rooms[end.room]!.name}. Say what lies above and below its level, or whether its walls are framed.`;
  const rest = Object.values(house.rooms).some((one) => one.closed)
    ? 'Walls that stay closed are not bored: open one, or say what lies above and below their levels.'
    : 'Say what lies above and below their levels.';
  return `No way through the framing leads from ${name} to ${run.to.tag}. ${rest}`;
}

function routeOf(house: House, own: House, graph: FramingGraph, { run, from, to }: Task, found: Found): Route {
  const legs = [...new LegWriter(own, graph, from, to).write(found)];
  const axes = axesOf(house.rooms);
  const onPlan = (spot: Spot): Spot => ({ ...spot, ...fromOwn(axes, spot) });
  return {
    id: 'new',
    circuit: run.unit.id,
    from: run.from?.id ?? null,
    to: run.to.id,
    legs: own === house ? legs : onSheet(axes, legs),
    lengthIn: Math.round(lengthOfLegs(legs) * 8) / 8,
    ends: own === house ? endsOf(from.spot, to.spot) : endsOf(onPlan(from.spot), onPlan(to.spot)),
  };
}
