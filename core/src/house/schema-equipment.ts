import { z } from 'zod';
import { id, label, name } from './schema-parts';

const onCircuit = { id, circuit: id.nullable().default(null) };

/**
 * What a wall control is. An add-on switch tells a smart switch by a wire of its own and carries no lamp's current; a smart switch
 * without neutral feeds its electronics through the lamp.
 */
export const SWITCH_STYLES = [
  'toggle',
  'dimmer',
  'timer',
  'occupancy',
  'door-jamb',
  'astronomic',
  'dusk',
  'smart',
  'smart-no-neutral',
  'add-on',
  'two-pole',
  'line-thermostat',
  'line-thermostat-2',
] as const;
export type SwitchStyle = (typeof SWITCH_STYLES)[number];
/** As people call them. */
export const SWITCH_WORDS: Readonly<Record<SwitchStyle, string>> = {
  toggle: 'toggle',
  dimmer: 'dimmer',
  timer: 'countdown timer',
  occupancy: 'occupancy sensor',
  'door-jamb': 'door jamb',
  astronomic: 'astronomic timer',
  dusk: 'dusk sensor',
  smart: 'smart, with neutral',
  'smart-no-neutral': 'smart, without neutral',
  'add-on': 'add-on',
  'two-pole': 'two-pole, for 240 V',
  'line-thermostat': 'line-voltage thermostat',
  'line-thermostat-2': 'line-voltage thermostat, two poles',
};

/** What is done of a low-voltage cable on site, one after the other. */
export const DROP_STEPS = ['pulled', 'labeled'] as const;
export type DropStep = (typeof DROP_STEPS)[number];

/** What sits in or hangs on a box; devices of one box may be on different circuits. */
export const deviceSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...onCircuit,
    kind: z.literal('receptacle'),
    /** A half is one of the two receptacles of a duplex whose tab is taken off. */
    style: z.enum(['duplex', 'single', 'half']).default('duplex'),
    /** The other half, in the same box: this one sits below it on its yoke (NEC 210.7). */
    yokeWith: id.optional(),
    volts: z.union([z.literal(120), z.literal(240)]).default(120),
    ratingA: z.union([z.literal(15), z.literal(20), z.literal(30), z.literal(40), z.literal(50)]).default(15),
    /** The device itself is a GFCI receptacle. */
    gfci: z.boolean().default(false),
    /** A GFCI whose LOAD terminals feed on: what stands behind it in the feed order hangs on it. Otherwise it protects itself alone. */
    feedsThrough: z.boolean().optional(),
    /** Listed tamper-resistant; weather-resistant (NEC 406.12, 406.9). */
    tr: z.boolean().default(true),
    wr: z.boolean().default(false),
    /** Length of a multioutlet assembly with its receptacles, inches, the box in its middle. */
    assemblyIn: z.number().min(12).max(480).optional(),
    /** Its cover outdoors: weatherproof with the plug in, or only when closed (NEC 406.9(B)). */
    cover: z.enum(['in-use', 'flap']).optional(),
    /** In an existing box, a new receptacle takes the place of the old one: NEC 406.4(D). */
    replaced: z.boolean().optional(),
    /** Wall-switched in place of a lighting outlet: wholly, or one half only. */
    switched: z.enum(['no', 'half', 'whole']).default('no'),
  }),
  z.strictObject({
    ...onCircuit,
    kind: z.literal('switch'),
    style: z.enum(SWITCH_STYLES).default('toggle'),
  }),
  z.strictObject({
    ...onCircuit,
    kind: z.literal('luminaire'),
    style: z.enum(['surface', 'recessed', 'pendant', 'wall', 'strip']).default('surface'),
    va: z.number().min(0).max(5000).default(12),
    lumens: z.number().min(0).max(100_000).optional(),
    weightLb: z.number().min(0).max(1000).default(5),
    /** Length of a strip, inches, and where its driver lives. */
    lengthIn: z.number().gt(0).max(1200).optional(),
    driver: z.enum(['cabinet', 'closet', 'attic', 'remote-panel', 'closed-in']).optional(),
    /** Marked for a damp or wet location. */
    marked: z.enum(['dry', 'damp', 'wet']).default('dry'),
    /** Whether insulation may touch a recessed one (NEC 410.116). */
    contact: z.enum(['ic', 'non-ic']).optional(),
    /** Its lamps are wholly enclosed (NEC 410.16). */
    enclosed: z.boolean().default(true),
    /** It has a switch of its own, a pull chain, within reach of the way in. */
    ownSwitch: z.boolean().optional(),
    /** Goes on by itself at dusk while its switch is on. */
    sensor: z.literal('dusk').optional(),
  }),
  z.strictObject({
    ...onCircuit,
    kind: z.literal('fan'),
    /** With blades below the ceiling, or drawing air out; where nothing is said, as is usual for the room. */
    style: z.enum(['paddle', 'exhaust']).optional(),
    va: z.number().min(0).max(2000).default(60),
    weightLb: z.number().min(0).max(200).default(30),
    /** Listed for a dry, damp or wet location. */
    marked: z.enum(['dry', 'damp', 'wet']).optional(),
  }),
  z.strictObject({
    ...onCircuit,
    kind: z.literal('alarm'),
    senses: z.enum(['smoke', 'co', 'smoke-co']).default('smoke'),
    /** What its smoke chamber works by: it decides how near to cooking it may stand (IRC R314.3.1). */
    sensor: z.enum(['ionization', 'ionization-silenced', 'photoelectric', 'nuisance-resistant']).optional(),
    va: z.number().min(0).max(100).default(5),
    /** It signals the others by radio; otherwise a third conductor joins them. */
    wireless: z.boolean().optional(),
    /** On a battery of its own, without any cable: it needs neither box nor circuit. */
    battery: z.literal(true).optional(),
  }),
  /** A hard-wired connection point of a fixed load. */
  z.strictObject({
    ...onCircuit,
    kind: z.literal('connection'),
    volts: z.union([z.literal(120), z.literal(240)]).default(120),
  }),
  z.strictObject({ ...onCircuit, kind: z.literal('blank') }),
  /** Placed and counted on the same walk; it is on no circuit. */
  z.strictObject({
    ...onCircuit,
    kind: z.literal('low-voltage'),
    system: z.enum(['data', 'coax', 'speaker', 'doorbell', 'thermostat', 'alarm', 'sleeve']).default('data'),
    /** Of a doorbell: what is pressed, or what rings. Without it, what is pressed. */
    bell: z.enum(['button', 'chime']).optional(),
    /** What is done of its cable on site. */
    done: z.array(z.enum(DROP_STEPS)).max(DROP_STEPS.length).optional(),
  }),
]);
export type Device = z.infer<typeof deviceSchema>;
export type DeviceKind = Device['kind'];

type Extra<K extends DeviceKind> = Partial<Omit<Extract<Device, { kind: K }>, 'id' | 'kind'>>;

/** A device with its usual properties, on no circuit yet, but for those given. @throws on a value outside the schema. */
export const newDevice = <K extends DeviceKind>(kind: K, id: string, extra: Extra<K> = {} as Extra<K>): Device =>
  deviceSchema.parse({ ...extra, kind, id });

export const LOAD_KINDS = [
  'range',
  'cooktop',
  'induction-cooktop',
  'oven',
  'double-oven',
  'gas-range',
  'dishwasher',
  'disposer',
  'microwave',
  'counter-microwave',
  'range-hood',
  'refrigerator',
  'freezer',
  'wine-cooler',
  'compactor',
  'hot-water-tap',
  'coffee-maker',
  'toaster',
  'toaster-oven',
  'kettle',
  'slow-cooker',
  'mixer',
  'hair-dryer',
  'curler',
  'bath-heater',
  'exhaust-fan',
  'towel-warmer',
  'bidet-seat',
  'floor-heat',
  'tub-pump',
  'steam-shower',
  'sauna-heater',
  'washer',
  'gas-dryer',
  'dryer',
  'heat-pump-dryer',
  'iron',
  'baseboard-heat',
  'cove-heat',
  'furnace',
  'boiler',
  'electric-furnace',
  'air-conditioner',
  'heat-pump',
  'mini-split',
  'window-ac',
  'portable-heater',
  'dehumidifier',
  'humidifier',
  'air-cleaner',
  'condensate-pump',
  'circulator',
  'attic-fan',
  'radon-fan',
  'water-heater',
  'heat-pump-water-heater',
  'tankless-water-heater',
  'sump-pump',
  'well-pump',
  'grinder-pump',
  'pool-pump',
  'hot-tub',
  'plug-in-tub',
  'ev-charger',
  'ev-charger-48',
  'ev-cord',
  'garage-door-opener',
  'table-saw',
  'large-saw',
  'planer',
  'dust-collector',
  'compressor',
  'small-compressor',
  'welder',
  'small-welder',
  'kiln',
  'battery-charger',
  'television',
  'game-console',
  'computer',
  'laser-printer',
  'router',
  'server-rack',
  'vacuum',
  'central-vacuum',
  'treadmill',
  'aquarium',
  'electric-blanket',
  'gas-fireplace',
  'doorbell-transformer',
  'holiday-lights',
  'other',
] as const;

/** How a piece of equipment is cut off for those who work on it. */
export const DISCONNECTS = ['plug', 'in-sight', 'lockable-breaker', 'thermostat-off', 'unit-switch', 'none'] as const;

/** A piece of utilization equipment and where it connects. */
export const loadSchema = z.strictObject({
  id,
  name,
  kind: z.enum(LOAD_KINDS),
  /** Volt-amperes while it runs. */
  va: z.number().gt(0, 'must be greater than zero; read it off the nameplate').max(60_000),
  volts: z.union([z.literal(120), z.literal(240)]),
  /** Expected to run three hours or more (NEC Article 100). */
  continuous: z.boolean().default(false),
  motor: z.boolean().default(false),
  /** Horsepower on its plate: a motor's current is then that of NEC Table 430.248, not of its plate (430.6(A)). */
  hp: z.number().gt(0).max(50).optional(),
  /** Least circuit ampacity and largest overcurrent device on the plate of cooling equipment: NEC 440.4(B). */
  mcaA: z.number().gt(0).max(200).optional(),
  mocpA: z.number().gt(0).max(300).optional(),
  /** Watts are this share of the volt-amperes; 1 where nothing is said. */
  powerFactor: z.number().gt(0).max(1).optional(),
  /** Duty cycle of an arc welder, per cent: NEC 630.11. */
  dutyPercent: z.number().min(1).max(100).optional(),
  fastened: z.boolean().default(false),
  cord: z.boolean().default(true),
  /** Its disconnecting means: a plug that can be reached, a switch or breaker in sight, or a breaker that can be locked open. */
  disconnect: z.enum(DISCONNECTS).optional(),
  /** A heater's thermostat is built into it. */
  builtInControl: z.boolean().optional(),
  /** The thermostat of a heated floor has ground-fault protection for people built in, as most that are made for floors have. */
  builtInGfci: z.boolean().optional(),
  /** Length of its cord, inches. */
  cordIn: z.number().gt(0).max(600).optional(),
  /** Its instructions ask for an individual circuit (NEC 110.3(B)). */
  individual: z.boolean().default(false),
  /**
   * What an energy management system (NEC 750.30, 625.42) limits it to at the service or feeder, amperes; loads that name the same
   * group share one limit.
   */
  managed: z.strictObject({ limitA: z.number().gt(0).max(400), group: label(40).default('') }).optional(),
  /** `typical` until somebody has read the nameplate. */
  source: z.enum(['typical', 'nameplate']).default('typical'),
  /** Where it connects: a device in a box. */
  box: id,
  device: id,
});
export type Load = z.infer<typeof loadSchema>;
export type LoadKind = Load['kind'];
