import { describe, expect, it } from 'vitest';
import type { Patch } from 'immer';
import { readHouseFile } from '../formats/house-file';
import { demo } from '../test/demo-house';
import { remakeEdit } from './edit';
import { editsOverlap } from './overlap';
import { fromVersion1, inPresentWords } from './version-1';

/** A house as version 1 wrote it, with every word that has changed since. */
const old = () => ({
  format: 'winculum-house',
  version: 1,
  name: 'An old file',
  job: { edition: '2020', authority: '', permitDate: null },
  standards: {
    heightsTo: 'centre',
    ceilingSchool: 'equal-divisions',
    receptacleSchool: 'area',
    templates: [{ name: 'Desk', text: 'R 0 16' }],
  },
  levels: {
    L0: { id: 'L0', name: 'Down', elevationIn: -90, ceilingIn: 90, belowGrade: true },
    L1: { id: 'L1', name: 'Up', elevationIn: 18, ceilingIn: 97, belowGrade: false },
  },
  rooms: {
    r: {
      id: 'r',
      level: 'L1',
      name: 'Den',
      prefix: 'D',
      kind: 'den',
      corners: [
        { id: 'c0', x: 0, y: 0 },
        { id: 'c1', x: 144, y: 0 },
        { id: 'c2', x: 144, y: 144 },
        { id: 'c3', x: 0, y: 144 },
      ],
    },
  },
  openings: {},
  features: {},
  boxes: {
    b: {
      id: 'b',
      room: 'r',
      tag: 'D-1',
      at: { kind: 'wall', wall: 'c0', alongIn: 40, heightIn: 48 },
      origin: 'wish',
      wished: { by: 'Owner', on: '2026-03-01' },
      devices: { d: { id: 'd', kind: 'switch', style: 'companion' } },
    },
  },
  loads: {},
  circuits: {
    c: { id: 'c', name: 'Range', poles: 2, ratingA: 50, awg: '6', metal: 'aluminium', panel: null, space: null },
  },
  switchGroups: {},
  cables: {},
  panels: {},
  amendments: {
    a: { id: 'a', rule: 'fastened-half', change: { kind: 'off' }, authority: 'County', date: '2026-02-03' },
  },
  log: {},
});
const read = (data: object) => {
  const house = readHouseFile(JSON.stringify(data));
  if (!house.ok) throw new Error(house.problems[0]!.message);
  return house.value;
};

/** The same change in the words of version 1, as a patch and as made on the old data. */
const CHANGES: readonly [what: string, patch: Patch, on: (data: ReturnType<typeof old>) => void][] = [
  [
    'the grade of a level',
    { op: 'replace', path: ['levels', 'L1', 'belowGrade'], value: true },
    (data) => (data.levels.L1.belowGrade = true),
  ],
  [
    'a whole circuit',
    { op: 'add', path: ['circuits', 'c2'], value: { ...old().circuits.c, id: 'c2' } },
    (data) => Object.assign(data.circuits, { c2: { ...old().circuits.c, id: 'c2' } }),
  ],
  [
    'a device inside a box',
    {
      op: 'add',
      path: ['boxes', 'b', 'devices', 'e'],
      value: { id: 'e', kind: 'switch', style: 'companion', circuit: null },
    },
    (data) => Object.assign(data.boxes.b.devices, { e: { id: 'e', kind: 'switch', style: 'companion' } }),
  ],
  [
    'who asked for a box',
    { op: 'replace', path: ['boxes', 'b', 'wished', 'by'], value: 'Designer' },
    (data) => (data.boxes.b.wished.by = 'Designer'),
  ],
  [
    'a ruling withdrawn',
    { op: 'remove', path: ['amendments', 'a'] },
    (data) => delete (data.amendments as Record<string, unknown>)['a'],
  ],
  [
    'the name of a preset in its list',
    { op: 'replace', path: ['standards', 'templates', 0, 'name'], value: 'Bench' },
    (data) => (data.standards.templates[0]!.name = 'Bench'),
  ],
];

describe('houses of version 1', () => {
  it('are read in the words of version 2', () => {
    const house = read(old());
    expect(house).toMatchObject({
      version: 2,
      standards: { heightsTo: 'center', ceilingRows: 'equal-divisions', receptacleCount: 'area' },
      levels: { L0: { grade: 'below' }, L1: { grade: 'not-known' } },
      boxes: { b: { origin: 'request', requested: { by: 'Owner' }, devices: { d: { style: 'add-on' } } } },
      circuits: { c: { metal: 'aluminum' } },
      decisions: { a: { rule: 'fastened-in-place-share', by: 'County' } },
    });
    expect(house.standards.presets).toEqual([{ name: 'Desk', text: 'R 0 16' }]);
  });

  it.each(CHANGES)('an edit of version 1 that waited does the same to the new house: %s', (_, patch, change) => {
    const data = old();
    change(data);
    const next = remakeEdit(read(old()), { label: 'Old', patches: [patch] });
    expect(next.ok ? next.value.house : next.problems).toEqual(read(data));
  });

  it('clash with edits in the new words', () => {
    const mine: Patch[] = [{ op: 'replace', path: ['boxes', 'b', 'wished', 'by'], value: 'A' }];
    const theirs: Patch[] = [{ op: 'replace', path: ['boxes', 'b', 'requested', 'by'], value: 'B' }];
    expect(editsOverlap(mine, theirs)).toBe(true);
  });

  it('no word of version 1 means something else in version 2', () => {
    expect(fromVersion1(demo as unknown as Record<string, unknown>)).toEqual(demo);
    const patches: Patch[] = [{ op: 'add', path: ['boxes', 'x'], value: Object.values(demo.boxes)[0] }];
    expect(inPresentWords(patches)).toEqual(patches);
  });
});
