import { sql } from 'kysely';
import type { Member, Role, SignedIn } from '@winculum/contract';
import type { Db } from './database';

/** What a sign-in is checked against. */
export interface Credentials {
  readonly id: string;
  readonly passwordHash: string;
  readonly totpSecret: string | null;
  readonly recoveryHashes: readonly string[];
}

const credentialColumns = [
  'id',
  'password_hash as passwordHash',
  'totp_secret as totpSecret',
  'recovery_hashes as recoveryHashes',
] as const;

export const findCredentials = (db: Db, email: string): Promise<Credentials | undefined> =>
  db.selectFrom('users').select(credentialColumns).where('email', '=', email).executeTakeFirst();

export const findCredentialsOf = (db: Db, userId: string): Promise<Credentials | undefined> =>
  db.selectFrom('users').select(credentialColumns).where('id', '=', userId).executeTakeFirst();

/** Who a signed-in user is, and for which firm; undefined when the account or membership is gone. */
export async function findSignedIn(db: Db, userId: string): Promise<SignedIn | undefined> {
  const row = await db
    .selectFrom('users')
    .innerJoin('members', 'members.user_id', 'users.id')
    .innerJoin('firms', 'firms.id', 'members.firm_id')
    .select([
      'users.id',
      'users.name',
      'users.email',
      'users.must_change_password as mustChange',
      'users.totp_secret as totpSecret',
      'firms.id as firmId',
      'firms.name as firmName',
      'firms.needs_second_factor as needsSecondFactor',
      'members.role',
    ])
    .where('users.id', '=', userId)
    .executeTakeFirst();
  if (!row) return undefined;
  const mustDo = row.mustChange ? 'password' : row.needsSecondFactor && !row.totpSecret ? 'second-factor' : undefined;
  return {
    user: { id: row.id, name: row.name, email: row.email },
    firm: { id: row.firmId, name: row.firmName },
    role: row.role as Role,
    ...(mustDo === undefined ? {} : { mustDo }),
  };
}

interface NewUser {
  readonly name: string;
  readonly email: string;
  readonly passwordHash: string;
}

export const insertFirm = async (db: Db, name: string): Promise<string> =>
  (await db.insertInto('firms').values({ name }).returning('id').executeTakeFirstOrThrow()).id;

/** Adds a user with a verified address to a firm; answers their id, or undefined when the address is taken. */
export async function insertMember(db: Db, firmId: string, user: NewUser, role: Role): Promise<string | undefined> {
  const row = await db
    .insertInto('users')
    .values({ name: user.name, email: user.email, password_hash: user.passwordHash, verified_at: sql`now()` })
    .onConflict((conflict) => conflict.column('email').doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!row) return undefined;
  await db.insertInto('members').values({ firm_id: firmId, user_id: row.id, role }).execute();
  return row.id;
}

export async function listMembers(db: Db, firmId: string): Promise<Member[]> {
  const rows = await db
    .selectFrom('members')
    .innerJoin('users', 'users.id', 'members.user_id')
    .select(['users.id', 'users.name', 'users.email', 'users.totp_secret as totpSecret', 'members.role'])
    .where('members.firm_id', '=', firmId)
    .orderBy('users.name')
    .execute();
  return rows.map(({ totpSecret, role, ...row }) => ({
    ...row,
    role: role as Role,
    hasSecondFactor: totpSecret !== null,
  }));
}

/** From here to the end of the transaction nobody else changes who belongs to the firm. */
export const lockFirm = (db: Db, firmId: string) =>
  db.selectFrom('firms').select('id').where('id', '=', firmId).forUpdate().executeTakeFirst();

export async function updateRole(db: Db, firmId: string, userId: string, role: Role): Promise<void> {
  await db.updateTable('members').set({ role }).where('firm_id', '=', firmId).where('user_id', '=', userId).execute();
}

/** Removes an account. */
export const deleteUser = (db: Db, userId: string) => db.deleteFrom('users').where('id', '=', userId).execute();

export async function updatePassword(db: Db, userId: string, passwordHash: string): Promise<void> {
  await db
    .updateTable('users')
    .set({ password_hash: passwordHash, must_change_password: false })
    .where('id', '=', userId)
    .execute();
}

export const requirePasswordChange = (db: Db, userId: string) =>
  db.updateTable('users').set({ must_change_password: true }).where('id', '=', userId).execute();

export async function updateSecondFactor(
  db: Db,
  userId: string,
  secret: string | null,
  recoveryHashes: readonly string[],
): Promise<void> {
  await db
    .updateTable('users')
    .set({ totp_secret: secret, recovery_hashes: [...recoveryHashes] })
    .where('id', '=', userId)
    .execute();
}

/** Says that a code of a time step was used: false when it, or a later one, was used before. */
export async function useTimeStep(db: Db, userId: string, step: number): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('users')
    .set({ totp_used: String(step) })
    .where('id', '=', userId)
    .where('totp_used', '<', String(step))
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

/** Takes a recovery code away; false when it was not there any more. */
export async function useRecoveryCode(db: Db, userId: string, hash: string): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('users')
    .set({ recovery_hashes: sql`array_remove(recovery_hashes, ${hash})` })
    .where('id', '=', userId)
    .where(sql<boolean>`${hash} = any(recovery_hashes)`)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

interface FirmSettings {
  readonly name: string;
  readonly trustDays: number;
  readonly needsSecondFactor: boolean;
}

export const findFirm = (db: Db, firmId: string): Promise<FirmSettings> =>
  db
    .selectFrom('firms')
    .select(['name', 'trust_days as trustDays', 'needs_second_factor as needsSecondFactor'])
    .where('id', '=', firmId)
    .executeTakeFirstOrThrow();

export async function updateFirm(db: Db, firmId: string, settings: Omit<FirmSettings, 'name'>): Promise<void> {
  await db
    .updateTable('firms')
    .set({ trust_days: settings.trustDays, needs_second_factor: settings.needsSecondFactor })
    .where('id', '=', firmId)
    .execute();
}

export const findStandards = (db: Db, firmId: string): Promise<{ standards: unknown; version: number }> =>
  db
    .selectFrom('firms')
    .select(['standards', 'standards_version as version'])
    .where('id', '=', firmId)
    .executeTakeFirstOrThrow();

/** Whether they were still at that version, and are replaced. */
export async function replaceStandards(db: Db, firmId: string, version: number, text: string): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('firms')
    .set({ standards: text, standards_version: version + 1 })
    .where('id', '=', firmId)
    .where('standards_version', '=', version)
    .executeTakeFirst();
  return numUpdatedRows === 1n;
}

/** Removes a firm with its people and everything of theirs. */
export async function deleteFirm(db: Db, firmId: string): Promise<void> {
  await db
    .deleteFrom('users')
    .where('id', 'in', db.selectFrom('members').select('user_id').where('firm_id', '=', firmId))
    .execute();
  await db.deleteFrom('firms').where('id', '=', firmId).execute();
}

export const isEmpty = async (db: Db): Promise<boolean> =>
  !(await db.selectFrom('users').select('id').limit(1).executeTakeFirst());
