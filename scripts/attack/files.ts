import { readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { combCorners } from '../../core/src/test/combs';
import { demo, manyTimes } from '../bench/checks';
import { Person, randomFrom, root, sleep, Target, type Outcome } from './target';

interface Room {
  id: string;
  level: string;
  name: string;
  prefix: string;
  kind: string;
  corners: { id: string; x: number; y: number }[];
}

/** A house file of nothing but combs. */
function tangle(rooms: number): unknown {
  const demo = JSON.parse(readFileSync(join(root, 'demo/studio-house.json'), 'utf8')) as {
    levels: Record<string, unknown>;
  };
  const level = Object.keys(demo.levels)[0]!;
  const all: Record<string, Room> = {};
  for (let i = 0; i < rooms; i++)
    all[`r${i}`] = { id: `r${i}`, level, name: `Room ${i}`, prefix: `R${i}`, kind: 'other', corners: combCorners(i) };
  const empty = Object.fromEntries(Object.entries(demo).map(([key, value]) => [key, isCollection(key) ? {} : value]));
  return { ...empty, levels: demo.levels, rooms: all };
}
const isCollection = (key: string) => !['format', 'version', 'name', 'job', 'standards', 'levels'].includes(key);

/** How long the server takes to say that it is up, while something else is asked of it. */
async function slowestHealth(url: string, during: Promise<unknown>): Promise<number> {
  let [isDone, slowest] = [false, 0];
  void during.finally(() => (isDone = true));
  while (!isDone) {
    const started = performance.now();
    await fetch(`${url}/api/health`).catch(() => undefined);
    slowest = Math.max(slowest, performance.now() - started);
    await sleep(10);
  }
  return slowest;
}

/** Files and bodies that cost more than they weigh, and senders who dawdle. Nobody else may notice. */
export async function attackFiles(isQuick: boolean): Promise<Outcome> {
  const findings: string[] = [];
  const figures: string[] = [];
  const target = await Target.start();
  const person = await Person.withAccount(target.url, 'files@attack.example');
  const before = target.residentMb();
  const text = readFileSync(join(root, 'demo/studio-house.json'), 'utf8');
  const timed = async (
    what: string,
    limitMs: number,
    work: () => Promise<{ status: number }>,
    wanted: (status: number) => boolean,
  ) => {
    const started = performance.now();
    const answer = work();
    const [health, { status }] = [await slowestHealth(target.url, answer), await answer];
    const took = performance.now() - started;
    figures.push(`${what}: ${status} in ${took.toFixed(0)} ms, others waited at most ${health.toFixed(0)} ms`);
    if (!wanted(status)) findings.push(`${what}: answered ${status}`);
    const slack = isQuick ? 3 : 1;
    if (took > limitMs * slack) findings.push(`${what}: took ${took.toFixed(0)} ms`);
    if (health > 1_000 * slack) findings.push(`${what}: others waited ${health.toFixed(0)} ms`);
  };
  const refused = (status: number) => status >= 400 && status < 500;
  await timed(
    '400 rooms of 60 corners in each other',
    8_000,
    () => person.call('POST', '/houses/file', tangle(400)),
    refused,
  );
  const ten = manyTimes(demo, 10);
  const size = `${Object.keys(ten.rooms).length} rooms and ${Object.keys(ten.boxes).length} boxes`;
  await timed(
    `ten times the demo house (${size})`,
    6_000,
    () => person.call('POST', '/houses/file', ten),
    (one) => one === 201,
  );
  await timed('501 rooms', 2_000, () => person.call('POST', '/houses/file', tangle(501)), refused);
  await timed('11 MB of brackets', 4_000, () => person.call('POST', '/houses/file', '['.repeat(11_000_000)), refused);
  await timed(
    '11 MB of one text',
    4_000,
    () => person.call('POST', '/houses/file', `"${'x'.repeat(11_000_000)}"`),
    refused,
  );
  const bomb = brotliCompressSync(Buffer.alloc(50_000_000, 32));
  const brotli = async () => {
    const headers = { 'content-type': 'application/json', 'content-encoding': 'br' };
    return {
      status: (await fetch(`${target.url}/api/session`, { method: 'POST', headers, body: new Uint8Array(bomb) }))
        .status,
    };
  };
  await timed(`${bomb.length} bytes of Brotli for 50 MB`, 1_000, brotli, (status) => status === 415);
  const random = randomFrom(7);
  let broken = 0;
  for (let n = 0; n < (isQuick ? 15 : 200); n++) {
    // A house file with a few bytes changed.
    const bytes = [...text];
    for (let k = 0; k < 1 + random(6); k++) bytes[random(bytes.length)] = String.fromCharCode(random(128));
    const { status } = await person.call('POST', '/houses/file', bytes.join(''));
    if (status === 0 || status >= 500) findings.push(`a changed house file: ${status}`);
    if (status >= 400) broken++;
  }
  figures.push(`changed house files: ${broken} refused, none a fault`);
  // Four hundred connections that say nothing.
  const silent = Array.from({ length: 400 }, () => connect(target.port, '127.0.0.1').on('error', () => undefined));
  const started = performance.now();
  await fetch(`${target.url}/api/health`);
  if (performance.now() - started > 1_000) findings.push('silent connections keep others waiting');
  silent.forEach((socket) => socket.destroy());
  const after = target.residentMb();
  figures.push(`memory: ${before.toFixed(0)} MB before, ${after.toFixed(0)} MB after`);
  if (after > before + 400) findings.push(`memory grew from ${before.toFixed(0)} to ${after.toFixed(0)} MB`);
  await target.kill();
  return { findings, figures };
}
