import { randomBytes, randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type Request, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp, type Options as PinoHttpOptions } from 'pino-http';
import { HouseChecker } from '../checking/house-checker';
import { Announcements } from '../db/announcements';
import type { Database } from '../db/database';
import { sweep } from '../db/housekeeping';
import { listLetters } from '../db/outbox';
import { createMail } from '../mail/mail';
import { OpenHouses } from '../use-cases/open-houses';
import { sleep, TryPace, type Sleep } from '../use-cases/pace';
import { readBodies } from './bodies';
import { guardChanges, type Context } from './context';
import { answerErrors } from './errors';
import { knownHosts } from './hosts';
import { apiRoutes } from './routes';
import { sessions } from './sessions';

export interface AppOptions {
  readonly database: Database;
  readonly log: Logger;
  /** Signs the session cookie; the same for all processes. */
  readonly secret: string;
  readonly version: string;
  /** The built interface; without it only the API is served. */
  readonly webFolder?: string | undefined;
  /** Browsers reach it by https alone, through a proxy that speaks it. */
  readonly https?: boolean;
  /** Addresses of the proxies whose word on client and protocol is taken; nobody's where nothing is said. */
  readonly proxies?: readonly string[];
  /** The one address by which the server may be asked; without it, any name of this machine's own. */
  readonly publicUrl?: string | undefined;
  /** What links in letters begin with. */
  readonly linksTo?: string | undefined;
  readonly smtpUrl?: string | undefined;
  readonly mailFrom?: string | undefined;
  /** Shows what would have been sent on a page, for development. */
  readonly showsOutbox?: boolean;
  /** How a try that has to wait waits; tests do not wait in earnest. */
  readonly sleep?: Sleep;
  readonly checkBudgetMs?: number;
  readonly accountsAnHour?: number;
  readonly snapshotEvery?: number;
}

interface Application {
  readonly app: Express;
  readonly announcements: Announcements;
  readonly stop: () => Promise<void>;
}

function securityHeaders(https: boolean) {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        // The theme's one style element carries this nonce; everything else is a file.
        styleSrc: [
          "'self'",
          (_request, response) => `'nonce-${(response as unknown as { locals: { nonce: string } }).locals.nonce}'`,
        ],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: https,
  });
}

/** What this application never uses of a browser, nor lets a page in it use. */
const PERMISSIONS =
  'accelerometer=(), ambient-light-sensor=(), autoplay=(), bluetooth=(), camera=(), display-capture=(), encrypted-media=(), ' +
  'geolocation=(), gyroscope=(), hid=(), magnetometer=(), microphone=(), midi=(), payment=(), serial=(), usb=(), xr-spatial-tracking=()';

/**
 * The same headers for answers of the API, which hold no page and so no nonce: asked for once, not composed again at every
 * stroke of an edit.
 */
function apiHeaders(https: boolean): RequestHandler {
  const headers = new Map<string, string>();
  const notes = {
    locals: { nonce: 'none' },
    setHeader: (name: string, value: string) => void headers.set(name, value),
    removeHeader: () => undefined,
  };
  securityHeaders(https)({} as IncomingMessage, notes as unknown as ServerResponse, (error) => {
    if (error) throw error;
  });
  return (_request, response, next) => {
    for (const [name, value] of headers) response.setHeader(name, value);
    response.setHeader('permissions-policy', PERMISSIONS);
    response.setHeader('cache-control', 'no-store');
    next();
  };
}

/** Serves the built interface: files with a hash in their name for a year, the page itself fresh with its nonce. */
function serveInterface(app: Express, folder: string): void {
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(folder, { index: false }));
  app.get('/{*path}', (_request, response) => {
    response
      .set('cache-control', 'no-store')
      .type('html')
      .send(page.replaceAll('__NONCE__', response.locals['nonce'] as string));
  });
}

/** What would have been sent, for whoever develops: a page of the server's own. */
function serveOutbox(app: Express, database: Database): void {
  const escape = (text: string) => text.replace(/[&<>]/g, (one) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[one]!);
  app.get('/outbox', async (_request, response) => {
    const letters = await listLetters(database.db);
    const list = letters.map(
      ({ at, to, subject, body }) =>
        `<h2>${escape(subject)}</h2><p>${escape(to)}, ${at.toISOString()}</p><pre>${escape(body)}</pre>`,
    );
    response
      .type('html')
      .send(`<!doctype html><title>Outbox</title><h1>Outbox</h1>${list.join('') || '<p>Nothing yet.</p>'}`);
  });
}

/** Which requests are worth a look: what failed, and what was refused because of who asked. */
const levelOf: NonNullable<PinoHttpOptions['customLogLevel']> = (_request, response, error) => {
  if (error || response.statusCode >= 500) return 'error';
  return [401, 403, 421, 429].includes(response.statusCode) ? 'warn' : 'info';
};

const logging = (log: Logger): RequestHandler =>
  pinoHttp({
    logger: log,
    genReqId: () => randomUUID(),
    autoLogging: { ignore: (request) => !request.url?.startsWith('/api/') },
    customLogLevel: levelOf,
    customProps: (request) => {
      const { session, known } = request as unknown as Partial<Request>;
      return { user: known?.member.user.id ?? session?.userId, address: (request as unknown as Request).ip };
    },
    serializers: {
      req: (request: { id: string; method: string; url: string }) => ({
        id: request.id,
        method: request.method,
        // What a link's secret part is asked with is no matter for a log.
        url: request.url.replace(/token=[^&]*/, 'token=…'),
      }),
      res: (response: { statusCode: number }) => ({ status: response.statusCode }),
    },
  });

const SWEEP_MS = 3_600_000;

function createContext(options: AppOptions): Context {
  const { database, log, linksTo = '', smtpUrl, mailFrom } = options;
  const { db } = database;
  const checker = new HouseChecker(options.checkBudgetMs);
  const open = new OpenHouses(checker, log, options.snapshotEvery);
  const announcements = new Announcements(db, database.pool, log);
  announcements.forgetHouse = (id) => open.drop(id);
  const mail = createMail({ db, log, publicUrl: linksTo.replace(/\/$/, ''), smtpUrl, from: mailFrom });
  const pace = new TryPace(db, options.sleep ?? sleep);
  const accounts = {
    db,
    mail,
    pace,
    opensAtOnce: !mail.isSent && !options.https,
    anHour: options.accountsAnHour ?? 20,
  };
  return { ...database, log, announcements, open, checker, accounts, isHttps: options.https ?? false };
}

/** The whole application on a database, not yet listening. */
export function createApp(options: AppOptions): Application {
  const { database, log } = options;
  const https = options.https ?? false;
  const context = createContext(options);
  const app = express();
  app.disable('x-powered-by');
  // Answers of the API are never asked for again by their tag; the interface's files have tags of their own.
  app.disable('etag');
  app.set('trust proxy', options.proxies?.length ? [...options.proxies] : false);
  app.set('query parser', 'simple');
  app.use('/api', apiHeaders(https));
  app.use(logging(log));
  app.use(knownHosts({ publicUrl: options.publicUrl, https }));
  app.use(
    '/api',
    sessions({ database, secret: options.secret, https }),
    guardChanges,
    readBodies,
    apiRoutes(context, options.version),
  );
  app.use((_request, response, next) => {
    response.locals['nonce'] = randomBytes(16).toString('base64');
    response.setHeader('permissions-policy', PERMISSIONS);
    next();
  });
  app.use(securityHeaders(https));
  if (options.showsOutbox) serveOutbox(app, database);
  if (options.webFolder) serveInterface(app, options.webFolder);
  app.use(answerErrors);
  const tidy = () => sweep(database.db).catch((error: unknown) => log.warn({ err: error }, 'cannot tidy up'));
  const sweeping = setInterval(() => void tidy(), SWEEP_MS);
  sweeping.unref();
  return {
    app,
    announcements: context.announcements,
    stop: async () => {
      clearInterval(sweeping);
      context.announcements.stop();
      await context.checker.stop();
    },
  };
}
