import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { NEW_BOARD, readHouseFile, type House } from '@winculum/core';
import { PASSWORD, Person, startApp, type Running } from '../test/harness';

const read = readHouseFile(readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8'));
const demo: House = read.ok ? read.value : (undefined as never);

let app: Running;
beforeAll(async () => void (app = await startApp()));
afterAll(() => app.stop());
const person = () => new Person(app.url);

describe('accounts and sessions', () => {
  it('opens an account, signs out and in again', async () => {
    const anna = person();
    expect((await anna.openAccount('First firm', 'Anna@First.example')).status).toBe(201);
    expect((await anna.call('get', '/session')).body).toMatchObject({
      signedIn: { user: { email: 'anna@first.example' }, role: 'owner' },
    });
    expect((await anna.call('delete', '/session')).status).toBe(204);
    expect((await anna.call('get', '/houses')).status).toBe(401);
    expect((await anna.signIn('anna@first.example')).status).toBe(200);
    expect((await anna.call('get', '/houses')).status).toBe(200);
  });

  it('keeps passwords as argon2id and cookies httpOnly and SameSite', async () => {
    const answer = await person().openAccount('Cookie firm', 'cookie@firm.example');
    const cookie = (answer.headers['set-cookie'] as unknown as string[]).join();
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    const { rows } = await app.database.pool.query<{ password_hash: string }>('select password_hash from users');
    for (const row of rows) expect(row.password_hash).toMatch(/^\$argon2id\$/);
  });

  it('gives one answer to a wrong password and to an unknown address', async () => {
    await person().openAccount('Firm', 'known@firm.example');
    const wrong = await person().signIn('known@firm.example', 'not the password');
    const unknown = await person().signIn('unknown@firm.example', 'not the password');
    expect([wrong.status, unknown.status]).toEqual([401, 401]);
    expect((wrong.body as { title: string }).title).toBe((unknown.body as { title: string }).title);
  });

  it.each([
    [{ firm: '', name: 'x', email: 'a@b.example', password: PASSWORD }, 'firm'],
    [{ firm: 'x', name: 'x', email: 'nonsense', password: PASSWORD }, 'email'],
    [{ firm: 'x', name: 'x', email: 'a@b.example', password: 'short' }, 'password'],
    [{ firm: 'x', name: 'x', email: 'a@b.example' }, 'password'],
  ])('names the bad field of %j', async (account, field) => {
    const answer = await person().call('post', '/accounts', account);
    expect(answer.status).toBe(400);
    expect((answer.body as { problems: { path: string }[] }).problems[0]!.path).toBe(field);
  });

  it('does not take an address twice', async () => {
    await person().openAccount('Twice', 'twice@firm.example');
    expect((await person().openAccount('Again', ' TWICE@firm.example ')).body).toMatchObject({ code: 'email-taken' });
  });

  it('refuses changes from another site or without the token', async () => {
    const ben = person();
    await ben.openAccount('Csrf firm', 'csrf@firm.example');
    const house = { name: 'A house', edition: '2023' };
    expect((await ben.call('post', '/houses', house, { origin: 'https://elsewhere.example' })).status).toBe(403);
    expect((await ben.call('post', '/houses', house, { origin: 'null' })).status).toBe(403);
    expect((await ben.call('post', '/houses', house, { 'x-csrf-token': 'made up' })).status).toBe(403);
    expect((await ben.call('post', '/houses', house, { origin: app.url })).status).toBe(201);
  });

  it('an edit on a session that is known asks for its token, and a session that has ended elsewhere writes nothing', async () => {
    const eve = person();
    await eve.openAccount('Known firm', 'known@session.example');
    const id = await eve.addHouse(demo);
    const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall')!.id;
    for (const base of [0, 1]) expect((await eve.move(id, demo, box, 20 + base, base)).status).toBe(200);
    const edits = [{ label: 'x', patches: [{ op: 'replace', path: ['name'], value: 'Taken over' }] }];
    const batch = (base: number) => ({ id: crypto.randomUUID(), base, edits });
    const write = (headers: Record<string, string>) => eve.call('post', `/houses/${id}/edits`, batch(2), headers);
    expect((await write({ 'x-csrf-token': 'made up' })).status).toBe(403);
    expect((await write({ origin: 'https://elsewhere.example' })).status).toBe(403);
    // One letter of the signature changed: nobody has been given this cookie.
    const forged = eve.cookie.replace(/.$/, (last) => (last === 'A' ? 'B' : 'A'));
    const mallory = { cookie: forged, 'x-csrf-token': eve.csrf };
    expect((await person().call('post', `/houses/${id}/edits`, batch(2), mallory)).status).toBe(401);
    await app.database.pool.query('delete from session where sess::text like $1', ['%known@session.example%']);
    expect((await write({})).status).toBe(401);
    const { rows } = await app.database.pool.query('select version, name from houses where id = $1', [id]);
    expect(rows[0]).toMatchObject({ version: 2, name: demo.name });
  });

  it('sends a strict policy and says nothing of itself', async () => {
    const { headers } = await person().call('get', '/health');
    expect(headers['content-security-policy']).toMatch(/default-src 'none';script-src 'self'/);
    expect(headers['content-security-policy']).not.toMatch(/unsafe/);
    expect(headers['x-powered-by']).toBeUndefined();
    expect(headers['x-content-type-options']).toBe('nosniff');
  });

  it('never logs passwords, cookies or tokens', async () => {
    const carl = person();
    await carl.openAccount('Log firm', 'log@firm.example');
    await carl.call('get', '/houses');
    const { signedIn } = (await carl.call('get', '/session')).body as { signedIn: { user: { id: string } } };
    const carlId = signedIn.user.id;
    const log = app.logged.join('\n');
    expect(log).toContain('/api/houses');
    expect(log).not.toContain(PASSWORD);
    expect(log).toContain(carlId);
    expect(log).not.toContain(carl.csrf);
    expect(log).not.toContain(carl.cookie.split('=')[1]);
  });
});

describe('who may do what', () => {
  it('walks all routes as a stranger and as a member of another firm, and gets no data', async () => {
    const [owner, other, stranger] = [person(), person(), person()];
    await owner.openAccount('Owner firm', 'owner@scope.example');
    await other.openAccount('Other firm', 'other@scope.example');
    const id = await owner.addHouse(demo);
    await owner.move(id, demo, Object.values(demo.boxes).find((box) => box.at.kind === 'wall')!.id, 20, 0);
    const member = ((await owner.call('get', '/members')).body as { id: string }[])[0]!.id;
    const batch = {
      id: '11111111-1111-4111-8111-111111111111',
      base: 0,
      edits: [{ label: 'x', patches: [{ op: 'replace', path: ['name'], value: 'Taken over' }] }],
    };
    const routes = [
      ['get', `/houses/${id}`],
      ['delete', `/houses/${id}`],
      ['post', `/houses/${id}/edits`, batch],
      ['get', `/houses/${id}/edits`],
      ['get', `/houses/${id}/events`],
      ['get', `/houses/${id}/revisions`],
      ['post', `/houses/${id}/revisions`, { version: 1 }],
      ['get', `/houses/${id}/revisions/1`],
      ['post', `/houses/${id}/revisions/1/signatures`, { role: 'owner', name: 'x', strokes: [[[1, 1]]] }],
      ['get', `/houses/${id}/edits?after=0`],
      ['post', `/houses/deleted/${id}`],
      ['patch', `/members/${member}`, { role: 'viewer' }],
      ['delete', `/members/${member}`],
    ] as const;
    for (const [method, path, body] of routes) {
      const asStranger = await stranger.call(method, path, body);
      expect([401, 403, 404], `${method} ${path} as a stranger`).toContain(asStranger.status);
      const asOther = await other.call(method, path, body);
      expect([401, 403, 404], `${method} ${path} as another firm`).toContain(asOther.status);
      for (const answer of [asStranger, asOther])
        expect(JSON.stringify(answer.body)).not.toMatch(/studio|Owner firm|owner@scope/i);
    }
    for (const path of [
      '/houses',
      '/houses/deleted',
      '/members',
      '/invitations',
      '/firm',
      '/firm/audit',
      '/firm/export',
      '/account',
      '/account/sessions',
      '/bench',
    ])
      expect((await stranger.call('get', path)).status).toBe(401);
    expect((await stranger.call('post', '/houses', { name: 'x', edition: '2023' })).status).toBe(401);
    expect((await stranger.call('put', '/bench', { done: [], wires: {} })).status).toBe(401);
    expect((await other.call('get', '/houses')).body).toEqual([]);
    expect((await owner.call('get', `/houses/${id}`)).body).toMatchObject({ name: demo.name, version: 1 });
  });

  it('lets crew edit, viewers look, and owners alone delete and appoint', async () => {
    const owner = person();
    await owner.openAccount('Role firm', 'owner@role.example');
    const crew = await owner.bringIn('crew', 'crew@role.example', 'crew');
    const viewer = await owner.bringIn('viewer', 'viewer@role.example', 'viewer');
    await owner.confirm();
    const id = await owner.addHouse(demo);
    const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall')!.id;
    expect((await viewer.call('get', `/houses/${id}`)).status).toBe(200);
    expect((await viewer.move(id, demo, box, 12, 0)).status).toBe(403);
    expect((await viewer.call('post', '/houses', { name: 'x', edition: '2023' })).status).toBe(403);
    expect((await crew.move(id, demo, box, 12, 0)).status).toBe(200);
    // A role that is taken away counts from the next edit on, in a session that began before.
    const crewId = ((await owner.call('get', '/members')).body as { id: string; role: string }[]).find(
      (one) => one.role === 'crew',
    )!.id;
    await owner.call('patch', `/members/${crewId}`, { role: 'viewer' });
    expect((await crew.move(id, demo, box, 13, 1)).status).toBe(403);
    await owner.call('patch', `/members/${crewId}`, { role: 'crew' });
    expect((await crew.move(id, demo, box, 13, 1)).status).toBe(200);
    for (const one of [crew, viewer]) {
      expect((await one.call('delete', `/houses/${id}`)).status).toBe(403);
      expect(
        (await one.call('post', '/invitations', { name: 'x', email: 'x@role.example', role: 'owner' })).status,
      ).toBe(403);
    }
    const self = ((await owner.call('get', '/members')).body as { id: string; role: string }[]).find(
      (one) => one.role === 'owner',
    )!.id;
    expect((await owner.call('patch', `/members/${self}`, { role: 'crew' })).body).toMatchObject({
      code: 'last-owner',
    });
    expect((await owner.call('delete', `/members/${self}`)).body).toMatchObject({ code: 'last-owner' });
    expect((await owner.call('delete', `/houses/${id}`)).status).toBe(204);
  });
});

describe('the bench', () => {
  it('keeps what a person has done, for that person alone, on every device, and nothing that is no board', async () => {
    const [learner, again, other] = [person(), person(), person()];
    await learner.openAccount('Bench firm', 'learner@bench.example');
    await other.openAccount('Other bench', 'other@bench.example');
    await again.signIn('learner@bench.example');
    expect((await learner.call('get', '/bench')).body).toEqual({ done: [], wires: {} });
    const wires = { 'one-switch': [['feed.hot', 's1.line']] };
    const board = { ...NEW_BOARD, boxes: ['hall'] };
    expect((await learner.call('put', '/bench', { done: ['loop'], wires, board })).status).toBe(200);
    expect((await again.call('get', '/bench')).body).toEqual({ done: ['loop'], wires, board });
    expect((await again.call('put', '/bench', { done: ['one-switch'], wires: {} })).body).toEqual({
      done: ['loop', 'one-switch'],
      wires: {},
    });
    expect((await other.call('get', '/bench')).body).toEqual({ done: [], wires: {} });
    const bad = { done: [], wires: {}, board: { ...board, parts: [{ id: 'x', box: 0, kind: 'dynamo' }] } };
    expect((await learner.call('put', '/bench', bad)).body).toMatchObject({
      problems: [{ path: 'board.parts.0.kind' }],
    });
  });

  it('adds up practice of two devices, shows it to an owner, and has them sign what they saw', async () => {
    const [owner, stranger] = [person(), person()];
    await owner.openAccount('Practice firm', 'master@practice.example');
    const helper = await owner.bringIn('helper', 'helper@practice.example', 'viewer');
    await stranger.openAccount('Elsewhere', 'master@elsewhere.example');
    const practice = (right: number, wrong: number) => ({ 'a joint come off': { right, wrong } });
    await helper.call('put', '/bench', { done: ['loop'], wires: {}, practice: practice(1, 3) });
    // The other device knows of one find more, and of fewer misses.
    await helper.call('put', '/bench', { done: [], wires: {}, practice: practice(2, 0) });
    type Row = { id: string; name: string; figures: unknown; weak: string[]; signatures: { who: string }[] };
    const rows = async (who: typeof owner) => (await who.call('get', '/practice')).body as Row[];
    const figures = { proved: 1, found: 2, missed: 3 };
    expect(await rows(helper)).toMatchObject([{ figures, weak: ['a joint come off'], signatures: [] }]);
    const all = await rows(owner);
    expect(all).toHaveLength(2);
    const { id } = all.find((one) => one.weak.length > 0)!;
    const own = all.find((one) => one.id !== id)!.id;
    const sign = (who: typeof owner, whom: string, shown: object, note = '') =>
      who.call('post', `/members/${whom}/practice`, { shown, note });
    expect(await sign(owner, id, { ...figures, found: 1 })).toMatchObject({ status: 409, body: { code: 'stale' } });
    expect((await sign(owner, own, { proved: 0, found: 0, missed: 0 })).status).toBe(403);
    expect((await sign(helper, id, figures)).status).toBe(403);
    expect((await sign(stranger, id, figures)).status).toBe(404);
    expect((await sign(owner, id, figures, 'traced it aloud')).status).toBe(204);
    await helper.call('put', '/bench', { done: [], wires: {}, practice: practice(9, 3) });
    expect((await rows(helper))[0]).toMatchObject({
      figures: { ...figures, found: 9 },
      signatures: [{ ...figures, note: 'traced it aloud' }],
    });
  });
});

describe('bad input', () => {
  it('is refused by name, and the server goes on', async () => {
    const dora = person();
    await dora.openAccount('Bad input', 'bad@input.example');
    const file = (body: string) => dora.call('post', '/houses/file', body, { 'content-type': 'application/json' });
    expect((await file('')).status).toBe(422);
    expect((await file('{"format":"winculum-house","version":1}')).body).toMatchObject({ code: 'house-file' });
    expect((await file(' '.repeat(11_000_000))).body).toMatchObject({ code: 'house-file' });
    expect((await file(' '.repeat(20_000_000))).status).toBe(413);
    const id = await dora.addHouse(demo);
    const send = (patches: unknown) =>
      dora.call('post', `/houses/${id}/edits`, { id: crypto.randomUUID(), base: 0, edits: [{ label: 'x', patches }] });
    expect((await send([{ op: 'replace', path: ['rooms', 'living', 'name'], value: '' }])).body).toMatchObject({
      code: 'invalid-edit',
      problems: [{ path: 'rooms.living.name' }],
    });
    expect((await send([{ op: 'replace', path: ['__proto__', 'x'], value: 1 }])).status).toBe(422);
    expect((await send([{ op: 'explode', path: ['name'] }])).status).toBe(400);
    expect((await dora.call('get', '/houses/not-an-id')).status).toBe(404);
    expect((await dora.call('get', '/nowhere')).status).toBe(404);
    expect((await dora.call('get', '/houses/%E0%A4%A')).status).toBe(404);
    expect((await dora.call('get', `/houses/${id}`)).body).toMatchObject({ version: 0 });
  });
});
