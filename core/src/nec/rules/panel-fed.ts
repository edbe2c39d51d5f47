import { feederTo, servicePanel, servicePanels } from '../../circuits/panel-tree';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given } from '../../units/result';

export const panelFed = defineRule({
  id: 'panel-fed',
  meta: {
    summary: 'Every panel is fed, and protected at no more than its busbars stand',
    stage: 'service',
    severity: 'violation',
    why: 'A panel that nobody has drawn a feeder to is priced, pulled and inspected by nobody; busbars behind too large a breaker burn before it opens.',
    editions: everyEdition({ section: '408.36', limits: {}, basis: fromMemory('high') }),
    messages: {
      alone: ({ panel }: { panel: string }) =>
        `Nothing says how ${panel} is fed. Draw its feeder under Service, or remove it.`,
      lugs: ({ panel }: { panel: string }) =>
        `${panel} has lugs only and the service comes into it: nothing in it disconnects the service. It needs a main, or a service disconnect ahead of it.`,
      bus: ({ panel, bus, ahead }: { panel: string; bus: number; ahead: number }) =>
        `The busbars of ${panel} are made for ${bus} A and stand behind ${ahead} A.`,
      fed: ({ panel }: { panel: string }) => `${panel} is fed and protected.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) =>
    Object.keys(facts.house.panels).length > 1 ||
    servicePanel(facts.house)?.busA !== undefined ||
    servicePanel(facts.house)?.main === 'lugs',
  check: ({ house }, _limits, report) => {
    const mains = new Set(servicePanels(house));
    return Object.values(house.panels).map((panel) => {
      const where = { panel: panel.id };
      const feeder = feederTo(house, panel.id);
      if (!feeder && !mains.has(panel)) {
        const remedies = [{ kind: 'feed-panel' as const, panel: panel.id, label: 'Feed it from the service panel' }];
        return report.cannotTell('alone', { panel: panel.name }, where, { remedies });
      }
      if (!feeder && panel.main === 'lugs')
        return report.fail('lugs', { panel: panel.name }, where, { section: '230.70, 408.36' });
      const ahead = panel.main === 'lugs' ? given(feeder).ratingA : panel.mainA;
      const bus = panel.busA ?? panel.mainA;
      return ahead > bus
        ? report.fail('bus', { panel: panel.name, bus, ahead }, where)
        : report.pass('fed', { panel: panel.name }, where);
    });
  },
});
