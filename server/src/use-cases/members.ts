import type { z } from 'zod';
import type { Invitation, invitationSchema, Member, Role, SignedIn } from '@winculum/contract';
import {
  deleteUser,
  findCredentials,
  findFirm,
  findSignedIn,
  insertMember,
  listMembers,
  lockFirm,
  updateRole,
} from '../db/accounts';
import { insertAudit } from '../db/audit';
import type { Db } from '../db/database';
import { deleteInvitation, findToken, insertToken, listInvitations, takeToken, type Token } from '../db/tokens';
import { inviteLetter } from '../mail/letters';
import type { Accounts, Caller } from './accounts';
import { forbidden, notFound, Refusal } from './errors';
import { hashPassword, mustBeStrong } from './passwords';

const MOST_MEMBERS = 100;
const MOST_INVITATIONS = 50;
const INVITED_HOURS = 7 * 24;

export function mustOwn(member: SignedIn, what = 'change its members'): void {
  if (member.role !== 'owner') throw forbidden(`Only an owner of the firm can ${what}.`);
}

export const members = (db: Db, member: SignedIn): Promise<Member[]> => listMembers(db, member.firm.id);

interface Invited {
  readonly name: string;
  readonly role: Role;
}

const asInvitation = (token: Token): Invitation => ({
  id: token.hash,
  email: token.email,
  expiresAt: token.expiresAt.toISOString(),
  ...(token.detail as Invited),
});

export async function invitations(db: Db, member: SignedIn): Promise<Invitation[]> {
  mustOwn(member, 'see its invitations');
  return (await listInvitations(db, member.firm.id)).map(asInvitation);
}

/**
 * Invites somebody to the firm. Nothing is made before they follow the link and choose a password of their own, so nobody's
 * address can be taken. Where no letters are sent the owner is handed the link.
 */
export async function invite(
  { db, mail, opensAtOnce }: Accounts,
  member: SignedIn,
  input: z.infer<typeof invitationSchema>,
  caller: Caller,
): Promise<Invitation> {
  mustOwn(member);
  const [all, open] = [await listMembers(db, member.firm.id), await listInvitations(db, member.firm.id)];
  if (all.some((one) => one.email === input.email))
    throw new Refusal(409, 'member-already', `${input.email} belongs to the firm already.`);
  if (all.length >= MOST_MEMBERS || open.length >= MOST_INVITATIONS)
    throw new Refusal(
      409,
      'too-many',
      `A firm has at most ${MOST_MEMBERS} members and ${MOST_INVITATIONS} open invitations. Take one back first.`,
    );
  for (const one of open) if (one.email === input.email) await deleteInvitation(db, member.firm.id, one.hash);
  const detail: Invited = { name: input.name, role: input.role };
  const token = await insertToken(db, {
    kind: 'invite',
    email: input.email,
    firmId: member.firm.id,
    detail,
    hours: INVITED_HOURS,
  });
  const link = `${mail.publicUrl}/join/${token}`;
  mail.send(inviteLetter(input.email, input.name, member.user.name, member.firm.name, link));
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'invited',
    detail: `${input.email} as ${input.role}`,
    address: caller.address,
  });
  const made = (await listInvitations(db, member.firm.id)).find((one) => one.email === input.email)!;
  return { ...asInvitation(made), ...(opensAtOnce ? { link } : {}) };
}

export async function withdrawInvitation(db: Db, member: SignedIn, id: string): Promise<void> {
  mustOwn(member);
  if (!(await deleteInvitation(db, member.firm.id, id))) throw notFound('invitation');
}

const gone = () =>
  new Refusal(410, 'link-gone', 'This invitation was used or taken back, or its time has passed. Ask for another.');

/** What an invitation is for, to be shown before it is accepted. */
export async function readInvitation(db: Db, token: string): Promise<{ firm: string; name: string; email: string }> {
  const found = await findToken(db, 'invite', token);
  if (!found?.firmId) throw gone();
  return { firm: (await findFirm(db, found.firmId)).name, name: (found.detail as Invited).name, email: found.email };
}

/** Makes the account that an invitation stands for, with the password of whoever was invited. */
export async function acceptInvitation(
  { db }: Accounts,
  token: string,
  password: string,
  caller: Caller,
): Promise<SignedIn> {
  const { firm, name, email } = await readInvitation(db, token);
  mustBeStrong(password, [email, name, firm]);
  const passwordHash = await hashPassword(password);
  const joined = await db.transaction().execute(async (tx) => {
    const found = await takeToken(tx, 'invite', token);
    if (!found?.firmId) throw gone();
    if (await findCredentials(tx, email))
      throw new Refusal(
        409,
        'email-taken',
        'This e-mail address has an account already, in another firm. Ask to be invited under another address.',
      );
    const userId = await insertMember(tx, found.firmId, { name, email, passwordHash }, (found.detail as Invited).role);
    if (!userId) throw gone();
    await insertAudit(tx, {
      firmId: found.firmId,
      userId,
      who: name,
      event: 'joined',
      detail: email,
      address: caller.address,
    });
    return findSignedIn(tx, userId);
  });
  if (!joined) throw gone();
  return joined;
}

/** Changes who belongs to the firm, one change after the other; an owner always stays. */
async function change(
  db: Db,
  member: SignedIn,
  userId: string,
  caller: Caller,
  work: (tx: Db, target: Member) => Promise<string>,
  keepsOwner: (target: Member) => boolean,
): Promise<void> {
  await db.transaction().execute(async (tx) => {
    await lockFirm(tx, member.firm.id);
    const all = await listMembers(tx, member.firm.id);
    // Asked again behind the lock: another owner may have demoted this one a moment ago.
    if (all.find((one) => one.id === member.user.id)?.role !== 'owner') mustOwn({ ...member, role: 'viewer' });
    const target = all.find((one) => one.id === userId);
    if (!target) throw notFound('member');
    const owners = all.filter((one) => one.role === 'owner');
    if (target.role === 'owner' && owners.length < 2 && !keepsOwner(target))
      throw new Refusal(409, 'last-owner', 'A firm needs an owner. Make another member owner first.');
    const detail = await work(tx, target);
    await insertAudit(tx, {
      firmId: member.firm.id,
      userId: member.user.id,
      who: member.user.name,
      event: detail.split(':')[0]!,
      detail: detail.split(':').slice(1).join(':').trim(),
      address: caller.address,
    });
  });
}

export async function changeRole(db: Db, member: SignedIn, userId: string, role: Role, caller: Caller): Promise<void> {
  mustOwn(member);
  await change(
    db,
    member,
    userId,
    caller,
    async (tx, target) => {
      await updateRole(tx, member.firm.id, userId, role);
      return `role changed: ${target.name} from ${target.role} to ${role}`;
    },
    () => role === 'owner',
  );
}

export async function removeMember(db: Db, member: SignedIn, userId: string, caller: Caller): Promise<void> {
  mustOwn(member);
  await change(
    db,
    member,
    userId,
    caller,
    async (tx, target) => {
      await deleteUser(tx, userId);
      return `member removed: ${target.name}, ${target.email}`;
    },
    () => false,
  );
}
