import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { hardwareAt, switchesToBuy } from '../feed/chain';
import { groupProblems } from '../feed/unit';
import { toSpice } from '../formats/spice';
import { joinsOf, wireHouse } from './make-up';
import {
  findFaults,
  positionsLooked,
  positionsOf,
  quickestTest,
  sightsOf,
  trySingleFaults,
  type Sight,
  type Suspect,
} from '../proof/diagnose';
import { FOUND, singleFaults } from '../proof/faults';
import { boxesOnTheWay, netlistOf, type Netlist } from '../proof/netlist';
import { prove } from '../proof/prove';
import { solve } from '../proof/solve';
import type { House } from '../house/schema';
import { SWITCH_STYLES } from '../house/schema-equipment';
import { chainOf, wired, wiringHouse } from '../test/wiring-house';
import { groupBy } from '../units/group-by';

/** Conductors of the run to each box: color and what it carries, as one would read them off. */
const carried = (test: ReturnType<typeof wired>, to: string) =>
  test.wiring.runs
    .find((run) => run.to.id === to)!
    .cables.map(
      (cable) =>
        `${cable.kind} ${cable.conductors
          .filter((one) => one.color !== 'bare')
          .map((one) => `${one.color} ${one.signal?.words ?? 'spare'}${one.remarked ? ' (marked)' : ''}`)
          .join(', ')}`,
    )
    .join(' + ');

describe('controls of 240 V equipment', () => {
  const at240 = { kind: 'connection', volts: 240 };
  const group = { a: { switches: ['S1-0'], controls: ['H-0'] } };
  const change = (house: House) => void (house.circuits['Q']!.poles = 2);
  test.each([
    ['line-thermostat', '/2 black switched a, white second hot (marked)'],
    ['timer', '/2 black switched a, white second hot (marked)'],
    ['line-thermostat-2', '/2 black switched a, white switched a, second pole (marked)'],
    ['two-pole', '/2 black switched a, white switched a, second pole (marked)'],
  ])('a %s feeds a heater by two hots and no neutral', (style, toHeater) => {
    const test = wired({ boxes: { S1: [null, { kind: 'switch', style }], H: ['S1', at240] }, groups: group, change });
    expect(carried(test, 'S1')).toBe('/2 black hot, white second hot (marked)');
    expect(carried(test, 'H')).toBe(toHeater);
    const proof = prove(test.net);
    expect([proof.flaws, proof.groups.flatMap((one) => one.flaws)]).toEqual([[], []]);
    // 240 V on: of the heater, from hot to hot. Off, one pole leaves the other hot on it.
    const volts = (position: number) => {
      const { volts: at } = solve(test.net, new Map([['S1-0', position]]));
      return [at('H-0.hot'), at('H-0.hot-2')].map((one) => Math.round(one));
    };
    expect(volts(1)).toEqual([120, -120]);
    const [, second] = volts(0);
    expect(second === 0).toBe(style.endsWith('2') || style === 'two-pole');
  });
  test('heaters one behind the other follow one thermostat; one fed before it as well', () => {
    const boxes = {
      H: [null, at240],
      S1: ['H', { kind: 'switch', style: 'line-thermostat-2' }],
      I: ['H', at240],
    } as const;
    const test = wired({ boxes, groups: { a: { switches: ['S1-0'], controls: ['H-0', 'I-0'] } }, change });
    expect(carried(test, 'S1')).toBe(
      '/4 black hot, red switched a, blue switched a, second pole, white second hot (marked)',
    );
    expect(prove(test.net).ok).toBe(true);
  });
  test.each([
    ['beside another switch', ['S1-0', 'S2-0'], 240, 'works from one place'],
    ['at 120 V', ['S1-0'], 120, 'takes 120 V'],
  ] as const)('a two-pole control %s is refused with the remedy', (_, switches, volts, words) => {
    const boxes = {
      S1: [null, { kind: 'switch', style: 'two-pole' }],
      S2: ['S1', 'switch'],
      H: ['S2', { kind: 'connection', volts }],
    } as const;
    const house = wiringHouse({ boxes, groups: { a: { switches, controls: ['H-0'] } }, change });
    expect(groupProblems(house).map((one) => one.message)).toEqual([expect.stringContaining(words)]);
  });
});

describe('every control with every load', () => {
  const loads = {
    luminaire: { kind: 'luminaire' },
    fan: { kind: 'fan' },
    'connection at 120 V': { kind: 'connection' },
    'connection at 240 V': { kind: 'connection', volts: 240 },
    'receptacle, whole': { kind: 'receptacle', switched: 'whole' },
    'receptacle, half': { kind: 'receptacle', switched: 'half' },
    'single receptacle, half': { kind: 'receptacle', style: 'single', switched: 'half' },
    'GFCI receptacle': { kind: 'receptacle', gfci: true, switched: 'whole' },
    'GFCI receptacle, half': { kind: 'receptacle', gfci: true, switched: 'half' },
    'GFCI receptacle that feeds through': {
      kind: 'receptacle',
      gfci: true,
      feedsThrough: true,
      switched: 'whole',
    },
    'range receptacle': { kind: 'receptacle', volts: 240, ratingA: 50, style: 'single' },
  } as const;
  type Boxes = Parameters<typeof wiringHouse>[0]['boxes'];
  type Some = Record<string, unknown>;
  const feeds: Readonly<Record<string, (one: Some, load: Some) => Boxes>> = {
    'power at the switch': (one, load) => ({ S1: [null, one], L: ['S1', load] }),
    'power at the load': (one, load) => ({ L: [null, load], S1: ['L', one] }),
    'a second switch behind the load': (one, load) => ({
      S1: [null, one],
      L: ['S1', load],
      S2: ['L', 'switch'],
    }),
    'two loads, the switch between': (one, load) => ({
      L: [null, load],
      S1: ['L', one],
      M: ['S1', load],
    }),
  };
  test.each(Object.keys(loads) as (keyof typeof loads)[])('%s: proved, or refused in words', (kind) => {
    const load = loads[kind];
    const is240 = 'volts' in load;
    for (const style of SWITCH_STYLES)
      for (const [feed, boxesOf] of Object.entries(feeds)) {
        const boxes = boxesOf({ kind: 'switch', style }, load);
        const groups = {
          a: {
            switches: Object.keys(boxes)
              .filter((id) => id.startsWith('S'))
              .map((id) => `${id}-0`),
            controls: Object.keys(boxes)
              .filter((id) => !id.startsWith('S'))
              .map((id) => `${id}-0`),
          },
        };
        const change = (house: House) => void (is240 && (house.circuits['Q']!.poles = 2));
        const test = wired({ boxes, groups, change });
        const refused = groupProblems(test.house).map((one) => one.message);
        const proof = prove(test.net);
        const flaws = [...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)].map((one) => one.message);
        if (refused.length === 0) expect(flaws, `${style}, ${feed}`).toEqual([]);
        expect(refused.length === 0, `${style}, ${feed}`).toBe(proof.groups.length === 1);
      }
  });
});

describe('textbook topologies of switching, every position proved', () => {
  const one = { a: { switches: ['S1-0'], controls: ['L-0'] } };
  const two = { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } };
  const three = { a: { switches: ['S1-0', 'S2-0', 'S3-0'], controls: ['L-0'] } };
  const cases = [
    {
      name: 'one switch, power at the switch',
      boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'] },
      groups: one,
      cables: { S1: '/2 black hot, white neutral', L: '/2 black switched a, white neutral' },
    },
    {
      name: 'one switch, power at the light, neutral to the switch',
      boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'] },
      groups: one,
      cables: { S1: '/3 black hot, red switched a, white neutral' },
    },
    {
      name: 'two three-ways, power at the first, light behind the second',
      boxes: { S1: [null, 'switch'], S2: ['S1', 'switch'], L: ['S2', 'luminaire'] },
      groups: two,
      cables: { S2: '/3 black traveler 1 a, red traveler 2 a, white neutral', L: '/2 black switched a, white neutral' },
    },
    {
      name: 'two three-ways with the light between them',
      boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'], S2: ['L', 'switch'] },
      groups: two,
      cables: {
        L: '/3 black traveler 1 a, red traveler 2 a, white neutral',
        S2: '/4 black switched a, red traveler 1 a, blue traveler 2 a, white neutral',
      },
    },
    {
      name: 'two three-ways as dead ends, power at the light',
      boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['L', 'switch'] },
      groups: two,
      cables: { S1: '/4 black hot, red traveler 1 a, blue traveler 2 a, white neutral' },
    },
    {
      name: 'light and feed in the first switch box',
      boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'], S2: ['S1', 'switch'] },
      groups: two,
      cables: { L: '/2 black switched a, white neutral' },
    },
    {
      name: 'a four-way between two three-ways',
      boxes: { S1: [null, 'switch'], S2: ['S1', 'switch'], S3: ['S2', 'switch'], L: ['S3', 'luminaire'] },
      groups: three,
      cables: { S3: '/3 black traveler 1 a, red traveler 2 a, white neutral' },
    },
    {
      name: 'three places around the light',
      boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['L', 'switch'], S3: ['L', 'switch'] },
      groups: three,
      cables: {},
    },
    {
      name: 'half of a receptacle switched, the other always live',
      boxes: { S1: [null, 'switch'], L: ['S1', { kind: 'receptacle', switched: 'half' }] },
      groups: one,
      cables: { L: '/3 black hot, red switched a, white neutral' },
    },
    {
      name: 'fan and light apart in one box',
      boxes: { S1: [null, 'switch', 'switch'], L: ['S1', 'luminaire', 'fan'] },
      groups: { a: { switches: ['S1-0'], controls: ['L-0'] }, b: { switches: ['S1-1'], controls: ['L-1'] } },
      cables: { L: '/3 black switched a, red switched b, white neutral' },
    },
    {
      name: 'receptacles after the switch stay live',
      boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'], R: ['L', 'receptacle'] },
      groups: one,
      cables: { L: '/3 black hot, red switched a, white neutral', R: '/2 black hot, white neutral' },
    },
    {
      name: 'alarms joined by a third conductor',
      boxes: { A: [null, 'alarm'], B: ['A', 'alarm'], C: ['B', 'alarm'] },
      groups: {},
      cables: { A: '/2 black hot, white neutral', B: '/3 black hot, red alarms joined, white neutral' },
    },
    {
      name: 'a smart switch with an add-on switch',
      boxes: {
        S1: [null, { kind: 'switch', style: 'smart' }],
        S2: ['S1', { kind: 'switch', style: 'add-on' }],
        L: ['S1', 'luminaire'],
      },
      groups: two,
      cables: { S2: '/3 black hot, red add-on wire a, white neutral' },
    },
  ] as const;
  test.each(cases)('$name', ({ boxes, groups, cables }) => {
    const made = wired({ boxes, groups });
    for (const [box, wanted] of Object.entries(cables)) expect(carried(made, box)).toBe(wanted);
    const proof = prove(made.net);
    expect(proof.flaws).toEqual([]);
    for (const group of proof.groups) expect(group.flaws).toEqual([]);
    expect(made.wiring.problems.filter((one) => one.code !== 'two-cables')).toEqual([]);
  });

  test('where no neutral is asked for, the white of a switch loop is the marked supply (200.7(C))', () => {
    const made = wired({
      boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'] },
      groups: one,
      change: (house) => (house.rooms['room']!.kind = 'closet'),
    });
    expect(carried(made, 'S1')).toBe('/2 black switched a, white hot (marked)');
    expect(prove(made.net).ok).toBe(true);
  });

  test('a cable already pulled leaves out the neutral that only waits, and says when even so it cannot carry all', () => {
    const loop = (kind: '/2' | '/3') =>
      wired({
        boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'] },
        groups: one,
        change: (house) => (house.cables['c-S1']!.kind = kind),
      });
    expect(carried(loop('/2'), 'S1')).toBe('/2 black switched a, white hot (marked)');
    expect(loop('/2').wiring.problems).toEqual([]);
    const dead = wired({
      boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['L', 'switch'] },
      groups: two,
      change: (house) => (house.cables['c-S1']!.kind = '/2'),
    });
    expect(dead.wiring.problems.map((one) => one.code)).toContain('too-few-conductors');
  });
});

describe('parity of n places: published behaviour of three-way and four-way switches', () => {
  test.each([1, 2, 3, 4, 5, 6, 7, 8])('%i places: every one of all positions', (places) => {
    const { net, wiring } = wired(chainOf(places));
    const lit = sightsOf(net, 'a').map(([sight]) => sight === 'lit');
    const base = lit[0]!;
    positionsOf(places).forEach((positions, i) => {
      const odd = positions.filter((one) => one === 1).length % 2 === 1;
      expect(lit[i]).toBe(base !== odd);
    });
    const [chain] = wiring.plan.chains;
    const bought = chain!.order.map((_, i) => hardwareAt(chain!, i));
    // N places take two three-ways and N - 2 four-ways: common practice.
    expect({
      'single-pole': bought.filter((one) => one === 'single-pole').length,
      'three-way': bought.filter((one) => one === 'three-way').length,
      'four-way': bought.filter((one) => one === 'four-way').length,
    }).toEqual(switchesToBuy(places));
  });

  test('twelve places are proved', () => {
    const proof = prove(wired(chainOf(12)).net);
    expect(proof.groups[0]).toMatchObject({ positions: 4096, flaws: [] });
  });
});

/** Any tree of boxes with any groups over them. */
const anyCircuit = fc
  .record({
    parents: fc.array(fc.nat(), { minLength: 3, maxLength: 10 }),
    kinds: fc.array(fc.constantFrom('switch', 'luminaire', 'receptacle', 'both'), { minLength: 10, maxLength: 10 }),
    picks: fc.array(fc.nat(), { minLength: 10, maxLength: 10 }),
  })
  .map(({ parents, kinds, picks }) => {
    const names = parents.map((_, i) => `B${i}`);
    const boxes = Object.fromEntries(
      names.map((name, i) => {
        const devices = kinds[i] === 'both' ? ['switch', 'luminaire'] : [kinds[i]!];
        return [name, [i === 0 ? null : names[parents[i]! % i]!, ...devices] as const];
      }),
    );
    const of = (kind: string) =>
      Object.entries(boxes).flatMap(([name, [, ...list]]) =>
        list.flatMap((one, i) => (one === kind ? [`${name}-${i}`] : [])),
      );
    const [switches, lamps] = [of('switch'), of('luminaire')];
    const count = Math.max(1, Math.min(3, switches.length, lamps.length));
    const groups: Record<string, { switches: string[]; controls: string[] }> = {};
    for (let g = 0; g < count; g++) groups[`g${g}`] = { switches: [], controls: [] };
    switches.forEach((id, i) => groups[`g${i < count ? i : picks[i % 10]! % count}`]!.switches.push(id));
    lamps.forEach((id, i) => groups[`g${i < count ? i : picks[(i + 3) % 10]! % count}`]!.controls.push(id));
    for (const [id, group] of Object.entries(groups))
      if (group.switches.length === 0 || group.controls.length === 0) delete groups[id];
    return { boxes, groups };
  });

describe('any tree, any groups', () => {
  test('what is derived always proves', () => {
    fc.assert(
      fc.property(anyCircuit, (spec) => {
        const { net, wiring } = wired(spec);
        const proof = prove(net);
        expect([...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)]).toEqual([]);
        // 200.7(C)(1): a white may feed the switch, never bring the switched wire back.
        const whites = wiring.runs.flatMap((run) =>
          run.cables.flatMap((one) => one.conductors.filter((c) => c.remarked)),
        );
        expect(whites.filter((one) => one.signal?.kind === 'leg')).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });

  test('any two pieces of copper that something uses, joined, are caught', () => {
    fc.assert(
      fc.property(anyCircuit, fc.nat(), fc.nat(), (spec, a, b) => {
        const { net } = wired(spec);
        // Two different nets of copper joined, or one end opened.
        const nodes = [...new Set(net.node.values())];
        const [from, to] = [nodes[a % nodes.length]!, nodes[b % nodes.length]!];
        const same = samePiece(net);
        const used = new Set(usedPins(net).map((pin) => same(net.node.get(pin)!)));
        // What nobody uses harms nobody; grounds and wires that are one piece already neither.
        fc.pre(same(from) !== same(to) && used.has(same(from)) && used.has(same(to)));
        const shorted: Netlist = {
          ...net,
          node: new Map([...net.node].map(([pin, node]) => [pin, node === from ? to : node])),
        };
        expect(prove(shorted).ok).toBe(false);
      }),
      { numRuns: 150 },
    );
  });

  test('any needed conductor cut is caught', () => {
    fc.assert(
      fc.property(anyCircuit, fc.nat(), (spec, n) => {
        const { net, wiring } = wired(spec);
        const used = new Set(
          net.loads.flatMap((one) => [one.a, one.b]).concat(net.switches.flatMap((one) => Object.values(one.at))),
        );
        const wires = net.wires.filter((wire) => leadsTo(net, wire.id, used));
        fc.pre(wires.length > 0 && wiring.runs.length > 0);
        const wire = wires[n % wires.length]!;
        const cut: Netlist = { ...net, wires: net.wires.filter((one) => one !== wire) };
        expect(prove(cut).ok).toBe(false);
      }),
      { numRuns: 150 },
    );
  });
});

const usedPins = (net: Netlist) => [
  ...net.loads.flatMap((one) => [one.a, one.b]),
  ...net.switches.flatMap((one) => Object.values(one.at)),
  ...net.sources.map((one) => one.point),
];

/** Which nodes are one piece of copper. */
function samePiece(net: Netlist): (node: number) => number {
  const parent = new Map<number, number>();
  const find = (node: number): number => (parent.has(node) ? find(parent.get(node)!) : node);
  for (const wire of net.wires) {
    const [a, b] = [find(net.node.get(wire.a)!), find(net.node.get(wire.b)!)];
    if (a !== b) parent.set(a, b);
  }
  return find;
}

/** Whether cutting a wire parts a terminal that something uses from the rest of its copper. */
function leadsTo(net: Netlist, wireId: string, used: ReadonlySet<string>): boolean {
  const cut = samePiece({ ...net, wires: net.wires.filter((one) => one.id !== wireId) });
  const whole = samePiece(net);
  const wire = net.wires.find((one) => one.id === wireId)!;
  const piece = whole(net.node.get(wire.a)!);
  const sides = new Set<number>();
  for (const pin of used) if (whole(net.node.get(pin)!) === piece) sides.add(cut(net.node.get(pin)!));
  for (const source of net.sources)
    if (whole(net.node.get(source.point)!) === piece) sides.add(cut(net.node.get(source.point)!));
  return sides.size > 1;
}

describe('what cannot be wired says which, why, and the remedy', () => {
  const lamp = { S1: [null, 'switch'], L: ['S1', 'luminaire'] } as const;
  test.each([
    ['a group that controls nothing', { ...lamp }, { a: { switches: ['S1-0'], controls: [] } }, 'controls-nothing'],
    ['a group without a switch', { ...lamp }, { a: { switches: [], controls: ['L-0'] } }, 'no-switch'],
    [
      'a lamp fed by two groups',
      { S1: [null, 'switch', 'switch'], L: ['S1', 'luminaire'] },
      { a: { switches: ['S1-0'], controls: ['L-0'] }, b: { switches: ['S1-1'], controls: ['L-0'] } },
      'two-groups',
    ],
    [
      'one switch in two groups',
      { S1: [null, 'switch'], L: ['S1', 'luminaire', 'luminaire'] },
      { a: { switches: ['S1-0'], controls: ['L-0'] }, b: { switches: ['S1-0'], controls: ['L-1'] } },
      'switch-twice',
    ],
    [
      'two dimmers in one chain',
      {
        S1: [null, { kind: 'switch', style: 'dimmer' }],
        S2: ['S1', { kind: 'switch', style: 'dimmer' }],
        L: ['S2', 'luminaire'],
      },
      { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
      'two-dimmers',
    ],
    [
      'a toggle beside a smart switch',
      { S1: [null, { kind: 'switch', style: 'smart' }], S2: ['S1', 'switch'], L: ['S2', 'luminaire'] },
      { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
      'smart-and-toggle',
    ],
    [
      'an add-on switch alone',
      { S1: [null, { kind: 'switch', style: 'add-on' }], L: ['S1', 'luminaire'] },
      { a: { switches: ['S1-0'], controls: ['L-0'] } },
      'no-smart',
    ],
  ] as const)('%s', (_, boxes, groups, code) => {
    const found = groupProblems(wiringHouse({ boxes: boxes as never, groups: groups as never }));
    expect(found.map((one) => one.code)).toContain(code);
    expect(found[0]!.message).toMatch(/\. |\.$/);
  });

  test('a group over two circuits, and a box that no cable reaches', () => {
    const spec = {
      boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'] } as never,
      groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
    };
    const two = wiringHouse({
      ...spec,
      change: (house) => {
        house.circuits['Z'] = { ...house.circuits['Q']!, id: 'Z', name: 'Z' };
        house.boxes['S1']!.devices['S1-0']!.circuit = 'Z';
      },
    });
    expect(groupProblems(two)[0]).toMatchObject({ code: 'two-circuits', path: 'switchGroups.a' });
    const loose = wired({ ...spec, change: (house) => delete house.cables['c-L'] });
    expect(loose.wiring.problems).toMatchObject([{ code: 'unfed', path: 'boxes.L' }]);
    // The switch of a lamp without a cable needs nothing yet but the neutral that is kept for later.
    expect(loose.wiring.plan.needsAt.get('S1') ?? []).toEqual([]);
    expect([...loose.wiring.plan.spare.keys()]).toEqual(['S1']);
    const half = wired({
      boxes: { S1: [null, 'switch'], L: ['S1', 'luminaire'], S2: ['L', 'switch'] },
      groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
      change: (house) => delete house.cables['c-S2'],
    });
    expect(half.wiring.plan.needsAt.has('L')).toBe(false);
    expect([...half.wiring.plan.spare.keys()]).toEqual(['S1']);
  });
});

test('a GFCI receptacle protects what comes after it, on its own hot and neutral; nothing is mixed', () => {
  const made = wired({
    boxes: {
      G: [null, { kind: 'receptacle', gfci: true }],
      S1: ['G', 'switch'],
      L: ['S1', 'luminaire'],
      R: ['G', 'receptacle'],
    },
    groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
    change: (house) => (house.circuits['Q']!.gfciFirst = 'G-0'),
  });
  expect(carried(made, 'G')).toBe('/2 black hot, white neutral');
  expect(carried(made, 'R')).toBe('/2 black hot, after the GFCI, white neutral, after the GFCI');
  expect(prove(made.net).ok).toBe(true);
  // The white of a receptacle behind it put on the line side: it trips at once.
  const { node } = made.net;
  const mixed = { ...made.net, node: new Map([...node, ['R-0.neutral', node.get('G-0.line-neutral')!] as const]) };
  expect(prove(mixed).flaws.map((one) => one.kind)).toContain('gfci-mixed');
});

test('two circuits that share a neutral come over one three-wire cable, their neutrals always on pigtails', () => {
  const made = wired({
    boxes: {
      R: [null, 'receptacle', { kind: 'receptacle', circuit: 'Z' }],
      R2: ['R', 'receptacle', { kind: 'receptacle', circuit: 'Z' }],
    },
    change: (house) => {
      house.circuits['Z'] = { ...house.circuits['Q']!, id: 'Z', name: 'Z', sharesNeutralWith: 'Q' };
      house.circuits['Q']!.sharesNeutralWith = 'Z';
      house.standards.makeUp = { feed: 'through', freeIn: 8, clamps: 'multi-gang' };
    },
  });
  expect(carried(made, 'R')).toBe('/3 black hot of Q, red hot of Z, white neutral');
  expect(prove(made.net).ok).toBe(true);
  const joins = joinsOf(wireHouse(made.house).boxes.get('R')!);
  expect(joins.find((one) => one.signal.startsWith('neutral'))!.via).toBe('splice');
  expect(joins.find((one) => one.signal === 'hot/Q/line')!.via).toBe('device');
});

describe('against ngspice, a general circuit simulator: lamp volts in every position within 0.1 %', () => {
  const deck = join(mkdtempSync(join(tmpdir(), 'winculum-spice-')), 'circuit.cir');
  const boxes = {
    S1: [null, 'switch'],
    L: ['S1', { kind: 'luminaire', va: 300 }, { kind: 'luminaire', va: 60 }],
    S2: ['L', 'switch'],
    S3: ['S2', 'switch'],
    R: ['S2', 'receptacle'],
  } as const;
  test.each([
    [
      'three places with the light between',
      { boxes, groups: { a: { switches: ['S1-0', 'S2-0', 'S3-0'], controls: ['L-0', 'L-1'] } } },
    ],
    ['a chain of four', chainOf(4)],
    ['a chain of two', chainOf(2)],
  ])('%s', (_, spec) => {
    const { net } = wired(spec);
    const { switches } = net.groups[0]!;
    for (const positions of positionsOf(switches.length)) {
      const all = new Map(switches.map((id, i) => [id, positions[i]!]));
      writeFileSync(deck, toSpice(net, all));
      const run = spawnSync('ngspice', ['-b', deck], { encoding: 'utf8' });
      const volts = [...run.stdout.matchAll(/load_(\d+) = (\S+)/g)].map((found) => Number(found[2]));
      expect(volts).toHaveLength(net.loads.length);
      const { across } = solve(net, all);
      net.loads.forEach((load, i) => expect(Math.abs(across.get(load.id)! - volts[i]!)).toBeLessThan(0.12));
    }
  });

  test('a fault in series: two lamps without their neutral share the volts by their resistance', () => {
    const { net } = wired({
      boxes: { S1: [null, 'switch'], L: ['S1', { kind: 'luminaire', va: 60 }, { kind: 'luminaire', va: 60 }] },
      groups: { a: { switches: ['S1-0'], controls: ['L-0', 'L-1'] } },
    });
    const loose = Math.max(...net.node.values()) + 1;
    const odd = { ...net, node: new Map([...net.node, ['L-0.neutral', loose] as const, ['L-1.hot', loose] as const]) };
    const { across } = solve(odd, new Map([['S1-0', 1]]));
    expect(across.get('L-0')).toBeCloseTo(60, 0);
    expect(sightsOf(odd, 'a')[1]).toEqual(['dim', 'dim']);
  });
});

describe('the fault finder names every single fault, or the set that no look at the lamps can tell apart', () => {
  const idsOf = (suspects: readonly Suspect[]) => suspects.map((one) => one.fault.id).sort();
  test.each([2, 3, 4])('a circuit of %i places', (places) => {
    const { net } = wired(chainOf(places));
    const tried = trySingleFaults(net, 'a');
    expect(tried.length).toBeGreaterThan(8 * places);
    const alike = groupBy(tried, (one) => JSON.stringify(one.sights));
    for (const { sights } of tried) {
      const { suspects } = findFaults(net, 'a', sights, tried);
      expect(idsOf(suspects)).toEqual(idsOf(alike.get(JSON.stringify(sights))!));
    }
    expect(findFaults(net, 'a', tried[0]!.sights)).toEqual(findFaults(net, 'a', tried[0]!.sights, tried));
  });

  test('works only when the other one is up: a swapped common is among the first, and a meter parts it from the rest', () => {
    const { net } = wired(chainOf(2));
    const swapped = singleFaults(net, 'a').find((one) => one.id === 'S1-0 common first')!;
    const found = findFaults(net, 'a', sightsOf(swapped.net, 'a'));
    expect(found.sound).toBe(false);
    expect(found.suspects.map((one) => one.fault.words)).toContain(swapped.words);
    // What is found most often comes first, and a swapped common is.
    const often = found.suspects.map((one) => FOUND.indexOf(one.fault.found));
    expect(often).toEqual([...often].sort());
    expect(found.suspects[0]!.fault.found).toBe('often');
    const meter = quickestTest(net, 'a', found.suspects);
    expect(meter === undefined || meter.readings.length > 1).toBe(true);
  });

  test('with half of the positions looked at it names the one that tells most', () => {
    const { net } = wired(chainOf(3));
    const seen = sightsOf(net, 'a').map((lamps, i) => (i === 0 ? lamps : lamps.map(() => undefined)));
    const { next, sound } = findFaults(net, 'a', seen);
    expect(sound).toBe(true);
    expect(next!.says.length).toBeGreaterThan(1);
  });
});

test('every circuit of a house without stored cables proves under each scheme', () => {
  const { house } = wired({ ...chainOf(3), change: (one) => (one.cables = {}) });
  const all = wireHouse(house);
  expect(all.units[0]!.tree.nodes).toHaveLength(4);
  expect(prove(netlistOf(all.units[0]!, all.boxes)).ok).toBe(true);
});

test('the fault finder looks at the boxes on the way only, and sees the same there', () => {
  const { net, wiring, house } = wired({
    boxes: {
      A: [null, 'receptacle'],
      S1: ['A', 'switch'],
      L: ['S1', 'luminaire'],
      X: ['A', 'receptacle'],
      Y: ['X', 'receptacle'],
    },
    groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
  });
  const keep = boxesOnTheWay(wiring, 'a');
  expect([...keep].sort()).toEqual(['A', 'L', 'S1']);
  const small = netlistOf(wiring, wireHouse(house).boxes, keep);
  expect(small.loads.map((one) => one.id)).toEqual(
    ['A-0', 'L-0'].sort(
      (a, b) => net.loads.findIndex((one) => one.id === a) - net.loads.findIndex((one) => one.id === b),
    ),
  );
  expect(sightsOf(small, 'a')).toEqual(sightsOf(net, 'a'));
  expect(prove(small).ok).toBe(true);
});

describe('what a make-up says of each join', () => {
  const joinsAt = (box: string, feed: 'pigtail' | 'through' = 'pigtail') => {
    const { house } = wired({
      boxes: { A: [null, 'receptacle'], B: ['A', 'receptacle'] },
      change: (one) => (one.standards.makeUp = { feed, freeIn: 8, clamps: 'never' }),
    });
    return Object.fromEntries(
      joinsOf(wireHouse(house).boxes.get(box)!).map((one) => [one.signal.split('/')[0], one.via]),
    );
  };
  test.each([
    ['every device on a pigtail', 'A', 'pigtail', { hot: 'splice', neutral: 'splice', ground: 'splice' }],
    [
      'through the screws where two cables meet',
      'A',
      'through',
      { hot: 'device', neutral: 'device', ground: 'splice' },
    ],
    ['the last box has nothing to splice', 'B', 'pigtail', { hot: 'direct', neutral: 'direct', ground: 'direct' }],
  ] as const)('%s', (_, box, feed, wanted) => expect(joinsAt(box, feed)).toEqual(wanted));

  test('a neutral that waits is capped, a spare conductor of a pulled cable at both ends', () => {
    const { house } = wired({
      boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'] },
      groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
      change: (one) => (one.cables['c-S1']!.kind = '/4'),
    });
    const joins = joinsOf(wireHouse(house).boxes.get('S1')!);
    expect(joins.find((one) => one.signal.startsWith('neutral'))!.via).toBe('capped');
    const spare = joins.find((one) => one.signal.startsWith('spare'))!;
    expect([spare.via, spare.words]).toEqual(['capped', 'spare, capped']);
  });
});

test('an add-on switch in another box counts the same for the proof and for the volts', () => {
  const { net } = wired({
    boxes: {
      S1: [null, { kind: 'switch', style: 'smart' }],
      S2: ['S1', { kind: 'switch', style: 'add-on' }],
      L: ['S1', 'luminaire'],
    },
    groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
  });
  const volts = positionsOf(2).map((at) => {
    const all = new Map(net.groups[0]!.switches.map((id, i) => [id, at[i]!]));
    return Math.round(solve(net, all).across.get('L-0')!);
  });
  expect(volts).toEqual([0, 120, 120, 0]);
  expect(sightsOf(net, 'a').flat()).toEqual(['dark', 'lit', 'lit', 'dark']);
});

test('five switched wires over two cables: no white of either brings one back', () => {
  const five = Array.from({ length: 5 }, (_, i) => i);
  const made = wired({
    boxes: { S: [null, ...five.map(() => 'switch')], L: ['S', ...five.map(() => 'luminaire')] },
    groups: Object.fromEntries(five.map((i) => [`g${i}`, { switches: [`S-${i}`], controls: [`L-${i}`] }])),
  });
  const { cables } = made.wiring.runs.find((one) => one.to.id === 'L')!;
  expect(cables.map((one) => one.kind)).toEqual(['/4', '/3']);
  expect(cables.flatMap((one) => one.conductors).filter((one) => one.remarked)).toEqual([]);
});

test('of twelve switches the fault is among the suspects after a few looks, and the looks grow with the square', () => {
  const { net } = wired(chainOf(12));
  const fault = singleFaults(net, 'a').find((one) => one.id === 'S1-0 common first')!;
  expect(positionsLooked(12)).toHaveLength(1 + 12 + 66);
  const seen: (Sight | undefined)[][] = [];
  for (const p of [0, 1, 2, 3]) seen[p] = [...sightsOf(fault.net, 'a', [p])[0]!];
  const { suspects, sound } = findFaults(net, 'a', seen);
  expect(sound).toBe(false);
  expect(suspects.map((one) => one.fault.id)).toContain(fault.id);
});
