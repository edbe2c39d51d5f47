import { Router } from 'express';
import { schemaVersion } from '../../db/migrations';
import { Refusal } from '../../use-cases/errors';
import type { Context } from '../context';
import { accountRoutes } from './accounts';
import { firmRoutes } from './firm';
import { guestRoutes } from './guests';
import { houseRoutes, streamRoutes } from './houses';

/** Every route under /api. */
export function apiRoutes(context: Context, version: string): Router {
  return Router()
    .get('/health', async (_request, response) => {
      const isUp = await context.pool.query('select 1').then(
        () => true,
        () => false,
      );
      response.status(isUp ? 200 : 503).json({ version, schema: schemaVersion, database: isUp ? 'up' : 'down' });
    })
    .use(accountRoutes(context))
    .use(firmRoutes(context))
    .use(streamRoutes(context))
    .use(houseRoutes(context))
    .use(guestRoutes(context))
    .use(() => {
      throw new Refusal(404, 'not-found', 'There is no such address.');
    });
}
