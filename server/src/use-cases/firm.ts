import { sql } from 'kysely';
import type { AuditEntry, FirmStandards, FirmState, SignedIn } from '@winculum/contract';
import { standardsSchema, type Standards } from '@winculum/core';
import { deleteFirm, findFirm, findStandards, listMembers, replaceStandards, updateFirm } from '../db/accounts';
import { insertAudit, listAudit } from '../db/audit';
import type { Db } from '../db/database';
import { measureFirm } from '../db/houses';
import type { Caller } from './accounts';
import { badField, Refusal } from './errors';
import { practiceRecords } from './bench';
import { mustOwn } from './members';
import type { OpenHouses } from './open-houses';

const MOST_HOUSES = 500;
const MOST_BYTES = 1_000_000_000;

/** @throws Refusal where a firm holds as much as it may. Deleted houses count until they are gone. */
export async function mustHaveRoom(db: Db, member: SignedIn): Promise<void> {
  const { houses, bytes } = await measureFirm(db, member.firm.id);
  if (houses >= MOST_HOUSES)
    throw new Refusal(
      409,
      'too-many',
      `The firm has ${houses} houses, deleted ones of the last 30 days among them; ${MOST_HOUSES} is the most.`,
    );
  if (bytes >= MOST_BYTES)
    throw new Refusal(
      409,
      'too-large',
      `The firm's houses take ${(bytes / 1e6).toFixed(0)} MB; ${MOST_BYTES / 1e6} MB is the most. Save old ones as files and delete them.`,
    );
}

export async function firmState(db: Db, member: SignedIn): Promise<FirmState> {
  const [settings, measured] = [await findFirm(db, member.firm.id), await measureFirm(db, member.firm.id)];
  return { ...settings, ...measured, mostHouses: MOST_HOUSES, mostBytes: MOST_BYTES };
}

/** What the firm has chosen about sessions and second factors; written down who chose it, and when. */
export async function changeFirm(
  db: Db,
  member: SignedIn,
  settings: { readonly trustDays: number; readonly needsSecondFactor: boolean },
  caller: Caller,
): Promise<void> {
  mustOwn(member, 'change its settings');
  await updateFirm(db, member.firm.id, settings);
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'settings changed',
    detail: `trusted devices ${settings.trustDays} days, second factor ${settings.needsSecondFactor ? 'required' : 'optional'}`,
    address: caller.address,
  });
}

/** The shop standards of the firm. What an older program wrote and this one cannot read counts as nothing said. */
export async function firmStandards(db: Db, member: SignedIn): Promise<FirmStandards> {
  const { standards, version } = await findStandards(db, member.firm.id);
  const read = standardsSchema.safeParse(standards);
  return { version, standards: read.success ? read.data : null };
}

/** Replaces them. @throws Refusal where somebody else has changed them since they were read. */
export async function setFirmStandards(
  db: Db,
  member: SignedIn,
  { version, standards }: { readonly version: number; readonly standards: Standards },
  caller: Caller,
): Promise<FirmStandards> {
  const { own: _own, ...shared } = standards;
  if (!(await replaceStandards(db, member.firm.id, version, JSON.stringify(shared))))
    throw new Refusal(
      409,
      'changed',
      'Somebody else has changed the standards of the firm. Look at them, then try again.',
    );
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'standards changed',
    address: caller.address,
  });
  return { version: version + 1, standards: shared };
}

export function auditOf(db: Db, member: SignedIn, before: string | undefined): Promise<AuditEntry[]> {
  mustOwn(member, 'read its audit log');
  return listAudit(db, member.firm.id, before);
}

/** Deletes the whole firm, when its name is typed. */
export async function removeFirm(db: Db, member: SignedIn, name: string, caller: Caller): Promise<void> {
  mustOwn(member, 'delete it');
  if (name !== member.firm.name) throw badField('name', `is not "${member.firm.name}"`);
  await db.transaction().execute(async (tx) => {
    await deleteFirm(tx, member.firm.id);
    await insertAudit(tx, {
      firmId: null,
      userId: member.user.id,
      who: member.user.name,
      event: 'firm deleted',
      address: caller.address,
    });
  });
}

/**
 * Everything of a firm as JSON, piece by piece: members, what they practiced on the bench and who signed it, houses as they are, revisions
 * with their signatures, and the audit log. Photos come with the handover of each house. A house in it can be opened as a house file.
 */
export async function* exportFirm(db: Db, open: OpenHouses, member: SignedIn): AsyncGenerator<string> {
  const { id, name } = member.firm;
  const { standards } = await firmStandards(db, member);
  const people = (await listMembers(db, id)).map(({ id: _id, ...one }) => one);
  const practice = (await practiceRecords(db, member)).map(({ id: _id, ...one }) => one);
  yield `{"format":"winculum-firm","version":1,"name":${JSON.stringify(name)},"members":${JSON.stringify(people)},"standards":${JSON.stringify(standards)},"practice":${JSON.stringify(practice)},"houses":[`;
  const houses = await db
    .selectFrom('houses')
    .select(['id', 'deleted_at as deletedAt'])
    .where('firm_id', '=', id)
    .orderBy('created_at')
    .execute();
  for (const [i, house] of houses.entries()) {
    const state = await open.catchUp(db, house.id).catch(() => undefined);
    const head = { id: house.id, deletedAt: house.deletedAt, version: state?.version ?? null };
    yield `${i === 0 ? '' : ','}${JSON.stringify(head).slice(0, -1)},"document":${state ? open.textOf(state) : 'null'}}`;
  }
  yield '],"revisions":[';
  const revisions = await sql<{ text: string }>`
    select json_build_object('house', r.house_id, 'number', r.number, 'version', r.version, 'note', r.note, 'at', r.at,
      'hash', r.hash, 'document', r.house,
      'signatures', (select coalesce(json_agg(json_build_object('role', s.role, 'name', s.name, 'at', s.at, 'hash', s.hash, 'strokes', s.strokes)), '[]')
        from signatures s where s.house_id = r.house_id and s.number = r.number))::text as text
    from revisions r join houses h on h.id = r.house_id where h.firm_id = ${id} order by r.house_id, r.number`.execute(
    db,
  );
  for (const [i, { text }] of revisions.rows.entries()) yield `${i === 0 ? '' : ','}${text}`;
  yield '],"audit":[';
  const audit = await sql<{ text: string }>`
    select json_build_object('at', at, 'who', who, 'event', event, 'detail', detail, 'address', address)::text as text
    from audit where firm_id = ${id} order by id`.execute(db);
  for (const [i, { text }] of audit.rows.entries()) yield `${i === 0 ? '' : ','}${text}`;
  yield ']}\n';
}
