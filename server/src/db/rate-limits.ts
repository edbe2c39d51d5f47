import { sql } from 'kysely';
import type { Db } from './database';

/** How many failures are counted under a key; none once its time has passed. */
export async function countFailures(db: Db, keys: readonly string[]): Promise<Map<string, number>> {
  const rows = await db
    .selectFrom('rate_limits')
    .select(['key', 'hits'])
    .where('key', 'in', keys)
    .where('reset_at', '>', sql<Date>`now()`)
    .execute();
  return new Map(rows.map((row) => [row.key, row.hits]));
}

/** Counts one more under a key; the count starts again when its time has passed. Answers the count. */
export async function countOne(db: Db, key: string, windowMs: number): Promise<number> {
  const { rows } = await sql<{ hits: number }>`
    insert into rate_limits (key, hits, reset_at) values (${key}, 1, now() + ${windowMs} * interval '1 millisecond')
    on conflict (key) do update set
      hits = case when rate_limits.reset_at < now() then 1 else rate_limits.hits + 1 end,
      reset_at = case when rate_limits.reset_at < now() then excluded.reset_at else rate_limits.reset_at end
    returning hits`.execute(db);
  return rows[0]!.hits;
}

export const forgetFailures = (db: Db, key: string) => db.deleteFrom('rate_limits').where('key', '=', key).execute();
