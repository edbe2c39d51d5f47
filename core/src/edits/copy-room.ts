import type { Draft } from 'immer';
import { given, itemAt, type Result } from '../units/result';
import { edit, type Edited } from '../house/edit';
import { boundsOf, distance, type Point } from '../geometry/geometry';
import { wallLengthIn } from '../house/on-wall';
import type { Box, BoxPlace, Corner, Feature, FeaturePlace, House, Opening, Room } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import { nameCopy } from '../house/room-names';
import { choosePrefix, nextTag } from './verbs';
import type { NewId } from '../house/new-box';

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

/** Where each thing of a room stands in its copy. */
class Placing {
  readonly #mirrored: boolean;

  constructor(
    readonly room: Room,
    readonly options: CopyOptions,
  ) {
    this.#mirrored = options.mirror !== 'none';
  }

  corners(): Corner[] {
    const put = (corner: Corner): Corner => ({ ...corner, ...this.point(corner) });
    const { corners } = this.room;
    if (!this.#mirrored) return corners.map(put);
    return corners
      .map((corner, i) => {
        const next = itemAt(corners, (i + 1) % corners.length);
        return { ...corner, ...this.point(next), framing: mirrorFraming(corner.framing, distance(corner, next)) };
      })
      .reverse();
  }

  /** The corner of something so wide and deep that stands there. */
  point({ x, y }: Point, widthIn = 0, depthIn = 0): Point {
    const { mirror, dx, dy } = this.options;
    const { minX, maxX, minY, maxY } = boundsOf(this.room.corners);
    return {
      x: (mirror === 'left-right' ? minX + maxX - x - widthIn : x) + dx,
      y: (mirror === 'up-down' ? minY + maxY - y - depthIn : y) + dy,
    };
  }

  along(wall: string, alongIn: number, widthIn = 0): number {
    return this.#mirrored ? Math.max(0, (wallLengthIn(this.room, wall) ?? 0) - alongIn - widthIn) : alongIn;
  }

  side(side: 'left' | 'right'): 'left' | 'right' {
    return this.#mirrored ? (side === 'left' ? 'right' : 'left') : side;
  }

  opening(opening: Opening): Opening {
    const placed = { ...opening, alongIn: this.along(opening.wall, opening.alongIn, opening.widthIn) };
    if (placed.kind === 'door') placed.hinge = this.side(placed.hinge);
    if (placed.kind === 'pocket' || placed.kind === 'barn') placed.opens = this.side(placed.opens);
    if (placed.kind === 'slider') placed.moving = this.side(placed.moving);
    return placed;
  }

  feature({ at }: Feature): FeaturePlace {
    if (at.kind !== 'wall') return { ...at, ...this.point(at, at.widthIn, at.depthIn) };
    if (!at.acrossCorner) return { ...at, alongIn: this.along(at.wall, at.alongIn, at.widthIn) };
    // Mirrored, a wall ends where it began: what stood across its first corner now stands where the wall before it begins.
    const { corners } = this.room;
    const i = corners.findIndex((one) => one.id === at.wall);
    return { ...at, wall: this.#mirrored ? itemAt(corners, i - 1).id : at.wall, alongIn: 0 };
  }

  box({ at }: Box, features: ReadonlyMap<string, string>): BoxPlace {
    if (at.kind === 'wall') return { ...at, alongIn: this.along(at.wall, at.alongIn) };
    const moved = { ...at, ...this.point(at) };
    return moved.kind === 'feature' ? { ...moved, feature: features.get(moved.feature) ?? moved.feature } : moved;
  }
}

/** A copied box as new: its place and devices, nothing of what was done at it or asked about it. */
function copyBox(draft: Draft<House>, box: Box, room: Room, at: BoxPlace, newId: NewId): void {
  const { progress: _done, trimWaits: _waits, ...rest } = box;
  const id = newId('box');
  const ids = new Map(Object.keys(box.devices).map((old) => [old, newId('device')]));
  const devices = Object.values(box.devices).map((device): Device => {
    const copy = { ...device, id: given(ids.get(device.id)), circuit: null };
    if (copy.kind === 'low-voltage') delete copy.done;
    return copy.kind === 'receptacle' && copy.yokeWith !== undefined
      ? { ...copy, yokeWith: given(ids.get(copy.yokeWith)) }
      : copy;
  });
  draft.boxes[id] = {
    ...rest,
    id,
    room: room.id,
    tag: nextTag(draft as House, room),
    at,
    devices: Object.fromEntries(devices.map((device) => [device.id, device])),
  };
}

interface CopyTarget extends CopyOptions {
  readonly level: string;
  /** Walls and openings alone, or what stands and hangs in the room as well. */
  readonly contents: boolean;
}

/** Puts a copy of a room down; panels, circuits and loads stay behind. */
export function putRoomCopy(draft: Draft<House>, house: House, room: Room, target: CopyTarget, newId: NewId): void {
  const placing = new Placing(room, target);
  const name = nameCopy(draft as House, room.name);
  const { building: _building, unit: _unit, ...rest } = room;
  const copy: Room = {
    ...(target.level === room.level ? room : rest),
    id: newId('room'),
    name,
    level: target.level,
    prefix: choosePrefix(draft as House, name),
    corners: placing.corners(),
  };
  draft.rooms[copy.id] = { ...copy, corners: copy.corners.map((corner) => ({ ...corner })) };
  const ofRoom = <T extends { readonly room: string }>(all: Readonly<Record<string, T>>): T[] =>
    Object.values(all).filter((one) => one.room === room.id);
  for (const opening of ofRoom(house.openings)) {
    const id = newId('opening');
    draft.openings[id] = { ...placing.opening(opening), id, room: copy.id };
  }
  if (!target.contents) return;
  const features = new Map<string, string>();
  for (const feature of ofRoom(house.features)) {
    if (feature.kind === 'panel') continue;
    const id = newId('feature');
    features.set(feature.id, id);
    draft.features[id] = { ...feature, id, room: copy.id, at: placing.feature(feature) };
  }
  for (const box of ofRoom(house.boxes)) copyBox(draft, box, copy, placing.box(box, features), newId);
}

/** Copies a room with its openings, features and boxes, as it is or mirrored; circuits and loads stay behind. */
export function copyRoom(house: House, roomId: string, options: CopyOptions, newId: NewId): Result<Edited> {
  return edit(house, options.mirror === 'none' ? 'Copy room' : 'Copy room mirrored', (draft) => {
    const room = house.rooms[roomId];
    if (!room) return { code: 'missing', path: `rooms.${roomId}`, message: 'This room is no longer there.' };
    putRoomCopy(draft, house, room, { ...options, level: room.level, contents: true }, newId);
    return undefined;
  });
}
