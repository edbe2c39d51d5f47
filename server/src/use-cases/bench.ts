import { benchSchema, type Bench, type SignedIn } from '@winculum/contract';
import type { Db } from '../db/database';
import { findBench, storeBench } from '../db/bench';

const NOTHING: Bench = { done: [], wires: {} };

/** What the signed-in person has done on the bench. What an older program kept and this one cannot read counts as nothing. */
export async function benchOf(db: Db, member: SignedIn): Promise<Bench> {
  const read = benchSchema.safeParse((await findBench(db, member.user.id)) ?? NOTHING);
  return read.success ? read.data : NOTHING;
}

/** Keeps it; anybody may learn, viewers too. What is done stays done, whichever device it was done on. */
export async function keepBench(db: Db, member: SignedIn, progress: Bench): Promise<Bench> {
  const before = await benchOf(db, member);
  // A window that knows nothing of practice takes none of it away.
  const practice = progress.practice ?? before.practice;
  const next: Bench = {
    ...progress,
    ...(practice ? { practice } : {}),
    done: [...new Set([...before.done, ...progress.done])].slice(0, 60),
  };
  await storeBench(db, member.user.id, next);
  return next;
}
