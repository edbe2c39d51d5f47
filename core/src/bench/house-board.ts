import { voltsAt } from '../circuits/outlets';
import { hardwareAt, type Chain } from '../feed/chain';
import type { FeedNode } from '../feed/feed-tree';
import type { House } from '../house/schema';
import { joinsOf, wireHouse, type Join, type UnitWiring } from '../makeup/make-up';
import { wantsNeutral, type TerminalName } from '../makeup/signals';
import type { Device } from '../house/schema-equipment';
import { given, itemAt, refuse, type Result, succeed } from '../units/result';
import type { Board, BoardCable, BoardPart } from './board';

const MOST_BOXES = 12;
const LONGEST_NAME = 24;

/** A group of a house on the bench: what stands there, and how the house's own make-up joins it. */
interface GroupBoard {
  /** Boxes, parts and cables; nothing is joined yet. */
  readonly bare: Board;
  /** The joints of the make-up cards. */
  readonly madeUp: Board['wires'];
}

const pathOf = (node: FeedNode | undefined): FeedNode[] => (node ? [node, ...pathOf(node.parent)] : []);

/** The boxes of a group and those on the way between them, from the one that the power comes to first. */
function boxesOfGroup({ tree }: UnitWiring, { order, group }: Chain): readonly FeedNode[] {
  const byBox = new Map(tree.nodes.map((node) => [node.box.id, node]));
  const ends = [...order, ...group.controls].map(({ box }) => byBox.get(box.id));
  if (ends.includes(undefined)) return [];
  const paths = ends.map((node) => pathOf(node).toReversed());
  const [first, others] = [itemAt(paths, 0), paths.slice(1)];
  // The way from the panel that all of them share; its last box is where the power comes in.
  const shared = first.filter((node, i) => others.every((one) => one[i] === node));
  const entry = shared.at(-1);
  if (!entry) return [];
  const behind = new Set([first, ...others].flatMap((path) => path.slice(shared.length - 1)));
  return [...behind].toSorted((a, b) => a.at - b.at);
}

const AT_BOTH = 'This group switches equipment that takes 120 and 240 V; what stands on the bench takes one of them.';
/** Electronics of these kinds take power of their own; a plain smart switch lives on what leaks through its lamp. */
const NEEDS_NEUTRAL = /^(occupancy|astronomic|dusk|smart)$/;

/** What the control at a place of its chain is on the bench. */
function controlAt(chain: Chain, i: number): BoardPart['kind'] {
  const { device } = itemAt(chain.order, i);
  const kind = hardwareAt(chain, i);
  if (device.kind === 'switch' && NEEDS_NEUTRAL.test(device.style)) return 'electronic';
  return kind === 'smart' ? 'two-wire' : kind;
}

const loadKind = ({ kind }: Device): 'receptacle' | 'fan' | 'lamp' =>
  kind === 'receptacle' || kind === 'fan' ? kind : 'lamp';

/** The parts of a group, each with its device: switches as the chain makes them, and what they control. */
function partsOf(chain: Chain, boxes: readonly FeedNode[]): ReadonlyMap<string, BoardPart> | string {
  const boxOf = new Map(boxes.map(({ box }, i) => [box.id, i]));
  const parts = new Map<string, BoardPart>();
  for (const [i, one] of chain.order.entries()) {
    const kind = controlAt(chain, i);
    parts.set(one.device.id, { id: `s${i + 1}`, box: given(boxOf.get(one.box.id)), kind, letter: 'a' });
  }
  const at240 = chain.group.controls.filter((one) => voltsAt(one) === 240);
  if (at240.some(wantsNeutral) || (at240.length > 0 && at240.length < chain.group.controls.length)) return AT_BOTH;
  for (const [i, { box, device }] of chain.group.controls.entries()) {
    const kind = at240.length > 0 ? 'heater' : loadKind(device);
    parts.set(device.id, { id: `${kind}${i + 1}`, box: given(boxOf.get(box.id)), kind, letter: 'a' });
  }
  return parts;
}

/** A screw of the house as the bench calls it. A split receptacle shows its switched half. */
function screwOf(part: BoardPart, name: TerminalName, isSplit: boolean): string | undefined {
  if (name === 'ground' || (isSplit && name === 'hot')) return undefined;
  return `${part.id}.${name === 'switched' ? 'hot' : name}`;
}

/** The cables between some boxes, in the order of the feed, and the ids that the bench gives them. */
function cablesAmong({ runs }: UnitWiring, nodes: readonly FeedNode[]) {
  const at = new Map(nodes.map(({ box }, i) => [box.id, i]));
  const cables: BoardCable[] = [];
  const ids = new Map<string, string>();
  for (const run of runs) {
    const [from, to] = [run.from && at.get(run.from.id), at.get(run.to.id)];
    if (from === undefined || to === undefined) continue;
    for (const cable of run.cables) {
      const id = `c${cables.length + 1}`;
      ids.set(cable.id, id);
      cables.push({ id, from, to, kind: cable.kind });
    }
  }
  return { cables, ids };
}

/**
 * A switch group of a house as a board to wire, flip and measure: its boxes, the cables between them with all of their conductors,
 * and the feed where the power comes in. Cables and devices of other groups in the same boxes stay away; grounds are left out, as
 * everywhere on the bench.
 */
export function boardOfGroup(house: House, group: string): Result<GroupBoard> {
  const { units, boxes: cards } = wireHouse(house);
  const wiring = units.find(({ plan }) => plan.chains.some((one) => one.group.group.id === group));
  const chain = wiring?.plan.chains.find((one) => one.group.group.id === group);
  if (!wiring || !chain)
    return refuse('group', 'group', 'This group is not wired yet. Put its lights and switches on one circuit first.');
  const nodes = boxesOfGroup(wiring, chain);
  if (nodes.length === 0)
    return refuse('unfed', 'group', 'No cable reaches all boxes of this group yet. See the feed order of its circuit.');
  if (nodes.length > MOST_BOXES)
    return refuse('boxes', 'group', `This group goes through ${nodes.length} boxes; the bench holds ${MOST_BOXES}.`);
  const parts = partsOf(chain, nodes);
  if (typeof parts === 'string') return refuse('control', 'group', parts);

  const isAt240 = [...parts.values()].some((one) => one.kind === 'heater');
  const { cables, ids: cableIds } = cablesAmong(wiring, nodes);
  const nameOf = ({ box }: FeedNode) =>
    `${box.tag} ${house.rooms[box.room]?.name ?? ''}`.trim().slice(0, LONGEST_NAME).trim();
  const bare: Board = {
    boxes: nodes.map(nameOf),
    parts: [{ id: 'feed', box: 0, kind: isAt240 ? 'feed-240' : 'feed' }, ...parts.values()],
    cables,
    wires: [],
  };

  const pinsIn = (join: Join): string[] => [
    ...join.ends.flatMap(({ cable, conductor }) => {
      const id = cableIds.get(cable.cable.id);
      return id === undefined || conductor.color === 'bare' ? [] : [`${id}.${conductor.color}.${cable.end}`];
    }),
    ...join.terminals.flatMap(({ outlet, name }) => {
      const part = parts.get(outlet.device.id);
      const isSplit = outlet.device.kind === 'receptacle' && outlet.device.switched === 'half';
      return (part && screwOf(part, name, isSplit)) ?? [];
    }),
  ];
  // What feeds the group: the hot and the neutral that its own terminals are on.
  const members = new Set(parts.keys());
  const fed = wiring.plan.needs.filter(({ outlet }) => members.has(outlet.device.id));
  const keyOf = (kind: 'hot' | 'neutral', isSecond = false) =>
    fed.find(({ signal }) => signal.kind === kind && signal.key.endsWith('/2') === isSecond)?.signal.key;
  const feeds = new Map([
    [keyOf('hot'), 'feed.hot'],
    isAt240 ? [keyOf('hot', true), 'feed.hot-2'] : [keyOf('neutral'), 'feed.neutral'],
  ]);
  const madeUp = nodes.flatMap(({ box }, i) =>
    joinsOf(given(cards.get(box.id))).flatMap((join) => {
      const feed = i === 0 ? feeds.get(join.signal) : undefined;
      const pins = [...(feed === undefined ? [] : [feed]), ...pinsIn(join)];
      return pins.slice(1).map((pin, n) => [itemAt(pins, n), pin] as const);
    }),
  );
  return succeed({ bare, madeUp });
}
