import { sql } from 'kysely';
import type { Db } from './database';

/** Days that a deleted house can be had back. */
export const KEPT_DAYS = 30;
const AUDIT_DAYS = 730;
/** Days that a notice is kept after it was read, and where nobody reads it. */
const [READ_DAYS, UNREAD_DAYS] = [90, 365];

/** Removes what nobody will ask for again: counts and links whose time has passed, ended sessions, houses deleted long ago, old notices. */
export async function sweep(db: Db): Promise<void> {
  await sql`delete from rate_limits where reset_at < now()`.execute(db);
  await sql`delete from tokens where expires_at < now()`.execute(db);
  await sql`delete from session where expire < now()`.execute(db);
  await sql`delete from houses where deleted_at < now() - ${KEPT_DAYS} * interval '1 day'`.execute(db);
  await sql`delete from notices where seen_at < now() - ${READ_DAYS} * interval '1 day'
    or at < now() - ${UNREAD_DAYS} * interval '1 day'`.execute(db);
  await sql`delete from audit where at < now() - ${AUDIT_DAYS} * interval '1 day'`.execute(db);
}
