import { misplacedBoxes } from '../../plan/blocked-by-framing';
import { moveBoxRemedies } from '../remedies';
import { commonPractice, defineRule, everyEdition } from '../rule';

export const boxInWall = defineRule({
  id: 'box-in-wall',
  meta: {
    summary: 'Behind every box on a wall there is a wall',
    stage: 'boxes',
    severity: 'violation',
    why: 'A door was moved, a wall was opened, or a length was mistyped: the box cannot be fastened where it is drawn, and whatever it was counted for, such as the spacing of receptacles, is not there.',
    editions: everyEdition({ section: '314.23, common practice', limits: {}, basis: commonPractice }),
    messages: {
      opening: ({ tag, what }: { tag: string; what: string }) =>
        `${tag} stands in the ${what === 'door' ? 'doorway' : what}: there is no wall to set it in.`,
      pocket: ({ tag }: { tag: string }) => `${tag} stands where the pocket door slides into the wall.`,
      open: ({ tag, room }: { tag: string; room: string }) =>
        `${tag} stands where ${room} is open to the next area: there is no wall.`,
      corner: ({ tag, isIn, halfIn }: { tag: string; isIn: number; halfIn: number }, show) =>
        `The middle of ${tag} is ${show(isIn)} from the corner, and half of its box is ${show(halfIn)} wide.`,
      stands: ({ room }: { room: string }) => `Behind the boxes of ${room} there is wall.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.some((box) => box.at.kind === 'wall'),
  check: (view, _limits, report) => {
    const room = view.room.name;
    const found = [...misplacedBoxes(view)].flatMap(([box, way]) => {
      const { tag } = box;
      const where = { room: view.room.id, box: box.id };
      const detail = { remedies: moveBoxRemedies(view, box) };
      switch (way.cause) {
        case 'opening':
          return [report.fail('opening', { tag, what: way.what }, where, detail)];
        case 'pocket door':
          return [report.fail('pocket', { tag }, where, detail)];
        case 'no wall':
          return [report.fail('open', { tag, room }, where, detail)];
        case 'corner':
          return [report.fail('corner', { tag, isIn: way.isIn, halfIn: way.halfIn }, where, detail)];
        default:
          return [];
      }
    });
    return found.length > 0 ? found : [report.pass('stands', { room }, { room: view.room.id })];
  },
});
