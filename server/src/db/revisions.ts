import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import type { Revision, Signature, Signer } from '@winculum/contract';
import type { House } from '@winculum/core';
import type { Db } from './database';

const GONE = 'a member who has left';

/** What a signature is bound to: the frozen house, letter for letter. */
const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex');

const signaturesOf = async (
  db: Db,
  houseId: string,
): Promise<(Omit<Signature, 'isIntact'> & { number: number; hash: string })[]> =>
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
        'signatures.hash',
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
    hash: row.hash,
  }));

/** The revisions of a house with their signatures, newest first. */
export async function listRevisions(db: Db, houseId: string): Promise<Revision[]> {
  const rows = await db
    .selectFrom('revisions')
    .leftJoin('users', 'users.id', 'revisions.author_id')
    .select([
      'revisions.number',
      'revisions.version',
      'revisions.note',
      'revisions.at',
      'revisions.hash',
      'users.name',
      sql<string>`encode(sha256(convert_to(revisions.house::text, 'UTF8')), 'hex')`.as('found'),
    ])
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
    hash: row.hash,
    signatures: signatures
      .filter((one) => one.number === row.number)
      .map(({ number: _number, hash, ...signature }) => ({ ...signature, isIntact: hash === row.found })),
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

interface NewRevision {
  readonly houseId: string;
  readonly version: number;
  readonly note: string;
  readonly authorId: string;
  readonly house: House;
}

/** How many revisions a house has. */
export const countRevisions = async (db: Db, houseId: string): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('revisions')
        .select((eb) => eb.fn.countAll().as('n'))
        .where('house_id', '=', houseId)
        .executeTakeFirstOrThrow()
    ).n,
  );

/** Stores the next revision of a house; two at once get two numbers. Answers its number. */
export async function insertRevision(
  db: Db,
  { houseId, version, note, authorId, house }: NewRevision,
): Promise<number> {
  const text = JSON.stringify(house);
  return db.transaction().execute(async (inside) => {
    await sql`select id from houses where id = ${houseId} for update`.execute(inside);
    const { rows } = await sql<{ number: number }>`
      insert into revisions (house_id, number, version, note, author_id, house, hash)
      select ${houseId}, coalesce(max(number), 0) + 1, ${version}, ${note}, ${authorId}, ${text}::json, ${hashOf(text)}
      from revisions where house_id = ${houseId}
      returning number`.execute(inside);
    return rows[0]!.number;
  });
}

/** Keeps a signature, bound to the revision as it is at that moment. */
export async function insertSignature(
  db: Db,
  at: { readonly houseId: string; readonly number: number; readonly authorId: string | null },
  signature: { readonly role: Signer; readonly name: string; readonly strokes: unknown },
): Promise<void> {
  await sql`
    insert into signatures (house_id, number, author_id, role, name, strokes, hash)
    select house_id, number, ${at.authorId}, ${signature.role}, ${signature.name}, ${JSON.stringify(signature.strokes)}::json, hash
    from revisions where house_id = ${at.houseId} and number = ${at.number}`.execute(db);
}
