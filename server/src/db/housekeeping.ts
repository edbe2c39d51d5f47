import { sql } from 'kysely';
import type { Db } from './database';

/** Days that a deleted house can be had back. */
export const KEPT_DAYS = 30;
const AUDIT_DAYS = 730;

/** Removes what nobody will ask for again: counts and links whose time has passed, ended sessions, houses deleted long ago. */
export async function sweep(db: Db): Promise<void> {
  await sql`delete from rate_limits where reset_at < now()`.execute(db);
  await sql`delete from tokens where expires_at < now()`.execute(db);
  await sql`delete from session where expire < now()`.execute(db);
  await sql`delete from houses where deleted_at < now() - ${KEPT_DAYS} * interval '1 day'`.execute(db);
  await sql`delete from audit where at < now() - ${AUDIT_DAYS} * interval '1 day'`.execute(db);
}
