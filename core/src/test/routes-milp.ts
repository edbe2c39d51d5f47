import loadHighs from 'highs';
import type { FramingGraph } from '../route/framing-graph';
import type { EdgeCosts } from '../route/ways';

const highs = loadHighs();

interface Demand {
  readonly from: readonly { readonly node: number; readonly cost: number }[];
  readonly to: readonly { readonly node: number; readonly cost: number }[];
}

/** The least that some cables can cost together, as an exact mixed integer programme: a path for each, and holes for every two cables at an edge. */
export async function byMilp(
  graph: FramingGraph,
  costs: EdgeCosts,
  demands: readonly Demand[],
  perHole: number,
): Promise<number> {
  const terms: string[] = [];
  const rows: string[] = [];
  const whole: string[] = [];
  const bound: string[] = [];
  const used = new Map<number, string[]>();
  demands.forEach((demand, k) => {
    const balance = graph.nodes.map((): string[] => []);
    graph.edges.forEach(({ a, b }, e) => {
      for (const [name, out, into] of [
        [`f${k}_${e}`, a, b],
        [`r${k}_${e}`, b, a],
      ] as const) {
        terms.push(`${costs.cable[e]} ${name}`);
        balance[out]!.push(`- ${name}`);
        balance[into]!.push(`+ ${name}`);
        used.set(e, [...(used.get(e) ?? []), name]);
        whole.push(name);
      }
    });
    const ends = (side: 'from' | 'to', sign: '+' | '-') => {
      const names = demand[side].map(({ node, cost }, i) => {
        const name = `${side}${k}_${i}`;
        terms.push(`${cost} ${name}`);
        balance[node]!.push(`${sign} ${name}`);
        whole.push(name);
        return name;
      });
      rows.push(`${side}${k}: ${names.join(' + ')} = 1`);
    };
    ends('from', '+');
    ends('to', '-');
    balance.forEach((list, n) => list.length > 0 && rows.push(`n${k}_${n}: ${list.join(' ')} = 0`));
  });
  for (const [e, names] of used) {
    if (costs.holes[e]! === 0) continue;
    terms.push(`${costs.holes[e]} h${e}`);
    rows.push(`h${e}r: ${perHole} h${e} ${names.map((one) => `- ${one}`).join(' ')} >= 0`);
    bound.push(`h${e}`);
  }
  const text = [
    'Minimize',
    ` obj: ${terms.join(' + ')}`,
    'Subject To',
    ...rows.map((row) => ` ${row}`),
    'Binaries',
    ` ${whole.join(' ')}`,
    'Generals',
    ` ${bound.join(' ')}`,
    'End',
  ].join('\n');
  const solved = (await highs).solve(text);
  if (solved.Status !== 'Optimal') throw new Error(`HiGHS says ${solved.Status}`);
  return solved.ObjectiveValue;
}
