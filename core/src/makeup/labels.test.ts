import { describe, expect, it } from 'vitest';
import { indexOutlets } from '../circuits/outlets';
import type { House } from '../house/schema';
import type { BoxType } from '../house/schema-boxes';
import { aHouse, type HouseBuilder } from '../test/house-builder';
import { smallestFor } from './box-fill';
import { deviceTitle } from './labels';
import { wireHouse } from './make-up';

const room = () =>
  aHouse().room('r', 'den', [0, 0, 240, 168]).panel('P', 'r', 20).circuit('A', 15, { panel: 'P', space: 1 });
const titlesOf = (house: House) => {
  const { units } = wireHouse(house);
  return indexOutlets(house).all.map((outlet) => Object.values(deviceTitle(units, outlet)).join(': '));
};

describe('what a device is called on its card', () => {
  it.each<[string, HouseBuilder, string[]]>([
    [
      'two three-ways and their light',
      room()
        .over('r', 'luminaire', 120, 80, { circuit: 'A' })
        .switchAt('r', 'c0', 30, 'A')
        .switchAt('r', 'c2', 30, 'A')
        .governed('r'),
      ['Luminaire: switched a', 'S3 a: r light', 'S3 a: r light'],
    ],
    [
      'a dimmer alone, and a GFCI beside a plain receptacle',
      room()
        .over('r', 'luminaire', 120, 80, { circuit: 'A' })
        .wallBox('r', 'c0', 30, { kind: 'switch', style: 'dimmer', circuit: 'A' })
        .governed('r')
        .receptacle('r', 'c1', 40, { circuit: 'A', gfci: true })
        .receptacle('r', 'c1', 80, { circuit: 'A' }),
      ['Luminaire: switched a', 'SD a: r light', 'GFCI: ', 'Receptacle: '],
    ],
    [
      'a load by its name, a switch that governs nothing, an alarm',
      room()
        .load('freezer', 'r', 'c0', 40, 'A')
        .switchAt('r', 'c0', 90, 'A')
        .over('r', 'alarm', 60, 60, { circuit: 'A' }),
      ['Receptacle: Freezer', 'S: ', 'Alarm: '],
    ],
  ])('%s', (_, house, titles) => expect(titlesOf(house.build())).toEqual(titles));
});

describe('the smallest box that holds it', () => {
  const one = (covering?: object) => {
    const house = room()
      .receptacle('r', 'c0', 60)
      .with((draft) => Object.assign(draft.rooms['r']!.corners[0]!, covering ? { covering } : {}))
      .build();
    const [box] = Object.values(house.boxes);
    return (in3: number) => smallestFor(house, box!, in3, (type) => type.volumeIn3);
  };

  it('is of the same make: adjustable where the wall is undecided, of masonry in masonry', () => {
    const [plain, open, masonry] = [
      one(),
      one({ kind: 'undecided', thicknessIn: 0.5 }),
      one({ kind: 'masonry', thicknessIn: 0 }),
    ];
    expect(plain(1)).toMatchObject({ gangs: 1, for: 'new' });
    expect([plain(1)!.adjustable, plain(1)!.masonry]).toEqual([undefined, undefined]);
    expect(open(1)).toMatchObject({ gangs: 1, adjustable: true });
    expect(masonry(1)).toMatchObject({ masonry: true });
  });

  it.each([
    [
      'a light: round, octagon or a round ring',
      'luminaire',
      {},
      30,
      (one: BoxType) => ['round', 'octagon'].includes(one.shape),
    ],
    ['a paddle fan: rated for it', 'fan', { style: 'paddle' }, 20.5, (one: BoxType) => one.fanRated === true],
  ] as const)('over a ceiling %s', (_, kind, extra, in3, suits) => {
    const house = room().over('r', kind, 60, 60, extra).build();
    const [box] = Object.values(house.boxes);
    const find = (atLeast: number) => smallestFor(house, box!, atLeast, (type) => type.volumeIn3);
    for (const least of [1, in3]) expect(suits(find(least)!), `${least} in³`).toBe(true);
    // A square device box or one of two gangs holds more, and carries no light.
    expect(find(42.5)).toBeUndefined();
  });

  it('of a box by the floor is never one for a ceiling, however much goes in', () => {
    for (let in3 = 1; in3 < 120; in3 += 0.5) expect(['device', undefined]).toContain(one()(in3)?.shape);
  });

  it('holds exactly what it is marked for, and nothing more', () => {
    const smallest = one()(1)!;
    expect(one()(smallest.volumeIn3)!.id).toBe(smallest.id);
    expect(one()(smallest.volumeIn3 + 0.01)!.volumeIn3).toBeGreaterThan(smallest.volumeIn3);
    expect(one()(1000)).toBeUndefined();
  });
});

describe('terminals', () => {
  const rolesOf = (device: object) => {
    const house = room()
      .receptacle('r', 'c0', 60, { circuit: 'A', ...device })
      .build();
    const [box] = Object.values(house.boxes);
    const [wiring] = wireHouse(house).units;
    return wiring!.plan.needsAt.get(box!.id)!.map((one) => one.terminal);
  };

  it('a GFCI that protects itself alone is on LINE, a plain receptacle on its screws', () => {
    expect(rolesOf({ gfci: true })).toEqual(['ground', 'line-hot', 'line-neutral']);
    expect(rolesOf({})).toEqual(['ground', 'hot', 'neutral']);
  });
});
