import { cableBetween, spotOfPanel } from '../../circuits/cable-run';
import { measureDrop } from '../../circuits/circuit-drop';
import { feederTo } from '../../circuits/panel-tree';
import type { Circuit, Feeder, House } from '../../house/schema';
import { runOf } from '../../makeup/wired-run';
import { feederLoad } from '../requirements/feeder-load';
import { feederDrop as dropOf } from '../../service/feeder-size';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const feederDrop = defineRule({
  id: 'feeder-drop',
  meta: {
    summary: 'A feeder loses 3 % of its voltage at most, and 5 % with the circuits behind it',
    stage: 'service',
    severity: 'caution',
    why: 'Motors at the end of a long feeder start hard and run hot, and lights dim when they do. The code advises; it does not require.',
    editions: everyEdition({
      section: '215.2(A) informational note',
      limits: { percent: 3, total: 5 },
      basis: fromMemory('high'),
    }),
    messages: {
      high: ({ panel, percent, feet }: Data) =>
        `The feeder of ${panel} loses ${percent.toFixed(1)} % over ${feet.toFixed(0)} ft at its calculated load.`,
      total: ({ circuit, ahead, percent, total }: Total) =>
        `${circuit} loses ${percent.toFixed(1)} %, and the feeders ahead of it ${ahead.toFixed(1)} %: ${(percent + ahead).toFixed(1)} % in all, where ${total} % is advised.`,
      low: ({ panel, percent }: Data) => `The feeder of ${panel} loses ${percent.toFixed(1)} %.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.keys(facts.house.feeders).length > 0,
  check: ({ house }, limits, report) =>
    Object.values(house.feeders).flatMap((feeder) => {
      const to = mustGet(house.panels, feeder.to);
      const { feet, percent } = lossOf(house, feeder);
      const data = { panel: to.name, percent, feet };
      const where = { panel: to.id };
      const own = percent > limits.percent + 1e-9 ? report.fail('high', data, where) : report.pass('low', data, where);
      const worst = worstBehind(house, to.id);
      const ahead = lossAhead(house, to.id);
      if (!worst || worst.percent + ahead <= limits.total + 1e-9) return [own];
      const { circuit } = worst;
      const sum = { circuit: circuit.name, ahead, percent: worst.percent, total: limits.total };
      return [own, report.fail('total', sum, { ...where, circuit: circuit.id })];
    }),
});

/** What a feeder loses at its calculated load, percent, and its way, feet: measured, or estimated. */
function lossOf(house: House, feeder: Feeder): { readonly feet: number; readonly percent: number } {
  const [from, to] = [mustGet(house.panels, feeder.from), mustGet(house.panels, feeder.to)];
  const feet = feeder.lengthFt ?? cableBetween(spotOfPanel(house, from), spotOfPanel(house, to)) / 12;
  const { amps, unevenA } = feederLoad(house, feeder);
  return { feet, percent: 100 * dropOf(feeder, amps, feet, unevenA) };
}

/** What all feeders on the way to a panel lose, percent. */
function lossAhead(house: House, panelId: string): number {
  const feeder = feederTo(house, panelId);
  return feeder ? lossOf(house, feeder).percent + lossAhead(house, feeder.from) : 0;
}

/** The circuit of a panel that loses most by itself, percent. */
function worstBehind(house: House, panelId: string): { circuit: Circuit; percent: number } | undefined {
  let worst: { circuit: Circuit; percent: number } | undefined;
  for (const circuit of Object.values(house.circuits)) {
    if (circuit.panel !== panelId) continue;
    const run = runOf(house, circuit);
    const percent = run ? 100 * measureDrop(house, circuit, run).share : 0;
    if (percent > (worst?.percent ?? 0)) worst = { circuit, percent };
  }
  return worst;
}

interface Total {
  readonly circuit: string;
  readonly ahead: number;
  readonly percent: number;
  readonly total: number;
}

interface Data {
  readonly panel: string;
  readonly percent: number;
  readonly feet: number;
}
