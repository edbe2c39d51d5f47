import { z } from 'zod';
import { deviceSchema } from './schema-equipment';
import { MOST_DEVICES } from './sizes';
import { height, id, inches, name, text } from './schema-parts';

export const boxPlaceSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('wall'),
    wall: id,
    /** From the wall's starting corner to the center of the box. */
    alongIn: z.number().min(0).max(12_000),
    /** Finished floor to the center of the box. */
    heightIn: height,
  }),
  z.strictObject({ kind: z.literal('ceiling'), x: inches, y: inches }),
  z.strictObject({ kind: z.literal('floor'), x: inches, y: inches }),
  /** On a feature (an island's side, a cabinet's back), at a height. */
  z.strictObject({ kind: z.literal('feature'), feature: id, x: inches, y: inches, heightIn: height }),
]);
export type BoxPlace = z.infer<typeof boxPlaceSchema>;

/** A box that is not simply new and final: drawn as provisional and listed until somebody settles it. */
export const BOX_STATES = ['undecided', 'not-delivered', 'future', 'held', 'existing', 'moved'] as const;
export type BoxState = (typeof BOX_STATES)[number];
/** How far a box has come; each includes those before it. */
export const BOX_PROGRESS = ['marked', 'nailed', 'made-up', 'trimmed'] as const;
export const TRIM_WAITS = ['tile', 'mirror', 'paint', 'cabinets', 'fixture-late', 'other'] as const;
export const BOX_SETTINGS = ['cabinet-back', 'toe-kick', 'niche', 'slab-conduit'] as const;

/**
 * A box as it is bought, in generic sizes. Volumes are typical of plastic boxes, *common practice*: the one marked in the
 * box is what counts (NEC 314.16(A)).
 */
export const boxTypeSchema = z.strictObject({
  id,
  name,
  gangs: z.number().int().min(1).max(6),
  shape: z.enum(['device', 'octagon', 'round', 'square', 'weatherproof', 'floor', 'low-voltage']).default('device'),
  volumeIn3: z.number().min(0).max(400),
  depthIn: z.number().min(0).max(12).default(3),
  for: z.enum(['new', 'old-work']).default('new'),
  adjustable: z.boolean().optional(),
  fanRated: z.boolean().optional(),
  masonry: z.boolean().optional(),
  /** Weight that its ears carry, pounds: 50 for a luminaire box, 70 for a fan box (NEC 314.27). */
  carriesLb: z.number().min(0).max(500).optional(),
});
export type BoxType = z.infer<typeof boxTypeSchema>;

export const boxSchema = z.strictObject({
  id,
  room: id,
  /** What is written on the stud: unique in the house. */
  tag: z.string().regex(/^[A-Z0-9]{1,4}-[0-9]{1,3}$/, 'reads like B2-4'),
  at: boxPlaceSchema,
  gangs: z.number().int().min(1).max(6).default(1),
  volumeIn3: z.number().gt(0).max(400).optional(),
  /** Why it is there: the code asks for it, or somebody requested it. */
  origin: z.enum(['code', 'request']).default('request'),
  /** Who requested it, and when. */
  requested: z.strictObject({ by: name, on: z.iso.date() }).optional(),
  state: z.enum(BOX_STATES).optional(),
  /** An old box whose wiring brings no equipment ground (NEC 406.4(D)(2), 250.130(C)). */
  noGround: z.literal(true).optional(),
  /** What it waits for, or how it is to be done. */
  note: text(400).optional(),
  /** The box itself, by its id in the catalogue; the smallest that fits where nothing is said. */
  type: id.optional(),
  /** It hangs on an adjustable bracket between studs, away from their faces, on purpose. */
  bracket: z.boolean().optional(),
  /** Where it sits when it is in no wall, floor or ceiling. */
  setting: z.enum(BOX_SETTINGS).optional(),
  progress: z.enum(BOX_PROGRESS).optional(),
  /** What its trim waits for, after the wall is closed. */
  trimWaits: z.enum(TRIM_WAITS).optional(),
  /** Cable clamps inside, as seen in the box itself; by the shop standard where nothing is said (NEC 314.16(B)(2)). */
  clamps: z.enum(['inside', 'none']).optional(),
  /** A fixture stud or a hickey stands in it (NEC 314.16(B)(3)). */
  stud: z.boolean().optional(),
  hickey: z.boolean().optional(),
  /** A divider keeps power and low voltage apart in it. */
  divider: z.boolean().optional(),
  /** Inside a cabinet or cabinet: never counts for spacing. */
  inCabinet: z.boolean().optional(),
  devices: z
    .record(id, deviceSchema)
    .refine((all) => Object.keys(all).length <= MOST_DEVICES, `holds more than ${MOST_DEVICES} devices`),
});
export type Box = z.infer<typeof boxSchema>;
