import { boardSchema, boardWiresSchema, editionSchema } from '@winculum/core';
import { z } from 'zod';

export const ROLES = ['owner', 'crew', 'viewer'] as const;
export const roleSchema = z.enum(ROLES);
export type Role = z.infer<typeof roleSchema>;

const email = z.string().trim().toLowerCase().max(200).pipe(z.email('is not an e-mail address'));
const password = z.string().min(10, 'needs at least 10 characters').max(200);
const name = z.string().trim().min(1, 'needs a name').max(80, 'is longer than 80 characters');

export const signInSchema = z.strictObject({ email, password: z.string().min(1, 'is empty').max(200) });
export const newAccountSchema = z.strictObject({ firm: name, name, email, password });
export const newMemberSchema = z.strictObject({ name, email, password, role: roleSchema });
export const memberChangeSchema = z.strictObject({ role: roleSchema });

/** A new house: empty with a name, or from the text of a house file. */
export const newHouseSchema = z.union([
  z.strictObject({ name, edition: editionSchema }),
  z.strictObject({ file: z.string() }),
]);

const patchSchema = z.strictObject({
  op: z.enum(['add', 'remove', 'replace']),
  path: z
    .array(z.union([z.string().max(80), z.number().int().min(0)]))
    .min(1)
    .max(12),
  value: z.unknown().optional(),
});

/** One edit as the client made it; the inverse stays with whoever may undo it. */
export const sentEditSchema = z.strictObject({
  label: z.string().min(1).max(120),
  patches: z.array(patchSchema).max(20_000),
});
export type SentEdit = z.infer<typeof sentEditSchema>;

/** Edits made on a base version; all or none are applied. The id makes a repeated sending harmless. */
export const batchSchema = z.strictObject({
  id: z.uuid(),
  base: z.number().int().min(0),
  edits: z.array(sentEditSchema).min(1).max(500),
});
export type Batch = z.infer<typeof batchSchema>;

/** An applied batch, as every window of the house hears of it. */
export interface AppliedBatch {
  readonly version: number;
  readonly batchId: string;
  readonly author: string;
  readonly at: string;
  readonly edits: readonly SentEdit[];
}

export interface BatchAnswer {
  readonly version: number;
  /** What others did between the base and this batch, to be applied before it. */
  readonly missed: readonly AppliedBatch[];
}

/** What somebody has done on the bench: exercises proved, how each is wired just now, and the board of one's own. */
export const benchSchema = z.strictObject({
  done: z.array(z.string().max(40)).max(60),
  wires: z
    .record(z.string().max(40), boardWiresSchema)
    .refine((all) => Object.keys(all).length <= 60, 'holds more exercises than there are'),
  board: boardSchema.optional(),
});
export type Bench = z.infer<typeof benchSchema>;

/** Who stands behind a revision of the boxes before wire is pulled. */
export const SIGNERS = ['owner', 'designer', 'builder', 'electrician'] as const;
export type Signer = (typeof SIGNERS)[number];

export const newRevisionSchema = z.strictObject({
  /** The version of the house that is to be signed; it must be the newest. */
  version: z.number().int().min(0),
  note: z.string().trim().max(400).default(''),
});

/** A drawn signature: strokes of points in a box of 1000 by 300. */
const strokesSchema = z
  .array(z.array(z.tuple([z.number().min(0).max(1000), z.number().min(0).max(300)])).max(2000))
  .min(1, 'sign in the box')
  .max(60);
export const newSignatureSchema = z.strictObject({ role: z.enum(SIGNERS), name, strokes: strokesSchema });

export interface Signature {
  readonly role: Signer;
  readonly name: string;
  readonly strokes: readonly (readonly (readonly [number, number])[])[];
  readonly at: string;
  /** Who was signed in when it was drawn. */
  readonly recordedBy: string;
}

export interface Revision {
  readonly number: number;
  readonly version: number;
  readonly note: string;
  readonly at: string;
  readonly by: string;
  readonly signatures: readonly Signature[];
}

export interface RevisionState extends Revision {
  /** The house as it was signed. */
  readonly house: unknown;
}

export interface HouseSummary {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly updatedAt: string;
}

export interface HouseState extends HouseSummary {
  readonly house: unknown;
}

export interface SignedIn {
  readonly user: { readonly id: string; readonly name: string; readonly email: string };
  readonly firm: { readonly id: string; readonly name: string };
  readonly role: Role;
}

export interface SessionState {
  readonly signedIn: SignedIn | null;
  /** To be sent back in the header `x-csrf-token` with every change. */
  readonly csrf: string | null;
}

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

/** An answer that is not a success: RFC 9457 with a code, the request's id, and what was wrong with which field. */
export interface ProblemBody {
  readonly type: 'about:blank';
  readonly title: string;
  readonly status: number;
  readonly code: string;
  readonly requestId: string;
  readonly problems?: readonly { readonly code: string; readonly path: string; readonly message: string }[];
  /** With code `conflict`: what others did to the same places. */
  readonly theirs?: readonly AppliedBatch[];
}
