import { AWG_SIZES, type Awg, type Box, type Circuit, type House } from '../house/schema';
import { memo } from '../cache/memo';
import { DROP_BRANCH, sizeForDrop, voltageDrop } from '../electrical/voltage-drop';
import { ampsOf } from '../loads/library';
import type { CableRun } from './cable-run';
import { isGeneralReceptacle } from './circuit-load';
import { circuitVolts, outletsOn, type Outlet } from './outlets';

/** What may be plugged into the farthest receptacle: 12 A, the most of one cord on a 15 A receptacle, NEC 210.21(B)(2). */
const PLUGGED_A = 12;
/** What a circuit of receptacles is believed to carry on an ordinary evening, spread along it: half its rating, *common practice*. */
const SPREAD_SHARE = 0.5;

/** The largest wire that the screws of receptacles and switches of 15 and 20 A take: *common practice*, from memory, high. */
const LARGEST_AT_DEVICE: Awg = '10';
const isOverDevice = (awg: Awg): boolean => AWG_SIZES.indexOf(awg) > AWG_SIZES.indexOf(LARGEST_AT_DEVICE);
const isSmallDevice = ({ device }: Outlet): boolean =>
  device.kind === 'switch' || (device.kind === 'receptacle' && device.ratingA <= 20);

interface CircuitDrop {
  readonly volts: number;
  readonly share: number;
  /** The box at which it is worst, and how far the cable runs to it, feet. */
  readonly at: Box;
  readonly feet: number;
  /** Whether the length was measured by a person rather than estimated. */
  readonly measured: boolean;
  /** At its head where the load is spread along it; otherwise at that box. */
  readonly amps: number;
  readonly isSpread: boolean;
  /** A larger size that keeps it within 3 % and goes under the screws of its devices; undefined where it is within, or where none does. */
  readonly cure: Awg | undefined;
}

const knownAmps = (outlet: Outlet): number => {
  if (outlet.load) return ampsOf(outlet.load);
  const { device } = outlet;
  return device.kind === 'luminaire' || device.kind === 'fan' || device.kind === 'alarm' ? device.va / 120 : 0;
};

/**
 * Voltage drop to the worst place of a circuit along a run of its cable: the known loads where they are, and on its general receptacles
 * half its rating spread over them, or by the firm's standard 12 A at the farthest. The length of a person's measuring goes before that of the run. What a lamp's current goes astray to its switch
 * and back is left out: it is an ampere or two. NEC 210.19 informational note: advisory.
 */
export const measureDrop = memo(
  (house: House, circuit: Circuit, run: CableRun): CircuitDrop => dropOf(house, circuit, run),
  (_, circuit, run) => [run, circuit],
);

function dropOf(house: House, circuit: Circuit, run: CableRun): CircuitDrop {
  const outlets = outletsOn(house, circuit);
  const order = new Map<Box, number>();
  for (const { at, box } of run.nodes) order.set(box, at);
  // Plain arrays: small typed ones cost more than what they hold.
  const through = run.nodes.map(() => 0);
  const isPlugged = run.nodes.map(() => false);
  for (const outlet of outlets) {
    const i = order.get(outlet.box);
    if (i === undefined) continue;
    through[i]! += knownAmps(outlet);
    if (isGeneralReceptacle(outlet)) isPlugged[i] = true;
  }
  const isSpread = house.standards.dropLoad !== 'far-end';
  const plugs = isPlugged.filter(Boolean).length;
  if (isSpread)
    for (const { at } of run.nodes) if (isPlugged[at]) through[at]! += (circuit.ratingA * SPREAD_SHARE) / plugs;
  // Parents stand before their children, so from the end each is complete before it is added to the box that feeds it.
  for (const { at, parent } of [...run.nodes].reverse()) if (parent) through[parent.at]! += through[at]!;
  const atHead = run.nodes.filter((one) => !one.parent).reduce((sum, { at }) => sum + through[at]!, 0);
  const stretch = circuit.lengthFt === undefined ? 1 : circuit.lengthFt / run.farthestFt;
  const ampFeet: number[] = [];
  let farthest = run.nodes[0]!;
  let most = -Infinity;
  let amps = 0;
  for (const node of run.nodes) {
    const { at, parent, edgeIn, pathIn } = node;
    ampFeet.push((parent ? ampFeet[parent.at]! : 0) + (through[at]! * edgeIn * stretch) / 12);
    const plugged = isPlugged[at] && !isSpread ? Math.min(PLUGGED_A, circuit.ratingA * 0.8) : 0;
    const product = ampFeet[at]! + (plugged * pathIn * stretch) / 12;
    // Of two places alike the same one is named, in whatever order they stand in the file.
    const isAlike = Math.abs(product - most) <= 1e-9 * Math.abs(most);
    if (isAlike ? node.box.id > farthest.box.id : product < most) continue;
    farthest = node;
    most = product;
    amps = isSpread ? atHead : through[at]! + plugged;
  }
  const volts = circuitVolts(circuit);
  const metal = circuit.metal ?? 'copper';
  const drop = voltageDrop(1, most, volts, circuit.awg, metal);
  const larger = drop.share > DROP_BRANCH ? sizeForDrop(1, most, volts, circuit.awg, DROP_BRANCH, metal) : undefined;
  const cure = larger && isOverDevice(larger) && outlets.some(isSmallDevice) ? undefined : larger;
  return {
    ...drop,
    at: farthest.box,
    feet: (farthest.pathIn * stretch) / 12,
    measured: circuit.lengthFt !== undefined,
    amps,
    isSpread,
    cure,
  };
}
