import { panelOfPart, partOf, servicePanel } from '../../circuits/panel-tree';
import { cableBetween, spotOfBox, spotOfPanel } from '../../circuits/cable-run';
import { indexOutlets, type Outlet } from '../../circuits/outlets';
import { suggestCircuit } from '../../circuits/suggest';
import { switchesFor } from '../../control/room-light';
import type { Box, Circuit, House, Panel } from '../../house/schema';
import type { OnProgress } from '../../units/result';
import { worthOf, type Worth } from './cluster-bound';
import { boxesAlongCounters } from './counter-splits';
import { divide, type ClusterProblem } from './cluster';
import { isFoodPool, requirementOf, leastCircuits, type CircuitRequirement } from './circuit-requirements';
import { planningOf } from './circuit-standards';
import { groupBy } from '../../units/group-by';

/** A room that one more circuit enters counts like so much cable: people want to know what a breaker switches off. */
const ROOM_FEE_IN = 10 * 12;
/** A circuit more counts like so much cable: breaker, space and label, at typical prices. */
const CIRCUIT_FEE_IN = 90 * 12;
const FEWEST_BOXES_OF_A_LEVEL = 4;
/** Pools that stand for a level, not for a room. */
const BY_LEVEL: ReadonlySet<string> = new Set(['general', 'rooms', 'lighting']);
/** How far circuits that are to be even may differ: the fullest holds so much of its share. */
const EVEN = 1.15;

interface Place {
  readonly box: Box;
  readonly outlets: readonly Outlet[];
  readonly demand: number;
  readonly counter: boolean;
}
interface Pool {
  readonly requirement: CircuitRequirement;
  readonly places: readonly Place[];
}

/** Outlets by what they ask for; those of few boxes on a story of their own go with the nearest story. */
function poolsOf(house: House, outlets: readonly Outlet[]): Pool[] {
  const requirements = new Map<
    string,
    { requirement: CircuitRequirement; outlets: { outlet: Outlet; requirement: CircuitRequirement }[] }
  >();
  for (const outlet of outlets) {
    const requirement = requirementOf(house, outlet);
    if (!requirement) continue;
    const known = requirements.get(requirement.pool);
    if (known) known.outlets.push({ outlet, requirement });
    else requirements.set(requirement.pool, { requirement, outlets: [{ outlet, requirement }] });
  }
  for (const [key, small] of requirements) {
    const [kind, level] = key.split(' ');
    const boxes = new Set(small.outlets.map(({ outlet }) => outlet.box)).size;
    if (!level || !BY_LEVEL.has(kind!) || boxes >= FEWEST_BOXES_OF_A_LEVEL) continue;
    const home = [...requirements].find(
      ([other, one]) => other !== key && other.startsWith(`${kind} `) && one.outlets.length > small.outlets.length,
    );
    if (!home) continue;
    home[1].outlets.push(...small.outlets);
    requirements.delete(key);
  }
  return [...requirements.values()].map(({ requirement, outlets: members }) => {
    const byBox = new Map<Box, { outlet: Outlet; requirement: CircuitRequirement }[]>();
    for (const one of members) byBox.set(one.outlet.box, [...(byBox.get(one.outlet.box) ?? []), one]);
    const places = [...byBox].map(([box, here]) => ({
      box,
      outlets: here.map((one) => one.outlet),
      demand: here.reduce((sum, one) => sum + one.requirement.demand, 0),
      counter: here.some((one) => one.requirement.counter),
    }));
    return { requirement, places };
  });
}

/** The question that dividing a pool into circuits comes down to. */
function problemOf(
  house: House,
  { places, requirement }: Pool,
  panel: Panel | undefined,
  least: number,
): ClusterProblem {
  const spots = places.map((place) => spotOfBox(house, place.box));
  const from = panel && spotOfPanel(house, panel);
  const lengths = spots.map((a) => spots.map((b) => cableBetween(a, b)));
  const rooms = [...new Set(places.map((place) => place.box.room))];
  // Where more circuits are wanted than the load fills, they are to be about even: not eleven lights and one.
  const whole = places.reduce((sum, place) => sum + place.demand, 0);
  const scale = requirement.pool.startsWith('lighting') && whole > 0 ? Math.max(1, least / EVEN / whole) : 1;
  return {
    root: spots.map((spot) => (from ? cableBetween(from, spot) : 0)),
    between: (i, j) => lengths[i]![j]!,
    demand: places.map((place) => Math.min(1, place.demand * scale)),
    group: places.map((place) => rooms.indexOf(place.box.room)),
    groupFee: ROOM_FEE_IN,
    clusterFee: CIRCUIT_FEE_IN,
    least,
    ...(isFoodPool(requirement.pool) ? { marked: places.map((place) => place.counter) } : {}),
  };
}

/** A pool divided into circuits; its worth where cable decided. */
interface Division {
  readonly clusters: readonly (readonly Place[])[];
  readonly worth: Worth | undefined;
}

function dividePool(house: House, pool: Pool, panel: Panel | undefined, least: number): Division {
  const { places, requirement } = pool;
  if (requirement.pool.startsWith('alone') || requirement.pool === 'dishes')
    return { clusters: [places], worth: undefined };
  if (isFoodPool(requirement.pool)) return { clusters: alternate(house, places, least), worth: undefined };
  const problem = problemOf(house, pool, panel, least);
  const { clusters, cost } = divide(problem);
  return { clusters: clusters.map((one) => one.map((i) => places[i]!)), worth: worthOf(problem, cost) };
}

/**
 * Small-appliance circuits by turns along each counter, so that kettle and toaster beside each other are on two; dining room and
 * pantry go to whichever has fewer, room by room. *Common practice*; cable is no object on so few feet.
 */
function alternate(house: House, places: readonly Place[], least: number): Place[][] {
  const demand = places.reduce((sum, one) => sum + one.demand, 0);
  const count = Math.min(places.length, Math.max(least, Math.ceil(demand - 1e-9)));
  const circuits = Array.from({ length: count }, (): Place[] => []);
  const kitchens = new Set(places.filter((one) => one.counter).map(({ box }) => house.rooms[box.room]!));
  const inOrder = new Map(
    [...kitchens].flatMap((room) => boxesAlongCounters(house, room).flat()).map((box, i) => [box, i]),
  );
  const alongOf = ({ box }: Place): number => inOrder.get(box) ?? inOrder.size;
  const ordered = [...places].sort(
    (a, b) =>
      Number(b.counter) - Number(a.counter) ||
      (a.box.room < b.box.room ? -1 : a.box.room > b.box.room ? 1 : 0) ||
      alongOf(a) - alongOf(b) ||
      (a.box.id < b.box.id ? -1 : 1),
  );
  const loadOf = (one: readonly Place[]) => one.reduce((sum, place) => sum + place.demand, 0);
  ordered.filter((one) => one.counter).forEach((place, i) => circuits[i % count]!.push(place));
  const byRoom = groupBy(
    ordered.filter((one) => !one.counter),
    (one) => one.box.room,
  );
  for (const room of byRoom.values()) {
    let home = circuits.reduce((best, one) => (loadOf(one) < loadOf(best) - 1e-9 ? one : best));
    for (const place of room) {
      if (loadOf(home) + place.demand > 1 + 1e-9)
        home = circuits.reduce((best, one) => (loadOf(one) < loadOf(best) - 1e-9 ? one : best));
      home.push(place);
    }
  }
  return circuits.filter((one) => one.length > 0);
}

/** The questions that planning a house asks, by the name of the pool: for comparing the answers with another solver's. */
export const clusterProblems = (house: House): ReadonlyMap<string, ClusterProblem> =>
  new Map(
    poolsOf(house, indexOutlets(house).all)
      .filter(({ requirement }) => !requirement.pool.startsWith('alone') && requirement.pool !== 'dishes')
      .map((pool) => [
        pool.requirement.pool,
        problemOf(house, pool, servicePanel(house), leastCircuits(house, pool.requirement.pool)),
      ]),
  );

const byNumber = (a: readonly [string, number], b: readonly [string, number]) =>
  b[1] - a[1] || a[0].localeCompare(b[0]);

function nameOf(requirement: CircuitRequirement, outlets: readonly Outlet[]): string {
  if (requirement.pool.startsWith('alone') || requirement.pool === 'dishes' || requirement.pool === 'alarms')
    return requirement.title;
  const rooms = new Map<string, number>();
  for (const outlet of outlets) rooms.set(outlet.room.name, (rooms.get(outlet.room.name) ?? 0) + 1);
  const names = [...rooms].sort(byNumber).map(([name]) => name);
  const listed = names.slice(0, 2).join(', ') + (names.length > 2 ? ` and ${names.length - 2} more` : '');
  const prefix = { food: 'Counter: ', heat: 'Heat: ', lighting: 'Lights: ' }[requirement.pool.split(' ')[0]!] ?? '';
  return `${prefix}${listed}`.slice(0, 80);
}

/** What a circuit for these outlets is: by the load where one stands alone, by the pool where they share. */
export function circuitFor(
  house: House,
  requirement: CircuitRequirement,
  outlets: readonly Outlet[],
): Omit<Circuit, 'id' | 'panel' | 'space'> {
  const suggested = suggestCircuit(house, outlets);
  const base = {
    ...suggested,
    name: nameOf(requirement, outlets),
    purpose: requirement.purpose,
    poles: requirement.poles,
  };
  if (requirement.ratingA === undefined) {
    // A standard of one cable keeps the breaker that the load and its receptacle want.
    return planningOf(house).wire === 'twelve' && base.awg === '14' ? { ...base, awg: '12' } : base;
  }
  return { ...base, ratingA: requirement.ratingA, awg: requirement.ratingA === 15 ? '14' : '12' };
}

/** A circuit that is to be: what it is for and what goes on it. */
export interface Draft {
  readonly requirement: CircuitRequirement;
  outlets: Outlet[];
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

/** The pools of each part that is fed apart, a structure or a dwelling unit: no circuit serves two of them, 210.25 and 225.30. */
function partsOf(house: House, outlets: readonly Outlet[]): (Pool & { readonly panel: Panel | undefined })[] {
  const parts = groupBy(outlets, ({ room }) => partOf(room));
  return [...parts].flatMap(([part, some]) => {
    const panel = panelOfPart(house, part);
    return poolsOf(house, some).map((pool) => ({ ...pool, panel }));
  });
}

/** Every outlet of some that are free on a circuit to be; `extra` general circuits more than their load asks for. */
export function draftAll(
  house: House,
  outlets: readonly Outlet[],
  extra: number,
  onProgress: OnProgress,
): { readonly drafts: Draft[]; readonly worth: Worth } {
  const pools = partsOf(house, outlets);
  const general = pools.filter((pool) => /^(general|rooms) /.test(pool.requirement.pool));
  let [costIn, boundIn] = [0, 0];
  const drafts = pools.flatMap((pool, i): Draft[] => {
    onProgress((0.8 * i) / pools.length, pool.requirement.title);
    const more = general.indexOf(pool) === 0 ? extra : 0;
    const plain = dividePool(house, pool, pool.panel, leastCircuits(house, pool.requirement.pool));
    const { clusters, worth } = more === 0 ? plain : dividePool(house, pool, pool.panel, plain.clusters.length + more);
    costIn += worth?.costIn ?? 0;
    boundIn += worth?.boundIn ?? 0;
    return clusters.map((places) => ({
      requirement: pool.requirement,
      outlets: places.flatMap((place) => place.outlets),
    }));
  });
  gatherAlarms(drafts);
  gatherGroups(house, drafts);
  rideAlong(house, outlets, drafts);
  return { drafts, worth: { costIn, boundIn } };
}
