import { memo, sameParts } from '../cache/memo';
import type { Outlet } from '../circuits/outlets';
import type { Box, House, MakeUp } from '../house/schema';
import { makeUpSchema } from '../house/schema';
import { Memory } from '../cache/memory';
import type { Problem } from '../units/result';
import { cablesOf, type CableRunOf, type Conductor, type WiredCable } from './cables';
import { chainOrder, treeDistances, type Chain } from '../feed/chain';
import { WireCounter } from './count-wire';
import { schemeParents, storedCables, storedTree, treeOf, type FeedTree, type SchemeParents } from '../feed/feed-tree';
import { findNeeds, planSignals, type Needs, type SignalPlan, type TerminalName } from './signals';
import { wiringUnits, type WiringUnit } from '../feed/unit';
import { UnitLengths } from '../feed/unit-lengths';

/** One unit with everything that follows from its feed order. */
export interface UnitWiring {
  readonly unit: WiringUnit;
  readonly tree: FeedTree;
  readonly plan: SignalPlan;
  readonly runs: readonly CableRunOf[];
  readonly problems: readonly Problem[];
}

/** A cable where it enters a box. */
export interface CableEnd {
  readonly run: CableRunOf;
  readonly cable: WiredCable;
  /** `b` where the power comes in, `a` where it goes on. */
  readonly end: 'a' | 'b';
}

/** An end of a conductor in a box. */
export interface ConductorEnd {
  readonly id: string;
  readonly conductor: Conductor;
  readonly cable: CableEnd;
}

/** A screw or lead of a device in a box. */
export interface Terminal {
  readonly id: string;
  readonly outlet: Outlet;
  readonly name: TerminalName;
}

/** What is joined in a box: conductor ends and terminals that are one piece of metal afterwards. */
export interface Join {
  readonly id: string;
  /** What it is meant to be; the proof does not read it. */
  readonly words: string;
  readonly kind: Conductor['color'] | 'mixed';
  readonly signal: string;
  readonly ends: readonly ConductorEnd[];
  readonly terminals: readonly Terminal[];
  /** splice: a connector, with a pigtail to each terminal; device: through the screws of a device; jumper: from device to device. */
  readonly via: 'direct' | 'splice' | 'device' | 'jumper' | 'capped' | 'open';
}

/** A box with the cables that enter it, and how it is to be made up. */
export interface BoxMakeUp {
  readonly box: Box;
  readonly cables: readonly CableEnd[];
  /** The circuits that come here. */
  readonly units: readonly UnitWiring[];
  readonly feed: MakeUp['feed'];
}

interface HouseWiring {
  readonly units: readonly UnitWiring[];
  readonly boxes: ReadonlyMap<string, BoxMakeUp>;
}

const USUAL_MAKE_UP: MakeUp = makeUpSchema.parse({});
/** The standards of make-up of a house. */
export const makeUpOf = (house: Pick<House, 'standards'>): MakeUp => house.standards.makeUp ?? USUAL_MAKE_UP;

function needsAlong(house: House, unit: WiringUnit, tree: FeedTree): Needs {
  const distance = treeDistances(tree);
  const chains = unit.groups.map((group): Chain => chainOrder(group, distance));
  return findNeeds(house, unit, tree, chains);
}

/** Wires one unit along a tree; what its terminals need may be known already. */
export function wireUnit(
  house: House,
  unit: WiringUnit,
  tree: FeedTree,
  needs: Needs = needsAlong(house, unit, tree),
): UnitWiring {
  const plan = planSignals(tree, needs);
  const runs = cablesOf(house, unit, tree, plan);
  const unfed = tree.unfed.map((box): Problem => ({
    code: 'unfed',
    path: `boxes.${box.id}`,
    message: `No cable reaches ${box.tag}. Draw one from a box of ${unit.circuits[0]!.name}, or let the tool find the feed order.`,
  }));
  return { unit, tree, plan, runs, problems: [...unit.problems, ...unfed, ...runs.flatMap((run) => run.problems)] };
}

/** A tree of another scheme is taken when it saves so many conductor-feet: less is within the error of the lengths. */
const WORTH_IT_FT = 1;
/** Cables that a box may come to by another scheme, if it has fewer by the first. */
const MANY_CABLES = 3;

/**
 * Wires a unit along the cables of the file; where there are none, by the scheme that takes the fewest conductor-feet, as long as
 * it neither doubles more runs nor brings more cables into one box than power to the switches first. What a search finds beyond
 * that is for a person to take: see `leastFeet`.
 */
export function wireByChoice(house: House, unit: WiringUnit): UnitWiring {
  const stored = storedTree(house, unit);
  if (stored) return wireUnit(house, unit, stored);
  const lengths = new UnitLengths(house, unit);
  const ways = schemeParents(unit, lengths);
  const counter = ways.length > 1 ? new WireCounter(house, unit, lengths) : undefined;
  const { scheme, parents } = counter ? leastOf(ways, counter) : ways[0]!;
  return wireUnit(house, unit, treeOf(lengths, parents, unit, scheme), counter?.needsOf(parents));
}

function leastOf(ways: readonly SchemeParents[], counter: WireCounter): SchemeParents {
  let best = ways[0]!;
  let least = counter.count(best.parents);
  for (const way of ways.slice(1)) {
    const count = counter.count(way.parents);
    const isWorse = count.doubled > least.doubled || count.mostCables > Math.max(MANY_CABLES, least.mostCables);
    if (!isWorse && least.feet - count.feet > WORTH_IT_FT) [best, least] = [way, count];
  }
  return best;
}

/** The parts that every unit's wiring reads; the same object while they are the same. */
const groundOf = memo(
  (_: House) => ({}),
  ({ rooms, openings, levels, features, panels, cables, routes, job }) => [
    rooms,
    openings,
    levels,
    features,
    panels,
    cables,
    routes,
    job.edition,
  ],
);
const NO_BOXES: readonly Box[] = [];
const unitMemory = new Memory<
  WiringUnit,
  {
    readonly ground: object;
    /** Boxes of drawn cables: one that a cable only passes through holds no outlet of the circuit, and decides lengths all the same. */
    readonly ends: readonly (Box | undefined)[];
    readonly wiring: UnitWiring;
  }
>();

/** One circuit that cannot be wired, by a fault of the program, takes no other down with it: it says so. */
function wireOrSay(house: House, unit: WiringUnit): UnitWiring {
  try {
    return wireByChoice(house, unit);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    const problem: Problem = {
      code: 'not-wired',
      path: `circuits.${unit.id}`,
      message: `${unit.circuits.map((one) => one.name).join(' and ')} could not be wired, by a fault of the program: ${reason}`,
    };
    const tree: FeedTree = { nodes: [], unfed: [], stored: false };
    const plan = planSignals(tree, findNeeds(house, { ...unit, outlets: [], groups: [] }, tree, []));
    return { unit, tree, plan, runs: [], problems: [...unit.problems, problem] };
  }
}

/** A unit's wiring, found again only when something that it reads is another object than last time. */
function rememberedUnit(house: House, unit: WiringUnit, ground: object): UnitWiring {
  const cables = storedCables(house, unit);
  const ends =
    cables.length === 0 ? NO_BOXES : cables.flatMap(({ from, to }) => [house.boxes[from ?? ''], house.boxes[to ?? '']]);
  const known = unitMemory.get(unit);
  if (known && known.ground === ground && sameParts(known.ends, ends)) return known.wiring;
  const wiring = wireOrSay(house, unit);
  unitMemory.set(unit, { ground, ends, wiring });
  return wiring;
}

/** How one unit is wired as the house stands: what everything that asks for its feed order reads, whoever decided it. */
export const wiringOf = (house: House, unit: WiringUnit): UnitWiring => rememberedUnit(house, unit, groundOf(house));

type RunEnd = { readonly run: CableRunOf; readonly end: 'a' | 'b' };

/** Runs by the boxes at their ends: what comes in before what goes on. */
const runsAt = memo((runs: readonly CableRunOf[]): ReadonlyMap<string, readonly RunEnd[]> => {
  const found = new Map<string, RunEnd[]>();
  const add = (box: string, one: RunEnd) => {
    const list = found.get(box);
    if (list) list.push(one);
    else found.set(box, [one]);
  };
  for (const run of runs) add(run.to.id, { run, end: 'b' });
  for (const run of runs) if (run.from) add(run.from.id, { run, end: 'a' });
  return found;
});

/** How a box is made up with the cables of some units. */
export function makeUpBox(house: House, box: Box, units: readonly UnitWiring[]): BoxMakeUp {
  const { feed } = makeUpOf(house);
  const cables: CableEnd[] = [];
  for (const { runs } of units)
    for (const { run, end } of runsAt(runs).get(box.id) ?? [])
      for (const cable of run.cables) cables.push({ run, cable, end });
  return { box, cables, units, feed };
}

/** What is joined in a box. Found when first asked for: most boxes are only counted. */
export const joinsOf = memo((makeUp: BoxMakeUp): readonly Join[] => joinSignals(makeUp));

/** Joins every signal of a box: what belongs together, under as few connectors as can be. */
function joinSignals({ feed, box, cables, units }: BoxMakeUp): readonly Join[] {
  const nets = new Map<string, { words: string; ends: ConductorEnd[]; terminals: Terminal[]; kind: Join['kind'] }>();
  const netOf = (key: string, words: string) => {
    let net = nets.get(key);
    if (!net) nets.set(key, (net = { words, ends: [], terminals: [], kind: 'mixed' }));
    return net;
  };
  for (const cable of cables)
    for (const conductor of cable.cable.conductors) {
      const end = { id: `${conductor.id}.${cable.end}`, conductor, cable };
      const { signal } = conductor;
      // All grounds of a box are one, whichever circuit they came with: NEC 250.148.
      if (signal?.kind === 'ground') netOf('ground', 'grounds').ends.push(end);
      else if (signal) netOf(signal.key, signal.words).ends.push(end);
      else netOf(`spare/${conductor.id}`, 'spare, capped').ends.push(end);
    }
  for (const { plan } of units)
    for (const need of plan.needsAt.get(box.id) ?? []) {
      const terminal = { id: `${need.outlet.device.id}.${need.terminal}`, outlet: need.outlet, name: need.terminal };
      const { signal } = need;
      netOf(
        signal.kind === 'ground' ? 'ground' : signal.key,
        signal.kind === 'ground' ? 'grounds' : signal.words,
      ).terminals.push(terminal);
    }
  const shared = units.some(({ unit }) => unit.circuits.length > 1);
  return [...nets].map(([key, { words, ends, terminals }]): Join => {
    const colors = new Set(ends.map((one) => one.conductor.color));
    const through =
      feed === 'through' &&
      key !== 'ground' &&
      !(shared && key.startsWith('neutral')) &&
      ends.length === 2 &&
      terminals.length === 1 &&
      terminals[0]!.outlet.device.kind === 'receptacle';
    const count = ends.length + terminals.length;
    const via =
      ends.length === 0
        ? terminals.length > 1
          ? 'jumper'
          : 'open'
        : count === 1
          ? 'capped'
          : count === 2 && terminals.length === 1
            ? 'direct'
            : through
              ? 'device'
              : 'splice';
    return {
      id: `${box.id}/${key}`,
      words,
      signal: key,
      kind: colors.size === 1 ? [...colors][0]! : 'mixed',
      ends,
      terminals,
      via,
    };
  });
}

const houseMemory = new Memory<House, HouseWiring>();
/** The last wiring of a house that had these circuits: most edits leave all of its units but one as they are. */
const lastWiring = new Memory<House['circuits'], { readonly makeUp: MakeUp; readonly wiring: HouseWiring }>();

const boxesIn = ({ tree }: UnitWiring): string[] => tree.nodes.map((node) => node.box.id);

/** Every circuit's feed order, cables and conductors, and how each box is made up. */
export function wireHouse(house: House): HouseWiring {
  const known = houseMemory.get(house);
  if (known) return known;
  const makeUp = makeUpOf(house);
  const ground = groundOf(house);
  const units = wiringUnits(house).map((unit) => rememberedUnit(house, unit, ground));
  const last = lastWiring.get(house.circuits);
  const before = last?.makeUp === makeUp ? last.wiring : undefined;
  const stays = new Set(before?.units.filter((one) => units.includes(one)));
  const changed = new Set([...units, ...(before?.units ?? [])].filter((one) => !stays.has(one)).flatMap(boxesIn));
  const here = new Map([...changed].map((id) => [id, [] as UnitWiring[]]));
  for (const wiring of units) for (const id of boxesIn(wiring)) here.get(id)?.push(wiring);
  // In the order of the file, whatever was made up again, so that the same house says the same in the same order.
  const boxes = new Map<string, BoxMakeUp>();
  for (const box of Object.values(house.boxes)) {
    const comers = here.get(box.id);
    const made = comers ? comers.length > 0 && makeUpBox(house, box, comers) : before?.boxes.get(box.id);
    if (made) boxes.set(box.id, made);
  }
  const wiring = { units, boxes };
  houseMemory.set(house, wiring);
  lastWiring.set(house.circuits, { makeUp, wiring });
  return wiring;
}
