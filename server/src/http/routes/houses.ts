import { Router, type Request } from 'express';
import {
  archiveSchema,
  batchSchema,
  newGuestSchema,
  newHouseSchema,
  newRevisionSchema,
  newSignatureSchema,
  type HouseState,
  type StreamHello,
} from '@winculum/contract';
import { findHead } from '../../db/houses';
import { findInstallation } from '../../db/installation';
import { isSessionAlive } from '../../db/sessions';
import { badField, notFound, Refusal } from '../../use-cases/errors';
import {
  addHouse,
  bringBack,
  deletedHouses,
  history,
  houses,
  importHouse,
  loadHouse,
  removeHouse,
  setArchived,
} from '../../use-cases/houses';
import { guests, inviteGuest, withdrawGuest } from '../../use-cases/guests';
import { addPhoto, photo } from '../../use-cases/photos';
import { makeRevision, reopenRevision, revisions, sign } from '../../use-cases/revisions';
import { appendAtOnce, submitBatch } from '../../use-cases/submit-batch';
import { readText } from '../bodies';
import {
  callerOf,
  idFrom,
  mustBeConfirmed,
  paramFrom,
  photoFrom,
  readBody,
  sendPhoto,
  UUID,
  whoAsks,
  writingOf,
  type Context,
} from '../context';

const LARGEST_VERSION = 2 ** 31 - 1;

const afterFrom = (request: Request): number => {
  const after = Number(request.get('last-event-id') ?? request.query['after'] ?? 0);
  if (!Number.isInteger(after) || after < 0 || after > LARGEST_VERSION)
    throw badField('after', 'is not a version number');
  return after;
};

function numberFrom(request: Request): number {
  const number = Number(request.params['number']);
  if (!Number.isInteger(number) || number < 1 || number > 1e6)
    throw new Refusal(404, 'not-found', 'There is no such revision.');
  return number;
}

/** Houses: their list, their documents, their edits, their revisions. */
export function houseRoutes(context: Context): Router {
  const { db, open, checker, announcements } = context;
  return Router()
    .get('/houses', async (request, response) => {
      response.json(await houses(db, await whoAsks(context, request)));
    })
    .post('/houses', async (request, response) => {
      const member = await whoAsks(context, request);
      response.status(201).json(await addHouse(db, member, readBody(newHouseSchema, request)));
    })
    .post('/houses/file', async (request, response) => {
      const member = await whoAsks(context, request);
      response.status(201).json(await importHouse(db, checker, member, readText(request)));
    })
    .get('/houses/deleted', async (request, response) => {
      response.json(await deletedHouses(db, await whoAsks(context, request)));
    })
    .post('/houses/deleted/:id', async (request, response) => {
      await bringBack(db, await whoAsks(context, request), idFrom(request), callerOf(request));
      response.status(204).end();
    })
    .get('/houses/:id', async (request, response) => {
      const { head, state } = await loadHouse(db, open, await whoAsks(context, request), idFrom(request));
      const about: Omit<HouseState, 'house'> = {
        id: head.id,
        name: state.house.name,
        version: state.version,
        updatedAt: head.updated_at.toISOString(),
        epoch: announcements.epoch,
      };
      // The house is text already, which is not parsed and written again for each who asks.
      response.type('json').send(`${JSON.stringify(about).slice(0, -1)},"house":${open.textOf(state)}}`);
    })
    .put('/houses/:id/archive', async (request, response) => {
      const member = await whoAsks(context, request);
      await setArchived(db, member, idFrom(request), readBody(archiveSchema, request).archived);
      response.status(204).end();
    })
    .delete('/houses/:id', async (request, response) => {
      const [member, id] = [await whoAsks(context, request), idFrom(request)];
      if (!(await findHead(db, member.firm.id, id))) throw notFound('house');
      if (member.role === 'owner') mustBeConfirmed(request);
      await removeHouse(db, member, id, callerOf(request));
      await announcements.sayEnded([`house ${id}`]);
      response.status(204).end();
    })
    .post('/houses/:id/edits', async (request, response) => {
      const [id, batch, writing] = [idFrom(request), readBody(batchSchema, request), writingOf(context)];
      const { known } = request;
      const quick = known && !known.member.mustDo && (await appendAtOnce(writing, known, id, batch));
      if (quick) return void response.json(quick);
      await request.readSession?.();
      const member = await whoAsks(context, request);
      response.json(await submitBatch(writing, { member, id: request.sessionID }, id, batch));
    })
    .get('/houses/:id/edits', async (request, response) => {
      response.json(await history(db, await whoAsks(context, request), idFrom(request), afterFrom(request)));
    })
    .put('/houses/:id/photos/:photo', async (request, response) => {
      const member = await whoAsks(context, request);
      response.status(201).json(await addPhoto(db, member, idFrom(request), photoFrom(request), request.body));
    })
    .get('/houses/:id/photos/:photo', async (request, response) => {
      sendPhoto(response, await photo(db, await whoAsks(context, request), idFrom(request), photoFrom(request)));
    })
    .get('/houses/:id/guests', async (request, response) => {
      response.json(await guests(db, await whoAsks(context, request), idFrom(request)));
    })
    .post('/houses/:id/guests', async (request, response) => {
      const member = await whoAsks(context, request);
      const input = readBody(newGuestSchema, request);
      const where = { publicUrl: context.accounts.mail.publicUrl, caller: callerOf(request) };
      response.status(201).json(await inviteGuest(db, member, idFrom(request), input, where));
    })
    .delete('/houses/:id/guests/:guest', async (request, response) => {
      const member = await whoAsks(context, request);
      await withdrawGuest(db, member, idFrom(request), paramFrom(request, 'guest', UUID), callerOf(request));
      response.status(204).end();
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
      response.status(201).json(await sign(db, member, idFrom(request), numberFrom(request), input, callerOf(request)));
    });
}

const BEAT_MS = 25_000;
/** Streams of one person in one process: windows that are open, and some that nobody has missed yet. */
const MOST_OF_ONE = 20;
const MOST_OF_ALL = 2_000;
/** Bytes that may wait for a window that does not read. */
const MOST_UNREAD = 1_000_000;

/** The stream of a house's edits, to every open window. */
export function streamRoutes(context: Context): Router {
  const { db, announcements } = context;
  return Router().get('/houses/:id/events', async (request, response) => {
    const [houseId, after] = [idFrom(request), afterFrom(request)];
    const ending: (() => void)[] = [];
    // From the first moment: a window may be gone again before its house was found.
    response.on('close', () => ending.forEach((one) => one()));
    const member = await whoAsks(context, request);
    const [head, installation] = [await findHead(db, member.firm.id, houseId), await findInstallation(db)];
    if (!head) throw notFound('house');
    if (response.destroyed || request.destroyed) return;
    const { all, own } = announcements.count(member.user.id);
    if (own >= MOST_OF_ONE || all >= MOST_OF_ALL)
      throw new Refusal(429, 'too-many-streams', `${own} windows of yours are open already. Close some.`, {}, 30);
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    const hello: StreamHello = {
      epoch: installation.epoch,
      restoredAt: installation.restoredAt?.toISOString() ?? null,
      version: head.version,
      oldest: head.oldest,
    };
    response.write(`retry: 1000\n\nevent: hello\ndata: ${JSON.stringify(hello)}\n\n`);
    const end = () => response.end(() => response.destroy());
    const write = (text: string) => {
      if (response.writableEnded || response.destroyed) return;
      // Whoever does not read is let go, and begins again where it stood.
      if (response.writableLength > MOST_UNREAD) response.destroy();
      else response.write(text);
    };
    const beat = setInterval(() => {
      isSessionAlive(db, request.sessionID).then(
        (isAlive) => (isAlive ? write(': still here\n\n') : end()),
        () => undefined,
      );
    }, BEAT_MS);
    ending.push(
      () => clearInterval(beat),
      announcements.listen({
        houseId,
        firmId: member.firm.id,
        userId: member.user.id,
        sessionId: request.sessionID,
        // What is no longer kept cannot be told; the window is, by the hello, and reads the house again.
        after: Math.max(after, head.oldest),
        send: (batch) => write(`id: ${batch.version}\nevent: batch\ndata: ${JSON.stringify(batch)}\n\n`),
        end,
      }),
    );
    // Access may have ended between the asking and the listening.
    if (response.destroyed) ending.forEach((one) => one());
    else if (!(await isSessionAlive(db, request.sessionID))) end();
  });
}
