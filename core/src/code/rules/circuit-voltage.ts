import { circuitsOf, deviceIds, listOutlets, outletsOf } from '../circuit-facts';
import { circuitVolts, voltsAt } from '../../circuits/outlets';
import { takeOffRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const circuitVoltage = defineRule({
  id: 'circuit-voltage',
  meta: {
    summary: '240 V loads on two poles, 120 V loads on one',
    stage: 'circuits',
    severity: 'violation',
    why: 'A 240 V heater on one pole gives a quarter of its heat; a 120 V device on two poles burns.',
    editions: everyEdition({ section: '110.4, 210.6(A)', limits: {}, basis: fromMemory('high') }),
    messages: {
      wrong: ({ circuit, volts, outlets }: { circuit: string; volts: number; outlets: string }) =>
        `${circuit} is a ${volts} V circuit and feeds ${outlets}, made for ${volts === 240 ? 120 : 240} V.`,
      right: ({ circuit, volts }: { circuit: string; volts: number }) =>
        `Everything on ${circuit} is made for ${volts} V.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => circuitsOf(facts).length > 0,
  check: (facts, _limits, report) =>
    circuitsOf(facts).map((circuit) => {
      const volts = circuitVolts(circuit);
      const wrong = outletsOf(facts, circuit).filter(
        (outlet) => voltsAt(outlet) !== volts || (outlet.load && outlet.load.volts !== volts),
      );
      if (wrong.length === 0) return report.pass('right', { circuit: circuit.name, volts }, { circuit: circuit.id });
      return report.fail(
        'wrong',
        { circuit: circuit.name, volts, outlets: listOutlets(wrong) },
        { circuit: circuit.id, box: wrong[0]!.box.id },
        {
          measured: () => `${volts} V`,
          required: () => `${volts === 240 ? 120 : 240} V`,
          remedies: [takeOffRemedy(deviceIds(wrong), wrong.length === 1 ? 'it' : 'them')],
        },
      );
    }),
});
