import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RESISTANCE } from '../electrical/tables';
import { CONDUCTOR_SIZES, feederSchema, TRADE_SIZES, type ConductorSize, type Feeder } from '../house/schema';
import {
  feederAmpacity,
  feederDrop,
  fitsFeeder,
  groundFor,
  laidIn,
  largestFeederBreaker,
  leastFeeder,
} from './feeder-size';
import { standardsSchema } from '../house/schema-standards';
import { leastTrade } from './raceway-fill';
import { groundConductor } from './service-conductors';

const feeder = (
  wiring: Feeder['wiring'],
  size: string,
  metal: 'copper' | 'aluminum',
  extra: { ratingA?: number; airC?: number } = {},
) => ({
  airC: extra.airC ?? 30,
  ...feederSchema.parse({
    id: 'F',
    from: 'P',
    to: 'Q',
    wiring,
    conductor: { size, metal },
    ground: '10',
    ratingA: extra.ratingA ?? 60,
  }),
});

/** Ordinary feeders, worked out from the ampacity table, 240.4(B) and 240.4(D): breaker; copper and aluminum at 75 °C; nonmetallic cable. */
describe.each([
  [30, '10', '8', '10', '10'],
  [40, '8', '8', '8', '10'],
  [50, '8', '6', '6', '10'],
  [60, '6', '4', '6', '10'],
  [70, '6', '4', '4', '8'],
  [80, '4', '3', '2', '8'],
  [90, '4', '2', '2', '8'],
  [100, '3', '1', '2', '8'],
  [125, '2', '1/0', undefined, '6'],
  [150, '1', '2/0', undefined, '6'],
  [200, '3/0', '4/0', undefined, '6'],
] as const)('a feeder of %d A', (ratingA, copper, aluminum, nonmetallic, ground) => {
  it('takes the least sizes that its breaker guards', () => {
    expect(leastFeeder({ wiring: 'raceway', airC: 30, ratingA }, 'copper', 0, false)).toEqual({ size: copper, ground });
    expect(leastFeeder({ wiring: 'service-entrance', airC: 30, ratingA }, 'aluminum', 0, false)?.size).toBe(aluminum);
    expect(leastFeeder({ wiring: 'nonmetallic', airC: 30, ratingA }, 'copper', 0, false)?.size).toBe(nonmetallic);
    expect(groundConductor(ratingA)).toBe(ground);
  });
});

describe('what a feeder carries', () => {
  it.each([
    ['nonmetallic', '6', 'copper', 55, 60],
    ['raceway', '6', 'copper', 65, 70],
    ['underground', '6', 'copper', 55, 60],
    ['service-entrance', '2', 'aluminum', 90, 90],
    ['service-entrance', '4/0', 'aluminum', 180, 200],
    ['raceway', '10', 'copper', 35, 30],
    ['raceway', '250 kcmil', 'copper', 255, 300],
  ] as const)('%s No. %s %s: %d A, behind %d A at most', (wiring, size, metal, carries, breaker) => {
    expect(feederAmpacity(feeder(wiring, size, metal))).toBe(carries);
    expect(largestFeederBreaker(feeder(wiring, size, metal))).toBe(breaker);
  });

  it('in an attic of 130 °F: No. 6 nonmetallic, 75 A at 90 °C by 0.76, holds its 55 A; No. 2 aluminum its 76 of 90', () => {
    expect(feederAmpacity(feeder('nonmetallic', '6', 'copper', { airC: 54.4 }))).toBe(55);
    expect(feederAmpacity(feeder('service-entrance', '2', 'aluminum', { airC: 54.4 }))).toBeCloseTo(76, 6);
  });

  it('lies in the attic of its house, as hot as somebody has said', () => {
    const stored = { inAttic: true };
    expect(laidIn({ standards: standardsSchema.parse({}) }, stored).airC).toBeCloseTo(54.4, 1);
    const hot = laidIn({ standards: standardsSchema.parse({ atticF: 160 }) }, stored);
    expect(feederAmpacity({ ...feeder('nonmetallic', '6', 'copper'), ...hot })).toBe(37.5);
    expect(laidIn({ standards: standardsSchema.parse({ atticF: 160 }) }, {}).airC).toBe(30);
  });

  it('a whole dwelling takes 83 %: No. 4 copper or No. 2 aluminum for 100 A, which a part of one does not', () => {
    for (const [size, metal] of [
      ['4', 'copper'],
      ['2', 'aluminum'],
    ] as const) {
      const one = feeder('service-entrance', size, metal, { ratingA: 100 });
      expect(fitsFeeder(one, 50, true)).toBe(true);
      expect(fitsFeeder(one, 50, false)).toBe(false);
    }
    expect(fitsFeeder(feeder('nonmetallic', '4', 'copper', { ratingA: 100 }), 50, true), 'never at 60 °C').toBe(false);
  });

  it('more load never asks for less, and the ground never exceeds the conductors', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 180 }),
        fc.constantFrom(60, 70, 100, 125, 150, 200),
        fc.constantFrom('copper' as const, 'aluminum' as const),
        fc.constantFrom(...CONDUCTOR_SIZES.slice(4)),
        (load, ratingA, metal, size) => {
          const order = (one: string | undefined) => CONDUCTOR_SIZES.indexOf(one as '6');
          const less = leastFeeder({ wiring: 'raceway', airC: 30, ratingA }, metal, load, false);
          const more = leastFeeder({ wiring: 'raceway', airC: 30, ratingA }, metal, load + 20, false);
          if (more) expect(order(more.size)).toBeGreaterThanOrEqual(order(less!.size));
          const ground = groundFor(feeder('raceway', size, metal, { ratingA }), load);
          if (ground && feederAmpacity(feeder('raceway', size, metal)) >= ratingA)
            expect(order(ground)).toBeLessThanOrEqual(order(size));
          const trade = leastTrade({ conductor: { size, metal }, poles: 2, ground: '10' }, 'pvc-40');
          const thick = leastTrade({ conductor: { size, metal }, poles: 2, ground: '10' }, 'pvc-80');
          if (thick) expect(TRADE_SIZES.indexOf(thick)).toBeGreaterThanOrEqual(TRADE_SIZES.indexOf(trade!));
        },
      ),
    ));

  // Two sources of 120 V, a wire each way of so many ohms, loads as currents: what ngspice finds at the heavier load.
  it.each([
    ['6', undefined, 'copper', 45, 15, 120],
    ['2', '4', 'aluminum', 80, 30, 200],
    ['4', undefined, 'copper', 50, 50, 150],
    ['1/0', '4', 'copper', 90, 20, 300],
  ] as const)(
    'loses what ngspice says: No. %s, neutral %s, %s, %i and %i A over %i ft',
    (size, neutral, metal, a, b, ft) => {
      const ohms = (one: ConductorSize) => (RESISTANCE[one][metal === 'copper' ? 1 : 2] / 1000) * ft;
      const deck = join(mkdtempSync(join(tmpdir(), 'winculum-feeder-')), 'feeder.cir');
      writeFileSync(
        deck,
        [
          'a feeder of three wires',
          'VA sa 0 120',
          'VB 0 sb 120',
          `RA sa la ${ohms(size)}`,
          `RB sb lb ${ohms(size)}`,
          `RN 0 ln ${ohms(neutral ?? size)}`,
          `IA la ln ${a}`,
          `IB ln lb ${b}`,
          '.control',
          'op',
          'print v(la)-v(ln)',
          '.endc',
          '.end',
        ].join('\n'),
      );
      const { stdout } = spawnSync('ngspice', ['-b', deck], { encoding: 'utf8' });
      const volts = Number(/v\(la\)-v\(ln\) = (\S+)/.exec(stdout)?.[1]);
      const drop = feederDrop({ conductor: { size, metal }, neutral, poles: 2 }, a, ft, a - b);
      expect(drop).toBeCloseTo((120 - volts) / 120, 6);
    },
  );
});
