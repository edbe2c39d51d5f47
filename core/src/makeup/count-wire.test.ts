import fc from 'fast-check';
import { expect, test } from 'vitest';
import { treeOf } from '../feed/feed-tree';
import type { House } from '../house/schema';
import { boxFill } from './box-fill';
import { conductorFeet } from './cables';
import { wireHouse, wireUnit, makeUpBox } from './make-up';
import { wiringHouse } from '../test/wiring-house';
import { doubledRuns } from './cables';
import { WireCounter } from './count-wire';
import { PANEL, type Parents } from '../feed/unit-lengths';
import { demo } from '../test/demo-house';

/** A GFCI receptacle first, four three- and four-ways that see all, a fan and a light apart, a half that is switched. */
const guarded = wiringHouse({
  boxes: {
    G: [null, 'receptacle'],
    A: ['G', 'switch', 'switch'],
    B: ['A', 'switch'],
    C: ['B', 'switch'],
    L: ['C', 'luminaire', 'luminaire'],
    R: ['L', 'receptacle'],
    D: ['R', 'switch'],
  },
  groups: {
    a: { switches: ['A-0', 'B-0', 'C-0', 'D-0'], controls: ['L-0'] },
    b: { switches: ['A-1'], controls: ['L-1'] },
  },
  change: (house) => {
    house.cables = {};
    house.circuits['Q']!.gfciFirst = 'G-0';
    Object.assign(house.boxes['G']!.devices['G-0']!, { gfci: true });
    house.switchGroups['a']!.seesAll = true;
    Object.values(house.boxes).forEach(
      (box, i) => (box.at = { kind: 'ceiling', x: 100 + 137 * i, y: 90 + 61 * i * i }),
    );
  },
});

/** Every box fed from one that was set before it, or from the panel: any tree there is, in some order of setting. */
function anyTree(n: number, dice: readonly number[], firstBox: number | undefined): Parents {
  const order = Array.from({ length: n }, (_, i) => i).sort((a, b) => dice[a % dice.length]! - dice[b % dice.length]!);
  if (firstBox !== undefined) order.unshift(...order.splice(order.indexOf(firstBox), 1));
  const parents = new Int16Array(n);
  order.forEach((box, i) => {
    const at = dice[(box * 7 + 3) % dice.length]! % (i + 1);
    parents[box] = at === 0 && (firstBox === undefined || i === 0) ? PANEL : order[Math.max(0, at - 1)]!;
  });
  return parents;
}

function holds(house: House, runs: number): void {
  for (const { unit } of wireHouse({ ...house, cables: {} }).units) {
    const counter = new WireCounter(house, unit);
    const used = new Map<string, number>();
    const first = unit.gfci && counter.lengths.boxes.indexOf(unit.gfci.box);
    fc.assert(
      fc.property(fc.array(fc.nat(1e6), { minLength: 11, maxLength: 11 }), (dice) => {
        const parents = anyTree(counter.lengths.boxes.length, dice, first);
        const counted = counter.count(parents);
        const wiring = wireUnit(house, unit, treeOf(counter.lengths, parents, unit));
        // What the counter knows of the terminals is what wiring finds.
        expect(counter.needsOf(parents).needs).toEqual(wiring.plan.needs);
        expect([...counter.needsOf(parents).spare]).toEqual([...wiring.plan.spare]);
        expect(counted.feet).toBeCloseTo(conductorFeet(wiring.runs), 6);
        expect(counted.doubled).toBe(doubledRuns(wiring.runs));
        const cablesAt = counter.lengths.boxes.map((box) => makeUpBox(house, box, [wiring]).cables.length);
        expect(counted.mostCables).toBe(Math.max(...cablesAt));
        counter.lengths.boxes.forEach((box, i) => {
          // The same key, the same fill: in whatever tree it came up before.
          const key = `${box.id} ${counter.fillKey(i)}`;
          const { usedIn3 } = boxFill(house, makeUpBox(house, box, [wiring]));
          expect(used.get(key) ?? usedIn3).toBeCloseTo(usedIn3, 9);
          used.set(key, usedIn3);
        });
      }),
      { numRuns: runs },
    );
  }
}

test('counting a tree says what wiring it says, for any tree of any circuit of the demo house', () =>
  holds({ ...demo, cables: {} }, 12));

test('behind a GFCI receptacle, with one neutral for several switches', () => holds(guarded, 200));

test('without the receptacle in front, and with sides that differ from tree to tree', () => {
  const house = structuredClone(guarded);
  const { unit } = wireHouse(house).units[0]!;
  const counter = new WireCounter(house, unit);
  fc.assert(
    fc.property(fc.array(fc.nat(1e6), { minLength: 11, maxLength: 11 }), (dice) => {
      const parents = anyTree(counter.lengths.boxes.length, dice, undefined);
      const wiring = wireUnit(house, unit, treeOf(counter.lengths, parents, unit));
      expect(counter.count(parents).feet).toBeCloseTo(conductorFeet(wiring.runs), 6);
      expect(counter.count(parents).doubled).toBe(doubledRuns(wiring.runs));
    }),
    { numRuns: 300 },
  );
});

test('a tree that goes in a ring is refused', () => {
  const { unit } = wireHouse(guarded).units[0]!;
  const counter = new WireCounter(guarded, unit);
  const ring = counter.lengths.boxes.map((_, i) => (i + 1) % counter.lengths.boxes.length);
  expect(() => counter.count(Int16Array.from(ring))).toThrow(/leaves out 7 boxes/);
});
