import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { AppliedBatch } from '@winculum/contract';
import { readHouseFile, type House } from '@winculum/core';
import { answerOf, freePort, newDatabase, Person, startApp, startProcess, type Running } from '../test/harness';

const root = new URL('../../..', import.meta.url).pathname;
const read = readHouseFile(readFileSync(join(root, 'demo/studio-house.json'), 'utf8'));
const demo: House = read.ok ? read.value : (undefined as never);
const onWalls = Object.values(demo.boxes).filter((box) => box.at.kind === 'wall' && box.at.alongIn > 10);
const [first, second] = [onWalls[0]!.id, onWalls[1]!.id];
const alongOf = (house: unknown, box: string) => ((house as House).boxes[box]!.at as { alongIn: number }).alongIn;

let app: Running;
beforeAll(async () => void (app = await startApp()));
afterAll(() => app.stop());

async function owner(url = app.url): Promise<Person> {
  const person = new Person(url);
  await person.openAccount('Sync firm', `${randomUUID()}@sync.example`);
  return person;
}
const houseOf = async (person: Person, id: string) =>
  (await person.call('get', `/houses/${id}`)).body as { version: number; house: House };

/** Listens to a house's events until `count` batches have come. */
async function listen(person: Person, id: string, count: number, after = 0): Promise<AppliedBatch[]> {
  const stop = new AbortController();
  const response = await fetch(`${person.url}/api/houses/${id}/events?after=${after}`, {
    headers: { cookie: person.cookie },
    signal: stop.signal,
  });
  const heard: AppliedBatch[] = [];
  let text = '';
  const decoder = new TextDecoder();
  for await (const chunk of response.body!) {
    text += decoder.decode(chunk as Uint8Array, { stream: true });
    const events = text.split('\n\n');
    text = events.pop()!;
    for (const event of events) {
      const data = /^event: batch\ndata: (.*)$/m.exec(event)?.[1];
      if (data) heard.push(JSON.parse(data) as AppliedBatch);
    }
    if (heard.length >= count) break;
  }
  stop.abort();
  return heard;
}

describe('batches', () => {
  it('are applied whole, raise the version, and reach other windows', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    const hearing = listen(anna, id, 2);
    expect(answerOf(await anna.move(id, demo, first, 11, 0)).version).toBe(1);
    expect(answerOf(await anna.move(id, demo, second, 12, 1)).version).toBe(2);
    expect((await hearing).map((batch) => batch.version)).toEqual([1, 2]);
    const { house } = await houseOf(anna, id);
    expect([alongOf(house, first), alongOf(house, second)]).toEqual([11, 12]);
  });

  it('on an older version are rebased where they touch other places, with what was missed', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    await anna.move(id, demo, first, 11, 0);
    const answer = answerOf(await anna.move(id, demo, second, 12, 0));
    expect(answer.version).toBe(2);
    expect(answer.missed.map((batch) => batch.version)).toEqual([1]);
  });

  it('on the same place are refused with both sides, and nothing changes', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    await anna.move(id, demo, first, 11, 0);
    const refused = await anna.move(id, demo, first, 22, 0);
    expect(refused.status).toBe(409);
    expect(refused.body).toMatchObject({ code: 'conflict', theirs: [{ version: 1, author: 'Person of Sync firm' }] });
    expect(alongOf((await houseOf(anna, id)).house, first)).toBe(11);
  });

  it('with one bad edit among good ones are refused whole', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    const patch = (box: string, value: unknown) => ({
      label: 'x',
      patches: [{ op: 'replace', path: ['boxes', box, 'at', 'alongIn'], value }],
    });
    const answer = await anna.call('post', `/houses/${id}/edits`, {
      id: randomUUID(),
      base: 0,
      edits: [patch(first, 12), patch(second, 99_999)],
    });
    expect(answer.status).toBe(422);
    expect(await houseOf(anna, id)).toMatchObject({ version: 0, house: { boxes: demo.boxes } });
  });

  it('from a session that has ended, here or at another process, are refused and change nothing', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    expect((await anna.move(id, demo, first, 11, 0)).status).toBe(200);
    await app.database.pool.query('delete from session');
    expect((await anna.move(id, demo, first, 12, 1)).status).toBe(401);
    const { rows } = await app.database.pool.query('select version from houses where id = $1', [id]);
    expect(rows).toEqual([{ version: 1 }]);
  });

  it('sent twice are applied once', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    const batchId = randomUUID();
    expect(answerOf(await anna.move(id, demo, first, 11, 0, batchId)).version).toBe(1);
    expect(answerOf(await anna.move(id, demo, first, 11, 0, batchId)).version).toBe(1);
    expect((await houseOf(anna, id)).version).toBe(1);
  });

  it('in the words of version 1, on a snapshot of version 1, are understood', async () => {
    const email = `${randomUUID()}@sync.example`;
    const anna = new Person(app.url);
    await anna.openAccount('Old words', email);
    const id = await anna.addHouse(demo);
    const [level] = Object.keys(demo.levels);
    const old = JSON.stringify(demo)
      .replace('"version":2', '"version":1')
      .replaceAll(/"grade":"(below|above|not-known)"/g, (_, grade: string) => `"belowGrade":${grade === 'below'}`)
      .replaceAll('"origin":"request"', '"origin":"wish"')
      .replace('"decisions"', '"amendments"');
    await app.database.pool.query('update snapshots set house = $2::json where house_id = $1', [id, old]);
    const again = await startApp(app.database.pool.options.connectionString);
    const there = new Person(again.url);
    await there.signIn(email);
    const edits = [
      { label: 'Old words', patches: [{ op: 'replace', path: ['levels', level, 'belowGrade'], value: true }] },
    ];
    const answer = await there.call('post', `/houses/${id}/edits`, { id: randomUUID(), base: 0, edits });
    expect(answerOf(answer).version).toBe(1);
    const { house } = await houseOf(there, id);
    expect(house.levels[level!]!.grade).toBe('below');
    expect(house.decisions).toEqual({});
    await again.stop();
  });

  it('beyond a snapshot are replayed to the same house', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    for (let n = 0; n < 56; n++) await anna.move(id, demo, first, 11 + n, n);
    const again = await startApp(app.database.pool.options.connectionString);
    const there = new Person(again.url);
    Object.assign(there, { csrf: anna.csrf });
    const answer = await fetch(`${again.url}/api/houses/${id}`, { headers: { cookie: anna.cookie } });
    const state = (await answer.json()) as { version: number; house: House };
    expect([state.version, alongOf(state.house, first)]).toEqual([56, 66]);
    const kept = 'select version from snapshots where house_id = $1 order by version';
    await vi.waitFor(async () => {
      const { rows } = await app.database.pool.query(kept, [id]);
      expect(rows).toEqual([{ version: 0 }, { version: 50 }]);
    });
    await again.stop();
  });
});

describe('a database that drops every connection', () => {
  it('loses nothing: the edit goes through on a new connection, and windows hear of it again', async () => {
    const own = await startApp();
    const anna = await owner(own.url);
    const id = await anna.addHouse(demo);
    const hearing = listen(anna, id, 3);
    expect((await anna.move(id, demo, first, 11, 0)).status).toBe(200);
    await app.database.pool.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [
      new URL(own.database.pool.options.connectionString!).pathname.slice(1),
    ]);
    const batchId = randomUUID();
    let answer = await anna.move(id, demo, first, 12, 1, batchId);
    for (let tries = 0; answer.status !== 200 && tries < 20; tries++) {
      expect(answer.status).toBe(503);
      answer = await anna.move(id, demo, first, 12, 1, batchId);
    }
    expect(answerOf(answer).version).toBe(2);
    // Nobody may listen to the database just now: the third batch is told when somebody does again.
    await anna.move(id, demo, second, 13, 2);
    expect((await hearing).map((batch) => batch.version)).toEqual([1, 2, 3]);
    await own.stop();
  });
});

describe('a database that is killed -9 in a burst of edits', () => {
  it('has everything that was acknowledged, and the rest goes through after it is back', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'winculum-killed-'));
    chmodSync(folder, 0o755);
    const startDatabase = (port: string) =>
      execFileSync('bash', ['-c', `. scripts/lib.sh; start_postgres "${folder}" 2>/dev/null; echo "$DATABASE_URL"`], {
        cwd: root,
        env: { ...process.env, PG_PORT: port },
        encoding: 'utf8',
      }).trim();
    const port = String(freePort());
    const own = await startApp(startDatabase(port));
    const anna = await owner(own.url);
    const id = await anna.addHouse(demo);
    let [base, refused] = [0, 0];
    for (let n = 0; n < 14; n++) {
      if (n === 6)
        process.kill(Number(readFileSync(join(folder, 'pg/postmaster.pid'), 'utf8').split('\n')[0]), 'SIGKILL');
      const batchId = randomUUID();
      let answer = await anna.move(id, demo, first, 20 + n, base, batchId);
      for (let tries = 0; answer.status !== 200 && tries < 40; tries++) {
        expect(answer.status).toBe(503);
        refused++;
        await new Promise((resolve) => setTimeout(resolve, 300));
        if (refused === 3) startDatabase(port);
        answer = await anna.move(id, demo, first, 20 + n, base, batchId);
      }
      base = answerOf(answer).version;
      expect(base).toBe(n + 1);
    }
    expect(refused).toBeGreaterThan(2);
    const { version, house } = await houseOf(anna, id);
    expect([version, alongOf(house, first)]).toEqual([14, 33]);
    await own.stop();
    process.kill(Number(readFileSync(join(folder, 'pg/postmaster.pid'), 'utf8').split('\n')[0]), 'SIGQUIT');
    rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 300 });
  });
});

describe('two server processes on one database', () => {
  it('behave as one, and what was acknowledged survives kill -9', async () => {
    const database = await newDatabase();
    const ports = [freePort(), freePort()];
    const processes = [await startProcess(database, ports[0]!), await startProcess(database, ports[1]!)];
    const urls = ports.map((port) => `http://127.0.0.1:${port}`);
    try {
      const anna = await owner(urls[0]!);
      const id = await anna.addHouse(demo);
      const elsewhere = new Person(urls[1]!);
      Object.defineProperty(elsewhere, 'cookie', { get: () => anna.cookie });
      const hearing = listen(elsewhere, id, 12);

      // A burst that the first process does not survive.
      const acknowledged: number[] = [];
      let [base, lost] = [0, 0];
      for (let n = 0; n < 12; n++) {
        if (n === 6) processes[0]!.kill('SIGKILL');
        const batchId = randomUUID();
        let answer = await anna.move(id, demo, first, 20 + n, base, batchId).catch(() => undefined);
        if (answer?.status !== 200) {
          lost++;
          if (processes[0]!.exitCode === null && processes[0]!.signalCode === null)
            await new Promise((resolve) => processes[0]!.once('exit', resolve));
          // The queue goes through by the other process, under the same batch id.
          anna.url = urls[1]!;
          answer = await anna.move(id, demo, first, 20 + n, base, batchId);
        }
        expect(answer.status).toBe(200);
        base = answerOf(answer).version;
        acknowledged.push(base);
      }
      expect(lost).toBeGreaterThan(0);
      expect(acknowledged).toEqual(Array.from({ length: 12 }, (_, n) => n + 1));
      expect((await hearing).map((batch) => batch.version)).toEqual(acknowledged);
      const { version, house } = await houseOf(anna, id);
      expect([version, alongOf(house, first)]).toEqual([12, 31]);
    } finally {
      for (const child of processes) child.kill('SIGKILL');
    }
  });
});
