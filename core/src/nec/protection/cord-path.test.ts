import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, nearestOnSegment } from '../../geometry/geometry';
import { boxPoint, featureOutline } from '../../plan/points';
import { aHouse } from '../../test/house-builder';
import { isWithinCord } from './cord-path';

const SINKS = new Set(['sink', 'wet-bar']);

/** Sinks of any width along the north wall of a room of 40 by 12 ft, a second room of the same kind beside it, and boxes between. */
const sinks = fc.array(fc.tuple(fc.integer({ min: 0, max: 440 }), fc.integer({ min: 8, max: 40 })), {
  minLength: 1,
  maxLength: 6,
});
const places = fc.array(fc.integer({ min: 1, max: 479 }), { minLength: 1, maxLength: 6 });

describe('a cord without doorways', () => {
  it('reaches what the nearest point of an outline says, wherever else sinks stand and however wide they are', () => {
    fc.assert(
      fc.property(sinks, sinks, places, fc.integer({ min: 12, max: 120 }), (here, beside, alongs, withinIn) => {
        let builder = aHouse().room('a', 'kitchen', [0, 0, 480, 144]).room('b', 'kitchen', [0, 148.5, 480, 144]);
        for (const [room, list] of [
          ['a', here],
          ['b', beside],
        ] as const)
          for (const [alongIn, widthIn] of list)
            builder = builder.feature(room, 'sink', ['c0', Math.min(alongIn, 480 - widthIn), widthIn, 20]);
        for (const alongIn of alongs) builder = builder.receptacle('a', 'c2', alongIn).receptacle('a', 'c0', alongIn);
        const house = builder.build();
        for (const box of Object.values(house.boxes)) {
          const from = boxPoint(house, box);
          const room = house.rooms[box.room]!;
          // A room that is a rectangle: nothing is in the way of a straight cord.
          const nearest = Math.min(
            ...Object.values(house.features)
              .filter((one) => one.room === box.room)
              .flatMap((one) => {
                const outline = featureOutline(room, one);
                return outline.map((corner, i) =>
                  distance(from, nearestOnSegment(from, corner, outline[(i + 1) % outline.length]!)),
                );
              }),
          );
          // Exactly so far is within.
          expect(isWithinCord(house, box, SINKS, withinIn, 'nothing')).toBe(nearest <= withinIn + 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });
});
