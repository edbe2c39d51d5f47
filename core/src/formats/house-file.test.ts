import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { bedroom } from '../test/house-builder';
import { readHouseFile, writeHouseFile } from './house-file';
import { writeScheduleCsv } from './schedule-csv';
import { houseJsonSchema, type House } from '../house/schema';
import { scheduleOf } from '../nec/schedule-of';
import { migrate } from './house-file';

const house = () => bedroom().receptacle('bed', 'c0', 30).circuit('A', 15).build();
const changed = (change: (data: Record<string, never>) => void) => {
  const data = structuredClone(house()) as unknown as Record<string, never>;
  change(data);
  return JSON.stringify(data);
};
const problemOf = (text: string) => {
  const read = readHouseFile(text);
  return read.ok ? 'read' : `${read.problems[0]!.path}: ${read.problems[0]!.message}`;
};
type Loose = Record<string, Record<string, Record<string, unknown>>>;
const set = (path: string, value: unknown) =>
  changed((data) => {
    const parts = path.split('.');
    const parent = parts.slice(0, -1).reduce((at, part) => at[part] as never, data as unknown as Loose);
    (parent as Record<string, unknown>)[parts.at(-1)!] = value;
  });
const box = Object.keys(house().boxes)[0]!;
const door = Object.keys(house().openings)[0]!;

describe('readHouseFile', () => {
  it('reads what writeHouseFile writes', () => {
    const read = readHouseFile(writeHouseFile(house()));
    expect(read.ok && read.value).toEqual(house());
  });

  it.each([
    ['malformed JSON', '{"format" "winculum-house"}', 'The file is not JSON: it is malformed at line 1, column 11.'],
    ['JSON cut short', '{\n  "format": "winculum-house",', 'it breaks off at line 2, column 30'],
    ['nothing at all', '', 'it breaks off at line 1, column 1'],
    ['no JSON', 'hello', 'it is malformed near "hello".'],
    ['something else', '[]', 'format: This is not a house file'],
    ['an array in disguise', '"winculum-house"', 'format: This is not a house file'],
    ['a file without version', '{"format":"winculum-house"}', 'version: The file does not say its version'],
    ['a newer version', set('version', 99), 'version: The file has version 99; this program reads up to 2'],
    ['an impossible version', set('version', 0), 'version: The file has version 0, which no program wrote'],
    ['a dangling room', set(`boxes.${box}.room`, 'gone'), `boxes.${box}.room: Nothing has the id "gone"`],
    [
      'a dangling wall',
      set(`boxes.${box}.at`, { kind: 'wall', wall: 'c9', alongIn: 3, heightIn: 3 }),
      `boxes.${box}.at.wall: Box R1-1 names wall "c9"`,
    ],
    ['a wrong length', set(`openings.${door}.widthIn`, -5), `openings.${door}.widthIn: must be greater than zero`],
    [
      'a door wider than its wall',
      set(`openings.${door}.widthIn`, 200),
      `openings.${door}.widthIn: The door is 16'-8" wide`,
    ],
    ['a box above the ceiling', set(`boxes.${box}.at.heightIn`, 200), `boxes.${box}.at.heightIn`],
    [
      'a crossed room',
      set('rooms.bed.corners', [
        { id: 'a', x: 0, y: 0 },
        { id: 'b', x: 100, y: 100 },
        { id: 'c', x: 100, y: 0 },
        { id: 'd', x: 0, y: 100 },
      ]),
      'rooms.bed.corners',
    ],
    ...(
      [
        ['a room of 900 ft', 10_800, 'more than 300\'-0" from end to end. Type less'],
        [
          'a room of a foot in inches typed as feet',
          11,
          'is smaller than 1 ft². Make it larger; a number alone counts as inches',
        ],
      ] as const
    ).map(
      ([what, side, says]) =>
        [
          what,
          set('rooms.bed.corners', [
            { id: 'c0', x: 0, y: 0 },
            { id: 'c1', x: side, y: 0 },
            { id: 'c2', x: side, y: side },
            { id: 'c3', x: 0, y: side },
          ]),
          says,
        ] as [string, string, string],
    ),
    ['an unknown field', set('rooms.bed.color', 'red'), 'rooms.bed: "color" is no field of this format'],
    [
      'a key that is not the id',
      set('rooms.other', structuredClone(house().rooms['bed'])),
      'rooms.other.id: The key "other" and the id "bed" differ',
    ],
    ['a 20 MB file', ' '.repeat(20_000_000), 'The file has 20 MB'],
    [
      'an amendment without a date',
      set('decisions', { a: { id: 'a', rule: 'x', change: { kind: 'off' }, by: 'me', date: 'yesterday' } }),
      'decisions.a.date',
    ],
  ])('%s is refused, naming the field', (_, text, expected) => expect(problemOf(text)).toContain(expected));

  it('keeps HTML in names as the text that it is', () => {
    const read = readHouseFile(set('rooms.bed.name', '<img src=x onerror=alert(1)>'));
    expect(read.ok && read.value.rooms['bed']!.name).toBe('<img src=x onerror=alert(1)>');
  });

  it('migrates version by version', () => {
    const steps = { 1: (data: object) => ({ ...data, a: 1 }), 2: (data: object) => ({ ...data, b: 2 }) };
    expect(migrate({ version: 1 }, steps, 3)).toEqual({ ok: true, value: { version: 3, a: 1, b: 2 } });
    expect(migrate({ version: 1 }, { 2: steps[2] }, 3).ok).toBe(false);
  });
});

describe('published formats', () => {
  it('the schema in docs/ is current', () => {
    const published = JSON.parse(
      readFileSync(new URL('../../../docs/house.schema.json', import.meta.url), 'utf8'),
    ) as unknown;
    expect(published).toEqual(JSON.parse(JSON.stringify(houseJsonSchema())));
  });

  it('the example in docs/house-format.md is a house', () => {
    const text = readFileSync(new URL('../../../docs/house-format.md', import.meta.url), 'utf8');
    expect(problemOf(/```json\n([\s\S]+?)```/.exec(text)![1]!)).toBe('read');
  });

  it('the schedule as CSV quotes what needs it and defuses formulas', () => {
    const one: House = {
      ...bedroom()
        .panel('P', 'bed', 4)
        .circuit('A', 15, { panel: 'P', space: 1 })
        .circuit('B', 15, { panel: 'P', space: 2 })
        .build(),
    };
    const named = {
      ...one,
      circuits: { A: { ...one.circuits['A']!, name: 'Beds, "two"' }, B: { ...one.circuits['B']!, name: '=cmd|x' } },
    };
    const lines = writeScheduleCsv(scheduleOf(named, 'P')).split('\r\n');
    const aluminum = {
      ...one,
      circuits: { A: { ...one.circuits['A']!, metal: 'aluminum' as const, awg: '6' as const } },
    };
    expect(writeScheduleCsv(scheduleOf(aluminum, 'P'))).toContain(',SE Al 6,');
    expect(lines[0]).toBe('Space,Leg,Poles,Breaker A,Kind,Conductor,Name,Directory,VA');
    expect(lines[1]).toBe('1,A,1,15,plain,NM-B Cu 14,"Beds, ""two""","Beds, ""two"" (nothing on it yet)",0');
    expect(lines[2]).toContain(",'=cmd|x,");
    expect(lines[3]).toBe('3,B,,,,,,,');
  });
});
