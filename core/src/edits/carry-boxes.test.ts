import { describe, expect, it } from 'vitest';
import { boxPoint, featureOutline } from '../plan/points';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { changeEntity, moveCorners, placeBoxes } from './verbs';
import { distanceToSegment } from '../geometry/geometry';

/** An island of 60 by 30 in with a receptacle in the middle of its right end. */
const withIsland = () => {
  const [room, at] = ['kitchen', { kind: 'free' as const, x: 40, y: 60, widthIn: 60, depthIn: 30 }];
  const start = aHouse()
    .room(room, 'kitchen', [0, 0, 160, 160])
    .standing('f', room, 'island', [40, 60, 60, 30])
    .build();
  const place = { kind: 'feature' as const, feature: 'f', x: 100, y: 75, heightIn: 30 };
  return {
    house: must(placeBoxes(start, [{ id: 'b', room, origin: 'code', devices: [], at: place }])).house,
    at,
    room,
  };
};

describe('a box on an island', () => {
  it.each([
    ['moved', { x: 52, y: 48 }, { x: 112, y: 63 }],
    ['made wider', { widthIn: 72 }, { x: 112, y: 75 }],
    ['made deeper', { depthIn: 42 }, { x: 100, y: 81 }],
  ])('goes with it when it is %s', (_, change, to) => {
    const { house, at } = withIsland();
    const next = must(changeEntity(house, 'features', 'f', { at: { ...at, ...change } })).house;
    expect(boxPoint(next, next.boxes['b']!)).toEqual(to);
  });

  it('of a cabinet on a wall goes with the wall', () => {
    const { house, room } = withIsland();
    const at = { kind: 'wall' as const, wall: 'c0', alongIn: 30, widthIn: 40, depthIn: 24, behindIn: 0 };
    const hung = must(changeEntity(house, 'features', 'f', { at })).house;
    const box = hung.boxes['b']!;
    const isOnEdge = (one: typeof hung) => {
      const outline = featureOutline(one.rooms[room]!, one.features['f']!);
      return outline.some(
        (from, i) => distanceToSegment(boxPoint(one, one.boxes[box.id]!), from, outline[(i + 1) % 4]!) < 0.1,
      );
    };
    expect(isOnEdge(hung)).toBe(true);
    const [c0, c1] = hung.rooms[room]!.corners;
    const moved = must(
      moveCorners(hung, room, { c0: { x: c0!.x, y: c0!.y - 12 }, c1: { x: c1!.x, y: c1!.y - 12 } }),
    ).house;
    expect(boxPoint(moved, moved.boxes['b']!).y).toBe(boxPoint(hung, hung.boxes['b']!).y - 12);
    expect(isOnEdge(moved)).toBe(true);
  });
});
