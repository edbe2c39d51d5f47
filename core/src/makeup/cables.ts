import type { Awg, Box, Circuit, House } from '../house/schema';
import type { Problem } from '../units/result';
import { storedCables, type FeedNode, type FeedTree } from '../feed/feed-tree';
import { boxesBehind, isFromPanel, type Signal, type SignalPlan } from './signals';
import type { WiringUnit } from '../feed/unit';
import { groupBy } from '../units/group-by';

export type Color = 'black' | 'red' | 'blue' | 'white' | 'bare';

/** One conductor of a cable. Its ends are `a` towards the panel and `b` at the box that the run feeds. */
export interface Conductor {
  readonly id: string;
  readonly color: Color;
  /** Undefined when nothing uses it: capped at both ends. */
  readonly signal: Signal | undefined;
  /** A white that is no neutral: marked for good at both ends (NEC 200.7(C)). */
  readonly remarked: boolean;
}

/** A cable with what each of its conductors carries. */
export interface WiredCable {
  readonly id: string;
  readonly kind: '/2' | '/3' | '/4';
  readonly conductors: readonly Conductor[];
}

/** From a box, or the panel, to the next box: one cable, or several where one cannot hold what has to cross. */
export interface CableRunOf {
  readonly id: string;
  readonly unit: WiringUnit;
  readonly from: Box | undefined;
  readonly to: Box;
  readonly lengthIn: number;
  readonly awg: Awg;
  readonly metal: 'copper' | 'aluminum';
  readonly cables: readonly WiredCable[];
  readonly problems: readonly Problem[];
}

/** Whether a run was in the walls before the job: both of its ends were there. Where it lies nobody has seen, and none of it is bought. */
export const isInTheWalls = ({ from, to }: Pick<CableRunOf, 'from' | 'to'>): boolean =>
  to.state === 'existing' && (from === undefined || from.state === 'existing');

const COLORS = {
  '/2': ['black', 'white'],
  '/3': ['black', 'red', 'white'],
  '/4': ['black', 'red', 'blue', 'white'],
} as const;
const KINDS = ['/2', '/2', '/2', '/3', '/4'] as const;
type Kind = WiredCable['kind'];
/** Conductors of the cable for so many signals of which one may be on the white, its ground with them. */
export const conductorsOf = (insulated: number): number => COLORS[KINDS[insulated]!].length + 1;
/** Conductors of the cable that carries these signals, its ground with them. */
export const conductorsFor = (signals: readonly Signal[]): number => COLORS[kindFor(signals)].length + 1;

/** Ground conductor of a nonmetallic cable: 14, 12 and 10 as the rest, 10 for 8 and 6 (*common practice*). */
export const groundOf = (awg: Awg): Awg =>
  awg === '14' || awg === '12' || awg === '10' ? awg : ['8', '6'].includes(awg) ? '10' : '8';

/** Whether the white of a cable has something lawful to carry: a neutral, or, marked for good, the supply or a traveler (200.7(C)). */
const mayUseWhite = (signals: readonly Signal[]): boolean =>
  signals.some(({ kind, key }) => kind === 'neutral' || kind === 'hot' || kind === 'traveler' || isSecondPole(key));
/** What the second pole of a control brings to 240 V equipment: no switch loop, so that a marked white may be it. */
const isSecondPole = (key: string): boolean => key.startsWith('leg/') && key.endsWith('/2');

/** The cable for what it is to carry: one conductor more where the white would otherwise bring a switched wire back. */
function kindFor(signals: readonly Signal[]): Kind {
  const kind = KINDS[signals.length]!;
  const isFull = signals.length === COLORS[kind].length;
  return isFull && kind !== '/4' && !mayUseWhite(signals) ? KINDS[signals.length + 1]! : kind;
}

/** How many insulated conductors find a place in one cable: three where the white has nothing lawful to carry. */
const roomFor = (signals: readonly Signal[]): number => (mayUseWhite(signals) ? 4 : 3);

/**
 * Shares what crosses among cables of at most four insulated conductors. What comes back by one neutral keeps to its own cables, so
 * that the currents of each cancel (300.3(B)); what needs none of the neutrals here goes along where there is room for all of it.
 */
export function share(insulated: readonly Signal[]): readonly (readonly Signal[])[] {
  const neutrals = insulated.filter((one) => one.kind === 'neutral');
  if (insulated.length <= 4 && neutrals.length <= 1) return [insulated];
  const sides = [...groupBy(insulated, (one) => one.side).values()];
  const has = (side: readonly Signal[]) => side.some((one) => one.kind === 'neutral');
  const cables = sides.filter(has).flatMap(cablesOfSide);
  for (const side of sides.filter((one) => !has(one))) {
    const free = cables.find((cable) => cable.length + side.length <= roomFor([...cable, ...side]));
    if (free) free.push(...side);
    else cables.push(...cablesOfSide(side));
  }
  return cables;
}

/** The cables of one side: the neutral in the first, which fills up before the next. */
function cablesOfSide(side: readonly Signal[]): Signal[][] {
  const cables: Signal[][] = [side.filter((one) => one.kind === 'neutral')];
  for (const signal of side) {
    if (signal.kind === 'neutral') continue;
    const free = cables.find((cable) => cable.length < roomFor([...cable, signal]));
    if (free) free.push(signal);
    else cables.push([signal]);
  }
  // Two and three rather than four and a lone one.
  if (cables.length === 2 && cables[0]!.length === 4 && cables[1]!.length === 1) cables[1]!.unshift(cables[0]!.pop()!);
  return cables;
}

/** What the white carries: the neutral; where there is none and every color is needed, marked, the supply, or a traveler. */
function onWhite(kind: Kind, signals: readonly Signal[]): Signal | undefined {
  const neutral = signals.find((one) => one.kind === 'neutral');
  if (neutral || signals.length < COLORS[kind].length) return neutral;
  const last = (of: Signal['kind']) => signals.findLast((one) => one.kind === of);
  return last('hot') ?? last('traveler') ?? signals.at(-1);
}

function toCable(id: string, kind: Kind, signals: readonly Signal[], ground: Signal): WiredCable {
  const white = onWhite(kind, signals);
  const conductors: Conductor[] = [];
  // The others take the colors in the order in which they come.
  let next = 0;
  for (const color of COLORS[kind]) {
    if (color !== 'white' && signals[next] === white && white) next++;
    const signal = color === 'white' ? white : signals[next++];
    const remarked = color === 'white' && signal !== undefined && signal.kind !== 'neutral';
    conductors.push({ id: `${id}.${color}`, color, signal, remarked });
  }
  conductors.push({ id: `${id}.bare`, color: 'bare', signal: ground, remarked: false });
  return { id, kind, conductors };
}

/** The heaviest wire of the unit's circuits: the shared neutral and all runs take it. */
const wireOf = (circuits: readonly Circuit[]): Circuit => circuits[0]!;

/** The cables of a unit with what each of their conductors carries. */
export function cablesOf(house: House, unit: WiringUnit, tree: FeedTree, plan: SignalPlan): readonly CableRunOf[] {
  const pulled = new Map(storedCables(house, unit).map((one) => [one.id, one.kind]));
  return tree.nodes.map((node) => runTo(node, unit, tree, plan, pulled.get(node.run)));
}

/** The run to a box, in the cable that is already in the wall where there is one. */
function runTo(
  node: FeedNode,
  unit: WiringUnit,
  tree: FeedTree,
  plan: SignalPlan,
  pulled: Kind | undefined,
): CableRunOf {
  const { awg, metal = 'copper' } = wireOf(unit.circuits);
  let insulated = plan.crossing[node.at]!;
  let groups = share(insulated);
  let problems = NO_PROBLEMS;
  if (pulled && (groups.length > 1 || insulated.length > Number(pulled[1]))) {
    insulated = withoutSpareNeutral(insulated, node, tree, plan);
    groups = share(insulated);
    if (groups.length > 1 || insulated.length > Number(pulled[1]))
      problems = [tooFewConductors(node, pulled, insulated)];
  }
  if (groups.length > 1 && !pulled) problems = [...problems, twoCables(node, insulated, groups.length)];
  if (!node.parent) problems = [...problems, ...throughPanel(node, plan, insulated)];
  // What hangs in the wall is what there is: a signal that finds no conductor in it does not get across, and the proof sees that.
  const carried = pulled ? [whatFits(pulled, insulated)] : groups;
  const cables = carried.map((signals, i) =>
    toCable(i === 0 ? node.run : `${node.run}.${i + 1}`, pulled ?? kindFor(signals), signals, plan.ground),
  );
  const { box: to, parent, lengthIn, run: id } = node;
  return { id, unit, from: parent?.box, to, lengthIn, awg, metal, cables, problems };
}

/** What a cable in the wall can carry of what should cross: a neutral, on its white, before the last of the others. */
function whatFits(kind: Kind, insulated: readonly Signal[]): readonly Signal[] {
  const room = COLORS[kind].length;
  if (insulated.length <= room) return insulated;
  const neutral = insulated.filter((one) => one.kind === 'neutral').slice(0, 1);
  return [...insulated.filter((one) => one.kind !== 'neutral').slice(0, room - neutral.length), ...neutral];
}

const NO_PROBLEMS: readonly Problem[] = [];
const sourceOf = ({ parent }: FeedNode): string => parent?.box.tag ?? 'the panel';

/** A neutral that only waits for later is the first to be left out of a cable that is already in the wall. */
function withoutSpareNeutral(insulated: readonly Signal[], node: FeedNode, tree: FeedTree, plan: SignalPlan): Signal[] {
  const fed = boxesBehind(tree, node.box);
  const used = new Set(plan.needs.filter((one) => fed.has(one.outlet.box)).map((one) => one.signal.key));
  return insulated.filter((one) => one.kind !== 'neutral' || used.has(one.key));
}

const tooFewConductors = (node: FeedNode, pulled: Kind, insulated: readonly Signal[]): Problem => ({
  code: 'too-few-conductors',
  path: `boxes.${node.box.id}`,
  message: `The ${pulled} cable from ${sourceOf(node)} to ${node.box.tag} has ${pulled[1]} insulated conductors; ${insulated.length} have to cross: ${insulated.map((one) => one.words).join(', ')}. Pull a larger one, or change the feed order.`,
});

const twoCables = (node: FeedNode, insulated: readonly Signal[], cables: number): Problem => ({
  code: 'two-cables',
  path: `boxes.${node.box.id}`,
  message: `${insulated.length} conductors cross from ${sourceOf(node)} to ${node.box.tag}: ${cables} cables side by side. All conductors of a circuit belong together (300.3(B)); with nonmetallic cable and boxes inspectors differ. Another feed order may need one only.`,
});

/** What a home run carries must come from the panel: a switched wire, a traveler or a protected hot has nothing to be joined to there. */
const throughPanel = (node: FeedNode, { needs }: SignalPlan, insulated: readonly Signal[]): readonly Problem[] =>
  insulated
    .filter((one) => !isFromPanel(one))
    .map((signal) => ({
      code: 'through-panel',
      path: `boxes.${node.box.id}`,
      message: `${signal.words}: it is needed in ${[
        ...new Set(needs.filter((one) => one.signal === signal).map((one) => one.outlet.box.tag)),
      ].join(
        ', ',
      )}, which hang on different home runs, so it would have to pass through the panel. Feed one from the other.`,
    }));

/** How many runs take more than one cable. */
export const doubledRuns = (runs: readonly CableRunOf[]): number => runs.filter((run) => run.cables.length > 1).length;

/** Feet of insulated and bare conductor in runs of cable: what choosing between feed orders comes down to. */
export const conductorFeet = (runs: readonly CableRunOf[]): number =>
  runs.reduce((sum, run) => sum + (run.lengthIn / 12) * run.cables.reduce((n, one) => n + one.conductors.length, 0), 0);
