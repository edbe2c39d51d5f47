import type { AppliedBatch, ProblemBody } from '@winculum/contract';

/** An expected refusal, with the status it becomes. Anything else that is thrown is a fault and tells nothing outside. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly extra: { readonly problems?: ProblemBody['problems']; readonly theirs?: readonly AppliedBatch[] } = {},
    /** Seconds after which another try makes sense. */
    readonly retryAfterS?: number,
  ) {
    super(message);
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, 'not-found', `There is no such ${what}.`);
export const forbidden = (why: string): Refusal => new Refusal(403, 'forbidden', why);
export const signedOut = (): Refusal => new Refusal(401, 'signed-out', 'Sign in first.');
export const badField = (path: string, message: string): Refusal =>
  new Refusal(400, 'bad-request', `${path}: ${message}`, { problems: [{ code: 'field', path, message }] });
