import { MAKE_UP_IN, spotOfBox, spotOfFeature } from '../circuits/cable-run';
import { indexOutlets } from '../circuits/outlets';
import { keptRoutes } from '../circuits/kept-routes';
import type { Box, Feature, FeatureKind, House, Route } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import type { RouteLeg } from '../house/schema-route';
import { count } from '../units/count';
import { endOfBox, endOfFeature, type RouteEnd } from './ends';
import { framingGraph, holeHeight, LINE_IN, type Edge, type FramingGraph } from './framing-graph';
import { axesOf, squared } from '../plan/own-axes';
import { inOwnAxes, LegWriter, lengthOfLegs, onSheet } from './legs';
import { feetOf, routingOf, viaOf } from './pull-sheet';
import { Search, type Terminal } from './shortest';

/** Systems of low voltage that are wired with a cable; a sleeve is a raceway and ends where it is said. */
export const LOW_VOLTAGE_SYSTEMS = ['data', 'coax', 'speaker', 'alarm', 'thermostat', 'doorbell'] as const;
export type LowVoltageSystem = (typeof LOW_VOLTAGE_SYSTEMS)[number];
type Drop = Extract<Device, { kind: 'low-voltage' }>;

/**
 * What each system is wired with, and where its cables come home to: *common practice*, from memory, medium. Eight conductors to a thermostat serve a heat pump as
 * well. The maker's instructions and the trade that ends the cables go before it.
 */
const SYSTEMS: Readonly<
  Record<LowVoltageSystem, { readonly cable: string; readonly homes: readonly FeatureKind[]; readonly home: string }>
> = {
  data: { cable: 'Category 6', homes: ['low-voltage-enclosure'], home: 'a low-voltage enclosure' },
  coax: { cable: 'RG-6 coax', homes: ['low-voltage-enclosure'], home: 'a low-voltage enclosure' },
  speaker: { cable: '14-2 speaker, in-wall', homes: ['low-voltage-enclosure'], home: 'a low-voltage enclosure' },
  alarm: { cable: '22-4 alarm', homes: ['low-voltage-enclosure'], home: 'a low-voltage enclosure' },
  thermostat: { cable: '18-8 thermostat', homes: ['furnace', 'air-handler'], home: 'a furnace or an air handler' },
  doorbell: { cable: '18-2 bell', homes: [], home: 'a chime, and the chime to a transformer' },
};

/** Beside power for a longer stretch than this is told, and from how near; inches. NM cable is excepted from the 2 in of 800.133 and 725.136: *common practice*, medium. */
const BESIDE_IN = 6;
/** Holes of its own, so much over those of power, where the stud allows it: *common practice*, inches. */
const OVER_POWER_IN = 12;
/** What lying beside power costs more, so that another joist bay is taken where one is near. */
const APART = 1.4;
/** Left at the end in an enclosure or a unit, to be dressed and ended: *common practice*, inches. */
const HOME_TAIL_IN = 60;

/** One low-voltage cable from its box home. */
export interface LowVoltageRun {
  /** Device that it starts at. */
  readonly id: string;
  readonly system: LowVoltageSystem;
  readonly cable: string;
  readonly box: Box;
  /** What it comes home to, and the room that is in. */
  readonly home: { readonly label: string; readonly room: string };
  readonly legs: readonly RouteLeg[];
  readonly via: string;
  /** Along its way, and to be cut with slack and what is left at both ends. */
  readonly lengthIn: number;
  readonly feet: number;
  /** How far it lies beside kept routes of power, inches. */
  readonly besideIn: number;
}

/** The low-voltage runs of a house, with what has no home yet. */
export interface LowVoltagePlan {
  readonly runs: readonly LowVoltageRun[];
  /** What cannot be led, with the remedy. */
  readonly problems: readonly string[];
  /** Feet by the kind of cable. */
  readonly totals: readonly { readonly cable: string; readonly runs: number; readonly feet: number }[];
}

interface Home {
  readonly label: string;
  readonly end: RouteEnd;
}

interface Start {
  readonly box: Box;
  readonly device: Drop;
}

const systemOf = ({ system }: Drop): LowVoltageSystem | undefined => (system === 'sleeve' ? undefined : system);
const isChime = ({ device }: Start): boolean => device.system === 'doorbell' && device.bell === 'chime';

function dropsOf(house: House): readonly Start[] {
  return Object.values(house.boxes).flatMap((box) =>
    Object.values(box.devices).flatMap((device) =>
      device.kind === 'low-voltage' && systemOf(device) ? [{ box, device }] : [],
    ),
  );
}

/** The box of the transformer that rings the chime: where its load is connected. */
const transformersOf = (house: House): readonly Box[] =>
  indexOutlets(house).loads.flatMap(({ load, box }) => (load?.kind === 'doorbell-transformer' ? [box] : []));

const labelOf = (feature: Feature): string => feature.name || feature.kind.replaceAll('-', ' ');

/** Where low voltage of a house comes home, and the graph with holes of its own. */
class Homes {
  readonly graph: FramingGraph;
  readonly #drops: readonly Start[];

  constructor(
    /** Squared to the sheet, with its drops. */
    readonly house: House,
    drops: readonly Start[],
  ) {
    const lineIn = house.standards.routing?.lineIn ?? LINE_IN;
    const graph = framingGraph(house, lineIn);
    const own = (edge: Edge): Edge =>
      edge.crossing && edge.heightIn !== undefined
        ? { ...edge, heightIn: holeHeight(edge.crossing, lineIn + OVER_POWER_IN) ?? edge.heightIn }
        : edge;
    this.graph = { ...graph, edges: graph.edges.map(own) };
    this.#drops = drops;
  }

  /** What a cable may come home to; those of its own dwelling unit where there are any. */
  of({ box, device }: Start): readonly Home[] {
    const { house, graph } = this;
    const unitOf = (room: string) => house.rooms[room]!.unit;
    const near = <T extends { readonly room: string }>(all: readonly T[]): readonly T[] => {
      const own = all.filter((one) => unitOf(one.room) === unitOf(box.room));
      return own.length > 0 ? own : all;
    };
    if (device.system === 'doorbell') {
      const boxes = isChime({ box, device })
        ? transformersOf(house)
        : this.#drops.filter(isChime).map((one) => one.box);
      return near(boxes).map((one) => ({ label: one.tag, end: endOfBox(house, graph, one) }));
    }
    const kinds = SYSTEMS[systemOf(device)!].homes;
    const features = Object.values(house.features).filter((one) => kinds.includes(one.kind));
    return near(features).map((one) => ({ label: labelOf(one), end: endOfFeature(house, graph, one) }));
  }
}

type Segment = { readonly at: number; readonly from: number; readonly to: number; readonly axis: 'x' | 'y' };
const spaceKey = ({ over, under }: { over: string | null; under: string | null }) => `${over}/${under}`;

/** Stretches of a way over a lattice, along one axis each. */
const segmentsOf = ({ points }: Extract<RouteLeg, { kind: 'space' }>): readonly Segment[] =>
  points.slice(1).map((to, i) => {
    const from = points[i]!;
    const axis = Math.abs(to.x - from.x) >= Math.abs(to.y - from.y) ? 'x' : 'y';
    const across = axis === 'x' ? 'y' : 'x';
    return { axis, at: from[across], from: Math.min(from[axis], to[axis]), to: Math.max(from[axis], to[axis]) };
  });

const common = (a: { from: number; to: number }, b: { from: number; to: number }): number =>
  Math.max(0, Math.min(a.to, b.to) - Math.max(a.from, b.from));

/** Where power lies: what low voltage keeps away from. */
class Power {
  readonly #spaces = new Map<string, Segment[]>();
  readonly #studs: Extract<RouteLeg, { kind: 'studs' }>[] = [];

  constructor(routes: Iterable<Pick<Route, 'legs'>>) {
    for (const { legs } of routes)
      for (const leg of legs) {
        if (leg.kind === 'studs') this.#studs.push(leg);
        if (leg.kind !== 'space') continue;
        const key = spaceKey(leg);
        this.#spaces.set(key, [...(this.#spaces.get(key) ?? []), ...segmentsOf(leg)]);
      }
  }

  /** The longest stretch that one cable of power lies beside another of a space, inches. */
  #besideInSpace(key: string, one: Segment): number {
    let most = 0;
    for (const other of this.#spaces.get(key) ?? [])
      if (other.axis === one.axis && Math.abs(other.at - one.at) < BESIDE_IN) most = Math.max(most, common(one, other));
    return most;
  }

  isBeside(graph: FramingGraph, { kind, a, b }: Edge): boolean {
    const [p, q] = [graph.nodes[a]!, graph.nodes[b]!];
    if (kind !== 'space' || p.kind !== 'space') return false;
    const key = spaceKey({ over: p.space.over?.id ?? null, under: p.space.under?.id ?? null });
    const points = [p, q].map(({ x, y }) => ({ x, y }));
    const [segment] = segmentsOf({ kind: 'space', over: null, under: null, points, z: p.z });
    return this.#besideInSpace(key, segment!) > (segment!.to - segment!.from) / 2;
  }

  /** How far a way lies beside power, inches. */
  beside(legs: readonly RouteLeg[]): number {
    return legs.reduce((sum, leg) => {
      if (leg.kind === 'space')
        return sum + segmentsOf(leg).reduce((all, one) => all + this.#besideInSpace(spaceKey(leg), one), 0);
      if (leg.kind !== 'studs') return sum;
      const span = (one: typeof leg) => ({ from: Math.min(one.fromIn, one.toIn), to: Math.max(one.fromIn, one.toIn) });
      const near = this.#studs.filter(
        (one) => one.room === leg.room && Math.abs(one.heightIn - leg.heightIn) < BESIDE_IN,
      );
      return sum + Math.max(0, ...near.map((one) => common(span(one), span(leg))));
    }, 0);
  }
}

/**
 * Every low-voltage cable of a house by the shortest way home through its framing: in holes of its own over those of power, in other joist
 * bays where one is near. Derived, never kept: who ends these cables often leads them otherwise. What has no home, or no way there, is said.
 */
export function lowVoltagePlan(drawn: House): LowVoltagePlan {
  const house = squared(drawn);
  const axes = axesOf(drawn.rooms);
  const drops = dropsOf(house);
  if (drops.length === 0) return { runs: [], problems: [], totals: [] };
  const homes = new Homes(house, drops);
  const { graph } = homes;
  const power = new Power([...keptRoutes(drawn).sound.values()].map(({ legs }) => ({ legs: inOwnAxes(axes, legs) })));
  const costs = graph.edges.map((edge) => edge.lengthIn * (power.isBeside(graph, edge) ? APART : 1));
  const search = new Search(graph);
  const terminals = ({ entries }: RouteEnd): Terminal[] =>
    entries.map(({ node, lengthIn }) => ({ node, cost: lengthIn }));
  const { slackIn } = routingOf(house);
  const runs: LowVoltageRun[] = [];
  const homeless = new Map<LowVoltageSystem, Start[]>();
  const problems: string[] = [];
  for (const start of drops) {
    const { box, device } = start;
    const system = systemOf(device)!;
    const from = endOfBox(house, graph, box);
    const all = homes.of(start);
    if (all.length === 0) {
      homeless.set(system, [...(homeless.get(system) ?? []), start]);
      continue;
    }
    const ways = all.flatMap((home) => {
      const found = search.find(terminals(from), terminals(home.end), (e) => costs[e]!, 1);
      return found ? [{ home, found }] : [];
    });
    const best = ways.toSorted((a, b) => a.found.cost - b.found.cost)[0];
    if (!best) {
      problems.push(
        `No way through the framing leads from ${box.tag} to ${all[0]!.label}. Say what lies above and below their levels.`,
      );
      continue;
    }
    const { home, found } = best;
    const legs = [...new LegWriter(house, graph, from, home.end).write(found)];
    const lengthIn = lengthOfLegs(legs);
    const tailIn = device.system === 'doorbell' ? MAKE_UP_IN : HOME_TAIL_IN;
    runs.push({
      id: device.id,
      system,
      cable: SYSTEMS[system].cable,
      box: drawn.boxes[box.id]!,
      home: { label: home.label, room: home.end.room },
      legs: house === drawn ? legs : onSheet(axes, legs),
      via: viaOf(house, { legs }),
      lengthIn,
      feet: feetOf(lengthIn, slackIn, MAKE_UP_IN + tailIn),
      besideIn: power.beside(legs),
    });
  }
  for (const [system, starts] of homeless) problems.push(sayHomeless(system, starts));
  problems.push(...enclosuresWithoutPower(house));
  return { runs, problems, totals: totalsOf(runs) };
}

/** From an enclosure to the receptacle that feeds what stands in it: the cord of a plug-in supply, *common practice*, inches. */
const CORD_IN = 72;

function enclosuresWithoutPower(house: House): string[] {
  return Object.values(house.features).flatMap((feature) => {
    if (feature.kind !== 'low-voltage-enclosure') return [];
    const at = spotOfFeature(house, feature);
    const isFed = indexOutlets(house).all.some(({ device, box, room }) => {
      if (device.kind !== 'receptacle' || room.id !== feature.room) return false;
      const there = spotOfBox(house, box);
      return Math.hypot(there.x - at.x, there.y - at.y, there.z - at.z) <= CORD_IN;
    });
    const { name } = house.rooms[feature.room]!;
    return isFed
      ? []
      : [`The ${labelOf(feature)} in ${name} has no receptacle within 6 ft: what stands in it needs one.`];
  });
}

function sayHomeless(system: LowVoltageSystem, starts: readonly Start[]): string {
  const tags = starts.map((one) => one.box.tag).join(', ');
  if (system !== 'doorbell')
    return `${count(starts.length, `${system} drop`)} (${tags}) ${starts.length === 1 ? 'comes' : 'come'} home to nothing: draw ${SYSTEMS[system].home}.`;
  return starts.every(isChime)
    ? `The chime at ${tags} has no transformer: connect a load of that kind to a box.`
    : `The doorbell at ${tags} rings nothing: call one doorbell device the chime.`;
}

function totalsOf(runs: readonly LowVoltageRun[]): LowVoltagePlan['totals'] {
  const sums = new Map<string, { cable: string; runs: number; feet: number }>();
  for (const { cable, feet } of runs) {
    const sum = sums.get(cable) ?? { cable, runs: 0, feet: 0 };
    sums.set(cable, { cable, runs: sum.runs + 1, feet: sum.feet + feet });
  }
  return [...sums.values()];
}
