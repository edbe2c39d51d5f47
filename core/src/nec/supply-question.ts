import { servicePanel } from '../circuits/panel-tree';
import type { Supply } from '../house/schema';
import { setSupplyRemedy } from './remedies';
import { defineRule, type EditionEntry, type RuleDefinition } from './rule';
import type { Edition } from '../house/schema';
import { given } from '../units/result';

type Seen = 'surge' | 'emergencyDisconnect' | 'intersystemBond';
type NoLimits = Readonly<Record<string, number>>;
type Words = Readonly<Record<'missing' | 'ask' | 'there', () => string>>;

/** A rule about what stands at the service of a dwelling or not: asked until somebody says so, by two buttons. */
export const supplyQuestion = (
  id: string,
  field: Seen,
  meta: {
    readonly summary: string;
    readonly why: string;
    readonly editions: Readonly<Partial<Record<Edition, EditionEntry<NoLimits>>>>;
    readonly messages: Words;
    /** What the two buttons say. */
    readonly answers: readonly [yes: string, no: string];
  },
): RuleDefinition<NoLimits, Words> => {
  const { summary, why, editions, messages, answers } = meta;
  const answer = (value: Supply[Seen], label: string) => setSupplyRemedy({ [field]: value }, label);
  return defineRule({
    id,
    meta: { summary, why, editions, messages, stage: 'service', severity: 'violation', ofItsDay: true },
    scope: 'house',
    reads: 'none',
    appliesTo: ({ house, views }) =>
      house.supply.kind === 'utility' &&
      servicePanel(house) !== undefined &&
      views.some((one) => one.room.kind === 'kitchen'),
    check: ({ house }, _limits, report) => {
      const where = { panel: given(servicePanel(house)).id };
      switch (house.supply[field]) {
        case 'yes':
          return [report.pass('there', undefined, where)];
        case 'no':
          return [report.fail('missing', undefined, where)];
        case 'not-known': {
          const remedies = [answer('yes', answers[0]), answer('no', answers[1])];
          return [report.cannotTell('ask', undefined, where, { remedies })];
        }
      }
    },
  });
};
