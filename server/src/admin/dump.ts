import { spawnSync } from 'node:child_process';
import { mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { openDatabase } from '../db/database';
import { holdAlone, beginAnew } from '../db/installation';
import { insertAudit } from '../db/audit';
import { migrateToLatest } from '../db/migrations';
import { isSealed, seal, unseal } from './sealed';

/** Something that whoever runs the server has to know; said as it is, without a trace. */
export class Stop extends Error {}

/** What is of this moment, and must not come back with a backup. */
const NOT_KEPT = ['session', 'rate_limits', 'outbox'];

/** A folder for one piece of work, gone after it; only its owner may look in. */
async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'winculum-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Runs a program of PostgreSQL on a database whose password stands in a file, not in the list of processes. */
function runOn(
  databaseUrl: string,
  folder: string,
  program: string,
  args: readonly string[],
): { isOk: boolean; said: string } {
  const { hostname, port, username, password, pathname } = new URL(databaseUrl);
  const escape = (text: string) => decodeURIComponent(text).replace(/[\\:]/g, '\\$&');
  const passfile = join(folder, 'pgpass');
  writeFileSync(passfile, `*:*:*:*:${escape(password)}\n`, { mode: 0o600 });
  const { PGPASSWORD: _, DATABASE_URL: __, ...env } = process.env;
  const connection = [
    `--host=${hostname}`,
    `--port=${port || '5432'}`,
    `--username=${decodeURIComponent(username)}`,
    '--no-password',
    `--dbname=${pathname.slice(1)}`,
  ];
  const done = spawnSync(join(process.env['PG_BIN'] ?? '', program), [...args, ...connection], {
    env: { ...env, PGPASSFILE: passfile },
    encoding: 'utf8',
  });
  return { isOk: done.status === 0, said: (done.stderr || done.error?.message || '').trim() };
}

/** Writes all data to a file that only its owner may read; sealed where a passphrase is given. */
export const backUp = (databaseUrl: string, file: string, passphrase: string | undefined): Promise<void> =>
  inFolder(async (folder) => {
    process.umask(0o077);
    // Written beside the goal and moved at the end: a backup that breaks off never looks like one.
    const part = `${file}.part`;
    const plain = passphrase ? join(folder, 'plain') : part;
    const { isOk, said } = runOn(databaseUrl, folder, 'pg_dump', [
      '--format=custom',
      '--no-owner',
      `--file=${plain}`,
      ...NOT_KEPT.map((table) => `--exclude-table-data=public.${table}`),
    ]);
    if (!isOk) {
      rmSync(part, { force: true });
      throw new Stop(`The backup failed: ${said}`);
    }
    if (passphrase) await seal(plain, part, passphrase);
    renameSync(part, file);
  });

async function opened(file: string, folder: string, passphrase: string | undefined): Promise<string> {
  if (!isSealed(file)) return file;
  if (!passphrase) throw new Stop(`${file} is sealed: put its passphrase into a file and say --passphrase FILE.`);
  const plain = join(folder, 'plain');
  await unseal(file, plain, passphrase).catch(() => {
    throw new Stop(
      `${file} cannot be opened: the passphrase is another one, or the file was changed. Nothing was changed.`,
    );
  });
  return plain;
}

/** Does something while no server is connected, and none can connect. @throws Stop while one is. */
export async function alone<T>(databaseUrl: string, work: () => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    if (!(await holdAlone(client)))
      throw new Stop(
        'A server is connected to this database. Stop every one (Ctrl-C), then do this again. Nothing was changed.',
      );
    return await work();
  } finally {
    await client.end();
  }
}

/** Every table of today, those too that the backup does not know: it may be of an older program. */
const DROP_ALL = `do $$ declare one record; begin
  for one in select tablename from pg_tables where schemaname = 'public' loop
    execute format('drop table public.%I cascade', one.tablename);
  end loop;
  drop function if exists public.session_ends;
end $$`;

/** A backup as the statements that put it back. @throws Stop where it is none. */
function statementsOf(file: string, plain: string, folder: string): string {
  const script = join(folder, 'statements.sql');
  const done = spawnSync(
    join(process.env['PG_BIN'] ?? '', 'pg_restore'),
    ['--clean', '--if-exists', '--no-owner', `--file=${script}`, plain],
    { encoding: 'utf8' },
  );
  if (done.status !== 0) throw new Stop(`${file} is no backup of Winculum. Nothing was changed.`);
  return script;
}

/**
 * Puts the data of a backup in place of what is there: all of it or nothing, while no server is connected. Sessions, counted
 * tries and letters do not come back; the database begins another life, which open windows notice; and it is written down.
 */
export const restore = (databaseUrl: string, file: string, passphrase: string | undefined): Promise<void> =>
  inFolder(async (folder) => {
    process.umask(0o077);
    const script = statementsOf(file, await opened(file, folder, passphrase), folder);
    await alone(databaseUrl, async () => {
      const { isOk, said } = runOn(databaseUrl, folder, 'psql', [
        '--no-psqlrc',
        '--quiet',
        '--single-transaction',
        '--set=ON_ERROR_STOP=1',
        '--output=/dev/null',
        `--command=set client_min_messages = warning; ${DROP_ALL}`,
        `--file=${script}`,
      ]);
      if (!isOk) throw new Stop(`The restore failed: ${said}\nNothing was changed.`);
      const { db, pool } = openDatabase(databaseUrl);
      try {
        await migrateToLatest(db);
        await beginAnew(db);
        const entry = { who: 'whoever runs the server', event: 'restored from a backup' };
        for (const { id } of await db.selectFrom('firms').select('id').execute())
          await insertAudit(db, { ...entry, firmId: id });
        await insertAudit(db, { ...entry, firmId: null, detail: file });
      } finally {
        await pool.end();
      }
    });
  });
