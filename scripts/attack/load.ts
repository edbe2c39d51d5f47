import { spawn } from 'node:child_process';
import { Agent, createServer, request } from 'node:http';
import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, newDatabase, Person, quantile, root, sleep, Target, type Outcome } from './target';

const demo = JSON.parse(readFileSync(join(root, 'demo/studio-house.json'), 'utf8')) as {
  boxes: Record<string, { id: string; at: { kind: string; alongIn: number } }>;
};
const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall' && one.at.alongIn > 40)!.id;
const batch = (base: number, alongIn: number) => ({
  id: randomUUID(),
  base,
  edits: [{ label: 'Move', patches: [{ op: 'replace', path: ['boxes', box, 'at', 'alongIn'], value: alongIn }] }],
});

/** The least that a server can do with an edit: Express reads it, PostgreSQL keeps it. */
const BARE = `
import express from 'express';
import pg from 'pg';
const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL });
await pool.query('create table if not exists bare (n serial primary key, at timestamptz default now(), edits json)');
const app = express();
app.use(express.json());
app.post('/api/bare', async (request, response) => {
  const { rows } = await pool.query('insert into bare (edits) values ($1) returning n', [JSON.stringify(request.body)]);
  response.json({ version: rows[0].n });
});
app.get('/api/health', (_request, response) => response.json({}));
app.listen(Number(process.env.PORT), '127.0.0.1');
`;

async function startBare(): Promise<{ url: string; stop: () => void }> {
  const file = join(root, 'scripts/.attack/bare.mjs');
  mkdirSync(join(root, 'scripts/.attack'), { recursive: true });
  writeFileSync(file, BARE);
  const port = await freePort();
  const child = spawn('node', [file], {
    cwd: root,
    stdio: 'ignore',
    env: { ...process.env, PORT: String(port), DATABASE_URL: await newDatabase(), NODE_ENV: 'production' },
  });
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(`${url}/api/health`).then(
        (one) => one.ok,
        () => false,
      )
    )
      break;
    await sleep(50);
  }
  return { url, stop: () => child.kill('SIGKILL') };
}

/** One edit after the other, alternately with the same to the bare server: a slow minute slows both. */
async function againstBare(owner: Person, isQuick: boolean): Promise<{ ratio: number; told: string }> {
  const bare = await startBare();
  const id = await owner.addHouse(demo);
  const other = new Person(bare.url);
  const [mine, theirs]: [number[], number[]] = [[], []];
  const [warm, counted] = isQuick ? [300, 300] : [1_500, 1_000];
  for (let n = 0; n < warm + counted; n++) {
    const body = batch(n, 20 + (n % 20));
    const [a, b] = [await owner.call('POST', `/houses/${id}/edits`, body), await other.call('POST', '/bare', body)];
    if (a.status !== 200 || b.status !== 200) throw new Error(`an edit: ${a.status}, a bare insert: ${b.status}`);
    if (n >= warm) {
      mine.push(a.ms);
      theirs.push(b.ms);
    }
  }
  bare.stop();
  const [own, least] = [quantile(mine, 0.5), quantile(theirs, 0.5)];
  return {
    ratio: own / least,
    told: `an edit ${own.toFixed(2)} ms, a bare Express insert ${least.toFixed(2)} ms at p50`,
  };
}

/** Processor time of a batch through one process, and through two that share the house. */
async function twoAgainstOne(isQuick: boolean): Promise<{ ratio: number; told: string }> {
  const edits = isQuick ? 200 : 600;
  const run = async (targets: readonly Target[]): Promise<number> => {
    const owner = await Person.withAccount(targets[0]!.url, `cpu-${targets.length}@attack.example`);
    const ids = [await owner.addHouse(demo), await owner.addHouse(demo)];
    const go = async (from: number, to: number) => {
      for (let n = from; n < to; n++)
        await Promise.all(
          ids.map((id, i) => {
            const person = new Person(targets[i % targets.length]!.url);
            [person.cookie, person.csrf] = [owner.cookie, owner.csrf];
            return person.call('POST', `/houses/${id}/edits`, batch(n, 20 + (n % 20)));
          }),
        );
    };
    // Each process warmed up by as many edits, whether it has company or not.
    const warm = edits * targets.length;
    await go(0, warm);
    const before = targets.map((one) => one.cpuMs());
    await go(warm, warm + edits);
    return targets.reduce((sum, one, i) => sum + one.cpuMs() - before[i]!, 0) / (edits * 2);
  };
  const first = await Target.start();
  const one = await run([first]);
  const second = await Target.start(first.databaseUrl);
  const two = await run([first, second]);
  await first.kill();
  await second.kill();
  return {
    ratio: two / one,
    told: `${one.toFixed(2)} ms of processor an edit by one process, ${two.toFixed(2)} by two`,
  };
}

/** Fifty people on twenty houses, who think for a second between edits. */
async function fifty(
  target: Target,
  seconds: number,
): Promise<{ statuses: Record<number, number>; times: number[]; reads: number[] }> {
  const owner = new Person(target.url);
  await owner.signIn('owner@demo.example', 'demo house 4310');
  const ids = await Promise.all(Array.from({ length: 20 }, () => owner.addHouse(demo)));
  const statuses: Record<number, number> = {};
  const [times, reads]: [number[], number[]] = [[], []];
  const end = performance.now() + seconds * 1_000;
  await Promise.all(
    Array.from({ length: 50 }, async (_, p) => {
      const person = new Person(target.url);
      [person.cookie, person.csrf] = [owner.cookie, owner.csrf];
      const id = ids[p % ids.length]!;
      await sleep((p * 1_000) / 50);
      let base = (await person.call('GET', `/houses/${id}`)).body['version'] as number;
      for (let n = 0; performance.now() < end; n++) {
        const answer = await person.call('POST', `/houses/${id}/edits`, batch(base, 15 + ((p * 7 + n) % 30)));
        statuses[answer.status] = (statuses[answer.status] ?? 0) + 1;
        times.push(answer.ms);
        if (answer.status === 200) base = answer.body['version'] as number;
        // Another moved the same box: the window reads the house again.
        else if (answer.status === 409) {
          const read = await person.call('GET', `/houses/${id}`);
          reads.push(read.ms);
          base = (read.body['version'] as number | undefined) ?? base;
        }
        await sleep(1_000);
      }
    }),
  );
  return { statuses, times, reads };
}

/** A proxy as it comes: what arrives is handed on. */
async function startProxy(to: number): Promise<{ url: string; stop: () => void }> {
  const onward = new Agent({ keepAlive: true });
  const proxy = createServer((from, back) => {
    const call = request(
      { port: to, host: '127.0.0.1', method: from.method, path: from.url, headers: from.headers, agent: onward },
      (answer) => {
        back.writeHead(answer.statusCode!, answer.headers);
        answer.pipe(back);
      },
    );
    from.pipe(call);
  });
  const port = await freePort();
  await new Promise<void>((resolve) => proxy.listen(port, '127.0.0.1', resolve));
  return { url: `http://127.0.0.1:${port}`, stop: () => proxy.close() };
}

/** Edits a second of eight writers on eight houses, straight and behind a plain proxy. */
async function throughput(target: Target, owner: Person, seconds: number): Promise<string> {
  const proxy = await startProxy(target.port);
  const ids = await Promise.all(Array.from({ length: 8 }, () => owner.addHouse(demo)));
  const bases = ids.map(() => 0);
  const run = async (url: string) => {
    let done = 0;
    const end = performance.now() + seconds * 1_000;
    await Promise.all(
      ids.map(async (id, i) => {
        const person = new Person(url);
        [person.cookie, person.csrf] = [owner.cookie, owner.csrf];
        while (performance.now() < end) {
          const answer = await person.call('POST', `/houses/${id}/edits`, batch(bases[i]!, 20 + (bases[i]! % 20)));
          if (answer.status !== 200) throw new Error(`an edit: ${answer.status}`);
          bases[i] = answer.body['version'] as number;
          done++;
        }
      }),
    );
    return done / seconds;
  };
  await run(target.url);
  const [straight, behind] = [await run(target.url), await run(proxy.url)];
  proxy.stop();
  return `${straight.toFixed(0)} edits a second by eight writers, ${behind.toFixed(0)} behind a plain proxy`;
}

/** What people feel, and what it costs: the limits are those of docs/performance.md. */
export async function attackLoad(isQuick: boolean): Promise<Outcome> {
  const findings: string[] = [];
  const figures: string[] = [];
  const target = await Target.start();
  const owner = await Person.withAccount(target.url, 'load@attack.example');
  // The quick part tells a break from a slow hour: it allows three times as much.
  const slack = isQuick ? 3 : 1;
  const hold = (what: string, value: number, limit: number, unit: string) => {
    const most = limit * slack;
    figures.push(`${what}: ${value.toFixed(value < 10 ? 2 : 0)} ${unit} (at most ${most})`);
    if (value > most) findings.push(`${what}: ${value.toFixed(2)} ${unit}, more than ${most}`);
  };
  const bare = await againstBare(owner, isQuick);
  figures.push(bare.told);
  hold('an edit against a bare Express insert at p50', bare.ratio, 3, 'times');
  if (!isQuick) figures.push(await throughput(target, owner, 5));
  const rest = target.residentMb();
  const { statuses, times, reads } = await fifty(target, isQuick ? 8 : 60);
  const told = Object.entries(statuses).map(([status, count]) => `${count} × ${status}`);
  figures.push(`50 people on 20 houses: ${told.join(', ')}; p50 ${quantile(times, 0.5).toFixed(0)} ms`);
  for (const status of Object.keys(statuses).map(Number))
    if (status === 0 || status >= 500) findings.push(`${statuses[status]} answers of ${status} under load`);
  hold('50 people on 20 houses at p99', quantile(times, 0.99), 500, 'ms');
  if (reads.length > 5) hold('reading a house from a warm process at p95', quantile(reads, 0.95), 60, 'ms');
  if (!isQuick) {
    await sleep(30_000);
    const after = target.residentMb();
    figures.push(
      `memory at rest: ${rest.toFixed(0)} MB before, ${after.toFixed(0)} MB half a minute after, with twenty houses more in it`,
    );
    const cpu = await twoAgainstOne(isQuick);
    figures.push(cpu.told);
    hold('processor an edit by two processes against one', cpu.ratio, 1.1, 'times');
  }
  await target.kill();
  return { findings, figures };
}
