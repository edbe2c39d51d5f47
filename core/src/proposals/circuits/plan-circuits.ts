import { indexOutlets, outletsOn } from '../../circuits/outlets';
import { standingCircuits } from '../../circuits/standing';
import { checkHouse, type Finding } from '../../nec/check-house';
import { edit, type Edited } from '../../house/edit';
import type { Circuit, House } from '../../house/schema';
import type { NewId } from '../../house/new-box';
import { arrangePanels } from '../../panel/arrange';
import { refuse, succeed, type OnProgress, type Result } from '../../units/result';
import type { Worth } from './cluster-bound';
import { circuitFor, draftAll, type Draft } from './drafts';
import { circuitRules, totalsOf, type PlanTotals } from './plan-totals';
import { protectAtReceptacles } from './protect-circuits';
import { settleFeeds } from './settle-feeds';

/** A circuit that is proposed, with what it feeds and why. */
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

/** The circuits that are proposed for a house. */
export interface CircuitPlan {
  readonly planned: readonly PlannedCircuit[];
  readonly removed: readonly Circuit[];
  readonly before: PlanTotals;
  readonly after: PlanTotals;
  /** The house as it would be. */
  readonly house: House;
  /** Circuits whose feed order is drawn with the plan, since the usual one would fill a box beyond what it holds. */
  readonly settled: readonly string[];
  /** What the rules would still object to; of locked circuits first. */
  readonly objections: readonly Finding[];
  /** How well places were divided into circuits, by the planner's own measure, beside what is proven to be the least. */
  readonly worth: Worth;
}

/** Square feet times 3 VA in volt-amperes of 15 or 20 A circuits: how many general circuits 210.11(A) wants at least. */
function areaShortfall(house: House): boolean {
  const { findings } = checkHouse(house, { rules: circuitRules.filter((rule) => rule.id === 'general-circuits') });
  // So near to the limit that the walls decide, one more circuit is the answer that holds.
  return findings.length > 0;
}

/** The circuit of today from which a new one grows: the one with most of its outlets. Each serves once. */
function matchCircuits(drafts: readonly Draft[], free: readonly Circuit[]): Map<Draft, Circuit> {
  const pairs = drafts.flatMap((draft) =>
    free.flatMap((circuit) => {
      const shared = draft.outlets.filter((one) => one.device.circuit === circuit.id).length;
      return shared > 0 && circuit.poles === draft.requirement.poles ? [{ draft, circuit, shared }] : [];
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

/** A draft as the circuit that it becomes: one that stands already and keeps its place, or a new one. */
function toPlanned(house: House, draft: Draft, before: Circuit | undefined, newId: NewId): PlannedCircuit {
  const made = circuitFor(house, draft.requirement, draft.outlets);
  const stays = before ? outletsOn(house, before).filter((one) => draft.outlets.includes(one)).length : 0;
  const own = before && stays * 2 >= outletsOn(house, before).length ? { name: before.name } : {};
  const circuit: Circuit = before
    ? { ...before, ...made, ...own, breaker: before.breaker, gfciFirst: before.gfciFirst }
    : { ...made, id: newId('circuit'), panel: null, space: null };
  const keepsFirst = draft.outlets.some((outlet) => outlet.device.id === circuit.gfciFirst);
  return {
    circuit: keepsFirst ? circuit : { ...circuit, gfciFirst: null },
    devices: draft.outlets.map((outlet) => outlet.device.id),
    why: draft.requirement.why,
    section: draft.requirement.section,
    before,
    moved: draft.outlets.filter((outlet) => outlet.device.circuit !== circuit.id).length,
  };
}

function carryOut(house: House, drafts: readonly Draft[], free: readonly Circuit[], newId: NewId): Result<Carried> {
  const matched = matchCircuits(drafts, free);
  const kept = new Set(matched.values());
  const removed = free.filter((circuit) => !kept.has(circuit) && outletsOn(house, circuit).length > 0);
  const planned = drafts.map((draft) => toPlanned(house, draft, matched.get(draft), newId));
  numberAlike(planned);
  const onto = new Map(planned.flatMap((one) => one.devices.map((device) => [device, one.circuit.id] as const)));
  const gone = new Set(removed.map((circuit) => circuit.id));
  const assigned = edit(house, 'Plan the circuits', (draft) => {
    for (const { circuit } of planned) draft.circuits[circuit.id] = { ...circuit };
    for (const id of gone) delete draft.circuits[id];
    // A feed order that somebody drew holds for the boxes of that day only: not where some came, nor where some have left.
    const hasLost = ({ before, devices }: PlannedCircuit) =>
      before !== undefined && outletsOn(house, before).some((one) => !devices.includes(one.device.id));
    const changed = planned.filter((one) => one.moved > 0 || hasLost(one));
    const again = new Set([...gone, ...changed.map((one) => one.circuit.id)]);
    for (const cable of Object.values(draft.cables)) if (again.has(cable.circuit)) delete draft.cables[cable.id];
    for (const circuit of Object.values(draft.circuits))
      if (circuit.sharesNeutralWith && gone.has(circuit.sharesNeutralWith)) delete circuit.sharesNeutralWith;
    for (const box of Object.values(house.boxes))
      for (const device of Object.values(box.devices)) {
        const to = onto.get(device.id) ?? (device.circuit !== null && gone.has(device.circuit) ? null : device.circuit);
        if (to !== device.circuit) draft.boxes[box.id]!.devices[device.id]!.circuit = to;
      }
  });
  if (!assigned.ok) return assigned;
  const places = arrangePanels(assigned.value.house);
  const arranged = edit(assigned.value.house, 'Plan the circuits', (draft) => {
    for (const [id, place] of Object.entries(places)) Object.assign(draft.circuits[id]!, place);
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

/** A plan before its feed orders are settled and its totals counted. */
interface UncheckedPlan extends Carried {
  readonly objections: readonly Finding[];
  readonly worth: Worth;
}

/** What {@link planCircuits} plans, with what the rules of circuits would still object to. */
export function planUnchecked(house: House, newId: NewId, onProgress: OnProgress): Result<UncheckedPlan> {
  const index = indexOutlets(house);
  if (index.all.length === 0)
    return refuse('nothing', 'boxes', 'There is no outlet to plan for. Place the boxes first, under Boxes.');
  const locked = standingCircuits(house);
  // A new switch of a light that stays where it is follows its light.
  const standing = new Set([...locked].flatMap((id) => index.byCircuit.get(id) ?? []));
  // What stood here before hangs on some breaker of the house: a plan gives it no other.
  const outlets = index.all.filter(
    (outlet) => !standing.has(outlet) && !(outlet.box.state === 'existing' && outlet.device.circuit === null),
  );
  const free = Object.values(house.circuits).filter((circuit) => !locked.has(circuit.id));
  let carried: Result<Carried> | undefined;
  let worth: Worth = { costIn: 0, boundIn: 0 };
  for (let extra = 0; extra < 8; extra++) {
    const { drafts, worth: found } = draftAll(house, outlets, extra, onProgress);
    worth = found;
    carried = carryOut(house, drafts, free, newId);
    if (!carried.ok) return carried;
    if (!areaShortfall(carried.value.house)) break;
  }
  const { value } = carried as { ok: true; value: Carried };
  const { findings } = checkHouse(value.house, { rules: circuitRules });
  const objections = findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
  const ofLocked = (one: Finding) => Number(one.where.circuit !== undefined && locked.has(one.where.circuit));
  return succeed({ ...value, worth, objections: objections.sort((a, b) => ofLocked(b) - ofLocked(a)) });
}

/** Share of the work that is done before feed orders are settled. */
const UNCHECKED_SHARE = 0.6;

/**
 * A circuit plan for the whole house: every outlet on a circuit, so that the rules and the shop standards hold, rooms stay
 * together, cable is short, the legs of the panel are even, and no box gets too full where another feed order keeps it from that.
 * What a person has locked, and what existing boxes hang on, stays as it is. Pure; the same answer every time, but for the ids of new circuits.
 */
export function planCircuits(
  house: House,
  newId: NewId,
  onProgress: OnProgress = () => undefined,
): Result<CircuitPlan> {
  const unchecked = planUnchecked(house, newId, (share, note) => onProgress(share * UNCHECKED_SHARE, note));
  if (!unchecked.ok) return unchecked;
  const { removed, objections, worth } = unchecked.value;
  const fresh = unchecked.value.planned.flatMap(({ circuit, before }) => (before ? [] : [circuit]));
  const guarded = protectAtReceptacles(unchecked.value.house, fresh);
  const planned = unchecked.value.planned.map((one) => ({ ...one, circuit: guarded.circuits[one.circuit.id]! }));
  const settled = settleFeeds(guarded, (share, note) =>
    onProgress(UNCHECKED_SHARE + share * (1 - UNCHECKED_SHARE), `feed order of ${note}`),
  );
  return succeed({
    planned,
    removed,
    before: totalsOf(house),
    after: totalsOf(settled.house),
    house: settled.house,
    settled: settled.circuits,
    objections,
    worth,
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
    for (const id of Object.keys(house.cables)) if (!then.cables[id]) delete draft.cables[id];
    for (const [id, cable] of Object.entries(then.cables))
      if (house.cables[id] !== cable) draft.cables[id] = { ...cable };
    for (const [id, box] of Object.entries(then.boxes))
      for (const device of Object.values(box.devices))
        if (house.boxes[id]!.devices[device.id] !== device) draft.boxes[id]!.devices[device.id] = { ...device };
  });
}
