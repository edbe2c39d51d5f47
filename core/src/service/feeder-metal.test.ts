import { describe, expect, it } from 'vitest';
import { feederMetal } from './feeder-metal';
import { standbyCord } from './standby-cord';

describe('the metal of a feeder', () => {
  it.each([
    // Bare 1/0 in handbooks: 319.5 lb a thousand feet of copper, 97.0 of aluminum; three of them, no ground.
    ['copper', '1/0', 1000, 3 * 319.5],
    ['aluminum', '1/0', 1000, 3 * 97],
    // 4/0 copper: 640.5 lb.
    ['copper', '4/0', 100, 3 * 64.05],
  ] as const)('%s, No. %s over %i ft weighs %d lb, by handbook', (metal, size, ft, lb) => {
    const found = feederMetal({ conductor: { size, metal }, ground: 'raceway', poles: 2 }, ft);
    expect(found.lb / lb).toBeCloseTo(1, 2);
    expect(found.dollars).toBeGreaterThan(found.lb);
  });

  it('counts neutral and ground by their own sizes, and one conductor less for one pole', () => {
    const of = (extra: object) =>
      feederMetal({ conductor: { size: '2', metal: 'copper' }, ground: 'none', poles: 2, ...extra } as never, 100).lb;
    const one = of({}) / 3;
    expect(of({ poles: 1 })).toBeCloseTo(2 * one, 9);
    expect(of({ neutral: '4' })).toBeLessThan(of({}));
    expect(of({ ground: '8' }) - of({})).toBeCloseTo((16_510 / 66_360) * one, 3);
  });
});

describe('the cord of a generator', () => {
  it.each([
    [2_400, '120', 20, '12'],
    [3_600, '120', 30, '10'],
    [5_000, '120/240', 30, '10'],
    [7_200, '120/240', 30, '10'],
    [7_201, '120/240', 50, '6'],
    [12_000, '120/240', 50, '6'],
    [12_001, '120/240', undefined, undefined],
  ] as const)('%i W at %s V: inlet of %s A, No. %s', (runningW, volts, inletA, awg) =>
    expect(standbyCord({ runningW, volts })).toMatchObject({ inletA, awg }),
  );
});
