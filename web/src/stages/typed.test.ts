import { describe, expect, it } from 'vitest';
import {
  addTypedRoom,
  meaningsOf,
  addTypedThing,
  readThing,
  boundsOf,
  boxPoint,
  fromLoop,
  isTakenFromBehind,
  moveBox,
  placementLimits,
  polygonsOverlap,
  studFaces,
  toLoop,
  viewRoom,
  wallLoop,
  type House,
  type PlacementLimits,
} from '@winculum/core';
import { cutAt, layOutStrip } from '../drawing/strip-layout';
import { snapToStud } from '../drawing/tools/drag-edit';
import { describePatches } from '../frame/describe-patches';
import { demo, oneBedroom } from '../test/rooms';

let n = 0;
const newId = (prefix: string) => `${prefix}-t${++n}`;

describe('a typed door, window or fixture', () => {
  /** The bedroom with a hall to its south, a yard's width apart, and a bath beside it. */
  const house = (): House => {
    let made: House = oneBedroom();
    for (const line of [
      "hall 20' x 4' south of Bedroom",
      "bath 8' x 10' east of Bedroom",
      "bath 2 8' x 6' east of Bath",
    ]) {
      const result = addTypedRoom(made, 'L1', line, null, newId);
      if (!result.ok || !result.value.edited.ok) throw new Error(line);
      made = result.value.edited.value.house;
    }
    return made;
  };
  const put = (text: string, selected: string | null = 'bed') => {
    const result = addTypedThing(house(), 'L1', text, selected, newId);
    if (!result.ok) return result.problems[0]!.message;
    if (!result.value.edited.ok) return result.value.edited.problems[0]!.message;
    const next = result.value.edited.value.house;
    const opening = next.openings[result.value.id];
    if (opening)
      return [
        opening.kind,
        opening.wall,
        opening.alongIn,
        opening.widthIn,
        ...(opening.kind === 'window' ? [opening.sillIn, opening.headIn] : []),
      ];
    const { kind, at } = next.features[result.value.id]!;
    return [kind, at.kind === 'wall' ? [at.wall, at.alongIn, at.widthIn] : 'free'];
  };
  it.each([
    ['window 48x36 sill 40 centered on north', ['window', 'c0', 48, 48, 40, 76]],
    ["window on west at 2'", ['window', 'c3', 24, 36, 36, 80]],
    ["door 30 to bath at 4'", ['door', 'c1', 48, 30]],
    ["slider 6' on the east wall", ['slider', 'c1', 24, 72]],
    ['pocket door on west', ['pocket', 'c3', 44, 32]],
    ['french door on north', ['door', 'c0', 40, 64]],
    ["sink at 5' on north", ['sink', ['c0', 43.5, 33]]],
    ["panel in hall east 2'", ['panel', ['c1', 16, 16]]],
    ['counter on west', ['counter', ['c3', 0, 120]]],
    ['vanity 36 on north in bath 2', ['basin', ['c0', 30, 36]]],
    ['stair on west', ['stair', ['c3', 40, 40]]],
    ['beds on north', ['bed', ['c0', 42, 60]]],
    ['bath fan', ['bath-fan', 'free']],
    ['attic access in hall', ['attic-access', 'free']],
    ['garage door opener in hall', ['garage-opener', 'free']],
    ['sump in cellar', 'There is no room "cellar" on this level. Here are: Bedroom, Hall, Bath, Bath 2.'],
    ["hood on north at 4'", ['range-hood', ['c0', 33, 30]]],
    ['medicine cabinet 24 in bath 2 on north', ['mirror', ['c0', 36, 24]]],
    ['workbench on west', ['workbench', ['c3', 12, 96]]],
    ['door', 'On which wall of Bedroom? Say: door on north, or door to hall.'],
    ['door to cellar', 'There is no room "cellar" on this level. Here are: Bedroom, Hall, Bath, Bath 2.'],
    ['window in bat on north', '"bat" may be Bath, Bath 2. Say which.'],
    ['door to bath 2', 'Bedroom and Bath 2 have no wall between them.'],
    ["sink on north at 20'", 'At 20\'-0" the sink of 2\'-9" runs past the end of the north wall, 12\'-0" long.'],
    ["window 20' on north", 'window is 20\'-0" wide, and the north wall of Bedroom 12\'-0".'],
    ['window on southwest', 'Bedroom has no southwest wall. It has north, east, south, west.'],
    ['hatch on north', '"hatch on north" names no door, window or fixture.'],
  ] as const)('%s', (text, expected) => expect(put(text)).toEqual(expected));

  it.each(['stair 4 x 10 east of Bedroom', "stair 4' x 10'", 'shower room 6 x 5 south of bath'])(
    '%s is a room, not a thing in one',
    (line) => expect(readThing(line)).toBeUndefined(),
  );

  it('asks for the room where none is chosen', () =>
    expect(put('tub on north', null)).toBe('In which room? Choose one, or say it: tub in kitchen on north.'));
});

describe('a typed room', () => {
  const built = (text: string, house: House = oneBedroom()) => {
    const result = addTypedRoom(house, 'L1', text, null, newId);
    if (!result.ok) return result.problems[0]!.message;
    if (!result.value.edited.ok) return result.value.edited.problems[0]!.message;
    const room = result.value.edited.value.house.rooms[result.value.roomId]!;
    const { minX, minY, maxX, maxY } = boundsOf(room.corners);
    return [room.name, room.kind, minX, minY, maxX - minX, maxY - minY];
  };
  it.each([
    ["kitchen 12' x 11'6 east of Bedroom", ['Kitchen', 'kitchen', 148.5, 0, 144, 138]],
    ['living room 18x14 east of Bedroom', ['Living room', 'living', 148.5, 0, 216, 168]],
    ["office 12' x 11 east of Bedroom", ['Office', 'office', 148.5, 0, 144, 132]],
    ["great room 20' by 16' east of bed", ['Great room', 'living', 148.5, 0, 240, 192]],
    ['stair 4 x 10 east of Bedroom', ['Stair', 'stair', 148.5, 0, 48, 120]],
    ['mud room 12-6 x 8 south of Bedroom', ['Mud room', 'foyer', 0, 124.5, 150, 96]],
    ['den 144 x 120 east of Bedroom', ['Den', 'den', 148.5, 0, 144, 120]],
    ["bath 1 8' x 5' south of bedroom at 2'", ['Bath 1', 'bathroom', 24, 124.5, 96, 60]],
    ["bedroom 2 12' 6 x 10' north of Bedroom", ['Bedroom 2', 'bedroom', 0, -124.5, 150, 120]],
    [
      "ballroom 8' x 5'",
      '"ballroom" names no kind of room. Known: kitchen, dining, breakfast, pantry, living, family, den, library, sunroom, bedroom, recreation, office …',
    ],
    ["bathroom 8' x 5' south of bedroom at 2'", ['Bathroom', 'bathroom', 24, 124.5, 96, 60]],
    ['Guest bedroom 3 m x 90cm west of Bedroom', ['Guest bedroom', 'bedroom', -122.625, 0, 118.125, 35.4375]],
    ['walk-in closet 60 x 48 north of bedroom', ['Walk in closet', 'walk-in-closet', 0, -52.5, 60, 48]],
    ["den 10 x 10'", ['Den', 'den', 148.5, 0, 120, 120]],
    ["den ten x 10'", "Type a kind and a size: bedroom 12' x 11'6, then where: east of Hall."],
    [
      "den 12' 14 x 10'",
      `"12' 14" has 14 inches after the feet; 12 inches or more are feet. Type feet and inches: 12', 12-6 1/2, 150", 3 m.`,
    ],
    ["den 10' x 10' east of Attic", 'There is no room "Attic" on this level. Here are: Bedroom.'],
  ])('%s', (text, expected) => expect(built(text)).toEqual(expected));

  it.each([
    ['closet 36x24 east of Bedroom', ['Closet', 'closet', 148.5, 0, 36, 24]],
    ['closet 6 x 4 east of Bedroom', ['Closet', 'closet', 148.5, 0, 72, 48]],
    ['deck 12 x 10 east of Bedroom', ['Deck', 'deck', 148.5, 0, 144, 120]],
    ['deck 48x60 east of Bedroom', `48 x 60 may be feet or inches. Say 48' x 60' or 48" x 60".`],
    ['bath 36 x 30 east of Bedroom', `36 x 30 may be feet or inches. Say 36' x 30' or 36" x 30".`],
    ["deck 48 x 60' east of Bedroom", `48 x 60' may be feet or inches. Say 48' x 60' or 48" x 60'.`],
    ["deck 12 x 60' east of Bedroom", ['Deck', 'deck', 148.5, 0, 144, 720]],
  ])('by its kind, what bare sizes are in: %s', (text, expected) => expect(built(text)).toEqual(expected));

  it('without a place goes where it fits', () => {
    let house: House = oneBedroom();
    for (let n = 0; n < 6; n++) {
      const result = addTypedRoom(house, 'L1', "den 10' x 9'", null, newId);
      if (!result.ok || !result.value.edited.ok) throw new Error('did not fit');
      house = result.value.edited.value.house;
    }
    const rooms = Object.values(house.rooms);
    for (const a of rooms)
      for (const b of rooms) if (a !== b) expect(polygonsOverlap(a.corners, b.corners)).toBe(false);
  });
});

describe('a line that may mean several things', () => {
  const twoBedrooms = () => {
    const first = addTypedRoom(oneBedroom(), 'L1', "bedroom 2 12' x 10' east of Bedroom", null, newId);
    if (!first.ok || !first.value.edited.ok) throw new Error('did not fit');
    return first.value.edited.value.house;
  };
  const meant = (text: string) =>
    meaningsOf(twoBedrooms(), 'L1', text, 'bed', newId).map(({ line, words, outline }) => [
      line,
      words,
      outline.length,
    ]);
  it.each([
    [
      'deck 48x60 south of Bedroom 2',
      [
        [`deck 48' x 60' south of Bedroom 2`, `48' x 60'`, 4],
        [`deck 48" x 60" south of Bedroom 2`, `48" x 60"`, 4],
      ],
    ],
    [
      'sink in bed on north',
      [
        ['sink in Bedroom on north', 'Bedroom', 4],
        ['sink in Bedroom 2 on north', 'Bedroom 2', 4],
      ],
    ],
    [
      "office 10' x 10' south of bed",
      [
        ["office 10' x 10' south of Bedroom", 'Bedroom', 4],
        ["office 10' x 10' south of Bedroom 2", 'Bedroom 2', 4],
      ],
    ],
    // Whole names and marked sizes are clear; what nothing can be made of is refused in words.
    ['sink in bedroom on north', []],
    [`deck 48" x 60" south of Bedroom 2`, []],
    ['sink in attic on north', []],
  ])('%s', (text, expected) => expect(meant(text)).toEqual(expected));

  it('two rooms and two units make four, each with its own place', () => {
    const all = meaningsOf(twoBedrooms(), 'L1', 'deck 40x44 south of bed', 'bed', newId);
    expect(all.map((one) => one.words)).toEqual([
      `Bedroom, 40' x 44'`,
      `Bedroom, 40" x 44"`,
      `Bedroom 2, 40' x 44'`,
      `Bedroom 2, 40" x 44"`,
    ]);
    expect(new Set(all.map((one) => JSON.stringify(one.outline))).size).toBe(4);
  });
});

describe('the wall strip', () => {
  it('starts at the far jamb of the door and walks around to it', () => {
    const strip = layOutStrip(oneBedroom(), 'bed', placementLimits(demo));
    expect(strip.startIn).toBe(264 + 44);
    expect(strip.startsAt).toBe('from the right jamb of the south door, walking left to right');
    expect(strip.walls.map((wall) => wall.name)).toEqual(['north', 'east', 'south', 'south', 'west']);
    expect(strip.parts).toEqual([expect.objectContaining({ label: 'door', fromIn: 496, toIn: 528 })]);
    expect(strip.ribbon).toEqual([{ fromIn: 0, toIn: 496, reached: false }]);
  });

  it.each(Object.keys(demo.rooms))('lays out %s of the demo house within its length, every box once', (id) => {
    const strip = layOutStrip(demo, id, placementLimits(demo));
    for (const part of [...strip.parts, ...strip.ribbon, ...strip.walls]) {
      expect(part.fromIn).toBeGreaterThanOrEqual(-0.01);
      expect(part.toIn).toBeLessThanOrEqual(strip.lengthIn + 0.01);
      expect(part.toIn).toBeGreaterThanOrEqual(part.fromIn);
    }
    const onWalls = Object.values(demo.boxes).filter((box) => box.room === id && box.at.kind === 'wall');
    expect(strip.boxes).toHaveLength(onWalls.length);
    for (const { box, at } of strip.boxes)
      if (box.at.kind === 'wall')
        expect(cutAt(strip, toLoop(wallLoop(demo.rooms[id]!), box.at.wall, box.at.alongIn))).toBe(at);
  });
});

describe('the ribbon under the strip', () => {
  const limitsOf = (rule: string, change: House['decisions'][string]['change']) => {
    const one = { id: 'a', rule, change, by: 'The county', date: '2026-01-02', note: '' };
    return placementLimits({ ...demo, decisions: { a: one } });
  };
  const gapsIn = (limits: PlacementLimits) =>
    Object.keys(demo.rooms).map((id) => layOutStrip(demo, id, limits).ribbon.filter((one) => !one.reached).length);
  const total = (limits: PlacementLimits) => gapsIn(limits).reduce((sum, one) => sum + one, 0);

  it.each(['wall-receptacle-spacing', 'counter-receptacle-spacing'])('follows what is amended of %s', (rule) => {
    const shorter = limitsOf(rule, { kind: 'limit', limit: 'reachIn', value: 6 });
    expect(total(shorter)).toBeGreaterThan(total(placementLimits(demo)));
    expect(total(limitsOf(rule, { kind: 'off' }))).toBeLessThanOrEqual(total(placementLimits(demo)));
  });
  it('is not drawn where neither rule holds', () => {
    const none = { ...limitsOf('wall-receptacle-spacing', { kind: 'off' }) };
    const both = { wall: none.wall, counter: limitsOf('counter-receptacle-spacing', { kind: 'off' }).counter };
    expect(Object.keys(demo.rooms).flatMap((id) => layOutStrip(demo, id, both).ribbon)).toEqual([]);
  });
});

describe('a box of the next room in the same wall', () => {
  const away = (a: number, b: number) => Math.abs(a - b);
  const behind = layOutStrip(demo, 'studio', placementLimits(demo)).behind.find((one) => one.box.tag === 'LA-2')!;
  const { startIn, lengthIn } = layOutStrip(demo, 'studio', placementLimits(demo));
  const atLoopIn = (startIn + behind.at) % lengthIn;
  const place = fromLoop(wallLoop(demo.rooms['studio']!), atLoopIn);

  it('is on the strip, where a plumb line through the wall would meet it', () => {
    expect(behind.room).toBe(demo.rooms[behind.box.room]!.name);
    const mine = boxPoint(demo, {
      ...behind.box,
      room: 'studio',
      at: { kind: 'wall', wall: place.wall.id, alongIn: place.alongIn, heightIn: 16 },
    });
    const theirs = boxPoint(demo, behind.box);
    // The wall between them runs from east to west, so that they differ by its thickness alone.
    expect(mine.x).toBeCloseTo(theirs.x, 3);
    expect(Math.abs(mine.y - theirs.y)).toBeLessThan(8);
  });

  it('marks the box that is put in front of it, and no other', () => {
    const box = Object.values(demo.boxes).find((one) => one.tag === 'ST-4')!;
    const at = { kind: 'wall' as const, wall: place.wall.id, alongIn: place.alongIn, heightIn: behind.heightIn };
    const moved = moveBox(demo, box.id, at);
    const { boxes } = layOutStrip(moved.ok ? moved.value.house : demo, 'studio', placementLimits(demo));
    expect(boxes.filter((one) => one.meets).map((one) => one.box.tag)).toEqual(['ST-4']);
  });

  it('keeps what is drawn to a stud from its place, though that is the nearest', () => {
    const { heightIn, box } = behind;
    const face = studFaces(viewRoom(demo, 'studio'), heightIn).find((one) => away(one.atIn, atLoopIn) < 16)!;
    // Two rooms walk along the wall between them in opposite directions.
    if (box.at.kind !== 'wall') throw new Error('a box on a wall');
    const moved = moveBox(demo, box.id, { ...box.at, alongIn: box.at.alongIn - (face.atIn - atLoopIn) });
    const house = moved.ok ? moved.value.house : demo;
    const snapped = (where: House, thresholdIn: number) => {
      const { wall, alongIn } = snapToStud(where, 'studio', face.atIn - 0.4, heightIn, thresholdIn);
      return toLoop(wallLoop(where.rooms['studio']!), wall, alongIn);
    };
    const elsewhere = moveBox(demo, box.id, { ...box.at, heightIn: 60 });
    expect(away(snapped(elsewhere.ok ? elsewhere.value.house : demo, 6), face.atIn)).toBeLessThan(0.07);
    expect(away(snapped(house, 6), face.atIn)).toBeGreaterThan(2);
    expect(isTakenFromBehind(house, 'studio', snapped(house, 6), heightIn, 1)).toBe(false);
    // Held off, or with nothing within reach, it stays under the hand.
    expect(away(snapped(house, 0), face.atIn)).toBeLessThan(1);
  });
});

describe('patches in words', () => {
  it('name the thing, the field and the value', () => {
    const box = Object.values(demo.boxes)[0]!;
    expect(describePatches(demo, [{ op: 'replace', path: ['boxes', box.id, 'at', 'alongIn'], value: 30 }])).toEqual([
      `${box.tag}: at alongIn 2'-6"`,
    ]);
    expect(describePatches(demo, [{ op: 'replace', path: ['name'], value: 'New name' }])).toEqual([
      'house: name New name',
    ]);
    expect(describePatches(demo, [{ op: 'replace', path: ['job', 'edition'], value: '2020' }])).toEqual([
      'job: edition 2020',
    ]);
    expect(describePatches(demo, [{ op: 'remove', path: ['rooms', 'living'] }])).toEqual(['Living room: removed']);
    expect(describePatches(demo, [{ op: 'replace', path: ['rooms', 'living', 'name'], value: 'Parlour' }])).toEqual([
      'Living room: name Parlour',
    ]);
  });
});
