import { Conduction, tracePath, type Position } from './conduction';
import type { House } from '../house/schema';
import type { BoxMakeUp, UnitWiring } from '../makeup/make-up';
import { given, type Problem } from '../units/result';
import { netlistOf, type LoadPart, type NetGroup, type Netlist } from './netlist';

/** What was found wrong, with the positions that show it. */
export interface Flaw {
  readonly kind:
    | 'short'
    | 'neutral-grounded'
    | 'dark'
    | 'lit'
    | 'not-live'
    | 'neutral-missing'
    | 'foreign'
    | 'neutral-switched'
    | 'gfci-mixed'
    | 'gfci-reversed'
    | 'control-unpowered'
    | 'not-grounded'
    | 'alarm-apart'
    | 'not-wired';
  readonly message: string;
  /** Position of each switch of the group, in chain order: 0 or 1. */
  readonly positions: readonly number[];
  /** How the current gets there, where it does. */
  readonly path: readonly string[];
}

/** What every position of one group showed. */
export interface GroupProof {
  readonly group: NetGroup;
  readonly positions: number;
  readonly flaws: readonly Flaw[];
}

/** What was proved of a unit, and what is wrong with it. */
export interface Proof {
  readonly groups: readonly GroupProof[];
  /** Flaws that no switch has to do with. */
  readonly flaws: readonly Flaw[];
  readonly ok: boolean;
}

/** No group has more control points than this; all positions of twelve are 4096. */
const MOST_FLAWS = 4;

const say = (
  kind: Flaw['kind'],
  message: string,
  positions: readonly number[] = [],
  path: readonly string[] = [],
): Flaw => ({
  kind,
  message,
  positions,
  path,
});

/** What is wrong whatever the group: shorts, mixed neutrals, switched neutrals. */
function checkAlways(net: Netlist, now: Position, positions: readonly number[]): Flaw[] {
  const flaws: Flaw[] = [];
  const { sources } = net;
  for (const [i, a] of sources.entries())
    for (const b of sources.slice(i + 1)) {
      if (!now.same(a.point, b.point)) continue;
      const hots = [a, b].filter((one) => one.kind === 'hot').length;
      if (hots === 2) flaws.push(say('short', 'Two hots are joined.', positions));
      else if (hots === 1)
        flaws.push(
          say('short', `A hot is joined to ${a.kind === 'hot' ? b.kind : a.kind}: the breaker opens.`, positions),
        );
      else
        flaws.push(
          say(
            'neutral-grounded',
            'Neutral and ground are joined after the panel: current runs on the ground.',
            positions,
          ),
        );
    }
  for (const one of net.switches)
    for (const [name, point] of Object.entries(one.at))
      if (name !== 'neutral' && name !== 'ground' && now.sourcesAt(point).some((source) => source.kind === 'neutral'))
        flaws.push(
          say(
            'neutral-switched',
            `The switch at ${one.label} has the neutral on ${name}: it must break the hot (404.2(B)).`,
            positions,
          ),
        );
  return flaws;
}

function checkLive(load: LoadPart, now: Position, positions: readonly number[]): Flaw[] {
  if (now.runs(load)) return [];
  const [a, b] = [now.sourcesAt(load.a), now.sourcesAt(load.b)];
  if (a.some((one) => one.kind === 'hot' && one.id !== load.from))
    return [say('foreign', `${load.label} takes its hot from another circuit or the wrong leg.`, positions)];
  if (!a.some((one) => one.id === load.from))
    return [say('not-live', `${load.label} must always be live and is not.`, positions)];
  if (b.some((one) => one.kind === 'ground'))
    return [say('neutral-grounded', `${load.label} returns by the ground.`, positions)];
  return [say('neutral-missing', `${load.label} has no neutral of its own circuit.`, positions)];
}

/**
 * A GFCI has its feed on LINE and what it protects on LOAD: interchanged, it protects nothing upstream of its own contacts, and a
 * new one does not reset. Seen with its contacts open: LINE is then alive and LOAD dead.
 */
function checkLineAndLoad(net: Netlist): Flaw[] {
  return net.gfcis.flatMap((gfci) => {
    const open = new Conduction(net, gfci.id).with(new Map());
    const has = (name: 'line-hot' | 'line-neutral' | 'load-hot' | 'load-neutral') => {
      const point = gfci.at[name];
      const kind = name.endsWith('hot') ? 'hot' : 'neutral';
      return point !== undefined && open.sourcesAt(point).some((one) => one.kind === kind);
    };
    const fed = [
      ...(has('line-hot') && has('line-neutral') ? [] : ['LINE is not fed by both hot and neutral']),
      ...(has('load-hot') || has('load-neutral') ? ['LOAD is fed'] : []),
    ];
    return fed.length === 0
      ? []
      : [
          say(
            'gfci-reversed',
            `The GFCI at ${gfci.label}: with its contacts open, ${fed.join(' and ')}. Feed on LINE, what it protects on LOAD.`,
          ),
        ];
  });
}

/** Electronic controls need their own neutral, and their line alive while they are off: without either they do nothing. */
function checkControls(net: Netlist, copper: Conduction): Flaw[] {
  const off = copper.with(new Map());
  return net.switches.flatMap(({ label, at }) => {
    if (!at.neutral) return [];
    const kinds = (point: string) => off.sourcesAt(point).map((one) => one.kind);
    const flaws: Flaw[] = [];
    if (!kinds(at.neutral).includes('neutral'))
      flaws.push(
        kinds(at.neutral).includes('ground')
          ? say('neutral-grounded', `The control at ${label} returns by the ground.`)
          : say('control-unpowered', `The control at ${label} has no neutral of its own circuit: it does not work.`),
      );
    if (at.line && !kinds(at.line).includes('hot'))
      flaws.push(say('control-unpowered', `The control at ${label} has no hot on its line while it is off.`));
    return flaws;
  });
}

/** Opened, a GFCI takes hot and neutral from all behind it; who loses only one of them has its wires mixed. */
function checkGfcis(net: Netlist): Flaw[] {
  return net.gfcis.flatMap((gfci) => {
    const states = [0, 1].map((all) => new Map(net.switches.map((one) => [one.id, all])));
    return states.flatMap((positions) => {
      const open = new Conduction(net, gfci.id).with(positions);
      const closed = new Conduction(net).with(positions);
      return net.loads
        .filter((load) => load.volts === 120 && closed.runs(load))
        .filter((load) => {
          const hot = open.sourcesAt(load.a).some((one) => one.kind === 'hot');
          const neutral = open.sourcesAt(load.b).some((one) => one.kind === 'neutral');
          return hot !== neutral;
        })
        .map((load) =>
          say(
            'gfci-mixed',
            `${load.label} has its hot on one side of the GFCI at ${gfci.label} and its neutral on the other: it will trip at once.`,
          ),
        );
    });
  });
}

/** What no lamp shows: grounds, neutrals that only wait, and the wire by which alarms set each other off. */
function checkUnseen(net: Netlist, now: Position): Flaw[] {
  const kindsAt = (point: string) => now.sourcesAt(point).map((one) => one.kind);
  const [first, ...others] = net.joins;
  return [
    ...net.grounds
      .filter(({ point }) => !kindsAt(point).includes('ground'))
      .map(({ label }) => say('not-grounded', `${label} is not grounded.`)),
    ...net.waiting
      .filter(({ point }) => !kindsAt(point).includes('neutral'))
      .map(({ label }) =>
        say('neutral-missing', `The neutral that waits at ${label} for a control is open (404.2(C)).`),
      ),
    ...others
      .filter(({ point }) => !now.same(given(first).point, point))
      .map(({ label }) =>
        say('alarm-apart', `The alarm at ${label} does not set off the one at ${given(first).label}, nor hears it.`),
      ),
    ...net.joins
      .filter(({ point }) => kindsAt(point).length > 0)
      .map(({ label, point }) =>
        say(
          'alarm-apart',
          `The wire that joins the alarms is on ${kindsAt(point)[0]} at ${label}: they do not hear each other.`,
        ),
      ),
  ];
}

/** All positions of a group, with the other groups' switches first all down, then all up. */
function proveGroup(net: Netlist, copper: Conduction, group: NetGroup): GroupProof {
  const n = group.switches.length;
  const flaws: Flaw[] = [];
  const mine = net.loads.filter((load) => load.group === group.id);
  const others = net.loads.filter((load) => load.group !== group.id);
  const parts = new Map(net.switches.map((one) => [one.id, one]));
  const add = (found: readonly Flaw[]) => {
    for (const one of found)
      if (!flaws.some((known) => known.kind === one.kind && known.message === one.message)) flaws.push(one);
  };
  const everLit = mine.map(() => false);
  const single = n === 1 && parts.get(group.switches[0]!)?.hardware !== 'add-on';
  for (const rest of [0, 1]) {
    const start = new Map(net.switches.map((one) => [one.id, rest]));
    let litAtZero: boolean[] = [];
    let othersAtZero: boolean[] = [];
    for (let bits = 0; bits < 1 << n && flaws.length < MOST_FLAWS; bits++) {
      const positions = group.switches.map((_, i) => (bits >> i) & 1);
      const all = new Map(start);
      group.switches.forEach((id, i) => all.set(id, positions[i]!));
      const now = copper.with(all);
      const lit = mine.map((load) => now.runs(load));
      if (bits === 0) litAtZero = lit;
      const odd = positions.reduce((sum, one) => sum + one, 0) % 2 === 1;
      mine.forEach((load, i) => {
        const wanted = single ? odd : litAtZero[i] !== odd;
        if (lit[i] === wanted) return;
        const hot = net.sources.find((one) => one.id === load.from)!;
        const neutral = now.sourcesAt(load.b).some((one) => one.id === load.to);
        if (wanted && load.volts === 120 && now.sourcesAt(load.a).some((one) => one.id === load.from) && !neutral)
          add([say('neutral-missing', `${load.label} has no neutral of its own circuit.`, positions)]);
        else if (wanted) add([say('dark', `${load.label} stays dark where it should light.`, positions)]);
        else
          add([
            say(
              'lit',
              `${load.label} lights where it should be dark.`,
              positions,
              tracePath(net, all, hot.point, load.a),
            ),
          ]);
      });
      lit.forEach((on, i) => (everLit[i] ||= on));
      const theirs = others.map((load) => now.runs(load));
      if (bits === 0) othersAtZero = theirs;
      others.forEach((load, i) => {
        if (theirs[i] !== othersAtZero[i])
          add([say('foreign', `${load.label} changes with the switches of ${group.name}.`, positions)]);
      });
      add(checkAlways(net, now, positions));
    }
  }
  // A lamp that never lights has the right parity only by being dead.
  mine.forEach((load, i) => {
    if (!everLit[i])
      add([
        say(
          'dark',
          `${load.label} never lights.`,
          group.switches.map(() => 0),
        ),
      ]);
  });
  for (const load of mine) {
    // Its neutral must be there whether or not it is lit. Of 240 V equipment a two-pole control opens both hots.
    if (
      load.volts === 120 &&
      !copper
        .with(new Map())
        .sourcesAt(load.b)
        .some((one) => one.id === load.to)
    )
      add([say('neutral-missing', `${load.label} has no neutral of its own circuit.`)]);
  }
  if (mine.length === 0) add([say('not-wired', `Nothing of ${group.name} is wired.`)]);
  return { group, positions: 2 ** n, flaws };
}

/** Proves a netlist: every position of every group, everything that must be live, grounds, and the sides of each GFCI. */
export function prove(net: Netlist): Proof {
  const copper = new Conduction(net);
  const groups = net.groups.map((group) => proveGroup(net, copper, group));
  const flaws: Flaw[] = [];
  for (const all of [0, 1]) {
    const now = copper.with(new Map(net.switches.map((one) => [one.id, all])));
    for (const load of net.loads) if (load.group === undefined) flaws.push(...checkLive(load, now, []));
    flaws.push(...checkAlways(net, now, []));
  }
  const now = copper.with(new Map());
  flaws.push(...checkUnseen(net, now), ...checkGfcis(net), ...checkLineAndLoad(net), ...checkControls(net, copper));
  const once = flaws.filter((one, i) => flaws.findIndex((other) => other.message === one.message) === i);
  return { groups, flaws: once, ok: once.length === 0 && groups.every((one) => one.flaws.length === 0) };
}

/**
 * Proves one unit as it is wired. What could not be wired is no proof of anything, so each group that was left out is a flaw; a fault
 * of the program is one too, of this circuit alone.
 */
export function proveUnit(house: House, wiring: UnitWiring, boxes: ReadonlyMap<string, BoxMakeUp>): Proof {
  const here = new Set(wiring.unit.outlets.map((one) => one.device.id));
  const wired = new Set(wiring.unit.groups.map((one) => one.group.id));
  const left = Object.values(house.switchGroups)
    .filter((one) => !wired.has(one.id) && [...one.controls, ...one.switches].some((id) => here.has(id)))
    .map((one) => say('not-wired', `${one.name} is not wired: see its problem under Switching.`));
  let proof: Proof;
  try {
    proof = prove(netlistOf(wiring, boxes));
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    const broken = say('not-wired', `This circuit could not be proved, by a fault of the program: ${reason}`);
    return { groups: [], flaws: [...left, broken], ok: false };
  }
  const flaws = [
    ...left,
    ...wiring.problems.filter(isGrave).map((one) => say('not-wired', one.message)),
    ...proof.flaws,
  ];
  return { ...proof, flaws, ok: proof.ok && flaws.length === 0 };
}

/** Two cables side by side are a matter of opinion; all else means that something is not connected. */
const isGrave = (one: Problem): boolean => one.code !== 'two-cables';
