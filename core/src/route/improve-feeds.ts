import { MAKE_UP_IN } from '../circuits/cable-run';
import { leastFeet, type FeedPlan } from '../feed-search/least-feet';
import { UnitLengths } from '../feed/unit-lengths';
import type { WiringUnit } from '../feed/unit';
import type { Box, House } from '../house/schema';
import { wireHouse } from '../makeup/make-up';
import type { OnProgress } from '../units/result';
import { endOfBox, endOfPanel, type RouteEnd } from './ends';
import { framingGraph, LINE_IN, type FramingGraph } from './framing-graph';
import { squared } from '../plan/own-axes';
import { isFixed } from './keep-routes';
import { Search } from './shortest';
import { CABLES_PER_HOLE, costsOf, inchOf, type EdgeCosts, type RouteWay } from './ways';

/** Stands for a way that does not exist: longer than any house, inches. */
const NO_WAY_IN = 1e6;

/** How far it is between the boxes of a unit along the framing, holes counted as cable by the way that is wanted. */
function lengthsAlong(
  house: House,
  own: House,
  graph: FramingGraph,
  costs: EdgeCosts,
  way: RouteWay,
  unit: WiringUnit,
): UnitLengths {
  const search = new Search(graph);
  const inch = inchOf(way);
  const costOf = (e: number) => costs.cable[e]! + costs.holes[e]! / CABLES_PER_HOLE;
  const ends = new Map<string, RouteEnd>();
  const endOf = (box: Box): RouteEnd => {
    let end = ends.get(box.id);
    if (!end) ends.set(box.id, (end = endOfBox(own, graph, own.boxes[box.id]!)));
    return end;
  };
  const fields = new Map<string, Float64Array>();
  const fieldFrom = (from: Box | undefined): Float64Array => {
    const key = from?.id ?? '';
    let field = fields.get(key);
    if (!field) {
      const { entries } = from ? endOf(from) : endOfPanel(own, graph, unit.panel!);
      const starts = entries.map(({ node, lengthIn }) => ({ node, cost: lengthIn * inch }));
      fields.set(key, (field = search.all(starts, costOf)));
    }
    return field;
  };
  return new UnitLengths(house, unit, (from, to) => {
    const field = fieldFrom(from);
    const cost = Math.min(...endOf(to).entries.map(({ node, lengthIn }) => field[node]! + lengthIn * inch));
    return cost < Infinity ? cost / inch + 2 * MAKE_UP_IN : NO_WAY_IN;
  });
}

/**
 * Feed orders that suit the framing: for each circuit that the tool feeds, the order with the fewest conductor-feet along routes instead
 * of by estimate, holes counted as cable by a way. What a person has drawn stays, and what is led by hand or begun on site. Only what saves is answered.
 */
export function improveFeeds(
  house: House,
  way: RouteWay,
  onProgress: OnProgress = () => undefined,
): readonly FeedPlan[] {
  const own = squared(house);
  const graph = framingGraph(own, house.standards.routing?.lineIn ?? LINE_IN);
  const costs = costsOf(graph, way);
  const fixed = new Set(Object.values(house.routes).flatMap((one) => (isFixed(one) ? [one.circuit] : [])));
  const units = wireHouse(house).units.filter(
    ({ unit, tree }) => !tree.stored && tree.nodes.length > 1 && unit.panel && !fixed.has(unit.id),
  );
  return units.flatMap(({ unit }, i) => {
    const lengths = lengthsAlong(house, own, graph, costs, way, unit);
    const report: OnProgress = (share, note) => onProgress((i + share) / units.length, note);
    const plan = leastFeet(house, unit, report, 'as it stands', lengths);
    return plan.afterFt < plan.beforeFt - 0.5 ? [plan] : [];
  });
}
