import { sql } from 'kysely';
import type { Notice, NoticeKind } from '@winculum/contract';
import type { Db } from './database';

export interface NewNotice {
  readonly userId: string;
  readonly houseId: string;
  readonly kind: NoticeKind;
  /** The comment or task. */
  readonly about: string;
  readonly what: string;
  readonly who: string;
}

/** Notices that a person is shown. */
const SHOWN = 100;

/** Writes notices down; one that a person has of the same thing already stays as it is. */
export async function insertNotices(db: Db, notices: readonly NewNotice[]): Promise<void> {
  if (notices.length === 0) return;
  await db
    .insertInto('notices')
    .values(
      notices.map(({ userId, houseId, kind, about, what, who }) => ({
        user_id: userId,
        house_id: houseId,
        kind,
        about,
        what,
        who,
      })),
    )
    .onConflict((one) => one.doNothing())
    .execute();
}

/** What a person is told of, the newest first, of the houses of one firm that are there. */
export async function listNotices(db: Db, userId: string, firmId: string): Promise<Notice[]> {
  const rows = await db
    .selectFrom('notices')
    .innerJoin('houses', 'houses.id', 'notices.house_id')
    .select(['notices.id', 'kind', 'house_id', 'houses.name as house', 'about', 'what', 'who', 'at', 'seen_at'])
    .where('user_id', '=', userId)
    .where('houses.firm_id', '=', firmId)
    .where('houses.deleted_at', 'is', null)
    .orderBy('notices.id', 'desc')
    .limit(SHOWN)
    .execute();
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind as NoticeKind,
    houseId: row.house_id,
    house: row.house,
    about: row.about,
    what: row.what,
    who: row.who,
    at: row.at.toISOString(),
    seenAt: row.seen_at?.toISOString() ?? null,
  }));
}

/** Marks a person's own notices as read: those named, or all. */
export async function markNotices(db: Db, userId: string, ids: readonly string[] | undefined): Promise<void> {
  if (ids?.length === 0) return;
  await db
    .updateTable('notices')
    .set({ seen_at: sql<Date>`now()` as never })
    .where('user_id', '=', userId)
    .where('seen_at', 'is', null)
    .$if(ids !== undefined, (query) => query.where('id', 'in', ids as string[]))
    .execute();
}
