import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { wireHouse } from '../makeup/make-up';
import { aHouse } from '../test/house-builder';
import { byTheTool } from '../test/by-the-tool';
import { randomHouse } from '../test/random-house';
import { byMilp } from '../test/routes-milp';
import { walled } from '../test/route-cases';
import { planOf, routed, routeTo } from '../test/routed';
import { askew, mirrored, shifted, turned } from '../test/same-house';
import { totalsOfRoutes } from './totals';
import { crossingsAlong, keptRoutes } from '../circuits/kept-routes';
import type { House, RouteLeg } from '../house/schema';
import { viewRoom } from '../plan/room-view';
import { endOfBox, endOfPanel } from './ends';
import { framingGraph } from './framing-graph';
import { keptCables, keptHoles } from './kept-laid';
import { platesOf } from './plates';
import { pointsOfLeg } from './on-room';
import { CABLES_PER_HOLE, costsOf, inchOf, ROUTE_WAYS } from './ways';

/** An independent program, which brings no types along. */
const { find_path } = createRequire(import.meta.url)('dijkstrajs') as {
  find_path(graph: Readonly<Record<string, Readonly<Record<string, number>>>>, from: string, to: string): string[];
};

const inches = (house: House, tag: string) => routeTo(routed(house), tag).lengthIn;
const bored = (house: House, tag: string) =>
  keptHoles(routed(house))
    .filter((one) => one.cables.some(({ toLabel }) => toLabel === tag))
    .map((one) => [Math.round(one.atIn), one.heightIn, one.members]);

describe('cables in one room, worked by hand with the tape: studs 16 in on center, boxes at 16 in, the run at 24 in', () => {
  it('goes 8 in up, along the wall through six studs, 8 in down', () => {
    const house = walled([
      ['c0', 30],
      ['c0', 126],
    ]).build();
    expect(inches(house, 'R1-2')).toBe(8 + 96 + 8);
    expect(bored(house, 'R1-2')).toEqual([32, 48, 64, 80, 96, 112].map((at) => [at, 24, 1]));
  });

  it('goes straight across where both boxes hang in one bay', () => {
    const house = walled([
      ['c0', 35],
      ['c0', 44],
    ]).build();
    const { legs, lengthIn } = routeTo(routed(house), 'R1-2');
    expect([legs.map((one) => one.kind), lengthIn]).toEqual([['studs'], 9]);
    expect(bored(house, 'R1-2')).toEqual([]);
  });

  it('bores the blocks of a row that it passes on its way up and down, and never the row itself along the wall', () => {
    const withRow = (atIn: number) =>
      walled([
        ['c0', 30],
        ['c0', 126],
      ])
        .with((house) => {
          for (const corner of house.rooms['bed']!.corners)
            corner.framing = { depth: '2x4', layoutFrom: 'start', plumbing: false, blockingAtIn: [atIn] };
        })
        .build();
    const house = withRow(20);
    const blocks = platesOf(house, [...keptCables(routed(house))]).filter(({ cables }) =>
      cables.some(({ toLabel }) => toLabel === 'R1-2'),
    );
    expect(blocks.map((one) => [one.end, one.heightIn])).toEqual([
      ['block', 20],
      ['block', 20],
    ]);
    expect(bored(house, 'R1-2')).toEqual([32, 48, 64, 80, 96, 112].map((at) => [at, 24, 1]));
    for (const [, height] of bored(withRow(24), 'R1-2')) expect(Math.abs(height! - 24)).toBeGreaterThan(1);
  });

  it('goes under a window at 20 in by 4 in below its sill, and through king and jack on both sides', () => {
    const house = walled([
      ['c0', 30],
      ['c0', 126],
    ])
      .opening('bed', 'c0', 'window', 60, 36, { sillIn: 20 })
      .build();
    // 8 up, down 8 before the window, up 8 behind it, 8 down.
    expect(inches(house, 'R1-2')).toBe(96 + 4 * 8);
    expect(bored(house, 'R1-2').filter(([, height]) => height === 16)).toEqual([
      [58, 16, 2],
      [64, 16, 1],
      [80, 16, 1],
      [97, 16, 2],
    ]);
  });

  it('goes over a door by way of the attic: up to the plate and over it, across, and down again', () => {
    const house = walled(
      [
        ['c0', 30],
        ['c0', 126],
      ],
      { below: 'slab', above: 'attic' },
    )
      .opening('bed', 'c0', 'door', 60, 32)
      .build();
    // From the box at 16 in up to 3 in over the plate at 97 in, twice, and 96 in between.
    expect(inches(house, 'R1-2')).toBe(2 * (97 + 3 - 16) + 96);
    expect(bored(house, 'R1-2')).toEqual([]);
  });

  it('goes all the way around where nothing lies over or under a door', () => {
    const house = walled([
      ['c0', 30],
      ['c0', 126],
    ])
      .opening('bed', 'c0', 'door', 60, 32)
      .build();
    // The other way around the room: 528 in less the 96 in between, and up and down.
    expect(inches(house, 'R1-2')).toBe(528 - 96 + 16);
  });

  it('comes down the face of a wall of masonry, and says that no way is known where it cannot', () => {
    const masonry = (above: 'attic' | 'roof') =>
      walled([['c1', 60]], { below: 'slab', above })
        .with((house) => (house.rooms['bed']!.corners[1]!.covering = { kind: 'masonry', thicknessIn: 0 }))
        .build();
    const { legs } = routeTo(routed(masonry('attic')), 'R1-1');
    expect(legs.at(-1)).toMatchObject({ kind: 'end', note: 'surface', toZ: 18 + 16 });
    const alone = aHouse()
      .with((house) => Object.assign(house.levels['L1']!, { below: 'slab', above: 'roof' }))
      .room('x', 'storage', [0, 0, 96, 96])
      .with((house) => house.rooms['x']!.corners.forEach((one) => (one.covering = { kind: 'masonry', thicknessIn: 0 })))
      .panel('Q', 'x', 8)
      .circuit('a', 15, { panel: 'Q' })
      .receptacle('x', 'c0', 40, { circuit: 'a' })
      .build();
    expect(planOf(alone).unrouted.map((one) => one.message)).toEqual([
      'No framing is known around the panel in x. Say what lies above and below its level, or whether its walls are framed.',
    ]);
  });
});

/** Where a leg begins and ends in space. */
function endsOfLeg(house: House, leg: RouteLeg) {
  const points = pointsOfLeg(house, leg);
  const floor = 'room' in leg ? viewRoom(house, leg.room).level.elevationIn : 0;
  const [from, to] =
    leg.kind === 'studs'
      ? [floor + leg.heightIn, floor + leg.heightIn]
      : leg.kind === 'rise'
        ? [floor + leg.fromIn, floor + leg.toIn]
        : leg.kind === 'space'
          ? [leg.z, leg.z]
          : [leg.fromZ, leg.toZ];
  return [
    { ...points[0]!, z: from },
    { ...points.at(-1)!, z: to },
  ] as const;
}
const apart = (a: { x: number; y: number; z: number }, b: { x: number; y: number; z: number }) =>
  Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);

describe('houses at random, laid out and planned by the tool', () => {
  it.each([3, 34, 42, 101, 644])(
    'house %i: every cable is whole, starts and ends in its boxes, and passes no opening',
    (seed) => {
      const house = byTheTool(randomHouse(seed, '2020'));
      const runs = wireHouse(house).units.flatMap((one) => one.runs);
      for (const way of ROUTE_WAYS) {
        const plan = planOf(house, way);
        expect(plan.routes.length + plan.unrouted.length).toBe(runs.length);
        expect(plan.unrouted).toEqual([]);
        expect(plan.cost).toBeGreaterThanOrEqual(plan.bound - 1e-6);
        for (const { legs, ends } of plan.routes) {
          const places = legs.map((leg) => endsOfLeg(house, leg));
          const [start, end] = [places[0]![0], places.at(-1)![1]];
          // A box stands on the face of its wall, the cable in its middle: half of the thickest wall and a bay aside.
          expect(apart(start, { x: ends[0]!, y: ends[1]!, z: ends[2]! })).toBeLessThan(26);
          expect(apart(end, { x: ends[3]!, y: ends[4]!, z: ends[5]! })).toBeLessThan(26);
          places.slice(1).forEach(([next], i) => expect(apart(places[i]![1], next)).toBeLessThan(26));
          for (const leg of legs) if (leg.kind === 'studs') expect(crossingsAlong(house, leg)).toBeDefined();
        }
      }
      const kept = keptRoutes(routed(house));
      expect([kept.sound.size, kept.broken.size]).toEqual([runs.length, 0]);
    },
  );

  it('two runs agree, and a house that is shifted, turned or mirrored takes as much', () => {
    const house = byTheTool(randomHouse(17, '2023'));
    const plan = planOf(house);
    expect(planOf(structuredClone(house)).routes).toEqual(plan.routes);
    for (const change of [shifted, turned, mirrored]) {
      const other = planOf(change(house));
      expect(other.routes.length).toBe(plan.routes.length);
      // The lattice of a space starts at the house's corner, which a mirror makes another one: within one line of it.
      expect(Math.abs(other.bound - plan.bound) / plan.bound).toBeLessThan(0.03);
    }
  });

  it('a house askew on the sheet takes as much cable and as many holes as drawn square, and its routes hold', () => {
    const house = walled(
      [
        ['c0', 30],
        ['c1', 60],
        ['c2', 100],
      ],
      { below: 'slab', above: 'attic', joists: { run: 'east-west', spacingIn: 16, offsetIn: 0 } },
    )
      .over('bed', 'luminaire', 72, 60, { circuit: 'a' })
      .room('bath', 'bathroom', [0, 124.5, 144, 100])
      .over('bath', 'luminaire', 40, 180, { circuit: 'a' })
      .build();
    for (const way of ['least-wire', 'quickest'] as const) {
      const [square, other] = [planOf(house, way), planOf(askew(house), way)];
      expect(other.routes.length).toBe(square.routes.length);
      const feet = (plan: typeof square) => plan.routes.reduce((sum, one) => sum + one.lengthIn, 0) / 12;
      // The lattice starts at another place of the house: within a foot a cable.
      expect(Math.abs(feet(other) - feet(square))).toBeLessThan(square.routes.length);
      const totals = [totalsOfRoutes(house, square.routes), totalsOfRoutes(askew(house), other.routes)] as const;
      expect(Math.abs(totals[1].studHoles - totals[0].studHoles)).toBeLessThanOrEqual(2);
      expect(Math.abs(totals[1].joistHoles! - totals[0].joistHoles!)).toBeLessThanOrEqual(2);
    }
    const kept = keptRoutes(routed(askew(house)));
    expect([kept.sound.size, kept.broken.size]).toEqual([planOf(house).routes.length, 0]);
  });
});

describe('against programs of others', () => {
  const house = byTheTool(randomHouse(42, '2023'));
  const graph = framingGraph(house);

  it.each(ROUTE_WAYS)('one cable alone costs what another program finds (dijkstrajs), %s', (way) => {
    const costs = costsOf(graph, way);
    const inch = inchOf(way);
    const net: Record<string, Record<string, number>> = {};
    const add = (a: string, b: string, cost: number) =>
      ((net[a] ??= {})[b] = Math.min(net[a]![b] ?? Infinity, Math.max(cost, 1e-9)));
    graph.edges.forEach(({ a, b }, e) => {
      const cost = costs.cable[e]! + costs.holes[e]! / CABLES_PER_HOLE;
      add(`${a}`, `${b}`, cost);
      add(`${b}`, `${a}`, cost);
    });
    for (const run of wireHouse(house)
      .units.flatMap((one) => one.runs)
      .filter((one) => one.cables.length === 1)
      .slice(0, 25)) {
      const own = { ...house, cables: {} };
      const from = run.from ? endOfBox(own, graph, run.from) : endOfPanel(own, graph, run.unit.panel!);
      const to = endOfBox(own, graph, run.to);
      for (const key of ['from', 'to']) delete net[key];
      for (const one of from.entries) add('from', `${one.node}`, one.lengthIn * inch);
      for (const one of to.entries) add(`${one.node}`, 'to', one.lengthIn * inch);
      const path = find_path(net, 'from', 'to');
      const theirs = path.slice(1).reduce((sum, node, i) => sum + net[path[i]!]![node]!, 0);
      for (const one of to.entries) delete net[`${one.node}`]!['to'];
      const only = new Set([`${run.unit.id} ${run.from?.id ?? ''} ${run.to.id}`]);
      const plan = planOf(house, way, only);
      expect(plan.bound).toBeCloseTo(theirs, 3);
    }
  });

  it('cables that share holes cost at most 5 % more than the exact optimum (HiGHS), and the bound never more', async () => {
    for (const places of [
      [
        ['c0', 30],
        ['c0', 126],
        ['c2', 40],
      ],
      [
        ['c1', 20],
        ['c1', 90],
        ['c2', 100],
        ['c3', 30],
      ],
    ] as const) {
      const small = walled(places).build();
      const runs = wireHouse(small).units.flatMap((one) => one.runs);
      const net = framingGraph(small);
      for (const way of ROUTE_WAYS) {
        const costs = costsOf(net, way);
        const entriesOf = (end: { entries: readonly { node: number; lengthIn: number }[] }) =>
          end.entries.map(({ node, lengthIn }) => ({ node, cost: lengthIn * inchOf(way) }));
        const demands = runs.map((run) => ({
          from: entriesOf(run.from ? endOfBox(small, net, run.from) : endOfPanel(small, net, run.unit.panel!)),
          to: entriesOf(endOfBox(small, net, run.to)),
        }));
        const best = await byMilp(net, costs, demands, CABLES_PER_HOLE);
        const plan = planOf(small, way);
        expect(plan.bound).toBeLessThanOrEqual(best + 1e-4);
        expect(plan.cost).toBeGreaterThanOrEqual(best - 1e-4);
        expect(plan.cost).toBeLessThanOrEqual(best * 1.05);
      }
    }
  });
});
