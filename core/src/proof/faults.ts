import type { Netlist, Pin, SwitchPart } from './netlist';

/** One thing done wrong, as a change of the netlist. */
export interface Fault {
  readonly id: string;
  /** What was done, where. */
  readonly words: string;
  /** How to put it right. */
  readonly remedy: string;
  /** How often one finds it: *common practice*, low; it orders what no look at the lamps can tell apart. */
  readonly found: Found;
  readonly net: Netlist;
}
export const FOUND = ['often', 'sometimes', 'seldom'] as const;
export type Found = (typeof FOUND)[number];

const moved = (net: Netlist, changes: ReadonlyMap<Pin, number>): Netlist => ({
  ...net,
  node: new Map([...net.node, ...changes]),
});
const fresh = (net: Netlist) => Math.max(...net.node.values()) + 1;
/** Two points interchanged. */
export const swap = (net: Netlist, a: Pin, b: Pin): Netlist =>
  moved(
    net,
    new Map([
      [a, net.node.get(b)!],
      [b, net.node.get(a)!],
    ]),
  );
const withPart = (net: Netlist, part: SwitchPart): Netlist => ({
  ...net,
  switches: net.switches.map((one) => (one.id === part.id ? part : one)),
});

type Add = (id: string, found: Found, words: string, remedy: string, changed: Netlist) => void;

function addThreeWay(net: Netlist, one: SwitchPart, add: Add): void {
  const { common, t1, t2 } = one.at;
  if (!common || !t1 || !t2) return;
  const remedy = 'Put the feed or the wire to the light on the dark common screw, the pair on the brass ones.';
  add('common first', 'often', 'common and first traveler are swapped', remedy, swap(net, common, t1));
  add('common second', 'often', 'common and second traveler are swapped', remedy, swap(net, common, t2));
  add(
    'single-pole',
    'sometimes',
    'a single-pole switch stands in place of the three-way',
    'Put in a three-way: it has a dark common screw and two brass ones.',
    withPart(net, { ...one, hardware: 'single-pole', at: { line: common, load: t1 } }),
  );
}

function addFourWay(net: Netlist, one: SwitchPart, add: Add): void {
  const { a1, a2, b1, b2 } = one.at;
  if (!a1 || !a2 || !b1 || !b2) return;
  const remedy = 'Each cable’s pair goes on one side of the four-way.';
  const mixed = 'the pairs of the four-way are mixed';
  add('pairs', 'often', `${mixed}: one in and one out are swapped`, remedy, swap(net, a2, b1));
  add('pairs across', 'sometimes', `${mixed} across`, remedy, swap(net, a2, b2));
  for (const [common, t1, t2, loose, n] of [
    [a1, b1, b2, a2, 1],
    [b1, a1, a2, b2, 2],
  ] as const) {
    const placed = withPart(net, { ...one, hardware: 'three-way', at: { common, t1, t2 } });
    add(
      `three-way ${n}`,
      'sometimes',
      `a three-way stands in place of the four-way, its common on ${n === 1 ? 'an incoming' : 'an outgoing'} traveler`,
      'A place between two others takes a four-way.',
      moved(placed, new Map([[loose, fresh(net)]])),
    );
  }
}

function faultsOfSwitch(net: Netlist, one: SwitchPart): Fault[] {
  const faults: Fault[] = [];
  const add: Add = (id, found, words, remedy, changed) =>
    faults.push({ id: `${one.id} ${id}`, words: `${one.label}: ${words}`, remedy, found, net: changed });
  if (one.hardware === 'three-way') addThreeWay(net, one, add);
  if (one.hardware === 'four-way') addFourWay(net, one, add);
  for (const [name, pin] of Object.entries(one.at))
    if (name !== 'ground')
      add(
        `loose ${name}`,
        'sometimes',
        `the wire on ${name} is loose`,
        'Tug every wire; tighten or remake it.',
        moved(net, new Map([[pin, fresh(net)]])),
      );
  return faults;
}

/** Conductors that have to do with the group's lamps, switches or their feed, end by end. */
function openEnds(net: Netlist): Fault[] {
  const inNode = new Map<number, Pin[]>();
  for (const [pin, node] of net.node) inNode.set(node, [...(inNode.get(node) ?? []), pin]);
  return net.wires.flatMap((wire) =>
    [wire.a, wire.b].flatMap((end) => {
      // An end that is alone has nothing to come loose from.
      if ((inNode.get(net.node.get(end)!) ?? []).length < 2) return [];
      return [
        {
          id: `open ${end}`,
          words: `${wire.label}: open at ${end === wire.a ? 'its first' : 'its far'} end`,
          remedy: 'Open that box and remake the splice.',
          // Few wires come loose in the panel.
          found: end === wire.a && wire.label.includes(', panel to ') ? ('seldom' as const) : ('sometimes' as const),
          net: moved(net, new Map([[end, fresh(net)]])),
        },
      ];
    }),
  );
}

function faultsOfLamps(net: Netlist, group: string): Fault[] {
  const lamps = net.loads.filter((load) => load.group === group);
  return lamps.flatMap((lamp) => [
    {
      id: `${lamp.id} neutral`,
      words: `${lamp.label}: the neutral of the lamp is missing`,
      remedy: 'Splice the lamp’s white to the neutrals of its box.',
      found: 'often' as const,
      net: moved(net, new Map([[lamp.b, fresh(net)]])),
    },
    {
      id: `${lamp.id} hot`,
      words: `${lamp.label}: the switched wire of the lamp is loose`,
      remedy: 'Splice the lamp’s black to the switched wire.',
      found: 'sometimes' as const,
      net: moved(net, new Map([[lamp.a, fresh(net)]])),
    },
    {
      id: `${lamp.id} reversed`,
      words: `${lamp.label}: hot and neutral are reversed`,
      remedy: 'White on the shell, black on the middle contact.',
      found: 'seldom' as const,
      net: swap(net, lamp.a, lamp.b),
    },
    ...(lamp.ground
      ? [
          {
            id: `${lamp.id} short`,
            words: `${lamp.label}: the switched wire touches the ground`,
            remedy: 'Find the bare spot; keep bare wire at the back of the box.',
            found: 'sometimes' as const,
            net: joined(net, lamp.a, lamp.ground),
          },
        ]
      : []),
  ]);
}

function joined(net: Netlist, a: Pin, b: Pin): Netlist {
  const [from, to] = [net.node.get(a)!, net.node.get(b)!];
  return { ...net, node: new Map([...net.node].map(([pin, node]) => [pin, node === from ? to : node])) };
}

/** Feed and lamp wire swapped at the two ends of a chain: the power comes in at the wrong box. */
function reversedFeed(net: Netlist, switches: readonly SwitchPart[]): Fault[] {
  const ends = switches.filter((one) => one.hardware === 'three-way');
  const [first, last] = [ends[0], ends.at(-1)];
  const single = switches.length === 1 ? switches[0] : undefined;
  if (single?.at.line && single.at.load)
    return [
      {
        id: `${single.id} line-load`,
        words: `${single.label}: line and load are reversed`,
        remedy: 'It works; put the feed on line where the device is marked.',
        found: 'seldom',
        net: swap(net, single.at.line, single.at.load),
      },
    ];
  if (!first || !last || first === last || !first.at.common || !last.at.common) return [];
  return [
    {
      id: 'feed reversed',
      words: `${first.label} and ${last.label}: feed and lamp wire are interchanged between the commons`,
      remedy: 'Feed on one common, the wire to the light on the other.',
      found: 'sometimes',
      net: swap(net, first.at.common, last.at.common),
    },
  ];
}

/** Black and white of a cable interchanged in the box where it ends. */
export function crossedCables(net: Netlist): readonly Fault[] {
  const cables = new Map<string, { black?: Netlist['wires'][number]; white?: Netlist['wires'][number] }>();
  for (const wire of net.wires) {
    const key = wire.id.slice(0, wire.id.lastIndexOf('.'));
    const color = wire.label.startsWith('black,') ? 'black' : wire.label.startsWith('white,') ? 'white' : undefined;
    if (color) cables.set(key, { ...cables.get(key), [color]: wire });
  }
  return [...cables.values()].flatMap(({ black, white }): Fault[] => {
    if (!black || !white) return [];
    return [
      {
        id: `crossed ${black.b}`,
        words: `${black.label.slice('black, '.length)}: black and white of this cable are interchanged where it ends`,
        remedy: 'Open the box at its far end: black with black, white with white, unless the white is remarked.',
        found: 'sometimes',
        net: swap(net, black.b, white.b),
      },
    ];
  });
}

/** Every single fault of a group on its circuit. */
export function singleFaults(net: Netlist, group: string): readonly Fault[] {
  const ids = new Set(net.groups.find((one) => one.id === group)?.switches);
  const switches = net.switches.filter((one) => ids.has(one.id));
  return [
    ...switches.flatMap((one) => faultsOfSwitch(net, one)),
    ...reversedFeed(net, switches),
    ...faultsOfLamps(net, group),
    ...openEnds(net),
    ...crossedCables(net),
  ];
}
