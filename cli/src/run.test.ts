import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { run } from './run';

const demo = readFileSync(new URL('../../demo/studio-house.json', import.meta.url), 'utf8');
const files: Record<string, string> = {
  'demo.json': demo,
  'bad.json': demo.replace('"kind": "living"', '"kind": "lounge"'),
  'half.json': demo.slice(0, 5000),
};
const call = (line: string) =>
  run(line.split(' ').filter(Boolean), (path) => {
    if (!(path in files)) throw new Error('no such file');
    return files[path]!;
  });

describe('winculum', () => {
  it('check prints findings and exits 1 when there are violations', () => {
    const { code, out } = call('check demo.json');
    expect(code).toBe(1);
    expect(out).toContain('violation  wall-receptacle-spacing  NEC 2023 210.52(A)(1) (from memory, high)');
    expect(out).toContain('measured 10\'-6" at the worst point; required 6\'-0" along the floor line');
    expect(out).toMatch(/4 violations, 2 open questions, 6 other notes, NEC 2023\n$/);
  });

  it('check --json gives the same as data, under another edition', () => {
    const { code, out } = call('check demo.json --edition 2017 --json');
    const answer = JSON.parse(out) as { edition: string; violations: number; findings: Record<string, unknown>[] };
    expect([code, answer.edition, answer.violations]).toEqual([1, '2017', 5]);
    for (const finding of answer.findings)
      expect(Object.keys(finding)).toEqual([
        'rule',
        'edition',
        'section',
        'severity',
        'verdict',
        'place',
        'where',
        'measured',
        'required',
        'basis',
        'message',
      ]);
  });

  it('exits 0 on a clean house', () => {
    files['clean.json'] = JSON.stringify({
      ...(JSON.parse(demo) as object),
      rooms: {},
      openings: {},
      features: {},
      boxes: {},
      loads: {},
      circuits: {},
      switchGroups: {},
      cables: {},
      panels: {},
    });
    expect(call('check clean.json').code).toBe(0);
  });

  it.each([
    ['check bad.json', 'bad.json: rooms.living.kind: Kind: one of kitchen, dining'],
    ['check half.json', 'half.json: (file): The file is not JSON'],
    ['check gone.json', 'gone.json cannot be read'],
    ['check', 'check needs a house file'],
    ['check demo.json --edition 1999', '--edition: "1999" is not known. Known: 2014, 2017, 2020, 2023'],
    ['dance demo.json', 'there is no command "dance"'],
    ['check demo.json --loud', 'See winculum --help'],
    ['place demo.json --room attics', '--room: no room "attics"'],
  ])('%s exits 2 and says why', (line, expected) => {
    const { code, out, err } = call(line);
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(expected);
  });

  it('schedule prints the panel, as text and as CSV', () => {
    expect(call('schedule demo.json').out).toContain('  1 A   50A/2p plain   Ceramics studio kiln');
    expect(call('schedule demo.json --csv').out.split('\r\n')).toHaveLength(42);
  });

  it('place proposes what is missing', () => {
    expect(call('place demo.json --room bed2').out).toMatch(
      /Bedroom 2: .*along wall c[23], 1'-4" high, wall space, on a stud\n1 receptacle proposed/,
    );
    expect(JSON.parse(call('place demo.json --json').out)).toMatchObject({ unreachable: [] });
  });

  it('schema and help print themselves', () => {
    expect(JSON.parse(call('schema').out)).toHaveProperty('properties.rooms');
    expect(call('--help').out).toContain('A plan is not permission');
  });

  it('falls silent when the reader has seen enough', async () => {
    const main = fileURLToPath(new URL('main.ts', import.meta.url));
    const child = spawn(process.execPath, ['--import', 'tsx', main, 'schema'], { stdio: ['ignore', 'pipe', 'pipe'] });
    child.stdout.destroy();
    let said = '';
    child.stderr.on('data', (text) => (said += String(text)));
    const [code] = (await once(child, 'close')) as [number];
    expect([code, said]).toEqual([0, '']);
  }, 20_000);
});
