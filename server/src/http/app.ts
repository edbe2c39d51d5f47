import { randomBytes, randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { Announcements } from '../db/announcements';
import type { Database } from '../db/database';
import { OpenHouses } from '../use-cases/open-houses';
import { guardChanges, type Context } from './context';
import { answerErrors } from './errors';
import { apiRoutes } from './routes';
import { sessions } from './sessions';

export interface AppOptions {
  readonly database: Database;
  readonly log: Logger;
  /** Signs the session cookie; the same for all processes. */
  readonly secret: string;
  readonly version: string;
  /** The built interface; without it only the API is served. */
  readonly webFolder?: string;
  /** Whether browsers reach it by https, so that cookies may be marked secure. */
  readonly https?: boolean;
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

/**
 * The same headers for answers of the API, which hold no page and so no nonce: asked for once, not composed anew at every
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

/** The whole application on a database, not yet listening. */
export function createApp(options: AppOptions): { app: Express; announcements: Announcements } {
  const { database, log } = options;
  const announcements = new Announcements(database.db, database.pool, log);
  const context: Context = { ...database, log, announcements, open: new OpenHouses() };
  const app = express();
  app.disable('x-powered-by');
  // Answers of the API are never asked for again by their tag; the interface's files have tags of their own.
  app.disable('etag');
  app.use('/api', apiHeaders(options.https ?? false));
  app.use(
    pinoHttp({
      logger: log,
      genReqId: () => randomUUID(),
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api/') },
      serializers: {
        req: (request: { id: string; method: string; url: string }) => ({
          id: request.id,
          method: request.method,
          url: request.url,
        }),
        res: (response: { statusCode: number }) => ({ status: response.statusCode }),
      },
    }),
  );
  app.use(
    '/api',
    sessions({ pool: database.pool, secret: options.secret, https: options.https ?? false }),
    express.json({ limit: '12mb', type: 'application/json' }),
    guardChanges,
    apiRoutes(context, options.version),
  );
  app.use((_request, response, next) => {
    response.locals['nonce'] = randomBytes(16).toString('base64');
    next();
  });
  app.use(securityHeaders(options.https ?? false));
  if (options.webFolder) serveInterface(app, options.webFolder);
  app.use(answerErrors);
  return { app, announcements };
}
