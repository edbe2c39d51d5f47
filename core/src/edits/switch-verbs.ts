import { edit, type Edited } from '../house/edit';
import { mustGet, type Result } from '../units/result';
import type { House } from '../house/schema';
import type { NewId } from '../house/new-box';
import { hasTab } from '../house/yokes';

const deviceIn = (house: House, id: string) =>
  Object.values(house.boxes)
    .flatMap((box) => Object.values(box.devices).map((device) => ({ box, device })))
    .find(({ device }) => device.id === id);

/**
 * Joins a switch to what it is to control: the group of either takes the other in, or a new one is made. The switch goes on
 * the circuit of what it controls, since one switch breaks one circuit.
 */
export function joinSwitch(house: House, switchId: string, controlId: string, newId: NewId): Result<Edited> {
  return edit(house, 'Join switch', (draft) => {
    const [from, to] = [deviceIn(house, switchId), deviceIn(house, controlId)];
    if (from?.device.kind !== 'switch')
      return {
        code: 'no-switch',
        path: 'switchGroups',
        message: 'There is no switch in that box. Start at a box with a switch.',
      };
    if (
      !to ||
      to.device.kind === 'switch' ||
      to.device.kind === 'blank' ||
      to.device.kind === 'low-voltage' ||
      to.device.kind === 'alarm'
    )
      return {
        code: 'no-load',
        path: 'switchGroups',
        message: 'Nothing in that box can be switched. End at a light, a fan, a connection or a receptacle.',
      };
    const groups = Object.values(draft.switchGroups);
    const lamp = groups.find((one) => one.controls.includes(controlId));
    const control = groups.find((one) => one.switches.includes(switchId));
    if (lamp && control && lamp !== control)
      return {
        code: 'two-groups',
        path: `switchGroups.${lamp.id}`,
        message: `${from.box.tag} belongs to ${control.name} and ${to.box.tag} to ${lamp.name}. Take one of them out of its group first.`,
      };
    if (lamp && lamp.switches.length >= 12)
      return {
        code: 'too-many',
        path: `switchGroups.${lamp.id}.switches`,
        message: `${lamp.name} has twelve places already; no group has more.`,
      };
    if (lamp && !lamp.switches.includes(switchId)) lamp.switches.push(switchId);
    else if (control && !control.controls.includes(controlId)) control.controls.push(controlId);
    else if (!lamp && !control) {
      const id = newId('group');
      const room = mustGet(draft.rooms, to.box.room).name;
      const what = { receptacle: 'receptacle', luminaire: 'light', fan: 'fan', connection: 'connection' }[
        to.device.kind
      ];
      draft.switchGroups[id] = {
        id,
        name: `${room} ${what}`.slice(0, 80),
        switches: [switchId],
        controls: [controlId],
      };
    }
    const target = mustGet(mustGet(draft.boxes, to.box.id).devices, controlId);
    if (target.kind === 'receptacle' && target.switched === 'no') target.switched = hasTab(target) ? 'half' : 'whole';
    if (target.circuit !== null) mustGet(mustGet(draft.boxes, from.box.id).devices, switchId).circuit = target.circuit;
    return undefined;
  });
}

/** Takes a switch or an outlet out of its group; a group with neither switch nor outlet goes with it. */
export function leaveGroup(house: House, deviceId: string): Result<Edited> {
  return edit(house, 'Take out of the group', (draft) => {
    for (const group of Object.values(draft.switchGroups)) {
      if (!group.switches.includes(deviceId) && !group.controls.includes(deviceId)) continue;
      group.switches = group.switches.filter((id) => id !== deviceId);
      group.controls = group.controls.filter((id) => id !== deviceId);
      if (group.switches.length === 0 || group.controls.length === 0) delete draft.switchGroups[group.id];
    }
  });
}

/** The devices of a box in another order: the gangs from left to right. Ids that are missing keep to the end. */
export function orderGangs(house: House, boxId: string, ids: readonly string[]): Result<Edited> {
  return edit(house, 'Order the gangs', (draft) => {
    const box = draft.boxes[boxId];
    if (!box) return { code: 'missing', path: `boxes.${boxId}`, message: 'This box is no longer there.' };
    const rest = Object.keys(box.devices).filter((id) => !ids.includes(id));
    box.devices = Object.fromEntries(
      [...ids, ...rest].flatMap((id) => (box.devices[id] ? [[id, box.devices[id]]] : [])),
    );
    return undefined;
  });
}
