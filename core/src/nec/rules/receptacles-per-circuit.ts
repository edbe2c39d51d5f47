import { measureCircuitLoad } from '../../circuits/circuit-load';
import { commonPractice, defineRule, everyEdition } from '../rule';

export const receptaclesPerCircuit = defineRule({
  id: 'receptacles-per-circuit',
  meta: {
    summary: 'Circuits stay within the standard that the firm has chosen',
    stage: 'circuits',
    severity: 'caution',
    why: 'The code sets no number of receptacles for a dwelling circuit. Firms set one so that everyday use does not trip breakers: 180 VA a yoke at 80 % or 100 %, or a maximum.',
    editions: everyEdition({ section: 'standard of the firm', limits: {}, basis: commonPractice }),
    messages: {
      over: ({ circuit, percent }: { circuit: string; percent: number }) =>
        `${circuit} is loaded to ${percent} % of the firm's standard.`,
      within: ({ circuit, percent }: { circuit: string; percent: number }) =>
        `${circuit}: ${percent} % of the firm's standard.`,
    },
  },
  scope: 'circuit',
  appliesTo: (_facts, circuit) => circuit.purpose !== 'individual',
  check: (facts, circuit, _limits, report) => {
    const load = measureCircuitLoad(facts.house, circuit);
    const data = { circuit: circuit.name, percent: Math.round(load.used * 100) };
    const detail = {
      measured: () => `${load.amps.toFixed(1)} A, ${load.generalReceptacles} receptacles`,
      required: () => `${load.allowedA.toFixed(1)} A`,
    };
    const where = { circuit: circuit.id };
    return load.used > 1 + 1e-9 ? report.fail('over', data, where, detail) : report.pass('within', data, where, detail);
  },
});
