import { servicePanels } from '../../circuits/panel-tree';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const interruptingRating = defineRule({
  id: 'interrupting-rating',
  meta: {
    summary: 'Breakers of the service interrupt the fault current that the utility can bring',
    stage: 'service',
    severity: 'violation',
    why: 'A breaker that is asked to open more than it is made for bursts, and the arc goes on behind the door.',
    editions: everyEdition({
      section: '110.9, 240.86',
      // What a breaker without a mark interrupts: 240.83(C).
      limits: { unmarkedA: 5000 },
      basis: fromMemory('high'),
    }),
    messages: {
      low: ({ panel, fault, rating }: Data) =>
        `${panel} is rated to interrupt ${rating.toLocaleString('en-US')} A; ${fault.toLocaleString('en-US')} A are available. Breakers of a higher rating, or a combination that is tested and marked as series rated.`,
      ask: ({ panel, fault }: Omit<Data, 'rating'>) =>
        `${fault.toLocaleString('en-US')} A of fault current are available, and what ${panel} can interrupt is not said. It is marked on the panel and on its breakers, mostly 10,000 A.`,
      series: ({ panel, fault }: Omit<Data, 'rating'>) =>
        `${panel} is series rated with what is ahead of it for ${fault.toLocaleString('en-US')} A, as somebody has said: only breakers that its label names, and the mark beside it (110.22).`,
      enough: ({ panel, fault }: Omit<Data, 'rating'>) =>
        `${panel} interrupts the ${fault.toLocaleString('en-US')} A that are available.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => house.supply.faultA !== undefined && servicePanels(house).length > 0,
  check: ({ house }, { unmarkedA }, report) => {
    const fault = house.supply.faultA ?? 0;
    return servicePanels(house).map(({ id, name, interruptingA, seriesRated }) => {
      const where = { panel: id };
      const data = { panel: name, fault };
      if (fault <= (interruptingA ?? unmarkedA)) return report.pass('enough', data, where);
      if (seriesRated) return report.pass('series', data, where);
      return interruptingA === undefined
        ? report.cannotTell('ask', data, where)
        : report.fail('low', { ...data, rating: interruptingA }, where);
    });
  },
});

interface Data {
  readonly panel: string;
  readonly fault: number;
  readonly rating: number;
}
