import { edit, type Edited } from '../house/edit';
import type { Box, House } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import type { Result } from '../units/result';
import { removeDeviceTraces } from './remove';
import { missing } from './verbs';

/** Devices side by side take a gang each; what hangs from a ceiling box shares its one opening. */
const gangsNeeded = ({ at }: Pick<Box, 'at'>, devices: number): number =>
  at.kind === 'wall' || at.kind === 'feature' ? Math.max(1, devices) : 1;

/** Puts one more device into a box; the box grows by a gang where it has none free. */
export function addDevice(house: House, boxId: string, device: Device): Result<Edited> {
  return edit(house, `Add ${device.kind.replace('-', ' ')}`, (draft) => {
    const box = draft.boxes[boxId];
    if (!box) return missing('boxes', boxId);
    box.devices[device.id] = { ...device };
    box.gangs = Math.max(box.gangs, gangsNeeded(box, Object.keys(box.devices).length));
    return undefined;
  });
}

/** Takes a device out of its box, with its load and its place in switch groups. The last one stays: a box without any is deleted instead. */
export function removeDevice(house: House, boxId: string, deviceId: string): Result<Edited> {
  return edit(house, 'Remove device', (draft) => {
    const box = draft.boxes[boxId];
    if (!box?.devices[deviceId]) return missing('boxes', boxId);
    if (Object.keys(box.devices).length === 1)
      return {
        code: 'last-device',
        path: `boxes.${boxId}.devices`,
        message: `It is the only device in ${box.tag}. Delete the box, or add another device first.`,
      };
    const before = Object.keys(box.devices).length;
    removeDeviceTraces(draft, new Set([deviceId]));
    delete box.devices[deviceId];
    // A box that had just the gangs it needed shrinks with them; a spare gang stays.
    if (box.gangs === gangsNeeded(box, before)) box.gangs = gangsNeeded(box, before - 1);
    return undefined;
  });
}

/** Gives a box so many gangs: no fewer than its devices take. */
export function setGangs(house: House, boxId: string, gangs: number): Result<Edited> {
  return edit(house, 'Change gangs', (draft) => {
    const box = draft.boxes[boxId];
    if (!box) return missing('boxes', boxId);
    const least = gangsNeeded(box, Object.keys(box.devices).length);
    if (gangs < least)
      return {
        code: 'too-few-gangs',
        path: `boxes.${boxId}.gangs`,
        message: `${box.tag} holds ${least} devices: it takes ${least} gangs or more. Remove a device first.`,
      };
    box.gangs = gangs;
    return undefined;
  });
}
