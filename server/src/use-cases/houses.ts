import type { z } from 'zod';
import type { AppliedBatch, DeletedHouse, HouseSummary, newHouseSchema, SignedIn } from '@winculum/contract';
import { createHouse } from '@winculum/core';
import type { HouseChecker } from '../checking/house-checker';
import { insertAudit } from '../db/audit';
import type { Db } from '../db/database';
import {
  archiveHouse,
  deleteHouse,
  findHead,
  insertHouse,
  listBatches,
  listDeletedHouses,
  listHouses,
  undeleteHouse,
} from '../db/houses';
import type { Caller } from './accounts';
import { forbidden, notFound, Refusal } from './errors';
import { firmStandards, mustHaveRoom } from './firm';
import type { OpenHouse, OpenHouses } from './open-houses';

export const houses = (db: Db, member: SignedIn): Promise<HouseSummary[]> => listHouses(db, member.firm.id);

function mustDraw(member: SignedIn): void {
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: you can look, not add houses.');
}

export async function addHouse(db: Db, member: SignedIn, input: z.infer<typeof newHouseSchema>): Promise<HouseSummary> {
  mustDraw(member);
  await mustHaveRoom(db, member);
  const { standards } = await firmStandards(db, member);
  return insertHouse(db, member.firm.id, {
    name: input.name,
    text: JSON.stringify(createHouse(input.name, input.edition, standards ?? undefined, input.job)),
  });
}

/** Adds a house from the text of a house file, which is read and checked apart from the thread that serves people. */
export async function importHouse(
  db: Db,
  checker: HouseChecker,
  member: SignedIn,
  text: string,
): Promise<HouseSummary> {
  mustDraw(member);
  await mustHaveRoom(db, member);
  const checked = await checker.check(text);
  if (!checked.ok) {
    const [first] = checked.problems;
    if (first?.code === 'busy') throw new Refusal(503, 'busy', first.message, {}, 5);
    throw new Refusal(422, 'house-file', first?.message ?? 'The file cannot be read.', { problems: checked.problems });
  }
  return insertHouse(db, member.firm.id, checked);
}

/** A house as it is now, with its head. */
export async function loadHouse(
  db: Db,
  open: OpenHouses,
  member: SignedIn,
  id: string,
): Promise<{ head: NonNullable<Awaited<ReturnType<typeof findHead>>>; state: OpenHouse }> {
  const head = await findHead(db, member.firm.id, id);
  if (!head) throw notFound('house');
  const kept = open.peek(id);
  const state = kept && kept.version >= head.version ? kept : await open.catchUp(db, id);
  if (!state) throw notFound('house');
  return { head, state };
}

export async function history(db: Db, member: SignedIn, id: string, after: number): Promise<AppliedBatch[]> {
  const head = await findHead(db, member.firm.id, id);
  if (!head) throw notFound('house');
  if (after < head.oldest && after !== 0)
    throw new Refusal(410, 'history-gone', `Changes are kept from version ${head.oldest} on. Ask for those after it.`);
  return listBatches(db, id, after);
}

/** Puts a house away; it can be had back for thirty days. */
export async function removeHouse(db: Db, member: SignedIn, id: string, caller: Caller): Promise<void> {
  if (member.role !== 'owner') throw forbidden('Only an owner of the firm can delete a house.');
  const name = await deleteHouse(db, member.firm.id, id, member.user.id);
  if (name === undefined) throw notFound('house');
  await audit(db, member, 'house deleted', name, caller);
}

/** Puts a house aside, or takes it out again: it is the same house all the while. */
export async function setArchived(db: Db, member: SignedIn, id: string, archived: boolean): Promise<void> {
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: you can look, not put houses aside.');
  if (!(await archiveHouse(db, member.firm.id, id, archived))) throw notFound('house');
}

export function deletedHouses(db: Db, member: SignedIn): Promise<DeletedHouse[]> {
  if (member.role !== 'owner') throw forbidden('Only an owner of the firm sees deleted houses.');
  return listDeletedHouses(db, member.firm.id);
}

export async function bringBack(db: Db, member: SignedIn, id: string, caller: Caller): Promise<void> {
  if (member.role !== 'owner') throw forbidden('Only an owner of the firm can bring a house back.');
  const name = await undeleteHouse(db, member.firm.id, id);
  if (name === undefined) throw notFound('deleted house');
  await audit(db, member, 'house brought back', name, caller);
}

const audit = (db: Db, member: SignedIn, event: string, detail: string, caller: Caller) =>
  insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event,
    detail,
    address: caller.address,
  });
