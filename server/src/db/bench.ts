import type { Bench } from '@winculum/contract';
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
