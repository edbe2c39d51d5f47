import { BREAKER_NAMES } from '../panel/breaker-names';
import { futuresOf, type Future } from '../brief/futures';
import { mustKnow } from '../brief/must-know';
import { keptRoutes, keyOf } from '../circuits/kept-routes';
import { indexOutlets, outletsOn } from '../circuits/outlets';
import type { Box, Circuit, House, Room } from '../house/schema';
import { boxFill, nameOfBox } from '../makeup/box-fill';
import { isInTheWalls } from '../makeup/cables';
import { unseenIn } from '../makeup/unseen';
import { wireHouse, type BoxMakeUp } from '../makeup/make-up';
import { checkHouse, type Finding } from '../nec/check-house';
import { protectionOf } from '../nec/protection/circuit-protection';
import { spaceWord } from '../circuits/panel-spaces';
import { staplesOf } from '../route/small-parts';
import { groupBy } from '../units/group-by';
import { rules } from '../nec/rules';
import { evidenceOfHouse } from './evidence';
import { walkingOrder } from '../walk/walk-sheets';
import { itemAt, mustGet } from '../units/result';

/** What was measured against what is required, for one place. */
export interface PacketLine {
  readonly what: string;
  readonly measured: string;
  readonly required: string;
  readonly section: string;
  readonly state: 'met' | 'fails' | 'open' | 'caution' | 'look';
}
interface PacketRoom {
  readonly room: Room;
  readonly lines: readonly PacketLine[];
}
interface FillRow {
  readonly tag: string;
  readonly room: string;
  readonly type: string;
  readonly usedIn3: number;
  readonly allowedIn3: number | undefined;
  readonly fits: boolean | undefined;
  /** Bare wires that are spliced in it, 250.148, and whether somebody has ticked it as made up. */
  readonly grounds: number;
  readonly isMadeUp: boolean;
}
interface CableRow {
  readonly circuit: string;
  readonly cable: string;
  readonly runs: number;
  readonly feet: number;
  /** Runs whose route is found: the others are estimates. */
  readonly routed: number;
}
interface AlarmRow {
  readonly tag: string;
  readonly room: string;
  readonly senses: string;
  readonly circuit: string;
}
interface ProtectionRow {
  readonly spaces: string;
  readonly circuit: Circuit;
  readonly breaker: string;
  readonly gfcis: string;
  readonly outlets: number;
}

/** What an inspector reads of a house at rough-in, computed from what is drawn; nothing in it is typed. */
interface InspectionPacket {
  /** Violations stand; nothing but questions stands; or nothing is open as far as the rules reach. */
  readonly verdict: 'not-ready' | 'questions' | 'ready';
  readonly violations: readonly Finding[];
  readonly questions: readonly Finding[];
  readonly rooms: readonly PacketRoom[];
  readonly house: readonly PacketLine[];
  readonly fills: readonly FillRow[];
  readonly protection: readonly ProtectionRow[];
  /** Boxes that wait for a decision. */
  readonly provisional: readonly string[];
  readonly cables: readonly CableRow[];
  /** Staples along the routes that are found, 334.30. */
  readonly staples: number;
  readonly alarms: readonly AlarmRow[];
  /** Rooms whose open walls nobody has photographed yet, with how many walls. */
  readonly unseen: readonly { readonly room: string; readonly walls: number }[];
  readonly ends: readonly Future[];
  /** What only the inspector can answer. */
  readonly asks: readonly string[];
}

function lineOf(one: Finding): PacketLine {
  const failing = one.severity === 'violation' ? 'fails' : one.severity === 'caution' ? 'caution' : 'look';
  return {
    what: one.message,
    measured: one.measured ?? '',
    required: one.required ?? '',
    section: one.section,
    state: one.kind === 'pass' ? 'met' : one.kind === 'cannot-tell' ? 'open' : failing,
  };
}

/** Boxes whose place or kind may still change. */
const WAITING: ReadonlySet<NonNullable<Box['state']>> = new Set(['undecided', 'not-delivered', 'held']);

const SUMMARIES: ReadonlyMap<string, string> = new Map(rules.map((rule) => [rule.id, rule.meta.summary]));

/** Lines of one place: what is open first; of what is met and has no number, one line a rule. */
function linesOf(all: readonly Finding[]): PacketLine[] {
  const plain = all.filter((one) => one.kind === 'pass' && !one.measured);
  const rest = all.filter((one) => !plain.includes(one));
  const byRule = groupBy(plain, (one) => one.ruleId);
  const merged = [...byRule].map(([id, some]): PacketLine => {
    const first = itemAt(some, 0);
    if (some.length === 1) return lineOf(first);
    return { ...lineOf(first), what: `${SUMMARIES.get(id) ?? id}: met ${some.length} times` };
  });
  const order = { fails: 0, open: 1, caution: 2, look: 3, met: 4 } as const;
  return [...rest.map(lineOf), ...merged].sort((a, b) => order[a.state] - order[b.state]);
}

const roomOf = (house: House, { where }: Finding): string | undefined =>
  where.room ?? (where.box ? house.boxes[where.box]?.room : undefined);

function toFillRow(house: House, makeUp: BoxMakeUp): FillRow {
  const fill = boxFill(house, makeUp);
  return {
    tag: makeUp.box.tag,
    room: mustGet(house.rooms, makeUp.box.room).name,
    type: nameOfBox(fill),
    usedIn3: fill.usedIn3,
    allowedIn3: fill.allowedIn3,
    fits: fill.fits,
    grounds: makeUp.cables.length,
    isMadeUp: makeUp.box.progress === 'made-up' || makeUp.box.progress === 'trimmed',
  };
}

/** The packet of a rough inspection, room by room in walking order, then what concerns the house as a whole. */
export function inspectionPacket(house: House): InspectionPacket {
  const check = checkHouse(house);
  const all = [...check.findings, ...check.passes];
  const byRoom = new Map<string, Finding[]>();
  const ofHouse: Finding[] = [];
  for (const one of all) {
    const id = roomOf(house, one);
    if (id && house.rooms[id]) byRoom.set(id, [...(byRoom.get(id) ?? []), one]);
    else ofHouse.push(one);
  }
  const violations = check.findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
  const questions = check.findings.filter((one) => one.kind === 'cannot-tell');
  const fills = [...wireHouse(house).boxes.values()]
    .filter((makeUp) => unseenIn(makeUp) === 'none')
    .map((makeUp) => toFillRow(house, makeUp));
  const circuits = Object.values(house.circuits).filter((circuit) => outletsOn(house, circuit).length > 0);
  return {
    verdict: violations.length > 0 ? 'not-ready' : questions.length > 0 ? 'questions' : 'ready',
    violations,
    questions,
    rooms: walkingOrder(house).flatMap((room) => {
      const lines = linesOf(byRoom.get(room.id) ?? []);
      return lines.length > 0 ? [{ room, lines }] : [];
    }),
    house: linesOf(ofHouse),
    fills: fills.sort((a, b) => a.tag.localeCompare(b.tag, 'en', { numeric: true })),
    protection: circuits
      .sort((a, b) => (a.space ?? 999) - (b.space ?? 999))
      .map((circuit) => {
        const { fitted, gfcis } = protectionOf(house, circuit.id);
        return {
          spaces: spaceWord(circuit),
          circuit,
          breaker: BREAKER_NAMES[fitted],
          gfcis: gfcis.map((one) => one.box.tag).join(', '),
          outlets: outletsOn(house, circuit).length,
        };
      }),
    provisional: Object.values(house.boxes)
      .filter((box) => box.state && WAITING.has(box.state))
      .map((box) => `${box.tag}: ${box.note ?? ''}`.replace(/: $/, '')),
    ...cablesOf(house),
    alarms: indexOutlets(house).alarms.flatMap(({ device, box, room }): AlarmRow[] => {
      if (device.kind !== 'alarm') return [];
      const wired = device.circuit === null ? 'no circuit yet' : (house.circuits[device.circuit]?.name ?? '');
      const circuit = device.battery ? `its own battery${device.wireless ? ', joined by radio' : ''}` : wired;
      return [{ tag: box.tag, room: room.name, senses: SENSES[device.senses], circuit }];
    }),
    unseen: evidenceOfHouse(house).flatMap(({ room, missing }) =>
      missing.length > 0 ? [{ room: room.name, walls: missing.length }] : [],
    ),
    ends: futuresOf(house),
    asks: mustKnow(house).flatMap(({ question, room, state }) =>
      question.who === 'inspector' && state === 'open' ? [`${room ? `${room.name}: ` : ''}${question.asks}`] : [],
    ),
  };
}

const SENSES = { smoke: 'smoke', co: 'carbon monoxide', 'smoke-co': 'smoke and carbon monoxide' } as const;

/** Cables by circuit and kind with their feet, and what holds those whose route is found. */
function cablesOf(house: House): Pick<InspectionPacket, 'cables' | 'staples'> {
  const { sound } = keptRoutes(house);
  const rows = new Map<string, { -readonly [K in keyof CableRow]: CableRow[K] }>();
  for (const { unit, runs } of wireHouse(house).units)
    for (const run of runs.filter((one) => !isInTheWalls(one)))
      for (const { kind } of run.cables) {
        const cable = `${run.awg}${kind}${run.metal === 'aluminum' ? ' aluminum' : ''}`;
        const circuit = unit.circuits.map((one) => one.name).join(' + ');
        const row = rows.get(`${unit.id} ${cable}`) ?? { circuit, cable, runs: 0, feet: 0, routed: 0 };
        row.runs++;
        row.feet += run.lengthIn / 12;
        if (sound.has(keyOf({ unit, from: run.from, to: run.to }))) row.routed++;
        rows.set(`${unit.id} ${cable}`, row);
      }
  return {
    cables: [...rows.values()],
    staples: [...sound.values()].reduce((sum, route) => sum + staplesOf(house, route), 0),
  };
}
