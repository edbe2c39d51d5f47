import { neutralAt } from '../../makeup/neutral-at-switch';
import { defineRule, fromMemory, type EditionEntry } from '../rule';

const entry = (confidence: 'high' | 'medium'): EditionEntry => ({
  section: '404.2(C)',
  limits: {},
  basis: fromMemory(confidence),
});

export const neutralAtSwitch = defineRule({
  id: 'neutral-at-switch',
  meta: {
    summary: 'The neutral of the lighting circuit is at its switches',
    stage: 'switching',
    severity: 'violation',
    ofItsDay: true,
    why: 'Electronic switches need a neutral. Where none was brought, people have put their current on the ground.',
    editions: { '2014': entry('medium'), '2017': entry('high'), '2020': entry('high'), '2023': entry('high') },
    messages: {
      missing: ({ tag, why }: Data) =>
        `No neutral comes to the switch in ${tag}: ${why}. Pull a cable with one conductor more.`,
      there: ({ tag }: Data) => `The neutral is at the switch in ${tag}.`,
      free: ({ tag, why }: Data) => `The switch in ${tag} needs no neutral: ${why}.`,
      unsure: ({ tag, why }: Data) =>
        `Whether the switch in ${tag} needs a neutral cannot be told: ${why}. Name the room.`,
    },
  },
  scope: 'unit',
  check: ({ edition }, { plan, unit, runs }, _limits, report) => {
    const brought = new Set<string>();
    for (const { to, from, cables } of runs)
      for (const { conductors } of cables)
        for (const { signal } of conductors)
          if (signal?.kind === 'neutral' && signal.of === unit.id) {
            brought.add(to.id);
            if (from) brought.add(from.id);
          }
    return plan.chains.flatMap(({ group, order }) =>
      order.map((one) => {
        const where = { room: one.room.id, box: one.box.id };
        const { needed, why } = neutralAt(group, one, edition);
        const data = { tag: one.box.tag, why };
        if (brought.has(one.box.id)) return report.pass('there', data, where);
        if (needed === 'one' && order.some((other) => brought.has(other.box.id)))
          return report.pass('free', { ...data, why: 'another that sees the whole of the lit area has it' }, where);
        if (needed === 'cannot-tell') return report.cannotTell('unsure', data, where);
        return needed === 'no' ? report.pass('free', data, where) : report.fail('missing', data, where);
      }),
    );
  },
});

interface Data {
  readonly tag: string;
  readonly why: string;
}
