import {
  findRoutes,
  improveFeeds,
  keepFeeds,
  ROUTE_WAYS,
  totalsOfRoutes,
  type FeedPlan,
  type House,
  type RoutePlan,
  type RouteTotals,
  type RouteWay,
} from '@winculum/core';
import { answerIn } from '../../work/long-work';

export interface RouteQuestion {
  readonly house: House;
  /** Runs to be laid; all where nothing is said. */
  readonly only?: readonly string[];
  /** Feed orders may change with the routes. */
  readonly withFeeds?: boolean;
}
/** A way of leading the cables, and what it takes; with the feed orders that it goes by, where those change. */
export interface ComparedPlan {
  readonly plan: RoutePlan;
  readonly totals: RouteTotals;
  readonly feeds: readonly FeedPlan[];
  /** Better orders were looked for. */
  readonly soughtFeeds: boolean;
}

const WORDS = { 'least-wire': 'least wire', 'fewest-holes': 'fewest holes', quickest: 'quickest to pull' } as const;

type OnShare = (share: number, what: string) => void;

/** The house with the feed orders that suit a way, and what changes. */
function fed(house: House, way: RouteWay, onShare: OnShare): { house: House; feeds: readonly FeedPlan[] } {
  const feeds = improveFeeds(house, way, onShare);
  const kept = keepFeeds(house, feeds);
  return kept.ok && feeds.length > 0 ? { house: kept.value.house, feeds } : { house, feeds: [] };
}

answerIn<RouteQuestion, readonly ComparedPlan[]>(self, ({ house: asked, only, withFeeds }, onProgress) =>
  ROUTE_WAYS.flatMap((way, n) => {
    const share = (done: number, what: string) => onProgress((n + done) / ROUTE_WAYS.length, what);
    const half = withFeeds ? 0.8 : 0;
    const { house, feeds } = withFeeds
      ? fed(asked, way, (done, what) => share(done * half, what))
      : { house: asked, feeds: [] };
    const progress = (done: number) => {
      share(half + done * (1 - half), WORDS[way]);
      return true;
    };
    const plan = findRoutes(house, way, { progress, ...(only && !withFeeds ? { only: new Set(only) } : {}) });
    return plan ? [{ plan, totals: totalsOfRoutes(house, plan.routes), feeds, soughtFeeds: withFeeds === true }] : [];
  }),
);
