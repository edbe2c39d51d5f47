import { measureDrop } from '../../circuits/circuit-drop';
import { runAlong } from '../../makeup/wired-run';
import { outletsOf } from '../requirements/circuit-facts';
import { conductorRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const voltageDrop = defineRule({
  id: 'voltage-drop',
  meta: {
    summary: 'Not more than 3 % of the voltage lost to the farthest outlet',
    stage: 'circuits',
    severity: 'caution',
    why: 'Advice, not a rule: motors run hot and lamps dim on a long thin cable. With the feeder, 5 % in all. The length is that along the feed order until it is measured.',
    editions: everyEdition({
      section: '210.19 informational note',
      limits: { share: 0.03 },
      basis: fromMemory('high'),
    }),
    messages: {
      long: ({ circuit, tag, feet, percent, amps, isSpread, isCurable }: Data) =>
        `${circuit} loses ${percent.toFixed(1)} % on the ${feet.toFixed(0)} ft to ${tag} with ${amps.toFixed(1)} A ${isSpread ? 'spread along it' : 'there'}.${isCurable ? '' : ' No conductor that its devices take keeps it within; a shorter feed or a nearer panel would.'}`,
      fine: ({ circuit, percent }: Data) => `${circuit} loses ${percent.toFixed(1)} % at most.`,
      noPanel: ({ circuit }: { circuit: string }) =>
        `How far ${circuit} runs is not known: there is no panel yet. Set one down under House.`,
    },
  },
  scope: 'unit',
  check: (facts, wiring, limits, report) =>
    wiring.unit.circuits.flatMap((circuit) => {
      if (outletsOf(facts, circuit).length === 0) return [];
      if (!wiring.unit.panel) return [report.cannotTell('noPanel', { circuit: circuit.name }, { circuit: circuit.id })];
      const run = runAlong(wiring);
      // Drawn cables that reach no box: the feed order is what is wrong, and its rule says so.
      if (!run) return [];
      const drop = measureDrop(facts.house, circuit, run);
      const where = { circuit: circuit.id, box: drop.at.id };
      const data = {
        circuit: circuit.name,
        tag: drop.at.tag,
        feet: drop.feet,
        percent: drop.share * 100,
        amps: drop.amps,
        isSpread: drop.isSpread,
        isCurable: drop.cure !== undefined,
      };
      const detail = {
        measured: () => `${(drop.share * 100).toFixed(1)} %, ${drop.volts.toFixed(1)} V`,
        required: () => `${(limits.share * 100).toFixed(0)} % at most, as advice`,
      };
      if (drop.share <= limits.share + 1e-9) return [report.pass('fine', data, where, detail)];
      const remedies = drop.cure ? [conductorRemedy(circuit.id, drop.cure)] : [];
      return [report.fail('long', data, where, { ...detail, remedies })];
    }),
});

interface Data {
  readonly circuit: string;
  readonly tag: string;
  readonly feet: number;
  readonly percent: number;
  readonly amps: number;
  readonly isSpread: boolean;
  readonly isCurable: boolean;
}
