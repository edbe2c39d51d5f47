import type { AppliedBatch, Batch, BatchAnswer, SignedIn } from '@winculum/contract';
import { applyEdit, editsOverlap, type House, type Patch } from '@winculum/core';
import type { Db } from '../db/database';
import { appendBatch, findBatchVersion, findHead, listBatches, storeSnapshot } from '../db/houses';
import { forbidden, notFound, Refusal } from './errors';
import { wantsSnapshot, type OpenHouses } from './open-houses';

const MOST_TRIES = 8;

const patchesOf = (batch: { readonly edits: Batch['edits'] | AppliedBatch['edits'] }): Patch[] =>
  batch.edits.flatMap((edit) => edit.patches) as unknown as Patch[];

/** Applies a batch to a house, or refuses with the reason and, where others touched the same places, what they did. */
function applyBatch(house: House, batch: Batch, missed: readonly AppliedBatch[]): House {
  const mine = patchesOf(batch);
  const theirs = missed.filter((other) => editsOverlap(mine, patchesOf(other)));
  if (theirs.length > 0)
    throw new Refusal(409, 'conflict', 'Somebody else changed the same places. Choose which to keep.', { theirs });
  const next = applyEdit(house, mine);
  if (next.ok) return next.value;
  if (missed.length > 0)
    throw new Refusal(409, 'conflict', next.problems[0]!.message, { theirs: missed, problems: next.problems });
  throw new Refusal(422, 'invalid-edit', next.problems[0]!.message, { problems: next.problems });
}

/**
 * The way that nearly every edit takes: made on the newest version, by somebody who signed in as a member. Tells nothing and
 * does nothing unless the one statement that writes finds version, membership and session as expected; then undefined is
 * answered and the whole way is taken.
 */
export async function appendAtOnce(
  db: Db,
  open: OpenHouses,
  { member, id: sessionId }: { readonly member: SignedIn; readonly id: string },
  houseId: string,
  batch: Batch,
): Promise<BatchAnswer | undefined> {
  const state = open.peek(houseId);
  if (!state || state.version !== batch.base || state.firmId !== member.firm.id) return undefined;
  const next = applyEdit(state.house, patchesOf(batch));
  if (!next.ok) return undefined;
  const result = await append(db, open, member, houseId, batch, state.version, next.value, sessionId);
  return typeof result === 'number' ? { version: result, missed: [] } : undefined;
}

/** Writes a checked batch, and keeps and now and then stores the house that came of it. */
async function append(
  db: Db,
  open: OpenHouses,
  member: SignedIn,
  houseId: string,
  batch: Batch,
  onVersion: number,
  house: House,
  sessionId?: string,
): Promise<number | 'moved' | 'known'> {
  const result = await appendBatch(db, {
    houseId,
    firmId: member.firm.id,
    authorId: member.user.id,
    onVersion,
    name: house.name,
    batch,
    ...(sessionId === undefined ? {} : { sessionId }),
  });
  if (typeof result === 'number') {
    open.keep(houseId, { firmId: member.firm.id, house, version: result });
    if (wantsSnapshot(result)) await storeSnapshot(db, houseId, result, house);
  }
  return result;
}

/**
 * Applies a batch of edits whole or not at all and answers the new version. A batch on an older version is rebased where it
 * touches other places than what came between, and refused with both sides where it touches the same. What has been
 * answered is committed. A batch sent twice is applied once.
 */
export async function submitBatch(
  db: Db,
  open: OpenHouses,
  member: SignedIn,
  houseId: string,
  batch: Batch,
): Promise<BatchAnswer> {
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: you can look, not change.');
  let state = open.peek(houseId);
  if (!state || state.version < batch.base) {
    if (!(await findHead(db, member.firm.id, houseId))) throw notFound('house');
    state = await open.catchUp(db, houseId);
  }
  if (state && state.firmId !== member.firm.id) throw notFound('house');
  for (let tries = 0; state && tries < MOST_TRIES; tries++) {
    if (batch.base > state.version)
      throw new Refusal(
        422,
        'base',
        `The batch was made on version ${batch.base}; the house has ${state.version}. Load it again.`,
      );
    const missed = batch.base < state.version ? await listBatches(db, houseId, batch.base) : [];
    const mineAlready = missed.find((other) => other.batchId === batch.id);
    if (mineAlready)
      return { version: mineAlready.version, missed: missed.filter((other) => other.version < mineAlready.version) };
    // Batches may have landed between the two reads; the guard on the version below catches it.
    const house = applyBatch(
      state.house,
      batch,
      missed.filter((other) => other.version <= state!.version),
    );
    const result = await append(db, open, member, houseId, batch, state.version, house);
    if (result === 'known')
      return { version: (await findBatchVersion(db, houseId, batch.id)) ?? state.version, missed };
    if (result !== 'moved') return { version: result, missed };
    if (!(await findHead(db, member.firm.id, houseId))) throw notFound('house');
    state = await open.catchUp(db, houseId);
  }
  if (!state) throw notFound('house');
  throw new Refusal(
    503,
    'busy',
    'Many people are changing this house at once. The edit stays in the queue; try again.',
  );
}
