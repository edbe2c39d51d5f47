import type { Decision, Edition, House } from '../house/schema';
import { Memory, setActiveHouse } from '../cache/memory';
import { formatLength } from '../units/length';
import { indexOutlets } from '../circuits/outlets';
import { viewRoom } from '../plan/room-view';
import { acceptanceKey, effectiveRules, type EffectiveRule } from './effective';
import { gather, Memories, rememberedBy, type Verdicts } from './memories';
import type {
  Basis,
  Facts,
  Limits,
  Messages,
  Report,
  Rule,
  Severity,
  Stage,
  Verdict,
  VerdictKind,
  Where,
} from './rule';
import type { Remedy } from './remedies';
import { rules } from './rules/index';
import { hasExisting, standingAt } from './standing';
import { mustGet } from '../units/result';

/** A verdict with everything a person needs: the sentence, the numbers, the section, the reason. */
export interface Finding {
  /** Stable while the house says the same of the same place; no other verdict of a check has it. */
  readonly key: string;
  /** Rule, message and place: what is accepted is known by it and by its words. A rule may say one thing twice of a place, of two pipes. */
  readonly place: string;
  readonly ruleId: string;
  readonly kind: VerdictKind;
  readonly severity: Severity;
  readonly stage: Stage;
  readonly edition: Edition;
  readonly section: string;
  readonly basis: Basis;
  readonly where: Where;
  readonly message: string;
  readonly why: string;
  readonly measured: string | undefined;
  readonly required: string | undefined;
  readonly remedies: readonly Remedy[];
  /** The local change that moved a limit of this rule. */
  readonly amendment: Decision | undefined;
}

/** A finding that somebody has accepted as it stands. */
export interface AcceptedFinding {
  readonly finding: Finding;
  readonly decision: Decision;
}

/** How a rule stands in a house: checked, not applicable, switched off. */
export interface RuleStatus {
  readonly ruleId: string;
  readonly status: 'checked' | 'not applicable' | 'not in this edition' | 'switched off';
  readonly amendment: Decision | undefined;
}

/** All findings of a house, and how each rule stands. */
export interface HouseCheck {
  readonly edition: Edition;
  /** Failures and open questions that nobody has accepted, the gravest first. */
  readonly findings: readonly Finding[];
  /** What somebody has accepted, and still says what it said then. */
  readonly accepted: readonly AcceptedFinding[];
  /** What was found right, with its reason. */
  readonly passes: readonly Finding[];
  readonly statuses: readonly RuleStatus[];
  /** Stops of the work at which a rule had anything to say: at the others nothing is there yet, which is not the same as right. */
  readonly looked: ReadonlySet<Stage>;
}

const NO_DETAIL: Verdict['detail'] = {};
const verdict =
  (kind: VerdictKind): Report<Messages>['pass'] =>
  (messageId, data, where, detail = NO_DETAIL) => ({ kind, messageId, data, where, detail });
const report: Report<Messages> = { pass: verdict('pass'), fail: verdict('fail'), cannotTell: verdict('cannot-tell') };

const asList = (said: Verdict | readonly Verdict[]): readonly Verdict[] => ('kind' in said ? [said] : said);

/** The verdicts of one rule, or null where it applies to nothing. A rule that throws cannot tell, and says why. */
function runRule(effective: EffectiveRule, facts: Facts, memories: Memories): Verdicts {
  const { rule, edition } = effective;
  const { limits } = effective.entry;
  try {
    if (rule.scope === 'house') {
      const find = () => (rule.appliesTo(facts) ? rule.check(facts, limits, report) : null);
      return rule.reads ? rememberedBy(effective, memories, rule.reads, find) : find();
    }
    if (rule.scope === 'room')
      return gather(effective, memories.rooms, (view) =>
        rule.appliesTo(view) ? rule.check(view, limits, report, edition) : null,
      );
    if (rule.scope === 'unit')
      return gather(effective, memories.units, (unit) => asList(rule.check(facts, unit, limits, report)));
    if (rule.scope === 'make-up')
      return gather(effective, memories.makeUps, (makeUp) => asList(rule.check(facts, makeUp, limits, report)));
    return gather(effective, memories.circuits, (circuit) =>
      rule.appliesTo(facts, circuit) ? asList(rule.check(facts, circuit, limits, report)) : null,
    );
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return [{ kind: 'cannot-tell', messageId: 'broken', data: { reason }, where: {}, detail: {} }];
  }
}

const stood = new Memory<Verdict, Verdict>();

/**
 * What is said of a place that was there before: of all that stands it is right by the code of its day, and of a room that stands in
 * part nobody but the authority can say how much of it is to be brought to the edition of today.
 */
function ofItsDay(one: Verdict, facts: Facts, mode: true | 'ask'): Verdict {
  if (one.kind === 'pass' || one.messageId === 'broken') return one;
  const share = standingAt(facts, one.where);
  if (share === 'none' || (share === 'part' && one.kind === 'cannot-tell')) return one;
  const standing = share === 'all' && mode === 'ask' && one.kind === 'fail' ? 'ask' : share;
  const known = stood.get(one);
  if (known?.detail.standing === standing) return known;
  const kind = standing === 'all' ? 'pass' : 'cannot-tell';
  const said: Verdict = { ...one, kind, detail: { ...one.detail, standing } };
  stood.set(one, said);
  return said;
}

const OF_ITS_DAY = {
  all: 'It stands from before: the code of its day holds for it until it is changed or replaced, as long as it is safe.',
  ask: 'It stands from before, and the codes of its day mostly wanted the same: look at it with the authority, and mend what is not safe.',
  part: 'Part of it stands from before: how much is to be brought to this edition, the authority says.',
} as const;

const brokenRule = ({ reason }: { reason: string }): string =>
  `This rule could not be checked because of a fault in the program: ${reason}`;

function sentence(rule: Rule, one: Verdict, house: House): Pick<Finding, 'message' | 'measured' | 'required'> {
  const show = (lengthIn: number) => formatLength(lengthIn, house.standards.lengths);
  const words = one.messageId === 'broken' ? brokenRule : mustGet(rule.meta.messages as Messages, one.messageId);
  const message = words(one.data as never, show);
  const { standing } = one.detail;
  return {
    message: standing ? `${message} ${OF_ITS_DAY[standing]}` : message,
    measured: one.detail.measured?.(show),
    required: one.detail.required?.(show),
  };
}

/** Where a finding came from. */
const origins = new Memory<Finding, { verdict: Verdict; rule: Rule }>();

/** What an acceptance holds of a finding: its words with lengths in one notation, so that another display unit wakes nothing. */
export function saidOf(finding: Finding, house: House): string {
  const { verdict: one, rule } = origins.get(finding) ?? {};
  if (!one || !rule) return finding.message;
  const { message, measured } = sentence(rule, one, { ...house, standards: { ...house.standards, lengths: '1/16' } });
  return measured === undefined ? message : `${message} (${measured})`;
}

function writeFinding(one: Verdict, effective: EffectiveRule, house: House, before: number): Finding {
  const parts = [
    one.where.room,
    one.where.box,
    one.where.circuit,
    one.where.panel,
    one.where.feature,
    one.where.stretch?.fromIn.toFixed(1),
  ];
  const { rule } = effective;
  const { meta } = rule;
  const place = [rule.id, one.messageId, ...parts.map((part) => part ?? '')].join('|');
  return {
    key: before > 0 ? `${place}|${before + 1}` : place,
    place,
    ruleId: rule.id,
    kind: one.kind,
    severity: meta.severity,
    stage: meta.stage,
    edition: effective.edition,
    section: one.detail.section ?? effective.entry.section,
    basis: one.detail.basis ?? effective.entry.basis,
    where: one.where,
    why: meta.why,
    remedies: one.detail.remedies ?? [],
    amendment: effective.changed,
    ...sentence(rule, one, house),
  };
}

const written = new Memory<
  Verdict,
  { effective: EffectiveRule; lengths: House['standards']['lengths']; before: number; finding: Finding }
>();

/** A verdict in words; the same as long as the verdict is remembered and lengths are read the same way. */
function toFinding(one: Verdict, effective: EffectiveRule, house: House, before: number): Finding {
  const { lengths } = house.standards;
  const known = written.get(one);
  if (known?.effective === effective && known.lengths === lengths && known.before === before) return known.finding;
  const finding = writeFinding(one, effective, house, before);
  origins.set(finding, { verdict: one, rule: effective.rule });
  written.set(one, { effective, lengths, before, finding });
  return finding;
}

/** Puts verdicts into words, and counts those that say the same of the same place. */
class Writer {
  readonly #counts = new Map<string, number>();
  constructor(readonly house: House) {}

  write(one: Verdict, effective: EffectiveRule): Finding {
    const known = written.get(one);
    const first = toFinding(one, effective, this.house, known?.effective === effective ? known.before : 0);
    const before = this.#counts.get(first.place) ?? 0;
    this.#counts.set(first.place, before + 1);
    return toFinding(one, effective, this.house, before);
  }
}

const RANK: Readonly<Record<Severity, number>> = { violation: 0, caution: 1, reminder: 3 };
const rankOf = ({ kind, severity }: Finding): number => (kind === 'fail' ? RANK[severity] : 2);

interface CheckOptions {
  readonly edition?: Edition;
  readonly rules?: readonly Rule[];
}

/** The verdicts of one rule, as it is in force. */
interface Said {
  readonly effective: EffectiveRule;
  readonly verdicts: readonly Verdict[];
}

/**
 * What was found, the passes put into words when they are asked for: hundreds of sentences that are read only when somebody asks
 * why something is fine. A class, not a literal with an accessor: the accessor of a literal is kept by a hidden class of its own,
 * which outlives the check by many collections, and the house with it.
 */
class Checked implements HouseCheck {
  readonly #house: House;
  readonly #said: readonly Said[];
  #passes: readonly Finding[] | undefined;

  constructor(
    house: House,
    said: readonly Said[],
    readonly edition: Edition,
    readonly findings: readonly Finding[],
    readonly accepted: readonly AcceptedFinding[],
    readonly statuses: readonly RuleStatus[],
    readonly looked: ReadonlySet<Stage>,
  ) {
    this.#house = house;
    this.#said = said;
  }

  get passes(): readonly Finding[] {
    if (this.#passes) return this.#passes;
    const writer = new Writer(this.#house);
    this.#passes = this.#said.flatMap(({ effective, verdicts }) =>
      verdicts.filter((one) => one.kind === 'pass').map((one) => writer.write(one, effective)),
    );
    return this.#passes;
  }
}

/** Runs every rule of the edition in force over the house. Pure; parts that did not change are remembered. */
export function checkHouse(house: House, options: CheckOptions = {}): HouseCheck {
  setActiveHouse(house);
  const edition = options.edition ?? house.job.edition;
  const facts: Facts = {
    house,
    edition,
    circuits: Object.values(house.circuits),
    outlets: indexOutlets(house),
    views: Object.keys(house.rooms).map((id) => viewRoom(house, id)),
  };
  const list = options.rules ?? rules;
  const effectives = effectiveRules(house, edition, list);
  const memories = new Memories(facts);
  const isOld = hasExisting(house);
  const writer = new Writer(house);
  const findings: Finding[] = [];
  const accepted: AcceptedFinding[] = [];
  const said: Said[] = [];
  const statuses: RuleStatus[] = [];
  const looked = new Set<Stage>();
  for (const rule of list) {
    const effective = effectives.get(rule);
    if (!effective || effective.off) {
      statuses.push({
        ruleId: rule.id,
        status: effective ? 'switched off' : 'not in this edition',
        amendment: effective?.off,
      });
      continue;
    }
    const today = runRule(effective, facts, memories);
    const mode = isOld ? rule.meta.ofItsDay : undefined;
    const verdicts = mode && today ? today.map((one) => ofItsDay(one, facts, mode)) : today;
    statuses.push({ ruleId: rule.id, status: verdicts ? 'checked' : 'not applicable', amendment: effective.changed });
    if (!verdicts) continue;
    said.push({ effective, verdicts });
    if (verdicts.length > 0) looked.add(rule.meta.stage);
    for (const one of verdicts) {
      if (one.kind === 'pass') continue;
      const finding = writer.write(one, effective);
      const decision =
        effective.accepted.size > 0 && effective.accepted.get(acceptanceKey(finding.place, saidOf(finding, house)));
      if (decision) accepted.push({ finding, decision });
      else findings.push(finding);
    }
  }
  findings.sort((a, b) => rankOf(a) - rankOf(b));
  return new Checked(house, said, edition, findings, accepted, statuses, looked);
}

/** The rules of one stage, to be checked alone. */
export const rulesOfStage = (stage: Stage): readonly Rule[] => rules.filter((rule) => rule.meta.stage === stage);

/** A rule by its id. @throws when there is none */
export function ruleNamed(id: string): Rule {
  const rule = rules.find((one) => one.id === id);
  if (!rule) throw new Error(`No rule "${id}"`);
  return rule;
}

/**
 * The numbers of a rule in the edition in force, amendments applied; undefined where the edition does not contain it or the authority has
 * switched it off: a proposal then asks nothing by it, as the check does not.
 */
export function effectiveLimits<L extends Limits>(house: House, ruleId: string): L | undefined {
  const effective = effectiveRules(house, house.job.edition, rules).get(ruleNamed(ruleId));
  return effective && !effective.off ? (effective.entry.limits as L) : undefined;
}

/** A number of a rule in the edition in force, amendments applied. @throws when the rule or limit does not exist. */
export function effectiveLimit(house: House, ruleId: string, limit: string): number {
  const effective = effectiveRules(house, house.job.edition, rules).get(ruleNamed(ruleId));
  const value = effective?.entry.limits[limit];
  if (value === undefined) throw new Error(`No limit "${limit}" in rule "${ruleId}" of ${house.job.edition}`);
  return value;
}
