import { cableBetween, estimateRun, spotOfBox, spotOfPanel } from '../circuits/cable-run';
import { measureCircuitLoad } from '../circuits/circuit-load';
import { indexOutlets, outletsOn, type Outlet } from '../circuits/outlets';
import { suggestCircuit } from '../circuits/suggest';
import { checkHouse, type Finding } from '../code/check-house';
import { protectionOf } from '../code/protection/circuit-protection';
import { rules } from '../code/rules/index';
import { switchesFor } from '../control/room-light';
import { edit, type Edited } from '../house/edit';
import type { Box, Circuit, House, Panel } from '../house/schema';
import type { NewId } from '../house/verbs';
import { arrangePanel } from '../panel/arrange';
import { buildSchedule } from '../panel/schedule';
import { refuse, succeed, type OnProgress, type Result } from '../units/result';
import { divide } from './cluster';
import { dutyOf, type Duty } from './duties';
import { circuitPrice } from '../panel/prices';
import { planningOf } from './schools';

export interface PlannedCircuit {
  readonly circuit: Circuit;
  readonly devices: readonly string[];
  readonly why: string;
  readonly section: string;
  /** What today's plan has: the circuit it grew from. */
  readonly before: Circuit | undefined;
  /** Devices that were elsewhere, or nowhere. */
  readonly moved: number;
}

export interface PlanTotals {
  readonly circuits: number;
  readonly unassigned: number;
  readonly cableFt: number;
  /** Breakers by kind. */
  readonly breakers: Readonly<Record<string, number>>;
  readonly cost: number;
  /** Mean and greatest share used of what the standard allows. */
  readonly meanUsed: number;
  readonly mostUsed: number;
  readonly legsApart: number;
  readonly violations: number;
}

export interface CircuitPlan {
  readonly planned: readonly PlannedCircuit[];
  readonly removed: readonly Circuit[];
  readonly before: PlanTotals;
  readonly after: PlanTotals;
  /** The house as it would be. */
  readonly house: House;
  /** What the rules would still object to; of locked circuits first. */
  readonly objections: readonly Finding[];
}

/** A room that one more circuit enters counts like so much cable: people want to know what a breaker switches off. */
const ROOM_FEE_IN = 10 * 12;
/** A circuit more counts like so much cable: breaker, space and label, at typical prices. */
const CIRCUIT_FEE_IN = 90 * 12;
const FEWEST_BOXES_OF_A_LEVEL = 4;

interface Place {
  readonly box: Box;
  readonly outlets: readonly Outlet[];
  readonly demand: number;
  readonly counter: boolean;
}
interface Pool {
  readonly duty: Duty;
  readonly places: readonly Place[];
}

/** Outlets by what they ask for; those of few boxes on a storey of their own go with the nearest storey. */
function poolsOf(house: House, outlets: readonly Outlet[]): Pool[] {
  const duties = new Map<string, { duty: Duty; outlets: { outlet: Outlet; duty: Duty }[] }>();
  for (const outlet of outlets) {
    const duty = dutyOf(house, outlet);
    if (!duty) continue;
    const known = duties.get(duty.pool);
    if (known) known.outlets.push({ outlet, duty });
    else duties.set(duty.pool, { duty, outlets: [{ outlet, duty }] });
  }
  for (const [key, small] of duties) {
    const [kind, level] = key.split(' ');
    const boxes = new Set(small.outlets.map(({ outlet }) => outlet.box)).size;
    if (!level || !house.levels[level] || boxes >= FEWEST_BOXES_OF_A_LEVEL) continue;
    const home = [...duties].find(
      ([other, one]) => other !== key && other.startsWith(`${kind} `) && one.outlets.length > small.outlets.length,
    );
    if (!home) continue;
    home[1].outlets.push(...small.outlets);
    duties.delete(key);
  }
  return [...duties.values()].map(({ duty, outlets: members }) => {
    const byBox = new Map<Box, { outlet: Outlet; duty: Duty }[]>();
    for (const one of members) byBox.set(one.outlet.box, [...(byBox.get(one.outlet.box) ?? []), one]);
    const places = [...byBox].map(([box, here]) => ({
      box,
      outlets: here.map((one) => one.outlet),
      demand: here.reduce((sum, one) => sum + one.duty.demand, 0),
      counter: here.some((one) => one.duty.counter),
    }));
    return { duty, places };
  });
}

function divideDuty(house: House, pool: Pool, panel: Panel | undefined, least: number): Place[][] {
  const { places, duty } = pool;
  if (duty.pool.startsWith('alone') || duty.pool === 'dishes') return [[...places]];
  const spots = places.map((place) => spotOfBox(house, place.box));
  const from = panel && spotOfPanel(house, panel);
  const lengths = spots.map((a) => spots.map((b) => cableBetween(a, b)));
  const rooms = [...new Set(places.map((place) => place.box.room))];
  const { clusters } = divide({
    root: spots.map((spot) => (from ? cableBetween(from, spot) : 0)),
    between: (i, j) => lengths[i]![j]!,
    demand: places.map((place) => place.demand),
    group: places.map((place) => rooms.indexOf(place.box.room)),
    groupFee: ROOM_FEE_IN,
    clusterFee: CIRCUIT_FEE_IN,
    least,
    ...(duty.pool === 'food' ? { marked: places.map((place) => place.counter) } : {}),
  });
  return clusters.map((one) => one.map((i) => places[i]!));
}

const byNumber = (a: readonly [string, number], b: readonly [string, number]) =>
  b[1] - a[1] || a[0].localeCompare(b[0]);

function nameOf(duty: Duty, outlets: readonly Outlet[]): string {
  if (duty.pool.startsWith('alone') || duty.pool === 'dishes' || duty.pool === 'alarms') return duty.title;
  const rooms = new Map<string, number>();
  for (const outlet of outlets) rooms.set(outlet.room.name, (rooms.get(outlet.room.name) ?? 0) + 1);
  const names = [...rooms].sort(byNumber).map(([name]) => name);
  const listed = names.slice(0, 2).join(', ') + (names.length > 2 ? ` and ${names.length - 2} more` : '');
  const prefix = { food: 'Counter: ', heat: 'Heat: ', lighting: 'Lights: ' }[duty.pool.split(' ')[0]!] ?? '';
  return `${prefix}${listed}`.slice(0, 80);
}

/** What a circuit for these outlets is: by the load where one stands alone, by the pool where they share. */
function circuitFor(house: House, duty: Duty, outlets: readonly Outlet[]): Omit<Circuit, 'id' | 'panel' | 'space'> {
  const suggested = suggestCircuit(house, outlets);
  const base = { ...suggested, name: nameOf(duty, outlets), purpose: duty.purpose, poles: duty.poles };
  if (duty.ratingA === undefined) {
    // A school of one cable keeps the breaker that the load and its receptacle want.
    return planningOf(house).wire === 'twelve' && base.awg === '14' ? { ...base, awg: '12' } : base;
  }
  return { ...base, ratingA: duty.ratingA, awg: duty.ratingA === 15 ? '14' : '12' };
}

interface Draft {
  readonly duty: Duty;
  outlets: Outlet[];
}

/** The circuit of today from which a new one grows: the one with most of its outlets. Each serves once. */
function matchCircuits(drafts: readonly Draft[], free: readonly Circuit[]): Map<Draft, Circuit> {
  const pairs = drafts.flatMap((draft) =>
    free.flatMap((circuit) => {
      const shared = draft.outlets.filter((one) => one.device.circuit === circuit.id).length;
      return shared > 0 && circuit.poles === draft.duty.poles ? [{ draft, circuit, shared }] : [];
    }),
  );
  pairs.sort(
    (a, b) =>
      b.shared - a.shared ||
      drafts.indexOf(a.draft) - drafts.indexOf(b.draft) ||
      a.circuit.id.localeCompare(b.circuit.id),
  );
  const found = new Map<Draft, Circuit>();
  const used = new Set<Circuit>();
  for (const { draft, circuit } of pairs)
    if (!found.has(draft) && !used.has(circuit)) {
      found.set(draft, circuit);
      used.add(circuit);
    }
  return found;
}

/** Alarms are joined by wire, so one circuit feeds all: the lighting circuit that most of them are near. */
function gatherAlarms(drafts: Draft[]): void {
  const isAlarm = (outlet: Outlet) => outlet.device.kind === 'alarm';
  const holders = drafts.filter((draft) => draft.outlets.some(isAlarm));
  if (holders.length < 2) return;
  const count = (draft: Draft) => draft.outlets.filter(isAlarm).length;
  const home = holders.reduce((best, one) => (count(one) > count(best) ? one : best));
  for (const draft of holders.filter((one) => one !== home)) {
    home.outlets.push(...draft.outlets.filter(isAlarm));
    draft.outlets = draft.outlets.filter((outlet) => !isAlarm(outlet));
  }
  const empty = drafts.findIndex((draft) => draft.outlets.length === 0);
  if (empty >= 0) drafts.splice(empty, 1);
}

/** One switch breaks one circuit: what a group controls is on the circuit that holds most of it. */
function gatherGroups(house: House, drafts: Draft[]): void {
  for (const group of Object.values(house.switchGroups)) {
    const mine = (draft: Draft) => draft.outlets.filter((one) => group.controls.includes(one.device.id));
    const holders = drafts.filter((draft) => mine(draft).length > 0);
    if (holders.length < 2) continue;
    const home = holders.reduce((best, one) => (mine(one).length > mine(best).length ? one : best));
    for (const draft of holders.filter((one) => one !== home)) {
      const moving = mine(draft);
      home.outlets.push(...moving);
      draft.outlets = draft.outlets.filter((outlet) => !moving.includes(outlet));
    }
  }
  for (let i = drafts.length - 1; i >= 0; i--) if (drafts[i]!.outlets.length === 0) drafts.splice(i, 1);
}

/** Puts every switch on the circuit of what it governs, or of the nearest lights where nobody has said. */
function rideAlong(house: House, outlets: readonly Outlet[], drafts: readonly Draft[]): void {
  const index = indexOutlets(house);
  const placed = new Map<string, Draft>();
  for (const draft of drafts) for (const outlet of draft.outlets) placed.set(outlet.device.id, draft);
  const wanted = new Set(outlets.filter((one) => one.device.kind === 'switch').map((one) => one.device.id));
  const governed = [...placed].flatMap(([id, draft]) => {
    const outlet = index.byDevice.get(id)!;
    return ['luminaire', 'fan', 'receptacle', 'connection'].includes(outlet.device.kind) ? [{ outlet, draft }] : [];
  });
  const lightsFirst = governed.sort(
    (a, b) => Number(b.outlet.device.kind === 'luminaire') - Number(a.outlet.device.kind === 'luminaire'),
  );
  for (const { outlet, draft } of lightsFirst) {
    if (outlet.device.kind === 'receptacle' && outlet.device.switched === 'no') continue;
    for (const control of switchesFor(house, index, outlet))
      if (wanted.delete(control.device.id)) draft.outlets.push(control);
  }
  for (const id of wanted) {
    const outlet = index.byDevice.get(id)!;
    const spot = spotOfBox(house, outlet.box);
    const near = lightsFirst
      .filter((one) => one.outlet.device.kind === 'luminaire')
      .map((one) => ({ draft: one.draft, far: cableBetween(spot, spotOfBox(house, one.outlet.box)) }))
      .sort((a, b) => a.far - b.far)[0];
    near?.draft.outlets.push(outlet);
  }
}

const circuitRules = rules.filter((rule) => rule.meta.stage === 'circuits');

/** A plan in numbers, as it stands. */
export function totalsOf(house: House): PlanTotals {
  const circuits = Object.values(house.circuits).filter((circuit) => outletsOn(house, circuit).length > 0);
  const breakers: Record<string, number> = {};
  let [cableFt, cost] = [0, 0];
  const used: number[] = [];
  for (const circuit of circuits) {
    const kind = protectionOf(house, circuit.id).fitted;
    const feet = estimateRun(house, circuit)?.cableFt ?? 0;
    breakers[kind] = (breakers[kind] ?? 0) + 1;
    cableFt += feet;
    cost += circuitPrice(circuit, kind, feet);
    used.push(measureCircuitLoad(house, circuit).used);
  }
  const [panel] = Object.values(house.panels);
  const { findings } = checkHouse(house, { rules: circuitRules });
  return {
    circuits: circuits.length,
    unassigned: indexOutlets(house).unassigned.length,
    cableFt,
    breakers,
    cost,
    meanUsed: used.reduce((sum, one) => sum + one, 0) / Math.max(1, used.length),
    mostUsed: Math.max(0, ...used),
    legsApart: panel ? buildSchedule(house, panel, () => 'plain').imbalance : 0,
    violations: findings.filter((one) => one.kind === 'fail' && one.severity === 'violation').length,
  };
}

/** Square feet times 3 VA in volt-amperes of 15 or 20 A circuits: how many general circuits 210.11(A) wants at least. */
function areaShortfall(house: House): boolean {
  const { findings } = checkHouse(house, { rules: circuitRules.filter((rule) => rule.id === 'general-circuits') });
  return findings.some((one) => one.kind === 'fail');
}

const LEAST: Readonly<Record<string, number>> = { food: 2, bath: 1, laundry: 1 };

function draftAll(house: House, outlets: readonly Outlet[], extra: number, onProgress: OnProgress): Draft[] {
  const pools = poolsOf(house, outlets);
  const [panel] = Object.values(house.panels);
  const general = pools.filter((pool) => /^(general|rooms) /.test(pool.duty.pool));
  const drafts = pools.flatMap((pool, i): Draft[] => {
    onProgress((0.8 * i) / pools.length, pool.duty.title);
    const more = general.indexOf(pool) === 0 ? extra : 0;
    const plain = divideDuty(house, pool, panel, LEAST[pool.duty.pool] ?? 0);
    const clusters = more === 0 ? plain : divideDuty(house, pool, panel, plain.length + more);
    return clusters.map((places) => ({ duty: pool.duty, outlets: places.flatMap((place) => place.outlets) }));
  });
  gatherAlarms(drafts);
  gatherGroups(house, drafts);
  rideAlong(house, outlets, drafts);
  return drafts;
}

interface Carried {
  readonly house: House;
  readonly edited: Edited;
  readonly planned: PlannedCircuit[];
  readonly removed: Circuit[];
}

/** Two circuits of the same name are told apart by a number. */
function numberAlike(planned: PlannedCircuit[]): void {
  for (const one of [...planned]) {
    const alike = planned.filter((other) => other.circuit.name === one.circuit.name);
    if (alike.length < 2) continue;
    for (const [n, other] of alike.entries()) {
      const k = planned.indexOf(other);
      planned[k] = { ...other, circuit: { ...other.circuit, name: `${one.circuit.name.slice(0, 76)} ${n + 1}` } };
    }
  }
}

function carryOut(house: House, drafts: readonly Draft[], free: readonly Circuit[], newId: NewId): Result<Carried> {
  const matched = matchCircuits(drafts, free);
  const kept = new Set(matched.values());
  const removed = free.filter((circuit) => !kept.has(circuit) && outletsOn(house, circuit).length > 0);
  const planned = drafts.map((draft): PlannedCircuit => {
    const before = matched.get(draft);
    const made = circuitFor(house, draft.duty, draft.outlets);
    const stays = before ? outletsOn(house, before).filter((one) => draft.outlets.includes(one)).length : 0;
    const own = before && stays * 2 >= outletsOn(house, before).length ? { name: before.name } : {};
    const circuit: Circuit = before
      ? { ...before, ...made, ...own, breaker: before.breaker, gfciFirst: before.gfciFirst }
      : { ...made, id: newId('circuit'), panel: null, space: null };
    const first = circuit.gfciFirst;
    const keepsFirst = draft.outlets.some((outlet) => outlet.device.id === first);
    return {
      circuit: keepsFirst ? circuit : { ...circuit, gfciFirst: null },
      devices: draft.outlets.map((outlet) => outlet.device.id),
      why: draft.duty.why,
      section: draft.duty.section,
      before,
      moved: draft.outlets.filter((outlet) => outlet.device.circuit !== circuit.id).length,
    };
  });
  numberAlike(planned);
  const onto = new Map(planned.flatMap((one) => one.devices.map((device) => [device, one.circuit.id] as const)));
  const gone = new Set(removed.map((circuit) => circuit.id));
  const assigned = edit(house, 'Plan the circuits', (draft) => {
    for (const { circuit } of planned) draft.circuits[circuit.id] = { ...circuit };
    for (const id of gone) delete draft.circuits[id];
    // A feed order that somebody drew holds for the boxes of that day only.
    const anew = new Set([...gone, ...planned.filter((one) => one.moved > 0).map((one) => one.circuit.id)]);
    for (const cable of Object.values(draft.cables)) if (anew.has(cable.circuit)) delete draft.cables[cable.id];
    for (const circuit of Object.values(draft.circuits))
      if (circuit.sharesNeutralWith && gone.has(circuit.sharesNeutralWith)) delete circuit.sharesNeutralWith;
    for (const box of Object.values(house.boxes))
      for (const device of Object.values(box.devices)) {
        const to = onto.get(device.id) ?? (device.circuit !== null && gone.has(device.circuit) ? null : device.circuit);
        if (to !== device.circuit) draft.boxes[box.id]!.devices[device.id]!.circuit = to;
      }
  });
  if (!assigned.ok) return assigned;
  const [panel] = Object.values(house.panels);
  const places = panel ? arrangePanel(assigned.value.house, panel) : {};
  const arranged = edit(assigned.value.house, 'Plan the circuits', (draft) => {
    for (const [id, space] of Object.entries(places)) Object.assign(draft.circuits[id]!, { panel: panel!.id, space });
  });
  if (!arranged.ok) return arranged;
  const { house: then } = arranged.value;
  return succeed({
    house: then,
    edited: {
      house: then,
      edit: {
        label: 'Plan the circuits',
        patches: [...assigned.value.edit.patches, ...arranged.value.edit.patches],
        inverse: [...arranged.value.edit.inverse, ...assigned.value.edit.inverse],
      },
    },
    planned: planned.map((one) => ({ ...one, circuit: then.circuits[one.circuit.id]! })),
    removed,
  });
}

/**
 * A circuit plan for the whole house: every outlet on a circuit, so that the rules and the firm's schools hold, rooms stay
 * together, cable is short and the legs of the panel are even. What a person has locked stays as it is. Pure; the same answer
 * every time, but for the ids of new circuits.
 */
export function planCircuits(
  house: House,
  newId: NewId,
  onProgress: OnProgress = () => undefined,
): Result<CircuitPlan> {
  const index = indexOutlets(house);
  if (index.all.length === 0)
    return refuse('nothing', 'boxes', 'There is no outlet to plan for. Place the boxes first, under Boxes.');
  const locked = new Set(Object.values(house.circuits).flatMap((circuit) => (circuit.locked ? [circuit.id] : [])));
  const outlets = index.all.filter((outlet) => !(outlet.device.circuit !== null && locked.has(outlet.device.circuit)));
  const free = Object.values(house.circuits).filter((circuit) => !locked.has(circuit.id));
  let carried: Result<Carried> | undefined;
  for (let extra = 0; extra < 8; extra++) {
    const drafts = draftAll(house, outlets, extra, onProgress);
    carried = carryOut(house, drafts, free, newId);
    if (!carried.ok) return carried;
    if (!areaShortfall(carried.value.house)) break;
  }
  onProgress(0.9, 'checking');
  const { house: then, planned, removed } = (carried as { ok: true; value: Carried }).value;
  const { findings } = checkHouse(then, { rules: circuitRules });
  const objections = findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
  const ofLocked = (one: Finding) => Number(one.where.circuit !== undefined && locked.has(one.where.circuit));
  return succeed({
    planned,
    removed,
    before: totalsOf(house),
    after: totalsOf(then),
    house: then,
    objections: objections.sort((a, b) => ofLocked(b) - ofLocked(a)),
  });
}

/** The plan as one edit of today's house; refused when the house has changed under it. */
export function acceptCircuitPlan(house: House, plan: CircuitPlan, made: House): Result<Edited> {
  if (house !== made)
    return refuse('changed', 'circuits', 'The house has changed since this plan was made. Plan the circuits again.');
  const { house: then } = plan;
  return edit(house, 'Plan the circuits', (draft) => {
    for (const id of Object.keys(house.circuits)) if (!then.circuits[id]) delete draft.circuits[id];
    for (const [id, circuit] of Object.entries(then.circuits))
      if (house.circuits[id] !== circuit) draft.circuits[id] = { ...circuit };
    for (const [id, box] of Object.entries(then.boxes))
      for (const device of Object.values(box.devices))
        if (house.boxes[id]!.devices[device.id]!.circuit !== device.circuit)
          draft.boxes[id]!.devices[device.id]!.circuit = device.circuit;
  });
}
