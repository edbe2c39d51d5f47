import { shallowRef, toRaw, watch } from 'vue';
import type { CircuitPlan, House, LockConflict } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useLongWork } from '../../work/long-work';
import type { PlanAnswer } from './planning.worker';

/** A proposal, and the house that it was made for. */
interface ProposedPlan {
  readonly plan: CircuitPlan;
  readonly conflict: LockConflict | undefined;
  readonly made: House;
}

/** Plans the circuits of the house in a worker; a change of the house ends the work and the proposal. */
export function usePlanning() {
  const store = useHouse();
  const plan = shallowRef<ProposedPlan | null>(null);
  const work = useLongWork<House, PlanAnswer>(
    () => new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module' }),
    (message) => (store.problem = message),
  );
  watch(
    () => store.house,
    () => {
      work.cancel();
      plan.value = null;
    },
  );

  async function planAll(): Promise<void> {
    const made = toRaw(store.current);
    const answer = await work.ask(made);
    if (!answer) return;
    if (answer.ok) plan.value = { plan: answer.plan, conflict: answer.conflict, made };
    else store.problem = answer.problems[0]!.message;
  }
  return { plan, work, planAll };
}
