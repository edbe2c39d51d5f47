import { commonPractice, defineRule, everyEdition } from '../rule';
import { given, itemAt } from '../../units/result';

export const feedOrder = defineRule({
  id: 'feed-order',
  meta: {
    summary: 'A cable with enough conductors reaches every box',
    stage: 'make-up',
    severity: 'violation',
    why: 'A box that no cable reaches, or a cable short of a conductor, is found when the walls are closed.',
    editions: everyEdition({ section: '300.15', limits: {}, basis: commonPractice }),
    messages: {
      unsound: ({ problem }: { problem: string }) => problem,
      whole: ({ name, runs }: { name: string; runs: number }) =>
        `${name}: ${runs} runs of cable, each with the conductors that have to cross.`,
    },
  },
  scope: 'unit',
  check: ({ house }, { unit, runs, problems }, _limits, report) => {
    const mine = problems.filter((one) => one.code !== 'two-cables');
    if (mine.length === 0)
      return runs.length === 0
        ? []
        : report.pass('whole', { name: itemAt(unit.circuits, 0).name, runs: runs.length }, { circuit: unit.id });
    return mine.map((one) => {
      const [collection, id] = one.path.split('.');
      const box = collection === 'boxes' ? house.boxes[given(id)] : undefined;
      return report.fail(
        'unsound',
        { problem: one.message },
        box ? { room: box.room, box: box.id, circuit: unit.id } : { circuit: unit.id },
      );
    });
  },
});
