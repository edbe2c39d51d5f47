import { describe, expect, test } from 'vitest';
import type { Edition, House } from '../../house/schema';
import { boxFill as fillBox, fillLines, fillNote, nameOfBox, smallestFor } from '../../makeup/box-fill';
import { wireHouse } from '../../makeup/make-up';
import { testRule } from '../../test/rule-tester';
import { wiringBuilder, wiringHouse } from '../../test/wiring-house';
import { boxFill } from './box-fill';
import { atLight } from '../../test/wiring-cases';

/** A box X on the wall with so many cables of 14/2 and devices. */
const crowded = (
  cables: number,
  devices: number,
  extra: Partial<House['boxes'][string]> = {},
  awg: '14' | '12' = '14',
  edition: Edition = '2017',
) =>
  wiringBuilder({
    boxes: {
      X: [null, ...Array.from({ length: devices }, () => 'receptacle')],
      ...Object.fromEntries(Array.from({ length: cables - 1 }, (_, i) => [`Y${i}`, ['X', 'receptacle'] as const])),
    },
    edition,
    change: (house) => {
      Object.assign(house.boxes['X']!, { at: { kind: 'wall', wall: 'c0', alongIn: 100, heightIn: 16 }, ...extra });
      Object.assign(house.circuits['Q']!, { awg });
    },
  });

testRule(boxFill, {
  passes: [
    [
      'in and out and a device: 4 + 1 + 2 of No. 14 are 14 in³',
      crowded(2, 1, { volumeIn3: 14 }),
      'R-1 holds 14 of 14 in³.',
    ],
    [
      'three 14/2 and a device are 18 in³, just an 18 in³ box',
      crowded(3, 1, { volumeIn3: 18 }),
      'R-1 holds 18 of 18 in³.',
    ],
    [
      'in and out of No. 12 and a device are 15.75 in³',
      crowded(2, 1, { volumeIn3: 18 }, '12'),
      'R-1 holds 15.75 of 18 in³.',
    ],
    ['nobody has chosen a box: the deep one is proposed', crowded(3, 1, {}, '12'), 'R-1 holds 20.25 of 22.5 in³.'],
    [
      'four 14/2 and two devices in two gangs with clamps: 28 in³',
      crowded(4, 2, { gangs: 2 }),
      'R-1 holds 28 of 32 in³.',
    ],
  ],
  fails: [
    ['an existing box whose cables are drawn', crowded(3, 1, { volumeIn3: 9, state: 'existing' })],
    [
      'three 12/2 and a device in an 18 in³ box: 20.25 in³',
      crowded(3, 1, { volumeIn3: 18 }, '12'),
      'R-1 holds 20.25 in³ and has room for 18 in³. Take the Single-gang, deep, 22.5 in³.',
    ],
    [
      'more than any box of its kind holds',
      crowded(70, 1, {}, '12'),
      'R-1 holds 321.75 in³ and has room for 18 in³. No box of the catalogue holds it: bring fewer cables here, or set a second box.',
    ],
    [
      'six cables in 2017: one allowance for all grounds',
      crowded(6, 0, { volumeIn3: 25 }),
      'R-1 holds 26 in³ and has room for 25 in³. Take the Two-gang box, 32 in³.',
    ],
    [
      'six cables in 2020: a quarter more for each ground past four',
      crowded(6, 0, { volumeIn3: 25 }, '14', '2020'),
      'R-1 holds 27 in³ and has room for 25 in³. Take the Two-gang box, 32 in³.',
    ],
  ],
  cannotTell: [
    [
      'an existing box whose cables nobody has drawn',
      crowded(3, 1, { volumeIn3: 9, state: 'existing' }).with((house) => Object.assign(house, { cables: {} })),
    ],
    [
      'an existing box that has room by what is supposed, and gets a new cable',
      crowded(3, 1, { volumeIn3: 30, state: 'existing' }).with((house) => Object.assign(house, { cables: {} })),
    ],
    [
      'conductors larger than No. 6',
      crowded(1, 1, {}, '14').with((house) => Object.assign(house.circuits['Q']!, { awg: '4', ratingA: 70 })),
      'Conductors larger than No. 6 come into R-1: its size goes by 314.28, which is not counted here.',
    ],
  ],
});

describe('the sum of a box, worked by hand', () => {
  test('clamps by standard, the note for the box, and one yoke of two gangs', () => {
    const house = crowded(3, 1, { volumeIn3: 32 }).build();
    const fill = fillBox(house, wireHouse(house).boxes.get('X')!);
    expect(fillLines(fill).map((one) => [one.count, one.in3, one.section])).toEqual([
      [6, 12, '314.16(B)(1)'],
      [2, 4, '314.16(B)(4)'],
      [1, 2, '314.16(B)(5)'],
    ]);
    expect(fillNote(fill)).toBe('16 × 14 allowed, 9 used');
    const always = crowded(3, 1, { volumeIn3: 32 })
      .with((one) => (one.standards.makeUp = { feed: 'pigtail', freeIn: 8, clamps: 'always' }))
      .build();
    expect(fillBox(always, wireHouse(always).boxes.get('X')!).usedIn3).toBe(20);
  });

  test.each([
    ['nothing said, one gang', {}, 18],
    ['clamps seen in it', { clamps: 'inside' as const }, 20],
    ['a fixture stud', { stud: true }, 20],
    ['a fixture stud and a hickey', { stud: true, hickey: true }, 22],
    ['all of it', { clamps: 'inside' as const, stud: true, hickey: true }, 24],
  ])('what stands in the box counts once of the largest conductor, 2 in\u00b3 each: %s', (_, inside, usedIn3) => {
    const house = crowded(3, 1, { volumeIn3: 32, ...inside }).build();
    expect(fillBox(house, wireHouse(house).boxes.get('X')!).usedIn3).toBe(usedIn3);
  });

  test('each allowance is called by what it stands for', () => {
    const house = crowded(2, 3, { gangs: 3, clamps: 'inside', stud: true, hickey: true })
      .with((one) => Object.assign(one.boxes['X']!.devices['X-2']!, { circuit: null }))
      .build();
    expect(fillLines(fillBox(house, wireHouse(house).boxes.get('X')!)).map((one) => [one.count, one.what])).toEqual([
      [4, 'conductors of 14'],
      [4, '2 devices on 14'],
      [1, 'fixture stud'],
      [1, 'hickey'],
      [2, 'device not wired yet'],
      [1, 'grounds, 2 of them'],
      [1, 'clamps inside'],
    ]);
  });

  test('two gangs in which somebody saw no clamps', () => {
    const house = crowded(1, 2, { clamps: 'none' }).build();
    expect(fillLines(fillBox(house, wireHouse(house).boxes.get('X')!)).map((one) => one.what)).not.toContain(
      'clamps inside',
    );
  });

  test('a 50 A receptacle on 6/3: 15 + 2.5 + 20 in³, its ground a No. 10', () => {
    const house = wiringHouse({
      boxes: { X: [null, { kind: 'receptacle', volts: 240, ratingA: 50, style: 'single' }] },
      change: (one) => {
        Object.assign(one.circuits['Q']!, { poles: 2, ratingA: 50, awg: '6' });
        Object.assign(one.boxes['X']!, { at: { kind: 'wall', wall: 'c0', alongIn: 100, heightIn: 16 }, volumeIn3: 40 });
      },
    });
    expect(fillBox(house, wireHouse(house).boxes.get('X')!).usedIn3).toBe(37.5);
  });

  test('a device counts by the wire of its own circuit: 14/2 and 12/2 in one box, a receptacle on each', () => {
    const house = crowded(1, 2)
      .circuit('Z', 20)
      .with((one) => {
        Object.assign(one.boxes['X']!.devices['X-1']!, { circuit: 'Z' });
        one.cables['z'] = { id: 'z', circuit: 'Z', from: null, to: 'X' };
      })
      .build();
    expect(
      fillLines(fillBox(house, wireHouse(house).boxes.get('X')!)).map((one) => [one.count, one.in3, one.what]),
    ).toEqual([
      [2, 4, 'conductors of 14'],
      [2, 4.5, 'conductors of 12'],
      [2, 4, 'receptacle on 14'],
      [2, 4.5, 'receptacle on 12'],
      [1, 2.25, 'grounds, 2 of them'],
      [1, 2.25, 'clamps inside'],
    ]);
  });

  test('a card calls a box by its type, and by the volume that was read in it', () => {
    const house = crowded(1, 1).build();
    const fill = fillBox(house, wireHouse(house).boxes.get('X')!);
    const { box, type } = fill;
    expect(nameOfBox({ box, type })).toBe(type.name);
    expect(
      nameOfBox({ box: { ...box, volumeIn3: 20.3 }, type: { ...type, name: 'Single-gang, deep, 22.5 in³' } }),
    ).toBe('Single-gang, deep, 20.3 in³ marked');
    expect(fillLines(fill).map((one) => one.what)).toContain('ground');
  });

  test('more cables never fill a box less', () => {
    const used = [1, 2, 3, 4, 5, 6, 7].map((cables) => {
      const house = crowded(cables, 1, {}, '14', '2023').build();
      return fillBox(house, wireHouse(house).boxes.get('X')!).usedIn3;
    });
    expect([...used].sort((a, b) => a - b)).toEqual(used);
    expect(smallestFor(crowded(1, 1).build(), crowded(1, 1).build().boxes['X']!, 20, (one) => one.volumeIn3)?.id).toBe(
      'gang-1-deep',
    );
  });
});

describe('insulated conductors from the light to two switches (handbook arithmetic)', () => {
  test.each([
    ['each switch its neutral: hot, return, neutral; two travelers, common, neutral', '2023', false, [2, 3, 4]],
    ['one neutral for switches that see the whole room', '2023', true, [2, 3, 3]],
    ['2014: none for them', '2014', true, [2, 2, 3]],
  ] as const)('%s', (_, edition, seesAll, expected) => {
    const house = atLight(edition, seesAll).build();
    const runs = wireHouse(house).units[0]!.runs;
    expect(
      runs.map(
        (run) => run.cables.flatMap((cable) => cable.conductors).filter((one) => one.signal?.kind !== 'ground').length,
      ),
    ).toEqual(expected);
  });
});
