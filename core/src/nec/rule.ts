import type { Circuit, House, Edition } from '../house/schema';
import type { OutletIndex } from '../circuits/outlets';
import type { Interval } from '../geometry/intervals';
import type { RoomView } from '../plan/room-view';
import type { BoxMakeUp, UnitWiring } from '../makeup/make-up';
import type { Remedy } from './remedies';

export type Stage = 'house' | 'boxes' | 'switching' | 'circuits' | 'panel' | 'service' | 'routes' | 'make-up';
/** violation: against the code; caution: allowed, but will bite; reminder: only a person on site can tell. */
export type Severity = 'violation' | 'caution' | 'reminder';
export type VerdictKind = 'pass' | 'fail' | 'cannot-tell';

/** Where a value comes from. No code book was at hand: values are recalled, with the confidence of the recollection. */
export interface Basis {
  readonly source: 'from memory' | 'common practice';
  readonly confidence: 'high' | 'medium' | 'low';
}
/** The basis of a value that is recalled, with how sure it is. */
export const fromMemory = (confidence: Basis['confidence']): Basis => ({ source: 'from memory', confidence });
export const commonPractice: Basis = { source: 'common practice', confidence: 'high' };

export type Limits = Readonly<Record<string, number>>;

/** What an edition says of a rule: its section, its numbers, and how sure we are. */
export interface EditionEntry<L extends Limits = Limits> {
  readonly section: string;
  readonly limits: L;
  readonly basis: Basis;
}

/** The place that a verdict is about; the more is known, the closer the drawing flies. */
export interface Where {
  readonly room?: string;
  readonly box?: string;
  readonly circuit?: string;
  readonly panel?: string;
  readonly feature?: string;
  /** A stretch of the room's floor line, inches along its loop. */
  readonly stretch?: Interval;
}

/** Lengths in messages follow the reader's preference. */
type ShowLength = (lengthIn: number) => string;
// Message data is checked where a message is reported; the catalogue itself holds any shape.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type Message = (data: any, show: ShowLength) => string;
export type Messages = Readonly<Record<string, Message>>;

/** What may be said beside a verdict: what was measured and wanted, remedies, another section. */
export interface VerdictDetail {
  /** As short text builders, so that lengths follow the reader's preference. */
  readonly measured?: (show: ShowLength) => string;
  readonly required?: (show: ShowLength) => string;
  readonly remedies?: readonly Remedy[];
  /** Replaces the section of the edition's entry where a subsection is known. */
  readonly section?: string;
  /** Replaces the confidence of the edition's entry. */
  readonly basis?: Basis;
  /** All of the place, or a part of it, stands from before the job; set by the check, not by rules. */
  readonly standing?: 'all' | 'part' | 'ask';
}

/** What a rule finds at one place. */
export interface Verdict {
  readonly kind: VerdictKind;
  readonly messageId: string;
  readonly data: unknown;
  readonly where: Where;
  readonly detail: VerdictDetail;
}

/** Gives verdicts with messages that exist and data that fits them. */
export interface Report<M extends Messages> {
  pass<K extends keyof M & string>(
    message: K,
    data: Parameters<M[K]>[0],
    where: Where,
    detail?: VerdictDetail,
  ): Verdict;
  fail<K extends keyof M & string>(
    message: K,
    data: Parameters<M[K]>[0],
    where: Where,
    detail?: VerdictDetail,
  ): Verdict;
  cannotTell<K extends keyof M & string>(
    message: K,
    data: Parameters<M[K]>[0],
    where: Where,
    detail?: VerdictDetail,
  ): Verdict;
}

/** What rules of the whole house read besides the document. */
export interface Facts {
  readonly house: House;
  readonly edition: Edition;
  readonly circuits: readonly Circuit[];
  readonly outlets: OutletIndex;
  readonly views: readonly RoomView[];
}

interface RuleMeta<L extends Limits, M extends Messages> {
  readonly summary: string;
  readonly stage: Stage;
  readonly severity: Severity;
  /**
   * It holds for what is built, changed or replaced under the edition in force: what stands from before stays under the code of its day.
   * `ask` where the editions before wanted much the same, so that what is seen to be wrong may have been wrong then.
   */
  readonly ofItsDay?: true | 'ask';
  /** Why it matters, for an apprentice. */
  readonly why: string;
  /** An edition without an entry does not contain the rule. */
  readonly editions: Readonly<Partial<Record<Edition, EditionEntry<L>>>>;
  readonly messages: M;
}

interface RoomScope<L extends Limits, M extends Messages> {
  /** Reads one room alone, so that its verdicts are remembered while that room stays as it is. */
  readonly scope: 'room';
  readonly appliesTo: (view: RoomView) => boolean;
  readonly check: (view: RoomView, limits: L, report: Report<M>, edition: Edition) => readonly Verdict[];
}

interface CircuitScope<L extends Limits, M extends Messages> {
  /**
   * Reads one circuit with its outlets, and of the house nothing that changes when other boxes do: rooms, openings, features,
   * circuits and standards, yes. Its verdicts are remembered while all that stays as it is.
   */
  readonly scope: 'circuit';
  readonly appliesTo: (facts: Facts, circuit: Circuit) => boolean;
  readonly check: (facts: Facts, circuit: Circuit, limits: L, report: Report<M>) => Verdict | readonly Verdict[];
}

interface UnitScope<L extends Limits, M extends Messages> {
  /** Reads the wiring of one circuit, or of two that share a neutral; remembered like the verdicts about a circuit. */
  readonly scope: 'unit';
  readonly check: (facts: Facts, wiring: UnitWiring, limits: L, report: Report<M>) => Verdict | readonly Verdict[];
}

interface MakeUpScope<L extends Limits, M extends Messages> {
  /** Reads one box with the cables that come into it; remembered like the verdicts about a circuit. */
  readonly scope: 'make-up';
  readonly check: (facts: Facts, makeUp: BoxMakeUp, limits: L, report: Report<M>) => Verdict | readonly Verdict[];
}

/** What of the boxes a rule about the house reads: nothing, or those with alarms, with lights, fans and switches, or with loads. */
export type ReadsBoxes = 'none' | 'alarms' | 'lights' | 'loads';

interface HouseScope<L extends Limits, M extends Messages> {
  readonly scope: 'house';
  /** Its verdicts are remembered while these boxes and the rest of the house stay; not at all where it reads any box. */
  readonly reads?: ReadsBoxes;
  readonly appliesTo: (facts: Facts) => boolean;
  readonly check: (facts: Facts, limits: L, report: Report<M>) => readonly Verdict[];
}

export type RuleDefinition<L extends Limits, M extends Messages> = {
  readonly id: string;
  readonly meta: RuleMeta<L, M>;
} & (RoomScope<L, M> | CircuitScope<L, M> | UnitScope<L, M> | MakeUpScope<L, M> | HouseScope<L, M>);

/** A rule of any limits and messages, as the list holds it. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type Rule = RuleDefinition<any, any>;

/** Writes a rule down with the types of its limits and messages. */
export const defineRule = <L extends Limits, M extends Messages>(rule: RuleDefinition<L, M>): RuleDefinition<L, M> =>
  rule;

/** The same entry for all editions that the rules know. */
export const everyEdition = <L extends Limits>(entry: EditionEntry<L>): Record<Edition, EditionEntry<L>> => ({
  '2014': entry,
  '2017': entry,
  '2020': entry,
  '2023': entry,
});
