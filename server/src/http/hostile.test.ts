import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request as ask, type IncomingMessage } from 'node:http';
import { createServer, request as askSecurely } from 'node:https';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { BODY_LIMITS } from '@winculum/contract';
import { createHouse, edit, joinEdits, type Edit, type House } from '@winculum/core';
import { demo } from '../../../core/src/test/demo-house';
import { must } from '../../../core/src/test/must';
import { PASSWORD, Person, startApp, type Running } from '../test/harness';

let app: Running;
let anna: Person;
beforeAll(async () => {
  app = await startApp();
  anna = new Person(app.url);
  await anna.openAccount('Hostile firm', 'anna@hostile.example');
});
afterAll(() => app.stop());

interface Answer {
  readonly status: number;
  readonly body: { code?: string; title?: string };
}

/** A request by hand, with any bytes and headers. */
function raw(
  method: string,
  path: string,
  body: Buffer | string | undefined,
  headers: Record<string, string> = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const { hostname, port } = new URL(app.url);
    const call = ask(
      { hostname, port, method, path, headers: { 'content-type': 'application/json', ...headers } },
      (answer) => {
        let text = '';
        answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
        answer.on('end', () => {
          let parsed = {};
          try {
            parsed = JSON.parse(text) as object;
          } catch {
            // A page or nothing.
          }
          resolve({ status: answer.statusCode!, body: parsed });
        });
      },
    );
    call.on('error', reject);
    call.end(body);
  });
}
const asAnna = () => ({ cookie: anna.cookie, 'x-csrf-token': anna.csrf });
const faults = () => app.logged.filter((line) => line.includes('"fault"'));

describe('bodies', () => {
  it.each(['br', 'gzip', 'deflate', 'zstd', 'br, gzip'])('compressed by %s are refused unread', async (encoding) => {
    const large = Buffer.from(' '.repeat(50_000_000));
    const packed = encoding === 'br' ? brotliCompressSync(large) : gzipSync(large);
    const started = performance.now();
    const answer = await raw('POST', '/api/session', packed, { 'content-encoding': encoding });
    expect(answer.status).toBe(415);
    expect(performance.now() - started).toBeLessThan(500);
  });

  it.each<[string, string, number, boolean, number]>([
    ['/api/session', 'nobody', 16_000, false, 400],
    ['/api/session', 'nobody', 17_000, false, 413],
    ['/api/houses/file', 'nobody', 17_000, false, 413],
    ['/api/houses/11111111-1111-4111-8111-111111111111/edits', 'nobody', 17_000, false, 413],
    ['/api/invitations', 'a member', 17_000, true, 413],
    ['/api/houses/11111111-1111-4111-8111-111111111111/edits', 'a member', 900_000, true, 400],
    ['/api/houses/11111111-1111-4111-8111-111111111111/edits', 'a member', 1_100_000, true, 413],
    ['/api/houses/file', 'a member', 11_900_000, true, 422],
    ['/api/houses/file', 'a member', 12_100_000, true, 413],
  ])('to %s by %s of %i bytes: %s', async (path, _, size, isMember, status) => {
    const body = `{"x":"${'x'.repeat(size - 8)}"}`;
    expect((await raw('POST', path, body, isMember ? asAnna() : {})).status).toBe(status);
  });

  it('that do not say how long they are, are let go at the limit', async () => {
    const { hostname, port } = new URL(app.url);
    const status = await new Promise<number>((resolve) => {
      const headers = { 'content-type': 'application/json', 'transfer-encoding': 'chunked' };
      const call = ask({ hostname, port, method: 'POST', path: '/api/session', headers }, (answer) =>
        resolve(answer.statusCode!),
      );
      call.on('error', () => resolve(413));
      for (let n = 0; n < 40; n++) call.write(' '.repeat(1_000));
      call.end();
    });
    expect(status).toBe(413);
  });

  it.each<[string, string | Buffer, Record<string, string>, number]>([
    ['nested a hundred deep', '['.repeat(100) + ']'.repeat(100), {}, 400],
    ['nested and cut off', '['.repeat(15_000), {}, 400],
    ['a NUL in a text', '{"email":"a\\u0000@b.example","password":"x"}', {}, 400],
    ['a raw NUL', Buffer.from([0x7b, 0, 0x7d]), {}, 400],
    ['no JSON', '{{{', {}, 400],
    ['another charset', '{}', { 'content-type': 'application/json; charset=latin1' }, 415],
    ['a malformed origin', '{}', { origin: ':::' }, 403],
    ['an origin of nowhere', '{}', { origin: 'null' }, 403],
    ['a list for a record', '[]', {}, 400],
    ['a number for a record', '1', {}, 400],
  ])("%s: told as the sender's mistake", async (_, body, headers, status) => {
    expect((await raw('POST', '/api/session', body, headers)).status).toBe(status);
  });

  it('may hold what the proposal for ten times the demo house is', () => {
    let house: House = createHouse('Ten times', '2023');
    const edits: Edit[] = [];
    const done = must(
      edit(house, 'Draw', (draft) => {
        for (let n = 0; n < 10; n++) {
          for (const level of Object.values(demo.levels)) draft.levels[level.id] = level;
          for (const room of Object.values(demo.rooms)) {
            const corners = room.corners.map((corner) => ({ ...corner, x: corner.x + n * 1000 }));
            draft.rooms[`${room.id}-${n}`] = { ...room, id: `${room.id}-${n}`, corners };
          }
        }
      }),
    );
    house = done.house;
    const proposed = must(
      edit(house, 'Lay out boxes', (draft) => {
        for (let n = 0; n < 10; n++)
          for (const [i, box] of Object.values(demo.boxes).entries()) {
            if (box.at.kind === 'feature') continue;
            const devices = Object.fromEntries(
              Object.values(box.devices).map((device) => [
                `${device.id}-${n}`,
                { ...device, id: `${device.id}-${n}`, circuit: null },
              ]),
            );
            draft.boxes[`${box.id}-${n}`] = {
              ...box,
              id: `${box.id}-${n}`,
              room: `${box.room}-${n}`,
              tag: `Q${n}-${i}`,
              devices,
            };
          }
      }),
    );
    edits.push(proposed.edit);
    const batch = { id: 'x', base: 0, edits: [{ label: 'x', patches: joinEdits('x', edits).patches }] };
    const bytes = Buffer.byteLength(JSON.stringify(batch));
    expect(bytes).toBeGreaterThan(300_000);
    expect(bytes).toBeLessThan(BODY_LIMITS.edits);
  });
});

describe('requests that are a mistake of the sender', () => {
  it.each([
    ['GET', '/api/houses/%E0%A4%A'],
    ['GET', '/api/houses/11111111-1111-4111-8111-111111111111/edits?after=99999999999999999999'],
    ['GET', '/api/houses/11111111-1111-4111-8111-111111111111/edits?after=-1'],
    ['GET', '/api/houses/11111111-1111-4111-8111-111111111111/edits?after[]=1'],
    ['GET', '/api/houses/11111111-1111-4111-8111-111111111111/events?after=1e300'],
    ['GET', '/api/houses/11111111-1111-4111-8111-111111111111/revisions/1e9'],
    ['GET', '/api/firm/audit?before=%00'],
    ['GET', '/api/accounts/invitation?token=%00'],
    ['GET', '/assets/%ff'],
    ['GET', '/assets/%00'],
    ['GET', '/../../etc/passwd'],
    ['DELETE', '/api/invitations/%00'],
  ])('%s %s is no fault', async (method, path) => {
    const before = faults().length;
    const { status } = await raw(method, path, undefined, asAnna());
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
    expect(faults().length).toBe(before);
  });

  it("from a host by another name are refused, and from this machine's own are not", async () => {
    for (const host of ['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example'])
      expect((await raw('GET', '/api/session', undefined, { host })).status, host).toBeGreaterThanOrEqual(400);
    for (const host of ['localhost', 'localhost:4310', '127.0.0.1:1', '[::1]:4310'])
      expect((await raw('GET', '/api/session', undefined, { host })).status, host).toBe(200);
  });

  it('get an answer that no cache keeps and a page that may use nothing', async () => {
    const { headers } = await anna.call('get', '/session');
    expect(headers['cache-control']).toBe('no-store');
    expect(headers['permissions-policy']).toMatch(/camera=\(\), .*geolocation=\(\)/);
  });

  it('are logged as a warning where they were denied, with who asked', async () => {
    await raw('GET', '/api/houses', undefined);
    await anna.call('get', '/houses');
    const lines = app.logged.map(
      (line) => JSON.parse(line) as { level: number; user?: string; res?: { status: number } },
    );
    expect(lines.find((line) => line.res?.status === 401)!.level).toBe(40);
    expect(lines.find((line) => line.res?.status === 200 && line.user)!.level).toBe(30);
  });
});

describe('a sender who dawdles', () => {
  it('over headers or a body is let go', async () => {
    const slow = await startApp(undefined, {}, { headersMs: 400, requestMs: 800 });
    const { hostname, port } = new URL(slow.url);
    const dawdle = (text: string) =>
      new Promise<number>((resolve) => {
        const started = performance.now();
        const socket = connect(Number(port), hostname).on('error', () => undefined);
        socket.write(text);
        socket.on('data', () => undefined);
        socket.on('close', () => resolve(performance.now() - started));
      });
    const head = `POST /api/session HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-type: application/json\r\n`;
    for (const text of [head, `${head}content-length: 100\r\n\r\n{`]) expect(await dawdle(text)).toBeLessThan(4_000);
    await slow.stop();
  });
});

describe('streams', () => {
  /** Opens a stream; answers how to wait for its end. */
  function open(
    person: Person,
    id: string,
  ): Promise<{ status: number; ended: Promise<void>; close: () => void; heard: () => string }> {
    return new Promise((resolve, reject) => {
      const { hostname, port } = new URL(person.url);
      const call = ask(
        { hostname, port, path: `/api/houses/${id}/events`, headers: { cookie: person.cookie }, agent: false },
        (answer: IncomingMessage) => {
          let text = '';
          answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
          const ended = new Promise<void>((end) => answer.on('close', end));
          resolve({ status: answer.statusCode!, ended, close: () => call.destroy(), heard: () => text });
        },
      );
      call.on('error', reject);
      call.end();
    });
  }
  const within = (ended: Promise<void>) =>
    Promise.race([ended.then(() => 'ended'), new Promise((resolve) => setTimeout(() => resolve('still open'), 3_000))]);

  it('that drop at once do not stay listening: an edit asks the database no more than before', async () => {
    const id = await anna.addHouse(demo);
    const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall' && one.at.alongIn > 30)!.id;
    let base = 0;
    /** How often five edits ask the database. */
    const askings = async () => {
      let count = 0;
      const one = () => void count++;
      app.database.pool.on('acquire', one);
      for (let n = 0; n < 5; n++, base++) expect((await anna.move(id, demo, box, 20 + base, base)).status).toBe(200);
      await new Promise((resolve) => setTimeout(resolve, 200));
      app.database.pool.off('acquire', one);
      return count;
    };
    await askings();
    const before = await askings();
    expect(before).toBeGreaterThanOrEqual(5);
    await Promise.all(
      Array.from({ length: 60 }, async (_, n) => {
        const stop = new AbortController();
        const call = fetch(`${app.url}/api/houses/${id}/events`, {
          headers: { cookie: anna.cookie },
          signal: stop.signal,
        });
        setTimeout(() => stop.abort(), n % 9);
        await call.catch(() => undefined);
      }),
    );
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(await askings()).toBe(before);
    // All twenty places of this person are free.
    const opened = await Promise.all(Array.from({ length: 20 }, () => open(anna, id)));
    expect(opened.map((one) => one.status)).toEqual(Array(20).fill(200));
    expect((await open(anna, id)).status).toBe(429);
    opened.forEach((one) => one.close());
  });

  it('that do not read are let go, and begin again where they stood', async () => {
    const id = await anna.addHouse(demo);
    const { hostname, port } = new URL(app.url);
    const socket = connect(Number(port), hostname);
    const closed = new Promise<string>((resolve) => socket.on('close', () => resolve('let go')));
    socket.on('error', () => undefined);
    socket.write(`GET /api/houses/${id}/events HTTP/1.1\r\nhost: 127.0.0.1\r\ncookie: ${anna.cookie}\r\n\r\n`);
    await new Promise((resolve) => setTimeout(resolve, 300));
    socket.pause();
    // Some 12 MB, which no buffer of the system holds.
    const entry = (n: number, i: number) => ({
      id: `l${n}-${i}`,
      date: '2026-11-01',
      who: 'Ann',
      text: 'x'.repeat(1990),
    });
    for (let n = 0; n < 16; n++) {
      const patches = Array.from({ length: 300 }, (_, i) => ({
        op: 'add',
        path: ['log', `l${n}-${i}`],
        value: entry(n, i),
      }));
      const batch = { id: crypto.randomUUID(), base: n, edits: [{ label: 'x', patches }] };
      expect((await anna.call('post', `/houses/${id}/edits`, batch)).status).toBe(200);
    }
    await new Promise((resolve) => setTimeout(resolve, 500));
    socket.resume();
    expect(await Promise.race([closed, new Promise((resolve) => setTimeout(() => resolve('still open'), 4_000))])).toBe(
      'let go',
    );
  });

  it.each([
    'sign-out',
    'sign-out everywhere',
    'removal',
    'a new role',
    'deletion of the house',
    'deletion of the firm',
  ])('end at once on %s, and nothing that waits is written after it', async (how) => {
    const owner = new Person(app.url);
    await owner.openAccount('Stream firm', `${how.replaceAll(' ', '-')}@stream.example`);
    const id = await owner.addHouse(demo);
    const email = `crew-${how.replaceAll(' ', '-')}@stream.example`;
    const crew = await owner.bringIn('crew', email, 'crew');
    const mine = ((await owner.call('get', '/members')).body as { id: string; email: string }[]).find(
      (one) => one.email === email,
    )!.id;
    const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall')!.id;
    expect((await crew.move(id, demo, box, 20, 0)).status).toBe(200);
    const stream = await open(crew, id);
    await owner.confirm();
    await crew.confirm();
    const version = async () =>
      (await app.database.pool.query<{ version: number }>('select version from houses where id = $1', [id])).rows[0]
        ?.version;
    const [before, late] = [await version(), () => crew.move(id, demo, box, 25, 1)];
    if (how === 'sign-out') await crew.call('delete', '/session');
    else if (how === 'sign-out everywhere') {
      const elsewhere = new Person(app.url);
      await elsewhere.signIn(email);
      await elsewhere.call('delete', '/account/sessions');
    } else if (how === 'removal') await owner.call('delete', `/members/${mine}`);
    else if (how === 'a new role') await owner.call('patch', `/members/${mine}`, { role: 'viewer' });
    else if (how === 'deletion of the house') await owner.call('delete', `/houses/${id}`);
    else await owner.call('delete', '/firm', { name: 'Stream firm' });
    expect(await within(stream.ended)).toBe('ended');
    expect([401, 403, 404]).toContain((await late()).status);
    expect(await version()).toBe(how === 'deletion of the firm' ? undefined : before);
  });
});

describe('behind a proxy that speaks https', () => {
  let secure: Running;
  let proxyUrl: string;
  let end: () => void;
  const folder = mkdtempSync(join(tmpdir(), 'winculum-tls-'));

  beforeAll(async () => {
    const [key, certificate] = [join(folder, 'key.pem'), join(folder, 'cert.pem')];
    execFileSync(
      'openssl',
      [
        'req',
        '-x509',
        '-newkey',
        'rsa:2048',
        '-nodes',
        '-days',
        '2',
        '-subj',
        '/CN=localhost',
        '-keyout',
        key,
        '-out',
        certificate,
      ],
      { stdio: 'ignore' },
    );
    secure = await startApp(undefined, { https: true, proxies: ['loopback'], publicUrl: 'https://localhost' });
    const { port } = new URL(secure.url);
    const proxy = createServer({ key: readFileSync(key), cert: readFileSync(certificate) }, (from, to) => {
      const headers = {
        ...from.headers,
        host: 'localhost',
        'x-forwarded-proto': 'https',
        'x-forwarded-for': '203.0.113.7',
      };
      const on = ask({ port, host: '127.0.0.1', method: from.method, path: from.url, headers }, (answer) => {
        to.writeHead(answer.statusCode!, answer.headers);
        answer.pipe(to);
      });
      from.pipe(on);
    });
    await new Promise<void>((resolve) => proxy.listen(0, '127.0.0.1', resolve));
    proxyUrl = `https://127.0.0.1:${(proxy.address() as AddressInfo).port}`;
    end = () => proxy.close();
  });
  afterAll(async () => {
    end();
    await secure.stop();
    rmSync(folder, { recursive: true });
  });

  const through = (method: string, path: string, body?: unknown, headers: Record<string, string> = {}) =>
    new Promise<{ status: number; headers: IncomingMessage['headers']; body: { csrf?: string } }>((resolve, reject) => {
      const call = askSecurely(
        `${proxyUrl}/api${path}`,
        { method, rejectUnauthorized: false, headers: { 'content-type': 'application/json', ...headers } },
        (answer) => {
          let text = '';
          answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
          answer.on('end', () =>
            resolve({
              status: answer.statusCode!,
              headers: answer.headers,
              body: text ? (JSON.parse(text) as object) : {},
            }),
          );
        },
      );
      call.on('error', reject);
      call.end(body === undefined ? undefined : JSON.stringify(body));
    });

  /** An account is not open before its address is shown to be somebody's: the link comes from the outbox. */
  const linkOf = async (email: string): Promise<string> => {
    const { rows } = await secure.database.pool.query<{ body: string }>(
      'select body from outbox where recipient = $1 order by id desc',
      [email],
    );
    return /\/(?:verify|reset|join)\/([\w-]+)/.exec(rows[0]?.body ?? '')?.[1] ?? '';
  };

  it("opens an account, signs in with a __Host- cookie, says HSTS, and knows the client's address", async () => {
    const account = { firm: 'Secure firm', name: 'Sam', email: 'sam@secure.example', password: PASSWORD };
    const asked = await through('POST', '/accounts', account);
    expect(asked.status).toBe(202);
    expect(asked.headers['set-cookie']).toBeUndefined();
    expect(asked.headers['strict-transport-security']).toMatch(/max-age=\d{7,}/);
    await vi.waitFor(async () => expect(await linkOf('sam@secure.example')).not.toBe(''));
    const token = await linkOf('sam@secure.example');
    const opened = await through('POST', '/accounts/verify', { token });
    expect(opened.status).toBe(201);
    expect(opened.headers['set-cookie']?.[0]).toMatch(
      /^__Host-winculum=.*; Path=\/; .*HttpOnly; Secure; SameSite=Strict$/,
    );
    expect((await through('POST', '/accounts/verify', { token })).status).toBe(410);
    const signedIn = await through('POST', '/session', { email: account.email, password: PASSWORD });
    expect(signedIn.status).toBe(200);
    const session = { cookie: signedIn.headers['set-cookie']![0]!.split(';')[0]!, 'x-csrf-token': signedIn.body.csrf! };
    expect(
      (
        await through(
          'POST',
          '/houses',
          { name: 'Secure house', edition: '2023' },
          { ...session, origin: 'https://localhost' },
        )
      ).status,
    ).toBe(201);
    const sessions = await through('GET', '/account/sessions', undefined, session);
    expect(sessions.body).toMatchObject([{ address: '203.0.113.7' }, { address: '203.0.113.7' }]);
  });

  it('tells nobody which addresses have an account, and an address is not taken by whoever asks first', async () => {
    const known = await through('POST', '/accounts', {
      firm: 'F',
      name: 'N',
      email: 'sam@secure.example',
      password: PASSWORD,
    });
    const unknown = await through('POST', '/accounts', {
      firm: 'F',
      name: 'N',
      email: 'new@secure.example',
      password: PASSWORD,
    });
    expect([known.status, known.body]).toEqual([unknown.status, unknown.body]);
    await vi.waitFor(async () =>
      expect(
        (await secure.database.pool.query('select 1 from outbox where subject like $1', ['You have%'])).rowCount,
      ).toBe(1),
    );
    // The address is still free for whoever shows that it is theirs.
    expect(
      (
        await through('POST', '/accounts', {
          firm: 'G',
          name: 'Real',
          email: 'new@secure.example',
          password: 'another walk of seven boxes',
        })
      ).status,
    ).toBe(202);
    await vi.waitFor(async () =>
      expect(
        (await secure.database.pool.query('select 1 from outbox where recipient = $1', ['new@secure.example']))
          .rowCount,
      ).toBe(2),
    );
    expect((await through('POST', '/accounts/verify', { token: await linkOf('new@secure.example') })).status).toBe(201);
    expect(
      (await through('POST', '/session', { email: 'new@secure.example', password: 'another walk of seven boxes' }))
        .status,
    ).toBe(200);
  });

  it('resets a forgotten password once, and ends what was signed in', async () => {
    const before = await through('POST', '/session', { email: 'sam@secure.example', password: PASSWORD });
    for (const email of ['sam@secure.example', 'nobody@secure.example'])
      expect((await through('POST', '/accounts/reset', { email })).status).toBe(202);
    await vi.waitFor(async () =>
      expect((await secure.database.pool.query(`select 1 from outbox where subject like 'Choose%'`)).rowCount).toBe(1),
    );
    const token = await linkOf('sam@secure.example');
    expect((await through('PUT', '/accounts/reset', { token, password: 'short' })).status).toBe(400);
    expect((await through('PUT', '/accounts/reset', { token, password: 'quite another walk of boxes' })).status).toBe(
      204,
    );
    expect((await through('PUT', '/accounts/reset', { token, password: 'quite another walk of boxes' })).status).toBe(
      410,
    );
    const cookie = before.headers['set-cookie']![0]!.split(';')[0]!;
    expect((await through('GET', '/houses', undefined, { cookie })).status).toBe(401);
    expect((await through('POST', '/session', { email: 'sam@secure.example', password: PASSWORD })).status).toBe(401);
  });

  it('refuses what comes without https, and forwarded addresses from nobody but the proxy', async () => {
    const { port } = new URL(secure.url);
    const plain = await fetch(`http://127.0.0.1:${port}/api/session`);
    expect(plain.status).toBe(421);
    expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200);
    // Without configured proxies, what a sender says of its address is nothing.
    expect(
      (
        await raw('POST', '/api/session', '{"email":"a@b.example","password":"x"}', {
          'x-forwarded-for': '198.51.100.9',
        })
      ).status,
    ).toBe(401);
    expect(app.logged.join('\n')).not.toContain('"address":"198.51.100.9"');
  });
});
