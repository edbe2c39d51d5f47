import { Router, type Request } from 'express';
import { guestAnswerSchema, guestCommentSchema, guestSignatureSchema, guestTickSchema } from '@winculum/contract';
import type { Guest } from '../../db/guests';
import {
  guestAnswer,
  guestComment,
  guestPhoto,
  guestSign,
  guestTick,
  guestView,
  mustBeGuest,
} from '../../use-cases/guests';
import { callerOf, photoFrom, readBody, sendPhoto, writingOf, type Context } from '../context';

/** What somebody without an account does by a link. The link's secret comes in a header, which no log keeps. */
export function guestRoutes(context: Context): Router {
  const { db } = context;
  const who = (request: Request): Promise<Guest> => mustBeGuest(db, request.get('x-guest-link'), callerOf(request));
  return Router()
    .get('/guest', async (request, response) => {
      response.json(await guestView(writingOf(context), await who(request)));
    })
    .get('/guest/photos/:photo', async (request, response) => {
      sendPhoto(response, await guestPhoto(writingOf(context), await who(request), photoFrom(request)));
    })
    .post('/guest/comments', async (request, response) => {
      await guestComment(writingOf(context), await who(request), readBody(guestCommentSchema, request));
      response.status(204).end();
    })
    .post('/guest/answers', async (request, response) => {
      await guestAnswer(writingOf(context), await who(request), readBody(guestAnswerSchema, request));
      response.status(204).end();
    })
    .post('/guest/ticks', async (request, response) => {
      await guestTick(writingOf(context), await who(request), readBody(guestTickSchema, request));
      response.status(204).end();
    })
    .post('/guest/signatures', async (request, response) => {
      await guestSign(db, await who(request), readBody(guestSignatureSchema, request), callerOf(request));
      response.status(204).end();
    });
}
