import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aHouse, bedroom } from '../test/house-builder';
import { setAgainst } from '../edits/place-room';
import { placeBoxes } from '../edits/verbs';
import { boundsOf, innerPoint, isInside, polygonsOverlap } from '../geometry/geometry';
import { cutIntervals, cutLoop } from '../geometry/intervals';
import type { House } from '../house/schema';
import { placementLimits } from '../nec/apply-remedy';
import { boxesOfProposal, proposeForRoom, proposeForWall } from '../place/propose';
import { reachAlongWalls } from '../place/receptacles';
import { roomBehind, viewRoom } from './room-view';
import { layStuds, studFaces } from './studs';
import { acrossCorner, fromLoop, stretchBefore, toLoop, wallLoop } from './wall-loop';
import { measureWallSpaces } from './wall-spaces';
import { pathInRoom } from '../nec/protection/cord-path';

const spaces = (house: House, room: string) =>
  measureWallSpaces(viewRoom(house, room)).map((space) => Math.round((space.toIn - space.fromIn) * 16) / 16);

it('something across a corner takes 0.71 of its width of each leg and is cut along the walls', () => {
  const loop = wallLoop(aHouse().room('r', 'kitchen', [0, 0, 144, 120]).build().rooms['r']!);
  const { outline, legIn } = acrossCorner(loop, { wall: 'c0', widthIn: 32, depthIn: 20, behindIn: 6 });
  expect(legIn).toBeCloseTo(32 * Math.SQRT1_2, 6);
  expect(outline).toHaveLength(6);
  for (const { x, y } of outline) expect(Math.min(x, y)).toBeGreaterThan(-1e-6);
  expect(acrossCorner(loop, { wall: 'c2', widthIn: 32, depthIn: 20, behindIn: 18 }).outline).toHaveLength(4);
  expect(stretchBefore(loop, { wall: 'c0', alongIn: 0, widthIn: 32, depthIn: 20, behindIn: 6 })).toEqual({
    fromIn: 0,
    toIn: 32,
  });
});

describe('wall spaces: 210.52(A)(2)', () => {
  it.each([
    ['one door: one space from jamb to jamb around the room', bedroom(), 'bed', [496]],
    ['no break: the whole loop', aHouse().room('den', 'den', [0, 0, 100, 100]), 'den', [400]],
    ['a window does not break it', bedroom().opening('bed', 'c0', 'window', 20, 60), 'bed', [496]],
    ['a closet door in the opposite wall halves it', bedroom().opening('bed', 'c0', 'door', 12, 60), 'bed', [204, 232]],
    [
      'the moving half of a slider breaks',
      bedroom().opening('bed', 'c0', 'slider', 0, 72, { moving: 'left' }),
      'bed',
      [220, 240],
    ],
    [
      'an open side ends it',
      aHouse()
        .room('den', 'den', [
          [0, 0],
          [100, 0],
          [100, 100],
          [0, 100],
        ])
        .boundary('den', 'c1', 'open'),
      'den',
      [300],
    ],
    ['a railing is wall', aHouse().room('den', 'den', [0, 0, 100, 100]).boundary('den', 'c1', 'railing'), 'den', [400]],
    [
      'a baseboard heater and furniture do not break it',
      bedroom().feature('bed', 'baseboard-heater', ['c0', 10, 60, 3]).feature('bed', 'furniture', ['c1', 10, 60, 30]),
      'bed',
      [496],
    ],
  ])('%s', (_, builder, room, expected) => expect(spaces(builder.build(), room).sort()).toEqual([...expected].sort()));

  it('sees a neighbor\u2019s door through a wall of 4 1/2 in, at the right place', () => {
    const house = bedroom().room('hall', 'hallway', [0, 124.5, 144, 40]).build();
    const [seen] = viewRoom(house, 'hall').openings;
    // The door is 12 in from the west end of... the bedroom's south wall, which runs right to left: x 100 to 132.
    expect(seen).toMatchObject({ wall: 'c0', alongIn: 100, widthIn: 32, own: false });
    expect(roomBehind(house, 'hall', seen!)!.id).toBe('bed');
    expect(roomBehind(house, 'bed', viewRoom(house, 'bed').openings[0]!)!.id).toBe('hall');
  });

  it('does not see a door through two walls or from another level', () => {
    const house = bedroom()
      .room('far', 'hallway', [0, 160, 144, 40])
      .with((one) => (one.levels['L2'] = { ...one.levels['L1']!, id: 'L2' }))
      .room('up', 'hallway', [0, 124.5, 144, 40], { level: 'L2' })
      .build();
    expect(viewRoom(house, 'far').openings).toEqual([]);
    expect(viewRoom(house, 'up').openings).toEqual([]);
  });
});

describe('intervals', () => {
  it('what is left and what is cut make up the whole', () => {
    const cuts = fc.array(
      fc
        .tuple(fc.integer({ min: 0, max: 390 }), fc.integer({ min: 1, max: 90 }))
        .map(([fromIn, length]) => ({ fromIn, toIn: Math.min(400, fromIn + length) })),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(cuts, (list) => {
        const isCut = (at: number) => list.some((cut) => at > cut.fromIn && at < cut.toIn);
        const left = cutLoop(400, list);
        for (let at = 0.5; at < 400; at++)
          expect(
            left.some((one) => (at > one.fromIn && at < one.toIn) || (at + 400 > one.fromIn && at + 400 < one.toIn)),
          ).toBe(!isCut(at));
        expect(cutIntervals({ fromIn: 0, toIn: 400 }, list).length).toBeGreaterThanOrEqual(left.length);
      }),
    );
  });
});

describe('the loop', () => {
  const house = aHouse()
    .room('den', 'den', [
      [0, 0],
      [200, 0],
      [200, 80],
      [120, 80],
      [120, 160],
      [0, 160],
    ])
    .build();
  const loop = wallLoop(house.rooms['den']!);
  it('names walls by the way they face', () =>
    expect(loop.walls.map((wall) => wall.name)).toEqual(['north', 'east', 'south', 'east', 'south', 'west']));
  it('places are found again', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 719.9, noNaN: true }), (at) => {
        const { wall, alongIn } = fromLoop(loop, at);
        expect(toLoop(loop, wall.id, alongIn)).toBeCloseTo(at, 6);
      }),
    );
  });
  it('a cord goes around an inside corner', () => {
    const view = viewRoom(house, 'den');
    expect(pathInRoom(view, { x: 190, y: 70 }, { x: 110, y: 150 })).toBeCloseTo(
      Math.hypot(70, 10) + Math.hypot(10, 70),
      1,
    );
    expect(pathInRoom(view, { x: 10, y: 10 }, { x: 110, y: 150 })).toBeCloseTo(Math.hypot(100, 140), 6);
  });
  it('labels stand inside', () =>
    expect(isInside(innerPoint(house.rooms['den']!.corners), house.rooms['den']!.corners)).toBe(true));
});

describe('studs', () => {
  it('stand on the spacing, at the ends and beside openings, never in them', () => {
    const house = bedroom().build();
    const studs = layStuds(viewRoom(house, 'bed'));
    expect(studs.filter((stud) => stud.atIn < 144).map((stud) => stud.atIn)).toEqual([
      0.75, 16, 32, 48, 64, 80, 96, 112, 128, 143.25,
    ]);
    expect(studs.some((stud) => stud.atIn > 264 + 12 && stud.atIn < 264 + 44)).toBe(false);
  });
  it('a box nails to a stud\u2019s side, not under a low window', () => {
    const faces = studFaces(
      viewRoom(bedroom().opening('bed', 'c0', 'window', 40, 60, { sillIn: 10 }).build(), 'bed'),
      16,
    );
    expect(faces.some((face) => face.atIn === 16 + 1.875)).toBe(true);
    expect(faces.some((face) => face.atIn > 38 && face.atIn < 102)).toBe(false);
  });
});

describe('proposals', () => {
  it('fill a bedroom with the fewest, on studs, and leave nothing to add', () => {
    const house = bedroom().build();
    const proposal = proposeForRoom(house, 'bed', placementLimits(house));
    // 496 in of wall: ceil(496 / 144) = 4.
    expect(proposal.boxes).toHaveLength(4);
    expect(proposal.boxes.every((box) => box.on === 'stud')).toBe(true);
    const onNorth = proposeForWall(house, 'bed', 'c0', placementLimits(house)).boxes;
    expect(onNorth.length).toBeGreaterThan(0);
    expect(onNorth.length).toBeLessThan(4);
  });
  it('for one wall leave nothing of it out of reach, wherever boxes stand already', () => {
    const limits = placementLimits(bedroom().build());
    const standing = fc.array(fc.tuple(fc.nat(3), fc.integer({ min: 40, max: 108 })), { maxLength: 4 });
    let around = 0;
    fc.assert(
      fc.property(standing, fc.nat(3), (places, n) => {
        const wall = `c${n}`;
        let house = places.reduce((made, [on, at]) => made.receptacle('bed', `c${on}`, at), bedroom()).build();
        const proposal = proposeForWall(house, 'bed', wall, limits);
        expect(proposeForRoom(house, 'bed', limits).boxes).toEqual(expect.arrayContaining([...proposal.boxes]));
        let id = 0;
        const placed = placeBoxes(
          house,
          boxesOfProposal(house, proposal, (prefix) => `${prefix}-new-${++id}`),
          'Fill',
        );
        if (!placed.ok) throw new Error(placed.problems[0]!.message);
        house = placed.value.house;
        const loop = wallLoop(house.rooms['bed']!);
        if (proposal.boxes.some((box) => fromLoop(loop, box.atLoopIn).wall.id !== wall)) around++;
        const left = reachAlongWalls(viewRoom(house, 'bed'), limits.wall.reachIn, limits.wall.minWallIn)
          .flatMap(({ reach }) => reach.gaps)
          .filter((gap) => gap.toIn - gap.fromIn > 1 / 8)
          .flatMap((gap) => [gap.fromIn + 0.07, gap.toIn - 0.07])
          .filter((at) => fromLoop(loop, at % loop.lengthIn).wall.id === wall);
        expect(left).toEqual([]);
      }),
      { numRuns: 150 },
    );
    // Now and then it takes one around the corner.
    expect(around).toBeGreaterThan(0);
  });
  it('of a wall that is glass in the middle the rest is completed, and exactly what no box reaches is left', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 330 }),
        fc.integer({ min: 160, max: 400 }),
        fc.array(fc.integer({ min: 5, max: 1500 }), { maxLength: 3 }),
        (along, widthIn, taken) => {
          let builder = aHouse()
            .room('sun', 'sunroom', [0, 0, 720, 144])
            .opening('sun', 'c0', 'fixed-glass', along, Math.min(widthIn, 715 - along))
            .opening('sun', 'c2', 'door', 100, 36);
          for (const at of taken) if (at < along - 4) builder = builder.receptacle('sun', 'c0', at);
          const house = builder.build();
          let n = 0;
          const proposal = proposeForRoom(house, 'sun', placementLimits(house));
          const placed = placeBoxes(
            house,
            boxesOfProposal(house, proposal, (prefix) => `${prefix}${++n}`),
          );
          if (!placed.ok) throw new Error(placed.problems[0]!.message);
          const gaps = reachAlongWalls(viewRoom(placed.value.house, 'sun'), 72, 24).flatMap(({ reach }) => reach.gaps);
          const round = (all: readonly { fromIn: number; toIn: number }[]) =>
            all
              .filter((one) => one.toIn - one.fromIn > 0.2)
              .map((one) => [Math.round(one.fromIn), Math.round(one.toIn)]);
          expect(round(gaps)).toEqual(round(proposal.unreachable.map((one) => one.stretch)));
        },
      ),
    );
  });

  it('glass to the floor takes a box in the floor before it, within 18 in, unless something stands there', () => {
    const house = aHouse()
      .room('sun', 'sunroom', [0, 0, 120, 100])
      .opening('sun', 'c0', 'fixed-glass', 0, 120)
      .opening('sun', 'c1', 'cased', 0, 100)
      .opening('sun', 'c2', 'cased', 0, 120)
      .opening('sun', 'c3', 'cased', 0, 100);
    const bare = house.build();
    const proposal = proposeForRoom(bare, 'sun', placementLimits(bare));
    expect(proposal).toMatchObject({ boxes: [{ on: 'floor', heightIn: 0 }], unreachable: [] });
    expect(boxesOfProposal(bare, proposal, (prefix) => prefix)[0]!.at).toEqual({ kind: 'floor', x: 60, y: 8 });
    const filled = house.standing('sofa', 'sun', 'furniture', [0, 0, 120, 40]).build();
    const none = proposeForRoom(filled, 'sun', placementLimits(filled));
    expect([none.boxes, none.unreachable.length]).toEqual([[], 1]);
  });
});

describe('rooms against each other', () => {
  const rect = (x: number, y: number, w: number, d: number) => [
    { x, y },
    { x: x + w, y },
    { x: x + w, y: y + d },
    { x, y: y + d },
  ];
  it.each([
    ['apart', rect(0, 0, 10, 10), rect(20, 0, 10, 10), false],
    ['touching', rect(0, 0, 10, 10), rect(10, 0, 10, 10), false],
    ['crossing', rect(0, 0, 10, 10), rect(5, 5, 10, 10), true],
    ['one inside the other', rect(0, 0, 30, 30), rect(10, 10, 5, 5), true],
    ['the same twice', rect(0, 0, 30, 30), rect(0, 0, 30, 30), true],
    ['a plus sign', rect(10, 0, 10, 30), rect(0, 10, 30, 10), true],
  ])('%s', (_, a, b, expected) => expect(polygonsOverlap(a, b)).toBe(expected));

  it.each(['north', 'south', 'east', 'west'] as const)('a room set %s of another has a wall between', (side) => {
    const house = bedroom().build();
    const corners = setAgainst(house.rooms['bed']!, side, { widthIn: 100, depthIn: 90 }, 4.5, 10);
    expect(polygonsOverlap(corners, house.rooms['bed']!.corners)).toBe(false);
    const [a, b] = [boundsOf(corners), boundsOf(house.rooms['bed']!.corners)];
    const gap = Math.max(a.minX - b.maxX, b.minX - a.maxX, a.minY - b.maxY, b.minY - a.maxY);
    expect(gap).toBe(4.5);
  });
});
