import { feederLoad } from '../requirements/feeder-load';
import { feederAmpacity, fitsFeeder, laidIn, largestFeederBreaker, leastFeeder } from '../../service/feeder-size';
import { fitsRating } from '../../service/service-conductors';
import { setFeederRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

interface Data {
  readonly panel: string;
  readonly cable: string;
  readonly carries: number;
  readonly load: number;
  readonly breaker: number;
}

export const feederSize = defineRule({
  id: 'feeder-size',
  meta: {
    summary: 'A feeder carries the load of its panel, and its breaker guards it',
    stage: 'service',
    severity: 'violation',
    why: 'A subpanel is fed once and added to for twenty years. What is too thin for it grows hot in a wall and trips nothing.',
    editions: everyEdition({ section: '215.2, 215.3, 240.4', limits: {}, basis: fromMemory('high') }),
    messages: {
      unmade: ({ panel, cable }: Data) => `The feeder of ${panel}: there is no ${cable}. Take another size or metal.`,
      load: ({ panel, breaker, load }: Data) =>
        `The load of ${panel} is ${load.toFixed(0)} A; the breaker of its feeder is ${breaker} A.`,
      thin: ({ panel, cable, carries, load }: Data) =>
        `The feeder of ${panel}, ${cable}, carries ${carries.toFixed(0)} A; the load is ${load.toFixed(0)} A.`,
      breaker: ({ panel, cable, carries, breaker }: Data) =>
        `The feeder of ${panel}, ${cable}, carries ${carries.toFixed(0)} A: a breaker of ${breaker} A does not guard it.`,
      holds: ({ panel, cable, load, breaker }: Data) =>
        `The feeder of ${panel}, ${cable} behind ${breaker} A, carries ${load.toFixed(0)} A.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.keys(facts.house.feeders).length > 0,
  check: ({ house }, _limits, report) =>
    Object.values(house.feeders).map((stored) => {
      const feeder = laidIn(house, stored);
      const { amps, isWholeDwelling } = feederLoad(house, feeder);
      const { size, metal } = feeder.conductor;
      const carries = feederAmpacity(feeder);
      const data: Data = {
        panel: mustGet(house.panels, feeder.to).name,
        cable: `No. ${size} ${metal}`.replace(/No\. (\d+ kcmil)/, '$1'),
        carries,
        load: amps,
        breaker: feeder.ratingA,
      };
      const where = { panel: feeder.to };
      const least = leastFeeder(feeder, metal, amps, isWholeDwelling);
      const remedies = least
        ? [
            setFeederRemedy(
              feeder.id,
              { conductor: { size: least.size, metal }, ground: least.ground },
              `Use ${least.size.includes('kcmil') ? '' : 'No. '}${least.size} ${metal}`,
            ),
          ]
        : [];
      if (carries === 0) return report.fail('unmade', data, where, { remedies });
      if (!fitsRating(amps, feeder.ratingA)) return report.fail('load', data, where, { section: '215.3, 220.40' });
      if (carries < Math.floor(amps + 0.5)) return report.fail('thin', data, where, { remedies });
      if (!fitsFeeder(feeder, amps, isWholeDwelling))
        return report.fail('breaker', data, where, {
          section: '240.4(B), 240.4(D)',
          required: () => `${largestFeederBreaker(feeder)} A at most`,
          remedies,
        });
      return report.pass('holds', data, where);
    }),
});
