import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
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

/** The sample houses of a folder, by name; none where no folder is named. */
export const samplesIn = (folder: string | undefined): string[] =>
  folder
    ? readdirSync(folder)
        .toSorted()
        .map((name) => join(folder, name))
    : [];

/** Whether the database is this machine's own: demo people with a known password belong nowhere else. */
const isLocal = (databaseUrl: string): boolean =>
  /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])$/.test(new URL(databaseUrl).hostname);

/**
 * Loads the demo firm and its houses into a database that is new and on this machine: once, however often the database is
 * emptied later, and by one process, however many start at once.
 */
export async function loadDemo({ db }: Database, databaseUrl: string, files: readonly string[]): Promise<boolean> {
  if (!isLocal(databaseUrl)) return false;
  const houses = files.map((file) => {
    const read = readHouseFile(readFileSync(file, 'utf8'));
    if (!read.ok) throw new Error(`${file} is damaged: ${read.problems[0]?.path} ${read.problems[0]?.message}`);
    return read.value;
  });
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
    for (const house of houses) await insertHouse(tx, firmId, { name: house.name, text: JSON.stringify(house) });
    await tx
      .updateTable('installation')
      .set({ demo_loaded_at: sql`now()` })
      .execute();
    return true;
  });
}
