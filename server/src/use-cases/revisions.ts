import type { z } from 'zod';
import type { newRevisionSchema, newSignatureSchema, Revision, RevisionState, SignedIn } from '@winculum/contract';
import { readHouse } from '@winculum/core';
import { insertAudit } from '../db/audit';
import type { Db } from '../db/database';
import { findHead } from '../db/houses';
import { countRevisions, findRevisedHouse, insertRevision, insertSignature, listRevisions } from '../db/revisions';
import type { Caller } from './accounts';
import { forbidden, notFound, Refusal } from './errors';
import type { OpenHouses } from './open-houses';

const MOST_REVISIONS = 200;
const MOST_SIGNATURES = 40;

const mustSee = async (db: Db, member: SignedIn, houseId: string): Promise<void> => {
  if (!(await findHead(db, member.firm.id, houseId))) throw notFound('house');
};

export async function revisions(db: Db, member: SignedIn, houseId: string): Promise<Revision[]> {
  await mustSee(db, member, houseId);
  return listRevisions(db, houseId);
}

const pick = async (db: Db, houseId: string, number: number): Promise<Revision> => {
  const found = (await listRevisions(db, houseId)).find((one) => one.number === number);
  if (!found) throw notFound('revision');
  return found;
};

/** Freezes the house as it stands into a numbered revision to be signed. */
export async function makeRevision(
  db: Db,
  open: OpenHouses,
  member: SignedIn,
  houseId: string,
  input: z.infer<typeof newRevisionSchema>,
): Promise<Revision> {
  await mustSee(db, member, houseId);
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: you can look, not make a revision.');
  const state = await open.catchUp(db, houseId);
  if (!state) throw notFound('house');
  if (state.version !== input.version)
    throw new Refusal(409, 'moved', 'The house has changed meanwhile. Look at it again, then make the revision.');
  if ((await countRevisions(db, houseId)) >= MOST_REVISIONS)
    throw new Refusal(409, 'too-many', `A house has at most ${MOST_REVISIONS} revisions, and each is kept for ever.`);
  const number = await insertRevision(db, {
    houseId,
    version: state.version,
    note: input.note,
    authorId: member.user.id,
    house: state.house,
  });
  return pick(db, houseId, number);
}

/** A revision with the house as it was, for reading. */
export async function reopenRevision(
  db: Db,
  member: SignedIn,
  houseId: string,
  number: number,
): Promise<RevisionState> {
  await mustSee(db, member, houseId);
  // What was signed keeps its bytes; it is read in the words of today.
  const stored = await findRevisedHouse(db, houseId, number);
  const read = readHouse(stored);
  return { ...(await pick(db, houseId, number)), house: read.ok ? read.value : stored };
}

/** Adds a drawn signature. A revision that has been followed by another is closed. */
export async function sign(
  db: Db,
  member: SignedIn,
  houseId: string,
  number: number,
  input: z.infer<typeof newSignatureSchema>,
  caller: Caller,
): Promise<Revision> {
  await mustSee(db, member, houseId);
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: an owner or the crew records signatures.');
  const all = await listRevisions(db, houseId);
  const revision = all.find((one) => one.number === number);
  if (!revision) throw notFound('revision');
  if (all[0]!.number !== number)
    throw new Refusal(409, 'superseded', `Revision ${number} has been followed by another. Sign the newest.`);
  if (revision.signatures.some((one) => one.role === input.role && one.name === input.name))
    throw new Refusal(409, 'signed', `${input.name} has signed this revision as ${input.role} already.`);
  if (revision.signatures.length >= MOST_SIGNATURES)
    throw new Refusal(409, 'too-many', `A revision has at most ${MOST_SIGNATURES} signatures.`);
  await insertSignature(db, { houseId, number, authorId: member.user.id }, input);
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'signed off',
    detail: `revision ${number} of ${houseId} by ${input.name}, ${input.role}`,
    address: caller.address,
  });
  return pick(db, houseId, number);
}
