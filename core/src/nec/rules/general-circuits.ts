import { areaFt2 } from '../../geometry/geometry';
import type { Circuit, RoomKind } from '../../house/schema';
import { circuitsOf, outletsOf, outletsProper } from '../requirements/circuit-facts';
import { defineRule, fromMemory, type Facts } from '../rule';

/** Open porches, garages and spaces not adaptable for living are left out of the floor area. *From memory*, high. */
const NOT_COUNTED: ReadonlySet<RoomKind> = new Set([
  'garage',
  'accessory-building',
  'porch',
  'deck',
  'balcony',
  'outdoors',
  'attic',
  'crawl-space',
  'basement-unfinished',
]);

/** A circuit that feeds nothing, or nothing but appliances, serves none of the floor; one that feeds only outdoors does: 220.14(J). */
const feedsInGeneral = (facts: Facts, circuit: Circuit): boolean =>
  outletsProper(outletsOf(facts, circuit)).some((outlet) => outlet.load === undefined);

const entry = (section: string) => ({ section, limits: { vaPerFt2: 3 }, basis: fromMemory('medium') });

export const generalCircuits = defineRule({
  id: 'general-circuits',
  meta: {
    summary: 'Enough general circuits for 3 VA a square foot',
    stage: 'circuits',
    severity: 'violation',
    why: 'The area load gives the least number of lighting and general receptacle circuits: one 15 A circuit for 600 ft², one 20 A for 800 ft².',
    editions: {
      '2014': entry('210.11(A), 220.12'),
      '2017': entry('210.11(A), 220.12'),
      '2020': entry('210.11(A), 220.14(J)'),
      '2023': entry('210.11(A), 220.41'),
    },
    messages: {
      few: ({ area, need, have }: { area: number; need: number; have: number }) =>
        `${area.toFixed(0)} ft² of floor ask for ${need} VA of general circuits; there are ${have} VA.`,
      enough: ({ area, need, have }: { area: number; need: number; have: number }) =>
        `${area.toFixed(0)} ft² of floor ask for ${need} VA of general circuits; there are ${have} VA.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => circuitsOf(facts).length > 0,
  check: (facts, limits, report) => {
    // Inside faces: the code's outside dimensions are a few per cent more, which is allowed for by the walls between rooms.
    const area = facts.views
      .filter((view) => !NOT_COUNTED.has(view.room.kind))
      .reduce((sum, view) => sum + areaFt2(view.room.corners), 0);
    const need = Math.ceil(area * limits.vaPerFt2);
    const have = circuitsOf(facts)
      .filter((circuit) => circuit.purpose === 'general' && circuit.poles === 1 && feedsInGeneral(facts, circuit))
      .reduce((sum, circuit) => sum + circuit.ratingA * 120, 0);
    const data = { area, need, have };
    const detail = { measured: () => `${have} VA`, required: () => `${need} VA (inside area; add the walls)` };
    return [have < need ? report.fail('few', data, {}, detail) : report.pass('enough', data, {}, detail)];
  },
});
