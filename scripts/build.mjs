// Bundles server and terminal program, each to one file, and builds the interface. Packages stay outside the bundles.
import { build } from 'esbuild';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const dependencies = ['core', 'contract', 'server'].flatMap((part) =>
  Object.keys(JSON.parse(readFileSync(join(root, part, 'package.json'), 'utf8')).dependencies ?? {}),
);
const external = [...new Set(dependencies)].filter((name) => !name.startsWith('@winculum/'));
const shared = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external,
  sourcemap: true,
  logLevel: 'warning',
};

for (const [from, to] of [
  ['main.ts', 'main.js'],
  ['admin/main.ts', 'admin.js'],
  ['checking/house-worker.ts', 'house-worker.js'],
])
  await build({ ...shared, entryPoints: [join(root, 'server/src', from)], outfile: join(root, 'server/dist', to) });
await build({
  ...shared,
  entryPoints: [join(root, 'cli/src/main.ts')],
  outfile: join(root, 'cli/dist/winculum.js'),
  banner: { js: '#!/usr/bin/env node' },
});
if (!process.argv.includes('--no-web')) {
  const vite = await import('vite');
  await vite.build({ root: join(root, 'web'), logLevel: 'warn' });
}
