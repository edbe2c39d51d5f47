import { describe, expect, test } from 'vitest';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { demo } from '../test/demo-house';
import type { House } from '../house/schema';
import { addLevel, copyLevel, heldByLevel, removeLevel } from './levels';

let n = 0;
const newId = (prefix: string) => `${prefix}-new-${++n}`;
const small = () =>
  aHouse()
    .room('hall', 'hallway', [0, 0, 144, 48])
    .room('porch', 'porch', [0, 48, 144, 60])
    .opening('hall', 'c0', 'door', 20, 36)
    .feature('hall', 'cabinet', ['c2', 20, 30, 12])
    .receptacle('hall', 'c0', 100)
    .build();
const [main] = Object.keys(small().levels) as [string];
const floorIn = small().levels[main]!.elevationIn;
const on = (house: House, level: string) => Object.values(house.rooms).filter((room) => room.level === level);

describe('levels', () => {
  test('one above and a basement below, and what lies over and under each', () => {
    const up = must(addLevel(small(), 'above', main, 'up')).house;
    const both = must(addLevel(up, 'basement', main, 'down')).house;
    expect(both.levels['up']).toMatchObject({
      name: 'Upper level',
      elevationIn: floorIn + 120,
      below: 'floor',
      above: 'attic',
    });
    expect(both.levels['down']).toMatchObject({
      name: 'Basement',
      elevationIn: floorIn - 108,
      ceilingIn: 96,
      grade: 'below',
    });
    expect(both.levels[main]).toMatchObject({ above: 'floor', below: 'basement' });
    expect(must(addLevel(both, 'above', main, 'third')).house.levels['third']).toMatchObject({
      elevationIn: floorIn + 240,
    });
  });

  test.each([
    ['walls', 0, 0],
    ['all', 1, 1],
  ] as const)(
    'a copy with %s: the rooms that can stand a story higher, %i fixture and %i box',
    (what, fixtures, boxes) => {
      const house = must(copyLevel(small(), main, 'up', what, newId)).house;
      const [hall, ...others] = on(house, 'up');
      expect(others).toEqual([]);
      expect(hall).toMatchObject({ kind: 'hallway', corners: small().rooms['hall']!.corners });
      const inHall = (all: Readonly<Record<string, { readonly room: string }>>) =>
        Object.values(all).filter((one) => one.room === hall!.id);
      expect(inHall(house.openings)).toHaveLength(1);
      expect(inHall(house.features)).toHaveLength(fixtures);
      expect(inHall(house.boxes)).toHaveLength(boxes);
    },
  );

  test('every level of a whole house is copied with all in it, and is a house the file would take', () => {
    let boxes = 0;
    for (const level of Object.keys(demo.levels)) {
      const copied = must(copyLevel(demo, level, 'copy', 'all', newId)).house;
      boxes += heldByLevel(copied, 'copy').boxes;
      for (const box of Object.values(copied.boxes))
        if (copied.rooms[box.room]!.level === 'copy') expect(box).not.toHaveProperty('progress');
      // Taken away again, nothing of it is left.
      const back = must(removeLevel(copied, 'copy')).house;
      expect({ ...back, levels: {} }).toEqual({ ...demo, levels: {} });
    }
    expect(boxes).toBeGreaterThan(100);
  });

  test('deleted, it takes its rooms along; the last one stays', () => {
    const house = must(copyLevel(small(), main, 'up', 'all', newId)).house;
    expect(heldByLevel(house, 'up')).toEqual({ rooms: 1, boxes: 1, panels: 0 });
    const less = must(removeLevel(house, 'up')).house;
    expect(on(less, 'up')).toEqual([]);
    expect(less.levels[main]!.above).toBe('attic');
    const last = removeLevel(less, main);
    expect(last.ok ? '' : last.problems[0]!.message).toContain('Delete its rooms instead');
  });
});
