import type { AppliedBatch, Batch, BatchAnswer, SignedIn } from '@winculum/contract';
import { applyEdit, editsOverlap, type House, type Patch } from '@winculum/core';
import type { Db } from '../db/database';
import { appendBatch, findBatchVersion, listBatches, lockHead, PAGE } from '../db/houses';
import { findInstallation } from '../db/installation';
import { tellOf, tellsAnybody } from './notices';
import { forbidden, notFound, Refusal, signedOut } from './errors';
import type { OpenHouse, OpenHouses } from './open-houses';

/** Bytes that one house may take with its snapshots and batches. */
const MOST_HOUSE_BYTES = 120_000_000;

/** Who writes: a member, in a session of theirs. */
interface Writer {
  readonly member: SignedIn;
  readonly id: string;
}

/** Where edits are written. */
export interface Writing {
  readonly db: Db;
  readonly open: OpenHouses;
  /** The life of the database that this process works on. */
  readonly epoch: string;
  /** Looks at the database again, and forgets what was known of an earlier life of it. */
  readonly lookAround: () => void;
}

const patchesOf = (batch: { readonly edits: Batch['edits'] | AppliedBatch['edits'] }): Patch[] =>
  batch.edits.flatMap((edit) => edit.patches) as unknown as Patch[];

/** Applies a batch to a house, or refuses with the reason and, where others touched the same places, what they did. */
function applyBatch(house: House, batch: Batch, missed: readonly AppliedBatch[]): House {
  const mine = patchesOf(batch);
  const theirs = missed.filter((other) => editsOverlap(mine, patchesOf(other)));
  if (theirs.length > 0)
    throw new Refusal(409, 'conflict', 'Another member changed the same places. Choose which to keep.', { theirs });
  const next = applyEdit(house, mine);
  if (next.ok) return next.value;
  if (missed.length > 0)
    throw new Refusal(409, 'conflict', next.problems[0]!.message, { theirs: missed, problems: next.problems });
  throw new Refusal(422, 'invalid-edit', next.problems[0]!.message, { problems: next.problems });
}

const append = (
  db: Db,
  { member, id: sessionId }: Writer,
  houseId: string,
  batch: Batch,
  state: OpenHouse,
  house: House,
  epoch: string,
) =>
  appendBatch(db, {
    houseId,
    firmId: member.firm.id,
    authorId: member.user.id,
    onVersion: state.version,
    name: house.name,
    batch,
    sessionId,
    epoch,
  });

/** Remembers the house that came of a committed batch, and now and then has it stored, behind whoever waits for the answer. */
function keep({ db, open }: Writing, houseId: string, state: OpenHouse): void {
  open.keep(houseId, state);
  open.snapshot(db, houseId, state).catch(() => undefined);
}

/**
 * The way that nearly every edit takes: made on the newest version, by somebody who signed in as a member, telling nobody. Says
 * nothing and does nothing unless the one statement that writes finds version, membership, session and epoch as expected; then undefined
 * is answered and the whole way is taken.
 */
export async function appendAtOnce(
  writing: Writing,
  writer: Writer,
  houseId: string,
  batch: Batch,
): Promise<BatchAnswer | undefined> {
  const state = writing.open.peek(houseId);
  if (!state || state.version !== batch.base || state.firmId !== writer.member.firm.id) return undefined;
  // Who is told of it is written in the same transaction, which announces both at once.
  if (tellsAnybody(patchesOf(batch))) return undefined;
  if (batch.epoch !== undefined && batch.epoch !== writing.epoch) return undefined;
  const next = applyEdit(state.house, patchesOf(batch));
  if (!next.ok) return undefined;
  const version = await append(writing.db, writer, houseId, batch, state, next.value, writing.epoch);
  if (typeof version !== 'number') return undefined;
  keep(writing, houseId, { firmId: state.firmId, house: next.value, version });
  return { version, missed: [] };
}

async function listAllBatches(db: Db, houseId: string, after: number): Promise<AppliedBatch[]> {
  const all: AppliedBatch[] = [];
  for (;;) {
    const page = await listBatches(db, houseId, all.at(-1)?.version ?? after);
    all.push(...page);
    if (page.length < PAGE) return all;
  }
}

/** What a batch's base says of it, before anything is applied. @throws Refusal where the base is of no use. */
function checkBase(batch: Batch, head: { version: number; oldest: number; bytes: string }, epoch: string): void {
  if (batch.epoch !== undefined && batch.epoch !== epoch)
    throw new Refusal(
      409,
      'restored',
      'The server was restored from a backup since this window read the house. Your edits are kept here: choose what becomes of them.',
    );
  if (batch.base > head.version)
    throw new Refusal(
      422,
      'base',
      `The batch was made on version ${batch.base}; the house has ${head.version}. Load it again.`,
    );
  if (batch.base < head.oldest)
    throw new Refusal(
      409,
      'history-gone',
      `So much has changed since this window read the house (version ${batch.base}, now ${head.version}) that the steps between are no longer kept. Your edits are kept here: choose what becomes of them.`,
    );
  if (Number(head.bytes) > MOST_HOUSE_BYTES)
    throw new Refusal(
      507,
      'house-full',
      'This house takes more room than the server keeps for one. Remove what is not needed.',
    );
}

/** @throws Refusal where the database began another life under this process, which then forgets what it knew of the last. */
async function mustBeTheSameLife(tx: Db, writing: Writing): Promise<void> {
  if ((await findInstallation(tx)).epoch === writing.epoch) return;
  writing.lookAround();
  throw new Refusal(
    503,
    'database',
    'The database was restored just now. Nothing is lost; try again in a moment.',
    {},
    1,
  );
}

/** Why the writing statement found nothing although nobody came between: the writer may not, or not any more. */
const mayNot = (): Refusal => signedOut();

/**
 * Applies a batch of edits whole or not at all and answers the new version. Writers of one house come one after the other,
 * in this process by a queue and among processes by the row's lock. A batch on an older version is rebased where it touches
 * other places than what came between, and refused with both sides where it touches the same. What has been answered is
 * committed. A batch sent twice is applied once.
 */
export async function submitBatch(
  writing: Writing,
  writer: Writer,
  houseId: string,
  batch: Batch,
): Promise<BatchAnswer> {
  const { member } = writer;
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: you can look, not change.');
  return writing.open.inTurn(houseId, async () => {
    const done = await writing.db.transaction().execute(async (tx) => {
      const head = await lockHead(tx, member.firm.id, houseId);
      if (!head) throw notFound('house');
      await mustBeTheSameLife(tx, writing);
      const known = await findBatchVersion(tx, houseId, batch.id);
      checkBase(batch, head, writing.epoch);
      const missed = await listAllBatches(tx, houseId, batch.base);
      if (known !== undefined)
        return { answer: { version: known, missed: missed.filter((other) => other.version < known) } };
      const state = await writing.open.catchUp(tx, houseId);
      if (!state) throw notFound('house');
      const house = applyBatch(state.house, batch, missed);
      const version = await append(tx, writer, houseId, batch, state, house, writing.epoch);
      if (typeof version !== 'number') throw mayNot();
      await tellOf(tx, { ...member.user, firmId: member.firm.id }, houseId, house, patchesOf(batch));
      return { answer: { version, missed }, state: { firmId: state.firmId, house, version } };
    });
    if (done.state) keep(writing, houseId, done.state);
    return done.answer;
  });
}
