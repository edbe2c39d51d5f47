import type { AuditEntry } from '@winculum/contract';
import type { Db } from './database';

interface NewAuditEntry {
  readonly firmId: string | null;
  readonly userId?: string | null;
  readonly who: string;
  readonly event: string;
  readonly detail?: string;
  readonly address?: string;
}

export async function insertAudit(db: Db, entry: NewAuditEntry): Promise<void> {
  await db
    .insertInto('audit')
    .values({
      firm_id: entry.firmId,
      user_id: entry.userId ?? null,
      who: entry.who.slice(0, 200),
      event: entry.event,
      detail: (entry.detail ?? '').slice(0, 400),
      address: entry.address ?? '',
    })
    .execute();
}

/** The newest entries of a firm that are older than a given one. */
export async function listAudit(db: Db, firmId: string, before: string | undefined): Promise<AuditEntry[]> {
  let query = db
    .selectFrom('audit')
    .select(['id', 'at', 'who', 'event', 'detail', 'address'])
    .where('firm_id', '=', firmId)
    .orderBy('id', 'desc')
    .limit(100);
  if (before !== undefined) query = query.where('id', '<', before);
  return (await query.execute()).map((row) => ({ ...row, at: row.at.toISOString() }));
}

/** Whether a person has signed in with this device before. */
export const knowsDevice = async (db: Db, userId: string, device: string): Promise<boolean> =>
  (await db
    .selectFrom('audit')
    .select('id')
    .where('user_id', '=', userId)
    .where('event', '=', 'signed in')
    .where('detail', '=', device)
    .limit(1)
    .executeTakeFirst()) !== undefined;
