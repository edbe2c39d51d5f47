import { Conduction } from './conduction';
import { crossedCables, swap, type Fault } from './faults';
import type { LoadPart, Netlist, Pin } from './netlist';

/** What a tester shows at a receptacle of 120 V with every switch of its circuit on. */
type TesterReading =
  'right' | 'open-ground' | 'open-neutral' | 'open-hot' | 'hot-neutral-reversed' | 'hot-ground-reversed' | 'dead';

/** Readings by the receptacle's device; one that nobody has tried is not there. */
export type Readings = ReadonlyMap<string, TesterReading>;

const isTried = (load: LoadPart): boolean => load.kind === 'receptacle' && load.volts === 120 && !load.group;

/**
 * What a tester shows at every receptacle that is always live. A neutral that is broken between two lamps still carries voltage,
 * so only what is joined to its source counts. A short trips the breaker: everything is dead.
 */
export function testerReadings(net: Netlist): Readings {
  const now = new Conduction(net).with(new Map());
  const hots = net.sources.filter((one) => one.kind === 'hot');
  const shorted = hots.some((hot) => net.sources.some((one) => one !== hot && now.same(hot.point, one.point)));
  const kindAt = (pin: Pin | undefined) => (pin === undefined ? undefined : now.sourcesAt(pin)[0]?.kind);
  const read = ({ a, b, ground }: LoadPart): TesterReading => {
    if (shorted) return 'dead';
    const [hot, neutral, earth] = [kindAt(a), kindAt(b), kindAt(ground)];
    if (hot === 'neutral' && neutral === 'hot') return 'hot-neutral-reversed';
    if (hot === 'ground' && earth === 'hot') return 'hot-ground-reversed';
    if (hot !== 'hot') return 'open-hot';
    if (neutral !== 'neutral') return 'open-neutral';
    return earth === 'ground' ? 'right' : 'open-ground';
  };
  return new Map(net.loads.filter(isTried).map((load) => [load.id, read(load)]));
}

const withNodes = (net: Netlist, changes: readonly (readonly [Pin, number])[]): Netlist => ({
  ...net,
  node: new Map([...net.node, ...changes]),
});
/** Every single mistake on a circuit that a tester can show, at devices, splices and cable ends. */
export function receptacleFaults(net: Netlist): readonly Fault[] {
  let next = Math.max(...net.node.values()) + 1;
  const loose = (pin: Pin) => withNodes(net, [[pin, next++]]);
  const atDevices = net.loads.filter(isTried).flatMap(({ id, label, a, b, ground }): Fault[] => [
    {
      id: `${id} reversed`,
      words: `${label}: hot and neutral are reversed on the device`,
      remedy: 'Black on brass, white on silver.',
      found: 'often',
      net: swap(net, a, b),
    },
    ...[
      ['hot', a],
      ['neutral', b],
      ['ground', ground],
    ].flatMap(([name, pin]): Fault[] =>
      pin === undefined
        ? []
        : [
            {
              id: `${id} loose ${name}`,
              words: `${label}: the ${name} of the device is loose`,
              remedy: 'Tug it, and remake it under the screw with the torque on the device.',
              found: 'sometimes',
              net: loose(pin),
            },
          ],
    ),
    ...(ground
      ? [
          {
            id: `${id} hot to ground`,
            words: `${label}: hot and ground are interchanged on the device`,
            remedy: 'The bare wire on the green screw. The yoke is live: make it dead first.',
            found: 'seldom' as const,
            net: swap(net, a, ground),
          },
        ]
      : []),
  ]);
  const joinedWith = new Map<number, number>();
  for (const node of net.node.values()) joinedWith.set(node, (joinedWith.get(node) ?? 0) + 1);
  const atSplices = net.wires.flatMap(({ label, a, b }) =>
    [a, b].flatMap((end): Fault[] =>
      joinedWith.get(net.node.get(end)!)! < 2
        ? []
        : [
            {
              id: `open ${end}`,
              words: `${label}: open at ${end === a ? 'its first' : 'its far'} end`,
              remedy: 'Open that box and remake the splice.',
              found: end === a && label.includes(', panel to ') ? 'seldom' : 'often',
              net: loose(end),
            },
          ],
    ),
  );
  return [...atDevices, ...atSplices, ...crossedCables(net)];
}
