import { z } from 'zod';
import { id, label, note } from './schema-parts';
import { CONDUCTOR_SIZES, RACEWAY_NAMES, RACEWAYS, TRADE_SIZES } from './schema-supply';

/** Raceways, flexible nonmetallic tubing, and a piece of pipe through one wall or floor, open at both ends. */
export const SLEEVE_KINDS = [...RACEWAYS, 'ent', 'piece'] as const;
type SleeveKind = (typeof SLEEVE_KINDS)[number];
export const SLEEVE_NAMES: Readonly<Record<SleeveKind, string>> = {
  ...RACEWAY_NAMES,
  ent: 'ENT (flexible)',
  piece: 'a piece of pipe through one wall or floor',
};
export const SLEEVE_PLACES = ['framing', 'slab', 'ground', 'outdoors'] as const;

const POWER_CABLES = ['14/2', '14/3', '12/2', '12/3', '10/2', '10/3', '8/3', '6/3'] as const;
const LOW_CABLES = ['data', 'coax', 'fiber', 'speaker', 'thermostat', 'doorbell', 'alarm'] as const;
/** What is pulled into a sleeve: nonmetallic cable, single THWN conductors, cables of low voltage. */
export const SLEEVE_CONTENTS = [
  ...POWER_CABLES.map((one) => `nm ${one}` as const),
  ...CONDUCTOR_SIZES.map((one) => `wire ${one}` as const),
  ...LOW_CABLES,
] as const;
export type SleeveContent = (typeof SLEEVE_CONTENTS)[number];

const endSchema = z.strictObject({
  room: id.nullable().default(null),
  /** The box that it ends in; a box of that room. */
  box: id.optional(),
  /** Where in it, or where outside: "behind the range", "meter". */
  note: label(120).default(''),
  capped: z.boolean().default(false),
});
/** A way that is kept for cables of today or later: in walls, in a slab, in the ground. */
export const sleeveSchema = z.strictObject({
  id,
  name: label(80).min(1, 'needs a name'),
  kind: z.enum(SLEEVE_KINDS).default('ent'),
  trade: z.enum(TRADE_SIZES).default('3/4'),
  place: z.enum(SLEEVE_PLACES).default('framing'),
  from: endSchema.prefault({}),
  to: endSchema.prefault({}),
  lengthFt: z.number().min(0).max(2000).optional(),
  /** All bends between two places where one can pull, degrees. */
  bendsDeg: z.number().int().min(0).max(1440).default(0),
  pullString: z.boolean().default(false),
  holds: z
    .array(z.strictObject({ what: z.enum(SLEEVE_CONTENTS), count: z.number().int().min(1).max(60) }))
    .max(40)
    .default([]),
  note: note.default(''),
});
export type Sleeve = z.infer<typeof sleeveSchema>;
