import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demo } from '../../../core/src/test/demo-house';
import { openDatabase } from '../db/database';
import { Person, startApp, type Running } from '../test/harness';
import { createApp } from './app';

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Record<string, boolean> };
  readonly handle?: { readonly stack?: readonly Layer[] };
}

/** Every route of the application, found from its router: a new one is in the matrix, or the test fails. */
function routesOf(layers: readonly Layer[]): string[] {
  return layers.flatMap((layer) => [
    ...(layer.route ? Object.keys(layer.route.methods).map((method) => `${method} ${layer.route!.path}`) : []),
    ...routesOf(layer.handle?.stack ?? []),
  ]);
}

type Who = 'stranger' | 'viewer' | 'crew' | 'owner' | 'other owner';
/** Everybody; whoever is signed in; owners and crew; owners; and of another firm nobody. */
type Who3 = 'all' | 'members' | 'crew' | 'owners';

const batch = {
  id: randomUUID(),
  base: 0,
  edits: [{ label: 'x', patches: [{ op: 'replace', path: ['name'], value: 'Taken' }] }],
};
const strokes = [[[1, 1]]];

/** Who may, by route; and what is sent. `own` routes concern the caller alone, so that another firm's owner may do them too. */
const MATRIX: Record<string, { may: Who3; body?: unknown; own?: true }> = {
  'get /health': { may: 'all' },
  'get /session': { may: 'all' },
  'post /session': { may: 'all', body: {} },
  'delete /session': { may: 'all' },
  'post /session/confirm': { may: 'members', body: {}, own: true },
  'post /accounts': { may: 'all', body: {} },
  'post /accounts/verify': { may: 'all', body: {} },
  'post /accounts/reset': { may: 'all', body: {} },
  'put /accounts/reset': { may: 'all', body: {} },
  'get /accounts/invitation': { may: 'all' },
  'post /accounts/invitation': { may: 'all', body: {} },
  'get /account': { may: 'members', own: true },
  'put /account/password': { may: 'members', body: {}, own: true },
  'get /account/sessions': { may: 'members', own: true },
  'delete /account/sessions': { may: 'members', own: true },
  'delete /account/sessions/:id': { may: 'members', own: true },
  'post /account/second-factor': { may: 'members', own: true },
  'put /account/second-factor': { may: 'members', body: {}, own: true },
  'delete /account/second-factor': { may: 'members', own: true },
  'get /members': { may: 'members', own: true },
  'get /notices': { may: 'members', own: true },
  'post /notices/seen': { may: 'members', body: {}, own: true },
  'patch /members/:id': { may: 'owners', body: { role: 'viewer' } },
  'delete /members/:id': { may: 'owners' },
  'get /invitations': { may: 'owners', own: true },
  'post /invitations': { may: 'owners', body: { name: 'N', email: 'n@roles.example', role: 'crew' }, own: true },
  'delete /invitations/:id': { may: 'owners' },
  'get /firm': { may: 'members', own: true },
  'put /firm': { may: 'owners', body: { trustDays: 0, needsSecondFactor: false }, own: true },
  'get /firm/standards': { may: 'members', own: true },
  'put /firm/standards': { may: 'owners', body: {}, own: true },
  'get /firm/audit': { may: 'owners', own: true },
  'get /firm/export': { may: 'owners', own: true },
  'delete /firm': { may: 'owners', body: { name: 'not its name' }, own: true },
  'get /bench': { may: 'members', own: true },
  'put /bench': { may: 'members', body: { done: [], wires: {} }, own: true },
  'get /practice': { may: 'members', own: true },
  'post /members/:id/practice': { may: 'owners', body: { shown: { proved: 0, found: 0, missed: 0 } } },
  'get /houses': { may: 'members', own: true },
  'post /houses': { may: 'crew', body: { name: 'N', edition: '2023' }, own: true },
  'post /houses/file': { may: 'crew', body: demo, own: true },
  'get /houses/deleted': { may: 'owners', own: true },
  'post /houses/deleted/:id': { may: 'owners' },
  'get /houses/:id': { may: 'members' },
  'put /houses/:id/archive': { may: 'crew', body: { archived: false } },
  'delete /houses/:id': { may: 'owners' },
  'post /houses/:id/edits': { may: 'crew', body: batch },
  'get /houses/:id/edits': { may: 'members' },
  'get /houses/:id/events': { may: 'members' },
  'put /houses/:id/photos/:photo': { may: 'crew' },
  'get /houses/:id/photos/:photo': { may: 'members' },
  'get /houses/:id/guests': { may: 'crew' },
  'post /houses/:id/guests': { may: 'crew', body: { role: 'owner', name: 'N', days: 1 } },
  'delete /houses/:id/guests/:guest': { may: 'crew' },
  'get /guest': { may: 'all' },
  'get /guest/photos/:photo': { may: 'all' },
  'post /guest/comments': { may: 'all', body: { text: 'x' } },
  'post /guest/answers': { may: 'all', body: {} },
  'post /guest/ticks': { may: 'all', body: {} },
  'post /guest/signatures': { may: 'all', body: {} },
  'get /houses/:id/revisions': { may: 'members' },
  'post /houses/:id/revisions': { may: 'crew', body: { version: 0 } },
  'get /houses/:id/revisions/:number': { may: 'members' },
  'post /houses/:id/revisions/:number/signatures': { may: 'crew', body: { role: 'owner', name: 'N', strokes } },
};

const isAllowed = (who: Who, { may, own }: { may: Who3; own?: true }): boolean => {
  if (may === 'all') return true;
  if (who === 'stranger') return false;
  if (who === 'other owner') return own === true;
  if (may === 'members') return true;
  return may === 'crew' ? who !== 'viewer' : who === 'owner';
};

describe('roles and firms', () => {
  let app: Running;
  let people: Record<Who, Person>;
  let house: string;
  let viewer: string;
  beforeAll(async () => {
    app = await startApp();
    const [owner, other] = [new Person(app.url), new Person(app.url)];
    await owner.openAccount('Firm of the matrix', 'owner@roles.example');
    await other.openAccount('Another firm', 'other@roles.example');
    const crew = await owner.bringIn('Crew', 'crew@roles.example', 'crew');
    const look = await owner.bringIn('Viewer', 'viewer@roles.example', 'viewer');
    house = await owner.addHouse(demo);
    await owner.call('post', `/houses/${house}/revisions`, { version: 0 });
    viewer = ((await owner.call('get', '/members')).body as { id: string; name: string }[]).find(
      (one) => one.name === 'Viewer',
    )!.id;
    people = { stranger: new Person(app.url), viewer: look, crew, owner, 'other owner': other };
  });
  afterAll(() => app.stop());

  it('every route of the router stands in the matrix, and none besides', () => {
    const database = openDatabase('postgres://nobody@127.0.0.1:1/none');
    const made = createApp({ database, log: pino({ level: 'silent' }), secret: 'x', version: 'x' });
    const routes = routesOf((made.app as unknown as { router: { stack: Layer[] } }).router.stack);
    expect(routes.toSorted()).toEqual(Object.keys(MATRIX).toSorted());
    return made.stop();
  });

  const cases = Object.entries(MATRIX).flatMap(([route, rule]) =>
    (['stranger', 'viewer', 'crew', 'owner', 'other owner'] as const).map(
      (who) => [route, who, isAllowed(who, rule)] as const,
    ),
  );

  it('let through whom they should and nobody else, without a fault, and tell other firms nothing', async () => {
    const before = (await app.database.pool.query('select version, name from houses where id = $1', [house])).rows;
    for (const [route, who, allowed] of cases) {
      // What ends the session of the caller, or is asked of streams without end, is tried where it must be refused.
      if (allowed && /^(delete \/session|delete \/account|get .*events)/.test(route)) continue;
      const [method, path] = route.split(' ') as ['get', string];
      const target = path.startsWith('/members') ? viewer : house;
      const answer = await people[who].call(
        method,
        path.replace(':id', target).replace(':number', '1'),
        MATRIX[route]!.body,
      );
      const code = (answer.body as { code?: string }).code ?? '';
      const isRefused = [401, 403, 404].includes(answer.status) || (who === 'stranger' && answer.status === 413);
      // Asked for their password first, or told that it is wrong, are those who may.
      const isOnTheWay = ['confirm', 'wrong-password', 'sign-in'].includes(code);
      const label = `${route} by ${who}: ${answer.status} ${code}`;
      // A thing that is not there is no denial, where the caller may ask.
      if (allowed) expect([401, 403].includes(answer.status) && !isOnTheWay, label).toBe(false);
      else expect(isRefused, label).toBe(true);
      expect(answer.status, label).toBeLessThan(500);
      if (!allowed && (who === 'stranger' || who === 'other owner'))
        expect(JSON.stringify(answer.body), label).not.toMatch(/studio|Firm of the matrix|@roles\.example/i);
    }
    expect(people.stranger.cookie).toBe('');
    const after = (await app.database.pool.query('select version, name from houses where id = $1', [house])).rows;
    // The batch of crew or owner, once: its id is the same for all.
    expect([before, after]).toEqual([[{ version: 0, name: demo.name }], [{ version: 1, name: 'Taken' }]]);
  });
});
