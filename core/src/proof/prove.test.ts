import { describe, expect, test } from 'vitest';
import { wireHouse } from '../makeup/make-up';
import { chainOf, wired, type Spec } from '../test/wiring-house';
import type { Netlist, Pin } from './netlist';
import { prove, proveUnit, type Flaw } from './prove';

const flawsOf = (net: Netlist): readonly Flaw[] => {
  const proof = prove(net);
  return [...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)];
};
const kinds = (net: Netlist) => new Set(flawsOf(net).map((one) => one.kind));
const moved = (net: Netlist, changes: readonly (readonly [Pin, number])[]): Netlist => ({
  ...net,
  node: new Map([...net.node, ...changes]),
});
const loose = (net: Netlist, pin: Pin) => moved(net, [[pin, Math.max(...net.node.values()) + 1]]);
const swapped = (net: Netlist, a: Pin, b: Pin) =>
  moved(net, [
    [a, net.node.get(b)!],
    [b, net.node.get(a)!],
  ]);

const GFCI: Spec = {
  boxes: {
    G: [null, { kind: 'receptacle', gfci: true }],
    S1: ['G', 'switch'],
    L: ['S1', 'luminaire'],
    R: ['G', 'receptacle'],
  },
  groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
  change: (house) => (house.circuits['Q']!.gfciFirst = 'G-0'),
};
const controlled = (style: string): Spec => ({
  boxes: { S1: [null, { kind: 'switch', style }], L: ['S1', 'luminaire'] },
  groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
});
const samples: Readonly<Record<string, Spec>> = {
  'one place': chainOf(1),
  'three places': chainOf(3),
  'four places': chainOf(4),
  'behind a GFCI': GFCI,
  'an occupancy sensor': controlled('occupancy'),
  'an astronomic timer': controlled('astronomic'),
  'a smart switch with an add-on': {
    boxes: {
      S1: [null, { kind: 'switch', style: 'smart' }],
      S2: ['S1', { kind: 'switch', style: 'add-on' }],
      L: ['S1', 'luminaire'],
    },
    groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
  },
  'a half-switched receptacle': {
    boxes: { S1: [null, 'switch'], R: ['S1', { kind: 'receptacle', switched: 'half' }] },
    groups: { a: { switches: ['S1-0'], controls: ['R-0'] } },
  },
};

/** Terminals by device, grounds left out. */
function devicesOf(net: Netlist): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  for (const pin of net.node.keys()) {
    const [, device, terminal] = /^([A-Z]+\d*-\d+)\.([a-z0-9-]+)$/.exec(pin) ?? [];
    if (device && terminal) found.set(device, [...(found.get(device) ?? []), terminal]);
  }
  return found;
}

/**
 * Interchanged terminals that harm nobody, by how the devices work: a plain single-pole switch either way round, the travelers of a
 * three-way or of one pair of a four-way.
 */
const HARMLESS = new Set(['line load', 't1 t2', 'a1 a2', 'b1 b2']);
const isElectronic = (terminals: readonly string[]) => terminals.includes('neutral');

describe.each(Object.entries(samples))('%s', (_, spec) => {
  const { net } = wired(spec);
  const devices = [...devicesOf(net)];

  test('as it is derived it proves', () => {
    expect(flawsOf(net)).toEqual([]);
    expect(devices.length).toBeGreaterThan(1);
  });

  test('each terminal left loose is found', () => {
    for (const [device, terminals] of devices)
      for (const terminal of terminals) {
        // Nothing hangs on it but the device itself.
        const alone =
          [...net.node.values()].filter((one) => one === net.node.get(`${device}.${terminal}`)).length === 1;
        if (!alone)
          expect([device, terminal, prove(loose(net, `${device}.${terminal}`)).ok]).toEqual([device, terminal, false]);
      }
  });

  test('each two terminals of a device interchanged are found, where it does harm', () => {
    for (const [device, terminals] of devices)
      for (const [i, a] of terminals.entries())
        for (const b of terminals.slice(i + 1)) {
          const pair = [a, b].sort().join(' ');
          const [left, right] = [`${device}.${a}`, `${device}.${b}`];
          if (net.node.get(left) === net.node.get(right)) continue;
          const harmless = HARMLESS.has(pair) && !(pair === 'line load' && isElectronic(terminals));
          expect([device, pair, prove(swapped(net, left, right)).ok]).toEqual([device, pair, harmless]);
        }
  });
});

test('feed on LOAD and the rest on LINE: both pairs of a GFCI interchanged', () => {
  const { net } = wired(GFCI);
  const turned = swapped(swapped(net, 'G-0.line-hot', 'G-0.load-hot'), 'G-0.line-neutral', 'G-0.load-neutral');
  expect(kinds(turned)).toContain('gfci-reversed');
});

test.each(['occupancy', 'astronomic', 'dusk', 'smart'])(
  'the neutral of a control (%s) loose, or on the ground',
  (style) => {
    const { net } = wired(controlled(style));
    expect(kinds(loose(net, 'S1-0.neutral'))).toContain('control-unpowered');
    const toGround = moved(net, [['S1-0.neutral', net.node.get('S1-0.ground')!]]);
    expect(kinds(toGround)).toContain('neutral-grounded');
  },
);

test.each([
  ['L-0.hot', 'L-0.neutral', 'short', 'A hot is joined to neutral'],
  ['L-0.hot', 'L-0.ground', 'short', 'A hot is joined to ground'],
  ['L-0.neutral', 'L-0.ground', 'neutral-grounded', 'Neutral and ground are joined'],
] as const)('joining %s and %s is a %s', (a, b, kind, words) => {
  const { net } = wired(chainOf(1));
  const [from, to] = [net.node.get(a)!, net.node.get(b)!];
  const node = new Map([...net.node].map(([pin, one]) => [pin, one === from ? to : one]));
  const found = flawsOf({ ...net, node }).filter((one) => one.kind === kind);
  expect(found.map((one) => one.message).join()).toContain(words);
  // The switch must be up for the hot to reach the lamp.
  if (kind === 'short') expect(found.map((one) => one.positions)).toContainEqual([1]);
});

/** A receptacle that must be live, and what hangs behind it; a hot of another circuit comes into the panel besides. */
const live = (): Netlist => {
  const { net } = wired({ boxes: { X: [null, 'receptacle'], Y: ['X', 'receptacle'] } });
  const other = Math.max(...net.node.values()) + 9;
  return {
    ...net,
    node: new Map([...net.node, ['panel/other', other]]),
    sources: [...net.sources, { id: 'hot/Z', kind: 'hot', point: 'panel/other', volts: -120 }],
  };
};

test.each<[what: string, change: (net: Netlist) => Netlist, said: readonly [Flaw['kind'], string][]]>([
  ['nothing', (net) => net, []],
  ['its hot loose', (net) => loose(net, 'Y-0.hot'), [['not-live', 'R-2 must always be live and is not.']]],
  [
    'its neutral loose',
    (net) => loose(net, 'Y-0.neutral'),
    [['neutral-missing', 'R-2 has no neutral of its own circuit.']],
  ],
  [
    'its neutral on the ground',
    (net) => moved(net, [['Y-0.neutral', net.node.get('Y-0.ground')!]]),
    [['neutral-grounded', 'R-2 returns by the ground.']],
  ],
  [
    'its hot from another circuit',
    (net) => moved(net, [['Y-0.hot', net.node.get('panel/other')!]]),
    [['foreign', 'R-2 takes its hot from another circuit or the wrong leg.']],
  ],
  [
    'both hots joined',
    (net) => moved(net, [['panel/other', net.node.get('Y-0.hot')!]]),
    [['short', 'Two hots are joined.']],
  ],
  ['its ground loose', (net) => loose(net, 'Y-0.ground'), [['not-grounded', 'R-2 is not grounded.']]],
])('a receptacle that must be live, with %s', (_, change, said) => {
  const found = flawsOf(change(live())).map(({ kind, message }) => [kind, message]);
  expect(found.toSorted()).toEqual(said.map((one) => [...one]).toSorted());
});

test('a lamp that is always lit: the path is traced from the panel through what bridges the switch', () => {
  const { net } = wired(chainOf(1));
  const [load, line] = [net.node.get('S1-0.load')!, net.node.get('S1-0.line')!];
  const bridged = { ...net, node: new Map([...net.node].map(([pin, one]) => [pin, one === load ? line : one])) };
  const [lit] = flawsOf(bridged).filter((one) => one.kind === 'lit');
  expect(lit).toMatchObject({ positions: [0], path: ['black, panel to R-1', 'black, R-1 to R-2'] });
});

const proofOf = (spec: Spec) => {
  const { house, wiring } = wired(spec);
  return { wiring, proof: proveUnit(house, wiring, wireHouse(house).boxes) };
};

test('a switch on one home run whose lamp hangs on another is a problem with a name, and no other circuit suffers', () => {
  const { wiring, proof } = proofOf({
    boxes: { S1: [null, 'switch'], L: [null, 'luminaire'] },
    groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
  });
  expect(wiring.problems.map((one) => one.code)).toContain('through-panel');
  expect(wiring.problems[0]!.message).toMatch(/switched a.*R-\d, R-\d.*through the panel/);
  expect(proof.ok).toBe(false);
});

test('a /2 cable where three must cross is proved as it is', () => {
  const { wiring, proof } = proofOf({
    boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['L', 'switch'] },
    groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
    change: (house) => (house.cables['c-S1']!.kind = '/2'),
  });
  expect(wiring.runs.find((one) => one.to.id === 'S1')!.cables.map((one) => one.kind)).toEqual(['/2']);
  expect(wiring.problems.map((one) => one.code)).toContain('too-few-conductors');
  expect(proof.groups[0]!.flaws.length).toBeGreaterThan(0);
});

test('a group that cannot be wired is not proved by what is left of its circuit', () => {
  const { proof } = proofOf({
    boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'] },
    groups: { a: { switches: [], controls: ['L-0'] } },
  });
  expect(proof.flaws.map((one) => one.kind)).toEqual(['not-wired']);
});
