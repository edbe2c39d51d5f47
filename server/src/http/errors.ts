import type { ErrorRequestHandler } from 'express';
import type { ProblemBody } from '@winculum/contract';
import { Refusal } from '../use-cases/errors';

/** Errors of the body parser and of PostgreSQL's connection, as what they mean to the sender. */
function asRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error;
  const { type, code, status } = error as { type?: string; code?: string; status?: number };
  // A page of an older build asks for files that are gone; a path that is no text names nothing.
  if (status === 404 || error instanceof URIError) return new Refusal(404, 'not-found', 'There is no such address.');
  if (type === 'entity.too.large')
    return new Refusal(413, 'too-large', 'The request is too large. A house file has at most 10 MB.');
  if (type === 'entity.parse.failed') return new Refusal(400, 'malformed', 'The request is not valid JSON.');
  const isConnection = code !== undefined && /^(ECONN|57P0|08|53300)/.test(code);
  if (isConnection || /timeout|terminated|Connection|not queryable/.test(String((error as Error | undefined)?.message)))
    return new Refusal(503, 'database', 'The database cannot be reached. Nothing is lost; try again in a moment.');
  return undefined;
}

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
  response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
};
