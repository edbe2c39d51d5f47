import { HAIR_IN } from '../geometry/intervals';

/** A problem along one line: cover [0, length] so that every point is within reach of a chosen place. */
export interface CoverProblem {
  readonly lengthIn: number;
  readonly reachIn: number;
  /** Places that may be chosen, distances from the start. */
  readonly candidatesIn: readonly number[];
  /** Places that are taken already and stay. */
  readonly fixedIn: readonly number[];
  /** A closed loop has no ends. */
  readonly endless?: boolean;
}

type Cover =
  | { readonly kind: 'covered'; readonly chosenIn: readonly number[] }
  /** No choice of candidates reaches every point; the farthest point of each failing stretch cannot be served from here. */
  | { readonly kind: 'impossible' };

interface Node {
  readonly at: number;
  readonly fixed: boolean;
}

interface Best {
  readonly count: number;
  /** Sum of squared spacings: among equal counts the evenest wins. */
  readonly unevenness: number;
  readonly previous: number;
}

const isBetter = (a: Best, b: Best | undefined): boolean =>
  !b || a.count < b.count || (a.count === b.count && a.unevenness < b.unevenness - 1e-9);

/** The chain of nodes with the fewest new ones, from a start no farther than `headIn` to an end no farther than `tailIn` from the line's end. */
function bestChain(
  nodes: readonly Node[],
  lengthIn: number,
  headIn: number,
  tailIn: number,
  reachIn: number,
): readonly number[] | undefined {
  const best: (Best | undefined)[] = nodes.map(() => undefined);
  nodes.forEach((node, j) => {
    const cost = node.fixed ? 0 : 1;
    if (node.at <= headIn + HAIR_IN && !nodes.slice(0, j).some((earlier) => earlier.fixed))
      best[j] = { count: cost, unevenness: (2 * node.at) ** 2, previous: -1 };
    for (let i = j - 1; i >= 0; i--) {
      const from = best[i];
      const spacing = node.at - nodes[i]!.at;
      if (spacing > 2 * reachIn + HAIR_IN) break;
      if (from) {
        const option = { count: from.count + cost, unevenness: from.unevenness + spacing ** 2, previous: i };
        if (isBetter(option, best[j])) best[j] = option;
      }
      // A place that is taken cannot be skipped over.
      if (nodes[i]!.fixed) break;
    }
  });
  let [end, endBest]: [number, Best | undefined] = [-1, undefined];
  for (let j = nodes.length - 1; j >= 0; j--) {
    const rest = lengthIn - nodes[j]!.at;
    if (rest > tailIn + HAIR_IN) break;
    const found = best[j];
    if (found) {
      const closed = { ...found, unevenness: found.unevenness + (2 * rest) ** 2 };
      if (isBetter(closed, endBest)) [end, endBest] = [j, closed];
    }
    if (nodes[j]!.fixed) break;
  }
  if (!endBest) return undefined;
  const chain: number[] = [];
  for (let j = end; j >= 0; j = best[j]!.previous) chain.push(j);
  return chain.reverse();
}

function nodesOf(problem: CoverProblem): Node[] {
  const fixed = [...new Set(problem.fixedIn)].map((at) => ({ at, fixed: true }));
  const free = problem.candidatesIn
    .filter((at) => at >= -HAIR_IN && at <= problem.lengthIn + HAIR_IN)
    .map((at) => ({ at, fixed: false }));
  return [...fixed, ...free].sort((a, b) => a.at - b.at || Number(b.fixed) - Number(a.fixed));
}

function coverLine(problem: CoverProblem): readonly number[] | undefined {
  const nodes = nodesOf(problem);
  const chain = bestChain(nodes, problem.lengthIn, problem.reachIn, problem.reachIn, problem.reachIn);
  return chain?.filter((i) => !nodes[i]!.fixed).map((i) => nodes[i]!.at);
}

/** On a loop the first place is tried at every candidate within one spacing, and the loop is cut open there. */
function coverLoop(problem: CoverProblem): readonly number[] | undefined {
  const { lengthIn, reachIn } = problem;
  const nodes = nodesOf(problem).filter((node) => node.at < lengthIn - HAIR_IN);
  const firstFixed = nodes.find((node) => node.fixed);
  const starts = firstFixed ? [firstFixed] : nodes.filter((node) => node.at <= 2 * reachIn);
  let best: readonly number[] | undefined;
  let bestUnevenness = Infinity;
  for (const start of starts) {
    const shifted = nodes
      .map((node) => ({ ...node, at: (node.at - start.at + lengthIn) % lengthIn, fixed: node.fixed || node === start }))
      .concat({ at: lengthIn, fixed: true })
      .sort((a, b) => a.at - b.at || Number(b.fixed) - Number(a.fixed));
    const chain = bestChain(shifted, lengthIn, 0, 0, reachIn);
    if (!chain) continue;
    const all = chain.map((i) => shifted[i]!);
    const unevenness = all.slice(1).reduce((sum, node, i) => sum + (node.at - all[i]!.at) ** 2, 0);
    const chosen = all.filter((node) => !node.fixed).map((node) => (node.at + start.at) % lengthIn);
    if (!start.fixed) chosen.push(start.at);
    if (!best || chosen.length < best.length || (chosen.length === best.length && unevenness < bestUnevenness - 1e-9))
      [best, bestUnevenness] = [chosen, unevenness];
  }
  return best?.toSorted((a, b) => a - b);
}

/**
 * The fewest places that leave no point farther than the reach, exactly: a dynamic programme over the candidates.
 * Among equal counts the evenest spacing is chosen. Places that are taken stay and are used.
 */
export function coverWithFewest(problem: CoverProblem): Cover {
  const chosen = problem.endless ? coverLoop(problem) : coverLine(problem);
  return chosen ? { kind: 'covered', chosenIn: chosen } : { kind: 'impossible' };
}
