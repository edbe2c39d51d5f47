import { EXACT_UP_TO, leastOf, type ClusterProblem } from './cluster';

/** How good a division is by the planner's own measure, inches of cable with the fees: what it costs, and what none can cost less than. */
export interface Worth {
  readonly costIn: number;
  readonly boundIn: number;
}

/** Steps of the search for the best multiplier; each halves what is left, so the bound is exact to far below an inch. */
const STEPS = 40;

/** The shortest tree over the panel and all places (Prim), each cable from the panel cheaper by `rebate`. */
function shortestTree(
  { root, between, clusterFee }: ClusterProblem,
  rebate: number,
): { cost: number; fromPanel: number } {
  const near = root.map((cable) => cable + clusterFee - rebate);
  const isFromPanel = root.map(() => true);
  const left = root.map((_, i) => i);
  let [cost, fromPanel] = [0, 0];
  while (left.length > 0) {
    let best = 0;
    for (let k = 1; k < left.length; k++) if (near[left[k]!]! < near[left[best]!]!) best = k;
    const at = left[best]!;
    left[best] = left.at(-1)!;
    left.pop();
    cost += near[at]!;
    if (isFromPanel[at]) fromPanel++;
    for (const i of left) {
      const cable = between(at, i);
      if (cable < near[i]!) [near[i], isFromPanel[i]] = [cable, false];
    }
  }
  return { cost, fromPanel };
}

/**
 * What no division of the places can cost less than. Every division is a tree over the panel and the places with one cable from the panel a
 * circuit, and there are at least as many circuits as the load fills. The shortest such tree is found by a rebate on cables from the panel
 * (Lagrange's multiplier; exact, since trees with so many cables at one point are the common bases of two matroids). Every room is entered
 * once at least. Where the places are few the division itself is the best, and proves itself.
 */
export function lowerBound(problem: ClusterProblem): number {
  const { demand, group, groupFee, root } = problem;
  if (root.length === 0) return 0;
  const load = demand.reduce((sum, one) => sum + one, 0);
  const circuits = Math.min(root.length, Math.max(1, Math.ceil(load - 1e-6), leastOf(problem)));
  let best = 0;
  let [low, high] = [0, problem.clusterFee + Math.max(...root)];
  for (let step = 0; step < STEPS; step++) {
    const rebate = step === 0 ? 0 : (low + high) / 2;
    const { cost, fromPanel } = shortestTree(problem, rebate);
    best = Math.max(best, cost + rebate * circuits);
    if (step === 0 && fromPanel >= circuits) break;
    if (step > 0 && fromPanel >= circuits) high = rebate;
    else low = rebate;
  }
  return best + groupFee * new Set(group).size;
}

/** The worth of a division that cost so much. */
export const worthOf = (problem: ClusterProblem, costIn: number): Worth => ({
  costIn,
  boundIn: problem.root.length <= EXACT_UP_TO ? costIn : Math.min(costIn, lowerBound(problem)),
});
