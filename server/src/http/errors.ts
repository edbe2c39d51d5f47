import type { ErrorRequestHandler } from 'express';
import { BODY_LIMITS, type ProblemBody } from '@winculum/contract';
import { Refusal } from '../use-cases/errors';

/** Errors of the body parser and of PostgreSQL's connection, as what they mean to the sender. */
function asRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error;
  const { type, code, status } = error as { type?: string; code?: string; status?: number };
  // A page of an older build asks for files that are gone; a path that is no text names nothing.
  if (error instanceof URIError || status === 404) return new Refusal(404, 'not-found', 'There is no such address.');
  if (type === 'entity.too.large')
    return new Refusal(
      413,
      'too-large',
      `The request is too large. A house file has at most ${BODY_LIMITS.houseFile / 1e6 - 2} MB.`,
    );
  if (type === 'entity.parse.failed') return new Refusal(400, 'malformed', 'The request is not valid JSON.');
  if (type === 'encoding.unsupported')
    return new Refusal(415, 'encoding', 'Requests are read as they are: send the body without compressing it.');
  if (type === 'charset.unsupported') return new Refusal(415, 'charset', 'Requests are read as UTF-8.');
  if (type === 'request.aborted' || code === 'ECONNABORTED')
    return new Refusal(400, 'aborted', 'The request broke off.');
  // Classes of SQLSTATE: 08 connection, 57P and 53300 the server goes or is full, 57014 and 55P03 it took too long.
  if (code !== undefined && /^(ECONN|EPIPE|57P0|08|53300|57014|55P03)/.test(code)) return unreachable();
  // 22021 and 22P05: text that the database cannot hold; 22003: a number out of its range.
  if (code !== undefined && /^(22021|22P05|22003|22P02)$/.test(code))
    return new Refusal(400, 'bad-request', 'The request holds text or a number that cannot be kept.');
  if (/timeout|terminated|Connection|not queryable/.test(String((error as Error | undefined)?.message)))
    return unreachable();
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Refusal(status, 'bad-request', 'The request cannot be understood.');
  return undefined;
}

const unreachable = () =>
  new Refusal(503, 'database', 'The database cannot be reached. Nothing is lost; try again in a moment.', {}, 1);

/** The one place where errors become answers. Faults get a fixed text; what they were is in the log under the request's id. */
export const answerErrors: ErrorRequestHandler = (error, request, response, next) => {
  if (response.headersSent) return next(error);
  const refusal = asRefusal(error);
  if (!refusal) request.log.error({ err: error }, 'fault');
  const body: ProblemBody = {
    type: 'about:blank',
    title: refusal?.message ?? 'Something went wrong on the server. Your work is kept; try again.',
    status: refusal?.status ?? 500,
    code: refusal?.code ?? 'fault',
    requestId: String(request.id),
    ...refusal?.extra,
  };
  if (refusal?.retryAfterS) response.setHeader('retry-after', refusal.retryAfterS);
  // What was not read of a refused body is not waited for.
  if (body.status === 413 || body.status === 415) response.setHeader('connection', 'close');
  response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
};
