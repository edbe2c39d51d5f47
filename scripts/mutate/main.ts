import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { commonTokens } from '@stryker-mutator/api/plugin';
import { Stryker } from '@stryker-mutator/core';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { createInjector } from 'typed-inject';
import { sampleOf } from './sample.ts';

/**
 * `npm run mutate -- <folder of core/src> [mutants] [seed]`: changes one operator, condition or constant after the other in a seeded
 * sample and runs the tests on each. What survives is something that no test looks at. Words, shapes and empty blocks are left alone:
 * a changed sentence is no wrong answer.
 */
const [folder = 'nec/protection', count = '600', seed = '1'] = process.argv.slice(2);
const NOT_LOOKED_AT = ['StringLiteral', 'ObjectLiteral', 'ArrayDeclaration', 'BlockStatement', 'Regex'];

const files = readdirSync(join('core/src', folder), { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
  .map((name) => join('core/src', folder, name))
  .sort();
/** The part of an instrumenter that is needed here. Its own types ask for an injector that only the runner makes. */
interface Lister {
  instrument(files: readonly object[], options: object): Promise<{ mutants: readonly Listed[] }>;
}
interface Listed {
  readonly fileName: string;
  readonly location: Record<'start' | 'end', { readonly line: number; readonly column: number }>;
}
const quiet = new Proxy({}, { get: () => () => false });
const lister = createInjector()
  .provideValue(commonTokens.logger, quiet)
  .injectFunction(createInstrumenter as never) as Lister;
const { mutants } = await lister.instrument(
  files.map((name) => ({ name, content: readFileSync(name, 'utf8'), mutate: true })),
  { plugins: null, excludedMutations: NOT_LOOKED_AT, ignorers: [] },
);
const sample = sampleOf(mutants, Number(count), Number(seed));
const ranges = sample.map(({ fileName, location: { start, end } }) => {
  // Lines count from 1 in a range, columns from 0.
  return `${fileName}:${start.line}:${start.column}-${end.line}:${end.column}`;
});
const results = await new Stryker({
  mutate: ranges,
  mutator: { excludedMutations: NOT_LOOKED_AT },
  testRunner: 'vitest',
  vitest: { configFile: 'scripts/mutate/vitest.config.ts' },
  reporters: ['progress-append-only'],
  concurrency: 2,
  // What is worked out once, as files are loaded, would have every test of the core run again.
  ignoreStatic: true,
  // All tests run once before the first change, which takes minutes on two cores.
  dryRunTimeoutMinutes: 20,
  tempDirName: '.tmp/mutate',
  ignorePatterns: [
    '**/dist',
    '.data',
    '.tmp',
    'web',
    'server',
    'cli',
    'contract',
    'e2e',
    'test-results',
    'docs/screenshots',
  ],
  allowConsoleColors: false,
}).runMutationTest();

const killed = results.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
const survivors = results.filter(({ status }) => status === 'Survived' || status === 'NoCoverage');
const lines = survivors
  .map((one) => {
    const file = one.fileName.slice(one.fileName.indexOf('core/src'));
    const { start } = one.location;
    return `${file}:${start.line}:${start.column} ${one.mutatorName} -> ${one.replacement?.replace(/\s+/g, ' ').slice(0, 80)} (${one.status})`;
  })
  .sort();
mkdirSync('.tmp', { recursive: true });
writeFileSync(`.tmp/survivors-${folder.replaceAll('/', '-')}.txt`, `${lines.join('\n')}\n`);
const total = killed + survivors.length;
console.log(`${folder}: ${killed} of ${total} mutants killed, ${((100 * killed) / total).toFixed(1)} %`);
