import { readFileSync } from 'node:fs';
import { readHouseFile } from '@winculum/core';
import { insertFirm, insertMember, isEmpty } from './db/accounts';
import type { Db } from './db/database';
import { insertHouse } from './db/houses';
import { hashPassword } from './use-cases/accounts';

/** Made-up people of a made-up firm, one for each role. */
export const DEMO = {
  firm: 'Demo crew',
  password: 'demo house 4310',
  people: [
    { email: 'owner@demo.example', name: 'Demo owner', role: 'owner' },
    { email: 'crew@demo.example', name: 'Demo crew member', role: 'crew' },
    { email: 'viewer@demo.example', name: 'Demo viewer', role: 'viewer' },
  ],
} as const;

/** Loads the demo firm and its house into an empty database. */
export async function loadDemo(db: Db, houseFile: string): Promise<boolean> {
  if (!(await isEmpty(db))) return false;
  const read = readHouseFile(readFileSync(houseFile, 'utf8'));
  if (!read.ok) throw new Error(`The demo house is damaged: ${read.problems[0]?.path} ${read.problems[0]?.message}`);
  const passwordHash = await hashPassword(DEMO.password);
  await db.transaction().execute(async (tx) => {
    const firmId = await insertFirm(tx, DEMO.firm);
    for (const { role, ...person } of DEMO.people) await insertMember(tx, firmId, { ...person, passwordHash }, role);
    await insertHouse(tx, firmId, read.value);
  });
  return true;
}
