import { listOutlets, outletsOf } from '../requirements/circuit-facts';
import { fanUnitOf } from '../../circuits/fan-unit';
import { isGeneralReceptacle } from '../../circuits/circuit-load';
import { isLighting, type Outlet } from '../../circuits/outlets';
import { ampsOf } from '../../loads/library';
import { defineRule, fromMemory } from '../rule';
import { itemAt } from '../../units/result';

const entry = (section: string) => ({ section, limits: { share: 0.5 }, basis: fromMemory('high') });

/** Amperes of equipment fastened in place at an outlet; a ceiling or exhaust fan is such, a luminaire is not. */
function fastenedAmps({ load, device }: Outlet): number {
  if (load) return load.fastened ? ampsOf(load) : 0;
  return device.kind === 'fan' ? device.va / 120 : 0;
}

export const fastenedInPlaceShare = defineRule({
  id: 'fastened-in-place-share',
  meta: {
    summary: 'Equipment fastened in place takes at most half of a 15 or 20 A circuit that also feeds lights or plugs',
    stage: 'circuits',
    severity: 'violation',
    why: 'The other half stays free for lights and whatever is plugged in. The sum of all fastened equipment counts, not each piece.',
    editions: {
      '2014': entry('210.23(A)(2)'),
      '2017': entry('210.23(A)(2)'),
      '2020': entry('210.23(A)(2)'),
      '2023': entry('210.23(B)(2)'),
    },
    messages: {
      over: ({ circuit, sum, half, outlets }: { circuit: string; sum: number; half: number; outlets: string }) =>
        `${circuit} feeds lights or plugs as well as ${outlets}: ${sum.toFixed(1)} A fastened in place, ${half} A allowed.`,
      within: ({ circuit, sum, half }: { circuit: string; sum: number; half: number }) =>
        `${circuit}: ${sum.toFixed(1)} A fastened in place of ${half} A allowed.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) => outletsOf(facts, circuit).some((outlet) => fastenedAmps(outlet) > 0),
  check: (facts, circuit, limits, report) => {
    const outlets = outletsOf(facts, circuit);
    const fastened = outlets.filter((outlet) => fastenedAmps(outlet) > 0);
    // The lamp in a fan is part of it, not a light that it shares with.
    const isLight = (outlet: Outlet) => isLighting(outlet) && fanUnitOf(facts.house, outlet).length === 0;
    const sharesWith = outlets.some(
      (outlet) => isLight(outlet) || isGeneralReceptacle(outlet) || (outlet.load?.cord && !outlet.load.fastened),
    );
    if (fastened.length === 0 || !sharesWith || circuit.poles === 2 || circuit.ratingA > 20) return [];
    const sum = fastened.reduce((amps, outlet) => amps + fastenedAmps(outlet), 0);
    const half = circuit.ratingA * limits.share;
    const detail = { measured: () => `${sum.toFixed(1)} A`, required: () => `${half} A at most` };
    const where = { circuit: circuit.id, box: itemAt(fastened, 0).box.id };
    return [
      sum > half + 1e-9
        ? report.fail('over', { circuit: circuit.name, sum, half, outlets: listOutlets(fastened) }, where, detail)
        : report.pass('within', { circuit: circuit.name, sum, half }, where, detail),
    ];
  },
});
