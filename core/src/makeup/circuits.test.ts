import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { schemeTree, SCHEMES } from '../feed/feed-tree';
import { wiringUnits } from '../feed/unit';
import { wireHouse } from './make-up';
import { givesGfci, guardOf, protectionOf } from '../nec/protection/circuit-protection';
import { netlistOf, type Netlist } from '../proof/netlist';
import { prove } from '../proof/prove';
import { solve } from '../proof/solve';
import { outletsOn } from '../circuits/outlets';
import { leastFeet } from '../feed-search/least-feet';
import { outagesOn } from '../nec/outages';
import { wired, wiringHouse } from '../test/wiring-house';

const flawsOf = (net: Netlist) => {
  const proof = prove(net);
  return [...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)];
};
const conductors = (made: ReturnType<typeof wired>, to: string) =>
  made.wiring.runs
    .find((run) => run.to.id === to)!
    .cables[0]!.conductors.map((one) => `${one.color} ${one.signal?.kind ?? 'spare'}${one.remarked ? ' marked' : ''}`);

describe('circuits of 240 V', () => {
  const heavy = (device: Record<string, unknown>, kind?: string) =>
    wired({
      boxes: { X: [null, { volts: 240, ...device }] },
      change: (house) => {
        Object.assign(house.circuits['Q']!, { poles: 2, ratingA: 40, awg: '8' });
        if (kind)
          house.loads['l'] = {
            id: 'l',
            name: kind,
            kind: kind as 'kiln',
            va: 7000,
            volts: 240,
            continuous: false,
            motor: false,
            fastened: true,
            cord: false,
            individual: false,
            source: 'typical',
            box: 'X',
            device: 'X-0',
          };
      },
    });
  const TWO = ['black hot', 'white hot marked', 'bare ground'];
  const THREE = ['black hot', 'red hot', 'white neutral', 'bare ground'];
  test.each([
    ['a water heater takes two wires, the white marked', 'connection', 'water-heater', TWO],
    ['a kiln takes two', 'connection', 'kiln', TWO],
    ['an air conditioner takes two', 'connection', 'air-conditioner', TWO],
    ['a car charger takes two', 'connection', 'ev-charger', TWO],
    ['a range takes three', 'connection', 'range', THREE],
    ['a dryer takes three', 'connection', 'dryer', THREE],
    ['an oven takes three', 'connection', 'oven', THREE],
    ['a hot tub takes three', 'connection', 'hot-tub', THREE],
  ])('%s', (_, device, load, wanted) => {
    const made = heavy({ kind: device }, load);
    expect(conductors(made, 'X')).toEqual(wanted);
    expect(flawsOf(made.net)).toEqual([]);
  });

  test('a bare 50 A receptacle is taken for four wires, a bare 20 A one for three', () => {
    expect(conductors(heavy({ kind: 'receptacle', ratingA: 50, style: 'single' }), 'X')).toEqual(THREE);
    expect(conductors(heavy({ kind: 'receptacle', ratingA: 20, style: 'single' }), 'X')).toEqual(TWO);
  });

  test('the two legs give 240 V across the load, less what the wire takes', () => {
    const { net } = heavy({ kind: 'connection' }, 'water-heater');
    const volts = Math.abs(solve(net, new Map()).across.get('X-0')!);
    expect(volts).toBeGreaterThan(235);
    expect(volts).toBeLessThan(240);
  });

  test('one leg where the other belongs is caught', () => {
    const { net } = heavy({ kind: 'connection' }, 'water-heater');
    const node = new Map([...net.node, ['X-0.hot-2', net.node.get('X-0.hot')!] as const]);
    expect(flawsOf({ ...net, node }).length).toBeGreaterThan(0);
  });
});

/** Any tree behind a GFCI receptacle: receptacles, a switch and its light. */
const behindGfci = fc
  .record({
    parents: fc.array(fc.nat(), { minLength: 3, maxLength: 8 }),
    kinds: fc.array(fc.nat(), { minLength: 8, maxLength: 8 }),
  })
  .map(({ parents, kinds }) => {
    const names = parents.map((_, i) => `B${i}`);
    const boxes = Object.fromEntries(
      names.map((name, i) => {
        const from = i === 0 ? 'G' : names[parents[i]! % i]!;
        const device = i === 0 ? 'switch' : i === 1 ? 'luminaire' : kinds[i]! % 2 === 0 ? 'receptacle' : 'luminaire';
        return [name, [from, device] as const];
      }),
    );
    return {
      boxes: { G: [null, { kind: 'receptacle', gfci: true }] as const, ...boxes },
      groups: { a: { switches: ['B0-0'], controls: ['B1-0'] } },
    };
  });

describe('behind a GFCI receptacle', () => {
  const protecting = (spec: Parameters<typeof wiringHouse>[0]) =>
    wired({ ...spec, change: (house) => (house.circuits['Q']!.gfciFirst = 'G-0') });

  test('any tree proves, and everything but the receptacle itself dies with it', () => {
    fc.assert(
      fc.property(behindGfci, (spec) => {
        const { net } = protecting(spec);
        expect(flawsOf(net)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  test('any one white on the wrong side is caught', () => {
    fc.assert(
      fc.property(behindGfci, fc.nat(), (spec, n) => {
        const { net } = protecting(spec);
        const loads = net.loads.filter((load) => load.id !== 'G-0');
        const load = loads[n % loads.length]!;
        const node = new Map([...net.node, [load.b, net.node.get('G-0.line-neutral')!] as const]);
        const kinds = flawsOf({ ...net, node }).map((one) => one.kind);
        expect(kinds.length).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  });

  test('a box that power reaches before the receptacle is on its line side', () => {
    const made = wired({
      boxes: { A: [null, 'receptacle'], G: ['A', { kind: 'receptacle', gfci: true }], B: ['G', 'receptacle'] },
      change: (house) => (house.circuits['Q']!.gfciFirst = 'G-0'),
    });
    const hot = (id: string) =>
      made.wiring.plan.needs.find((one) => one.outlet.box.id === id && one.terminal === 'hot')!.signal.key;
    expect([hot('A'), hot('B')]).toEqual(['hot/Q/line', 'hot/Q/load']);
    expect(flawsOf(made.net)).toEqual([]);
  });
});

test('a garage receptacle drawn before the GFCI is not protected by it, and the breaker has to', () => {
  const garage = (from: Readonly<Record<'A' | 'G', string | null>>) =>
    wiringHouse({
      boxes: { A: [from.A, 'receptacle'], G: [from.G, { kind: 'receptacle', gfci: true }] },
      change: (house) => {
        house.rooms['room']!.kind = 'garage';
        house.circuits['Q']!.gfciFirst = 'G-0';
        for (const [i, id] of ['A', 'G'].entries())
          house.boxes[id]!.at = { kind: 'wall', wall: 'c0', alongIn: 100 + 100 * i, heightIn: 44 };
      },
    });
  const behind = garage({ A: 'G', G: null });
  const before = garage({ A: null, G: 'A' });
  const [a] = outletsOn(before, before.circuits['Q']!).filter((one) => one.box.id === 'A');
  expect(guardOf(protectionOf(before, 'Q'), a!)).toBeUndefined();
  expect(givesGfci(protectionOf(behind, 'Q').needed)).toBe(false);
  expect(givesGfci(protectionOf(before, 'Q').needed)).toBe(true);
});

describe('several GFCI receptacles that feed on', () => {
  const FEEDS = { kind: 'receptacle', gfci: true, feedsThrough: true };
  /** From the panel over R0 to two chains: G1, R1 with G2 and R2 behind it, and R3 beside them. */
  const made = wired({
    boxes: {
      R0: [null, 'receptacle'],
      G1: ['R0', FEEDS],
      R1: ['G1', 'receptacle'],
      G2: ['R1', FEEDS],
      R2: ['G2', 'receptacle'],
      R3: ['R0', 'receptacle'],
    },
    change: (house) => {
      for (const [i, id] of ['R0', 'G1', 'R1', 'G2', 'R2', 'R3'].entries())
        house.boxes[id]!.at = { kind: 'wall', wall: 'c0', alongIn: 40 + 20 * i, heightIn: 44 };
    },
  });
  const protection = protectionOf(made.house, 'Q');
  const tagOf = (id: string) => made.house.boxes[id]!.tag;
  test.each([
    ['R0', []],
    ['R1', ['G1']],
    ['R2', ['G2', 'G1']],
    ['R3', []],
  ])('%s hangs on %j', (id, on) => {
    const outlet = outletsOn(made.house, made.house.circuits['Q']!).find((one) => one.box.id === id)!;
    expect(protection.hangsOn(outlet).map((one) => one.box.id)).toEqual(on);
    expect(guardOf(protection, outlet)?.box.id).toBe(on[0]);
  });
  test('each opens what hangs on it and nothing else', () => {
    const outages = outagesOn(made.house, made.house.circuits['Q']!);
    expect(outages.map((one) => one.outlets.map(({ box }) => box.id).sort())).toEqual([
      ['G1', 'G2', 'R0', 'R1', 'R2', 'R3'],
      ['G1', 'G2', 'R1', 'R2'],
      ['G2', 'R2'],
    ]);
  });
  test('the wiring is sound, and hot and neutral cross on the side that they belong to', () => {
    expect(flawsOf(made.net)).toEqual([]);
    const crossing = (to: string) =>
      made.wiring.runs.find((run) => run.to.id === to)!.cables[0]!.conductors.flatMap((one) => one.signal?.words ?? []);
    expect(crossing('R1')).toContain(`hot, after the GFCI at ${tagOf('G1')}`);
    expect(crossing('R2')).toContain(`neutral, after the GFCI at ${tagOf('G2')}`);
    expect(crossing('R3')).toContain('hot');
  });
  test('a search for less wire leaves on a GFCI what hangs on one', () => {
    const unit = wiringUnits(made.house)[0]!;
    const { parents } = leastFeet(made.house, unit);
    const feeds = new Map(parents);
    const isBehind = (id: string): boolean => {
      const from = feeds.get(id);
      return from !== null && from !== undefined && (from.startsWith('G') || isBehind(from));
    };
    expect(['R1', 'R2'].filter((id) => !isBehind(id))).toEqual([]);
  });
  test('a lamp behind a GFCI whose switch stands before it is wired before it, and not protected by it', () => {
    const split = wired({
      boxes: { S: [null, 'switch'], G: ['S', FEEDS], L: ['G', 'luminaire'] },
      groups: { g: { switches: ['S-0'], controls: ['L-0'] } },
    });
    const lamp = outletsOn(split.house, split.house.circuits['Q']!).find((one) => one.box.id === 'L')!;
    expect(guardOf(protectionOf(split.house, 'Q'), lamp)).toBeUndefined();
    expect(flawsOf(split.net)).toEqual([]);
  });
});

describe('feed orders that nobody drew', () => {
  const open = wiringHouse({
    boxes: {
      R1: [null, 'receptacle'],
      S1: ['R1', 'switch', 'switch'],
      L1: ['S1', 'luminaire'],
      L2: ['L1', 'luminaire'],
      S2: ['L2', 'switch'],
      R2: ['S2', 'receptacle'],
      A1: ['R2', 'alarm'],
      A2: ['A1', 'alarm'],
    },
    groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L1-0'] }, b: { switches: ['S1-1'], controls: ['L2-0'] } },
    change: (house) => (house.cables = {}),
  });
  const [unit] = wiringUnits(open);

  test.each(SCHEMES)('%s reaches every box once, the same every time', (scheme) => {
    const tree = schemeTree(open, unit!, scheme);
    expect(tree.nodes.map((one) => one.box.id).sort()).toEqual(Object.keys(open.boxes).sort());
    expect(schemeTree(open, unit!, scheme).nodes.map((one) => one.run)).toEqual(tree.nodes.map((one) => one.run));
    expect(tree.nodes.filter((one) => one.parent === undefined)).toHaveLength(1);
  });

  test('lights are never on the way to a switch when the switches come first', () => {
    const tree = schemeTree(open, unit!, 'switch-first');
    for (const node of tree.nodes)
      if (node.box.id.startsWith('S')) expect(node.parent?.box.id.startsWith('L') ?? false).toBe(false);
  });

  test('alarms hang on one another', () => {
    const tree = schemeTree(open, unit!, 'switch-first');
    const alarms = tree.nodes.filter((one) => one.box.id.startsWith('A'));
    expect(alarms.filter((one) => one.parent?.box.id.startsWith('A'))).toHaveLength(1);
    const all = wireHouse(open);
    expect(flawsOf(netlistOf(all.units[0]!, all.boxes))).toEqual([]);
  });
});
