import type { LoadKind } from '../../house/schema-equipment';
import { nextStandardRating } from '../../electrical/conductors';
import { ampsOf } from '../../loads/library';
import { outletsOf, outletsProper } from '../requirements/circuit-facts';
import { defineRule, everyEdition, fromMemory } from '../rule';

/** Appliances without a motor that stand alone on their circuit; cooking equipment and space heat have articles of their own. */
const RESISTIVE: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'water-heater',
  'tankless-water-heater',
  'hot-water-tap',
  'steam-shower',
  'towel-warmer',
]);

export const applianceOvercurrent = defineRule({
  id: 'appliance-overcurrent',
  meta: {
    summary: 'The breaker of one appliance without a motor is not over 150 % of its current, or the next size',
    stage: 'circuits',
    severity: 'violation',
    why: 'The breaker guards the appliance too. One that is far too large lets a failing element glow until something else gives way.',
    editions: everyEdition({
      section: '422.11(E)(3)',
      limits: { share: 1.5, smallA: 13.3, smallBreakerA: 20 },
      basis: fromMemory('high'),
    }),
    messages: {
      large: ({ load, rating, most }: Data) =>
        `${load} is on ${rating} A; ${most} A is the largest breaker it may have.`,
      right: ({ load, rating, most }: Data) => `${load} is on ${rating} A, of ${most} A at most.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) =>
    outletsOf(facts, circuit).some(({ load }) => load !== undefined && RESISTIVE.has(load.kind)),
  check: (facts, circuit, limits, report) => {
    const outlets = outletsProper(outletsOf(facts, circuit));
    const [only] = outlets;
    if (outlets.length !== 1 || !only?.load || !RESISTIVE.has(only.load.kind) || only.load.motor) return [];
    const { load } = only;
    const amps = ampsOf(load);
    // What is marked on the appliance comes before any share: 422.11(E)(1).
    const byShare =
      amps <= limits.smallA ? limits.smallBreakerA : (nextStandardRating(amps * limits.share) ?? Infinity);
    const most = load.mocpA ?? byShare;
    const data = { load: load.name, rating: circuit.ratingA, most };
    const where = { circuit: circuit.id, box: only.box.id };
    const detail = {
      measured: () => `${circuit.ratingA} A for ${amps.toFixed(1)} A`,
      required: () => `${most} A at most`,
      ...(load.mocpA === undefined ? {} : { section: '422.11(E)(1)' }),
    };
    return circuit.ratingA > most
      ? report.fail('large', data, where, detail)
      : report.pass('right', data, where, detail);
  },
});

interface Data {
  readonly load: string;
  readonly rating: number;
  readonly most: number;
}
