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
      deaf: ({ room }: { room: string }) =>
        `The alarm in ${room} is on its battery and on no radio: it sounds alone. All have to sound together where walls or ceilings are opened, or an attic, crawl space or basement lets a cable through (R314.4).`,
      closed: ({ room }: { room: string }) =>
        `The alarm in ${room}, which stays closed, may sound alone on its battery, unless an attic, crawl space or basement lets a cable through.`,
      mixed: ({ n, radio }: { n: number; radio: number }) =>
        `${count(n, 'alarm')} ${n === 1 ? 'does' : 'do'} not signal by radio and ${radio} ${radio === 1 ? 'does' : 'do'}: neither sets off the others, unless one of them is listed to do both.`,
      radio: (_: object) => 'The alarms signal each other by radio.',
    },
  },
  scope: 'house',
  reads: 'alarms',
  appliesTo: (facts) => facts.outlets.alarms.filter((outlet) => outlet.device.kind === 'alarm').length > 1,
  check: (facts, _limits, report) => {
    const alarms = facts.outlets.alarms.filter((outlet) => outlet.device.kind === 'alarm');
    const radio = alarms.filter(({ device }) => device.kind === 'alarm' && device.wireless);
    const deaf = alarms.filter(({ device }) => device.kind === 'alarm' && device.battery && !device.wireless);
    const wired = alarms.filter((one) => !radio.includes(one) && !deaf.includes(one));
    const alone = deaf.map(({ room, box }) =>
      room.closed
        ? report.pass('closed', { room: room.name }, { box: box.id })
        : report.fail('deaf', { room: room.name }, { box: box.id }),
    );
    const mixed =
      radio.length > 0 && wired.length > 0
        ? [report.fail('mixed', { n: wired.length, radio: radio.length }, { box: itemAt(wired, 0).box.id })]
        : [];
    if (wired.length < 2) {
      const rest = [...alone, ...mixed];
      return rest.length > 0 ? rest : [report.pass('radio', {}, {})];
    }
    const circuits = [...new Set(wired.flatMap((outlet) => outlet.device.circuit ?? []))];
    const names = circuits.map((id) => facts.house.circuits[id]?.name ?? id);
    const n = wired.length;
    const open = wired.filter((outlet) => outlet.device.circuit === null);
    const joined =
      circuits.length > 1
        ? report.fail(
            'split',
            { circuits: names.join(' and '), n },
            { box: given(wired.find((one) => one.device.circuit === circuits[1])).box.id },
          )
        : open.length > 0
          ? report.cannotTell('open', { n: open.length }, { box: itemAt(open, 0).box.id })
          : report.pass('joined', { circuit: itemAt(names, 0), n }, { circuit: itemAt(circuits, 0) });
    return [...alone, ...mixed, joined];
  },
});
