import { readFileSync } from 'node:fs';
import { run } from './run';

// Whoever reads the output may have seen enough, as `head` has: that is no error.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});
const { code, out, err } = run(process.argv.slice(2), (path) => readFileSync(path, 'utf8'));
if (out) process.stdout.write(out);
if (err) process.stderr.write(err);
process.exitCode = code;
