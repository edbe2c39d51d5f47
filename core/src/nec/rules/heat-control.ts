import { ampsOf } from '../../loads/library';
import { groupBy } from '../../units/group-by';
import { isUngoverned, roomHeaters } from '../requirements/thermostats';
import { setLoadsRemedy } from '../remedies';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { given, itemAt, mustGet } from '../../units/result';

export const heatControl = defineRule({
  id: 'heat-control',
  meta: {
    summary: 'Electric heaters of a room have a thermostat of their own that carries them',
    stage: 'switching',
    severity: 'caution',
    why: 'A heater without a thermostat runs until somebody opens a breaker; one whose thermostat hangs next door heats for that room. What is too much for it welds its contacts.',
    editions: everyEdition({
      section: '424.20, common practice',
      // Amperes that a line-voltage thermostat is usually made for.
      limits: { carriesA: 22 },
      basis: commonPractice,
    }),
    messages: {
      unsaid: ({ tags }: { tags: string }) =>
        `By what are these heaters governed: ${tags}? Place a thermostat at line voltage under House, at the electric heat of the room, or say that each has one built in.`,
      floor: ({ tags }: { tags: string }) =>
        `By what is this floor heat governed: ${tags}? Place a thermostat made for floors, with its sensor in the floor, under House, at the electric heat of the room, or say that it has one built in.`,
      bath: ({ tags }: { tags: string }) =>
        `What turns these bath heaters on: ${tags}? Join each to a switch or timer under Switching, or say that it has one built in.`,
      mixed: ({ tag }: { tag: string }) =>
        `The thermostat ${tag} governs floor heat and other heaters. One follows a sensor in the floor, the others the air: give each its own.`,
      over: ({ tag, amps, carries }: { tag: string; amps: number; carries: number }) =>
        `The heaters on the thermostat ${tag} take ${amps.toFixed(1)} A, and such thermostats are usually made for ${carries} A. Read its plate, or share the heaters between two.`,
      next: ({ tag, room, heated }: { tag: string; room: string; heated: string }) =>
        `The thermostat ${tag} hangs in ${room} and governs heat in ${heated}. Give each room its own.`,
      governed: ({ tag, count }: { tag: string; count: number }) =>
        `The thermostat ${tag} governs ${count === 1 ? 'a heater' : `${count} heaters`} of its room.`,
      builtIn: ({ tags }: { tags: string }) => `${tags}: the thermostat is built in.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: ({ house }) => roomHeaters(house).length > 0,
  check: ({ house }, limits, report) => {
    const heaters = roomHeaters(house);
    const governed = heaters.filter((one) => one.thermostat);
    const said = [...groupBy(governed, (one) => given(one.thermostat).device.id).values()].flatMap((list) => {
      const { box, room } = given(itemAt(list, 0).thermostat);
      const where = { room: room.id, box: box.id };
      const amps = list.reduce((sum, { load }) => sum + ampsOf(load), 0);
      const other = list.find((one) => one.box.room !== room.id);
      if (other) {
        const heated = mustGet(house.rooms, other.box.room).name;
        return [report.fail('next', { tag: box.tag, room: room.name, heated }, where)];
      }
      if (list.some((one) => one.kind !== itemAt(list, 0).kind)) return [report.fail('mixed', { tag: box.tag }, where)];
      if (amps > limits.carriesA + 1e-9)
        return [report.fail('over', { tag: box.tag, amps, carries: limits.carriesA }, where)];
      return [report.pass('governed', { tag: box.tag, count: list.length }, where)];
    });
    const own = heaters.filter((one) => !one.thermostat && one.load.builtInControl);
    if (own.length > 0) said.push(report.pass('builtIn', { tags: tagsOf(own) }, { box: itemAt(own, 0).box.id }));
    for (const [kind, list] of groupBy(heaters.filter(isUngoverned), (one) => one.kind)) {
      const { id, room } = itemAt(list, 0).box;
      const all = list.map((one) => one.load.id);
      const remedies = [setLoadsRemedy(all, { builtInControl: true }, 'All of them have one built in')];
      said.push(report.cannotTell(UNSAID[kind], { tags: tagsOf(list) }, { room, box: id }, { remedies }));
    }
    return said;
  },
});

const UNSAID = { air: 'unsaid', floor: 'floor', bath: 'bath' } as const;
const tagsOf = (heaters: ReturnType<typeof roomHeaters>): string => heaters.map((one) => one.box.tag).join(', ');
