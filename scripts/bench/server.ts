import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { connect, createServer, type AddressInfo, type Socket } from 'node:net';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { moveBox, type House } from '../../core/src/index';
import { demo } from './checks';
import type { Figure } from './main';

export const root = fileURLToPath(new URL('../..', import.meta.url));
/** Enough for the server's code to be compiled as it will stay: the first thousand edits take a quarter longer. */
const WARM = 1500;
const EDITS = 2500;

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

/**
 * One kept connection, one request after the other, written and read by hand: any client of a library would add its own time
 * to what the server takes.
 */
class Connection {
  readonly #socket: Socket;
  readonly #headers: string;
  #answer = '';
  #done: ((answer: string) => void) | undefined;

  constructor(url: string, { cookie, csrf }: Session) {
    const { hostname, port, host } = new URL(url);
    this.#headers = `host: ${host}\r\ncookie: ${cookie}\r\nx-csrf-token: ${csrf}\r\ncontent-type: application/json\r\n`;
    this.#socket = connect(Number(port), hostname).setNoDelay();
    this.#socket.on('data', (chunk) => {
      this.#answer += chunk.toString();
      const end = this.#answer.indexOf('\r\n\r\n');
      const length = /content-length: (\d+)/i.exec(this.#answer);
      if (end < 0 || !length || Buffer.byteLength(this.#answer) < end + 4 + Number(length[1])) return;
      const answer = this.#answer;
      this.#answer = '';
      this.#done?.(answer);
    });
  }

  async post(path: string, body: unknown): Promise<{ id: string; version: number }> {
    const text = JSON.stringify(body);
    const answer = await new Promise<string>((resolve) => {
      this.#done = resolve;
      this.#socket.write(
        `POST /api${path} HTTP/1.1\r\n${this.#headers}content-length: ${Buffer.byteLength(text)}\r\n\r\n${text}`,
      );
    });
    if (!/^HTTP\/1.1 2/.test(answer)) throw new Error(`${path}: ${answer}`);
    return JSON.parse(answer.slice(answer.indexOf('\r\n\r\n') + 4)) as { id: string; version: number };
  }

  end(): void {
    this.#socket.destroy();
  }
}

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
    const api = new Connection(server.url, session);
    const { id } = await api.post('/houses/file', demo);
    const edits = moves(demo);
    for (let n = 0; n < WARM; n++)
      await api.post(`/houses/${id}/edits`, { id: randomUUID(), base: n, edits: [edits[n]] });
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    await client.query('create table bare (n serial primary key, at timestamptz default now(), edits json)');
    // Turn about in one run, so that a busy machine slows both alike.
    let [bareMs, apiMs] = [0, 0];
    for (let n = WARM; n < EDITS; n++) {
      let started = performance.now();
      await client.query('insert into bare (edits) values ($1)', [JSON.stringify([edits[n]])]);
      bareMs += performance.now() - started;
      started = performance.now();
      await api.post(`/houses/${id}/edits`, { id: randomUUID(), base: n, edits: [edits[n]] });
      apiMs += performance.now() - started;
    }
    await client.end();
    for (let n = 0; n < 20; n++) {
      const house = await api.post('/houses/file', demo);
      await api.post(`/houses/${house.id}/edits`, { id: randomUUID(), base: 0, edits: [edits[0]] });
    }
    api.end();
    console.log(
      `edits a second through the API, one after the other: ${((1000 * (EDITS - WARM)) / apiMs).toFixed(0)}; bare inserts: ${((1000 * (EDITS - WARM)) / bareMs).toFixed(0)}`,
    );
    return [
      { name: 'an edit through the API against a bare insert', value: apiMs / bareMs, unit: 'times', wanted: 4 },
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
