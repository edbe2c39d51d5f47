import type { z } from 'zod';
import { SHORTEST_PASSWORD, type newAccountSchema, type signInSchema, type SignedIn } from '@winculum/contract';
import {
  findCredentials,
  findCredentialsOf,
  findSignedIn,
  insertFirm,
  insertMember,
  requirePasswordChange,
  updatePassword,
} from '../db/accounts';
import { insertAudit, knowsDevice } from '../db/audit';
import type { Db } from '../db/database';
import { countTokens, deleteResets, findToken, insertToken, takeToken } from '../db/tokens';
import { knownLetter, newDeviceLetter, passwordChangedLetter, resetLetter, verifyLetter } from '../mail/letters';
import type { Mail } from '../mail/mail';
import { Refusal } from './errors';
import type { TryPace } from './pace';
import { hashPassword, matches, mustBeStrong } from './passwords';
import { showsSecondFactor } from './second-factor';

/** What dealing with accounts needs. */
export interface Accounts {
  readonly db: Db;
  readonly mail: Mail;
  readonly pace: TryPace;
  /** On a server of one machine without mail an account works at once, since no letter could reach anybody. */
  readonly opensAtOnce: boolean;
  /** Accounts that one address may open, and letters for a new password that it may ask for, within an hour. */
  readonly anHour: number;
}

/** Where a request comes from. */
export interface Caller {
  readonly address: string;
  /** The browser and system, in a few words. */
  readonly device: string;
}

const MOST_LETTERS = 3;
const goneLink = () =>
  new Refusal(410, 'link-gone', 'This link was used already, or its time has passed. Ask for another.');

/** The person whose password and second factor fit. @throws Refusal where they do not, without saying which exist. */
export async function signIn(
  { db, mail, pace }: Accounts,
  { email, password, code }: z.infer<typeof signInSchema>,
  caller: Caller,
): Promise<SignedIn> {
  let asksForCode = false;
  const userId = await pace.run({ account: email, address: caller.address }, async () => {
    const found = await findCredentials(db, email);
    if (!(await matches(found?.passwordHash, password)) || !found) return undefined;
    if (await showsSecondFactor(db, found, code)) return found.id;
    asksForCode = true;
    return undefined;
  });
  if (asksForCode)
    throw new Refusal(
      401,
      'second-factor',
      code === undefined
        ? 'Type the six digits of your authenticator, or a recovery code.'
        : 'This code does not fit. Type the newest one, or a recovery code.',
    );
  // Of old, passwords could be shorter: such a one still signs in, once, to be changed.
  if (userId && password.length < SHORTEST_PASSWORD) await requirePasswordChange(db, userId);
  const signedIn = userId ? await findSignedIn(db, userId) : undefined;
  if (!signedIn) {
    const known = await findCredentials(db, email);
    const firm = known && (await findSignedIn(db, known.id))?.firm.id;
    if (firm)
      await insertAudit(db, {
        firmId: firm,
        userId: known.id,
        who: email,
        event: 'sign-in failed',
        address: caller.address,
      });
    throw new Refusal(401, 'sign-in', 'E-mail address and password do not match an account.');
  }
  if (!(await knowsDevice(db, signedIn.user.id, caller.device)))
    mail.send(newDeviceLetter(signedIn.user.email, caller.device, caller.address, new Date().toUTCString()));
  await insertAudit(db, {
    firmId: signedIn.firm.id,
    userId: signedIn.user.id,
    who: signedIn.user.name,
    event: 'signed in',
    detail: caller.device,
    address: caller.address,
  });
  return signedIn;
}

interface SignUp {
  readonly firm: string;
  readonly name: string;
  readonly passwordHash: string;
}

/** Makes a firm and its owner; undefined when the address has an account. */
async function makeFirm(
  db: Db,
  email: string,
  { firm, name, passwordHash }: SignUp,
  address: string,
): Promise<SignedIn | undefined> {
  return db.transaction().execute(async (tx) => {
    const firmId = await insertFirm(tx, firm);
    const userId = await insertMember(tx, firmId, { name, email, passwordHash }, 'owner');
    if (!userId) {
      await tx.deleteFrom('firms').where('id', '=', firmId).execute();
      return undefined;
    }
    await insertAudit(tx, { firmId, userId, who: name, event: 'account opened', detail: firm, address });
    return findSignedIn(tx, userId);
  });
}

/**
 * Opens an account with a firm of its own; the person is its owner. Where letters are sent, nothing is made before the
 * address is shown to be theirs, and the answer is the same whether it had an account or not: undefined.
 */
export async function createAccount(
  { db, mail, pace, opensAtOnce, anHour }: Accounts,
  input: z.infer<typeof newAccountSchema>,
  caller: Caller,
): Promise<SignedIn | undefined> {
  mustBeStrong(input.password, [input.email, input.name, input.firm]);
  await pace.limit('accounts', caller.address, anHour);
  const signUp: SignUp = { firm: input.firm, name: input.name, passwordHash: await hashPassword(input.password) };
  const isKnown = (await findCredentials(db, input.email)) !== undefined;
  if (opensAtOnce) {
    const made = isKnown ? undefined : await makeFirm(db, input.email, signUp, caller.address);
    if (!made) throw new Refusal(409, 'email-taken', 'This e-mail address has an account already. Sign in with it.');
    mail.send(verifyLetter(input.email, input.name, `${mail.publicUrl}/sign-in`));
    return made;
  }
  if (isKnown) mail.send(knownLetter(input.email, `${mail.publicUrl}/forgot`));
  else if ((await countTokens(db, 'verify', input.email)) < MOST_LETTERS) {
    const token = await insertToken(db, { kind: 'verify', email: input.email, detail: signUp, hours: 24 });
    mail.send(verifyLetter(input.email, input.name, `${mail.publicUrl}/verify/${token}`));
  }
  return undefined;
}

/** Makes the account that a letter's link stands for. */
export async function verifyAddress({ db }: Accounts, token: string, caller: Caller): Promise<SignedIn> {
  const found = await takeToken(db, 'verify', token);
  const made = found && (await makeFirm(db, found.email, found.detail as SignUp, caller.address));
  if (!made) throw goneLink();
  return made;
}

/** Sends a link to choose a new password; says the same for every address. */
export async function askForReset({ db, mail, pace, anHour }: Accounts, email: string, caller: Caller): Promise<void> {
  await pace.limit('resets', caller.address, anHour);
  const found = await findCredentials(db, email);
  if (!found || (await countTokens(db, 'reset', email)) >= MOST_LETTERS) return;
  const token = await insertToken(db, { kind: 'reset', email, userId: found.id, hours: 2 });
  mail.send(resetLetter(email, `${mail.publicUrl}/reset/${token}`));
}

/** Sets the password that a letter's link is for. Answers whose it is: their sessions end. */
export async function resetPassword(
  { db, mail }: Accounts,
  token: string,
  password: string,
  caller: Caller,
): Promise<string> {
  const found = await findToken(db, 'reset', token);
  const person = found?.userId ? await findSignedIn(db, found.userId) : undefined;
  if (!found || !person) throw goneLink();
  mustBeStrong(password, [found.email, person.user.name, person.firm.name]);
  const passwordHash = await hashPassword(password);
  if (!(await takeToken(db, 'reset', token))) throw goneLink();
  await updatePassword(db, person.user.id, passwordHash);
  await deleteResets(db, person.user.id);
  await insertAudit(db, {
    firmId: person.firm.id,
    userId: person.user.id,
    who: person.user.name,
    event: 'password reset',
    address: caller.address,
  });
  mail.send(passwordChangedLetter(found.email));
  return person.user.id;
}

/** Whether a signed-in person is still who they were: by their password, and their second factor where they have one. */
export async function confirmPerson(
  { db, pace }: Accounts,
  member: SignedIn,
  { password, code }: { readonly password: string; readonly code?: string | undefined },
  caller: Caller,
): Promise<void> {
  let asksForCode = false;
  const isRight = await pace.run({ account: member.user.email, address: caller.address }, async () => {
    const found = await findCredentialsOf(db, member.user.id);
    if (!(await matches(found?.passwordHash, password)) || !found) return undefined;
    if (code === undefined || (await showsSecondFactor(db, found, code))) return true;
    asksForCode = true;
    return undefined;
  });
  if (asksForCode)
    throw new Refusal(403, 'second-factor', 'This code does not fit. Type the newest one, or a recovery code.');
  if (!isRight) throw new Refusal(403, 'wrong-password', 'This is not your password.');
}

/** Changes a person's own password, which they have to know. */
export async function changePassword(
  accounts: Accounts,
  member: SignedIn,
  input: { readonly old: string; readonly password: string },
  caller: Caller,
): Promise<void> {
  const { db, mail } = accounts;
  await confirmPerson(accounts, member, { password: input.old }, caller);
  mustBeStrong(input.password, [member.user.email, member.user.name, member.firm.name]);
  if (input.old === input.password)
    throw new Refusal(422, 'same-password', 'The new password is the old one. Choose another.');
  await updatePassword(db, member.user.id, await hashPassword(input.password));
  await deleteResets(db, member.user.id);
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'password changed',
    address: caller.address,
  });
  mail.send(passwordChangedLetter(member.user.email));
}
