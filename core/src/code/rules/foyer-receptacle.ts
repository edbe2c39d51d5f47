import { defineRule, everyEdition, fromMemory } from '../rule';
import { areaFt2 } from '../../house/geometry';
import { countedOnLoop } from '../../place/receptacles';
import { placesIn } from '../../place/reach';
import { cutIntervals } from '../../plan/intervals';
import { wallLoop } from '../../plan/wall-loop';
import { measureBreaks } from '../../plan/wall-spaces';
import { toLoop } from '../../plan/wall-loop';

export const foyerReceptacle = defineRule({
  id: 'foyer-receptacle',
  meta: {
    summary: 'In a foyer over 60 ft², a receptacle in each wall space of 3 ft and more',
    stage: 'boxes',
    severity: 'violation',
    why: 'A large foyer is furnished like a room: lamps stand along its walls.',
    editions: everyEdition({ section: '210.52(I)', limits: { areaFt2: 60, minWallIn: 36 }, basis: fromMemory('high') }),
    messages: {
      none: ({ room, wall, length }: { room: string; wall: string; length: number }, show) =>
        `${show(length)} of the ${wall} wall of ${room} has no receptacle.`,
      served: ({ room, wall }: { room: string; wall: string }) => `The ${wall} wall of ${room} has a receptacle.`,
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
    return loop.walls.flatMap((wall) =>
      cutIntervals({ fromIn: wall.startIn, toIn: wall.startIn + wall.lengthIn }, [
        ...measureBreaks(view),
        ...sidelights,
      ])
        .filter((space) => space.toIn - space.fromIn >= limits.minWallIn - 1 / 64)
        .map((space) => {
          const length = space.toIn - space.fromIn;
          const served =
            placesIn(
              space,
              loop.lengthIn,
              countedOnLoop(view).map((one) => one.atIn),
            ).length > 0;
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
  },
});
