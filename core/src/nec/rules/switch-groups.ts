import { groupProblems } from '../../feed/unit';
import { commonPractice, defineRule, everyEdition } from '../rule';

export const switchGroups = defineRule({
  id: 'switch-groups',
  meta: {
    summary: 'Every switch governs something, and every group can be wired',
    stage: 'switching',
    severity: 'violation',
    why: 'A group that cannot be wired as drawn is found after the drywall, when the wrong switches have been bought.',
    editions: everyEdition({ section: '404.2', limits: {}, basis: commonPractice }),
    messages: {
      unsound: ({ problem }: { problem: string }) => problem,
      whole: ({ name, places }: { name: string; places: number }) =>
        `${name} can be wired: ${places} ${places === 1 ? 'place' : 'places'}.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.keys(house.switchGroups).length > 0,
  check: ({ house, outlets }, _limits, report) => {
    const problems = groupProblems(house);
    return Object.values(house.switchGroups).flatMap((group) => {
      const first = outlets.byDevice.get(group.switches[0] ?? group.controls[0] ?? '');
      const where = first ? { room: first.room.id, box: first.box.id } : {};
      const mine = problems.filter((one) => one.path === `switchGroups.${group.id}`);
      if (mine.length === 0) return [report.pass('whole', { name: group.name, places: group.switches.length }, where)];
      return mine.map((one) => report.fail('unsound', { problem: one.message }, where));
    });
  },
});
