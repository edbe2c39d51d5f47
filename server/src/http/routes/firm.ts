import { Router } from 'express';
import {
  benchSchema,
  firmDeletionSchema,
  firmSettingsSchema,
  firmStandardsSchema,
  invitationSchema,
  memberChangeSchema,
  noticesSeenSchema,
  practiceSignatureSchema,
} from '@winculum/contract';
import { listMembers } from '../../db/accounts';
import { insertAudit } from '../../db/audit';
import { deleteSessions } from '../../db/sessions';
import { benchOf, keepBench, practiceRecords, signPractice } from '../../use-cases/bench';
import { badField } from '../../use-cases/errors';
import {
  auditOf,
  changeFirm,
  exportFirm,
  firmStandards,
  firmState,
  removeFirm,
  setFirmStandards,
} from '../../use-cases/firm';
import {
  changeRole,
  invitations,
  invite,
  members,
  mustOwn,
  removeMember,
  withdrawInvitation,
} from '../../use-cases/members';
import { noticesOf, readNotices } from '../../use-cases/notices';
import { callerOf, idFrom, mustBeConfirmed, readBody, whoAsks, type Context } from '../context';

/** A firm: who belongs to it, what it has chosen, what was done in it; and what a person has done on the bench. */
export function firmRoutes(context: Context): Router {
  const { db, open, accounts, announcements } = context;
  return Router()
    .get('/members', async (request, response) => {
      response.json(await members(db, await whoAsks(context, request)));
    })
    .patch('/members/:id', async (request, response) => {
      const [member, id, { role }] = [
        await whoAsks(context, request),
        idFrom(request),
        readBody(memberChangeSchema, request),
      ];
      mustOwn(member);
      mustBeConfirmed(request);
      await changeRole(db, member, id, role, callerOf(request));
      await announcements.sayEnded([`user ${id}`]);
      response.status(204).end();
    })
    .delete('/members/:id', async (request, response) => {
      const [member, id] = [await whoAsks(context, request), idFrom(request)];
      mustOwn(member);
      mustBeConfirmed(request);
      await removeMember(db, member, id, callerOf(request));
      await deleteSessions(db, id, {});
      await announcements.sayEnded([`user ${id}`]);
      response.status(204).end();
    })
    .get('/notices', async (request, response) => {
      response.json(await noticesOf(db, await whoAsks(context, request)));
    })
    .post('/notices/seen', async (request, response) => {
      await readNotices(db, await whoAsks(context, request), readBody(noticesSeenSchema, request).ids);
      response.status(204).end();
    })
    .get('/invitations', async (request, response) => {
      response.json(await invitations(db, await whoAsks(context, request)));
    })
    .post('/invitations', async (request, response) => {
      const member = await whoAsks(context, request);
      response.status(201).json(await invite(accounts, member, readBody(invitationSchema, request), callerOf(request)));
    })
    .delete('/invitations/:id', async (request, response) => {
      await withdrawInvitation(db, await whoAsks(context, request), idFrom(request, /^[0-9a-f]{64}$/));
      response.status(204).end();
    })
    .get('/firm', async (request, response) => {
      response.json(await firmState(db, await whoAsks(context, request)));
    })
    .put('/firm', async (request, response) => {
      const [member, settings] = [await whoAsks(context, request), readBody(firmSettingsSchema, request)];
      mustOwn(member, 'change its settings');
      mustBeConfirmed(request);
      await changeFirm(db, member, settings, callerOf(request));
      // Whoever has no second factor yet signs in again, and is asked to set it up then.
      if (settings.needsSecondFactor)
        for (const one of await listMembers(db, member.firm.id))
          if (!one.hasSecondFactor && one.id !== member.user.id) {
            await deleteSessions(db, one.id, {});
            await announcements.sayEnded([`user ${one.id}`]);
          }
      response.json(await firmState(db, member));
    })
    .get('/firm/standards', async (request, response) => {
      response.json(await firmStandards(db, await whoAsks(context, request)));
    })
    .put('/firm/standards', async (request, response) => {
      const member = await whoAsks(context, request);
      mustOwn(member, 'change its shop standards');
      response.json(await setFirmStandards(db, member, readBody(firmStandardsSchema, request), callerOf(request)));
    })
    .get('/firm/audit', async (request, response) => {
      const before = request.query['before'];
      if (before !== undefined && !/^[0-9]{1,18}$/.test(String(before))) throw badField('before', 'is not a number');
      response.json(
        await auditOf(db, await whoAsks(context, request), before === undefined ? undefined : String(before)),
      );
    })
    .get('/firm/export', async (request, response) => {
      const member = await whoAsks(context, request);
      mustOwn(member, 'export it');
      mustBeConfirmed(request);
      await insertAudit(db, {
        firmId: member.firm.id,
        userId: member.user.id,
        who: member.user.name,
        event: 'firm exported',
        address: callerOf(request).address,
      });
      response.setHeader('content-type', 'application/json');
      response.setHeader('content-disposition', 'attachment; filename="winculum-firm.json"');
      for await (const piece of exportFirm(db, open, member)) {
        if (response.destroyed) return;
        if (!response.write(piece))
          await new Promise((resolve) => response.once('drain', resolve).once('close', resolve));
      }
      response.end();
    })
    .delete('/firm', async (request, response) => {
      const [member, { name }] = [await whoAsks(context, request), readBody(firmDeletionSchema, request)];
      mustOwn(member, 'delete it');
      mustBeConfirmed(request);
      const people = await listMembers(db, member.firm.id);
      await removeFirm(db, member, name, callerOf(request));
      for (const one of people) await deleteSessions(db, one.id, {});
      await announcements.sayEnded([`firm ${member.firm.id}`]);
      response.status(204).end();
    })
    .get('/bench', async (request, response) => {
      response.json(await benchOf(db, await whoAsks(context, request)));
    })
    .put('/bench', async (request, response) => {
      const member = await whoAsks(context, request);
      response.json(await keepBench(db, member, readBody(benchSchema, request)));
    })
    .get('/practice', async (request, response) => {
      response.json(await practiceRecords(db, await whoAsks(context, request)));
    })
    .post('/members/:id/practice', async (request, response) => {
      const member = await whoAsks(context, request);
      const signature = readBody(practiceSignatureSchema, request);
      await signPractice(db, member, idFrom(request), signature, callerOf(request));
      response.status(204).end();
    });
}
