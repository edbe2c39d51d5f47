import { distance, type Point } from '../geometry/geometry';
import type { Box, BoxPlace, Feature, FeatureKind, House, Room } from '../house/schema';
import type { Load, LoadKind } from '../house/schema-equipment';
import { isTakenFromBehind } from '../place/back-to-back';
import { areApart, nearestOnStud } from '../place/nearest-on-stud';
import { inTheWayOf } from '../plan/blocked-by-framing';
import { boxPoint, featureMiddle } from '../plan/points';
import { viewRoom, wallOf } from '../plan/room-view';
import { isFramedAt, studFaces, takesBracket } from '../plan/studs';
import { houseWalls } from '../place/house-walls';
import { OUTDOOR_KINDS } from '../place/outdoors';
import { findWall, pointOnWall, wallLoop } from '../plan/wall-loop';
import { given, mustGet } from '../units/result';

/** Where an appliance connects, inches above the floor: *common practice*; the instructions decide. */
interface Hookup {
  readonly kind: LoadKind;
  readonly heightIn: number;
  readonly ratingA?: 15 | 20 | 30 | 40 | 50;
  /** What it is called instead when it burns fuel. */
  readonly gas?: LoadKind | null;
  /** In the cabinet beside it, never behind it: a dishwasher's plug is its disconnect, NEC 422.16(B)(2). */
  readonly beside?: true;
  /** In the cabinet behind or over it. */
  readonly inCabinet?: true;
  /** Where the box of one that stands free is: over it, on the nearest wall; under it where nothing is said. */
  readonly free?: 'ceiling' | 'nearest-wall';
}
const HOOKUPS: Readonly<Partial<Record<FeatureKind, Hookup>>> = {
  range: { kind: 'range', heightIn: 6, ratingA: 50, gas: 'gas-range' },
  cooktop: { kind: 'cooktop', heightIn: 20, gas: 'gas-range' },
  refrigerator: { kind: 'refrigerator', heightIn: 48, free: 'nearest-wall' },
  dishwasher: { kind: 'dishwasher', heightIn: 18, beside: true },
  washer: { kind: 'washer', heightIn: 44, free: 'nearest-wall' },
  dryer: { kind: 'dryer', heightIn: 36, ratingA: 30, gas: 'gas-dryer', free: 'nearest-wall' },
  kiln: { kind: 'kiln', heightIn: 24, ratingA: 50, free: 'nearest-wall' },
  'water-heater': { kind: 'water-heater', heightIn: 60, gas: null, free: 'ceiling' },
  furnace: { kind: 'furnace', heightIn: 48, free: 'ceiling' },
  'air-handler': { kind: 'furnace', heightIn: 48, free: 'ceiling' },
  condenser: { kind: 'air-conditioner', heightIn: 36, free: 'nearest-wall' },
  'baseboard-heater': { kind: 'baseboard-heat', heightIn: 4 },
  disposer: { kind: 'disposer', heightIn: 18, inCabinet: true },
  'range-hood': { kind: 'range-hood', heightIn: 80, inCabinet: true },
  microwave: { kind: 'microwave', heightIn: 80, inCabinet: true },
  'bath-fan': { kind: 'exhaust-fan', heightIn: 84, free: 'ceiling' },
  'bidet-seat': { kind: 'bidet-seat', heightIn: 14 },
  freezer: { kind: 'freezer', heightIn: 48, free: 'nearest-wall' },
  'garage-opener': { kind: 'garage-door-opener', heightIn: 84, free: 'ceiling' },
  sump: { kind: 'sump-pump', heightIn: 48, free: 'nearest-wall' },
  'ev-charger': { kind: 'ev-charger', heightIn: 48, free: 'nearest-wall' },
};

/** Loads that are one drawn thing: any of them connects it. The first stands for all. */
const ALIKE: readonly (readonly LoadKind[])[] = [
  ['range', 'cooktop', 'induction-cooktop', 'gas-range'],
  ['dryer', 'gas-dryer', 'heat-pump-dryer'],
  ['air-conditioner', 'heat-pump', 'mini-split'],
  ['water-heater', 'heat-pump-water-heater', 'tankless-water-heater'],
  ['furnace', 'electric-furnace', 'boiler', 'heat-pump'],
  ['microwave', 'counter-microwave'],
  ['exhaust-fan', 'bath-heater'],
  ['ev-charger', 'ev-charger-48', 'ev-cord'],
];
/** Kinds of equipment that stand for each other at a connection, itself among them. */
export const alike = (kind: LoadKind): readonly LoadKind[] => ALIKE.find((some) => some.includes(kind)) ?? [kind];

/** Whether a drawn appliance burns fuel: as it is said, and a fireplace unless it is said to be electric. */
export const burnsFuel = ({ kind, fuel }: Pick<Feature, 'kind' | 'fuel'>): boolean => fuel ?? kind === 'fireplace';

/** The load that a drawn appliance is; undefined for one that needs no electricity. */
export function loadOf(feature: Feature): { kind: LoadKind; hookup: Hookup } | undefined {
  const hookup = HOOKUPS[feature.kind];
  if (!hookup) return undefined;
  const kind = burnsFuel(feature) && hookup.gas !== undefined ? hookup.gas : hookup.kind;
  return kind === null ? undefined : { kind, hookup };
}

/** A load that stands farther from a drawn appliance than this is not that appliance's, inches. */
const ITS_OWN_IN = 60;

/** The nearest place on a wall of a room that is there; outdoors, on the house. */
function nearestSolid(house: House, room: Room, point: Point) {
  const loop = wallLoop(room);
  const walls = OUTDOOR_KINDS.has(room.kind) ? houseWalls(house, room) : undefined;
  return loop.walls
    .flatMap((wall) => {
      if (wall.boundary !== 'solid') return [];
      const stretches = walls?.filter((one) => one.wall.id === wall.id) ?? [{ fromIn: 0, toIn: wall.lengthIn }];
      return stretches.map(({ fromIn, toIn }) => {
        const on = (point.x - wall.from.x) * wall.unit.x + (point.y - wall.from.y) * wall.unit.y;
        const alongIn = Math.min(Math.max(on, fromIn, 0), toIn, wall.lengthIn);
        return { wall, alongIn, awayIn: distance(pointOnWall(wall, alongIn), point) };
      });
    })
    .sort((a, b) => a.awayIn - b.awayIn)[0];
}

/** At the middle of the appliance: behind it on its wall, over or under it, or on the wall that is nearest. */
export function placeFor(house: House, feature: Feature, { heightIn, free }: Hookup): BoxPlace {
  const room = mustGet(house.rooms, feature.room);
  const { at } = feature;
  if (at.kind === 'wall') {
    const wall = given(findWall(wallLoop(room), at.wall));
    const alongIn = at.acrossCorner ? at.widthIn / 2 : at.alongIn + at.widthIn / 2;
    return { kind: 'wall', wall: at.wall, alongIn: Math.min(wall.lengthIn, alongIn), heightIn };
  }
  const middle = featureMiddle(room, feature);
  if (free === 'ceiling') return { kind: 'ceiling', ...middle };
  if (free !== 'nearest-wall') return { kind: 'floor', ...middle };
  const near = nearestSolid(house, room, middle);
  // Far from the house it is served from the ground.
  const isOut = OUTDOOR_KINDS.has(room.kind);
  if (!near || (isOut && near.awayIn > ITS_OWN_IN)) return { kind: isOut ? 'floor' : 'ceiling', ...middle };
  return { kind: 'wall', wall: near.wall.id, alongIn: near.alongIn, heightIn };
}

/** How far from the middle of its place a box may move for the sake of a stud, inches. */
const TO_STUD_IN = 8;

/**
 * Moves a box on a wall to the nearest stud's side: behind the appliance, or beside it where it belongs there. Where none is near,
 * a bracket carries the box; where a doorway or another box is in its place, it goes where there is room.
 */
export function onStud(house: House, feature: Feature, box: Box): Box {
  const { at } = box;
  const view = viewRoom(house, feature.room);
  if (at.kind !== 'wall' || !isFramedAt(view, at.wall)) return box;
  if (feature.at.kind !== 'wall') return nearestOnStud(house, box) ?? box;
  const { startIn, lengthIn } = wallOf(view, at.wall);
  const { alongIn: fromIn, widthIn } = feature.at;
  const isBehind = (alongIn: number) => alongIn > fromIn && alongIn < fromIn + widthIn;
  const isClear = (alongIn: number) =>
    view.boxes.every((other) => areApart({ ...box, at: { ...at, alongIn } }, other)) &&
    !isTakenFromBehind(house, feature.room, startIn + alongIn, at.heightIn, box.gangs);
  const near = studFaces(view, at.heightIn, box.gangs)
    .map((face) => face.atIn - startIn)
    .filter((alongIn) => alongIn > 0 && alongIn < lengthIn && Math.abs(alongIn - at.alongIn) <= TO_STUD_IN)
    .filter((alongIn) => isBehind(alongIn) === isBehind(at.alongIn))
    .filter(isClear)
    .sort((a, b) => Math.abs(a - at.alongIn) - Math.abs(b - at.alongIn));
  if (near[0] !== undefined) return { ...box, at: { ...at, alongIn: near[0] } };
  const clear = inTheWayOf(view, box) || !isClear(at.alongIn) ? nearestOnStud(house, box) : undefined;
  return clear ?? (takesBracket(view, at.wall) ? { ...box, bracket: true } : box);
}

/** From the side of the appliance into the cabinet beside it, inches: *common practice*. */
const ASIDE_IN = 6;

/** In the space beside the appliance: on the side of the sink where there is one, and where the wall goes on. */
export function placeBeside(house: House, feature: Feature, hookup: Hookup): BoxPlace {
  const { at } = feature;
  if (at.kind !== 'wall') return placeFor(house, feature, hookup);
  const { lengthIn } = given(findWall(wallLoop(mustGet(house.rooms, feature.room)), at.wall));
  const sinks = Object.values(house.features).flatMap((one) =>
    one.room === feature.room && one.kind === 'sink' && one.at.kind === 'wall' && one.at.wall === at.wall
      ? [one.at.alongIn + one.at.widthIn / 2]
      : [],
  );
  const toSink = (alongIn: number) => Math.min(Infinity, ...sinks.map((sink) => Math.abs(sink - alongIn)));
  const [best] = [at.alongIn - ASIDE_IN, at.alongIn + at.widthIn + ASIDE_IN]
    .filter((alongIn) => alongIn >= ASIDE_IN / 2 && alongIn <= lengthIn - ASIDE_IN / 2)
    .sort((a, b) => toSink(a) - toSink(b));
  return best === undefined
    ? placeFor(house, feature, hookup)
    : { kind: 'wall', wall: at.wall, alongIn: best, heightIn: hookup.heightIn };
}

/** What a drawn appliance connects to: the nearest load of its kind in its room, where no appliance of that kind is nearer to it. */
export function connectionOf(house: House, feature: Feature): { readonly box: Box; readonly load: Load } | undefined {
  const its = loadOf(feature);
  if (!its) return undefined;
  const kinds = alike(its.kind);
  const room = mustGet(house.rooms, feature.room);
  const like = Object.values(house.features).filter((one) => {
    const other = one.room === room.id ? loadOf(one) : undefined;
    return other !== undefined && kinds.includes(other.kind);
  });
  const awayFrom = (one: Feature, box: Box) => distance(featureMiddle(room, one), boxPoint(house, box));
  return Object.values(house.loads)
    .flatMap((load) => {
      const box = house.boxes[load.box];
      if (!box || box.room !== room.id || !kinds.includes(load.kind)) return [];
      const awayIn = awayFrom(feature, box);
      const isNearest = like.every((one) => one.id === feature.id || awayFrom(one, box) >= awayIn);
      return awayIn <= ITS_OWN_IN && isNearest ? [{ box, load, awayIn }] : [];
    })
    .sort((a, b) => a.awayIn - b.awayIn)[0];
}

/**
 * What an appliance alone connects to, and may take along when it is moved, changed or removed: a new box that holds nothing else and
 * at which no work is done yet.
 */
export function ownConnection(house: House, feature: Feature): ReturnType<typeof connectionOf> {
  const its = connectionOf(house, feature);
  if (!its) return undefined;
  const { progress, state, devices } = its.box;
  // A fan with its lamp and its heater is one thing in one box.
  const holds = feature.kind === 'bath-fan' ? 1 + (feature.functions?.length ?? 0) : 1;
  const stays = progress !== undefined || state === 'existing' || Object.keys(devices).length > holds;
  return stays ? undefined : its;
}
