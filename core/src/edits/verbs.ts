import type { NewBox } from '../house/new-box';
import type { Draft } from 'immer';
import { isClockwise, type Point } from '../geometry/geometry';
import { edit, type Edited } from '../house/edit';
import type { Collection } from '../house/collections';
import { mustGet, type Problem, type Result } from '../units/result';
import type { Box, BoxPlace, Circuit, Corner, House, Room } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import { hasTab } from '../house/yokes';
import { carryBoxes, carryConnection } from './carry-boxes';

type Entity<C extends Collection> = House[C][string];
/** What one entity of each collection is called. */
export const ENTITY_WORDS: Readonly<Record<Collection, string>> = {
  levels: 'level',
  rooms: 'room',
  openings: 'opening',
  features: 'feature',
  boxes: 'box',
  loads: 'load',
  circuits: 'circuit',
  switchGroups: 'switch group',
  cables: 'cable',
  routes: 'route',
  panels: 'panel',
  feeders: 'feeder',
  sources: 'source',
  buildings: 'building',
  units: 'dwelling unit',
  decisions: 'decision',
  results: 'test result',
  uses: 'use of a room',
  tasks: 'task',
  photos: 'photo',
  inspections: 'inspection',
  days: 'kept day',
  comments: 'comment',
  sleeves: 'sleeve',
  log: 'note',
};

/** The problem of an entity that is not there any more. */
export const missing = (collection: Collection, id: string): Problem => ({
  code: 'missing',
  path: `${collection}.${id}`,
  message: `This ${ENTITY_WORDS[collection]} is no longer there.`,
});

/** Adds one entity; it must be whole and valid. */
export function addEntity<C extends Collection>(house: House, collection: C, entity: Entity<C>): Result<Edited> {
  return edit(house, `Add ${ENTITY_WORDS[collection]}`, (draft) => {
    const records = draft[collection] as Record<string, unknown>;
    if (Object.hasOwn(records, entity.id))
      return { code: 'id-twice', path: `${collection}.${entity.id}`, message: `The id "${entity.id}" is taken.` };
    records[entity.id] = entity;
    return undefined;
  });
}

/** Changes fields of one entity; a field given as undefined is removed. */
export function changeEntity<C extends Collection>(
  house: House,
  collection: C,
  id: string,
  changes: Partial<Entity<C>>,
): Result<Edited> {
  const changed = edit(house, `Change ${ENTITY_WORDS[collection]}`, (draft) => {
    const entity = (draft[collection] as Record<string, Record<string, unknown>>)[id];
    if (!entity) return missing(collection, id);
    for (const [field, value] of Object.entries(changes)) {
      if (value === undefined) delete entity[field];
      else entity[field] = value;
    }
    if (collection === 'features' && 'at' in changes) carryBoxes(draft, house, new Set([id]));
    return undefined;
  });
  return changed.ok && collection === 'features' && 'at' in changes
    ? carryConnection(house, changed.value, id)
    : changed;
}

/** The same outline, clockwise. */
export const turnClockwise = <P extends Point>(points: readonly P[]): P[] =>
  isClockwise(points) ? [...points] : points.toReversed();

/** Corners with ids c0, c1 … around a rectangle, from its top left. */
export function rectangleCorners(x: number, y: number, widthIn: number, depthIn: number): Corner[] {
  const points = [
    [x, y],
    [x + widthIn, y],
    [x + widthIn, y + depthIn],
    [x, y + depthIn],
  ] as const;
  return points.map(([px, py], i) => ({ id: `c${i}`, x: px, y: py, wall: 'solid' }));
}

/** A tag prefix for a room's boxes that no other room has: B2 for "Bedroom 2". */
export function choosePrefix(house: House, name: string): string {
  const taken = new Set(Object.values(house.rooms).map((room) => room.prefix));
  const letters = name
    .toUpperCase()
    .replace(/[^A-Z0-9 ]/g, ' ')
    .split(/\s+/)
    .filter(Boolean);
  const initials =
    letters
      .map((word) => (/^\d/.test(word) ? word : word[0]))
      .join('')
      .slice(0, 3) || 'R';
  const plain = [initials, (letters[0] ?? 'R').slice(0, 2), (letters[0] ?? 'R').slice(0, 3)].find(
    (one) => !taken.has(one),
  );
  if (plain) return plain;
  for (let n = 2; ; n++) {
    const prefix = `${initials.slice(0, 2)}${n}`;
    if (!taken.has(prefix)) return prefix;
  }
}

/** Gives tags that are free, one after the other: B2-4, B2-5. Looks at the house once for each prefix, never at a draft of it. */
export function freeTags(house: House): (room: Pick<Room, 'prefix'>) => string {
  const last = new Map<string, number>();
  return ({ prefix }) => {
    let number = last.get(prefix);
    if (number === undefined) {
      number = 0;
      const start = `${prefix}-`;
      for (const { tag } of Object.values(house.boxes))
        if (tag.startsWith(start)) number = Math.max(number, Number(tag.slice(start.length)));
    }
    last.set(prefix, ++number);
    return `${prefix}-${number}`;
  };
}

/** The next free tag of a room: B2-4. */
export const nextTag = (house: House, room: Pick<Room, 'prefix'>): string => freeTags(house)(room);

/** Moves whole rooms on their level, with all that hangs on them. */
export function moveRooms(house: House, ids: readonly string[], dx: number, dy: number): Result<Edited> {
  return edit(house, ids.length === 1 ? 'Move room' : `Move ${ids.length} rooms`, (draft) => {
    const moving = new Set(ids);
    const shift = (at: { kind: string; x?: number; y?: number }) => {
      if (at.x === undefined || at.y === undefined) return;
      at.x += dx;
      at.y += dy;
    };
    for (const id of ids) {
      const room = draft.rooms[id];
      if (!room) return missing('rooms', id);
      for (const corner of room.corners) {
        corner.x += dx;
        corner.y += dy;
      }
    }
    for (const feature of Object.values(draft.features)) if (moving.has(feature.room)) shift(feature.at);
    for (const box of Object.values(draft.boxes)) if (moving.has(box.room)) shift(box.at);
    return undefined;
  });
}

/** New places for corners of one room, inches. Things on its walls keep their distance from the wall's start. */
export function moveCorners(house: House, roomId: string, places: Readonly<Record<string, Point>>): Result<Edited> {
  return edit(house, 'Move wall', (draft) => {
    const room = draft.rooms[roomId];
    if (!room) return missing('rooms', roomId);
    for (const corner of room.corners) {
      const to = places[corner.id];
      if (to) [corner.x, corner.y] = [to.x, to.y];
    }
    const onWalls = Object.values(house.features).filter((one) => one.room === roomId && one.at.kind === 'wall');
    carryBoxes(draft, house, new Set(onWalls.map((one) => one.id)));
    return undefined;
  });
}

/** A new box as the document holds it. */
export const boxOf = ({ devices, ...box }: NewBox, tag: string): Draft<Box> => ({
  ...box,
  at: { ...box.at },
  tag,
  gangs: Math.max(1, devices.length),
  devices: Object.fromEntries(devices.map((device) => [device.id, { ...device }])),
});

/** Places boxes with their devices as one edit; each takes the next tag of its room. */
export function placeBoxes(house: House, boxes: readonly NewBox[], label?: string): Result<Edited> {
  return edit(house, label ?? (boxes.length === 1 ? 'Place box' : `Place ${boxes.length} boxes`), (draft) => {
    const tagFor = freeTags(house);
    for (const box of boxes) {
      const room = house.rooms[box.room];
      if (!room) return missing('rooms', box.room);
      draft.boxes[box.id] = boxOf(box, tagFor(room));
    }
    return undefined;
  });
}

/** Puts a box to another place of its room, or of another one. */
export function moveBox(house: House, id: string, at: BoxPlace): Result<Edited> {
  return edit(house, 'Move box', (draft) => {
    const box = draft.boxes[id];
    if (!box) return missing('boxes', id);
    box.at = { ...at };
    return undefined;
  });
}

/** Changes one device in its box. */
export function changeDevice(
  house: House,
  boxId: string,
  deviceId: string,
  changes: Readonly<Record<string, unknown>>,
): Result<Edited> {
  return edit(house, 'Change device', (draft) => {
    const device = draft.boxes[boxId]?.devices[deviceId];
    if (!device) return missing('boxes', boxId);
    assignTo(device, changes);
    return undefined;
  });
}

/** Changes a device; one that has no tab to take off any more is switched whole. */
function assignTo(device: Device, changes: Readonly<Record<string, unknown>>): void {
  Object.assign(device, changes);
  const isDuplexNoMore = device.kind === 'receptacle' && device.style !== 'half' && !hasTab(device);
  if (isDuplexNoMore && device.switched === 'half') device.switched = 'whole';
}

/** The same change of several devices, wherever they are; those that are gone are passed over. */
export function changeDevices(
  house: House,
  deviceIds: readonly string[],
  changes: Readonly<Record<string, unknown>>,
  label: string,
): Result<Edited> {
  const wanted = new Set(deviceIds);
  return edit(house, label, (draft) => {
    for (const box of Object.values(house.boxes))
      for (const id of Object.keys(box.devices))
        if (wanted.has(id)) assignTo(mustGet(mustGet(draft.boxes, box.id).devices, id), changes);
  });
}

/** The same change of several boxes. */
export function changeBoxes(
  house: House,
  ids: readonly string[],
  changes: Readonly<Record<string, unknown>>,
  label: string,
): Result<Edited> {
  return edit(house, label, (draft) => {
    for (const id of ids) if (draft.boxes[id]) Object.assign(draft.boxes[id], changes);
  });
}

/** Puts devices on a circuit, or takes them off with null. */
export function assignToCircuit(house: House, deviceIds: readonly string[], circuitId: string | null): Result<Edited> {
  const onto = circuitId === null ? 'no circuit' : (house.circuits[circuitId]?.name ?? 'circuit');
  return edit(house, `Put ${deviceIds.length} on ${onto}`, (draft) => {
    if (circuitId !== null && !draft.circuits[circuitId]) return missing('circuits', circuitId);
    const wanted = new Set(deviceIds);
    for (const box of Object.values(house.boxes))
      for (const device of Object.values(box.devices))
        if (wanted.has(device.id) && device.circuit !== circuitId) {
          mustGet(mustGet(draft.boxes, box.id).devices, device.id).circuit = circuitId;
          // A GFCI receptacle protects from the head of its circuit; moved away, it no longer does.
          const before = device.circuit === null ? undefined : draft.circuits[device.circuit];
          if (before?.gfciFirst === device.id) before.gfciFirst = null;
        }
    return undefined;
  });
}

/** Gives circuits their panel spaces, all at once so that they may swap. */
export function placeBreakers(
  house: House,
  panelId: string,
  spaces: Readonly<Record<string, number | null>>,
): Result<Edited> {
  return edit(house, 'Arrange panel', (draft) => {
    for (const [id, space] of Object.entries(spaces)) {
      const circuit: Draft<Circuit> | undefined = draft.circuits[id];
      if (!circuit) return missing('circuits', id);
      circuit.panel = space === null ? null : panelId;
      circuit.space = space;
      delete circuit.half;
    }
    leaveNoHalfAlone(draft);
    return undefined;
  });
}

/** Who is alone in a space has all of it. */
function leaveNoHalfAlone({ circuits }: Draft<House>): void {
  const all = Object.values(circuits);
  for (const one of all)
    if (one.half && !all.some((other) => other !== one && other.panel === one.panel && other.space === one.space))
      delete one.half;
}

/** Puts a one-pole circuit into the space of another, both on one tandem breaker. */
export function shareSpace(house: House, panelId: string, circuitId: string, space: number): Result<Edited> {
  return edit(house, 'Share a space', (draft) => {
    const circuit: Draft<Circuit> | undefined = draft.circuits[circuitId];
    if (!circuit) return missing('circuits', circuitId);
    const there = Object.values(draft.circuits).filter(
      (one) => one !== circuit && one.panel === panelId && one.space === space,
    );
    const [other] = there;
    if (there.length !== 1 || other?.poles !== 1 || circuit.poles !== 1)
      return {
        code: 'no-tandem',
        path: `circuits.${circuitId}.space`,
        message: `Space ${space} does not hold exactly one one-pole breaker. Share the space of one that does, and with a one-pole circuit.`,
      };
    Object.assign(other, { half: 'a' });
    Object.assign(circuit, { panel: panelId, space, half: 'b' });
    leaveNoHalfAlone(draft);
    return undefined;
  });
}
