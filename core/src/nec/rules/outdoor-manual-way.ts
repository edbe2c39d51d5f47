import type { Outlet } from '../../circuits/outlets';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { itemAt } from '../../units/result';

const isSensed = ({ device }: Outlet) => device.kind === 'luminaire' && device.sensor === 'dusk';
/** A dusk sensor in the wall decides alone; an astronomic timer has a button. */
const isBlind = ({ device }: Outlet) => device.kind === 'switch' && device.style === 'dusk';

export const outdoorManualWay = defineRule({
  id: 'outdoor-manual-way',
  meta: {
    summary: 'Automatic outdoor light can be switched by hand too',
    stage: 'switching',
    severity: 'caution',
    why: 'The code lets outdoor entrances be lit automatically. A person who hears a noise at night, or wants to see the stars, looks for a switch.',
    editions: everyEdition({ section: '210.70(A)(2), common practice', limits: {}, basis: commonPractice }),
    messages: {
      blind: ({ name }: { name: string }) =>
        `${name} goes by a dusk sensor alone. Put a wall switch ahead of a sensor in the light, or an astronomic timer, which has a button.`,
      unswitched: ({ name }: { name: string }) =>
        `${name} goes on by itself at dusk and has no wall switch. Place one indoors, at the door.`,
      there: ({ name }: { name: string }) => `${name} goes by itself and by hand.`,
    },
  },
  scope: 'house',
  appliesTo: ({ outlets }) => outlets.all.some((one) => isSensed(one) || isBlind(one)),
  check: ({ house, outlets }, _limits, report) => {
    const whereOf = (one: Outlet) => ({ room: one.room.id, box: one.box.id });
    const grouped = Object.values(house.switchGroups).flatMap((group) => {
      const find = (ids: readonly string[]) => ids.flatMap((id) => outlets.byDevice.get(id) ?? []);
      const [switches, lights] = [
        find(group.switches),
        find(group.controls).filter((one) => one.device.kind === 'luminaire'),
      ];
      const [first] = lights;
      if (!first || !lights.some((one) => OUTDOOR_KINDS.has(one.room.kind) || isSensed(one))) return [];
      if (!lights.some(isSensed) && !switches.some(isBlind)) return [];
      const data = { name: group.name };
      if (switches.length === 0) return [report.fail('unswitched', data, whereOf(first))];
      return [
        switches.every(isBlind)
          ? report.fail('blind', data, whereOf(itemAt(switches, 0)))
          : report.pass('there', data, whereOf(first)),
      ];
    });
    const governed = new Set(Object.values(house.switchGroups).flatMap((group) => group.controls));
    const alone = outlets.all
      .filter((one) => isSensed(one) && !governed.has(one.device.id))
      .map((one) => report.fail('unswitched', { name: `The light ${one.box.tag}` }, whereOf(one)));
    return [...grouped, ...alone];
  },
});
