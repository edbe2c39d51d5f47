import { newDevice, type Device } from '../../house/schema-equipment';
import type { Box } from '../../house/schema';
import { wallLoop } from '../../plan/wall-loop';
import type { RoomView, SeenOpening } from '../../plan/room-view';
import { openingBreak } from '../../plan/opening-break';
import { stripVa } from '../../loads/parse-power';

/** A light on a wall that is proposed: where its box goes and what hangs there. */
export interface WallLight {
  readonly at: Extract<Box['at'], { kind: 'wall' }>;
  readonly device: (id: string) => Device;
}

/** Center of a sconce above the floor, and from the edge of the opening past casing and leaf, inches: *common practice*. */
const SCONCE_HEIGHT_IN = 66;
const SCONCE_ASIDE_IN = 12;
/** A box wants this much wall to the next corner or opening, inches: *common practice*. */
const ROOM_IN = 4;
/** A cove lies this far under the ceiling, inches: *common practice*. */
const COVE_BELOW_IN = 8;
/** A cabinet that begins this high hangs over a counter. */
const HANGS_IN = 40;

const stripOf = (lengthIn: number, driver?: 'cabinet') => (id: string) =>
  newDevice('luminaire', id, {
    style: 'strip',
    lengthIn,
    va: stripVa(lengthIn),
    ...(driver ? { driver } : {}),
  });

/** Doors of a room beside which a sconce may hang. */
export const doorsOf = (view: RoomView): readonly SeenOpening[] =>
  view.openings.filter((seen) => openingBreak(seen) !== undefined && seen.opening.kind !== 'vehicle');

/** Sconces on both sides of a door, at eye height; on one side where the other has no wall for a box. */
export function sconcesAt(view: RoomView, door: SeenOpening): WallLight[] {
  const wall = wallLoop(view.room).walls.find((one) => one.id === door.wall);
  if (!wall) return [];
  const others = view.openings.filter((one) => one !== door && one.wall === door.wall);
  const fits = (alongIn: number) =>
    alongIn >= ROOM_IN &&
    alongIn <= wall.lengthIn - ROOM_IN &&
    others.every((one) => alongIn < one.alongIn - ROOM_IN || alongIn > one.alongIn + one.widthIn + ROOM_IN);
  return [door.alongIn - SCONCE_ASIDE_IN, door.alongIn + door.widthIn + SCONCE_ASIDE_IN]
    .filter(fits)
    .map((alongIn) => ({
      at: { kind: 'wall', wall: wall.id, alongIn, heightIn: Math.min(SCONCE_HEIGHT_IN, view.level.ceilingIn - 12) },
      device: (id) => newDevice('luminaire', id, { style: 'wall' }),
    }));
}

/** A strip under each wall cabinet that hangs over a counter, as long as the cabinet, its driver in it. */
export const underCabinets = (view: RoomView): WallLight[] =>
  view.features.flatMap(({ kind, at, bottomIn = 0 }): WallLight[] =>
    kind === 'cabinet' && at.kind === 'wall' && bottomIn >= HANGS_IN
      ? [
          {
            at: { kind: 'wall', wall: at.wall, alongIn: at.alongIn + at.widthIn / 2, heightIn: bottomIn - 1 },
            device: stripOf(at.widthIn, 'cabinet'),
          },
        ]
      : [],
  );

/** A strip along a whole wall, under the ceiling, fed at its middle; where its driver lives is for a person to say. */
export function coveAlong(view: RoomView, wallId: string): WallLight | undefined {
  const wall = wallLoop(view.room).walls.find((one) => one.id === wallId);
  if (!wall) return undefined;
  // Fed where no opening reaches up to it, nearest to the middle.
  const heightIn = view.level.ceilingIn - COVE_BELOW_IN;
  const tall = view.openings.filter((one) => one.wall === wallId && one.opening.headIn > heightIn - ROOM_IN);
  const isFree = (at: number) => tall.every((one) => at < one.alongIn || at > one.alongIn + one.widthIn);
  for (let off = 0; off <= wall.lengthIn / 2 - ROOM_IN; off += 1)
    for (const alongIn of [wall.lengthIn / 2 - off, wall.lengthIn / 2 + off])
      if (isFree(alongIn))
        return { at: { kind: 'wall', wall: wallId, alongIn, heightIn }, device: stripOf(wall.lengthIn) };
  return undefined;
}
