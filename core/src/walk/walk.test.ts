import { describe, expect, it } from 'vitest';
import { removeEntities } from '../edits/remove';
import { changeEntity, moveBox } from '../edits/verbs';
import type { House } from '../house/schema';
import { changesSince } from './changes';
import { markedHeight, walkingOrder, walkSheets } from './walk-sheets';
import { aHouse, bedroom } from '../test/house-builder';
import { demo } from '../test/demo-house';

const done = (result: { ok: boolean; value?: { house: House } }) => result.value!.house;

describe('walk sheets', () => {
  it('have every box once, on a wall, a ceiling or elsewhere', () => {
    const tags = walkSheets(demo).rooms.flatMap((room) =>
      [...room.walls.flatMap((wall) => wall.lines), ...room.ceiling, ...room.elsewhere].map((line) => line.tag),
    );
    expect(tags.toSorted()).toEqual(
      Object.values(demo.boxes)
        .map((box) => box.tag)
        .toSorted(),
    );
    const { tally } = walkSheets(demo);
    expect(tally.reduce((sum, one) => sum + one.n, 0)).toBe(tags.length);
  });

  it('run the tape from the right jamb of the door, both ways', () => {
    const [sheet] = walkSheets(bedroom().receptacle('bed', 'c2', 60).receptacle('bed', 'c2', 6).build()).rooms;
    const [south] = sheet!.walls;
    expect(south!.start).toEqual({ alongIn: 44, name: 'right jamb of the door' });
    expect(south!.lines.map((line) => line.runIn)).toEqual([-38, 16]);
  });

  it('mark ceiling boxes on the floor from the two nearer walls', () => {
    const [sheet] = walkSheets(bedroom().over('bed', 'luminaire', 100, 30).build()).rooms;
    expect(sheet!.ceiling[0]).toMatchObject({
      fromFirst: { wall: 'east', inches: 44 },
      fromSecond: { wall: 'north', inches: 30 },
    });
  });

  it('measure boxes in islands and floors from two walls, with their height and what carries them', () => {
    const [sheet] = walkSheets(
      aHouse()
        .room('kit', 'kitchen', [0, 0, 180, 140])
        .standing('island', 'kit', 'island', [40, 40, 60, 36])
        .onFeature('kit', 'island')
        .build(),
    ).rooms;
    expect(sheet!.elsewhere[0]).toMatchObject({
      on: 'island',
      heightIn: 30,
      fromFirst: { wall: 'west', inches: 50 },
      fromSecond: { wall: 'north', inches: 50 },
    });
  });

  it.each([
    ['center', 16],
    ['bottom', 14.125],
    ['top', 17.875],
  ] as const)('give heights to the %s of the box', (heightsTo, marked) =>
    expect(markedHeight(16, { heightsTo })).toBe(marked),
  );

  it('say the stud side, the block behind three gangs, the covering and what is provisional', () => {
    const house = aHouse()
      .room('r', 'den', [0, 0, 144, 120])
      .wallBox('r', 'c0', 17.875, {}, { gangs: 1 })
      .wallBox('r', 'c0', 60, { kind: 'switch' }, { gangs: 3, state: 'undecided', note: 'owner decides' })
      .with(
        (draft) => void Object.assign(draft.rooms['r']!.corners[0]!, { covering: { kind: 'wood', thicknessIn: 0.75 } }),
      )
      .build();
    const [sheet] = walkSheets(house).rooms;
    const [first, second] = sheet!.walls[0]!.lines;
    expect([first!.side, first!.standsOutIn]).toEqual(['right', 0.75]);
    expect(second!.notes).toEqual([
      'UNDECIDED',
      'owner decides',
      'wood',
      'wood burns: flush or proud, never back',
      'block behind, or the board bends it',
      'not the standard height',
    ]);
    expect(sheet!.open).toEqual(['R1-2: UNDECIDED, owner decides']);
  });

  it('of an empty house are empty, not an error', () =>
    expect(walkSheets(aHouse().build())).toMatchObject({ rooms: [], tally: [], devices: [] }));

  it('walk every room once, from the ground upward, then the crawl space', () => {
    const order = walkingOrder(demo);
    expect(new Set(order).size).toBe(Object.keys(demo.rooms).length);
    const heights = order.map((room) => demo.levels[room.level]!.elevationIn);
    expect(heights).toEqual([...heights.filter((one) => one >= 0).toSorted((a, b) => a - b), -36]);
  });
});

describe('changes since a signed revision', () => {
  const [first, second] = Object.values(demo.boxes).filter((box) => box.at.kind === 'wall');
  it('are none at first, and none for a circuit or a tick on site', () => {
    expect(changesSince(demo, demo)).toEqual([]);
    const ticked = done(changeEntity(demo, 'boxes', first!.id, { progress: 'nailed' }));
    expect(changesSince(demo, ticked)).toEqual([]);
  });

  it('name what moved, what was changed, added and removed, box by box', () => {
    if (first!.at.kind !== 'wall') throw new Error('on a wall');
    const moved = done(moveBox(demo, first!.id, { ...first!.at, alongIn: first!.at.alongIn + 2 }));
    const held = done(changeEntity(moved, 'boxes', second!.id, { state: 'held', note: 'tile' }));
    expect(changesSince(demo, held).map(({ tag, kind }) => [tag, kind])).toEqual([
      [first!.tag, 'moved'],
      [second!.tag, 'changed'],
    ]);
    const without = done(removeEntities(demo, [{ collection: 'boxes', id: first!.id }]));
    // It is switched: who signed is told of the box, and of what its switch governs no more.
    const kinds = (before: House, now: House) => changesSince(before, now).map(({ tag, kind }) => `${tag} ${kind}`);
    expect(kinds(demo, without)).toContain(`${first!.tag} removed`);
    expect(kinds(without, demo)).toContain(`${first!.tag} added`);
    const groups = Object.values(demo.switchGroups).filter(({ switches, controls }) =>
      [...switches, ...controls].some((id) => Object.hasOwn(first!.devices, id)),
    );
    expect(changesSince(demo, without)).toHaveLength(1 + groups.length);
  });

  it('name both distances of a box in the ceiling, and what is switched by what', () => {
    const house = bedroom()
      .over('bed', 'luminaire', 72, 60)
      .switchAt('bed', 'c2', 60, null)
      .switchAt('bed', 'c0', 30, null)
      .governed('bed')
      .build();
    const [light, , second] = Object.values(house.boxes);
    const moved = done(moveBox(house, light!.id, { kind: 'ceiling', x: 80, y: 60 }));
    expect(changesSince(house, moved)).toMatchObject([
      {
        tag: light!.tag,
        what: `in the ceiling, 6'-0" from the west, 5'-0" from the north → in the ceiling, 6'-8" from the west, 5'-0" from the north`,
      },
    ]);
    const [group] = Object.values(house.switchGroups);
    const without = done(
      changeEntity(house, 'switchGroups', group!.id, {
        switches: group!.switches.filter((id) => !Object.hasOwn(second!.devices, id)),
      }),
    );
    expect(changesSince(house, without).map(({ kind, what }) => [kind, what])).toEqual([
      ['changed', `switching of ${group!.name}: R1-2, R1-3 governs R1-1 → R1-2 governs R1-1`],
    ]);
    const renamed = done(changeEntity(house, 'switchGroups', group!.id, { name: 'Ceiling' }));
    expect(changesSince(house, renamed)).toEqual([]);
  });
});
