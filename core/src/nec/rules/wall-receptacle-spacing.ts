import { formatStretch, nearestCorner } from '../describe-place';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { fillRoomRemedy } from '../remedies';
import { lengthOf } from '../../geometry/intervals';
import { reachAlongWalls, SPACED_ROOMS } from '../../place/receptacles';

export const wallReceptacleSpacing = defineRule({
  id: 'wall-receptacle-spacing',
  meta: {
    summary: 'No point along a wall space farther than 6 ft from a receptacle',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A six-foot cord must reach from anywhere along the wall, so that nobody runs a cord across a door or under a rug. Corners count, windows do not break the wall.',
    editions: everyEdition({
      section: '210.52(A)(1)',
      limits: { reachIn: 72, minWallIn: 24 },
      basis: fromMemory('high'),
    }),
    messages: {
      none: ({ room, walls, wall }: { room: string; walls: string; wall: number }, show) =>
        `${show(wall)} of the ${walls} wall of ${room} has no receptacle of its own.`,
      gap: ({ room, walls, gap, from }: { room: string; walls: string; gap: number; from: string }, show) =>
        `${show(gap)} of the ${walls} wall of ${room} cannot be reached by a six-foot cord, ${from}.`,
      reached: ({ room, walls, worst }: { room: string; walls: string; worst: number }, show) =>
        `The ${walls} wall of ${room} is served: ${show(worst)} at the worst point.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => SPACED_ROOMS.has(view.room.kind),
  check: (view, limits, report) =>
    reachAlongWalls(view, limits.reachIn, limits.minWallIn).flatMap(({ space, reach, boxes }) => {
      const walls = space.walls.join('-');
      const room = view.room.name;
      const measured = (show: (lengthIn: number) => string) =>
        boxes.length === 0 ? 'no receptacle in this wall space' : `${show(reach.worstIn)} at the worst point`;
      const required = (show: (lengthIn: number) => string) => `${show(limits.reachIn)} along the floor line`;
      const detail = { measured, required, remedies: [fillRoomRemedy(view.room)] };
      if (boxes.length === 0)
        return [
          report.fail('none', { room, walls, wall: lengthOf(space) }, { room: view.room.id, stretch: space }, detail),
        ];
      if (reach.gaps.length === 0)
        return [
          report.pass(
            'reached',
            { room, walls, worst: reach.worstIn },
            { room: view.room.id, stretch: space },
            { measured, required },
          ),
        ];
      return reach.gaps.map((gap) =>
        report.fail(
          'gap',
          { room, walls: formatStretch(view, gap), gap: lengthOf(gap), from: nearestCorner(view, gap) },
          { room: view.room.id, stretch: gap },
          detail,
        ),
      );
    }),
});
