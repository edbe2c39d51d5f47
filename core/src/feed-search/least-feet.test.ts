import fc from 'fast-check';
import { expect, test } from 'vitest';
import { keepFeeds, leastFeet } from './least-feet';
import { treeOf } from '../feed/feed-tree';
import { PANEL, UnitLengths, type Parents } from '../feed/unit-lengths';
import { edit } from '../house/edit';
import type { House } from '../house/schema';
import { boxFill } from '../makeup/box-fill';
import { conductorFeet } from '../makeup/cables';
import { makeUpBox, wireHouse, wireUnit, wiringOf } from '../makeup/make-up';
import { netlistOf } from '../proof/netlist';
import { prove } from '../proof/prove';
import { wiringHouse } from '../test/wiring-house';

/** A room with a pair of three-ways, a lamp and a receptacle or two, wherever chance puts them. */
function scattered(places: readonly { x: number; y: number }[]): House {
  const kinds = ['switch', 'switch', 'luminaire', 'receptacle', 'receptacle'];
  return wiringHouse({
    boxes: Object.fromEntries(places.map((_, i) => [`B${i}`, [null, kinds[i]!] as const])),
    groups: { a: { switches: ['B0-0', 'B1-0'], controls: ['B2-0'] } },
    change: (house) => {
      house.cables = {};
      places.forEach(({ x, y }, i) => (house.boxes[`B${i}`]!.at = { kind: 'ceiling', x, y }));
    },
  });
}

/** Every rooted tree over so many boxes: by Cayley (n + 1)^(n − 1) of them. */
function everyTree(n: number): Parents[] {
  const all: Parents[] = [];
  const parents = new Int16Array(n);
  const isTree = () =>
    parents.every((_, box) => {
      let at = box;
      for (let steps = 0; at !== PANEL; at = parents[at]!) if (++steps > n) return false;
      return true;
    });
  const choose = (i: number) => {
    if (i === n) return void (isTree() && all.push(parents.slice()));
    for (let from = PANEL; from < n; from++) {
      if (from === i) continue;
      parents[i] = from;
      choose(i + 1);
    }
  };
  choose(0);
  return all;
}

test('beside every tree there is, on circuits of four boxes: never more wire than the best that overfills and doubles nothing', () => {
  const place = fc.record({ x: fc.integer({ min: 20, max: 1180 }), y: fc.integer({ min: 20, max: 1180 }) });
  const ratios: number[] = [];
  expect(everyTree(4)).toHaveLength(125);
  fc.assert(
    fc.property(fc.array(place, { minLength: 4, maxLength: 4 }), (places) => {
      const house = scattered(places);
      const { unit } = wireHouse(house).units[0]!;
      const lengths = new UnitLengths(house, unit);
      const { boxes } = lengths;
      const best = everyTree(boxes.length)
        .map((parents) => wireUnit(house, unit, treeOf(lengths, parents, unit)))
        .filter(({ tree }) => tree.nodes.filter((node) => node.parent === undefined).length === 1)
        .filter(({ runs }) => runs.every((run) => run.cables.length === 1))
        .filter((one) => boxes.every((box) => boxFill(house, makeUpBox(house, box, [one])).fits !== false))
        .reduce((least, { runs }) => Math.min(least, conductorFeet(runs)), Infinity);
      const found = leastFeet(house, unit);
      expect(found.afterFt).toBeGreaterThan(best - 1e-6);
      const standing = wireHouse(house).units[0]!;
      const fits = boxes.every((box) => boxFill(house, makeUpBox(house, box, [standing])).fits !== false);
      if (fits) expect(found.afterFt).toBeLessThanOrEqual(found.beforeFt + 1e-6);
      expect(leastFeet(house, unit)).toEqual(found);
      ratios.push(found.afterFt / best);
    }),
    { numRuns: 25, seed: 20261124 },
  );
  expect(Math.max(...ratios)).toBeLessThan(1 + 1e-9);
});

test('what is found is kept as cables of the file, is wired as it was counted, and proves', () => {
  const house = scattered([
    { x: 100, y: 100 },
    { x: 900, y: 120 },
    { x: 500, y: 600 },
    { x: 120, y: 700 },
    { x: 1000, y: 900 },
  ]);
  const plan = leastFeet(house, wireHouse(house).units[0]!.unit);
  const kept = keepFeeds(house, [plan]);
  if (!kept.ok) throw new Error(kept.problems[0]!.message);
  const all = wireHouse(kept.value.house);
  const wiring = all.units[0]!;
  expect(wiring.tree.stored).toBe(true);
  expect(conductorFeet(wiring.runs)).toBeCloseTo(plan.afterFt, 6);
  expect(prove(netlistOf(wiring, all.boxes)).ok).toBe(true);
});

test('what the GFCI receptacle protects stays behind it', () => {
  const plain = scattered([
    { x: 100, y: 100 },
    { x: 900, y: 120 },
    { x: 500, y: 600 },
    { x: 120, y: 700 },
    { x: 1000, y: 900 },
  ]);
  const guarded = edit(plain, 'GFCI', (draft) => {
    draft.circuits['Q']!.gfciFirst = 'B4-0';
    Object.assign(draft.boxes['B4']!.devices['B4-0']!, { gfci: true });
  });
  if (!guarded.ok) throw new Error(guarded.problems[0]!.message);
  const { house } = guarded.value;
  const { unit } = wireHouse(house).units[0]!;
  expect(wiringOf(house, unit).tree.nodes[0]!.box.id).toBe('B4');
  const parents = new Map(leastFeet(house, unit).parents);
  expect([...parents].filter(([, from]) => from === null)).toEqual([['B4', null]]);
});

test('a circuit of no box has nothing to find', () => {
  const house = wiringHouse({ boxes: {} });
  expect(leastFeet(house, wireHouse(house).units[0]!.unit)).toMatchObject({ parents: [], afterFt: 0 });
});

test.each([3, 8])('of %i receptacles drawn with a home run each, one home run is left, in new cable', (n) => {
  const boxes = Object.fromEntries(Array.from({ length: n }, (_, i) => [`B${i}`, [null, 'receptacle'] as const]));
  const drawn = wiringHouse({
    boxes,
    change: (house) => {
      // What hangs there now is larger than what is needed, and does not count.
      for (const cable of Object.values(house.cables)) cable.kind = '/3';
      Object.values(house.boxes).forEach((box, i) => (box.at = { kind: 'ceiling', x: 600 + 90 * i, y: 300 }));
    },
  });
  const plan = leastFeet(drawn, wireHouse(drawn).units[0]!.unit);
  expect(plan.parents.filter(([, from]) => from === null)).toHaveLength(1);
  const kept = keepFeeds(drawn, [plan]);
  if (!kept.ok) throw new Error(kept.problems[0]!.message);
  const { runs } = wireHouse(kept.value.house).units[0]!;
  expect(conductorFeet(runs)).toBeCloseTo(plan.afterFt, 6);
  expect(runs.every((run) => run.cables[0]!.kind === '/2')).toBe(true);
});
