import { describe, expect, it } from 'vitest';
import { twoUnits } from '../test/supply-cases';
import { routed } from '../test/routed';
import { walled } from '../test/route-cases';
import { askew, mirrored, shifted } from '../test/same-house';
import { byTheTool } from '../test/by-the-tool';
import { randomHouse } from '../test/random-house';
import type { HouseBuilder } from '../test/house-builder';
import type { House } from '../house/schema';
import { lowVoltagePlan } from './low-voltage';

type Extra = Readonly<Record<string, unknown>>;
const drop = (house: HouseBuilder, wall: string, alongIn: number, extra: Extra = {}) =>
  house.wallBox('bed', wall, alongIn, { kind: 'low-voltage', ...extra });
const enclosed = (house: HouseBuilder) =>
  house.feature('bed', 'low-voltage-enclosure', ['c0', 22.5, 15, 4], { id: 'e', heightIn: 66, bottomIn: 36 });

describe('a drop and its way home, worked by hand: studs 16 in on center, holes 12 in over those of power', () => {
  it('goes 20 in up, 96 in along, and up to the enclosure', () => {
    const { runs, problems } = lowVoltagePlan(drop(enclosed(walled([])), 'c0', 126).build());
    expect(runs).toHaveLength(1);
    const [{ legs, lengthIn, besideIn, cable, home }] = runs as [(typeof runs)[0]];
    expect(legs.flatMap((leg) => (leg.kind === 'studs' ? [leg.heightIn] : []))).toEqual([36]);
    expect(lengthIn).toBe(20 + 96 + (60 - 36));
    expect([besideIn, cable, home]).toEqual([0, 'Category 6', { label: 'low voltage enclosure', room: 'bed' }]);
    expect(problems).toEqual([
      'The low voltage enclosure in bed has no receptacle within 6 ft: what stands in it needs one.',
    ]);
  });

  it('cuts the way, slack and what is left at both ends, to the next foot', () => {
    const house = drop(enclosed(walled([])), 'c0', 126).build();
    const { lengthIn, feet } = lowVoltagePlan(house).runs[0]!;
    expect(feet * 12).toBeGreaterThanOrEqual(lengthIn + 60);
    expect(feet * 12).toBeLessThan(lengthIn + 60 + 24 + 24 + 12);
  });

  it('keeps clear of power that is led at its usual height, and tells a parallel with power that is not', () => {
    const powered = routed(
      drop(
        enclosed(
          walled([
            ['c0', 30],
            ['c0', 126],
          ]),
        ),
        'c0',
        118,
      ).build(),
    );
    expect(lowVoltagePlan(powered).runs[0]!.besideIn).toBe(0);
    const raised: House = {
      ...powered,
      routes: Object.fromEntries(
        Object.values(powered.routes).map((route) => [
          route.id,
          {
            ...route,
            legs: route.legs.map((leg) => (leg.kind === 'studs' ? { ...leg, heightIn: 34 } : leg)),
          },
        ]),
      ),
    };
    expect(lowVoltagePlan(raised).runs[0]!.besideIn).toBe(88);
  });
});

describe('what has no home says what it needs', () => {
  it.each<[string, Extra, string]>([
    ['data', { system: 'data' }, '1 data drop (B-1) comes home to nothing: draw a low-voltage enclosure.'],
    [
      'thermostat',
      { system: 'thermostat' },
      '1 thermostat drop (B-1) comes home to nothing: draw a furnace or an air handler.',
    ],
    ['button', { system: 'doorbell' }, 'The doorbell at B-1 rings nothing: call one doorbell device the chime.'],
    [
      'chime',
      { system: 'doorbell', bell: 'chime' },
      'The chime at B-1 has no transformer: connect a load of that kind to a box.',
    ],
  ])('%s', (_, extra, sentence) => {
    const { runs, problems } = lowVoltagePlan(drop(walled([]), 'c0', 60, extra).build());
    expect([runs, problems.map((one) => one.replace(/[A-Z0-9]+-1\b/, 'B-1'))]).toEqual([[], [sentence]]);
  });

  it('a sleeve is a raceway: no cable of its own', () => {
    expect(lowVoltagePlan(drop(walled([]), 'c0', 60, { system: 'sleeve' }).build())).toEqual({
      runs: [],
      problems: [],
      totals: [],
    });
  });
});

it('a button goes to the chime, the chime to the box of the transformer', () => {
  const house = drop(drop(walled([]), 'c0', 40, { system: 'doorbell' }), 'c1', 60, {
    system: 'doorbell',
    bell: 'chime',
  })
    .load('doorbell-transformer', 'bed', 'c2', 60, 'a')
    .build();
  const { runs, problems, totals } = lowVoltagePlan(house);
  const tags = Object.values(house.boxes).map((one) => one.tag);
  expect(runs.map((one) => [one.box.tag, one.home.label])).toEqual([
    [tags[0], tags[1]],
    [tags[1], tags[2]],
  ]);
  expect(problems).toEqual([]);
  expect(totals).toEqual([{ cable: '18-2 bell', runs: 2, feet: runs[0]!.feet + runs[1]!.feet }]);
});

it('a drop comes home in its own dwelling unit, however near the enclosure of the other is', () => {
  const house = twoUnits('hall')
    .feature('a', 'low-voltage-enclosure', ['c1', 92, 15, 4], { name: 'A', heightIn: 66 })
    .feature('b', 'low-voltage-enclosure', ['c1', 92, 15, 4], { name: 'B', heightIn: 66 })
    .wallBox('b', 'c3', 100, { kind: 'low-voltage' })
    .build();
  expect(lowVoltagePlan(house).runs.map((one) => one.home.label)).toEqual(['B']);
});

describe('whole houses at random', () => {
  const withDrops = (seed: number): House => {
    const house = byTheTool(randomHouse(seed, '2023'));
    const copy = structuredClone(house);
    const rooms = Object.values(copy.rooms).filter((room) => ['bedroom', 'living', 'kitchen'].includes(room.kind));
    for (const room of rooms) {
      const box = Object.values(copy.boxes).find((one) => one.room === room.id && one.at.kind === 'wall');
      if (!box) continue;
      const id = `lv-${room.id}`;
      Object.assign(box.devices, { [id]: { id, circuit: null, kind: 'low-voltage', system: 'data' } });
    }
    const panel = Object.values(copy.features).find((one) => one.kind === 'panel')!;
    copy.features['enclosure'] = {
      ...structuredClone(panel),
      id: 'enclosure',
      kind: 'low-voltage-enclosure',
      name: 'rack',
    };
    return copy;
  };

  it.each([3, 11, 27])(
    'seed %i: each drop gets home, no shorter than straight, and the mirrored house is told the same',
    (seed) => {
      const house = withDrops(seed);
      const { runs, problems } = lowVoltagePlan(house);
      expect(problems.filter((one) => one.startsWith('No way'))).toEqual([]);
      expect(runs.length).toBeGreaterThan(2);
      for (const { legs, lengthIn } of runs) {
        expect(legs.length).toBeGreaterThan(0);
        expect(lengthIn).toBeGreaterThan(0);
      }
      const feet = (other: House) => lowVoltagePlan(other).runs.map((one) => one.feet);
      expect(feet(shifted(house))).toEqual(feet(house));
      feet(askew(house)).forEach((one, i) => expect(Math.abs(one - runs[i]!.feet)).toBeLessThanOrEqual(3));
      feet(mirrored(house)).forEach((one, i) => expect(Math.abs(one - runs[i]!.feet)).toBeLessThanOrEqual(3));
    },
  );
});
