import { loadLegs } from '../../panel/schedule';
import { commonPractice, defineRule, everyEdition } from '../rule';

export const legBalance = defineRule({
  id: 'leg-balance',
  meta: {
    summary: 'The legs of a panel carry about the same',
    stage: 'panel',
    severity: 'caution',
    why: 'An uneven panel loads one leg of the service and the neutral more than it must. 210.11(B) asks that the area load be spread evenly.',
    editions: everyEdition({ section: '210.11(B)', limits: { share: 0.25 }, basis: commonPractice }),
    messages: {
      uneven: ({ panel, percent, a, b }: { panel: string; percent: number; a: number; b: number }) =>
        `${panel}: leg A ${Math.round(a)} VA, leg B ${Math.round(b)} VA, ${percent} % apart.`,
      even: ({ panel, percent }: { panel: string; percent: number }) => `${panel}: the legs are ${percent} % apart.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) =>
    Object.keys(facts.house.panels).length > 0 &&
    Object.values(facts.house.circuits).some((circuit) => circuit.space !== null),
  check: (facts, limits, report) =>
    Object.values(facts.house.panels).map((panel) => {
      const { legVa, imbalance } = loadLegs(facts.house, panel);
      const percent = Math.round(imbalance * 100);
      const detail = { measured: () => `${percent} %`, required: () => `${Math.round(limits.share * 100)} % at most` };
      return imbalance > limits.share
        ? report.fail('uneven', { panel: panel.name, percent, a: legVa.A, b: legVa.B }, { panel: panel.id }, detail)
        : report.pass('even', { panel: panel.name, percent }, { panel: panel.id }, detail);
    }),
});
