import { formatStretch, nearestCorner } from '../describe-place';
import { fillRoomRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { lengthOf, type Interval } from '../../geometry/intervals';
import type { RoomView } from '../../plan/room-view';
import { toLoop, wallLoop } from '../../plan/wall-loop';
import { measureCounterSpaces } from '../../plan/counter-spaces';
import { reachAlongCounters } from '../../place/receptacles';

/** A box needs this much wall between counter and sill, inches: its half height and a plate, *common practice*. */
const ROOM_FOR_A_BOX_IN = 5;

/** The sill of a window that takes nearly all the wall over a stretch of counter; 2023 alone has an exception for it. */
function lowSillOver(view: RoomView, gap: Interval, counterIn: number): number | undefined {
  const loop = wallLoop(view.room);
  for (const seen of view.openings) {
    if (seen.opening.kind !== 'window' || seen.opening.sillIn >= counterIn + ROOM_FOR_A_BOX_IN) continue;
    const fromIn = toLoop(loop, seen.wall, seen.alongIn);
    const shared = Math.min(gap.toIn, fromIn + seen.widthIn) - Math.max(gap.fromIn, fromIn);
    if (shared >= lengthOf(gap) * 0.9) return seen.opening.sillIn;
  }
  return undefined;
}

export const counterReceptacleSpacing = defineRule({
  id: 'counter-receptacle-spacing',
  meta: {
    summary: 'Every wall counter of 12 in and more served, no point farther than 24 in',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Kitchen appliances have two-foot cords. A receptacle close by keeps cords from hanging over the edge or across a sink or range.',
    editions: everyEdition({
      section: '210.52(C)(1)',
      limits: { reachIn: 24, minWidthIn: 12, maxAboveIn: 20 },
      basis: fromMemory('high'),
    }),
    messages: {
      gap: ({ room, wall, gap, from }: { room: string; wall: string; gap: number; from: string }, show) =>
        `${show(gap)} of the ${wall} counter of ${room} is farther than 24" from a receptacle above it, ${from}.`,
      served: ({ room, wall, worst }: { room: string; wall: string; worst: number }, show) =>
        `The ${wall} counter of ${room} is served: ${show(worst)} at the worst point.`,
      lowWindow: ({ room, gap, from, sill }: { room: string; gap: number; from: string; sill: number }, show) =>
        `${show(gap)} of the counter of ${room}, ${from}, lies under a window with its sill at ${show(sill)}: no wall is left for a box. Exception 2 lets it stand as close as practicable, the number not reduced; show the authority where.`,
      notDrawn: ({ room }: { room: string }) =>
        `No counter is drawn in ${room}, so its counter receptacles cannot be checked. Draw the counters.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    view.room.kind === 'kitchen' ||
    (['pantry', 'breakfast', 'dining'].includes(view.room.kind) && measureCounterSpaces(view).length > 0),
  check: (view, limits, report, edition) => {
    const room = view.room.name;
    if (measureCounterSpaces(view).length === 0)
      return [report.cannotTell('notDrawn', { room }, { room: view.room.id })];
    return reachAlongCounters(view, limits).flatMap(({ space, reach }) => {
      const detail = {
        measured: (show: (lengthIn: number) => string) =>
          reach.worstIn === Infinity ? 'no receptacle over this counter' : `${show(reach.worstIn)} at the worst point`,
        required: (show: (lengthIn: number) => string) =>
          `${show(limits.reachIn)} along the wall, at most ${show(limits.maxAboveIn)} above the counter`,
      };
      if (reach.gaps.length === 0)
        return [
          report.pass(
            'served',
            { room, wall: formatStretch(view, space), worst: reach.worstIn },
            { room: view.room.id, stretch: space },
            detail,
          ),
        ];
      return reach.gaps.map((gap) => {
        const sill = edition === '2023' ? lowSillOver(view, gap, space.heightIn) : undefined;
        if (sill !== undefined)
          return report.cannotTell(
            'lowWindow',
            { room, gap: lengthOf(gap), from: nearestCorner(view, gap), sill },
            { room: view.room.id, stretch: gap },
            { ...detail, section: '210.52(C)(1) Exception 2', basis: fromMemory('medium') },
          );
        return report.fail(
          'gap',
          { room, wall: formatStretch(view, gap), gap: lengthOf(gap), from: nearestCorner(view, gap) },
          { room: view.room.id, stretch: gap },
          { ...detail, remedies: [fillRoomRemedy(view.room)] },
        );
      });
    });
  },
});
