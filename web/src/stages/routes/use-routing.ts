import { shallowRef, toRaw, watch } from 'vue';
import { useHouse } from '../../stores/house';
import { useLongWork } from '../../work/long-work';
import type { ComparedPlan, RouteQuestion } from './routing.worker';

/** Finds routes in a worker, three ways of it; a change of the house ends the work and what it proposed. */
export function useRouting() {
  const store = useHouse();
  const plans = shallowRef<readonly ComparedPlan[]>([]);
  const work = useLongWork<RouteQuestion, readonly ComparedPlan[]>(
    () => new Worker(new URL('./routing.worker.ts', import.meta.url), { type: 'module' }),
    (message) => (store.problem = message),
  );
  watch(
    () => store.house,
    () => {
      work.cancel();
      plans.value = [];
    },
  );
  async function find(only?: readonly string[], withFeeds = false): Promise<void> {
    const answer = await work.ask({ house: toRaw(store.current), withFeeds, ...(only ? { only: [...only] } : {}) });
    if (answer) plans.value = answer;
  }
  return { plans, work, find };
}
