import { describe, expect, it } from 'vitest';
import { chainOf, wired } from '../test/wiring-house';
import { positionsOf, sightsOf } from './diagnose';
import { singleFaults } from './faults';
import type { Netlist } from './netlist';

const idsAt = (net: Netlist, device: string): string[] =>
  singleFaults(net, 'a')
    .map((one) => one.id)
    .filter((id) => id.startsWith(`${device} `))
    .map((id) => id.slice(device.length + 1))
    .sort();

describe('what can go wrong at a switch, by what it is', () => {
  const three = wired(chainOf(3)).net;
  it.each<[what: string, net: Netlist, device: string, faults: string[]]>([
    ['a single-pole switch', wired(chainOf(1)).net, 'S1-0', ['line-load', 'loose line', 'loose load']],
    [
      'a three-way',
      three,
      'S1-0',
      ['common first', 'common second', 'loose common', 'loose t1', 'loose t2', 'single-pole'],
    ],
    [
      'a four-way',
      three,
      'S2-0',
      ['loose a1', 'loose a2', 'loose b1', 'loose b2', 'pairs', 'pairs across', 'three-way 1', 'three-way 2'],
    ],
    ['a lamp', three, 'L-0', ['hot', 'neutral', 'reversed', 'short']],
  ])('%s', (_, net, device, faults) => {
    expect(idsAt(net, device)).toEqual(faults);
  });

  it('names lamps of its own group alone', () => {
    const { net } = wired({
      boxes: { S1: [null, 'switch', 'switch'], L: ['S1', 'luminaire'], M: ['S1', 'luminaire'] },
      groups: {
        a: { switches: ['S1-0'], controls: ['L-0'] },
        b: { switches: ['S1-1'], controls: ['M-0'] },
      },
    });
    expect(idsAt(net, 'L-0').length).toBeGreaterThan(2);
    expect(idsAt(net, 'M-0')).toEqual([]);
  });

  it('each of them changes what is joined, and the four-way as a three-way loses one wire', () => {
    for (const { id, net } of singleFaults(three, 'a')) {
      expect([id, net === three]).toEqual([id, false]);
      const changed = [...net.node].filter(([pin, node]) => three.node.get(pin) !== node).length;
      const isDevice = /single-pole|three-way/.test(id);
      expect(changed > 0 || isDevice, id).toBe(true);
    }
  });
});

describe('what the lamps show', () => {
  const { net } = wired(chainOf(2));
  const joined = (a: string, b: string): Netlist => {
    const [from, to] = [net.node.get(a)!, net.node.get(b)!];
    return { ...net, node: new Map([...net.node].map(([pin, node]) => [pin, node === from ? to : node])) };
  };
  const lit = sightsOf(net, 'a').map(([lamp]) => lamp);

  it('of sound wiring follows the parity of the switches', () => {
    const odd = positionsOf(2).map((one) => (one[0]! + one[1]!) % 2 === 1);
    expect(lit.map((one) => one === 'lit')).toEqual(odd.map((one) => one === (lit[1] === 'lit')));
    expect(new Set(lit)).toEqual(new Set(['lit', 'dark']));
  });

  it.each([
    ['neutral', 'L-0.neutral'],
    ['ground', 'L-0.ground'],
  ])('trips the breaker with the lamp hot joined to %s, wherever it would be lit', (_, other) => {
    const sights = sightsOf(joined('L-0.hot', other), 'a').map(([lamp]) => lamp);
    expect(sights).toEqual(lit.map((one) => (one === 'lit' ? 'trips' : 'dark')));
  });

  it('is what it was with neutral and ground joined: no breaker opens on that', () => {
    expect(sightsOf(joined('L-0.neutral', 'L-0.ground'), 'a').map(([lamp]) => lamp)).toEqual(lit);
  });
});
