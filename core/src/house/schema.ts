import { z } from 'zod';
import { deviceSchema, loadSchema } from './schema-equipment';

/** Version of the house file that this program writes. Older ones are migrated on reading. */
export const HOUSE_VERSION = 1;

export const EDITIONS = ['2017', '2020', '2023'] as const;
export const editionSchema = z.enum(EDITIONS);
/** An NEC edition that the rules know. */
export type Edition = z.infer<typeof editionSchema>;

const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'an id has letters, digits, - and _ only')
  .refine((text) => !['__proto__', 'constructor', 'prototype'].includes(text), 'this word is reserved');
const name = z.string().trim().min(1, 'needs a name').max(80, 'is longer than 80 characters');
const note = z.string().max(2000);
const inches = z.number().min(-12_000).max(12_000);
const span = z.number().gt(0, 'must be greater than zero').max(12_000);
const height = z.number().min(0).max(480);

/**
 * The kinds of room that the code distinguishes. `other` is a room whose use nobody has named yet:
 * rules that turn on the use answer *cannot tell* there.
 */
export const ROOM_KINDS = [
  'kitchen',
  'dining',
  'breakfast',
  'pantry',
  'living',
  'family',
  'den',
  'library',
  'sunroom',
  'bedroom',
  'recreation',
  'office',
  'studio',
  'hallway',
  'foyer',
  'stair',
  'closet',
  'walk-in-closet',
  'linen',
  'bathroom',
  'half-bath',
  'laundry',
  'utility',
  'garage',
  'basement-unfinished',
  'basement-finished',
  'attic',
  'crawl-space',
  'porch',
  'deck',
  'balcony',
  'outdoors',
  'storage',
  'other',
] as const;
export const roomKindSchema = z.enum(ROOM_KINDS);
export type RoomKind = z.infer<typeof roomKindSchema>;

/** A corner of the inside finished wall faces, inches, x to the right, y down; it names the wall that starts at it. */
const cornerSchema = z.strictObject({
  id,
  x: inches,
  y: inches,
  /** What stands on the line from this corner to the next. */
  wall: z.enum(['solid', 'railing', 'open']).default('solid'),
});
export type Corner = z.infer<typeof cornerSchema>;

export const levelSchema = z.strictObject({
  id,
  name,
  /** Floor above grade, inches; orders the levels. */
  elevationIn: z.number().min(-480).max(2400),
  ceilingIn: z.number().min(48).max(480),
  studSpacingIn: z.number().min(8).max(48).default(16),
  wallThicknessIn: z.number().min(2).max(24).default(4.5),
  below: z.enum(['slab', 'crawl', 'basement', 'floor']).default('floor'),
  above: z.enum(['attic', 'floor', 'roof']).default('floor'),
  belowGrade: z.boolean().default(false),
});
export type Level = z.infer<typeof levelSchema>;

export const roomSchema = z.strictObject({
  id,
  level: id,
  name,
  /** Short prefix of the tags of its boxes, as written on the stud. */
  prefix: z.string().regex(/^[A-Z0-9]{1,4}$/, 'is one to four capitals or digits'),
  kind: roomKindSchema,
  /** Clockwise as seen on the plan, so that walking them faces the walls from left to right. */
  corners: z.array(cornerSchema).min(3).max(60),
  /** Vehicle bays of a garage. */
  bays: z.number().int().min(1).max(8).optional(),
  /** Which side of the house an outdoor room or yard strip is on. */
  side: z.enum(['front', 'back', 'side']).optional(),
});
export type Room = z.infer<typeof roomSchema>;

const openingBase = {
  id,
  room: id,
  /** Corner id that names the wall. */
  wall: id,
  /** From the wall's starting corner to the near edge, inches. */
  alongIn: z.number().min(0).max(12_000),
  widthIn: span,
  headIn: height.default(80),
};
export const openingSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...openingBase,
    kind: z.literal('door'),
    /** Side of the hinges, seen from inside the room that owns the opening. */
    hinge: z.enum(['left', 'right']).default('left'),
    swing: z.enum(['in', 'out']).default('in'),
    leaves: z.union([z.literal(1), z.literal(2)]).default(1),
  }),
  z.strictObject({ ...openingBase, kind: z.literal('cased') }),
  z.strictObject({
    ...openingBase,
    kind: z.literal('slider'),
    /** Which half moves, seen from inside the owning room; the other half is fixed. */
    moving: z.enum(['left', 'right']).default('left'),
  }),
  z.strictObject({ ...openingBase, kind: z.literal('window'), sillIn: height.default(36) }),
  z.strictObject({ ...openingBase, kind: z.literal('fixed-glass') }),
  z.strictObject({ ...openingBase, kind: z.literal('vehicle') }),
]);
export type Opening = z.infer<typeof openingSchema>;
export type OpeningKind = Opening['kind'];

/** A feature stands against a wall, or free on the floor. */
export const placeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('wall'),
    wall: id,
    alongIn: z.number().min(0).max(12_000),
    widthIn: span,
    depthIn: span,
    /** Gap between its back and the wall: the counter behind a sink or cooktop. */
    behindIn: z.number().min(0).max(120).default(0),
  }),
  z.strictObject({ kind: z.literal('free'), x: inches, y: inches, widthIn: span, depthIn: span }),
]);
export type FeaturePlace = z.infer<typeof placeSchema>;

export const FEATURE_KINDS = [
  'counter',
  'island',
  'peninsula',
  'cabinet',
  'tall-cabinet',
  'sink',
  'basin',
  'range',
  'cooktop',
  'refrigerator',
  'dishwasher',
  'tub',
  'shower',
  'toilet',
  'washer',
  'dryer',
  'fireplace',
  'stair',
  'baseboard-heater',
  'water-heater',
  'kiln',
  'panel',
  'furniture',
] as const;
export const featureSchema = z.strictObject({
  id,
  room: id,
  kind: z.enum(FEATURE_KINDS),
  name: z.string().trim().max(80).default(''),
  at: placeSchema,
  /** Top above the finished floor. */
  heightIn: height.default(36),
  /** An island with a box, cable or raceway ready for a later receptacle (NEC 2023 210.52(C)(2)). */
  provision: z.boolean().optional(),
});
export type Feature = z.infer<typeof featureSchema>;
export type FeatureKind = Feature['kind'];

export const boxPlaceSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('wall'),
    wall: id,
    /** From the wall's starting corner to the centre of the box. */
    alongIn: z.number().min(0).max(12_000),
    /** Finished floor to the centre of the box. */
    heightIn: height,
  }),
  z.strictObject({ kind: z.literal('ceiling'), x: inches, y: inches }),
  z.strictObject({ kind: z.literal('floor'), x: inches, y: inches }),
  /** On a feature (an island's side, a cabinet's back), at a height. */
  z.strictObject({ kind: z.literal('feature'), feature: id, x: inches, y: inches, heightIn: height }),
]);
export type BoxPlace = z.infer<typeof boxPlaceSchema>;

export const boxSchema = z.strictObject({
  id,
  room: id,
  /** What is written on the stud: unique in the house. */
  tag: z.string().regex(/^[A-Z0-9]{1,4}-[0-9]{1,3}$/, 'reads like B2-4'),
  at: boxPlaceSchema,
  gangs: z.number().int().min(1).max(6).default(1),
  volumeIn3: z.number().gt(0).max(400).optional(),
  /** Why it is there: the code asks for it, or somebody wished it. */
  origin: z.enum(['code', 'wish']).default('wish'),
  /** Inside a cabinet or cupboard: never counts for spacing. */
  inCabinet: z.boolean().optional(),
  devices: z.record(id, deviceSchema),
});
export type Box = z.infer<typeof boxSchema>;

export const breakerKindSchema = z.enum(['plain', 'afci', 'gfci', 'dual']);
export type BreakerKind = z.infer<typeof breakerKindSchema>;
export const AWG_SIZES = ['14', '12', '10', '8', '6', '4', '3', '2', '1'] as const;
export const awgSchema = z.enum(AWG_SIZES);
export type Awg = z.infer<typeof awgSchema>;

export const CIRCUIT_PURPOSES = ['general', 'small-appliance', 'laundry', 'bathroom', 'garage', 'individual'] as const;
export const circuitSchema = z.strictObject({
  id,
  name,
  /** What the circuit is meant for; the rules compare it with what is on it. */
  purpose: z.enum(CIRCUIT_PURPOSES).default('general'),
  poles: z.union([z.literal(1), z.literal(2)]),
  ratingA: z.number().int().min(5).max(200),
  awg: awgSchema,
  /** `auto` follows what the outlets need. */
  breaker: z.union([z.literal('auto'), breakerKindSchema]).default('auto'),
  /** The receptacle with GFCI that stands first in line and protects the rest; null where the breaker does. */
  gfciFirst: id.nullable().default(null),
  panel: id.nullable(),
  /** First panel space it takes; null until it is placed. */
  space: z.number().int().min(1).max(84).nullable(),
});
export type Circuit = z.infer<typeof circuitSchema>;

export const panelSchema = z.strictObject({
  id,
  name,
  room: id,
  feature: id.nullable().default(null),
  spaces: z.number().int().min(2).max(84),
  mainA: z.number().int().min(15).max(400),
});
export type Panel = z.infer<typeof panelSchema>;

export const switchGroupSchema = z.strictObject({
  id,
  name,
  /** Device ids of the control points, in chain order, and of what they control. */
  switches: z.array(id).max(12),
  controls: z.array(id).max(100),
});
export const cableSchema = z.strictObject({
  id,
  circuit: id,
  /** Box ids; null at the panel's end. */
  from: id.nullable(),
  to: id,
  kind: z.enum(['/2', '/3', '/4']),
});
export const amendmentSchema = z.strictObject({
  id,
  rule: z.string().min(1).max(80),
  /** Switch the rule off, or give one of its limits another value. */
  change: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('off') }),
    z.strictObject({ kind: z.literal('limit'), limit: z.string().min(1).max(60), value: z.number().finite() }),
  ]),
  authority: name,
  /** ISO date of the ruling. */
  date: z.iso.date(),
  note: note.default(''),
});
export type Amendment = z.infer<typeof amendmentSchema>;
export const logEntrySchema = z.strictObject({ id, date: z.iso.date(), who: name, text: note.min(1) });

/** Receptacle heights by use, inches from the finished floor to the box centre, and the firm's schools. */
export const standardsSchema = z.strictObject({
  lengths: z.enum(['1/16', '1/8', 'metric']).default('1/16'),
  receptacleHeightIn: height.default(16),
  counterHeightIn: height.default(43),
  bathHeightIn: height.default(43),
  garageHeightIn: height.default(48),
  laundryHeightIn: height.default(44),
  outdoorHeightIn: height.default(20),
  switchHeightIn: height.default(48),
  /** How receptacles count towards a circuit: 180 VA a yoke at 80 % or 100 %, or by area with a firm's maximum. */
  receptacleSchool: z.enum(['yoke-80', 'yoke-100', 'area']).default('yoke-80'),
  maxReceptaclesPerCircuit: z.number().int().min(1).max(60).default(12),
});
export type Standards = z.infer<typeof standardsSchema>;

export const jobSchema = z.strictObject({
  edition: editionSchema,
  authority: z.string().max(120).default(''),
  permitDate: z.iso.date().nullable().default(null),
});

/** The one document: everything that is known of a house; all else is derived from it. */
export const houseSchema = z.strictObject({
  format: z.literal('winculum-house'),
  version: z.literal(HOUSE_VERSION),
  name,
  job: jobSchema,
  standards: standardsSchema,
  levels: z.record(id, levelSchema),
  rooms: z.record(id, roomSchema),
  openings: z.record(id, openingSchema),
  features: z.record(id, featureSchema),
  boxes: z.record(id, boxSchema),
  loads: z.record(id, loadSchema),
  circuits: z.record(id, circuitSchema),
  switchGroups: z.record(id, switchGroupSchema),
  cables: z.record(id, cableSchema),
  panels: z.record(id, panelSchema),
  amendments: z.record(id, amendmentSchema),
  log: z.record(id, logEntrySchema),
});
export type House = z.infer<typeof houseSchema>;

/** The published JSON Schema of the house file. */
export const houseJsonSchema = (): unknown => z.toJSONSchema(houseSchema, { io: 'input' });
