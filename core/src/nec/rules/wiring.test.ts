import { describe, expect, test } from 'vitest';
import type { Edition, House } from '../../house/schema';
import { boxFill as fillBox, fillLines, fillNote, nameOfBox, smallestFor } from '../../makeup/box-fill';
import { wireHouse } from '../../makeup/make-up';
import { testRule } from '../../test/rule-tester';
import { chainOf, wiringBuilder, wiringHouse, type Spec } from '../../test/wiring-house';
import { boxFill } from './box-fill';
import { conductorsTogether } from './conductors-together';
import { dimmerUse } from './dimmer-use';
import { feedOrder } from './feed-order';
import { idleSwitch } from './idle-switch';
import { neutralAtSwitch } from './neutral-at-switch';
import { outdoorManualWay } from './outdoor-manual-way';
import { stairDimmer } from './stair-dimmer';
import { homeRun } from './home-run';
import { switchGroups } from './switch-groups';

const set = (change: (house: House) => void, edition: Edition = '2023', spec: Partial<Spec> = {}) =>
  wiringBuilder({ ...chainOf(1), edition, change, ...spec });
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
      'conductors larger than No. 6',
      crowded(1, 1, {}, '14').with((house) => Object.assign(house.circuits['Q']!, { awg: '4', ratingA: 70 })),
      'Conductors larger than No. 6 come into R-1: its size goes by 314.28, which is not counted here.',
    ],
  ],
});

describe('the sum of a box, worked by hand', () => {
  test('clamps by school, the note for the box, and one yoke of two gangs', () => {
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

const closet = (house: House) => (house.rooms['room']!.kind = 'closet');
const loopAt = (kind: House['rooms'][string]['kind'], edition: Edition, pulled?: '/2') =>
  wiringBuilder({
    boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'] },
    groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
    edition,
    change: (house) => {
      house.rooms['room']!.kind = kind;
      if (pulled) house.cables['c-S1']!.kind = pulled;
    },
  });

/** Power at the light, then two switches one behind the other, that see the whole room or not. */
const atLight = (edition: Edition, seesAll: boolean, pulled?: '/2' | '/3') =>
  wiringBuilder({
    boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['S1', 'switch'] },
    groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
    edition,
    change: (house) => {
      if (seesAll) house.switchGroups['a']!.seesAll = true;
      if (pulled) house.cables['c-S1']!.kind = pulled;
    },
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

testRule(neutralAtSwitch, {
  passes: [
    [
      '2017: one of two that see the whole room has it',
      atLight('2017', true),
      'The switch in R-3 needs no neutral: another that sees the whole of the lit area has it.',
    ],
    ['2014: two that see the whole room need none', atLight('2014', true)],
    ['power at the switch brings it', set(() => undefined), 'The neutral is at the switch in R-1.'],
    ['a /3 loop from the light brings it', loopAt('living', '2017'), 'The neutral is at the switch in R-2.'],
    [
      'a closet needs none',
      loopAt('closet', '2020', '/2'),
      'The switch in R-2 needs no neutral: neither bath, hall, stair nor habitable room.',
    ],
    ['a garage needs none', loopAt('garage', '2023', '/2')],
    ['in 2014 a hall is neither habitable room nor bath', loopAt('hallway', '2014', '/2')],
  ],
  fails: [
    [
      'a /2 loop in a living room',
      loopAt('living', '2023', '/2'),
      'No neutral comes to the switch in R-2: it switches light in or stands in a bath, hall, stair or habitable room. Pull a cable with one conductor more.',
    ],
    [
      '2020: none of two that see the whole room has it',
      atLight('2020', true, '/2'),
      'No neutral comes to the switch in R-2: one of several that see the whole of the lit area, and none of them has it. Pull a cable with one conductor more.',
    ],
    ['a /2 loop in a hall from 2017 on', loopAt('hallway', '2017', '/2')],
    ['a /2 loop in a bathroom of 2014', loopAt('bathroom', '2014', '/2')],
  ],
  cannotTell: [
    [
      'a room that nobody has named',
      loopAt('other', '2023', '/2').with((house) => (house.cables['c-S1']!.kind = '/2')),
      'Whether the switch in R-2 needs a neutral cannot be told: the use of the room is not named. Name the room.',
    ],
  ],
  notApplicable: [['no groups', wiringBuilder({ boxes: { R: [null, 'receptacle'] } })]],
});

testRule(switchGroups, {
  passes: [['four places', wiringBuilder(chainOf(4)), 'Group a can be wired: 4 places.']],
  fails: [
    [
      'no switch',
      set((house) => (house.switchGroups['a']!.switches = [])),
      'Group a: it has no switch. Place one at the way in and join it to the group.',
    ],
    ['nothing controlled', set((house) => (house.switchGroups['a']!.controls = []))],
    ['on no circuit', set((house) => (house.boxes['L']!.devices['L-0']!.circuit = null))],
  ],
  notApplicable: [['no groups', wiringBuilder({ boxes: { R: [null, 'receptacle'] } })]],
});

testRule(idleSwitch, {
  passes: [['all in a group', wiringBuilder(chainOf(2)), 'Every switch is in a group.']],
  fails: [
    [
      'one in none',
      set((house) => (house.switchGroups = {})),
      'A switch in R-1 is in no group. Say at Switching what is governed.',
    ],
    [
      'two in one box',
      wiringBuilder({ boxes: { S: [null, 'switch', 'switch'] } }),
      '2 switches in R-1 are in no group. Say at Switching what is governed.',
    ],
  ],
  notApplicable: [['no switch', wiringBuilder({ boxes: { R: [null, 'receptacle'] } })]],
});

testRule(feedOrder, {
  passes: [['every box reached', set(closet), 'Q: 2 runs of cable, each with the conductors that have to cross.']],
  fails: [
    [
      'one that no cable reaches',
      set((house) => delete house.cables['c-L']),
      'No cable reaches R-2. Draw one from a box of Q, or let the tool find the feed order.',
    ],
    [
      'a cable short of a conductor',
      wiringBuilder({ ...chainOf(2), change: (house) => (house.cables['c-S2']!.kind = '/2') }),
      'The /2 cable from R-1 to R-2 has 2 insulated conductors; 3 have to cross: traveler 1 a, traveler 2 a, neutral. Pull a larger one, or change the feed order.',
    ],
  ],
  notApplicable: [['no circuit', wiringBuilder({ boxes: {}, change: (house) => (house.circuits = {}) })]],
});

testRule(homeRun, {
  passes: [['one cable from the panel', wiringBuilder(chainOf(3)), 'Q has one home run.']],
  fails: [
    [
      'two receptacles, each from the panel',
      wiringBuilder({ boxes: { A: [null, 'receptacle'], B: [null, 'receptacle'], C: ['B', 'receptacle'] } }),
      '2 cables of Q start at the panel, and its breaker takes one conductor unless it is marked for more. Feed the others from a box, or splice them to one in the panel where there is room (312.8).',
    ],
  ],
});

testRule(conductorsTogether, {
  passes: [['each run one cable', wiringBuilder(chainOf(3)), 'Each run of Q is one cable.']],
  fails: [
    [
      'a four-way fed from the lamp on a dead end',
      wiringBuilder({
        boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['L', 'switch'], S3: ['L', 'switch'] },
        groups: { a: { switches: ['S1-0', 'S2-0', 'S3-0'], controls: ['L-0'] } },
      }),
      '5 conductors cross from R-1 to R-2: 2 cables side by side. All conductors of a circuit belong together (300.3(B)); with nonmetallic cable and boxes inspectors differ. Another feed order may need one only.',
    ],
  ],
  notApplicable: [['no circuit', wiringBuilder({ boxes: {}, change: (house) => (house.circuits = {}) })]],
});

const dimmed = (
  edition: Edition,
  styles: readonly string[],
  device: 'luminaire' | 'receptacle' | 'fan' = 'luminaire',
) =>
  wiringBuilder({
    boxes: {
      S1: [null, { kind: 'switch', style: styles[0] }],
      L: ['S1', device],
      ...(styles[1] ? { S2: ['L', { kind: 'switch', style: styles[1] }] as const } : {}),
    },
    groups: { a: { switches: styles.map((_, i) => `S${i + 1}-0`), controls: ['L-0'] } },
    edition,
  });
testRule(dimmerUse, {
  passes: [['a dimmed luminaire', dimmed('2023', ['dimmer']), 'The dimmer of Group a governs luminaires.']],
  fails: [
    [
      'a dimmed receptacle',
      dimmed('2014', ['dimmer'], 'receptacle'),
      'Group a has a dimmer and governs the receptacle R-2. Take a plain switch, or a control made for it.',
    ],
    ['a dimmed paddle fan', dimmed('2023', ['dimmer'], 'fan')],
  ],
  notApplicable: [['a toggle on a receptacle', dimmed('2023', ['toggle'], 'receptacle')]],
});

const stairLit = (edition: Edition, first: string, second: string) =>
  dimmed(edition, [first, second]).with((house) => {
    house.features['st'] = {
      id: 'st',
      room: 'room',
      kind: 'stair',
      name: '',
      at: { kind: 'free', x: 10, y: 10, widthIn: 40, depthIn: 100 },
      heightIn: 36,
      risers: 14,
    };
  });
testRule(stairDimmer, {
  passes: [
    [
      '2017: dimmed from both ends',
      stairLit('2017', 'dimmer', 'companion'),
      'Group a is dimmed over its full range from every place.',
    ],
  ],
  fails: [
    [
      '2023: a dimmer above and a plain switch below',
      stairLit('2023', 'dimmer', 'toggle'),
      'Group a lights a stair and is dimmed from 1 of its 2 places: every place needs the full range. Take companions, or plain switches.',
    ],
  ],
  notApplicable: [
    ['2014 did not ask', stairLit('2014', 'dimmer', 'toggle')],
    ['plain switches', stairLit('2023', 'toggle', 'toggle')],
  ],
});

const deck = (style: string, sensor?: 'dusk') => {
  const light = { kind: 'luminaire', ...(sensor ? { sensor } : {}) };
  return wiringBuilder({
    boxes: { S: [null, { kind: 'switch', style }], L: ['S', light] },
    groups: { a: { switches: ['S-0'], controls: ['L-0'] } },
    change: (house) => {
      house.rooms['deck'] = {
        ...house.rooms['room']!,
        id: 'deck',
        kind: 'deck',
        name: 'Deck',
        prefix: 'D',
        corners: [],
      };
      house.rooms['deck'].corners = house.rooms['room']!.corners.map((one) => ({ ...one, x: one.x + 2000 }));
      Object.assign(house.boxes['L']!, { room: 'deck', at: { kind: 'ceiling', x: 2100, y: 100 } });
    },
  });
};

testRule(outdoorManualWay, {
  passes: [
    ['a dusk sensor in the light behind a wall switch', deck('toggle', 'dusk'), 'Group a goes by itself and by hand.'],
    ['a sensor behind an astronomic timer', deck('astronomic', 'dusk'), 'Group a goes by itself and by hand.'],
  ],
  fails: [
    [
      'a dusk sensor in the wall decides alone',
      deck('dusk'),
      'Group a goes by a dusk sensor alone. Put a wall switch ahead of a sensor in the light, or an astronomic timer, which has a button.',
    ],
    [
      'a sensing light that nobody switches',
      deck('toggle', 'dusk').with((house) => (house.switchGroups = {})),
      'The light R-2 goes on by itself at dusk and has no wall switch. Place one indoors, at the door.',
    ],
  ],
  notApplicable: [['plain light and plain switch', deck('toggle')]],
});
