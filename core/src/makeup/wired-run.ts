import type { CableRun, TreeNode } from '../circuits/cable-run';
import type { Circuit, House } from '../house/schema';
import { memo } from '../cache/memo';
import { wireHouse, type UnitWiring } from './make-up';

/** The run of cable along the feed order of a unit, as far as it is fed; undefined without a panel or boxes. */
export const runAlong = memo(({ unit, tree, runs: cables }: UnitWiring): CableRun | undefined => {
  if (!unit.panel || tree.nodes.length === 0) return undefined;
  const nodes: TreeNode[] = [];
  // Parents come before their children.
  for (const { at, box, parent: before, lengthIn } of tree.nodes) {
    const parent = before && nodes[before.at];
    nodes.push({ at, box, parent, edgeIn: lengthIn, pathIn: lengthIn + (parent?.pathIn ?? 0) });
  }
  return {
    nodes,
    cableFt: cables.reduce((sum, one) => sum + one.lengthIn * one.cables.length, 0) / 12,
    farthestFt: Math.max(...nodes.map((one) => one.pathIn)) / 12,
    from: unit.panel,
  };
});

/** The run of a circuit along its feed order; of two that share a neutral, of both together. */
export function runOf(house: House, { id }: Circuit): CableRun | undefined {
  const wiring = wireHouse(house).units.find((one) => one.unit.circuits.some((circuit) => circuit.id === id));
  return wiring && runAlong(wiring);
}
