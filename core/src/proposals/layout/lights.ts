import { boundsOf, distance, innerPoint, isInside, type Point } from '../../geometry/geometry';
import type { RoomKind, Standards } from '../../house/schema';
import { lightOf } from '../../control/room-light';
import { fanUnitOf } from '../../circuits/fan-unit';
import { indexOutlets } from '../../circuits/outlets';
import { distanceToFeature, featureOutline, placeOf } from '../../plan/points';
import { isPaddleFan } from '../../place/fans';
import { ceilingGrid } from '../../place/luminaires';
import { wallOf, type RoomView, type Way } from '../../plan/room-view';
import { pointOnWall, type LoopWall } from '../../plan/wall-loop';
import { isUnfinishedBasement } from '../../nec/requirements/unfinished-parts';
import { isMoist, OUTDOOR_KINDS } from '../../place/outdoors';
import type { Boxing } from './plan';
import { lightNeed } from './light-need';
import { bestSpot, ceilingBoxes, ceilingPoints } from './spots';

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

/** How far apart what hangs from a ceiling must stand at least, and from a fan's sweep, inches. */
const APART_IN = 20;
const FROM_FAN_IN = 36;
/** Depth of a garage over which its raised door hangs, past the door's own height, inches: *common practice*. */
const RAISED_PAST_IN = 12;

/** From a wall into its room: corners run clockwise. */
const inwardOf = ({ unit }: LoopWall): Point => ({ x: -unit.y, y: unit.x });

/** Outlines over which no light hangs: raised garage doors, beams, shelves, tubs and showers. */
function keptFree(view: RoomView): Point[][] {
  const doors = view.openings
    .filter(({ opening }) => opening.kind === 'vehicle')
    .map(({ opening, alongIn, widthIn, wall: id }) => {
      const wall = wallOf(view, id);
      const depth = opening.headIn + RAISED_PAST_IN;
      const at = (along: number, into: number): Point => {
        const on = pointOnWall(wall, along);
        const inward = inwardOf(wall);
        return { x: on.x + inward.x * into, y: on.y + inward.y * into };
      };
      return [at(alongIn, 0), at(alongIn + widthIn, 0), at(alongIn + widthIn, depth), at(alongIn, depth)];
    });
  const others = view.features
    .filter((one) => one.kind === 'tub' || one.kind === 'shower' || one.kind === 'closet-shelf' || one.kind === 'beam')
    .map((one) => featureOutline(view.room, one));
  return [...doors, ...others];
}

/** Where the lights of a room hang: a grid, clear of what it must be clear of; the middle where that leaves none. */
function lightPoints(view: RoomView, columns: number, rows: number, standard: Standards['ceilingRows']): Point[] {
  if (columns * rows < 2) return [lightPoint(view)];
  const kept = keptFree(view);
  const fans = view.boxes.filter((box) => Object.values(box.devices).some((one) => isPaddleFan(one, view.room.kind)));
  const isClear = (at: Point) =>
    fans.every((box) => distance(placeOf(view, box), at) >= FROM_FAN_IN) &&
    ceilingBoxes(view).every((one) => distance(one, at) >= APART_IN);
  // Under a raised door nothing hangs: the rows go where the ceiling is free.
  const room = { ...view.room, corners: freePart(view, kept) };
  const { places } = ceilingGrid(room, { columns, rows, standard: standard }, kept);
  const clear = places.filter((at) => isInside(at, view.room.corners) && isClear(at));
  return clear.length > 0 ? clear : [lightPoint(view)];
}

/** The corners of a garage's ceiling without the strip along the wall in which its vehicle doors hang. */
function freePart(view: RoomView, kept: readonly Point[][]): RoomView['room']['corners'] {
  const doors = view.openings.filter(({ opening }) => opening.kind === 'vehicle');
  const [first] = doors;
  if (!first) return view.room.corners;
  const inward = inwardOf(wallOf(view, first.wall));
  const reach = Math.max(...doors.map(({ opening }) => opening.headIn + RAISED_PAST_IN));
  const { minX, maxX, minY, maxY } = boundsOf(view.room.corners);
  const isAcross = Math.abs(inward.x) > Math.abs(inward.y);
  const depth = isAcross ? maxX - minX : maxY - minY;
  // A garage that is hardly deeper than its door is lit between the doors.
  if (kept.length === 0 || depth - reach < 72) return view.room.corners;
  const [x0, x1] = isAcross ? (inward.x > 0 ? [minX + reach, maxX] : [minX, maxX - reach]) : [minX, maxX];
  const [y0, y1] = isAcross ? [minY, maxY] : inward.y > 0 ? [minY + reach, maxY] : [minY, maxY - reach];
  return (
    [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ] as const
  ).map(([x, y], i) => ({ id: `free${i}`, x, y, wall: 'solid' as const }));
}

/** The lights of a room that has none: as many as its size and use want, by the lumen method where people work in it. */
export function boxLights(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  const equipment = view.features.some((one) => EQUIPMENT.has(one.kind));
  const due = !UNLIT.has(view.room.kind) || equipment || isUnfinishedBasement(boxing.house, view.room) !== false;
  if (!due) return;
  const isBath = view.room.kind === 'bathroom' || view.room.kind === 'half-bath';
  if (!needsLight(boxing, room)) {
    // The lamp in a fan lights the middle of a bath, and nobody's face.
    if (isBath && isLitByFans(boxing, room)) atMirrors(boxing, room);
    return;
  }
  const need = lightNeed(view, view.room.bays ?? 1);
  const required = !['pantry', 'walk-in-closet'].includes(view.room.kind);
  const section = equipment ? '210.70(A)(3), (C)' : '210.70(A)';
  const points = lightPoints(view, need.columns, need.rows, boxing.house.standards.ceilingRows).map(rounded);
  points.forEach((at, i) => {
    const wet = view.features.some(
      (one) => (one.kind === 'tub' || one.kind === 'shower') && distanceToFeature(view.room, one, at) === 0,
    );
    const because = !required
      ? { reason: 'not required, and always wanted', section: 'common practice' }
      : i === 0
        ? { reason: `a lighting outlet in the room${need.because ? `; ${need.because}` : ''}`, section }
        : { reason: need.because ?? 'so that its ends are lit as well', section: 'common practice' };
    boxing.place(
      room,
      { kind: 'ceiling', ...at },
      [
        boxing.device('luminaire', {
          marked: wet || isMoist(view.room) ? 'damp' : 'dry',
          ...(need.lumens === undefined ? {} : { lumens: need.lumens, va: need.va }),
        }),
      ],
      because,
    );
  });
  if (view.room.kind === 'kitchen') overSink(boxing, room);
  if (isBath) atMirrors(boxing, room);
}

/** Whether all lamps of a room are parts of its fans. */
const isLitByFans = (boxing: Boxing, room: string): boolean =>
  lightOf(boxing.house, indexOutlets(boxing.house), boxing.house.rooms[room]!).luminaires.every(
    (one) => fanUnitOf(boxing.house, one).length > 0,
  );

/** Height of a light over the mirror, inches to its center, and how far from the basin's middle it still serves: *common practice*. */
const [OVER_MIRROR_IN, AT_MIRROR_IN] = [80, 18];

/** Basins nearer than this share the light between them, inches, middle to middle: *common practice*. */
const SHARE_MIRROR_IN = 30;

/** A light on the wall over each basin's mirror: from the ceiling's middle one's own head shades one's face. *Common practice*. */
function atMirrors(boxing: Boxing, room: string): void {
  const lit: Point[] = [];
  for (const { kind, at } of boxing.view(room).features) {
    if (kind !== 'basin' || at.kind !== 'wall') continue;
    const middle = pointOnWall(wallOf(boxing.view(room), at.wall), at.alongIn + at.widthIn / 2);
    if (lit.some((one) => distance(one, middle) < SHARE_MIRROR_IN)) continue;
    lit.push(middle);
    atMirror(boxing, room, middle);
  }
}

function atMirror(boxing: Boxing, room: string, middle: Point): void {
  if (OVER_MIRROR_IN > boxing.view(room).level.ceilingIn - 6) return;
  const spot = bestSpot(boxing.house, room, {
    heightIn: OVER_MIRROR_IN,
    cost: ({ point }) => distance(point, middle),
  });
  if (!spot || distance(spot.point, middle) > AT_MIRROR_IN) return;
  boxing.place(
    room,
    spot.at,
    [boxing.device('luminaire', { style: 'wall', marked: 'damp', lumens: 1600, va: 18 })],
    { reason: 'over the mirror', section: 'common practice' },
    spot.bracket,
  );
}

/** A light over the sink, where none hangs near it: one stands in one's own light there. *Common practice*. */
function overSink(boxing: Boxing, room: string): void {
  const view = boxing.view(room);
  const sink = view.features.find((one) => one.kind === 'sink');
  if (!sink) return;
  const outline = featureOutline(view.room, sink);
  const at = rounded({
    x: outline.reduce((sum, one) => sum + one.x, 0) / outline.length,
    y: outline.reduce((sum, one) => sum + one.y, 0) / outline.length,
  });
  const isFree = isInside(at, view.room.corners) && ceilingBoxes(view).every((one) => distance(one, at) >= 24);
  if (isFree)
    boxing.place(room, { kind: 'ceiling', ...at }, [boxing.device('luminaire', { lumens: 800, va: 9 })], {
      reason: 'over the sink, where one stands in one\u2019s own light',
      section: 'common practice',
    });
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

/** Points on both sides of an opening where a light hangs. */
export function jambPoints(
  view: RoomView,
  { wall: id, alongIn, widthIn }: Pick<Way, 'wall' | 'alongIn' | 'widthIn'>,
): Point[] {
  const wall = wallOf(view, id);
  return [pointOnWall(wall, alongIn), pointOnWall(wall, alongIn + widthIn)];
}
