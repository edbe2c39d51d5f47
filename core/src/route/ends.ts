import type { Box, Feature, House, Panel } from '../house/schema';
import { spotOfBox, spotOfFeature, spotOfPanel, type Spot } from '../circuits/cable-run';
import { OUTDOOR_KINDS } from '../place/outdoors';
import { facingOf } from '../plan/facing';
import { featureOutline } from '../plan/points';
import { viewRoom } from '../plan/room-view';
import { nearestWall, toLoop, wallLoop } from '../plan/wall-loop';
import { baysOf } from '../plan/bays';
import { manhattan, type FramingGraph } from './framing-graph';

/** How a cable gets from a box into the framing where it is not simply in a bay. */
type EndNote =
  /** The wall has no bays: masonry, a door jamb's post. The cable comes down its face, protected where it can be hit. */
  | 'surface'
  /** A ceiling under a roof without an attic: between the rafters to the nearest wall. */
  | 'rafters'
  /** A floor on the ground: in conduit under it to the nearest wall. */
  | 'slab'
  /** Out of the house: through its wall, in the ground or along what carries the box. */
  | 'outside';

/** A node at which a cable of a box or a panel comes into the framing, and how much cable lies before it, inches. */
export interface Entry {
  readonly node: number;
  readonly lengthIn: number;
  readonly note?: EndNote;
}

/** A box or a panel as an end of cables. */
export interface RouteEnd {
  readonly spot: Spot;
  readonly room: string;
  /** Empty where no way into the framing is known. */
  readonly entries: readonly Entry[];
}

/** From the middle of a wall's face to a bay or a space that is still near, inches. */
export const ASIDE_IN = 8;
/** How far a box in a ceiling or a floor may be from the lattice. */
const OFF_LATTICE_IN = 72;

/** From a spot to the space over or under its level, straight up or down and square to the house. */
function toSpace(graph: FramingGraph, spot: Spot, side: 'over' | 'under'): Entry | undefined {
  const space = graph.spaces.find((one) => one[side]?.id === spot.level);
  const at = space?.nearest(spot, OFF_LATTICE_IN);
  if (!space || at === undefined) return undefined;
  const node = graph.spaceNode(space, at);
  return { node, lengthIn: manhattan(spot, graph.nodes[node]!) };
}

/** The bay nearest to a spot among those of its room and of rooms whose walls are behind, by the way square to the house. */
function nearestBay(house: House, graph: FramingGraph, room: string, spot: Spot): Entry | undefined {
  const view = viewRoom(house, room);
  const facing = facingOf(house, view.room).map((one) => one.other.id);
  const rooms = new Set([room, ...facing, ...view.ways.flatMap((one) => one.behind ?? [])]);
  let best: Entry | undefined;
  for (const id of rooms)
    baysOf(viewRoom(house, id)).bays.forEach(({ midIn }) => {
      const node = graph.nodeAt({ room: id, atIn: midIn }, ASIDE_IN);
      if (node === undefined) return;
      const lengthIn = manhattan(spot, graph.nodes[node]!);
      if (!best || lengthIn < best.lengthIn) best = { node, lengthIn };
    });
  return best;
}

const noted = (entry: Entry | undefined, note: EndNote): Entry[] => (entry ? [{ ...entry, note }] : []);

function onWall(house: House, graph: FramingGraph, room: string, wall: string, alongIn: number, spot: Spot): Entry[] {
  const loop = wallLoop(house.rooms[room]!);
  const node = graph.nodeAt({ room, atIn: toLoop(loop, wall, alongIn) }, ASIDE_IN);
  if (node !== undefined) return [{ node, lengthIn: Math.abs(graph.nodes[node]!.z - spot.z) }];
  if (OUTDOOR_KINDS.has(house.rooms[room]!.kind)) return noted(nearestBay(house, graph, room, spot), 'outside');
  const up = toSpace(graph, spot, 'over');
  const down = toSpace(graph, spot, 'under');
  const found = [...noted(up, 'surface'), ...noted(down, 'surface')];
  return found.length > 0 ? found : noted(nearestBay(house, graph, room, spot), 'outside');
}

function fromBelow(house: House, graph: FramingGraph, room: string, spot: Spot): Entry[] {
  const down = toSpace(graph, spot, 'under');
  return down ? [down] : noted(nearestBay(house, graph, room, spot), 'slab');
}

/** Where the cables of a box come into the framing. */
export function endOfBox(house: House, graph: FramingGraph, box: Box): RouteEnd {
  const spot = spotOfBox(house, box);
  const { at, room } = box;
  const entries = (): Entry[] => {
    if (at.kind === 'wall') return onWall(house, graph, room, at.wall, at.alongIn, spot);
    if (at.kind === 'ceiling') {
      const up = toSpace(graph, spot, 'over');
      return up ? [up] : noted(nearestBay(house, graph, room, spot), 'rafters');
    }
    if (at.kind === 'feature') {
      const feature = house.features[at.feature];
      if (feature?.at.kind === 'wall')
        return onWall(house, graph, room, feature.at.wall, feature.at.alongIn + feature.at.widthIn / 2, spot);
    }
    return fromBelow(house, graph, room, spot);
  };
  return { spot, room, entries: entries() };
}

/** Where cables leave a panel: the bay behind its middle, or up and down along the wall it hangs on. */
export const endOfPanel = (house: House, graph: FramingGraph, panel: Panel): RouteEnd =>
  endBehind(house, graph, spotOfPanel(house, panel), house.features[panel.feature ?? ''], panel.room);

/** Where cables leave something drawn that is no box: a furnace, an enclosure. */
export const endOfFeature = (house: House, graph: FramingGraph, feature: Feature): RouteEnd =>
  endBehind(house, graph, spotOfFeature(house, feature), feature, feature.room);

function endBehind(
  house: House,
  graph: FramingGraph,
  spot: Spot,
  feature: Feature | undefined,
  roomOf: string,
): RouteEnd {
  const room = feature?.room ?? roomOf;
  if (feature?.at.kind === 'wall' && !feature.at.acrossCorner)
    return {
      spot,
      room,
      entries: onWall(house, graph, room, feature.at.wall, feature.at.alongIn + feature.at.widthIn / 2, spot),
    };
  const middle = feature ? featureOutline(house.rooms[room]!, feature)[0]! : spot;
  const { wall, alongIn } = nearestWall(wallLoop(house.rooms[room]!), middle);
  return { spot, room, entries: onWall(house, graph, room, wall.id, alongIn, spot) };
}
