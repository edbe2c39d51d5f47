import { ipKeyGenerator, rateLimit, type Store } from 'express-rate-limit';
import type { RequestHandler } from 'express';
import type { Db } from '../db/database';
import { countTry, forgetTries, uncountTry } from '../db/rate-limits';
import { Refusal } from '../use-cases/errors';

const WINDOW_MS = 10 * 60_000;

/** Counts in PostgreSQL, so that all server processes count together. */
const storeIn = (db: Db, prefix: string): Store => ({
  prefix,
  async increment(key) {
    const { hits, resetAt } = await countTry(db, prefix + key, WINDOW_MS);
    return { totalHits: hits, resetTime: resetAt };
  },
  async decrement(key) {
    await uncountTry(db, prefix + key);
  },
  async resetKey(key) {
    await forgetTries(db, prefix + key);
  },
});

/** At most `limit` failed tries in ten minutes from one address for one account. */
export const limitTries = (db: Db, prefix: string, limit: number): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit,
    store: storeIn(db, prefix),
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    keyGenerator: (request) =>
      `${ipKeyGenerator(request.ip ?? '')} ${String((request.body as { email?: unknown } | undefined)?.email ?? '')
        .slice(0, 200)
        .toLowerCase()}`,
    handler: () => {
      throw new Refusal(429, 'too-many-tries', 'Too many tries. Wait ten minutes and try again.');
    },
  });
