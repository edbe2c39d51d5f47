import { inTurn } from '../edits/circuit-verbs';
import { joinSwitch } from '../edits/switch-verbs';
import { addEntity, changeEntity, placeBoxes } from '../edits/verbs';
import type { NewBox, NewId } from '../house/new-box';
import type { Edited } from '../house/edit';
import { newDevice, type Device, type LoadKind } from '../house/schema-equipment';
import type { Box, Feature, House, Room } from '../house/schema';
import { distance, isInside, type Point } from '../geometry/geometry';
import { LOAD_LIBRARY } from '../loads/library';
import { effectiveLimit } from '../nec/check-house';
import { suitedTo } from '../place/outdoors';
import { distanceToFeature, featureMiddle } from '../plan/points';
import { inRoom, viewRoom } from '../plan/room-view';
import { hingeJamb } from '../proposals/layout/hinge-jamb';
import { bestSpot, ceilingPoints, LAST_RESORT, type Spot } from '../proposals/layout/spots';
import { refuse, succeed, type Result } from '../units/result';

/** The boxes of a room. */
export const boxesOf = (house: House, room: Room): readonly Box[] => inRoom(house.boxes, room.id);
const featureOf = (house: House, room: Room, kinds: readonly string[]): Feature | undefined =>
  inRoom(house.features, room.id).find((one) => kinds.includes(one.kind));
/** Whether a room holds a device of some kind already. */
export const hasDevice = (is: (device: Device, box: Box) => boolean) => (house: House, room: Room) =>
  boxesOf(house, room).some((box) => Object.values(box.devices).some((one) => is(one, box)));
/** Whether a room holds a piece of equipment already. */
export const hasLoad = (kind: LoadKind) => (house: House, room: Room) =>
  Object.values(house.loads).some((one) => one.kind === kind && house.boxes[one.box]?.room === room.id);
/** Whether a note of a box in the room has this word. */
export const hasNote = (word: string) => (house: House, room: Room) =>
  boxesOf(house, room).some((box) => box.note?.includes(word));
interface WantedBox {
  readonly heightIn: number;
  /** Beside what it belongs: the nearer the better; anywhere on a wall without it. */
  readonly near?: Point | undefined;
  readonly devices: readonly Device[];
  readonly box?: Partial<NewBox>;
}

/** A box on the best free place of the room's walls. */
export function onWall(
  house: House,
  room: Room,
  wanted: WantedBox,
  newId: NewId,
): Result<Edited & { readonly boxId: string }> {
  const { near } = wanted;
  const wet = wanted.devices.some((one) => one.kind === 'receptacle')
    ? inRoom(house.features, room.id).filter((one) => one.kind === 'tub' || one.kind === 'shower')
    : [];
  const side = effectiveLimit(house, 'tub-zone-receptacles', 'sideIn');
  // The zone of a tub is avoided wherever that can be done; where it cannot, the check has the last word.
  const isInZone = ({ point }: Spot) => wet.some((one) => distanceToFeature(room, one, point) < side);
  const cost = (spot: Spot): number =>
    (near ? distance(spot.point, near) : 1) + (spot.bracket ? 12 : 0) + (isInZone(spot) ? LAST_RESORT : 0);
  const spot = bestSpot(house, room.id, {
    heightIn: wanted.heightIn,
    gangs: Math.max(1, wanted.devices.length),
    cost,
    behindDoors: true,
  });
  if (!spot)
    return refuse('no-wall', `rooms.${room.id}`, `No wall of ${room.name} has a free place for it. Place it by hand.`);
  const boxId = newId('box');
  const placed = placeBoxes(house, [
    {
      id: boxId,
      room: room.id,
      at: spot.at,
      origin: 'request',
      devices: wanted.devices.map((one) => suitedTo(room, one)),
      ...(spot.bracket ? { bracket: true } : {}),
      ...wanted.box,
    },
  ]);
  return placed.ok ? succeed({ ...placed.value, boxId }) : placed;
}

/** A general receptacle of 15 A, with whatever else is said of it. */
export const receptacle = (newId: NewId, extra: Partial<Extract<Device, { kind: 'receptacle' }>> = {}): Device =>
  newDevice('receptacle', newId('device'), extra);

/** A receptacle with what plugs into it, or a connection where it is hard-wired. */
export function withLoad(
  house: House,
  room: Room,
  kind: LoadKind,
  wanted: Omit<WantedBox, 'devices'>,
  newId: NewId,
): Result<Edited> {
  const typical = LOAD_LIBRARY[kind];
  const device = typical.cord ? receptacle(newId) : newDevice('connection', newId('device'));
  const placed = onWall(house, room, { ...wanted, devices: [device] }, newId);
  if (!placed.ok) return placed;
  const { boxId } = placed.value;
  return inTurn(`Add ${typical.name.toLowerCase()}`, house, [
    () => placed,
    (now) =>
      addEntity(now, 'loads', {
        ...typical,
        id: newId('load'),
        kind,
        source: 'typical',
        box: boxId,
        device: device.id,
      }),
  ]);
}

/** A light in the middle of a closet with a switch in the jamb of its door. */
export function closetLight(house: House, room: Room, newId: NewId): Result<Edited> {
  const view = viewRoom(house, room.id);
  const jamb = hingeJamb(view);
  if (!jamb)
    return refuse('no-door', `rooms.${room.id}`, `${room.name} has no single door to feel. Place a switch by hand.`);
  const shelves = view.features.filter((one) => one.kind === 'closet-shelf').map((one) => featureMiddle(room, one));
  const points = ceilingPoints(view, 6, 8, (point) => isInside(point, room.corners));
  const away = (one: Point) => shelves.reduce((least, shelf) => Math.min(least, distance(one, shelf)), 96);
  const at = points.toSorted((a, b) => away(b) - away(a))[0];
  if (!at) return refuse('no-ceiling', `rooms.${room.id}`, `${room.name} is too small for a light in its ceiling.`);
  const [light, control] = [newId('device'), newId('device')];
  return inTurn('Add closet light', house, [
    (now) =>
      placeBoxes(now, [
        {
          id: newId('box'),
          room: room.id,
          at: { kind: 'ceiling', x: at.x, y: at.y },
          origin: 'request',
          devices: [newDevice('luminaire', light, { style: 'recessed', contact: 'ic' })],
        },
        {
          id: newId('box'),
          room: room.id,
          at: jamb,
          origin: 'request',
          bracket: true,
          devices: [newDevice('switch', control, { style: 'door-jamb' })],
        },
      ]),
    (now) => joinSwitch(now, control, light, newId),
  ]);
}

/** One more gang beside a switch, its volume kept for what comes later. */
export function spareGang(house: House, room: Room): Result<Edited> {
  const box = boxesOf(house, room).find(
    (one) => one.gangs < 4 && Object.values(one.devices).some((device) => device.kind === 'switch'),
  );
  if (!box) return refuse('no-switch', `rooms.${room.id}`, `${room.name} has no switch box yet. Place one first.`);
  return changeEntity(house, 'boxes', box.id, { gangs: box.gangs + 1, note: 'spare gang for later' });
}

/** A box in the ceiling that carries a fan, where the light hangs now. */
export function fanReady(house: House, room: Room): Result<Edited> {
  const box = boxesOf(house, room).find(
    (one) => one.at.kind === 'ceiling' && Object.values(one.devices).some((device) => device.kind === 'luminaire'),
  );
  if (!box) return refuse('no-light', `rooms.${room.id}`, `${room.name} has no ceiling light yet. Place one first.`);
  return changeEntity(house, 'boxes', box.id, {
    type: 'fan-brace',
    note: 'for a fan later: three conductors to the switch',
  });
}

/** The end of an empty sleeve at a height, to be used later. */
export const sleeve =
  (to: string, heightIn: number) =>
  /** Puts it on a wall of the room, near a panel where there is one. */
  (house: House, room: Room, newId: NewId): Result<Edited> =>
    onWall(
      house,
      room,
      {
        heightIn,
        near: nearOf(house, room, 'panel'),
        devices: [newDevice('low-voltage', newId('device'), { system: 'sleeve' })],
        box: { state: 'future', note: `sleeve ${to}, with a pull string` },
      },
      newId,
    );
/** The middle of the first fixture of these kinds in a room. */
export const nearOf = (house: House, room: Room, ...kinds: string[]): Point | undefined => {
  const feature = featureOf(house, room, kinds);
  return feature && featureMiddle(room, feature);
};
