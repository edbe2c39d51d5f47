import { randomBytes } from 'node:crypto';
import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import type { Request, RequestHandler } from 'express';
import type { SignedIn } from '@winculum/contract';
import type { Database } from '../db/database';
import { touchSession } from '../db/sessions';
import type { Caller } from '../use-cases/accounts';

/** Without use a session ends after half an hour, and in any case after twelve hours: ASVS 3.3 at level 2. */
const IDLE_S = 30 * 60;
const WHOLE_S = 12 * 3600;
const DAY_S = 86_400;
/** A session that is used is said to be so once a minute at most. */
const TOUCH_MS = 60_000;
const MOST_REMEMBERED = 2_000;

/** Browsers take a cookie with this prefix from this host alone, by https, for all of it. */
export const cookieName = (isHttps: boolean): string => (isHttps ? '__Host-winculum' : 'winculum');

declare module 'express-session' {
  interface SessionData {
    userId: string;
    csrf: string;
    /** Who signed in, as it was then: a guess that saves a query where the database checks it again. */
    member: SignedIn;
    device: string;
    address: string;
    trusted: boolean;
    /** Seconds without use after which it ends, and seconds after which it ends in any case. */
    idleS: number;
    wholeS: number;
    /** When the person last showed their password in it. */
    confirmedAt: number;
    /** The secret of a second factor that is being set up. */
    newSecret: string;
  }
}

/** What a session holds of the person who signed in. It never changes after the sign-in that made it. */
interface KnownSession {
  readonly id: string;
  readonly csrf: string;
  readonly member: SignedIn;
}

/** Whether the request writes an edit: the one that comes at every stroke, and whose statement looks at the session itself. */
const writesEdit = (request: Request) => request.method === 'POST' && /^\/houses\/[^/]+\/edits$/.test(request.path);

/** The cookie as it came, signature and all: whoever can show it whole has been given it. */
const cookieOf = (request: Request, name: string): string | undefined =>
  new RegExp(`(?:^|; )${name}=([^;]+)`).exec(request.headers.cookie ?? '')?.[1];

interface SessionOptions {
  readonly database: Database;
  readonly secret: string;
  readonly https: boolean;
}

/** Says that sessions are used, each once a minute at most, behind whoever waits. */
function toucher({ db }: Database): (sid: string) => void {
  const touched = new Map<string, number>();
  return (sid) => {
    const now = Date.now();
    if (now - (touched.get(sid) ?? 0) < TOUCH_MS) return;
    if (touched.size >= MOST_REMEMBERED) touched.delete(touched.keys().next().value!);
    touched.set(sid, now);
    touchSession(db, sid).catch(() => undefined);
  };
}

/**
 * Sessions live in PostgreSQL. A request that writes an edit starts from what this process read of its session before: a
 * guess, which the writing statement makes certain by looking for the session's row in the same breath. Where the guess does
 * not hold, `request.readSession` reads it as for any other request.
 */
export function sessions({ database, secret, https }: SessionOptions): RequestHandler {
  const PgStore = connectPgSimple(session);
  const name = cookieName(https);
  const read = session({
    name,
    secret,
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'strict' as const, secure: https, path: '/', maxAge: WHOLE_S * 1000 },
    store: new PgStore({
      pool: database.pool,
      tableName: 'session',
      disableTouch: true,
      pruneSessionInterval: false,
      errorLog: () => undefined,
    }),
  });
  const touch = toucher(database);
  const known = new Map<string, KnownSession>();
  const remember = (cookie: string, { sessionID: id, session: { csrf, member } }: Request) => {
    if (!member || !csrf) return;
    if (known.size >= MOST_REMEMBERED) known.delete(known.keys().next().value!);
    known.set(cookie, { id, csrf, member });
  };
  return (request, response, next) => {
    const cookie = writesEdit(request) ? cookieOf(request, name) : undefined;
    if (cookie === undefined)
      return read(request, response, (error?: unknown) => {
        if (!error && request.session.userId) touch(request.sessionID);
        next(error);
      });
    const readSession = () =>
      new Promise<void>((resolve, reject) => {
        known.delete(cookie);
        read(request, response, (error?: unknown) => {
          if (error) return reject(error as Error);
          remember(cookie, request);
          if (request.session.userId) touch(request.sessionID);
          resolve();
        });
      });
    request.known = known.get(cookie);
    if (!request.known) return void readSession().then(() => next(), next);
    touch(request.known.id);
    request.readSession = readSession;
    next();
  };
}

interface SessionStart extends Caller {
  readonly member: SignedIn;
  /** Days that the device stays signed in; 0 for the usual times. */
  readonly trustDays: number;
}

/** Starts a session of its own for a person, so that no id known before the sign-in stays good. Answers its token. */
export function startSession(request: Request, start: SessionStart): Promise<string> {
  const trustS = start.trustDays * DAY_S;
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) return reject(error as Error);
      const csrf = randomBytes(24).toString('base64url');
      Object.assign(request.session, {
        userId: start.member.user.id,
        csrf,
        member: start.member,
        device: start.device,
        address: start.address,
        trusted: trustS > 0,
        idleS: trustS || IDLE_S,
        wholeS: trustS || WHOLE_S,
      });
      request.session.cookie.maxAge = (trustS || WHOLE_S) * 1000;
      request.session.save((saveError: unknown) => (saveError ? reject(saveError as Error) : resolve(csrf)));
    });
  });
}

/** Keeps what was just written into the session. @throws when the database cannot be reached. */
export const saveSession = (request: Request): Promise<void> =>
  new Promise((resolve, reject) => {
    request.session.save((error: unknown) => (error ? reject(error as Error) : resolve()));
  });

export const endSession = (request: Request): Promise<void> =>
  new Promise((resolve, reject) => {
    request.session.destroy((error: unknown) => (error ? reject(error as Error) : resolve()));
  });

declare module 'express-serve-static-core' {
  interface Request {
    /** What was read of the session before, on the way of an edit; its session itself is not read yet then. */
    known?: KnownSession | undefined;
    readSession?: () => Promise<void>;
  }
}
