import type { Outlet } from '../circuits/outlets';
import type { Box } from '../house/schema';
import type { FeedNode, FeedTree } from './feed-tree';
import { isCompanion, isSmart, isTwoPole, mayBeInTheMiddle, type WiredGroup } from './unit';

/** Distances along the cables of a tree, from a box to a box or to the panel (null), inches. */
export function treeDistances({ nodes }: Pick<FeedTree, 'nodes'>): (a: Box, b: Box | null) => number {
  const byBox = new Map(nodes.map((node) => [node.box, node]));
  const depth: number[] = [];
  for (const { parent, lengthIn } of nodes) depth.push((parent ? depth[parent.at]! : 0) + lengthIn);
  const depthOf = (node: FeedNode | undefined) => (node ? depth[node.at]! : 0);
  return (a, b) => {
    const [from, to] = [byBox.get(a), b === null ? undefined : byBox.get(b)];
    let [x, y] = [from, to];
    // Parents stand before their children, so the later of two is never above the other.
    while (x !== y) {
      if (x && (!y || x.at > y.at)) x = x.parent;
      else y = y!.parent;
    }
    return depthOf(from) + depthOf(to) - 2 * depthOf(x);
  };
}

/** What a switch has to be at its place in the chain: two three-ways at the ends, four-ways between, *common practice*. */
export type SwitchHardware = 'single-pole' | 'two-pole' | 'three-way' | 'four-way' | 'smart' | 'add-on';

/** The switches of a group in the order in which the wires run through them. */
export interface Chain {
  readonly group: WiredGroup;
  /** From the fed end to the end with the lamps. */
  readonly order: readonly Outlet[];
}

/** What the switch at a place of its chain has to be. */
export function hardwareAt({ order }: Chain, index: number): SwitchHardware {
  const one = order[index]!;
  if (isCompanion(one)) return 'add-on';
  if (isSmart(one)) return 'smart';
  if (isTwoPole(one)) return 'two-pole';
  if (order.length === 1) return 'single-pole';
  return index === 0 || index === order.length - 1 ? 'three-way' : 'four-way';
}

/** How many of each switch to buy for so many places: two three-ways, and a four-way for each place more. */
export const switchesToBuy = (places: number): Readonly<Record<'single-pole' | 'three-way' | 'four-way', number>> => ({
  'single-pole': places === 1 ? 1 : 0,
  'three-way': places > 1 ? 2 : 0,
  'four-way': Math.max(0, places - 2),
});

/**
 * The order of switches that takes the least wire: one conductor to the first, two from each to the next, one from the last
 * to what it controls. Exact over all orders (dynamic programme over subsets, Held and Karp 1962). Electronic controls keep to
 * the ends.
 */
export function chainOrder(group: WiredGroup, distance: (a: Box, b: Box | null) => number): Chain {
  const { switches, controls } = group;
  const n = switches.length;
  if (group.group.inThisOrder || n === 1 || switches.some((one) => isSmart(one) || isCompanion(one)))
    return { group, order: switches };
  const nearest = (one: Outlet) => Math.min(...controls.map((to) => distance(one.box, to.box)));
  const between = switches.map((a) => switches.map((b) => distance(a.box, b.box)));
  const fed = switches.map((one) => distance(one.box, null));
  const lamps = switches.map(nearest);
  const full = (1 << n) - 1;
  const cost = new Float64Array((full + 1) * n).fill(Infinity);
  const before = new Int8Array((full + 1) * n).fill(-1);
  for (let i = 0; i < n; i++) cost[(1 << i) * n + i] = fed[i]!;
  for (let set = 1; set <= full; set++)
    for (let last = 0; last < n; last++) {
      const here = cost[set * n + last]!;
      if (here === Infinity) continue;
      // Whoever stands between two others must be able to be a four-way.
      if (set !== 1 << last && set !== full && !mayBeInTheMiddle(switches[last]!)) continue;
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue;
        const to = (set | (1 << next)) * n + next;
        const total = here + 2 * between[last]![next]!;
        if (total < cost[to]! - 1e-9) {
          cost[to] = total;
          before[to] = last;
        }
      }
    }
  let last = n - 1;
  for (let i = n - 2; i >= 0; i--)
    if (cost[full * n + i]! + lamps[i]! < cost[full * n + last]! + lamps[last]! - 1e-9) last = i;
  if (cost[full * n + last] === Infinity) return { group, order: switches };
  const order: Outlet[] = [];
  for (let set = full, at = last; at >= 0;) {
    order.unshift(switches[at]!);
    const previous = before[set * n + at]!;
    set &= ~(1 << at);
    at = previous;
  }
  return { group, order };
}
