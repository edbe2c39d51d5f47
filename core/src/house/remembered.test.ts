import fc from 'fast-check';
import { expect, test } from 'vitest';
import { checkIntegrity } from './integrity';
import type { House } from './schema';
import { demo } from '../test/demo-house';

const pick = <T>(items: readonly T[], at: number): T => items[at % items.length]!;
const without = <T>(records: Readonly<Record<string, T>>, id: string): Record<string, T> =>
  Object.fromEntries(Object.entries(records).filter(([key]) => key !== id));

/** Changes that leave everything else the same object, as edits do; half of them break the house. */
const changes: readonly ((house: House, n: number) => House)[] = [
  (house, n) => {
    const box = pick(Object.values(house.boxes), n);
    const at = box.at.kind === 'wall' ? { ...box.at, alongIn: (n * 37) % 400 } : box.at;
    return { ...house, boxes: { ...house.boxes, [box.id]: { ...box, at } } };
  },
  (house, n) => ({ ...house, boxes: without(house.boxes, pick(Object.keys(house.boxes), n)) }),
  (house, n) => {
    const [one, other] = [pick(Object.values(house.boxes), n), pick(Object.values(house.boxes), n * 7 + 1)];
    return { ...house, boxes: { ...house.boxes, [one.id]: { ...one, tag: other.tag } } };
  },
  (house, n) => {
    const [one, other] = [pick(Object.values(house.boxes), n), pick(Object.values(house.boxes), n * 5 + 2)];
    return { ...house, boxes: { ...house.boxes, [one.id]: { ...one, devices: other.devices } } };
  },
  (house, n) => ({ ...house, circuits: without(house.circuits, pick(Object.keys(house.circuits), n)) }),
  (house, n) => ({ ...house, rooms: without(house.rooms, pick(Object.keys(house.rooms), n)) }),
  (house, n) => {
    const group = pick(Object.values(house.switchGroups), n);
    return { ...house, switchGroups: { ...house.switchGroups, [group.id]: { ...group, controls: ['nothing'] } } };
  },
  (house, n) => {
    const circuit = pick(Object.values(house.circuits), n);
    return { ...house, circuits: { ...house.circuits, [circuit.id]: { ...circuit, gfciFirst: 'nothing' } } };
  },
  (house, n) => {
    const load = pick(Object.values(house.loads), n);
    return { ...house, loads: { ...house.loads, [load.id]: { ...load, box: pick(Object.keys(house.boxes), n + 3) } } };
  },
];

test('whatever has changed, and in whatever order, integrity from memory says what it says of a house never seen', () => {
  const step = fc.record({ change: fc.nat(changes.length - 1), n: fc.nat(400), back: fc.boolean() });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
      let house = demo;
      for (const { change, n, back } of steps) {
        // Many houses have no group or load any more; then there is nothing to change.
        const next = Object.keys(house.boxes).length > 3 ? changes[change]!(house, n) : house;
        expect(checkIntegrity(next)).toEqual(checkIntegrity(structuredClone(next)));
        // Now and then back to the house before, as undo does, which must not be taken for the one after.
        if (back) expect(checkIntegrity(house)).toEqual(checkIntegrity(structuredClone(house)));
        else house = next;
      }
    }),
    { numRuns: 30 },
  );
});
