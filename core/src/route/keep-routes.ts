import { keyOfRoute } from '../circuits/kept-routes';
import type { NewId } from '../house/new-box';
import { edit, type Edited } from '../house/edit';
import type { House, Route, RouteStep } from '../house/schema';
import type { DropStep } from '../house/schema-equipment';
import type { Result } from '../units/result';
import { runsByKey } from './laid';

/** A route that stays where it is when others are found again: led by hand, or begun on site. */
export const isFixed = ({ byHand, done }: Route): boolean => byHand === true || (done?.length ?? 0) > 0;

/**
 * Keeps proposed routes: each in the place of the one that its run had, unless that is fixed. Routes of runs that are no more go, unless
 * something of them is done on site already.
 */
export function keepRoutes(
  house: House,
  routes: readonly Route[],
  newId: NewId,
  label = 'Keep routes',
): Result<Edited> {
  const runs = runsByKey(house);
  return edit(house, label, (draft) => {
    const byKey = new Map(Object.values(house.routes).map((one) => [keyOfRoute(one), one]));
    for (const one of Object.values(house.routes))
      if (!runs.has(keyOfRoute(one)) && !(one.done?.length ?? 0)) delete draft.routes[one.id];
    for (const route of routes) {
      const before = byKey.get(keyOfRoute(route));
      if (before && isFixed(before) && !route.byHand) continue;
      const id = before?.id ?? newId('route');
      draft.routes[id] = { ...route, id, legs: [...route.legs], ends: [...route.ends] };
    }
    return undefined;
  });
}

/** Takes routes away: their cables count by estimate again. */
export function dropRoutes(house: House, ids: readonly string[]): Result<Edited> {
  return edit(house, ids.length === 1 ? 'Remove route' : `Remove ${ids.length} routes`, (draft) => {
    for (const id of ids) delete draft.routes[id];
    return undefined;
  });
}

/** Ticks a step or takes the tick away; where none is left, nothing is kept. */
function tick<S extends string>(one: { done?: S[] | undefined }, step: S, isDone: boolean): void {
  const rest = (one.done ?? []).filter((other) => other !== step);
  const done = isDone ? [...rest, step] : rest;
  if (done.length > 0) one.done = done;
  else delete one.done;
}

/** Ticks what is done of a low-voltage cable, by its device, or takes the tick away. */
export function markDrop(house: House, deviceId: string, step: DropStep, isDone: boolean): Result<Edited> {
  return edit(house, isDone ? `Mark ${step}` : `Not ${step}`, (draft) => {
    for (const box of Object.values(draft.boxes)) {
      const device = box.devices[deviceId];
      if (device?.kind === 'low-voltage') tick(device, step, isDone);
    }
    return undefined;
  });
}

/** Ticks what is done of cables on site, or takes the tick away. */
export function markRoutes(house: House, ids: readonly string[], step: RouteStep, isDone: boolean): Result<Edited> {
  return edit(house, isDone ? `Mark ${step}` : `Not ${step}`, (draft) => {
    for (const id of ids) {
      const route = draft.routes[id];
      if (!route) continue;
      tick(route, step, isDone);
    }
    return undefined;
  });
}
