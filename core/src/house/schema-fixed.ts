import { z } from 'zod';
import { height, id, inches, label, span } from './schema-parts';

const openingBase = {
  id,
  room: id,
  /** Corner id that names the wall. */
  wall: id,
  /** From the wall's starting corner to the near edge, inches. */
  alongIn: z.number().min(0).max(12_000),
  widthIn: span,
  headIn: height.default(80),
  /** Depth of the header over it as built, inches; 0 where there is none. A usual one where nothing is said. */
  headerIn: z.number().min(0).max(24).optional(),
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
  /** A panel that slides into the wall beside it: no box in that stretch. */
  z.strictObject({ ...openingBase, kind: z.literal('pocket'), opens: z.enum(['left', 'right']).default('left') }),
  /** A panel that slides over the face of the wall beside it, and covers it while open. */
  z.strictObject({ ...openingBase, kind: z.literal('barn'), opens: z.enum(['left', 'right']).default('left') }),
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
    /** It stands across the corner where this wall starts; the gap is then from the corner to the middle of its back. */
    acrossCorner: z.boolean().optional(),
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
  'hot-tub',
  'washer',
  'dryer',
  'fireplace',
  'stair',
  'baseboard-heater',
  'water-heater',
  'kiln',
  'panel',
  'furniture',
  'bed',
  'desk',
  'sofa',
  'tv',
  'closet-shelf',
  'tile',
  'no-device',
  'beam',
  'brace',
  'furnace',
  'air-handler',
  'condenser',
  'disposer',
  'range-hood',
  'microwave',
  'bath-fan',
  'mirror',
  'bidet-seat',
  'workbench',
  'freezer',
  'garage-opener',
  'sump',
  'ev-charger',
  'attic-access',
  'water-service',
  'gas-meter',
  /** A switch or pull-out that cuts off equipment in sight of it. */
  'disconnect',
  /** Where the house's data, coax, speaker and alarm cables come home to. */
  'low-voltage-enclosure',
] as const;
export const featureSchema = z.strictObject({
  id,
  room: id,
  kind: z.enum(FEATURE_KINDS),
  name: label(80).default(''),
  at: placeSchema,
  /** Top above the finished floor. */
  heightIn: height.default(36),
  /** Its underside above the finished floor, for what hangs or begins above it. */
  bottomIn: height.optional(),
  /** Risers between the floor levels that a stair joins. */
  risers: z.number().int().min(1).max(40).optional(),
  /** A baseboard heater with a receptacle built in, on a circuit of its own (NEC 210.52, 424.9). */
  receptacle: z.boolean().optional(),
  /** It burns fuel: decides about carbon monoxide alarms. */
  fuel: z.boolean().optional(),
  /** What an exhaust fan does besides, in one unit. */
  functions: z
    .array(z.enum(['light', 'heat']))
    .max(2)
    .optional(),
  /** An island with a box, cable or raceway ready for a later receptacle (NEC 2023 210.52(C)(2)). */
  provision: z.boolean().optional(),
  /** How far the top of an island or peninsula reaches past its base, inches. */
  overhangIn: z.number().min(0).max(60).optional(),
});
export type Feature = z.infer<typeof featureSchema>;
export type FeatureKind = Feature['kind'];
