import type { ConductorSize, Edition, House } from '../house/schema';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EDITIONS } from '../house/schema';
import { cookingDemandVa } from './cooking-demand';
import { aHouse } from '../test/house-builder';
import { dwellingLoads, type Connected, type DwellingLoads, type LoadGroup } from './connected-loads';
import { existingLoad, neutralLoad, optionalLoad, standardLoad } from './load-calculation';
import { isMultifamily, multifamilyLoad, twoDwellingsLoad } from './multifamily-load';
import { electrodeConductor, nextServiceRating, serviceConductors } from './service-conductors';

const one = (group: LoadGroup, va: number, extra: Partial<Connected> = {}): Connected => ({
  name: group,
  group,
  va,
  volts: 240,
  motor: false,
  isTypical: false,
  control: `${group}-${va}`,
  ...extra,
});
const dwelling = (connected: readonly Connected[], extra: Partial<DwellingLoads> = {}): DwellingLoads => ({
  edition: '2017',
  volts: 240,
  dwellings: 1,
  areaFt2: 1500,
  smallApplianceCircuits: 2,
  laundryCircuits: 1,
  connected,
  ...extra,
});
const dishwasher = one('fixed', 1200, { volts: 120, name: 'Dishwasher' });

// Informative Annex D, to the volt-ampere; inputs recalled from memory, the arithmetic closes.
describe('Annex D', () => {
  it('D1(a): one-family dwelling, standard method', () => {
    const loads = dwelling([one('cooking', 12_000), one('dryer', 5_500)]);
    expect(standardLoad(loads).va).toBe(18_600);
    expect(standardLoad(loads).amps).toBe(77.5);
    expect(neutralLoad(loads).va).toBeCloseTo(14_550, 6);
    expect(nextServiceRating(77.5)).toBe(100);
  });

  it('D1(b): motors on two legs, amperes at 120 and 240 V', () => {
    const loads = dwelling([
      one('cooking', 12_000),
      one('dryer', 5_500),
      one('cooling', 6 * 240, { motor: true }),
      one('cooling', 12 * 120, { motor: true, volts: 120 }),
      one('fixed', 8 * 120, { motor: true, volts: 120 }),
      one('fixed', 10 * 120, { volts: 120 }),
    ]);
    // 77.5 + 6 + 10 + 8 + 2 on leg B, 98.5 on leg A; evenly spread it would be 100.0.
    expect(standardLoad(loads).amps).toBeCloseTo(103.5, 6);
    expect(nextServiceRating(standardLoad(loads).amps)).toBe(110);
    expect(standardLoad(loads).lines.at(-1)!.sum).toContain('20.0 A on one leg, 15.0 A on the other');
    // 60.6 + 12 + 8 + 3.
    expect(neutralLoad(loads).amps).toBeCloseTo(14_550 / 240 + 23, 6);
  });

  it('D2(a): optional method, heating larger than cooling', () => {
    const heaters = [1, 2, 3, 4, 5].map((n) => one('heat', 1_800, { control: `room ${n}` }));
    const loads = dwelling([
      one('cooking', 12_000),
      one('fixed', 2_500, { name: 'Water heater' }),
      dishwasher,
      one('dryer', 5_000),
      one('cooling', 1_380),
      ...heaters,
    ]);
    expect(optionalLoad(loads).va).toBeCloseTo(21_480, 6);
    expect(neutralLoad(loads, false).va).toBeCloseTo(15_400, 6);
  });

  it('D2(b): optional method, cooling larger than heating', () => {
    const loads = dwelling([
      one('cooking', 4_000),
      one('cooking', 4_000),
      one('cooking', 5_100),
      one('fixed', 4_500, { name: 'Water heater' }),
      dishwasher,
      one('dryer', 5_000),
      one('cooling', 10_080),
      one('heat', 1_500),
    ]);
    expect(optionalLoad(loads).va).toBeCloseTo(29_200, 6);
    expect(optionalLoad(loads).amps).toBeCloseTo(121.67, 2);
    // The example rounds the cooking demand of 7,205 VA to 7,200.
    expect(neutralLoad(loads, false).va).toBeCloseTo(14_840 + 0.7 * 5, 6);
    expect(nextServiceRating(121.67)).toBe(125);
  });

  it('D2(c): optional method, heat pump with supplement (confidence medium)', () => {
    const loads = dwelling(
      [
        one('cooking', 12_000),
        one('fixed', 4_500, { name: 'Water heater' }),
        dishwasher,
        one('dryer', 5_000),
        one('heat-pump', 5_760),
        one('heat', 15_000),
      ],
      { areaFt2: 2000 },
    );
    expect(optionalLoad(loads).va).toBeCloseTo(34_790, 6);
    expect(nextServiceRating(optionalLoad(loads).amps)).toBe(150);
  });

  it.each([
    // One unit, a bank of 20 and all 40: 840 ft² each, half of them with a range, laundry in common.
    ['a unit without a range', 1, 0, 3_882, 3_882],
    ['a unit with its range', 1, 1, 11_882, 3_882 + 5_600],
    ['a bank of 20', 20, 10, 65_590, 58_090],
    ['all 40', 40, 20, 104_150, 93_650],
  ])('D4(a): multifamily, standard method, %s (confidence medium)', (_, units, ranges, va, neutralVa) => {
    const loads = dwelling(
      Array.from({ length: ranges }, () => one('cooking', 12_000)),
      { areaFt2: 840 * units, dwellings: units, smallApplianceCircuits: 2 * units, laundryCircuits: 0 },
    );
    expect(standardLoad(loads).va).toBeCloseTo(va, 6);
    const over = Math.max(0, neutralVa / 240 - 200);
    expect(neutralLoad(loads).va).toBeCloseTo(neutralVa - 0.3 * over * 240, 6);
  });

  it.each([
    ['a bank of 20 at 38 %', 20, 167_352, 697],
    ['all 40 at 28 %', 40, 246_624, 1028],
  ])('D4(b): multifamily, optional method, %s (confidence low)', (_, units, va, amps) => {
    const each = [
      one('cooking', 8_000),
      one('fixed', 2_500),
      ...[1, 2, 3, 4].map((n) => one('heat', 1_500, { control: `${n}` })),
    ];
    const loads = dwelling(Array.from({ length: units }, () => each).flat(), {
      areaFt2: 840 * units,
      dwellings: units,
      smallApplianceCircuits: 2 * units,
      laundryCircuits: 0,
    });
    expect(isMultifamily(loads)).toBe(true);
    expect(multifamilyLoad(loads).va).toBeCloseTo(va, 6);
    expect(Math.round(multifamilyLoad(loads).amps)).toBe(amps);
  });

  it('220.84 is for three units and more, each with electric cooking and with heat or cooling', () => {
    const units = (n: number, cooking: number, climate: number) =>
      isMultifamily(
        dwelling(
          [
            ...Array.from({ length: cooking }, () => one('cooking', 12_000)),
            ...Array.from({ length: climate }, () => one('cooling', 3_000)),
          ],
          { dwellings: n },
        ),
      );
    expect([units(3, 3, 3), units(2, 3, 3), units(3, 2, 3), units(3, 3, 2)]).toEqual([true, false, false, false]);
  });

  it('220.85: two units as three like them, 45 % of half as much again', () => {
    const loads = dwelling([one('cooking', 12_000), one('cooking', 12_000)], {
      areaFt2: 2000,
      dwellings: 2,
      smallApplianceCircuits: 4,
      laundryCircuits: 2,
    });
    expect(twoDwellingsLoad(loads).va).toBeCloseTo((6_000 + 6_000 + 3_000 + 24_000) * 1.5 * 0.45, 6);
  });

  it.each([
    [4, 20_000],
    [5, 21_250],
    [11, 25_850],
    [20, 38_000],
    [40, 53_000],
    [50, 62_500],
  ])('Table 220.54: %i dryers of 5 kW are %i VA', (n, va) => {
    const bare = dwelling([], { areaFt2: 0, smallApplianceCircuits: 0, laundryCircuits: 0 });
    const dryers = Array.from({ length: n }, () => one('dryer', 5_000));
    expect(standardLoad({ ...bare, connected: dryers }).va).toBeCloseTo(va, 6);
  });

  it.each([
    [24, 16_000, 46_800],
    [30, 12_000, 45_000],
    [45, 12_000, 58_750],
  ])('Table 220.55: %i ranges of %i VA are %i VA, as in D6', (n, plate, va) =>
    expect(cookingDemandVa(Array.from({ length: n }, () => plate))).toBeCloseTo(va, 6),
  );

  it('D7: 175 A takes 1/0 copper or 3/0 aluminum', () =>
    expect(serviceConductors(175)).toMatchObject({ copper: '1/0', aluminum: '3/0' }));
});

describe('worked by hand', () => {
  const fixed = [4_500, 1_200, 900, 1_600].map((va, n) => one('fixed', va, { motor: n === 1 }));
  it.each([
    ['2017', 5_760, 174],
    ['2023', 7_200, 180],
  ] as const)('2,400 ft², four appliances, heat over cooling, a charger, %s', (edition, vehicleVa, amps) => {
    const loads = dwelling(
      [
        ...fixed,
        one('dryer', 5_500),
        one('cooking', 12_000),
        // The blower is a motor, the elements are none: no quarter of 10 kW.
        one('heat', 10_000, { motor: true }),
        one('cooling', 4_800),
        one('vehicle', 5_760),
      ],
      { edition, areaFt2: 2400 },
    );
    const { va } = standardLoad(loads);
    // 6,045 lighting, 6,150 appliances at 75 %, dryer, range, heat, charger, a quarter of 1,200 VA.
    expect(va).toBeCloseTo(6_045 + 6_150 + 5_500 + 8_000 + 10_000 + vehicleVa + 300, 6);
    expect(Math.round(va / 240)).toBe(amps);
  });

  it('2,400 ft² by the optional method with a charger and a central furnace: 126 A', () => {
    const loads = dwelling(
      [
        one('cooking', 12_000),
        one('fixed', 4_500),
        one('fixed', 1_200),
        one('dryer', 5_500),
        one('vehicle', 9_600),
        one('heat', 10_000, { control: 'the furnace' }),
        one('cooling', 4_800),
      ],
      { areaFt2: 2400 },
    );
    expect(optionalLoad(loads).amps).toBeCloseTo(126.25, 1);
  });

  it('a quarter of the largest 120 V motor stands on the neutral as well, as in D1(b)', () => {
    const disposer = one('fixed', 960, { volts: 120, motor: true });
    const [without, withIt] = [dwelling([]), dwelling([disposer])].map((loads) => neutralLoad(loads).va);
    expect(withIt! - without!).toBeCloseTo(2 * 960 * 1.25, 6);
  });

  it('an existing dwelling takes its first 8 kVA whole', () => {
    const loads = dwelling([one('cooking', 12_000), one('cooling', 5_000)]);
    expect(existingLoad(loads, false).va).toBeCloseTo(8_000 + 0.4 * (9_000 + 12_000 + 5_000 - 8_000), 6);
    expect(existingLoad(loads, true).va).toBeCloseTo(8_000 + 0.4 * (9_000 + 12_000 - 8_000) + 5_000, 6);
  });

  it.each([
    [[12_000], 8_000],
    [[14_000], 8_800],
    [[16_000], 9_600],
    [[22_000], 12_000],
    [[8_000], 6_400],
    [[3_000, 3_000], 4_500],
    [[11_000, 13_500], 11_550],
  ] as const)('Table 220.55: %j VA on the plates are %d VA', (plates, va) =>
    expect(cookingDemandVa(plates)).toBeCloseTo(va, 6),
  );

  // Table 310.12 of 2020 lists the same sizes.
  it.each([
    [60, '6', '4', '8'],
    [100, '4', '2', '8'],
    [110, '3', '1', '8'],
    [125, '2', '1/0', '8'],
    [150, '1', '2/0', '6'],
    [200, '2/0', '4/0', '4'],
    [225, '3/0', '250 kcmil', '4'],
    [300, '250 kcmil', '350 kcmil', '2'],
    [400, '400 kcmil', '600 kcmil', '1/0'],
  ])('%d A: %s copper, %s aluminum, electrode conductor %s', (ratingA, copper, aluminum, electrode) => {
    expect(serviceConductors(ratingA)).toMatchObject({ copper, aluminum });
    expect(electrodeConductor(copper as ConductorSize)).toBe(electrode);
  });
});

// Four dwellings worked through by hand, line by line of Article 220 with the 120 V loads on two legs; amperes at 240 V.
describe('four dwellings, each by every method that may be used, in four editions', () => {
  const at120 = (va: number, extra: Partial<Connected> = {}) => one('fixed', va, { volts: 120, ...extra });
  const blower = one('other', 600, { volts: 120, motor: true });
  const heaters = [1, 2, 3, 4].map((n) => one('heat', 1_500, { control: `room ${n}` }));
  const DWELLINGS = {
    '1,200 ft², gas heat': dwelling(
      [
        one('cooking', 8_500),
        one('dryer', 5_000),
        one('fixed', 4_500),
        at120(1_200),
        blower,
        one('cooling', 3_600, { motor: true }),
      ],
      { areaFt2: 1200 },
    ),
    '2,000 ft², electric furnace': dwelling(
      [
        one('cooking', 12_000),
        one('dryer', 5_500),
        one('fixed', 4_500),
        at120(1_200),
        at120(900, { motor: true }),
        at120(1_500),
        one('heat', 15_000, { motor: true, control: 'the furnace' }),
        one('cooling', 5_000, { motor: true }),
      ],
      { areaFt2: 2000 },
    ),
    '3,000 ft², heat pump, well, a charger of 24 A': dwelling(
      [
        one('cooking', 7_200),
        one('cooking', 6_000),
        one('dryer', 5_500),
        one('fixed', 4_500),
        one('fixed', 1_840, { motor: true }),
        at120(1_200),
        one('heat', 10_000, { control: 'the furnace' }),
        one('heat-pump', 6_000, { motor: true }),
        one('vehicle', 5_760),
      ],
      { areaFt2: 3000 },
    ),
    '600 ft², four baseboards': dwelling(
      [one('cooking', 10_000), one('fixed', 3_800), at120(400), at120(900), at120(1_000), ...heaters],
      { areaFt2: 600 },
    ),
  };
  it.each<[keyof typeof DWELLINGS, Edition[], standard: number, optional: number, same: number, added: number]>([
    ['1,200 ft², gas heat', ['2014', '2017', '2020', '2023'], 116.6, 86.5, 72.5, 81.5],
    ['2,000 ft², electric furnace', ['2014', '2017', '2020', '2023'], 171.25, 125.79, 105.17, 142.67],
    ['3,000 ft², heat pump, well, a charger of 24 A', ['2014', '2017', '2020'], 219.81, 152.92, 122.5, 162.5],
    // 220.57: a charger counts at 7,200 VA at least.
    ['3,000 ft², heat pump, well, a charger of 24 A', ['2023'], 225.81, 155.32, 124.9, 164.9],
    ['600 ft², four baseboards', ['2014', '2017'], 95.65, 72.33, 67.33, 82.33],
    // 220.53 leaves out what is under 500 W: three remain, and these count whole.
    ['600 ft², four baseboards', ['2020', '2023'], 102.31, 72.33, 67.33, 82.33],
  ])('%s, %j', (name, editions, standard, optional, same, added) => {
    for (const edition of editions) {
      const loads = { ...DWELLINGS[name], edition };
      expect(standardLoad(loads).amps, `standard, ${edition}`).toBeCloseTo(standard, 2);
      expect(optionalLoad(loads).amps, `optional, ${edition}`).toBeCloseTo(optional, 2);
      expect(existingLoad(loads, false).amps, `220.83(A), ${edition}`).toBeCloseTo(same, 2);
      expect(existingLoad(loads, true).amps, `220.83(B), ${edition}`).toBeCloseTo(added, 2);
    }
  });
});

describe('ratings', () => {
  it.each([
    [100.4, 100],
    [100.5, 110],
    [121.67, 125],
    [400.6, undefined],
  ])('%d A take %s', (amps, rating) => expect(nextServiceRating(amps)).toBe(rating));
});

describe('what must hold of any dwelling', () => {
  const group = fc.constantFrom<LoadGroup>('cooking', 'dryer', 'fixed', 'vehicle', 'own-circuit');
  const loads = fc.array(fc.tuple(group, fc.integer({ min: 1_800, max: 15_000 })), { maxLength: 10 });
  const build = (all: readonly (readonly [LoadGroup, number])[], edition: (typeof EDITIONS)[number]) =>
    dwelling(
      all.map(([name, va], n) => one(name, va, { control: `c${n}` })),
      { edition },
    );

  it('a larger plate of what is there never lowers the optional load', () =>
    fc.assert(
      fc.property(loads, fc.constantFrom(...EDITIONS), (all, edition) => {
        const more = all.map(([name, va]) => [name, va + 500] as const);
        expect(optionalLoad(build(more, edition)).va).toBeGreaterThanOrEqual(
          optionalLoad(build(all, edition)).va - 1e-6,
        );
      }),
    ));

  it('the lines add up to the load, and the neutral never exceeds what is connected at 120 V and to cooking and drying', () =>
    fc.assert(
      fc.property(loads, fc.constantFrom(...EDITIONS), (all, edition) => {
        for (const method of [standardLoad, optionalLoad, neutralLoad]) {
          const { lines, va } = method(build(all, edition));
          expect(lines.reduce((sum, line) => sum + line.va, 0)).toBeCloseTo(va, 6);
        }
      }),
    ));

  it('the code\u2019s own drops: a fourth fastened appliance lowers the standard load', () => {
    const three = dwelling([4_500, 1_200, 900].map((va) => one('fixed', va)));
    const four = dwelling([4_500, 1_200, 900, 600].map((va) => one('fixed', va)));
    expect(standardLoad(four).va).toBeLessThan(standardLoad(three).va);
  });
});

describe('an energy management system', () => {
  const charger = (edition: Edition, extra: object) =>
    aHouse(edition)
      .room('garage', 'garage', [0, 0, 240, 240])
      .circuit('A', 60, { poles: 2, awg: '4', purpose: 'individual' })
      .load('ev-charger-48', 'garage', 'c0', 60, 'A', extra as Record<string, unknown>)
      .build();
  const vehicle = (house: House) => dwellingLoads(house, 1_000).connected.filter((one) => one.group === 'vehicle');
  // 11,520 VA off the plate; limited to 16 A it is 3,840, and 2023 asks for no 7,200 then (625.42(A)).
  it.each([
    ['2014', {}, 11_520],
    ['2023', {}, 11_520],
    ['2014', { managed: { limitA: 16, group: '' } }, 3_840],
    ['2020', { managed: { limitA: 16, group: '' } }, 3_840],
    ['2023', { managed: { limitA: 16, group: '' } }, 3_840],
    ['2023', { managed: { limitA: 100, group: '' } }, 11_520],
  ] as const)('counts a charger at its setting, %s %j', (edition, extra, va) => {
    const house = charger(edition, extra);
    expect(vehicle(house).map((one) => one.va)).toEqual([va]);
    const line = standardLoad(dwellingLoads(house, 1_000)).lines.find((one) => one.what === vehicle(house)[0]!.name);
    expect(line!.va).toBe(va);
  });

  it('lets two chargers share one limit, and each part of a house have all of it', () => {
    const managed = { managed: { limitA: 40, group: 'chargers' } };
    const house = aHouse('2023')
      .room('garage', 'garage', [0, 0, 240, 240])
      .circuit('A', 60, { poles: 2, awg: '4', purpose: 'individual' })
      .circuit('B', 60, { poles: 2, awg: '4', purpose: 'individual' })
      .load('ev-charger-48', 'garage', 'c0', 60, 'A', managed)
      .load('ev-charger-48', 'garage', 'c0', 160, 'B', managed)
      .build();
    expect(vehicle(house).reduce((sum, one) => sum + one.va, 0)).toBeCloseTo(40 * 240, 6);
    const part = dwellingLoads(house, 0, (circuit) => circuit.id === 'A').connected;
    expect(part.map((one) => one.va)).toEqual([40 * 240]);
  });

  it('of anything but a charger counts from 2023 on alone: before, nothing in Article 220 allows it', () => {
    const heater = (edition: Edition) =>
      dwellingLoads(
        aHouse(edition)
          .room('utility', 'utility', [0, 0, 120, 120])
          .circuit('A', 30, { poles: 2, awg: '10', purpose: 'individual' })
          .load('water-heater', 'utility', 'c0', 60, 'A', { managed: { limitA: 5, group: '' } })
          .build(),
        1_000,
      ).connected.map((one) => one.va);
    expect([heater('2020'), heater('2023')]).toEqual([[4_500], [1_200]]);
  });
});
