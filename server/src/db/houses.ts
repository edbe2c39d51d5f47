import { CompiledQuery, sql } from 'kysely';
import type { AppliedBatch, Batch, DeletedHouse, HouseSummary } from '@winculum/contract';
import type { Db } from './database';
import { KEPT_DAYS } from './housekeeping';

/** PostgreSQL channel on which every applied batch is announced, to all server processes. */
export const CHANNEL = 'house_edits';

/** Snapshots kept of a house, and with them every batch since the oldest. */
const SNAPSHOTS_KEPT = 5;
const GONE = 'a member who has left';

interface SummaryRow {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly updated_at: Date;
  readonly archived_at?: Date | null;
  readonly changed_by?: string | null;
}
const summary = (row: SummaryRow): HouseSummary => ({
  id: row.id,
  name: row.name,
  version: row.version,
  updatedAt: row.updated_at.toISOString(),
  changedBy: row.changed_by ?? null,
  archivedAt: row.archived_at?.toISOString() ?? null,
});

/** Who wrote the newest batch of a house: a member, or a guest by link. */
const changedBy = sql<string | null>`(
  select coalesce(users.name, edits.guest) from edits left join users on users.id = edits.author_id
  where edits.house_id = houses.id and edits.version = houses.version)`;

export const listHouses = async (db: Db, firmId: string): Promise<HouseSummary[]> =>
  (
    await db
      .selectFrom('houses')
      .select(['id', 'name', 'version', 'updated_at', 'archived_at', changedBy.as('changed_by')])
      .where('firm_id', '=', firmId)
      .where('deleted_at', 'is', null)
      .orderBy('updated_at', 'desc')
      .execute()
  ).map(summary);

/** A house that has just been checked, as the text that is stored. */
interface NewHouse {
  readonly name: string;
  readonly text: string;
}

export async function insertHouse(db: Db, firmId: string, house: NewHouse): Promise<HouseSummary> {
  const { rows } = await sql<{ id: string; name: string; version: number; updated_at: Date }>`
    with added as (
      insert into houses (firm_id, name, version, bytes)
      values (${firmId}, ${house.name}, 0, ${Buffer.byteLength(house.text)})
      returning id, name, version, updated_at
    ), kept as (
      insert into snapshots (house_id, version, house) select id, 0, ${house.text}::json from added
    )
    select * from added`.execute(db);
  return summary(rows[0]!);
}

/** Houses of a firm, deleted ones too, and the bytes that they take. */
export async function measureFirm(db: Db, firmId: string): Promise<{ houses: number; bytes: number }> {
  const row = await db
    .selectFrom('houses')
    .select((eb) => [eb.fn.countAll().as('houses'), sql<string>`coalesce(sum(bytes), 0)`.as('bytes')])
    .where('firm_id', '=', firmId)
    .executeTakeFirstOrThrow();
  return { houses: Number(row.houses), bytes: Number(row.bytes) };
}

/** Puts a house away for thirty days; answers its name, or undefined when the firm has none with this id. */
export const deleteHouse = async (db: Db, firmId: string, id: string, userId: string): Promise<string | undefined> =>
  (
    await db
      .updateTable('houses')
      .set({ deleted_at: sql`now()`, deleted_by: userId })
      .where('firm_id', '=', firmId)
      .where('id', '=', id)
      .where('deleted_at', 'is', null)
      .returning('name')
      .executeTakeFirst()
  )?.name;

/** Puts a house aside, or takes it out again; false when the firm has none with this id. */
export const archiveHouse = async (db: Db, firmId: string, id: string, archived: boolean): Promise<boolean> =>
  (
    await db
      .updateTable('houses')
      .set({ archived_at: archived ? sql`now()` : null })
      .where('firm_id', '=', firmId)
      .where('id', '=', id)
      .where('deleted_at', 'is', null)
      .executeTakeFirst()
  ).numUpdatedRows > 0n;

export const undeleteHouse = async (db: Db, firmId: string, id: string): Promise<string | undefined> =>
  (
    await db
      .updateTable('houses')
      .set({ deleted_at: null, deleted_by: null })
      .where('firm_id', '=', firmId)
      .where('id', '=', id)
      .where('deleted_at', 'is not', null)
      .returning('name')
      .executeTakeFirst()
  )?.name;

export async function listDeletedHouses(db: Db, firmId: string): Promise<DeletedHouse[]> {
  const rows = await db
    .selectFrom('houses')
    .leftJoin('users', 'users.id', 'houses.deleted_by')
    .select(['houses.id', 'houses.name', 'houses.deleted_at as deletedAt', 'users.name as by'])
    .where('houses.firm_id', '=', firmId)
    .where('houses.deleted_at', 'is not', null)
    .orderBy('houses.deleted_at', 'desc')
    .execute();
  return rows.map(({ id, name, deletedAt, by }) => ({
    id,
    name,
    deletedAt: deletedAt!.toISOString(),
    by: by ?? GONE,
    keptUntil: new Date(deletedAt!.getTime() + KEPT_DAYS * 86_400_000).toISOString(),
  }));
}

const oldestKept = sql<number>`(select min(version) from snapshots where house_id = houses.id)`;

/** The version of a house, and since when its batches are kept, without its document. */
export const findHead = (db: Db, firmId: string, id: string) =>
  db
    .selectFrom('houses')
    .select(['id', 'name', 'version', 'updated_at', oldestKept.as('oldest')])
    .where('firm_id', '=', firmId)
    .where('id', '=', id)
    .where('deleted_at', 'is', null)
    .executeTakeFirst();

/** The same, and nobody else may write to the house until the transaction ends: writers come one after the other. */
export const lockHead = (db: Db, firmId: string, id: string) =>
  db
    .selectFrom('houses')
    .select(['id', 'name', 'version', 'updated_at', 'bytes', oldestKept.as('oldest')])
    .where('firm_id', '=', firmId)
    .where('id', '=', id)
    .where('deleted_at', 'is', null)
    .forUpdate()
    .executeTakeFirst();

/** The newest snapshot of a house, as the text that was stored. */
export const findSnapshot = (db: Db, id: string) =>
  db
    .selectFrom('snapshots')
    .innerJoin('houses', 'houses.id', 'snapshots.house_id')
    .select(['houses.firm_id as firmId', sql<string>`snapshots.house::text`.as('text'), 'snapshots.version'])
    .where('house_id', '=', id)
    .orderBy('snapshots.version', 'desc')
    .limit(1)
    .executeTakeFirst();

/** Batches that are read at once: history is read a page at a time. */
export const PAGE = 100;

/** The batches after a version, oldest first, a page of them. */
export async function listBatches(db: Db, houseId: string, after: number, most = PAGE): Promise<AppliedBatch[]> {
  const rows = await db
    .selectFrom('edits')
    .leftJoin('users', 'users.id', 'edits.author_id')
    .select(['edits.version', 'edits.batch_id', 'edits.at', 'edits.edits', 'edits.guest', 'users.name'])
    .where('edits.house_id', '=', houseId)
    .where('edits.version', '>', after)
    .orderBy('edits.version')
    .limit(most)
    .execute();
  return rows.map((row) => ({
    version: row.version,
    batchId: row.batch_id,
    author: row.name ?? row.guest ?? GONE,
    at: row.at.toISOString(),
    edits: row.edits as AppliedBatch['edits'],
  }));
}

interface Append {
  readonly houseId: string;
  readonly firmId: string;
  readonly authorId: string;
  /** The version that the batch was checked against; nobody may have come between. */
  readonly onVersion: number;
  readonly name: string;
  readonly batch: Batch;
  /** The session that writes, to be found alive. */
  readonly sessionId: string;
  /** The life of the database that the house was read from. */
  readonly epoch: string;
}

/** The statement of {@link appendBatch}: composed once, since it runs at every stroke. */
const APPEND = `
  with raised as (
    update houses set version = version + 1, updated_at = now(), name = $1, bytes = bytes + octet_length($8::text)
    where id = $2 and firm_id = $3 and version = $4 and deleted_at is null
      and exists (select from members where user_id = $5 and firm_id = $3 and role <> 'viewer')
      and exists (select from session where sid = $6 and expire > now())
      and exists (select from installation where epoch = $9)
    returning id, version
  ), added as (
    insert into edits (house_id, version, batch_id, author_id, edits)
    select id, version, $7, $5, $8::text::json from raised
    returning house_id, version
  )
  select version, pg_notify('${CHANNEL}', house_id::text || ' ' || version) from added`;

/**
 * Appends a batch, raises the version and announces it, in one statement and so in one commit, if the author may change
 * houses of the firm at that moment, in a session that has not ended, and the database was not restored meanwhile. Answers
 * the new version, `moved` when one of that is not so, `known` when this very batch was applied before.
 */
export async function appendBatch(db: Db, append: Append): Promise<number | 'moved' | 'known'> {
  const { houseId, firmId, authorId, onVersion, name, batch, sessionId, epoch } = append;
  const edits = JSON.stringify(batch.edits);
  const values = [name, houseId, firmId, onVersion, authorId, sessionId, batch.id, edits, epoch];
  try {
    const { rows } = await db.executeQuery<{ version: number }>(CompiledQuery.raw(APPEND, values));
    return rows[0]?.version ?? 'moved';
  } catch (error) {
    if ((error as { code?: string; constraint?: string }).code === '23505') return 'known';
    throw error;
  }
}

interface GuestAppend extends Omit<Append, 'authorId' | 'sessionId'> {
  readonly linkId: string;
  /** Whose name the batch carries. */
  readonly guest: string;
}

/** The same for a guest: the link, and not a session, is to be found alive. */
export async function appendAsGuest(db: Db, append: GuestAppend): Promise<number | undefined> {
  const { houseId, firmId, linkId, guest, onVersion, name, batch, epoch } = append;
  const edits = JSON.stringify(batch.edits);
  const { rows } = await sql<{ version: number }>`
    with raised as (
      update houses set version = version + 1, updated_at = now(), name = ${name}, bytes = bytes + octet_length(${edits}::text)
      where id = ${houseId} and firm_id = ${firmId} and version = ${onVersion} and deleted_at is null
        and exists (select from guest_links where id = ${linkId} and house_id = ${houseId} and revoked_at is null and expires_at > now())
        and exists (select from installation where epoch = ${epoch})
      returning id, version
    ), added as (
      insert into edits (house_id, version, batch_id, guest, edits)
      select id, version, ${batch.id}, ${guest}, ${edits}::text::json from raised
      returning house_id, version
    )
    select version, pg_notify(${CHANNEL}, house_id::text || ' ' || version) from added`.execute(db);
  return rows[0]?.version;
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

/**
 * Keeps the replay of edits short: stores a checked house, keeps the newest five of such snapshots and every batch since the
 * oldest of them, and says how many bytes the house takes then.
 */
export async function storeSnapshot(db: Db, houseId: string, version: number, text: string): Promise<void> {
  await db.transaction().execute(async (tx) => {
    await sql`select id from houses where id = ${houseId} for update`.execute(tx);
    await sql`insert into snapshots (house_id, version, house) values (${houseId}, ${version}, ${text}::json)
      on conflict (house_id, version) do nothing`.execute(tx);
    await sql`delete from snapshots where house_id = ${houseId} and version not in
      (select version from snapshots where house_id = ${houseId} order by version desc limit ${SNAPSHOTS_KEPT})`.execute(
      tx,
    );
    await sql`delete from edits where house_id = ${houseId}
      and version <= (select min(version) from snapshots where house_id = ${houseId})`.execute(tx);
    await sql`update houses set bytes =
        coalesce((select sum(octet_length(house::text)) from snapshots where house_id = ${houseId}), 0)
        + coalesce((select sum(octet_length(edits::text)) from edits where house_id = ${houseId}), 0)
      where id = ${houseId}`.execute(tx);
  });
}
