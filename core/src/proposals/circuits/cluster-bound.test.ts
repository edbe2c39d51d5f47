import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demo } from '../../test/demo-house';
import { must } from '../../test/must';
import { divide, type ClusterProblem } from './cluster';
import { lowerBound } from './cluster-bound';
import { planCircuits } from './plan-circuits';

const point = fc.record({ x: fc.integer({ min: 0, max: 600 }), y: fc.integer({ min: 0, max: 600 }) });
const between = (a: { x: number; y: number }, b: { x: number; y: number }) => Math.abs(a.x - b.x) + Math.abs(a.y - b.y);

const problemOf = (
  places: readonly { x: number; y: number }[],
  demand: number,
  rest: Partial<ClusterProblem> = {},
): ClusterProblem => ({
  root: places.map((one) => between(one, { x: 0, y: 0 })),
  between: (i, j) => between(places[i]!, places[j]!),
  demand: places.map(() => demand),
  group: places.map((_, i) => i % 3),
  groupFee: 40,
  clusterFee: 500,
  ...rest,
});
const some = fc.array(point, { minLength: 1, maxLength: 9 });

describe('what no division can cost less than', () => {
  test('lies under the best of all divisions, whatever the load', () => {
    fc.assert(
      fc.property(some, fc.double({ min: 0.05, max: 0.6, noNaN: true }), (places, demand) => {
        const problem = problemOf(places, demand);
        expect(lowerBound(problem)).toBeLessThanOrEqual(divide(problem).cost + 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test('is the best itself where no load keeps places apart, however many circuits there must be', () => {
    fc.assert(
      fc.property(some, fc.integer({ min: 0, max: 4 }), (places, least) => {
        const problem = problemOf(places, 0.01, { least, groupFee: 0 });
        expect(lowerBound(problem)).toBeCloseTo(divide(problem).cost, 4);
      }),
      { numRuns: 60 },
    );
  });

  test('counts a circuit for each that the load fills, and a fee for each room', () => {
    const there = [0, 0, 0, 0].map(() => ({ x: 100, y: 0 }));
    // Four places of half a circuit each at one point, 100 in away: two home runs, two fees, three rooms.
    expect(lowerBound(problemOf(there, 0.5))).toBeCloseTo(2 * 600 + 3 * 40, 4);
    expect(lowerBound(problemOf([], 0.5))).toBe(0);
  });

  test('the demo house is divided within two per cent of it', () => {
    let n = 0;
    const { worth } = must(planCircuits(demo, (prefix) => `${prefix}-${++n}`));
    expect(worth.boundIn).toBeLessThanOrEqual(worth.costIn);
    expect(worth.costIn / worth.boundIn - 1).toBeLessThan(0.02);
  });
});
