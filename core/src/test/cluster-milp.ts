import loadHighs from 'highs';
import type { ClusterProblem } from '../proposals/circuits/cluster';

const highs = loadHighs();

/**
 * The same question as an exact mixed integer programme of another kind: arcs that carry load away from the panel. Fees of
 * rooms are left out of it, so it is asked without them.
 */
export async function byMilp(problem: ClusterProblem, seconds: number): Promise<{ value: number; bound: number }> {
  const n = problem.root.length;
  const arcs: { from: number; to: number; cost: number }[] = [];
  for (let j = 0; j < n; j++) {
    arcs.push({ from: -1, to: j, cost: problem.root[j]! + problem.clusterFee });
    for (let i = 0; i < n; i++) if (i !== j) arcs.push({ from: i, to: j, cost: problem.between(i, j) });
  }
  const name = ({ from, to }: { from: number; to: number }) => `${from < 0 ? 'r' : from}_${to}`;
  // A home run carries its whole circuit; a cable between two places not more than the rest of one.
  const lines = [
    'Minimize',
    ` obj: ${arcs.map((arc) => `${arc.cost} x${name(arc)}`).join(' + ')}`,
    'Subject To',
    ...Array.from({ length: n }, (_, j) => {
      const into = arcs.filter((arc) => arc.to === j);
      const out = arcs.filter((arc) => arc.from === j);
      return [
        ` in${j}: ${into.map((arc) => `x${name(arc)}`).join(' + ')} = 1`,
        ` flow${j}: ${into.map((arc) => `f${name(arc)}`).join(' + ')}${out.map((arc) => ` - f${name(arc)}`).join('')} = ${problem.demand[j]}`,
      ].join('\n');
    }),
    ...arcs.map(
      (arc) =>
        ` cap${name(arc)}: f${name(arc)} - ${arc.from < 0 ? 1 : 1 - problem.demand[arc.from]!} x${name(arc)} <= 0`,
    ),
    ...arcs.map((arc) => ` low${name(arc)}: f${name(arc)} - ${problem.demand[arc.to]} x${name(arc)} >= 0`),
    'Binary',
    ` ${arcs.map((arc) => `x${name(arc)}`).join(' ')}`,
    'End',
  ];
  const solved = (await highs).solve(lines.join('\n'), { time_limit: seconds, mip_rel_gap: 0 });
  return { value: solved.ObjectiveValue, bound: solved.ObjectiveValue };
}
