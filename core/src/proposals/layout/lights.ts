import { distance, innerPoint, isInside, type Point } from '../../geometry/geometry';
import type { RoomKind } from '../../house/schema';
import { lightOf } from '../../control/room-light';
import { indexOutlets } from '../../circuits/outlets';
import { distanceToFeature } from '../../plan/points';
import { wallOf, type RoomView, type Way } from '../../plan/room-view';
import { pointOnWall } from '../../plan/wall-loop';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import type { Boxing } from './plan';
import { bestSpot, ceilingPoints } from './spots';

/** Rooms that get a ceiling light: those that the code names, and those that any crew lights. */
const UNLIT: ReadonlySet<RoomKind> = new Set<RoomKind>([
  ...OUTDOOR_KINDS,
  'attic',
  'crawl-space',
  'linen',
  'closet',
  'other',
  'storage',
]);
/** Height of a wall luminaire beside a door, inches to its center: *common practice*. */
const BESIDE_DOOR_IN = 72;
/** Out from the opening's corner: 10 to 12 in, *common practice*. */
const OUT_FROM_DOOR_IN = 11;
const EQUIPMENT = new Set(['furnace', 'air-handler', 'water-heater']);

const needsLight = (boxing: Boxing, room: string): boolean =>
  lightOf(boxing.house, indexOutlets(boxing.house), boxing.house.rooms[room]!).luminaires.length === 0;

/** The middle of a room's ceiling, shifted off beams; over a tub or shower only where nothing else is left. */
function lightPoint(view: RoomView): Point {
  const middle = innerPoint(view.room.corners);
  const wet = view.features.filter((one) => one.kind === 'tub' || one.kind === 'shower');
  const shelves = view.features.filter((one) => one.kind === 'closet-shelf' || one.kind === 'beam');
  const points = [middle, ...ceilingPoints(view, 3, 12, (at) => isInside(at, view.room.corners))];
  const cost = (at: Point) =>
    distance(at, middle) +
    (wet.some((one) => distanceToFeature(view.room, one, at) === 0) ? 500 : 0) +
    shelves.reduce((sum, one) => sum + 20 * Math.max(0, 16 - distanceToFeature(view.room, one, at)), 0);
  return points.reduce((best, at) => (cost(at) < cost(best) ? at : best));
}

const rounded = (at: Point): Point => ({ x: Math.round(at.x * 4) / 4, y: Math.round(at.y * 4) / 4 });

/** One lighting outlet in the middle of a room that has none. */
export function boxLights(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  const equipment = view.features.some((one) => EQUIPMENT.has(one.kind));
  const due = !UNLIT.has(view.room.kind) || equipment;
  if (!due || !needsLight(boxing, room)) return;
  const at = rounded(lightPoint(view));
  const wet = view.features.some(
    (one) => (one.kind === 'tub' || one.kind === 'shower') && distanceToFeature(view.room, one, at) === 0,
  );
  const required = !['pantry', 'walk-in-closet'].includes(view.room.kind);
  boxing.place(
    room,
    { kind: 'ceiling', ...at },
    [boxing.device('luminaire', { marked: wet ? 'damp' : 'dry' })],
    required
      ? { reason: 'a lighting outlet in the room', section: equipment ? '210.70(A)(3), (C)' : '210.70(A)' }
      : { reason: 'not required, and always wanted', section: 'common practice' },
  );
}

const ENTRANCES = new Set(['door', 'slider', 'pocket', 'barn', 'cased']);

/** The openings of a room that lead outdoors, with the outdoor room where one is drawn. */
export const waysOut = (boxing: Boxing, room: string) =>
  boxing.view(room).ways.flatMap((way) => {
    if (!ENTRANCES.has(way.kind) || OUTDOOR_KINDS.has(boxing.house.rooms[room]!.kind)) return [];
    const behind = way.behind === undefined ? undefined : boxing.house.rooms[way.behind]!;
    return !behind || OUTDOOR_KINDS.has(behind.kind) ? [{ way, outside: behind }] : [];
  });

/** A light outside every outdoor entrance, on the wall at the latch side, or under the roof where no wall is drawn. */
export function boxOutdoorLights(boxing: Boxing, room: string): void {
  for (const { outside } of waysOut(boxing, room)) {
    if (!outside) {
      boxing.leaveOpen(
        room,
        'A door leads outdoors to nothing that is drawn: draw the porch, deck or yard for its light.',
      );
      continue;
    }
    if (!needsLight(boxing, outside.id)) continue;
    const view = boxing.view(outside.id);
    const door = view.ways.find((one) => one.behind === room)?.seen;
    const because = { reason: `outside the door of ${boxing.house.rooms[room]!.name}`, section: '210.70(A)(2)' };
    const device = boxing.device('luminaire', { style: 'wall', marked: 'wet' });
    const jambs = door ? jambPoints(view, door) : [];
    const spot = door
      ? bestSpot(boxing.house, outside.id, {
          heightIn: BESIDE_DOOR_IN,
          behindDoors: true,
          cost: ({ point }) => Math.abs(Math.min(...jambs.map((jamb) => distance(jamb, point))) - OUT_FROM_DOOR_IN),
        })
      : undefined;
    if (spot) boxing.place(outside.id, spot.at, [device], because, spot.bracket);
    else boxing.place(outside.id, { kind: 'ceiling', ...rounded(innerPoint(outside.corners)) }, [device], because);
  }
}

export function jambPoints(
  view: RoomView,
  { wall: id, alongIn, widthIn }: Pick<Way, 'wall' | 'alongIn' | 'widthIn'>,
): Point[] {
  const wall = wallOf(view, id);
  return [pointOnWall(wall, alongIn), pointOnWall(wall, alongIn + widthIn)];
}
