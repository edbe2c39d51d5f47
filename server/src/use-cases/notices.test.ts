import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { GuestLink, Notice } from '@winculum/contract';
import { addComment, addEntity, type Edit, type House, type Task } from '@winculum/core';
import { demo } from '../../../core/src/test/demo-house';
import { CHANNEL } from '../db/houses';
import { sweep } from '../db/housekeeping';
import { answerOf, Person, startApp, type Running } from '../test/harness';

let app: Running;
let owner: Person;
let crew: Person;
let stranger: Person;
let id: string;
let version = 0;
let house: House = demo;

beforeAll(async () => {
  app = await startApp();
  owner = new Person(app.url);
  stranger = new Person(app.url);
  await owner.openAccount('Notice firm', 'owner@notices.example');
  await stranger.openAccount('Other firm', 'other@notices.example');
  crew = await owner.bringIn('Bo Reyes', 'bo@notices.example', 'crew');
  id = await owner.addHouse(demo);
});
afterAll(() => app.stop());

const OWNER = 'Person of Notice firm';
let n = 0;
const newId = (prefix: string) => `${prefix}-n${++n}`;

/** Sends one edit as it comes, on the newest version or an older one. */
async function send(person: Person, edit: Edit, batch = { id: randomUUID(), base: version }) {
  const { label, patches } = edit;
  const answer = await person.call('post', `/houses/${id}/edits`, { ...batch, edits: [{ label, patches }] });
  expect(answer.status).toBe(200);
  version = answerOf(answer).version;
  return answer;
}
async function say(person: Person, by: string, text: string, answers?: string): Promise<string> {
  const said = addComment(
    house,
    { text, by, at: new Date().toISOString(), people: [OWNER, 'Bo Reyes'], ...(answers ? { answers } : {}) },
    newId,
  );
  if (!said.ok) throw new Error(said.problems[0]!.message);
  await send(person, said.value.edit);
  house = said.value.house;
  return `comment-n${n}`;
}
const noticesOf = async (person: Person) => (await person.call('get', '/notices')).body as Notice[];
const shown = async (person: Person) => (await noticesOf(person)).map(({ kind, what, who }) => [kind, who, what]);

describe('notices', () => {
  it('tell who is named, who is answered and who is given work, once and not of their own words', async () => {
    const first = await say(owner, OWNER, 'Too low, @Bo Reyes? And @Person of Notice firm sees it himself.');
    expect(await shown(crew)).toEqual([['mention', OWNER, expect.stringContaining('Too low') as string]]);
    expect(await shown(owner)).toEqual([]);
    await say(crew, 'Bo Reyes', 'For the desk.', first);
    expect(await shown(owner)).toEqual([['answer', 'Bo Reyes', 'For the desk.']]);
    const task: Task = {
      id: newId('task'),
      kind: 'punch',
      what: 'Straighten the plate',
      trade: 'electrician',
      due: 'final',
      state: 'open',
      by: OWNER,
      date: '2026-11-30',
      note: '',
      for: 'bo reyes',
    };
    const given = addEntity(house, 'tasks', task);
    if (!given.ok) throw new Error(given.problems[0]!.message);
    await send(owner, given.value.edit);
    house = given.value.house;
    expect((await shown(crew))[0]).toEqual(['task', OWNER, 'Straighten the plate']);
  });

  it('reach nobody of another firm, and nobody without an account', async () => {
    expect(await noticesOf(stranger)).toEqual([]);
    expect((await new Person(app.url).call('get', '/notices')).status).toBe(401);
  });

  it('come of a batch on an older version as well, and of one that is sent twice no second time', async () => {
    const said = addComment(
      house,
      { text: '@Bo Reyes once', by: OWNER, at: new Date().toISOString(), people: ['Bo Reyes'] },
      newId,
    );
    if (!said.ok) throw new Error(said.problems[0]!.message);
    const batch = { id: randomUUID(), base: version - 1 };
    await send(owner, said.value.edit, batch);
    await send(owner, said.value.edit, batch);
    expect((await shown(crew)).filter(([, , what]) => what === '@Bo Reyes once')).toHaveLength(1);
  });

  it('are there when the windows hear of the batch', async () => {
    const [listener, asker] = [await app.database.pool.connect(), await app.database.pool.connect()];
    try {
      const heard = new Promise<number>((resolve) => {
        listener.on('notification', () => {
          void asker
            .query<{ n: number }>(`select count(*)::int as n from notices where what = '@Bo Reyes soon'`)
            .then(({ rows }) => resolve(rows[0]!.n));
        });
      });
      await listener.query(`listen ${CHANNEL}`);
      await say(owner, OWNER, '@Bo Reyes soon');
      expect(await heard).toBe(1);
    } finally {
      await listener.query('unlisten *');
      listener.release();
      asker.release();
    }
  });

  it('are read one by one or all, by whom they are for alone', async () => {
    const [newest, ...older] = await noticesOf(crew);
    await owner.call('post', '/notices/seen', { ids: [newest!.id] });
    expect((await noticesOf(crew))[0]!.seenAt).toBeNull();
    await crew.call('post', '/notices/seen', { ids: [newest!.id] });
    const isRead = (await noticesOf(crew)).map((one) => one.seenAt !== null);
    expect(isRead).toEqual([true, ...older.map(() => false)]);
    expect((await crew.call('post', '/notices/seen', {})).status).toBe(204);
    expect((await noticesOf(crew)).every((one) => one.seenAt !== null)).toBe(true);
    expect((await crew.call('post', '/notices/seen', { ids: ['1; drop table notices'] })).status).toBe(400);
  });

  it('go when they are old: read ones after three months, others after a year', async () => {
    const { pool, db } = app.database;
    await pool.query(`insert into notices (user_id, house_id, kind, about, what, who, at, seen_at)
      select user_id, house_id, kind, 'old-' || n, 'old ' || n, who, now() - n * interval '1 day',
        case when n < 200 then now() - n * interval '1 day' end
      from notices, unnest(array[80, 100, 300, 400]) n where what = '@Bo Reyes once'`);
    await sweep(db);
    const left = (await noticesOf(crew)).map((one) => one.what).filter((what) => what.startsWith('old'));
    expect(left.toSorted()).toEqual(['old 300', 'old 80']);
  });

  it('tell the owners what a guest writes, and end with the house', async () => {
    const invited = await owner.call('post', `/houses/${id}/guests`, { role: 'designer', name: 'Cy', days: 3 });
    const secret = (invited.body as GuestLink).link!.split('#')[1]!;
    const answer = await new Person(app.url).call(
      'post',
      '/guest/comments',
      { text: 'Lamp by the stair' },
      { 'x-guest-link': secret },
    );
    expect(answer.status).toBeLessThan(300);
    expect((await shown(owner))[0]).toMatchObject([
      'guest',
      expect.stringContaining('Cy') as string,
      'Lamp by the stair',
    ]);
    await owner.confirm();
    await owner.call('delete', `/houses/${id}`);
    expect(await noticesOf(owner)).toEqual([]);
  });
});
