import type { Member, Role, SignedIn } from '@winculum/contract';
import type { Db } from './database';

export const findPassword = (db: Db, email: string) =>
  db.selectFrom('users').select(['id', 'password_hash as passwordHash']).where('email', '=', email).executeTakeFirst();

/** Who a signed-in user is, and for which firm; undefined when the account or membership is gone. */
export async function findSignedIn(db: Db, userId: string): Promise<SignedIn | undefined> {
  const row = await db
    .selectFrom('users')
    .innerJoin('members', 'members.user_id', 'users.id')
    .innerJoin('firms', 'firms.id', 'members.firm_id')
    .select(['users.id', 'users.name', 'users.email', 'firms.id as firmId', 'firms.name as firmName', 'members.role'])
    .where('users.id', '=', userId)
    .executeTakeFirst();
  return (
    row && {
      user: { id: row.id, name: row.name, email: row.email },
      firm: { id: row.firmId, name: row.firmName },
      role: row.role as Role,
    }
  );
}

export interface NewUser {
  readonly name: string;
  readonly email: string;
  readonly passwordHash: string;
}

export const insertFirm = async (db: Db, name: string): Promise<string> =>
  (await db.insertInto('firms').values({ name }).returning('id').executeTakeFirstOrThrow()).id;

/** Adds a user to a firm; undefined when the e-mail address is taken. */
export async function insertMember(db: Db, firmId: string, user: NewUser, role: Role): Promise<Member | undefined> {
  const row = await db
    .insertInto('users')
    .values({ name: user.name, email: user.email, password_hash: user.passwordHash })
    .onConflict((conflict) => conflict.column('email').doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!row) return undefined;
  await db.insertInto('members').values({ firm_id: firmId, user_id: row.id, role }).execute();
  return { id: row.id, name: user.name, email: user.email, role };
}

export const listMembers = (db: Db, firmId: string): Promise<Member[]> =>
  db
    .selectFrom('members')
    .innerJoin('users', 'users.id', 'members.user_id')
    .select(['users.id', 'users.name', 'users.email', 'members.role'])
    .where('members.firm_id', '=', firmId)
    .orderBy('users.name')
    .execute() as Promise<Member[]>;

/** Changes a role; false when nobody of this firm has the id. */
export async function updateRole(db: Db, firmId: string, userId: string, role: Role): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('members')
    .set({ role })
    .where('firm_id', '=', firmId)
    .where('user_id', '=', userId)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

/** Removes a member with their account; false when nobody of this firm has the id. */
export async function deleteMember(db: Db, firmId: string, userId: string): Promise<boolean> {
  const { numDeletedRows } = await db
    .deleteFrom('users')
    .where(
      'id',
      'in',
      db.selectFrom('members').select('user_id').where('firm_id', '=', firmId).where('user_id', '=', userId),
    )
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

export const countOwners = async (db: Db, firmId: string): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('members')
        .select((eb) => eb.fn.countAll().as('n'))
        .where('firm_id', '=', firmId)
        .where('role', '=', 'owner')
        .executeTakeFirstOrThrow()
    ).n,
  );

export const isEmpty = async (db: Db): Promise<boolean> =>
  !(await db.selectFrom('users').select('id').limit(1).executeTakeFirst());
