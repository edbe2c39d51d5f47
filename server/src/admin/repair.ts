import { sql } from 'kysely';
import { readHouse, type House } from '@winculum/core';
import { insertAudit } from '../db/audit';
import type { Db } from '../db/database';
import { listBatches } from '../db/houses';
import { replay } from '../use-cases/open-houses';

/** A batch that does not apply, or a snapshot that is no house: what a repair left out. */
interface LeftOut {
  readonly house: string;
  readonly what: 'snapshot' | 'batch' | 'house';
  readonly version: number;
  readonly why: string;
}

/** The newest sound snapshot of a house; the unsound ones before it are told. */
async function newestSound(db: Db, id: string, name: string, leftOut: LeftOut[]) {
  const rows = await db
    .selectFrom('snapshots')
    .select(['version', sql<string>`house::text`.as('text')])
    .where('house_id', '=', id)
    .orderBy('version', 'desc')
    .execute();
  for (const { version, text } of rows) {
    const read = readHouse(JSON.parse(text));
    if (read.ok) return { version, house: read.value, isNewest: version === rows[0]!.version };
    const [problem] = read.problems;
    leftOut.push({ house: name, what: 'snapshot', version, why: `${problem?.path}: ${problem?.message}` });
  }
  return undefined;
}

interface Replayed {
  readonly house: House;
  readonly bad: { readonly version: number; readonly why: string }[];
}

/** Replays what follows a snapshot, and goes on past what does not apply. */
async function replayAll(
  db: Db,
  id: string,
  from: { readonly version: number; readonly house: House },
): Promise<Replayed> {
  let { house } = from;
  const bad: Replayed['bad'] = [];
  for (const batch of await listBatches(db, id, from.version, 1_000_000)) {
    const next = replay(house, batch);
    if (next.ok) house = next.value;
    else bad.push({ version: batch.version, why: next.problems[0]!.message });
  }
  return { house, bad };
}

/**
 * Mends one house: from its newest sound snapshot, with every batch since that applies. What does not is set aside, not
 * thrown away. The mended house is a version of its own, so that windows which know another state notice. Answers whether
 * anything had to be mended.
 */
async function mend(
  db: Db,
  row: { id: string; name: string; firm_id: string; version: number },
  leftOut: LeftOut[],
): Promise<boolean> {
  const sound = await newestSound(db, row.id, row.name, leftOut);
  if (!sound) {
    leftOut.push({
      house: row.name,
      what: 'house',
      version: row.version,
      why: 'no snapshot of it is sound; it stays as it is',
    });
    return false;
  }
  const { house, bad } = await replayAll(db, row.id, sound);
  if (sound.isNewest && bad.length === 0) return false;
  for (const { version, why } of bad) leftOut.push({ house: row.name, what: 'batch', version, why });
  const [text, version] = [JSON.stringify(house), row.version + 1];
  await db.transaction().execute(async (tx) => {
    for (const one of bad)
      await sql`insert into set_aside (house_id, version, edits, author_id, at, reason)
        select house_id, version, edits, author_id, at, ${one.why} from edits
        where house_id = ${row.id} and version = ${one.version}`.execute(tx);
    await sql`delete from edits where house_id = ${row.id}`.execute(tx);
    await sql`delete from snapshots where house_id = ${row.id}`.execute(tx);
    await sql`insert into snapshots (house_id, version, house) values (${row.id}, ${version}, ${text}::json)`.execute(
      tx,
    );
    await sql`update houses set version = ${version}, name = ${house.name}, updated_at = now(), bytes = ${Buffer.byteLength(text)}
      where id = ${row.id}`.execute(tx);
    await insertAudit(tx, {
      firmId: row.firm_id,
      who: 'whoever runs the server',
      event: 'house repaired',
      detail: `${row.name}: from version ${sound.version}, ${bad.length} batches set aside`,
    });
  });
  return true;
}

/** Looks through every house and mends the damaged ones. */
export async function repair(db: Db): Promise<{ looked: number; mended: string[]; leftOut: LeftOut[] }> {
  const leftOut: LeftOut[] = [];
  const mended: string[] = [];
  const rows = await db
    .selectFrom('houses')
    .select(['id', 'name', 'firm_id', 'version'])
    .orderBy('created_at')
    .execute();
  for (const row of rows) if (await mend(db, row, leftOut)) mended.push(row.name);
  return { looked: rows.length, mended, leftOut };
}
