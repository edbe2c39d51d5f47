import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { aHouse, bedroom } from '../test/house-builder';
import { copyRoom } from '../edits/copy-room';
import {
  addEntity,
  assignToCircuit,
  changeEntity,
  choosePrefix,
  moveBox,
  moveCorners,
  moveRooms,
  placeBoxes,
  placeBreakers,
  rectangleCorners,
} from '../edits/verbs';
import { removeEntities } from '../edits/remove';
import { viewRoom } from '../plan/room-view';
import { layStuds } from '../plan/studs';
import { wallLoop } from '../plan/wall-loop';
import { readHouseFile } from '../formats/house-file';
import { applyEdit, joinEdits, undoOf, type Edit, type Edited } from './edit';
import { editsOverlap } from './overlap';
import type { House } from './schema';
import { validateHouse } from './validate';
import type { Result } from '../units/result';

const demo = (): House => {
  const read = readHouseFile(readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.value;
};
const refusalOf = (result: Result<Edited>) =>
  result.ok ? 'accepted' : `${result.problems[0]!.path}: ${result.problems[0]!.message}`;
const pick = <T>(items: readonly T[], at: number): T | undefined => items[at % Math.max(1, items.length)];

/** Random verbs on random entities; most are sensible, some are refused. */
const verbs: readonly ((house: House, n: number, m: number) => Result<Edited>)[] = [
  (house, n, m) =>
    moveBox(house, pick(Object.keys(house.boxes), n) ?? '', {
      kind: 'wall',
      wall: 'c0',
      alongIn: m % 200,
      heightIn: m % 90,
    }),
  (house, n) => removeEntities(house, [{ collection: 'boxes', id: pick(Object.keys(house.boxes), n) ?? 'x' }]),
  (house, n) => removeEntities(house, [{ collection: 'rooms', id: pick(Object.keys(house.rooms), n) ?? 'x' }]),
  (house, n) => removeEntities(house, [{ collection: 'circuits', id: pick(Object.keys(house.circuits), n) ?? 'x' }]),
  (house, n, m) =>
    assignToCircuit(
      house,
      Object.values(house.boxes)
        .slice(n % 50, (n % 50) + 3)
        .flatMap((box) => Object.keys(box.devices)),
      pick(Object.keys(house.circuits), m) ?? null,
    ),
  (house, n, m) => moveRooms(house, [pick(Object.keys(house.rooms), n) ?? 'x'], (m % 40) - 20, (n % 40) - 20),
  (house, n, m) => moveCorners(house, pick(Object.keys(house.rooms), n) ?? 'x', { c1: { x: m % 400, y: n % 300 } }),
  (house, n, m) =>
    changeEntity(house, 'rooms', pick(Object.keys(house.rooms), n) ?? 'x', { name: m % 5 === 0 ? '' : `Room ${m}` }),
  (house, n, m) =>
    addEntity(house, 'circuits', {
      id: `new${n}-${m}`,
      name: 'New',
      purpose: 'general',
      poles: 1,
      ratingA: 15,
      awg: '14',
      breaker: 'auto',
      gfciFirst: null,
      panel: null,
      space: null,
    }),
  (house, n, m) =>
    placeBoxes(house, [
      {
        id: `b${n}-${m}`,
        room: pick(Object.keys(house.rooms), n) ?? 'x',
        origin: 'request',
        at: { kind: 'wall', wall: 'c0', alongIn: m % 100, heightIn: 16 },
        devices: [{ id: `d${n}-${m}`, kind: 'blank', circuit: null }],
      },
    ]),
  (house, n, m) => placeBreakers(house, 'P1', { [pick(Object.keys(house.circuits), n) ?? 'x']: (m % 40) + 1 }),
  (house, n, m) =>
    copyRoom(
      house,
      pick(Object.keys(house.rooms), n) ?? 'x',
      { mirror: (['none', 'left-right', 'up-down'] as const)[m % 3]!, dx: 2000, dy: m % 50 },
      (prefix) => `${prefix}-${n}-${m}-${Math.abs(n * 31 + m)}-${counter++}`,
    ),
];
let counter = 0;

describe('edits', () => {
  it('any sequence undone is the identity, redone is equal, and every house between is valid', () => {
    const start = demo();
    const step = fc.tuple(fc.nat({ max: verbs.length - 1 }), fc.nat({ max: 500 }), fc.nat({ max: 500 }));
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        const done: Edit[] = [];
        let house = start;
        for (const [verb, n, m] of steps) {
          const result = verbs[verb]!(house, n, m);
          if (!result.ok) continue;
          house = result.value.house;
          done.push(result.value.edit);
          expect(validateHouse(structuredClone(house)).ok).toBe(true);
        }
        const end = house;
        for (const edit of done.toReversed()) house = mustApply(house, undoOf(edit));
        expect(house).toEqual(start);
        for (const edit of done) house = mustApply(house, edit);
        expect(house).toEqual(end);
        expect(mustApply(start, joinEdits('all', done))).toEqual(end);
      }),
      { numRuns: 40 },
    );
  });

  it('a refused edit says which field and changes nothing', () => {
    const house = bedroom().build();
    expect(refusalOf(changeEntity(house, 'rooms', 'bed', { name: ' ' }))).toBe('rooms.bed.name: needs a name');
    expect(refusalOf(changeEntity(house, 'rooms', 'gone', { name: 'x' }))).toBe(
      'rooms.gone: This room is no longer there.',
    );
    const door = Object.keys(house.openings)[0]!;
    expect(refusalOf(changeEntity(house, 'openings', door, { widthIn: 200 }))).toContain(
      `The door is 16'-8" wide and its wall in bed only 12'-0"`,
    );
    expect(
      refusalOf(
        addEntity(house, 'rooms', { ...house.rooms['bed']!, id: 'twin', corners: rectangleCorners(100, 0, 144, 120) }),
      ),
    ).toContain('bed');
    expect(validateHouse(structuredClone(house)).ok).toBe(true);
  });

  it('removing a room takes along what cannot stand without it', () => {
    const house = demo();
    const result = removeEntities(house, [{ collection: 'rooms', id: 'kitchen' }]);
    if (!result.ok) throw new Error(refusalOf(result));
    const left = result.value.house;
    expect(Object.values(left.boxes).some((box) => box.room === 'kitchen')).toBe(false);
    expect(Object.values(left.loads).some((load) => load.kind === 'range')).toBe(false);
    expect(validateHouse(structuredClone(left)).ok).toBe(true);
  });

  it('a mirrored copy measures from the other end of its walls', () => {
    const house = bedroom().receptacle('bed', 'c0', 30).build();
    let n = 0;
    const result = copyRoom(house, 'bed', { mirror: 'left-right', dx: 200, dy: 0 }, (prefix) => `${prefix}${++n}-copy`);
    if (!result.ok) throw new Error(refusalOf(result));
    const box = Object.values(result.value.house.boxes).find((one) => one.id.endsWith('-copy'))!;
    expect(box.at).toMatchObject({ wall: 'c0', alongIn: 114 });
    expect(Object.values(result.value.house.openings).find((one) => one.id.endsWith('-copy'))).toMatchObject({
      hinge: 'right',
      alongIn: 100,
    });
  });

  it('a mirrored copy has its studs in the mirror too: every box stands at the same stud', () => {
    const house = bedroom()
      .with((one) => {
        const [first, second] = one.rooms['bed']!.corners;
        second!.framing = { depth: '2x6', layoutFrom: 'end', plumbing: true };
        first!.framing = { depth: '2x4', layoutFrom: 'start', plumbing: false, studsAtIn: [14, 40, 60] };
      })
      .build();
    const done = copyRoom(house, 'bed', { mirror: 'left-right', dx: 400, dy: 0 }, (prefix) => `${prefix}-copy`);
    if (!done.ok) throw new Error(refusalOf(done));
    const placesOf = (room: string) => {
      const view = viewRoom(done.value.house, room);
      const { walls } = wallLoop(view.room);
      return walls.map(({ id, startIn, lengthIn }) => ({
        id,
        at: layStuds(view)
          .map((one) => one.atIn - startIn)
          .filter((at) => at >= 0 && at < lengthIn),
        lengthIn,
      }));
    };
    const [here, copies] = [placesOf('bed'), placesOf('room-copy')];
    for (const { id, at, lengthIn } of here) {
      const copy = copies.find((one) => one.id === id)!;
      expect(copy.at.map((one) => Math.round((lengthIn - one) * 100) / 100).sort((a, b) => a - b)).toEqual(
        at.map((one) => Math.round(one * 100) / 100),
      );
    }
  });

  it.each([
    ['Bedroom', 'Bedroom 2'],
    ['Bedroom 1', 'Bedroom 2'],
    ['Bedroom 2', 'Bedroom 3'],
  ])('a copy of %s is %s', (name, expected) => {
    const house = structuredClone(bedroom().build());
    house.rooms['bed']!.name = name;
    const result = copyRoom(house, 'bed', { mirror: 'none', dx: 200, dy: 0 }, (prefix) => `${prefix}-copy`);
    expect(result.ok && result.value.house.rooms['room-copy']?.name).toBe(expected);
  });
});

function mustApply(house: House, edit: Edit): House {
  const next = applyEdit(house, edit.patches);
  if (!next.ok) throw new Error(next.problems[0]!.message);
  return next.value;
}

describe('clashes of two edits', () => {
  const path = (...parts: (string | number)[]) => [{ op: 'replace' as const, path: parts, value: 1 }];
  it.each([
    [path('boxes', 'a', 'at'), path('boxes', 'b', 'at'), false],
    [path('boxes', 'a', 'at'), path('boxes', 'a', 'tag'), false],
    [path('boxes', 'a', 'at', 'alongIn'), path('boxes', 'a', 'at'), true],
    [path('boxes', 'a'), path('boxes', 'a', 'tag'), true],
    [path('rooms', 'r', 'corners', 1, 'x'), path('rooms', 'r', 'corners', 3, 'y'), true],
    [path('job', 'edition'), path('standards', 'lengths'), false],
  ])('%j and %j', (a, b, expected) => {
    expect(editsOverlap(a, b)).toBe(expected);
    expect(editsOverlap(b, a)).toBe(expected);
  });

  it('refuses patches beside the document', () => {
    const house = aHouse().build();
    const bad = applyEdit(house, [{ op: 'replace', path: ['format'], value: 'other' }]);
    expect(bad.ok).toBe(false);
    expect(applyEdit(house, [{ op: 'add', path: ['__proto__', 'polluted'], value: 1 }]).ok).toBe(false);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
    expect(applyEdit(house, [{ op: 'replace', path: ['boxes', 'gone', 'tag'], value: 'X-1' }]).ok).toBe(false);
  });
});

describe('choosePrefix', () => {
  it.each([
    ['Bedroom 2', 'B2'],
    ['Ceramics studio', 'CS'],
    ['<b>', 'B'],
    ['???', 'R'],
  ])('%s becomes %s', (name, prefix) => expect(choosePrefix(aHouse().build(), name)).toBe(prefix));
});
