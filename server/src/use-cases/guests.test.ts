import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { GuestLink, GuestView } from '@winculum/contract';
import { mustKnow, proposedTasks, validateHouse, writeTasks, type House } from '@winculum/core';
import { demo } from '../../../core/src/test/demo-house';
import { appendAsGuest } from '../db/houses';
import { JPEG, WITH_PLACE } from '../test/jpeg';
import { Person, startApp, type Running } from '../test/harness';

let n = 0;
const written = writeTasks(demo, proposedTasks(demo), { by: 'A', date: '2026-11-30' }, (prefix) => `${prefix}-t${++n}`);
if (!written.ok) throw new Error(written.problems[0]!.message);
/** With a client, an address and notes, which are not everybody's. */
const house: House = {
  ...written.value.house,
  job: { ...written.value.house.job, client: 'Miller family', address: '1 Mill Lane' },
  boxes: Object.fromEntries(
    Object.entries(written.value.house.boxes).map(([key, box]) => [key, { ...box, note: 'key under the mat' }]),
  ),
  log: { l: { id: 'l', date: '2026-11-30', who: 'Ada', text: 'warranty' } },
};
const strokes = [
  [
    [1, 1],
    [9, 9],
  ],
];

let app: Running;
let owner: Person;
let id: string;
beforeAll(async () => {
  app = await startApp();
  owner = new Person(app.url);
  await owner.openAccount('Guest firm', 'owner@guests.example');
  id = await owner.addHouse(house);
});
afterAll(() => app.stop());

const invite = async (role: string, extra: object = {}) => {
  const answer = await owner.call('post', `/houses/${id}/guests`, { role, name: `The ${role}`, days: 7, ...extra });
  return { answer, made: answer.body as GuestLink, secret: (answer.body as GuestLink).link?.split('#')[1] ?? '' };
};
/** Somebody without an account, at another browser. */
const by = (secret: string) => {
  const person = new Person(app.url);
  return (method: 'get' | 'post', path: string, body?: unknown) =>
    person.call(method, path, body, { 'x-guest-link': secret });
};
const now = async (): Promise<House> => ((await owner.call('get', `/houses/${id}`)).body as { house: House }).house;

describe('a link for somebody without an account', () => {
  it.each([
    ['owner', {}],
    ['designer', {}],
    ['inspector', {}],
    ['trade', { trade: 'hvac' }],
    ['panel', {}],
  ] as const)('shows a %s its part of the house and no more', async (role, extra) => {
    const { secret } = await invite(role, extra);
    const view = (await by(secret)('get', '/guest')).body as GuestView;
    expect(view).toMatchObject({ role, name: `The ${role}`, firm: 'Guest firm' });
    const seen = validateHouse(view.house);
    if (!seen.ok) throw new Error(seen.problems[0]!.message);
    const { circuits, tasks, decisions, results } = seen.value;
    if (role === 'trade') {
      expect([circuits, decisions, results]).toEqual([{}, {}, {}]);
      expect(new Set(Object.values(tasks).map((one) => one.trade))).toEqual(new Set(['hvac']));
      expect(JSON.stringify(view.house)).not.toMatch(/plumber|Miller family|warranty/);
      expect(JSON.stringify(view.house)).toContain('1 Mill Lane');
    } else if (role === 'panel') {
      expect([tasks, decisions, results]).toEqual([{}, {}, {}]);
      expect(JSON.stringify(view.house)).not.toMatch(/Miller family|Mill Lane|under the mat|warranty|requested/);
      expect(Object.keys(circuits)).toEqual(Object.keys(house.circuits));
    } else expect(view.house).toEqual(await now());
  });

  it('writes comments, answers and ticks under the name it was made for, and nothing that is not its part', async () => {
    const [designer, hvac, panel] = [
      by((await invite('designer')).secret),
      by((await invite('trade', { trade: 'hvac' })).secret),
      by((await invite('panel')).secret),
    ];
    const question = mustKnow(house).find((one) => one.state === 'open')!;
    const answer = {
      question: question.question.id,
      ...(question.room ? { room: question.room.id } : {}),
      answer: 'Oak',
    };
    expect((await designer('post', '/guest/answers', answer)).status).toBe(204);
    expect(
      (await designer('post', '/guest/comments', { text: 'Lower the sconces', room: Object.keys(house.rooms)[0] }))
        .status,
    ).toBe(204);
    const [own, other] = [
      Object.values(house.tasks).find((one) => one.trade === 'hvac')!,
      Object.values(house.tasks).find((one) => one.trade !== 'hvac')!,
    ];
    expect((await hvac('post', '/guest/ticks', { task: own.id, state: 'done' })).status).toBe(204);
    expect((await hvac('post', '/guest/ticks', { task: other.id, state: 'done' })).status).toBe(404);
    expect((await hvac('post', '/guest/answers', answer)).status).toBe(403);
    expect((await hvac('post', '/guest/signatures', { number: 1, strokes })).status).toBe(403);
    for (const path of ['comments', 'answers', 'ticks'])
      expect(
        (await panel('post', `/guest/${path}`, { text: 'x', ...answer, task: own.id, state: 'done' })).status,
        path,
      ).toBeGreaterThanOrEqual(400);
    expect((await designer('post', '/guest/comments', { text: 'x', room: 'nowhere' })).status).toBe(422);
    const after = await now();
    expect(Object.values(after.decisions)).toEqual(
      expect.arrayContaining([expect.objectContaining({ by: 'The designer, designer' }) as unknown]),
    );
    expect(Object.values(after.tasks).filter((one) => one.kind === 'punch')).toMatchObject([
      { what: 'Lower the sconces', by: 'The designer, designer' },
    ]);
    expect(after.tasks[own.id]).toMatchObject({ state: 'done', settledBy: 'The trade, hvac' });
    expect(after.tasks[other.id]).toMatchObject({ state: 'open' });
    // Windows of the firm hear of it under that name.
    const edits = (await owner.call('get', `/houses/${id}/edits`)).body as { author: string }[];
    expect(edits.map((one) => one.author)).toContain('The designer, designer');
  });

  it('signs the newest revision and no other, once', async () => {
    const { secret } = await invite('owner');
    const { version } = (await owner.call('get', `/houses/${id}`)).body as { version: number };
    await owner.call('post', `/houses/${id}/revisions`, { version, note: '' });
    const guest = by(secret);
    const shown = ((await guest('get', '/guest')).body as GuestView).revision!;
    await owner.call('post', `/houses/${id}/revisions`, { version, note: '' });
    expect((await guest('post', '/guest/signatures', { number: shown.number, strokes })).body).toMatchObject({
      code: 'superseded',
    });
    const newest = ((await guest('get', '/guest')).body as GuestView).revision!;
    expect((await guest('post', '/guest/signatures', { number: newest.number, strokes })).status).toBe(204);
    expect((await guest('post', '/guest/signatures', { number: newest.number, strokes })).body).toMatchObject({
      code: 'signed',
    });
    const again = ((await guest('get', '/guest')).body as GuestView).revision!;
    expect(again.signatures).toMatchObject([{ role: 'owner', name: 'The owner', isIntact: true }]);
  });

  it('ends when it is taken back or its time has passed; its secret is kept nowhere; guessing is slowed down', async () => {
    const { made, secret } = await invite('owner');
    const guest = by(secret);
    expect((await guest('get', '/guest')).status).toBe(200);
    expect((await owner.call('get', `/houses/${id}/guests`)).body).not.toHaveProperty('0.link');
    expect(JSON.stringify((await app.database.pool.query('select * from guest_links')).rows)).not.toContain(secret);
    expect(app.logged.join('')).not.toContain(secret);
    await owner.call('delete', `/houses/${id}/guests/${made.id}`);
    expect((await guest('get', '/guest')).body).toMatchObject({ code: 'link-gone' });
    expect((await guest('post', '/guest/comments', { text: 'still here?' })).status).toBe(410);
    const late = await invite('owner');
    await app.database.pool.query(`update guest_links set expires_at = now() - interval '1 hour' where id = $1`, [
      late.made.id,
    ]);
    expect((await by(late.secret)('get', '/guest')).status).toBe(410);
    const stranger = by('A'.repeat(43));
    const answers = [];
    for (let i = 0; i < 40; i++) answers.push((await stranger('get', '/guest')).status);
    expect(answers.at(-1)).toBe(429);
  });

  it('writes nothing where it was taken back while the edit was on its way', async () => {
    const { made } = await invite('owner');
    const { version } = (await owner.call('get', `/houses/${id}`)).body as { version: number };
    const { rows } = await app.database.pool.query<{ firm_id: string; epoch: string }>(
      'select firm_id, epoch from houses, installation where houses.id = $1',
      [id],
    );
    const write = () =>
      appendAsGuest(app.database.db, {
        houseId: id,
        firmId: rows[0]!.firm_id,
        linkId: made.id,
        guest: 'Ada, owner',
        onVersion: version,
        name: house.name,
        batch: { id: randomUUID(), base: version, edits: [{ label: 'x', patches: [] }] },
        epoch: rows[0]!.epoch,
      });
    await owner.call('delete', `/houses/${id}/guests/${made.id}`);
    expect(await write()).toBeUndefined();
    await app.database.pool.query('update guest_links set revoked_at = null where id = $1', [made.id]);
    expect(await write()).toBe(version + 1);
  });

  it('names a trade for a trade, and for nobody else', async () => {
    expect((await invite('trade')).answer.status).toBe(400);
    expect((await invite('owner', { trade: 'hvac' })).answer.status).toBe(400);
    expect((await invite('owner', { days: 0 })).answer.status).toBe(400);
  });
});

describe('a photo', () => {
  const put = (person: Person, name: string, bytes: Buffer, type = 'image/jpeg') =>
    fetch(`${app.url}/api/houses/${id}/photos/${name}`, {
      method: 'PUT',
      headers: { 'content-type': type, cookie: person.cookie, 'x-csrf-token': person.csrf },
      body: new Uint8Array(bytes),
    });

  it('is kept without what the camera wrote into it, and comes back point for point', async () => {
    const answer = await put(owner, 'p1', WITH_PLACE);
    expect([answer.status, await answer.json()]).toEqual([201, { widthPx: 8, heightPx: 6, bytes: JPEG.length }]);
    const back = await owner.call('get', `/houses/${id}/photos/p1`);
    expect(back.headers['content-type']).toBe('image/jpeg');
    expect(Buffer.from(back.body as Buffer)).toEqual(JPEG);
    // Sent again after a broken connection it does no harm; another under its name is refused.
    expect((await put(owner, 'p1', WITH_PLACE)).status).toBe(201);
    expect((await put(owner, 'p1', Buffer.concat([JPEG.subarray(0, -2), Buffer.from([0, 0xff, 0xd9])]))).status).toBe(
      409,
    );
  });

  it.each([
    ['a text named .jpg', Buffer.from('This is a long text that somebody has named photo.jpg')],
    ['a photo that breaks off', JPEG.subarray(0, JPEG.length - 10)],
    ['the head of one alone', JPEG.subarray(0, 30)],
    ['nothing', Buffer.alloc(0)],
    ['a picture of another kind', Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex')],
  ])('refuses %s with a word', async (_, bytes) => {
    const answer = await put(owner, 'p2', bytes);
    expect([answer.status, ((await answer.json()) as { code: string }).code]).toEqual([422, 'no-photo']);
  });

  it('refuses what is too large before it is read, and is seen by a guest where the house names it', async () => {
    const large = await put(owner, 'p3', Buffer.alloc(3_100_000));
    expect(large.status).toBe(413);
    await put(owner, 'p4', JPEG);
    const guest = by((await invite('owner')).secret);
    expect((await guest('get', '/guest/photos/p4')).status).toBe(404);
  });
});
