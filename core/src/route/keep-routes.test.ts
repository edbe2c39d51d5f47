import { aHouse } from '../test/house-builder';
import { describe, expect, it } from 'vitest';
import { keptRoutes } from '../circuits/kept-routes';
import { runOf } from '../makeup/wired-run';
import { removeEntities } from '../edits/remove';
import { changeEntity, moveBox } from '../edits/verbs';
import { must } from '../test/must';
import { byTheTool } from '../test/by-the-tool';
import { ranchHouse } from '../test/ranch-house';
import { planOf, routed } from '../test/routed';
import { checkHouse } from '../nec/check-house';
import { keepFeeds } from '../feed-search/least-feet';
import { ofItsOwnMaking } from '../test/own-making';
import { improveFeeds } from './improve-feeds';
import { ROUTE_WAYS } from './ways';
import { boreSheet } from './bore-sheet';
import { keepRoutes, markRoutes } from './keep-routes';
import { leadRoute } from './lead-route';
import { cutFeet, pullSheet } from './pull-sheet';
import { keptCables } from './kept-laid';
import { smallParts, staplesOf } from './small-parts';
import { totalsOfRoutes } from './totals';
import { keyOfRoute } from '../circuits/kept-routes';
import { viewRoom } from '../plan/room-view';

const house = routed(byTheTool(ranchHouse('2023')), 'quickest');
let n = 0;
const newId = (prefix: string) => `${prefix}-x${++n}`;
const routesOf = (one = house) => Object.values(one.routes);

describe('routes that are kept', () => {
  it('a moved door loosens the routes that went through its wall there, and no other; finding those again mends all', () => {
    const door = Object.values(house.openings).find((one) => one.kind === 'door')!;
    const wall = viewRoom(house, door.room);
    const moved = must(changeEntity(house, 'openings', door.id, { alongIn: door.alongIn + 14 })).house;
    const { broken } = keptRoutes(moved);
    const rooms = new Set([door.room, ...wall.ways.flatMap((one) => one.behind ?? [])]);
    for (const [route, why] of broken) {
      expect(why).toBe('barred');
      expect(route.legs.some((leg) => 'room' in leg && rooms.has(leg.room))).toBe(true);
    }
    const only = new Set([...broken.keys()].map(keyOfRoute));
    const mended = must(keepRoutes(moved, planOf(moved, 'quickest', only).routes, newId)).house;
    expect(keptRoutes(mended).broken.size).toBe(0);
    const untouched = routesOf().filter((one) => !only.has(keyOfRoute(one)));
    for (const one of untouched) expect(mended.routes[one.id]).toBe(house.routes[one.id]);
  });

  it('a moved box loosens its own cables; its length is an estimate again', () => {
    const box = Object.values(house.boxes).find(
      (one) => one.at.kind === 'wall' && routesOf().some((route) => route.to === one.id),
    )!;
    if (box.at.kind !== 'wall') throw new Error('a box on a wall');
    const moved = must(moveBox(house, box.id, { ...box.at, heightIn: box.at.heightIn + 6 })).house;
    const { broken } = keptRoutes(moved);
    expect(broken.size).toBeGreaterThan(0);
    for (const route of broken.keys()) expect([route.from, route.to]).toContain(box.id);
  });

  it('give the feed order its lengths', () => {
    const { sound } = keptRoutes(house);
    const circuit = Object.values(house.circuits).find((one) => (runOf(house, one)?.nodes.length ?? 0) > 3)!;
    for (const node of runOf(house, circuit)!.nodes) {
      const route = sound.get(`${circuit.id} ${node.parent?.box.id ?? ''} ${node.box.id}`)!;
      expect(node.edgeIn).toBe(route.lengthIn + 24);
    }
  });

  it('go with their box, their circuit, and a room that they pass', () => {
    const route = routesOf().find((one) => one.from !== null)!;
    for (const [collection, id] of [
      ['boxes', route.to],
      ['circuits', route.circuit],
    ] as const)
      expect(must(removeEntities(house, [{ collection, id }])).house.routes[route.id]).toBeUndefined();
    const passed = routesOf().flatMap((one) => one.legs.flatMap((leg) => ('room' in leg ? [leg.room] : [])))[0]!;
    const left = must(removeEntities(house, [{ collection: 'rooms', id: passed }])).house;
    expect(routesOf(left).some((one) => one.legs.some((leg) => 'room' in leg && leg.room === passed))).toBe(false);
  });

  it('stay where they are once begun on site or led by hand', () => {
    const [first, second] = routesOf();
    const begun = must(markRoutes(house, [first!.id], 'bored', true)).house;
    const lead = leadRoute(begun, keyOfRoute(second!), { place: 'over' }, 'quickest')!;
    expect(lead.byHand).toBe(true);
    const led = must(keepRoutes(begun, [lead], newId)).house;
    const again = must(keepRoutes(led, planOf(led, 'least-wire').routes, newId)).house;
    expect(again.routes[first!.id]).toBe(led.routes[first!.id]);
    expect(again.routes[second!.id]).toBe(led.routes[second!.id]);
    expect(routesOf(again).filter((one) => one.byHand)).toHaveLength(1);
  });

  it('a cable led through a place passes it', () => {
    const route = routesOf().find((one) => house.boxes[one.to]!.room === 'bed1')!;
    const room = viewRoom(house, 'bed1');
    const at = { x: room.room.corners[0]!.x + 40, y: room.room.corners[0]!.y + 40 };
    const lead = leadRoute(house, keyOfRoute(route), { at, level: room.level.id, through: 'space' }, 'quickest')!;
    const near = lead.legs.flatMap((leg) => (leg.kind === 'space' ? leg.points : []));
    expect(lead.lengthIn).toBeGreaterThanOrEqual(route.lengthIn - 24);
    expect(near.length).toBeGreaterThan(0);
    const nowhere = { at: { x: 9000, y: 9000 }, level: room.level.id, through: 'wall' } as const;
    expect(leadRoute(house, keyOfRoute(route), nowhere, 'quickest')).toBeUndefined();
  });
});

describe('the sheets', () => {
  it('the pull sheet holds every cable once, and its feet are those of the totals', () => {
    const groups = pullSheet(house, routesOf());
    const totals = totalsOfRoutes(house, routesOf());
    expect(groups.flatMap((one) => one.lines)).toHaveLength(totals.cables);
    expect(groups.reduce((sum, one) => sum + one.feet, 0)).toBe(totals.feet);
  });

  it('a cable is cut to its way, 12 in slack, 12 in at each box, 48 in at the panel, and up to the foot', () => {
    for (const cable of keptCables(house)) {
      const more = 12 + 12 + (cable.run.from ? 12 : 48);
      expect(cutFeet(house, cable)).toBe(Math.ceil((cable.route.lengthIn + more) / 12 - 1e-6));
    }
  });

  it('the bore sheet holds every hole of the totals, wall by wall', () => {
    const walls = boreSheet(house, routesOf());
    const members = walls.flatMap((one) => one.holes).reduce((sum, one) => sum + one.members, 0);
    expect(members).toBe(totalsOfRoutes(house, routesOf()).studHoles);
    for (const { holes, wall } of walls) for (const one of holes) expect(one.wall).toBe(wall);
  });

  it('small parts: at least two staples a cable, a connector for each cable at the panel', () => {
    const count = (what: string) => smallParts(house, routesOf()).find((one) => one.what === what)!.count;
    expect(count('cable connectors at panels')).toBe(routesOf().filter((one) => one.from === null).length);
    expect(count('staples')).toBeGreaterThanOrEqual(2 * routesOf().length);
  });

  it.each([
    // 12 in at each end and 54 in between: NEC 334.30(A).
    ['two boxes side by side', [16, 16], 0, 2],
    ['24 in of attic', [], 24, 2],
    ['78 in: both ends, and nothing between', [], 78, 2],
    ['79 in: one more', [], 79, 3],
    ['132 in', [], 132, 3],
    ['up 84 in, 132 in of attic, down 84 in', [84, 84], 132, 9],
  ])('staples, %s', (_, rises, spaceIn, staples) => {
    const rise = (toIn: number) => ({ kind: 'rise' as const, room: 'x', atIn: 0, fromIn: 0, toIn });
    const points = [
      { x: 0, y: 0 },
      { x: spaceIn, y: 0 },
    ];
    const space = { kind: 'space' as const, over: 'L1', under: null, points, z: 100 };
    const house = aHouse().room('x', 'den', [0, 0, 100, 100]).build();
    expect(staplesOf(house, { legs: [...rises.map(rise), ...(spaceIn ? [space] : [])] })).toBe(staples);
  });
});

describe('feed orders that suit the framing', () => {
  const loose = byTheTool(ranchHouse('2023'));

  it.each(ROUTE_WAYS)('take no more than before and break nothing, %s', (way) => {
    const feeds = improveFeeds(loose, way);
    expect(feeds.length).toBeGreaterThan(0);
    const fed = must(keepFeeds(loose, feeds)).house;
    const cost = (one: typeof loose) => planOf(one, way).cost;
    expect(cost(fed)).toBeLessThan(cost(loose));
    const violations = (one: typeof loose) => ofItsOwnMaking(checkHouse(one).findings).length;
    expect(violations(fed)).toBe(violations(loose));
  });

  it('leave a circuit alone that a person has drawn, led by hand or begun', () => {
    const first = improveFeeds(loose, 'quickest')[0]!;
    const kept = routed(loose, 'quickest');
    const route = Object.values(kept.routes).find((one) => one.circuit === first.unit)!;
    const begun = must(markRoutes(kept, [route.id], 'pulled', true)).house;
    expect(improveFeeds(begun, 'quickest').map((one) => one.unit)).not.toContain(first.unit);
  });
});
