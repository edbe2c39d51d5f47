import type { GuestView, ProblemBody } from '@winculum/contract';
import { ApiError } from './api';

const ANSWER_WITHIN_MS = 20_000;

/** What a guest asks of the server, by the secret part of a link, which travels in a header and in no address. */
export function guestApi(secret: string) {
  async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
    let response: Response;
    try {
      response = await fetch(`/api/guest${path}`, {
        method,
        // Nobody's session goes along: a guest is a guest also where a member is signed in.
        credentials: 'omit',
        headers: {
          accept: 'application/json',
          'x-guest-link': secret,
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
      });
    } catch {
      throw new ApiError(0, undefined);
    }
    if (!response.ok)
      throw new ApiError(response.status, (await response.json().catch(() => undefined)) as ProblemBody | undefined);
    return (response.status === 204 ? undefined : await response.json()) as T;
  }
  return {
    view: () => call<GuestView>('GET', ''),
    comment: (text: string, room: string | undefined) =>
      call<void>('POST', '/comments', { text, ...(room ? { room } : {}) }),
    answer: (question: string, room: string | undefined, answer: string) =>
      call<void>('POST', '/answers', { question, answer, ...(room ? { room } : {}) }),
    tick: (task: string, state: 'open' | 'done' | 'not-needed') => call<void>('POST', '/ticks', { task, state }),
    sign: (number: number, strokes: readonly (readonly (readonly [number, number])[])[]) =>
      call<void>('POST', '/signatures', { number, strokes }),
  };
}
