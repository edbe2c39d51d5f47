import type { AppliedBatch, ProblemBody } from '@winculum/contract';

/** An expected refusal, with the status it becomes. Anything else that is thrown is a fault and tells nothing outside. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly extra: { readonly problems?: ProblemBody['problems']; readonly theirs?: readonly AppliedBatch[] } = {},
  ) {
    super(message);
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, 'not-found', `There is no such ${what}.`);
export const forbidden = (why: string): Refusal => new Refusal(403, 'forbidden', why);
