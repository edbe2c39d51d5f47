import { createHash } from 'node:crypto';
import type { Request, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import type { SignedIn } from '@winculum/contract';
import type { z } from 'zod';
import type { HouseChecker } from '../checking/house-checker';
import { findSignedIn } from '../db/accounts';
import type { Announcements } from '../db/announcements';
import type { Database } from '../db/database';
import type { Accounts, Caller } from '../use-cases/accounts';
import { Refusal, signedOut } from '../use-cases/errors';
import type { OpenHouses } from '../use-cases/open-houses';
import type { Writing } from '../use-cases/submit-batch';

/** What every route gets handed. */
export interface Context extends Database {
  readonly open: OpenHouses;
  readonly checker: HouseChecker;
  readonly announcements: Announcements;
  readonly accounts: Accounts;
  readonly log: Logger;
  readonly isHttps: boolean;
}

export const writingOf = ({ db, open, announcements }: Context): Writing => ({
  db,
  open,
  epoch: announcements.epoch,
  lookAround: () => void announcements.lookAround().catch(() => undefined),
});

/** The body by its schema. @throws Refusal naming each bad field. */
export function readBody<S extends z.ZodType>(schema: S, request: Request): z.infer<S> {
  const parsed = schema.safeParse(request.body);
  if (parsed.success) return parsed.data;
  const problems = parsed.error.issues.slice(0, 20).map((issue) => ({
    code: 'field',
    path: issue.path.join('.'),
    message: issue.message,
  }));
  const first = problems[0]!;
  throw new Refusal(400, 'bad-request', `${first.path || 'The request'}: ${first.message}`, { problems });
}

/** The member who asks, whatever they still have to do. @throws Refusal 401 when nobody is signed in or the account is gone. */
export async function whoIsThere(context: Context, request: Request): Promise<SignedIn> {
  const { userId } = request.session;
  const member = userId ? await findSignedIn(context.db, userId) : undefined;
  if (!member) throw signedOut();
  return member;
}

/** The member who asks. @throws Refusal 401 when nobody is signed in, 403 while something has to be done first. */
export async function whoAsks(context: Context, request: Request): Promise<SignedIn> {
  const member = await whoIsThere(context, request);
  if (member.mustDo === 'password')
    throw new Refusal(
      403,
      'must-change-password',
      'Your password is from before passwords had to be longer. Choose a new one first.',
    );
  if (member.mustDo === 'second-factor')
    throw new Refusal(403, 'must-have-second-factor', 'Your firm asks for a second factor. Set it up first.');
  return member;
}

const CONFIRMED_MS = 5 * 60_000;

/** @throws Refusal unless the person has shown their password within the last five minutes: before what cannot be undone. */
export function mustBeConfirmed(request: Request): void {
  const at = request.session.confirmedAt;
  if (at === undefined || Date.now() - at > CONFIRMED_MS)
    throw new Refusal(403, 'confirm', 'Type your password once more to do this.');
}

/** A browser and a system in a few words, for people to recognize: nothing is decided by it. */
function describeDevice(agent: string): string {
  const browser = /Edg\//.test(agent)
    ? 'Edge'
    : /Firefox\//.test(agent)
      ? 'Firefox'
      : /Chrome\//.test(agent)
        ? 'Chrome'
        : /Safari\//.test(agent)
          ? 'Safari'
          : 'a browser';
  const system = /Android/.test(agent)
    ? 'Android'
    : /iPhone|iPad/.test(agent)
      ? 'iOS'
      : /Windows/.test(agent)
        ? 'Windows'
        : /Mac OS/.test(agent)
          ? 'macOS'
          : /Linux/.test(agent)
            ? 'Linux'
            : 'an unknown system';
  return `${browser} on ${system}`;
}

export const callerOf = (request: Request): Caller => ({
  address: request.ip ?? '',
  device: describeDevice(request.get('user-agent') ?? ''),
});

export const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/** A path parameter that is the id of something. @throws Refusal 404 for anything that is no id. */
export function idFrom(request: Request, form = UUID): string {
  const id = String(request.params['id']);
  if (!form.test(id)) throw new Refusal(404, 'not-found', 'There is nothing with this id.');
  return id;
}

/** A named path parameter that has to read so. @throws Refusal 404 where it does not. */
export function paramFrom(request: Request, name: string, form: RegExp): string {
  const value = String(request.params[name]);
  if (!form.test(value)) throw new Refusal(404, 'not-found', 'There is nothing with this id.');
  return value;
}
export const photoFrom = (request: Request): string => paramFrom(request, 'photo', /^[A-Za-z0-9_-]{1,64}$/);

/** A photo never changes under its id: whoever has it need not ask again. */
export const sendPhoto = (response: Response, bytes: Buffer): void => {
  response.set('cache-control', 'private, max-age=31536000, immutable').type('image/jpeg').send(bytes);
};

const CHANGES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

const digest = (text: string): string => createHash('sha256').update(text).digest('base64');

/**
 * Changes come from our own pages only: the Origin, where a browser sends it, must be this host, and a signed-in session
 * must show its token, which no other site can read.
 */
export const guardChanges: RequestHandler = (request, _response, next) => {
  if (CHANGES.has(request.method)) {
    const origin = request.get('origin');
    if (origin !== undefined && hostOf(origin) !== request.get('host'))
      throw new Refusal(403, 'csrf', 'This change did not come from this site.');
    // On the way of an edit what is known of the session stands for it, until it is found wrong and read again.
    const csrf = request.known?.csrf ?? (request.session.userId ? (request.session.csrf ?? '') : undefined);
    // By digest, so that the time of comparing tells nothing of the token.
    if (csrf !== undefined && digest(request.get('x-csrf-token') ?? '') !== digest(csrf))
      throw new Refusal(403, 'csrf', 'The page is out of date. Load it again.');
  }
  next();
};
