import { misplacedBoxes } from '../../plan/blocked-by-framing';
import type { Box } from '../../house/schema';
import type { RoomView } from '../../plan/room-view';
import { faceUnder, takesBracket } from '../../plan/studs';
import { toLoop, wallLoop } from '../../plan/wall-loop';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { itemAt } from '../../units/result';

/** Whether a box is one to be nailed: new, on a framed wall that is open. */
const isNailed = (view: RoomView, { at, state }: Box): boolean =>
  at.kind === 'wall' && state !== 'existing' && takesBracket(view, at.wall);

export const boxOnStud = defineRule({
  id: 'box-on-stud',
  meta: {
    summary: 'Boxes are nailed to a stud\u2019s side, or hang on a bracket on purpose',
    stage: 'boxes',
    severity: 'reminder',
    why: 'A box between studs needs a bracket or a block, which somebody has to bring. Where the framing on site differs from the usual layout, nail to the nearest face and check the spacing.',
    editions: everyEdition({ section: '314.23(B), common practice', limits: {}, basis: commonPractice }),
    messages: {
      off: ({ room, tags }: { room: string; tags: string }) =>
        `In ${room} these stand on no stud\u2019s side: ${tags}. Shift them, or mark them for a bracket.`,
      on: ({ room }: { room: string }) => `The boxes of ${room} stand on studs, or on brackets on purpose.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.some((box) => isNailed(view, box)),
  check: (view, _limits, report) => {
    const loop = wallLoop(view.room);
    const off = view.boxes.filter(
      (box) =>
        isNailed(view, box) &&
        box.at.kind === 'wall' &&
        !box.bracket &&
        // What stands in a doorway or a header is told of that, and not of studs.
        !misplacedBoxes(view).has(box) &&
        !faceUnder(view, toLoop(loop, box.at.wall, box.at.alongIn), box.at.heightIn, box.gangs),
    );
    const room = view.room.name;
    const where = { room: view.room.id };
    if (off.length === 0) return [report.pass('on', { room }, where)];
    return [
      report.fail('off', { room, tags: off.map((box) => box.tag).join(', ') }, { ...where, box: itemAt(off, 0).id }),
    ];
  },
});
