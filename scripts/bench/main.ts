// Measures what docs/performance.md holds. Every figure is a line "name: value (wanted …) ok|short"; exit 1 when one falls short.
import { measureChecks } from './checks';
import { measureGrowth } from './growth';
import { measureRoutes } from './routes';
import { measureServer } from './server';
import { measurePages } from './pages';

export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly wanted: number;
}

/** Milliseconds to read 32 MB once, the best of five. On a shared machine it changes from minute to minute, and bare times with it. */
function readMemory(): number {
  const numbers = new Float64Array(4_000_000).fill(1);
  let best = Infinity;
  for (let turn = 0; turn < 5; turn++) {
    const started = performance.now();
    let sum = 0;
    for (let i = 0; i < numbers.length; i++) sum += numbers[i]!;
    best = Math.min(best, performance.now() - started);
    if (sum !== numbers.length) throw new Error('misread');
  }
  return best;
}

const before = readMemory();
const checks = measureChecks();
const after = readMemory();
console.log(
  `this machine just now: 32 MB of memory read in ${before.toFixed(1)} ms before the checks, ${after.toFixed(1)} after`,
);
const figures: Figure[] = [
  ...checks,
  ...measureRoutes(),
  ...measureGrowth(),
  ...(await measureServer()),
  ...(await measurePages()),
];
let isShort = false;
for (const { name, value, unit, wanted } of figures) {
  const short = value > wanted;
  isShort ||= short;
  console.log(
    `${name}: ${value.toFixed(value < 10 ? 2 : 0)} ${unit} (wanted at most ${wanted} ${unit}) ${short ? 'short' : 'ok'}`,
  );
}
process.exit(isShort ? 1 : 0);
