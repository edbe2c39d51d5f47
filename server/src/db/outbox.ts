import type { Db } from './database';

export interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly body: string;
}

const KEPT = 500;

/** Keeps what would have been sent; of old letters only the newest stay. */
export async function insertLetter(db: Db, letter: Letter): Promise<void> {
  const { id } = await db
    .insertInto('outbox')
    .values({ recipient: letter.to, subject: letter.subject, body: letter.body })
    .returning('id')
    .executeTakeFirstOrThrow();
  await db
    .deleteFrom('outbox')
    .where('id', '<=', String(Number(id) - KEPT))
    .execute();
}

export const listLetters = async (db: Db): Promise<(Letter & { readonly at: Date })[]> =>
  db
    .selectFrom('outbox')
    .select(['recipient as to', 'subject', 'body', 'at'])
    .orderBy('id', 'desc')
    .limit(100)
    .execute();
