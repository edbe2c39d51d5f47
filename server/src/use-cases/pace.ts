import { createHash } from 'node:crypto';
import type { Db } from '../db/database';
import { countFailures, countOne, forgetFailures } from '../db/rate-limits';
import { Refusal } from './errors';

const WINDOW_MS = 15 * 60_000;

/**
 * After so many failures within a quarter of an hour each further try waits, longer with each, up to the most. Nobody is
 * locked out: whoever knows the password gets in, if a little later. Limits by ASVS 2.2.1 and our own judgement.
 */
const PACES = {
  /** One account, from wherever. */
  account: { free: 5, mostMs: 4_000 },
  /** One address, for whatever account. */
  address: { free: 20, mostMs: 4_000 },
  /** The whole server. */
  all: { free: 500, mostMs: 1_000 },
} as const;
type Pace = keyof typeof PACES;

/** Tries that may wait at once from one address for one account: waiting side by side would be no waiting. */
const AT_ONCE = 2;
const AT_ONCE_ADDRESS = 10;

interface Try {
  /** As it is looked up: trimmed, in small letters. */
  readonly account: string;
  readonly address: string;
}

const delayMs = (pace: Pace, failures: number): number => {
  const { free, mostMs } = PACES[pace];
  return failures < free ? 0 : Math.min(mostMs, 250 * 2 ** Math.min(10, failures - free));
};

export type Sleep = (ms: number) => Promise<void>;
export const sleep: Sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Slows down guessing, without a door that a guesser could shut before the owner. Counted in the database, for all processes together. */
export class TryPace {
  readonly #waiting = new Map<string, number>();
  /** Tries of one account go one after the other, so that a delay is one however many ask. */
  readonly #lines = new Map<string, Promise<unknown>>();

  constructor(
    private readonly db: Db,
    private readonly sleep: Sleep,
  ) {}

  /** Does a try at its pace. `work` answers whether it was right; a failure makes the next slower. */
  async run<T>(one: Try, work: () => Promise<T | undefined>): Promise<T | undefined> {
    const name = createHash('sha256').update(one.account).digest('base64url').slice(0, 22);
    const keys: Record<Pace, string> = {
      account: `try account ${name}`,
      address: `try address ${one.address}`,
      all: 'try all',
    };
    const [both, from] = [`${one.address} ${name}`, one.address];
    this.#enter(both, AT_ONCE);
    try {
      this.#enter(from, AT_ONCE_ADDRESS);
      try {
        return await this.#inLine(both, () => this.#try(keys, work));
      } finally {
        this.#leave(from);
      }
    } finally {
      this.#leave(both);
    }
  }

  #enter(key: string, most: number): void {
    const waiting = this.#waiting.get(key) ?? 0;
    if (waiting >= most)
      throw new Refusal(429, 'too-many-tries', 'Another try is under way. Wait a few seconds and try again.', {}, 5);
    this.#waiting.set(key, waiting + 1);
  }

  #leave(key: string): void {
    const waiting = this.#waiting.get(key)! - 1;
    if (waiting === 0) this.#waiting.delete(key);
    else this.#waiting.set(key, waiting);
  }

  async #inLine<T>(key: string, work: () => Promise<T>): Promise<T> {
    const mine = (this.#lines.get(key) ?? Promise.resolve()).then(work);
    const settled = mine.catch(() => undefined);
    this.#lines.set(key, settled);
    try {
      return await mine;
    } finally {
      if (this.#lines.get(key) === settled) this.#lines.delete(key);
    }
  }

  async #try<T>(keys: Record<Pace, string>, work: () => Promise<T | undefined>): Promise<T | undefined> {
    const paces = Object.keys(PACES) as Pace[];
    const failures = await countFailures(this.db, Object.values(keys));
    const delay = Math.max(...paces.map((pace) => delayMs(pace, failures.get(keys[pace]) ?? 0)));
    if (delay > 0) await this.sleep(delay);
    const done = await work();
    if (done === undefined) for (const pace of paces) await countOne(this.db, keys[pace], WINDOW_MS);
    else await forgetFailures(this.db, keys.account);
    return done;
  }

  /** At most `most` of something within a window from one address: accounts opened, letters asked for. @throws Refusal beyond. */
  async limit(what: string, address: string, most: number, windowMs = 60 * 60_000): Promise<void> {
    if ((await countOne(this.db, `${what} ${address}`, windowMs)) > most)
      throw new Refusal(
        429,
        'too-many-tries',
        'Too many tries from this address. Wait an hour and try again.',
        {},
        3600,
      );
  }
}
