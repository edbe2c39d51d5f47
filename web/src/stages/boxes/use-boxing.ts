import { ref, shallowRef, toRaw, watch } from 'vue';
import type { BoxingPlan } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import { useLongWork } from '../../work/long-work';
import type { BoxingJob } from './boxing.worker';
import type { CeilingShown } from './ceiling-shown';

/** The whole layout that the tool would make, found in a worker, and what of it is ticked; and the ceiling beside it. */
export function useBoxing() {
  const store = useHouse();
  const view = useView();
  const boxing = shallowRef<BoxingPlan | null>(null);
  const ticked = shallowRef<ReadonlySet<string>>(new Set());
  const ceiling = ref(false);
  const grid = shallowRef<CeilingShown | null>(null);
  const work = useLongWork<BoxingJob, BoxingPlan>(
    () => new Worker(new URL('./boxing.worker.ts', import.meta.url), { type: 'module' }),
    (message) => (store.problem = message),
  );
  watch([() => store.house, () => view.stripRoom], () => (boxing.value = null));
  watch(
    () => store.house,
    () => work.cancel(),
  );

  /** Whether a plan came of it: it may be cancelled. */
  async function layOut(rooms: readonly string[]): Promise<boolean> {
    view.proposal = null;
    ceiling.value = false;
    boxing.value = null;
    const plan = await work.ask({ house: toRaw(store.current), rooms });
    if (plan) boxing.value = plan;
    return plan !== undefined;
  }
  return { boxing, ticked, ceiling, grid, work, layOut };
}
