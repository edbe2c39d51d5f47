import { count } from '../../units/count';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given, itemAt } from '../../units/result';

export const alarmInterconnection = defineRule({
  id: 'alarm-interconnection',
  meta: {
    summary: 'Alarms that are joined by wire are on one circuit',
    stage: 'circuits',
    severity: 'caution',
    why: 'When one sounds, all sound: a third conductor joins them. Their instructions want all of them on one circuit, and conductors of two circuits must not meet in it. Alarms that signal by radio are free of that.',
    editions: everyEdition({ section: 'IRC R314.4, NEC 110.3(B), 300.3(B)', limits: {}, basis: fromMemory('medium') }),
    messages: {
      split: ({ circuits, n }: { circuits: string; n: number }) =>
        `${n} alarms joined by wire are on ${circuits}. Put them on one circuit, or say that they signal by radio.`,
      joined: ({ circuit, n }: { circuit: string; n: number }) => `All ${n} wired alarms are on ${circuit}.`,
      open: ({ n }: { n: number }) =>
        `${count(n, 'alarm')} on no circuit yet: it is open whether a wire can join them all.`,
      radio: (_: object) => 'The alarms signal each other by radio.',
    },
  },
  scope: 'house',
  reads: 'alarms',
  appliesTo: (facts) => facts.outlets.alarms.filter((outlet) => outlet.device.kind === 'alarm').length > 1,
  check: (facts, _limits, report) => {
    const wired = facts.outlets.alarms.filter((outlet) => outlet.device.kind === 'alarm' && !outlet.device.wireless);
    if (wired.length < 2) return [report.pass('radio', {}, {})];
    const circuits = [...new Set(wired.flatMap((outlet) => outlet.device.circuit ?? []))];
    const names = circuits.map((id) => facts.house.circuits[id]?.name ?? id);
    const n = wired.length;
    if (circuits.length > 1)
      return [
        report.fail(
          'split',
          { circuits: names.join(' and '), n },
          { box: given(wired.find((one) => one.device.circuit === circuits[1])).box.id },
        ),
      ];
    const open = wired.filter((outlet) => outlet.device.circuit === null);
    if (open.length > 0) return [report.cannotTell('open', { n: open.length }, { box: itemAt(open, 0).box.id })];
    return [report.pass('joined', { circuit: itemAt(names, 0), n }, { circuit: itemAt(circuits, 0) })];
  },
});
