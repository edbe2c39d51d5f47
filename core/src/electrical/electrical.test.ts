import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cableAmpacity, largestBreakerFor, nextStandardRating } from './conductors';
import { AMBIENT_FACTORS, AMPACITY_A, bundleFactor, motorAmps, RESISTANCE, welderShare, type Metal } from './tables';
import { sizeForDrop, voltageDrop } from './voltage-drop';
import { AWG_SIZES, type Awg } from '../house/schema';

const METALS: readonly Metal[] = ['copper', 'aluminum'];

describe('recalled tables agree with physics', () => {
  it.each(METALS)('%s: every column rises with size, and with temperature', (metal) => {
    const rows = AWG_SIZES.flatMap((awg) => AMPACITY_A[metal][awg] ?? []);
    const columns = [0, 1, 2].map((i) => rows.filter((_, n) => n % 3 === i));
    for (const column of columns) expect(column).toEqual(column.toSorted((a, b) => a - b));
    columns[0]!.forEach((low, i) => {
      expect(low).toBeLessThan(columns[1]![i]!);
      expect(columns[1]![i]!).toBeLessThan(columns[2]![i]!);
    });
  });

  // Heat that leaves a conductor goes with its rise over the air: the factor is √((Tc − Ta) ÷ (Tc − 30)).
  it.each(
    AMBIENT_FACTORS.flatMap(([upTo, ...factors]) =>
      factors.flatMap((factor, i) => (factor === 0 ? [] : [[upTo, [60, 75, 90][i]!, factor] as const])),
    ),
  )('air at %i °C, conductor at %i °C: %f', (air, conductor, factor) =>
    expect(Math.sqrt((conductor - air) / (conductor - 30))).toBeCloseTo(factor, 1),
  );

  /** Handbook resistivity at 20 °C, ohm-mm²/m, and temperature coefficient; copper of 100 % and aluminum of 61 % IACS. */
  const MATERIAL = { copper: [0.017241, 0.00393, 1], aluminum: [0.028264, 0.00403, 2] } as const;
  it.each(AWG_SIZES.flatMap((awg) => METALS.map((metal) => [awg, metal] as const)))(
    'No. %s %s: resistance follows from resistivity and area within 3 %%',
    (awg, metal) => {
      const [rho, alpha, column] = MATERIAL[metal];
      const [mils] = RESISTANCE[awg];
      const area = mils * 5.067e-4;
      const perKft = ((rho * (1 + alpha * 55)) / area) * 304.8;
      expect(Math.abs(RESISTANCE[awg][column] / perKft - 1)).toBeLessThan(0.03);
    },
  );

  // The wire gauge is a geometric series: 39 steps from 5 mil (No. 36) to 460 mil (No. 4/0).
  it.each(AWG_SIZES.map((awg) => [awg]))('No. %s has the area of its gauge', (awg) => {
    const n = awg.includes('/') ? 1 - Number(awg.split('/')[0]) : Number(awg);
    const mils = (5 * 92 ** ((36 - n) / 39)) ** 2;
    expect(Math.abs(RESISTANCE[awg][0] / mils - 1)).toBeLessThan(0.005);
  });

  it.each([
    [1.5, 10, 12.5, 25],
    [2, 12, 15, 30],
    [3, 17, 21.25, 45],
    [5, 28, 35, 70],
    [7.5, 40, 50, 100],
  ])('%f hp at 230 V: %f A, conductor %f A, breaker %i A at most', (hp, amps, conductor, breaker) => {
    expect(motorAmps(hp, 240)).toBe(amps);
    expect(amps * 1.25).toBe(conductor);
    expect(nextStandardRating(amps * 2.5)).toBe(breaker);
    expect(motorAmps(hp, 120)).toBeCloseTo(amps * 2, 0);
  });
});

// Heat goes with the square of the current, so the share is about the root of the duty cycle.
it.each([20, 30, 40, 50, 60, 70, 80, 90, 100])('a welder at %i % duty', (duty) =>
  expect(Math.abs(welderShare(duty) - Math.sqrt(duty / 100))).toBeLessThan(0.006),
);

describe('cables as they lie', () => {
  // Columns: size, cables through one sealed opening, what it carries, the largest breaker for one load.
  it.each([
    ['14', 2, 15, 15],
    ['14', 3, 15, 15],
    ['14', 4, 15, 15],
    ['14', 5, 12.5, 15],
    ['12', 4, 20, 20],
    ['12', 5, 15, 15],
    ['10', 3, 30, 30],
    ['10', 4, 28, 30],
    ['10', 5, 20, 20],
    ['8', 4, 38.5, 40],
    ['6', 1, 55, 60],
    ['6', 5, 37.5, 40],
  ] as const)('No. %s, %i together: %f A, breaker %i A', (awg, cables, carries, breaker) => {
    expect(cableAmpacity(awg, { cables }).ampacityA).toBeCloseTo(carries, 6);
    expect(largestBreakerFor(awg, false, { cables })).toBe(breaker);
  });

  it.each([
    ['14', 50, 15],
    ['12', 55, 20],
    ['10', 55, 30],
    ['10', 60, 28.4],
    ['14', 90, 0],
  ] as const)('No. %s in air of %i °C: %f A', (awg, ambientC, carries) =>
    expect(cableAmpacity(awg, { ambientC }).ampacityA).toBeCloseTo(carries, 6),
  );

  it('more cables or hotter air never carry more, a larger size never less', () => {
    const lying = { cables: fc.integer({ min: 1, max: 30 }), ambientC: fc.integer({ min: 10, max: 80 }) };
    fc.assert(
      fc.property(fc.constantFrom(...AWG_SIZES.slice(1)), fc.record(lying), (awg, one) => {
        const now = cableAmpacity(awg, one).ampacityA;
        expect(cableAmpacity(awg, { ...one, cables: one.cables + 1 }).ampacityA).toBeLessThanOrEqual(now);
        expect(cableAmpacity(awg, { ...one, ambientC: one.ambientC + 5 }).ampacityA).toBeLessThanOrEqual(now);
        const smaller: Awg = AWG_SIZES[AWG_SIZES.indexOf(awg) - 1]!;
        expect(cableAmpacity(smaller, one).ampacityA).toBeLessThanOrEqual(now);
      }),
    );
    expect([3, 4, 6, 7, 10, 21, 31, 41].map(bundleFactor)).toEqual([1, 0.8, 0.8, 0.7, 0.5, 0.45, 0.4, 0.35]);
  });
});

describe('voltage drop', () => {
  /** Worked with K = 12.9 for copper and 21.2 for aluminum, 2 · K · I · L ÷ circular mils: *common practice*. */
  it.each([
    [16, 75, 120, '12', 'copper', 12.9],
    [12, 100, 120, '14', 'copper', 12.9],
    [24, 150, 240, '10', 'copper', 12.9],
    [160, 150, 240, '4/0', 'aluminum', 21.2],
    [48, 200, 240, '4', 'aluminum', 21.2],
    [16, 250, 120, '8', 'copper', 12.9],
  ] as const)('%i A over %i ft at %i V on No. %s %s', (amps, feet, volts, awg, metal, k) => {
    const byK = (2 * k * amps * feet) / RESISTANCE[awg][0];
    expect(Math.abs(voltageDrop(amps, feet, volts, awg, metal).volts / byK - 1)).toBeLessThan(0.03);
  });

  it('a larger conductor never drops more, and the cure keeps within the limit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.constantFrom(...AWG_SIZES.slice(0, -1)),
        (amps, feet, awg) => {
          const larger = AWG_SIZES[AWG_SIZES.indexOf(awg) + 1]!;
          expect(voltageDrop(amps, feet, 120, larger).share).toBeLessThan(voltageDrop(amps, feet, 120, awg).share);
          const cure = sizeForDrop(amps, feet, 120, awg);
          if (cure) expect(voltageDrop(amps, feet, 120, cure).share).toBeLessThanOrEqual(0.03 + 1e-9);
        },
      ),
    );
  });
});
