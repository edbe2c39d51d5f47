import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import type { Db } from './database';

const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

export const countPhotos = async (db: Db, houseId: string): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('photos')
        .select((eb) => eb.fn.countAll().as('n'))
        .where('house_id', '=', houseId)
        .executeTakeFirstOrThrow()
    ).n,
  );

/** Keeps a photo. The same one again does no harm; another under its id is refused by answering false. */
export async function insertPhoto(
  db: Db,
  photo: { readonly houseId: string; readonly id: string; readonly authorId: string; readonly bytes: Buffer },
): Promise<boolean> {
  const hash = hashOf(photo.bytes);
  const { rows } = await sql<{ hash: string }>`
    with added as (
      insert into photos (house_id, id, author_id, hash, bytes)
      values (${photo.houseId}, ${photo.id}, ${photo.authorId}, ${hash}, ${photo.bytes})
      on conflict (house_id, id) do nothing returning hash
    )
    select hash from added union all select hash from photos where house_id = ${photo.houseId} and id = ${photo.id}`.execute(
    db,
  );
  return rows[0]?.hash === hash;
}

export const findPhoto = async (db: Db, houseId: string, id: string): Promise<Buffer | undefined> =>
  (
    await db
      .selectFrom('photos')
      .select('bytes')
      .where('house_id', '=', houseId)
      .where('id', '=', id)
      .executeTakeFirst()
  )?.bytes;

/** Bytes of all photos of a firm: counted apart, since a snapshot counts the bytes of its house again. */
export const photoBytes = async (db: Db, firmId: string): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('photos')
        .innerJoin('houses', 'houses.id', 'photos.house_id')
        .select(sql<string>`coalesce(sum(length(photos.bytes)), 0)`.as('n'))
        .where('houses.firm_id', '=', firmId)
        .executeTakeFirstOrThrow()
    ).n,
  );
