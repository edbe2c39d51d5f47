import { feederTo, servicePanels } from '../../circuits/panel-tree';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const neutralBond = defineRule({
  id: 'neutral-bond',
  meta: {
    summary: 'The neutral is bonded once, at the service, and apart from the grounds behind it',
    stage: 'service',
    severity: 'violation',
    why: 'Bonded twice, a part of the neutral current runs over grounds, pipes and cases all day; bonded nowhere, no breaker opens on a fault.',
    editions: everyEdition({ section: '250.24, 250.142(B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      twice: ({ panel }: { panel: string }) =>
        `The neutral is bonded in ${panel}, which is fed from another panel. Take the bonding screw out, and put the grounds on a bar of their own.`,
      nowhere: ({ panel }: { panel: string }) =>
        `The neutral is not bonded in ${panel}, where the service comes in. The main bonding jumper belongs there, or in a service disconnect ahead of it.`,
      once: ({ panel }: { panel: string }) => `The neutral of ${panel} is bonded as it has to be.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) => Object.values(facts.house.panels).some((one) => one.neutral !== undefined),
  check: ({ house }, _limits, report) =>
    Object.values(house.panels).flatMap((panel) => {
      if (panel.neutral === undefined) return [];
      const where = { panel: panel.id };
      const data = { panel: panel.name };
      const isFed = feederTo(house, panel.id) !== undefined;
      if (isFed && panel.neutral === 'bonded')
        return [report.fail('twice', data, where, { section: '250.24(A)(5), 250.142(B)' })];
      if (servicePanels(house).includes(panel) && panel.neutral === 'apart')
        return [report.fail('nowhere', data, where, { section: '250.24(B), 250.28' })];
      return [report.pass('once', data, where)];
    }),
});
