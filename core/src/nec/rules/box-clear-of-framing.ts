import { misplacedBoxes } from '../../plan/blocked-by-framing';
import { isFramedAt } from '../../plan/studs';
import { moveBoxRemedies } from '../remedies';
import { commonPractice, defineRule, everyEdition } from '../rule';

export const boxClearOfFraming = defineRule({
  id: 'box-clear-of-framing',
  meta: {
    summary: 'Boxes stay out of casings, headers, braces and blocking',
    stage: 'boxes',
    severity: 'caution',
    why: 'A header or a brace carries the house and is not cut for a box; where a casing goes, the plate finds no room. Headers are taken to be 7 1/4 in high and casings 2 1/4 in wide: measure what is built.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      casing: ({ tag, what }: { tag: string; what: string }) => `${tag} stands where the casing of the ${what} goes.`,
      header: ({ tag, what }: { tag: string; what: string }) => `${tag} stands in the header over the ${what}.`,
      brace: ({ tag, what }: { tag: string; what: string }) => `${tag} stands where the ${what} runs.`,
      blocking: ({ tag, what }: { tag: string; what: string }) =>
        `${tag} stands in a ${what}. Move it, or have the framer move that block.`,
      clear: ({ room }: { room: string }) => `The boxes of ${room} are clear of casings, headers, braces and blocking.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.some((box) => box.at.kind === 'wall'),
  check: (view, _limits, report) => {
    const found = [...misplacedBoxes(view)].flatMap(([box, way]) => {
      if (way.cause !== 'casing' && way.cause !== 'header' && way.cause !== 'brace' && way.cause !== 'blocking')
        return [];
      // What was there before is in what the wall is made of, whatever is drawn.
      if (box.state === 'existing') return [];
      // In masonry what lies over an opening is not known.
      if (way.cause === 'header' && box.at.kind === 'wall' && !isFramedAt(view, box.at.wall)) return [];
      const detail = { remedies: moveBoxRemedies(view, box) };
      const where = { room: view.room.id, box: box.id };
      return [report.fail(way.cause, { tag: box.tag, what: way.what }, where, detail)];
    });
    return found.length > 0 ? found : [report.pass('clear', { room: view.room.name }, { room: view.room.id })];
  },
});
