import { count } from '../../units/count';
import { circuitsOf } from '../requirements/circuit-facts';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { itemAt } from '../../units/result';

export const circuitInPanel = defineRule({
  id: 'circuit-in-panel',
  meta: {
    summary: 'Every circuit has a place in a panel',
    stage: 'panel',
    severity: 'reminder',
    why: 'A home run must end at a breaker; count the spaces before the panel is bought.',
    editions: everyEdition({ section: 'plan', limits: {}, basis: commonPractice }),
    messages: {
      open: ({ n, names }: { n: number; names: string }) => `${count(n, 'circuit')} without a panel space: ${names}.`,
      noPanel: (_: object) => 'No panel is drawn. Add one under House and place the breakers.',
      done: ({ n }: { n: number }) => `All ${n} circuits have their spaces.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) => circuitsOf(facts).length > 0,
  check: (facts, _limits, report) => {
    const panels = Object.values(facts.house.panels);
    if (panels.length === 0) return [report.cannotTell('noPanel', {}, {})];
    const open = circuitsOf(facts).filter((circuit) => circuit.panel === null || circuit.space === null);
    if (open.length === 0) return [report.pass('done', { n: circuitsOf(facts).length }, {})];
    const names =
      open
        .slice(0, 3)
        .map((circuit) => circuit.name)
        .join(', ') + (open.length > 3 ? ' …' : '');
    return [report.fail('open', { n: open.length, names }, { panel: itemAt(panels, 0).id })];
  },
});
