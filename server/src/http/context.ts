import type { Request, RequestHandler } from 'express';
import type { Logger } from 'pino';
import type { SignedIn } from '@winculum/contract';
import type { z } from 'zod';
import { findSignedIn } from '../db/accounts';
import type { Announcements } from '../db/announcements';
import type { Database } from '../db/database';
import { Refusal } from '../use-cases/errors';
import type { OpenHouses } from '../use-cases/open-houses';

declare module 'express-session' {
  interface SessionData {
    userId: string;
    csrf: string;
    /** Who signed in, as it was then: a guess that saves a query where the database checks it again. */
    member: SignedIn;
  }
}

/** What every route gets handed. */
export interface Context extends Database {
  readonly open: OpenHouses;
  readonly announcements: Announcements;
  readonly log: Logger;
}

/** The body by its schema. @throws Refusal naming each bad field. */
export function readBody<S extends z.ZodType>(schema: S, request: Request): z.infer<S> {
  const parsed = schema.safeParse(request.body);
  if (parsed.success) return parsed.data;
  const problems = parsed.error.issues.map((issue) => ({
    code: 'field',
    path: issue.path.join('.'),
    message: issue.message,
  }));
  const first = problems[0]!;
  throw new Refusal(400, 'bad-request', `${first.path || 'The request'}: ${first.message}`, { problems });
}

/** The member who asks. @throws Refusal 401 when nobody is signed in or the account is gone. */
export async function whoAsks(context: Context, request: Request): Promise<SignedIn> {
  const { userId } = request.session;
  const member = userId ? await findSignedIn(context.db, userId) : undefined;
  if (!member) throw new Refusal(401, 'signed-out', 'Sign in first.');
  return member;
}

/** A path parameter that is the id of something. @throws Refusal 404 for anything that is no id. */
export function idFrom(request: Request): string {
  const id = String(request.params['id']);
  if (!/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/.test(id))
    throw new Refusal(404, 'not-found', 'There is nothing with this id.');
  return id;
}

const CHANGES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/**
 * Changes come from our own pages only: the Origin, where a browser sends it, must be this host, and a signed-in session
 * must show its token, which no other site can read.
 */
export const guardChanges: RequestHandler = (request, _response, next) => {
  if (CHANGES.has(request.method)) {
    const origin = request.get('origin');
    if (origin !== undefined && new URL(origin === 'null' ? 'null:' : origin).host !== request.get('host'))
      throw new Refusal(403, 'csrf', 'This change did not come from this site.');
    // On the way of an edit what is known of the session stands for it, until it is found wrong and read again.
    const csrf = request.known?.csrf ?? (request.session.userId ? (request.session.csrf ?? '') : undefined);
    if (csrf !== undefined && request.get('x-csrf-token') !== csrf)
      throw new Refusal(403, 'csrf', 'The page is out of date. Load it again.');
  }
  next();
};
