import { memo } from '../cache/memo';
import { MAKE_UP_IN, spotOfBox, spotOfPanel, type Spot } from './cable-run';
import { panelOf } from './panel-tree';
import type { House, Route, RouteLeg } from '../house/schema';
import { viewRoom } from '../plan/room-view';
import { wallLoop } from '../plan/wall-loop';
import { isClosedAt } from '../place/closed-walls';
import { baysOf, type Crossing, type RoomBays } from '../plan/bays';
import { given, itemAt, mustGet } from '../units/result';

interface RunEnds {
  readonly unit: { readonly id: string };
  readonly from: { readonly id: string } | undefined;
  readonly to: { readonly id: string };
}

/** A run by the boxes at its ends: what a route belongs to, whoever decides the feed order. */
export const keyOf = ({ unit, from, to }: RunEnds): string => `${unit.id} ${from?.id ?? ''} ${to.id}`;
/** What tells the run of a kept route from all others: its circuit and its two ends. */
export const keyOfRoute = ({ circuit, from, to }: Pick<Route, 'circuit' | 'from' | 'to'>): string =>
  `${circuit} ${from ?? ''} ${to}`;

const round = (value: number) => Math.round(value * 8) / 8;
/** Where both ends of a cable are, for a route to remember. Inches. */
export const endsOf = (from: Spot, to: Spot): Route['ends'] => [from.x, from.y, from.z, to.x, to.y, to.z].map(round);

/** An end that has moved by less than this lies where it lay, inches. */
const SAME_PLACE_IN = 0.5;

/** Whether the boxes of a route still stand where it was laid out. */
function endsStand(house: House, { circuit, from, to, ends }: Route): boolean {
  const box = house.boxes[to];
  const start = from === null ? undefined : house.boxes[from];
  const panel = from === null ? panelOf(house, mustGet(house.circuits, circuit)) : undefined;
  if (!box || (!start && !panel)) return false;
  const now = endsOf(start ? spotOfBox(house, start) : spotOfPanel(house, given(panel)), spotOfBox(house, box));
  return now.every((at, i) => Math.abs(at - itemAt(ends, i)) <= SAME_PLACE_IN);
}

type StudsLeg = Extract<RouteLeg, { kind: 'studs' }>;

/** Members a leg through studs is bored through, in its order; undefined where something bars the way: an opening, a wall without studs. */
export function crossingsAlong(house: House, leg: StudsLeg): readonly Crossing[] | undefined {
  const view = viewRoom(house, leg.room);
  return findCrossings(leg, baysOf(view), wallLoop(view.room).lengthIn);
}

/** What a leg passes, as long as its wall is framed as it was. */
const findCrossings = memo(({ fromIn, toIn, heightIn }: StudsLeg, { bays, crossings }: RoomBays, lengthIn: number) => {
  const [low, high] = [Math.min(fromIn, toIn), Math.max(fromIn, toIn)];
  const passed: { at: number; crossing: Crossing }[] = [];
  const covered: { fromIn: number; toIn: number }[] = [];
  for (const turn of [-lengthIn, 0, lengthIn]) {
    for (const one of bays)
      if (one.fromIn + turn < high && one.toIn + turn > low) {
        if (one.topIn < heightIn) return undefined;
        covered.push({ fromIn: one.fromIn + turn, toIn: one.toIn + turn });
      }
    for (const crossing of crossings) {
      const first = itemAt(crossing.members, 0).atIn + turn;
      let last = itemAt(crossing.members, -1).atIn + turn;
      if (last < first) last += lengthIn;
      if (first >= high || last <= low) continue;
      if (heightIn > crossing.mostIn + 0.5) return undefined;
      passed.push({ at: first, crossing });
      covered.push({ fromIn: first - 1, toIn: last + 1 });
    }
  }
  covered.sort((a, b) => a.fromIn - b.fromIn);
  let at = low;
  for (const one of covered) if (one.fromIn <= at + 1) at = Math.max(at, one.toIn);
  if (at < high - 1) return undefined;
  passed.sort((a, b) => a.at - b.at);
  const list = passed.map((one) => one.crossing);
  return fromIn <= toIn ? list : list.reverse();
});

/** Whether an opening, a wall without studs, or one that stays closed is in the way of a leg. */
function isBarred(house: House, leg: StudsLeg): boolean {
  const crossings = crossingsAlong(house, leg);
  return (
    crossings === undefined ||
    crossings.some(({ members }) => members.some(({ atIn }) => isClosedAt(house, leg.room, atIn)))
  );
}

/** Why a kept route does not hold any more; undefined while it does. */
const whyNotSound = memo(
  (house: House, route: Route): 'moved' | 'barred' | undefined => {
    if (!endsStand(house, route)) return 'moved';
    return route.legs.some((leg) => leg.kind === 'studs' && isBarred(house, leg)) ? 'barred' : undefined;
  },
  ({ rooms, openings, features, levels, panels, boxes }, route) => [
    route,
    rooms,
    openings,
    features,
    levels,
    panels,
    boxes[route.to],
    boxes[route.from ?? ''],
  ],
);

/** The kept routes that hold, by the run that each belongs to, and those that do not, with the reason. */
export const keptRoutes = memo(
  (house: House) => {
    const sound = new Map<string, Route>();
    const broken = new Map<Route, 'moved' | 'barred'>();
    for (const route of Object.values(house.routes)) {
      const why = whyNotSound(house, route);
      if (why) broken.set(route, why);
      else sound.set(keyOfRoute(route), route);
    }
    return { sound, broken };
  },
  ({ routes, rooms, openings, features, levels, panels, boxes, circuits }) => [
    routes,
    rooms,
    openings,
    features,
    levels,
    panels,
    boxes,
    circuits,
  ],
);

/** Cable of a run along the route that is kept for it, with what is left in its boxes, inches; undefined where none holds. */
export function routedLength(house: House, run: RunEnds): number | undefined {
  const { sound } = keptRoutes(house);
  const route = sound.size > 0 ? sound.get(keyOf(run)) : undefined;
  return route && route.lengthIn + 2 * MAKE_UP_IN;
}
