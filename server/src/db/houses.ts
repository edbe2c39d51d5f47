import { CompiledQuery } from 'kysely';
import type { AppliedBatch, Batch, HouseSummary } from '@winculum/contract';
import type { House } from '@winculum/core';
import type { Db } from './database';

/** PostgreSQL channel on which every applied batch is announced, to all server processes. */
export const CHANNEL = 'house_edits';

const summary = (row: { id: string; name: string; version: number; updated_at: Date }): HouseSummary => ({
  id: row.id,
  name: row.name,
  version: row.version,
  updatedAt: row.updated_at.toISOString(),
});

export const listHouses = async (db: Db, firmId: string): Promise<HouseSummary[]> =>
  (
    await db
      .selectFrom('houses')
      .select(['id', 'name', 'version', 'updated_at'])
      .where('firm_id', '=', firmId)
      .orderBy('updated_at', 'desc')
      .execute()
  ).map(summary);

export async function insertHouse(db: Db, firmId: string, house: House): Promise<HouseSummary> {
  const row = await db
    .insertInto('houses')
    .values({ firm_id: firmId, name: house.name, version: 0, snapshot: JSON.stringify(house), snapshot_version: 0 })
    .returning(['id', 'name', 'version', 'updated_at'])
    .executeTakeFirstOrThrow();
  return summary(row);
}

export async function deleteHouse(db: Db, firmId: string, id: string): Promise<boolean> {
  const { numDeletedRows } = await db
    .deleteFrom('houses')
    .where('firm_id', '=', firmId)
    .where('id', '=', id)
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

/** The version and owner of a house, without its document. */
export const findHead = (db: Db, firmId: string, id: string) =>
  db
    .selectFrom('houses')
    .select(['id', 'name', 'version', 'updated_at'])
    .where('firm_id', '=', firmId)
    .where('id', '=', id)
    .executeTakeFirst();

export const findSnapshot = (db: Db, id: string) =>
  db
    .selectFrom('houses')
    .select(['firm_id as firmId', 'snapshot', 'snapshot_version as version'])
    .where('id', '=', id)
    .executeTakeFirst();

/** The batches after a version, oldest first. */
export async function listBatches(db: Db, houseId: string, after: number): Promise<AppliedBatch[]> {
  const rows = await db
    .selectFrom('edits')
    .leftJoin('users', 'users.id', 'edits.author_id')
    .select(['edits.version', 'edits.batch_id', 'edits.at', 'edits.edits', 'users.name'])
    .where('edits.house_id', '=', houseId)
    .where('edits.version', '>', after)
    .orderBy('edits.version')
    .execute();
  return rows.map((row) => ({
    version: row.version,
    batchId: row.batch_id,
    author: row.name ?? 'somebody who has left',
    at: row.at.toISOString(),
    edits: row.edits as AppliedBatch['edits'],
  }));
}

export interface Append {
  readonly houseId: string;
  readonly firmId: string;
  readonly authorId: string;
  /** The version that the batch was checked against; nobody may have come between. */
  readonly onVersion: number;
  readonly name: string;
  readonly batch: Batch;
  /** The session to be found alive, where nobody has looked yet. */
  readonly sessionId?: string;
}

/** The statement of {@link appendBatch}: composed once, since it runs at every stroke. */
const APPEND = `
  with raised as (
    update houses set version = version + 1, updated_at = now(), name = $1
    where id = $2 and firm_id = $3 and version = $4
      and exists (select from members where user_id = $5 and firm_id = $3 and role <> 'viewer')
      and ($6::text is null or exists (select from session where sid = $6 and expire > now()))
    returning id, version
  ), added as (
    insert into edits (house_id, version, batch_id, author_id, edits)
    select id, version, $7, $5, $8::json from raised
    returning house_id, version
  )
  select version, pg_notify('${CHANNEL}', house_id::text || ' ' || version) from added`;

/**
 * Appends a batch, raises the version and announces it, in one statement and so in one commit, if the author may change
 * houses of the firm at that moment. Answers the new version,
 * `moved` when somebody else came first or the author may not (any more), `known` when this very batch was applied before.
 */
export async function appendBatch(db: Db, append: Append): Promise<number | 'moved' | 'known'> {
  const { houseId, firmId, authorId, onVersion, name, batch, sessionId } = append;
  const edits = JSON.stringify(batch.edits);
  const values = [name, houseId, firmId, onVersion, authorId, sessionId ?? null, batch.id, edits];
  try {
    const { rows } = await db.executeQuery<{ version: number }>(CompiledQuery.raw(APPEND, values));
    return rows[0]?.version ?? 'moved';
  } catch (error) {
    if ((error as { code?: string; constraint?: string }).code === '23505') return 'known';
    throw error;
  }
}

/** The version that a batch became, if it was applied. */
export const findBatchVersion = async (db: Db, houseId: string, batchId: string): Promise<number | undefined> =>
  (
    await db
      .selectFrom('edits')
      .select('version')
      .where('house_id', '=', houseId)
      .where('batch_id', '=', batchId)
      .executeTakeFirst()
  )?.version;

/** Keeps the replay of edits short. An older snapshot never replaces a newer one. */
export const storeSnapshot = (db: Db, houseId: string, version: number, house: House) =>
  db
    .updateTable('houses')
    .set({ snapshot: JSON.stringify(house), snapshot_version: version })
    .where('id', '=', houseId)
    .where('snapshot_version', '<', version)
    .execute();
