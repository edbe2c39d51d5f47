import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Outlet } from '../circuits/outlets';
import { chainOrder, hardwareAt, treeDistances } from './chain';
import { storedTree } from './feed-tree';
import { wiringUnits } from './unit';
import { toSpice } from '../formats/spice';
import type { Edition, RoomKind } from '../house/schema';
import { allLabels, switchSymbol } from '../makeup/labels';
import { wireHouse } from '../makeup/make-up';
import { neutralAt } from '../makeup/neutral-at-switch';
import { chainOf, wired, wiringHouse } from '../test/wiring-house';

const permutations = <T>(list: readonly T[]): T[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((one, i) => permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [one, ...rest]));

describe('the order of switches', () => {
  test('takes the least wire of all orders (every order tried)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(), { minLength: 3, maxLength: 7 }),
        fc.integer({ min: 2, max: 5 }),
        (parents, places) => {
          const names = parents.map((_, i) => `B${i}`);
          const count = Math.min(places, names.length - 1);
          const boxes = Object.fromEntries(
            names.map((name, i) => [
              name,
              [i === 0 ? null : names[parents[i]! % i]!, i < count ? 'switch' : 'luminaire'] as const,
            ]),
          );
          const house = wiringHouse({
            boxes,
            groups: {
              a: {
                switches: names.slice(0, count).map((one) => `${one}-0`),
                controls: names.slice(count).map((one) => `${one}-0`),
              },
            },
          });
          const [unit] = wiringUnits(house);
          const distance = treeDistances(storedTree(house, unit!)!);
          const [group] = unit!.groups;
          const wire = (order: readonly Outlet[]) =>
            distance(order[0]!.box, null) +
            2 * order.slice(1).reduce((sum, one, i) => sum + distance(order[i]!.box, one.box), 0) +
            Math.min(...group!.controls.map((to) => distance(order.at(-1)!.box, to.box)));
          const best = Math.min(...permutations(group!.switches).map(wire));
          expect(wire(chainOrder(group!, distance).order)).toBeCloseTo(best, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a dimmer keeps to an end though it stands in the middle; a listed order stays as it is listed', () => {
    const spec = {
      boxes: {
        S1: [null, 'switch'],
        S2: ['S1', { kind: 'switch', style: 'dimmer' }],
        S3: ['S2', 'switch'],
        L: ['S3', 'luminaire'],
      },
      groups: { a: { switches: ['S1-0', 'S2-0', 'S3-0'], controls: ['L-0'] } },
    } as const;
    const [chain] = wired(spec).wiring.plan.chains;
    const at = chain!.order.findIndex((one) => one.box.id === 'S2');
    expect(hardwareAt(chain!, at)).toBe('three-way');
    const listed = wired({
      ...chainOf(3),
      change: (house) =>
        Object.assign(house.switchGroups['a']!, { switches: ['S2-0', 'S3-0', 'S1-0'], inThisOrder: true }),
    });
    expect(listed.wiring.plan.chains[0]!.order.map((one) => one.box.id)).toEqual(['S2', 'S3', 'S1']);
  });

  test.each([
    ['single-pole', 'toggle', 'S a'],
    ['three-way', 'toggle', 'S3 a'],
    ['four-way', 'toggle', 'S4 a'],
    ['three-way', 'dimmer', 'S3D a'],
    ['smart', 'smart', 'SM a'],
    ['add-on', 'add-on', 'SC a'],
  ] as const)('a %s %s is drawn %s', (hardware, style, symbol) =>
    expect(switchSymbol(hardware, 'a', style)).toBe(symbol),
  );
});

describe('the neutral at a switch, 404.2(C)', () => {
  const answer = (kind: RoomKind, edition: Edition, style = 'toggle', lamp = 'luminaire') => {
    const made = wired({
      boxes: {
        S1: [null, { kind: 'switch', style }],
        L: ['S1', lamp === 'luminaire' ? lamp : { kind: 'receptacle', switched: 'half' }],
      },
      groups: { a: { switches: ['S1-0'], controls: ['L-0'] } },
      edition,
      change: (house) => (house.rooms['room']!.kind = kind),
    });
    const [chain] = made.wiring.plan.chains;
    return neutralAt(chain!.group, chain!.order[0]!, edition).needed;
  };
  test.each([
    ['bedroom', '2014', 'yes'],
    ['bedroom', '2023', 'yes'],
    ['bathroom', '2014', 'yes'],
    ['half-bath', '2017', 'yes'],
    ['hallway', '2014', 'no'],
    ['hallway', '2017', 'yes'],
    ['stair', '2014', 'no'],
    ['stair', '2020', 'yes'],
    ['kitchen', '2020', 'yes'],
    ['closet', '2014', 'no'],
    ['closet', '2023', 'no'],
    ['garage', '2020', 'no'],
    ['attic', '2023', 'no'],
    ['basement-unfinished', '2017', 'no'],
    ['basement-finished', '2017', 'yes'],
    ['other', '2023', 'cannot-tell'],
  ] as const)('light in a %s, %s: %s', (kind, edition, needed) => expect(answer(kind, edition)).toBe(needed));

  test('a switch for a receptacle needs none; electronics need it anywhere', () => {
    expect(answer('living', '2023', 'toggle', 'receptacle')).toBe('no');
    expect(answer('closet', '2023', 'occupancy')).toBe('yes');
    expect(answer('closet', '2023', 'smart')).toBe('yes');
    expect(answer('closet', '2023', 'smart-no-neutral')).toBe('no');
  });
});

describe('what a house carries about its wiring', () => {
  test('a chosen letter stays, the others take the next free ones', () => {
    const house = wiringHouse({
      boxes: { S: [null, 'switch', 'switch'], L: ['S', 'luminaire', 'luminaire'] },
      groups: { x: { switches: ['S-0'], controls: ['L-0'] }, y: { switches: ['S-1'], controls: ['L-1'] } },
      change: (one) => (one.switchGroups['y']!.letter = 'a'),
    });
    expect(wireHouse(house).units[0]!.plan.chains.map((one) => one.group.letter)).toEqual(['b', 'a']);
  });

  test('labels name the far end, the cable, the circuit and what it is for', () => {
    const { house } = wired(chainOf(2));
    expect(allLabels(house, wireHouse(house).units).map((one) => `${one.at}: ${one.heading}, ${one.detail}`)).toEqual([
      'P: TO NEXT, 14-2 to R-1, circuit Q',
      'R-1: FEED, 14-2 from the panel, circuit Q',
      'R-1: 3-WAY a, 14-3 to R-2, circuit Q',
      'R-2: 3-WAY a, 14-3 from R-1, circuit Q',
      'R-2: SWITCHED a, 14-2 to R-3, circuit Q',
      'R-3: SWITCHED a, 14-2 from R-2, circuit Q',
    ]);
  });

  test('moving one box keeps the wiring of circuits that it is not on', () => {
    const base = wiringHouse({
      boxes: { A: [null, 'receptacle'], B: [null, { kind: 'receptacle', circuit: 'Z' }] },
      change: (house) => {
        house.circuits['Z'] = { ...house.circuits['Q']!, id: 'Z', name: 'Z' };
        house.cables['c-B']!.circuit = 'Z';
      },
    });
    const before = wireHouse(base);
    const box = { ...base.boxes['A']!, at: { kind: 'ceiling' as const, x: 300, y: 300 } };
    const after = wireHouse({ ...base, boxes: { ...base.boxes, A: box } });
    expect(after.units[1]).toBe(before.units[1]);
    expect(after.units[0]).not.toBe(before.units[0]);
    expect(after.boxes.get('B')).toBe(before.boxes.get('B'));
  });

  test('a netlist for a circuit simulator names its title, its sources and what it prints', () => {
    const { net } = wired(chainOf(1));
    const deck = toSpice(net, new Map([['S1-0', 1]]), 'Hall\nlight');
    expect(deck.startsWith('* Hall?light\n')).toBe(true);
    expect(deck).toMatch(/\nV1 n\d+ 0 DC 120\n/);
    expect(deck).toContain('print load_1');
    expect(deck.trimEnd().endsWith('.end')).toBe(true);
  });
});
