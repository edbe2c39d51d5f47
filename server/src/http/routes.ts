import { randomBytes } from 'node:crypto';
import { Router, type Request } from 'express';
import {
  batchSchema,
  benchSchema,
  memberChangeSchema,
  newAccountSchema,
  newHouseSchema,
  newMemberSchema,
  newRevisionSchema,
  newSignatureSchema,
  signInSchema,
  type SessionState,
  type SignedIn,
} from '@winculum/contract';
import { schemaVersion } from '../db/migrations';
import { findSignedIn } from '../db/accounts';
import { addMember, changeRole, createAccount, members, removeMember, signIn } from '../use-cases/accounts';
import { addHouse, history, houses, loadHouse, removeHouse } from '../use-cases/houses';
import { benchOf, keepBench } from '../use-cases/bench';
import { makeRevision, reopenRevision, revisions, sign } from '../use-cases/revisions';
import { appendAtOnce, submitBatch } from '../use-cases/submit-batch';
import { Refusal } from '../use-cases/errors';
import { idFrom, readBody, whoAsks, type Context } from './context';
import { limitTries } from './rate-limit';

const SIGN_IN_TRIES = 10;
const ACCOUNT_TRIES = 20;

/** Starts a session of its own for a person, so that no id known before the sign-in stays good. */
function startSession(request: Request, signedIn: SignedIn): Promise<SessionState> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) return reject(error as Error);
      const csrf = randomBytes(24).toString('base64url');
      request.session.userId = signedIn.user.id;
      request.session.csrf = csrf;
      request.session.member = signedIn;
      request.session.save((saveError: unknown) =>
        saveError ? reject(saveError as Error) : resolve({ signedIn, csrf }),
      );
    });
  });
}

const afterFrom = (request: Request): number => {
  const after = Number(request.get('last-event-id') ?? request.query['after'] ?? 0);
  if (!Number.isInteger(after) || after < 0) throw new Refusal(400, 'bad-request', 'after: is not a version number');
  return after;
};

function numberFrom(request: Request): number {
  const number = Number(request.params['number']);
  if (!Number.isInteger(number) || number < 1 || number > 1e6)
    throw new Refusal(404, 'not-found', 'There is no such revision.');
  return number;
}

function accountRoutes(context: Context): Router {
  const { db } = context;
  return Router()
    .get('/session', async (request, response) => {
      const { userId, csrf } = request.session;
      const signedIn = userId ? await findSignedIn(db, userId) : undefined;
      response.json({ signedIn: signedIn ?? null, csrf: signedIn ? (csrf ?? null) : null } satisfies SessionState);
    })
    .post('/session', limitTries(db, 'sign-in ', SIGN_IN_TRIES), async (request, response) => {
      response.json(await startSession(request, await signIn(db, readBody(signInSchema, request))));
    })
    .delete('/session', (request, response, next) => {
      request.session.destroy((error: unknown) =>
        error ? next(error) : response.clearCookie('winculum').status(204).end(),
      );
    })
    .post('/accounts', limitTries(db, 'account ', ACCOUNT_TRIES), async (request, response) => {
      response
        .status(201)
        .json(await startSession(request, await createAccount(db, readBody(newAccountSchema, request))));
    })
    .get('/bench', async (request, response) => {
      response.json(await benchOf(db, await whoAsks(context, request)));
    })
    .put('/bench', async (request, response) => {
      const member = await whoAsks(context, request);
      response.json(await keepBench(db, member, readBody(benchSchema, request)));
    })
    .get('/members', async (request, response) => {
      response.json(await members(db, await whoAsks(context, request)));
    })
    .post('/members', async (request, response) => {
      const member = await whoAsks(context, request);
      response.status(201).json(await addMember(db, member, readBody(newMemberSchema, request)));
    })
    .patch('/members/:id', async (request, response) => {
      const member = await whoAsks(context, request);
      await changeRole(db, member, idFrom(request), readBody(memberChangeSchema, request).role);
      response.status(204).end();
    })
    .delete('/members/:id', async (request, response) => {
      await removeMember(db, await whoAsks(context, request), idFrom(request));
      response.status(204).end();
    });
}

function houseRoutes(context: Context): Router {
  const { db, open, announcements } = context;
  return Router()
    .get('/houses', async (request, response) => {
      response.json(await houses(db, await whoAsks(context, request)));
    })
    .post('/houses', async (request, response) => {
      const member = await whoAsks(context, request);
      response.status(201).json(await addHouse(db, member, readBody(newHouseSchema, request)));
    })
    .get('/houses/:id', async (request, response) => {
      response.json(await loadHouse(db, open, await whoAsks(context, request), idFrom(request)));
    })
    .delete('/houses/:id', async (request, response) => {
      await removeHouse(db, open, await whoAsks(context, request), idFrom(request));
      response.status(204).end();
    })
    .post('/houses/:id/edits', async (request, response) => {
      const [id, batch] = [idFrom(request), readBody(batchSchema, request)];
      const quick = request.known && (await appendAtOnce(db, open, request.known, id, batch));
      if (quick) return void response.json(quick);
      await request.readSession?.();
      response.json(await submitBatch(db, open, await whoAsks(context, request), id, batch));
    })
    .get('/houses/:id/edits', async (request, response) => {
      response.json(await history(db, await whoAsks(context, request), idFrom(request), afterFrom(request)));
    })
    .get('/houses/:id/revisions', async (request, response) => {
      response.json(await revisions(db, await whoAsks(context, request), idFrom(request)));
    })
    .post('/houses/:id/revisions', async (request, response) => {
      const member = await whoAsks(context, request);
      const input = readBody(newRevisionSchema, request);
      response.status(201).json(await makeRevision(db, open, member, idFrom(request), input));
    })
    .get('/houses/:id/revisions/:number', async (request, response) => {
      response.json(await reopenRevision(db, await whoAsks(context, request), idFrom(request), numberFrom(request)));
    })
    .post('/houses/:id/revisions/:number/signatures', async (request, response) => {
      const member = await whoAsks(context, request);
      const input = readBody(newSignatureSchema, request);
      response.status(201).json(await sign(db, member, idFrom(request), numberFrom(request), input));
    })
    .get('/houses/:id/events', async (request, response) => {
      const [id, after] = [idFrom(request), afterFrom(request)];
      await loadHouse(db, open, await whoAsks(context, request), id);
      response.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      response.write('retry: 1000\n\n');
      const stop = announcements.listen(id, after, (batch) =>
        response.write(`id: ${batch.version}\nevent: batch\ndata: ${JSON.stringify(batch)}\n\n`),
      );
      const beat = setInterval(() => response.write(': still here\n\n'), 25_000);
      request.on('close', () => {
        clearInterval(beat);
        stop();
      });
    });
}

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
    .use(houseRoutes(context))
    .use(() => {
      throw new Refusal(404, 'not-found', 'There is no such address.');
    });
}
