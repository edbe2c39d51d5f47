import { createServer, type RequestListener, type Server } from 'node:http';

/** Deadlines: a sender who dawdles over headers or body is let go. Milliseconds. */
export interface Deadlines {
  readonly headersMs: number;
  readonly requestMs: number;
}
const DEADLINES: Deadlines = { headersMs: 10_000, requestMs: 30_000 };

/** A server for the application with its deadlines, not yet listening. */
export function createHttpServer(app: RequestListener, { headersMs, requestMs }: Deadlines = DEADLINES): Server {
  const server = createServer(
    {
      headersTimeout: headersMs,
      requestTimeout: requestMs,
      connectionsCheckingInterval: Math.min(2_000, headersMs),
      keepAliveTimeout: 10_000,
      maxHeaderSize: 16_384,
    },
    app,
  );
  server.maxRequestsPerSocket = 10_000;
  return server;
}
