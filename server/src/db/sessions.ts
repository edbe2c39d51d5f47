import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import type { SessionInfo } from '@winculum/contract';
import type { Db } from './database';

/** What a session is called outside: its id is a secret, or half of one. */
const nameOf = (sid: string): string => createHash('sha256').update(sid).digest('hex').slice(0, 24);

/**
 * Says that a session was used just now: its row, by a trigger, ends when nobody has used it for its idle time, and in any
 * case at the end of its whole time. Answers false when it has ended.
 */
export async function touchSession(db: Db, sid: string): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('session')
    .set({ seen_at: sql`now()` })
    .where('sid', '=', sid)
    .where('expire', '>', sql<Date>`now()`)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

export const isSessionAlive = async (db: Db, sid: string): Promise<boolean> =>
  (await db
    .selectFrom('session')
    .select('sid')
    .where('sid', '=', sid)
    .where('expire', '>', sql<Date>`now()`)
    .executeTakeFirst()) !== undefined;

export async function listSessions(db: Db, userId: string, sid: string): Promise<SessionInfo[]> {
  const rows = await db
    .selectFrom('session')
    .select([
      'sid',
      'began_at as beganAt',
      'seen_at as seenAt',
      sql<string>`coalesce(sess ->> 'device', '')`.as('device'),
      sql<string>`coalesce(sess ->> 'address', '')`.as('address'),
      sql<boolean>`coalesce((sess ->> 'trusted')::boolean, false)`.as('isTrusted'),
    ])
    .where('user_id', '=', userId)
    .where('expire', '>', sql<Date>`now()`)
    .orderBy('seen_at', 'desc')
    .execute();
  return rows.map((row) => ({
    id: nameOf(row.sid),
    isThis: row.sid === sid,
    device: row.device,
    address: row.address,
    beganAt: row.beganAt.toISOString(),
    seenAt: row.seenAt.toISOString(),
    isTrusted: row.isTrusted,
  }));
}

/** Ends sessions of a person: all but one, or the one that is so called. Answers the ids that ended. */
export async function deleteSessions(
  db: Db,
  userId: string,
  which: { readonly but?: string | undefined } | { readonly called: string },
): Promise<string[]> {
  const all = await db.selectFrom('session').select('sid').where('user_id', '=', userId).execute();
  const ended = all
    .map(({ sid }) => sid)
    .filter((sid) => ('called' in which ? nameOf(sid) === which.called : sid !== which.but));
  if (ended.length > 0) await db.deleteFrom('session').where('sid', 'in', ended).execute();
  return ended;
}
