import { sql } from 'kysely';
import type { Revision, Signature, Signer } from '@winculum/contract';
import type { House } from '@winculum/core';
import type { Db } from './database';

const GONE = 'somebody who has left';

const signaturesOf = async (db: Db, houseId: string): Promise<(Signature & { number: number })[]> =>
  (
    await db
      .selectFrom('signatures')
      .leftJoin('users', 'users.id', 'signatures.author_id')
      .select([
        'signatures.number',
        'signatures.role',
        'signatures.name',
        'signatures.strokes',
        'signatures.at',
        'users.name as recorder',
      ])
      .where('house_id', '=', houseId)
      .orderBy('signatures.at')
      .execute()
  ).map((row) => ({
    number: row.number,
    role: row.role as Signer,
    name: row.name,
    strokes: row.strokes as Signature['strokes'],
    at: row.at.toISOString(),
    recordedBy: row.recorder ?? GONE,
  }));

/** The revisions of a house with their signatures, newest first. */
export async function listRevisions(db: Db, houseId: string): Promise<Revision[]> {
  const rows = await db
    .selectFrom('revisions')
    .leftJoin('users', 'users.id', 'revisions.author_id')
    .select(['revisions.number', 'revisions.version', 'revisions.note', 'revisions.at', 'users.name'])
    .where('house_id', '=', houseId)
    .orderBy('number', 'desc')
    .execute();
  const signatures = await signaturesOf(db, houseId);
  return rows.map((row) => ({
    number: row.number,
    version: row.version,
    note: row.note,
    at: row.at.toISOString(),
    by: row.name ?? GONE,
    signatures: signatures
      .filter((one) => one.number === row.number)
      .map(({ number: _number, ...signature }) => signature),
  }));
}

export const findRevisedHouse = async (db: Db, houseId: string, number: number): Promise<unknown> =>
  (
    await db
      .selectFrom('revisions')
      .select('house')
      .where('house_id', '=', houseId)
      .where('number', '=', number)
      .executeTakeFirst()
  )?.house;

export interface NewRevision {
  readonly houseId: string;
  readonly version: number;
  readonly note: string;
  readonly authorId: string;
  readonly house: House;
}

/** Stores the next revision of a house; two at once get two numbers. Answers its number. */
export async function insertRevision(
  db: Db,
  { houseId, version, note, authorId, house }: NewRevision,
): Promise<number> {
  return db.transaction().execute(async (inside) => {
    await sql`select id from houses where id = ${houseId} for update`.execute(inside);
    const { rows } = await sql<{ number: number }>`
      insert into revisions (house_id, number, version, note, author_id, house)
      select ${houseId}, coalesce(max(number), 0) + 1, ${version}, ${note}, ${authorId}, ${JSON.stringify(house)}::json
      from revisions where house_id = ${houseId}
      returning number`.execute(inside);
    return rows[0]!.number;
  });
}

export async function insertSignature(
  db: Db,
  at: { readonly houseId: string; readonly number: number; readonly authorId: string },
  signature: { readonly role: Signer; readonly name: string; readonly strokes: unknown },
): Promise<void> {
  await db
    .insertInto('signatures')
    .values({
      house_id: at.houseId,
      number: at.number,
      author_id: at.authorId,
      role: signature.role,
      name: signature.name,
      strokes: JSON.stringify(signature.strokes),
    })
    .execute();
}
