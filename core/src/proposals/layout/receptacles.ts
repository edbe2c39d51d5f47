import { isUnfinishedBasement } from '../../nec/requirements/unfinished-parts';
import { serviceReceptacles, SERVICED_EQUIPMENT } from '../../nec/requirements/service-receptacles';
import { areaFt2, distance, distanceToSegment, type Point } from '../../geometry/geometry';
import type { Feature } from '../../house/schema';
import { boxesOfProposal, proposeForRoom } from '../../place/propose';
import {
  boxHeightIn,
  counterBoxHeightIn,
  countedOnLoop,
  receptaclesOf,
  servesCounter,
  usualHeightIn,
  whyNotCounted,
} from '../../place/receptacles';
import { awayFromCorners, isInCorner } from '../../place/inside-corners';
import { placesIn } from '../../place/reach';
import { cutIntervals, lengthOf } from '../../geometry/intervals';
import { distanceToFeature, featureOutline, placeOf } from '../../plan/points';
import type { RoomView } from '../../plan/room-view';
import { measureCounterSpaces } from '../../plan/counter-spaces';
import { vehicleBays } from '../../plan/vehicle-bays';
import { findWall, toLoop, wallLoop } from '../../plan/wall-loop';
import { measureBreaks, measureWallSpaces } from '../../plan/wall-spaces';
import { effectiveLimit, effectiveLimits } from '../../nec/check-house';
import { placementLimits } from '../../nec/apply-remedy';
import { houseWalls, isOnHouse } from '../../place/house-walls';
import { asPlaced, OUTDOOR_KINDS } from '../../place/outdoors';
import { lengthOfHallIn } from '../../nec/requirements/halls';
import { islandNeed, type IslandLimits } from '../../nec/requirements/islands';
import { outerEnd } from '../../plan/islands';
import type { Boxing } from './plan';
import { bestSpot, LAST_RESORT, type Spot, type SpotRequest } from './spots';

const isOrdinary = (boxing: Boxing, room: string) => {
  const view = boxing.view(room);
  return view.boxes.filter((box) => whyNotCounted(box, view.level.ceilingIn) === undefined);
};

/** Drops one receptacle at the best place of a room. */
function drop(
  boxing: Boxing,
  room: string,
  request: Omit<SpotRequest, 'heightIn'> & { heightIn?: number },
  reason: string,
  section: string,
): boolean {
  const view = boxing.view(room);
  const heightIn = request.heightIn ?? usualHeightIn(view.room, boxing.house.standards);
  const spot = bestSpot(boxing.house, room, { behindDoors: true, ...request, heightIn });
  if (!spot) {
    boxing.leaveOpen(room, `No place on a wall of ${view.room.name} for a receptacle: ${reason}.`);
    return false;
  }
  const devices = [boxing.device('receptacle', asPlaced(view.room))];
  return boxing.place(room, spot.at, devices, { reason, section }, spot.bracket);
}

/** A receptacle beside a bed is looked for from its edge to so far from it, inches; a lamp stands about in the middle. *Common practice*. */
const BEDSIDE_IN = { least: 3, middle: 12, most: 30 };

/** One at each side of a bed's head, before the walls are filled: the others are spaced from them. */
function atBedsides(boxing: Boxing, room: string): void {
  if (boxing.house.standards.bedsides === 'as-spaced') return;
  for (const bed of boxing.view(room).features) {
    if (bed.kind !== 'bed' || bed.at.kind !== 'wall' || bed.at.acrossCorner) continue;
    const loop = wallLoop(boxing.view(room).room);
    const wall = findWall(loop, bed.at.wall);
    if (!wall) continue;
    const [from, to] = [wall.startIn + bed.at.alongIn, wall.startIn + bed.at.alongIn + bed.at.widthIn];
    for (const beyond of [(at: number) => from - at, (at: number) => at - to]) {
      const view = boxing.view(room);
      const isBeside = (at: number) => beyond(at) >= BEDSIDE_IN.least && beyond(at) <= BEDSIDE_IN.most;
      if (countedOnLoop(view).some((one) => isBeside(one.atIn))) continue;
      const spot = bestSpot(boxing.house, room, {
        behindDoors: false,
        heightIn: usualHeightIn(view.room, boxing.house.standards),
        cost: ({ at, atLoopIn, bracket }) =>
          at.wall === wall.id && isBeside(atLoopIn) && !bracket && !isInCorner(view, atLoopIn)
            ? Math.abs(beyond(atLoopIn) - BEDSIDE_IN.middle)
            : undefined,
      });
      // Between a bed and a corner there may be no stud: spacing alone decides there.
      if (spot)
        boxing.place(room, spot.at, [boxing.device('receptacle', asPlaced(view.room))], {
          reason: 'beside the bed',
          section: 'common practice',
        });
    }
  }
}

/** Wall spaces and counters with the fewest, exactly. */
function spaced(boxing: Boxing, room: string): void {
  const proposal = proposeForRoom(boxing.house, room, placementLimits(boxing.house));
  const boxes = boxesOfProposal(boxing.house, proposal, boxing.newId);
  boxes.forEach((box, i) => {
    const { purpose, on } = proposal.boxes[i]!;
    const reason = { wall: 'no point of the wall over 6 ft away', counter: 'no point of the counter over 24 in away' };
    boxing.place(
      room,
      box.at,
      box.devices,
      purpose === 'counter'
        ? { reason: reason.counter, section: '210.52(C)(1)' }
        : on === 'floor'
          ? { reason: `${reason.wall}, in a box listed for floors`, section: '210.52(A)(3)' }
          : { reason: reason.wall, section: '210.52(A)(1)' },
      box.bracket ?? false,
    );
  });
  for (const one of proposal.unreachable)
    boxing.leaveOpen(
      one.room,
      'A stretch that neither a box on a wall nor one in the floor reaches: something stands before it.',
    );
}

function atBasins(boxing: Boxing, room: string): void {
  const reach = effectiveLimit(boxing.house, 'bathroom-basin-receptacle', 'reachIn');
  const below = effectiveLimit(boxing.house, 'bathroom-basin-receptacle', 'belowTopIn');
  const side = effectiveLimit(boxing.house, 'tub-zone-receptacles', 'sideIn');
  const basins = boxing.view(room).features.filter((one) => one.kind === 'basin' || one.kind === 'sink');
  if (basins.length === 0) boxing.leaveOpen(room, 'Draw the basin: its receptacle stands within 3 ft of it.');
  for (const basin of basins) {
    const view = boxing.view(room);
    const isServed = view.boxes.some(
      (box) =>
        box.at.kind === 'wall' &&
        whyNotCounted(box, view.level.ceilingIn) === undefined &&
        box.at.heightIn >= basin.heightIn - below &&
        distanceToFeature(view.room, basin, placeOf(view, box)) <= reach,
    );
    if (isServed) continue;
    const wet = view.features.filter((one) => one.kind === 'tub' || one.kind === 'shower');
    const others = basins.filter((one) => one !== basin);
    drop(
      boxing,
      room,
      {
        heightIn: Math.max(boxing.house.standards.bathHeightIn, basin.heightIn + 6),
        cost: ({ point }) => {
          const away = distanceToFeature(view.room, basin, point);
          const wetAway = Math.min(Infinity, ...wet.map((one) => distanceToFeature(view.room, one, point)));
          if (away > reach || wetAway === 0) return undefined;
          // A place between two basins serves both; the zone of the tub is avoided wherever that can be done.
          const alsoServes = others.filter((one) => distanceToFeature(view.room, one, point) <= reach).length;
          return away - 12 * alsoServes + (wetAway < side ? LAST_RESORT : 0);
        },
      },
      'within 3 ft of the basin',
      '210.52(D)',
    );
  }
}

/** Receptacles of a garage so far apart are apart, and so far from a corner are out of it, inches: *common practice*. */
const APART_IN = 96;
const OUT_OF_CORNER_IN = 48;

function inGarage(boxing: Boxing, room: string): void {
  const { bays } = boxing.view(room).room;
  if (bays === undefined)
    return boxing.leaveOpen(room, 'Say how many vehicles it holds: one receptacle a bay is required.');
  const lanes = vehicleBays(boxing.view(room), bays);
  const fill = (isIn: (point: Point) => boolean): boolean => {
    const view = boxing.view(room);
    const taken = view.boxes.filter((box) => receptaclesOf(box).length > 0).map((box) => placeOf(view, box));
    // Apart from the others, on a wall one can reach: not in a corner behind the vehicles.
    const away = (point: Point) => Math.min(APART_IN, ...taken.map((one) => distance(one, point)));
    const cost = ({ point, atLoopIn }: Spot) =>
      isIn(point) ? -away(point) - Math.min(OUT_OF_CORNER_IN, awayFromCorners(view, atLoopIn)) : undefined;
    return drop(boxing, room, { cost }, 'one for each vehicle bay', '210.52(G)(1)');
  };
  for (let bay = 0; lanes && bay < bays; bay++) {
    const view = boxing.view(room);
    const isServed = isOrdinary(boxing, room).some((box) => lanes.bayOf(placeOf(view, box)) === bay);
    if (!isServed) fill((point) => lanes.bayOf(point) === bay);
  }
  for (let n = isOrdinary(boxing, room).length; n < bays; n++) if (!fill(() => true)) return;
}

function inHall(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  const length = lengthOfHallIn(view.room);
  if (length < effectiveLimit(boxing.house, 'hallway-receptacle', 'minLengthIn') || countedOnLoop(view).length > 0)
    return;
  const longest = [...measureWallSpaces(view)].sort((a, b) => lengthOf(b) - lengthOf(a))[0];
  if (!longest) return boxing.leaveOpen(room, 'No wall to put the hall receptacle on.');
  const middle = (longest.fromIn + longest.toIn) / 2;
  const loop = wallLoop(view.room).lengthIn;
  const cost = ({ atLoopIn }: { atLoopIn: number }) =>
    Math.min(Math.abs(atLoopIn - middle), Math.abs(atLoopIn + loop - middle));
  drop(boxing, room, { cost }, 'a hallway of 10 ft and more', '210.52(H)');
}

function inFoyer(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  if (areaFt2(view.room.corners) <= effectiveLimit(boxing.house, 'foyer-receptacle', 'areaFt2')) return;
  const least = effectiveLimit(boxing.house, 'foyer-receptacle', 'minWallIn');
  const loop = wallLoop(view.room);
  const sidelights = view.openings
    .filter((seen) => seen.opening.kind === 'fixed-glass')
    .map((seen) => toLoop(loop, seen.wall, seen.alongIn))
    .map((fromIn, i) => ({
      fromIn,
      toIn: fromIn + view.openings.filter((s) => s.opening.kind === 'fixed-glass')[i]!.widthIn,
    }));
  for (const wall of loop.walls)
    for (const space of cutIntervals({ fromIn: wall.startIn, toIn: wall.startIn + wall.lengthIn }, [
      ...measureBreaks(view),
      ...sidelights,
    ])) {
      if (lengthOf(space) < least) continue;
      const counted = countedOnLoop(boxing.view(room)).map((one) => one.atIn);
      if (placesIn(space, loop.lengthIn, counted).length > 0) continue;
      const middle = (space.fromIn + space.toIn) / 2;
      drop(
        boxing,
        room,
        {
          cost: ({ atLoopIn }) =>
            atLoopIn > space.fromIn && atLoopIn < space.toIn ? Math.abs(atLoopIn - middle) : undefined,
        },
        'each wall of 3 ft and more of a large foyer',
        '210.52(I)',
      );
    }
}

/** Beside a door outdoors: clear of its casing and of whoever goes through, within a step of it. Inches, *common practice*. */
const BESIDE_DOOR_IN = 24;

/**
 * How good a place outdoors is: on the wall of the house, beside the door that leads there. Only a porch may have a wall of its own besides;
 * the edge of a deck or a yard is none.
 */
function outdoorCost(boxing: Boxing, view: RoomView): SpotRequest['cost'] {
  const loop = wallLoop(view.room);
  const house = houseWalls(boxing.house, view.room);
  const edges = view.ways.flatMap((way) => {
    const fromIn = toLoop(loop, way.wall, way.alongIn);
    return [fromIn, fromIn + way.widthIn];
  });
  const aside = (atLoopIn: number) =>
    edges.length > 0 ? Math.abs(Math.min(...edges.map((edge) => Math.abs(edge - atLoopIn))) - BESIDE_DOOR_IN) : 0;
  return (spot) => {
    if (isOnHouse(house, spot.at)) return aside(spot.atLoopIn);
    return view.room.kind === 'porch' ? LAST_RESORT + aside(spot.atLoopIn) : undefined;
  };
}

function outside(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  const has = view.boxes.some(
    (box) => receptaclesOf(box).some((one) => one.volts === 120) && boxHeightIn(box, view.level.ceilingIn) <= 78,
  );
  const due = view.room.kind !== 'outdoors' || view.room.side === 'front' || view.room.side === 'back';
  if (has || !due) return;
  drop(
    boxing,
    room,
    { cost: outdoorCost(boxing, view) },
    view.room.kind === 'outdoors' ? 'front and back of the house' : 'every porch, deck and balcony',
    view.room.kind === 'outdoors' ? '210.52(E)(1)' : '210.52(E)(3)',
  );
}

function onIsland(boxing: Boxing, room: string, island: Feature): void {
  const view = boxing.view(room);
  const limits = effectiveLimits<IslandLimits>(boxing.house, 'island-receptacle');
  if (!limits) return;
  const { need, serving, endIn } = islandNeed(view, island, limits);
  if (need === 'provision') {
    if (serving.length === 0 && !island.provision) boxing.provisions.push(island.id);
    return;
  }
  const outline = featureOutline(view.room, island);
  // On the ends first, a peninsula's outer one before all, then along the long sides: the middle of each side in turn.
  const middles = outline.map((_, i) => {
    const [a, b] = [outline[(i + 1) % 4]!, outline[(i + 2) % 4]!];
    return { x: Math.round((a.x + b.x) * 8) / 16, y: Math.round((a.y + b.y) * 8) / 16 };
  });
  if (endIn > 0) {
    const [a, b] = outerEnd(view, island);
    middles.sort((one, two) => distanceToSegment(one, a, b) - distanceToSegment(two, a, b));
  }
  for (let n = serving.length; n < need; n++)
    boxing.place(
      room,
      { kind: 'feature', feature: island.id, ...middles[n % 4]!, heightIn: Math.max(6, island.heightIn - 8) },
      [boxing.device('receptacle')],
      { reason: 'the counter of the island or peninsula', section: '210.52(C)(2), (3)' },
    );
}

/** As many receptacles over the counters of a kitchen as circuits must reach them: one alone can be on one circuit only. */
function forEachCircuit(boxing: Boxing, room: string): void {
  const { circuits } = effectiveLimits<{ circuits: number }>(boxing.house, 'small-appliance-circuits') ?? {
    circuits: 0,
  };
  const over = () => {
    const view = boxing.view(room);
    return view.boxes.filter((box) => receptaclesOf(box).some((one) => one.volts === 120) && servesCounter(view, box));
  };
  if (over().length === 0) return;
  const { wall, counter } = placementLimits(boxing.house);
  const spaces = measureCounterSpaces(boxing.view(room));
  const loop = wallLoop(boxing.view(room).room);
  while (over().length < circuits) {
    const view = boxing.view(room);
    const taken = over().map((box) => placeOf(view, box));
    const heightIn = counterBoxHeightIn(spaces[0]?.heightIn ?? 0, counter.maxAboveIn, boxing.house.standards);
    const isOver = (atLoopIn: number) => spaces.some((space) => placesIn(space, loop.lengthIn, [atLoopIn]).length > 0);
    const cost = ({ point, atLoopIn }: Spot) =>
      isOver(atLoopIn) ? -Math.min(wall.reachIn, ...taken.map((one) => distance(one, point))) : undefined;
    if (!drop(boxing, room, { heightIn, cost }, 'two small-appliance circuits reach the counter', '210.52(B)(3)'))
      return;
  }
}

function forService(boxing: Boxing, room: string, equipment: Feature): void {
  const view = boxing.view(room);
  const within = effectiveLimit(boxing.house, 'service-receptacle', 'withinIn');
  const [nearest] = serviceReceptacles(boxing.house, equipment, within);
  if (nearest && nearest.box.room === room && nearest.farIn <= within) return;
  const corners = featureOutline(view.room, equipment);
  drop(
    boxing,
    room,
    { cost: ({ point }) => Math.min(...corners.map((corner) => distance(corner, point))) },
    'service of the equipment',
    '210.63',
  );
}

/** The first place along the walls that is in no corner, where nothing else matters. */
const firstOutOfCorner = (view: RoomView, atLoopIn: number): number =>
  atLoopIn + (isInCorner(view, atLoopIn) ? wallLoop(view.room).lengthIn : 0);

/** A laundry in which an ironing board can stand, square feet; how far from washer and dryer its receptacle is free of them, inches. *Common practice*. */
const IRONING = { areaFt2: 35, clearIn: 18 };

/** One for the iron, at a wall that the machines leave free. */
function forIroning(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  const machines = view.features.filter((one) => one.kind === 'washer' || one.kind === 'dryer');
  const awayIn = (point: Point) =>
    Math.min(Infinity, ...machines.map((one) => distanceToFeature(view.room, one, point)));
  const isFree = isOrdinary(boxing, room).some((box) => awayIn(placeOf(view, box)) >= IRONING.clearIn);
  if (isFree || areaFt2(view.room.corners) < IRONING.areaFt2) return;
  const heightIn = boxing.house.standards.laundryHeightIn;
  const cost = ({ point, atLoopIn }: Spot) =>
    awayIn(point) < IRONING.clearIn ? undefined : firstOutOfCorner(view, atLoopIn);
  if (!bestSpot(boxing.house, room, { behindDoors: false, heightIn, cost })) return;
  drop(boxing, room, { heightIn, behindDoors: false, cost }, 'for the iron', 'common practice');
}

/** Every receptacle that 210.52 and its relatives ask of a room, beyond what stands there. */
export function boxReceptacles(boxing: Boxing, room: string): void {
  const { kind } = boxing.view(room).room;
  atBedsides(boxing, room);
  spaced(boxing, room);
  for (const feature of boxing.view(room).features)
    if (feature.kind === 'island' || feature.kind === 'peninsula') onIsland(boxing, room, feature);
  if (kind === 'kitchen') forEachCircuit(boxing, room);
  // What the authority has switched off asks for nothing.
  const isAsked = (rule: string) => effectiveLimits(boxing.house, rule) !== undefined;
  if ((kind === 'bathroom' || kind === 'half-bath') && isAsked('bathroom-basin-receptacle')) atBasins(boxing, room);
  if (kind === 'garage' && isAsked('garage-receptacle')) inGarage(boxing, room);
  if (kind === 'hallway' && isAsked('hallway-receptacle')) inHall(boxing, room);
  if (kind === 'foyer' && isAsked('foyer-receptacle')) inFoyer(boxing, room);
  if (OUTDOOR_KINDS.has(kind) && isAsked(kind === 'outdoors' ? 'outdoor-receptacles' : 'porch-receptacle'))
    outside(boxing, room);
  const washer = boxing.view(room).features.find((one) => one.kind === 'washer');
  if ((kind === 'laundry' || washer) && isAsked('laundry-receptacle') && isOrdinary(boxing, room).length === 0)
    drop(
      boxing,
      room,
      {
        heightIn: boxing.house.standards.laundryHeightIn,
        cost: ({ point }) => (washer ? distanceToFeature(boxing.view(room).room, washer, point) : 0),
      },
      'the washer, within 6 ft',
      '210.52(F), 210.50(C)',
    );
  if (kind === 'laundry' && isAsked('laundry-receptacle')) forIroning(boxing, room);
  if (
    isUnfinishedBasement(boxing.house, boxing.view(room).room) !== false &&
    isAsked('basement-receptacle') &&
    isOrdinary(boxing, room).length === 0
  )
    drop(
      boxing,
      room,
      { cost: ({ atLoopIn }) => firstOutOfCorner(boxing.view(room), atLoopIn) },
      'an unfinished basement',
      '210.52(G)(3)',
    );
  if (kind === 'accessory-building' && isAsked('accessory-receptacle') && isOrdinary(boxing, room).length === 0)
    drop(
      boxing,
      room,
      {
        heightIn: boxing.house.standards.garageHeightIn,
        cost: ({ atLoopIn }) => firstOutOfCorner(boxing.view(room), atLoopIn),
      },
      'an accessory building with power',
      '210.52(G)(2)',
    );
  for (const feature of boxing.view(room).features)
    if (SERVICED_EQUIPMENT.has(feature.kind) && isAsked('service-receptacle')) forService(boxing, room, feature);
}
