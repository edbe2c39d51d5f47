import { EDITIONS, type Amendment, type Circuit, type Edition, type House } from '../house/schema';
import { groupBy } from '../units/group-by';
import { formatLength } from '../units/length';
import { indexOutlets } from '../circuits/outlets';
import { wireHouse, type BoxMakeUp, type UnitWiring } from '../wiring/make-up';
import { sameParts } from '../house/remember';
import { viewRoom, type RoomView } from '../plan/room-view';
import type {
  Basis,
  EditionEntry,
  Facts,
  Messages,
  ReadsBoxes,
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
  readonly rule: Rule;
  readonly edition: Edition;
  readonly entry: EditionEntry;
  readonly off: Amendment | undefined;
  readonly changed: Amendment | undefined;
}

/** The edition's entry of a rule with the house's amendments applied. */
function findForce(rule: Rule, edition: Edition, amendments: readonly Amendment[]): InForce | undefined {
  const entry = rule.meta.editions[edition] as EditionEntry | undefined;
  if (!entry) return undefined;
  const limits: Record<string, number> = { ...entry.limits };
  let changed: Amendment | undefined;
  for (const one of amendments)
    if (one.change.kind === 'limit' && one.change.limit in limits) {
      limits[one.change.limit] = one.change.value;
      changed = one;
    }
  return {
    rule,
    edition,
    entry: changed ? { ...entry, limits } : entry,
    off: amendments.find((one) => one.change.kind === 'off'),
    changed,
  };
}

type Forces = ReadonlyMap<Rule, InForce | undefined>;
const forcesByAmendments = new WeakMap<House['amendments'], Map<Edition, Forces>>();

/** How each rule is in force; the same objects as long as the amendments are, so that verdicts are remembered by them. */
function forcesOf({ amendments }: House, edition: Edition, list: readonly Rule[]): Forces {
  let byEdition = forcesByAmendments.get(amendments);
  if (!byEdition) forcesByAmendments.set(amendments, (byEdition = new Map()));
  let forces = byEdition.get(edition);
  if (!forces || list.some((rule) => !forces!.has(rule))) {
    const byRule = groupBy(Object.values(amendments), (one) => one.rule);
    forces = new Map([
      ...(forces ?? []),
      ...list.map((rule) => [rule, findForce(rule, edition, byRule.get(rule.id) ?? [])] as const),
    ]);
    byEdition.set(edition, forces);
  }
  return forces;
}

/** Verdicts of a rule about one thing; null where it does not apply to it. */
type Verdicts = readonly Verdict[] | null;
type Memory = Map<InForce, Verdicts>;

const roomMemory = new WeakMap<RoomView, Memory>();

function memoryOfRoom(view: RoomView): Memory {
  let memory = roomMemory.get(view);
  if (!memory) roomMemory.set(view, (memory = new Map()));
  return memory;
}

/** The parts of a house, boxes left out, that a rule about one circuit may read: the same object while they are the same. */
function groundOf(house: House): object {
  const { rooms, openings, features, levels, panels, circuits, cables, switchGroups, loads, standards, job } = house;
  const parts = [rooms, openings, features, levels, panels, circuits, cables, switchGroups, loads, standards, job];
  const known = grounds.get(rooms);
  if (known && sameParts(known, parts)) return known;
  grounds.set(rooms, parts);
  return parts;
}
const grounds = new WeakMap<House['rooms'], readonly object[]>();

interface Grounded {
  readonly ground: object;
  readonly memory: Memory;
}
const groundedMemory = new WeakMap<object, Grounded>();

/** What is remembered of a thing as long as it stands on the same ground. */
function memoryOn(ground: object, thing: object): Memory {
  let known = groundedMemory.get(thing);
  if (known?.ground !== ground) groundedMemory.set(thing, (known = { ground, memory: new Map() }));
  return known.memory;
}

/** Things that rules are about one by one, and what is remembered of each. */
interface Remembered<T> {
  readonly things: readonly T[];
  readonly memories: readonly Memory[];
}

/** What is remembered of a house, looked up once for all rules; its wiring when the first rule asks for it. */
class Memories {
  readonly ground: object;
  readonly rooms: Remembered<RoomView>;
  readonly circuits: Remembered<Circuit>;
  #units: Remembered<UnitWiring> | undefined;
  #makeUps: Remembered<BoxMakeUp> | undefined;

  constructor(readonly facts: Facts) {
    const { house, views, circuits, outlets } = facts;
    this.ground = groundOf(house);
    this.rooms = { things: views, memories: views.map(memoryOfRoom) };
    // The list of a circuit's outlets is the same object as long as circuit and outlets are.
    this.circuits = {
      things: circuits,
      memories: circuits.map((circuit) => memoryOn(this.ground, outlets.byCircuit.get(circuit.id)!)),
    };
  }

  #on<T extends object>(things: readonly T[]): Remembered<T> {
    return { things, memories: things.map((one) => memoryOn(this.ground, one)) };
  }

  get units(): Remembered<UnitWiring> {
    return (this.#units ??= this.#on(wireHouse(this.facts.house).units));
  }

  get makeUps(): Remembered<BoxMakeUp> {
    return (this.#makeUps ??= this.#on([...wireHouse(this.facts.house).boxes.values()]));
  }
}

const asList = (said: Verdict | readonly Verdict[]): readonly Verdict[] => ('kind' in said ? [said] : said);

/** The verdicts about each thing in turn, remembered, or null where the rule applies to none. */
function gather<T>(force: InForce, { things, memories }: Remembered<T>, find: (thing: T) => Verdicts): Verdicts {
  let all: Verdict[] | null = null;
  for (let i = 0; i < things.length; i++) {
    const memory = memories[i]!;
    let verdicts = memory.get(force);
    if (verdicts === undefined) memory.set(force, (verdicts = find(things[i]!)));
    if (verdicts) for (const one of verdicts) (all ??= []).push(one);
  }
  return all;
}

const boxesRead = ({ outlets }: Facts, reads: ReadsBoxes): object | undefined =>
  reads === 'none' ? undefined : outlets[reads];

const houseMemory = new WeakMap<InForce, { ground: object; boxes: object | undefined; verdicts: Verdicts }>();

/** The verdicts about the house by a rule that says what it reads; kept for the house that was checked last. */
function rememberedBy(force: InForce, ground: object, boxes: object | undefined, find: () => Verdicts): Verdicts {
  const known = houseMemory.get(force);
  if (known && known.ground === ground && known.boxes === boxes) return known.verdicts;
  const verdicts = find();
  houseMemory.set(force, { ground, boxes, verdicts });
  return verdicts;
}

/** The verdicts of one rule, or null where it applies to nothing. A rule that throws cannot tell, and says why. */
function runRule(force: InForce, facts: Facts, memories: Memories): Verdicts {
  const { rule, edition } = force;
  const { limits } = force.entry;
  try {
    if (rule.scope === 'house') {
      const find = () => (rule.appliesTo(facts) ? rule.check(facts, limits, report) : null);
      return rule.reads ? rememberedBy(force, memories.ground, boxesRead(facts, rule.reads), find) : find();
    }
    if (rule.scope === 'room')
      return gather(force, memories.rooms, (view) =>
        rule.appliesTo(view) ? rule.check(view, limits, report, edition) : null,
      );
    if (rule.scope === 'unit')
      return gather(force, memories.units, (unit) => asList(rule.check(facts, unit, limits, report)));
    if (rule.scope === 'make-up')
      return gather(force, memories.makeUps, (makeUp) => asList(rule.check(facts, makeUp, limits, report)));
    return gather(force, memories.circuits, (circuit) =>
      rule.appliesTo(facts, circuit) ? asList(rule.check(facts, circuit, limits, report)) : null,
    );
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

function writeFinding(one: Verdict, force: InForce, house: House): Finding {
  const place = [
    one.where.room,
    one.where.box,
    one.where.circuit,
    one.where.panel,
    one.where.feature,
    one.where.stretch?.fromIn.toFixed(1),
  ];
  const { rule } = force;
  const { meta } = rule;
  return {
    key: [rule.id, one.messageId, ...place.map((part) => part ?? '')].join('|'),
    ruleId: rule.id,
    kind: one.kind,
    severity: meta.severity,
    stage: meta.stage,
    edition: force.edition,
    section: one.detail.section ?? force.entry.section,
    basis: one.detail.basis ?? force.entry.basis,
    where: one.where,
    why: meta.why,
    remedies: one.detail.remedies ?? [],
    amendment: force.changed,
    ...sentence(rule, one, house),
  };
}

const written = new WeakMap<Verdict, { force: InForce; lengths: House['standards']['lengths']; finding: Finding }>();

/** A verdict in words; the same as long as the verdict is remembered and lengths are read the same way. */
function toFinding(one: Verdict, force: InForce, house: House): Finding {
  const { lengths } = house.standards;
  const known = written.get(one);
  if (known?.force === force && known.lengths === lengths) return known.finding;
  const finding = writeFinding(one, force, house);
  written.set(one, { force, lengths, finding });
  return finding;
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
  const list = options.rules ?? rules;
  const forces = forcesOf(house, edition, list);
  const memories = new Memories(facts);
  const findings: Finding[] = [];
  const said: { readonly force: InForce; readonly verdicts: readonly Verdict[] }[] = [];
  const statuses: RuleStatus[] = [];
  for (const rule of list) {
    const force = forces.get(rule);
    if (!force || force.off) {
      statuses.push({ ruleId: rule.id, status: force ? 'switched off' : 'not in this edition', amendment: force?.off });
      continue;
    }
    const verdicts = runRule(force, facts, memories);
    statuses.push({ ruleId: rule.id, status: verdicts ? 'checked' : 'not applicable', amendment: force.changed });
    if (!verdicts) continue;
    said.push({ force, verdicts });
    for (const one of verdicts) if (one.kind !== 'pass') findings.push(toFinding(one, force, house));
  }
  let passes: readonly Finding[] | undefined;
  return {
    edition,
    findings: findings.sort((a, b) => gravity(a) - gravity(b)),
    statuses,
    // Hundreds of sentences that are read only when somebody asks why something is fine.
    get passes() {
      return (passes ??= said.flatMap(({ force, verdicts }) =>
        verdicts.flatMap((one) => (one.kind === 'pass' ? [toFinding(one, force, house)] : [])),
      ));
    },
  };
}

/** A number of a rule in the edition in force, amendments applied. @throws when the rule or limit does not exist. */
export function limitInForce(house: House, ruleId: string, limit: string): number {
  const rule = rules.find((one) => one.id === ruleId);
  const force = rule && forcesOf(house, house.job.edition, rules).get(rule);
  const value = force?.entry.limits[limit];
  if (value === undefined) throw new Error(`No limit "${limit}" in rule "${ruleId}" of ${house.job.edition}`);
  return value;
}

export { EDITIONS };
