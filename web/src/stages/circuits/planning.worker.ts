import {
  findLockConflict,
  planCircuits,
  type CircuitPlan,
  type House,
  type LockConflict,
  type Problem,
} from '@winculum/core';
import { newId } from '../../new-id';
import { answerIn } from '../../work/long-work';

export type PlanAnswer =
  | { readonly ok: true; readonly plan: CircuitPlan; readonly conflict: LockConflict | undefined }
  | { readonly ok: false; readonly problems: readonly Problem[] };

answerIn<House, PlanAnswer>(self, (house, onProgress) => {
  const planned = planCircuits(house, newId, onProgress);
  if (!planned.ok) return planned;
  const isInDoubt = planned.value.objections.length > 0 && Object.values(house.circuits).some((one) => one.locked);
  const conflict = isInDoubt ? findLockConflict(house, newId, onProgress) : undefined;
  return { ok: true, plan: planned.value, conflict };
});
