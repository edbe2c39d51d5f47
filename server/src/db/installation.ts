import { sql } from 'kysely';
import type pg from 'pg';
import type { Db } from './database';

/**
 * Every server process holds this advisory lock in common; a restore and a repair hold it alone. So no process can write
 * while its database is being replaced. The number is any that nobody else uses.
 */
const IN_USE = 7_310_431_004;

/** What a database is, beyond its houses. */
interface Installation {
  /** The life of the database: drawn again at each restore, so that whoever knew an earlier one notices. */
  readonly epoch: string;
  readonly restoredAt: Date | null;
}

export async function findInstallation(db: Db): Promise<Installation> {
  const row = await db.selectFrom('installation').select(['epoch', 'restored_at']).executeTakeFirstOrThrow();
  return { epoch: row.epoch, restoredAt: row.restored_at };
}

type Client = Pick<pg.ClientBase, 'query'>;
const taken = async (client: Client, text: string): Promise<boolean> =>
  (await client.query<{ taken: boolean }>(`select ${text}(${IN_USE}) as taken`)).rows[0]!.taken;

/** Says on this connection, as long as it lives, that a server uses the database. False while a restore or repair is under way. */
export const holdInCommon = (client: Client): Promise<boolean> => taken(client, 'pg_try_advisory_lock_shared');

/** Keeps every server out, as long as this connection lives. False while one is connected. */
export const holdAlone = (client: Client): Promise<boolean> => taken(client, 'pg_try_advisory_lock');

/** Begins another life of the database, after a restore: ended sessions and counted tries do not come back with it. */
export async function beginAnew(db: Db): Promise<void> {
  await db.deleteFrom('session').execute();
  await db.deleteFrom('rate_limits').execute();
  await db
    .updateTable('installation')
    .set({ epoch: sql`gen_random_uuid()`, restored_at: sql`now()` })
    .execute();
}
