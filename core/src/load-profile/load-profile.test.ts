import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assignToCircuit } from '../edits/verbs';
import { CURVES, opensAfter, warmthAfter, type CurveName } from './breaker-curve';
import { clock, simulateDay } from './simulate';
import { typicalDay, type DayItem } from './typical';
import { aHouse } from '../test/house-builder';
import { demo } from '../test/demo-house';

describe('a breaker', () => {
  /** Typical curves of 15 to 30 A breakers from cold, recalled: multiple, soonest, usual, latest, seconds. */
  it.each([
    [1.5, 35, 110, 400],
    [2, 12, 40, 120],
    [3, 4, 15, 35],
  ])('at %f times its rating opens between %i s and %i s … %i s', (multiple, soonest, usual, latest) => {
    expect(opensAfter(CURVES.quick, 0, multiple)).toBeGreaterThan(soonest * 0.8);
    expect(Math.abs(opensAfter(CURVES.usual, 0, multiple) / usual - 1)).toBeLessThan(0.15);
    expect(opensAfter(CURVES.slow, 0, multiple)).toBeLessThan(latest * 1.2);
  });

  it.each(Object.keys(CURVES) as CurveName[])(
    '%s: holds its rating for ever, opens at 135 %% within the hour',
    (name) => {
      const curve = CURVES[name];
      expect(opensAfter(curve, 1, 1)).toBe(Infinity);
      expect(opensAfter(curve, 0, 1.35)).toBeLessThan(3600);
      expect(opensAfter(curve, 0, 2)).toBeLessThanOrEqual(121);
      expect(opensAfter(curve, 0, 16)).toBe(0);
    },
  );

  it('opens sooner for more current and when it is warm; stepping through time finds the same moment', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.35, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (multiple, warmth) => {
          const t = opensAfter(CURVES.usual, warmth, multiple);
          expect(opensAfter(CURVES.usual, warmth, multiple * 1.05)).toBeLessThan(t);
          expect(opensAfter(CURVES.usual, warmth * 0.5, multiple)).toBeGreaterThanOrEqual(t);
          // Euler steps of the same equation, independent of its solution.
          let theta = warmth;
          let seconds = 0;
          const step = t / 5000;
          while (theta < CURVES.usual.opensAt) {
            theta += ((multiple ** 2 - theta) / CURVES.usual.tauS) * step;
            seconds += step;
          }
          expect(Math.abs(seconds / t - 1)).toBeLessThan(0.02);
          expect(warmthAfter(CURVES.usual, warmth, multiple, t)).toBeCloseTo(CURVES.usual.opensAt, 6);
        },
      ),
      { numRuns: 30 },
    );
  });
});

/** Two things on one circuit of a bathroom, at the same time. */
function together(ratingA: number, ...vas: number[]) {
  const house = aHouse()
    .room('r', 'bathroom', [0, 0, 96, 96])
    .circuit('A', ratingA)
    .receptacle('r', 'c0', 30, { circuit: 'A' })
    .build();
  const [device] = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
  const items = vas.map((va, i): DayItem => ({
    id: `${i}`,
    what: `thing ${i}`,
    kind: 'other',
    device: device!,
    va,
    motor: false,
    runs: [[420, 450]],
  }));
  return { house, items, day: simulateDay(house, items) };
}

describe('a day', () => {
  it.each([
    ['hair dryer and portable heater on 15 A', 15, [1875, 1500], 28.1, 53],
    ['the same on 20 A', 20, [1875, 1500], 28.1, 155],
    ['two portable heaters on 15 A', 15, [1500, 1500], 25, 75],
    ['microwave, coffee and toaster on 20 A', 20, [1500, 1000, 900], 28.3, 149],
    ['kettle and toaster oven on 20 A', 20, [1500, 1500], 25, undefined],
    ['kettle and toaster on 20 A', 20, [1500, 900], 20, undefined],
  ] as const)('%s', (_, ratingA, vas, amps, seconds) => {
    const [only] = together(ratingA, ...vas).day.circuits;
    expect(only!.peakA).toBeCloseTo(amps, 1);
    if (seconds === undefined) expect(only!.trip).toBeUndefined();
    else {
      expect(Math.abs(only!.trip!.afterS / seconds - 1)).toBeLessThan(0.05);
      expect(clock(only!.trip!.atS)).toMatch(/^7:0[0-2]$/);
      expect(only!.trip!.cures.length).toBeGreaterThan(0);
    }
  });

  it('one more thing never lowers a current, and energy is power by time', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 3000 }), { minLength: 1, maxLength: 6 }), (vas) => {
        const before = together(20, ...vas.slice(1)).day;
        const after = together(20, ...vas).day;
        after.quarters.forEach((amps, q) => expect(amps).toBeGreaterThanOrEqual(before.quarters[q]! - 1e-9));
        const hours = 0.5;
        expect(after.kiloWattHours).toBeCloseTo((vas.reduce((sum, va) => sum + va, 0) * hours) / 1000, 6);
      }),
      { numRuns: 40 },
    );
  });

  it('of the demo house shows a believable trip, and its cure', () => {
    const items = typicalDay(demo);
    const day = simulateDay(demo, items);
    const trips = day.circuits.filter((one) => one.trip);
    expect(trips.map((one) => one.circuit.name)).toEqual(['Bathrooms']);
    const { trip } = trips[0]!;
    expect(trip!.cures.every((one) => one.kind === 'hair-dryer')).toBe(true);
    // Fed from another circuit, the second hair dryer keeps it closed.
    const other =
      Object.values(demo.circuits).find((one) => one.name === 'Laundry') ?? Object.values(demo.circuits)[0]!;
    const moved = assignToCircuit(demo, [trip!.cures[0]!.device], other.id);
    const then = simulateDay(moved.ok ? moved.value.house : demo, items);
    expect(then.circuits.find((one) => one.circuit.id === trips[0]!.circuit.id)!.trip).toBeUndefined();
  });

  it('of the demo house takes less than 200 ms', () => {
    const items = typicalDay(demo);
    simulateDay(demo, items);
    const start = performance.now();
    simulateDay(demo, items);
    expect(performance.now() - start).toBeLessThan(200);
  });
});
