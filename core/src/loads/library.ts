import type { Load, LoadKind } from '../house/schema-equipment';

/** What a load of a kind usually is. Values are *typical*, from memory: the nameplate decides. */
export type TypicalLoad = Readonly<
  Pick<Load, 'name' | 'va' | 'volts' | 'continuous' | 'motor' | 'fastened' | 'cord' | 'individual'>
>;

const row = (name: string, va: number, volts: 120 | 240, flags = ''): TypicalLoad => ({
  name,
  va,
  volts,
  continuous: flags.includes('C'),
  motor: flags.includes('M'),
  fastened: flags.includes('F'),
  cord: !flags.includes('W'),
  individual: flags.includes('I'),
});

/**
 * Flags: C continuous, M motor, F fastened in place, W hard-wired, I individual circuit by the usual instructions.
 * Water heaters count as continuous by NEC 422.13, fixed space heat by 424.3(B) (424.4(B) from 2020), EV charging by 625.
 */
export const LOAD_LIBRARY: Readonly<Record<LoadKind, TypicalLoad>> = {
  range: row('Range', 8000, 240, 'FI'),
  cooktop: row('Cooktop', 7200, 240, 'FWI'),
  oven: row('Wall oven', 4800, 240, 'FWI'),
  dishwasher: row('Dishwasher', 1200, 120, 'FM'),
  disposer: row('Disposer', 850, 120, 'FM'),
  microwave: row('Microwave', 1600, 120, 'FI'),
  'range-hood': row('Range hood', 360, 120, 'FMI'),
  refrigerator: row('Refrigerator', 720, 120, 'M'),
  freezer: row('Freezer', 600, 120, 'M'),
  washer: row('Clothes washer', 1200, 120, 'M'),
  'gas-dryer': row('Gas dryer', 700, 120, 'M'),
  dryer: row('Clothes dryer', 5400, 240, 'I'),
  'water-heater': row('Water heater', 4500, 240, 'CFWI'),
  furnace: row('Furnace', 900, 120, 'FMWI'),
  'air-conditioner': row('Air conditioner', 4300, 240, 'FMWI'),
  'heat-pump': row('Heat pump', 5000, 240, 'FMWI'),
  'baseboard-heat': row('Baseboard heater', 1500, 240, 'CFW'),
  'bath-heater': row('Bath heater', 1500, 120, 'CFWI'),
  'exhaust-fan': row('Exhaust fan', 60, 120, 'FMW'),
  'ev-charger': row('EV charger', 7680, 240, 'CFWI'),
  kiln: row('Kiln', 8640, 240, 'CI'),
  'sump-pump': row('Sump pump', 1000, 120, 'M'),
  'garage-door-opener': row('Garage door opener', 600, 120, 'FM'),
  'tub-pump': row('Tub pump', 1400, 120, 'FMI'),
  treadmill: row('Treadmill', 1800, 120, 'M'),
  'portable-heater': row('Portable heater', 1500, 120, ''),
  other: row('Other load', 180, 120, ''),
};

/** Current drawn by a load, amperes. @example ampsOf({ va: 4500, volts: 240 }) // 18.75 */
export const ampsOf = (load: { readonly va: number; readonly volts: number }): number => load.va / load.volts;
