import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import type { Request, RequestHandler } from 'express';
import type { SignedIn } from '@winculum/contract';
import type { Database } from '../db/database';

const NAME = 'winculum';
const SESSION_DAYS = 30;
const MOST_REMEMBERED = 2_000;

/** What a session holds of the person who signed in. It never changes after the sign-in that made it. */
export interface KnownSession {
  readonly id: string;
  readonly csrf: string;
  readonly member: SignedIn;
}

/** Whether the request writes an edit: the one that comes at every stroke, and whose statement looks at the session itself. */
const writesEdit = (request: Request) => request.method === 'POST' && /^\/houses\/[^/]+\/edits$/.test(request.path);

/** The cookie as it came, signature and all: whoever can show it whole has been given it. */
const cookieOf = (request: Request): string | undefined =>
  new RegExp(`(?:^|; )${NAME}=([^;]+)`).exec(request.headers.cookie ?? '')?.[1];

/**
 * Sessions live in PostgreSQL. A request that writes an edit starts from what this process read of its session before: a
 * guess, which the writing statement makes certain by looking for the session's row in the same breath. Where the guess does
 * not hold, `request.readSession` reads it as for any other request.
 */
export function sessions(options: { pool: Database['pool']; secret: string; https: boolean }): RequestHandler {
  const PgStore = connectPgSimple(session);
  const read = session({
    name: NAME,
    secret: options.secret,
    resave: false,
    saveUninitialized: false,
    cookie: {
      httpOnly: true,
      sameSite: 'strict' as const,
      secure: options.https,
      maxAge: SESSION_DAYS * 86_400_000,
    },
    store: new PgStore({
      pool: options.pool,
      tableName: 'session',
      disableTouch: true,
      pruneSessionInterval: 3600,
      errorLog: () => undefined,
    }),
  });
  const known = new Map<string, KnownSession>();
  const remember = (cookie: string, { sessionID: id, session: { csrf, member } }: Request) => {
    if (!member || !csrf) return;
    if (known.size >= MOST_REMEMBERED) known.delete(known.keys().next().value!);
    known.set(cookie, { id, csrf, member });
  };
  return (request, response, next) => {
    const cookie = writesEdit(request) ? cookieOf(request) : undefined;
    if (cookie === undefined) return read(request, response, next);
    const readSession = () =>
      new Promise<void>((resolve, reject) => {
        known.delete(cookie);
        read(request, response, (error?: unknown) => {
          if (error) return reject(error as Error);
          remember(cookie, request);
          resolve();
        });
      });
    request.known = known.get(cookie);
    if (!request.known) return void readSession().then(() => next(), next);
    request.readSession = readSession;
    next();
  };
}

declare module 'express-serve-static-core' {
  interface Request {
    /** What was read of the session before, on the way of an edit; its session itself is not read yet then. */
    known?: KnownSession | undefined;
    readSession?: () => Promise<void>;
  }
}
