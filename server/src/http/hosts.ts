import type { RequestHandler } from 'express';
import { Refusal } from '../use-cases/errors';

const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\])(:\d{1,5})?$/i;

interface HostOptions {
  /** Where people reach the interface, as https://example.example; without it the server is one machine's own. */
  readonly publicUrl?: string | undefined;
  /** Browsers reach it by https alone. */
  readonly https: boolean;
}

/**
 * Only names that are this server's: a page elsewhere that had its own name point here (DNS rebinding) is refused. With https
 * everything but the question whether the server is up comes through the proxy that speaks it.
 */
export function knownHosts({ publicUrl, https }: HostOptions): RequestHandler {
  const host = publicUrl ? new URL(publicUrl).host : undefined;
  return (request, _response, next) => {
    const asked = request.headers.host ?? '';
    const isHealth = request.method === 'GET' && request.path === '/api/health';
    const isOurs = host === undefined ? LOOPBACK.test(asked) : asked.toLowerCase() === host.toLowerCase();
    if (!isOurs && !(isHealth && LOOPBACK.test(asked)))
      throw new Refusal(421, 'host', 'This server does not go by that name. Use its own address.');
    if (https && !request.secure && !isHealth)
      throw new Refusal(
        403,
        'https',
        'This server is reached by https only. If it is, its proxy does not say so: see docs/operations.md.',
      );
    next();
  };
}
