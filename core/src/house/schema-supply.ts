import { z } from 'zod';
import { AWG_SIZES, id, name } from './schema-parts';

/** Conductor sizes of services and feeders, smallest first. */
export const CONDUCTOR_SIZES = [
  ...AWG_SIZES,
  '250 kcmil',
  '300 kcmil',
  '350 kcmil',
  '400 kcmil',
  '500 kcmil',
  '600 kcmil',
] as const;
const sizeSchema = z.enum(CONDUCTOR_SIZES);
export type ConductorSize = z.infer<typeof sizeSchema>;

const conductorSchema = z.strictObject({ size: sizeSchema, metal: z.enum(['copper', 'aluminum']).default('copper') });
export type Conductor = z.infer<typeof conductorSchema>;

/** What only somebody on site can say; rules ask until it is said. */
const asSeen = z.enum(['yes', 'no', 'not-known']).default('not-known');

export const ELECTRODES = ['concrete-encased', 'water-pipe', 'one-rod', 'two-rods', 'plate', 'ring'] as const;
/** Grounding electrodes that are there and bonded together, 250.52; not known where nothing is said. */
const electrodesSchema = z.array(z.enum(ELECTRODES)).max(6).optional();
export type Electrode = (typeof ELECTRODES)[number];

/**
 * The largest current that was measured at a service that stands, amperes on its heavier leg: NEC 220.87. Over a year by the utility's
 * figures, or over 30 days by a recorder that averages 15 minutes.
 */
const peakSchema = z.strictObject({
  amps: z.number().min(1, 'is at least 1 A').max(400, 'is at most 400 A'),
  over: z.enum(['year', 'thirty-days']).default('year'),
});

/** How power comes to the house. */
export const supplySchema = z.strictObject({
  /** By the utility; by the power-supply cord of a house on wheels; or by sources of its own alone. */
  kind: z.enum(['utility', 'cord', 'off-grid']).default('utility'),
  volts: z.enum(['120/240', '120/208', '120']).default('120/240'),
  /** Rating of the cord and its inlet, amperes. */
  cordA: z.union([z.literal(20), z.literal(30), z.literal(50)]).optional(),
  /** Service conductors as they are. */
  conductor: conductorSchema.optional(),
  /** Their neutral where it is of another size, of the same metal: 220.61, 250.24(C). */
  neutral: sizeSchema.optional(),
  /** Available fault current, amperes, as the utility says. */
  faultA: z.number().int().min(100).max(200_000).optional(),
  peak: peakSchema.optional(),
  /** A disconnect outdoors for the fire service, 230.85. */
  emergencyDisconnect: asSeen,
  /** Surge protection at the service, 230.67. */
  surge: asSeen,
  electrodes: electrodesSchema,
  /** Grounding electrode conductor. */
  electrodeConductor: conductorSchema.optional(),
  /** Metal water and gas piping bonded, 250.104; `none` where there is no metal piping. */
  waterBond: z.enum(['yes', 'no', 'none', 'not-known']).default('not-known'),
  gasBond: z.enum(['yes', 'no', 'none', 'not-known']).default('not-known'),
  /** A terminal for the grounds of telephone, cable and antenna, 250.94. */
  intersystemBond: asSeen,
});
export type Supply = z.infer<typeof supplySchema>;

/** A structure beside the house; the rooms in it name it. */
export const buildingSchema = z.strictObject({
  id,
  name,
  /** A disconnect in it or at it, at the nearest point of entrance, 225.31 and 225.32. */
  disconnect: asSeen,
  electrodes: electrodesSchema,
});
export type Building = z.infer<typeof buildingSchema>;

/** A dwelling unit where there is more than one; the rooms in it name it. */
export const dwellingUnitSchema = z.strictObject({ id, name });
export type DwellingUnit = z.infer<typeof dwellingUnitSchema>;

export const RACEWAYS = ['pvc-40', 'pvc-80', 'emt', 'rigid'] as const;
export const RACEWAY_NAMES: Readonly<Record<(typeof RACEWAYS)[number], string>> = {
  'pvc-40': 'PVC schedule 40',
  'pvc-80': 'PVC schedule 80',
  emt: 'EMT',
  rigid: 'rigid metal',
};
export const TRADE_SIZES = ['1/2', '3/4', '1', '1-1/4', '1-1/2', '2', '2-1/2', '3'] as const;

const racewaySchema = z.strictObject({ kind: z.enum(RACEWAYS), trade: z.enum(TRADE_SIZES) });

/** How a branch circuit lies where it runs in the ground. */
export const buriedWiringSchema = z.strictObject({
  /** Nonmetallic cable, underground cable (UF), or single wet-rated conductors in a raceway. */
  wiring: z.enum(['nonmetallic', 'underground', 'raceway']).default('underground'),
  raceway: racewaySchema.optional(),
  /** From grade to its top, inches. */
  coverIn: z.number().min(0).max(120).optional(),
  /** What lies over it: a driveway, or 4 in of concrete outdoors without traffic that reaches 6 in past it; soil where nothing is said. */
  under: z.enum(['soil', 'driveway', 'slab']).optional(),
});
export type BuriedWiring = z.infer<typeof buriedWiringSchema>;

/** What feeds one panel from another. */
export const feederSchema = z.strictObject({
  id,
  from: id,
  to: id,
  /** Its breaker in the panel it starts from, amperes. */
  ratingA: z.number().int().min(15).max(400),
  poles: z.union([z.literal(1), z.literal(2)]).default(2),
  /** First space of that breaker; null until it is placed. */
  space: z.number().int().min(1).max(84).nullable().default(null),
  /** Nonmetallic cable, service-entrance cable (SER), underground cable (UF), or single conductors in a raceway. */
  wiring: z.enum(['nonmetallic', 'service-entrance', 'underground', 'raceway']).default('service-entrance'),
  conductor: conductorSchema,
  /** Its neutral where it is of another size, of the same metal: 220.61, 215.2(A). */
  neutral: sizeSchema.optional(),
  /** Equipment grounding conductor by its size, a metal raceway that serves as one, or none. */
  ground: z.union([sizeSchema, z.literal('raceway'), z.literal('none')]),
  raceway: racewaySchema.optional(),
  /** One way, feet, as measured; estimated where nothing is said. */
  lengthFt: z.number().min(1).max(2000).optional(),
  /** How deep it lies where it runs in the ground, inches from grade to its top. */
  coverIn: z.number().min(0).max(120).optional(),
  /** It crosses under the driveway. */
  underDriveway: z.boolean().optional(),
  inAttic: z.boolean().optional(),
});
export type Feeder = z.infer<typeof feederSchema>;

/** A source beside the utility. */
export const sourceSchema = z.strictObject({
  id,
  name,
  kind: z.enum(['generator', 'solar', 'battery']),
  volts: z.enum(['120', '120/240']).default('120/240'),
  /** What it gives without end, watts, and for seconds while a motor starts. */
  runningW: z.number().int().min(100, 'is at least 100 W').max(100_000),
  startingW: z.number().int().min(100, 'is at least 100 W').max(200_000).optional(),
  /** The panel it feeds into. */
  panel: id,
  /** What keeps it apart from the utility: 702.5; solar and batteries with listed interactive inverters need none. */
  transfer: z.enum(['none', 'interlock', 'manual-switch', 'automatic', 'interactive']).default('none'),
  /** The circuits that a transfer switch carries over; all of the panel where it is an interlock or nothing is said. */
  circuits: z.array(id).max(42).optional(),
  /** The transfer switch opens the neutral as well: then the source is bonded by itself, 250.30. */
  switchesNeutral: z.boolean().default(false),
  /** Its breaker in that panel, amperes. */
  breakerA: z.number().int().min(15).max(200).optional(),
  /** That breaker stands at the end of the busbar away from the main, 705.12. */
  atFarEnd: z.boolean().optional(),
});
export type Source = z.infer<typeof sourceSchema>;
