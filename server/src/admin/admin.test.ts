import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Migrator } from 'kysely';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { demo } from '../../../core/src/test/demo-house';
import { openDatabase } from '../db/database';
import { migrations } from '../db/migrations';
import { answerOf, newDatabase, Person, startApp, type Running } from '../test/harness';

const root = new URL('../../..', import.meta.url).pathname;
const [first] = Object.values(demo.boxes)
  .filter((box) => box.at.kind === 'wall' && box.at.alongIn > 10)
  .map((box) => box.id);

const folder = mkdtempSync(join(tmpdir(), 'winculum-admin-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** ./start as whoever runs the server calls it; answers what it said and how it ended. */
function start(databaseUrl: string, ...args: string[]): { status: number | null; said: string } {
  const done = spawnSync('./start', args, {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: databaseUrl, SKIP_BUILD: '1' },
  });
  return { status: done.status, said: done.stdout + done.stderr };
}

const urlOf = (running: Running): string => running.database.pool.options.connectionString!;
const person = async (running: Running): Promise<Person> => {
  const one = new Person(running.url);
  await one.openAccount('Admin firm', `${randomUUID()}@admin.example`);
  return one;
};
const query = async (running: Running, text: string): Promise<Record<string, unknown>[]> =>
  (await running.database.pool.query<Record<string, unknown>>(text)).rows;

describe('backup and restore', () => {
  let source: Running;
  let anna: Person;
  let id: string;
  const file = join(folder, 'all.dump');
  beforeAll(async () => {
    source = await startApp();
    anna = await person(source);
    id = await anna.addHouse(demo);
    await anna.addHouse({ ...demo, name: 'A second house' });
    await anna.move(id, demo, first!, 33, 0);
    expect(start(urlOf(source), '--backup', file)).toMatchObject({ status: 0 });
  });
  afterAll(() => source.stop());

  it('writes a file for its owner alone, without sessions, and no password into the list of processes', async () => {
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(readFileSync(file).toString('latin1')).not.toContain(anna.csrf);
    // A program in place of PostgreSQL's own that tells how it was called.
    const bin = mkdtempSync(join(folder, 'bin-'));
    writeFileSync(
      join(bin, 'pg_dump'),
      `#!/bin/sh\necho "$@" >"${bin}/args"\ncat "$PGPASSFILE" >"${bin}/passfile"\nexit 1\n`,
      { mode: 0o755 },
    );
    const done = spawnSync('node', ['server/dist/admin.js', 'backup', join(bin, 'x')], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: urlOf(source), PG_BIN: bin },
    });
    expect(done.status).toBe(1);
    const { password } = new URL(urlOf(source));
    expect(readFileSync(join(bin, 'args'), 'utf8')).not.toContain(password);
    expect(readFileSync(join(bin, 'passfile'), 'utf8')).toContain(password);
  });

  it('puts every house back into an empty database, where everybody signs in again and it is written down', async () => {
    const to = await newDatabase();
    expect(start(to, '--restore', file, '--yes')).toMatchObject({ status: 0 });
    const target = await startApp(to);
    const houses = `select h.id, h.name, h.version, (select json_agg(s.house::text order by s.version) from snapshots s where s.house_id = h.id) as snapshots,
      (select json_agg(e order by e.version)::text from edits e where e.house_id = h.id) as edits from houses h order by h.id`;
    expect(await query(target, houses)).toEqual(await query(source, houses));
    const before = await fetch(`${target.url}/api/houses`, { headers: { cookie: anna.cookie } });
    expect(before.status).toBe(401);
    expect(await query(target, 'select count(*)::int as n from session')).toEqual([{ n: 0 }]);
    expect(await query(target, `select count(*)::int as n from audit where event = 'restored from a backup'`)).toEqual([
      { n: 2 },
    ]);
    const [there, here] = [
      await query(target, 'select epoch from installation'),
      await query(source, 'select epoch from installation'),
    ];
    expect(there).not.toEqual(here);
    await target.stop();
  });

  it('is refused while a server is connected, loses nothing, and refuses what is no backup', async () => {
    const refused = start(urlOf(source), '--restore', file, '--yes');
    expect(refused.status).toBe(1);
    expect(refused.said).toMatch(/A server is connected.*Nothing was changed/s);
    expect(answerOf(await anna.move(id, demo, first!, 34, 1)).version).toBe(2);
    expect(start(await newDatabase(), '--restore', join(root, 'README.md'), '--yes').said).toMatch(
      /no backup of Winculum/,
    );
  });

  it('seals a backup on request; another passphrase or a changed byte opens nothing', async () => {
    const [sealed, secret, other] = ['sealed', 'secret', 'other'].map((name) => join(folder, name)) as [
      string,
      string,
      string,
    ];
    writeFileSync(secret, 'seven boxes on a stud\n');
    writeFileSync(other, 'eight boxes on a stud\n');
    expect(start(urlOf(source), '--backup', sealed, '--passphrase', secret)).toMatchObject({ status: 0 });
    expect(readFileSync(sealed).toString('latin1')).not.toContain('PGDMP');
    const to = await newDatabase();
    expect(start(to, '--restore', sealed, '--yes').said).toMatch(/is sealed/);
    expect(start(to, '--restore', sealed, '--yes', '--passphrase', other).said).toMatch(/passphrase is another one/);
    const bytes = readFileSync(sealed);
    bytes[bytes.length - 400]! ^= 1;
    writeFileSync(`${sealed}.changed`, bytes);
    expect(start(to, '--restore', `${sealed}.changed`, '--yes', '--passphrase', secret).said).toMatch(
      /file was changed/,
    );
    expect(start(to, '--restore', sealed, '--yes', '--passphrase', secret)).toMatchObject({ status: 0 });
  });

  it('after stop, restore and start a window that stayed open is told, and its edits wait for a choice', async () => {
    const url = await newDatabase();
    expect(start(url, '--restore', file, '--yes')).toMatchObject({ status: 0 });
    const running = await startApp(url);
    const [row] = await query(running, 'select email from users limit 1');
    const ben = new Person(running.url);
    expect((await ben.signIn(String(row!['email']))).status).toBe(200);
    const edits = [{ label: 'x', patches: [{ op: 'replace', path: ['name'], value: 'Kept on the device' }] }];
    const send = (epoch: string) =>
      ben.call('post', `/houses/${id}/edits`, { id: randomUUID(), base: 1, epoch, edits });
    const stale = await send(randomUUID());
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({ code: 'restored' });
    const { epoch } = (await ben.call('get', `/houses/${id}`)).body as { epoch: string };
    expect((await send(epoch)).status).toBe(200);
    await running.stop();
  });
});

describe('a database that begins another life under a running server', () => {
  it('as a failover to a restored copy may do it: the server notices, forgets what it knew, and loses no edit', async () => {
    const running = await startApp();
    const anna = await person(running);
    const id = await anna.addHouse(demo);
    const { epoch } = (await anna.call('get', `/houses/${id}`)).body as { epoch: string };
    expect((await anna.move(id, demo, first!, 11, 0)).status).toBe(200);
    await query(running, 'update installation set epoch = gen_random_uuid()');
    expect((await anna.move(id, demo, first!, 12, 1)).status).toBe(503);
    const edits = [{ label: 'x', patches: [{ op: 'replace', path: ['name'], value: 'After' }] }];
    await vi.waitFor(async () => {
      const answer = await anna.call('post', `/houses/${id}/edits`, { id: randomUUID(), base: 1, epoch, edits });
      expect(answer.body).toMatchObject({ code: 'restored' });
    });
    expect((await anna.move(id, demo, first!, 12, 1)).status).toBe(200);
    await running.stop();
  });
});

describe('a backup of the program before', () => {
  it('is restored and brought up to date: its house, its edit and its signature are there', async () => {
    const [from, to] = [await newDatabase(), await newDatabase()];
    const old = openDatabase(from);
    const before = Object.fromEntries(Object.entries(migrations).filter(([name]) => name < '005'));
    await new Migrator({ db: old.db, provider: { getMigrations: async () => before } }).migrateToLatest();
    const text = JSON.stringify(demo);
    const patches = [
      { op: 'add', path: ['log', 'l1'], value: { id: 'l1', date: '2026-11-01', who: ' Ann ', text: 'old' } },
    ];
    await old.pool.query(
      `insert into users (id, email, name, password_hash) values ('11111111-1111-4111-8111-111111111111', 'old@firm.example', 'Old', 'x')`,
    );
    await old.pool.query(`insert into firms (id, name) values ('22222222-2222-4222-8222-222222222222', 'Old firm')`);
    await old.pool.query(`insert into members select f.id, u.id, 'owner' from firms f, users u`);
    await old.pool.query(
      `insert into houses (id, firm_id, name, version, snapshot, snapshot_version)
      select '33333333-3333-4333-8333-333333333333', id, 'Old house', 1, $1::json, 0 from firms`,
      [text],
    );
    await old.pool.query(
      `insert into edits (house_id, version, batch_id, author_id, edits)
      select h.id, 1, gen_random_uuid(), u.id, $1::json from houses h, users u`,
      [JSON.stringify([{ label: 'Old', patches }])],
    );
    await old.pool.query(`insert into revisions select id, 1, 0, 'n', null, now(), snapshot from houses`);
    await old.pool.query(
      `insert into signatures (house_id, number, role, name, strokes) select id, 1, 'owner', 'Ann', '[]' from houses`,
    );
    const file = join(folder, 'old.dump');
    expect(start(from, '--backup', file)).toMatchObject({ status: 0 });
    await old.pool.end();
    const first = await startApp(to);
    await first.stop();
    expect(start(to, '--restore', file, '--yes')).toMatchObject({ status: 0 });
    const running = await startApp(to);
    const anna = await person(running);
    // The old firm's house, seen through a member of it.
    await query(running, `update members set firm_id = '22222222-2222-4222-8222-222222222222'`);
    const answer = (await anna.call('get', '/houses/33333333-3333-4333-8333-333333333333')).body as {
      version: number;
      house: typeof demo;
    };
    // A batch of before defaults were written is replayed as it is written today.
    expect([answer.version, answer.house.log['l1']?.who]).toEqual([1, 'Ann']);
    const [revision] = (await anna.call('get', '/houses/33333333-3333-4333-8333-333333333333/revisions')).body as {
      signatures: unknown[];
    }[];
    expect(revision!.signatures).toMatchObject([{ name: 'Ann', isIntact: true }]);
    await running.stop();
  });
});

describe('repair', () => {
  it('mends a house from its newest sound snapshot, sets aside what does not apply, and says so', async () => {
    const running = await startApp();
    const anna = await person(running);
    const [bad, good] = [await anna.addHouse(demo), await anna.addHouse({ ...demo, name: 'Sound' })];
    for (let n = 0; n < 53; n++) await anna.move(bad, demo, first!, 11 + n, n);
    await vi.waitFor(async () =>
      expect(await query(running, `select 1 from snapshots where house_id = '${bad}'`)).toHaveLength(2),
    );
    await query(
      running,
      `update snapshots set house = '{"format":"winculum-house"}' where house_id = '${bad}' and version = 50`,
    );
    await query(
      running,
      `update edits set edits = '[{"label":"x","patches":[{"op":"replace","path":["boxes","gone","tag"],"value":1}]}]' where house_id = '${bad}' and version = 20`,
    );
    await running.stop();
    const url = urlOf(running);
    const damaged = await startApp(url);
    anna.url = damaged.url;
    const answer = await anna.call('get', `/houses/${bad}`);
    expect(answer.body).toMatchObject({ status: 500, code: 'damaged' });
    expect((await anna.call('get', `/houses/${good}`)).status).toBe(200);
    expect(start(url, '--repair').said).toMatch(/A server is connected/);
    await damaged.stop();
    const { said, status } = start(url, '--repair');
    expect(status).toBe(0);
    expect(said).toMatch(/left out snapshot of version 50/);
    expect(said).toMatch(/left out batch of version 20: .*no longer there/);
    expect(said).toMatch(/2 houses looked at, 1 mended, 2 things left out/);
    const mended = await startApp(url);
    anna.url = mended.url;
    const { version, house } = (await anna.call('get', `/houses/${bad}`)).body as {
      version: number;
      house: typeof demo;
    };
    expect([version, (house.boxes[first!]!.at as { alongIn: number }).alongIn]).toEqual([54, 63]);
    expect(await query(mended, 'select version from set_aside')).toEqual([{ version: 20 }]);
    // Whoever knew another state of it is told that the steps between are gone.
    expect((await anna.move(bad, demo, first!, 12, 53)).body).toMatchObject({ code: 'history-gone' });
    await mended.stop();
    expect(start(url, '--repair').said).toMatch(/2 houses looked at, 0 mended, 0 things left out/);
  });
});
