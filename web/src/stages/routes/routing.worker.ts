import { findRoutes, ROUTE_WAYS, totalsOfRoutes, type House, type RoutePlan, type RouteTotals } from '@winculum/core';
import { answerIn } from '../../work/long-work';

export interface RouteQuestion {
  readonly house: House;
  /** Runs to be laid; all where nothing is said. */
  readonly only?: readonly string[];
}
/** A way of leading the cables, and what it takes. */
export interface ComparedPlan {
  readonly plan: RoutePlan;
  readonly totals: RouteTotals;
}

const WORDS = { 'least-wire': 'least wire', 'fewest-holes': 'fewest holes', quickest: 'quickest to pull' } as const;

answerIn<RouteQuestion, readonly ComparedPlan[]>(self, ({ house, only }, onProgress) =>
  ROUTE_WAYS.flatMap((way, n) => {
    const progress = (done: number) => {
      onProgress((n + done) / ROUTE_WAYS.length, WORDS[way]);
      return true;
    };
    const plan = findRoutes(house, way, { progress, ...(only ? { only: new Set(only) } : {}) });
    return plan ? [{ plan, totals: totalsOfRoutes(house, plan.routes) }] : [];
  }),
);
