import { createServer, type AddressInfo, type Server } from 'node:net';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { openDatabase } from '../db/database';
import { sweep } from '../db/housekeeping';
import { migrateToLatest } from '../db/migrations';
import { loadDemo } from '../demo';
import { newDatabase, PASSWORD, Person, startApp, type Running } from '../test/harness';

const demoFile = new URL('../../../demo/studio-house.json', import.meta.url).pathname;

/** A mail server that says yes to everything, and keeps what it was given. */
function smtpServer(letters: string[]): Promise<{ server: Server; url: string }> {
  const server = createServer((socket) => {
    let [isData, text] = [false, ''];
    socket.write('220 test\r\n');
    socket.on('data', (chunk) => {
      text += chunk.toString();
      for (;;) {
        const end = isData ? text.indexOf('\r\n.\r\n') : text.indexOf('\r\n');
        if (end < 0) return;
        const said = text.slice(0, end);
        text = text.slice(end + (isData ? 5 : 2));
        if (isData) {
          letters.push(said);
          isData = false;
          socket.write('250 kept\r\n');
        } else if (/^DATA/i.test(said)) {
          isData = true;
          socket.write('354 go on\r\n');
        } else socket.write(/^QUIT/i.test(said) ? '221 bye\r\n' : '250 fine\r\n');
      }
    });
    socket.on('error', () => undefined);
  });
  return new Promise((resolve) =>
    server.listen(0, '127.0.0.1', () =>
      resolve({ server, url: `smtp://127.0.0.1:${(server.address() as AddressInfo).port}` }),
    ),
  );
}

describe('with a mail server', () => {
  const letters: string[] = [];
  let smtp: Awaited<ReturnType<typeof smtpServer>>;
  let app: Running;
  beforeAll(async () => {
    smtp = await smtpServer(letters);
    app = await startApp(undefined, {
      smtpUrl: smtp.url,
      linksTo: 'https://plans.example',
      mailFrom: 'plans@plans.example',
    });
  });
  afterAll(async () => {
    await app.stop();
    smtp.server.close();
  });

  it('an account opens by the link of a letter that is really sent, on this machine too', async () => {
    const ann = new Person(app.url);
    const asked = await ann.openAccount('Mail firm', 'ann@mail.example');
    expect([asked.status, (asked.body as { sendsMail: boolean }).sendsMail]).toEqual([202, true]);
    expect((await ann.signIn('ann@mail.example')).status).toBe(401);
    await vi.waitFor(() => expect(letters).toHaveLength(1));
    const letter = letters[0]!.replaceAll('=\r\n', '').replaceAll('=3D', '=');
    expect(letter).toMatch(/^From: plans@plans\.example/m);
    expect(letter).toMatch(/^To: ann@mail\.example/m);
    const token = /https:\/\/plans\.example\/verify\/([\w-]+)/.exec(letter)![1];
    expect((await ann.call('post', '/accounts/verify', { token })).status).toBe(201);
    expect((await new Person(app.url).signIn('ann@mail.example', PASSWORD)).status).toBe(200);
    // Nothing of it lies in the outbox.
    expect((await app.database.pool.query('select 1 from outbox')).rowCount).toBe(0);
  });

  it('an invitation hands nobody its link', async () => {
    const ann = new Person(app.url);
    await ann.signIn('ann@mail.example');
    const invited = await ann.call('post', '/invitations', { name: 'Ben', email: 'ben@mail.example', role: 'crew' });
    expect(invited.body).not.toHaveProperty('link');
    await vi.waitFor(() => expect(letters.some((one) => one.includes('To: ben@mail.example'))).toBe(true));
  });
});

describe('what is tidied up', () => {
  it('is what nobody will ask for again: counts, links, sessions, houses deleted over thirty days ago', async () => {
    const { db, pool } = openDatabase(await newDatabase());
    await migrateToLatest(db);
    const run = (text: string) => pool.query(text);
    await run(`insert into firms (id, name) values ('22222222-2222-4222-8222-222222222222', 'F')`);
    await run(`insert into rate_limits values ('old', 1, now() - interval '1 s'), ('new', 1, now() + interval '1 h')`);
    await run(
      `insert into session (sid, sess, expire) values ('old', '{}', now() - interval '1 s'), ('new', '{}', now() + interval '1 h')`,
    );
    for (const [hash, hours] of [
      ['old', -1],
      ['new', 1],
    ])
      await run(
        `insert into tokens (hash, kind, email, detail, expires_at) values ('${hash}', 'reset', 'a@b.example', '{}', now() + interval '${hours} h')`,
      );
    for (const [name, days] of [
      ['old', 31],
      ['new', 29],
    ])
      await run(
        `insert into houses (firm_id, name, deleted_at) select id, '${name}', now() - interval '${days} days' from firms`,
      );
    await sweep(db);
    for (const [table, column] of [
      ['rate_limits', 'key'],
      ['session', 'sid'],
      ['tokens', 'hash'],
      ['houses', 'name'],
    ])
      expect((await run(`select ${column} as one from ${table}`)).rows, table).toEqual([{ one: 'new' }]);
    await pool.end();
  });
});

describe('the demo firm', () => {
  it('is loaded once, by one of many that start at once, and never again nor elsewhere', async () => {
    const url = await newDatabase();
    const database = openDatabase(url);
    await migrateToLatest(database.db);
    expect(await loadDemo(database, 'postgres://somebody@db.example.com/winculum', [demoFile])).toBe(false);
    const loaded = await Promise.all(Array.from({ length: 4 }, () => loadDemo(database, url, [demoFile])));
    expect(loaded.filter(Boolean)).toHaveLength(1);
    const count = async () => (await database.pool.query('select 1 from users')).rowCount;
    expect(await count()).toBe(3);
    await database.pool.query('delete from users');
    expect(await loadDemo(database, url, [demoFile])).toBe(false);
    expect(await count()).toBe(0);
    await database.pool.end();
  });
});
