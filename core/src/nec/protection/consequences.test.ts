import { describe, expect, it } from 'vitest';
import { indexOutlets } from '../../circuits/outlets';
import { EDITIONS } from '../../house/schema';
import { buildingSchema } from '../../house/schema-supply';
import { compareEditions } from '../compare-editions';
import { outagesIn, outagesOn } from '../outages';
import { decideAfci } from './afci';
import { decideGfci } from './gfci';
import { nuisancesOn, protectionWays } from './ways';
import { aHouse } from '../../test/house-builder';
import { demo } from '../../test/demo-house';

const garage = () =>
  aHouse()
    .room('hall', 'hallway', [0, 0, 120, 48])
    .room('gar', 'garage', [0, 60, 240, 240], { bays: 1 })
    .circuit('A', 20)
    .ceiling('hall', 'luminaire', 'A')
    .load('freezer', 'gar', 'c0', 30, 'A')
    .load('sump-pump', 'gar', 'c1', 30, 'A')
    .receptacle('gar', 'c2', 30, { circuit: 'A', gfci: true, heightIn: 48 });

describe('what dies when it opens', () => {
  it('a breaker takes the light of the hall, the freezer and the pump', () => {
    const house = garage().build();
    const [breaker, own] = outagesOn(house, house.circuits['A']!);
    expect(breaker!.dark.map((room) => room.name)).toEqual(['hall']);
    expect(breaker!.waysDark.map((room) => room.name)).toEqual(['hall']);
    expect(breaker!.thaws.map((one) => one.load!.name)).toEqual(['Freezer']);
    expect(breaker!.stops.map((one) => one.load!.name)).toEqual(['Sump pump']);
    expect(own!.by.kind).toBe('gfci');
    expect(own!.outlets).toHaveLength(1);
  });

  it('a GFCI receptacle that stands first takes all that follows it', () => {
    const house = garage()
      .with((draft) => {
        draft.circuits['A']!.gfciFirst = Object.values(draft.boxes)
          .flatMap((box) => Object.values(box.devices))
          .find((one) => one.kind === 'receptacle' && one.gfci)!.id;
      })
      .build();
    const first = outagesOn(house, house.circuits['A']!)[1]!;
    expect(first.by.kind).toBe('gfci');
    expect(first.outlets).toHaveLength(4);
  });

  it('every outlet of the demo house dies with exactly one breaker', () => {
    const dead = outagesIn(demo)
      .filter((one) => one.by.kind === 'breaker')
      .flatMap((one) => one.outlets.map((outlet) => outlet.device.id));
    const fed = indexOutlets(demo).all.filter((one) => one.device.kind !== 'switch' && one.device.circuit !== null);
    expect(dead.toSorted()).toEqual(fed.map((one) => one.device.id).toSorted());
  });
});

describe('ways to protect', () => {
  it('a bathroom: the first receptacle is cheaper and resets in the room', () => {
    const house = aHouse()
      .room('b', 'bathroom', [0, 0, 96, 96])
      .circuit('A', 20)
      .receptacle('b', 'c0', 30, { circuit: 'A', heightIn: 43 })
      .receptacle('b', 'c0', 60, { circuit: 'A', heightIn: 43 })
      .build();
    const ways = protectionWays(house, 'A');
    expect(ways.map((one) => [one.breaker, one.first?.box.tag, one.isCheapest, one.proposed])).toEqual([
      ['gfci', undefined, false, undefined],
      ['plain', 'R1-1', true, 'cheaper, and all it protects is in b, where it is reset'],
    ]);
  });

  it.each([
    [
      'a 240 V circuit has the breaker alone',
      () =>
        aHouse()
          .room('g', 'garage', [0, 0, 200, 200], { bays: 1 })
          .circuit('A', 40, { poles: 2 })
          .load('kiln', 'g', 'c0', 30, 'A'),
      ['gfci'],
    ],
    [
      'a bedroom has AFCI at the breaker',
      () => aHouse().room('b', 'bedroom', [0, 0, 99, 99]).circuit('A', 15).receptacle('b', 'c0', 30, { circuit: 'A' }),
      ['afci'],
    ],
    [
      'a crawl space with a pump behind it has no receptacle in reach',
      () => aHouse().room('l', 'laundry', [0, 0, 99, 99]).circuit('A', 20).load('washer', 'l', 'c0', 30, 'A'),
      ['dual'],
    ],
    [
      'an attic needs nothing',
      () => aHouse().room('a', 'attic', [0, 0, 99, 99]).circuit('A', 15).ceiling('a', 'luminaire', 'A'),
      [],
    ],
  ] as const)('%s', (_, house, breakers) =>
    expect(protectionWays(house().build(), 'A').map((one) => one.breaker)).toEqual(breakers),
  );

  it('the breaker is proposed where AFCI is required too, or several rooms hang on one receptacle', () => {
    const proposed = (house: ReturnType<typeof aHouse>) =>
      protectionWays(house.build(), 'A').flatMap((one) => (one.proposed ? [[one.breaker, one.proposed]] : []));
    const laundry = aHouse().room('l', 'laundry', [0, 0, 99, 99]).circuit('A', 20);
    expect(proposed(laundry.receptacle('l', 'c0', 30, { circuit: 'A' }))).toEqual([
      ['dual', 'AFCI is required as well: one dual-function breaker gives both'],
    ]);
    const two = (panelIn?: string) => {
      const house = aHouse()
        .room('g', 'garage', [0, 0, 240, 240], { bays: 1 })
        .room('o', 'outdoors', [300, 0, 99, 99])
        .room('h', 'hallway', [0, 300, 99, 99])
        .circuit('A', 20, panelIn ? { panel: 'P' } : {})
        .receptacle('g', 'c0', 30, { circuit: 'A', heightIn: 48 })
        .receptacle('o', 'c0', 30, { circuit: 'A', wr: true });
      return panelIn ? house.panel('P', panelIn, 20) : house;
    };
    expect(proposed(two('h'))).toEqual([
      ['gfci', 'it protects 2 rooms: whoever finds an outlet dead looks at the panel, not in another room'],
    ]);
    const apart = two('h').with((house) => {
      house.buildings['B'] = buildingSchema.parse({ id: 'B', name: 'Garage' });
      house.rooms['g']!.building = 'B';
    });
    expect(proposed(apart)).toEqual([['plain', 'the panel is in another building: people reset it where they are']]);
  });

  it('names what does not go well with a GFCI', () => {
    expect(nuisancesOn(garage().build(), 'A').map((one) => one.outlet.load!.name)).toEqual(['Freezer', 'Sump pump']);
  });
});

describe('one house under two editions', () => {
  it.each([
    ['2014', '2023'],
    ['2017', '2020'],
    ['2020', '2023'],
  ] as const)('%s and %s: what changes is what was decided otherwise, and the way back is the opposite', (a, b) => {
    const there = compareEditions(demo, a, b);
    const back = compareEditions(demo, b, a);
    expect(there.outlets.length).toBeGreaterThan(0);
    expect(there.outlets.length).toBe(back.outlets.length);
    expect(there.sides[0]).toEqual(back.sides[1]);
    expect(there.fresh).toEqual(back.gone);
    for (const { outlet, what, before, after } of there.outlets) {
      const decide = what === 'GFCI' ? decideGfci : decideAfci;
      expect([before, after]).toEqual([decide(demo, outlet, a), decide(demo, outlet, b)]);
    }
  });

  it('2023 guards more with GFCI than 2017, and costs more', () => {
    const { sides } = compareEditions(demo, '2017', '2023');
    const guarded = sides.map((one) => one.breakers.gfci + one.breakers.dual);
    expect(guarded[1]).toBeGreaterThan(guarded[0]!);
    expect(sides[1].cost).toBeGreaterThan(sides[0].cost);
    for (const edition of EDITIONS) expect(compareEditions(demo, edition, edition).outlets).toEqual([]);
  });
});

describe('equipment that its own article guards', () => {
  it.each([
    ['2014', '424.99(B)'],
    ['2023', '424.45(E), 424.99(B)'],
  ] as const)('of floor heat under a bedroom in %s which installation it is decides: %s', (edition, section) => {
    const house = aHouse(edition)
      .room('r', 'bedroom', [0, 0, 144, 144])
      .circuit('A', 20)
      .load('floor-heat', 'r', 'c0', 30, 'A')
      .build();
    expect(decideGfci(house, indexOutlets(house).all[0]!, edition)).toMatchObject({ kind: 'cannot-tell', section });
  });

  it.each([
    ['hot-tub', 'porch', '2014', '680.44'],
    ['tub-pump', 'bathroom', '2017', '680.71'],
    ['pool-pump', 'outdoors', '2020', '680.21(C)'],
    ['floor-heat', 'bathroom', '2023', '424.44(G), 424.45(E), 424.99(B)'],
    ['ev-cord', 'garage', '2017', '625.54'],
    ['ev-charger', 'garage', '2023', undefined],
    ['double-oven', 'kitchen', '2020', undefined],
    ['double-oven', 'kitchen', '2023', '210.8(D)'],
  ] as const)('%s in a %s, %s: %s', (kind, room, edition, section) => {
    const house = aHouse(edition)
      .room('r', room, [0, 0, 144, 144])
      .circuit('A', 50, { poles: 2 })
      .load(kind, 'r', 'c0', 30, 'A')
      .build();
    const decision = decideGfci(house, indexOutlets(house).all[0]!, edition);
    expect(decision.kind === 'required' ? decision.section : undefined).toBe(section);
  });
});
