import { memo } from '../cache/memo';
import { edit, type Edited } from '../house/edit';
import type { Decision, House, Room } from '../house/schema';
import type { NewId } from '../house/new-box';
import { refuse, type Result } from '../units/result';
import { walkingOrder } from '../walk/walk-sheets';
import { QUESTIONS, type Question } from './questions';

/** One question of one room or of the house, with where it stands. */
export interface MustKnow {
  readonly question: Question;
  readonly room: Room | undefined;
  /** The drawing says it; somebody has answered; or nobody has yet, and the usual is assumed. */
  readonly state: 'drawn' | 'answered' | 'open';
  /** What is known: by the drawing or by the answer. */
  readonly known: string | undefined;
  readonly decision: Decision | undefined;
  /** Tags of the boxes that rest on what is assumed. */
  readonly rests: readonly { readonly id: string; readonly tag: string }[];
}

const keyOf = (question: string, room: string | undefined): string => `${question} ${room ?? ''}`;

function answersOf(house: House): ReadonlyMap<string, Decision> {
  const answers = new Map<string, Decision>();
  for (const one of Object.values(house.decisions))
    if (one.change.kind === 'answer') answers.set(keyOf(one.change.question, one.change.room), one);
  return answers;
}

/** Every question that this house raises: of the house first, then of its rooms in walking order. Asked by rail, plan and brief alike. */
export const mustKnow = memo(ask, (house) => [house]);

function ask(house: House): readonly MustKnow[] {
  const answers = answersOf(house);
  const state = (question: Question, room: Room | undefined): MustKnow[] => {
    const asked = { house, room };
    if (question.when && !question.when(asked)) return [];
    const decision = answers.get(keyOf(question.id, room?.id));
    const drawn = question.drawn?.(asked);
    const answer = decision?.change.kind === 'answer' ? decision.change.answer : undefined;
    const rests = (question.rests?.(asked) ?? []).map(({ id, tag }) => ({ id, tag }));
    return [
      {
        question,
        room,
        state: answer !== undefined ? 'answered' : drawn !== undefined ? 'drawn' : 'open',
        known: answer ?? drawn,
        decision,
        rests: [...new Map(rests.map((one) => [one.id, one])).values()],
      },
    ];
  };
  const ofHouse = QUESTIONS.filter((one) => one.rooms === 'house').flatMap((one) => state(one, undefined));
  const ofRooms = walkingOrder(house).flatMap((room) =>
    QUESTIONS.filter((one) => one.rooms !== 'house' && one.rooms.includes(room.kind)).flatMap((one) =>
      state(one, room),
    ),
  );
  return [...ofHouse, ...ofRooms];
}

/** Whether anybody has begun the brief of this house: before that nothing in it is said to be provisional. */
const isBegun = (house: House): boolean =>
  Object.keys(house.uses).length > 0 || Object.values(house.decisions).some((one) => one.change.kind === 'answer');

/** Boxes that rest on an answer nobody has given, with what is to be asked; empty until the brief has begun. */
export function provisionalBoxes(house: House): ReadonlyMap<string, readonly string[]> {
  const waiting = new Map<string, string[]>();
  if (!isBegun(house)) return waiting;
  for (const { question, state, rests } of mustKnow(house))
    if (state === 'open') for (const { id } of rests) waiting.set(id, [...(waiting.get(id) ?? []), question.asks]);
  return waiting;
}

interface Answer {
  readonly question: string;
  readonly room: string | undefined;
  /** Empty takes the answer back. */
  readonly answer: string;
  readonly by: string;
  /** ISO date. */
  readonly date: string;
}

/** Writes an answer down, in place of an earlier one, or takes it back. */
export function answerQuestion(house: House, given: Answer, newId: NewId): Result<Edited> {
  const question = QUESTIONS.find((one) => one.id === given.question);
  if (!question) return refuse('missing', 'decisions', `There is no question "${given.question}".`);
  const before = answersOf(house).get(keyOf(given.question, given.room));
  const answer = given.answer.trim();
  return edit(house, answer ? `Answer: ${question.asks}`.slice(0, 80) : 'Take an answer back', (draft) => {
    if (!answer) {
      if (before) delete draft.decisions[before.id];
      return;
    }
    const id = before?.id ?? newId('decision');
    draft.decisions[id] = {
      id,
      rule: 'brief',
      change: { kind: 'answer', question: given.question, answer, ...(given.room ? { room: given.room } : {}) },
      by: given.by,
      date: given.date,
      note: before?.note ?? '',
    };
  });
}
