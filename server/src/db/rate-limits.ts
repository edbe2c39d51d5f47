import { sql } from 'kysely';
import type { Db } from './database';

/** Counts one more try under a key; the count starts again when its window has passed. */
export async function countTry(db: Db, key: string, windowMs: number): Promise<{ hits: number; resetAt: Date }> {
  const { rows } = await sql<{ hits: number; reset_at: Date }>`
    insert into rate_limits (key, hits, reset_at) values (${key}, 1, now() + ${windowMs} * interval '1 millisecond')
    on conflict (key) do update set
      hits = case when rate_limits.reset_at < now() then 1 else rate_limits.hits + 1 end,
      reset_at = case when rate_limits.reset_at < now() then excluded.reset_at else rate_limits.reset_at end
    returning hits, reset_at`.execute(db);
  return { hits: rows[0]!.hits, resetAt: rows[0]!.reset_at };
}

export const uncountTry = (db: Db, key: string) =>
  db
    .updateTable('rate_limits')
    .set((eb) => ({ hits: eb('hits', '-', 1) }))
    .where('key', '=', key)
    .where('hits', '>', 0)
    .execute();

export const forgetTries = (db: Db, key: string) => db.deleteFrom('rate_limits').where('key', '=', key).execute();
