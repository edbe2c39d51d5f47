import { formatLength } from '../units/length';
import { itemAt, type Problem } from '../units/result';
import { areaFt2, boundsOf, crossesItself, distance, isClockwise } from '../geometry/geometry';
import { findBadBoxes } from './integrity-boxes';
import { findDangling } from './integrity-references';
import { collections } from './collections';
import { checkOnWall } from './on-wall';
import { rememberBy, type Report } from './remember';
import type { House, Opening, Room } from './schema';
import { findOverlaps } from './rooms-apart';
import { tooManyOf } from './sizes';
import { OPENING_NAMES } from './opening-names';

/** No room of a house is longer, inches: what is has been typed wrong. */
const LARGEST_ROOM_IN = 300 * 12;
function isTooLarge({ corners }: Room): boolean {
  const { minX, maxX, minY, maxY } = boundsOf(corners);
  return Math.max(maxX - minX, maxY - minY) > LARGEST_ROOM_IN;
}

function checkRoom(room: Room, report: Report): void {
  const at = `rooms.${room.id}.corners`;
  if (new Set(room.corners.map((corner) => corner.id)).size < room.corners.length)
    report('corner-twice', at, `${room.name} has two corners with one id.`);
  if (room.corners.some((corner, i) => distance(corner, itemAt(room.corners, (i + 1) % room.corners.length)) < 1))
    report('wall-short', at, `${room.name} has a wall shorter than 1". Move its corners apart.`);
  else if (crossesItself(room.corners))
    report('room-crossed', at, `The walls of ${room.name} cross each other. Move the corner back.`);
  else if (areaFt2(room.corners) < 1)
    report(
      'room-small',
      at,
      `${room.name} is smaller than 1 ft². Make it larger; a number alone counts as inches, 12' as feet.`,
    );
  else if (isTooLarge(room))
    report(
      'room-large',
      at,
      `${room.name} is more than ${formatLength(LARGEST_ROOM_IN)} from end to end. Type less; a number alone counts as inches, 12' as feet.`,
    );
  else if (!isClockwise(room.corners))
    report('room-turned', at, `The corners of ${room.name} run counter-clockwise; list them clockwise.`);
}

const describeOpening = ({ kind }: Opening): string => `The ${OPENING_NAMES[kind]}`;

function checkOpeningsApart(house: House, report: Report): void {
  const byWall = new Map<string, Opening[]>();
  for (const opening of Object.values(house.openings)) {
    const key = `${opening.room}/${opening.wall}`;
    byWall.set(key, [...(byWall.get(key) ?? []), opening]);
  }
  for (const openings of byWall.values()) {
    openings.sort((a, b) => a.alongIn - b.alongIn);
    openings.slice(1).forEach((opening, i) => {
      const before = itemAt(openings, i);
      if (before.alongIn + before.widthIn > opening.alongIn + 0.01)
        report(
          'openings-overlap',
          `openings.${opening.id}.alongIn`,
          `${describeOpening(opening)} overlaps another opening of the same wall. Slide it along.`,
        );
    });
  }
}

const findCounts = collections.map((collection) =>
  rememberBy(
    (house, report) => {
      for (const { code, path, message } of tooManyOf(collection, house[collection])) report(code, path, message);
    },
    (house) => [house[collection]],
  ),
);
const findKeys = collections.map((collection) =>
  rememberBy(
    (house, report) => {
      for (const [key, entity] of Object.entries(house[collection]))
        if (key !== entity.id)
          report('key-differs', `${collection}.${key}.id`, `The key "${key}" and the id "${entity.id}" differ.`);
    },
    (house) => [house[collection]],
  ),
);
const findBadRooms = rememberBy(
  (house, report) => Object.values(house.rooms).forEach((room) => checkRoom(room, report)),
  (house) => [house.rooms],
);
const findBadOpenings = rememberBy(
  (house, report) => {
    for (const opening of Object.values(house.openings))
      checkOnWall(
        house,
        { ...opening, fromIn: opening.alongIn, toIn: opening.alongIn + opening.widthIn },
        `openings.${opening.id}`,
        describeOpening(opening),
        report,
      );
    checkOpeningsApart(house, report);
  },
  (house) => [house.openings, house.rooms],
);
const findBadFeatures = rememberBy(
  (house, report) => {
    for (const { id, room, at, ...feature } of Object.values(house.features))
      if (at.kind === 'wall')
        checkOnWall(
          house,
          {
            room,
            wall: at.wall,
            fromIn: at.acrossCorner ? 0 : at.alongIn,
            // Across a corner of 90 degrees it takes 0.71 of its width of either leg.
            toIn: at.acrossCorner ? at.widthIn * Math.SQRT1_2 : at.alongIn + at.widthIn,
          },
          `features.${id}.at`,
          `The ${feature.name || feature.kind}`,
          report,
        );
  },
  (house) => [house.features, house.rooms],
);

/** What no single field can show: too much of something, dangling ids, things past the end of their wall, rooms that overlap. */
export function checkIntegrity(house: House): readonly Problem[] {
  for (const find of [...findCounts, ...findKeys, ...findDangling]) if (find(house).length > 0) return find(house);
  const problems = [findBadRooms, findBadOpenings, findBadFeatures, ...findBadBoxes].flatMap((find) => find(house));
  return problems.length > 0 ? problems : findOverlaps(house.rooms);
}
