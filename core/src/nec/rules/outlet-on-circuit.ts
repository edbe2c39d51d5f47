import { count } from '../../units/count';
import { deviceIds } from '../requirements/circuit-facts';
import { newCircuitRemedy } from '../remedies';
import { commonPractice, defineRule, everyEdition } from '../rule';

export const outletOnCircuit = defineRule({
  id: 'outlet-on-circuit',
  meta: {
    summary: 'Every outlet is on a circuit',
    stage: 'circuits',
    severity: 'reminder',
    why: 'An outlet without a circuit has no breaker, no cable and no protection decided yet.',
    editions: everyEdition({ section: 'plan', limits: {}, basis: commonPractice }),
    messages: {
      open: ({ room, n }: { room: string; n: number }) =>
        `${count(n, 'outlet')} of ${room} ${n === 1 ? 'is' : 'are'} on no circuit.`,
      unseen: ({ room, n }: { room: string; n: number }) =>
        `${count(n, 'outlet')} of ${room} that stood there before ${n === 1 ? 'is' : 'are'} on no circuit here. Find the breaker that feeds ${n === 1 ? 'it' : 'them'}, and put ${n === 1 ? 'it' : 'them'} on that circuit.`,
      done: ({ n }: { n: number }) => `All ${n} outlets are on circuits.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.outlets.all.length > 0,
  check: (facts, _limits, report) => {
    const { unassigned, all } = facts.outlets;
    if (unassigned.length === 0) return [report.pass('done', { n: all.length }, {})];
    return [...new Set(unassigned.map((outlet) => outlet.room))].flatMap((room) => {
      const here = unassigned.filter((outlet) => outlet.room === room);
      const open = here.filter(({ box }) => box.state !== 'existing');
      const old = here.length - open.length;
      const where = { room: room.id };
      return [
        ...(open.length > 0
          ? [
              report.fail('open', { room: room.name, n: open.length }, where, {
                remedies: [newCircuitRemedy(deviceIds(open), 'them')],
              }),
            ]
          : []),
        ...(old > 0 ? [report.cannotTell('unseen', { room: room.name, n: old }, where)] : []),
      ];
    });
  },
});
