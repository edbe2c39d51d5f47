import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { createServer, type AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import pg from 'pg';

export const root = fileURLToPath(new URL('../..', import.meta.url));
export const PASSWORD = 'a long walk of seven boxes';

export const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

export async function newDatabase(): Promise<string> {
  const base = process.env['TEST_DATABASE_URL'];
  if (!base) throw new Error('Run: npm run attack');
  const client = new pg.Client({ connectionString: base });
  await client.connect();
  const name = `attack_${randomUUID().replaceAll('-', '')}`;
  await client.query(`create database ${name}`);
  await client.end();
  return base.replace(/\/[^/]+$/, `/${name}`);
}

/** A server process, as ./start runs it. */
export class Target {
  #child: ChildProcess | undefined;
  private constructor(
    readonly url: string,
    readonly port: number,
    readonly databaseUrl: string,
  ) {}

  static async start(databaseUrl?: string): Promise<Target> {
    const port = await freePort();
    const target = new Target(`http://127.0.0.1:${port}`, port, databaseUrl ?? (await newDatabase()));
    await target.start();
    return target;
  }

  get pid(): number {
    return this.#child!.pid!;
  }

  async start(): Promise<void> {
    this.#child = spawn('node', ['server/dist/main.js'], {
      cwd: root,
      stdio: 'ignore',
      env: {
        ...process.env,
        DATABASE_URL: this.databaseUrl,
        PORT: String(this.port),
        SESSION_SECRET: 'for attacks',
        LOG_LEVEL: 'silent',
        DEMO_HOUSE: 'demo/studio-house.json',
      },
    });
    for (let tries = 0; tries < 200; tries++) {
      if (
        await fetch(`${this.url}/api/health`).then(
          (answer) => answer.ok,
          () => false,
        )
      )
        return;
      await sleep(50);
    }
    throw new Error('the server did not come up');
  }

  async kill(): Promise<void> {
    const gone = new Promise((resolve) => this.#child!.once('exit', resolve));
    this.#child!.kill('SIGKILL');
    await gone;
  }

  /** What the process holds in memory, MB. */
  residentMb(): number {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.pid}/status`, 'utf8'))![1]) / 1024;
  }

  /** The time of a processor that the process has used, milliseconds. */
  cpuMs(): number {
    const fields = readFileSync(`/proc/${this.pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
    return (Number(fields[11]) + Number(fields[12])) * 10;
  }
}

export const sleep = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

export interface Answer {
  readonly status: number;
  readonly body: Record<string, unknown>;
  readonly ms: number;
}

const agent = new Agent({ keepAlive: true, maxSockets: 256 });

/** Somebody at a browser: keeps the cookie and the token. */
export class Person {
  cookie = '';
  csrf = '';
  constructor(public url: string) {}

  call(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Answer> {
    const text = body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body);
    const { hostname, port } = new URL(this.url);
    const started = performance.now();
    return new Promise((resolve) => {
      const call = request(
        {
          hostname,
          port,
          path: `/api${path}`,
          method,
          agent,
          headers: {
            'content-type': 'application/json',
            ...(text === undefined ? {} : { 'content-length': Buffer.byteLength(text) }),
            cookie: this.cookie,
            'x-csrf-token': this.csrf,
            ...headers,
          },
        },
        (answer) => {
          let said = '';
          answer.on('data', (chunk: Buffer) => (said += chunk.toString()));
          answer.on('end', () => {
            const ms = performance.now() - started;
            const set = answer.headers['set-cookie'];
            if (set) this.cookie = set[0]!.split(';')[0]!;
            let parsed: Record<string, unknown> = {};
            try {
              parsed = JSON.parse(said) as Record<string, unknown>;
            } catch {
              // No body.
            }
            if (typeof parsed['csrf'] === 'string') this.csrf = parsed['csrf'];
            resolve({ status: answer.statusCode!, body: parsed, ms });
          });
        },
      );
      call.on('error', () => resolve({ status: 0, body: {}, ms: performance.now() - started }));
      call.end(text);
    });
  }

  static async withAccount(url: string, email: string): Promise<Person> {
    const person = new Person(url);
    const made = await person.call('POST', '/accounts', {
      firm: 'Attack firm',
      name: 'Attacker',
      email,
      password: PASSWORD,
    });
    if (made.status !== 201) throw new Error(`no account: ${JSON.stringify(made.body)}`);
    return person;
  }

  async signIn(email: string, password = PASSWORD): Promise<Answer> {
    return this.call('POST', '/session', { email, password });
  }

  async addHouse(file: unknown): Promise<string> {
    const added = await this.call('POST', '/houses/file', file);
    if (added.status !== 201) throw new Error(`no house: ${JSON.stringify(added.body)}`);
    return String(added.body['id']);
  }
}

/** What an attack found, and what it measured. */
export interface Outcome {
  readonly findings: string[];
  readonly figures: string[];
}

/** Numbers from a seed, so that a finding can be had again. */
export function randomFrom(seed: number): (below: number) => number {
  let state = seed >>> 0;
  return (below) => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}

/** The value below which a share of all lies. */
export const quantile = (values: readonly number[], share: number): number =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? Number.NaN;
