import type { Finding } from '../../nec/check-house';
import type { NewId } from '../../house/new-box';
import type { Circuit, House } from '../../house/schema';
import type { OnProgress } from '../../units/result';
import { planUnchecked } from './plan-circuits';

/** Locked circuits of which a plan cannot meet all at once. */
export interface LockConflict {
  /** None of them can be left out: with any one of them free the rest can be planned. */
  readonly locks: readonly Circuit[];
  /** What the rules object to when these alone are locked. */
  readonly objections: readonly Finding[];
}

/** The house with these circuits locked and no others. */
function lockOnly(house: House, locks: ReadonlySet<string>): House {
  const circuits = Object.fromEntries(
    Object.values(house.circuits).map((one) => [one.id, { ...one, locked: locks.has(one.id) }]),
  );
  return { ...house, circuits };
}

/**
 * The smallest reason why a plan with locked circuits breaks rules that a free one keeps: a set of locks of which each is
 * needed for the trouble. Found by leaving out one lock after another and planning again, so it is minimal though not always the
 * smallest there is; a plan that cannot be kept for other reasons has none. One plan for each lock.
 */
export function findLockConflict(
  house: House,
  newId: NewId,
  onProgress: OnProgress = () => undefined,
): LockConflict | undefined {
  const locked = Object.values(house.circuits).filter((one) => one.locked);
  const objectionsTo = (locks: ReadonlySet<string>): readonly Finding[] => {
    const plan = planUnchecked(lockOnly(house, locks), newId, () => undefined);
    return plan.ok ? plan.value.objections : [];
  };
  const unavoidable = objectionsTo(new Set()).length;
  let left = new Set(locked.map((one) => one.id));
  let objections = objectionsTo(left);
  if (objections.length <= unavoidable) return undefined;
  locked.forEach(({ id, name }, i) => {
    onProgress(i / locked.length, `planning without the lock of ${name}`);
    const fewer = new Set([...left].filter((one) => one !== id));
    const still = objectionsTo(fewer);
    if (still.length <= unavoidable) return;
    left = fewer;
    objections = still;
  });
  return { locks: locked.filter((one) => left.has(one.id)), objections };
}
