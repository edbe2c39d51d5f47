import { edit, type Edited } from '../house/edit';
import type { Box, House } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import { hasTab, otherHalfOf, yokesIn, type Receptacle } from '../house/yokes';
import type { Result } from '../units/result';
import { removeDeviceTraces } from './remove';
import { missing } from './verbs';

/** Devices side by side take a gang each; what hangs from a ceiling box shares its one opening. */
const gangsNeeded = ({ at }: Pick<Box, 'at'>, yokes: number): number =>
  at.kind === 'wall' || at.kind === 'feature' ? Math.max(1, yokes) : 1;

/** Puts one more device into a box; the box grows by a gang where it has none free. */
export function addDevice(house: House, boxId: string, device: Device): Result<Edited> {
  return edit(house, `Add ${device.kind.replace('-', ' ')}`, (draft) => {
    const box = draft.boxes[boxId];
    if (!box) return missing('boxes', boxId);
    box.devices[device.id] = { ...device };
    box.gangs = Math.max(box.gangs, gangsNeeded(box, yokesIn(box)));
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
    const before = yokesIn(box);
    const other = otherHalfOf(box, deviceId);
    removeDeviceTraces(draft, new Set([deviceId]));
    delete box.devices[deviceId];
    if (other) makeWhole(other);
    // A box that had just the gangs it needed shrinks with them; a spare gang stays.
    if (box.gangs === gangsNeeded(box, before)) box.gangs = gangsNeeded(box, yokesIn(box));
    return undefined;
  });
}

/** Gives a box so many gangs: no fewer than its devices take. */
export function setGangs(house: House, boxId: string, gangs: number): Result<Edited> {
  return edit(house, 'Change gangs', (draft) => {
    const box = draft.boxes[boxId];
    if (!box) return missing('boxes', boxId);
    const least = gangsNeeded(box, yokesIn(box));
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

/** What is left of a split duplex when the halves are one again. */
function makeWhole(half: Receptacle): void {
  half.style = 'duplex';
  delete half.yokeWith;
}

/**
 * Takes the tab off a duplex: its lower half becomes a receptacle of its own, on no circuit yet, that may hang on another circuit
 * (NEC 210.7). A GFCI has no tab, and one that is switched by halves is split already.
 */
export function splitDuplex(house: House, boxId: string, deviceId: string, halfId: string): Result<Edited> {
  return edit(house, 'Split duplex', (draft) => {
    const box = draft.boxes[boxId];
    const device = box?.devices[deviceId];
    if (!box || device?.kind !== 'receptacle') return missing('boxes', boxId);
    const path = `boxes.${boxId}.devices.${deviceId}`;
    if (!hasTab(device))
      return {
        code: 'no-tab',
        path,
        message: `Only a duplex of 120 V that is no GFCI has a tab to take off. Change ${box.tag} to one first.`,
      };
    if (device.switched === 'half')
      return {
        code: 'half-switched',
        path: `${path}.switched`,
        message: `${box.tag} is half switched: its tab is off already. Make it always live first; then switch the half you want.`,
      };
    device.style = 'half';
    delete device.assemblyIn;
    box.devices[halfId] = { ...device, id: halfId, circuit: null, switched: 'no', yokeWith: deviceId };
    return undefined;
  });
}

/** Makes one duplex of two halves again: what hung on the lower one hangs on the duplex. */
export function joinDuplex(house: House, boxId: string, deviceId: string): Result<Edited> {
  return edit(house, 'Make one duplex', (draft) => {
    const box = draft.boxes[boxId];
    const device = box?.devices[deviceId];
    const other = box && otherHalfOf(box, deviceId);
    if (!box || device?.kind !== 'receptacle' || !other) return missing('boxes', boxId);
    const [kept, gone] = device.yokeWith === undefined ? [device, other] : [other, device];
    for (const load of Object.values(draft.loads)) if (load.device === gone.id) load.device = kept.id;
    removeDeviceTraces(draft, new Set([gone.id]));
    delete box.devices[gone.id];
    makeWhole(kept);
    return undefined;
  });
}
