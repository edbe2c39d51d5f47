import { wireHouse } from '../../wiring/make-up';
import { neutralAt } from '../../wiring/neutral-at-switch';
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
  scope: 'house',
  appliesTo: ({ house }) => Object.keys(house.switchGroups).length > 0,
  check: ({ house, edition }, _limits, report) => {
    const { units, boxes } = wireHouse(house);
    return units.flatMap(({ plan, unit }) =>
      plan.chains.flatMap(({ group, order }) =>
        order.flatMap((one) => {
          const where = { room: one.room.id, box: one.box.id };
          const { needed, why } = neutralAt(group, one, edition);
          const data = { tag: one.box.tag, why };
          const makeUp = boxes.get(one.box.id);
          if (!makeUp) return [];
          const hasNeutral = (box: string) =>
            boxes
              .get(box)
              ?.cables.some(({ cable }) =>
                cable.conductors.some(({ signal }) => signal?.kind === 'neutral' && signal.of === unit.id),
              ) ?? false;
          if (needed === 'one' && !hasNeutral(one.box.id) && order.some((other) => hasNeutral(other.box.id)))
            return [report.pass('free', { ...data, why: 'another that sees the whole of the lit area has it' }, where)];
          if (hasNeutral(one.box.id)) return [report.pass('there', data, where)];
          if (needed === 'cannot-tell') return [report.cannotTell('unsure', data, where)];
          return [needed !== 'no' ? report.fail('missing', data, where) : report.pass('free', data, where)];
        }),
      ),
    );
  },
});

interface Data {
  readonly tag: string;
  readonly why: string;
}
