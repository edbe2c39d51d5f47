import { inTurn } from '../edits/circuit-verbs';
import { joinSwitch } from '../edits/switch-verbs';
import { addEntity, changeEntity, placeBoxes, type NewBox, type NewId } from '../edits/verbs';
import { edit, type Edited } from '../house/edit';
import { newDevice, type Device, type LoadKind } from '../house/schema-equipment';
import type { Box, Feature, House, Room, RoomKind } from '../house/schema';
import { distance, isInside, type Point } from '../geometry/geometry';
import { LOAD_LIBRARY } from '../loads/library';
import { checkHouse, type Finding } from '../nec/check-house';
import { suitedTo } from '../place/outdoors';
import { featureOutline } from '../plan/points';
import { inRoom, viewRoom } from '../plan/room-view';
import { bestSpot, ceilingPoints, type Spot } from '../proposals/layout/spots';
import { refuse, succeed, type Result } from '../units/result';

/** Something that owners miss once the drywall is up, *common practice*, and that one tap sets down. */
interface Want {
  readonly id: string;
  readonly rooms: readonly RoomKind[];
  readonly says: string;
  readonly why: string;
  readonly isThere: (house: House, room: Room) => boolean;
  readonly add: (house: House, room: Room, newId: NewId) => Result<Edited>;
}

const middleOf = (room: Room, feature: Feature): Point => {
  const outline = featureOutline(room, feature);
  const mean = (of: (one: Point) => number) => outline.reduce((sum, one) => sum + of(one), 0) / outline.length;
  return { x: mean((one) => one.x), y: mean((one) => one.y) };
};
const boxesOf = (house: House, room: Room): readonly Box[] => inRoom(house.boxes, room.id);
const featureOf = (house: House, room: Room, kinds: readonly string[]): Feature | undefined =>
  inRoom(house.features, room.id).find((one) => kinds.includes(one.kind));
const hasDevice = (is: (device: Device, box: Box) => boolean) => (house: House, room: Room) =>
  boxesOf(house, room).some((box) => Object.values(box.devices).some((one) => is(one, box)));
const hasLoad = (kind: LoadKind) => (house: House, room: Room) =>
  Object.values(house.loads).some((one) => one.kind === kind && house.boxes[one.box]?.room === room.id);
const hasNote = (word: string) => (house: House, room: Room) =>
  boxesOf(house, room).some((box) => box.note?.includes(word));
interface Wish {
  readonly heightIn: number;
  /** Beside what it belongs: the nearer the better; anywhere on a wall without it. */
  readonly near?: Point | undefined;
  readonly devices: readonly Device[];
  readonly box?: Partial<NewBox>;
}

/** A box on the best free place of the room's walls. */
function onWall(house: House, room: Room, wish: Wish, newId: NewId): Result<Edited & { readonly boxId: string }> {
  const { near } = wish;
  const cost = (spot: Spot): number => (near ? distance(spot.point, near) : 1) + (spot.bracket ? 12 : 0);
  const spot = bestSpot(house, room.id, {
    heightIn: wish.heightIn,
    gangs: Math.max(1, wish.devices.length),
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
      devices: wish.devices.map((one) => suitedTo(room, one)),
      ...(spot.bracket ? { bracket: true } : {}),
      ...wish.box,
    },
  ]);
  return placed.ok ? succeed({ ...placed.value, boxId }) : placed;
}

const receptacle = (newId: NewId, extra: Partial<Extract<Device, { kind: 'receptacle' }>> = {}): Device =>
  newDevice('receptacle', newId('device'), extra);

/** A receptacle with what plugs into it, or a connection where it is hard-wired. */
function withLoad(house: House, room: Room, kind: LoadKind, wish: Omit<Wish, 'devices'>, newId: NewId): Result<Edited> {
  const typical = LOAD_LIBRARY[kind];
  const device = typical.cord ? receptacle(newId) : newDevice('connection', newId('device'));
  const placed = onWall(house, room, { ...wish, devices: [device] }, newId);
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
function closetLight(house: House, room: Room, newId: NewId): Result<Edited> {
  const view = viewRoom(house, room.id);
  const door = view.openings.find(({ opening }) => opening.kind === 'door' && opening.leaves === 1);
  if (door?.opening.kind !== 'door')
    return refuse('no-door', `rooms.${room.id}`, `${room.name} has no single door to feel. Place a switch by hand.`);
  const atStart = (door.opening.hinge === 'left') === door.own;
  const alongIn = Math.max(0, atStart ? door.alongIn - 1 : door.alongIn + door.widthIn + 1);
  const doorwayMiddle = { wall: door.wall, alongIn };
  const shelves = view.features.filter((one) => one.kind === 'closet-shelf').map((one) => middleOf(room, one));
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
          at: { kind: 'wall', ...doorwayMiddle, heightIn: 66 },
          origin: 'request',
          bracket: true,
          devices: [newDevice('switch', control, { style: 'door-jamb' })],
        },
      ]),
    (now) => joinSwitch(now, control, light, newId),
  ]);
}

/** One more gang beside a switch, its volume kept for what comes later. */
function spareGang(house: House, room: Room): Result<Edited> {
  const box = boxesOf(house, room).find(
    (one) => one.gangs < 4 && Object.values(one.devices).some((device) => device.kind === 'switch'),
  );
  if (!box) return refuse('no-switch', `rooms.${room.id}`, `${room.name} has no switch box yet. Place one first.`);
  return changeEntity(house, 'boxes', box.id, { gangs: box.gangs + 1, note: 'spare gang for later' });
}

/** A box in the ceiling that carries a fan, where the light hangs now. */
function fanReady(house: House, room: Room): Result<Edited> {
  const box = boxesOf(house, room).find(
    (one) => one.at.kind === 'ceiling' && Object.values(one.devices).some((device) => device.kind === 'luminaire'),
  );
  if (!box) return refuse('no-light', `rooms.${room.id}`, `${room.name} has no ceiling light yet. Place one first.`);
  return changeEntity(house, 'boxes', box.id, {
    type: 'fan-brace',
    note: 'for a fan later: three conductors to the switch',
  });
}

const sleeve =
  (to: string, heightIn: number) =>
  (house: House, room: Room, newId: NewId): Result<Edited> =>
    onWall(
      house,
      room,
      {
        heightIn,
        near: panelPoint(house, room),
        devices: [newDevice('low-voltage', newId('device'), { system: 'sleeve' })],
        box: { state: 'future', note: `sleeve ${to}, with a pull string` },
      },
      newId,
    );
const panelPoint = (house: House, room: Room): Point | undefined => {
  const feature = featureOf(house, room, ['panel']);
  return feature && middleOf(room, feature);
};
const nearOf = (house: House, room: Room, ...kinds: string[]): Point | undefined => {
  const feature = featureOf(house, room, kinds);
  return feature && middleOf(room, feature);
};

const BASEMENTS: readonly RoomKind[] = ['basement-unfinished', 'basement-finished'];

/** What is mostly forgotten, room by room. */
export const WANTS: readonly Want[] = [
  {
    id: 'bidet',
    rooms: ['bathroom', 'half-bath'],
    says: 'Receptacle for a bidet seat',
    why: 'Low beside the toilet, 12 in high: no cord across the floor, and none through the tile later.',
    isThere: (house, room) => {
      const toilet = nearOf(house, room, 'toilet');
      if (!toilet) return true;
      return hasLoad('bidet-seat')(house, room) || hasNote('bidet')(house, room);
    },
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 12,
          near: nearOf(house, room, 'toilet'),
          devices: [receptacle(newId)],
          box: { note: 'bidet seat' },
        },
        newId,
      ),
  },
  {
    id: 'vacuum',
    rooms: ['closet', 'walk-in-closet', 'laundry', 'utility', 'pantry'],
    says: 'Receptacle for a vacuum dock',
    why: 'A robot or stick vacuum charges where it is out of the way.',
    isThere: hasNote('vacuum dock'),
    add: (house, room, newId) =>
      onWall(house, room, { heightIn: 16, devices: [receptacle(newId)], box: { note: 'vacuum dock' } }, newId),
  },
  {
    id: 'cabinet-outlet',
    rooms: ['kitchen', 'pantry'],
    says: 'Receptacle inside a cabinet',
    why: 'A mixer, a coffee maker or chargers behind a door. It never counts for the counter.',
    isThere: (house, room) => boxesOf(house, room).some((box) => box.inCabinet && box.note?.includes('appliances')),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 60,
          near: nearOf(house, room, 'tall-cabinet', 'cabinet', 'counter'),
          devices: [receptacle(newId)],
          box: { inCabinet: true, note: 'small appliances in the cabinet' },
        },
        newId,
      ),
  },
  {
    id: 'strip-lights',
    rooms: ['kitchen'],
    says: 'Cable for lights under the wall cabinets',
    why: 'Its driver lives in a cabinet; the cable comes out at the bottom rail.',
    isThere: hasDevice((one) => one.kind === 'luminaire' && one.style === 'strip'),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 54,
          near: nearOf(house, room, 'counter'),
          devices: [newDevice('luminaire', newId('device'), { style: 'strip', driver: 'cabinet', lengthIn: 72 })],
          box: { inCabinet: true, note: 'strip lights under the wall cabinets' },
        },
        newId,
      ),
  },
  {
    id: 'closet-light',
    rooms: ['closet', 'walk-in-closet', 'linen', 'pantry'],
    says: 'Light that the door switches',
    why: 'Both hands are full when one opens it.',
    isThere: hasDevice((one) => one.kind === 'luminaire'),
    add: closetLight,
  },
  {
    id: 'freezer',
    rooms: ['garage', ...BASEMENTS, 'laundry', 'utility', 'pantry'],
    says: 'Receptacle for a freezer',
    why: 'On a circuit that nobody trips: a thawed freezer is found too late.',
    isThere: hasLoad('freezer'),
    add: (house, room, newId) => withLoad(house, room, 'freezer', { heightIn: 48 }, newId),
  },
  {
    id: 'aquarium',
    rooms: ['living', 'family', 'den', 'office', 'recreation'],
    says: 'Receptacle for an aquarium',
    why: 'Pump, heater and light run all day; the box stands above the water line of the tank’s stand.',
    isThere: hasLoad('aquarium'),
    add: (house, room, newId) => withLoad(house, room, 'aquarium', { heightIn: 48 }, newId),
  },
  {
    id: 'towel-warmer',
    rooms: ['bathroom'],
    says: 'Connection for a heated towel bar',
    why: 'Tile covers every second chance.',
    isThere: hasLoad('towel-warmer'),
    add: (house, room, newId) =>
      withLoad(house, room, 'towel-warmer', { heightIn: 40, near: nearOf(house, room, 'tub', 'shower') }, newId),
  },
  {
    id: 'spare-gang',
    rooms: ['foyer', 'kitchen', 'living', 'family', 'hallway'],
    says: 'Spare gang beside the switches',
    why: 'Eave lights, a gate, a fan: the box is there, its volume kept.',
    isThere: (house, room) =>
      boxesOf(house, room).some((box) => box.gangs > Object.keys(box.devices).length && box.at.kind === 'wall'),
    add: spareGang,
  },
  {
    id: 'fan-ready',
    rooms: ['bedroom', 'living', 'family', 'office'],
    says: 'Ceiling box that carries a fan later',
    why: 'A listed fan box and a third conductor cost little now (314.27(C)).',
    isThere: (house, room) =>
      boxesOf(house, room).some((box) => box.type === 'fan-brace') ||
      hasDevice((one) => one.kind === 'fan')(house, room),
    add: fanReady,
  },
  {
    id: 'eaves',
    rooms: ['porch', 'outdoors', 'deck'],
    says: 'Receptacle at the eave for holiday lights',
    why: 'Switched indoors or by a timer; no cords out of a window.',
    isThere: (house, room) => hasLoad('holiday-lights')(house, room) || hasNote('holiday lights')(house, room),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        { heightIn: 96, devices: [receptacle(newId)], box: { note: 'holiday lights at the eave' } },
        newId,
      ),
  },
  {
    id: 'sleeve-attic',
    rooms: ['living', 'family', 'utility', 'laundry', 'garage'],
    says: 'Sleeve to the attic',
    why: 'For antenna, solar or whatever comes: one pipe with a string.',
    isThere: hasNote('sleeve to the attic'),
    add: sleeve('to the attic', 74),
  },
  {
    id: 'sleeve-garden',
    rooms: ['garage', 'utility', ...BASEMENTS],
    says: 'Sleeve to the garden',
    why: 'Under the walk before it is poured: pump, lights, a gate.',
    isThere: hasNote('sleeve to the garden'),
    add: sleeve('to the garden', 18),
  },
  {
    id: 'vehicle-later',
    rooms: ['garage'],
    says: 'Cable or sleeve for a charger later',
    why: 'A capped 6/3 or a 1 in pipe from the panel; the load is reckoned when the charger comes.',
    isThere: (house, room) =>
      hasLoad('ev-charger')(house, room) ||
      hasLoad('ev-charger-48')(house, room) ||
      hasNote('vehicle charger')(house, room),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 48,
          near: nearOf(house, room, 'panel'),
          devices: [newDevice('blank', newId('device'))],
          box: { state: 'future', note: 'vehicle charger later: cable capped or sleeve from the panel' },
        },
        newId,
      ),
  },
  {
    id: 'data',
    rooms: ['office', 'bedroom', 'living', 'family'],
    says: 'Network drop',
    why: 'Wireless shares one channel; a wire does not.',
    isThere: hasDevice((one) => one.kind === 'low-voltage' && one.system === 'data'),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: house.standards.receptacleHeightIn,
          near: nearOf(house, room, 'desk', 'tv', 'bed'),
          devices: [newDevice('low-voltage', newId('device'), { system: 'data' })],
        },
        newId,
      ),
  },
];

/** The wants that a room has not got yet. */
export const wantsOf = (house: House, room: Room): readonly Want[] =>
  WANTS.filter((one) => one.rooms.includes(room.kind) && !one.isThere(house, room));

const violationsOf = (house: House): ReadonlyMap<string, Finding> =>
  new Map(
    checkHouse(house)
      .findings.filter((one) => one.kind === 'fail' && one.severity === 'violation')
      .map((one) => [one.key, one]),
  );

interface Placing {
  readonly by: string;
  /** ISO date. */
  readonly date: string;
}

/** Who asked for each box that an edit has brought. */
export function signedFor(before: House, done: Result<Edited>, { by, date }: Placing): Result<Edited> {
  if (!done.ok) return done;
  return inTurn(done.value.edit.label, before, [
    () => done,
    (now) =>
      edit(now, 'Say who asked', (draft) => {
        for (const box of Object.values(draft.boxes))
          if (!before.boxes[box.id] && box.origin === 'request' && !box.requested) box.requested = { by, on: date };
      }),
  ]);
}

/** Sets a want down in a room, unless the code would object to it: then it says what is in the way. */
export function addWant(house: House, wantId: string, roomId: string, placing: Placing, newId: NewId): Result<Edited> {
  const want = WANTS.find((one) => one.id === wantId);
  const room = house.rooms[roomId];
  if (!want || !room) return refuse('missing', `rooms.${roomId}`, 'This room is no longer there.');
  const done = signedFor(house, want.add(house, room, newId), placing);
  if (!done.ok) return done;
  const before = violationsOf(house);
  const worse = [...violationsOf(done.value.house).values()].find((one) => !before.has(one.key));
  return worse
    ? refuse(
        'objection',
        `rooms.${roomId}`,
        `Nothing was placed: ${worse.message} (${worse.section}) Place it by hand.`,
      )
    : done;
}
