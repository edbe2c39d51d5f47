import express, { type Request, type RequestHandler } from 'express';
import { BODY_LIMITS } from '@winculum/contract';
import { isNestedDeeper } from '@winculum/core';
import { Refusal } from '../use-cases/errors';

/** A batch nests eight deep where it carries a room. */
const DEEPEST = 24;

/** A NUL, raw or as an escape: no text that a person typed holds one, and no database keeps it. */
const holdsNul = (json: string): boolean => json.includes('\0') || /(?<!\\)(?:\\\\)*\\u0000/.test(json);

function verify(_request: unknown, _response: unknown, body: Buffer): void {
  if (isNestedDeeper(body, DEEPEST))
    throw new Refusal(400, 'too-deep', `The request is nested more than ${DEEPEST} deep.`);
  if (holdsNul(body.toString('latin1')))
    throw new Refusal(400, 'bad-request', 'The request holds a character (NUL) that no text has. Take it out.');
}

/** A path under which a photo lies. */
const PHOTO = /^\/houses\/[^/]+\/photos\/[^/]+$/;

type Kind = keyof typeof BODY_LIMITS;
const OF_ITS_OWN: readonly [RegExp, Kind][] = [
  [/^\/houses\/[^/]+\/edits$/, 'edits'],
  [/^\/houses\/file$/, 'houseFile'],
  [/^\/houses\/[^/]+\/revisions\/[^/]+\/signatures$/, 'drawing'],
  [PHOTO, 'photo'],
  [/^\/bench$/, 'drawing'],
  [/^\/firm\/standards$/, 'drawing'],
];

/** How much a request may carry: little, unless somebody is signed in and the address is one that takes more; a guest may sign. */
function kindOf(request: Request): Kind {
  if (request.path === '/guest/signatures') return 'drawing';
  const isSignedIn = request.known !== undefined || request.session?.userId !== undefined;
  return isSignedIn ? (OF_ITS_OWN.find(([path]) => path.test(request.path))?.[1] ?? 'small') : 'small';
}

// Nothing is unpacked: a few bytes can hold gigabytes. What is sent to this server is small enough without.
const readers = Object.fromEntries(
  Object.entries(BODY_LIMITS).map(([kind, limit]) => [
    kind,
    kind === 'houseFile' || kind === 'photo'
      ? express.raw({ limit, type: kind === 'photo' ? 'image/jpeg' : 'application/json', inflate: false })
      : express.json({ limit, type: 'application/json', inflate: false, verify }),
  ]),
) as unknown as Record<Kind, RequestHandler>;

/** Reads a body once it is known who sends it, and so how much it may be. */
export const readBodies: RequestHandler = (request, response, next) => {
  const encoding = request.headers['content-encoding'] ?? 'identity';
  if (encoding.toLowerCase() !== 'identity')
    throw new Refusal(415, 'encoding', 'Requests are read as they are: send the body without compressing it.');
  const kind = kindOf(request);
  // Said before a byte of it is read, where the sender tells how much it will be.
  const announced = Number(request.headers['content-length'] ?? 0);
  if (announced > BODY_LIMITS[kind]) throw tooLarge(BODY_LIMITS[kind]);
  readers[kind](request, response, next);
};

const tooLarge = (limit: number): Refusal =>
  new Refusal(
    413,
    'too-large',
    `The request is larger than the ${(limit / 1000).toLocaleString('en-US')} kB that may be sent here. Send less at once.`,
  );

/** The text of an uploaded file. @throws Refusal where there is none, or it is no text. */
export function readText(request: Request): string {
  const body: unknown = request.body;
  if (!Buffer.isBuffer(body)) throw new Refusal(400, 'bad-request', 'Send the house file itself, as application/json.');
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(body);
  } catch {
    throw new Refusal(422, 'house-file', 'The file is no text in UTF-8. Choose a file that Winculum wrote.');
  }
  if (holdsNul(text)) throw new Refusal(422, 'house-file', 'The file holds a character (NUL) that no text has.');
  return text;
}
