import { describe, expect, it } from 'vitest';
import { chainOf, wired } from '../test/wiring-house';
import { Conduction, isSmartClosed } from './conduction';
import { positionsOf, quickestTest, sightsOf } from './diagnose';
import { crossedCables, singleFaults } from './faults';
import type { Netlist, SwitchPart } from './netlist';
import { prove } from './prove';
import { solve } from './solve';

/** A smart switch S between hot and lamp, with its neutral and its add-on A on one signal; what somebody connected otherwise. */
function smartNet(other: Readonly<Record<string, number | undefined>> = {}) {
  const places: Record<string, number | undefined> = {
    hot: 0,
    neutral: 1,
    'S.line': 0,
    'S.load': 2,
    'S.signal': 3,
    'S.neutral': 1,
    'A.line': 0,
    'A.signal': 3,
    ...other,
  };
  const at = (device: string) =>
    Object.fromEntries(
      Object.keys(places)
        .filter((one) => one.startsWith(`${device}.`) && places[one] !== undefined)
        .map((one) => [one.slice(2), one]),
    );
  const switches: SwitchPart[] = [
    { id: 'S', label: 'S', hardware: 'smart', at: at('S') },
    { id: 'A', label: 'A', hardware: 'add-on', at: at('A') },
  ];
  const net: Netlist = {
    node: new Map(Object.entries(places).flatMap(([pin, node]) => (node === undefined ? [] : [[pin, node] as const]))),
    wires: [],
    switches,
    loads: [],
    gfcis: [],
    sources: [
      { id: 'Q', kind: 'hot', point: 'hot', volts: 120 },
      { id: 'N', kind: 'neutral', point: 'neutral', volts: 0 },
    ],
    groups: [],
    grounds: [],
    waiting: [],
    joins: [],
  };
  return { net, smart: switches[0]! };
}

describe('a smart switch', () => {
  it.each<[what: string, net: Record<string, number | undefined>, pressed: [S: number, A: number], closed: boolean]>([
    ['pressed once', {}, [1, 0], true],
    ['not pressed', {}, [0, 0], false],
    ['its add-on pressed', {}, [0, 1], true],
    ['both pressed', {}, [1, 1], false],
    ['an add-on without a hot', { 'A.line': 9 }, [0, 1], false],
    ['an add-on with no line at all', { 'A.line': undefined }, [0, 1], false],
    ['an add-on on another wire', { 'A.signal': 9 }, [0, 1], false],
    ['the same, and the switch itself pressed', { 'A.signal': 9 }, [1, 1], true],
    ['its neutral loose', { 'S.neutral': 9 }, [1, 0], false],
    ['its neutral on the hot', { 'S.neutral': 0 }, [1, 0], false],
    ['made for no neutral', { 'S.neutral': undefined }, [1, 0], true],
  ])('%s', (_, other, [s, a], closed) => {
    const { net, smart } = smartNet(other);
    const positions = new Map([
      ['S', s],
      ['A', a],
    ]);
    const now = new Conduction(net).with(positions);
    expect(isSmartClosed(net, now, smart, positions)).toBe(closed);
    expect(now.same('S.line', 'S.load')).toBe(closed);
    // Any other switch is none, however it is pressed.
    expect(isSmartClosed(net, now, { ...smart, hardware: 'three-way' }, positions)).toBe(false);
  });
});

describe('a cable whose black and white are interchanged', () => {
  const { net } = wired({ boxes: { R: [null, 'receptacle'], R2: ['R', 'receptacle'] } });

  it('is one fault for each cable that has both, named by where the cable runs', () => {
    const faults = crossedCables(net);
    expect(faults).toHaveLength(2);
    for (const { words, net: changed } of faults) {
      expect(words).toMatch(/^(?!black,).+: black and white of this cable are interchanged where it ends$/);
      expect(prove(changed).ok).toBe(false);
    }
    expect(new Set(faults.map((one) => one.words)).size).toBe(2);
    const noWhite = { ...net, wires: net.wires.filter((one) => !one.label.startsWith('white,')) };
    expect(crossedCables(noWhite)).toEqual([]);
    const noBlack = { ...net, wires: net.wires.filter((one) => !one.label.startsWith('black,')) };
    expect(crossedCables(noBlack)).toEqual([]);
  });

  it('is told once, though it shows with the switches in either position', () => {
    const messages = crossedCables(net).flatMap((one) => prove(one.net).flaws.map((flaw) => flaw.message));
    const [first] = crossedCables(net);
    const told = prove(first!.net).flaws.map((flaw) => flaw.message);
    expect(messages.length).toBeGreaterThan(0);
    expect(new Set(told).size).toBe(told.length);
    // What is wrong at either receptacle is told, not the first thing alone.
    expect(told.length).toBeGreaterThan(1);
  });
});

describe('the quickest test with a meter', () => {
  const two = wired({
    boxes: { S1: [null, 'switch', 'switch'], L: ['S1', 'luminaire'], M: ['L', 'luminaire'] },
    groups: {
      a: { switches: ['S1-0'], controls: ['L-0'] },
      b: { switches: ['S1-1'], controls: ['M-0'] },
    },
  }).net;
  const faults = singleFaults(two, 'a').filter((one) => one.id === 'L-0 hot' || one.id === 'L-0 neutral');
  const suspects = faults.map((fault) => ({ fault, sights: sightsOf(fault.net, 'a') }));

  it('is at the lamp of the group where only that tells a loose hot from a loose neutral', () => {
    expect(faults).toHaveLength(2);
    const test = quickestTest(two, 'a', suspects as never)!;
    expect(test.label).toMatch(/lamp hot$/);
    expect(test.pin).toBe(two.loads.find((one) => one.group === 'a')!.a);
    expect(test.readings.map((one) => one.suspects.length)).toEqual([1, 1]);
  });

  it('leaves as few as can be together, of all screws, lamps and positions', () => {
    const { net } = wired(chainOf(3));
    const all = singleFaults(net, 'a').map((fault) => ({ fault, sights: sightsOf(fault.net, 'a') }));
    const tripping = all.filter((one) => one.sights.some((sights) => sights.includes('trips')));
    const quiet = all.filter((one) => !tripping.includes(one));
    expect(Math.min(tripping.length, quiet.length)).toBeGreaterThan(0);
    const some = [...quiet.slice(0, 6), ...tripping.slice(0, 1)];
    const found = quickestTest(net, 'a', some as never)!;
    // Whoever trips the breaker shows no volts: it is in no reading.
    expect(found.readings.flatMap((one) => one.suspects).sort()).toEqual(
      quiet
        .slice(0, 6)
        .map((one) => one.fault.words)
        .sort(),
    );
    for (const { volts } of found.readings) expect(volts % 30).toBe(0);
    expect(Math.max(...found.readings.map((one) => one.volts))).toBeLessThanOrEqual(120);
    const [group] = net.groups;
    const pins = net.switches.flatMap((one) =>
      Object.entries(one.at).flatMap(([name, pin]) => (name === 'ground' ? [] : [pin])),
    );
    const worstAt = (pin: string, positions: ReadonlyMap<string, number>) => {
      const readings = new Map<number, number>();
      for (const { fault } of quiet.slice(0, 6)) {
        const volts = Math.round(Math.abs(solve(fault.net, positions).volts(pin)) / 30);
        readings.set(volts, (readings.get(volts) ?? 0) + 1);
      }
      return Math.max(...readings.values());
    };
    const least = Math.min(
      ...positionsOf(3)
        .slice(0, 4)
        .flatMap((positions) => {
          const at = new Map(group!.switches.map((id, i) => [id, positions[i]!]));
          return [...pins, net.loads[0]!.a].map((pin) => worstAt(pin, at));
        }),
    );
    expect(Math.max(...found.readings.map((one) => one.suspects.length))).toBe(least);
  });

  it('of one suspect is none', () => {
    expect(quickestTest(wired(chainOf(1)).net, 'a', suspects.slice(0, 1) as never)).toBeUndefined();
  });
});
