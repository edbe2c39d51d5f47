import { edit, type Edited } from '../house/edit';
import type { NewId } from '../house/new-box';
import type { Comment, House } from '../house/schema';
import type { Result } from '../units/result';

/** What a comment is about: a room, a box, a circuit, or with nothing said the house. */
export type CommentPlace = Partial<Pick<Comment, 'room' | 'box' | 'circuit'>>;

/** A comment with what was answered to it, the oldest first. */
export interface Thread {
  readonly first: Comment;
  readonly answers: readonly Comment[];
  readonly isSettled: boolean;
  /** When anything was last said in it. */
  readonly lastAt: string;
}

const isOn = (comment: Comment, { room, box, circuit }: CommentPlace): boolean =>
  (room === undefined || comment.room === room) &&
  (box === undefined || comment.box === box) &&
  (circuit === undefined || comment.circuit === circuit);

/** The threads about a place, open ones first, then those in which something was said last. */
export function threadsOf({ comments }: House, place: CommentPlace = {}): readonly Thread[] {
  const all = Object.values(comments);
  const oldestFirst = (a: Comment, b: Comment): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1);
  return all
    .filter((one) => one.answers === undefined && isOn(one, place))
    .map((first): Thread => {
      const answers = all.filter((one) => one.answers === first.id).sort(oldestFirst);
      return {
        first,
        answers,
        isSettled: first.settledAt !== undefined,
        lastAt: answers.at(-1)?.at ?? first.at,
      };
    })
    .sort(
      (a, b) => Number(a.isSettled) - Number(b.isSettled) || (a.lastAt > b.lastAt ? -1 : a.lastAt < b.lastAt ? 1 : 0),
    );
}

/** The comments that wait for an answer or to be settled. */
export const openThreads = (house: House, place: CommentPlace = {}): number =>
  threadsOf(house, place).filter((one) => !one.isSettled).length;

/**
 * Who is named in a text: `@` and a name of the firm as it is written, whatever its capitals. Of names that begin alike the longest that
 * stands there counts, and a name that goes on as another word does not.
 * @example namedIn('@Ada look at this', ['Ada', 'Ada Lang']) is ['Ada']
 */
export function namedIn(text: string, people: readonly string[]): readonly string[] {
  const byLength = people.toSorted((a, b) => b.length - a.length);
  const found = new Set<string>();
  for (const { index } of text.matchAll(/@/g)) {
    const rest = text.slice(index + 1).toLowerCase();
    const one = byLength.find(
      (person) => rest.startsWith(person.toLowerCase()) && !/^[\p{L}\p{N}]/u.test(rest.slice(person.length)),
    );
    if (one !== undefined) found.add(one);
  }
  return [...found];
}

/** What is to be said, by whom and when. */
interface Said {
  readonly text: string;
  readonly place?: CommentPlace;
  /** The first comment of the thread that it answers. */
  readonly answers?: string;
  readonly by: string;
  /** ISO date and time. */
  readonly at: string;
  /** The people of the firm, by whom it may name. */
  readonly people: readonly string[];
}

/** Writes a comment down, or an answer to one, which stands at the place of what it answers and opens a settled matter again. */
export const addComment = (
  house: House,
  { text, place = {}, answers, by, at, people }: Said,
  newId: NewId,
): Result<Edited> =>
  edit(house, answers ? 'Answer a comment' : 'Comment', (draft) => {
    const answered = answers === undefined ? undefined : draft.comments[answers];
    const first = answered?.answers === undefined ? answered : draft.comments[answered.answers];
    if (answers !== undefined && !first)
      return { code: 'missing', path: `comments.${answers}`, message: 'This comment is no longer there.' };
    const id = newId('comment');
    const { room, box, circuit } = first ?? place;
    draft.comments[id] = {
      id,
      text: text.trim(),
      ...(room ? { room } : {}),
      ...(box ? { box } : {}),
      ...(circuit ? { circuit } : {}),
      ...(first ? { answers: first.id } : {}),
      to: namedIn(text, people).slice(0, MOST_NAMED),
      by,
      at,
    };
    if (first) {
      delete first.settledBy;
      delete first.settledAt;
    }
    return undefined;
  });
const MOST_NAMED = 12;

/** Settles the matter of a thread, or opens it again. */
export const settleComment = (
  house: House,
  id: string,
  settled: { readonly by: string; readonly at: string } | undefined,
): Result<Edited> =>
  edit(house, settled ? 'Settle a comment' : 'Open a comment again', (draft) => {
    const comment = draft.comments[id];
    if (!comment) return { code: 'missing', path: `comments.${id}`, message: 'This comment is no longer there.' };
    if (settled) [comment.settledBy, comment.settledAt] = [settled.by, settled.at];
    else {
      delete comment.settledBy;
      delete comment.settledAt;
    }
    return undefined;
  });

/** Where a comment stands, in words: the box, the circuit or the room; undefined for the house as a whole. */
export function placeOfComment(house: House, { room, box, circuit }: CommentPlace): string | undefined {
  const itsBox = box === undefined ? undefined : house.boxes[box];
  if (itsBox) return `${itsBox.tag}, ${house.rooms[itsBox.room]?.name ?? ''}`;
  if (circuit !== undefined) return house.circuits[circuit]?.name;
  return room === undefined ? undefined : house.rooms[room]?.name;
}
