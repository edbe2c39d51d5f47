import connectPgSimple from 'connect-pg-simple';
import session, { Store, type SessionData } from 'express-session';
import type { Request, RequestHandler } from 'express';
import type { Database } from '../db/database';

const SESSION_DAYS = 30;
const MOST_REMEMBERED = 2_000;

type Loaded = (error: unknown, data?: SessionData | null) => void;

/** Whether the request writes an edit: the one that comes at every stroke, and whose statement looks at the session itself. */
const writesEdit = (request: Request) => request.method === 'POST' && /^\/houses\/[^/]+\/edits$/.test(request.path);

/** A store that answers from memory what it has read before, and leaves all else to the store behind it. */
class Remembered extends Store {
  readonly #read = new Map<string, string>();

  constructor(private readonly behind: Store) {
    super();
  }

  override get(id: string, done: Loaded): void {
    const known = this.#read.get(id);
    if (known) return done(null, JSON.parse(known) as SessionData);
    this.behind.get(id, (error: unknown, data?: SessionData | null) => {
      if (data?.userId) {
        if (this.#read.size >= MOST_REMEMBERED) this.#read.delete(this.#read.keys().next().value!);
        this.#read.set(id, JSON.stringify(data));
      }
      done(error, data);
    });
  }

  override set(id: string, data: SessionData, done?: (error?: unknown) => void): void {
    this.#read.delete(id);
    this.behind.set(id, data, done);
  }

  override destroy(id: string, done?: (error?: unknown) => void): void {
    this.#read.delete(id);
    this.behind.destroy(id, done);
  }

  forget(id: string): void {
    this.#read.delete(id);
  }
}

/**
 * Sessions live in PostgreSQL. What one holds never changes after the sign-in that made it, so the request that writes an
 * edit starts from what this process read before: a guess, which the writing statement makes certain by looking for the
 * session's row in the same breath. Where it does not, {@link readSessionAgain} comes first.
 */
export function sessions(options: { pool: Database['pool']; secret: string; https: boolean }): RequestHandler {
  const PgStore = connectPgSimple(session);
  const common = {
    name: 'winculum',
    secret: options.secret,
    resave: false,
    saveUninitialized: false,
    cookie: {
      httpOnly: true,
      sameSite: 'strict' as const,
      secure: options.https,
      maxAge: SESSION_DAYS * 86_400_000,
    },
  };
  const stored = new PgStore({
    pool: options.pool,
    tableName: 'session',
    disableTouch: true,
    pruneSessionInterval: 3600,
    errorLog: () => undefined,
  });
  const remembered = new Remembered(stored);
  const [surely, quickly] = [session({ ...common, store: stored }), session({ ...common, store: remembered })];
  return (request, response, next) => {
    if (!writesEdit(request)) return surely(request, response, next);
    request.forgetSession = () => remembered.forget(request.sessionID);
    quickly(request, response, next);
  };
}

/** Reads the session from the database instead of from memory; a session that has ended comes back empty. */
export function readSessionAgain(request: Request): Promise<void> {
  request.forgetSession?.();
  return new Promise((resolve, reject) => {
    request.sessionStore.get(request.sessionID, (error: unknown, data) => {
      if (error) return reject(error as Error);
      if (data) return resolve();
      request.session.regenerate((failed: unknown) => (failed ? reject(failed as Error) : resolve()));
    });
  });
}

declare module 'express-serve-static-core' {
  interface Request {
    forgetSession?: () => void;
  }
}
