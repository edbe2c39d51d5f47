import { edit } from '../../house/edit';
import type { Switching } from '../../house/schema';
import { newDevice } from '../../house/schema-equipment';
import { addGang, dropDevice, isFan, isLight, type Drawn, type StandardChange } from './standard-change';

const BATHS = /^(bathroom|half-bath)$/;

/** Fans on a switch of their own, or with the light of their room. */
export function fanChanges(drawn: readonly Drawn[], standards: Switching): StandardChange[] {
  return drawn.flatMap(({ group, switches, controls }): StandardChange[] => {
    const fans = controls.filter(isFan);
    if (fans.length === 0) return [];
    const { room } = fans[0]!;
    const standard = BATHS.test(room.kind) ? 'bathFans' : 'fans';
    const own = { id: `${standard} ${group.id}`, standard, room: room.id, box: switches[0]!.box.id } as const;
    if (standards[standard] === 'apart' && controls.some(isLight)) {
      const first = switches.find((one) => Object.keys(one.box.devices).length < 6);
      if (!first) return [];
      return [
        {
          ...own,
          words: `${room.name}: the fan on a switch of its own in ${first.box.tag}`,
          apply: (house, newId) =>
            edit(house, 'Apply a standard', (draft) => {
              const device = newDevice('switch', newId('device'), { circuit: first.device.circuit });
              addGang(house, draft, first.box.id, device);
              const ids = fans.map((one) => one.device.id);
              const old = draft.switchGroups[group.id]!;
              old.controls = old.controls.filter((id) => !ids.includes(id));
              const id = newId('group');
              draft.switchGroups[id] = { id, name: `${room.name} fan`, switches: [device.id], controls: ids };
            }),
        },
      ];
    }
    const lit = drawn.find((one) => one.group !== group && one.controls.some((to) => isLight(to) && to.room === room));
    if (standards[standard] === 'together' && controls.every(isFan) && lit)
      return [
        {
          ...own,
          words: `${room.name}: the fan with the light of ${lit.group.name}, one switch less in ${switches[0]!.box.tag}`,
          apply: (house) =>
            edit(house, 'Apply a standard', (draft) => {
              draft.switchGroups[lit.group.id]!.controls.push(...controls.map((one) => one.device.id));
              delete draft.switchGroups[group.id];
              for (const { box, device } of switches) dropDevice(house, draft, box.id, device.id);
            }),
        },
      ];
    return [];
  });
}
