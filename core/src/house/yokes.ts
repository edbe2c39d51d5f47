import type { Box } from './schema';
import type { Device } from './schema-equipment';
import { mustGet } from '../units/result';

export type Receptacle = Extract<Device, { kind: 'receptacle' }>;

/** The lower half of a split duplex: it sits on the yoke of the other half and takes no gang of its own. */
export const isLowerHalf = (device: Device): boolean => device.kind === 'receptacle' && device.yokeWith !== undefined;

/** How many yokes a box holds: the two halves of a duplex are one. */
export function yokesIn({ devices }: Pick<Box, 'devices'>): number {
  let yokes = 0;
  for (const id in devices) if (!isLowerHalf(mustGet(devices, id))) yokes++;
  return yokes;
}

/** The other half of the duplex that this device is a half of; undefined where it stands alone. */
export function otherHalfOf(box: Pick<Box, 'devices'>, deviceId: string): Receptacle | undefined {
  const device = box.devices[deviceId];
  if (device?.kind !== 'receptacle') return undefined;
  if (device.yokeWith !== undefined) {
    const upper = box.devices[device.yokeWith];
    return upper?.kind === 'receptacle' ? upper : undefined;
  }
  for (const id in box.devices) {
    const one = mustGet(box.devices, id);
    if (one.kind === 'receptacle' && one.yokeWith === deviceId) return one;
  }
  return undefined;
}

/** A duplex of 120 V whose tab can be taken off: a GFCI has none, nor has a single receptacle. */
export const hasTab = (device: Device): boolean =>
  device.kind === 'receptacle' && device.style === 'duplex' && !device.gfci && device.volts === 120;
