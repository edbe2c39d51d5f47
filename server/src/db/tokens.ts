import { createHash, randomBytes } from 'node:crypto';
import { sql } from 'kysely';
import type { Db } from './database';

type TokenKind = 'verify' | 'invite' | 'reset';

interface NewToken {
  readonly kind: TokenKind;
  readonly email: string;
  readonly firmId?: string;
  readonly userId?: string;
  readonly detail?: unknown;
  readonly hours: number;
}

export interface Token {
  readonly hash: string;
  readonly email: string;
  readonly firmId: string | null;
  readonly userId: string | null;
  readonly detail: unknown;
  readonly expiresAt: Date;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

const columns = [
  'hash',
  'email',
  'firm_id as firmId',
  'user_id as userId',
  'detail',
  'expires_at as expiresAt',
] as const;

/** Keeps what a link stands for, and answers the link's secret part, which is kept nowhere. */
export async function insertToken(db: Db, token: NewToken): Promise<string> {
  const secret = randomBytes(32).toString('base64url');
  await db
    .insertInto('tokens')
    .values({
      hash: hashOf(secret),
      kind: token.kind,
      email: token.email,
      firm_id: token.firmId ?? null,
      user_id: token.userId ?? null,
      detail: JSON.stringify(token.detail ?? {}),
      expires_at: sql`now() + ${token.hours} * interval '1 hour'` as never,
    })
    .execute();
  return secret;
}

export const findToken = (db: Db, kind: TokenKind, secret: string): Promise<Token | undefined> =>
  db
    .selectFrom('tokens')
    .select(columns)
    .where('hash', '=', hashOf(secret))
    .where('kind', '=', kind)
    .where('expires_at', '>', sql<Date>`now()`)
    .executeTakeFirst();

/** What a link stood for, which it does no longer: each is good once. */
export const takeToken = (db: Db, kind: TokenKind, secret: string): Promise<Token | undefined> =>
  db
    .deleteFrom('tokens')
    .where('hash', '=', hashOf(secret))
    .where('kind', '=', kind)
    .where('expires_at', '>', sql<Date>`now()`)
    .returning(columns)
    .executeTakeFirst();

export const countTokens = async (db: Db, kind: TokenKind, email: string): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('tokens')
        .select((eb) => eb.fn.countAll().as('n'))
        .where('kind', '=', kind)
        .where('email', '=', email)
        .where('expires_at', '>', sql<Date>`now()`)
        .executeTakeFirstOrThrow()
    ).n,
  );

export const listInvitations = (db: Db, firmId: string): Promise<Token[]> =>
  db
    .selectFrom('tokens')
    .select(columns)
    .where('kind', '=', 'invite')
    .where('firm_id', '=', firmId)
    .where('expires_at', '>', sql<Date>`now()`)
    .orderBy('at')
    .execute();

/** Takes an invitation back; false when the firm has none by this name. */
export async function deleteInvitation(db: Db, firmId: string, hash: string): Promise<boolean> {
  const { numDeletedRows } = await db
    .deleteFrom('tokens')
    .where('kind', '=', 'invite')
    .where('firm_id', '=', firmId)
    .where('hash', '=', hash)
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

/** Every link to reset a person's password, once one of them was used or the password was changed otherwise. */
export const deleteResets = (db: Db, userId: string) =>
  db.deleteFrom('tokens').where('kind', '=', 'reset').where('user_id', '=', userId).execute();
