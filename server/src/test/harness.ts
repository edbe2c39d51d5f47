import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import pg from 'pg';
import { pino } from 'pino';
import request from 'supertest';
import type { AddressInfo } from 'node:net';
import type { BatchAnswer } from '@winculum/contract';
import { moveBox, type House } from '@winculum/core';
import { openDatabase, type Database } from '../db/database';
import { migrateToLatest } from '../db/migrations';
import { createApp, type AppOptions } from '../http/app';
import { createHttpServer, type Deadlines } from '../http/server';

/** The PostgreSQL that ./test started; each test file makes a database of its own in it. */
const serverUrl = process.env['TEST_DATABASE_URL'] ?? '';
if (!serverUrl) throw new Error('TEST_DATABASE_URL is not set. Run the tests through ./test.');

export async function newDatabase(): Promise<string> {
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  const client = new pg.Client({ connectionString: serverUrl });
  await client.connect();
  await client.query(`create database ${name}`);
  await client.end();
  return serverUrl.replace(/\/[^/]+$/, `/${name}`);
}

export interface Running {
  readonly url: string;
  readonly database: Database;
  readonly logged: string[];
  /** How long tries had to wait, milliseconds. */
  readonly waits: number[];
  readonly stop: () => Promise<void>;
}

/** The real application on a fresh database and a free port of loopback. Tries that have to wait do not wait in earnest. */
export async function startApp(
  databaseUrl?: string,
  options: Partial<AppOptions> = {},
  deadlines?: Deadlines,
): Promise<Running> {
  const database = openDatabase(databaseUrl ?? (await newDatabase()));
  await migrateToLatest(database.db);
  const logged: string[] = [];
  const waits: number[] = [];
  const log = pino({ level: 'debug' }, { write: (line: string) => void logged.push(line) });
  const { app, announcements, stop } = createApp({
    database,
    log,
    secret: 'a secret for tests',
    version: 'test',
    linksTo: 'http://127.0.0.1',
    accountsAnHour: 1_000,
    snapshotEvery: 50,
    sleep: async (ms) => void waits.push(ms),
    ...options,
  });
  await announcements.start();
  const server: Server = createHttpServer(app, deadlines);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  return {
    url: `http://127.0.0.1:${port}`,
    database,
    logged,
    waits,
    stop: async () => {
      await stop();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await database.pool.end();
    },
  };
}

/** What everybody signs in with here. */
export const PASSWORD = 'a long walk of seven boxes';

/** Somebody at a browser: keeps the cookie and the token. */
export class Person {
  #cookie = '';
  csrf = '';

  constructor(public url: string) {}

  async call(
    method: 'get' | 'post' | 'put' | 'patch' | 'delete',
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ) {
    const agent = request(this.url);
    let call = agent[method](`/api${path}`).set({ 'x-csrf-token': this.csrf, ...headers });
    if (this.#cookie) call = call.set('cookie', this.#cookie);
    const answer = body === undefined ? await call : await call.send(body as object);
    const set = answer.headers['set-cookie'] as unknown as string[] | undefined;
    if (set) this.#cookie = set.map((one) => one.split(';')[0]).join('; ');
    const { csrf } = (answer.body ?? {}) as { csrf?: string };
    if (csrf) this.csrf = csrf;
    return answer;
  }

  get cookie(): string {
    return this.#cookie;
  }

  async openAccount(firm: string, email: string) {
    return this.call('post', '/accounts', { firm, name: `Person of ${firm}`, email, password: PASSWORD });
  }

  async signIn(email: string, password = PASSWORD) {
    return this.call('post', '/session', { email, password });
  }

  async addHouse(file: House): Promise<string> {
    const answer = await this.call('post', '/houses/file', file);
    if (answer.status !== 201) throw new Error(JSON.stringify(answer.body));
    return (answer.body as { id: string }).id;
  }

  /** Shows the password once more, before what cannot be undone. */
  async confirm(password = PASSWORD) {
    return this.call('post', '/session/confirm', { password });
  }

  /** Invites somebody, who joins at once. */
  async bringIn(name: string, email: string, role: 'owner' | 'crew' | 'viewer'): Promise<Person> {
    const invited = await this.call('post', '/invitations', { name, email, role });
    const { link } = invited.body as { link?: string };
    if (!link) throw new Error(JSON.stringify(invited.body));
    const person = new Person(this.url);
    const joined = await person.call('post', '/accounts/invitation', {
      token: link.split('/').at(-1),
      password: PASSWORD,
    });
    if (joined.status !== 201) throw new Error(JSON.stringify(joined.body));
    return person;
  }

  /** Sends one batch that moves a box; answers the response. */
  async move(id: string, house: House, box: string, alongIn: number, base: number, batchId: string = randomUUID()) {
    const at = house.boxes[box]!.at;
    if (at.kind !== 'wall') throw new Error('not on a wall');
    const moved = moveBox(house, box, { ...at, alongIn });
    if (!moved.ok) throw new Error(moved.problems[0]!.message);
    const { label, patches } = moved.value.edit;
    return this.call('post', `/houses/${id}/edits`, { id: batchId, base, edits: [{ label, patches }] });
  }
}

export const answerOf = (response: { body: unknown }): BatchAnswer => response.body as BatchAnswer;

/** A server process of its own, as ./start runs it. */
export async function startProcess(databaseUrl: string, port: number): Promise<ChildProcess> {
  const child = spawn('node', ['server/dist/main.js'], {
    cwd: new URL('../../..', import.meta.url).pathname,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      SESSION_SECRET: 'a secret for tests',
      LOG_LEVEL: 'fatal',
    },
    stdio: 'ignore',
  });
  for (let tries = 0; tries < 100; tries++) {
    const isUp = await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp) return child;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('the server process did not come up');
}

export const freePort = (): number =>
  Number(
    execFileSync(
      'node',
      [
        '-e',
        'const s=require("node:net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})',
      ],
      { encoding: 'utf8' },
    ),
  );
