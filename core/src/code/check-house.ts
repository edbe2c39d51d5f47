import { EDITIONS, type Amendment, type Edition, type House } from '../house/schema';
import { groupBy } from '../units/group-by';
import { formatLength } from '../units/length';
import { indexOutlets } from '../circuits/outlets';
import { viewRoom, type RoomView } from '../plan/room-view';
import type {
  Basis,
  EditionEntry,
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

/** A verdict with everything a person needs: the sentence, the numbers, the section, the reason. */
export interface Finding {
  /** Stable while the house says the same of the same place. */
  readonly key: string;
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
  readonly amendment: Amendment | undefined;
}

export interface RuleStatus {
  readonly ruleId: string;
  readonly status: 'checked' | 'not applicable' | 'not in this edition' | 'switched off';
  readonly amendment: Amendment | undefined;
}

export interface HouseCheck {
  readonly edition: Edition;
  /** Failures and open questions, the gravest first. */
  readonly findings: readonly Finding[];
  /** What was found right, with its reason. */
  readonly passes: readonly Finding[];
  readonly statuses: readonly RuleStatus[];
}

const NO_DETAIL: Verdict['detail'] = {};
const verdict =
  (kind: VerdictKind): Report<Messages>['pass'] =>
  (messageId, data, where, detail = NO_DETAIL) => ({ kind, messageId, data, where, detail });
const report: Report<Messages> = { pass: verdict('pass'), fail: verdict('fail'), cannotTell: verdict('cannot-tell') };

interface InForce {
  readonly entry: EditionEntry;
  readonly off: Amendment | undefined;
  readonly changed: Amendment | undefined;
}

const amendmentsByRule = new WeakMap<House['amendments'], ReadonlyMap<string, readonly Amendment[]>>();
const NO_AMENDMENTS: readonly Amendment[] = [];

function amendmentsOf(house: House, ruleId: string): readonly Amendment[] {
  let byRule = amendmentsByRule.get(house.amendments);
  if (!byRule) {
    byRule = groupBy(Object.values(house.amendments), (one) => one.rule);
    amendmentsByRule.set(house.amendments, byRule);
  }
  return byRule.get(ruleId) ?? NO_AMENDMENTS;
}

/** The edition's entry of a rule with the house's amendments applied. */
function inForce(house: House, rule: Rule, edition: Edition): InForce | undefined {
  const entry = rule.meta.editions[edition] as EditionEntry | undefined;
  if (!entry) return undefined;
  const amendments = amendmentsOf(house, rule.id);
  if (amendments.length === 0) return { entry, off: undefined, changed: undefined };
  const limits: Record<string, number> = { ...entry.limits };
  let changed: Amendment | undefined;
  for (const one of amendments)
    if (one.change.kind === 'limit' && one.change.limit in limits) {
      limits[one.change.limit] = one.change.value;
      changed = one;
    }
  return {
    entry: changed ? { ...entry, limits } : entry,
    off: amendments.find((one) => one.change.kind === 'off'),
    changed,
  };
}

const roomMemory = new WeakMap<RoomView, Map<string, readonly Verdict[]>>();
const entryKeys = new WeakMap<Limits, string>();

/** Verdicts of a rule about rooms, remembered by each room's view, the edition and the limits in force. */
function checkRooms(
  rule: Extract<Rule, { scope: 'room' }>,
  views: readonly RoomView[],
  limits: Limits,
  edition: Edition,
): readonly Verdict[] {
  let limitsKey = entryKeys.get(limits);
  if (limitsKey === undefined) entryKeys.set(limits, (limitsKey = JSON.stringify(limits)));
  const key = `${rule.id} ${edition} ${limitsKey}`;
  return views.flatMap((view) => {
    let memory = roomMemory.get(view);
    if (!memory) roomMemory.set(view, (memory = new Map()));
    let verdicts = memory.get(key);
    if (!verdicts) memory.set(key, (verdicts = rule.check(view, limits, report, edition)));
    return verdicts;
  });
}

/** The verdicts of one rule, or undefined where it applies to nothing. A rule that throws cannot tell, and says why. */
function runRule(rule: Rule, facts: Facts, limits: Limits): readonly Verdict[] | undefined {
  try {
    if (rule.scope === 'house') return rule.appliesTo(facts) ? rule.check(facts, limits, report) : undefined;
    const views = facts.views.filter(rule.appliesTo);
    return views.length === 0 ? undefined : checkRooms(rule, views, limits, facts.edition);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return [{ kind: 'cannot-tell', messageId: 'broken', data: { reason }, where: {}, detail: {} }];
  }
}

const brokenRule = ({ reason }: { reason: string }): string =>
  `This rule could not be checked because of a fault in the program: ${reason}`;

function sentence(rule: Rule, one: Verdict, house: House): Pick<Finding, 'message' | 'measured' | 'required'> {
  const show = (lengthIn: number) => formatLength(lengthIn, house.standards.lengths);
  const message = one.messageId === 'broken' ? brokenRule : (rule.meta.messages as Messages)[one.messageId]!;
  return {
    message: message(one.data as never, show),
    measured: one.detail.measured?.(show),
    required: one.detail.required?.(show),
  };
}

function toFinding(rule: Rule, one: Verdict, force: InForce, house: House, edition: Edition): Finding {
  const place = [
    one.where.room,
    one.where.box,
    one.where.circuit,
    one.where.panel,
    one.where.feature,
    one.where.stretch?.fromIn.toFixed(1),
  ];
  const { meta } = rule;
  return {
    key: [rule.id, one.messageId, ...place.map((part) => part ?? '')].join('|'),
    ruleId: rule.id,
    kind: one.kind,
    severity: meta.severity,
    stage: meta.stage,
    edition,
    section: one.detail.section ?? force.entry.section,
    basis: one.detail.basis ?? force.entry.basis,
    where: one.where,
    why: meta.why,
    remedies: one.detail.remedies ?? [],
    amendment: force.changed,
    ...sentence(rule, one, house),
  };
}

const gravity = (finding: Finding): number =>
  finding.kind === 'fail' ? { violation: 0, caution: 1, reminder: 3 }[finding.severity] : 2;

export interface CheckOptions {
  readonly edition?: Edition;
  readonly rules?: readonly Rule[];
}

/** Runs every rule of the edition in force over the house. Pure; parts that did not change are remembered. */
export function checkHouse(house: House, options: CheckOptions = {}): HouseCheck {
  const edition = options.edition ?? house.job.edition;
  const facts: Facts = {
    house,
    edition,
    circuits: Object.values(house.circuits),
    outlets: indexOutlets(house),
    views: Object.keys(house.rooms).map((id) => viewRoom(house, id)),
  };
  const findings: Finding[] = [];
  const passed: (() => Finding)[] = [];
  const statuses: RuleStatus[] = [];
  for (const rule of options.rules ?? rules) {
    const force = inForce(house, rule, edition);
    if (!force || force.off) {
      statuses.push({ ruleId: rule.id, status: force ? 'switched off' : 'not in this edition', amendment: force?.off });
      continue;
    }
    const verdicts = runRule(rule, facts, force.entry.limits);
    statuses.push({ ruleId: rule.id, status: verdicts ? 'checked' : 'not applicable', amendment: force.changed });
    for (const one of verdicts ?? []) {
      if (one.kind === 'pass') passed.push(() => toFinding(rule, one, force, house, edition));
      else findings.push(toFinding(rule, one, force, house, edition));
    }
  }
  let passes: readonly Finding[] | undefined;
  return {
    edition,
    findings: findings.sort((a, b) => gravity(a) - gravity(b)),
    statuses,
    // Hundreds of sentences that are read only when somebody asks why something is fine.
    get passes() {
      return (passes ??= passed.map((write) => write()));
    },
  };
}

/** A number of a rule in the edition in force, amendments applied. @throws when the rule or limit does not exist. */
export function limitInForce(house: House, ruleId: string, limit: string): number {
  const rule = rules.find((one) => one.id === ruleId);
  const force = rule && inForce(house, rule, house.job.edition);
  const value = force?.entry.limits[limit];
  if (value === undefined) throw new Error(`No limit "${limit}" in rule "${ruleId}" of ${house.job.edition}`);
  return value;
}

export { EDITIONS };
