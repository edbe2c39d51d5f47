import { describe, expect, it } from 'vitest';
import { guestHouse } from '../brief/guest-house';
import { removeEntities } from '../edits/remove';
import type { NewId } from '../house/new-box';
import type { House } from '../house/schema';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { addComment, namedIn, openThreads, placeOfComment, settleComment, threadsOf } from './comments';

const PEOPLE = ['Ada', 'Ada Lang', 'Bo Reyes'];
let n = 0;
const newId: NewId = (prefix) => `${prefix}-${++n}`;
const at = (minute: number) => `2026-11-30T08:${String(minute).padStart(2, '0')}:00.000Z`;
const bare = aHouse()
  .room('den', 'den', [0, 0, 200, 200])
  .circuit('A', 15)
  .receptacle('den', 'c0', 40, { circuit: 'A' })
  .build();
const box = Object.keys(bare.boxes)[0]!;
const say = (house: House, text: string, minute: number, more: object = {}) =>
  must(addComment(house, { text, by: 'Ada', at: at(minute), people: PEOPLE, ...more }, newId)).house;
const idOf = (house: House, text: string) => Object.values(house.comments).find((one) => one.text === text)!.id;

describe('who is named in a comment', () => {
  it.each([
    ['@Ada look at this', ['Ada']],
    ['the longest name that stands there: @Ada Lang, please', ['Ada Lang']],
    ['in small letters, twice: @bo reyes and @BO REYES', ['Bo Reyes']],
    ['a name that goes on as another word: @Adam', []],
    ['an address: crew@bo', []],
    ['two: @Bo Reyes, @Ada.', ['Bo Reyes', 'Ada']],
    ['nobody', []],
  ])('%s', (text, expected) => expect(namedIn(text, PEOPLE)).toEqual(expected));
});

describe('comments', () => {
  const said = say(bare, 'Why so low, @Bo Reyes?', 1, { place: { box } });
  const id = idOf(said, 'Why so low, @Bo Reyes?');
  const answered = say(said, 'For the desk.', 2, { answers: id, by: 'Bo Reyes' });

  it('stand at a thing, and answers where what they answer stands', () => {
    const [thread] = threadsOf(answered, { box });
    expect(thread?.first).toMatchObject({ to: ['Bo Reyes'], box });
    expect(thread?.answers.map((one) => [one.text, one.box])).toEqual([['For the desk.', box]]);
    expect(placeOfComment(answered, thread!.first)).toBe('R1-1, den');
    expect(threadsOf(answered, { circuit: 'A' })).toEqual([]);
    expect(openThreads(answered)).toBe(1);
  });

  it('an answer to an answer belongs to the same thread', () => {
    const more = say(answered, 'Fine.', 3, { answers: idOf(answered, 'For the desk.') });
    expect(threadsOf(more)[0]?.answers.map((one) => one.text)).toEqual(['For the desk.', 'Fine.']);
  });

  it('settled ones go to the end, and an answer opens them again', () => {
    const two = say(answered, 'Later.', 0);
    const settled = must(settleComment(two, id, { by: 'Ada', at: at(5) })).house;
    expect(threadsOf(settled).map((one) => one.first.text)).toEqual(['Later.', 'Why so low, @Bo Reyes?']);
    expect(openThreads(settled)).toBe(1);
    const again = say(settled, 'But see 404.8.', 6, { answers: id });
    expect(openThreads(again)).toBe(2);
    expect(must(settleComment(settled, id, undefined)).house.comments[id]).not.toHaveProperty('settledBy');
  });

  it('an empty one, and an answer to one that is gone, are refused with a word', () => {
    expect(addComment(bare, { text: ' \n', by: 'Ada', at: at(1), people: [] }, newId)).toMatchObject({ ok: false });
    expect(addComment(bare, { text: 'yes', answers: 'gone', by: 'Ada', at: at(1), people: [] }, newId)).toMatchObject({
      problems: [{ message: 'This comment is no longer there.' }],
    });
  });

  it('stay when their box or circuit goes, and take their answers along when they go themselves', () => {
    const onCircuit = say(answered, 'Full?', 4, { place: { circuit: 'A' } });
    const without = must(
      removeEntities(onCircuit, [
        { collection: 'boxes', id: box },
        { collection: 'circuits', id: 'A' },
      ]),
    ).house;
    expect(Object.values(without.comments).map(({ box: at1, circuit }) => at1 ?? circuit)).toEqual(
      Object.values(without.comments).map(() => undefined),
    );
    expect(Object.keys(without.comments)).toHaveLength(3);
    const gone = must(removeEntities(answered, [{ collection: 'comments', id }])).house;
    expect(gone.comments).toEqual({});
  });

  it('are for the firm alone: no guest sees them', () => {
    for (const role of ['owner', 'designer', 'inspector', 'trade', 'panel'] as const)
      expect(guestHouse(answered, role, null).comments).toEqual({});
  });
});
