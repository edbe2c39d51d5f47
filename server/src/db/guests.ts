import { createHash, randomBytes } from 'node:crypto';
import { sql } from 'kysely';
import type { GuestLink, GuestRole } from '@winculum/contract';
import type { Db } from './database';

/** A link that holds: whose, to which house, as what. */
export interface Guest {
  readonly linkId: string;
  readonly houseId: string;
  readonly firmId: string;
  readonly role: GuestRole;
  readonly trade: string | null;
  readonly name: string;
  readonly expiresAt: Date;
  /** Who sent the link: what a guest signs is recorded under both. */
  readonly authorId: string | null;
}

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

interface NewGuest {
  readonly houseId: string;
  readonly firmId: string;
  readonly authorId: string;
  readonly role: GuestRole;
  readonly trade: string | undefined;
  readonly name: string;
  readonly days: number;
}

/** Keeps a link, and answers its secret part, which is kept nowhere. */
export async function insertGuest(db: Db, guest: NewGuest): Promise<{ id: string; secret: string }> {
  const secret = randomBytes(32).toString('base64url');
  const { rows } = await sql<{ id: string }>`
    insert into guest_links (hash, house_id, firm_id, role, trade, name, author_id, expires_at)
    values (${hashOf(secret)}, ${guest.houseId}, ${guest.firmId}, ${guest.role}, ${guest.trade ?? null}, ${guest.name},
      ${guest.authorId}, now() + ${guest.days} * interval '1 day')
    returning id`.execute(db);
  return { id: rows[0]!.id, secret };
}

/** Every link to a house, the newest first; those whose time has passed for a month. */
export async function listGuests(db: Db, houseId: string): Promise<GuestLink[]> {
  const rows = await db
    .selectFrom('guest_links')
    .select(['id', 'role', 'name', 'trade', 'made_at', 'expires_at', 'revoked_at', 'seen_at'])
    .where('house_id', '=', houseId)
    .where('expires_at', '>', sql<Date>`now() - interval '30 days'`)
    .orderBy('made_at', 'desc')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    role: row.role as GuestRole,
    name: row.name,
    trade: row.trade,
    madeAt: row.made_at.toISOString(),
    expiresAt: row.expires_at.toISOString(),
    revokedAt: row.revoked_at?.toISOString() ?? null,
    seenAt: row.seen_at?.toISOString() ?? null,
  }));
}

export const revokeGuest = async (db: Db, houseId: string, id: string): Promise<boolean> =>
  (
    await db
      .updateTable('guest_links')
      .set({ revoked_at: sql<Date>`now()` as never })
      .where('house_id', '=', houseId)
      .where('id', '=', id)
      .where('revoked_at', 'is', null)
      .executeTakeFirst()
  ).numUpdatedRows > 0n;

/** Whom a link lets in, if it holds: said to be seen in the same breath. The house must be there still. */
export async function findGuest(db: Db, secret: string): Promise<Guest | undefined> {
  const { rows } = await sql<Guest>`
    update guest_links set seen_at = now()
    where hash = ${hashOf(secret)} and revoked_at is null and expires_at > now()
      and exists (select from houses where houses.id = house_id and deleted_at is null)
    returning id as "linkId", house_id as "houseId", firm_id as "firmId", role, trade, name,
      expires_at as "expiresAt", author_id as "authorId"`.execute(db);
  return rows[0];
}
