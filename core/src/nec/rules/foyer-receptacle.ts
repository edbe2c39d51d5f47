import { defineRule, everyEdition, fromMemory } from '../rule';
import { areaFt2 } from '../../geometry/geometry';
import { countedOnLoop } from '../../place/receptacles';
import { placesIn } from '../../place/reach';
import { cutIntervals, cutLoop, isShorter, lengthOf, type Interval } from '../../geometry/intervals';
import { toLoop, wallLoop, type WallLoop } from '../../plan/wall-loop';
import { measureBreaks } from '../../plan/wall-spaces';

export const foyerReceptacle = defineRule({
  id: 'foyer-receptacle',
  meta: {
    summary: 'In a foyer over 60 ft², a receptacle in each wall space of 3 ft and more',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A large foyer is furnished like a room: lamps stand along its walls.',
    editions: everyEdition({ section: '210.52(I)', limits: { areaFt2: 60, minWallIn: 36 }, basis: fromMemory('high') }),
    messages: {
      none: ({ room, wall, length }: { room: string; wall: string; length: number }, show) =>
        `${show(length)} of the ${wall} wall of ${room} has no receptacle.`,
      served: ({ room, wall }: { room: string; wall: string }) => `The ${wall} wall of ${room} has a receptacle.`,
      corner: ({ room, length }: { room: string; length: number }, show) =>
        `${show(length)} of wall around a corner of ${room} has no receptacle, and no straight stretch of it is 3 ft. Whether such a space counts is disputed: ask the authority.`,
      small: ({ room, area }: { room: string; area: number }) =>
        `${room} has ${area.toFixed(0)} ft²: none is required.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.room.kind === 'foyer',
  check: (view, limits, report) => {
    const room = view.room.name;
    const area = areaFt2(view.room.corners);
    if (area <= limits.areaFt2 + 1e-6) return [report.pass('small', { room, area }, { room: view.room.id })];
    const loop = wallLoop(view.room);
    // Each straight stretch for itself: the text has no words about corners (edge case, low confidence).
    const sidelights = view.openings
      .filter((seen) => seen.opening.kind === 'fixed-glass')
      .map((seen) => ({
        fromIn: toLoop(loop, seen.wall, seen.alongIn),
        toIn: toLoop(loop, seen.wall, seen.alongIn) + seen.widthIn,
      }));
    const breaks = [...measureBreaks(view), ...sidelights];
    const isServed = (space: Interval) =>
      placesIn(
        space,
        loop.lengthIn,
        countedOnLoop(view).map((one) => one.atIn),
      ).length > 0;
    const straight = loop.walls.flatMap((wall) =>
      cutIntervals({ fromIn: wall.startIn, toIn: wall.startIn + wall.lengthIn }, breaks)
        .filter((space) => !isShorter(space.toIn - space.fromIn, limits.minWallIn))
        .map((space) => {
          const length = space.toIn - space.fromIn;
          const served = isServed(space);
          const where = { room: view.room.id, stretch: space };
          const detail = {
            measured: (show: (lengthIn: number) => string) =>
              `${show(length)} of wall, ${area.toFixed(0)} ft² of foyer`,
            required: (show: (lengthIn: number) => string) =>
              `one receptacle in each wall space from ${show(limits.minWallIn)} up`,
          };
          return served
            ? report.pass('served', { room, wall: wall.name }, where, detail)
            : report.fail('none', { room, wall: wall.name, length }, where, detail);
        }),
    );
    // A space of 3 ft and more that has them only around a corner: disputed.
    const around = cutLoop(loop.lengthIn, breaks)
      .filter((space) => !isShorter(lengthOf(space), limits.minWallIn) && !isServed(space))
      .filter((space) => isShorter(longestStraight(loop, space), limits.minWallIn))
      .map((space) =>
        report.cannotTell(
          'corner',
          { room, length: lengthOf(space) },
          { room: view.room.id, stretch: space },
          { basis: fromMemory('medium') },
        ),
      );
    return [...straight, ...around];
  },
});

/** The longest part of a stretch of floor line that lies on one wall, inches. */
const longestStraight = (loop: WallLoop, space: Interval): number =>
  Math.max(
    ...loop.walls.flatMap((wall) =>
      [0, loop.lengthIn].map(
        (turn) =>
          Math.min(space.toIn, wall.startIn + wall.lengthIn + turn) - Math.max(space.fromIn, wall.startIn + turn),
      ),
    ),
  );
