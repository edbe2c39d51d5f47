import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Revision, RevisionState } from '@winculum/contract';
import { changesSince, readHouseFile, validateHouse, type House } from '@winculum/core';
import { Person, startApp, type Running } from '../test/harness';

const read = readHouseFile(readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problems[0]!.message);
const demo = read.value;
const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall' && one.at.alongIn > 20)!;
const drawn = [
  [
    [10, 20],
    [30, 40],
  ],
];

let app: Running;
let anna: Person;
beforeAll(async () => {
  app = await startApp();
  anna = new Person(app.url);
  await anna.openAccount('Sign firm', 'anna@sign.example');
});
afterAll(() => app.stop());

const make = (id: string, version: number) =>
  anna.call('post', `/houses/${id}/revisions`, { version, note: 'before wire' });
const signing = (id: string, number: number, role: string, name: string, strokes: unknown = drawn) =>
  anna.call('post', `/houses/${id}/revisions/${number}/signatures`, { role, name, strokes });

describe('sign-off', () => {
  it('freezes the house, keeps who signed and when, and shows later changes box by box', async () => {
    const id = await anna.addHouse(demo);
    const made = await make(id, 0);
    expect([made.status, made.body]).toMatchObject([201, { number: 1, version: 0, by: 'Person of Sign firm' }]);
    expect((await signing(id, 1, 'owner', 'The owner')).status).toBe(201);
    const signed = (await signing(id, 1, 'electrician', 'The electrician')).body as Revision;
    expect(signed.signatures.map((one) => [one.role, one.name, one.recordedBy])).toEqual([
      ['owner', 'The owner', 'Person of Sign firm'],
      ['electrician', 'The electrician', 'Person of Sign firm'],
    ]);
    expect(signed.signatures[0]!.strokes).toEqual(drawn);
    expect(Date.parse(signed.signatures[0]!.at)).toBeGreaterThan(0);
    await anna.move(id, demo, box.id, 12, 0);
    const then = (await anna.call('get', `/houses/${id}/revisions/1`)).body as RevisionState;
    const now = (await anna.call('get', `/houses/${id}`)).body as { house: House };
    const houses = [then.house, now.house].map((one) => {
      const valid = validateHouse(one);
      if (!valid.ok) throw new Error(valid.problems[0]!.message);
      return valid.value;
    });
    expect(changesSince(houses[0]!, houses[1]!).map(({ tag, kind }) => [tag, kind])).toEqual([[box.tag, 'moved']]);
  });

  it('of a house that has moved on is refused, and of an older revision as well', async () => {
    const id = await anna.addHouse(demo);
    await anna.move(id, demo, box.id, 12, 0);
    expect((await make(id, 0)).status).toBe(409);
    expect((await make(id, 1)).status).toBe(201);
    expect(((await make(id, 1)).body as Revision).number).toBe(2);
    expect((await signing(id, 1, 'owner', 'x')).body).toMatchObject({ status: 409, code: 'superseded' });
    expect((await signing(id, 7, 'owner', 'x')).status).toBe(404);
  });

  it.each([
    ['no role', { name: 'x', strokes: drawn }, 'role'],
    ['an empty name', { role: 'owner', name: ' ', strokes: drawn }, 'name'],
    ['nothing drawn', { role: 'owner', name: 'x', strokes: [] }, 'strokes'],
    ['a stroke outside the box', { role: 'owner', name: 'x', strokes: [[[2000, 5]]] }, 'strokes'],
  ])('names the field: %s', async (_, body, field) => {
    const id = await anna.addHouse(demo);
    await make(id, 0);
    const answer = await anna.call('post', `/houses/${id}/revisions/1/signatures`, body);
    expect(answer.status).toBe(400);
    expect((answer.body as { title: string }).title).toContain(field);
  });

  it('twice by the same person in the same role counts once; two revisions at once get two numbers', async () => {
    const id = await anna.addHouse(demo);
    const numbers = await Promise.all([make(id, 0), make(id, 0), make(id, 0)]);
    expect(numbers.map((one) => (one.body as Revision).number).sort()).toEqual([1, 2, 3]);
    expect((await signing(id, 3, 'builder', 'B')).status).toBe(201);
    expect((await signing(id, 3, 'builder', 'B')).status).toBe(409);
  });
});
