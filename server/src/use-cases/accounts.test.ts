import { hash } from '@node-rs/argon2';
import { Secret, TOTP } from 'otpauth';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { demo } from '../../../core/src/test/demo-house';
import { touchSession } from '../db/sessions';
import { PASSWORD, Person, startApp, type Running } from '../test/harness';
import { weaknessOf } from './passwords';

let app: Running;
beforeAll(async () => void (app = await startApp()));
afterAll(() => app.stop());
const query = async (text: string, values: unknown[] = []) =>
  (await app.database.pool.query<Record<string, string>>(text, values)).rows;
let people = 0;
async function owner(firm = 'A firm'): Promise<Person & { email: string }> {
  const email = `owner-${++people}@accounts.example`;
  const person = new Person(app.url);
  await person.openAccount(firm, email);
  return Object.assign(person, { email });
}
const codeOf = (answer: { body: unknown }) => (answer.body as { code?: string }).code;

describe('guessing passwords', () => {
  it('is slowed down more and more, and never shuts the door on the owner', async () => {
    const { email } = await owner();
    app.waits.length = 0;
    for (let n = 0; n < 12; n++) expect((await new Person(app.url).signIn(email, `guess ${n}`)).status).toBe(401);
    expect(app.waits).toEqual([250, 500, 1000, 2000, 4000, 4000, 4000]);
    expect((await new Person(app.url).signIn(email)).status).toBe(200);
    app.waits.length = 0;
    expect((await new Person(app.url).signIn(email)).status).toBe(200);
    expect(app.waits).toEqual([]);
  });

  it('is counted for one account however it is written', async () => {
    const { email } = await owner();
    const ways = [email, ` ${email}`, `${email} `, email.toUpperCase(), `\t${email}\n`];
    for (const way of [...ways, ...ways]) await new Person(app.url).signIn(way, 'guess');
    const rows = await query(`select hits from rate_limits where key like 'try account %' order by hits desc limit 1`);
    expect(rows[0]).toEqual({ hits: 10 });
  });

  it('does not go faster side by side: from one address two tries of an account wait, and no more', async () => {
    const { email } = await owner();
    const tries = await Promise.all(
      Array.from({ length: 12 }, (_, n) => new Person(app.url).signIn(email, `guess ${n}`)),
    );
    expect(tries.filter((one) => one.status === 429).length).toBeGreaterThanOrEqual(8);
    expect(tries.find((one) => one.status === 429)!.headers['retry-after']).toBe('5');
  });

  it('and opening accounts without end from one address are held back', async () => {
    const few = await startApp(undefined, { accountsAnHour: 3 });
    const statuses: number[] = [];
    for (let n = 0; n < 4; n++)
      statuses.push((await new Person(few.url).openAccount('F', `many-${n}@accounts.example`)).status);
    expect(statuses).toEqual([201, 201, 201, 429]);
    await few.stop();
  });

  it('is told to the owner in the audit log', async () => {
    const anna = await owner();
    await new Person(app.url).signIn(anna.email, 'guess');
    const log = (await anna.call('get', '/firm/audit')).body as { event: string; address: string }[];
    expect(log[0]).toMatchObject({ event: 'sign-in failed', address: expect.stringMatching(/127\.0\.0\.1/) as string });
  });
});

describe('passwords', () => {
  it.each([
    ['passwordpassword', /common/],
    ['qwertyuiop123', /common/],
    ['Password123456!', /common/],
    ['111111111111', /common/],
    ['abcabcabcabcabc', /common/],
    ['abcdefghijklmn', /common/],
    ['0123456789012', /common/],
    ['anna@firm.example', /your name/],
    ['Winculum Anna Lee', /your name/],
    ['a long walk of seven boxes', undefined],
    ['demo house 4310', undefined],
    ['tränen über dem zaun', undefined],
  ])('%s', (password, why) => {
    const weakness = weaknessOf(password, ['anna@firm.example', 'Anna Lee']);
    if (why) expect(weakness).toMatch(why);
    else expect(weakness).toBeUndefined();
  });

  it('of old that are too short sign in once, to be changed before anything else', async () => {
    const anna = await owner();
    await query('update users set password_hash = $1 where email = $2', [
      await hash('oldshort', { memoryCost: 64 }),
      anna.email,
    ]);
    const again = new Person(app.url);
    expect((await again.signIn(anna.email, 'oldshort')).body).toMatchObject({ signedIn: { mustDo: 'password' } });
    expect(codeOf(await again.call('get', '/houses'))).toBe('must-change-password');
    const change = (password: string, old = 'oldshort') => again.call('put', '/account/password', { old, password });
    expect(codeOf(await change(PASSWORD, 'wrong'))).toBe('wrong-password');
    expect((await change('x'.repeat(11))).status).toBe(400);
    expect((await change('x'.repeat(129))).status).toBe(400);
    expect((await change('passwordpassword')).status).toBe(400);
    const changed = await change('seven boxes on one stud');
    expect([changed.status, (changed.body as { signedIn: object }).signedIn]).toEqual([
      200,
      expect.not.objectContaining({ mustDo: 'password' }),
    ]);
    expect((await again.call('get', '/houses')).status).toBe(200);
    // Every other session has ended.
    expect((await anna.call('get', '/houses')).status).toBe(401);
  });
});

describe('sessions', () => {
  it('are listed, ended one by one and everywhere', async () => {
    const anna = await owner();
    const [phone, tablet] = [new Person(app.url), new Person(app.url)];
    await phone.signIn(anna.email);
    await tablet.signIn(anna.email);
    const list = async (person: Person) =>
      (await person.call('get', '/account/sessions')).body as { id: string; isThis: boolean; device: string }[];
    expect((await list(anna)).map((one) => one.isThis).sort()).toEqual([false, false, true]);
    const ofPhone = (await list(phone)).find((one) => one.isThis)!.id;
    expect((await anna.call('delete', `/account/sessions/${ofPhone}`)).status).toBe(204);
    expect((await phone.call('get', '/houses')).status).toBe(401);
    expect((await anna.call('delete', `/account/sessions/${ofPhone}`)).status).toBe(404);
    expect((await anna.call('delete', '/account/sessions')).body).toEqual({ ended: 1 });
    expect((await tablet.call('get', '/houses')).status).toBe(401);
    expect((await anna.call('get', '/houses')).status).toBe(200);
  });

  const sid = async (email: string) =>
    (await query(`select sid from session where user_id = (select id::text from users where email = $1)`, [email]))[0]![
      'sid'
    ]!;

  it('end half an hour after their last use, and twelve hours after they began whatever happens', async () => {
    const anna = await owner();
    const lasts = async () =>
      (
        await query(`select extract(epoch from expire - now())::int as s from session where sid = $1`, [
          await sid(anna.email),
        ])
      )[0]!['s'];
    expect(await lasts()).toBeGreaterThan(1790);
    expect(await lasts()).toBeLessThanOrEqual(1800);
    await query(`update session set began_at = now() - interval '11 hours 50 minutes' where sid = $1`, [
      await sid(anna.email),
    ]);
    expect(await touchSession(app.database.db, await sid(anna.email))).toBe(true);
    expect(await lasts()).toBeLessThanOrEqual(600);
    await query(`update session set began_at = now() - interval '13 hours' where sid = $1`, [await sid(anna.email)]);
    await touchSession(app.database.db, await sid(anna.email));
    expect((await anna.call('get', '/houses')).status).toBe(401);
  });

  it('of a device that is trusted last as long as the firm has chosen, and no longer', async () => {
    const anna = await owner();
    const trusting = async () => {
      const person = new Person(app.url);
      await person.call('post', '/session', { email: anna.email, password: PASSWORD, trust: true });
      const [newest] = (await person.call('get', '/account/sessions')).body as { isTrusted: boolean }[];
      return newest!.isTrusted;
    };
    expect(await trusting()).toBe(false);
    await anna.confirm();
    const settings = { trustDays: 30, needsSecondFactor: false };
    expect((await anna.call('put', '/firm', settings)).body).toMatchObject(settings);
    expect(await trusting()).toBe(true);
    const log = (await anna.call('get', '/firm/audit')).body as { event: string; detail: string }[];
    expect(log.find((one) => one.event === 'settings changed')!.detail).toMatch(/trusted devices 30 days/);
  });

  it('of a device not seen before are told by a letter', async () => {
    const anna = await owner();
    const from = (agent: string) =>
      new Person(app.url).call('post', '/session', { email: anna.email, password: PASSWORD }, { 'user-agent': agent });
    await from('Mozilla/5.0 (X11; Linux) Firefox/140.0');
    await from('Mozilla/5.0 (X11; Linux) Firefox/141.0');
    await vi.waitFor(async () => {
      const letters = await query(`select body from outbox where recipient = $1 and subject like 'A new sign-in%'`, [
        anna.email,
      ]);
      expect(letters.map((one) => /: ([^,]+), address/.exec(one['body']!)?.[1])).toEqual(['Firefox on Linux']);
    });
  });
});

describe('the second factor', () => {
  const codeFor = (secret: string, at = Date.now()) =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: at });
  async function withFactor() {
    const anna = await owner();
    expect(codeOf(await anna.call('post', '/account/second-factor'))).toBe('confirm');
    await anna.confirm();
    const { secret } = (await anna.call('post', '/account/second-factor')).body as { secret: string };
    expect(codeOf(await anna.call('put', '/account/second-factor', { code: '000000' }))).toBe('second-factor');
    const turnedOn = await anna.call('put', '/account/second-factor', { code: codeFor(secret, Date.now() - 30_000) });
    return { anna, secret, codes: (turnedOn.body as { codes: string[] }).codes };
  }

  it('is asked for after the password, each code is good once, and recovery codes stand in, each once', async () => {
    const { anna, secret, codes } = await withFactor();
    expect(codes).toHaveLength(10);
    const signIn = (code?: string) =>
      new Person(app.url).call('post', '/session', {
        email: anna.email,
        password: PASSWORD,
        ...(code ? { code } : {}),
      });
    expect(codeOf(await signIn())).toBe('second-factor');
    const now = codeFor(secret);
    expect((await signIn(now)).status).toBe(200);
    expect((await signIn(now)).status).toBe(401);
    expect(
      (
        await signIn(
          codes[0]!
            .toLowerCase()
            .replace(/(.{4})/g, '$1-')
            .slice(0, -1),
        )
      ).status,
    ).toBe(200);
    expect((await signIn(codes[0])).status).toBe(401);
    expect((await anna.call('get', '/account')).body).toEqual({ hasSecondFactor: true, recoveryCodesLeft: 9 });
    // A wrong password tells nothing of the second factor.
    const wrong = await new Person(app.url).call('post', '/session', {
      email: anna.email,
      password: 'guess',
      code: '123456',
    });
    expect(codeOf(wrong)).toBe('sign-in');
  });

  it('may be asked of everybody in a firm: who has none sets it up before anything else', async () => {
    const { anna } = await withFactor();
    const crew = await anna.bringIn('crew', `crew-${++people}@accounts.example`, 'crew');
    await anna.confirm();
    expect((await anna.call('put', '/firm', { trustDays: 0, needsSecondFactor: true })).status).toBe(200);
    expect((await crew.call('get', '/houses')).status).toBe(401);
    const again = new Person(app.url);
    expect((await again.signIn(`crew-${people}@accounts.example`)).body).toMatchObject({
      signedIn: { mustDo: 'second-factor' },
    });
    expect(codeOf(await again.call('get', '/houses'))).toBe('must-have-second-factor');
    const { secret } = (await again.call('post', '/account/second-factor')).body as { secret: string };
    expect((await again.call('put', '/account/second-factor', { code: codeFor(secret) })).status).toBe(200);
    expect((await again.call('get', '/houses')).status).toBe(200);
    await again.confirm();
    expect(codeOf(await again.call('delete', '/account/second-factor'))).toBe('second-factor');
  });
});

describe('members', () => {
  it('are invited, and choose their own password; a link is good once, and may be taken back', async () => {
    const anna = await owner('Inviting firm');
    const email = `ben-${++people}@accounts.example`;
    const invited = await anna.call('post', '/invitations', { name: 'Ben', email, role: 'crew' });
    const token = (invited.body as { link: string }).link.split('/').at(-1)!;
    const stranger = new Person(app.url);
    expect((await stranger.call('get', `/accounts/invitation?token=${token}`)).body).toEqual({
      firm: 'Inviting firm',
      name: 'Ben',
      email,
    });
    // Until then nobody has the address: whoever it belongs to can open an account of their own.
    expect(await query('select 1 from users where email = $1', [email])).toEqual([]);
    expect((await stranger.call('post', '/accounts/invitation', { token, password: 'short' })).status).toBe(400);
    expect((await stranger.call('post', '/accounts/invitation', { token, password: PASSWORD })).status).toBe(201);
    expect((await new Person(app.url).call('post', '/accounts/invitation', { token, password: PASSWORD })).status).toBe(
      410,
    );
    const second = await anna.call('post', '/invitations', {
      name: 'Cleo',
      email: `cleo-${people}@accounts.example`,
      role: 'viewer',
    });
    const { id, link } = second.body as { id: string; link: string };
    expect((await anna.call('get', '/invitations')).body).toMatchObject([{ name: 'Cleo', role: 'viewer' }]);
    expect((await anna.call('delete', `/invitations/${id}`)).status).toBe(204);
    expect(
      (
        await new Person(app.url).call('post', '/accounts/invitation', {
          token: link.split('/').at(-1),
          password: PASSWORD,
        })
      ).status,
    ).toBe(410);
    expect(codeOf(await anna.call('post', '/invitations', { name: 'Ben', email, role: 'crew' }))).toBe(
      'member-already',
    );
  });

  it('who demote each other at once leave an owner, in twenty firms of twenty', async () => {
    const left: number[] = [];
    for (let n = 0; n < 20; n++) {
      const anna = await owner();
      const ben = await anna.bringIn('Ben', `ben-${++people}@accounts.example`, 'owner');
      const members = (await anna.call('get', '/members')).body as { id: string; email: string }[];
      const idOf = (mine: boolean) => members.find((one) => (one.email === anna.email) === mine)!.id;
      await Promise.all([anna.confirm(), ben.confirm()]);
      await Promise.all([
        anna.call('patch', `/members/${idOf(false)}`, { role: 'viewer' }),
        ben.call('patch', `/members/${idOf(true)}`, { role: 'viewer' }),
      ]);
      const rows = await query(
        `select count(*)::int as n from members where role = 'owner' and firm_id = (select firm_id from members where user_id = $1)`,
        [idOf(true)],
      );
      left.push(Number(rows[0]!['n']));
    }
    expect(left).toEqual(Array(20).fill(1));
  });

  it('are not demoted, removed, nor is a house deleted, without the password once more', async () => {
    const anna = await owner();
    await anna.bringIn('Ben', `ben-${++people}@accounts.example`, 'owner');
    const [one] = (await anna.call('get', '/members')).body as { id: string }[];
    const id = await anna.addHouse(demo);
    for (const [method, path, body] of [
      ['patch', `/members/${one!.id}`, { role: 'crew' }],
      ['delete', `/members/${one!.id}`],
      ['delete', `/houses/${id}`],
      ['delete', '/firm', { name: 'A firm' }],
      ['get', '/firm/export'],
      ['put', '/firm', { trustDays: 1, needsSecondFactor: false }],
    ] as const)
      expect(codeOf(await anna.call(method, path, body)), `${method} ${path}`).toBe('confirm');
    expect(codeOf(await anna.confirm('not it'))).toBe('wrong-password');
  });
});

describe('houses and firms', () => {
  it('a deleted house can be had back, with its history, for thirty days', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    await anna.confirm();
    expect((await anna.call('delete', `/houses/${id}`)).status).toBe(204);
    expect((await anna.call('get', `/houses/${id}`)).status).toBe(404);
    expect((await anna.call('get', '/houses')).body).toEqual([]);
    expect((await anna.call('get', '/houses/deleted')).body).toMatchObject([{ id, name: demo.name }]);
    expect((await anna.call('post', `/houses/deleted/${id}`)).status).toBe(204);
    expect((await anna.call('get', `/houses/${id}`)).status).toBe(200);
    const log = ((await anna.call('get', '/firm/audit')).body as { event: string }[]).map((one) => one.event);
    expect(log.slice(0, 2)).toEqual(['house brought back', 'house deleted']);
  });

  it('a firm is taken along whole as one file, and deleted whole when its name is typed', async () => {
    const anna = await owner('Leaving firm');
    const id = await anna.addHouse(demo);
    await anna.call('post', `/houses/${id}/revisions`, { version: 0 });
    await anna.call('put', '/bench', {
      done: ['loop'],
      wires: {},
      practice: { 'a joint come off': { right: 2, wrong: 1 } },
    });
    await anna.confirm();
    const file = JSON.parse((await anna.call('get', '/firm/export')).text) as {
      name: string;
      houses: { document: unknown }[];
      revisions: { number: number }[];
      audit: unknown[];
    };
    expect(file).toMatchObject({
      name: 'Leaving firm',
      revisions: [{ number: 1 }],
      practice: [{ figures: { proved: 1, found: 2, missed: 1 }, weak: [], signatures: [] }],
    });
    expect(file.houses[0]!.document).toEqual(JSON.parse(JSON.stringify(demo)));
    expect(file.audit.length).toBeGreaterThan(1);
    expect((await anna.call('delete', '/firm', { name: 'Another firm' })).status).toBe(400);
    expect((await anna.call('delete', '/firm', { name: 'Leaving firm' })).status).toBe(204);
    expect((await anna.signIn(anna.email)).status).toBe(401);
    expect(await query('select 1 from houses where id = $1', [id])).toEqual([]);
  });

  it('more houses or bytes than a firm may hold are refused, with the count', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    await query('update houses set bytes = 1000000000 where id = $1', [id]);
    const refused = await anna.call('post', '/houses', { name: 'One more', edition: '2023' });
    expect(refused.body).toMatchObject({ code: 'too-large', title: expect.stringMatching(/take 1000 MB/) as string });
  });

  it('a firm keeps shop standards that new houses begin with; two owners do not write over each other', async () => {
    const anna = await owner();
    expect((await anna.call('get', '/firm/standards')).body).toEqual({ version: 0, standards: null });
    const standards = { ...demo.standards, switchHeightIn: 44, own: ['switchHeightIn'] };
    const sent = await anna.call('put', '/firm/standards', { version: 0, standards });
    const { own: _own, ...shared } = standards;
    expect(sent.body).toEqual({ version: 1, standards: shared });
    expect((await anna.call('put', '/firm/standards', { version: 0, standards })).body).toMatchObject({
      code: 'changed',
    });
    expect(
      (await anna.call('put', '/firm/standards', { version: 1, standards: { switchHeightIn: -3 } })).body,
    ).toMatchObject({ code: 'bad-request', title: expect.stringMatching(/switch ?height/i) as string });
    const { id } = (await anna.call('post', '/houses', { name: 'New', edition: '2020' })).body as { id: string };
    expect((await anna.call('get', `/houses/${id}`)).body).toMatchObject({
      house: { standards: { switchHeightIn: 44 }, job: { edition: '2020' } },
    });
    const crew = await anna.bringIn('Crew', `crew-${anna.email}`, 'crew');
    expect((await crew.call('put', '/firm/standards', { version: 1, standards })).status).toBe(403);
    expect((await crew.call('get', '/firm/standards')).body).toMatchObject({ version: 1 });
  });

  it('a signature is bound to the revision as it was signed', async () => {
    const anna = await owner();
    const id = await anna.addHouse(demo);
    await anna.call('post', `/houses/${id}/revisions`, { version: 0 });
    const signature = {
      role: 'owner',
      name: 'Ann',
      strokes: [
        [
          [1, 1],
          [9, 9],
        ],
      ],
    };
    expect((await anna.call('post', `/houses/${id}/revisions/1/signatures`, signature)).body).toMatchObject({
      signatures: [{ isIntact: true }],
    });
    await query(`update revisions set house = replace(house::text, 'Studio', 'Studios')::json where house_id = $1`, [
      id,
    ]);
    expect((await anna.call('get', `/houses/${id}/revisions`)).body).toMatchObject([
      { signatures: [{ isIntact: false }] },
    ]);
  });
});
