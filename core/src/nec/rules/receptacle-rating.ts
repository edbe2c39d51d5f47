import { listOutlets, outletsOf, outletsProper } from '../requirements/circuit-facts';
import { defineRule, everyEdition, fromMemory } from '../rule';
import type { Outlet } from '../../circuits/outlets';
import { itemAt } from '../../units/result';

/** Receptacle ratings allowed where a circuit has two or more: Table 210.21(B)(3). *From memory*, high. */
const ALLOWED: Readonly<Record<number, readonly number[]>> = {
  15: [15],
  20: [15, 20],
  30: [30],
  40: [40, 50],
  50: [50],
};

export const receptacleRating = defineRule({
  id: 'receptacle-rating',
  meta: {
    summary: 'Receptacles fit the rating of their circuit',
    stage: 'circuits',
    severity: 'violation',
    why: 'A single 15 A receptacle alone on a 20 A circuit can be loaded beyond its rating. A 15 A duplex may: it is two receptacles.',
    editions: everyEdition({ section: '210.21(B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      weak: ({ circuit, rating, outlets }: { circuit: string; rating: number; outlets: string }) =>
        `${outlets}: a single receptacle rated below its ${rating} A circuit, ${circuit}.`,
      wrong: ({ circuit, rating, outlets }: { circuit: string; rating: number; outlets: string }) =>
        `${outlets}: not a rating allowed on the ${rating} A circuit ${circuit}.`,
      right: ({ circuit }: { circuit: string }) => `The receptacles of ${circuit} fit its rating.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) => outletsOf(facts, circuit).some((outlet) => outlet.device.kind === 'receptacle'),
  check: (facts, circuit, _limits, report) => {
    const outlets = outletsProper(outletsOf(facts, circuit));
    const receptacles = outlets.filter((outlet) => outlet.device.kind === 'receptacle');
    if (receptacles.length === 0) return [];
    const rated = (outlet: Outlet) => (outlet.device.kind === 'receptacle' ? outlet.device.ratingA : 0);
    const [only] = receptacles;
    const isSingle = only?.device.kind === 'receptacle' && only.device.style === 'single';
    const data = { circuit: circuit.name, rating: circuit.ratingA };
    const where = { circuit: circuit.id };
    if (isSingle && outlets.length === 1) {
      // A range receptacle may follow the demand of Table 220.55, so 50 A on a 40 A circuit is fine as well.
      if (rated(only) < circuit.ratingA)
        return [
          report.fail(
            'weak',
            { ...data, outlets: listOutlets([only]) },
            { ...where, box: only.box.id },
            {
              section: '210.21(B)(1)',
              measured: () => `${rated(only)} A`,
              required: () => `${circuit.ratingA} A or more`,
            },
          ),
        ];
      return [report.pass('right', data, where)];
    }
    const wrong = receptacles.filter((outlet) => !(ALLOWED[circuit.ratingA] ?? []).includes(rated(outlet)));
    if (wrong.length === 0) return [report.pass('right', data, where)];
    return [
      report.fail(
        'wrong',
        { ...data, outlets: listOutlets(wrong) },
        { ...where, box: itemAt(wrong, 0).box.id },
        {
          section: '210.21(B)(3)',
          measured: () => `${rated(itemAt(wrong, 0))} A`,
          required: () => (ALLOWED[circuit.ratingA] ?? ['a standard circuit rating']).join(' or ') + ' A',
        },
      ),
    ];
  },
});
