import { defineRule, everyEdition, fromMemory, type Verdict } from '../rule';
import { itemAt } from '../../units/result';

export const conductorsTogether = defineRule({
  id: 'conductors-together',
  meta: {
    summary: 'All conductors of a circuit run in one cable',
    stage: 'make-up',
    severity: 'caution',
    why: 'Currents that go out in one cable and come back in another heat metal boxes between them and disturb everything near.',
    editions: everyEdition({ section: '300.3(B)', limits: {}, basis: fromMemory('medium') }),
    messages: {
      apart: ({ problem }: { problem: string }) => problem,
      together: ({ name }: { name: string }) => `Each run of ${name} is one cable.`,
    },
  },
  scope: 'unit',
  check: (_facts, { unit, runs }, _limits, report) => {
    const apart: Verdict[] = [];
    for (const { problems, to } of runs)
      for (const { code, message } of problems)
        if (code === 'two-cables')
          apart.push(report.fail('apart', { problem: message }, { room: to.room, box: to.id, circuit: unit.id }));
    return apart.length > 0 || runs.length === 0
      ? apart
      : report.pass('together', { name: itemAt(unit.circuits, 0).name }, { circuit: unit.id });
  },
});
