import type { SpaceKind } from './spaces';
import type { Edge, FramingGraph } from './framing-graph';

/** What a crew wants of its routes. */
export const ROUTE_WAYS = ['least-wire', 'fewest-holes', 'quickest'] as const;
export type RouteWay = (typeof ROUTE_WAYS)[number];

/** Cables that go through one hole: more chafe and warm each other, *common practice*. */
export const CABLES_PER_HOLE = 2;

/**
 * What an inch of cable and a hole cost by each way. The quickest counts minutes: a stud is bored in a minute with a right-angle drill, a foot of cable is pulled and
 * stapled in a quarter of one, in an attic in half as much again, in a crawl space in twice as much: *common practice*, from memory, low; a firm that times itself knows better.
 */
const COSTS: Readonly<Record<RouteWay, { readonly inch: number; readonly hole: number }>> = {
  'least-wire': { inch: 1, hole: 0.5 },
  'fewest-holes': { inch: 0.2, hole: 24 },
  quickest: { inch: 0.25 / 12, hole: 1 },
};
/** What an inch of cable in a wall costs by a way. */
export const inchOf = (way: RouteWay): number => COSTS[way].inch;
/** Minutes for an inch of cable and for a hole, as the quickest way counts them. */
export const MINUTES = COSTS.quickest;

const SLOWER: Readonly<Record<string, number>> = { attic: 1.5, crawl: 2, unknown: 1.5 };
/** Boring up or down through a plate takes a ladder or one's knees: *common practice*, low. */
export const PLATE_SHARE = 1.5;

/** How much slower cable is laid in a kind of space than in a wall. */
export const framingSlowness = (kind: SpaceKind): number => SLOWER[kind] ?? 1;

/** How much slower cable is laid along an edge than in a wall. */
function slownessOf(graph: FramingGraph, { kind, a }: Edge): number {
  if (kind !== 'space') return 1;
  const node = graph.nodes[a]!;
  return node.kind === 'space' ? framingSlowness(node.at.kind) : 1;
}

/** The cost of each edge by a way, once for its cable and once for holes of its own. */
export interface EdgeCosts {
  readonly cable: Float64Array;
  readonly holes: Float64Array;
}

/** Where a person wants a cable: over the ceiling, in the walls, below the floor. */
export const ROUTE_PLACES = ['over', 'walls', 'under'] as const;
export type RoutePlace = (typeof ROUTE_PLACES)[number];
/** How many times as much every other place costs then: it is taken where nothing else leads there. */
const UNWANTED = 8;
const WANTED: Readonly<Record<RoutePlace, ReadonlySet<string>>> = {
  over: new Set(['top', 'rim', 'attic', 'closed', 'unknown']),
  walls: new Set(['studs']),
  under: new Set(['bottom', 'rim', 'crawl', 'open', 'closed', 'unknown']),
};

function isWanted(graph: FramingGraph, { kind, a }: Edge, place: RoutePlace): boolean {
  const node = graph.nodes[a]!;
  return WANTED[place].has(kind === 'space' && node.kind === 'space' ? node.at.kind : kind);
}

/** What each edge costs by a way, and by where a person wants the cable. */
export function costsOf(graph: FramingGraph, way: RouteWay, place?: RoutePlace): EdgeCosts {
  const { inch, hole } = COSTS[way];
  const n = graph.edges.length;
  const [cable, holes] = [new Float64Array(n), new Float64Array(n)];
  graph.edges.forEach((edge, e) => {
    const slower = way === 'least-wire' ? 1 : slownessOf(graph, edge);
    const aside = place && !isWanted(graph, edge, place) ? UNWANTED : 1;
    cable[e] = edge.lengthIn * inch * slower * aside;
    holes[e] = aside * edge.holes * hole * (edge.kind === 'top' || edge.kind === 'bottom' ? PLATE_SHARE : 1);
  });
  return { cable, holes };
}
