import { describe, expect, it } from 'vitest';
import { crossingsAlong, keptRoutes } from '../circuits/kept-routes';
import type { House } from '../house/schema';
import { isInTheWalls } from '../makeup/cables';
import { allLabels } from '../makeup/labels';
import { isUnseenUnit, unseenIn } from '../makeup/unseen';
import { inspectionPacket } from '../close-out/inspection-packet';
import { wireHouse } from '../makeup/make-up';
import { checkHouse, ruleNamed } from '../nec/check-house';
import { suitableType } from '../place/box-catalogue';
import { boxesOfProposal, proposeForRoom } from '../place/propose';
import { viewRoom } from '../plan/room-view';
import { studFaces } from '../plan/studs';
import { isClosedAt } from '../place/closed-walls';
import { byTheTool } from '../test/by-the-tool';
import { walled } from '../test/route-cases';
import { planOf, routed, routeTo } from '../test/routed';
import { SAMPLES } from '../test/samples';
import { keptCables } from './kept-laid';
import { pullSheet, viaOf } from './pull-sheet';
import { staplesOf } from './small-parts';

const closed =
  (...rooms: readonly string[]) =>
  ({ rooms: all }: House): void => {
    for (const id of rooms) all[id]!.closed = true;
  };
const TWO = [
  ['c0', 30],
  ['c0', 126],
] as const;
const attic = { below: 'slab', above: 'attic' } as const;

describe('walls that stay closed', () => {
  it('are passed over the attic: up through the plate, down again, and no stud is bored', () => {
    const house = routed(walled(TWO, attic).with(closed('bed')).build());
    const route = routeTo(house, 'R1-2');
    expect(route.legs.map((one) => one.kind)).toEqual(['rise', 'space', 'rise']);
    expect(viaOf(house, route)).toBe('fished, attic, fished');
    const open = routed(walled(TWO, attic).build());
    expect(routeTo(open, 'R1-2').legs.map((one) => one.kind)).toContain('studs');
  });

  it('take no staples where a cable is fished: 334.30(B)(1)', () => {
    const house = routed(walled(TWO, attic).with(closed('bed')).build());
    const route = routeTo(house, 'R1-2');
    const open = structuredClone(house);
    delete open.rooms['bed']!.closed;
    // Eight feet of attic take one near each end and one between; each rise of 7 ft one at each end and one between.
    expect(staplesOf(house, route)).toBe(3);
    expect(staplesOf(open, route)).toBe(3 + 2 * 3);
  });

  it('are told of where nothing leads over or under them', () => {
    const { routes, unrouted } = planOf(walled(TWO).with(closed('bed')).build());
    expect([...new Set(unrouted.map((one) => one.message))].join(' ')).toContain(
      'Walls that stay closed are not bored',
    );
    expect(routes.length + unrouted.length).toBe(2);
  });

  it('are bored where the room behind them is opened up', () => {
    let house = walled(TWO).room('hall', 'hallway', [0, -44.5, 144, 40]).with(closed('bed')).build();
    expect(isClosedAt(house, 'bed', 60)).toBe(false);
    expect(isClosedAt(house, 'bed', 144 + 60)).toBe(true);
    house = structuredClone(house);
    closed('hall')(house);
    expect(isClosedAt(house, 'bed', 60)).toBe(true);
  });

  it('bar a route that was led before', () => {
    const house = structuredClone(routed(walled(TWO).build()));
    expect(keptRoutes(house).broken.size).toBe(0);
    closed('bed')(house);
    expect([...keptRoutes({ ...house, rooms: { ...house.rooms } }).broken.values()]).toContain('barred');
  });
});

describe('boxes in walls that stay closed', () => {
  const house = walled([['c0', 41]])
    .with(closed('bed'))
    .build();
  const view = viewRoom(house, 'bed');

  it('are cut in with an inch beside the stud for their ears, and take boxes of old work', () => {
    const open = viewRoom(walled([['c0', 41]]).build(), 'bed');
    const first = (one: typeof view) =>
      studFaces(one, 16).find(({ side, atIn }) => side === 'right' && atIn > 20)!.atIn;
    expect(first(view) - first(open)).toBe(1);
    expect(suitableType(house, Object.values(house.boxes)[0]!).for).toBe('old-work');
    expect(suitableType(walled([['c0', 41]]).build(), Object.values(house.boxes)[0]!).for).toBe('new');
  });

  it('are not asked to stand on studs, and hang on no bracket', () => {
    const { findings } = checkHouse(house, { rules: [ruleNamed('box-on-stud')] });
    expect(findings).toEqual([]);
    const proposal = proposeForRoom(house, 'bed', {
      wall: { reachIn: 72, minWallIn: 24 },
      counter: { reachIn: 24, minWidthIn: 12, maxAboveIn: 20 },
    });
    let n = 0;
    const boxes = boxesOfProposal(house, proposal, (prefix) => `${prefix}${++n}`);
    expect(boxes.length).toBeGreaterThan(2);
    expect(boxes.filter((one) => one.bracket)).toEqual([]);
  });
});

describe('a kitchen stripped to the studs in a house that stays closed', () => {
  const house = routed(byTheTool(SAMPLES.find((one) => one.file === 'kitchen-remodel')!.house, 'm'));

  it('leads no cable that was in the walls before, and sells none', () => {
    const runs = wireHouse(house).units.flatMap((one) => one.runs);
    expect(runs.filter(isInTheWalls).length).toBeGreaterThan(20);
    for (const { from, to } of Object.values(house.routes))
      expect([house.boxes[to]!.state, from === null ? 'existing' : house.boxes[from]!.state]).not.toEqual([
        'existing',
        'existing',
      ]);
    const pulled = pullSheet(house, Object.values(house.routes)).flatMap((one) => one.lines);
    expect(pulled.length).toBe(keptCables(house).reduce((sum, one) => sum + one.kinds.length, 0));
    expect(pulled.length).toBeLessThan(runs.length - 20);
  });

  it('proves, labels and fills in nothing that nobody has seen', () => {
    const { units, boxes } = wireHouse(house);
    const unseen = units.filter(isUnseenUnit);
    expect(unseen.length).toBeGreaterThan(5);
    for (const { runs } of unseen) for (const { to } of runs) expect(to.state).toBe('existing');
    const tags = (some: 'all' | 'some' | 'none') =>
      new Set([...boxes.values()].filter((one) => unseenIn(one) === some).map((one) => one.box.tag));
    expect(tags('all').size).toBeGreaterThan(20);
    for (const { tag, state } of Object.values(house.boxes))
      if (state !== 'existing') expect(tags('all')).not.toContain(tag);
    const { fills } = inspectionPacket(house);
    for (const { tag } of fills) expect(tags('none')).toContain(tag);
    for (const { id } of allLabels(house, units))
      for (const { runs } of unseen) expect(runs.some((one) => id.startsWith(one.id))).toBe(false);
  });

  it('bores nothing in a wall that stays closed', () => {
    for (const { legs } of Object.values(house.routes))
      for (const leg of legs)
        if (leg.kind === 'studs')
          for (const { members } of crossingsAlong(house, leg) ?? [])
            for (const { atIn } of members) expect(isClosedAt(house, leg.room, atIn)).toBe(false);
  });
});
