import type { Circuit } from '../../house/schema';
import { adaptableRemedies } from '../remedies';
import { AREA_UNSURE, dwellingAreaFt2, openArea } from '../requirements/dwelling-area';
import { circuitsOf, outletsOf, outletsProper } from '../requirements/circuit-facts';
import { defineRule, fromMemory, type Facts } from '../rule';
import { itemAt } from '../../units/result';

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
        `${area.toFixed(0)} ft² of floor require ${need} VA of general circuits; there are ${have} VA.`,
      close: ({ area, need, have }: { area: number; need: number; have: number }) =>
        `${area.toFixed(0)} ft² of floor by estimated outside walls require about ${need} VA of general circuits; there are ${have} VA. Measure the outside of the house, or add a circuit.`,
      adaptable: ({ rooms, area, need, have }: { rooms: string; area: number; need: number; have: number }) =>
        `With ${rooms}, which could be finished one day, ${area.toFixed(0)} ft² of floor require ${need} VA of general circuits; there are ${have} VA, enough without. Say whether it could be, or add a circuit.`,
      enough: ({ area, need, have }: { area: number; need: number; have: number }) =>
        `${area.toFixed(0)} ft² of floor require ${need} VA of general circuits; there are ${have} VA.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => circuitsOf(facts).length > 0,
  check: (facts, limits, report) => {
    const area = dwellingAreaFt2(facts.house);
    const need = Math.ceil(area * limits.vaPerFt2);
    const have = circuitsOf(facts)
      .filter((circuit) => circuit.purpose === 'general' && circuit.poles === 1 && feedsInGeneral(facts, circuit))
      .reduce((sum, circuit) => sum + circuit.ratingA * 120, 0);
    const data = { area, need, have };
    const detail = { measured: () => `${have} VA`, required: () => `${need} VA by the outside dimensions` };
    // The walls are estimated: so near to the limit a tape decides.
    if (need > 0 && Math.abs(have - need) <= need * AREA_UNSURE) return [report.cannotTell('close', data, {}, detail)];
    const open = openArea(facts.house);
    if (have < need && have >= Math.ceil((area - open.ft2) * limits.vaPerFt2)) {
      const ids = open.rooms.map((one) => one.id);
      const remedies = adaptableRemedies(ids);
      const rooms = open.rooms.map((one) => one.name).join(' and ');
      return [report.cannotTell('adaptable', { ...data, rooms }, { room: itemAt(ids, 0) }, { ...detail, remedies })];
    }
    return [have < need ? report.fail('few', data, {}, detail) : report.pass('enough', data, {}, detail)];
  },
});
