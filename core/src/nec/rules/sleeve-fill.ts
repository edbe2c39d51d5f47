import { fits, leastSleeve, sleeveFill as fillOf } from '../../service/sleeve-fill';
import { placeOfSleeve, setSleeveRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const sleeveFill = defineRule({
  id: 'sleeve-fill',
  meta: {
    summary: 'What is pulled into a sleeve fills no more of it than Chapter 9 allows',
    stage: 'routes',
    severity: 'violation',
    why: 'The last cable that is forced into a full pipe scrapes the first ones bare.',
    editions: everyEdition({ section: 'Chapter 9 Table 1', limits: {}, basis: fromMemory('medium') }),
    messages: {
      full: ({ sleeve, percent, most, pieces }: { sleeve: string; percent: number; most: number; pieces: number }) =>
        `${sleeve} is filled to ${percent.toFixed(0)} %; ${most} % is the most for ${pieces === 1 ? 'one piece' : `${pieces} pieces`}.`,
      ask: ({ sleeve }: { sleeve: string }) =>
        `How full ${sleeve} is cannot be told: its trade size is in no table of its kind that is known here.`,
      fits: ({ sleeve }: { sleeve: string }) => `${sleeve} has room for what it holds.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.values(house.sleeves).some((one) => one.holds.length > 0 && one.kind !== 'piece'),
  check: ({ house }, _limits, report) =>
    Object.values(house.sleeves).flatMap((one) => {
      if (one.holds.length === 0 || one.kind === 'piece') return [];
      const [where, sleeve, fill] = [placeOfSleeve(one), one.name, fillOf(one)];
      if (!fill) return [report.cannotTell('ask', { sleeve }, where)];
      if (fits(fill)) return [report.pass('fits', { sleeve }, where)];
      const trade = leastSleeve(one);
      const { percent, most, pieces } = fill;
      return [
        report.fail('full', { sleeve, percent, most, pieces }, where, {
          remedies: trade ? [setSleeveRemedy(one.id, { trade }, `Use ${trade} in`)] : [],
        }),
      ];
    }),
});
