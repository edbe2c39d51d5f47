import { feederLoad } from '../requirements/feeder-load';
import { feederAmpacity, laidIn } from '../../service/feeder-size';
import { atLeast, fitsRating, groundConductor } from '../../service/service-conductors';
import { setFeederRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const feederNeutral = defineRule({
  id: 'feeder-neutral',
  meta: {
    summary: 'A smaller neutral of a feeder carries what its legs can leave unbalanced',
    stage: 'service',
    severity: 'violation',
    why: 'No breaker guards a neutral. What 120 V loads draw on one leg comes back over it alone when the other leg is idle, and a fault to it must open the breaker.',
    editions: everyEdition({ section: '220.61, 215.2(A)', limits: {}, basis: fromMemory('medium') }),
    messages: {
      thin: ({ panel, size, carries, load }: Data) =>
        `The neutral of the feeder of ${panel}, No. ${size}, carries ${carries.toFixed(0)} A; ${load.toFixed(0)} A can come back over it.`,
      fault: ({ panel, size, least }: Data) =>
        `The neutral of the feeder of ${panel} is No. ${size}; as a way for a fault No. ${least} is the least.`,
      carries: ({ panel, size, load }: Data) =>
        `The neutral of the feeder of ${panel}, No. ${size}, carries the ${load.toFixed(0)} A that can come back over it.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.values(house.feeders).some((one) => one.neutral !== undefined),
  check: ({ house }, _limits, report) =>
    Object.values(house.feeders).flatMap((feeder) => {
      const { neutral: size, conductor } = feeder;
      if (size === undefined) return [];
      const carries = feederAmpacity({ ...laidIn(house, feeder), conductor: { ...conductor, size } });
      const load = feederLoad(house, feeder).neutralA;
      const least = groundConductor(feeder.ratingA, conductor.metal);
      const data = { panel: mustGet(house.panels, feeder.to).name, size, carries, load, least: least ?? '' };
      const where = { panel: feeder.to };
      const remedies = [setFeederRemedy(feeder.id, { neutral: conductor.size }, 'Make it as large as the others')];
      if (!fitsRating(load, carries))
        return [report.fail('thin', data, where, { remedies, measured: () => `${load.toFixed(1)} A` })];
      if (least && !atLeast(size, least))
        return [report.fail('fault', data, where, { remedies, section: '215.2(A), 250.122' })];
      return [report.pass('carries', data, where)];
    }),
});

interface Data {
  readonly panel: string;
  readonly size: string;
  readonly carries: number;
  readonly load: number;
  readonly least: string;
}
