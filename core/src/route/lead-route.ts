import type { Point } from '../geometry/geometry';
import type { House, Route } from '../house/schema';
import { axesOf, squared, toOwn } from '../plan/own-axes';
import { findRoutes } from './find-routes';
import { framingGraph, LINE_IN, type FramingGraph } from './framing-graph';
import type { RoutePlace, RouteWay } from './ways';

/** What a person says of the way of a cable: a place that it has to pass on the plan of a level, or where it is to lie. */
type Lead =
  { readonly at: Point; readonly level: string; readonly through: 'wall' | 'space' } | { readonly place: RoutePlace };

/** How near a place has to be to a bay or a space for a cable to be led through it, inches. */
const NEAR_IN = 36;

/** The bay nearest to a place on the plan of a level, or the place of the space over it. */
function nodeNear(
  house: House,
  graph: FramingGraph,
  { at, level, through }: Extract<Lead, { at: Point }>,
): number | undefined {
  let best: number | undefined;
  let least = NEAR_IN;
  graph.nodes.forEach((node, n) => {
    const isThere =
      node.kind === 'bay'
        ? through === 'wall' && house.rooms[node.room]!.level === level
        : through === 'space' &&
          (node.space.over?.id === level || (!node.space.over && node.space.under?.id === level));
    if (!isThere) return;
    const far = Math.abs(node.x - at.x) + Math.abs(node.y - at.y);
    if (far < least) [best, least] = [n, far];
  });
  return best;
}

/**
 * Leads one cable as a person says, and marks it as led by hand: by way of the bay or the space at a place of the plan, or over the ceiling,
 * in the walls, below the floor as far as a way leads there. Undefined where nothing is near that place, or where no way leads on.
 */
export function leadRoute(house: House, key: string, lead: Lead, way: RouteWay): Route | undefined {
  const only = new Set([key]);
  const mark = (route: Route | undefined): Route | undefined => route && { ...route, byHand: true };
  if ('place' in lead) return mark(findRoutes(house, way, { only, place: lead.place })?.routes[0]);
  const graph = framingGraph(squared(house), house.standards.routing?.lineIn ?? LINE_IN);
  const node = nodeNear(house, graph, { ...lead, at: toOwn(axesOf(house.rooms), lead.at) });
  if (node === undefined) return undefined;
  return mark(findRoutes(house, way, { only, via: { node } })?.routes[0]);
}
