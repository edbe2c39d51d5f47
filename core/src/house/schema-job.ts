import { z } from 'zod';
import { LOAD_KINDS } from './schema-equipment';
import { id, inches, label, name, note, text } from './schema-parts';

/** The phases of a room, in the order in which the job runs. */
export const PHASES = [
  'box',
  'walk',
  'signed',
  'bored',
  'pulled',
  'made-up',
  'rough',
  'insulation',
  'trim',
  'test',
  'final',
] as const;
export type Phase = (typeof PHASES)[number];

/** Who does what is not done by the electrical crew, and who answers what it cannot know. */
export const TRADES = [
  'electrician',
  'owner',
  'designer',
  'builder',
  'plumber',
  'hvac',
  'gas',
  'carpenter',
  'cabinets',
  'counters',
  'tile',
  'drywall',
  'insulation',
  'low-voltage',
  'inspector',
] as const;
export type Trade = (typeof TRADES)[number];

/**
 * What somebody decided in this house: about a rule (a local amendment, a ruling, a finding that is accepted as it stands), or
 * the answer to a question of the brief.
 */
export const decisionSchema = z.strictObject({
  id,
  /** The rule; `brief` for an answer. */
  rule: label(80).min(1),
  /** Switch the rule off, give one of its limits another value, accept one of its findings, or answer a question. */
  change: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('off') }),
    z.strictObject({ kind: z.literal('limit'), limit: label(60).min(1), value: z.number().finite() }),
    /** The finding by its key, and what it said when it was accepted: once it says something else it is open again. */
    z.strictObject({ kind: z.literal('accept'), finding: label(400).min(1), said: text(2000).min(1) }),
    /** A question by its id, in the room it was asked of or of the house as a whole. */
    z.strictObject({
      kind: z.literal('answer'),
      question: label(60).min(1),
      room: id.optional(),
      answer: text(400).min(1),
    }),
  ]),
  /** Who decided. */
  by: name,
  /** ISO date of the ruling. */
  date: z.iso.date(),
  note: note.default(''),
});
export type Decision = z.infer<typeof decisionSchema>;

/** What a tester showed, or what was seen, at one step of the test script. */
export const READINGS = [
  'right',
  'open-ground',
  'open-neutral',
  'open-hot',
  'hot-neutral-reversed',
  'hot-ground-reversed',
  'no-trip',
  'trips-others',
  'wrong-lights',
  'dead',
  'other',
] as const;
export const testResultSchema = z.strictObject({
  /** The step it belongs to. */
  id,
  reading: z.enum(READINGS),
  /** What the step said when it was done: once it says something else the step is to be done again. */
  said: text(2000).min(1),
  by: name,
  date: z.iso.date(),
  note: note.default(''),
});
export type TestResult = z.infer<typeof testResultSchema>;

/** What people do in a room, and what that asks of the electrical work. */
export const USE_KINDS = [
  'bed',
  'guest-bed',
  'desk',
  'television',
  'gaming',
  'sewing',
  'exercise',
  'music',
  'aquarium',
  'reading',
  'baking',
  'coffee',
  'charging',
  'vacuum',
  'ironing',
  'woodwork',
  'car-work',
  'freezer',
  'party',
  'gardening',
] as const;
export type UseKind = (typeof USE_KINDS)[number];
export const useSchema = z.strictObject({
  id,
  room: id,
  kind: z.enum(USE_KINDS),
  /** Who it is for; the side of the bed as one lies in it. */
  who: label(80).default(''),
  side: z.enum(['left', 'right', 'both']).optional(),
  note: note.default(''),
});
export type LivingUse = z.infer<typeof useSchema>;

/** A thing that somebody has to do: work of another trade that ours waits for, a line of the punch list, a correction. */
const TASK_KINDS = ['other-trade', 'punch', 'correction'] as const;
export const taskSchema = z.strictObject({
  id,
  kind: z.enum(TASK_KINDS),
  what: label(400).min(1, 'needs a word on what is to be done'),
  trade: z.enum(TRADES).default('electrician'),
  /** The phase that it holds while it is open. */
  due: z.enum(PHASES),
  room: id.optional(),
  box: id.optional(),
  /** Who is to do it, and until when. */
  for: label(80).optional(),
  until: z.iso.date().optional(),
  state: z.enum(['open', 'done', 'not-needed']).default('open'),
  /** Who wrote it down, and who settled it, with their days. */
  by: name,
  date: z.iso.date(),
  settledBy: name.optional(),
  settledOn: z.iso.date().optional(),
  /** The inspection that asked for it. */
  inspection: id.optional(),
  /** The line of that inspection that it belongs to. */
  item: id.optional(),
  note: note.default(''),
});
export type Task = z.infer<typeof taskSchema>;

/** What somebody says about a thing, for others on the job to read; an answer names the comment it answers. */
export const commentSchema = z.strictObject({
  id,
  text: text(1000).refine((one) => one.trim() !== '', 'says nothing'),
  room: id.optional(),
  box: id.optional(),
  circuit: id.optional(),
  answers: id.optional(),
  /** People who are named in it, as they are called in the firm. */
  to: z.array(name).max(12).default([]),
  by: name,
  at: z.iso.datetime(),
  /** Who said that the matter is settled, and when. */
  settledBy: name.optional(),
  settledAt: z.iso.datetime().optional(),
});
export type Comment = z.infer<typeof commentSchema>;

/** A photo, pinned to a wall of a room or a point of the plan; its picture is kept beside the document under the same id. */
export const photoSchema = z.strictObject({
  id,
  at: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('house') }),
    z.strictObject({
      kind: z.literal('wall'),
      room: id,
      wall: id,
      /** From the wall's starting corner to the middle of the picture. */
      alongIn: z.number().min(0).max(12_000),
    }),
    z.strictObject({ kind: z.literal('point'), room: id, x: inches, y: inches }),
  ]),
  phase: z.enum(PHASES),
  note: text(400).default(''),
  by: name,
  date: z.iso.date(),
  widthPx: z.number().int().min(1).max(20_000),
  heightPx: z.number().int().min(1).max(20_000),
});
export type Photo = z.infer<typeof photoSchema>;

/** What an inspector said of one line: it passed, it is to be corrected, or it was not looked at. */
const INSPECTED = ['passed', 'correct', 'not-seen'] as const;
/** What an inspector said of one visit. */
export const inspectionSchema = z.strictObject({
  id,
  kind: z.enum(['rough', 'final']),
  date: z.iso.date(),
  inspector: name,
  /** The rooms of a partial inspection; the whole house where nothing is said. */
  rooms: z.array(id).min(1).max(500).optional(),
  result: z.enum(['passed', 'corrections', 'not-done']),
  /** What was said of each line of the inspection, by the line's id. */
  items: z.record(id, z.enum(INSPECTED)).optional(),
  note: note.default(''),
});
export type Inspection = z.infer<typeof inspectionSchema>;

/** Something of a kept day: it runs at other hours than usual, not at all, or something that people bring along. */
const dayLineSchema = z.strictObject({
  /** The load, or what is plugged in where. */
  item: label(200).min(1),
  what: label(200).min(1),
  /** It does not run on this day. */
  off: z.boolean().default(false),
  /** Stretches of the day, minutes from midnight. */
  runs: z
    .array(z.tuple([z.number().min(0).max(1440), z.number().min(0).max(1440)]))
    .max(100)
    .default([]),
  /** What was brought along: it is in no list of the house. */
  brought: z
    .strictObject({
      kind: z.enum(LOAD_KINDS),
      device: id,
      va: z.number().min(0).max(100_000),
      motor: z.boolean(),
    })
    .optional(),
});
/** A day that somebody keeps: what differs in it from a usual one, and what people have to remember. */
export const daySchema = z.strictObject({
  id,
  name: label(80).min(1, 'needs a name'),
  lines: z.array(dayLineSchema).max(500),
  remember: z.array(text(400).min(1)).max(60).default([]),
  by: name,
  date: z.iso.date(),
});
export type KeptDay = z.infer<typeof daySchema>;

export const logEntrySchema = z.strictObject({ id, date: z.iso.date(), who: name, text: note.min(1) });
