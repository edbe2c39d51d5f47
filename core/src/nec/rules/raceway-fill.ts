import { leastTrade, racewayFill as fillOf } from '../../service/raceway-fill';
import { setFeederRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const racewayFill = defineRule({
  id: 'raceway-fill',
  meta: {
    summary: 'The conductors of a feeder fill 40 % of their raceway at most',
    stage: 'service',
    severity: 'violation',
    why: 'What is pulled through too tight a raceway is scraped bare on the way, and nobody sees where.',
    editions: everyEdition({ section: 'Chapter 9 Tables 1, 4 and 5', limits: {}, basis: fromMemory('high') }),
    messages: {
      full: ({ panel, percent, trade }: Data) =>
        `The conductors of the feeder of ${panel} fill ${percent.toFixed(0)} % of their raceway of ${trade} in; 40 % is the most.`,
      fits: ({ panel, percent }: Data) =>
        `The conductors of the feeder of ${panel} fill ${percent.toFixed(0)} % of their raceway.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.values(house.feeders).some((one) => one.raceway !== undefined),
  check: ({ house }, _limits, report) =>
    Object.values(house.feeders).flatMap((feeder) => {
      const fill = fillOf(feeder);
      if (!fill || !feeder.raceway) return [];
      const { kind, trade } = feeder.raceway;
      const percent = (40 * fill.takenIn2) / fill.allowedIn2;
      const data = { panel: mustGet(house.panels, feeder.to).name, percent, trade };
      const where = { panel: feeder.to };
      if (percent <= 40 + 1e-9) return [report.pass('fits', data, where)];
      const least = leastTrade(feeder, kind);
      const remedies = least
        ? [setFeederRemedy(feeder.id, { raceway: { kind, trade: least } }, `Use ${least} in`)]
        : [];
      return [report.fail('full', data, where, { remedies })];
    }),
});

interface Data {
  readonly panel: string;
  readonly percent: number;
  readonly trade: string;
}
