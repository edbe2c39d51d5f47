import type { Awg, Box, Circuit, House } from '../house/schema';
import { DROP_BRANCH, sizeForDrop, voltageDrop } from '../electrical/voltage-drop';
import { ampsOf } from '../loads/library';
import { estimateRun, type CableRun, type TreeNode } from './cable-run';
import { isGeneralReceptacle } from './circuit-load';
import { circuitVolts, outletsOn, type Outlet } from './outlets';

/** What may be plugged into the farthest receptacle: 12 A, the most of one cord on a 15 A receptacle, NEC 210.21(B)(2). */
export const PLUGGED_A = 12;

export interface CircuitDrop {
  readonly volts: number;
  readonly share: number;
  /** The box at which it is worst, and how far the cable runs to it, feet. */
  readonly at: Box;
  readonly feet: number;
  /** Whether the length was measured by a person rather than estimated. */
  readonly measured: boolean;
  readonly amps: number;
  /** A larger size that keeps it within 3 %; undefined where it is within, or where none does. */
  readonly cure: Awg | undefined;
}

const knownAmps = (outlet: Outlet): number => {
  if (outlet.load) return ampsOf(outlet.load);
  const { device } = outlet;
  return device.kind === 'luminaire' || device.kind === 'fan' || device.kind === 'alarm' ? device.va / 120 : 0;
};

const memory = new WeakMap<CableRun, { circuit: Circuit; drop: CircuitDrop }>();

/**
 * Voltage drop to the worst place of a circuit: the known loads where they are, and 12 A plugged in at one general receptacle.
 * Length by the person, else by the usual run. Undefined without a panel. NEC 210.19 informational note: advisory.
 */
export function measureDrop(house: House, circuit: Circuit): CircuitDrop | undefined {
  const run = estimateRun(house, circuit);
  if (!run) return undefined;
  const known = memory.get(run);
  if (known?.circuit === circuit) return known.drop;
  const drop = dropOf(house, circuit, run);
  memory.set(run, { circuit, drop });
  return drop;
}

function dropOf(house: House, circuit: Circuit, run: CableRun): CircuitDrop {
  const outlets = outletsOn(house, circuit);
  const at = new Map<Box, { amps: number; plugged: boolean }>();
  for (const outlet of outlets) {
    const here = at.get(outlet.box) ?? { amps: 0, plugged: false };
    at.set(outlet.box, {
      amps: here.amps + knownAmps(outlet),
      plugged: here.plugged || isGeneralReceptacle(outlet),
    });
  }
  const through = new Map<TreeNode, number>();
  for (const node of [...run.nodes].reverse()) {
    const amps = (through.get(node) ?? 0) + (at.get(node.box)?.amps ?? 0);
    through.set(node, amps);
    if (node.parent) through.set(node.parent, (through.get(node.parent) ?? 0) + amps);
  }
  const stretch = circuit.lengthFt === undefined ? 1 : circuit.lengthFt / run.farthestFt;
  const ampFeet = new Map<TreeNode, number>();
  let worst: { node: TreeNode; product: number; amps: number } | undefined;
  for (const node of run.nodes) {
    const before = node.parent ? ampFeet.get(node.parent)! : 0;
    const here = before + (through.get(node)! * node.edgeIn * stretch) / 12;
    ampFeet.set(node, here);
    const plugged = at.get(node.box)?.plugged ? Math.min(PLUGGED_A, circuit.ratingA * 0.8) : 0;
    const product = here + (plugged * node.pathIn * stretch) / 12;
    if (!worst || product > worst.product) worst = { node, product, amps: through.get(node)! + plugged };
  }
  const volts = circuitVolts(circuit);
  const metal = circuit.metal ?? 'copper';
  const drop = voltageDrop(1, worst!.product, volts, circuit.awg, metal);
  const cure =
    drop.share > DROP_BRANCH ? sizeForDrop(1, worst!.product, volts, circuit.awg, DROP_BRANCH, metal) : undefined;
  return {
    ...drop,
    at: worst!.node.box,
    feet: (worst!.node.pathIn * stretch) / 12,
    measured: circuit.lengthFt !== undefined,
    amps: worst!.amps,
    cure,
  };
}
