import type { Load, LoadKind } from '../house/schema-equipment';
import { given } from '../units/result';

/** When a household usually runs a thing: what a day in the house is played from. *Common practice*, from memory. */
export const USES = [
  'always',
  'cycle',
  'morning',
  'cook',
  'bake',
  'dishes',
  'snack',
  'burst',
  'evening',
  'wash',
  'dry',
  'chores',
  'heat',
  'cool',
  'tank',
  'night',
  'shop',
  'firing',
  'office',
] as const;
export type Use = (typeof USES)[number];

/** What a load of a kind usually is. Values are *typical*, from memory: the nameplate decides. */
type TypicalLoad = Readonly<
  Pick<Load, 'name' | 'va' | 'volts' | 'continuous' | 'motor' | 'fastened' | 'cord' | 'individual'> & {
    hp?: number;
  }
>;

const uses = new Map<TypicalLoad, Use>();

function row(name: string, va: number, volts: 120 | 240, flags: string, use: Use, hp?: number): TypicalLoad {
  const load: TypicalLoad = {
    name,
    va,
    volts,
    continuous: flags.includes('C'),
    motor: flags.includes('M'),
    fastened: flags.includes('F'),
    cord: !flags.includes('W'),
    individual: flags.includes('I'),
    ...(hp === undefined ? {} : { hp }),
  };
  uses.set(load, use);
  return load;
}

/**
 * Flags: C continuous, M motor, F fastened in place, W hard-wired, I individual circuit by the usual instructions.
 * Water heaters count as continuous by NEC 422.13, fixed space heat by 424.3(B) (424.4(B) from 2020), EV charging by 625.
 */
export const LOAD_LIBRARY: Readonly<Record<LoadKind, TypicalLoad>> = {
  // Kitchen
  range: row('Range', 12000, 240, 'FI', 'cook'),
  cooktop: row('Radiant cooktop', 7200, 240, 'FWI', 'cook'),
  'induction-cooktop': row('Induction cooktop', 7400, 240, 'FWI', 'cook'),
  oven: row('Wall oven', 4800, 240, 'FWI', 'bake'),
  'double-oven': row('Double wall oven', 8000, 240, 'FWI', 'bake'),
  'gas-range': row('Gas range, igniters and clock', 500, 120, '', 'cook'),
  dishwasher: row('Dishwasher', 1200, 120, 'FM', 'dishes'),
  disposer: row('Disposer', 850, 120, 'FM', 'burst'),
  microwave: row('Microwave over the range', 1600, 120, 'FI', 'snack'),
  'counter-microwave': row('Counter microwave', 1500, 120, '', 'snack'),
  'range-hood': row('Range hood', 360, 120, 'FMI', 'cook'),
  refrigerator: row('Refrigerator', 720, 120, 'M', 'cycle'),
  freezer: row('Freezer', 600, 120, 'M', 'cycle'),
  'wine-cooler': row('Wine cooler', 180, 120, 'M', 'cycle'),
  compactor: row('Trash compactor', 600, 120, 'FM', 'burst'),
  'hot-water-tap': row('Instant hot-water tap', 1300, 120, 'F', 'snack'),
  'coffee-maker': row('Coffee maker', 1000, 120, '', 'morning'),
  toaster: row('Toaster', 900, 120, '', 'morning'),
  'toaster-oven': row('Toaster oven', 1500, 120, '', 'snack'),
  kettle: row('Kettle', 1500, 120, '', 'morning'),
  'slow-cooker': row('Slow cooker', 250, 120, '', 'always'),
  mixer: row('Mixer', 500, 120, 'M', 'burst'),
  // Baths and laundry
  'hair-dryer': row('Hair dryer', 1875, 120, '', 'morning'),
  curler: row('Curler', 100, 120, '', 'morning'),
  'bath-heater': row('Bath heater', 1500, 120, 'CFWI', 'morning'),
  'exhaust-fan': row('Exhaust fan', 60, 120, 'FMW', 'morning'),
  'towel-warmer': row('Towel warmer', 150, 120, 'F', 'morning'),
  'bidet-seat': row('Bidet seat', 1200, 120, '', 'morning'),
  'floor-heat': row('Floor heat', 600, 120, 'CFW', 'heat'),
  'tub-pump': row('Whirlpool tub pump', 1400, 120, 'FMI', 'evening'),
  'steam-shower': row('Steam shower', 9000, 240, 'FWI', 'evening'),
  'sauna-heater': row('Sauna heater', 6000, 240, 'CFWI', 'evening'),
  washer: row('Clothes washer', 1200, 120, 'M', 'wash'),
  'gas-dryer': row('Gas dryer', 700, 120, 'M', 'dry'),
  dryer: row('Clothes dryer', 5400, 240, 'I', 'dry'),
  'heat-pump-dryer': row('Heat-pump dryer', 1200, 240, 'MI', 'dry'),
  iron: row('Iron', 1500, 120, '', 'chores'),
  // Heat, cooling, water
  'baseboard-heat': row('Baseboard heater', 1500, 240, 'CFW', 'heat'),
  'cove-heat': row('Cove heater', 750, 240, 'CFW', 'heat'),
  furnace: row('Furnace', 900, 120, 'FMWI', 'heat'),
  boiler: row('Boiler and circulators', 300, 120, 'FMWI', 'heat'),
  'electric-furnace': row('Electric furnace', 15000, 240, 'CFMWI', 'heat'),
  'air-conditioner': row('Air conditioner', 4300, 240, 'FMWI', 'cool'),
  'heat-pump': row('Heat pump', 5000, 240, 'FMWI', 'heat'),
  'mini-split': row('Mini-split heat pump', 1100, 240, 'FMWI', 'heat'),
  'window-ac': row('Window air conditioner', 1000, 120, 'MI', 'cool'),
  'portable-heater': row('Portable heater', 1500, 120, 'C', 'heat'),
  dehumidifier: row('Dehumidifier', 600, 120, 'CM', 'cycle'),
  humidifier: row('Humidifier', 50, 120, '', 'always'),
  'air-cleaner': row('Air cleaner', 50, 120, 'F', 'always'),
  'condensate-pump': row('Condensate pump', 120, 120, 'MF', 'cycle'),
  circulator: row('Circulating pump', 100, 120, 'MFW', 'cycle'),
  'attic-fan': row('Attic fan', 400, 120, 'FMW', 'cool'),
  'radon-fan': row('Radon fan', 60, 120, 'CFMW', 'always'),
  'water-heater': row('Water heater', 4500, 240, 'CFWI', 'tank'),
  'heat-pump-water-heater': row('Heat-pump water heater', 4500, 240, 'CFWI', 'tank'),
  'tankless-water-heater': row('Tankless water heater', 18000, 240, 'FWI', 'morning'),
  // Water
  'sump-pump': row('Sump pump', 1000, 120, 'M', 'burst'),
  'well-pump': row('Well pump', 1840, 240, 'FMWI', 'cycle', 1),
  'grinder-pump': row('Grinder pump', 2760, 240, 'FMWI', 'burst', 2),
  'pool-pump': row('Pool pump', 2400, 240, 'CFMI', 'always'),
  'hot-tub': row('Hot tub', 9600, 240, 'FWI', 'evening'),
  'plug-in-tub': row('Plug-in hot tub', 1500, 120, 'CI', 'always'),
  // Garage and shop
  'ev-charger': row('EV charger, 32 A', 7680, 240, 'CFWI', 'night'),
  'ev-charger-48': row('EV charger, 48 A', 11520, 240, 'CFWI', 'night'),
  'ev-cord': row('EV cord set, 12 A', 1440, 120, 'CI', 'night'),
  'garage-door-opener': row('Garage door opener', 600, 120, 'FM', 'burst'),
  'table-saw': row('Table saw', 1800, 120, 'M', 'shop'),
  'large-saw': row('Table saw, 3 hp', 3910, 240, 'MI', 'shop', 3),
  planer: row('Planer', 1800, 120, 'M', 'shop'),
  'dust-collector': row('Dust collector', 1680, 120, 'M', 'shop'),
  compressor: row('Air compressor, 5 hp', 6440, 240, 'MI', 'shop', 5),
  'small-compressor': row('Air compressor, 120 V', 1650, 120, 'M', 'shop'),
  welder: row('Welder, 240 V', 10000, 240, 'I', 'shop'),
  'small-welder': row('Welder, 120 V', 2400, 120, 'I', 'shop'),
  kiln: row('Kiln', 8640, 240, 'CI', 'firing'),
  'battery-charger': row('Tool battery charger', 300, 120, '', 'always'),
  // Rooms
  television: row('Television', 110, 120, '', 'evening'),
  'game-console': row('Game console', 180, 120, '', 'evening'),
  computer: row('Computer and screen', 300, 120, '', 'office'),
  'laser-printer': row('Laser printer', 1000, 120, '', 'burst'),
  router: row('Router', 15, 120, 'C', 'always'),
  'server-rack': row('Server rack', 1200, 120, 'CI', 'always'),
  vacuum: row('Vacuum cleaner', 1200, 120, 'M', 'chores'),
  'central-vacuum': row('Central vacuum', 1700, 120, 'FMI', 'chores'),
  treadmill: row('Treadmill', 1800, 120, 'M', 'evening'),
  aquarium: row('Aquarium', 150, 120, 'C', 'always'),
  'electric-blanket': row('Electric blanket', 150, 120, '', 'night'),
  'gas-fireplace': row('Gas fireplace blower', 180, 120, 'FM', 'evening'),
  'doorbell-transformer': row('Doorbell transformer', 20, 120, 'CFW', 'always'),
  'holiday-lights': row('Holiday lights', 100, 120, '', 'evening'),
  other: row('Other load', 180, 120, '', 'evening'),
};

/** What a kind of equipment is used for. */
export const useOf = (kind: LoadKind): Use => given(uses.get(LOAD_LIBRARY[kind]));

/** Current drawn by a load, amperes. @example ampsOf({ va: 4500, volts: 240 }) // 18.75 */
export const ampsOf = (load: { readonly va: number; readonly volts: number }): number => load.va / load.volts;

/**
 * Current at starting as a multiple of the running one, and how long it lasts, seconds: for the day's bursts. *Typical*,
 * from memory, low confidence.
 */
export function inrushOf(load: Pick<Load, 'motor' | 'kind'>): { readonly multiple: number; readonly seconds: number } {
  if (/refrigerator|freezer|air-conditioner|heat-pump$|window-ac|compressor|dehumidifier|wine-cooler/.test(load.kind))
    return { multiple: 5.5, seconds: 0.3 };
  if (/vacuum|saw|planer|mixer/.test(load.kind)) return { multiple: 4, seconds: 0.3 };
  // Elements are most of what these draw; the motor that starts in them is a small part.
  if (/^(electric-furnace|dryer|heat-pump-dryer|dishwasher|bath-heater)$/.test(load.kind))
    return { multiple: 1.5, seconds: 0.3 };
  if (load.kind === 'mini-split') return { multiple: 1.2, seconds: 0 };
  return load.motor ? { multiple: 6, seconds: 0.5 } : { multiple: 1, seconds: 0 };
}
