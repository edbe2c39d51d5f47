import { z } from 'zod';
import { height, id, inches } from './schema-parts';

const point = z.strictObject({ x: inches, y: inches });
const alongLoop = z.number().min(-24_000).max(24_000);

/** A stretch of a cable's way. Heights above the floor of the room's level, `z` above the zero of the levels, inches. */
export const routeLegSchema = z.discriminatedUnion('kind', [
  /** From stud to stud, along the room's walls walked with the wall on the left; past the loop's start the count goes on. */
  z.strictObject({ kind: z.literal('studs'), room: id, fromIn: alongLoop, toIn: alongLoop, heightIn: height }),
  /** Up or down in a bay, through a plate where it says so. */
  z.strictObject({
    kind: z.literal('rise'),
    room: id,
    atIn: alongLoop,
    fromIn: z.number().min(-480).max(960),
    toIn: z.number().min(-480).max(960),
    plate: z.enum(['top', 'bottom']).optional(),
  }),
  /** Between two levels, in an attic, a crawl space: over one level and under another, square to the house. */
  z.strictObject({
    kind: z.literal('space'),
    over: id.nullable(),
    under: id.nullable(),
    points: z.array(point).min(2).max(60),
    z: z.number().min(-1000).max(4000),
  }),
  /** From a box into the framing where there is no bay behind it: down a face of masonry, between rafters, in a slab, out of the house. */
  z.strictObject({
    kind: z.literal('end'),
    note: z.enum(['surface', 'rafters', 'slab', 'outside']),
    points: z.array(point).min(1).max(12),
    fromZ: z.number().min(-1000).max(4000),
    toZ: z.number().min(-1000).max(4000),
  }),
]);
export type RouteLeg = z.infer<typeof routeLegSchema>;

/** What is done of a cable on site, one after the other. */
export const ROUTE_STEPS = ['bored', 'pulled', 'stapled', 'plated'] as const;
export type RouteStep = (typeof ROUTE_STEPS)[number];

/** Where one run of cable lies: decided by a person, or proposed and accepted. */
export const routeSchema = z.strictObject({
  id,
  circuit: id,
  /** Box ids; null at the panel's end. */
  from: id.nullable(),
  to: id,
  legs: z.array(routeLegSchema).min(1).max(80),
  /** Between the faces of its boxes, inches. */
  lengthIn: z.number().min(0).max(24_000),
  /** Where its ends were when it was laid out: x, y, z of both. Once one is elsewhere the route is to be found again. */
  ends: z.array(inches).length(6),
  /** A person has led it by hand: it stays as it is when others are found again. */
  byHand: z.literal(true).optional(),
  done: z.array(z.enum(ROUTE_STEPS)).max(4).optional(),
});
export type Route = z.infer<typeof routeSchema>;
