import type { Notice, SignedIn } from '@winculum/contract';
import type { Comment, House, Patch, Task } from '@winculum/core';
import { listMembers } from '../db/accounts';
import type { Db } from '../db/database';
import { insertNotices, listNotices, markNotices, type NewNotice } from '../db/notices';

/** What of a text a notice shows. */
const SHOWN = 200;

interface Author {
  readonly id: string;
  readonly name: string;
  readonly firmId: string;
}

/** The things of a collection that patches add or write to, as they are afterwards. */
function touched<T>(records: Readonly<Record<string, T>>, collection: string, patches: readonly Patch[]): T[] {
  const ids = new Set(patches.flatMap(({ path: [first, id] }) => (first === collection ? [String(id)] : [])));
  return [...ids].flatMap((id) => (Object.hasOwn(records, id) ? [records[id]!] : []));
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Who has said something in the thread that a comment answers. */
const inThread = ({ comments }: House, answers: string): readonly string[] =>
  Object.values(comments).flatMap((one) => (one.id === answers || one.answers === answers ? [one.by] : []));

/** Whether edits touch what people are told of. */
export const tellsAnybody = (patches: readonly Patch[]): boolean =>
  patches.some(({ path: [first] }) => first === 'comments' || first === 'tasks');

/**
 * Tells the people of a firm what edits say to them: comments that name them or answer them, work that is theirs. Nobody is told of what
 * they said themselves, and of one thing once. Costs nothing where no comment or task is touched.
 */
export async function tellOf(
  db: Db,
  author: Author,
  houseId: string,
  house: House,
  patches: readonly Patch[],
): Promise<void> {
  if (!tellsAnybody(patches)) return;
  const members = (await listMembers(db, author.firmId)).filter((one) => one.id !== author.id);
  const said: readonly Comment[] = touched(house.comments, 'comments', patches);
  const given: readonly Task[] = touched(house.tasks, 'tasks', patches);
  const notices = members.flatMap((member): NewNotice[] => {
    const base = { userId: member.id, houseId, who: author.name };
    const isThem = (name: string) => sameName(name, member.name);
    return [
      ...said.flatMap(({ id, text, to, answers }): NewNotice[] => {
        const what = text.slice(0, SHOWN);
        if (to.some(isThem)) return [{ ...base, kind: 'mention', about: id, what }];
        const isAnswer = answers !== undefined && inThread(house, answers).some(isThem);
        return isAnswer ? [{ ...base, kind: 'answer', about: id, what }] : [];
      }),
      ...given.flatMap(({ id, what, state, for: whose }): NewNotice[] =>
        state === 'open' && whose !== undefined && isThem(whose)
          ? [{ ...base, kind: 'task', about: id, what: what.slice(0, SHOWN) }]
          : [],
      ),
    ];
  });
  await insertNotices(db, notices);
}

/** Tells the owners of a firm what a guest has written down in one of its houses. */
export async function tellOwners(
  db: Db,
  guest: { readonly firmId: string; readonly houseId: string },
  who: string,
  patches: readonly Patch[],
): Promise<void> {
  const remarks = patches.flatMap(({ op, path, value }) =>
    op === 'add' && path[0] === 'tasks' && path.length === 2 ? [value as Task] : [],
  );
  if (remarks.length === 0) return;
  const owners = (await listMembers(db, guest.firmId)).filter((one) => one.role === 'owner');
  await insertNotices(
    db,
    owners.flatMap((owner) =>
      remarks.map(({ id, what }): NewNotice => ({
        userId: owner.id,
        houseId: guest.houseId,
        kind: 'guest',
        about: id,
        what: what.slice(0, SHOWN),
        who,
      })),
    ),
  );
}

export const noticesOf = (db: Db, member: SignedIn): Promise<Notice[]> =>
  listNotices(db, member.user.id, member.firm.id);

export const readNotices = (db: Db, member: SignedIn, ids: readonly string[] | undefined): Promise<void> =>
  markNotices(db, member.user.id, ids);
