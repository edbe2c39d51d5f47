import type { House, Route } from '../house/schema';
import { findRoutes, type RoutePlan } from '../route/find-routes';
import { keepRoutes } from '../route/keep-routes';
import type { RouteWay } from '../route/ways';
import { must } from './must';
import type { HouseBuilder } from './house-builder';

/** The routes that are found for a house by a way. */
export function planOf(house: House, way: RouteWay = 'least-wire', only?: ReadonlySet<string>): RoutePlan {
  const plan = findRoutes(house, way, only ? { only } : {});
  if (!plan) throw new Error('nobody has stopped it');
  return plan;
}

/** The house with its cables led and kept. */
export function routed(house: House, way: RouteWay = 'least-wire'): House {
  let n = 0;
  return must(keepRoutes(house, planOf(house, way).routes, (prefix) => `${prefix}-${++n}`)).house;
}

/** The same of a house that is being built. */
export const led = (builder: HouseBuilder, way: RouteWay = 'least-wire'): HouseBuilder =>
  builder.with((house) => {
    house.routes = { ...routed(structuredClone(house), way).routes };
  });

/** The route that ends at a box, by its tag. */
export const routeTo = (house: House, tag: string): Route =>
  Object.values(house.routes).find((one) => house.boxes[one.to]!.tag === tag)!;
