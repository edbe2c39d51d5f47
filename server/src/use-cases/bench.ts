import {
  benchSchema,
  type Bench,
  type PracticeFigures,
  type PracticeRecord,
  type practiceSignatureSchema,
  type SignedIn,
} from '@winculum/contract';
import type { z } from 'zod';
import { listMembers } from '../db/accounts';
import { insertAudit } from '../db/audit';
import type { Db } from '../db/database';
import { findBench, findBenches, insertPracticeSignature, listPracticeSignatures, storeBench } from '../db/bench';
import type { Caller } from './accounts';
import { forbidden, notFound, Refusal } from './errors';
import { mustOwn } from './members';

const NOTHING: Bench = { done: [], wires: {} };
/** What an older program kept and this one cannot read counts as nothing. */
const readBench = (progress: unknown): Bench => benchSchema.safeParse(progress ?? NOTHING).data ?? NOTHING;

/** What the signed-in person has done on the bench. */
export const benchOf = async (db: Db, member: SignedIn): Promise<Bench> =>
  readBench(await findBench(db, member.user.id));

type Practice = NonNullable<Bench['practice']>;
/** Counts only grow, so of two devices the larger one is right; a window that knows nothing of practice takes none of it away. */
function morePractice(a: Practice, b: Practice): Practice {
  const kinds = [...new Set([...Object.keys(a), ...Object.keys(b)])];
  const most = (kind: string, what: 'right' | 'wrong') => Math.max(a[kind]?.[what] ?? 0, b[kind]?.[what] ?? 0);
  return Object.fromEntries(kinds.map((kind) => [kind, { right: most(kind, 'right'), wrong: most(kind, 'wrong') }]));
}

/** Keeps it; anybody may learn, viewers too. What is done stays done, whichever device it was done on. */
export async function keepBench(db: Db, member: SignedIn, progress: Bench): Promise<Bench> {
  const before = await benchOf(db, member);
  const practice = morePractice(before.practice ?? {}, progress.practice ?? {});
  const next: Bench = {
    ...progress,
    ...(Object.keys(practice).length > 0 ? { practice } : {}),
    done: [...new Set([...before.done, ...progress.done])].slice(0, 60),
  };
  await storeBench(db, member.user.id, next);
  return next;
}

const sum = (numbers: readonly number[]) => numbers.reduce((total, one) => total + one, 0);
function figuresOf({ done, practice = {} }: Bench): PracticeFigures {
  const kinds = Object.values(practice);
  return { proved: done.length, found: sum(kinds.map((one) => one.right)), missed: sum(kinds.map((one) => one.wrong)) };
}

/** Records on the bench: an owner sees everybody's, others their own. */
export async function practiceRecords(db: Db, member: SignedIn): Promise<PracticeRecord[]> {
  const all = await listMembers(db, member.firm.id);
  const people = member.role === 'owner' ? all : all.filter((one) => one.id === member.user.id);
  const ids = people.map((one) => one.id);
  const [benches, signatures] = [await findBenches(db, ids), await listPracticeSignatures(db, ids)];
  return people.map(({ id, name }) => {
    const bench = readBench(benches.find((one) => one.userId === id)?.progress);
    return {
      id,
      name,
      figures: figuresOf(bench),
      weak: Object.entries(bench.practice ?? {}).flatMap(([kind, { right, wrong }]) => (wrong > right ? [kind] : [])),
      signatures: signatures
        .filter((one) => one.userId === id)
        .map(({ userId: _, at, ...one }) => ({ ...one, at: at.toISOString() })),
    };
  });
}

/**
 * An owner signs the record of somebody else in the firm, in the figures that were shown.
 * @throws a refusal where they are one's own, or have changed since
 */
export async function signPractice(
  db: Db,
  member: SignedIn,
  id: string,
  { shown, note }: z.infer<typeof practiceSignatureSchema>,
  caller: Caller,
): Promise<void> {
  mustOwn(member, 'sign a record of practice');
  const one = (await practiceRecords(db, member)).find((record) => record.id === id);
  if (!one) throw notFound('member');
  if (id === member.user.id) throw forbidden('Nobody signs their own record: ask another owner of the firm.');
  const { proved, found, missed } = one.figures;
  if (proved !== shown.proved || found !== shown.found || missed !== shown.missed)
    throw new Refusal(
      409,
      'stale',
      `${one.name} has practiced since this was shown. Look at the new figures, then sign.`,
    );
  await insertPracticeSignature(db, {
    ...one.figures,
    note,
    userId: id,
    signerId: member.user.id,
    who: member.user.name,
  });
  await insertAudit(db, {
    firmId: member.firm.id,
    userId: member.user.id,
    who: member.user.name,
    event: 'practice signed',
    detail: one.name,
    address: caller.address,
  });
}
