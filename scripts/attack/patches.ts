import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { validateHouse } from '../../core/src/index';
import { Person, randomFrom, root, Target, type Outcome } from './target';

type Path = (string | number)[];
interface Patch {
  op: string;
  path: Path;
  value?: unknown;
}

/** Every path of a document, to its leaves. */
function pathsOf(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  const below = Array.isArray(value)
    ? value.flatMap((one, i) => pathsOf(one, [...path, i]))
    : Object.entries(value).flatMap(([key, one]) => pathsOf(one, [...path, key]));
  return path.length > 0 ? [path, ...below] : below;
}

const KEYS: readonly (string | number)[] = [
  'a.b',
  '',
  '.',
  '__proto__',
  'constructor',
  'prototype',
  'length',
  'toString',
  'hasOwnProperty',
  'x y',
  'ü',
  'a/b',
  '-',
  '0',
  0,
  1,
  999,
  1_000_000,
  'x'.repeat(80),
  'name',
  'id',
  'devices',
  'corners',
];
const VALUES: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1e308,
  4_294_967_295,
  1.5,
  '',
  ' ',
  'x'.repeat(5_000),
  '<script>',
  {},
  [],
  [[]],
  { id: 'x' },
  { __proto__: 1 },
  { length: 4_294_967_295 },
  JSON.parse('{"__proto__":{"polluted":1}}'),
  'a.b',
  undefined,
];

/** A patch that is right but for one thing; or right in nothing. */
function hostile(paths: readonly Path[], random: (below: number) => number): Patch {
  const pick = <T>(all: readonly T[]): T => all[random(all.length)]!;
  const path = [...pick(paths)];
  const turns: (() => void)[] = [
    () => void (path[random(path.length)] = pick(KEYS)),
    () => void path.push(pick(KEYS)),
    () => void path.pop(),
    () => void path.splice(random(path.length + 1), 0, pick(KEYS)),
    () => undefined,
  ];
  for (let n = random(3); n >= 0; n--) pick(turns)();
  return { op: pick(['add', 'remove', 'replace', 'replace']), path, value: pick(VALUES) };
}

/** Patches from a grammar over a real document: nothing that is stored may be other than the schema allows, however it is sent. */
export async function attackPatches(isQuick: boolean): Promise<Outcome> {
  const findings: string[] = [];
  const target = await Target.start();
  const person = await Person.withAccount(target.url, 'patches@attack.example');
  const demo = JSON.parse(readFileSync(join(root, 'demo/studio-house.json'), 'utf8')) as unknown;
  const id = await person.addHouse(demo);
  const paths = pathsOf(demo);
  const random = randomFrom(20_261_129);
  const counts: Record<number, number> = {};
  let [base, slowest] = [0, 0];
  const most = isQuick ? 500 : 6_000;
  for (let n = 0; n < most; n++) {
    const patches = Array.from({ length: 1 + random(3) }, () => hostile(paths, random));
    const answer = await person.call('POST', `/houses/${id}/edits`, {
      id: randomUUID(),
      base,
      edits: [{ label: 'x', patches }],
    });
    counts[answer.status] = (counts[answer.status] ?? 0) + 1;
    slowest = Math.max(slowest, answer.ms);
    if (answer.status === 200) base = answer.body['version'] as number;
    else if (answer.status < 400 || answer.status >= 500)
      findings.push(`${answer.status} for ${JSON.stringify(patches).slice(0, 300)}`);
  }
  const before = (await person.call('GET', `/houses/${id}`)).body['house'];
  const read = validateHouse(structuredClone(before));
  if (!read.ok) findings.push(`the house is no house: ${read.problems[0]!.path} ${read.problems[0]!.message}`);
  else if (JSON.stringify(read.value) !== JSON.stringify(before) && !sameData(read.value, before))
    findings.push('the house is not written as the schema writes it');
  // Replayed from what is stored, it is the same.
  await target.kill();
  await target.start();
  const after = (await person.call('GET', `/houses/${id}`)).body['house'];
  if (!sameData(before, after)) findings.push('the house differs after a restart');
  if (slowest > (isQuick ? 6_000 : 2_000)) findings.push(`a patch took ${slowest.toFixed(0)} ms`);
  await target.kill();
  const told = Object.entries(counts).map(([status, count]) => `${count} × ${status}`);
  return { findings, figures: [`${most} hostile batches: ${told.join(', ')}; slowest ${slowest.toFixed(0)} ms`] };
}

/** The same, whatever the order of keys. */
export const sameData = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, one]) => [key, sorted(one)]),
  );
}
