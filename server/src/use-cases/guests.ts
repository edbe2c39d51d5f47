import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import type {
  GuestLink,
  GuestView,
  guestAnswerSchema,
  guestCommentSchema,
  guestSignatureSchema,
  guestTickSchema,
  newGuestSchema,
  SignedIn,
} from '@winculum/contract';
import {
  addEntity,
  answerQuestion,
  guestHouse,
  settleTask,
  type Edited,
  type House,
  type NewId,
  type Result,
} from '@winculum/core';
import { findFirm } from '../db/accounts';
import { insertAudit } from '../db/audit';
import type { Db } from '../db/database';
import { findGuest, insertGuest, listGuests, revokeGuest, type Guest } from '../db/guests';
import { appendAsGuest, findHead, lockHead } from '../db/houses';
import { findPhoto } from '../db/photos';
import { countOne } from '../db/rate-limits';
import { insertSignature, listRevisions } from '../db/revisions';
import type { Caller } from './accounts';
import { forbidden, notFound, Refusal } from './errors';
import { tellOwners } from './notices';
import type { Writing } from './submit-batch';

const MOST_LINKS = 100;
/** Wrong links from one address in a quarter of an hour, and what one guest may write in that time. */
const MOST_WRONG = 30;
const MOST_WRITES = 120;
const WINDOW_MS = 15 * 60_000;

const mustSee = async (db: Db, member: SignedIn, houseId: string): Promise<void> => {
  if (!(await findHead(db, member.firm.id, houseId))) throw notFound('house');
};
function mustWrite(member: SignedIn): void {
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: an owner or the crew sends links.');
}

/** The links to a house, whom they let in, and when each was last opened. */
export async function guests(db: Db, member: SignedIn, houseId: string): Promise<GuestLink[]> {
  await mustSee(db, member, houseId);
  mustWrite(member);
  return listGuests(db, houseId);
}

/** Makes a link for somebody without an account. Its secret part is told this once. */
export async function inviteGuest(
  db: Db,
  member: SignedIn,
  houseId: string,
  input: z.infer<typeof newGuestSchema>,
  where: { readonly publicUrl: string; readonly caller: Caller },
): Promise<GuestLink> {
  await mustSee(db, member, houseId);
  mustWrite(member);
  const open = (await listGuests(db, houseId)).filter((one) => !one.revokedAt);
  if (open.length >= MOST_LINKS)
    throw new Refusal(409, 'too-many', `A house has at most ${MOST_LINKS} links. Take one back first.`);
  const { id, secret } = await insertGuest(db, {
    ...input,
    trade: input.trade,
    houseId,
    firmId: member.firm.id,
    authorId: member.user.id,
  });
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'guest link made',
    detail: `${input.name} as ${input.trade ?? input.role}, house ${houseId}`,
    address: where.caller.address,
  });
  const made = (await listGuests(db, houseId)).find((one) => one.id === id)!;
  // The secret stands behind a #: no server on the way and no log ever sees it.
  return { ...made, link: `${where.publicUrl}/guest#${secret}` };
}

export async function withdrawGuest(
  db: Db,
  member: SignedIn,
  houseId: string,
  id: string,
  caller: Caller,
): Promise<void> {
  await mustSee(db, member, houseId);
  mustWrite(member);
  if (!(await revokeGuest(db, houseId, id))) throw notFound('link');
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'guest link taken back',
    detail: `house ${houseId}`,
    address: caller.address,
  });
}

/** Whom a link lets in. @throws Refusal 410 where it does not hold any more, 429 after too many wrong ones. */
export async function mustBeGuest(db: Db, secret: string | undefined, caller: Caller): Promise<Guest> {
  const guest = secret && /^[A-Za-z0-9_-]{43}$/.test(secret) ? await findGuest(db, secret) : undefined;
  if (guest) return guest;
  if ((await countOne(db, `guest ${caller.address}`, WINDOW_MS)) > MOST_WRONG)
    throw new Refusal(429, 'too-many', 'Too many links that do not hold. Try again in a quarter of an hour.', {}, 900);
  throw new Refusal(410, 'link-gone', 'This link was taken back, or its time has passed. Ask for another.');
}

const isPanel = (guest: Guest): void => {
  if (guest.role === 'panel') throw forbidden('This link shows the panel, and nothing is written by it.');
};

/** What a guest sees: the house as far as it concerns them, and the revision that they may sign. */
export async function guestView({ db, open }: Writing, guest: Guest): Promise<GuestView> {
  const state = await open.catchUp(db, guest.houseId);
  if (!state) throw notFound('house');
  const signs = guest.role === 'owner' || guest.role === 'designer';
  const newest = signs ? (await listRevisions(db, guest.houseId))[0] : undefined;
  return {
    role: guest.role,
    name: guest.name,
    trade: guest.trade,
    firm: (await findFirm(db, guest.firmId)).name,
    expiresAt: guest.expiresAt.toISOString(),
    house: guestHouse(state.house, guest.role, guest.trade),
    revision: newest
      ? { number: newest.number, note: newest.note, at: newest.at, signatures: newest.signatures }
      : null,
  };
}

const newId: NewId = (prefix) => `${prefix}-${randomUUID().slice(0, 13)}`;
const today = (): string => new Date().toISOString().slice(0, 10);
const signedBy = (guest: Guest): string => `${guest.name}, ${guest.trade ?? guest.role}`.slice(0, 80);

/** Makes one edit of the house as a guest, on its newest version, one writer after the other. */
async function writeAs(writing: Writing, guest: Guest, verb: (house: House) => Result<Edited>): Promise<void> {
  const { db, open, epoch } = writing;
  if ((await countOne(db, `guest writes ${guest.linkId}`, WINDOW_MS)) > MOST_WRITES)
    throw new Refusal(429, 'too-many', 'You have written much in a short time. Try again in a while.', {}, 900);
  await open.inTurn(guest.houseId, async () => {
    const written = await db.transaction().execute(async (tx) => {
      if (!(await lockHead(tx, guest.firmId, guest.houseId))) throw notFound('house');
      const state = await open.catchUp(tx, guest.houseId);
      if (!state) throw notFound('house');
      const done = verb(state.house);
      if (!done.ok) throw new Refusal(422, 'invalid-edit', done.problems[0]!.message, { problems: done.problems });
      const { label, patches } = done.value.edit;
      if (patches.length === 0) return undefined;
      const version = await appendAsGuest(tx, {
        houseId: guest.houseId,
        firmId: guest.firmId,
        linkId: guest.linkId,
        guest: signedBy(guest),
        onVersion: state.version,
        name: done.value.house.name,
        batch: {
          id: randomUUID(),
          base: state.version,
          edits: [{ label, patches: patches as never }],
        },
        epoch,
      });
      if (version === undefined)
        throw new Refusal(410, 'link-gone', 'This link was taken back meanwhile. Ask for another.');
      await tellOwners(tx, guest, signedBy(guest), patches);
      return { firmId: state.firmId, house: done.value.house, version };
    });
    if (written) {
      open.keep(guest.houseId, written);
      open.snapshot(db, guest.houseId, written).catch(() => undefined);
    }
  });
}

/** A guest's remark: a line of the punch list that carries their name. */
export async function guestComment(
  writing: Writing,
  guest: Guest,
  { text, room, box }: z.infer<typeof guestCommentSchema>,
): Promise<void> {
  isPanel(guest);
  await writeAs(writing, guest, (house) =>
    addEntity(house, 'tasks', {
      id: newId('task'),
      kind: 'punch',
      what: text,
      trade: 'electrician',
      due: 'final',
      state: 'open',
      by: signedBy(guest),
      date: today(),
      note: '',
      ...(room ? { room } : {}),
      ...(box ? { box } : {}),
    }),
  );
}

/** An answer to a question of the brief, by an owner, a designer or an inspector. */
export async function guestAnswer(
  writing: Writing,
  guest: Guest,
  { question, room, answer }: z.infer<typeof guestAnswerSchema>,
): Promise<void> {
  isPanel(guest);
  if (guest.role === 'trade') throw forbidden('Questions of the brief are answered by owner, designer or inspector.');
  await writeAs(writing, guest, (house) =>
    answerQuestion(house, { question, room, answer, by: signedBy(guest), date: today() }, newId),
  );
}

/** A trade settles its own work; owners and designers what waits for them. */
export async function guestTick(
  writing: Writing,
  guest: Guest,
  { task: id, state }: z.infer<typeof guestTickSchema>,
): Promise<void> {
  isPanel(guest);
  await writeAs(writing, guest, (house) => {
    const task = house.tasks[id];
    if (!task || task.trade !== (guest.trade ?? guest.role))
      throw new Refusal(404, 'not-found', 'There is no such work of yours.');
    return settleTask(house, id, state, { name: signedBy(guest), date: today() });
  });
}

/** An owner or designer signs the revision that was shown; bound to it letter for letter, as every signature is. */
export async function guestSign(
  db: Db,
  guest: Guest,
  { number, strokes }: z.infer<typeof guestSignatureSchema>,
  caller: Caller,
): Promise<void> {
  if (guest.role !== 'owner' && guest.role !== 'designer')
    throw forbidden('Revisions are signed by owner or designer. Write a comment instead.');
  const [newest] = await listRevisions(db, guest.houseId);
  if (!newest) throw notFound('revision');
  if (newest.number !== number)
    throw new Refusal(
      409,
      'superseded',
      `Revision ${number} has been followed by revision ${newest.number}. Look at that one, then sign it.`,
    );
  if (newest.signatures.some((one) => one.role === guest.role && one.name === guest.name))
    throw new Refusal(409, 'signed', 'You have signed this revision already.');
  await insertSignature(
    db,
    { houseId: guest.houseId, number, authorId: guest.authorId },
    { role: guest.role, name: guest.name, strokes },
  );
  await insertAudit(db, {
    firmId: guest.firmId,
    userId: null,
    who: signedBy(guest),
    event: 'signed off',
    detail: `revision ${number} of ${guest.houseId}, by link`,
    address: caller.address,
  });
}

/** A photo that is pinned to what the guest sees. */
export async function guestPhoto(writing: Writing, guest: Guest, id: string): Promise<Buffer> {
  const view = await guestView(writing, guest);
  const bytes = Object.hasOwn((view.house as House).photos, id)
    ? await findPhoto(writing.db, guest.houseId, id)
    : undefined;
  if (!bytes) throw notFound('photo');
  return bytes;
}
