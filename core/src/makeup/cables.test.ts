import { describe, expect, it } from 'vitest';
import { share } from './cables';
import type { Signal } from './signals';

const signal = (kind: Signal['kind'], key: string, side = 'a'): Signal => ({ key, kind, of: 'Q', side, words: key });
const hot = (side = 'a') => signal('hot', `hot ${side}`, side);
const neutral = (side = 'a') => signal('neutral', `neutral ${side}`, side);
const leg = (n: number, side = 'a') => signal('leg', `leg ${n} ${side}`, side);
const traveler = (n: number, side = 'a') => signal('traveler', `traveler ${n} ${side}`, side);
const keys = (cables: readonly (readonly Signal[])[]) => cables.map((one) => one.map(({ key }) => key));

describe('what crosses, shared among cables', () => {
  it.each<[what: string, crossing: Signal[], cables: number[]]>([
    ['a hot and its neutral', [hot(), neutral()], [2]],
    ['four with one neutral', [hot(), neutral(), leg(1), leg(2)], [4]],
    ['five of one side: three and two, no lone one', [hot(), neutral(), leg(1), leg(2), leg(3)], [3, 2]],
    ['six of one side: four and two', [hot(), neutral(), leg(1), leg(2), leg(3), leg(4)], [4, 2]],
    ['two neutrals: a cable for each side', [hot('a'), neutral('a'), hot('b'), neutral('b')], [2, 2]],
    [
      'two travelers without a neutral go along where there is room for both',
      [hot('a'), neutral('a'), hot('b'), neutral('b'), traveler(1, 'c'), traveler(2, 'c')],
      [4, 2],
    ],
    [
      'three have no room beside a hot and a neutral: a cable of their own',
      [hot('a'), neutral('a'), hot('b'), neutral('b'), traveler(1, 'c'), traveler(2, 'c'), leg(1, 'c')],
      [2, 2, 3],
    ],
  ])('%s', (_, crossing, sizes) => {
    expect(share(crossing).map((one) => one.length)).toEqual(sizes);
  });

  it('keeps the neutral of a side in its first cable', () => {
    const [first] = keys(share([hot('a'), leg(1), neutral('a'), hot('b'), neutral('b')]));
    expect(first![0]).toBe('neutral a');
  });

  it('loses nothing, and puts no cable over four nor two neutrals into one: whatever crosses', () => {
    let seed = 7;
    const random = (most: number) => (seed = (seed * 48_271) % 2_147_483_647) % most;
    for (let n = 0; n < 500; n++) {
      const crossing = ['a', 'b', 'c'].flatMap((side) => [
        ...(random(3) > 0 ? [hot(side)] : []),
        ...(random(2) > 0 ? [neutral(side)] : []),
        ...Array.from({ length: random(4) }, (_, i) => leg(i, side)),
        ...(random(3) === 0 ? [traveler(1, side), traveler(2, side)] : []),
      ]);
      if (crossing.length === 0) continue;
      const cables = share(crossing);
      expect(keys(cables).flat().toSorted()).toEqual(crossing.map((one) => one.key).toSorted());
      for (const cable of cables) {
        expect(cable.length).toBeGreaterThan(0);
        expect(cable.length).toBeLessThanOrEqual(4);
        expect(cable.filter((one) => one.kind === 'neutral').length).toBeLessThanOrEqual(1);
        // What has a neutral of its own here comes back by it, in cables of its side.
        const own = cable.find((one) => one.kind === 'neutral')?.side;
        const withNeutral = new Set(crossing.filter((one) => one.kind === 'neutral').map((one) => one.side));
        if (withNeutral.size > 1 && own !== undefined)
          for (const { side } of cable) expect(side === own || !withNeutral.has(side)).toBe(true);
      }
    }
  });
});
