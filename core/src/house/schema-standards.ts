import { z } from 'zod';
import { boxTypeSchema } from './schema-boxes';
import { height, label, name, text } from './schema-parts';

/** Shop standards of thought by which circuits are planned: the code leaves them open. */
export const planningSchema = z.strictObject({
  /** No. 12 everywhere, or No. 14 on 15 A circuits. */
  wire: z.enum(['fourteen', 'twelve']).default('fourteen'),
  /** Lights on circuits of their own, so that a tripped receptacle leaves the light; or each room by itself. */
  lighting: z.enum(['apart', 'by-room']).default('apart'),
  baths: z.enum(['shared', 'each']).default('each'),
  outside: z.enum(['apart', 'with-garage']).default('apart'),
  dishwasher: z.enum(['apart', 'together']).default('together'),
  refrigerator: z.enum(['apart', 'with-counter']).default('apart'),
  alarms: z.enum(['with-lighting', 'alone']).default('with-lighting'),
  /** GFCI at a receptacle first in line where that is cheaper and within reach of those it serves, or always at the breaker. */
  gfci: z.enum(['compare', 'breaker']).default('compare'),
  /** Most lights on one circuit, so that one trip does not darken a house; 12 where nothing is said, *common practice*. */
  lightsPerCircuit: z.number().int().min(4).max(60).optional(),
  /** Panel spaces that stay free for later. */
  spareSpaces: z.number().int().min(0).max(20).default(4),
});
export type Planning = z.infer<typeof planningSchema>;

/** Shop standards of making up boxes. */
export const makeUpSchema = z.strictObject({
  /** Every device on a pigtail, or the cable through the device's screws where there are no more than two. */
  feed: z.enum(['pigtail', 'through']).default('pigtail'),
  /** Free conductor left at every box, inches: 6 by NEC 300.14, most leave 8. */
  freeIn: z.number().min(6).max(24).default(8),
  /** Whether the molded tabs of a plastic box count as clamps: in boxes of two gangs and more, always, or never. */
  clamps: z.enum(['multi-gang', 'always', 'never']).default('multi-gang'),
});
export type MakeUp = z.infer<typeof makeUpSchema>;

/** Shop standards of leading cables through the framing. */
export const routingSchema = z.strictObject({
  /** Height of a run from stud to stud, inches: over the boxes, below pictures and sills. */
  lineIn: z.number().min(8).max(60).default(24),
  /** Cable left in the panel, inches: to its farthest breaker and the bar beside it. */
  panelTailIn: z.number().min(12).max(120).default(48),
  /** Slack for each cable beside what is free in its boxes, inches: corners and the loop at a box. */
  slackIn: z.number().min(0).max(60).default(12),
});
export type Routing = z.infer<typeof routingSchema>;

/** Shop standards of switching; what a person has drawn otherwise stays until the shop standards are applied. */
export const switchingSchema = z.strictObject({
  fans: z.enum(['apart', 'together']).default('apart'),
  bathFans: z.enum(['apart', 'together']).default('apart'),
  closets: z.enum(['wall', 'door-jamb', 'occupancy']).default('wall'),
  outdoors: z.enum(['by-hand', 'astronomic', 'dusk']).default('by-hand'),
  bedside: z.enum(['no', 'yes']).default('no'),
  spareGang: z.enum(['no', 'entries']).default('no'),
});
export type Switching = z.infer<typeof switchingSchema>;

/** Receptacle heights by use, inches from the finished floor to the box center, and the shop standards. */
export const standardsSchema = z.strictObject({
  lengths: z.enum(['1/16', '1/8', 'metric']).default('1/16'),
  receptacleHeightIn: height.default(16),
  counterHeightIn: height.default(43),
  bathHeightIn: height.default(43),
  garageHeightIn: height.default(48),
  laundryHeightIn: height.default(44),
  outdoorHeightIn: height.default(20),
  switchHeightIn: height.default(48),
  televisionHeightIn: height.default(62),
  deskHeightIn: height.default(32),
  /** Which edge of a box the heights are measured to when they are marked on a stud. */
  heightsTo: z.enum(['bottom', 'center', 'top']).default('center'),
  /** Usual wall covering, inches: 1/2 in gypsum board, *common practice*. */
  coveringIn: z.number().min(0).max(6).default(0.5),
  /** From the jamb's edge to the center of the first gang: past the casing and the king stud, *common practice*. */
  switchFromJambIn: z.number().min(2).max(24).default(6),
  /** Groups of boxes set down by one key; the usual ones where nothing is said. */
  presets: z
    .array(z.strictObject({ name, text: text(400) }))
    .max(9)
    .optional(),
  /** Boxes that this firm buys, beside or in place of those of the catalogue with the same id. */
  boxTypes: z.array(boxTypeSchema).max(60).optional(),
  /** A receptacle at each side of a bed's head, *common practice*; or only where spacing puts one. */
  bedsides: z.enum(['both', 'as-spaced']).optional(),
  /** An appliance that is set down comes with its box and typical load, or bare; connected where nothing is said. */
  appliances: z.enum(['connected', 'bare']).optional(),
  /** How a row of luminaires ends: half a spacing from the wall, or equal divisions. */
  ceilingRows: z.enum(['half-at-walls', 'equal-divisions']).default('half-at-walls'),
  /** How receptacles count towards a circuit: 180 VA a yoke at 80 % or 100 %, or by area with a firm's maximum. */
  receptacleCount: z.enum(['yoke-80', 'yoke-100', 'area']).default('yoke-80'),
  /**
   * What voltage drop is reckoned with beside known loads: half the rating spread over the receptacles where nothing is said, or 12 A at
   * the farthest one.
   */
  dropLoad: z.enum(['half-spread', 'far-end']).optional(),
  /** How circuits are planned; the usual shop standards where nothing is said. */
  planning: planningSchema.optional(),
  /** What is switched how; the usual shop standards where nothing is said. */
  switching: switchingSchema.optional(),
  /** How boxes are made up; the usual shop standards where nothing is said. */
  makeUp: makeUpSchema.optional(),
  /** How cables are led; the usual way where nothing is said. */
  routing: routingSchema.optional(),
  /** Hottest air in the attic, °F; 130 where nothing is said. */
  atticF: z.number().min(60).max(180).optional(),
  maxReceptaclesPerCircuit: z.number().int().min(1).max(60).default(12),
  /** Keys of those that this house keeps of its own where its firm holds otherwise. */
  own: z.array(label(60).min(1)).max(80).optional(),
});
export type Standards = z.infer<typeof standardsSchema>;
