import { readFileSync } from 'node:fs';
import { sql } from 'kysely';
import { readHouseFile } from '@winculum/core';
import { insertFirm, insertMember, isEmpty } from './db/accounts';
import type { Database } from './db/database';
import { insertHouse } from './db/houses';
import { hashPassword } from './use-cases/passwords';

/** Made-up people of a made-up firm, one for each role. */
const DEMO = {
  firm: 'Demo crew',
  password: 'demo house 4310',
  people: [
    { email: 'owner@demo.example', name: 'Demo owner', role: 'owner' },
    { email: 'crew@demo.example', name: 'Demo crew member', role: 'crew' },
    { email: 'viewer@demo.example', name: 'Demo viewer', role: 'viewer' },
  ],
} as const;

/** Whether the database is this machine's own: demo people with a known password belong nowhere else. */
const isLocal = (databaseUrl: string): boolean =>
  /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])$/.test(new URL(databaseUrl).hostname);

/**
 * Loads the demo firm and its house into a database that is new and on this machine: once, however often the database is
 * emptied later, and by one process, however many start at once.
 */
export async function loadDemo({ db }: Database, databaseUrl: string, houseFile: string): Promise<boolean> {
  if (!isLocal(databaseUrl)) return false;
  const read = readHouseFile(readFileSync(houseFile, 'utf8'));
  if (!read.ok) throw new Error(`The demo house is damaged: ${read.problems[0]?.path} ${read.problems[0]?.message}`);
  const passwordHash = await hashPassword(DEMO.password);
  return db.transaction().execute(async (tx) => {
    const installation = await tx
      .selectFrom('installation')
      .select('demo_loaded_at')
      .forUpdate()
      .executeTakeFirstOrThrow();
    if (installation.demo_loaded_at !== null || !(await isEmpty(tx))) return false;
    const firmId = await insertFirm(tx, DEMO.firm);
    for (const { role, ...person } of DEMO.people) await insertMember(tx, firmId, { ...person, passwordHash }, role);
    await insertHouse(tx, firmId, { name: read.value.name, text: JSON.stringify(read.value) });
    await tx
      .updateTable('installation')
      .set({ demo_loaded_at: sql`now()` })
      .execute();
    return true;
  });
}
