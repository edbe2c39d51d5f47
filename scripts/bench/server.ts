import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { createServer, type AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { moveBox, type House } from '../../core/src/index';
import { demo } from './checks';
import type { Figure } from './main';

export const root = fileURLToPath(new URL('../..', import.meta.url));
const WARM = 300;
const EDITS = 600;

export const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

export interface BenchServer {
  readonly url: string;
  readonly databaseUrl: string;
  readonly pid: number;
  readonly stop: () => void;
}

/** A server process on a database of its own, in the PostgreSQL of BENCH_DATABASE_URL. */
export async function startServer(): Promise<BenchServer> {
  const base = process.env['BENCH_DATABASE_URL'];
  if (!base) throw new Error('Set BENCH_DATABASE_URL, or run: npm run bench');
  const client = new pg.Client({ connectionString: base });
  await client.connect();
  const name = `bench_${randomUUID().replaceAll('-', '')}`;
  await client.query(`create database ${name}`);
  await client.end();
  const databaseUrl = base.replace(/\/[^/]+$/, `/${name}`);
  const port = await freePort();
  const child = spawn(
    'node',
    [...(process.env['PROF'] ? ['--cpu-prof', '--cpu-prof-dir=.tmp/prof'] : []), 'server/dist/main.js'],
    {
      cwd: root,
      stdio: 'ignore',
      env: {
        ...process.env,
        DATABASE_URL: databaseUrl,
        PORT: String(port),
        SESSION_SECRET: 'bench',
        LOG_LEVEL: 'fatal',
        WEB_FOLDER: 'web/dist',
        DEMO_HOUSE: 'demo/studio-house.json',
      },
    },
  );
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    const isUp = await fetch(`${url}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp)
      return { url, databaseUrl, pid: child.pid!, stop: () => child.kill(process.env['PROF'] ? 'SIGTERM' : 'SIGKILL') };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('the server did not come up');
}

export interface Session {
  readonly cookie: string;
  readonly csrf: string;
}

export async function signIn(url: string): Promise<Session> {
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'owner@demo.example', password: 'demo house 4310' }),
  });
  const { csrf } = (await answer.json()) as { csrf: string };
  return {
    cookie: answer.headers
      .getSetCookie()
      .map((one) => one.split(';')[0])
      .join('; '),
    csrf,
  };
}

const agent = new Agent({ keepAlive: true });

/** A request by node's own client, which costs less than fetch, so that the server is what is measured. */
const send = (url: string, session: Session, path: string, body?: unknown) =>
  new Promise<{ id: string; version: number }>((resolve, reject) => {
    const headers = { 'content-type': 'application/json', cookie: session.cookie, 'x-csrf-token': session.csrf };
    const call = request(
      `${url}/api${path}`,
      { method: body === undefined ? 'GET' : 'POST', agent, headers },
      (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () =>
          response.statusCode! < 300
            ? resolve(JSON.parse(text) as { id: string; version: number })
            : reject(new Error(`${path}: ${response.statusCode} ${text}`)),
        );
      },
    );
    call.on('error', reject);
    call.end(body === undefined ? undefined : JSON.stringify(body));
  });

/** Patches that move one box by an inch to and fro, computed before the clock runs. */
function moves(house: House): unknown[] {
  const box = Object.values(house.boxes).find((one) => one.at.kind === 'wall' && one.at.alongIn > 20)!;
  let now = house;
  return Array.from({ length: EDITS }, (_, i) => {
    const at = now.boxes[box.id]!.at;
    if (at.kind !== 'wall') throw new Error('a box on a wall');
    const moved = moveBox(now, box.id, { ...at, alongIn: at.alongIn + (i % 2 ? 1 : -1) });
    if (!moved.ok) throw new Error(moved.problems[0]!.message);
    now = moved.value.house;
    return { label: moved.value.edit.label, patches: moved.value.edit.patches };
  });
}

const residentMb = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;

export async function measureServer(): Promise<Figure[]> {
  const server = await startServer();
  try {
    const session = await signIn(server.url);
    const { id } = await send(server.url, session, '/houses', { file: JSON.stringify(demo) });
    const edits = moves(demo);
    for (let n = 0; n < WARM; n++)
      await send(server.url, session, `/houses/${id}/edits`, { id: randomUUID(), base: n, edits: [edits[n]] });
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    await client.query('create table bare (n serial primary key, at timestamptz default now(), edits json)');
    // Turn about in one run, so that a busy machine slows both alike.
    let [bare, api] = [0, 0];
    for (let n = WARM; n < EDITS; n++) {
      let started = performance.now();
      await client.query('insert into bare (edits) values ($1)', [JSON.stringify([edits[n]])]);
      bare += performance.now() - started;
      started = performance.now();
      await send(server.url, session, `/houses/${id}/edits`, { id: randomUUID(), base: n, edits: [edits[n]] });
      api += performance.now() - started;
    }
    await client.end();
    for (let n = 0; n < 20; n++) {
      const house = await send(server.url, session, '/houses', { file: JSON.stringify(demo) });
      await send(server.url, session, `/houses/${house.id}/edits`, { id: randomUUID(), base: 0, edits: [edits[0]] });
    }
    console.log(
      `edits a second through the API, one after the other: ${((1000 * (EDITS - WARM)) / api).toFixed(0)}; bare inserts: ${((1000 * (EDITS - WARM)) / bare).toFixed(0)}`,
    );
    return [
      { name: 'an edit through the API against a bare insert', value: api / bare, unit: 'times', wanted: 4 },
      {
        name: 'server resident memory with twenty open houses',
        value: residentMb(server.pid),
        unit: 'MB',
        wanted: 300,
      },
    ];
  } finally {
    server.stop();
  }
}
