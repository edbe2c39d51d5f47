import type { Result } from '../units/result';
import { edit, type Edited } from '../house/edit';
import { boundsOf, distance } from '../geometry/geometry';
import { wallLengthIn } from '../house/on-wall';
import type { Corner, FeaturePlace, House, Opening, Room } from '../house/schema';
import { nameCopy } from '../house/room-names';
import { choosePrefix, nextTag, type NewId } from './verbs';

interface CopyOptions {
  readonly mirror: 'none' | 'left-right' | 'up-down';
  /** How far the copy's bounding corner stands from the original's, inches. */
  readonly dx: number;
  readonly dy: number;
}

/**
 * A mirrored outline runs the other way round, so each copied wall starts at what was its end:
 * the copy of wall i keeps the id of wall i, and places along it count from the other end.
 */
const FROM_OTHER_END = { start: 'end', end: 'start' } as const;

/** A wall that is walked the other way is laid out from its other end; studs that were measured are counted from there. */
function mirrorFraming(framing: Corner['framing'], lengthIn: number): NonNullable<Corner['framing']> {
  const { layoutFrom = 'start', studsAtIn, ...rest } = framing ?? { depth: '2x4', plumbing: false };
  const measured = studsAtIn?.map((at) => lengthIn - at).reverse();
  return { ...rest, layoutFrom: FROM_OTHER_END[layoutFrom], ...(measured ? { studsAtIn: measured } : {}) };
}

function mirrorCorners(room: Room, options: CopyOptions): Corner[] {
  const { minX, maxX, minY, maxY } = boundsOf(room.corners);
  const put = (corner: Corner): Corner => ({
    ...corner,
    x: (options.mirror === 'left-right' ? minX + maxX - corner.x : corner.x) + options.dx,
    y: (options.mirror === 'up-down' ? minY + maxY - corner.y : corner.y) + options.dy,
  });
  if (options.mirror === 'none') return room.corners.map(put);
  const count = room.corners.length;
  return room.corners
    .map((corner, i) => {
      const next = room.corners[(i + 1) % count]!;
      const { x, y } = put(next);
      return { ...corner, x, y, framing: mirrorFraming(corner.framing, distance(corner, next)) };
    })
    .reverse();
}

/** Copies a room with its openings, features and boxes, as it is or mirrored; circuits and loads stay behind. */
export function copyRoom(house: House, roomId: string, options: CopyOptions, newId: NewId): Result<Edited> {
  return edit(house, options.mirror === 'none' ? 'Copy room' : 'Copy room mirrored', (draft) => {
    const room = house.rooms[roomId];
    if (!room) return { code: 'missing', path: `rooms.${roomId}`, message: 'This room is no longer there.' };
    const mirrored = options.mirror !== 'none';
    const { minX, maxX, minY, maxY } = boundsOf(room.corners);
    const name = nameCopy(house, room.name);
    const copy: Room = {
      ...room,
      id: newId('room'),
      name,
      prefix: choosePrefix(house, name),
      corners: mirrorCorners(room, options),
    };
    draft.rooms[copy.id] = { ...copy, corners: copy.corners.map((corner) => ({ ...corner })) };

    const along = (wall: string, alongIn: number, widthIn: number) =>
      mirrored ? Math.max(0, (wallLengthIn(room, wall) ?? 0) - alongIn - widthIn) : alongIn;
    // Mirrored, a wall ends where it began: what stood across its first corner now stands where the wall before it begins.
    const cornerWall = (at: { wall: string; acrossCorner?: boolean | undefined }) => {
      const i = room.corners.findIndex((one) => one.id === at.wall);
      return at.acrossCorner && mirrored ? room.corners.at(i - 1)!.id : at.wall;
    };
    const point = (x: number, y: number, widthIn = 0, depthIn = 0) => ({
      x: (options.mirror === 'left-right' ? minX + maxX - x - widthIn : x) + options.dx,
      y: (options.mirror === 'up-down' ? minY + maxY - y - depthIn : y) + options.dy,
    });
    for (const opening of Object.values(house.openings).filter((one) => one.room === roomId)) {
      const placed: Opening = {
        ...opening,
        id: newId('opening'),
        room: copy.id,
        alongIn: along(opening.wall, opening.alongIn, opening.widthIn),
      };
      const other = (side: 'left' | 'right') => (mirrored ? (side === 'left' ? 'right' : 'left') : side);
      if (placed.kind === 'door') placed.hinge = other(placed.hinge);
      if (placed.kind === 'pocket' || placed.kind === 'barn') placed.opens = other(placed.opens);
      if (placed.kind === 'slider') placed.moving = other(placed.moving);
      draft.openings[placed.id] = placed;
    }
    const featureIds = new Map<string, string>();
    for (const feature of Object.values(house.features).filter((one) => one.room === roomId && one.kind !== 'panel')) {
      const at: FeaturePlace =
        feature.at.kind === 'wall'
          ? {
              ...feature.at,
              wall: cornerWall(feature.at),
              alongIn: feature.at.acrossCorner ? 0 : along(feature.at.wall, feature.at.alongIn, feature.at.widthIn),
            }
          : { ...feature.at, ...point(feature.at.x, feature.at.y, feature.at.widthIn, feature.at.depthIn) };
      const id = newId('feature');
      featureIds.set(feature.id, id);
      draft.features[id] = { ...feature, id, room: copy.id, at };
    }
    for (const box of Object.values(house.boxes).filter((one) => one.room === roomId)) {
      const at = { ...box.at };
      if (at.kind === 'wall') at.alongIn = along(at.wall, at.alongIn, 0);
      else Object.assign(at, point(at.x, at.y));
      if (at.kind === 'feature') at.feature = featureIds.get(at.feature) ?? at.feature;
      const id = newId('box');
      const devices = Object.values(box.devices).map((device) => ({ ...device, id: newId('device'), circuit: null }));
      const tag = nextTag(draft as House, copy);
      draft.boxes[id] = {
        ...box,
        id,
        room: copy.id,
        tag,
        at,
        devices: Object.fromEntries(devices.map((device) => [device.id, device])),
      };
    }
    return undefined;
  });
}
