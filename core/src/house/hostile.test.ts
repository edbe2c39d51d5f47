import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { combCorners } from '../test/combs';
import { demo } from '../test/demo-house';
import { must } from '../test/must';
import { aHouse, bedroom } from '../test/house-builder';
import { createHouse } from '../edits/create-house';
import { changeEntity, rectangleCorners } from '../edits/verbs';
import { readHouseFile, writeHouseFile } from '../formats/house-file';
import { isNestedDeeper } from '../formats/json-depth';
import { polygonsOverlap } from '../geometry/geometry';
import { applyEdit, edit, remakeEdit, undoOf } from './edit';
import { editsOverlap } from './overlap';
import type { House, Room } from './schema';
import { validateHouse } from './validate';
import type { Patch } from './edit';
import { findOverlaps } from './rooms-apart';

const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall')!;
const refusal = (patches: readonly Patch[], house: House = demo): string => {
  const result = applyEdit(house, patches);
  return result.ok ? 'accepted' : `${result.problems[0]!.code} ${result.problems[0]!.path}`;
};

describe('patches of somebody who means harm', () => {
  it.each<[string, Patch, string]>([
    ['a dot in an id', { op: 'add', path: ['log', 'a.b'], value: { anything: 1 } }, 'path log.a.b'],
    ['a dot in a field of the house', { op: 'add', path: ['name.x'], value: 1 }, 'path name.x'],
    ['a dot after a collection', { op: 'add', path: ['boxes.x'], value: 1 }, 'path boxes.x'],
    ['an empty id', { op: 'add', path: ['log', ''], value: {} }, 'path log.'],
    ['a number for an id', { op: 'add', path: ['log', 3], value: {} }, 'patch log.3'],
    ['a prototype for an id', { op: 'add', path: ['boxes', '__proto__', 'x'], value: 1 }, 'patch boxes.__proto__.x'],
    ['a prototype further down', { op: 'add', path: ['boxes', box.id, '__proto__', 'x'], value: 1 }, 'patch'],
    ['a constructor', { op: 'add', path: ['boxes', 'constructor'], value: {} }, 'path boxes.constructor'],
    [
      'a length without end',
      { op: 'replace', path: ['rooms', box.room, 'corners', 'length'], value: 2 ** 32 - 1 },
      'patch',
    ],
    ['a length one too long', { op: 'replace', path: ['rooms', box.room, 'corners', 'length'], value: 61 }, 'patch'],
    ['a length below zero', { op: 'replace', path: ['rooms', box.room, 'corners', 'length'], value: -1 }, 'patch'],
    ['an index past the end', { op: 'add', path: ['rooms', box.room, 'corners', 4_000_000_000], value: {} }, 'patch'],
    [
      'an index replaced past the end',
      { op: 'replace', path: ['rooms', box.room, 'corners', 900], value: {} },
      'patch',
    ],
    ['a field of a list', { op: 'add', path: ['rooms', box.room, 'corners', 'x'], value: 1 }, 'patch'],
    ['a whole collection', { op: 'replace', path: ['boxes'], value: {} }, 'path boxes'],
    ['another format', { op: 'replace', path: ['format'], value: 'x' }, 'path format'],
    ['a field that no schema has', { op: 'add', path: ['boxes', box.id, 'evil'], value: 1 }, `schema boxes.${box.id}`],
    ['a name that is none', { op: 'replace', path: ['name'], value: '  ' }, 'schema name'],
    ['a name with spaces around it', { op: 'replace', path: ['name'], value: ' x ' }, 'unsettled name'],
    [
      'a NUL in a note',
      { op: 'add', path: ['boxes', box.id, 'note'], value: 'a\0b' },
      `unsettled boxes.${box.id}.note`,
    ],
    ['a box without gangs', { op: 'remove', path: ['boxes', box.id, 'gangs'] }, `unsettled boxes.${box.id}.gangs`],
    [
      'nothing where something was',
      { op: 'add', path: ['boxes', box.id, 'note'], value: undefined },
      'unsettled boxes',
    ],
  ])('%s is refused and changes nothing', (_, patch, said) => {
    expect(refusal([patch])).toContain(said);
  });

  it('replaced as a whole, a collection is refused whatever else is touched', () => {
    const move: Patch = { op: 'replace', path: ['boxes', box.id, 'gangs'], value: 2 };
    expect(refusal([move, { op: 'add', path: ['boxes'], value: null }])).toBe('path boxes');
  });

  it('takes no longer for being many', () => {
    const patches = Array.from({ length: 20_000 }, (_, i): Patch => ({
      op: 'replace',
      path: ['log', `a.${i}`],
      value: 1,
    }));
    const started = performance.now();
    expect(refusal(patches)).toContain('patch');
    expect(performance.now() - started).toBeLessThan(1_000);
  });
});

describe('what the schema would write otherwise', () => {
  it('is written so before the patches are made; undone and redone on another copy, it is the same house', () => {
    const house = must(readHouseFile(writeHouseFile(bedroom().receptacle('bed', 'c0', 30).build())));
    const id = Object.keys(house.boxes)[0]!;
    const done = must(
      edit(house, 'Replace the device', (draft) => {
        draft.boxes[id]!.devices = { d1: { id: 'd1', kind: 'receptacle' } as never };
        draft.boxes[id]!.note = undefined;
        draft.circuits['c9'] = {
          id: 'c9',
          name: ' Nine ',
          poles: 1,
          ratingA: 15,
          awg: '14',
          panel: null,
          space: null,
          lengthFt: undefined,
        } as never;
        draft.name = '  A house\t ';
      }),
    );
    expect(done.house.boxes[id]!.devices['d1']).toMatchObject({ style: 'duplex', ratingA: 15, tr: true });
    expect(Object.keys(done.house.boxes[id]!)).not.toContain('note');
    expect(done.house.name).toBe('A house');
    expect(done.house.circuits['c9']).toMatchObject({ name: 'Nine', purpose: 'general' });
    // As it is sent: what is undefined does not survive it.
    const sent = JSON.parse(JSON.stringify(done.edit.patches)) as Patch[];
    expect(must(applyEdit(house, sent))).toEqual(done.house);
    expect(must(applyEdit(done.house, undoOf(done.edit).patches))).toEqual(house);
    expect(must(validateHouse(JSON.parse(writeHouseFile(done.house))))).toEqual(done.house);
  });

  it('leaves what did not change the same objects', () => {
    const other = Object.values(demo.boxes).find((one) => one.id !== box.id)!;
    const done = must(
      edit(demo, 'A default left out', (draft) => {
        delete (draft.boxes[box.id] as { gangs?: number }).gangs;
      }),
    );
    expect(done.house.boxes[other.id]).toBe(demo.boxes[other.id]);
    expect(done.house.boxes[box.id]!.devices).toBe(demo.boxes[box.id]!.devices);
    expect(done.house.rooms).toBe(demo.rooms);
  });

  it('of an edit that an older program left on the device is written when it is made once more', () => {
    const raw: Patch[] = [
      { op: 'add', path: ['log', 'l1'], value: { id: 'l1', date: '2026-11-01', who: ' Ann ', text: 'x' } },
    ];
    expect(refusal(raw)).toBe('unsettled log.l1.who');
    const { house, edit: remade } = must(remakeEdit(demo, { label: 'Old', patches: raw }));
    expect(house.log['l1']!.who).toBe('Ann');
    expect(must(applyEdit(demo, remade.patches))).toEqual(house);
  });
});

describe('how much a house holds', () => {
  const rooms = (n: number, corners = rectangleCorners(0, 0, 10, 10)): Record<string, Room> =>
    Object.fromEntries(
      Array.from({ length: n }, (_, i) => [
        `r${i}`,
        {
          id: `r${i}`,
          level: 'L1',
          name: `Room ${i}`,
          prefix: `R${i % 900}`,
          kind: 'other' as const,
          corners: corners.map((corner) => ({
            ...corner,
            x: corner.x + (i % 25) * 400,
            y: corner.y + Math.floor(i / 25) * 400,
          })),
        },
      ]),
    );
  const levels = { L1: { id: 'L1', name: 'Main level', elevationIn: 0, ceilingIn: 96 } };

  it('is counted before anything else looks, and the answer names limit and count', () => {
    const problemOf = (data: unknown) => {
      const read = validateHouse(data);
      return read.ok ? 'read' : read.problems[0]!.message;
    };
    const house = { ...createHouse('Large', '2023'), levels };
    expect(problemOf({ ...house, rooms: rooms(500, rectangleCorners(0, 0, 120, 120)) })).toBe('read');
    expect(problemOf({ ...house, rooms: rooms(501) })).toMatch(/There are 501 rooms; a house holds at most 500/);
    const many = Array.from({ length: 61 }, (_, i) => ({ id: `c${i}`, x: i, y: i * i }));
    expect(problemOf({ ...house, rooms: { r: { ...rooms(1)['r0'], corners: many } } })).toMatch(
      /61 corners in one room.* at most 60/,
    );
    const boxes = Object.fromEntries(Array.from({ length: 6001 }, (_, i) => [`b${i}`, box]));
    expect(problemOf({ ...demo, boxes })).toMatch(/There are 6001 boxes; a house holds at most 6000/);
  });

  it('may be 400 rooms in each other: refused within a second, where it took a minute', () => {
    const corners = (i: number) => combCorners(i).map((one) => ({ ...one, wall: 'solid' as const }));
    const records = Object.fromEntries(
      Array.from({ length: 400 }, (_, i) => [`r${i}`, { ...rooms(1)['r0']!, id: `r${i}`, corners: corners(i) }]),
    );
    const started = performance.now();
    expect(findOverlaps(records).length).toBeGreaterThan(0);
    expect(performance.now() - started).toBeLessThan(1_000);
  });

  it('of rooms that overlap is found as by comparing each with each', () => {
    const side = fc.integer({ min: 2, max: 9 });
    const place = fc.record({ x: fc.nat(24), y: fc.nat(24), w: side, h: side, isL: fc.boolean() });
    fc.assert(
      fc.property(fc.array(place, { minLength: 2, maxLength: 9 }), (places) => {
        const records = Object.fromEntries(
          places.map(({ x, y, w, h, isL }, i) => {
            const corners = rectangleCorners(x * 12, y * 12, (x + w) * 12, (y + h) * 12);
            const [a, b, , d] = corners;
            const [midX, midY] = [(x + w / 2) * 12, (y + h / 2) * 12];
            const cut = [
              a!,
              b!,
              { ...b!, id: 'e', y: midY },
              { ...b!, id: 'f', x: midX, y: midY },
              { ...d!, id: 'g', x: midX },
              d!,
            ];
            return [`r${i}`, { ...rooms(1)['r0']!, id: `r${i}`, corners: isL ? cut : corners }];
          }),
        );
        const all = Object.values(records);
        const pairs = all.flatMap((one, i) =>
          all.slice(i + 1).filter((other) => polygonsOverlap(one.corners, other.corners)),
        );
        expect(findOverlaps(records).length).toBe(Math.min(20, pairs.length));
      }),
    );
  });

  it('is still enough for a move in a large house to be refused where it overlaps', () => {
    const house = must(
      validateHouse({ ...createHouse('Large', '2023'), levels, rooms: rooms(300, rectangleCorners(0, 0, 120, 120)) }),
    );
    const moved = changeEntity(house, 'rooms', 'r7', { corners: house.rooms['r8']!.corners });
    expect(moved.ok ? 'moved' : moved.problems[0]!.message).toMatch(/Room 8 overlaps Room 7|Room 7 overlaps Room 8/);
  });
});

describe('the clash of two sets of patches', () => {
  const slow = (a: readonly Patch[], b: readonly Patch[]): boolean => {
    const reachOf = ({ path }: Patch) => {
      const index = path.findIndex((part) => typeof part === 'number');
      return (index < 0 ? path : path.slice(0, index)).map(String);
    };
    const reaches = b.map(reachOf);
    return a.some((patch) => {
      const mine = reachOf(patch);
      return reaches.some((theirs) => mine.slice(0, theirs.length).every((part, i) => part === theirs[i]));
    });
  };

  it('is found as by comparing each with each', () => {
    const part = fc.constantFrom<string | number>('a', 'b', 'a.b', 1);
    const patches = fc.array(
      fc.array(part, { minLength: 1, maxLength: 4 }).map((path): Patch => ({ op: 'replace', path, value: 1 })),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(patches, patches, (a, b) => void expect(editsOverlap(a, b)).toBe(slow(a, b))),
      { numRuns: 2000 },
    );
  });

  it('of 160,000 patches takes well under a second', () => {
    const many = (prefix: string) =>
      Array.from({ length: 160_000 }, (_, i): Patch => ({
        op: 'replace',
        path: ['boxes', `${prefix}${i}`, 'tag'],
        value: 1,
      }));
    const [a, b] = [many('a'), many('b')];
    const started = performance.now();
    expect(editsOverlap(a, b)).toBe(false);
    expect(performance.now() - started).toBeLessThan(8_000);
  });
});

describe('JSON that is nested too deeply', () => {
  it.each<[string, number, boolean]>([
    ['[[[]]]', 3, false],
    ['[[[[]]]]', 3, true],
    ['{"a":{"b":[1]}}', 3, false],
    ['"[[[[[["', 3, false],
    ['["\\"[[[[", 1]', 3, false],
    ['["\\\\", [[[', 3, true],
  ])('%s, at most %s', (json, most, expected) => {
    expect(isNestedDeeper(json, most)).toBe(expected);
    expect(isNestedDeeper(new TextEncoder().encode(json), most)).toBe(expected);
  });

  it('is no house file, and is told so before it is parsed', () => {
    const read = readHouseFile(`{"format":"winculum-house","version":1,"name":${'['.repeat(1_000_000)}`);
    expect(read.ok ? 'read' : read.problems[0]!.message).toMatch(/nested too deeply/);
    expect(isNestedDeeper(writeHouseFile(aHouse().build()), 24)).toBe(false);
  });
});
