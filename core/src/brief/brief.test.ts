import { describe, expect, it } from 'vitest';
import { removeEntities } from '../edits/remove';
import { addEntity, changeEntity } from '../edits/verbs';
import type { NewId } from '../house/new-box';
import { USE_KINDS, type House } from '../house/schema';
import { validateHouse } from '../house/validate';
import { byTheTool } from '../test/by-the-tool';
import { demo } from '../test/demo-house';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { openPlanHouse } from '../test/open-plan-house';
import { ranchHouse } from '../test/ranch-house';
import { ofItsOwnMaking } from '../test/own-making';
import { checkHouse } from '../nec/check-house';
import { futuresOf, originsOf } from './futures';
import { addUse, linesOfUse, placeUse, USES } from './living';
import { answerQuestion, mustKnow, provisionalBoxes } from './must-know';
import { proposedTasks, settleTask, writeTasks } from './other-trades';
import { QUESTIONS } from './questions';
import { addWant, wantsOf } from './add-want';
import { WANTS } from './wants';

const counter = (): NewId => {
  let n = 0;
  return (prefix) => `${prefix}-b${++n}`;
};
const placing = { by: 'Ada', date: '2026-11-30' };
const houses: readonly (readonly [string, House])[] = [
  ['the demo house', demo],
  ['a ranch by the tool alone', byTheTool(ranchHouse('2023'))],
  ['an open plan by the tool alone', byTheTool(openPlanHouse('2020'))],
];

describe.each(houses)('the brief of %s', (_, house) => {
  const questions = mustKnow(house);

  it('asks the house first, then every room what its kind raises, once', () => {
    const keys = questions.map((one) => `${one.question.id} ${one.room?.id ?? ''}`);
    expect(new Set(keys).size).toBe(keys.length);
    const firstRoom = questions.findIndex((one) => one.room);
    expect(questions.slice(firstRoom).every((one) => one.room)).toBe(true);
    for (const room of Object.values(house.rooms).filter((one) => one.kind === 'bedroom'))
      expect(keys).toContain(`bed ${room.id}`);
    for (const { known, state } of questions) expect(known === undefined).toBe(state === 'open');
  });

  it('takes an answer, keeps who gave it and when, and gives the boxes free that rested on it', () => {
    const open = questions.find((one) => one.state === 'open' && one.rests.length > 0)!;
    expect(provisionalBoxes(house).size).toBe(0);
    // With any answer the brief has begun: what nobody has answered is provisional from then on.
    const other = questions.find((one) => one !== open && one.rests.length === 0)!;
    const answer = (to: typeof open, text: string, now: House) =>
      must(
        answerQuestion(
          now,
          { question: to.question.id, room: to.room?.id, answer: text, by: 'Ada', date: '2026-11-30' },
          counter(),
        ),
      ).house;
    const begun = answer(other, 'as usual', house);
    const waits = (now: House) => provisionalBoxes(now).get(open.rests[0]!.id) ?? [];
    expect(waits(begun)).toContain(open.question.asks);
    const answered = answer(
      open,
      'on the north wall',
      must(
        answerQuestion(
          begun,
          { question: open.question.id, room: open.room?.id, answer: 'first', by: 'B', date: '2026-11-29' },
          (prefix) => `${prefix}-other`,
        ),
      ).house,
    );
    expect(waits(answered)).not.toContain(open.question.asks);
    const now = mustKnow(answered).find((one) => one.question === open.question && one.room?.id === open.room?.id)!;
    expect(now).toMatchObject({ state: 'answered', known: 'on the north wall', decision: { by: 'Ada' } });
    expect(validateHouse(answered).ok).toBe(true);
    // No rule reads it: nothing of the check changes, and it goes with its room.
    expect(checkHouse(answered).findings.map((one) => one.key)).toEqual(
      checkHouse(house).findings.map((one) => one.key),
    );
    expect(waits(answer(open, '  ', answered))).toContain(open.question.asks);
    if (open.room)
      expect(
        must(removeEntities(answered, [{ collection: 'rooms', id: open.room.id }])).house.decisions,
      ).not.toHaveProperty(now.decision!.id);
  });

  it('sets every forgotten want down in one tap without breaking a rule, or says what is in the way', () => {
    let [placed, refused] = [0, 0];
    const [possible, impossible] = [new Set<string>(), new Set<string>()];
    for (const room of Object.values(house.rooms))
      for (const want of wantsOf(house, room)) {
        const done = addWant(house, want.id, room.id, placing, counter());
        if (!done.ok) {
          expect(done.problems[0]!.message, want.id).toMatch(/by hand|first/);
          refused++;
          impossible.add(want.id);
          continue;
        }
        placed++;
        possible.add(want.id);
        const after = done.value.house;
        expect(want.isThere(after, after.rooms[room.id]!), want.id).toBe(true);
        for (const box of Object.values(after.boxes))
          if (!house.boxes[box.id]) expect(box).toMatchObject({ origin: 'request', requested: { by: 'Ada' } });
        const before = new Set(ofItsOwnMaking(checkHouse(house).findings).map((one) => one.key));
        expect(ofItsOwnMaking(checkHouse(after).findings).filter((one) => !before.has(one.key))).toEqual([]);
      }
    expect(placed).toBeGreaterThan(10);
    expect(refused).toBeLessThanOrEqual(placed / 10);
    for (const id of impossible) expect(possible, 'no want is refused in every room').toContain(id);
  });

  it('lists what falls between the trades, takes it on once, and knows who settled it', () => {
    const proposed = proposedTasks(house);
    expect(proposed.map((one) => one.what)).toContain('Temporary power and light on site');
    const written = must(writeTasks(house, proposed, placing, counter())).house;
    expect(proposedTasks(written)).toEqual([]);
    const [first] = Object.values(written.tasks);
    const settled = must(settleTask(written, first!.id, 'done', { name: 'Bo', date: '2026-12-01' })).house;
    expect(settled.tasks[first!.id]).toMatchObject({ state: 'done', settledBy: 'Bo', settledOn: '2026-12-01' });
    const again = must(settleTask(settled, first!.id, 'open', { name: 'Bo', date: '2026-12-02' })).house;
    expect(again.tasks[first!.id]).not.toHaveProperty('settledBy');
    expect(settleTask(house, 'nobody', 'done', { name: 'Bo', date: '2026-12-01' })).toMatchObject({ ok: false });
  });
});

describe('how people live in a room', () => {
  it.each(USE_KINDS)('%s: every line has device, height and reason, and fits a wall of a room', (kind) => {
    for (const line of USES[kind].lines) {
      expect(line.text).toMatch(/^[A-Z][1-4]? -?\d+ \d+$/);
      expect(line.why.length).toBeGreaterThan(10);
    }
    const house = aHouse().room('room', 'other', [0, 0, 240, 200]).build();
    const used = must(addUse(house, { id: 'u', room: 'room', kind, who: 'Ada', note: '' })).house;
    const placed = must(placeUse(used, 'u', placing, counter())).house;
    expect(Object.keys(placed.boxes)).toHaveLength(USES[kind].lines.length);
    for (const box of Object.values(placed.boxes)) expect(box.requested).toEqual({ by: 'Ada', on: '2026-11-30' });
  });

  it('stands at what is drawn, and on one side of the bed alone where one sleeps there', () => {
    const house = aHouse().room('room', 'bedroom', [0, 0, 168, 144]).feature('room', 'bed', ['c2', 54, 60, 80]).build();
    expect(linesOfUse({ kind: 'bed', side: 'left' })).toHaveLength(2);
    const used = must(addUse(house, { id: 'u', room: 'room', kind: 'bed', who: '', side: 'left', note: '' })).house;
    const boxes = Object.values(must(placeUse(used, 'u', placing, counter())).house.boxes);
    expect(boxes.map((box) => box.at.kind === 'wall' && box.at.wall)).toEqual(['c2', 'c2']);
    for (const { at } of boxes) expect(at.kind === 'wall' && at.alongIn).toBeLessThan(84);
    const gone = must(removeEntities(used, [{ collection: 'rooms', id: 'room' }])).house;
    expect(gone.uses).toEqual({});
    const small = aHouse().room('room', 'closet', [0, 0, 40, 30]).build();
    const crowded = must(addUse(small, { id: 'u', room: 'room', kind: 'woodwork', who: '', note: '' })).house;
    expect(placeUse(crowded, 'u', placing, counter())).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringContaining('has room for all of it') as string }],
    });
  });
});

it('takes no offense at a stretch without receptacles that one more cuts in two, and does at a box in the wrong place', () => {
  const house = aHouse().room('room', 'living', [0, 0, 240, 200]).build();
  expect(addWant(house, 'aquarium', 'room', placing, counter())).toMatchObject({ ok: true });
  // A receptacle for a towel bar would stand in the zone of the tub, wherever: 406.9(C).
  const bath = aHouse().room('bath', 'bathroom', [0, 0, 60, 60]).feature('bath', 'tub', ['c0', 0, 60, 60]).build();
  expect(addWant(bath, 'towel-warmer', 'bath', placing, counter())).toMatchObject({
    ok: false,
    problems: [{ code: 'objection', message: expect.stringContaining('406.9(C)') as string }],
  });
});

it('lists every end that waits, and who asked for what', () => {
  const base = aHouse()
    .room('garage', 'garage', [0, 0, 240, 240])
    .receptacle('garage', 'c0', 60, { circuit: 'A' })
    .circuit('A', 20)
    .build();
  const house = must(
    addWant(
      must(addWant(base, 'vehicle-later', 'garage', placing, counter())).house,
      'sleeve-garden',
      'garage',
      { by: 'Bo', date: '2026-11-30' },
      (prefix) => `${prefix}-c`,
    ),
  ).house;
  expect(futuresOf(house).map((one) => one.what)).toEqual(expect.arrayContaining(['sleeve', 'blank']));
  const { code, requested, byWhom } = originsOf(house);
  expect(code + requested).toBe(Object.keys(house.boxes).length);
  expect(byWhom).toEqual(
    expect.arrayContaining([
      { by: 'Ada', n: 1 },
      { by: 'Bo', n: 1 },
    ]),
  );
  expect(futuresOf(base)).toEqual([]);
});

it('has a reason and a usual answer for every question, and one id each', () => {
  expect(new Set(QUESTIONS.map((one) => one.id)).size).toBe(QUESTIONS.length);
  expect(new Set(WANTS.map((one) => one.id)).size).toBe(WANTS.length);
  for (const one of QUESTIONS) expect([one.asks, one.why, one.usual].every((text) => text.length > 3)).toBe(true);
});

it('keeps tasks of a room that goes, without the room, and refuses one of a room that is not there', () => {
  const house = aHouse().room('bath', 'bathroom', [0, 0, 96, 96]).build();
  const task = {
    id: 't',
    kind: 'punch',
    what: 'Mend',
    trade: 'electrician',
    due: 'trim',
    room: 'bath',
    state: 'open',
    by: 'A',
    date: '2026-11-30',
    note: '',
  } as const;
  const written = must(addEntity(house, 'tasks', task)).house;
  expect(must(removeEntities(written, [{ collection: 'rooms', id: 'bath' }])).house.tasks['t']).not.toHaveProperty(
    'room',
  );
  expect(changeEntity(written, 'tasks', 't', { room: 'nowhere' })).toMatchObject({
    ok: false,
    problems: [{ path: 'tasks.t.room' }],
  });
});
