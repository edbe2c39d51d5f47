import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt } from '../../units/result';

export const homeRun = defineRule({
  id: 'home-run',
  meta: {
    summary: 'One cable of a circuit comes to the panel',
    stage: 'make-up',
    severity: 'caution',
    why: 'A breaker\u2019s terminal is made for one conductor unless it is marked for two. Two under one screw work loose and burn.',
    editions: everyEdition({ section: '110.14(A)', limits: { cables: 1 }, basis: fromMemory('high') }),
    messages: {
      several: ({ name, n }: { name: string; n: number }) =>
        `${n} cables of ${name} start at the panel, and its breaker takes one conductor unless it is marked for more. Feed the others from a box, or splice them to one in the panel where there is room (312.8).`,
      one: ({ name }: { name: string }) => `${name} has one home run.`,
    },
  },
  scope: 'unit',
  check: (_facts, { unit, runs }, limits, report) => {
    const home = runs.filter((run) => run.from === undefined);
    const name = itemAt(unit.circuits, 0).name;
    if (home.length === 0) return [];
    const where = { circuit: unit.id };
    if (home.length <= limits.cables) return report.pass('one', { name }, where);
    const { to } = itemAt(home, 1);
    return report.fail('several', { name, n: home.length }, { ...where, room: to.room, box: to.id });
  },
});
