import { describe, expect, it } from 'vitest';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { indexOutlets } from '../../circuits/outlets';
import { EDITIONS, ROOM_KINDS, type Edition, type Grade, type House, type RoomKind } from '../../house/schema';
import { must } from '../../test/must';
import { acceptFinding } from '../accept-finding';
import { checkHouse } from '../check-house';
import { decideAfci } from './afci';
import { protectionOf, whyNotReadilyAccessible } from './circuit-protection';
import { decideGfci } from './gfci';

/** For each edition whether the first outlet of the house needs it: y, n, or ? for cannot tell. */
const across = (build: (edition: Edition) => HouseBuilder, decide: typeof decideGfci) =>
  EDITIONS.map((edition) => {
    const house = build(edition).build();
    return { required: 'y', 'not-required': 'n', 'cannot-tell': '?' }[
      decide(house, indexOutlets(house).all[0]!, edition).kind
    ];
  }).join('');

const inRoom =
  (kind: RoomKind, device: object = {}) =>
  (edition: Edition) =>
    aHouse(edition)
      .room('r', kind, [0, 0, 200, 200])
      .circuit('A', 20)
      .receptacle('r', 'c0', 100, { circuit: 'A', ...device });
const fridge = (sinkAt: number) => (edition: Edition) =>
  aHouse(edition)
    .room('k', 'kitchen', [0, 0, 300, 120])
    .circuit('A', 20)
    .load('refrigerator', 'k', 'c0', 20, 'A')
    .feature('k', 'sink', ['c0', sinkAt, 30, 20]);
/** A bedroom with a bath behind a walk-in closet, the doors in one line, and a basin whose edge stands so far from the west wall of the lot. */
/** A studio with a receptacle so many inches from the edge of its sink. */
const fromSink = (apartIn: number) => (edition: Edition) =>
  aHouse(edition)
    .room('s', 'studio', [0, 0, 400, 120])
    .feature('s', 'sink', ['c0', 200, 30, 20])
    .receptacle('s', 'c0', 200 - apartIn);

const called = (kind: 'basement-unfinished' | 'basement-finished', grade: Grade) => (edition: Edition) =>
  inRoom(kind)(edition).with((house) => (house.levels['L1']!.grade = grade));

/** A receptacle of a sunroom or deck so far from the inside wall of a hot tub, in it or through an opening into it. */
const fromTub = (awayIn: number, tubIn: RoomKind, way: 'here' | 'cased' | 'door') => (edition: Edition) => {
  const house = aHouse(edition)
    .room('r', 'sunroom', [0, 0, 400, 200])
    .room('other', tubIn, [0, 204.5, 400, 400])
    .receptacle('r', 'c2', 200);
  if (way === 'here') return house.standing('tub', 'r', 'hot-tub', [160, 200 - awayIn - 60, 80, 60]);
  return house.opening('r', 'c2', way, 150, 100).standing('tub', 'other', 'hot-tub', [160, 200 + awayIn, 80, 60]);
};

const overCloset = (basinX: number) => (edition: Edition) =>
  aHouse(edition)
    .room('bed', 'bedroom', [0, 0, 120, 120])
    .room('wic', 'walk-in-closet', [124.5, 0, 30, 120])
    .room('bath', 'bathroom', [159, 0, 96, 100])
    .opening('bed', 'c1', 'door', 20, 32)
    .opening('wic', 'c1', 'door', 20, 32)
    .standing('basin', 'bath', 'basin', [basinX, 20, 20, 20])
    .circuit('A', 15)
    .receptacle('bed', 'c1', 68, { circuit: 'A' });
const big = { volts: 240, ratingA: 30, style: 'single' };

// 2014, 2017, 2020, 2023
describe('GFCI 210.8 by place and edition', () => {
  it.each([
    ['bathroom', inRoom('bathroom'), 'yyyy'],
    ['garage', inRoom('garage'), 'yyyy'],
    ['garage, 240 V 30 A: not in 2017', inRoom('garage', big), 'nnyy'],
    ['outdoors', inRoom('outdoors'), 'yyyy'],
    ['crawl space', inRoom('crawl-space'), 'yyyy'],
    ['an unfinished basement on a level that nobody has marked', called('basement-unfinished', 'not-known'), '????'],
    ['a finished basement there', called('basement-finished', 'not-known'), 'nn??'],
    ['a room called a basement on a level that is marked above grade', inRoom('basement-unfinished'), '????'],
    ['a finished one there', inRoom('basement-finished'), 'nn??'],
    [
      'one that is itself marked above grade: the cellar of a house on a slope',
      (edition: Edition) => inRoom('basement-unfinished')(edition).with((house) => (house.rooms['r']!.grade = 'above')),
      'nnnn',
    ],
    ['unfinished basement', called('basement-unfinished', 'below'), 'yyyy'],
    ['finished basement: from 2020', called('basement-finished', 'below'), 'nnyy'],
    ['a sunroom', inRoom('sunroom'), 'nnnn'],
    [
      'a sunroom with plants that are sprayed, an indoor damp place: from 2020',
      (edition: Edition) => inRoom('sunroom')(edition).with((house) => (house.rooms['r']!.damp = true)),
      'nnyy',
    ],
    ['laundry', inRoom('laundry'), 'yyyy'],
    ['electric dryer in a laundry: from 2020', inRoom('laundry', big), 'nnyy'],
    ['bedroom', inRoom('bedroom'), 'nnnn'],
    ['a room without a use', inRoom('other'), '????'],
    [
      'the receptacle beside an air handler in an attic: from 2020',
      (edition: Edition) => inRoom('attic')(edition).feature('r', 'air-handler', ['c2', 20, 30, 30]),
      'nnyy',
    ],
    [
      'a washer in a hall closet: a laundry area all the same',
      (edition: Edition) => inRoom('closet')(edition).feature('r', 'washer', ['c2', 20, 28, 28]),
      'yyyy',
    ],
    ['a closet without one', inRoom('closet'), 'nnnn'],
    [
      'a gas dryer\u2019s plug in a utility room',
      (edition: Edition) =>
        aHouse(edition).room('u', 'utility', [0, 0, 99, 99]).circuit('A', 20).load('gas-dryer', 'u', 'c0', 20, 'A'),
      'yyyy',
    ],
    [
      'an electric dryer by plug in a utility room: from 2020',
      (edition: Edition) =>
        aHouse(edition)
          .room('u', 'utility', [0, 0, 99, 99])
          .circuit('A', 30, { poles: 2 })
          .load('dryer', 'u', 'c0', 20, 'A'),
      'nnyy',
    ],
    [
      'a hard-wired water heater in a garage: read both ways in 2023',
      (edition: Edition) =>
        aHouse(edition)
          .room('g', 'garage', [0, 0, 240, 240])
          .circuit('A', 30, { poles: 2 })
          .load('water-heater', 'g', 'c0', 20, 'A'),
      'nnn?',
    ],
    [
      'a hard-wired car charger in a garage on 60 A',
      (edition: Edition) =>
        aHouse(edition)
          .room('g', 'garage', [0, 0, 240, 240])
          .circuit('A', 60, { poles: 2 })
          .load('ev-charger-48', 'g', 'c0', 20, 'A'),
      'nnnn',
    ],
    [
      'a mini-split outdoors is HVAC equipment too: with a permit before September 2026 the day that counts is a question in 2023',
      (edition: Edition) =>
        aHouse(edition)
          .room('yard', 'outdoors', [0, 0, 99, 99])
          .circuit('A', 20, { poles: 2 })
          .load('mini-split', 'yard', 'c0', 20, 'A')
          .with((house) => (house.job.permitDate = '2026-08-31')),
      'nny?',
    ],
    [
      'a disposer in the sink cabinet',
      (edition: Edition) =>
        aHouse(edition)
          .room('k', 'kitchen', [0, 0, 300, 120])
          .circuit('A', 20)
          .load('disposer', 'k', 'c0', 20, 'A', { inCabinet: true })
          .feature('k', 'sink', ['c0', 10, 30, 20]),
      'yyyy',
    ],
    [
      'a microwave on a cord in a cabinet of a recreation room: 2023 names it',
      (edition: Edition) =>
        aHouse(edition)
          .room('r', 'recreation', [0, 0, 200, 200])
          .circuit('A', 20)
          .load('microwave', 'r', 'c0', 20, 'A'),
      'nnny',
    ],
    ['an attic without equipment', inRoom('attic'), 'nnnn'],
    ['a refrigerator more than 6 ft from the sink: 2023 only', fridge(100), 'nnny'],
    ['a refrigerator within 6 ft of the sink', fridge(60), 'yyyy'],
    [
      'a kitchen without a drawn sink',
      (edition: Edition) =>
        aHouse(edition).room('k', 'kitchen', [0, 0, 99, 99]).circuit('A', 20).load('refrigerator', 'k', 'c0', 20, 'A'),
      '???y',
    ],
    [
      'a counter receptacle',
      (edition: Edition) =>
        aHouse(edition)
          .room('k', 'kitchen', [0, 0, 300, 120])
          .circuit('A', 20)
          .feature('k', 'counter', ['c0', 0, 60, 25])
          .receptacle('k', 'c0', 30, { heightIn: 43, circuit: 'A' })
          .feature('k', 'sink', ['c0', 200, 30, 20]),
      'yyyy',
    ],
    [
      'a dishwasher, hard-wired or not',
      (edition: Edition) =>
        aHouse(edition)
          .room('k', 'kitchen', [0, 0, 300, 120])
          .circuit('A', 20)
          .load('dishwasher', 'k', 'c0', 20, 'A', { cord: false }),
      'yyyy',
    ],
    [
      'a range far from the sink: 2023',
      (edition: Edition) =>
        aHouse(edition)
          .room('k', 'kitchen', [0, 0, 300, 120])
          .circuit('A', 40, { poles: 2 })
          .load('range', 'k', 'c0', 20, 'A')
          .feature('k', 'sink', ['c0', 200, 30, 20]),
      'nnny',
    ],
    [
      'a sump pump in a closet: from 2020',
      (edition: Edition) =>
        aHouse(edition).room('c', 'closet', [0, 0, 99, 99]).circuit('A', 20).load('sump-pump', 'c', 'c0', 20, 'A'),
      'nnyy',
    ],
    [
      'a bedroom receptacle 5 ft from a tub through the open doorway: 2017 stops at it, 2014 does not say',
      (edition: Edition) =>
        aHouse(edition)
          .room('bed', 'bedroom', [0, 0, 120, 120])
          .room('bath', 'bathroom', [124.5, 0, 96, 100])
          .opening('bed', 'c1', 'door', 20, 32)
          .feature('bath', 'tub', ['c3', 20, 60, 30])
          .circuit('A', 15)
          .receptacle('bed', 'c1', 70, { circuit: 'A' }),
      '?nyy',
    ],
    [
      'a floor receptacle 5 ft 8 in from a basin slantwise through a doorway: 2017 stops at it, 2014 does not say',
      (edition: Edition) =>
        aHouse(edition)
          .room('bed', 'bedroom', [0, 0, 120, 120])
          .room('bath', 'bathroom', [124.5, 0, 96, 100])
          .opening('bed', 'c1', 'door', 20, 32)
          .standing('basin', 'bath', 'basin', [145, 0, 20, 20])
          .floorReceptacle('bed', 90, 60),
      '?nyy',
    ],
    [
      'a bedroom receptacle just within 6 ft of a basin, over a walk-in closet and its two doorways',
      overCloset(174),
      '?nyy',
    ],
    ['10 ft from an indoor hot tub: 680.43(A)(2)', fromTub(120, 'sunroom', 'here'), 'yyyy'],
    ['farther than 10 ft from an indoor hot tub', fromTub(121, 'sunroom', 'here'), 'nnnn'],
    ['9 ft from a hot tub on a deck through an opening without a door', fromTub(108, 'deck', 'cased'), 'yyyy'],
    ['19 ft from one on a deck through such an opening: 680.22(A)(4)', fromTub(228, 'deck', 'cased'), 'yyyy'],
    ['19 ft from one in another room through such an opening', fromTub(228, 'sunroom', 'cased'), 'nnnn'],
    ['5 ft from one on a deck through a door, which ends a cord in every edition', fromTub(60, 'deck', 'door'), 'nnnn'],
    ['exactly 6 ft from a sink', fromSink(72), 'yyyy'],
    ['a thirty-second of an inch more than 6 ft from a sink', fromSink(72 + 1 / 32), 'nnnn'],
    ...(
      [
        ['a recreation room in a basement', 'recreation', true, -108, 'nnyy'],
        ['a storage room in a basement', 'storage', true, -108, 'yyyy'],
        [
          'a recreation room on a level that nobody has marked, its floor 9 ft under grade',
          'recreation',
          false,
          -108,
          'nn??',
        ],
        ['a storage room there', 'storage', false, -108, '????'],
        ['a recreation room on the main level', 'recreation', false, 0, 'nnnn'],
      ] as const
    ).map(([what, kind, belowGrade, elevationIn, expected]): [string, (edition: Edition) => HouseBuilder, string] => [
      what,
      (edition) =>
        aHouse(edition)
          .room('r', kind, [0, 0, 200, 200])
          .with((house) =>
            Object.assign(house.levels['L1']!, { grade: belowGrade ? 'below' : 'not-known', elevationIn }),
          )
          .receptacle('r', 'c0', 100),
      expected,
    ]),
    [
      'a family room open to the kitchen, 5 ft from its sink: no doorway lies between, whatever the edition',
      (edition: Edition) =>
        aHouse(edition)
          .room('kitchen', 'kitchen', [0, 0, 168, 144])
          .room('family', 'family', [168, 0, 200, 144])
          .boundary('kitchen', 'c1', 'open')
          .boundary('family', 'c3', 'open')
          .feature('kitchen', 'sink', ['c0', 130, 33, 22])
          .receptacle('family', 'c0', 48),
      'yyyy',
    ],
    [
      'the same, though only one of the two rooms says that its side is open',
      (edition: Edition) =>
        aHouse(edition)
          .room('kitchen', 'kitchen', [0, 0, 168, 144])
          .room('family', 'family', [168, 0, 200, 144])
          .boundary('kitchen', 'c1', 'open')
          .feature('kitchen', 'sink', ['c0', 130, 33, 22])
          .receptacle('family', 'c0', 48),
      'yyyy',
    ],
    [
      'the same through a railing that is drawn between: a railing is no open side',
      (edition: Edition) =>
        aHouse(edition)
          .room('kitchen', 'kitchen', [0, 0, 168, 144])
          .room('family', 'family', [168, 0, 200, 144])
          .boundary('kitchen', 'c1', 'railing')
          .feature('kitchen', 'sink', ['c0', 130, 33, 22])
          .receptacle('family', 'c0', 48),
      'nnnn',
    ],
    ['just beyond 6 ft', overCloset(176), 'nnnn'],
    [
      'through the wall a sink is not near',
      (edition: Edition) =>
        aHouse(edition)
          .room('bed', 'bedroom', [0, 0, 120, 120])
          .room('bath', 'bathroom', [124.5, 0, 96, 100])
          .feature('bath', 'basin', ['c3', 20, 20, 18])
          .circuit('A', 15)
          .receptacle('bed', 'c1', 70, { circuit: 'A' }),
      'nnnn',
    ],
    [
      'a hard-wired outdoor outlet: 210.8(F) from 2020',
      (edition: Edition) =>
        aHouse(edition)
          .room('yard', 'outdoors', [0, 0, 99, 99])
          .circuit('A', 20, { poles: 2 })
          .load('other', 'yard', 'c0', 20, 'A', { cord: false, volts: 240 }),
      'nnyy',
    ],
    [
      'an outdoor outlet on 60 A is outside 210.8(F)',
      (edition: Edition) =>
        aHouse(edition)
          .room('yard', 'outdoors', [0, 0, 99, 99])
          .circuit('A', 60, { poles: 2 })
          .load('ev-charger', 'yard', 'c0', 20, 'A'),
      'nnnn',
    ],
    [
      'an air conditioner: with a permit before September 2026 the day that counts is a question in 2023',
      (edition: Edition) =>
        aHouse(edition)
          .room('yard', 'outdoors', [0, 0, 99, 99])
          .circuit('A', 30, { poles: 2 })
          .load('air-conditioner', 'yard', 'c0', 20, 'A')
          .with((house) => (house.job.permitDate = '2026-08-31')),
      'nny?',
    ],
    [
      'the same with a later permit',
      (edition: Edition) =>
        aHouse(edition)
          .room('yard', 'outdoors', [0, 0, 99, 99])
          .circuit('A', 30, { poles: 2 })
          .load('air-conditioner', 'yard', 'c0', 20, 'A')
          .with((house) => (house.job.permitDate = '2026-09-01')),
      'nnyy',
    ],
    [
      'the same without a permit date',
      (edition: Edition) =>
        aHouse(edition)
          .room('yard', 'outdoors', [0, 0, 99, 99])
          .circuit('A', 30, { poles: 2 })
          .load('air-conditioner', 'yard', 'c0', 20, 'A'),
      'nn??',
    ],
    [
      'a crawl-space light',
      (edition: Edition) =>
        aHouse(edition).room('c', 'crawl-space', [0, 0, 99, 99]).circuit('A', 15).ceiling('c', 'luminaire', 'A'),
      'nyyy',
    ],
    [
      'a bathroom light',
      (edition: Edition) =>
        aHouse(edition).room('c', 'bathroom', [0, 0, 99, 99]).circuit('A', 15).ceiling('c', 'luminaire', 'A'),
      'nnnn',
    ],
    [
      'a studio with a sink and a counter: ask in 2023',
      (edition: Edition) =>
        aHouse(edition)
          .room('s', 'studio', [0, 0, 400, 120])
          .feature('s', 'counter', ['c0', 250, 60, 25])
          .feature('s', 'sink', ['c0', 260, 30, 20])
          .circuit('A', 20)
          .receptacle('s', 'c0', 20, { circuit: 'A' }),
      'nnn?',
    ],
  ])('%s', (_, build, expected) => expect(across(build, decideGfci)).toBe(expected));
});

describe('what a decision says of itself', () => {
  const gfciOf = (build: (edition: Edition) => HouseBuilder, edition: Edition) => {
    const house = build(edition).build();
    return decideGfci(house, indexOutlets(house).all[0]!, edition);
  };
  const crawlLight = (edition: Edition) =>
    aHouse(edition).room('c', 'crawl-space', [0, 0, 99, 99]).circuit('A', 15).ceiling('c', 'luminaire', 'A');
  it.each([
    ['a crawl-space light', crawlLight, '2017', '210.8(E)'],
    ['a crawl-space light', crawlLight, '2020', '210.8(C)'],
    ['a crawl-space light', crawlLight, '2023', '210.8(C)'],
  ] as const)('%s under %s: %s', (_, build, edition, section) =>
    expect(gfciOf(build, edition)).toMatchObject({ kind: 'required', section }),
  );
  it.each([
    ['laundry', 'high'],
    ['hallway', 'medium'],
  ] as const)('a washer in a %s makes a laundry area: %s confidence', (kind, confidence) => {
    const washer = (edition: Edition) =>
      aHouse(edition).room('r', kind, [0, 0, 99, 99]).circuit('A', 20).load('washer', 'r', 'c0', 20, 'A');
    expect(gfciOf(washer, '2014')).toMatchObject({ basis: { confidence } });
  });
  const old = (replaced: boolean) => (edition: Edition) =>
    inRoom('bathroom', { replaced })(edition).with((house) => {
      for (const box of Object.values(house.boxes)) box.state = 'existing';
    });
  it.each([
    ['stays as it is', old(false), 'nnnn'],
    ['is replaced', old(true), 'yyyy'],
  ] as const)('an existing receptacle in a bath %s', (_, build, expected) =>
    expect(across(build, decideGfci)).toBe(expected),
  );
  it.each([
    ['stays as it is', false, 'nnnn'],
    ['is replaced', true, 'yyyy'],
  ] as const)('and one in a bedroom, for AFCI, %s', (_, replaced, expected) =>
    expect(
      across(
        (edition) =>
          inRoom('bedroom', { replaced })(edition).with((house) => {
            for (const box of Object.values(house.boxes)) box.state = 'existing';
          }),
        decideAfci,
      ),
    ).toBe(expected),
  );
  it('a hard-wired outlet in a bedroom and a light in a bath are in no list', () => {
    const wired = (edition: Edition) =>
      aHouse(edition).room('b', 'bedroom', [0, 0, 99, 99]).load('other', 'b', 'c0', 20, null, { cord: false });
    expect(across(wired, decideGfci)).toBe('nnnn');
    expect(gfciOf(wired, '2023')).toMatchObject({ reason: 'A hard-wired outlet that no edition in force names.' });
    const lit = aHouse('2023').room('b', 'bathroom', [0, 0, 99, 99]).ceiling('b', 'luminaire', null);
    expect(gfciOf(() => lit, '2023')).toMatchObject({ reason: 'Not a receptacle.' });
  });
  it.each([
    ['of a listed room', 'bedroom', 'An outlet or device in r.'],
    ['of one that is like it', 'office', 'An outlet or device in r, read as similar to the listed rooms.'],
  ] as const)('AFCI in words %s', (_, kind, reason) => {
    const house = inRoom(kind)('2023').build();
    expect(decideAfci(house, indexOutlets(house).all[0]!, '2023')).toMatchObject({ reason });
  });
  it('AFCI does not follow to 240 V, and says so', () => {
    const house = aHouse('2023')
      .room('r', 'bedroom', [0, 0, 200, 200])
      .circuit('A', 20, { poles: 2 })
      .receptacle('r', 'c0', 100, { circuit: 'A', volts: 240, ratingA: 20, style: 'single' })
      .build();
    expect(decideAfci(house, indexOutlets(house).all[0]!, '2023')).toMatchObject({
      kind: 'not-required',
      reason: '210.12 covers 120 V circuits.',
    });
  });
});

describe('AFCI 210.12 by room', () => {
  const listed = [
    'kitchen',
    'family',
    'dining',
    'living',
    'library',
    'den',
    'bedroom',
    'sunroom',
    'recreation',
    'closet',
    'walk-in-closet',
    'hallway',
    'laundry',
  ];
  const similar = ['office', 'studio', 'breakfast', 'pantry', 'foyer', 'stair', 'linen', 'basement-finished'];
  it.each(ROOM_KINDS)('%s', (kind) => {
    const expected = listed.includes(kind) || similar.includes(kind) ? 'yyyy' : kind === 'other' ? '????' : 'nnnn';
    expect(across(inRoom(kind), decideAfci)).toBe(expected);
    const house = inRoom(kind)('2023').build();
    const decision = decideAfci(house, indexOutlets(house).all[0]!, '2023');
    if (decision.kind === 'required') expect(decision.basis.confidence).toBe(listed.includes(kind) ? 'high' : 'medium');
  });
  it.each([
    ['a washer in a utility room makes it a laundry area', 'utility', 'yyyy'],
    ['a washer in a garage: read both ways', 'garage', '????'],
  ] as const)('%s', (_, kind, expected) =>
    expect(
      across(
        (edition) =>
          aHouse(edition).room('r', kind, [0, 0, 99, 99]).circuit('A', 20).load('washer', 'r', 'c0', 20, 'A'),
        decideAfci,
      ),
    ).toBe(expected),
  );
  it('not on 240 V, not on 30 A', () => {
    expect(across(inRoom('bedroom', big), decideAfci)).toBe('yyyy');
    expect(
      across(
        (edition) =>
          aHouse(edition)
            .room('r', 'bedroom', [0, 0, 200, 200])
            .circuit('A', 30, { poles: 2 })
            .receptacle('r', 'c0', 100, { circuit: 'A', ...big }),
        decideAfci,
      ),
    ).toBe('nnnn');
  });
});

describe('readily accessible', () => {
  it.each([
    ['crawl-space', 'it is in the crawl space'],
    ['attic', 'it is in the attic'],
    ['garage', undefined],
  ] as const)('a GFCI receptacle in a %s', (kind, why) => {
    const house = inRoom(kind, { gfci: true })('2023').build();
    expect(whyNotReadilyAccessible(indexOutlets(house).all[0]!)).toBe(why);
  });
});

describe('the breaker that follows', () => {
  const kindOf = (builder: HouseBuilder) => protectionOf(builder.build(), 'A').needed;
  it.each([
    ['a bedroom', inRoom('bedroom')('2023'), 'afci'],
    ['a bathroom', inRoom('bathroom')('2023'), 'gfci'],
    ['a laundry wants both', inRoom('laundry')('2023'), 'dual'],
    [
      'a porch light alone',
      aHouse().room('p', 'porch', [0, 0, 99, 99]).circuit('A', 15).ceiling('p', 'luminaire', 'A'),
      'plain',
    ],
    [
      'a hall switch of a garage light is on its circuit, and asks for AFCI there',
      aHouse()
        .room('g', 'garage', [0, 0, 240, 240])
        .room('h', 'hallway', [0, 244.5, 240, 48])
        .circuit('A', 15)
        .ceiling('g', 'luminaire', 'A')
        .switchAt('h', 'c0', 20, null)
        .with((house) => {
          const of = (kind: string) =>
            Object.values(house.boxes)
              .flatMap((box) => Object.values(box.devices))
              .filter((one) => one.kind === kind)
              .map((one) => one.id);
          house.switchGroups['G'] = {
            id: 'G',
            name: 'Garage light',
            switches: of('switch'),
            controls: of('luminaire'),
          };
        }),
      'afci',
    ],
    ['GFCI receptacles everywhere leave the AFCI', inRoom('laundry', { gfci: true })('2023'), 'afci'],
  ] as const)('%s: %s', (_, builder, expected) => expect(kindOf(builder)).toBe(expected));
});

describe('decisions', () => {
  const long = () => aHouse().room('hall', 'hallway', [0, 0, 40, 130]);
  const ruling = {
    id: 'a',
    rule: 'hallway-receptacle',
    by: 'Inspector of the demo county',
    date: '2026-01-02',
    note: '',
  };
  const about = (builder: HouseBuilder) => checkHouse(builder.build());
  it('switch a rule off, with who and when', () => {
    const check = about(long().with((house) => (house.decisions['a'] = { ...ruling, change: { kind: 'off' } })));
    expect(check.findings.some((one) => one.ruleId === 'hallway-receptacle')).toBe(false);
    expect(check.statuses.find((one) => one.ruleId === 'hallway-receptacle')).toMatchObject({
      status: 'switched off',
      amendment: { by: ruling.by },
    });
  });
  it('change a number, for better or worse', () => {
    const limit = (value: number) =>
      about(
        long().with(
          (house) => (house.decisions['a'] = { ...ruling, change: { kind: 'limit', limit: 'minLengthIn', value } }),
        ),
      ).findings.filter((one) => one.ruleId === 'hallway-receptacle');
    expect(limit(144)).toEqual([]);
    expect(limit(60)[0]).toMatchObject({ amendment: { id: 'a' }, required: 'one receptacle from 5\'-0" up' });
  });
  it('accept a finding until it says something else, whatever lengths are shown in', () => {
    const house = long().build();
    const finding = checkHouse(house).findings.find((one) => one.ruleId === 'hallway-receptacle')!;
    const given = { id: 'a', by: 'County', date: '2026-01-02', note: 'bulletin' };
    const accepted = must(acceptFinding(house, finding, given)).house;
    const open = (one: House) => checkHouse(one).findings.some(({ ruleId }) => ruleId === 'hallway-receptacle');
    expect(checkHouse(accepted).accepted).toMatchObject([{ finding: { key: finding.key }, decision: given }]);
    expect(open(accepted)).toBe(false);
    expect(open({ ...accepted, standards: { ...accepted.standards, lengths: 'metric' } })).toBe(false);
    const longer = long()
      .with((draft) => void Object.assign(draft.decisions, accepted.decisions))
      .with((draft) => draft.rooms['hall']!.corners.forEach((corner) => (corner.y *= 2)))
      .build();
    expect(open(longer)).toBe(true);
  });
  it('a rule that throws cannot tell, and says so', () => {
    const check = checkHouse(long().build(), {
      rules: [
        {
          id: 'x',
          meta: {
            summary: '',
            stage: 'boxes',
            severity: 'violation',
            why: '',
            editions: { '2023': { section: '1', limits: {}, basis: { source: 'from memory', confidence: 'low' } } },
            messages: {},
          },
          scope: 'house',
          appliesTo: () => true,
          check: () => {
            throw new Error('broken on purpose');
          },
        },
      ],
    });
    expect(check.findings[0]).toMatchObject({
      kind: 'cannot-tell',
      message: 'This rule could not be checked because of a fault in the program: broken on purpose',
    });
  });
});
