import { defineRule, everyEdition, fromMemory } from '../rule';
import { given, itemAt } from '../../units/result';

export const whiteAsTraveler = defineRule({
  id: 'white-as-traveler',
  meta: {
    summary: 'A white conductor is no traveler where another color will do',
    stage: 'make-up',
    severity: 'caution',
    why: 'A white that is marked for good may feed a switch, or be a traveler; the person who opens the box years later finds a white that is hot now and then, and takes it for a neutral.',
    editions: everyEdition({ section: '200.7(C)(1)', limits: {}, basis: fromMemory('medium') }),
    messages: {
      traveler: ({ from, to, words }: { from: string; to: string; words: string }) =>
        `The white from ${from} to ${to} is ${words}. Mark it for good at both ends, or pull a cable with one conductor more.`,
      fine: ({ circuit }: { circuit: string }) => `No white of ${circuit} is a traveler.`,
    },
  },
  scope: 'unit',
  check: (_facts, { unit, runs }, _limits, report) => {
    const found = runs.flatMap((run) =>
      run.cables.flatMap((cable) =>
        cable.conductors
          .filter((one) => one.remarked && one.signal?.kind === 'traveler')
          .map((one) => {
            const data = { from: run.from?.tag ?? 'the panel', to: run.to.tag, words: given(one.signal).words };
            return report.fail('traveler', data, { room: run.to.room, box: run.to.id, circuit: unit.id });
          }),
      ),
    );
    if (found.length > 0) return found;
    return runs.length > 0
      ? [report.pass('fine', { circuit: itemAt(unit.circuits, 0).name }, { circuit: unit.id })]
      : [];
  },
});
