import { findRoutes, keepRoutes, keyOfRoute, moveBox, ROUTE_WAYS, wireHouse, type House } from '../../core/src/index';
import { Memory } from '../../core/src/cache/memory';
import { framingGraph } from '../../core/src/route/framing-graph';
import { keptRoutes, keyOf } from '../../core/src/circuits/kept-routes';
import { must } from '../../core/src/test/must';
import { demo, manyTimes } from './checks';
import type { Figure } from './main';

const best = (runs: number, work: () => void): number =>
  Math.min(
    ...Array.from({ length: runs }, () => {
      const started = performance.now();
      work();
      return performance.now() - started;
    }),
  );

const fresh = (house: House): House => {
  Memory.forgetAll();
  return structuredClone(house);
};

/** One box moved after all routes are kept: what it loosened is found again, by all three ways. */
function oneBoxAgain(): number {
  let n = 0;
  const plan = findRoutes(demo, 'quickest')!;
  const kept = must(keepRoutes(demo, plan.routes, (prefix) => `${prefix}-bench-${++n}`)).house;
  const box = Object.values(kept.boxes).find((one) => one.at.kind === 'wall' && one.room === 'living')!;
  if (box.at.kind !== 'wall') throw new Error('a box on a wall');
  const moved = must(moveBox(kept, box.id, { ...box.at, alongIn: box.at.alongIn + 20 })).house;
  const loose = new Set([...keptRoutes(moved).broken.keys()].map(keyOfRoute));
  return best(5, () => ROUTE_WAYS.forEach((way) => findRoutes(moved, way, { only: loose })));
}

export function measureRoutes(): Figure[] {
  const graph = best(6, () => framingGraph(fresh(demo)));
  const all = best(3, () => ROUTE_WAYS.forEach((way) => findRoutes(demo, way)));
  const ten = manyTimes(demo, 10);
  // From box to box: home runs of ten houses to one panel would be ten times as long as well.
  const within = (house: House) =>
    new Set(wireHouse(house).units.flatMap(({ runs }) => runs.flatMap((run) => (run.from ? [keyOf(run)] : []))));
  const [few, many] = [within(demo), within(ten)];
  const once = best(4, () => findRoutes(fresh(demo), 'quickest', { only: few }));
  const tenfold = best(3, () => findRoutes(fresh(ten), 'quickest', { only: many }));
  return [
    { name: 'the framing graph of the demo house', value: graph, unit: 'ms', wanted: 50 },
    { name: 'routes for all its cables, three ways', value: all, unit: 'ms', wanted: 2000 },
    { name: 'one box moved, its cables led again three ways', value: oneBoxAgain(), unit: 'ms', wanted: 100 },
    { name: 'routes of ten times the house against the house', value: tenfold / once, unit: 'times', wanted: 12 },
  ];
}
