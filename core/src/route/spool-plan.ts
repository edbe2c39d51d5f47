import { groupBy } from '../units/group-by';

/** A length to be cut: feet, and whose it is. */
export interface Cut<T> {
  readonly feet: number;
  readonly of: T;
}

/** A coil, a spool or a leftover, with what is cut from it in order. */
export interface Spool<T> {
  readonly kind: 'leftover' | 'coil' | 'spool';
  readonly feet: number;
  readonly cuts: readonly Cut<T>[];
  readonly leftFt: number;
}

interface SpoolPlan<T> {
  readonly spools: readonly Spool<T>[];
  /** Feet to be bought, and what no plan can do with less. Equal: nothing is better. */
  readonly boughtFt: number;
  readonly boundFt: number;
  /** Longer than anything it could be cut from. */
  readonly tooLong: readonly Cut<T>[];
}

/** What cable is sold in, feet: *common practice*. */
const COIL_FT = 250;
const SPOOL_FT = 1000;

/** What stays on every coil and spool: its start, and lengths that are not cut to the inch. Feet, *common practice*. */
const UNUSED_FT = 5;

/** Trials of the exact search before the best that is known is taken. */
const BUDGET = 60_000;

interface Bin {
  readonly kind: Spool<unknown>['kind'];
  readonly feet: number;
}

const usable = ({ kind, feet }: Bin): number => (kind === 'leftover' ? feet : feet - UNUSED_FT);

/** Puts lengths into bins, the longest first and each where least is left; exhaustively where that does not do. */
class Packing {
  readonly #left: number[];
  readonly #in: number[];
  trials = 0;

  constructor(
    readonly lengths: readonly number[],
    readonly bins: readonly Bin[],
  ) {
    this.#left = bins.map(usable);
    this.#in = lengths.map(() => -1);
  }

  get placed(): readonly number[] {
    return this.#in;
  }

  /** Whether everything goes in; undefined where the budget ran out first. */
  fits(): boolean | undefined {
    const whole = this.#left.reduce((sum, one) => sum + one, 0);
    if (this.lengths.reduce((sum, one) => sum + one, 0) > whole) return false;
    return this.#place(0);
  }

  #place(i: number): boolean | undefined {
    if (i === this.lengths.length) return true;
    if (++this.trials > BUDGET) return undefined;
    const feet = this.lengths[i]!;
    // One bin of each remaining length: others like it lead to the same. Those that are left nearly full are tried first.
    const tried = new Set<number>();
    const order = this.#left.map((_, b) => b).sort((a, b) => this.#left[a]! - this.#left[b]!);
    for (const b of order) {
      const left = this.#left[b]!;
      if (left < feet || tried.has(left)) continue;
      tried.add(left);
      this.#left[b] = left - feet;
      this.#in[i] = b;
      const done = this.#place(i + 1);
      if (done !== false) return done;
      this.#left[b] = left;
      this.#in[i] = -1;
    }
    return false;
  }
}

/**
 * Which lengths are cut from which coil: leftovers first, then as few feet bought as can be, spools before coils where both come to the
 * same. Exact by exhaustive search within a budget; the bound says how far from the best the plan may be.
 */
export function planSpools<T>(cuts: readonly Cut<T>[], leftoversFt: readonly number[] = []): SpoolPlan<T> {
  const longest = Math.max(SPOOL_FT - UNUSED_FT, ...leftoversFt);
  const tooLong = cuts.filter((one) => one.feet > longest);
  const sorted = cuts.filter((one) => one.feet <= longest && one.feet > 0).sort((a, b) => b.feet - a.feet);
  const lengths = sorted.map((one) => one.feet);
  const rest = leftoversFt.filter((one) => one > 0).map((feet): Bin => ({ kind: 'leftover', feet }));
  const total = lengths.reduce((sum, one) => sum + one, 0);
  const spare = rest.reduce((sum, one) => sum + one.feet, 0);
  const least = Math.max(0, Math.ceil((total - spare) / COIL_FT)) * COIL_FT;
  let boundFt = least;
  let isProved = true;
  for (let bought = least; ; bought += COIL_FT) {
    for (let spools = Math.floor(bought / SPOOL_FT); spools >= 0; spools--) {
      const coils = (bought - spools * SPOOL_FT) / COIL_FT;
      const bins: Bin[] = [
        ...rest,
        ...Array.from({ length: coils }, (): Bin => ({ kind: 'coil', feet: COIL_FT })),
        ...Array.from({ length: spools }, (): Bin => ({ kind: 'spool', feet: SPOOL_FT })),
      ];
      const packing = new Packing(lengths, bins);
      const fits = packing.fits();
      if (fits) return { spools: fill(sorted, bins, packing.placed), boughtFt: bought, boundFt, tooLong };
      if (fits === undefined) isProved = false;
    }
    // Nothing with so few feet goes in, and that is proved: the bound rises.
    if (isProved) boundFt = bought + COIL_FT;
  }
}

function fill<T>(cuts: readonly Cut<T>[], bins: readonly Bin[], placed: readonly number[]): Spool<T>[] {
  const byBin = groupBy(
    cuts.map((cut, i) => ({ cut, bin: placed[i]! })),
    (one) => String(one.bin),
  );
  return bins.flatMap(({ kind, feet }, b): Spool<T>[] => {
    const inBin = (byBin.get(String(b)) ?? []).map((one) => one.cut);
    const used = inBin.reduce((sum, one) => sum + one.feet, 0);
    // A leftover that nothing is cut from stays on the shelf.
    return kind === 'leftover' && inBin.length === 0 ? [] : [{ kind, feet, cuts: inBin, leftFt: feet - used }];
  });
}
