import fc from 'fast-check';
import { expect, test } from 'vitest';
import { moveBox } from '../edits/verbs';
import { feedFrom } from '../feed-search/compare-feeds';
import { edit } from '../house/edit';
import type { House } from '../house/schema';
import { boxFill } from './box-fill';
import { wireHouse } from './make-up';
import { demo } from '../test/demo-house';

/** Everything that follows from the wiring of a house, as text: runs with their conductors, and what each box holds. */
function allOf(house: House): unknown {
  const { units, boxes } = wireHouse(house);
  return {
    runs: units.map(({ runs, problems }) => [
      runs.map((run) => [
        run.id,
        run.from?.tag,
        run.to.tag,
        run.lengthIn,
        run.cables.map(({ kind, conductors }) => [kind, conductors.map((one) => `${one.color} ${one.signal?.key}`)]),
      ]),
      problems,
    ]),
    fills: [...boxes].map(([id, makeUp]) => [id, makeUp.cables.length, boxFill(house, makeUp).usedIn3]),
  };
}

const pick = <T>(items: readonly T[], at: number): T => items[at % items.length]!;
const changed = (house: House, change: (draft: House) => void): House => {
  const done = edit(house, 'x', (draft) => change(draft as House));
  return done.ok ? done.value.house : house;
};
const steps: readonly ((house: House, n: number) => House)[] = [
  (house, n) => {
    const box = pick(Object.values(house.boxes), n);
    if (box.at.kind !== 'wall') return house;
    const moved = moveBox(house, box.id, { ...box.at, heightIn: 20 + (n % 40) });
    return moved.ok ? moved.value.house : house;
  },
  (house, n) => {
    const all = Object.values(house.boxes).flatMap((box) =>
      Object.values(box.devices).map((one) => [box, one] as const),
    );
    const [box, device] = pick(all, n);
    const circuit = pick([null, ...Object.keys(house.circuits)], n * 3);
    return changed(house, (draft) => void (draft.boxes[box.id]!.devices[device.id]!.circuit = circuit));
  },
  (house, n) => {
    const wiring = pick(wireHouse(house).units, n);
    const [box, from] = [pick(wiring.tree.nodes, n * 5), pick(wiring.tree.nodes, n * 11 + 1)];
    const fed = box && from && feedFrom(house, wiring, box.box.id, from.box.id);
    return fed?.ok ? fed.value.house : house;
  },
  (house, n) =>
    changed(house, (draft) => {
      const group = pick(Object.values(draft.switchGroups), n);
      group.switches = group.switches.slice(n % 2);
    }),
  (house, n) => changed(house, (draft) => void (pick(Object.values(draft.boxes), n).note = `note ${n}`)),
  (house, n) =>
    changed(house, (draft) => {
      draft.standards.makeUp = { feed: n % 2 ? 'through' : 'pigtail', freeIn: 8, clamps: n % 3 ? 'always' : 'never' };
    }),
];

test('what an edit leaves alone is wired as it would be afresh, whatever the edits were', () => {
  const step = fc.record({ which: fc.nat(steps.length - 1), n: fc.nat(500) });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 6 }), (list) => {
      let house = demo;
      for (const { which, n } of list) {
        house = steps[which]!(house, n);
        expect(allOf(house)).toEqual(allOf(structuredClone(house)));
      }
    }),
    { numRuns: 20 },
  );
});
