import { distance, polygonsOverlap, type Point } from '../../geometry/geometry';
import { fanUnitOf } from '../../circuits/fan-unit';
import { indexOutlets, type Outlet } from '../../circuits/outlets';
import { lightOf } from '../../control/room-light';
import { latchAlongIn } from '../../plan/latch';
import { wallOf, type RoomView, type Way } from '../../plan/room-view';
import { distanceToFeature, featureOutline, placeOf } from '../../plan/points';
import { interiorStairs, otherEndOf } from '../../nec/requirements/interior-stairs';
import type { Room } from '../../house/schema';
import { pointOnWall } from '../../plan/wall-loop';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { waysOut } from './lights';
import type { Boxing } from './plan';
import { bestSpot } from './spots';
import { isFan } from './standard-change';
import { switchingOf } from './switch-standards';

/** No room needs more control points than this to be left without turning back: *common practice*. */
const MOST_WAYS = 4;
/** How far from the jamb a switch is still found without groping, inches: *common practice*. */
const WITHIN_REACH_IN = 48;
/** Rooms that nobody comes into another by. */
export const SIDE_ROOMS = /closet|linen|pantry|bath|crawl|attic/;

/** What one switch governs: a name and the devices. */
interface Governed {
  readonly name: string;
  readonly devices: readonly string[];
}

/**
 * The ways by which one comes into a room, by doors and over open sides: not those of its closets and baths, nor from outdoors
 * unless it is the front of the house or there is no other.
 */
function waysIn(boxing: Boxing, view: RoomView): Way[] {
  const all = view.ways.filter((way) => way.kind !== 'vehicle');
  const main = all.filter(({ behind }) => behind !== undefined && !SIDE_ROOMS.test(boxing.house.rooms[behind]!.kind));
  const ways = main.length > 0 ? main : all;
  return view.room.kind === 'hallway' && ways.length > 2 ? farthestApart(view, ways) : ways.slice(0, MOST_WAYS);
}

/** A hall is switched at both ends, not at every bedroom door: *common practice*. */
function farthestApart(view: RoomView, ways: readonly Way[]): Way[] {
  const middle = (way: Way) => pointOnWall(wallOf(view, way.wall), way.alongIn + way.widthIn / 2);
  let best: Way[] = [];
  let most = -1;
  for (const a of ways)
    for (const b of ways) {
      const apart = distance(middle(a), middle(b));
      if (apart > most + 1e-6) [best, most] = [[a, b], apart];
    }
  return best;
}

/** Where a hand looks for the switch: the latch side of a door and the place beside it, or either edge of an open side. */
function reachAt(boxing: Boxing, view: RoomView, way: Way): { jamb: Point; wanted: Point }[] {
  const wall = wallOf(view, way.wall);
  if (!way.seen) {
    const edges = [way.alongIn, way.alongIn + way.widthIn].map((at) => pointOnWall(wall, at));
    return edges.map((edge) => ({ jamb: edge, wanted: edge }));
  }
  const latch = latchAlongIn(way.seen, wall.lengthIn);
  const wanted = pointOnWall(wall, latch.alongIn + latch.outward * boxing.house.standards.switchFromJambIn);
  return [{ jamb: pointOnWall(wall, latch.alongIn), wanted }];
}

/** A switch box at the latch side of a door or the edge of an open side, with a gang for each thing it governs. Answers the switches, in that order. */
function switchBox(boxing: Boxing, view: RoomView, way: Way, governed: readonly Governed[]): string[] {
  const places = reachAt(boxing, view, way);
  const within = (reachIn: number) =>
    bestSpot(boxing.house, view.room.id, {
      heightIn: boxing.house.standards.switchHeightIn,
      gangs: governed.length,
      cost: ({ point }) => {
        const near = places.filter(({ jamb }) => distance(jamb, point) <= reachIn);
        return near.length > 0 ? Math.min(...near.map(({ wanted }) => distance(wanted, point))) : undefined;
      },
    });
  // A switch farther off than a hand finds without groping is better than a light without one.
  const spot = within(WITHIN_REACH_IN) ?? within(Infinity);
  if (!spot) {
    boxing.leaveOpen(view.room.id, `No wall ${placeNameOf(way)} of ${view.room.name} for its switch.`);
    return [];
  }
  const devices = governed.map(() => boxing.device('switch'));
  const names = governed.map((one) => one.name).join(' and ');
  const reason = way.seen ? `at the latch side of the way in, for ${names}` : `where the room opens, for ${names}`;
  const placed = boxing.place(view.room.id, spot.at, devices, { reason, section: '210.70(A)' }, spot.bracket);
  return placed ? devices.map((one) => one.id) : [];
}

const placeNameOf = (way: Way): string => (way.seen ? 'at the latch side of a door' : 'near the open side');

const ids = (outlets: readonly Outlet[]) => outlets.map((one) => one.device.id);

const isGoverned = ({ house }: Boxing, { device }: Outlet) =>
  Object.values(house.switchGroups).some(
    (group) =>
      group.controls.includes(device.id) &&
      (group.switches.length > 0 || (device.kind === 'luminaire' && device.sensor !== undefined)),
  );

const fansOf = (boxing: Boxing, room: string): Outlet[] =>
  (indexOutlets(boxing.house).byRoom.get(room) ?? []).filter((one) => isFan(one) && !isGoverned(boxing, one));

/** Whether an outlet is part of a unit that heats. */
const isInHeater = (house: Boxing['house'], outlet: Outlet): boolean =>
  fanUnitOf(house, outlet).some((one) => one.load?.kind === 'bath-heater');

/** Heaters that are one unit with a fan: each has a switch of its own beside the fan's. */
const heatersOf = (boxing: Boxing, room: string): Governed[] =>
  (indexOutlets(boxing.house).byRoom.get(room) ?? [])
    .filter((one) => one.load?.kind === 'bath-heater' && fanUnitOf(boxing.house, one).length > 0)
    .filter((one) => !isGoverned(boxing, one))
    .map((one) => ({ name: `${one.room.name} heater`, devices: [one.device.id] }));

/** Whether one of some switches is where a hand finds it from a way in. */
function isNear(boxing: Boxing, view: RoomView, way: Way, switches: readonly string[]): boolean {
  const jambs = reachAt(boxing, view, way).map((one) => one.jamb);
  const placed = boxing.view(view.room.id).boxes.filter((box) => switches.some((id) => box.devices[id]));
  return placed.some((box) => jambs.some((jamb) => distance(jamb, placeOf(view, box)) <= WITHIN_REACH_IN));
}

/** Switches for a room's own light and fan at each way in, and for the lights outside its outdoor doors beside those doors. */
export function boxSwitches(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  if (OUTDOOR_KINDS.has(view.room.kind) || view.room.kind === 'stair') return;
  const light = lightOf(boxing.house, indexOutlets(boxing.house), view.room);
  const ungoverned = light.luminaires.filter((one) => !isGoverned(boxing, one));
  // The lamp of a fan that heats hangs on the circuit of its heater, apart from the light of the room.
  const inHeater = ungoverned.filter((one) => isInHeater(boxing.house, one));
  const isApart = inHeater.length > 0 && inHeater.length < ungoverned.length;
  const own = isApart ? ungoverned.filter((one) => !inHeater.includes(one)) : ungoverned;
  const fans = fansOf(boxing, room);
  const bath = /^(bathroom|half-bath)$/.test(view.room.kind);
  const together = switchingOf(boxing.house)[bath ? 'bathFans' : 'fans'] === 'together';
  const mine: Governed | undefined =
    own.length > 0 && light.switches.length === 0
      ? { name: `${view.room.name} light`, devices: [...ids(own), ...(together ? ids(fans) : [])] }
      : undefined;
  const air: Governed | undefined =
    fans.length > 0 && (!together || !mine) ? { name: `${view.room.name} fan`, devices: ids(fans) } : undefined;
  const beside = [
    ...(air ? [air] : []),
    ...(isApart ? [{ name: `${view.room.name} fan light`, devices: ids(inHeater) }] : []),
    ...heatersOf(boxing, room),
  ];
  const outdoors = waysOut(boxing, room).flatMap(({ way, outside }) => {
    if (!outside) return [];
    const there = lightOf(boxing.house, indexOutlets(boxing.house), boxing.house.rooms[outside.id]!);
    const free = there.luminaires.filter((one) => !isGoverned(boxing, one));
    return free.length > 0 && there.switches.length === 0
      ? [{ way, governed: { name: `${outside.name} light`, devices: ids(free) } }]
      : [];
  });
  const switches = new Map<Governed, string[]>();
  const add = (way: Way, governed: readonly Governed[]) => {
    const made = switchBox(boxing, boxing.view(room), way, governed);
    made.forEach((id, i) => switches.set(governed[i]!, [...(switches.get(governed[i]!) ?? []), id]));
  };
  const ways = mine ? waysIn(boxing, view) : [];
  for (const way of ways) {
    const also = outdoors.filter((one) => one.way.seen === way.seen).map((one) => one.governed);
    // Two ways in that are side by side are served by one switch.
    const isServed = isNear(boxing, view, way, switches.get(mine!) ?? []);
    // The fan and its heater are switched at the first way in only, beside the light.
    const governed = [...(isServed ? [] : [mine!]), ...(way === ways[0] ? beside : []), ...also];
    if (governed.length > 0) add(way, governed);
  }
  const left = beside.filter((one) => !switches.has(one));
  if (left.length > 0) {
    const [way] = waysIn(boxing, view);
    if (way) add(way, left);
    else boxing.leaveOpen(room, `${view.room.name} has no way in where a switch for its fan could stand.`);
  }
  for (const { way, governed } of outdoors)
    if (!switches.has(governed)) add(way, mine && ways.length === 0 ? [mine, governed] : [governed]);
  if (mine && !switches.has(mine))
    boxing.leaveOpen(room, `${view.room.name} has no way in where a switch could stand.`);
  for (const [governed, made] of switches) boxing.group(governed.name, made, governed.devices);
}

/** Stair rooms above each other are one stairwell: its lights are governed from every floor. */
export function boxStairSwitches(boxing: Boxing): void {
  const stairs = Object.values(boxing.house.rooms).filter((room) => room.kind === 'stair');
  const done = new Set<string>();
  for (const first of stairs) {
    if (done.has(first.id)) continue;
    const well = stairs.filter((one) => one === first || polygonsOverlap(one.corners, first.corners));
    well.forEach((one) => done.add(one.id));
    const index = indexOutlets(boxing.house);
    const lights = well.flatMap((one) => lightOf(boxing.house, index, one).luminaires);
    const free = lights.filter((one) => !isGoverned(boxing, one));
    if (free.length === 0 || well.some((one) => lightOf(boxing.house, index, one).switches.length > 0)) continue;
    const governed = { name: well.length > 1 ? 'Stair lights' : `${first.name} light`, devices: ids(free) };
    const made = well.flatMap((one) => {
      const view = boxing.view(one.id);
      const [way] = waysIn(boxing, view);
      if (way) return switchBox(boxing, view, way, [governed]);
      boxing.leaveOpen(one.id, `${one.name} has no way in drawn: its switch cannot be placed.`);
      return [];
    });
    const all = [...made, ...beyond(boxing, well, governed)];
    if (all.length > 0) boxing.group(governed.name, all, governed.devices);
  }
}

/** A switch at the other end of a stair that is drawn on one floor alone: near its flight, in the room that one comes out in. */
function beyond(boxing: Boxing, well: readonly Room[], governed: Governed): readonly string[] {
  if (new Set(well.map((one) => one.level)).size > 1) return [];
  return well.flatMap((room) =>
    interiorStairs(boxing.view(room.id)).flatMap((stair): string[] => {
      const flight = featureOutline(room, stair);
      const end = otherEndOf(boxing.house, room, flight);
      const [landing] = end?.rooms ?? [];
      if (!landing) return [];
      const spot = bestSpot(boxing.house, landing.id, {
        heightIn: boxing.house.standards.switchHeightIn,
        cost: ({ point }) => distanceToFeature(room, stair, point),
      });
      if (!spot) {
        boxing.leaveOpen(landing.id, `No wall of ${landing.name} for the switch of the stair to ${room.name}.`);
        return [];
      }
      const device = boxing.device('switch');
      const reason = `at the other end of the stair, for ${governed.name}`;
      const placed = boxing.place(landing.id, spot.at, [device], { reason, section: '210.70(A)(2)' }, spot.bracket);
      return placed ? [device.id] : [];
    }),
  );
}
