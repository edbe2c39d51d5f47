import { feederLoad } from '../requirements/feeder-load';
import { groundFor, laidIn } from '../../service/feeder-size';
import { atLeast } from '../../service/service-conductors';
import { setFeederRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

/** Metal raceways that are equipment grounding conductors themselves, 250.118. */
const METAL_RACEWAYS: ReadonlySet<string> = new Set(['emt', 'rigid']);

export const feederGround = defineRule({
  id: 'feeder-ground',
  meta: {
    summary: 'An equipment grounding conductor of its size goes with every feeder',
    stage: 'service',
    severity: 'violation',
    why: 'Without it a fault in the second panel finds no way back, no breaker opens, and every grounded case behind it is live.',
    editions: everyEdition({ section: '215.6, 250.122', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ panel }: Data) =>
        `No equipment grounding conductor goes with the feeder of ${panel}: four wires, or three and a metal raceway. Three wires with the neutral bonded in it hold for what stood before only.`,
      raceway: ({ panel }: Data) =>
        `The feeder of ${panel} has no metal raceway that could be its equipment grounding conductor.`,
      thin: ({ panel, has, least }: Data & { has: string; least: string }) =>
        `The equipment grounding conductor of the feeder of ${panel} is No. ${has}; No. ${least} is the least.`,
      there: ({ panel }: Data) => `The equipment grounding conductor of the feeder of ${panel} is large enough.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.keys(facts.house.feeders).length > 0,
  check: ({ house }, _limits, report) =>
    Object.values(house.feeders).map((feeder) => {
      const panel = mustGet(house.panels, feeder.to).name;
      const where = { panel: feeder.to };
      const least = groundFor(laidIn(house, feeder), feederLoad(house, feeder).amps);
      const remedies = least ? [setFeederRemedy(feeder.id, { ground: least }, `Use No. ${least}`)] : [];
      if (feeder.ground === 'none')
        return report.fail('none', { panel }, where, { section: '215.6, 250.32(B)', remedies });
      if (feeder.ground === 'raceway')
        return feeder.wiring === 'raceway' && METAL_RACEWAYS.has(feeder.raceway?.kind ?? '')
          ? report.pass('there', { panel }, where)
          : report.fail('raceway', { panel }, where, { section: '250.118', remedies });
      return !least || atLeast(feeder.ground, least)
        ? report.pass('there', { panel }, where)
        : report.fail('thin', { panel, has: feeder.ground, least }, where, { remedies });
    }),
});

interface Data {
  readonly panel: string;
}
