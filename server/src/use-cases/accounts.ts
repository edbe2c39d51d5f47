import { hash, verify } from '@node-rs/argon2';
import type { z } from 'zod';
import type { Member, newAccountSchema, newMemberSchema, Role, signInSchema, SignedIn } from '@winculum/contract';
import {
  countOwners,
  deleteMember,
  findPassword,
  findSignedIn,
  insertFirm,
  insertMember,
  listMembers,
  updateRole,
} from '../db/accounts';
import type { Db } from '../db/database';
import { forbidden, notFound, Refusal } from './errors';

/** argon2id is this package's default; memory and passes as OWASP's password storage cheat sheet gives for it. */
const ARGON2 = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, ARGON2);

/** Spent on unknown addresses too, so that the time of an answer does not tell which addresses exist. */
const decoy = hashPassword('no account has this password');

export async function signIn(db: Db, { email, password }: z.infer<typeof signInSchema>): Promise<SignedIn> {
  const found = await findPassword(db, email);
  const matches = await verify(found?.passwordHash ?? (await decoy), password);
  const signedIn = found && matches ? await findSignedIn(db, found.id) : undefined;
  if (!signedIn) throw new Refusal(401, 'sign-in', 'E-mail address and password do not match an account.');
  return signedIn;
}

const taken = () => new Refusal(409, 'email-taken', 'This e-mail address has an account already. Sign in with it.');

/** Opens an account with a firm of its own; the person is its owner. */
export async function createAccount(db: Db, input: z.infer<typeof newAccountSchema>): Promise<SignedIn> {
  const passwordHash = await hashPassword(input.password);
  return db.transaction().execute(async (tx) => {
    const firmId = await insertFirm(tx, input.firm);
    const member = await insertMember(tx, firmId, { ...input, passwordHash }, 'owner');
    if (!member) throw taken();
    return (await findSignedIn(tx, member.id))!;
  });
}

function mustOwn(member: SignedIn): void {
  if (member.role !== 'owner') throw forbidden('Only an owner of the firm can change its members.');
}

export const members = (db: Db, member: SignedIn): Promise<Member[]> => listMembers(db, member.firm.id);

export async function addMember(db: Db, member: SignedIn, input: z.infer<typeof newMemberSchema>): Promise<Member> {
  mustOwn(member);
  const passwordHash = await hashPassword(input.password);
  const added = await db
    .transaction()
    .execute((tx) => insertMember(tx, member.firm.id, { ...input, passwordHash }, input.role));
  if (!added) throw taken();
  return added;
}

async function keepAnOwner(db: Db, member: SignedIn, userId: string): Promise<void> {
  const all = await listMembers(db, member.firm.id);
  const isOwner = all.some((one) => one.id === userId && one.role === 'owner');
  if (isOwner && (await countOwners(db, member.firm.id)) < 2)
    throw new Refusal(409, 'last-owner', 'A firm needs an owner. Make somebody else owner first.');
}

export async function changeRole(db: Db, member: SignedIn, userId: string, role: Role): Promise<void> {
  mustOwn(member);
  if (role !== 'owner') await keepAnOwner(db, member, userId);
  if (!(await updateRole(db, member.firm.id, userId, role))) throw notFound('member');
}

export async function removeMember(db: Db, member: SignedIn, userId: string): Promise<void> {
  mustOwn(member);
  await keepAnOwner(db, member, userId);
  if (!(await deleteMember(db, member.firm.id, userId))) throw notFound('member');
}
