import { z } from 'zod';
import { boxSchema } from './schema-boxes';
import { loadSchema } from './schema-equipment';
import { featureSchema, openingSchema } from './schema-fixed';
import {
  decisionSchema,
  inspectionSchema,
  logEntrySchema,
  photoSchema,
  taskSchema,
  commentSchema,
  daySchema,
  testResultSchema,
  useSchema,
} from './schema-job';
import { awgSchema, id, inches, label, name } from './schema-parts';
import { routeSchema } from './schema-route';
import { sleeveSchema } from './schema-sleeve';
import { standardsSchema } from './schema-standards';
import {
  buildingSchema,
  buriedWiringSchema,
  dwellingUnitSchema,
  feederSchema,
  sourceSchema,
  supplySchema,
} from './schema-supply';

export * from './schema-boxes';
export * from './schema-fixed';
export * from './schema-job';
export * from './schema-route';
export * from './schema-sleeve';
export * from './schema-standards';
export * from './schema-supply';
export { AWG_SIZES, type Awg } from './schema-parts';

/** Version of the house file that this program writes. Older ones are migrated on reading. */
export const HOUSE_VERSION = 2;

export const EDITIONS = ['2014', '2017', '2020', '2023'] as const;
export const editionSchema = z.enum(EDITIONS);
/** An NEC edition that the rules know. */
export type Edition = z.infer<typeof editionSchema>;

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
  'accessory-building',
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

export const COVERINGS = ['gypsum', 'tile', 'wood', 'plaster', 'masonry', 'undecided'] as const;
/** What lies on the studs, one over the other. */
export const COVERING_LAYERS = [
  'gypsum',
  'plaster',
  'backer',
  'mortar',
  'tile',
  'stone',
  'wood',
  'furring',
  'foam',
] as const;
export type CoveringLayer = (typeof COVERING_LAYERS)[number];
/** Wall covering and its whole thickness on the studs, inches: a box's front stands flush with it (NEC 314.20). */
const coveringSchema = z
  .strictObject({
    kind: z.enum(COVERINGS),
    thicknessIn: z.number().min(0).max(6),
    /** From the studs outwards; together as thick as the whole. */
    layers: z
      .array(z.strictObject({ kind: z.enum(COVERING_LAYERS), thicknessIn: z.number().gt(0).max(6) }))
      .min(1)
      .max(6)
      .optional(),
  })
  .refine(
    ({ layers, thicknessIn }) =>
      !layers || Math.abs(layers.reduce((sum, one) => sum + one.thicknessIn, 0) - thicknessIn) < 1 / 64,
    'is as thick as its layers together',
  );
export type Covering = z.infer<typeof coveringSchema>;

export const CEILINGS = ['gypsum', 'plaster', 'wood', 'coffered', 'drop', 'undecided'] as const;
/** What hangs under the joists, and how thick it is on them, inches; a dropped ceiling by how far it hangs down. */
const ceilingSchema = z.strictObject({ kind: z.enum(CEILINGS), thicknessIn: z.number().min(0).max(60) });
export type Ceiling = z.infer<typeof ceilingSchema>;

export const SIDINGS = [
  'lap',
  'shingle',
  'board-and-batten',
  'panel',
  'stucco',
  'brick',
  'stone',
  'undecided',
] as const;
/** What clads the house where an outdoor place adjoins it: thickness on the sheathing, and what is seen of each course, inches. */
const sidingSchema = z.strictObject({
  kind: z.enum(SIDINGS),
  thicknessIn: z.number().min(0).max(8),
  courseIn: z.number().min(2).max(24).optional(),
});
export type Siding = z.infer<typeof sidingSchema>;

const framingSchema = z.strictObject({
  depth: z.enum(['2x4', '2x6', '2x8']).default('2x4'),
  /** Its studs are of steel: cables go through punched openings with bushings, boxes are screwed on. */
  steel: z.literal(true).optional(),
  /** The corner from which the stud layout is pulled. */
  layoutFrom: z.enum(['start', 'end']).default('start'),
  spacingIn: z.number().min(8).max(48).optional(),
  /** Centers of its studs as they stand, inches from the wall's start; by the spacing where nothing is said. */
  studsAtIn: z.array(z.number().min(0).max(12_000)).min(1).max(200).optional(),
  /** Heights of its rows of blocking as they stand, to their middle, inches above the floor; none where nothing is said. */
  blockingAtIn: z.array(z.number().min(0).max(480)).min(1).max(12).optional(),
  /** Pipes stand in its bays: drilling and boxes are to be agreed with the plumber. */
  plumbing: z.boolean().default(false),
});

const joistsSchema = z.strictObject({
  /** The way the joists of the ceiling run on the plan. */
  run: z.enum(['east-west', 'north-south']),
  spacingIn: z.number().min(8).max(48).default(16),
  /** From the plan's zero to the first joist's center, across their run. */
  offsetIn: z.number().min(-48).max(48).default(0),
  /** What they are: solid lumber, I-joists, or trusses; what may be bored of them depends on it. */
  kind: z.enum(['sawn', 'i-joist', 'truss']).optional(),
  /** Actual depth, inches: 9 1/4 for a 2x10. */
  depthIn: z.number().min(3).max(48).optional(),
});
export type Joists = z.infer<typeof joistsSchema>;

/** A corner of the inside finished wall faces, inches, x to the right, y down; it names the wall that starts at it. */
const cornerSchema = z.strictObject({
  id,
  x: inches,
  y: inches,
  /** What stands on the line from this corner to the next. */
  wall: z.enum(['solid', 'railing', 'open']).default('solid'),
  /** What covers the studs; the usual covering of the standards where nothing is said. */
  covering: coveringSchema.optional(),
  /** How the wall is framed; the level's usual framing where nothing is said. */
  framing: framingSchema.optional(),
});
export type Corner = z.infer<typeof cornerSchema>;

export const GRADES = ['below', 'above', 'not-known'] as const;
/** Whether a floor lies below grade, above it, or nobody has said. */
export type Grade = (typeof GRADES)[number];

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
  /** Whether it is a basement; where nobody has said so it follows from the floor's elevation, or is asked. */
  grade: z.enum(GRADES).default('not-known'),
  /** Joists over this level's ceilings; nothing is said of conflicts until they are known. */
  joists: joistsSchema.optional(),
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
  /** In a walk-out or on a split level this room lies otherwise than its level. */
  grade: z.enum(['below', 'above']).optional(),
  /** An indoor place that is damp or wet: a greenhouse, the room of a spa, a floor that is hosed down. */
  damp: z.boolean().optional(),
  /** It stays as it is: its walls and its ceiling are finished and stay closed, and what is new in them is fished. */
  closed: z.literal(true).optional(),
  /** What its ceiling is made of, and what clads the house beside it outdoors; not known where nothing is said. */
  ceiling: ceilingSchema.optional(),
  siding: sidingSchema.optional(),
  /** An unfinished basement or attic that could be finished to be lived in one day: then it counts to the floor area (220.12). */
  finishable: z.boolean().optional(),
  /** Color temperature of its lamps, kelvin. */
  lampK: z.number().int().min(1800).max(6500).optional(),
  /** The structure it is part of, where that is not the house; and the dwelling unit, where there are several. */
  building: id.optional(),
  unit: id.optional(),
});
export type Room = z.infer<typeof roomSchema>;

export const breakerKindSchema = z.enum(['plain', 'afci', 'gfci', 'dual']);
export type BreakerKind = z.infer<typeof breakerKindSchema>;

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
  /** Nonmetallic copper cable where nothing is said; aluminum for feeders and large appliances. */
  metal: z.literal('aluminum').optional(),
  /** Wiring that was there, of which nobody has looked at the conductors: size and metal are supposed. */
  unread: z.literal(true).optional(),
  /** Its cable runs through the attic, whose heat lowers what it carries. */
  inAttic: z.boolean().optional(),
  /** Cables drawn with it through one sealed or insulated opening, itself included: NEC 334.80. */
  bundled: z.number().int().min(1).max(40).optional(),
  /** One way to the farthest outlet, feet, as measured; estimated where nothing is said. */
  lengthFt: z.number().min(1).max(1000).optional(),
  /** How it lies where it runs in the ground. */
  buried: buriedWiringSchema.optional(),
  /** A circuit on the other leg with which it shares one neutral: a multiwire branch circuit, NEC 210.4. */
  sharesNeutralWith: id.optional(),
  /** Feet of conductors by which existing wiring is lengthened, where nothing but that is done to it: NEC 210.12. */
  extendedFt: z.number().min(0).max(1000).optional(),
  /** One two-pole breaker serves it and the circuit it shares a neutral with. */
  commonTrip: z.boolean().optional(),
  /** Nobody and nothing moves its members but a hand. */
  locked: z.boolean().optional(),
  panel: id.nullable(),
  /** First panel space it takes; null until it is placed. */
  space: z.number().int().min(1).max(84).nullable(),
  /** Its half of that space, where a tandem breaker serves two circuits. */
  half: z.enum(['a', 'b']).optional(),
});
export type Circuit = z.infer<typeof circuitSchema>;

export const panelSchema = z.strictObject({
  id,
  name,
  room: id,
  feature: id.nullable().default(null),
  spaces: z.number().int().min(2).max(84),
  /** How many one-pole breakers its label allows, where tandem ones count twice: NEC 408.54. As many as spaces where nothing is said. */
  mostPoles: z.number().int().min(2).max(84).optional(),
  /** Its main breaker, amperes; where it has lugs only, what its busbars are rated for. */
  mainA: z.number().int().min(15).max(400),
  /** Lugs where the feeder's breaker alone protects it. */
  main: z.literal('lugs').optional(),
  /** Rating of its busbars, amperes; that of the main where nothing is said. */
  busA: z.number().int().min(30).max(600).optional(),
  /** What it and its breakers are marked to interrupt, amperes: NEC 110.9. */
  interruptingA: z.number().int().min(5_000).max(200_000).optional(),
  /** With what is ahead of it a combination that is tested and marked for more: 240.86. */
  seriesRated: z.literal(true).optional(),
  /** What its enclosure is made for; asked only outdoors. */
  enclosure: z.enum(['indoor', 'weatherproof']).optional(),
  /** Whether the neutral is bonded to the enclosure in it: the screw or strap is in. Where nothing is said it is as it has to be. */
  neutral: z.enum(['bonded', 'apart']).optional(),
  /** It was there before the job and stays, with the service or feeder that it is fed by. */
  existing: z.literal(true).optional(),
  /** Its main is a service disconnect as well, beside that of the first panel: NEC 230.71. */
  onService: z.literal(true).optional(),
});
export type Panel = z.infer<typeof panelSchema>;

export const switchGroupSchema = z.strictObject({
  id,
  name,
  /** Device ids of the control points and of what they control. */
  switches: z.array(id).max(12),
  controls: z.array(id).max(100),
  /** The letter beside its symbols on the plan; the next free one where nothing is said. */
  letter: z
    .string()
    .regex(/^[a-z]{1,2}$/, 'is one or two small letters')
    .optional(),
  /** The travelers run from switch to switch in the order listed; otherwise in the order that takes the least wire. */
  inThisOrder: z.boolean().optional(),
  /** Every one of its switches sees the whole of the lit area, as somebody has seen: NEC 404.2(C) then asks for one neutral. */
  seesAll: z.boolean().optional(),
});
/** One run of cable as somebody decided it; what it must carry follows from the switching. */
export const cableSchema = z.strictObject({
  id,
  circuit: id,
  /** Box ids; null at the panel's end. */
  from: id.nullable(),
  to: id,
  /** What was pulled, where that is known; what the signals need otherwise. */
  kind: z.enum(['/2', '/3', '/4']).optional(),
});
export type SwitchGroup = z.infer<typeof switchGroupSchema>;
export type Cable = z.infer<typeof cableSchema>;
/** What a job is: it says how a new house begins, and how jobs are found again. */
export const JOB_KINDS = [
  'new-house',
  'addition',
  'basement-finish',
  'kitchen',
  'dwelling-over-garage',
  'small-house',
] as const;
export type JobKind = (typeof JOB_KINDS)[number];
export const jobSchema = z.strictObject({
  edition: editionSchema,
  authority: label(120).default(''),
  permitDate: z.iso.date().nullable().default(null),
  kind: z.enum(JOB_KINDS).optional(),
  client: label(120).optional(),
  address: label(200).optional(),
});
export type Job = z.infer<typeof jobSchema>;

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
  routes: z.record(id, routeSchema).prefault({}),
  panels: z.record(id, panelSchema),
  supply: supplySchema.prefault({}),
  feeders: z.record(id, feederSchema).prefault({}),
  sources: z.record(id, sourceSchema).prefault({}),
  buildings: z.record(id, buildingSchema).prefault({}),
  units: z.record(id, dwellingUnitSchema).prefault({}),
  decisions: z.record(id, decisionSchema),
  results: z.record(id, testResultSchema).prefault({}),
  uses: z.record(id, useSchema).prefault({}),
  tasks: z.record(id, taskSchema).prefault({}),
  photos: z.record(id, photoSchema).prefault({}),
  inspections: z.record(id, inspectionSchema).prefault({}),
  sleeves: z.record(id, sleeveSchema).prefault({}),
  days: z.record(id, daySchema).prefault({}),
  comments: z.record(id, commentSchema).prefault({}),
  log: z.record(id, logEntrySchema),
});
export type House = z.infer<typeof houseSchema>;

/** The published JSON Schema of the house file. */
export const houseJsonSchema = (): unknown => z.toJSONSchema(houseSchema, { io: 'input' });
