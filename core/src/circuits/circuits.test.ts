import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aHouse } from '../test/house-builder';
import { measureCircuitLoad } from './circuit-load';
import { isTappedCooking } from './cooking';
import { indexOutlets, outletsOn } from './outlets';
import { sizeCircuit } from './sizing';
import { suggestCircuit } from './suggest';
import { largestBreakerFor, NM_COPPER_A, smallestNmFor } from '../electrical/conductors';
import type { LoadKind } from '../house/schema-equipment';
import { AWG_SIZES, type House } from '../house/schema';
import { ampsOf, LOAD_LIBRARY } from '../loads/library';
import { checkHouse } from '../nec/check-house';
import { arrangePanel } from '../panel/arrange';
import { writeDirectoryEntry } from '../panel/directory';
import { spacesOf } from '../circuits/panel-spaces';
import { buildSchedule, legOf } from '../panel/schedule';

const den = () => aHouse().room('den', 'den', [0, 0, 400, 400]);
const loadOf = (house: House, id = 'A') => measureCircuitLoad(house, house.circuits[id]!);

describe('circuit sums of the trade', () => {
  it('311 W of lights and four receptacles at 180 VA are 8.6 A (common practice)', () => {
    const house = [40, 80, 120, 160]
      .reduce(
        (built, at) => built.receptacle('den', 'c0', at, { circuit: 'A' }),
        den().circuit('A', 15).ceiling('den', 'luminaire', 'A', { va: 311 }),
      )
      .build();
    expect(loadOf(house).va).toBe(1031);
    expect(loadOf(house).amps).toBeCloseTo(8.59, 2);
  });

  it.each([
    ['yoke-80', 20, 10, 0.9375],
    ['yoke-80', 15, 8, 1],
    ['yoke-100', 20, 13, 0.975],
    ['yoke-100', 15, 10, 1],
    ['area', 20, 12, 1],
  ] as const)('standard %s on %i A: %i receptacles use %f of it', (standard, rating, n, used) => {
    const builder = Array.from({ length: n }, (_, i) => i).reduce(
      (built, i) => built.receptacle('den', 'c0', 5 + 20 * i, { circuit: 'A' }),
      den().circuit('A', rating),
    );
    const house = builder.with((one) => (one.standards.receptacleCount = standard)).build();
    expect(loadOf(house).used).toBeCloseTo(used, 6);
  });

  it('a 4,500 W water heater: 18.75 A, sized 23.4 A (422.13)', () => {
    const house = den().circuit('A', 30, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A').build();
    expect(loadOf(house).amps).toBe(18.75);
    expect(loadOf(house).sizedAmps).toBeCloseTo(23.44, 2);
    expect(suggestCircuit(house, outletsOn(house, house.circuits['A']!))).toMatchObject({
      poles: 2,
      ratingA: 30,
      awg: '10',
      purpose: 'individual',
    });
  });

  it('adding a load never lowers the amperes', () => {
    const kinds = Object.keys(LOAD_LIBRARY) as LoadKind[];
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...kinds), { minLength: 1, maxLength: 8 }), (list) => {
        const amps = list.map(
          (_, n) =>
            loadOf(
              list
                .slice(0, n + 1)
                .reduce((built, kind, i) => built.load(kind, 'den', 'c0', 5 + 40 * i, 'A'), den().circuit('A', 20))
                .build(),
            ).amps,
        );
        amps.slice(1).forEach((next, i) => expect(next).toBeGreaterThan(amps[i]!));
      }),
      { numRuns: 25 },
    );
  });
});

describe('cooking, Table 220.55 for one range', () => {
  const range = (va: number) => {
    const house = aHouse()
      .room('k', 'kitchen', [0, 0, 144, 144])
      .circuit('A', 50, { poles: 2 })
      .load('range', 'k', 'c0', 30, 'A', { va })
      .build();
    return sizeCircuit(house, house.circuits['A']!);
  };
  it.each([
    [8_000, 8_000, 0],
    [9_000, 8_000, 40],
    [12_000, 8_000, 40],
    [14_000, 8_800, 40],
    [16_000, 9_600, 40],
    [18_000, 10_400, 43.33],
    [22_000, 12_000, 50],
  ])('a range of %i VA counts %i VA and wants a breaker of %f A or more', (plate, demand, least) => {
    const { conductorA, leastBreakerA } = range(plate);
    expect(conductorA).toBeCloseTo(demand / 240, 6);
    expect(leastBreakerA).toBeCloseTo(Math.max(least, demand / 240), 1);
  });

  it('a cooktop and two ovens are one range, tapped from 50 A', () => {
    const house = aHouse()
      .room('k', 'kitchen', [0, 0, 144, 144])
      .circuit('A', 50, { poles: 2 })
      .load('cooktop', 'k', 'c0', 30, 'A', { va: 7_000 })
      .load('oven', 'k', 'c1', 30, 'A', { va: 4_500 })
      .load('oven', 'k', 'c1', 70, 'A', { va: 4_500 })
      .build();
    expect(sizeCircuit(house, house.circuits['A']!).conductorA).toBeCloseTo(9_600 / 240, 6);
    expect(isTappedCooking(house, house.circuits['A']!)).toBe(true);
    const check = checkHouse(house).findings.filter((one) => one.kind === 'fail' && one.where.circuit === 'A');
    expect(check.filter((one) => one.ruleId === 'individual-circuit')).toEqual([]);
  });
});

describe('conductors', () => {
  // Resistance per length goes as 1/area, so ampacity must rise with every size: a physical check of recalled values.
  it('each larger size carries more', () =>
    AWG_SIZES.slice(1).forEach((awg, i) => expect(NM_COPPER_A[awg]).toBeGreaterThan(NM_COPPER_A[AWG_SIZES[i]!])));

  it.each([
    ['14', 15, 15],
    ['12', 20, 20],
    ['10', 30, 30],
    ['8', 40, 40],
    ['6', 60, 50],
    ['4', 70, 70],
    ['2', 100, 90],
  ] as const)('No. %s: %i A at most for one load, %i A with several receptacles (240.4)', (awg, alone, several) => {
    expect(largestBreakerFor(awg, false)).toBe(alone);
    expect(largestBreakerFor(awg, true)).toBe(several);
  });

  it.each([
    [15, 10, '14'],
    [20, 16, '12'],
    [30, 24, '10'],
    [40, 40, '8'],
    [50, 50, '6'],
    [60, 55, '6'],
    [60, 60, '4'],
    [200, 180, '4/0'],
    [250, 240, undefined],
  ] as const)('a %i A breaker and %i A of load want No. %s', (rating, load, awg) =>
    expect(smallestNmFor(rating, load, false)).toBe(awg),
  );

  it('converts watts to amperes', () => expect(ampsOf({ va: 1500, volts: 120 })).toBe(12.5));
});

describe('the panel', () => {
  it('legs alternate by rows and a two-pole breaker meets both', () => {
    expect([1, 2, 3, 4, 5, 6].map(legOf)).toEqual(['A', 'A', 'B', 'B', 'A', 'A']);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), (space) => {
        const [first, second] = spacesOf({ poles: 2, space });
        expect(legOf(first!)).not.toBe(legOf(second!));
      }),
    );
  });

  it('arranging never doubles a space, keeps what is placed, and balances even circuits', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(1, 2), { minLength: 1, maxLength: 14 }), (poles) => {
        const builder = poles.reduce(
          (built, one, i) => built.circuit(`q${i}`, 20, { poles: one }),
          den().panel('P', 'den', 30).circuit('fixed', 20, { panel: 'P', space: 4 }),
        );
        const house = builder.build();
        const places = arrangePanel(house, house.panels['P']!);
        const all = [
          4,
          ...Object.entries(places).flatMap(([id, space]) => spacesOf({ poles: house.circuits[id]!.poles, space })),
        ];
        expect(new Set(all).size).toBe(all.length);
        expect(Object.keys(places)).toHaveLength(poles.length);
        expect(Math.max(...all)).toBeLessThanOrEqual(30);
      }),
      { numRuns: 40 },
    );
  });

  it('what does not fit is left out', () => {
    const house = den().panel('P', 'den', 2).circuit('a', 20).circuit('b', 20).circuit('c', 20).build();
    expect(Object.keys(arrangePanel(house, house.panels['P']!))).toHaveLength(2);
    const schedule = buildSchedule(house, house.panels['P']!, () => 'plain');
    expect(schedule.unplaced).toHaveLength(3);
    expect(schedule.freeSpaces).toBe(2);
  });

  const entryOf = (house: House, circuit: string) => {
    const { byCircuit, byRoom } = indexOutlets(house);
    return writeDirectoryEntry(house.circuits[circuit]!, byCircuit.get(circuit)!, (room) => byRoom.get(room) ?? []);
  };

  it('a directory entry names rooms and uses', () => {
    const house = den()
      .room('bed', 'bedroom', [410, 0, 100, 100])
      .circuit('A', 15)
      .receptacle('den', 'c0', 20, { circuit: 'A' })
      .receptacle('bed', 'c0', 20, { circuit: 'A' })
      .ceiling('bed', 'luminaire', 'A')
      .load('kiln', 'den', 'c1', 20, 'A')
      .build();
    expect(entryOf(house, 'A')).toBe('den kiln, receptacles; bed receptacles, lights');
  });

  it('where a room has two circuits, each entry says which receptacles are its own', () => {
    const house = den()
      .circuit('A', 15)
      .circuit('B', 15)
      .receptacle('den', 'c0', 20, { circuit: 'A' })
      .receptacle('den', 'c0', 80, { circuit: 'B' })
      .receptacle('den', 'c0', 140, { circuit: 'A' })
      .receptacle('den', 'c1', 40, { circuit: 'B' })
      .receptacle('den', 'c2', 40)
      .build();
    expect([entryOf(house, 'A'), entryOf(house, 'B')]).toEqual([
      'den north wall 1st and 3rd receptacles',
      'den north wall 2nd and east wall receptacles',
    ]);
  });
});
