import type { z } from 'zod';
import type { AppliedBatch, HouseState, HouseSummary, newHouseSchema, SignedIn } from '@winculum/contract';
import { createHouse, readHouseFile } from '@winculum/core';
import type { Db } from '../db/database';
import { deleteHouse, findHead, insertHouse, listBatches, listHouses } from '../db/houses';
import { forbidden, notFound, Refusal } from './errors';
import type { OpenHouses } from './open-houses';

export const houses = (db: Db, member: SignedIn): Promise<HouseSummary[]> => listHouses(db, member.firm.id);

export async function addHouse(db: Db, member: SignedIn, input: z.infer<typeof newHouseSchema>): Promise<HouseSummary> {
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: you can look, not add houses.');
  if (!('file' in input)) return insertHouse(db, member.firm.id, createHouse(input.name, input.edition));
  const read = readHouseFile(input.file);
  if (!read.ok)
    throw new Refusal(422, 'house-file', read.problems[0]!.message, { problems: read.problems.slice(0, 20) });
  return insertHouse(db, member.firm.id, read.value);
}

export async function loadHouse(db: Db, open: OpenHouses, member: SignedIn, id: string): Promise<HouseState> {
  const head = await findHead(db, member.firm.id, id);
  const state = head && (await open.catchUp(db, id));
  if (!head || !state) throw notFound('house');
  return {
    id,
    name: state.house.name,
    version: state.version,
    updatedAt: head.updated_at.toISOString(),
    house: state.house,
  };
}

export async function history(db: Db, member: SignedIn, id: string, after: number): Promise<AppliedBatch[]> {
  if (!(await findHead(db, member.firm.id, id))) throw notFound('house');
  return listBatches(db, id, after);
}

export async function removeHouse(db: Db, open: OpenHouses, member: SignedIn, id: string): Promise<void> {
  if (member.role !== 'owner') throw forbidden('Only an owner of the firm can delete a house.');
  if (!(await deleteHouse(db, member.firm.id, id))) throw notFound('house');
  open.drop(id);
}
