import { collisionsOf } from '../../place/back-to-back';
import { moveBoxRemedies } from '../remedies';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { given } from '../../units/result';

export const boxesCollide = defineRule({
  id: 'boxes-collide',
  meta: {
    summary: 'No two boxes stand in one place, from one side of a wall or from both',
    stage: 'boxes',
    severity: 'caution',
    why: 'Behind the switch at a door there is often the switch of the next room, at the same stud and the same height. Two usual boxes are deeper together than a wall of 2x4 studs is thick: one of them goes to the other side of a stud, or a shallow box is brought along.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      over: ({ tag, other }: { tag: string; other: string }) => `${tag} and ${other} are drawn over each other.`,
      behind: (
        { tag, other, depthsIn, wallIn }: { tag: string; other: string; depthsIn: number; wallIn: number },
        show,
      ) => `${tag} and ${other} stand back to back: ${show(depthsIn)} of boxes in a wall of ${show(wallIn)}.`,
      apart: ({ count }: { count: number }) => `Each of ${count} boxes in walls has a place of its own.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.boxes.some((box) => box.at.kind === 'wall')),
  check: (facts, _limits, report) => {
    const found = collisionsOf(facts.house, facts.views).map(({ box, other, through }) => {
      const where = { room: box.room, box: box.id };
      const tags = { tag: box.tag, other: other.tag };
      const remedies = moveBoxRemedies(given(facts.views.find((view) => view.room.id === box.room)), box);
      return through
        ? report.fail('behind', { ...tags, ...through }, where, { remedies })
        : report.fail('over', tags, where, { remedies });
    });
    if (found.length > 0) return found;
    const count = facts.views.reduce((sum, { boxes }) => sum + boxes.filter((box) => box.at.kind === 'wall').length, 0);
    return [report.pass('apart', { count }, {})];
  },
});
