import { cableBetween, spotOfPanel } from '../../circuits/cable-run';
import { feederLoad } from '../requirements/feeder-load';
import { feederDrop as dropOf } from '../../service/feeder-size';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const feederDrop = defineRule({
  id: 'feeder-drop',
  meta: {
    summary: 'A feeder loses 3 % of its voltage at most',
    stage: 'service',
    severity: 'caution',
    why: 'Motors at the end of a long feeder start hard and run hot, and lights dim when they do. The code advises; it does not require.',
    editions: everyEdition({
      section: '215.2(A) informational note',
      limits: { percent: 3 },
      basis: fromMemory('high'),
    }),
    messages: {
      high: ({ panel, percent, feet }: Data) =>
        `The feeder of ${panel} loses ${percent.toFixed(1)} % over ${feet.toFixed(0)} ft at its calculated load.`,
      low: ({ panel, percent }: Data) => `The feeder of ${panel} loses ${percent.toFixed(1)} %.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.keys(facts.house.feeders).length > 0,
  check: ({ house }, limits, report) =>
    Object.values(house.feeders).map((feeder) => {
      const [from, to] = [mustGet(house.panels, feeder.from), mustGet(house.panels, feeder.to)];
      const feet = feeder.lengthFt ?? cableBetween(spotOfPanel(house, from), spotOfPanel(house, to)) / 12;
      const { amps, unevenA } = feederLoad(house, feeder);
      const percent = 100 * dropOf(feeder, amps, feet, unevenA);
      const data = { panel: to.name, percent, feet };
      const where = { panel: to.id };
      return percent > limits.percent + 1e-9 ? report.fail('high', data, where) : report.pass('low', data, where);
    }),
});

interface Data {
  readonly panel: string;
  readonly percent: number;
  readonly feet: number;
}
