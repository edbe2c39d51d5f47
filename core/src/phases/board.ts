import { evidenceOf } from '../close-out/evidence';
import { stateOf, testScript, type TestStep } from '../close-out/test-script';
import { keptRoutes } from '../circuits/kept-routes';
import { groupBy } from '../units/group-by';
import {
  BOX_PROGRESS,
  PHASES,
  type Box,
  type House,
  type Phase,
  type Room,
  type Route,
  type Task,
} from '../house/schema';
import { checkHouse, type Finding } from '../nec/check-house';
import { mustKnow, provisionalBoxes } from '../brief/must-know';
import { inRoom } from '../plan/room-view';
import { count } from '../units/count';
import { changesSince } from '../walk/changes';
import { walkingOrder } from '../walk/walk-sheets';
import { given, itemAt } from '../units/result';

/** What only the server knows of a house: the last revision that somebody has signed, as it was. */
interface Signed {
  readonly house: House;
  readonly number: number;
}

/** How far one room is in one phase, and what is in its way. */
export interface PhaseCell {
  readonly phase: Phase;
  /**
   * `done`; `begun`, some of it; `ready`, nothing is in its way; `blocked`; `none`, where there is nothing to do in this room.
   */
  readonly state: 'done' | 'begun' | 'ready' | 'blocked' | 'none';
  readonly done: number;
  readonly of: number;
  /** What has to happen first, the most important first. */
  readonly blocked: readonly string[];
  /** Who has open work in it. */
  readonly people: readonly string[];
}
/** A room with the state of each phase in it. */
export interface BoardRow {
  readonly room: Room;
  readonly cells: readonly PhaseCell[];
}

interface Work {
  readonly done: number;
  readonly of: number;
  /** What stands in the way beside the phase before and open tasks. */
  readonly blocked: readonly string[];
}

const NOTHING: Work = { done: 0, of: 0, blocked: [] };
const isAtLeast = ({ progress }: Box, step: (typeof BOX_PROGRESS)[number]): boolean =>
  progress !== undefined && BOX_PROGRESS.indexOf(progress) >= BOX_PROGRESS.indexOf(step);
const isOurs = ({ state }: Box): boolean => state !== 'existing';
const roomOfFinding = (house: House, { where }: Finding): string | undefined =>
  where.room ?? (where.box ? house.boxes[where.box]?.room : undefined);
/** Stages whose violations keep boxes from being final. */
const OF_BOXES: ReadonlySet<string> = new Set(['boxes', 'switching', 'house']);

/** What the rooms of a house share while their board is made. */
interface Sight {
  readonly house: House;
  readonly signed: Signed | 'not asked' | undefined;
  readonly violations: ReadonlyMap<string | undefined, readonly Finding[]>;
  readonly routes: ReadonlyMap<string, readonly Route[]>;
  readonly steps: ReadonlyMap<string | undefined, readonly TestStep[]>;
  readonly unsigned: ReadonlyMap<string, number>;
  readonly asked: ReadonlyMap<string | undefined, number>;
}

function lookAt(house: House, signed: Signed | 'not asked' | undefined): Sight {
  const violations = checkHouse(house).findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
  const routes = new Map<string, Route[]>();
  for (const route of keptRoutes(house).sound.values())
    for (const id of [route.from, route.to]) {
      const room = id === null ? undefined : house.boxes[id]?.room;
      if (room && !routes.get(room)?.includes(route)) routes.set(room, [...(routes.get(room) ?? []), route]);
    }
  const unsigned = new Map<string, number>();
  if (signed && signed !== 'not asked')
    for (const { room } of changesSince(signed.house, house)) unsigned.set(room, (unsigned.get(room) ?? 0) + 1);
  const waits = provisionalBoxes(house).size > 0;
  const asked = new Map<string | undefined, number>();
  if (waits)
    for (const { state, rests, room } of mustKnow(house))
      if (state === 'open' && rests.length > 0) asked.set(room?.id, (asked.get(room?.id) ?? 0) + 1);
  return {
    house,
    signed,
    violations: groupBy(violations, (one) => roomOfFinding(house, one)),
    routes,
    steps: groupBy(testScript(house), (one) => one.room?.id),
    unsigned,
    asked,
  };
}

const boxesOf = ({ house }: Sight, room: Room): readonly Box[] => inRoom(house.boxes, room.id).filter(isOurs);

function boxWork(sight: Sight, room: Room): Work {
  const boxes = boxesOf(sight, room);
  const wrong = (sight.violations.get(room.id) ?? []).filter((one) => OF_BOXES.has(one.stage));
  const open = sight.asked.get(room.id) ?? 0;
  const blocked = [
    ...(wrong.length > 0 ? [`${count(wrong.length, 'violation')}: ${itemAt(wrong, 0).message}`] : []),
    ...(open > 0 ? [`${count(open, 'question')} of the brief open`] : []),
  ];
  const of = boxes.length + wrong.length;
  return { done: blocked.length === 0 ? of : boxes.length - Math.min(boxes.length, wrong.length), of, blocked };
}

const tickWork =
  (step: (typeof BOX_PROGRESS)[number]) =>
  (sight: Sight, room: Room): Work => {
    const boxes = boxesOf(sight, room).filter((box) => box.state !== 'future' || step !== 'trimmed');
    const waiting = step === 'trimmed' ? boxes.filter((box) => box.trimWaits && !isAtLeast(box, step)) : [];
    return {
      done: boxes.filter((box) => isAtLeast(box, step)).length,
      of: boxes.length,
      blocked: waiting.map((box) => `${box.tag} waits for ${given(box.trimWaits).replaceAll('-', ' ')}`),
    };
  };

function signedWork(sight: Sight, room: Room): Work {
  const of = boxesOf(sight, room).length;
  if (sight.signed === 'not asked') return NOTHING;
  if (!sight.signed) return { done: 0, of, blocked: of > 0 ? ['no revision is signed'] : [] };
  const changed = sight.unsigned.get(room.name) ?? 0;
  const words = `${count(changed, 'change')} since revision ${sight.signed.number} was signed`;
  return { done: Math.max(0, of - changed), of: Math.max(of, changed), blocked: changed > 0 ? [words] : [] };
}

const routeWork =
  (step: 'bored' | 'pulled') =>
  (sight: Sight, room: Room): Work => {
    const routes = sight.routes.get(room.id) ?? [];
    const expects = boxesOf(sight, room).some((box) =>
      Object.values(box.devices).some((one) => one.circuit !== null && one.circuit !== undefined),
    );
    const drops = step === 'pulled' ? boxesOf(sight, room).flatMap(dropsIn) : [];
    if (routes.length === 0 && (expects || drops.length === 0))
      return expects ? { done: 0, of: 1, blocked: ['no route of its cables is found yet'] } : NOTHING;
    const done = [...routes, ...drops].filter(({ done = [] }) => (done as readonly string[]).includes(step));
    return { done: done.length, of: routes.length + drops.length, blocked: [] };
  };

/** Low-voltage devices of a box that a cable is pulled to; a sleeve waits for one. */
const dropsIn = (box: Box) =>
  Object.values(box.devices).flatMap((one) => (one.kind === 'low-voltage' && one.system !== 'sleeve' ? [one] : []));

/** The last word of an inspection of a kind about a room. */
function inspected({ house }: Sight, room: Room, kind: 'rough' | 'final'): Work {
  const visits = Object.values(house.inspections)
    .filter((one) => one.kind === kind && (!one.rooms || one.rooms.includes(room.id)))
    .toSorted((a, b) => a.date.localeCompare(b.date));
  const last = visits.at(-1);
  const blocked = last?.result === 'corrections' ? [`corrections of ${last.date} by ${last.inspector}`] : [];
  return { done: last?.result === 'passed' ? 1 : 0, of: 1, blocked };
}

function insulationWork(sight: Sight, room: Room): Work {
  const { missing } = evidenceOf(sight.house, room);
  // Whoever insulates has said so, for the room or for the house; or trim goes in, which it does after.
  const isSaid = Object.values(sight.house.tasks).some(
    (one) => one.trade === 'insulation' && one.state === 'done' && (one.room ?? room.id) === room.id,
  );
  const closed = isSaid || boxesOf(sight, room).some((box) => isAtLeast(box, 'trimmed'));
  const words = `${count(missing.length, 'wall')} with boxes not photographed`;
  return { done: closed ? 1 : 0, of: 1, blocked: !closed && missing.length > 0 ? [words] : [] };
}

function testWork(sight: Sight, room: Room): Work {
  const steps = sight.steps.get(room.id) ?? [];
  const states = steps.map((one) => stateOf(one, sight.house.results[one.id]));
  const wrong = states.filter((one) => one === 'wrong').length;
  return {
    done: states.filter((one) => one === 'right').length,
    of: steps.length,
    blocked: wrong > 0 ? [`${count(wrong, 'test')} wrong`] : [],
  };
}

const WORK: Readonly<Record<Phase, (sight: Sight, room: Room) => Work>> = {
  box: boxWork,
  walk: tickWork('marked'),
  signed: signedWork,
  bored: routeWork('bored'),
  pulled: routeWork('pulled'),
  'made-up': tickWork('made-up'),
  rough: (sight, room) => inspected(sight, room, 'rough'),
  insulation: insulationWork,
  trim: tickWork('trimmed'),
  test: testWork,
  final: (sight, room) => inspected(sight, room, 'final'),
};

const isDue = (task: Task, phase: Phase): boolean => task.state === 'open' && task.due === phase;

function rowOf(sight: Sight, room: Room, tasks: readonly Task[]): BoardRow {
  const own = tasks.filter((one) => one.room === room.id || one.room === undefined);
  let before: Phase | undefined;
  const cells = PHASES.map((phase): PhaseCell => {
    const { done, of, blocked } = WORK[phase](sight, room);
    const due = own.filter((one) => isDue(one, phase));
    const waits = [
      ...blocked,
      ...due.map((one) => `${one.trade === 'electrician' ? '' : `${one.trade}: `}${one.what}`),
      ...(before ? [`${before.replace('-', ' ')} first`] : []),
    ];
    const people = [...new Set(due.flatMap((one) => one.for ?? []))];
    const base = { phase, done, of, people };
    if (of === 0 && due.length === 0) return { ...base, state: 'none', blocked: [] };
    if (done >= of && due.length === 0 && blocked.length === 0) return { ...base, state: 'done', blocked: [] };
    const state = waits.length > 0 ? 'blocked' : done > 0 ? 'begun' : 'ready';
    before ??= phase;
    return { ...base, state, blocked: waits };
  });
  return { room, cells };
}

/** The board of a house, with the revision that was signed, or without asking for one: every room in walking order with how far it is in each phase. Nothing of it is typed. */
export function boardOf(house: House, signed?: Signed | 'not asked'): readonly BoardRow[] {
  const sight = lookAt(house, signed);
  const tasks = Object.values(house.tasks).filter((one) => one.state === 'open');
  return walkingOrder(house)
    .map((room) => rowOf(sight, room, tasks))
    .filter((row) =>
      row.cells.some(
        (one) => one.phase !== 'rough' && one.phase !== 'final' && one.phase !== 'insulation' && one.state !== 'none',
      ),
    );
}

/** The first phase that is not done in every room: where the house stands. */
export function phaseOf(board: readonly BoardRow[]): Phase {
  return PHASES.find((_, i) => board.some((row) => !['done', 'none'].includes(itemAt(row.cells, i).state))) ?? 'final';
}
