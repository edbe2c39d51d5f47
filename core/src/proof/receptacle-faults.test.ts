import { describe, expect, it } from 'vitest';
import { wired } from '../test/wiring-house';
import { receptacleFaults, testerReadings } from './receptacle-faults';

/** Two receptacles in a row, each on pigtails, so that what is wrong at one device stays there. */
const { net } = wired({ boxes: { R: [null, 'receptacle'], R2: ['R', 'receptacle'] } });
const faults = receptacleFaults(net);
const readingOf = (id: string) => {
  const fault = faults.find((one) => one.id === id);
  if (!fault) throw new Error(`no fault ${id}: ${faults.map((one) => one.id).join(', ')}`);
  return ['R-0', 'R2-0'].map((receptacle) => testerReadings(fault.net).get(receptacle));
};

describe('what a tester shows at two receptacles', () => {
  it('that are right', () => expect([...testerReadings(net).values()]).toEqual(['right', 'right']));

  it.each([
    ['R-0 reversed', 'hot-neutral-reversed', 'right'],
    ['R-0 loose hot', 'open-hot', 'right'],
    ['R-0 loose neutral', 'open-neutral', 'right'],
    ['R-0 loose ground', 'open-ground', 'right'],
    ['R-0 hot to ground', 'hot-ground-reversed', 'right'],
    ['R2-0 reversed', 'right', 'hot-neutral-reversed'],
    ['R2-0 loose hot', 'right', 'open-hot'],
  ])('%s', (id, first, second) => expect(readingOf(id)).toEqual([first, second]));

  it('opened somewhere on the way goes dead behind it, and never before it', () => {
    const opened = faults.filter((one) => one.id.startsWith('open '));
    expect(opened.length).toBeGreaterThanOrEqual(6);
    for (const { id, words, net: changed } of opened) {
      const [first, second] = ['R-0', 'R2-0'].map((one) => testerReadings(changed).get(one));
      const kind = words.startsWith('black') ? 'open-hot' : words.startsWith('white') ? 'open-neutral' : 'open-ground';
      expect(second, id).toBe(kind);
      expect(['right', kind], id).toContain(first);
      // A splice at the panel is made by one person, under a cover that nobody opens.
      expect(words, id).toMatch(/: open at its (first|far) end$/);
    }
    expect(opened.some((one) => testerReadings(one.net).get('R-0') === 'right')).toBe(true);
    expect(opened.some((one) => testerReadings(one.net).get('R-0') === 'open-hot')).toBe(true);
  });

  it('is nothing at all where hot meets ground anywhere', () => {
    const hot = net.node.get('R-0.hot')!;
    const short = {
      ...net,
      node: new Map([...net.node].map(([pin, at]) => [pin, at === net.node.get('R-0.ground') ? hot : at])),
    };
    expect([...testerReadings(short).values()]).toEqual(['dead', 'dead']);
  });

  it('is not asked of one that a switch makes dead', () => {
    const half = wired({
      boxes: { S: [null, 'switch'], R: ['S', { kind: 'receptacle', switched: 'whole' }] },
      groups: { a: { switches: ['S-0'], controls: ['R-0'] } },
    }).net;
    expect(testerReadings(half).size).toBe(0);
  });
});
