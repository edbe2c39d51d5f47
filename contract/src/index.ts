import {
  boardSchema,
  boardWiresSchema,
  editionSchema,
  jobSchema,
  standardsSchema,
  TRADES,
  type Standards,
} from '@winculum/core';
import { z } from 'zod';

export const ROLES = ['owner', 'crew', 'viewer'] as const;
export const roleSchema = z.enum(ROLES);
export type Role = z.infer<typeof roleSchema>;

const email = z.string().trim().toLowerCase().max(200).pipe(z.email('is not an e-mail address'));
/** Lengths by NIST SP 800-63B and ASVS 2.1; the server also refuses common passwords. */
export const SHORTEST_PASSWORD = 12;
export const LONGEST_PASSWORD = 128;
const newPassword = z
  .string()
  .min(SHORTEST_PASSWORD, `needs at least ${SHORTEST_PASSWORD} characters`)
  .max(LONGEST_PASSWORD, `has at most ${LONGEST_PASSWORD} characters`);
const password = z.string().min(1, 'is empty').max(200);
const name = z
  .string()
  .trim()
  .min(1, 'needs a name')
  .max(80, 'is longer than 80 characters')
  .regex(/^\P{Cc}*$/u, 'holds a character that cannot be printed');
const token = z.string().regex(/^[A-Za-z0-9_-]{20,80}$/, 'is not a link of this server');
/** Six digits of the second factor, or one of the recovery codes. */
const code = z
  .string()
  .trim()
  .transform((text) => text.replace(/[\s-]/g, '').toUpperCase())
  .pipe(z.string().regex(/^([0-9]{6}|[A-Z2-7]{16})$/, 'is six digits, or a recovery code'));

export const signInSchema = z.strictObject({
  email,
  password,
  code: code.optional(),
  /** Stay signed in on this device as long as the firm allows. */
  trust: z.boolean().default(false),
});
export const newAccountSchema = z.strictObject({ firm: name, name, email, password: newPassword });
export const verifySchema = z.strictObject({ token });
export const resetRequestSchema = z.strictObject({ email });
export const resetSchema = z.strictObject({ token, password: newPassword });
export const passwordChangeSchema = z.strictObject({ old: password, password: newPassword });
export const confirmSchema = z.strictObject({ password, code: code.optional() });
export const secondFactorSchema = z.strictObject({ code });
export const invitationSchema = z.strictObject({ name, email, role: roleSchema });
export const acceptSchema = z.strictObject({ token, password: newPassword });
export const memberChangeSchema = z.strictObject({ role: roleSchema });
export const firmSettingsSchema = z.strictObject({
  /** Days that a device may stay signed in where a person says so; 0 for nobody. */
  trustDays: z.number().int().min(0).max(90),
  needsSecondFactor: z.boolean(),
});
/** The shop standards of a firm, and the version of them that they replace: somebody else's are not written over unseen. */
export const firmStandardsSchema = z.strictObject({ version: z.number().int().min(0), standards: standardsSchema });
export interface FirmStandards {
  readonly version: number;
  /** Null until somebody has said what they are. */
  readonly standards: Standards | null;
}
export const firmDeletionSchema = z.strictObject({ name });

/** A new, empty house. A house file is sent as it is, to an address of its own. */
export const newHouseSchema = z.strictObject({
  name,
  edition: editionSchema,
  /** What is known of the job when it begins. */
  job: jobSchema.omit({ edition: true }).partial().optional(),
});
export const archiveSchema = z.strictObject({ archived: z.boolean() });

/** What one request may carry, bytes. */
export const BODY_LIMITS = {
  /** Before anybody has signed in, and wherever nothing else is said. */
  small: 16_384,
  /** A batch of edits: the proposal for a whole house fits. */
  edits: 1_000_000,
  /** What a person has built on the bench, or drawn as a signature; the shop standards of a firm. */
  drawing: 500_000,
  /** A photo that the device has made small. */
  photo: 3_000_000,
  /** A house file, and nothing else. */
  houseFile: 12_000_000,
} as const;

const patchSchema = z.strictObject({
  op: z.enum(['add', 'remove', 'replace']),
  path: z
    .array(z.union([z.string().max(80), z.number().int().min(0).max(1e6)]))
    .min(1)
    .max(12),
  value: z.unknown().optional(),
});

/** One edit as the client made it; the inverse stays with whoever may undo it. */
export const sentEditSchema = z.strictObject({
  label: z
    .string()
    .min(1)
    .max(120)
    .regex(/^\P{Cc}*$/u, 'holds a character that cannot be printed'),
  patches: z.array(patchSchema).max(20_000),
});
export type SentEdit = z.infer<typeof sentEditSchema>;

/** Edits made on a base version; all or none are applied. The id makes a repeated sending harmless. */
export const batchSchema = z.strictObject({
  id: z.uuid(),
  base: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1),
  /** The life of the database that the base is of, as the house was read; a restore begins another. */
  epoch: z.uuid().optional(),
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
  /** Exercises, and switch groups of houses as `house/group`. */
  done: z.array(z.string().max(120)).max(60),
  wires: z
    .record(z.string().max(120), boardWiresSchema)
    .refine((all) => Object.keys(all).length <= 60, 'holds more exercises than there are'),
  board: boardSchema.optional(),
  /** Planted mistakes by their kind: how often they were found, and how often not. */
  practice: z
    .record(z.string().max(60), z.strictObject({ right: z.number().int().min(0), wrong: z.number().int().min(0) }))
    .refine((all) => Object.keys(all).length <= 60, 'holds more kinds than there are')
    .optional(),
});
export type Bench = z.infer<typeof benchSchema>;

/** A person's record on the bench in three figures: what a master reads, and signs. */
export const practiceFiguresSchema = z.strictObject({
  /** Exercises and groups of houses that were proved. */
  proved: z.number().int().min(0),
  /** Planted mistakes. */
  found: z.number().int().min(0),
  missed: z.number().int().min(0),
});
export type PracticeFigures = z.infer<typeof practiceFiguresSchema>;

/** A master signs what was shown, and nothing newer. */
export const practiceSignatureSchema = z.strictObject({
  shown: practiceFiguresSchema,
  note: z
    .string()
    .trim()
    .max(400)
    .regex(/^\P{Cc}*$/u, 'holds a character that cannot be printed')
    .default(''),
});
interface PracticeSignature extends PracticeFigures {
  readonly who: string;
  readonly at: string;
  readonly note: string;
}
/** A member of the firm as the bench knows them; the newest signature first. */
export interface PracticeRecord {
  readonly id: string;
  readonly name: string;
  readonly figures: PracticeFigures;
  /** Kinds of mistakes that were missed more often than found. */
  readonly weak: readonly string[];
  readonly signatures: readonly PracticeSignature[];
}

/** Who stands behind a revision of the boxes before wire is pulled. */
export const SIGNERS = ['owner', 'designer', 'builder', 'electrician'] as const;
export type Signer = (typeof SIGNERS)[number];

export const newRevisionSchema = z.strictObject({
  /** The version of the house that is to be signed; it must be the newest. */
  version: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1),
  note: z
    .string()
    .trim()
    .max(400)
    .regex(/^[^\0]*$/, 'holds a character that cannot be printed')
    .default(''),
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
  /** The revision is, letter for letter, what was signed. */
  readonly isIntact: boolean;
}

export interface Revision {
  readonly number: number;
  readonly version: number;
  readonly note: string;
  readonly at: string;
  readonly by: string;
  /** SHA-256 of the house as it was frozen, in hexadecimal: what signatures are bound to. */
  readonly hash: string;
  readonly signatures: readonly Signature[];
}

export interface RevisionState extends Revision {
  /** The house as it was signed. */
  readonly house: unknown;
}

/** Who may be sent a link without an account: what each sees and does is decided by the server. `panel` is the panel's door. */
export const GUEST_ROLES = ['owner', 'designer', 'inspector', 'trade', 'panel'] as const;
export type GuestRole = (typeof GUEST_ROLES)[number];

export const newGuestSchema = z
  .strictObject({
    role: z.enum(GUEST_ROLES),
    name,
    /** Which trade, where it is one. */
    trade: z.enum(TRADES).optional(),
    /** Days that the link holds. */
    days: z.number().int().min(1).max(3650),
  })
  .refine((one) => (one.role === 'trade') === (one.trade !== undefined), {
    path: ['trade'],
    message: 'is named for a trade, and for nobody else',
  });

export interface GuestLink {
  readonly id: string;
  readonly role: GuestRole;
  readonly name: string;
  readonly trade: string | null;
  readonly madeAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
  /** When it was last opened. */
  readonly seenAt: string | null;
  /** The link itself, told once: the server keeps only its hash. */
  readonly link?: string;
}

const shortId = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'is no id');
export const guestCommentSchema = z.strictObject({
  text: z.string().trim().min(1, 'says nothing').max(400),
  room: shortId.optional(),
  box: shortId.optional(),
});
export const guestAnswerSchema = z.strictObject({
  question: shortId,
  room: shortId.optional(),
  answer: z.string().trim().max(400),
});
export const guestTickSchema = z.strictObject({ task: shortId, state: z.enum(['open', 'done', 'not-needed']) });
export const guestSignatureSchema = z.strictObject({
  /** The revision that was shown: a newer one is not signed by mistake. */
  number: z.number().int().min(1).max(1e6),
  strokes: strokesSchema,
});

/** What a guest sees. */
export interface GuestView {
  readonly role: GuestRole;
  readonly name: string;
  readonly trade: string | null;
  readonly firm: string;
  readonly expiresAt: string;
  /** The house as this guest may see it. */
  readonly house: unknown;
  /** The newest revision, to be signed by an owner or designer. */
  readonly revision: Pick<Revision, 'number' | 'note' | 'at' | 'signatures'> | null;
}

export interface HouseSummary {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly updatedAt: string;
  /** Who changed it last; nobody has yet where it is null. */
  readonly changedBy: string | null;
  readonly archivedAt: string | null;
}

export interface HouseState extends Omit<HouseSummary, 'changedBy' | 'archivedAt'> {
  /** The life of the database: a restore begins another. */
  readonly epoch: string;
  readonly house: unknown;
}

/** A house that was deleted and can still be had back. */
export interface DeletedHouse {
  readonly id: string;
  readonly name: string;
  readonly deletedAt: string;
  readonly by: string;
  /** After this day it is gone for good. */
  readonly keptUntil: string;
}

/** What a window hears first on its stream, before the batches. */
export interface StreamHello {
  readonly epoch: string;
  /** When the database was last restored, and the version that this house had then. */
  readonly restoredAt: string | null;
  readonly version: number;
  /** The oldest version whose following batches are still kept. */
  readonly oldest: number;
}

export interface SignedIn {
  readonly user: { readonly id: string; readonly name: string; readonly email: string };
  readonly firm: { readonly id: string; readonly name: string };
  readonly role: Role;
  /** What has to be done before anything else: the password is too old, or the firm asks for a second factor. */
  readonly mustDo?: 'password' | 'second-factor';
}

export interface SessionState {
  readonly signedIn: SignedIn | null;
  /** To be sent back in the header `x-csrf-token` with every change. */
  readonly csrf: string | null;
  /** Whether e-mail is really sent; otherwise links are handed over by whoever runs the server. */
  readonly sendsMail: boolean;
}

/** One of a person's sessions. */
export interface SessionInfo {
  readonly id: string;
  readonly isThis: boolean;
  readonly device: string;
  readonly address: string;
  readonly beganAt: string;
  readonly seenAt: string;
  readonly isTrusted: boolean;
}

/** What a person's account holds besides their name. */
export interface AccountState {
  readonly hasSecondFactor: boolean;
  readonly recoveryCodesLeft: number;
}

export interface SecondFactorSecret {
  /** For an authenticator program: the address to be shown as a code, and the secret to be typed. */
  readonly uri: string;
  readonly secret: string;
}

export interface FirmState {
  readonly name: string;
  readonly trustDays: number;
  readonly needsSecondFactor: boolean;
  readonly houses: number;
  readonly mostHouses: number;
  readonly bytes: number;
  readonly mostBytes: number;
}

export interface Invitation {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly expiresAt: string;
  /** To be handed over by the owner, where no e-mail is sent. */
  readonly link?: string;
}

/** Why somebody is told of something: named, answered, given something to do, or spoken to by a guest. */
export type NoticeKind = 'mention' | 'answer' | 'task' | 'guest';

/** Something that a person is told of in the application. */
export interface Notice {
  readonly id: string;
  readonly kind: NoticeKind;
  readonly houseId: string;
  readonly house: string;
  /** The comment or task that it is about. */
  readonly about: string;
  readonly what: string;
  readonly who: string;
  readonly at: string;
  readonly seenAt: string | null;
}
/** Which notices have been read; all of them where none is named. */
export const noticesSeenSchema = z.strictObject({
  ids: z
    .array(z.string().regex(/^[0-9]{1,18}$/, 'is no id'))
    .max(200)
    .optional(),
});

/** A line of a firm's audit log. */
export interface AuditEntry {
  readonly id: string;
  readonly at: string;
  readonly who: string;
  readonly event: string;
  readonly detail: string;
  readonly address: string;
}

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly hasSecondFactor: boolean;
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
