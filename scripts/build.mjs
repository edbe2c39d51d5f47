// Bundles server and terminal program, each to one file, and builds the interface. Packages stay outside the bundles.
import { build } from 'esbuild';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The service worker is told every file of this build, and a name that changes with any of them. */
async function buildServiceWorker() {
  const dist = join(root, 'web/dist');
  const files = readdirSync(dist, { recursive: true, withFileTypes: true })
    .filter((one) => one.isFile() && one.name !== 'index.html' && one.name !== 'sw.js')
    .map((one) => '/' + relative(dist, join(one.parentPath, one.name)).replaceAll('\\', '/'))
    .sort();
  const hash = createHash('sha256').update(readFileSync(join(dist, 'index.html')));
  for (const file of files) hash.update(file).update(readFileSync(join(dist, file)));
  await build({
    entryPoints: [join(root, 'web/service-worker/service-worker.ts')],
    outfile: join(dist, 'sw.js'),
    bundle: true,
    format: 'iife',
    target: 'es2022',
    minify: true,
    logLevel: 'warning',
    define: { BUILD: JSON.stringify(hash.digest('hex').slice(0, 16)), FILES: JSON.stringify(files) },
  });
}

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
  await buildServiceWorker();
}
