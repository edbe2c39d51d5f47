import { atticFOf, sizeCircuit } from '../../circuits/sizing';
import { keptCables } from '../../route/kept-laid';
import { spaceKindsOf } from '../../route/plates';
import { conductorRemedy, type Remedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const atticCable = defineRule({
  id: 'attic-cable',
  meta: {
    summary: 'A cable that lies in the heat of an attic is sized for it',
    stage: 'routes',
    severity: 'violation',
    why: 'At 130 °F a No. 12 cable carries 22 A where it starts and less where others lie beside it: the breaker no longer guards it.',
    editions: {
      ...everyEdition({
        section: '310.15(A)(2), Table 310.15(B)(2)(a)',
        limits: { shortFt: 10, share: 0.1 },
        basis: fromMemory('medium'),
      }),
      '2020': {
        section: '310.14(A)(2), Table 310.15(B)(1)',
        limits: { shortFt: 10, share: 0.1 },
        basis: fromMemory('medium'),
      },
      '2023': {
        section: '310.14(A)(2), Table 310.15(B)(1)(1)',
        limits: { shortFt: 10, share: 0.1 },
        basis: fromMemory('medium'),
      },
    },
    messages: {
      hot: ({ circuit, feet, awg, largest, carries, load }: Hot) => {
        const breaker =
          largest === 0 ? 'less than the smallest breaker' : `and may have a ${largest} A breaker at most`;
        const why = load > carries ? `and its load is ${load.toFixed(1)} A` : breaker;
        return `${circuit} lies ${feet} ft in the attic: there No. ${awg} carries ${carries.toFixed(1)} A, ${why}. Take larger wire, or lead it below.`;
      },
      fits: ({ circuit, feet }: { circuit: string; feet: number }) =>
        `${circuit} lies ${feet} ft in the attic and is large enough there.`,
    },
  },
  scope: 'circuit',
  appliesTo: ({ house }, circuit) => !circuit.inAttic && Object.keys(house.routes).length > 0,
  check: ({ house }, circuit, limits, report) => {
    let [attic, all] = [0, 0];
    for (const { route, run } of keptCables(house)) {
      if (!run.unit.circuits.includes(circuit)) continue;
      attic += spaceKindsOf(house, route).get('attic') ?? 0;
      all += route.lengthIn;
    }
    if (mayBePassedOver(attic / 12, all / 12, limits)) return [];
    const feet = Math.round(attic / 12);
    const where = { circuit: circuit.id };
    const { ampacityA, largestBreakerA, conductorA, fitting } = sizeCircuit(house, { ...circuit, inAttic: true });
    if (circuit.ratingA <= largestBreakerA && conductorA <= ampacityA + 1e-9)
      return report.pass('fits', { circuit: circuit.name, feet }, where);
    const mark: Remedy = {
      kind: 'set-circuit',
      circuit: circuit.id,
      changes: { inAttic: true },
      label: 'Size it for the attic',
    };
    return report.fail(
      'hot',
      {
        circuit: circuit.name,
        feet,
        awg: circuit.awg,
        largest: largestBreakerA,
        carries: ampacityA,
        load: conductorA,
      },
      where,
      {
        remedies: fitting && fitting !== circuit.awg ? [conductorRemedy(circuit.id, fitting), mark] : [mark],
        measured: () => `${feet} ft at ${atticFOf(house)} °F`,
        required: () => `${circuit.ratingA} A on No. ${circuit.awg}`,
      },
    );
  },
});

/** The lower of two ampacities may be passed over where its part is short: 10 ft, and a tenth of the rest, which has the higher one. */
export const mayBePassedOver = (lowFt: number, allFt: number, limits: { shortFt: number; share: number }): boolean =>
  lowFt <= Math.min(limits.shortFt, limits.share * (allFt - lowFt));

interface Hot {
  readonly circuit: string;
  readonly feet: number;
  readonly awg: string;
  readonly largest: number;
  readonly carries: number;
  readonly load: number;
}
