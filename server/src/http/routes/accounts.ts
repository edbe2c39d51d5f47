import { Router, type Request } from 'express';
import {
  acceptSchema,
  confirmSchema,
  newAccountSchema,
  passwordChangeSchema,
  resetRequestSchema,
  resetSchema,
  secondFactorSchema,
  signInSchema,
  verifySchema,
  type SessionState,
  type SignedIn,
} from '@winculum/contract';
import { findFirm, findSignedIn } from '../../db/accounts';
import { insertAudit } from '../../db/audit';
import { deleteSessions, listSessions } from '../../db/sessions';
import {
  askForReset,
  changePassword,
  confirmPerson,
  createAccount,
  resetPassword,
  signIn,
  verifyAddress,
} from '../../use-cases/accounts';
import { Refusal } from '../../use-cases/errors';
import { acceptInvitation, readInvitation } from '../../use-cases/members';
import { newSecret, secondFactorOf, turnOff, turnOn } from '../../use-cases/second-factor';
import { callerOf, idFrom, mustBeConfirmed, readBody, whoAsks, whoIsThere, type Context } from '../context';
import { cookieName, endSession, saveSession, startSession } from '../sessions';

/** Signing in and out, opening accounts, and what a person does with their own. */
export function accountRoutes(context: Context): Router {
  const { db, accounts, announcements, isHttps } = context;

  const begin = async (request: Request, member: SignedIn, isTrusted = false): Promise<SessionState> => {
    const trustDays = isTrusted ? (await findFirm(db, member.firm.id)).trustDays : 0;
    const csrf = await startSession(request, { ...callerOf(request), member, trustDays });
    return { signedIn: member, csrf, sendsMail: accounts.mail.isSent };
  };
  const nobody: SessionState = { signedIn: null, csrf: null, sendsMail: accounts.mail.isSent };

  /** Ends sessions of a person, and with them their streams in all processes. */
  const end = async (userId: string, which: Parameters<typeof deleteSessions>[2]): Promise<number> => {
    const ended = await deleteSessions(db, userId, which);
    await announcements.sayEnded(ended.map((sid) => `session ${sid}` as const));
    return ended.length;
  };
  /** The session knows its member by what they were when it began; what they have done since is written into it. */
  const renew = async (request: Request): Promise<SessionState> => {
    const { userId } = request.session;
    const member = userId ? await findSignedIn(db, userId) : undefined;
    if (!member) return nobody;
    request.session.member = member;
    await saveSession(request);
    return { signedIn: member, csrf: request.session.csrf ?? null, sendsMail: accounts.mail.isSent };
  };

  return Router()
    .get('/session', async (request, response) => {
      const { userId, csrf } = request.session;
      const signedIn = userId ? await findSignedIn(db, userId) : undefined;
      response.json(signedIn ? { signedIn, csrf: csrf ?? null, sendsMail: accounts.mail.isSent } : nobody);
    })
    .post('/session', async (request, response) => {
      const input = readBody(signInSchema, request);
      response.json(await begin(request, await signIn(accounts, input, callerOf(request)), input.trust));
    })
    .delete('/session', async (request, response) => {
      const [sid, member] = [request.sessionID, request.session.member];
      await endSession(request);
      if (member) {
        await announcements.sayEnded([`session ${sid}`]);
        await insertAudit(db, {
          firmId: member.firm.id,
          userId: member.user.id,
          who: member.user.name,
          event: 'signed out',
          address: callerOf(request).address,
        }).catch(() => undefined);
      }
      response.clearCookie(cookieName(isHttps), { path: '/', secure: isHttps, httpOnly: true, sameSite: 'strict' });
      response.status(204).end();
    })
    .post('/session/confirm', async (request, response) => {
      const member = await whoAsks(context, request);
      await confirmPerson(accounts, member, readBody(confirmSchema, request), callerOf(request));
      request.session.confirmedAt = Date.now();
      await saveSession(request);
      response.status(204).end();
    })
    .post('/accounts', async (request, response) => {
      const made = await createAccount(accounts, readBody(newAccountSchema, request), callerOf(request));
      response.status(made ? 201 : 202).json(made ? await begin(request, made) : nobody);
    })
    .post('/accounts/verify', async (request, response) => {
      const { token } = readBody(verifySchema, request);
      response.status(201).json(await begin(request, await verifyAddress(accounts, token, callerOf(request))));
    })
    .post('/accounts/reset', async (request, response) => {
      await askForReset(accounts, readBody(resetRequestSchema, request).email, callerOf(request));
      response.status(202).json(nobody);
    })
    .put('/accounts/reset', async (request, response) => {
      const { token, password } = readBody(resetSchema, request);
      await end(await resetPassword(accounts, token, password, callerOf(request)), {});
      response.status(204).end();
    })
    .get('/accounts/invitation', async (request, response) => {
      const { token } = verifySchema.safeParse({ token: request.query['token'] }).data ?? { token: '' };
      response.json(await readInvitation(db, token));
    })
    .post('/accounts/invitation', async (request, response) => {
      const { token, password } = readBody(acceptSchema, request);
      response
        .status(201)
        .json(await begin(request, await acceptInvitation(accounts, token, password, callerOf(request))));
    })
    .get('/account', async (request, response) => {
      response.json(await secondFactorOf(db, (await whoIsThere(context, request)).user.id));
    })
    .put('/account/password', async (request, response) => {
      const member = await whoIsThere(context, request);
      await changePassword(accounts, member, readBody(passwordChangeSchema, request), callerOf(request));
      await end(member.user.id, { but: request.sessionID });
      response.json(await renew(request));
    })
    .get('/account/sessions', async (request, response) => {
      const member = await whoAsks(context, request);
      response.json(await listSessions(db, member.user.id, request.sessionID));
    })
    .delete('/account/sessions', async (request, response) => {
      const member = await whoAsks(context, request);
      response.json({ ended: await end(member.user.id, { but: request.sessionID }) });
    })
    .delete('/account/sessions/:id', async (request, response) => {
      const member = await whoAsks(context, request);
      if ((await end(member.user.id, { called: idFrom(request, /^[0-9a-f]{24}$/) })) === 0)
        throw new Refusal(404, 'not-found', 'This session has ended already.');
      response.status(204).end();
    })
    .post('/account/second-factor', async (request, response) => {
      const member = await whoIsThere(context, request);
      if (member.mustDo !== 'second-factor') mustBeConfirmed(request);
      const secret = newSecret(member);
      request.session.newSecret = secret.secret;
      await saveSession(request);
      response.json(secret);
    })
    .put('/account/second-factor', async (request, response) => {
      const member = await whoIsThere(context, request);
      const { code } = readBody(secondFactorSchema, request);
      const codes = await turnOn(db, member, request.session.newSecret, code);
      delete (request.session as { newSecret?: string }).newSecret;
      await auditOwn(request, member, 'second factor turned on');
      await end(member.user.id, { but: request.sessionID });
      response.json({ codes, session: await renew(request) });
    })
    .delete('/account/second-factor', async (request, response) => {
      const member = await whoAsks(context, request);
      mustBeConfirmed(request);
      if ((await findFirm(db, member.firm.id)).needsSecondFactor)
        throw new Refusal(409, 'second-factor', 'Your firm asks for a second factor: it cannot be turned off.');
      await turnOff(db, member.user.id);
      await auditOwn(request, member, 'second factor turned off');
      response.status(204).end();
    });

  function auditOwn(request: Request, member: SignedIn, event: string): Promise<void> {
    return insertAudit(db, {
      firmId: member.firm.id,
      userId: member.user.id,
      who: member.user.name,
      event,
      address: callerOf(request).address,
    });
  }
}
