// Measures what docs/performance.md holds. Every figure is a line "name: value (wanted …) ok|short"; exit 1 when one falls short.
import { measureChecks } from './checks';
import { measureServer } from './server';
import { measurePages } from './pages';

export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly wanted: number;
}

const figures: Figure[] = [...measureChecks(), ...(await measureServer()), ...(await measurePages())];
let isShort = false;
for (const { name, value, unit, wanted } of figures) {
  const short = value > wanted;
  isShort ||= short;
  console.log(
    `${name}: ${value.toFixed(value < 10 ? 2 : 0)} ${unit} (wanted at most ${wanted} ${unit}) ${short ? 'short' : 'ok'}`,
  );
}
process.exit(isShort ? 1 : 0);
