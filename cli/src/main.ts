import { readFileSync } from 'node:fs';
import { run } from './run';

const { code, out, err } = run(process.argv.slice(2), (path) => readFileSync(path, 'utf8'));
if (out) process.stdout.write(out);
if (err) process.stderr.write(err);
process.exitCode = code;
