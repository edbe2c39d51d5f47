import { hasExisting } from '../standing';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const alarmPower = defineRule({
  id: 'alarm-power',
  meta: {
    summary: 'Alarms are fed by the house, with a battery behind it; on a battery alone in a dwelling that stands',
    stage: 'boxes',
    severity: 'violation',
    why: 'A battery runs down and is taken out; an alarm that the house feeds speaks until the house is dark, and then by its battery.',
    editions: everyEdition({ section: 'IRC R314.6, R315.6', limits: {}, basis: fromMemory('high') }),
    messages: {
      new: ({ room }: Data) =>
        `The alarm in ${room} is on a battery alone. In a new dwelling the house feeds it, from a circuit without a switch, with a battery behind it.`,
      opened: ({ room }: Data) =>
        `The alarm in ${room} is on a battery alone, in a room that is opened. The IRC lets a dwelling that is altered have such ones; many authorities want the house to feed those where finishes come off. Ask.`,
      stands: ({ room }: Data) =>
        `The alarm in ${room} is on a battery alone: a dwelling that is altered may have such ones where nothing is opened.`,
      remote: ({ room }: Data) => `The alarm in ${room} is on a battery alone: the building has no utility.`,
    },
  },
  scope: 'house',
  reads: 'alarms',
  appliesTo: (facts) => facts.outlets.alarms.some(({ device }) => device.kind === 'alarm' && device.battery),
  check: ({ house, outlets }, _limits, report) =>
    outlets.alarms
      .filter(({ device }) => device.kind === 'alarm' && device.battery)
      .map(({ box, room }) => {
        const [data, where] = [{ room: room.name }, { box: box.id }];
        if (house.supply.kind === 'off-grid') return report.pass('remote', data, where);
        if (!hasExisting(house) && !room.closed) return report.fail('new', data, where);
        return room.closed || box.state === 'existing'
          ? report.pass('stands', data, where)
          : report.cannotTell('opened', data, where);
      }),
});

interface Data {
  readonly room: string;
}
