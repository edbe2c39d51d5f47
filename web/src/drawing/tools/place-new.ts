import {
  addFeature,
  BEHIND_IN,
  FEATURE_BOTTOM_IN,
  FEATURE_SIZE_IN,
  OPENING_WIDTH_IN,
  addEntity,
  featureSchema,
  isInside,
  nearestWall,
  openingSchema,
  placeBoxes,
  rectangleCorners,
  suitedTo,
  refuse,
  roomSpan,
  STANDS_FREE,
  toLoop,
  usualHeightIn,
  wallLoop,
  type Device,
  type Edited,
  type FeatureKind,
  type House,
  newDevice,
  type NewId,
  type OpeningKind,
  type Point,
  type Result,
  type Room,
} from '@winculum/core';
import { snapToStud } from './drag-edit';

/** How far from a wall a click still means that wall, inches. */
const NEAR_WALL_IN = 30;

export type BoxTool =
  | 'receptacle'
  | 'floor-receptacle'
  | 'receptacle-240'
  | 'switch'
  | 'luminaire'
  | 'fan'
  | 'alarm'
  | 'connection'
  | 'low-voltage';

export const roomAt = (house: House, level: string, point: Point): Room | undefined =>
  Object.values(house.rooms).find((room) => room.level === level && isInside(point, room.corners));

function wallNear(house: House, level: string, point: Point) {
  const inside = roomAt(house, level, point);
  const rooms = inside ? [inside] : Object.values(house.rooms).filter((room) => room.level === level);
  const found = rooms
    .map((room) => ({ room, ...nearestWall(wallLoop(room), point) }))
    .filter((one) => one.distanceIn <= NEAR_WALL_IN)
    .sort((a, b) => a.distanceIn - b.distanceIn)[0];
  return found
    ? { ok: true as const, value: found }
    : refuse('no-wall', 'place', 'There is no wall here. Click close to the wall of a room.');
}

/** Where a thing of some width starts so that it is centered on a place and stays on its wall. */
const center = (alongIn: number, widthIn: number, wallIn: number) =>
  Math.max(0, Math.min(wallIn - widthIn, Math.round((alongIn - widthIn / 2) * 2) / 2));

export function placeOpening(
  house: House,
  level: string,
  kind: OpeningKind,
  point: Point,
  newId: NewId,
): Result<Edited> {
  const near = wallNear(house, level, point);
  if (!near.ok) return near;
  const { room, wall, alongIn } = near.value;
  const widthIn = OPENING_WIDTH_IN[kind];
  return addEntity(
    house,
    'openings',
    openingSchema.parse({
      id: newId('opening'),
      room: room.id,
      wall: wall.id,
      kind,
      widthIn,
      alongIn: center(alongIn, widthIn, wall.lengthIn),
    }),
  );
}

export function placeFeature(
  house: House,
  level: string,
  kind: FeatureKind,
  point: Point,
  newId: NewId,
): Result<Edited> {
  const [widthIn, depthIn, heightIn] = FEATURE_SIZE_IN[kind] ?? [36, 24, 36];
  const bottomIn = FEATURE_BOTTOM_IN[kind];
  const base = { id: newId('feature'), kind, heightIn, ...(bottomIn === undefined ? {} : { bottomIn }) };
  if (STANDS_FREE.has(kind)) {
    const room = roomAt(house, level, point);
    if (!room) return refuse('no-room', 'place', 'This stands in a room. Click inside one.');
    const span = roomSpan(room);
    if (widthIn > span.widthIn || depthIn > span.depthIn)
      return refuse('too-large', 'place', `${room.name} is too small for this.`);
    return addFeature(
      house,
      featureSchema.parse({
        ...base,
        room: room.id,
        at: {
          kind: 'free',
          x: Math.round(point.x - widthIn / 2),
          y: Math.round(point.y - depthIn / 2),
          widthIn,
          depthIn,
        },
      }),
      newId,
    );
  }
  const near = wallNear(house, level, point);
  if (!near.ok) return near;
  const { room, wall, alongIn } = near.value;
  const fitting = kind === 'counter' || kind === 'baseboard-heater' ? Math.min(widthIn, wall.lengthIn) : widthIn;
  return addFeature(
    house,
    featureSchema.parse({
      ...base,
      room: room.id,
      at: {
        kind: 'wall',
        wall: wall.id,
        widthIn: fitting,
        depthIn,
        alongIn: center(alongIn, fitting, wall.lengthIn),
        behindIn: BEHIND_IN[kind] ?? 0,
      },
    }),
    newId,
  );
}

function deviceFor(tool: BoxTool, id: string): Device {
  switch (tool) {
    case 'floor-receptacle':
      return newDevice('receptacle', id);
    case 'receptacle-240':
      return newDevice('receptacle', id, { style: 'single', volts: 240, ratingA: 30, tr: false });
    default:
      return newDevice(tool, id);
  }
}

const IN_THE_CEILING: ReadonlySet<BoxTool> = new Set(['luminaire', 'fan', 'alarm', 'connection']);

/** The usual height of a box: switches at switch height, receptacles by the room, over a counter by the counter. */
function heightFor(house: House, room: Room, tool: BoxTool, atLoopIn: number): number {
  if (tool === 'switch') return house.standards.switchHeightIn;
  if (tool === 'low-voltage') return house.standards.receptacleHeightIn;
  const loop = wallLoop(room);
  const overCounter = Object.values(house.features).some(
    (feature) =>
      feature.room === room.id &&
      feature.kind === 'counter' &&
      feature.at.kind === 'wall' &&
      atLoopIn >= toLoop(loop, feature.at.wall, feature.at.alongIn) &&
      atLoopIn <= toLoop(loop, feature.at.wall, feature.at.alongIn) + feature.at.widthIn,
  );
  return overCounter ? house.standards.counterHeightIn : usualHeightIn(room, house.standards);
}

/** Drops a box on a wall of a room at a distance along its loop; what is not said of it is as usual. */
export function dropOnWall(
  house: House,
  room: Room,
  tool: BoxTool,
  atLoopIn: number,
  newId: NewId,
  said: {
    readonly snapIn?: number;
    readonly count?: number;
    readonly gfci?: boolean;
    readonly heightIn?: number | undefined;
  } = {},
): Result<Edited> {
  const heightIn = said.heightIn ?? heightFor(house, room, tool, atLoopIn);
  const at = snapToStud(house, room.id, atLoopIn, heightIn, said.snapIn ?? 0);
  const device = (): Device => {
    const made = deviceFor(tool, newId('device'));
    return suitedTo(room, made.kind === 'receptacle' && said.gfci ? { ...made, gfci: true } : made);
  };
  return placeBoxes(house, [
    {
      id: newId('box'),
      room: room.id,
      at,
      origin: 'request',
      devices: Array.from({ length: said.count ?? 1 }, device),
    },
  ]);
}

export function placeBoxAt(
  house: House,
  level: string,
  tool: BoxTool,
  point: Point,
  newId: NewId,
  snapIn: number,
): Result<Edited> {
  if (IN_THE_CEILING.has(tool) || tool === 'floor-receptacle') {
    const room = roomAt(house, level, point);
    if (!room) return refuse('no-room', 'place', 'This hangs in a room. Click inside one.');
    const at = {
      kind: tool === 'floor-receptacle' ? ('floor' as const) : ('ceiling' as const),
      x: Math.round(point.x),
      y: Math.round(point.y),
    };
    return placeBoxes(house, [
      {
        id: newId('box'),
        room: room.id,
        at,
        origin: 'request',
        devices: [suitedTo(room, deviceFor(tool, newId('device')))],
      },
    ]);
  }
  const near = wallNear(house, level, point);
  if (!near.ok) return near;
  return dropOnWall(
    house,
    near.value.room,
    tool,
    toLoop(wallLoop(near.value.room), near.value.wall.id, near.value.alongIn),
    newId,
    { snapIn },
  );
}

export const rectangleBetween = (a: Point, b: Point): Point[] =>
  rectangleCorners(Math.min(a.x, b.x), Math.min(a.y, b.y), Math.abs(a.x - b.x), Math.abs(a.y - b.y));
