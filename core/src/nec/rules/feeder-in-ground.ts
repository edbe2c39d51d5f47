import { leastCover } from '../../service/ground-cover';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const feederInGround = defineRule({
  id: 'feeder-in-ground',
  meta: {
    summary: 'A feeder in the ground is made for it and lies deep enough',
    stage: 'service',
    severity: 'violation',
    why: 'A spade finds what lies too shallow, and water finds what is not made for the ground.',
    editions: everyEdition({ section: '300.5', limits: {}, basis: fromMemory('high') }),
    messages: {
      unfit: ({ panel }: { panel: string }) =>
        `The feeder of ${panel} is cable that is not made for the ground. Underground cable (UF), or wet-rated conductors in a raceway, are.`,
      shallow: ({ panel, has, least }: { panel: string; has: number; least: number }, show) =>
        `The feeder of ${panel} lies ${show(has)} deep; ${show(least)} of cover is the least.`,
      deep: ({ panel }: { panel: string }) => `The feeder of ${panel} lies deep enough.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.values(house.feeders).some((one) => one.coverIn !== undefined),
  check: ({ house }, _limits, report) =>
    Object.values(house.feeders).flatMap((feeder) => {
      if (feeder.coverIn === undefined) return [];
      const panel = mustGet(house.panels, feeder.to).name;
      const where = { panel: feeder.to };
      if (feeder.wiring === 'nonmetallic' || feeder.wiring === 'service-entrance')
        return [report.fail('unfit', { panel }, where, { section: '334.12(B), 338.12(A)(2)' })];
      const least = leastCover(
        feeder.wiring === 'raceway' ? 'raceway' : 'cable',
        feeder.raceway,
        feeder.underDriveway ? 'driveway' : 'soil',
      );
      const has = feeder.coverIn;
      return [
        has < least ? report.fail('shallow', { panel, has, least }, where) : report.pass('deep', { panel }, where),
      ];
    }),
});
