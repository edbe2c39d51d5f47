import { applyPatches, enablePatches, produce, produceWithPatches, setAutoFreeze, type Draft, type Patch } from 'immer';
import { itemAt, type Problem, type Result, succeed } from '../units/result';
import { checkIntegrity } from './integrity';
import type { House } from './schema';
import { inPresentWords } from './version-1';
import { checkTouched, settle, takeOver } from './touched';

enablePatches();

export type { Patch };

/**
 * Leaves what edits make unfrozen, which takes a third of an edit's time and, in the interface, hides it from `markRaw`.
 * Tests keep it frozen, and so find whoever changes a house in place.
 */
export const leaveHousesUnfrozen = (): void => setAutoFreeze(false);

/** A named change of a House: patches forward and back, addressed by path. */
export interface Edit {
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/** A house after an edit, with the edit that led to it. */
export interface Edited {
  readonly house: House;
  readonly edit: Edit;
}

/**
 * Turns one House into the next. The recipe changes a draft, or returns a problem to refuse. What it touched is written as
 * the schema writes it, defaults and all, before the patches are made, so that the house is the same before and after it was
 * stored. The result is validated; a refused edit changes nothing.
 */
export function edit(house: House, label: string, recipe: (draft: Draft<House>) => Problem | void): Result<Edited> {
  const refusals: Problem[] = [];
  let [next, patches, inverse] = produceWithPatches(house, (draft) => {
    const refusal = recipe(draft);
    if (refusal) refusals.push(refusal);
  });
  if (refusals.length > 0) return { ok: false, problems: refusals };
  const { parts, problems, unsettled } = checkTouched(next, patches);
  if (problems.length > 0) return { ok: false, problems };
  if (unsettled.length > 0) {
    // Made again from the start: a patch that writes what does not survive the sending would meet nothing at the other end.
    const settled = produce(next, (draft) => settle(draft, unsettled));
    [next, patches, inverse] = produceWithPatches(house, (draft) => takeOver(draft, settled, parts));
  }
  const broken = checkIntegrity(next);
  return broken.length > 0
    ? { ok: false, problems: broken }
    : succeed({ house: next, edit: { label, patches, inverse } });
}

/** What stands at a path of a draft, and the array or record that holds it. */
function holderOf(draft: Draft<House>, path: readonly (string | number)[]): unknown {
  let at: unknown = draft;
  for (const part of path.slice(0, -1)) {
    if (typeof at !== 'object' || at === null || !Object.hasOwn(at, part)) return undefined;
    at = (at as Record<string | number, unknown>)[part];
  }
  return at;
}

/** Why a patch does not fit what it meets: a place that is not there, or an index past the end of a list. */
function misfit(draft: Draft<House>, { op, path, value }: Patch): string | undefined {
  const [holder, last] = [holderOf(draft, path), path.at(-1)];
  if (typeof holder !== 'object' || holder === null || last === undefined) return 'what it changes is no longer there';
  if (!Array.isArray(holder)) {
    if (typeof last !== 'string') return `"${last}" is no field`;
    return op !== 'add' && !Object.hasOwn(holder, last) ? 'what it changes is no longer there' : undefined;
  }
  if (last === 'length') {
    const shortens = op === 'replace' && Number.isInteger(value) && value >= 0 && value <= holder.length;
    return shortens ? undefined : 'a list is not made longer by its length';
  }
  if (typeof last !== 'number') return `"${last}" is no place in a list`;
  const end = op === 'add' ? holder.length : holder.length - 1;
  return last > end ? `the list has ${holder.length} things, and place ${last + 1} is past its end` : undefined;
}

/** Applies patches to a draft one by one, each only where it fits what the ones before it left. Answers why one does not. */
function applyInOrder(draft: Draft<House>, patches: readonly Patch[]): Problem | undefined {
  try {
    for (const patch of patches) {
      const why = misfit(draft, patch);
      if (why) return misfitOf(patch, why);
      applyPatches(draft, [patch]);
    }
    return undefined;
  } catch (error) {
    return misfitOf(itemAt(patches, 0), error instanceof Error ? error.message : String(error));
  }
}

const misfitOf = (patch: Patch, why: string): Problem => ({
  code: 'patch',
  path: patch.path.join('.'),
  message: `This change no longer fits the house: ${why}.`,
});

function applied(house: House, patches: readonly Patch[]): Result<House> {
  const problems: Problem[] = [];
  const next = produce(house, (draft) => {
    const problem = applyInOrder(draft, patches);
    if (problem) problems.push(problem);
  });
  return problems.length > 0 ? { ok: false, problems } : succeed(next);
}

/**
 * The house after someone's patches: an undo, a redo, or an edit made elsewhere. Patches are refused where the result would
 * not be written as it is, since what came of them would differ before and after it was stored; the field is named. Patches of version 1
 * are understood.
 */
export function applyEdit(house: House, given: readonly Patch[]): Result<House> {
  if (given.length === 0) return succeed(house);
  const patches = inPresentWords(given);
  const next = applied(house, patches);
  if (!next.ok || next.value === house) return next;
  const { problems, unsettled } = checkTouched(next.value, patches);
  for (const { path } of unsettled)
    problems.push({
      code: 'unsettled',
      path,
      message: `${path} is not written as a house file writes it. Load the page again and make the change once more.`,
    });
  if (problems.length === 0) problems.push(...checkIntegrity(next.value));
  return problems.length > 0 ? { ok: false, problems } : next;
}

/**
 * An edit made once more on a house: its patches by the way of {@link edit}, so that what an older program left out is
 * written too. For edits that waited on a device, and for batches stored before defaults were written.
 */
export const remakeEdit = (house: House, { label, patches }: Pick<Edit, 'label' | 'patches'>): Result<Edited> =>
  edit(house, label, (draft) => applyInOrder(draft, inPresentWords(patches)));

/** The edit that takes another one back. */
export const undoOf = (done: Edit): Edit => ({ label: done.label, patches: done.inverse, inverse: done.patches });

/** Several edits made one after the other, as one. */
export function joinEdits(label: string, edits: readonly Edit[]): Edit {
  return {
    label,
    patches: edits.flatMap((one) => one.patches),
    inverse: edits.toReversed().flatMap((one) => one.inverse),
  };
}
