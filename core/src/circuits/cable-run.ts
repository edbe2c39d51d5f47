import { innerPoint, type Point } from '../geometry/geometry';
import type { Box, Feature, House, Level, Panel } from '../house/schema';
import { Memory } from '../cache/memory';
import { drillableStretches } from '../plan/drillable';
import type { Interval } from '../geometry/intervals';
import { axesOf, toOwn, type Axes } from '../plan/own-axes';
import { boxPoint, featureOutline } from '../plan/points';
import { viewRoom } from '../plan/room-view';
import { toLoop, wallLoop } from '../plan/wall-loop';
import { mustGet } from '../units/result';

/** Where a box is along a stretch of wall that cable may be drilled through. */
interface InWall {
  readonly stretch: Interval;
  readonly atIn: number;
  /** Of a stretch without an end, the length of the way around. */
  readonly aroundIn: number | undefined;
}

/** A place in the house: on the plan, above the lowest zero of the levels, and where its wall ends above. Inches. */
export interface Spot extends Point {
  readonly z: number;
  /** The same place in the axes that most walls of the house follow: a house may be drawn askew on the sheet. */
  readonly u: number;
  readonly v: number;
  readonly level: string;
  /** Top plate of its story, inches above the same zero. */
  readonly plateZ: number;
  readonly inWall: InWall | undefined;
}

/** Cable left in a box at each end, inches: 6 in free by NEC 300.14 and as much to get there, *common practice*. */
export const MAKE_UP_IN = 12;
/** Middle of a panel above the floor, inches: *common practice*. */
const PANEL_HEIGHT_IN = 60;
/** Boxes on walls so near on the plan, inches, share a bay or stand in two beside each other, be it back to back: the cable goes straight through. */
const SAME_BAY_IN = 16;

function spotAt(house: House, roomId: string, at: Point, heightIn: number, inWall?: InWall): Spot {
  const level = mustGet(house.levels, mustGet(house.rooms, roomId).level);
  const own = toOwn(axesOf(house.rooms), at);
  return {
    x: at.x,
    y: at.y,
    u: own.x,
    v: own.y,
    z: level.elevationIn + heightIn,
    level: level.id,
    plateZ: level.elevationIn + level.ceilingIn,
    inWall,
  };
}

const spots = new Memory<Box, { level: Level; stretches: readonly Interval[]; axes: Axes; spot: Spot }>();

const isSame = (a: Axes, b: Axes): boolean => a === b || (a.cos === b.cos && a.sin === b.sin);

/** Where a box is, remembered as long as its story and the walls of its room are the same. */
export function spotOfBox(house: House, box: Box): Spot {
  const view = viewRoom(house, box.room);
  const { level } = view;
  const stretches = drillableStretches(view);
  const known = spots.get(box);
  const axes = axesOf(house.rooms);
  if (known && known.stretches === stretches && known.level === level && isSame(known.axes, axes)) return known.spot;
  const spot = findSpot(house, box, level, stretches);
  spots.set(box, { level, stretches, axes, spot });
  return spot;
}

function findSpot(house: House, box: Box, level: Level, stretches: readonly Interval[]): Spot {
  const { at } = box;
  const heightIn = at.kind === 'ceiling' ? level.ceilingIn : at.kind === 'floor' ? 0 : at.heightIn;
  if (at.kind !== 'wall') return spotAt(house, box.room, boxPoint(house, box), heightIn);
  const loop = wallLoop(mustGet(house.rooms, box.room));
  const place = toLoop(loop, at.wall, at.alongIn);
  for (const stretch of stretches) {
    const atIn = place < stretch.fromIn ? place + loop.lengthIn : place;
    if (atIn > stretch.toIn) continue;
    const isEndless = stretches.length === 1 && stretch.toIn - stretch.fromIn >= loop.lengthIn;
    const inWall = { stretch, atIn, aroundIn: isEndless ? loop.lengthIn : undefined };
    return spotAt(house, box.room, boxPoint(house, box), heightIn, inWall);
  }
  return spotAt(house, box.room, boxPoint(house, box), heightIn);
}

/** Where the cables of a panel start: in the middle of its room while it has no place of its own. */
export function spotOfPanel(house: House, panel: Panel): Spot {
  const feature = panel.feature === null ? undefined : house.features[panel.feature];
  if (feature) return spotOfFeature(house, feature, panel.room);
  return spotAt(house, panel.room, innerPoint(mustGet(house.rooms, panel.room).corners), PANEL_HEIGHT_IN);
}

/** Where cables come to something that is drawn: its middle, at the height of a panel or its top where that is lower. */
export function spotOfFeature(house: House, feature: Feature, room = feature.room): Spot {
  const outline = featureOutline(mustGet(house.rooms, room), feature);
  const middle = {
    x: outline.reduce((sum, one) => sum + one.x, 0) / outline.length,
    y: outline.reduce((sum, one) => sum + one.y, 0) / outline.length,
  };
  return spotAt(house, room, middle, Math.min(PANEL_HEIGHT_IN, feature.heightIn));
}

/**
 * Cable between two places, inches, as it is usually run: square to the house, up to the plate and down again; from stud to stud
 * where one stretch of wall, corners included, holds both and that is shorter; straight through to a box in the same bay; from
 * story to story the difference in height. *Common practice*; the real route decides when it is known.
 */
export function cableBetween(a: Spot, b: Spot): number {
  const across = Math.abs(a.u - b.u) + Math.abs(a.v - b.v);
  const rise = Math.abs(a.z - b.z);
  const ends = 2 * MAKE_UP_IN;
  if (a.level !== b.level) return across + rise + ends;
  const overPlate = across + (a.plateZ - a.z) + (b.plateZ - b.z);
  if (!a.inWall || !b.inWall) return overPlate + ends;
  if (across <= SAME_BAY_IN) return across + rise + ends;
  if (a.inWall.stretch !== b.inWall.stretch) return overPlate + ends;
  return Math.min(overPlate, throughStuds(a.inWall, b.inWall) + rise) + ends;
}

function throughStuds(a: InWall, b: InWall): number {
  const apart = Math.abs(a.atIn - b.atIn);
  return a.aroundIn === undefined ? apart : Math.min(apart, a.aroundIn - apart);
}

/** A box on a tree of cables, with the length of the run to it, inches. */
export interface TreeNode {
  /** Its place among the nodes of the run. */
  readonly at: number;
  readonly box: Box;
  /** The box before it; undefined at the panel. */
  readonly parent: TreeNode | undefined;
  /** Cable to its parent, and all the way to the panel, inches. */
  readonly edgeIn: number;
  readonly pathIn: number;
}

/** The cable of a circuit, from its panel over all of its boxes: see `runAlong`. */
export interface CableRun {
  /** Parents before their children. */
  readonly nodes: readonly TreeNode[];
  /** All cable of the circuit, and one way to its farthest box, feet. */
  readonly cableFt: number;
  readonly farthestFt: number;
  /** Where the panel is not known the run cannot be. */
  readonly from: Panel;
}
