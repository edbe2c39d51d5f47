import type { Bench, PracticeFigures } from '@winculum/contract';
import { sql } from 'kysely';
import type { Db } from './database';

/** What a person has done on the bench; undefined where nothing is kept yet. */
export const findBench = async (db: Db, userId: string): Promise<unknown> =>
  (await db.selectFrom('bench').select('progress').where('user_id', '=', userId).executeTakeFirst())?.progress;

export async function storeBench(db: Db, userId: string, progress: Bench): Promise<void> {
  const text = JSON.stringify(progress);
  await db
    .insertInto('bench')
    .values({ user_id: userId, progress: text })
    .onConflict((conflict) => conflict.column('user_id').doUpdateSet({ progress: text, at: sql`now()` }))
    .execute();
}

interface NewSignature extends PracticeFigures {
  readonly userId: string;
  readonly signerId: string;
  readonly who: string;
  readonly note: string;
}

export async function insertPracticeSignature(db: Db, one: NewSignature): Promise<void> {
  const { userId, signerId, ...rest } = one;
  await db
    .insertInto('practice_signatures')
    .values({ ...rest, user_id: userId, signer_id: signerId })
    .execute();
}

/** What was signed of these people's records, the newest first. */
export const listPracticeSignatures = (db: Db, userIds: readonly string[]) =>
  db
    .selectFrom('practice_signatures')
    .select(['user_id as userId', 'who', 'at', 'proved', 'found', 'missed', 'note'])
    .where('user_id', 'in', userIds)
    .orderBy('id', 'desc')
    .execute();

/** What these people have done on the bench, by person. */
export const findBenches = (db: Db, userIds: readonly string[]) =>
  db.selectFrom('bench').select(['user_id as userId', 'progress']).where('user_id', 'in', userIds).execute();
